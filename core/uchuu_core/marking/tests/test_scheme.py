"""Mark schemes: made of the steps of accepted ways, worth what is asked, the same step the same mark."""

from random import Random
from typing import Any

import pytest

from uchuu_core.lawbook.marking import CHECKS, STEP_OF, STEPS, TIDIES
from uchuu_core.lawbook.register import LAWS
from uchuu_core.operations import answer as ask
from uchuu_core.tests.support.problems import EQUATIONS, EXPRESSIONS

KINDS = {**EQUATIONS, **EXPRESSIONS}


def scheme(task: str, given: str, **more: Any) -> dict[str, Any]:
    found = ask("scheme", {"task": task, "given": given, **more})
    assert "failure" not in found, found
    return found


def test_every_law_belongs_to_one_step_or_is_said_to_earn_nothing() -> None:
    for law in LAWS.values():
        assert (law in STEP_OF) + (law in TIDIES) + (law in CHECKS) == 1, law.key
    assert len({step.key for step in STEPS}) == len(STEPS)
    assert sum(len(step.laws) for step in STEPS) == len(STEP_OF)


@pytest.mark.parametrize("school", ["method-accuracy", "deductions"])
@pytest.mark.parametrize("kind", KINDS)
def test_a_scheme_is_worth_what_is_asked(kind: str, school: str) -> None:
    made = KINDS[kind](Random(2))
    record = {"task": made.task, "given": made.given, "numbers": made.numbers, "school": school}
    for worth in (None, 1, 2, 3, 5, 9):
        found = ask("scheme", {**record, "variable": made.variable, "worth": worth})
        marks = found["marks"]
        assert found["total"] == sum(one["worth"] for one in marks if one["worth"] > 0)
        assert worth in (None, found["total"])
        assert len({one["key"] for one in marks}) == len(marks)
        assert all(one["worth"] and one["says"] for one in marks)


def test_the_marks_are_named_steps_an_answer_and_a_check_where_candidates_come_in() -> None:
    found = scheme("solve", "sqrt(x+6) = x")
    assert [(one["key"], one["kind"]) for one in found["marks"]] == [
        ("raises", "method"),
        ("zero-on-one-side", "method"),
        ("factors", "method"),
        ("both-cases", "method"),
        ("answer", "accuracy"),
        ("check", "check"),
    ]
    assert found["marks"][0]["law"] == "raise-both-sides"


def test_the_same_place_on_another_accepted_way_earns_the_same_mark() -> None:
    factors, cases, answer = scheme("solve", "x^2 - x - 6 = 0")["marks"]
    assert {"factors", "formula"} <= {*factors["steps"]}
    assert {"both-cases", "both-solutions", "both-roots"} <= {*cases["steps"]}
    assert answer["kind"] == "accuracy"


def test_a_form_that_is_asked_for_has_its_mark() -> None:
    kinds = [
        one["kind"] for one in scheme("simplify", "6/(sqrt(7)+1)", form=["rationalised"])["marks"]
    ]
    assert "form" in kinds


def test_a_study_has_a_mark_for_each_feature() -> None:
    marks = scheme("study", "(x^2-x-6)/(x^2-4)")["marks"]
    features = {one["key"] for one in marks if one["kind"] == "accuracy"}
    assert {"hole", "vertical-asymptote", "x-intercept", "y-intercept"} <= features
    assert "answer" not in features


def test_a_problem_that_cannot_be_worked_has_a_mark_for_its_answer() -> None:
    assert [one["key"] for one in scheme("solve", "x^5 - x - 1 = 0")["marks"]][:1] == ["answer"]
