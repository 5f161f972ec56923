"""The application: gunicorn with one process and threads, processes for long work; the algebra has its own."""

import hashlib
import json
import socket
import urllib.error
import urllib.request
from pathlib import Path
from typing import Any

from launcher import parts
from launcher.install import logs
from launcher.places import CORE, PYTHON, WEB, state_folder
from launcher.postgres import Cluster, free_port
from launcher.steps import fail, run, say

PREFERRED_PORT = 8600
JOB_WORKERS = 2


def environment(cluster: Cluster, database: str, name: str = "command") -> dict[str, str]:
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
        env=environment(cluster, database),
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


class Server(parts.Part):
    """The web server; ``wait`` before it is used."""

    def __init__(
        self, cluster: Cluster, port: int, database: str = "uchuu", workers: int = 1
    ) -> None:
        command = parts.gunicorn(f"127.0.0.1:{port}", workers=workers)
        super().__init__(f"server-{database}", command)
        self.port = port
        self._cluster, self._database = cluster, database

    def environment(self) -> dict[str, str]:
        """Return what it is told."""
        return environment(self._cluster, self._database, "server")

    def wait(self) -> None:
        """Wait until it answers.

        Raises:
            StepFailed: it ended.
        """
        parts.wait_until(lambda: health(self.port) is not None, self)


class JobWorker(parts.Part):
    """A process that does long work; started again when it ends by itself."""

    def __init__(self, cluster: Cluster, database: str = "uchuu", slot: int = 1) -> None:
        super().__init__(f"jobs{slot}-{database}", parts.JOB_COMMAND, parts.JOBS_AT_HOME)
        self._cluster, self._database, self._slot = cluster, database, slot

    def environment(self) -> dict[str, str]:
        """Return what it is told."""
        told = environment(self._cluster, self._database, f"jobs{self._slot}")
        return {**told, "UCHUU_ALGEBRA_WORKERS": "2", "UCHUU_JOB_SLOT": str(self._slot)}
