"""Equality with roots, exponents and absolute values: proved on every cell, or refuted."""

import pytest

from uchuu_core.kernel.equality import agreement
from uchuu_core.kernel.numbers import COMPLEX, REAL, Numbers
from uchuu_core.notation import read

NON_NEGATIVE = Numbers(non_negative=True)

EQUAL = [
    ("sqrt(8)", "2sqrt(2)"),
    ("sqrt(12) + sqrt(27)", "5sqrt(3)"),
    ("6/(sqrt(7) + 1)", "sqrt(7) - 1"),
    ("sqrt(3 + 2sqrt(2))", "1 + sqrt(2)"),
    ("cbrt(54)", "3cbrt(2)"),
    ("27^(2/3)", "9"),
    ("sqrt(x^2 - 10x + 25)", "abs(x - 5)"),
    ("sqrt(x)*sqrt(x)", "x"),
    ("sqrt(75x^3)", "5x*sqrt(3x)"),
    ("cbrt(54x^4)", "3x*cbrt(2x)"),
    ("x^(2/3)*x^(1/3)", "x"),
    ("x^(-1/2)", "1/sqrt(x)"),
    ("1/(sqrt(x) - 1)", "(sqrt(x) + 1)/(x - 1)"),
    ("sqrt(x^2 y^4)", "abs(x)*y^2"),
    ("sqrt(4x^2 + 4y^2)", "2sqrt(x^2 + y^2)"),
    ("sqrt(x/(x + 1))", "sqrt(x^2 + x)/abs(x + 1)"),
    ("(sqrt(3)x + 1)(sqrt(3)x - 1)", "3x^2 - 1"),
    ("(a^(1/2) - b^(1/2))/(a - b)", "1/(sqrt(a) + sqrt(b))"),
    ("root(4, x^2)", "sqrt(abs(x))"),
    ("cbrt(-x)", "-cbrt(x)"),
    ("abs(x - 3)", "abs(3 - x)"),
    ("3^(2x)", "9^x"),
    ("2^(x + 1) + 2^x", "3*2^x"),
    ("9^(2k)*3", "3^(4k + 1)"),
    ("6^x", "2^x*3^x"),
    ("(1/2)^(-x)", "2^x"),
    ("sqrt(2^x)", "2^(x/2)"),
    ("(x^n)^2*x", "x^(2n + 1)"),
]
DIFFERENT = [
    ("sqrt(2) + sqrt(3)", "sqrt(5)"),
    ("abs(x)", "x"),
    ("sqrt(13^2 - 5^2)", "8"),
    ("sqrt(x^2 - 10x + 25)", "x - 5"),
    ("sqrt(50x^5 y^3)/sqrt(2x*y)", "5x^2 y"),
    ("sqrt(x + y)", "sqrt(x) + sqrt(y)"),
    ("sqrt(x/(x + 1))", "sqrt(x^2 + x)/(x + 1)"),
    ("2^x*2^y", "2^(x*y)"),
    ("sqrt(-x)", "x"),
    ("24/sqrt(27)", "8/3"),
    ("sqrt(2)", "1.41421356237309504880168872420969807857"),
]


@pytest.mark.parametrize(("one", "other"), EQUAL)
def test_equal_expressions_are_proved_equal(one: str, other: str) -> None:
    assert agreement(read(one), read(other)).verdict == "equal"  # type: ignore[arg-type]
    shifted = read(f"({other}) + 1")
    assert agreement(read(one), shifted).verdict == "different"  # type: ignore[arg-type]


@pytest.mark.parametrize(("one", "other"), DIFFERENT)
def test_different_expressions_are_refuted_with_numbers(one: str, other: str) -> None:
    found = agreement(read(one), read(other))  # type: ignore[arg-type]

    assert found.verdict == "different"
    assert found.counter is not None


def test_the_house_rule_about_letters_under_roots_is_an_assumption() -> None:
    one, other = read("sqrt(50x^5 y^3)/sqrt(2x*y)"), read("5x^2 y")

    assert agreement(one, other, REAL).verdict == "different"  # type: ignore[arg-type]
    assert agreement(one, other, NON_NEGATIVE).verdict == "equal"  # type: ignore[arg-type]


@pytest.mark.parametrize(
    ("one", "other", "verdict"),
    [
        ("(x - 2i)(x + 2i)", "x^2 + 4", "equal"),
        ("sqrt(-5)", "i*sqrt(5)", "equal"),
        ("1/(1 + i)", "(1 - i)/2", "equal"),
        ("sqrt(-4)*sqrt(-9)", "-6", "equal"),
        ("sqrt(-4)*sqrt(-9)", "6", "different"),
        ("(3 + i)^2", "8 + 6i", "equal"),
        ("(3 + i)^2", "10", "different"),
    ],
)
def test_complex_numbers_are_compared_exactly(one: str, other: str, verdict: str) -> None:
    assert agreement(read(one), read(other), COMPLEX).verdict == verdict  # type: ignore[arg-type]
