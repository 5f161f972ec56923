"""A private PostgreSQL cluster on loopback, started and stopped with the application.

No sockets in the file system, one password made at the first start, a port that is free. Under
root the server runs as user ``postgres``; otherwise as us.
"""

import fcntl
import os
import secrets
import shutil
import socket
import subprocess
import time
from collections.abc import Sequence
from contextlib import closing
from dataclasses import dataclass
from pathlib import Path
from typing import Any

from launcher.install import debian
from launcher.places import database_user, is_root, state_folder
from launcher.steps import fail

_USER = "uchuu"


def _programs() -> Path | None:
    """Return the folder of PostgreSQL's server programs, newest version first."""
    found = sorted(
        Path("/usr/lib/postgresql").glob("*/bin/initdb"),
        key=lambda path: int(path.parts[-3]) if path.parts[-3].isdigit() else 0,
    )
    if found:
        return found[-1].parent
    on_path = shutil.which("initdb")
    return Path(on_path).resolve().parent if on_path else None


def free_port() -> int:
    """Return a loopback port that nobody listens on now."""
    with closing(socket.socket()) as found:
        found.bind(("127.0.0.1", 0))
        return int(found.getsockname()[1])


@dataclass(frozen=True)
class Cluster:
    """One cluster. ``name`` is its folder; ``durable=False`` trades safety for speed (tests)."""

    name: str = "postgres"
    durable: bool = True

    @property
    def folder(self) -> Path:
        """Where its data are."""
        return state_folder() / self.name

    @property
    def _data(self) -> Path:
        return self.folder / "data"

    def _run(self, command: Sequence[str | Path]) -> subprocess.CompletedProcess[str]:
        owner = database_user()
        as_owner: dict[str, Any] = {}
        if owner:
            as_owner = {"user": owner.pw_uid, "group": owner.pw_gid, "extra_groups": []}
        return subprocess.run(
            [str(part) for part in command],
            cwd="/",
            stdin=subprocess.DEVNULL,
            stdout=subprocess.PIPE,
            stderr=subprocess.STDOUT,
            text=True,
            check=False,
            **as_owner,
        )

    def _program(self, name: str) -> Path:
        debian("PostgreSQL", "postgresql", _programs())
        folder = _programs()
        if folder is None:
            fail("find PostgreSQL", "its programs are not there", "apt-get install postgresql")
        return folder / name

    def is_up(self) -> bool:
        """Return whether the server answers (its process table may lie after a kill)."""
        port = self.folder / "port"
        if not port.exists():
            return False
        where = ("-h", "127.0.0.1", "-p", port.read_text(), "-q")
        return self._run([self._program("pg_isready"), *where]).returncode == 0

    def start(self, *, port: int | None = None) -> None:
        """Make the cluster when it is not there, and start it when it is not up.

        ``port``: the one to listen on, where it must be the same as before.

        Raises:
            StepFailed: it cannot be made or started; says why.
        """
        state_folder()
        with open(state_folder() / f"{self.name}.lock", "w") as lock:
            fcntl.flock(lock, fcntl.LOCK_EX)
            if not (self._data / "PG_VERSION").exists():
                self._make()
            if not self.is_up():
                self._launch(port or free_port())

    def _make(self) -> None:
        self._program("initdb")
        owner = database_user()
        if is_root() and owner is None:
            fail("find the user postgres", "it is not there", "apt-get install postgresql")
        self.folder.mkdir(parents=True, exist_ok=True)
        password = self.folder / "password"
        password.write_text(secrets.token_urlsafe(24))
        password.chmod(0o600)
        if owner:
            for place in (self.folder, password):
                os.chown(place, owner.pw_uid, owner.pw_gid)
        done = self._run(
            [
                *(self._program("initdb"), "-D", self._data, "-U", _USER, "--pwfile", password),
                *("--auth=scram-sha-256", "--encoding=UTF8", "--locale=C.UTF-8"),
                *(() if self.durable else ("--no-sync",)),
            ]
        )
        if done.returncode != 0:
            shutil.rmtree(self._data, ignore_errors=True)
            fail(
                "make the database cluster",
                done.stdout.strip()[-400:],
                "Name a folder that its user can reach: UCHUU_STATE=/some/folder ./uchuu start",
            )

    def _launch(self, port: int) -> None:
        (self._data / "postmaster.pid").unlink(missing_ok=True)
        options = f"-p {port} -c listen_addresses=127.0.0.1 -c unix_socket_directories=''"
        if not self.durable:
            options += " -c fsync=off -c full_page_writes=off -c synchronous_commit=off"
        log = self.folder / "log"
        done = self._run(
            [
                *(self._program("pg_ctl"), "start", "-w", "-t", "30"),
                *("-D", self._data, "-l", log, "-o", options),
            ]
        )
        if done.returncode != 0:
            tail = log.read_text()[-500:] if log.exists() else done.stdout
            fail("start the database", tail, f"Read {log}.")
        place = self.folder / "port"
        place.write_text(str(port))
        deadline = time.monotonic() + 10
        while not self.is_up():
            if time.monotonic() > deadline:
                fail("start the database", "it does not answer", f"Read {log}.")
            time.sleep(0.05)

    def stop(self) -> None:
        """Stop the server; fine when it is not running."""
        if (self._data / "postmaster.pid").exists():
            how = ("stop", "-w", "-t", "20", "-m", "fast", "-D", self._data)
            self._run([self._program("pg_ctl"), *how])

    def environment(self, database: str = "uchuu") -> dict[str, str]:
        """Return the variables by which Django finds the database."""
        return {
            "UCHUU_STATE": str(state_folder()),
            "UCHUU_DB_NAME": database,
            "UCHUU_DB_USER": _USER,
            "UCHUU_DB_HOST": "127.0.0.1",
            "UCHUU_DB_PORT": (self.folder / "port").read_text(),
            "UCHUU_DB_PASSWORD": (self.folder / "password").read_text(),
        }

    def create_database(self, database: str = "uchuu") -> None:
        """Create *database* when it is not there."""
        env = self.environment(database)
        url = {**os.environ, "PGPASSWORD": env["UCHUU_DB_PASSWORD"]}
        done = subprocess.run(
            [
                *(str(self._program("createdb")), "-h", "127.0.0.1"),
                *("-p", env["UCHUU_DB_PORT"], "-U", _USER, database),
            ],
            env=url,
            capture_output=True,
            text=True,
            check=False,
        )
        if done.returncode != 0 and "already exists" not in done.stderr:
            fail("create the database", done.stderr.strip(), "See the message above.")
