"""Many who type at once, and one who floods; run by ``./uchuu bench load``.

Each typist has an account, types a line at five keys a second, and asks for a verdict at every key.
"""

import json
import statistics
import threading
import time
import urllib.error
import urllib.request
from http.cookiejar import CookieJar
from typing import Any

from app_server import DATABASE, Server, ready_server

from launcher import server
from launcher.checks import TEST_CLUSTER

LINE = "5x - 3x - 13 = 7 + 2"
WRITTEN = ["6x - 8 - (x + 5) = 3x + 7", "6x - 8 - x - 5 = 3x + 7", "5x - 13 = 3x + 7"]
GIVEN = "2(3x - 4) - (x + 5) = 3x + 7"
PAUSE = 0.2
PASSWORD = "a rope over the quay"
HARD = {"task": "solve", "given": "6/(x - 1) + 3/(x + 2) = 4/(x - 3)", "lines": []}


class Typist:
    """One teacher's browser."""

    def __init__(self, app: Server, name: str) -> None:
        self._address = f"{app.address}/api"
        self._cookies = CookieJar()
        self._opener = urllib.request.build_opener(
            urllib.request.HTTPCookieProcessor(self._cookies)
        )
        self.times: list[float] = []
        self.call("GET", "/session")
        self.call("POST", "/session", {"username": name, "password": PASSWORD})

    def call(self, method: str, path: str, body: Any = None) -> float:
        """Make one call; return its milliseconds. "Busy" and "too long" are answers too."""
        token = next((c.value for c in self._cookies if c.name == "csrftoken"), "") or ""
        request = urllib.request.Request(
            self._address + path,
            method=method,
            data=None if body is None else json.dumps(body).encode(),
            headers={"Content-Type": "application/json", "X-CSRFToken": token},
        )
        begun = time.perf_counter()
        try:
            with self._opener.open(request, timeout=60) as reply:
                reply.read()
        except urllib.error.HTTPError as refused:
            if refused.code not in (429, 504):
                raise
        return (time.perf_counter() - begun) * 1000

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
    app = ready_server()
    try:
        _accounts(51)
        typists = [Typist(app, f"typist{n}") for n in range(50)]
        alone = _typed(typists[:1], "one typist alone")
        _typed(typists[:2], "two typists")
        _typed(typists[:25], "25 typists")
        _typed(typists, "50 typists")
        floods = Typist(app, "typist50")
        ends = threading.Event()

        def flood() -> None:
            while not ends.is_set():
                floods.call("POST", "/algebra/forks", {**HARD, "seed": 1})

        threads = [threading.Thread(target=flood) for _ in range(12)]
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
