"""Processes that we started: noted in the state folder, known again after whoever started them was killed."""

import contextlib
import os
import signal
import subprocess
import time
from collections.abc import Mapping, Sequence
from pathlib import Path

from launcher.places import state_folder

MOST_OUTPUT = 1_000_000
"""Bytes of a process's output that are kept; an older file stays beside it."""


def _notes() -> Path:
    folder = state_folder() / "processes"
    folder.mkdir(exist_ok=True)
    return folder


def _giving_way(niceness: int) -> Sequence[str]:
    """Return what a command begins with that leaves the processor to others, with all that it starts.

    Linux shares the processor out among sessions first, then among the processes of each: the session that
    is begun with it gives way too, where there is such a thing.
    """
    script = '{ echo "$0" > /proc/self/autogroup; } 2>/dev/null; exec nice -n "$0" "$@"'
    return ("sh", "-c", script, str(niceness)) if niceness else ()


def begin(
    name: str,
    command: Sequence[str | Path],
    *,
    cwd: Path,
    env: Mapping[str, str],
    output: Path,
    gives_way: int = 0,
) -> subprocess.Popen[bytes]:
    """Start a process in a session of its own and note it under *name*; *gives_way*: its niceness (to 19)."""
    with contextlib.suppress(OSError):
        if output.stat().st_size > MOST_OUTPUT:
            output.replace(output.with_suffix(".old"))
    with open(output, "ab") as file:
        process = subprocess.Popen(
            [str(part) for part in (*_giving_way(gives_way), *command)],
            cwd=cwd,
            env={**os.environ, **env},
            stdin=subprocess.DEVNULL,
            stdout=file,
            stderr=file,
            start_new_session=True,
        )
    (_notes() / name).write_text(f"{process.pid}\n")
    return process


def end(name: str, process: subprocess.Popen[bytes] | None, seconds: float = 10) -> None:
    """Stop a process that we started, and all that it started; after *seconds* at once."""
    if process is not None and process.poll() is None:
        process.send_signal(signal.SIGTERM)
        try:
            process.wait(seconds)
        except subprocess.TimeoutExpired:
            os.killpg(process.pid, signal.SIGKILL)
            process.wait(5)
    (_notes() / name).unlink(missing_ok=True)


def end_left(ending: str = "") -> list[str]:
    """End what an owner that was killed left running, and return the names; *ending*: of those names only."""
    ended = []
    for note in sorted(_notes().iterdir()):
        if not note.name.endswith(ending):
            continue
        process = _number(note)
        if process is not None and _is_ours(process):
            _end_group(process)
            ended.append(note.name)
        note.unlink(missing_ok=True)
    return ended


def _number(note: Path) -> int | None:
    try:
        return int(note.read_text())
    except (OSError, ValueError):
        return None


def is_alive(process: int) -> bool:
    """Return whether *process* runs (a zombie does not)."""
    try:
        return "\nState:\tZ" not in Path(f"/proc/{process}/status").read_text()
    except OSError:
        return False


def _is_ours(process: int) -> bool:
    """Return whether *process* runs for this installation: numbers are given again to others."""
    try:
        environment = Path(f"/proc/{process}/environ").read_bytes().split(b"\0")
    except OSError:
        return False
    return f"UCHUU_STATE={state_folder()}".encode() in environment and is_alive(process)


def _end_group(process: int) -> None:
    for signal_, seconds in ((signal.SIGTERM, 10.0), (signal.SIGKILL, 5.0)):
        with contextlib.suppress(ProcessLookupError):
            os.killpg(process, signal_)
        deadline = time.monotonic() + seconds
        while is_alive(process) and time.monotonic() < deadline:
            time.sleep(0.05)
        if not is_alive(process):
            return
