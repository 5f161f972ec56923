"""The algebra over the API: in worker processes, with a hard time limit."""

from typing import Any

import pytest
from algebra import pool, worker
from algebra.tests import misbehaving
from api.testing import ApiClient
from uchuu_core import operations


def test_a_paper_is_judged_and_its_error_named(ada: ApiClient) -> None:
    body = {"task": "solve", "given": "3(2x-5)=9", "lines": ["6x-5=9", "6x=14", "x=7/3"]}

    found = ada.call("POST", "/algebra/check", body).json()

    assert [line["verdict"] for line in found["lines"]] == ["wrong", "ok", "ok"]
    error = found["lines"][0]["error"]
    assert error["id"] == "distribute-first-term-only"
    assert error["instead"] == "6x - 15 = 9"
    assert found["lines"][0]["counter"] == "x = 4 fits the line before; here 19 is not 9."
    assert found["answer"]["missing"] == ["x = 4"]


def test_who_asks_for_the_verdict_alone_is_told_no_more(ada: ApiClient) -> None:
    body = {"task": "solve", "given": "3(2x-5)=9", "lines": ["6x-5=9", "6x=14"], "explains": True}
    quick = ada.call("POST", "/algebra/check?quick=true", body).json()["lines"]
    whole = ada.call("POST", "/algebra/check", body).json()["lines"]

    assert [line["verdict"] for line in quick] == [line["verdict"] for line in whole]
    assert [bool(line.get("error") or line.get("law")) for line in quick] == [False, False]
    assert [bool(line.get("error") or line.get("law")) for line in whole] == [True, True]


def test_reading_gives_typeset_and_spoken_forms(ada: ApiClient) -> None:
    found = ada.call("POST", "/algebra/read", {"text": "5x-3=2x+12"}).json()

    assert found["sides"] == {"left": "5x-3", "sign": "=", "right": "2x+12"}
    assert found["spoken"] == "5 x minus 3 equals 2 x plus 12"


def test_the_next_step_comes_at_three_depths(ada: ApiClient) -> None:
    body = {"task": "solve", "given": "2x^2+x=6", "lines": ["2x^2+x-6=0"]}

    found = ada.call("POST", "/algebra/nudge", body).json()

    assert found["notice"] == "Which two numbers have this product and this sum?"
    assert (found["law_name"], found["text"]) == ("split the middle", "2x^2 + 4x - 3x - 6 = 0")


def test_two_methods_stand_side_by_side(ada: ApiClient) -> None:
    methods = ["factor-and-zero-product", "quadratic-formula"]
    body = {"task": "solve", "given": "x^2-5x+6=0", "methods": methods}

    found = ada.call("POST", "/algebra/compare", body).json()

    assert [path["method"] for path in found["paths"]] == methods
    assert found["shorter"] == "factor-and-zero-product"
    methods[1] = "cross-multiply"
    assert ada.call("POST", "/algebra/compare", {**body, "methods": methods}).status_code == 422


def test_a_function_is_studied(ada: ApiClient) -> None:
    found = ada.call("POST", "/algebra/study", {"task": "study", "given": "(x^2-1)/(x-1)"}).json()

    assert found["features"]["holes"] == [["1", "2"]]
    assert found["features"]["stretches"][0]["to"] == "-1"
    assert len(found["curve"]["branches"]) == 1


def test_an_unreadable_given_says_where(ada: ApiClient) -> None:
    reply = ada.call("POST", "/algebra/read", {"text": "2x + (3"})

    assert (reply.status_code, reply.json()["at"]) == (422, 7)


@pytest.mark.parametrize(
    "text",
    [
        "9^9^9^9",
        "(" * 10_000,
        "9" * 10_000,
        "(a+b+x+y+1)^100",
        "<script>alert(1)</script>",
        "+".join(f"{n}x" for n in range(2, 150)),
        "*".join(f"(x+{n})" for n in range(2, 40)),
    ],
    ids=["tower", "brackets", "digits", "expansion", "markup", "long sum", "long product"],
)
def test_hostile_input_is_answered_before_the_hard_limit(ada: ApiClient, text: str) -> None:
    """A call that runs into the limit would be answered with 504."""
    reply = ada.call("POST", "/algebra/check", {"task": "simplify", "given": text, "lines": ["1"]})

    assert reply.status_code in (200, 413, 422)
    if reply.status_code == 200:
        assert reply.json()["lines"][0]["verdict"] in ("unproved", "wrong")
    assert ada.call("POST", "/algebra/read", {"text": "x"}).status_code == 200


@pytest.mark.parametrize("misbehave", [misbehaving.sleep, misbehaving.die])
def test_a_call_that_hangs_or_dies_is_ended_and_the_next_one_works(
    ada: ApiClient, settings: Any, monkeypatch: pytest.MonkeyPatch, misbehave: Any
) -> None:
    settings.ALGEBRA_SECONDS = 0.5
    with monkeypatch.context() as patched:
        patched.setattr(worker, "answer", misbehave)
        reply = ada.call("POST", "/algebra/read", {"text": "x"})
    settings.ALGEBRA_SECONDS = 10

    assert (reply.status_code, reply.json()["code"]) == (504, "time-out")
    assert ada.call("POST", "/algebra/read", {"text": "x"}).status_code == 200


def test_a_broken_pool_is_made_anew(ada: ApiClient) -> None:
    ada.call("POST", "/algebra/read", {"text": "x"})
    pool.close(forget=False)

    assert ada.call("POST", "/algebra/read", {"text": "x"}).status_code == 200


def test_a_bug_of_ours_is_not_shown_as_an_answer(monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setitem(operations.OPERATIONS, "work", operations.Operation(lambda _: 1 // 0, None))

    with pytest.raises(ZeroDivisionError):
        worker.answer("work", {"task": "solve", "given": "x=1"})
    assert pool.TookTooLong.code == "time-out"


def test_house_rules_change_how_a_line_is_read(ada: ApiClient) -> None:
    before = ada.call("POST", "/algebra/read", {"text": "1/2x"}).json()["text"]

    rules = {
        "juxtaposition": "tighter",
        "decimal": "point",
        "density": "key",
        "radicals": "any",
        "methods": [],
        "spelling": "uk",
    }
    assert ada.call("PUT", "/house", rules).status_code == 200
    after = ada.call("POST", "/algebra/read", {"text": "1/2x"}).json()["text"]

    assert (before, after) == ("(1/2)x", "1/(2x)")
    assert ada.call("GET", "/house").json().items() >= rules.items()


def test_the_catalogue_is_served_with_its_repairs(ada: ApiClient) -> None:
    found = ada.call("GET", "/algebra/errors").json()

    assert len(found) >= 30
    assert all(entry["wrong"] and entry["right"] and entry["repair"] for entry in found)


@pytest.mark.parametrize("numbers", ["real", "complex"])
def test_complex_solutions_count_asked_for_or_not(ada: ApiClient, numbers: str) -> None:
    paper = {"task": "solve", "given": "x^2 + 4 = 0", "numbers": numbers}
    right = {"right": True, "finished": True, "missing": [], "extra": []}

    found = [
        ada.call("POST", "/algebra/check", {**paper, "lines": [line]}).json()["answer"]
        for line in ("x = +-2i", "x = +-3i", "x = 2i")
    ]

    assert found[0] == right
    assert [answer["right"] for answer in found] == [True, False, False]


def test_a_line_is_given_in_the_notations_of_other_programs(ada: ApiClient) -> None:
    reading = ada.call("POST", "/algebra/read", {"text": "x^2/3"}).json()

    assert reading["latex"] == r"\frac{x^{2}}{3}"
    assert reading["typst"] == "frac(x^(2), 3)"
    assert "<mfrac>" in reading["mathml"]


def test_every_example_of_the_catalogue_is_typeset(ada: ApiClient) -> None:
    entries = ada.call("GET", "/algebra/errors").json()
    assert all(entry[f"{part}_latex"] for entry in entries for part in ("before", "wrong", "right"))


def test_marks_side_work_and_contrast_come_over_the_api(ada: ApiClient) -> None:
    body = {"task": "factor", "given": "5n^2+7n-6", "lines": ["5n^2+10n-3n-6"]}

    drawn = ada.call("POST", "/algebra/draw", body).json()["lines"]
    assert {mark["kind"] for mark in drawn[1]["marks"]} == {"ring"}
    assert "htmlClass{m-0-1}" in drawn[0]["sides"]["right"]
    works = ada.call("POST", "/algebra/beside", body).json()["works"]
    assert works[0]["says"] == "Product −30, sum 7: −3 and 10."
    found = ada.call("GET", "/algebra/contrast/expand-square-termwise").json()
    assert found["before"]["text"]
    assert ada.call("GET", "/algebra/contrast/none-such").status_code == 422
