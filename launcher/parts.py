"""Processes that an installation is made of: a web server, workers for long work."""

import os
import signal
import subprocess
import time
from collections import deque
from collections.abc import Callable, Mapping, Sequence
from pathlib import Path

from launcher import processes
from launcher.install import logs
from launcher.places import PYTHON, WEB, state_folder
from launcher.steps import fail, say

Command = Sequence[str | Path]
MOST_DEATHS, A_WHILE = 8, 30.0
"""So many ends of one part within so many seconds are no accident."""


ANSWERS, JOBS = 15, 19
"""How far they give way to what somebody waits for in the middle of a line: all other calls, and long work."""
JOBS_AT_HOME = 10
"""On a computer of one's own other programs are busy, too: long work gives way to who types and gets on beside them."""


class Part:
    """One process that we start, watch, and stop; *gives_way*: how far it leaves the processor to others."""

    def __init__(self, name: str, command: Command, gives_way: int = 0) -> None:
        self.name, self._command, self._gives_way = name, command, gives_way
        self._process: subprocess.Popen[bytes] | None = None

    def environment(self) -> Mapping[str, str]:
        """Return what the process is told, at the moment when it is started."""
        return {}

    @property
    def output(self) -> Path:
        """Return the file that it writes to."""
        return logs() / f"{self.name}.out"

    @property
    def runs(self) -> bool:
        """Return whether its process lives."""
        return self._process is not None and self._process.poll() is None

    def begin(self) -> None:
        """Start it."""
        self._process = processes.begin(
            self.name,
            self._command,
            cwd=WEB,
            env=self.environment(),
            output=self.output,
            gives_way=self._gives_way,
        )

    def keep(self) -> bool:
        """Start it where it does not run; return whether that was so."""
        if self.runs:
            return False
        self.begin()
        return True

    def end(self, seconds: float = 10) -> None:
        """Stop it, all that it started too; it has so many *seconds* to end what it does."""
        processes.end(self.name, self._process, seconds)
        self._process = None

    def kill(self) -> None:
        """End it at once, as a crash would."""
        if self._process is not None:
            os.killpg(self._process.pid, signal.SIGKILL)
            self._process.wait(5)


def gunicorn(
    listen: str, *, workers: int = 1, threads: int = 40, graceful: int = 5
) -> list[str | Path]:
    """Return the command of the web server: processes with threads; the algebra has processes of its own."""
    scratch = "/dev/shm" if Path("/dev/shm").exists() else "/tmp"
    port = listen.rpartition(":")[2]
    return [
        *(PYTHON, "-m", "gunicorn", "config.wsgi", "--bind", listen),
        *("--workers", str(workers), "--threads", str(threads), "--timeout", "60"),
        *("--graceful-timeout", str(graceful), "--worker-tmp-dir", scratch, "--keep-alive", "75"),
        *("--control-socket", state_folder() / f"gunicorn-{port}.ctl"),
        *("-c", "python:config.gunicorn"),
    ]


JOB_COMMAND: Command = (PYTHON, "manage.py", "work_jobs")
"""Does long work."""


def wait_until(answers: Callable[[], bool], part: Part) -> None:
    """Wait until *part* answers, for as long as it lives: a slow machine is waited for.

    Raises:
        StepFailed: it ended.
    """
    while not answers():
        if not part.runs:
            tail = part.output.read_text(errors="replace")[-800:]
            fail("start the server", tail, f"Read {part.output}.")
        time.sleep(0.05)


class Deaths:
    """How often parts ended by themselves."""

    def __init__(self) -> None:
        self._of: dict[str, deque[float]] = {}

    def told(self, what: str) -> None:
        """Note that *what* had ended and is started again.

        Raises:
            StepFailed: it ends over and over.
        """
        say(f"  The {what} had ended and is started again.")
        now = time.monotonic()
        deaths = self._of.setdefault(what, deque(maxlen=MOST_DEATHS))
        if len(deaths) == MOST_DEATHS and now - deaths[0] < A_WHILE:
            fail(
                "keep Uchuu running",
                f"the {what} ends over and over",
                f"Read the newest files in {logs()}; is the disk full?",
            )
        deaths.append(now)
