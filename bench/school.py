"""A school's server under load and under fire; run by ``./uchuu bench school`` (root: it makes network namespaces).

200 teachers type a line every three seconds, each line judged, explained and stored. First on one quiet host, against one
teacher alone; then over two hosts in network namespaces of their own, while one process after the other is killed, a
host is cut off, and both are upgraded in turn. ``UCHUU_FIRE`` is how many seconds of that (600 asked).
"""

import json
import os
import random
import signal
import statistics
import subprocess
import tempfile
import threading
import time
from collections.abc import Callable, Sequence
from http.client import HTTPException, HTTPSConnection
from pathlib import Path
from typing import Any

from school import ADDRESS, DATABASE, NAME, School, named

from launcher import install
from launcher.checks import TEST_CLUSTER

TEACHERS, PAUSE = int(os.environ.get("UCHUU_TEACHERS", "200")), 3.0
PAUSE_BEFORE_WHY = 0.22
"""As the page waits: first the verdict, then why."""
PASSWORD = "quay-lantern-7"
BUSY_PAUSES = (0.3, 1.0, 3.0)
"""Before the page asks for why once more where the server is busy."""
PASSING = (0, 429, 502, 503, 504)
"""Answers after which the page sends what it has again."""


def drawn(draws: random.Random) -> tuple[dict[str, Any], list[str]]:
    """Return a linear equation with numbers of its own, and the lines that a teacher writes under it."""
    a, b, c, d, e, x = (draws.randint(2, 9) for _ in range(6))
    of_x, of_one = a * b - 1, a * c + d
    e = of_x - 2 if e == of_x else e
    right = f"{e}x + {(of_x - e) * x - of_one}".replace("+ -", "- ")
    lines = [
        f"{a * b}x - {a * c} - (x + {d}) = {right}",
        f"{a * b}x - {a * c} - x - {d} = {right}",
        f"{of_x}x - {of_one} = {right}",
        f"{of_x - e}x = {(of_x - e) * x}",
    ]
    return {"task": "solve", "given": f"{a}({b}x - {c}) - (x + {d}) = {right}"}, lines


class Browser:
    """What one teacher's browser says to the school: one connection, kept from call to call."""

    def __init__(self, school: School, session: str) -> None:
        self._school = school
        self._cookies = {"__Host-session": session}
        self._way: HTTPSConnection | None = None
        self.refused: list[int] = []

    def call(
        self, method: str, path: str, body: Any = None, seconds: float = 60
    ) -> tuple[int, Any]:
        """Make one call; status 0 where nobody answered."""
        head = {
            "Host": NAME,
            "Content-Type": "application/json",
            "Referer": f"https://{NAME}/",
            "X-CSRFToken": self._cookies.get("__Host-csrftoken", ""),
            "Cookie": "; ".join(f"{name}={value}" for name, value in self._cookies.items()),
        }
        try:
            if self._way is None:
                context = named(self._school.trusted())
                self._way = HTTPSConnection(ADDRESS, 443, context=context)
                self._way.connect()
            self._way.sock.settimeout(seconds)
            self._way.request(method, f"/api{path}", json.dumps(body) if body else None, head)
            reply = self._way.getresponse()
            content = reply.read()
        except (OSError, HTTPException):
            if self._way is not None:
                self._way.close()
            self._way = None
            return 0, None
        for cookie in reply.headers.get_all("Set-Cookie", []):
            name, _, value = cookie.split(";")[0].partition("=")
            self._cookies[name] = value
        try:
            return reply.status, json.loads(content) if content else None
        except ValueError:
            return reply.status, None

    def again(self, method: str, path: str, body: Any = None) -> Any:
        """Call until it is taken; note what was not."""
        while True:
            status, told = self.call(method, path, body)
            if status not in PASSING:
                assert status in (200, 201), (path, status, told)
                return told
            self.refused.append(status)
            time.sleep(0.3)


class Example:
    """What a teacher writes, and how much of it is stored and explained: as the page keeps it, beside the typing.

    Lines are stored as they are when the call before is answered; why is asked for a moment after a verdict,
    again while the server is busy, and given up for the next line.
    """

    def __init__(self, browser: Browser, problem: dict[str, Any]) -> None:
        self._browser, self._problem = browser, problem
        made = browser.again("POST", "/examples", problem)
        self.id, self._version = made["id"], made["version"]
        self._lines: list[str] = []
        self._stored = self._known = 0
        self._written = threading.Condition()
        self._ends = False
        self.saves: list[float] = []
        self.explained = 0

    def write(self, lines: list[str]) -> None:
        """Note the lines as they are now; they are stored and explained beside."""
        with self._written:
            self._lines = list(lines)
            self._written.notify()

    def close(self) -> None:
        """Nothing more is written: ``keep`` ends once everything is stored."""
        with self._written:
            self._ends = True
            self._written.notify()

    def keep(self) -> None:
        """Store and explain what is written until it is closed."""
        while True:
            with self._written:
                self._written.wait_for(lambda: self._ends or len(self._lines) > self._stored)
                lines, since = list(self._lines), time.perf_counter()
                if self._ends and len(lines) == self._stored:
                    return
            body = {**self._problem, "lines": lines, "version": self._version}
            self._version = self._browser.again("PUT", f"/examples/{self.id}", body)["version"]
            self.saves.append((time.perf_counter() - since) * 1000)
            self._stored = len(lines)
            if not self._is_overtaken(PAUSE_BEFORE_WHY):
                self._explain(lines)

    def _is_overtaken(self, seconds: float) -> bool:
        """Wait so long; return whether another line was written meanwhile."""
        with self._written:
            over = lambda: self._ends or len(self._lines) > self._stored  # noqa: E731
            return bool(self._written.wait_for(over, seconds))

    def _explain(self, lines: list[str]) -> None:
        asked = {**self._problem, "lines": lines, "explained": self._known, "goes_on": True}
        for pause in (*BUSY_PAUSES, None):
            status, told = self._browser.call("POST", "/algebra/check", asked)
            if status == 200:
                assert told["lines"][-1].get("law") and not told["unexplained"], asked
                self._known = len(lines)
                self.explained += not self._is_overtaken(0)
                return
            assert status in PASSING, (status, told)
            if pause is None or self._is_overtaken(pause):
                return


class Typist(threading.Thread):
    """A teacher who writes line after line on time, whatever is stored and explained meanwhile."""

    def __init__(self, school: School, name: str, session: str, ends: threading.Event) -> None:
        super().__init__(daemon=True)
        self._draws = random.Random(name)
        self.teacher, self._ends = name, ends
        self._browsers = [Browser(school, session) for _ in range(2)]
        self.verdicts: list[float] = []
        self.saves: list[float] = []
        self.explained = 0
        self.lost: list[str] = []

    @property
    def refused(self) -> list[int]:
        """Return the statuses of calls that were sent again."""
        return [status for browser in self._browsers for status in browser.refused]

    def begin(self) -> None:
        """Be signed in by the session: two hundred do not sign in within a minute from one address."""
        for browser in self._browsers:
            assert browser.again("GET", "/session")["username"] == self.teacher

    def run(self) -> None:
        """Write examples until it is over."""
        time.sleep(random.random() * PAUSE)
        while not self._ends.is_set():
            self._write_one()

    def _write_one(self) -> None:
        problem, written = drawn(self._draws)
        typing, keeping = self._browsers
        example = Example(keeping, problem)
        beside = threading.Thread(target=example.keep, daemon=True)
        beside.start()
        lines: list[str] = []
        due = time.monotonic()
        for line in written:
            due += PAUSE
            lines.append(line)
            asked = {**problem, "lines": lines, "explained": len(lines) - 1, "goes_on": True}
            begun = time.perf_counter()
            told = typing.again("POST", "/algebra/check?quick=true", asked)
            self.verdicts.append((time.perf_counter() - begun) * 1000)
            assert told["lines"][-1]["verdict"] == "ok", (problem, lines)
            example.write(lines)
            if self._ends.wait(max(0.0, due - time.monotonic())):
                break
        example.close()
        beside.join()
        self.saves += example.saves
        self.explained += example.explained
        if keeping.again("GET", f"/examples/{example.id}")["lines"] != lines:
            self.lost.append(example.id)


class Networked(School):
    """Two hosts in network namespaces of their own: what they say to each other's database crosses a network."""

    SPACES = ("uchuu-a", "uchuu-b")

    def place(self, number: int) -> tuple[str, Sequence[str]]:
        """Return the address of a host in its namespace."""
        return f"10.77.{number}.2:8610", ("ip", "netns", "exec", self.SPACES[number - 1])

    def lay(self) -> None:
        """Make the namespaces, and a way from each to the database."""
        install.debian("ip", "iproute2", Path("/sbin/ip") if Path("/sbin/ip").exists() else None)
        socat = Path("/usr/bin/socat")
        install.debian("socat", "socat", socat if socat.exists() else None)
        self._ways = []
        TEST_CLUSTER.start()
        for number, space in enumerate(self.SPACES, start=1):
            for left in (("netns", "del", space), ("link", "del", f"ve{number}")):
                # by a run that was killed
                subprocess.run(["ip", *left], check=False, stderr=subprocess.DEVNULL)
            ours, theirs = f"10.77.{number}.1", f"10.77.{number}.2"
            _ip("netns", "add", space)
            _ip(
                "link", "add", f"ve{number}", "type", "veth", "peer", "name", "host", "netns", space
            )
            _ip("addr", "add", f"{ours}/24", "dev", f"ve{number}")
            _ip("link", "set", f"ve{number}", "up")
            for words in (
                ("addr", "add", f"{theirs}/24", "dev", "host"),
                ("link", "set", "host", "up"),
                ("link", "set", "lo", "up"),
            ):
                _ip("-n", space, *words)
            port = TEST_CLUSTER.port
            here = [
                "socat",
                f"TCP-LISTEN:{port},bind={ours},fork,reuseaddr",
                f"TCP:127.0.0.1:{port}",
            ]
            there = [
                "socat",
                f"TCP-LISTEN:{port},bind=127.0.0.1,fork,reuseaddr",
                f"TCP:{ours}:{port}",
            ]
            self._ways += [
                subprocess.Popen(here, start_new_session=True),
                subprocess.Popen(["ip", "netns", "exec", space, *there], start_new_session=True),
            ]

    def cut(self, number: int, seconds: float) -> None:
        """Cut one host off for a while."""
        away = ("blackhole", f"10.77.{number}.2/32")
        _ip("route", "add", *away)
        time.sleep(seconds)
        _ip("route", "del", *away)

    def take_up(self) -> None:
        """Take everything away again."""
        for way in self._ways:
            os.killpg(way.pid, signal.SIGKILL)
            way.wait()
        for space in self.SPACES:
            _ip("netns", "del", space)


def _ip(*words: str) -> None:
    subprocess.run(["ip", *words], check=True)


def _accounts(school: School) -> list[str]:
    """Make the teachers; return a session of each."""
    made = (
        "from django.contrib.auth.models import User; from django.contrib.auth.hashers import make_password;"
        f"p = make_password({PASSWORD!r});"
        f"User.objects.bulk_create([User(username=f'typist{{n}}', password=p) for n in range({TEACHERS})]);"
        "from django.contrib.sessions.backends.db import SessionStore as S;"
        "made = [(u, S()) for u in User.objects.filter(username__startswith='typist').order_by('pk')];"
        "[s.update({'_auth_user_id': str(u.pk), '_auth_user_hash': u.get_session_auth_hash(),"
        " '_auth_user_backend': 'teachers.backend.KeptTeachers'}) for u, s in made];"
        "[s.save() for u, s in made];"
        "print('sessions', *[s.session_key for u, s in made])"
    )
    told = school.django("shell", "-c", made)
    line = next(line for line in told.splitlines() if line.startswith("sessions "))
    return line.split()[1:]


def _typed(
    school: School,
    sessions: list[str],
    seconds: float,
    meanwhile: Callable[[], None] | None = None,
) -> tuple[float, list[Typist]]:
    """Have them type for so long; return the verdicts' 95 % in milliseconds, and the typists."""
    ends = threading.Event()
    typists = [Typist(school, f"typist{n}", key, ends) for n, key in enumerate(sessions)]
    for one in typists:
        one.begin()
    for one in typists:
        one.start()
    until = time.monotonic() + seconds
    while time.monotonic() < until:
        if meanwhile is not None:
            meanwhile()
        time.sleep(1)
    ends.set()
    for one in typists:
        one.join(120)
        assert not one.is_alive(), "somebody never got an answer"
    times = [took for one in typists for took in one.verdicts]
    high = statistics.quantiles(times, n=20)[18]
    saves = [took for one in typists for took in one.saves]
    stored = statistics.median(saves), statistics.quantiles(saves, n=20)[18]
    why = sum(one.explained for one in typists) / len(times)
    refused = [status for one in typists for status in one.refused]
    lost = [example for one in typists for example in one.lost]
    print(
        f"{len(sessions)} teachers, {seconds:.0f} s: {len(times)} verdicts, median {statistics.median(times):.0f} ms,"
        f" 95 % {high:.0f} ms; {len(times) / len(sessions) / seconds * PAUSE:.0%} of the lines that were due;"
        f" stored after {stored[0]:.0f} ms, 95 % {stored[1]:.0f} ms; {why:.0%} explained before the next line;"
        f" {len(refused)} calls sent again {sorted(set(refused))}, {len(lost)} lines lost",
        flush=True,
    )
    return high, typists


def quiet(folder: Path) -> None:
    """One host of two cores, warm: one teacher, then more and more."""
    school = School(folder, hosts=1, workers={"web": 2, "algebra": 2, "jobs": 1})
    school.begin()
    try:
        sessions = _accounts(school)
        _typed(school, sessions[:25], 20)
        alone, _ = _typed(school, sessions[:1], 120)
        for count in (25, 50, 100, 150):
            _typed(school, sessions[:count], 30)
        many, _ = _typed(school, sessions, 60)
        print(f"{TEACHERS} teachers at 95 %: {many / alone:.1f} times one alone (3 asked)")
    finally:
        school.end()


def fire(folder: Path, seconds: float) -> None:
    """Two hosts, one process after the other killed, one cut off, both upgraded in turn."""
    proxies = {"proxies": ["10.77.1.1", "10.77.2.1"]}
    school = Networked(folder, hosts=2, server=proxies, workers={"web": 1, "algebra": 2, "jobs": 1})
    school.lay()
    try:
        school.begin()
        sessions = _accounts(school)
        calm, _ = _typed(school, sessions, 30)
        draws, killed, begun = random.Random(1), 0, time.monotonic()
        done = {"cut": False, "upgrade": False}

        def upgrade() -> None:
            for host in school.hosts:
                host.stop()
                host.begin()
                host.wait()

        def shoot() -> None:
            nonlocal killed
            passed = time.monotonic() - begun
            if passed > seconds / 3 and not done["cut"]:
                done["cut"] = True
                school.cut(1, 10)
            elif passed > seconds * 2 / 3 and not done["upgrade"]:
                done["upgrade"] = True
                upgrade()
            else:
                time.sleep(4)
                draws.choice(school.hosts).kill(draws.choice(("server", "verdicts", "jobs")))
                killed += 1

        under, _ = _typed(school, sessions, seconds, shoot)
        print(
            f"under fire ({killed} kills, one host cut off for 10 s, both upgraded):"
            f" 95 % {under / calm:.1f} times without"
        )
        twice = school.django(
            "shell",
            "-c",
            "from jobs.models import StepResult; from django.db.models import Count;"
            "print(StepResult.objects.values('job', 'number').annotate(n=Count('pk')).filter(n__gt=1).count())",
        )
        print(f"steps of jobs done twice: {twice.strip().splitlines()[-1]}")
    finally:
        school.end()
        school.take_up()


def main() -> None:
    """Measure and print."""
    os.environ.setdefault("PYTHONPYCACHEPREFIX", str(TEST_CLUSTER.folder / "bytecode"))
    with tempfile.TemporaryDirectory() as folder:
        quiet(Path(folder))
    TEST_CLUSTER.client("dropdb", "--if-exists", "--force", DATABASE)
    with tempfile.TemporaryDirectory() as folder:
        fire(Path(folder), float(os.environ.get("UCHUU_FIRE", "600")))


if __name__ == "__main__":
    main()
