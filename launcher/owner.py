"""Who runs this installation: one ./uchuu start at a time, for as long as it lives."""

import fcntl
import os
from types import TracebackType
from typing import IO, NamedTuple

from launcher.places import state_folder


class Note(NamedTuple):
    """What the owner wrote down: its process, and the port that it serves on (0: not yet)."""

    process: int
    port: int


class Owner:
    """The right to start and stop what belongs to this installation.

    The system gives it back when its process ends, however it ends.
    """

    def __init__(self) -> None:
        self._lock: IO[str] | None = None

    def take(self) -> bool:
        """Take it; False where somebody else has it."""
        lock = open(_place(), "a+")  # noqa: SIM115 -- it stays open for as long as it is held
        try:
            fcntl.flock(lock, fcntl.LOCK_EX | fcntl.LOCK_NB)
        except BlockingIOError:
            lock.close()
            return False
        self._lock = lock
        self.note(0)
        return True

    def note(self, port: int) -> None:
        """Write down which port is served."""
        assert self._lock is not None
        self._lock.seek(0)
        self._lock.truncate()
        self._lock.write(f"{os.getpid()} {port}\n")
        self._lock.flush()

    def give_back(self) -> None:
        """Let somebody else have it."""
        if self._lock is not None:
            self._lock.truncate(0)
            self._lock.close()
            self._lock = None

    def __enter__(self) -> "Owner":
        return self

    def __exit__(
        self,
        _kind: type[BaseException] | None,
        _wrong: BaseException | None,
        _trace: TracebackType | None,
    ) -> None:
        self.give_back()


def _place() -> str:
    return str(state_folder() / "owner")


def noted() -> Note | None:
    """Return what the owner wrote down; None where there is none, or nothing that can be read."""
    if not is_owned():
        return None
    try:
        with open(_place()) as place:
            process, port = place.read().split()
        return Note(int(process), int(port))
    except (OSError, ValueError):
        return None


def is_owned() -> bool:
    """Return whether somebody runs this installation now."""
    try:
        with open(_place()) as place:
            fcntl.flock(place, fcntl.LOCK_SH | fcntl.LOCK_NB)
    except FileNotFoundError:
        return False
    except BlockingIOError:
        return True
    return False
