"""Forks and what is made of them, over the API: typed answers, refusals with a reason."""

from typing import Any

import pytest
from api.testing import ApiClient

LINEAR = {"task": "solve", "given": "3(2x - 4) = 2x + 8"}


def _post(teacher: ApiClient, operation: str, **more: Any) -> Any:
    return teacher.call("POST", f"/algebra/{operation}", {**LINEAR, **more})


def test_forks_tell_where_students_leave_and_where_they_end(ada: ApiClient) -> None:
    forks = _post(ada, "forks").json()["forks"]

    first = next(fork for fork in forks if fork["error"] == "distribute-first-term-only")
    assert (first["after"], first["wrong"], first["ends_in"]) == (0, "6x - 4 = 2x + 8", "x = 3")
    assert "hidden" not in first
    assert "fits the line before" in first["counter"]
    assert first["because"]
    assert first["wrong_latex"]


def test_a_fork_is_carried_on_by_the_same_method(ada: ApiClient) -> None:
    path = _post(ada, "fork", wrong="6x - 4 = 2x + 8").json()["path"]

    assert path[-1]["text"] == "x = 3"
    assert all(line["says"] and line["sides"]["sign"] == "=" for line in path)
    assert _post(ada, "fork", wrong="x = 3").json()["path"] == []


def test_choices_have_one_right_answer_and_a_reason_for_every_other(ada: ApiClient) -> None:
    found = _post(ada, "choices", seed=4).json()

    right = [choice for choice in found["choices"] if choice["right"]]
    assert [choice["text"] for choice in right] == ["x = 5"]
    assert all(choice["because"] for choice in found["choices"] if not choice["right"])
    assert found["asked"] == len(found["choices"]) == 4
    assert _post(ada, "choices", seed=4).json() == found


def test_a_mistake_is_planted_and_judged_where_it_says(ada: ApiClient) -> None:
    found = _post(ada, "mistake", error="lineq-same-sign-when-moved").json()

    lines = [line["text"] for line in found["lines"]]
    judged = _post(ada, "check", lines=lines).json()
    assert judged["first_wrong"] == found["mistake_at"]
    assert judged["error"] == "lineq-same-sign-when-moved"
    assert judged["follow_through"]["carried"] is True


def test_an_exercise_is_screened(ada: ApiClient) -> None:
    found = _post(ada, "screen", task="simplify", given="2^2*2^3").json()

    assert "exponent-as-multiplier" in [item["error"] for item in found["hides"]]
    assert "exponent-product-multiplied" in [item["error"] for item in found["reveals"]]


def test_an_example_is_told_with_what_is_new_lit(ada: ApiClient) -> None:
    lines = ["6x - 12 = 2x + 8", "x = = 5", "4x = 20"]
    told = _post(ada, "tell", lines=lines).json()["lines"]

    assert len(told) == 4
    assert "lit" in told[1]["lit"]["left"]
    assert "lit" not in told[2]
    assert told[2]["text"] == "x = = 5"
    assert told[3]["ask"].endswith("?")


@pytest.mark.parametrize(
    ("operation", "more", "status", "says"),
    [
        ("forks", {"given": "x = = 2"}, 422, ""),
        ("forks", {"given": "9^9^9^9 = x"}, 413, ""),
        ("fork", {"wrong": "x = ("}, 422, ""),
        ("mistake", {"error": "radical-sum-merged"}, 422, "cannot be planted"),
        ("mistake", {"error": "no-such-error"}, 422, "no error that is known"),
        ("choices", {"given": "x = 5"}, 422, ""),
        ("screen", {"task": "nonsense"}, 422, "task"),
        ("tell", {"given": "(" * 3000}, 413, ""),
    ],
)
def test_what_cannot_be_done_is_refused_with_the_reason(
    ada: ApiClient, operation: str, more: dict[str, Any], status: int, says: str
) -> None:
    reply = _post(ada, operation, **more)

    assert reply.status_code == status, reply.json()
    assert says in reply.json()["message"]
    assert reply.json()["message"].strip()


@pytest.mark.parametrize("operation", ["forks", "fork", "choices", "mistake", "screen", "tell"])
def test_nobody_is_served_who_is_not_signed_in(anybody: ApiClient, operation: str) -> None:
    anybody.call("GET", "/session")

    assert _post(anybody, operation, wrong="x = 1").status_code == 401


def test_answers_that_came_in_are_grouped_and_placed_on_the_example(ada: ApiClient) -> None:
    body = {"task": "solve", "given": "3(x-2) = 15", "answers": ["7", "x = 7", "17/3", "", "x = ="]}
    answer = ada.call("POST", "/algebra/place", body)
    assert answer.status_code == 200
    groups = {group["where"]: group for group in answer.json()["groups"]}
    assert groups["right"]["members"] == [0, 1]
    assert groups["fork"]["errors"][0]["id"] == "distribute-first-term-only"
    assert groups["fork"]["errors"][0]["after"] == 0
    assert {"blank", "unreadable"} <= groups.keys()


@pytest.mark.parametrize("answers", [["1"] * 401, ["1" * 2001], "7", [None]])
def test_answers_beyond_the_bounds_are_refused(ada: ApiClient, answers: object) -> None:
    body = {"task": "solve", "given": "x = 1", "answers": answers}
    assert ada.call("POST", "/algebra/place", body).status_code == 422
