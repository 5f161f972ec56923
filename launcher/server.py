"""The application server: gunicorn with one process and threads; the algebra has its own processes."""

import os
import signal
import socket
import subprocess
import time
import urllib.error
import urllib.request
from pathlib import Path

from launcher.install import logs
from launcher.places import CORE, PYTHON, WEB, state_folder
from launcher.postgres import Cluster, free_port
from launcher.steps import fail, run

PREFERRED_PORT = 8600


def _environment(cluster: Cluster, database: str) -> dict[str, str]:
    """Return what Django needs: where the database is, and the settings of the real server."""
    return {
        **cluster.environment(database),
        "PYTHONPATH": f"{WEB}:{CORE}",
        "DJANGO_SETTINGS_MODULE": "config.settings.base",
    }


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


def is_answering(port: int) -> bool:
    """Return whether our server answers on *port*."""
    try:
        with urllib.request.urlopen(f"{address(port)}/api/session", timeout=2) as reply:
            return bool(reply.status == 200)
    except (urllib.error.URLError, OSError):
        return False


def _is_free(port: int) -> bool:
    with socket.socket() as probe:
        probe.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        try:
            probe.bind(("127.0.0.1", port))
        except OSError:
            return False
    return True


def _place(port: int) -> Path:
    """Return where the process of the server on *port* is noted."""
    return state_folder() / f"server-{port}.pid"


def launch(
    cluster: Cluster, *, port: int | None = None, database: str = "uchuu"
) -> tuple[subprocess.Popen[bytes], int]:
    """Start the server and wait until it answers; return its process and port.

    Raises:
        StepFailed: it ended or did not answer within 30 seconds.
    """
    if port is None:
        port = PREFERRED_PORT if _is_free(PREFERRED_PORT) else free_port()
    log = logs() / f"server-{database}.log"
    with open(log, "ab") as output:
        process = subprocess.Popen(
            [str(PYTHON), "-m", "gunicorn", "config.wsgi", "--bind", f"127.0.0.1:{port}"]
            + ["--workers", "1", "--threads", "40", "--timeout", "60", "--graceful-timeout", "5"]
            + ["--control-socket", str(state_folder() / f"gunicorn-{port}.ctl")]
            + ["--worker-tmp-dir", "/dev/shm" if Path("/dev/shm").exists() else "/tmp"],
            cwd=WEB,
            env={**os.environ, **_environment(cluster, database)},
            stdin=subprocess.DEVNULL,
            stdout=output,
            stderr=output,
            start_new_session=True,
        )
    _place(port).write_text(str(process.pid))
    deadline = time.monotonic() + 30
    while not is_answering(port):
        if process.poll() is not None or time.monotonic() > deadline:
            end(process)
            tail = log.read_text(errors="replace")[-800:]
            fail("start the server", tail, f"Read {log}.")
        time.sleep(0.05)
    return process, port


class JobWorker:
    """The process that does long work; started again when it ends by itself."""

    def __init__(self, cluster: Cluster, database: str = "uchuu") -> None:
        self._cluster, self._database = cluster, database
        self._process: subprocess.Popen[bytes] | None = None

    def keep(self) -> None:
        """Start it where it does not run."""
        if self._process is not None and self._process.poll() is None:
            return
        with open(logs() / f"jobs-{self._database}.log", "ab") as output:
            self._process = subprocess.Popen(
                [str(PYTHON), "manage.py", "work_jobs"],
                cwd=WEB,
                env={**os.environ, **_environment(self._cluster, self._database)},
                stdin=subprocess.DEVNULL,
                stdout=output,
                stderr=output,
                start_new_session=True,
            )

    def end(self) -> None:
        """End it; what it was doing is taken up at the next start."""
        if self._process is not None:
            end(self._process)
            self._process = None

    def kill(self) -> None:
        """End it at once, as a crash would."""
        if self._process is not None:
            os.killpg(self._process.pid, signal.SIGKILL)
            self._process.wait(5)


def end(process: subprocess.Popen[bytes]) -> None:
    """Stop a server that we started, its workers too."""
    if process.poll() is None:
        process.send_signal(signal.SIGTERM)
        try:
            process.wait(10)
        except subprocess.TimeoutExpired:
            os.killpg(process.pid, signal.SIGKILL)
            process.wait(5)


def end_on(port: int) -> None:
    """Stop the server on *port* whose starter is gone."""
    try:
        os.kill(int(_place(port).read_text()), signal.SIGTERM)
    except (OSError, ValueError):
        return
