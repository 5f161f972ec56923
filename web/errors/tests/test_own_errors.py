"""A teacher's own errors: examined, stored, used for that teacher only."""

from typing import Any

import pytest
from api.testing import ApiClient

HALVES = {"name": "Halves one", "before": "(a + b)/2", "after": "a/2 + b", "says": "Halve both."}
PAPER = {"task": "simplify", "given": "(x+6)/2 + x", "lines": ["x/2 + 6 + x"]}


def _error(teacher: ApiClient) -> Any:
    return teacher.call("POST", "/algebra/check", PAPER).json()["lines"][0]["error"]


def test_an_own_error_is_used_for_its_teacher_only(ada: ApiClient, ben: ApiClient) -> None:
    stored = ada.call("POST", "/errors", HALVES)

    assert stored.status_code == 201
    assert "is not" in stored.json()["counter"]
    assert _error(ada)["name"] == "Halves one"
    assert (_error(ben) or {}).get("name") != "Halves one"
    assert ben.call("GET", "/errors").json() == []
    forks = ada.call("POST", "/algebra/forks", {**PAPER, "lines": []}).json()["forks"]
    assert "Halves one" in [fork["name"] for fork in forks]


def test_it_is_changed_and_deleted_by_its_teacher_only(ada: ApiClient, ben: ApiClient) -> None:
    place = f"/errors/{ada.call('POST', '/errors', HALVES).json()['id']}"

    assert ben.call("PUT", place, HALVES).status_code == 404
    assert ben.call("DELETE", place).status_code == 404
    changed = ada.call("PUT", place, {**HALVES, "name": "Only one half"}).json()
    assert changed["name"] == "Only one half"
    assert _error(ada)["name"] == "Only one half"
    assert ada.call("DELETE", place).status_code == 204
    assert ada.call("GET", "/errors").json() == []


@pytest.mark.parametrize(
    ("change", "says"),
    [
        ({"after": "a/2 + b/2"}, "always holds"),
        ({"name": " "}, "name"),
        ({"after": "a/2 + c"}, "only on the right"),
        ({"before": "(a + "}, ""),
        ({"before": "a" * 501}, "before"),
        ({"when": ["b is blue"]}, "no condition"),
    ],
)
def test_what_is_no_error_is_refused_with_the_reason(
    ada: ApiClient, change: dict[str, Any], says: str
) -> None:
    reply = ada.call("POST", "/errors", {**HALVES, **change})

    assert reply.status_code == 422
    assert says in reply.json()["message"]
    assert ada.call("GET", "/errors").json() == []


def test_it_is_examined_on_lines_before_it_is_stored(ada: ApiClient) -> None:
    found = ada.call("POST", "/errors/examine", {**HALVES, "examples": ["(x+8)/2", "x+"]}).json()

    assert found["is"] == "error"
    assert {item["verdict"] for item in found["examples"][0]["becomes"]} == {"wrong"}
    assert found["examples"][1]["failure"]["message"]
    assert ada.call("GET", "/errors").json() == []
