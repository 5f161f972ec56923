"""Answers that come in: grouped whatever their notation, and set where their error is."""

from fractions import Fraction
from random import Random
from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st

from uchuu_core import limits
from uchuu_core.operations import answer as ask
from uchuu_core.placing.explaining import MOST_WAYS
from uchuu_core.tests.support.cases import cases
from uchuu_core.tests.support.problems import EQUATIONS, EXPRESSIONS, Made
from uchuu_core.tests.support.quick import examples

KINDS = {**EQUATIONS, **EXPRESSIONS}


def place(task: str, given: str, answers: list[str], **more: Any) -> list[dict[str, Any]]:
    found = ask("place", {"task": task, "given": given, "answers": answers, **more})
    assert "failure" not in found, found
    groups: list[dict[str, Any]] = found["groups"]
    assert sorted(n for group in groups for n in group["members"]) == [*range(len(answers))]
    sizes = [len(group["members"]) for group in groups]
    assert sizes == sorted(sizes, reverse=True)
    return groups


def where(groups: list[dict[str, Any]], member: int) -> dict[str, Any]:
    return next(group for group in groups if member in group["members"])


@pytest.mark.parametrize(
    ("task", "posed", "equal", "stands"),
    [
        ("evaluate", "1/4 + 1/4", ["1/2", "0.5", "2/4", " 1/2 "], "right"),
        ("evaluate", "48/8*2 + 3", ["6", "12/2", "6.0"], "fork"),
        ("solve", "x^2 - x - 6 = 0", ["x=3 or x=-2", "-2, 3", "{3; -2}", "x1=-2, x2=3"], "right"),
        ("solve", "x^2 - x - 6 = 0", ["x = 3 x = -2", "x∈{-2,3}", "x = 3 or x = -2"], "right"),
        ("solve", "3(x-2) = 15", ["3 x = 21", "3x = 21"], "unfinished"),
        ("solve", "x^2 = -4", ["no solution", "none", "No sol.", "∅", "n.s."], "right"),
        ("solve", "2x = 15", ["7 1/2", "x = 15/2", "7.5"], "right"),
        ("solve", "3(x-2) = 15", ["", "  ", "-", "?", "blank"], "blank"),
        ("solve", "3(x-2) = 15", ["who knows", "Who knows"], "unreadable"),
        ("solve", "3(x-2) = 15", ["B"], "unreadable"),
        ("solve", "3(x-2) = 15", ["3x = 21", "x - 2 = 5"], "unfinished"),
        ("factor", "6x^2 + 9x", ["3(2x^2 + 3x)", "x(6x + 9)"], "unfinished"),
        ("factor", "6x^2 + 9x", ["3x(2x + 3)", "3x(3 + 2x)"], "right"),
        ("domain", "(2y+6)/(y^2-9)", ["y != 3, y != -3", "all real numbers except -3, 3"], "right"),
    ],
)
def test_equal_answers_are_one_group_in_any_notation(
    task: str, posed: str, equal: list[str], stands: str
) -> None:
    groups = place(task, posed, equal)
    assert [(group["where"], group["members"]) for group in groups] == [
        (stands, [*range(len(equal))])
    ]


def test_an_answer_that_several_errors_end_in_asks_for_the_line_that_tells_them_apart() -> None:
    (group,) = place("solve", "x^2 - x - 6 = 0", ["x = -3 or x = 2"])
    named = {error["id"] for error in group["errors"]}
    assert {"trinomial-signs-flipped", "quad-root-sign"} <= named
    assert group["tells_apart"] == "(x - 3)(x + 2) = 0"
    assert group["tells_after"] == 0


def test_what_nothing_explains_is_left_without_a_name() -> None:
    groups = place("evaluate", "48/8*2 + 3", ["15", "33", "33", "5", "-71.25"])
    assert [g["where"] for g in groups] == ["unexplained", "right", "unexplained", "unexplained"]
    assert all(not group["errors"] for group in groups)


def test_two_errors_on_the_way_are_looked_for_where_one_does_not_explain_it() -> None:
    (group,) = place("solve", "3(x-2) = 15", ["13/3"])
    (error,) = group["errors"]
    assert (error["id"], error["also"]) == (
        "distribute-first-term-only",
        "lineq-same-sign-when-moved",
    )


def test_an_error_is_placed_at_the_line_as_the_teacher_numbers_it() -> None:
    lines = ["3x - 6 = 15", "careful now", "3x = 21", "x = 7"]
    (group,) = place("solve", "3(x-2) = 15", ["3"], lines=lines)
    assert [(error["id"], error["after"]) for error in group["errors"]] == [
        ("lineq-same-sign-when-moved", 1)
    ]


def test_an_own_error_explains_answers_too() -> None:
    own = {"id": "own-halves", "name": "Halves the power", "before": "a^2", "after": "2a"}
    (group,) = place("evaluate", "5^2 + 1", ["11"], own=[{**own, "says": "Multiply it out."}])
    assert "own-halves" in [error["id"] for error in group["errors"]]


def test_a_problem_that_cannot_be_worked_still_has_its_answers_grouped() -> None:
    groups = place("solve", "x^5 - x - 1 = 0", ["1", "x = 1", "2"])
    assert [group["members"] for group in groups] == [[0, 1], [2]]


def test_too_many_answers_are_refused() -> None:
    asked = {"task": "solve", "given": "x = 1", "answers": ["1"] * (limits.ANSWERS + 1)}
    assert ask("place", asked)["failure"]["code"] == "too-large"


@given(st.text(max_size=40))
@examples(60)
def test_no_text_is_an_accident(text: str) -> None:
    for task, posed in (("solve", "3(x-2) = 15"), ("simplify", "sqrt(12)")):
        place(task, posed, [text, "x"])


def made(kind: str, seed: int) -> Made:
    return KINDS[kind](Random(seed))


@pytest.mark.parametrize("kind", KINDS)
def test_who_leaves_at_a_fork_is_placed_at_its_error(kind: str) -> None:
    """Answers made of forks: every end that no other answer shares has its error among the named."""
    problem = made(kind, 3)
    record: dict[str, Any] = {
        "task": problem.task,
        "given": problem.given,
        "numbers": problem.numbers,
    }
    record["variable"] = problem.variable
    forks = ask("forks", record).get("forks", [])
    ends = [fork for fork in forks if not fork.get("hidden") and fork["ends_in"]]
    if not ends:
        return
    groups = place(answers=[fork["ends_in"] for fork in ends], **record)
    for number, fork in enumerate(ends):
        group = where(groups, number)
        if group["where"] == "unreadable":
            continue
        assert group["where"] == "fork", (problem, fork["ends_in"], group)
        errors = [error["id"] for error in group["errors"]]
        assert fork["error"] in errors or len(errors) == MOST_WAYS, (problem, fork, errors)


@pytest.mark.parametrize("kind", EQUATIONS)
def test_the_solutions_that_a_problem_was_made_from_are_right_in_any_order(kind: str) -> None:
    problem = made(kind, 5)
    if not problem.answers or problem.numbers == "complex":
        return
    texts = [str(Fraction(one)) for one in problem.answers]
    unknown = problem.variable or "x"
    answers = [", ".join(texts), " or ".join(f"{unknown} = {text}" for text in texts[::-1])]
    (group,) = place(problem.task, problem.given, answers)
    assert group["where"] == "right", (problem, group)


@pytest.mark.slow  # every shared problem
def test_worked_answers_are_right_and_wrong_ones_are_not() -> None:
    for case in cases("work"):
        if case["task"] == "study":
            continue
        record: dict[str, Any] = {
            key: case[key] for key in ("task", "given", "numbers", "form") if key in case
        }
        worked = ask("work", record)
        if "failure" in worked or not worked["lines"]:
            continue
        (group,) = place(answers=[worked["answer"]], **record)
        assert group["where"] == "right", (case["id"], worked["answer"], group)
