"""Teachers who type at a school's server: each line judged, stored and explained, as the page does it."""

import json
import random
import threading
import time
from http.client import HTTPException, HTTPSConnection
from typing import Any

from school import ADDRESS, NAME, School, named

PAUSE = 3.0
"""Seconds from line to line."""
PAUSE_BEFORE_WHY = 0.22
"""As the page waits: first the verdict, then why."""
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
