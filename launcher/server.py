"""The application: gunicorn with one process and threads, processes for long work; the algebra has its own."""

import hashlib
import json
import os
import signal
import socket
import subprocess
import time
import urllib.error
import urllib.request
from pathlib import Path
from typing import Any

from launcher import processes
from launcher.install import logs
from launcher.places import CORE, PYTHON, WEB, state_folder
from launcher.postgres import Cluster, free_port
from launcher.steps import fail, run, say

PREFERRED_PORT = 8600
JOB_WORKERS = 2


def _environment(cluster: Cluster, database: str, name: str = "command") -> dict[str, str]:
    """Return what Django needs: where the database is, the settings of the real server, where it logs."""
    return {
        **cluster.environment(database),
        "PYTHONPATH": f"{WEB}:{CORE}",
        "DJANGO_SETTINGS_MODULE": "config.settings.base",
        "UCHUU_INSTALLATION": installation(),
        "UCHUU_TRAY": _tray(database),
        "UCHUU_LOG": str(logs() / f"{name}-{database}.log"),
    }


def tray_address(database: str) -> Path:
    """Return the file that says where the tray beside *database* answers."""
    return state_folder() / f"tray-{database}-address"


def _tray(database: str) -> str:
    place = tray_address(database)
    return place.read_text().strip() if place.exists() else ""


_READ_ABOVE = "Read the message above. ./uchuu reset-demo sets the demo data anew."


def manage(
    cluster: Cluster, *words: str, database: str = "uchuu", advice: str = _READ_ABOVE
) -> str:
    """Run one of Django's commands; the step is named after it."""
    return run(
        f"run {words[0]}",
        [PYTHON, WEB / "manage.py", *words],
        env=_environment(cluster, database),
        advice=advice,
    )


def address(port: int) -> str:
    """Return the address to open."""
    return f"http://127.0.0.1:{port}"


def health(port: int, part: str = "") -> dict[str, Any] | None:
    """Return what the server on *port* says of its health; None where none of ours answers."""
    try:
        with urllib.request.urlopen(f"{address(port)}/api/health{part}", timeout=5) as reply:
            told: dict[str, Any] = json.loads(reply.read())
    except urllib.error.HTTPError as unwell:
        try:
            told = json.loads(unwell.read())
        except ValueError:
            return None
    except (urllib.error.URLError, OSError, ValueError):
        return None
    return told if told.get("installation") == installation() else None


def installation() -> str:
    """Return the mark by which a server of this installation is told from another one's."""
    return hashlib.sha256(str(state_folder()).encode()).hexdigest()[:16]


def is_answering(port: int) -> bool:
    """Return whether our server answers on *port*, with its database."""
    told = health(port, "/ready")
    return told is not None and bool(told.get("ready"))


def _is_free(port: int) -> bool:
    with socket.socket() as probe:
        probe.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        try:
            probe.bind(("127.0.0.1", port))
        except OSError:
            return False
    return True


def port_to_serve(wanted: int | None) -> int:
    """Return the port of this installation: the one wished for, or the one of before; noted for the next time."""
    place = state_folder() / "address"
    try:
        before = int(place.read_text())
    except (OSError, ValueError):
        before = PREFERRED_PORT
    port = wanted or before
    if not _is_free(port):
        if wanted:
            fail(
                "take the port",
                f"something else listens on {port}",
                "Stop it, or choose another with --port.",
            )
        port = free_port()
        say(f"  Something else listens on port {before}; the address is another one this time.")
    if wanted or not place.exists():
        place.write_text(str(port))
    return port


class Server:
    """The web server; ``wait`` before it is used."""

    def __init__(self, cluster: Cluster, port: int, database: str = "uchuu") -> None:
        self.port = port
        self._cluster, self._database = cluster, database
        self._name = f"server-{database}"
        self._process: subprocess.Popen[bytes] | None = None

    @property
    def runs(self) -> bool:
        """Return whether its process lives."""
        return self._process is not None and self._process.poll() is None

    def begin(self) -> None:
        """Start it."""
        scratch = "/dev/shm" if Path("/dev/shm").exists() else "/tmp"
        self._process = processes.begin(
            self._name,
            [
                *(PYTHON, "-m", "gunicorn", "config.wsgi", "--bind", f"127.0.0.1:{self.port}"),
                *("--workers", "1", "--threads", "40", "--timeout", "60"),
                *("--graceful-timeout", "5", "--worker-tmp-dir", scratch),
                *("--control-socket", state_folder() / f"gunicorn-{self.port}.ctl"),
            ],
            cwd=WEB,
            env=_environment(self._cluster, self._database, "server"),
            output=self._output,
        )

    @property
    def _output(self) -> Path:
        return logs() / f"{self._name}.out"

    def wait(self) -> None:
        """Wait until it answers, for as long as it lives: a slow machine is waited for.

        Raises:
            StepFailed: it ended.
        """
        while health(self.port) is None:
            if not self.runs:
                tail = self._output.read_text(errors="replace")[-800:]
                fail("start the server", tail, f"Read {self._output}.")
            time.sleep(0.05)

    def end(self) -> None:
        """Stop it, its workers too."""
        processes.end(self._name, self._process)
        self._process = None

    def kill(self) -> None:
        """End it at once, as a crash would."""
        if self._process is not None:
            os.killpg(self._process.pid, signal.SIGKILL)
            self._process.wait(5)


class JobWorker:
    """A process that does long work; started again when it ends by itself."""

    def __init__(self, cluster: Cluster, database: str = "uchuu", slot: int = 1) -> None:
        self._cluster, self._database, self._slot = cluster, database, slot
        self._name = f"jobs{slot}-{database}"
        self._process: subprocess.Popen[bytes] | None = None

    def keep(self) -> bool:
        """Start it where it does not run; return whether that was so."""
        if self._process is not None and self._process.poll() is None:
            return False
        env = _environment(self._cluster, self._database, f"jobs{self._slot}")
        self._process = processes.begin(
            self._name,
            ["nice", PYTHON, "manage.py", "work_jobs"],
            cwd=WEB,
            env={**env, "UCHUU_ALGEBRA_WORKERS": "2", "UCHUU_JOB_SLOT": str(self._slot)},
            output=logs() / f"{self._name}.out",
        )
        return True

    def end(self) -> None:
        """End it; what it was doing is taken up at the next start."""
        processes.end(self._name, self._process)
        self._process = None

    def kill(self) -> None:
        """End it at once, as a crash would."""
        if self._process is not None:
            os.killpg(self._process.pid, signal.SIGKILL)
            self._process.wait(5)
