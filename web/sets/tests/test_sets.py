"""Sets: examples in order, each teacher's own, versions, putting aside."""

from typing import Any

import pytest
from api.testing import ApiClient
from pytest_django import DjangoAssertNumQueries


def _example(teacher: ApiClient, given: str) -> str:
    body = {"title": given, "task": "solve", "given": given, "lines": ["x = 1", "x ("]}
    identity: str = teacher.call("POST", "/examples", body).json()["id"]
    return identity


def _set(teacher: ApiClient, *givens: str) -> dict[str, Any]:
    items = [{"example": _example(teacher, given), "marks": 2} for given in givens]
    reply = teacher.call("POST", "/sets", {"title": "Sheet", "items": items})
    assert reply.status_code == 201
    found: dict[str, Any] = reply.json()
    return found


def _items(found: dict[str, Any]) -> list[dict[str, Any]]:
    return [{"example": item["example"]["id"], "marks": item["marks"]} for item in found["items"]]


def test_a_set_keeps_its_order_and_what_stands_in_it(ada: ApiClient) -> None:
    stored = _set(ada, "x=1", "2x=4", "3x=9")
    turned = {
        "title": "Turned",
        "instruction": "Solve.",
        "items": _items(stored)[::-1],
        "version": 1,
    }

    saved = ada.call("PUT", f"/sets/{stored['id']}", turned).json()

    assert saved == ada.call("GET", f"/sets/{stored['id']}").json()
    assert [item["example"]["given"] for item in saved["items"]] == ["3x=9", "2x=4", "x=1"]
    assert [item["example"]["lines"] for item in saved["items"]] == [["x = 1", "x ("]] * 3
    assert (saved["version"], saved["instruction"]) == (2, "Solve.")
    assert ada.listed("/sets")[0]["item_count"] == 3


def test_each_teacher_sees_and_fills_only_their_own(ada: ApiClient, ben: ApiClient) -> None:
    stored = _set(ada, "x=1")
    path = f"/sets/{stored['id']}"
    body = {"title": "", "items": [], "version": 1}

    replies = [
        ben.call("GET", path),
        ben.call("PUT", path, body),
        ben.call("DELETE", path),
        ben.call("POST", f"{path}/restore"),
    ]
    stolen = ben.call("POST", "/sets", {"items": _items(stored)})

    assert [reply.status_code for reply in replies] == [404] * 4
    assert stolen.status_code == 422
    assert ben.listed("/sets") == []


def test_a_change_on_an_old_version_never_overwrites(ada: ApiClient) -> None:
    stored = _set(ada, "x=1", "2x=4")
    path = f"/sets/{stored['id']}"
    ada.call("PUT", path, {"title": "Mine", "items": _items(stored), "version": 1})

    again = ada.call("PUT", path, {"title": "Mine", "items": _items(stored), "version": 1})
    stale = ada.call("PUT", path, {"title": "Late", "items": [], "version": 1})

    assert (again.status_code, again.json()["version"]) == (200, 2)  # its first answer was lost

    assert (stale.status_code, stale.json()["code"]) == (409, "stale")
    assert stale.json()["current"]["title"] == "Mine"
    assert len(ada.call("GET", path).json()["items"]) == 2


@pytest.mark.parametrize(
    ("change", "says"),
    [
        (lambda items: items * 2, "twice"),
        (lambda items: [{**items[0], "marks": -1}], "marks"),
        (lambda items: [{**items[0], "marks": 101}], "marks"),
        (lambda _: [{"example": "00000000-0000-0000-0000-000000000000"}], "not there"),
        (lambda _: [{"example": "no id"}], "example"),
        (lambda items: items * 101, "items"),
    ],
)
def test_what_is_no_set_is_refused_and_nothing_changes(
    ada: ApiClient, change: Any, says: str
) -> None:
    stored = _set(ada, "x=1")
    path = f"/sets/{stored['id']}"

    reply = ada.call("PUT", path, {"items": change(_items(stored)), "version": 1})

    assert reply.status_code == 422
    assert says in reply.json()["message"]
    assert ada.call("GET", path).json()["version"] == 1


def test_a_set_is_put_aside_and_comes_back_whole(ada: ApiClient) -> None:
    stored = _set(ada, "x=1", "2x=4")
    path = f"/sets/{stored['id']}"

    assert ada.call("DELETE", path).status_code == 204
    assert ada.call("GET", path).status_code == 404
    assert len(ada.listed("/examples")) == 2
    assert len(ada.call("POST", f"{path}/restore").json()["items"]) == 2
    assert ada.call("GET", path).status_code == 200


def test_a_large_set_is_read_with_few_queries(
    ada: ApiClient, django_assert_max_num_queries: DjangoAssertNumQueries
) -> None:
    stored = _set(ada, *(f"{n}x=1" for n in range(1, 25)))

    with django_assert_max_num_queries(9):
        assert len(ada.call("GET", f"/sets/{stored['id']}").json()["items"]) == 24
