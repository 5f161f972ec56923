"""Papers from the tray: taken exactly once, whoever dies, lies or repeats itself."""

import io
import json
import threading
import urllib.request
from collections.abc import Callable, Iterator
from pathlib import Path
from typing import Any
from uuid import uuid4

import pytest
from api.testing import ApiClient
from jobs import running
from jobs.models import RUNNING, Job
from jobs.models import WAITING as JOB_WAITING
from papers.models import Sitting, Work
from papers.tests.test_papers import FIRST_ONLY, RIGHT, sitting_of, write

from deliveries import tray as calls
from deliveries.actions import fetching
from deliveries.filling import deliveries_of, made_papers
from deliveries.models import Delivery
from tray.__main__ import Tray
from tray.store import Store

SECRET = "a secret that is shared"


@pytest.fixture
def tray(tmp_path: Path, settings: Any) -> Iterator[Tray]:
    """Return a tray that runs, and that the server knows."""
    (tmp_path / "tray-secret").write_text(SECRET)
    found = Tray(0, Store(tmp_path / "tray.sqlite3"), SECRET, "")
    thread = threading.Thread(target=found.serve_forever, daemon=True)
    thread.start()
    settings.STATE = tmp_path
    settings.TRAY_URL = f"http://127.0.0.1:{found.server_address[1]}"
    yield found
    found.shutdown()
    found.server_close()
    thread.join()


def paper(grid: dict[str, Any], name: str, code: str, **works: list[str]) -> dict[str, Any]:
    listed = [{"item": int(key[-1]), "lines": lines} for key, lines in works.items()]
    return {"id": name, "sitting": grid["id"], "code": code, "works": listed}


def fetch(teacher: ApiClient, grid: dict[str, Any]) -> dict[str, Any]:
    job = teacher.call("POST", f"/deliveries/{grid['id']}/fetch").json()
    found: dict[str, Any] = teacher.call("GET", f"/jobs/{job['id']}").json()
    return found


def stored() -> dict[tuple[str, int], list[str]]:
    return {(w.student.code, w.item.number): w.lines for w in Work.objects.all()}


def test_what_waits_is_fetched_once_marked_and_acknowledged(ada: ApiClient, tray: Tray) -> None:
    grid = sitting_of(ada)
    tray.store.put([paper(grid, "a", "01", item1=RIGHT), paper(grid, "b", "02", item1=FIRST_ONLY)])
    path = f"/deliveries/{grid['id']}"
    assert ada.call("GET", path).json() == {"tray": 2, "waiting": []}

    job = fetch(ada, grid)
    assert job["outcome"] == {"taken": 2, "waiting": 0, "refused": 0}
    assert ada.call("GET", path).json() == {"tray": 0, "waiting": []}
    assert stored() == {("01", 1): RIGHT, ("02", 1): FIRST_ONLY}
    assert {work.earned is not None for work in Work.objects.all()} == {True}
    write(ada, grid, "01", item1=["x = 7"])  # typed over it; the same delivery does not come back
    tray.store = Store(tray.store._place.with_name("anew.sqlite3"))
    tray.store.put([paper(grid, "a", "01", item1=RIGHT)])
    assert fetch(ada, grid)["outcome"]["taken"] == 1
    assert stored()["01", 1] == ["x = 7"]


def test_what_cannot_be_placed_waits_with_its_reason(ada: ApiClient, tray: Tray) -> None:
    grid = sitting_of(ada)
    write(ada, grid, "01", item1=RIGHT)
    tray.store.put(
        [
            paper(grid, "a", "99", item1=RIGHT),
            paper(grid, "b", "02", item7=RIGHT),
            paper(grid, "c", "01", item1=FIRST_ONLY),
            paper(grid, "d", "03", item1=["x\x00"]),
            paper(grid, "e", "01", item1=RIGHT),
        ]
    )
    assert fetch(ada, grid)["outcome"] == {"taken": 1, "waiting": 3, "refused": 1}
    waiting = ada.call("GET", f"/deliveries/{grid['id']}").json()["waiting"]
    assert [one["says"].split("”")[-1] for one in waiting] == [
        " is no code of this class.",
        " is no item of this sitting.",
        "01 has other work for item 1 already.",
    ]
    two = next(one["id"] for one in grid["students"] if one["code"] == "02")
    path = f"/deliveries/{grid['id']}/{waiting[0]['id']}"
    assert len(ada.call("POST", path, {"student": two}).json()["waiting"]) == 2
    assert stored()["02", 1] == RIGHT
    assert ada.call("POST", path, {"student": two}).status_code == 404
    last = f"/deliveries/{grid['id']}/{waiting[2]['id']}"
    assert len(ada.call("DELETE", last).json()["waiting"]) == 1
    assert stored()["01", 1] == RIGHT


class Killed(BaseException):
    """The worker is gone: nothing of it goes on."""


MOMENTS = [
    (where, after) for where in ("paper", "acknowledge", "acknowledged") for after in range(3)
]


@pytest.mark.parametrize(("where", "after"), MOMENTS)
def test_a_worker_that_is_killed_takes_no_paper_twice(
    ada: ApiClient, tray: Tray, monkeypatch: pytest.MonkeyPatch, where: str, after: int
) -> None:
    grid = sitting_of(ada)
    tray.store.put([paper(grid, name, f"0{n}", item1=RIGHT) for n, name in enumerate("abc", 1)])
    counted: list[str] = []
    really: dict[str, Callable[..., Any]] = {
        "paper": calls.paper,
        "acknowledge": calls.acknowledge,
    }

    def killed(name: str, *more: Any) -> Any:
        counted.append(name)
        is_now = len(counted) == after + 1
        if is_now and where != "acknowledged":
            raise Killed
        found = really["paper" if where == "paper" else "acknowledge"](name, *more)
        if is_now:
            raise Killed
        return found

    with monkeypatch.context() as patched, pytest.raises(Killed):
        patched.setattr(calls, "paper" if where == "paper" else "acknowledge", killed)
        fetch(ada, grid)
    job = Job.objects.get(kind="tray")
    Job.objects.filter(pk=job.pk, state=RUNNING).update(state=JOB_WAITING)
    running.run(str(job.pk))
    assert Delivery.objects.filter(state="taken").count() == 3
    assert tray.store.waiting(grid["id"]) == []
    assert stored() == {(f"0{n}", 1): RIGHT for n in (1, 2, 3)}


LIES: list[Callable[[dict[str, Any]], bytes]] = [
    lambda _: b"no JSON",
    lambda record: json.dumps({**record, "id": "other"}).encode(),
    lambda record: json.dumps({**record, "sitting": str(uuid4())}).encode(),
    lambda record: json.dumps({**record, "works": [{"item": "1", "lines": []}]}).encode(),
    lambda record: json.dumps({**record, "works": [{"item": 1, "lines": ["x"] * 61}]}).encode(),
    lambda record: json.dumps([record]).encode(),
    lambda _: b'{"a":' * 4000,
    lambda _: b"x" * 1_200_000,
]


@pytest.mark.parametrize("lie", LIES)
def test_a_tray_that_lies_changes_nothing_and_is_told(
    ada: ApiClient, tray: Tray, monkeypatch: pytest.MonkeyPatch, lie: Any
) -> None:
    grid = sitting_of(ada)
    write(ada, grid, "02", item1=RIGHT)
    record = paper(grid, "a", "01", item1=RIGHT)
    tray.store.put([record])
    content = lie(record)

    really = urllib.request.urlopen

    def lying(request: Any, **more: Any) -> Any:
        return io.BytesIO(content) if request.full_url.endswith("/a") else really(request, **more)

    monkeypatch.setattr(urllib.request, "urlopen", lying)
    job = fetch(ada, grid)
    assert job["state"] in ("partly", "failed")
    assert "tray" in job["message"]
    assert stored() == {("02", 1): RIGHT}
    assert tray.store.waiting(grid["id"]) == ["a"]


def test_a_tray_that_is_gone_is_told_and_can_be_asked_again(
    ada: ApiClient, tray: Tray, settings: Any
) -> None:
    grid = sitting_of(ada)
    tray.store.put([paper(grid, "a", "01", item1=RIGHT)])
    there, settings.TRAY_URL = settings.TRAY_URL, "http://127.0.0.1:9"
    assert ada.call("GET", f"/deliveries/{grid['id']}").json()["tray"] is None
    job = fetch(ada, grid)
    assert (job["state"], job["message"][:24]) == ("failed", "The tray does not answer")
    settings.TRAY_URL = there
    assert fetch(ada, grid)["outcome"]["taken"] == 1


def test_what_the_tray_pushes_is_taken_once_and_only_with_the_secret(
    ada: ApiClient, tray: Tray
) -> None:
    grid = sitting_of(ada)
    body = json.dumps(paper(grid, "a", "01", item1=RIGHT))

    def push(body: str, token: str = SECRET) -> Any:
        headers = {"Authorization": f"Bearer {token}"}
        path = "/api/deliveries/push"
        return ApiClient().http.post(path, body, "application/json", headers=headers)

    assert [push(body).json() for _ in range(2)] == [{"state": "taken"}] * 2
    assert stored() == {("01", 1): RIGHT}
    assert push(body, "another").status_code == 401
    assert push("{").status_code == 422
    gone = json.dumps({**paper(grid, "b", "01"), "sitting": str(uuid4())})
    assert push(gone).status_code == 404
    assert Delivery.objects.count() == 1


def test_papers_are_made_up_for_every_code_and_come_in(ada: ApiClient, tray: Tray) -> None:
    grid = sitting_of(ada, tuple(f"{n:02}" for n in range(12)))
    sitting = Sitting.objects.get()
    papers = made_papers(sitting, 3)
    assert papers == made_papers(sitting, 3) != made_papers(sitting, 4)
    calls.put(deliveries_of(sitting, papers, 3))
    assert calls.put(deliveries_of(sitting, papers, 3)) == 0
    assert fetch(ada, grid)["outcome"]["waiting"] == 0
    meant = {(code, item): lines for code, works in papers.items() for item, lines in works.items()}
    assert stored() == meant
    assert Work.objects.exclude(error="").exists()


def test_two_teachers_see_only_their_own_deliveries(
    ada: ApiClient, ben: ApiClient, tray: Tray
) -> None:
    grid = sitting_of(ada)
    tray.store.put([paper(grid, "a", "99", item1=RIGHT)])
    fetch(ada, grid)
    delivery = Delivery.objects.get()
    for method, path in (
        ("GET", ""),
        ("POST", "/fetch"),
        ("POST", f"/{delivery.pk}"),
        ("DELETE", f"/{delivery.pk}"),
    ):
        assert (
            ben.call(method, f"/deliveries/{grid['id']}{path}", {"student": 1}).status_code == 404
        )


def test_the_job_says_what_it_does_where_its_sitting_is_gone(ada: ApiClient, tray: Tray) -> None:
    grid = sitting_of(ada)
    tray.store.put([paper(grid, "a", "01", item1=RIGHT)])
    job = Job(params={"sitting": str(uuid4())})
    assert fetching.one_paper(job, "a") == {"state": "gone"}
    assert tray.store.waiting(grid["id"]) == ["a"]
