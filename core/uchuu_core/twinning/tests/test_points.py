"""Twins keep the point of their original, say which, and vary the rest."""

from typing import Any

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from uchuu_core.checking.context import context_of
from uchuu_core.contract import problem_from
from uchuu_core.notation import read
from uchuu_core.operations import answer
from uchuu_core.tree.nodes import Number, Quotient
from uchuu_core.tree.paths import parts
from uchuu_core.twinning.points import POINTS, points_of

PROBLEMS = [
    ("simplify", "2/(3a) + 5/(4a)", "The denominators stay unlike."),
    ("simplify", "2/(7x) + 3/(7x)", "The denominators stay equal."),
    ("simplify", "(12*18^2)/6^5", "The numbers stay made of two primes."),
    ("simplify", "sqrt(12) + sqrt(75)", "Unlike radicands still hold the same root."),
    ("simplify", "(x^2 - 9)/(x + 3)*1/(x - 3)", "Everything divides out: 1 is left."),
    ("factor", "x^2 - 5x - 6", "Another pair stays tempting: only its sign or its sum is wrong."),
    ("factor", "3x^2 - 75", "A difference of squares still stands behind a common factor."),
    ("factor", "x^2 + 9x + 36", "It still looks like a perfect square and is none."),
    ("factor", "x^2 + 8x + 11", "It still cannot be factored."),
    ("solve", "sqrt(x + 12) = x", "A candidate still fails in the original."),
    ("solve", "9^x = 27^(x - 2)", "The numbers stay powers of one base."),
    ("solve", "(x + 1)/6 + (x + 2)/5 = (x + 3)/4 + (x + 4)/3", "The numerators can still be made equal."),
    ("solve", "3/(x - 6) = 5/(6 - x) + 1", "The opposite factors stay opposite."),
    ("solve", "x^2 + x + 5 = 0", "There is still no solution."),
]  # fmt: skip


def twin(task: str, posed: str, seed: int) -> Any:
    return answer("twin", {"id": "1", "task": task, "given": posed, "seed": seed})


def points(task: str, posed: str) -> frozenset[str]:
    return points_of(context_of(problem_from({"task": task, "given": posed}), []))


@pytest.mark.parametrize(("task", "posed", "says"), PROBLEMS)
@settings(max_examples=4)
@given(seed=st.integers(1, 400))
def test_a_twin_keeps_the_point_and_says_so(task: str, posed: str, says: str, seed: int) -> None:
    found = twin(task, posed, seed)
    assert says in [one["says"] for one in found["keeps"]]
    assert points(task, posed) <= points(task, found["given"])
    assert found["given"] != posed
    assert twin(task, posed, seed) == found


@pytest.mark.parametrize(("task", "posed", "says"), PROBLEMS)
def test_other_seeds_give_other_twins(task: str, posed: str, says: str) -> None:
    found = {twin(task, posed, seed)["given"] for seed in range(1, 9)}
    assert len(found) > 1, says


@pytest.mark.parametrize(("task", "posed", "says"), PROBLEMS)
def test_nothing_trivial_is_a_twin(task: str, posed: str, says: str) -> None:
    del says
    for seed in range(1, 5):
        given_now = read(twin(task, posed, seed)["given"])
        for part in parts(given_now):
            if isinstance(part, Quotient):
                assert part.denominator != Number("1")
            assert not (isinstance(part, Number) and part.value == 0 and "0" not in posed)


def test_signs_that_differ_are_told_to_be_a_contrast() -> None:
    contrast = "The signs are others than in the original: a contrast, not a repeat."
    for seed in range(1, 20):
        found = twin("factor", "x^2 - 5x - 6", seed)
        differs = found["given"].count("-") != 2
        assert (contrast in [one["says"] for one in found["keeps"]]) == differs


def test_every_point_has_its_sentence() -> None:
    assert len({id(sentence) for sentence in POINTS.values()}) == len(POINTS)
