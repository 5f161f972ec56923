"""Everything of a teacher in one file, restored anywhere; nothing is overwritten or made twice."""

import json
from typing import Any

import pytest
from api.testing import ApiClient
from jobs.models import Job
from pytest_django import DjangoAssertNumQueries


def _everything(teacher: ApiClient) -> dict[str, Any]:
    found: dict[str, Any] = json.loads(teacher.call("GET", "/keep/everything.json").content)
    return found


def _restore(teacher: ApiClient, document: Any) -> Any:
    """Begin to restore; return its job, which the tests' settings do at once."""
    reply = teacher.upload("/keep/restore", "all.json", json.dumps(document).encode())
    assert reply.status_code == 201, reply.json()
    return reply.json()


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
    _fill_classes(teacher, stored["id"])


def _fill_classes(teacher: ApiClient, given: str) -> None:
    """Make a class with a sitting, a paper in it, a decision and a comment."""
    body = {"title": "Period 3", "year": "2026/27", "codes": ["01", "02"]}
    made = teacher.call("POST", "/classes", body).json()
    body = {"school_class": made["id"], "set": given, "date": "2026-11-20"}
    grid = teacher.call("POST", "/sittings", body).json()
    item, student = grid["items"][0]["id"], grid["students"][0]["id"]
    path = f"/sittings/{grid['id']}/papers/{student}"
    teacher.call("PUT", path, {"works": [{"item": item, "lines": ["2x = 4", "x = 2"]}]})
    key = teacher.call("GET", path).json()["works"][0]["marks"][0]["key"]
    teacher.call("PUT", f"{path}/decision", {"item": item, "key": key, "earned": 1, "why": "aloud"})
    teacher.call("PUT", f"{path}/comment", {"item": item, "comment": "Look again."})
    name = {"line": "2x = 4", "name": "Took two off the right"}
    named = teacher.call("PUT", f"/sittings/{grid['id']}/items/1/name", name)
    assert named.status_code == 200, named.json()
    teacher.call("PUT", f"/sittings/{grid['id']}/release", {"released": True})
    _fill_lessons(teacher, made["id"], given)


def _fill_lessons(teacher: ApiClient, school_class: str, given: str) -> None:
    """Hold a lesson, carry the rest of it over, and say when reviews come."""
    body = {"school_class": school_class, "set": given, "date": "2026-11-23", "title": "Monday"}
    lesson = teacher.call("POST", "/lessons", body).json()
    path = f"/lessons/{lesson['id']}"
    answer = {"label": "A", "text": "x = 3", "right": True, "count": 20}
    held = {
        "seconds": 200,
        "shown": 1,
        "lines": 2,
        "hands": [{"after": 0, "kind": "choices", "counts": [answer]}],
        "forks": [{"after": 0, "error": "lineq-subtracts-coefficient", "name": "Subtracts it"}],
    }
    item = lesson["items"][0]["id"]
    assert teacher.call("PUT", f"{path}/items/{item}/held", held).status_code == 204
    teacher.call("POST", f"{path}/end")
    assert teacher.call("POST", f"{path}/carry", {"date": "2026-11-25"}).status_code == 201
    reviews = {"days": [3, 9], "free": [["2026-12-21", "2027-01-03"]]}
    assert teacher.call("PUT", f"/lessons/reviews/{school_class}", reviews).status_code == 200


def test_what_is_kept_comes_back_whole_in_another_account(ada: ApiClient, ben: ApiClient) -> None:
    _fill(ada)
    kept = _everything(ada)

    counts = _restore(ben, kept)["outcome"]

    assert counts == {"examples": 5, "sets": 3, "classes": 1, "own_errors": 1, "proofs": 1}
    assert _everything(ben) == kept
    sitting = ben.call("GET", "/sittings").json()[0]
    cells = ben.call("GET", f"/sittings/{sitting['id']}").json()["cells"]
    assert [cell["overruled"] for cell in cells] == [1]
    assert [cell["error"] for cell in cells] == ["Took two off the right"]
    lessons = ben.call("GET", "/lessons").json()
    assert [(row["title"], row["reached"]) for row in lessons] == [("Monday", 0), ("Monday", 1)]
    first = ben.call("GET", f"/lessons/{lessons[1]['id']}").json()
    assert first["carried_to"] == lessons[0]["id"]
    assert first["items"][0]["hands"][0]["counts"][0]["count"] == 20
    assert first["items"][0]["example"] is not None
    assert set(_restore(ben, kept)["outcome"].values()) == {0}
    assert not any(job.params for job in Job.objects.filter(kind="restore")), "files are not kept"
    assert _everything(ben) == kept


def test_restoring_adds_and_overwrites_nothing(ada: ApiClient) -> None:
    _fill(ada)
    kept = _everything(ada)
    one = ada.listed("/examples")[0]["id"]
    body = {**ada.call("GET", f"/examples/{one}").json(), "given": "7x = 7"}
    ada.call("PUT", f"/examples/{one}", body)

    assert _restore(ada, kept)["outcome"]["examples"] == 1

    givens = [row["given"] for row in ada.listed("/examples")]
    assert "7x = 7" in givens


@pytest.mark.parametrize(
    "change",
    [
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
        {"examples": [{"task": "solve", "given": "x = 1", "unit": 7}], "sets": []},
        {"units": [{"title": "a"}, {"title": "b", "parent": 0}, {"title": "c", "parent": 1}]},
    ],
    ids=["house", "reference", "law as error", "task", "unit", "part of a part"],
)
def test_a_file_that_is_not_right_changes_nothing(ada: ApiClient, change: dict[str, Any]) -> None:
    before = _everything(ada)

    job = _restore(ada, {**before, **change})

    assert job["state"] == "failed"
    assert Job.objects.get(pk=job["id"]).params == {}, "the file is not kept"
    assert len(job["message"]) > 20, "it says why"
    assert _everything(ada) == before


@pytest.mark.parametrize("content", [b"[" * 9_000, b"{}", b"\xff", b'{"format": "other"}'])
def test_what_is_no_such_file_is_refused_at_once(ada: ApiClient, content: bytes) -> None:
    assert ada.upload("/keep/restore", "all.json", content).status_code == 422


def test_units_and_tags_come_back_with_what_is_filed_there(ada: ApiClient, ben: ApiClient) -> None:
    stored = ada.set_of({"task": "solve", "given": "2x = 6"}, title="Sheet")
    top = ada.call("POST", "/units", {"title": "Lines"}).json()["id"]
    part = ada.call("POST", "/units", {"title": "Part", "parent": top}).json()["id"]
    example = stored["items"][0]["example"]["id"]
    ada.call("POST", "/examples/file", {"ids": [example], "unit": part, "add": ["week 1"]})
    ada.call("POST", "/sets/file", {"ids": [stored["id"]], "unit": top})

    _restore(ben, _everything(ada))

    assert _everything(ben) == _everything(ada)
    unit = ben.listed("/sets")[0]["unit"]
    assert [row["tags"] for row in ben.listed(f"/examples?unit={unit}")] == [["week 1"]]


def test_a_file_of_an_earlier_version_without_units_is_restored(ada: ApiClient) -> None:
    old = {"format": "uchuu-everything", "version": 1, "house": {}, "own_errors": [], "proofs": []}
    example = {"task": "solve", "given": "x = 1", "lines": ["x = 1"]}

    job = _restore(ada, {**old, "examples": [example], "sets": []})

    assert job["outcome"]["examples"] == 1
    assert ada.listed("/examples")[0]["line_count"] == 1


def test_thousands_of_examples_take_few_statements(
    ada: ApiClient, django_assert_max_num_queries: DjangoAssertNumQueries
) -> None:
    kept = _everything(ada)
    kept["examples"] = [
        {"task": "solve", "given": f"x + {n} = 7", "lines": ["x = 1", "x = 2"]} for n in range(400)
    ]

    with django_assert_max_num_queries(60):
        assert _restore(ada, kept)["outcome"]["examples"] == 400
