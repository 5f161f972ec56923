"""A paper that goes on: its last line is judged as one in the middle is."""

from dataclasses import replace

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from uchuu_core.checking.paper import check
from uchuu_core.contract import Problem

PAPERS = [
    Problem("simplify", "sqrt(72)", lines=("sqrt(36*2)", "3sqrt(8)", "6sqrt(2)")),
    Problem("solve", "sqrt(x+6) = x", lines=("x+6 = x^2", "0 = x^2-x-6", "x = 3 or x = -2", "x = 3")),
    Problem("solve", "x/(x-3) = 3/(x-3)", lines=("x = 3", "no solution")),
    Problem("factor", "4x^2 - 16", lines=("4(x^2-4)", "4(x-2)(x+2)")),
    Problem("solve", "2x + 3 = 9", lines=("2x = 12", "x = 6")),
]  # fmt: skip


@pytest.mark.parametrize("paper", PAPERS, ids=[p.given for p in PAPERS])
def test_a_line_that_goes_on_has_the_verdict_that_it_has_in_the_middle(paper: Problem) -> None:
    whole = check(paper)["lines"]
    for number in range(1, len(paper.lines)):
        begun = check(replace(paper, lines=paper.lines[:number], goes_on=True))["lines"]
        assert [line["verdict"] for line in begun] == [line["verdict"] for line in whole[:number]]


def test_only_the_end_is_held_against_the_original_and_the_form() -> None:
    kept = replace(PAPERS[1], lines=PAPERS[1].lines[:3])
    assert check(kept)["lines"][-1]["verdict"] == "wrong"
    assert check(replace(kept, goes_on=True))["lines"][-1]["verdict"] == "ok"
    assert check(kept)["lines"][-1]["verdict"] == "wrong", "what is remembered is not spoilt"
    begun = replace(PAPERS[0], lines=PAPERS[0].lines[:2])
    assert check(begun)["lines"][-1]["verdict"] == "unfinished"
    on = check(replace(begun, goes_on=True))
    assert (on["lines"][-1]["verdict"], on["answer"]["finished"]) == ("ok", False)


@pytest.mark.slow
@given(st.integers(-9, 9), st.integers(1, 9), st.integers(-9, 9), st.integers(-20, 20))
@settings(max_examples=40, deadline=None)
def test_a_line_that_is_wrong_is_wrong_wherever_it_stands(a: int, b: int, c: int, d: int) -> None:
    paper = Problem("solve", f"{b}x + ({a}) = {c}", lines=(f"{b}x = {d}",))
    verdict = check(replace(paper, goes_on=True))["lines"][0]["verdict"]
    assert (verdict == "ok") == (d == c - a)
