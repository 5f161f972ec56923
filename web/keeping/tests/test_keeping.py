"""Everything of a teacher in one file, restored anywhere; nothing is overwritten or made twice."""

import json
from typing import Any

import pytest
from api.testing import ApiClient


def _everything(teacher: ApiClient) -> dict[str, Any]:
    found: dict[str, Any] = json.loads(teacher.call("GET", "/keep/everything.json").content)
    return found


def _restore(teacher: ApiClient, document: Any) -> Any:
    return teacher.upload("/keep/restore", "all.json", json.dumps(document).encode())


def _fill(teacher: ApiClient) -> None:
    stored = teacher.set_of(
        {"task": "solve", "given": "2x = 6", "lines": ["x = 3", "x ("]},
        {"task": "factor", "given": "x^2 - 9"},
        title="Sheet",
    )
    aside = teacher.set_of({"task": "solve", "given": "x = 1"})
    teacher.call("DELETE", f"/sets/{aside['id']}")
    teacher.call("DELETE", f"/examples/{aside['items'][0]['example']['id']}")
    teacher.call("POST", f"/sets/{stored['id']}/copy")
    rules = teacher.call("GET", "/house").json()
    teacher.call("PUT", "/house", {**rules, "density": "fine"})
    own = {"name": "Spreads a root", "before": "sqrt(a-b)", "after": "sqrt(a)-sqrt(b)"}
    assert teacher.call("POST", "/errors", own).status_code == 201
    teacher.call("POST", "/proofs", {"title": "Key", "text": "1. Solve 2x = 6  x = 4"})


def test_what_is_kept_comes_back_whole_in_another_account(ada: ApiClient, ben: ApiClient) -> None:
    _fill(ada)
    kept = _everything(ada)

    counts = _restore(ben, kept).json()

    assert counts == {"examples": 5, "sets": 3, "own_errors": 1, "proofs": 1}
    assert _everything(ben) == kept
    assert _restore(ben, kept).json() == {"examples": 0, "sets": 0, "own_errors": 0, "proofs": 0}
    assert _everything(ben) == kept


def test_restoring_adds_and_overwrites_nothing(ada: ApiClient) -> None:
    _fill(ada)
    kept = _everything(ada)
    one = ada.call("GET", "/examples").json()[0]["id"]
    body = {**ada.call("GET", f"/examples/{one}").json(), "given": "7x = 7"}
    ada.call("PUT", f"/examples/{one}", body)

    assert _restore(ada, kept).json()["examples"] == 1

    givens = [row["given"] for row in ada.call("GET", "/examples").json()]
    assert "7x = 7" in givens


@pytest.mark.parametrize(
    "change",
    [
        {"format": "other"},
        {"house": {"density": "enormous"}},
        {
            "sets": [
                {"title": "", "instruction": "", "house": {}, "form": "", "items": [{"example": 9}]}
            ]
        },
        {
            "own_errors": [
                {"name": "A law", "before": "a+b", "after": "b+a", "when": [], "says": ""}
            ]
        },
        {"examples": [{"task": "sing", "given": ""}]},
    ],
    ids=["format", "house", "reference", "law as error", "task"],
)
def test_a_file_that_is_not_right_changes_nothing(ada: ApiClient, change: dict[str, Any]) -> None:
    before = _everything(ada)

    reply = _restore(ada, {**before, **change})

    assert reply.status_code == 422
    assert _everything(ada) == before
    assert ada.upload("/keep/restore", "all.json", b"[" * 9_000).status_code == 422
