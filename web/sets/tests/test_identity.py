"""Items keep their keys while a set is edited, and a job that finds its set changed says so."""

from collections.abc import Callable
from typing import Any

import pytest
from api.testing import ApiClient
from jobs.kinds import KINDS, Kind
from jobs.models import Job

from sets.actions import copy_set
from sets.models import ProblemSet, SetItem

PROBLEMS = (
    {"task": "solve", "given": "3x + 4 = 10"},
    {"task": "solve", "given": "x^2 - 7x + 12 = 0"},
    {"task": "expand", "given": "(x + 4)^2"},
)
Edit = Callable[[ApiClient, dict[str, Any]], Any]


def _keys(stored: dict[str, Any]) -> dict[str, int]:
    rows = SetItem.objects.filter(set=stored["id"]).values_list("example_id", "pk")
    return {str(example): key for example, key in rows}


def _as_sent(stored: dict[str, Any], **changes: Any) -> dict[str, Any]:
    items = [{**item, "example": item["example"]["id"]} for item in stored["items"]]
    kept = ("title", "instruction", "house", "version")
    return {**{name: stored[name] for name in kept}, "items": items, **changes}


def _saved(ada: ApiClient, stored: dict[str, Any], **changes: Any) -> dict[str, Any]:
    reply = ada.call("PUT", f"/sets/{stored['id']}", _as_sent(stored, **changes))
    assert reply.status_code == 200, reply.json()
    found: dict[str, Any] = reply.json()
    return found


def test_items_keep_their_keys_through_every_edit(ada: ApiClient) -> None:
    stored = ada.set_of(*PROBLEMS)
    before = _keys(stored)

    stored = _saved(ada, stored, title="Another title")
    assert _keys(stored) == before
    stored = _saved(ada, stored, items=_as_sent(stored)["items"][::-1])
    assert _keys(stored) == before
    assert [item["example"]["given"] for item in stored["items"]] == [
        problem["given"] for problem in PROBLEMS[::-1]
    ]
    items = _as_sent(stored)["items"]
    stored = _saved(ada, stored, items=[{**items[0], "marks": 7}, *items[1:]])
    assert (_keys(stored), stored["items"][0]["marks"]) == (before, 7)
    first = stored["items"][0]["example"]["id"]
    body = {"example": first, "count": 2, "seed": 1}
    stored = ada.call("POST", f"/sets/{stored['id']}/twins", body).json()["set"]
    assert before.items() <= _keys(stored).items()
    stored = _saved(ada, stored, items=_as_sent(stored)["items"][1:])
    assert first not in _keys(stored)
    assert {e: k for e, k in before.items() if e != first}.items() <= _keys(stored).items()


def _title(ada: ApiClient, stored: dict[str, Any]) -> None:
    _saved(ada, stored, title="While it runs", instruction="Show all lines.")


def _order(ada: ApiClient, stored: dict[str, Any]) -> None:
    _saved(ada, stored, items=_as_sent(stored)["items"][::-1])


def _fewer(ada: ApiClient, stored: dict[str, Any]) -> None:
    _saved(ada, stored, items=_as_sent(stored)["items"][1:])


def _more(ada: ApiClient, stored: dict[str, Any]) -> None:
    new = {"task": "factor", "given": "x^2 - 9"}
    ada.call("POST", f"/sets/{stored['id']}/problems", {"problems": [new]})


def _other_given(ada: ApiClient, stored: dict[str, Any]) -> None:
    example = ada.call("GET", f"/examples/{stored['items'][0]['example']['id']}").json()
    changed = {**example, "given": "5x + 1 = 11"}
    assert ada.call("PUT", f"/examples/{example['id']}", changed).status_code == 200


@pytest.mark.parametrize(
    ("edit", "state", "says", "length"),
    [
        (_title, "done", "", 3),
        (_order, "done", "", 3),
        (_fewer, "partly", "1 taken out", 2),
        (_more, "partly", "1 added", 3),
        (_other_given, "partly", "1 changed", 3),
    ],
)
def test_what_is_edited_while_versions_are_made(
    ada: ApiClient, monkeypatch: pytest.MonkeyPatch, edit: Edit, state: str, says: str, length: int
) -> None:
    stored = ada.set_of(*PROBLEMS)
    one_of_a_version, seen = copy_set.one_of_a_version, []

    def edited_at_the_second(job: Job, step: Any) -> Any:
        seen.append(step)
        if len(seen) == 2:
            edit(ada, stored)
        return one_of_a_version(job, step)

    _with_step(monkeypatch, edited_at_the_second)
    job = ada.call("POST", f"/sets/{stored['id']}/versions", {"count": 2, "seed": 5}).json()

    assert (job["state"], job["done"]) == (state, 6)
    assert says in job["message"]
    assert bool(job["message"]) == bool(says)
    made = [ada.call("GET", f"/sets/{one}").json() for one in job["outcome"]["sets"]]
    assert [len(one["items"]) for one in made] == [length, length]
    givens = [{item["example"]["given"] for item in one["items"]} for one in made]
    assert not givens[0] & givens[1]


def test_a_set_that_is_emptied_meanwhile_gets_no_versions(
    ada: ApiClient, monkeypatch: pytest.MonkeyPatch
) -> None:
    stored = ada.set_of(PROBLEMS[0])

    def emptied(job: Job, step: Any) -> Any:
        _saved(ada, stored, items=[])
        return copy_set.one_of_a_version(job, step)

    _with_step(monkeypatch, emptied)
    job = ada.call("POST", f"/sets/{stored['id']}/versions", {"count": 1, "seed": 5}).json()

    assert (job["state"], "taken out" in job["message"]) == ("failed", True)
    assert not ProblemSet.objects.filter(made_from=stored["id"]).exists()


def _with_step(monkeypatch: pytest.MonkeyPatch, step: Callable[[Job, Any], Any]) -> None:
    kind = Kind(copy_set.plan_versions, step, copy_set.store_versions)
    monkeypatch.setitem(KINDS, "versions", kind)
