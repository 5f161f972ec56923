"""One host of a school's server: a web server and workers beside a database that others keep."""

import os
import subprocess
import time
import urllib.error
import urllib.request
from functools import partial
from pathlib import Path

from launcher import parts, processes
from launcher.places import CLIENT, CORE, PYTHON, WEB
from launcher.postgres import programs
from launcher.serving.configuration import Configuration
from launcher.steps import fail, run, say

THREADS_FOR_VERDICTS = 8
"""Calls that are judged at a time: each is done within a moment."""
CONNECTIONS_OF_A_WORKER = 7
"""To the database, that a process for long work keeps."""
GRACE = 30
"""Seconds that calls in flight have to end when the host stops."""


class Host:
    """What runs here; ``Configuration`` says how."""

    def __init__(self, found: Configuration) -> None:
        self.found = found
        port = found.address[1]
        #: What somebody waits for in the middle of a line has processes of its own, before which all others give way.
        self._verdicts = _Part(
            found, f"verdicts-{port}", _gunicorn(found.for_verdicts, 1, THREADS_FOR_VERDICTS)
        )
        self._web = _Part(
            found,
            f"server-{port}",
            _gunicorn(found["server.listen"], found["workers.web"], found["workers.threads"]),
            gives_way=parts.ANSWERS,
        )
        self._jobs = [
            _Part(found, f"jobs{slot}-{port}", parts.JOB_COMMAND, slot, gives_way=parts.JOBS)
            for slot in range(1, found["workers.jobs"] + 1)
        ]
        self._deaths = parts.Deaths()

    def manage(self, *words: str, advice: str, told: dict[str, str] | None = None) -> str:
        """Run one of Django's commands against the school's database."""
        return run(
            f"run {words[0]}",
            [PYTHON, WEB / "manage.py", *words],
            env={**environment(self.found, "command"), **(told or {})},
            advice=advice,
        )

    def client(self, program: str, *words: str | Path) -> subprocess.CompletedProcess[str]:
        """Run one of PostgreSQL's client programs against the school's database."""
        folder = programs()
        if folder is None:
            fail("find PostgreSQL's programs", "none is here", "apt-get install postgresql-client")
        return subprocess.run(
            [str(folder / program), *map(str, words), "--dbname", self.found["database.url"]],
            env={**os.environ, "PGPASSWORD": self.found.secrets.get("database", "")},
            stdin=subprocess.DEVNULL,
            capture_output=True,
            text=True,
            check=False,
        )

    def begin(self) -> None:
        """Bring the database up to date, start everything and wait until it answers."""
        if not (CLIENT / "dist" / "index.html").exists():
            fail("find the front end", "it is not built here", "Run ./uchuu install on this host.")
        processes.end_left(f"-{self.found.address[1]}")
        (self.found.state / "draining").unlink(missing_ok=True)
        metrics = self.found.state / "metrics"
        metrics.mkdir(exist_ok=True)
        for old in metrics.glob("*.db"):
            old.unlink()
        self.manage("set_up", "--own", advice="Read the message above. Nothing is served yet.")
        for _, part, address in self._servers():
            part.begin()
            parts.wait_until(partial(_is_ready, address), part)
        for worker in self._jobs:
            worker.begin()

    def _servers(self) -> "tuple[tuple[str, _Part, str], ...]":
        """Return what answers calls, by name, and where; whoever watches the host asks the last one."""
        return (
            ("server for verdicts", self._verdicts, self.found.for_verdicts),
            ("server", self._web, self.found["server.listen"]),
        )

    def watch(self) -> None:
        """Start again whatever ended.

        Raises:
            StepFailed: it ends over and over.
        """
        while True:
            time.sleep(0.5)
            for name, part, _ in self._servers():
                if not part.runs:
                    self._deaths.told(name)
                    part.end()
                    part.begin()
            for slot, worker in enumerate(self._jobs, start=1):
                if worker.keep():
                    self._deaths.told(f"worker {slot} for long work")

    def end(self, *, drain: bool = True) -> None:
        """Say “not ready” for a while, so that the proxy asks others; then stop, calls in flight first."""
        if drain and self._web.runs and self.found["server.drain_seconds"]:
            say("Not ready any more; calls in flight are answered …")
            (self.found.state / "draining").touch()
            time.sleep(self.found["server.drain_seconds"])
        for _, part, _ in self._servers():
            part.end(GRACE + 5)
        for worker in self._jobs:
            worker.end()
        (self.found.state / "draining").unlink(missing_ok=True)


class _Part(parts.Part):
    """One process of a host."""

    def __init__(
        self,
        found: Configuration,
        name: str,
        command: "parts.Command",
        slot: int | None = None,
        gives_way: int = 0,
    ) -> None:
        super().__init__(name, command, gives_way)
        self._found, self._slot = found, slot

    def environment(self) -> dict[str, str]:
        told = environment(self._found, self.name)
        if self._gives_way:
            told |= {"UCHUU_ALGEBRA_GIVES_WAY": "1"}
        if self._slot is not None:
            told |= {"UCHUU_ALGEBRA_WORKERS": "2"}
            told |= {"UCHUU_JOB_SLOT": f"{self._found.name}-{self._slot}"}
        return told

    @property
    def output(self) -> Path:
        folder = self._found.state / "log"
        folder.mkdir(exist_ok=True)
        return folder / f"{self.name}.out"


def _gunicorn(listen: str, workers: int, threads: int) -> "parts.Command":
    return parts.gunicorn(listen, workers=workers, threads=threads, graceful=GRACE)


def _is_ready(address: str) -> bool:
    """Return whether what listens there can do its work."""
    try:
        with urllib.request.urlopen(f"http://{address}/api/health/ready", timeout=5):
            return True
    except (urllib.error.URLError, OSError):
        return False


def environment(found: Configuration, name: str) -> dict[str, str]:
    """Return what Django is told on this host."""
    return {
        **found.environment(),
        "UCHUU_STATE": str(found.state),
        "UCHUU_ALGEBRA_WORKERS": str(found["workers.algebra"]),
        "UCHUU_MOST_CONNECTIONS": str(
            THREADS_FOR_VERDICTS
            + found["workers.web"] * found["workers.threads"]
            + found["workers.jobs"] * CONNECTIONS_OF_A_WORKER
        ),
        "UCHUU_INSTALLATION": found.name,
        "UCHUU_LOG": str(found.state / "log" / f"{name}.log"),
        "PROMETHEUS_MULTIPROC_DIR": str(found.state / "metrics"),
        "PYTHONPATH": f"{WEB}:{CORE}",
        "DJANGO_SETTINGS_MODULE": "config.settings.server",
    }
