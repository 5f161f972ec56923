"""Which forks are told: few, in the order of what the step is known for, each with an end of its own."""

from collections import Counter
from typing import Any

import pytest
from gallery.forks import PROBLEMS

from uchuu_core import check, forks, problem_from, work
from uchuu_core.answers.forked import Fork
from uchuu_core.forking.forks import MOST_ASKED, MOST_PER_LINE
from uchuu_core.kernel.finished import unmet_forms
from uchuu_core.notation import read


def _record(task: str, given: str) -> dict[str, Any]:
    return {"task": task, "given": given}


def _found(task: str, given: str, most: int = MOST_PER_LINE) -> list[Fork]:
    return forks(problem_from({**_record(task, given), "most": most}))["forks"]


def _first(task: str, given: str, after: int = 0) -> str:
    return next(fork["error"] for fork in _found(task, given) if fork["after"] == after)


@pytest.mark.parametrize(("task", "given"), [pytest.param(t, g, id=g) for _, t, g in PROBLEMS])
def test_a_line_has_few_forks_each_with_an_end(task: str, given: str) -> None:
    found = _found(task, given)

    shown = Counter(fork["after"] for fork in found if not fork.get("hidden"))
    assert all(
        number <= MOST_PER_LINE + 1 for number in shown.values()
    )  # and a candidate that is kept
    for fork in found:
        assert fork["ends_in"]
        assert fork["error"] not in fork.get("also", [])
    lines = [(fork["after"], fork["wrong"]) for fork in found if "extraneous" not in fork["error"]]
    assert len(set(lines)) == len(lines), "errors that write the same line are one fork"


@pytest.mark.parametrize(
    ("task", "given"),
    [pytest.param(t, g, id=g) for _, t, g in PROBLEMS if t in ("solve", "evaluate")],
)
def test_an_end_is_an_answer(task: str, given: str) -> None:
    for fork in _found(task, given):
        assert "unknown alone" not in unmet_forms(read(fork["ends_in"]), task, (), "x"), fork


@pytest.mark.parametrize(
    ("task", "given", "after", "error"),
    [
        ("evaluate", "3/4+1/6", 0, "fraction-add-tops-and-bottoms"),
        ("evaluate", "(2/3)/(4/5)", 0, "fraction-divide-no-flip"),
        ("expand", "(2x-5)^2", 0, "expand-square-termwise"),
        ("factor", "x^2+11x+30", 0, "trinomial-signs-flipped"),
        ("factor", "4x^2-9", 0, "diff-squares-as-square"),
        ("simplify", "sqrt(18)+sqrt(8)", 0, "radical-sum-merged"),
        ("simplify", "(n+4)/n", 0, "like-unlike-terms-joined"),
        ("solve", "3(2x-4)=2x+8", 0, "distribute-first-term-only"),
        ("solve", "(x-3)^2=25", 0, "quad-missing-plus-minus"),
        ("solve", "2x^2-3x-4=0", 0, "formula-minus-b-sign"),
        ("solve", "x/(x-3)=3/(x-3)+2", 0, "rateq-lcd-missed-term"),
        ("solve", "9^x=27", 0, "expeq-divides-by-base"),
        ("study", "(x^2-x-6)/(x-3)", 3, "ratfun-hole-as-asymptote"),
    ],
)
def test_the_well_known_one_comes_first(task: str, given: str, after: int, error: str) -> None:
    assert _first(task, given, after) == error


def test_pairs_of_factors_are_near_misses() -> None:
    by_error = {fork["error"]: fork["wrong"] for fork in _found("factor", "x^2+11x+30", MOST_ASKED)}

    assert by_error["trinomial-pair-wrong-sum"] == "(x + 3)(x + 10)"
    assert "30" not in by_error.get("trinomial-pair-wrong-product", "")


@pytest.mark.parametrize(
    ("task", "given", "error"),
    [
        ("simplify", "(x^2-9)/(x^2+3x)", "cancel-equal-terms"),
        ("simplify", "5x-3(x-4)+2", "like-unlike-terms-joined"),
        ("simplify", "(n+4)/n", "cancel-equal-terms"),
    ],
)
def test_from_the_finished_line_one_may_go_on_too_far(task: str, given: str, error: str) -> None:
    last = len(work(problem_from(_record(task, given)))["lines"])
    gone_on = [fork for fork in _found(task, given) if fork["after"] == last]

    assert error in [fork["error"] for fork in gone_on]
    right = work(problem_from(_record(task, given)))["answer"]
    for fork in gone_on:
        judged = check(problem_from({**_record(task, given), "lines": [right, fork["wrong"]]}))
        assert [line["verdict"] for line in judged["lines"]] == ["ok", "wrong"]


def test_a_solved_equation_invites_nothing_more() -> None:
    last = len(work(problem_from(_record("solve", "3(2x-4)=2x+8")))["lines"])

    assert all(fork["after"] < last for fork in _found("solve", "3(2x-4)=2x+8"))


def test_more_are_told_when_they_are_asked_for() -> None:
    few, many = (_found("solve", "3(2x-4)=2x+8", most) for most in (1, MOST_ASKED))

    assert max(Counter(fork["after"] for fork in few).values()) == 1
    assert len(many) > len(few)
    assert {(f["after"], f["wrong"]) for f in few} <= {(f["after"], f["wrong"]) for f in many}


@pytest.mark.parametrize("given", ["3(2x-4)=2x+8", "(x-3)^2=25", "x^2+2x=15"])
def test_a_teachers_own_lines_have_the_forks_of_the_worked_ones(given: str) -> None:
    """What the step is about is read off the line, whoever wrote it."""
    record = _record("solve", given)
    lines = [line["text"] for line in work(problem_from(record))["lines"]]
    own = forks(problem_from({**record, "lines": lines}))["forks"]

    firsts = {fork["after"]: fork["error"] for fork in reversed(own)}
    worked = {fork["after"]: fork["error"] for fork in reversed(_found("solve", given))}
    assert firsts == worked


def test_on_own_lines_nothing_far_from_the_step_is_told() -> None:
    lines = ["6x-12=2x+8", "4x-12=8", "4x=20", "x=5"]
    found = forks(problem_from({**_record("solve", "3(2x-4)=2x+8"), "lines": lines}))["forks"]

    first = [fork["error"] for fork in found if fork["after"] == 0]
    assert first[0] == "distribute-first-term-only"
    assert "lineq-one-side-only" not in first
