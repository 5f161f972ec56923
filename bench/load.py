"""Many who type at once, and one who floods; run by ``./uchuu bench load``.

Each typist has an account, types a line at five keys a second, and asks for a verdict at every key: of two web
processes, as a school's host has them.
"""

import json
import statistics
import threading
import time
from http.client import HTTPConnection, HTTPResponse, RemoteDisconnected
from typing import Any
from urllib.parse import urlsplit

from app_server import DATABASE, Server, ready_server

from launcher import server
from launcher.checks import TEST_CLUSTER

LINE = "5x - 3x - 13 = 7 + 2"
WRITTEN = ["6x - 8 - (x + 5) = 3x + 7", "6x - 8 - x - 5 = 3x + 7", "5x - 13 = 3x + 7"]
GIVEN = "2(3x - 4) - (x + 5) = 3x + 7"
PAUSE = 0.2
PAUSE_WHEN_BUSY = 0.3
PASSWORD = "a rope over the quay"
HARD = {"task": "solve", "given": "6/(x - 1) + 3/(x + 2) = 4/(x - 3)", "lines": []}


class Typist:
    """One teacher's browser: one connection that stays open, its cookies."""

    def __init__(self, app: Server, name: str) -> None:
        self._host = urlsplit(app.address).netloc
        self._cookies: dict[str, str] = {}
        self.times: list[float] = []
        self._connection = HTTPConnection(self._host, timeout=60)
        self.call("GET", "/session")
        self.call("POST", "/session", {"username": name, "password": PASSWORD})

    def call(self, method: str, path: str, body: Any = None) -> float:
        """Make one call; return its milliseconds. "Busy" and "too long" are answers too."""
        headers = {
            "Content-Type": "application/json",
            "X-CSRFToken": self._cookies.get("csrftoken", ""),
            "Cookie": "; ".join(f"{name}={value}" for name, value in self._cookies.items()),
        }
        begun = time.perf_counter()
        reply = self._replied(method, f"/api{path}", json.dumps(body) if body else None, headers)
        reply.read()
        took = (time.perf_counter() - begun) * 1000
        for cookie in reply.headers.get_all("Set-Cookie", []):
            name, value = cookie.split(";")[0].split("=", 1)
            self._cookies[name] = value
        assert reply.status in (200, 201, 429, 504), (path, reply.status)
        self.was_busy = reply.status == 429
        return took

    def _replied(
        self, method: str, path: str, body: str | None, headers: dict[str, str]
    ) -> HTTPResponse:
        """Ask; a connection that the server closed meanwhile is opened again, as browsers do."""
        try:
            self._connection.request(method, path, body, headers)
            return self._connection.getresponse()
        except (RemoteDisconnected, BrokenPipeError, ConnectionResetError):
            self._connection.close()
            self._connection.request(method, path, body, headers)
            return self._connection.getresponse()

    def type(self, lines: int, begins_at: float) -> None:
        """Type so many lines, a key at a time."""
        time.sleep(max(0.0, begins_at - time.perf_counter()))
        due = time.perf_counter()
        for _ in range(lines):
            for end in range(1, len(LINE) + 1):
                body = {"task": "solve", "given": GIVEN, "lines": [*WRITTEN, LINE[:end]]}
                took = self.call("POST", "/algebra/check", {**body, "explains": False})
                self.times.append(took)
                due = max(due + PAUSE, time.perf_counter())
                time.sleep(max(0.0, due - time.perf_counter()))


def _typed(typists: list[Typist], name: str, lines: int = 2) -> float:
    """Have all of them type; print and return the median."""
    begun = time.perf_counter() + 0.5
    for one in typists:
        one.times = []
    threads = [
        threading.Thread(target=one.type, args=(lines, begun + n * PAUSE / len(typists)))
        for n, one in enumerate(typists)
    ]
    for thread in threads:
        thread.start()
    for thread in threads:
        thread.join()
    times = [took for one in typists for took in one.times]
    median, high = statistics.median(times), statistics.quantiles(times, n=20)[18]
    print(f"{name}: {len(times)} keys, median {median:.0f} ms, 95 % {high:.0f} ms")
    return high


def _accounts(count: int) -> None:
    made = (
        "from django.contrib.auth.models import User; from django.contrib.auth.hashers import make_password;"
        f"p = make_password({PASSWORD!r});"
        f"User.objects.bulk_create([User(username=f'typist{{n}}', password=p) for n in range({count})])"
    )
    server.manage(TEST_CLUSTER, "shell", "-c", made, database=DATABASE)


def main() -> None:
    """Measure and print."""
    app = ready_server(workers=2)
    try:
        _accounts(51)
        typists = [Typist(app, f"typist{n}") for n in range(50)]
        alone = _typed(typists[:1], "one typist alone")
        _typed(typists[:2], "two typists")
        _typed(typists[:25], "25 typists")
        _typed(typists, "50 typists")
        floods = [Typist(app, "typist50") for _ in range(12)]
        ends = threading.Event()

        def flood(connection: Typist) -> None:
            while not ends.is_set():
                connection.call("POST", "/algebra/forks", {**HARD, "seed": 1})
                if connection.was_busy:  # the page asks again after a pause
                    time.sleep(PAUSE_WHEN_BUSY)

        threads = [threading.Thread(target=flood, args=(one,)) for one in floods]
        for thread in threads:
            thread.start()
        beside = _typed(typists[:1], "one typist while another teacher floods with twelve calls")
        ends.set()
        for thread in threads:
            thread.join()
        print(f"the flood at 95 %: {beside / alone:.1f} times alone")
    finally:
        app.end()


if __name__ == "__main__":
    main()
