"""What stands inside a bar or a root is worked out; what is worked ends finished, or is refused truly."""

import re
from itertools import pairwise

import pytest
import sympy
from hypothesis import given
from hypothesis import strategies as st

from uchuu_core import check, problem_from, work
from uchuu_core.failures import OutOfScope

WORKED = [
    ("5/(x+x+1)", "5/(2x + 1)"),
    ("((3x+1)+2x)/(x(x+1))", "(5x + 1)/(x(x + 1))"),
    ("sqrt(9*2+4*2)", "sqrt(26)"),
    ("10sqrt(5)/5^2", "2sqrt(5)/5"),
    ("(4sqrt(3))/6", "2sqrt(3)/3"),
    ("(4+2sqrt(3))/6", "(2 + sqrt(3))/3"),
    ("(x^2-9)/(x(x+3x))", "(x^2 - 9)/(4x^2)"),
    ("x/(4-1)", "x/3"),
    ("(6x)/4", "3x/2"),
    ("(6x)/(-4)", "-3x/2"),
]


@pytest.mark.parametrize(("text", "answer"), WORKED)
def test_the_parts_are_worked_out(text: str, answer: str) -> None:
    found = work(problem_from({"task": "simplify", "given": text}))

    assert found["lines"]
    assert found["answer"] == answer
    _hold_finished(text)


@given(st.permutations(["y", "5", "x^3", "(z^(-2))", "a^2"]), st.integers(1, 5))
def test_the_bar_is_crossed_only_by_a_negative_exponent(factors: list[str], taken: int) -> None:
    text = "*".join(factors[:taken])
    try:
        lines = work(problem_from({"task": "simplify", "given": text}))["lines"]
    except OutOfScope:
        return

    for before, line in pairwise([text, *(line["text"] for line in lines)]):
        says = next(each["says"] for each in lines if each["text"] == line)
        assert "negative exponent" not in says or "^(-" in before, (text, before, line)


@pytest.mark.parametrize("text", ["(5b)/(a*7)", "(n+4)/n"])
def test_what_is_finished_is_left_as_it_is(text: str) -> None:
    assert work(problem_from({"task": "simplify", "given": text}))["lines"] == []


def _hold_finished(text: str) -> None:
    lines = [
        line["text"] for line in work(problem_from({"task": "simplify", "given": text}))["lines"]
    ]
    if lines:
        judged = check(problem_from({"task": "simplify", "given": text, "lines": lines}))
        assert [line["verdict"] for line in judged["lines"]] == ["ok"] * len(lines), text


@given(st.integers(-9, 9), st.integers(2, 9), st.integers(2, 12), st.integers(2, 7))
def test_a_coefficient_over_a_number_ends_in_lowest_terms(
    a: int, b: int, below: int, inside: int
) -> None:
    text = f"({a}+{b}sqrt({inside}))/{below}"
    try:
        found = work(problem_from({"task": "simplify", "given": text}))
    except OutOfScope as refused:
        assert "already" not in str(refused)
        return

    _hold_finished(text)
    value, end = (
        sympy.sympify(re.sub(r"(\d)sqrt", r"\1*sqrt", each)) for each in (text, found["answer"])
    )
    assert sympy.simplify(value - end) == 0
