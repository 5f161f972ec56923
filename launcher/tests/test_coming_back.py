"""The whole application killed in its parts: it comes back by itself, nothing typed is lost, no job is done twice.

``UCHUU_KILLS`` says how often something is killed (a few here; 60 in the long tests).
"""

import json
import os
import random
import shutil
import signal
import subprocess
import sys
import tempfile
import time
import urllib.request
from collections.abc import Iterator
from http.cookiejar import CookieJar
from pathlib import Path
from typing import Any

import pytest

from launcher.owner import is_owned, noted
from launcher.places import PYTHON, WEB
from launcher.postgres import Cluster, free_port
from launcher.processes import is_alive
from launcher.server import environment, health, is_answering

pytestmark = pytest.mark.slow
ROOT = Path(__file__).resolve().parents[2]
KILLS = int(os.environ.get("UCHUU_KILLS", "6"))
BYTECODE = os.path.join(tempfile.gettempdir(), f"uchuu-bytecode-{os.getpid()}")
"""Shared by all installations here: what is compiled once is compiled."""
PATIENCE = 240
"""Seconds after which something is taken for broken: far more than a slow machine needs."""


class Installation:
    """An installation of its own, as somebody would start it."""

    def __init__(self, state: Path) -> None:
        self.state = state
        self.env = {**os.environ, "UCHUU_STATE": str(state), "PYTHONPYCACHEPREFIX": BYTECODE}
        self.port = free_port()
        self.process: subprocess.Popen[str] | None = None

    def command(self, *words: str) -> subprocess.CompletedProcess[str]:
        """Run one of our commands to its end."""
        command = [sys.executable, str(ROOT / "uchuu"), *words]
        return subprocess.run(
            command, env=self.env, capture_output=True, text=True, check=False, timeout=PATIENCE
        )

    def start(self) -> None:
        """Start it and wait until it is ready."""
        self.process = subprocess.Popen(
            [sys.executable, str(ROOT / "uchuu"), "start", "--port", str(self.port)],
            env=self.env,
            stdout=subprocess.PIPE,
            stderr=subprocess.STDOUT,
            text=True,
        )
        told = []
        assert self.process.stdout is not None
        for line in self.process.stdout:
            told.append(line)
            if "Uchuu is ready" in line:
                break
        else:
            raise AssertionError("".join(told))

    def wait(self) -> None:
        """Wait until it answers with its database again."""
        deadline = time.monotonic() + PATIENCE
        while not is_answering(self.port):
            assert time.monotonic() < deadline, "it does not come back"
            time.sleep(0.1)

    def note(self, name: str) -> int:
        """Return the number of one of its processes."""
        return int((self.state / "processes" / f"{name}-uchuu").read_text())

    def database(self) -> int:
        """Return the number of the database's main process."""
        text = (self.state / "postgres" / "data" / "postmaster.pid").read_text()
        return int(text.splitlines()[0])


@pytest.fixture
def here(monkeypatch: pytest.MonkeyPatch) -> Iterator[Installation]:
    """Return a new installation; whatever of it runs is stopped."""
    state = Path("/tmp") / f"uchuu-kills-{os.getpid()}-{time.monotonic_ns()}"
    monkeypatch.setenv("UCHUU_STATE", str(state))
    found = Installation(state)
    yield found
    found.command("stop")
    if found.process is not None:
        found.process.wait(60)
    shutil.rmtree(state, ignore_errors=True)


class Teacher:
    """Somebody who types: what is not stored is sent again, as the page does it."""

    def __init__(self, port: int) -> None:
        self._address = f"http://127.0.0.1:{port}/api"
        self._cookies = CookieJar()
        handler = urllib.request.HTTPCookieProcessor(self._cookies)
        self._opener = urllib.request.build_opener(handler)
        self.call("GET", "/session")
        self.call("POST", "/session", {"username": "marin", "password": "harbour-42"})

    def call(self, method: str, path: str, body: Any = None) -> Any:
        """Make a call, and again until it is answered."""
        deadline, last = time.monotonic() + PATIENCE, ""
        while True:
            token = next((c.value for c in self._cookies if c.name == "csrftoken"), "") or ""
            request = urllib.request.Request(
                self._address + path,
                method=method,
                data=None if body is None else json.dumps(body).encode(),
                headers={"Content-Type": "application/json", "X-CSRFToken": token},
            )
            try:
                with self._opener.open(request, timeout=20) as reply:
                    return json.loads(reply.read() or b"null")
            except urllib.error.HTTPError as refused:
                if refused.code in (409, 422, 404, 401):
                    raise
                last = str(refused)
            except (OSError, ValueError) as reason:
                last = str(reason)
            assert time.monotonic() < deadline, f"{method} {path} is never answered: {last}"
            time.sleep(0.2)


def test_parts_are_killed_while_somebody_types_and_a_job_runs(here: Installation) -> None:
    here.start()
    teacher = Teacher(here.port)
    stored = teacher.call("POST", "/examples", {"task": "solve", "given": "2x = 6", "lines": []})
    sheet = teacher.call("GET", "/sets")["results"][0]["id"]
    job = teacher.call("POST", f"/sets/{sheet}/versions", {"count": 1, "seed": 1})["id"]
    draw = random.Random(7)  # not so often that it is given up as what ends over and over
    typed: list[str] = []
    for number in range(KILLS):
        victim = ("database", "server", "jobs1", "jobs2")[number % 4]
        killed = here.database() if victim == "database" else here.note(victim)
        os.kill(killed, signal.SIGKILL)
        time.sleep(draw.uniform(0, 0.5))
        typed.append(f"x = {number}")
        body = {key: stored[key] for key in ("title", "task", "given", "version")}
        stored = teacher.call("PUT", f"/examples/{stored['id']}", {**body, "lines": typed})
        here.wait()
        time.sleep(1)
    assert teacher.call("GET", f"/examples/{stored['id']}")["lines"] == typed

    deadline = time.monotonic() + PATIENCE
    while (told := teacher.call("GET", f"/jobs/{job}"))["state"] in ("waiting", "running"):
        assert time.monotonic() < deadline, told
        time.sleep(0.3)
    assert told["state"] == "done", told
    assert told["done"] == told["total"]
    versions = [one for one in teacher.call("GET", "/sets")["results"] if one["form"]]
    assert len({one["form"] for one in versions}) == len(versions) == 2, "done once"
    assert here.process is not None
    assert here.process.poll() is None


def test_a_killed_start_leaves_nothing_that_the_next_one_cannot_take_over(
    here: Installation,
) -> None:
    here.start()
    assert here.process is not None
    before = here.note("server")
    here.process.kill()
    here.process.wait()
    here.wait()  # what it started runs alone

    here.start()

    here.wait()
    assert here.note("server") != before
    assert not is_alive(before)


def test_a_second_start_says_where_it_runs_and_stops_nothing(here: Installation) -> None:
    first, second = here, Installation(here.state)
    begun = subprocess.Popen(
        [sys.executable, str(ROOT / "uchuu"), "start", "--port", str(first.port)],
        env=first.env,
        stdout=subprocess.PIPE,
        text=True,
    )
    first.process = begun
    deadline = time.monotonic() + PATIENCE
    while not is_owned():
        assert time.monotonic() < deadline
        time.sleep(0.02)

    other = second.command("start")

    assert f"running already: http://127.0.0.1:{first.port}" in other.stdout
    assert other.returncode == 0
    first.wait()
    assert begun.poll() is None


@pytest.mark.parametrize("name", ["secret-key", "address", "owner", "postgres/password"])
def test_an_emptied_file_is_made_anew(here: Installation, name: str) -> None:
    here.start()
    here.command("stop")
    (here.state / name).write_text("")

    here.start()

    here.wait()
    assert Teacher(here.port).call("GET", "/examples")["results"]


def test_a_backup_is_restored_with_everything_and_what_was_there_is_kept_once(
    here: Installation, tmp_path: Path
) -> None:
    here.start()
    teacher = Teacher(here.port)
    made = teacher.call("POST", "/examples", {"task": "solve", "given": "7x = 21", "lines": []})
    file = tmp_path / "all.backup"
    assert here.command("backup", str(file)).returncode == 0
    assert file.stat().st_mode & 0o077 == 0
    assert "is there already" in here.command("backup", str(file)).stderr
    teacher.call("DELETE", f"/examples/{made['id']}")
    assert "running" in here.command("restore", str(file)).stderr
    here.command("stop")
    garbage = tmp_path / "garbage"
    garbage.write_text("no backup")
    refused = here.command("restore", str(garbage))
    assert refused.returncode == 1
    assert "Nothing was changed" in refused.stderr

    assert here.command("restore", str(file)).returncode == 0
    here.start()

    assert Teacher(here.port).call("GET", f"/examples/{made['id']}")["given"] == "7x = 21"
    listed = Cluster().client(
        "psql", "--dbname", "postgres", "-Atc", "SELECT datname FROM pg_database"
    )
    assert {"uchuu", "uchuu_before"} <= set(listed.stdout.split())


def test_data_of_a_newer_version_get_advice(here: Installation) -> None:
    here.start()
    cluster = Cluster()
    newer = "INSERT INTO django_migrations (app, name, applied) VALUES ('examples', '9999_future', now())"
    assert cluster.client("psql", "--dbname", "uchuu", "-c", newer).returncode == 0

    done = subprocess.run(
        [PYTHON, WEB / "manage.py", "set_up"],
        env={**os.environ, **environment(cluster, "uchuu")},
        capture_output=True,
        text=True,
        check=False,
    )

    assert done.returncode == 1
    assert "newer version of Uchuu" in done.stderr


def test_an_early_interrupt_leaves_nothing_running(here: Installation) -> None:
    """The interrupt comes with the first sign of life."""
    here.start()
    assert here.process is not None
    here.process.send_signal(signal.SIGINT)
    assert here.process.stdout is not None
    here.process.stdout.read()

    assert here.process.wait(60) == 0
    assert health(here.port) is None
    assert noted() is None
    assert not (here.state / "postgres" / "data" / "postmaster.pid").exists()
