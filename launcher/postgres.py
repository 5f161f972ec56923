"""A private PostgreSQL cluster on loopback, started and stopped with the application.

No sockets in the file system, one password made at the first start, a port that is free. Under
root the server runs as user ``postgres``; otherwise as us. Files that are empty or garbled are made anew.
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
from launcher.places import database_user, enough_room, is_root, state_folder
from launcher.processes import is_alive
from launcher.steps import fail

_USER = "uchuu"
_INSTALLED = Path("/usr/lib/postgresql")
_TRIES = 40


def programs(version: str = "") -> Path | None:
    """Return the folder of PostgreSQL's server programs: of *version*, else the newest."""
    found = sorted(
        _INSTALLED.glob(f"{version or '*'}/bin/initdb"),
        key=lambda path: int(path.parts[-3]) if path.parts[-3].isdigit() else 0,
    )
    if found:
        return found[-1].parent
    on_path = None if version else shutil.which("initdb")
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

    def run(self, command: Sequence[str | Path], **more: Any) -> subprocess.CompletedProcess[str]:
        """Run a program as the cluster's owner."""
        owner = database_user()
        if owner:
            more |= {"user": owner.pw_uid, "group": owner.pw_gid, "extra_groups": []}
        if "input" not in more:
            more["stdin"] = subprocess.DEVNULL
        return subprocess.run(
            [str(part) for part in command],
            cwd="/",
            stdout=subprocess.PIPE,
            stderr=subprocess.STDOUT,
            text=True,
            check=False,
            **more,
        )

    def program(self, name: str) -> Path:
        """Return one of PostgreSQL's programs, of the version that made the data.

        Raises:
            StepFailed: it is not on this machine, and cannot be installed.
        """
        debian("PostgreSQL", "postgresql", programs())
        made_by = self._version()
        folder = programs(made_by)
        if folder is None and made_by:
            newest = programs()
            there = newest.parts[-2] if newest else "none"
            fail(
                "open the database",
                f"its data are of PostgreSQL {made_by}, and here is {there}. Nothing was changed",
                f"Install that version beside it (apt-get install postgresql-{made_by}) and start"
                " again; ./uchuu backup then makes a file that any version takes back.",
            )
        if folder is None:
            fail("find PostgreSQL", "its programs are not there", "apt-get install postgresql")
        return folder / name

    def _version(self) -> str:
        """Return the version that made the data, "" where there are none."""
        try:
            return (self._data / "PG_VERSION").read_text().strip()
        except OSError:
            return ""

    @property
    def port(self) -> int:
        """Return the port that it listens on, as its main process or we noted it; 0: not known."""
        for place, line in ((self._data / "postmaster.pid", 3), (self.folder / "port", 0)):
            try:
                return int(place.read_text().splitlines()[line])
            except (OSError, ValueError, IndexError):
                continue
        return 0

    def listens(self) -> bool:
        """Return whether something listens on its port: cheap, for whoever watches it."""
        with socket.socket() as probe:
            probe.settimeout(2)
            return bool(self.port) and probe.connect_ex(("127.0.0.1", self.port)) == 0

    def is_up(self) -> bool:
        """Return whether the server answers (its process table may lie after a kill)."""
        if not self.port:
            return False
        where = ("-h", "127.0.0.1", "-p", str(self.port), "-q")
        return self.run([self.program("pg_isready"), *where]).returncode == 0

    def start(self) -> None:
        """Make the cluster when it is not there, and start it when it is not up; on the port of before.

        Raises:
            StepFailed: it cannot be made or started; says why.
        """
        with open(state_folder() / f"{self.name}.lock", "w") as lock:
            fcntl.flock(lock, fcntl.LOCK_EX)
            if not self._version():
                self._make()
            while self._main_lives():  # it recovers, or it stops: either takes as long as it takes
                if self.is_up():
                    break
                time.sleep(0.1)
            else:
                self._launch(self._port_to_take())
            (self.folder / "port").write_text(str(self.port))

    def _port_to_take(self) -> int:
        before = self.port
        with closing(socket.socket()) as probe:
            probe.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
            try:
                probe.bind(("127.0.0.1", before))
            except OSError:
                return free_port()
        return before or free_port()

    def _password(self) -> str:
        try:
            return (self.folder / "password").read_text().strip()
        except (OSError, ValueError):
            return ""

    def _write_password(self) -> str:
        password, place = secrets.token_urlsafe(24), self.folder / "password"
        place.write_text(password)
        place.chmod(0o600)
        owner = database_user()
        if owner:
            os.chown(place, owner.pw_uid, owner.pw_gid)
        return password

    def _new_password(self) -> None:
        """Set another password where the noted one was lost: the server is down, its owner may."""
        password = self._write_password()
        (self._data / "postmaster.pid").unlink(missing_ok=True)
        command: list[str | Path] = [
            self.program("postgres"),
            "--single",
            "-D",
            self._data,
            "postgres",
        ]
        done = self.run(command, input=f"ALTER ROLE {_USER} PASSWORD '{password}'\n")
        if done.returncode != 0:
            (self.folder / "password").unlink()
            fail("set the database's password", done.stdout[-400:], "See the message above.")

    def _make(self) -> None:
        """Make it beside its place and put it there whole: what was broken off is never taken for data."""
        self.program("initdb")
        owner = database_user()
        if is_root() and owner is None:
            fail("find the user postgres", "it is not there", "apt-get install postgresql")
        enough_room(state_folder(), 300)
        self.folder.mkdir(parents=True, exist_ok=True)
        if owner:
            os.chown(self.folder, owner.pw_uid, owner.pw_gid)
        self._write_password()
        new = self.folder / "data.new"
        for left in (new, self._data):
            shutil.rmtree(left, ignore_errors=True)
        password = self.folder / "password"
        done = self.run(
            [
                *(self.program("initdb"), "-D", new, "-U", _USER, "--pwfile", password),
                *("--auth=scram-sha-256", "--encoding=UTF8", "--locale=C.UTF-8"),
                *(() if self.durable else ("--no-sync",)),
            ]
        )
        if done.returncode != 0:
            shutil.rmtree(new, ignore_errors=True)
            full = "No space left" in done.stdout
            fail(
                "make the database cluster",
                done.stdout.strip()[-400:],
                "Make room on the disk and start again."
                if full
                else "Name a folder that its user can reach: UCHUU_STATE=/some/folder ./uchuu start",
            )
        new.rename(self._data)

    def _launch(self, port: int) -> None:
        if not self._password():
            self._new_password()
        options = f"-p {port} -c listen_addresses=127.0.0.1 -c unix_socket_directories='' -c max_connections=200"
        if not self.durable:
            options += " -c fsync=off -c full_page_writes=off -c synchronous_commit=off"
        log = self.folder / "log"
        if log.exists() and log.stat().st_size > 5_000_000:
            log.replace(self.folder / "log.old")
        command: list[str | Path] = [self.program("pg_ctl"), "start", "-w", "-t", "3600"]
        for _ in range(_TRIES):
            (self._data / "postmaster.pid").unlink(missing_ok=True)  # noted by one that is dead
            done = self.run([*command, "-D", self._data, "-l", log, "-o", options])
            tail = log.read_text(errors="replace")[-500:] if log.exists() else done.stdout
            if done.returncode == 0 or "shared memory block" not in tail:
                break
            time.sleep(0.5)  # children of a killed main process are still going
        if done.returncode != 0:
            full = "No space left" in tail
            advice = "Make room on the disk and start again." if full else f"Read {log}."
            fail("start the database", tail, advice)

    def _main_lives(self) -> bool:
        """Return whether the main process that noted itself lives."""
        try:
            process = int((self._data / "postmaster.pid").read_text().splitlines()[0])
        except (OSError, ValueError, IndexError):
            return False
        return is_alive(process) and self._is_main(process)

    def _is_main(self, process: int) -> bool:
        try:
            return str(self._data).encode() in Path(f"/proc/{process}/cmdline").read_bytes()
        except OSError:
            return False

    def stop(self) -> None:
        """Stop the server; fine when it is not running."""
        if (self._data / "postmaster.pid").exists():
            how = ("stop", "-w", "-t", "20", "-m", "fast", "-D", self._data)
            self.run([self.program("pg_ctl"), *how])

    def environment(self, database: str = "uchuu") -> dict[str, str]:
        """Return the variables by which Django finds the database."""
        return {
            "UCHUU_STATE": str(state_folder()),
            "UCHUU_DB_NAME": database,
            "UCHUU_DB_USER": _USER,
            "UCHUU_DB_HOST": "127.0.0.1",
            "UCHUU_DB_PORT": str(self.port),
            "UCHUU_DB_PASSWORD": self._password(),
        }

    def client(self, program: str, *words: str | Path) -> subprocess.CompletedProcess[str]:
        """Run one of PostgreSQL's client programs against the running server."""
        where = ("-h", "127.0.0.1", "-p", str(self.port), "-U", _USER)
        return subprocess.run(
            [str(self.program(program)), *where, *map(str, words)],
            env={**os.environ, "PGPASSWORD": self._password()},
            stdin=subprocess.DEVNULL,
            capture_output=True,
            text=True,
            check=False,
        )

    def create_database(self, database: str = "uchuu") -> None:
        """Create *database* when it is not there."""
        done = self.client("createdb", database)
        if done.returncode != 0 and "already exists" not in done.stderr:
            fail("create the database", done.stderr.strip(), "See the message above.")
