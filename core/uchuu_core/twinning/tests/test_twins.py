"""Twins: other numbers, the same look, route and kind of answer; right by values that share no code.

``UCHUU_TWINS`` sets how many seeds of each problem; ``./uchuu test long`` takes many.
"""

import os
from dataclasses import replace
from fractions import Fraction
from functools import partial
from random import Random
from typing import Any

import pytest
from hypothesis import given as drawn
from hypothesis import settings
from hypothesis import strategies as st

from uchuu_core import Problem, check, facts, problem_from, twin, work
from uchuu_core.answers.made import Twin
from uchuu_core.failures import Failure, OutOfScope
from uchuu_core.notation import plain, read
from uchuu_core.operations import answer
from uchuu_core.tests.support.cases import cases
from uchuu_core.tests.support.oracle import NoValue, are_close, seem_equal, value
from uchuu_core.tests.support.problems import EQUATIONS, EXPRESSIONS
from uchuu_core.tree.nodes import Symbol
from uchuu_core.tree.paths import letters, rebuild
from uchuu_core.tree.shape import outline, unordered
from uchuu_core.twinning.draws import by_factors, by_moving_zeros, perfect_power, split_power
from uchuu_core.twinning.places import numerals, polynomials, with_numeral

SEEDS = range(int(os.environ.get("UCHUU_TWINS", "1")))
WITHOUT_ROOM = ("st-132",)
"""Cases without any number: (m·n)/m."""
CASES = [
    pytest.param(case, id=case["id"]) for case in cases("work") if case["id"] not in WITHOUT_ROOM
]


def _looks(text: str) -> str:
    return repr(outline(read(text)))


def _holds_independently(problem: Problem, record: Twin) -> None:
    """Put every answer in, to 120 digits; of expressions, compare at random points."""
    given: Any = read(record["given"])
    if problem.task in ("simplify", "evaluate", "factor", "expand"):
        names = tuple(sorted(letters(given)))
        assert seem_equal(given, read(record["answer"]), names, Random(1)) is not False  # type: ignore[arg-type]
    if problem.task == "solve" and letters(given) - {"i"} == {problem.variable or "x"}:
        for text in record["answers"]:
            answer: Any = read(text)
            if "i" in letters(answer):
                continue
            unknown = Symbol(problem.variable or "x")
            put_in = rebuild(given, partial(_exchanged, unknown, answer))
            try:
                assert are_close(value(put_in.left, {}), value(put_in.right, {}))
            except NoValue:
                raise AssertionError(f"{record['given']} has no value at {text}") from None


def _exchanged(old: Any, new: Any, part: Any) -> Any:
    return new if part == old else part


@pytest.mark.parametrize("case", CASES)
def test_a_twin_is_worked_as_the_problem_it_is_made_of(case: dict[str, Any]) -> None:
    problem = problem_from(case)
    own = work(problem)

    for seed in SEEDS:
        found = twin(replace(problem, seed=seed))
        theirs = work(replace(problem, given=found["given"]))

        assert _looks(found["given"]) == _looks(problem.given)
        assert unordered(read(found["given"])) != unordered(read(problem.given))
        assert theirs["method"] == own["method"] == found["method"]
        assert [line["law"] for line in theirs["lines"]] == [line["law"] for line in own["lines"]]
        assert len(theirs["rejected"]) == len(own["rejected"])
        if "answers" in own:
            assert len(theirs["answers"]) == len(own["answers"])
            assert sorted(map(_is_whole, theirs["answers"])) == sorted(
                map(_is_whole, own["answers"])
            )
        assert found["answer"] == theirs["answer"]
        _holds_independently(problem, found)


def _is_whole(text: str) -> bool:
    return text.removeprefix("-").isdigit()


@pytest.mark.parametrize("kind", [*EQUATIONS, *EXPRESSIONS])
def test_twins_of_random_problems_are_right_and_their_worked_lines_hold(kind: str) -> None:
    refused = 0
    for seed in SEEDS:
        for number in range(2):
            made = {**EQUATIONS, **EXPRESSIONS}[kind](Random(f"{kind} {number} {seed}"))
            problem = Problem(made.task, made.given, made.variable, numbers=made.numbers, seed=seed)  # type: ignore[arg-type]
            try:
                found = twin(problem)
            except OutOfScope:
                refused += 1
                continue
            _holds_independently(replace(problem, variable=made.variable or "x"), found)
            again = work(replace(problem, given=found["given"]))
            texts = tuple(line["text"] for line in again["lines"])
            judged = check(replace(problem, given=found["given"], lines=texts, explains=False))
            assert {line["verdict"] for line in judged["lines"]} <= {"ok", "may-add"}
    assert refused <= 1 + len(SEEDS)


def test_the_same_seed_gives_the_same_twin_and_what_is_avoided_stays_away() -> None:
    problem = Problem("solve", "x^2 - 7x + 12 = 0", seed=4)

    first = twin(problem)
    assert twin(problem) == first
    avoided = [first["given"]]
    for _ in range(12):
        avoided.append(twin(replace(problem, avoid=tuple(avoided)))["given"])

    assert len({unordered(read(text)) for text in avoided}) == 13


@pytest.mark.parametrize("given", ["(m*n)/m", "a*b + a*c"])
def test_a_structure_without_numbers_is_refused_with_the_reason(given: str) -> None:
    with pytest.raises(OutOfScope, match="no number"):
        twin(Problem("simplify" if "/" in given else "factor", given))


@pytest.mark.parametrize("given", ["9^9^9^9 = x", "x = ", "(" * 200 + "x" + ")" * 200, "2x + = 3"])
def test_hostile_problems_are_refused(given: str) -> None:
    with pytest.raises(Failure):
        twin(Problem("solve", given))


def test_shared_factors_stay_shared() -> None:
    line = read("(x^2 - 9)/(x^2 - x - 6)")
    for seed in range(40):
        for draw in (by_factors, by_moving_zeros):
            changed = draw(line, Random(seed))
            if changed is not None:
                answer = work(Problem("simplify", plain(changed)))["answer"]
                assert _looks(answer) == _looks("(x + 3)/(x + 2)"), plain(changed)


def test_numbers_keep_what_makes_them_special() -> None:
    assert perfect_power(Fraction(64)) == (2, 6)
    assert perfect_power(Fraction(12)) == (12, 1)
    assert split_power(72, 2) == (6, 2)
    assert split_power(54, 3) == (3, 2)
    assert [numeral.text for numeral in numerals(read("2x^3 - 5x + 1 = 0"))] == ["2", "5"]
    line = read("3x + 4 = 10")
    assert len(polynomials(line)) == 1
    changed = with_numeral(line, (0, 1), Fraction(-7))
    assert changed is not None
    assert plain(changed) == "3x - 7 = 10"


@pytest.mark.slow
@pytest.mark.parametrize(
    "task, given",
    [
        ("solve", "x^2 - 7x + 12 = 0"),
        ("solve", "3x + 4 = 10"),
        ("factor", "6x^2 + 7x - 3"),
    ],
)
@settings(max_examples=12)
@drawn(seed=st.integers(0, 10_000))
def test_a_twin_keeps_the_signs_and_has_no_one_that_was_none(
    task: Any, given: str, seed: int
) -> None:
    twin_given = twin(Problem(task=task, given=given, seed=seed))["given"]
    same, other = (facts(Problem(task=task, given=text)) for text in (given, twin_given))
    assert same["structure"] == other["structure"], twin_given


@pytest.mark.parametrize("given", ["3(x - 2) = 2(x + 5)", "2(x - 2) = -2", "-2(x + 2) = 2"])
def test_a_number_that_stands_twice_and_turns_its_sign_breaks_nothing(given: str) -> None:
    for seed in range(16):
        found = answer("twin", {"task": "solve", "given": given, "seed": seed})
        assert found.get("given") or found["failure"]["message"]
