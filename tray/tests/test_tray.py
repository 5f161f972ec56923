"""The tray alone: papers wait until they are taken, whoever dies; nobody reads them without the secret."""

import http.client
import json
import threading
from collections.abc import Iterator
from pathlib import Path
from typing import Any

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from tray.__main__ import MOST_BODY, Tray
from tray.store import Store

SECRET = "a secret that is shared"
ALLOWED = {"Authorization": f"Bearer {SECRET}"}


def paper(name: str, sitting: str = "s1", code: str = "01") -> dict[str, Any]:
    return {"id": name, "sitting": sitting, "code": code, "works": []}


@pytest.fixture
def running(tmp_path: Path) -> Iterator[Tray]:
    found = Tray(0, Store(tmp_path / "tray.sqlite3"), SECRET, "http://127.0.0.1:9")
    thread = threading.Thread(target=found.serve_forever, daemon=True)
    thread.start()
    yield found
    found.shutdown()
    found.server_close()
    thread.join()


def call(
    tray: Tray, method: str, path: str, body: Any = None, headers: dict[str, str] = ALLOWED
) -> tuple[int, Any]:
    connection = http.client.HTTPConnection("127.0.0.1", tray.server_address[1], timeout=10)
    connection.request(method, path, json.dumps(body) if body is not None else None, headers)
    reply = connection.getresponse()
    found = json.loads(reply.read())
    connection.close()
    return reply.status, found


def test_a_paper_waits_until_it_is_taken_and_can_still_be_fetched(running: Tray) -> None:
    assert call(running, "POST", "/papers", [paper("a"), paper("b"), paper("c", "s2")]) == (
        201,
        {"new": 3},
    )
    assert call(running, "POST", "/papers", [paper("a", code="other")]) == (201, {"new": 0})
    assert call(running, "GET", "/papers?sitting=s1") == (200, {"waiting": ["a", "b"]})
    assert call(running, "GET", "/papers/a") == (200, paper("a"))
    for _ in range(2):  # told twice it is the same
        assert call(running, "POST", "/papers/a/taken") == (200, {"taken": True})
    assert call(running, "GET", "/papers?sitting=s1") == (200, {"waiting": ["b"]})
    assert call(running, "GET", "/papers/a") == (200, paper("a"))
    assert call(running, "POST", "/papers/x/taken")[0] == 404
    assert call(running, "POST", "/papers/b/push")[0] == 502  # nobody is there to take it
    assert call(running, "GET", "/papers?sitting=s1") == (200, {"waiting": ["b"]})


@pytest.mark.parametrize("headers", [{}, {"Authorization": "Bearer x"}, {"Authorization": SECRET}])
@pytest.mark.parametrize(
    ("method", "path"), [("GET", "/papers"), ("POST", "/papers"), ("GET", "/papers/a")]
)
def test_nobody_comes_in_without_the_secret(
    running: Tray, method: str, path: str, headers: dict[str, str]
) -> None:
    running.store.put([paper("a")])
    status, found = call(running, method, path, headers=headers)
    assert status == 401
    assert "secret" in found["message"]


@pytest.mark.parametrize(
    "body",
    [
        "x",
        {},
        [1],
        [{"id": 1, "sitting": "s"}],
        [{"id": "a"}],
        [{**paper("a"), "works": ["x" * 300_000]}],
    ],
)
def test_what_is_no_list_of_papers_is_refused(running: Tray, body: Any) -> None:
    assert call(running, "POST", "/papers", body)[0] == 400
    assert running.store.waiting("s1") == []


def test_bodies_and_addresses_are_bounded(running: Tray) -> None:
    too_long = {**ALLOWED, "Content-Length": str(MOST_BODY + 1)}
    assert call(running, "POST", "/papers", headers=too_long)[0] == 413
    for path in ("/", "/papers/../x", "/papers/a/b", f"/papers/{'a' * 65}", "/papers/%00"):
        assert call(running, "GET", path)[0] == 404


@given(st.lists(st.tuples(st.sampled_from("ptx"), st.sampled_from("abc")), max_size=12))
@settings(max_examples=60)
def test_whatever_is_done_a_paper_waits_exactly_from_put_to_taken(
    tmp_path_factory: pytest.TempPathFactory, steps: list[tuple[str, str]]
) -> None:
    place = tmp_path_factory.mktemp("tray") / "tray.sqlite3"
    store, waiting, known = Store(place), [], set()
    for what, name in steps:
        if what == "p":
            assert store.put([paper(name)]) == (name not in known)
            waiting += [] if name in known else [name]
            known.add(name)
        elif what == "t":
            assert store.take(name) == (name in known)
            waiting = [one for one in waiting if one != name]
        else:  # killed and started again
            store = Store(place)
        assert store.waiting("s1") == waiting
