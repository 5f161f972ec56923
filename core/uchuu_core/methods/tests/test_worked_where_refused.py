"""What was refused or left half done once, on random numbers; every answer is held by something else."""

from fractions import Fraction
from math import gcd
from typing import Any

import mpmath
import pytest
import sympy
from hypothesis import assume, given
from hypothesis import strategies as st
from sympy.parsing.sympy_parser import (
    implicit_multiplication,
    parse_expr,
    split_symbols,
    standard_transformations,
)

from uchuu_core import check, problem_from, work
from uchuu_core.answers.worked import Worked
from uchuu_core.failures import MethodDoesNotApply
from uchuu_core.notation import read
from uchuu_core.tests.support.oracle import NoValue
from uchuu_core.tests.support.oracle import value as value_near
from uchuu_core.tests.support.quick import examples

SMALL = st.integers(-6, 6)
POSITIVE = st.integers(1, 6)


def _worked(task: str, text: str, **more: Any) -> Worked:
    return work(problem_from({"task": task, "given": text, **more}))


def _held(task: str, text: str, answer: str, **more: Any) -> None:
    """Hand the answer back as somebody's line: it has to be right and finished."""
    found = check(problem_from({"task": task, "given": text, "lines": [answer], **more}))
    assert (found["lines"][0]["verdict"], found["answer"]["right"]) == ("ok", True), (text, answer)


def _at(text: str, **place: int) -> Any:
    return value_near(read(text), {name: Fraction(v) for name, v in place.items()})  # type: ignore[arg-type]


def _by_sympy(text: str) -> sympy.Expr:
    rules = (*standard_transformations, split_symbols, implicit_multiplication)
    return parse_expr(text.replace("^", "**"), {"i": sympy.I}, rules)


@examples(40)
@given(SMALL, SMALL, SMALL, SMALL, st.sampled_from(["product", "quotient"]))
def test_complex_numbers_end_as_a_plus_bi(a: int, b: int, c: int, d: int, kind: str) -> None:
    assume(b and d)
    text = f"({a}+{b}i)({c}+{d}i)" if kind == "product" else f"({a}+{b}i)/({c}+{d}i)"
    text = text.replace("+-", "-")

    answer = _worked("simplify", text, numbers="complex")["answer"]

    size = 1 if kind == "product" else c * c + d * d
    sign = 1 if kind == "product" else -1
    real = Fraction(a * c - sign * b * d, size)
    imaginary = Fraction(sign * a * d + b * c, size)
    wanted = sympy.Rational(real.numerator, real.denominator) + sympy.I * sympy.Rational(
        imaginary.numerator, imaginary.denominator
    )
    assert sympy.simplify(_by_sympy(answer) - wanted) == 0
    _held("simplify", text, answer, numbers="complex")


@examples(40)
@given(POSITIVE, st.integers(-5, 5), st.sampled_from([2, 3, 5, 6, 7]))
def test_the_root_of_a_square_is_found_again(p: int, q: int, r: int) -> None:
    assume(q and gcd(p, q) == 1)
    inside = f"{p * p + q * q * r} {'+' if q > 0 else '-'} {2 * p * abs(q)}sqrt({r})"

    answer = _worked("simplify", f"sqrt({inside})")["answer"]

    wanted = abs(mpmath.mpf(p) + q * mpmath.sqrt(r))
    assert mpmath.almosteq(_at(answer), wanted, 1e-20)
    assert "sqrt((" not in answer and answer.count("sqrt") == 1


@examples(30)
@given(st.integers(1, 4), st.integers(-4, 4), st.integers(4, 7), st.sampled_from(["", "y"]))
def test_powers_of_sums_are_written_out(a: int, b: int, n: int, letter: str) -> None:
    assume(b)
    second = f"{abs(b)}{letter}"
    text = f"({a}x {'+' if b > 0 else '-'} {second})^{n}"

    answer = _worked("expand", text)["answer"]

    x, y = sympy.symbols("x y")
    wanted = sympy.expand((a * x + b * (y if letter else 1)) ** n)
    assert sympy.expand(_by_sympy(answer) - wanted) == 0
    assert "(" not in answer


@examples(30)
@given(st.integers(2, 4), st.integers(1, 3), st.integers(1, 5), st.sampled_from([2, 3, 4]))
def test_fractional_exponents_on_letters_become_roots(a: int, k: int, p: int, q: int) -> None:
    assume(gcd(p, q) == 1)
    text = f"({a**q}x^{k * q})^({p}/{q})"

    answer = _worked("simplify", text)["answer"]

    assert "sqrt" not in answer and "root" not in answer and "cbrt" not in answer
    for x in (2, -3):
        inside = mpmath.mpf(a**q * x ** (k * q))
        if inside < 0 and q % 2 == 0:
            continue
        wanted = (abs(inside) ** (mpmath.mpf(1) / q) * (1 if inside > 0 else -1)) ** p
        assert mpmath.almosteq(_at(answer, x=x), wanted, 1e-15), (text, answer)


@examples(30)
@given(st.integers(2, 7), st.integers(1, 3), st.integers(1, 5), st.booleans())
def test_powers_with_a_letter_are_collected(b: int, k: int, c: int, divided: bool) -> None:
    assume(c != 1)
    text = f"({b}^(n+{k}) + {c}*{b}^n)"
    number = b**k + c

    answer = _worked("simplify", f"{text}/{b}^n" if divided else text[1:-1])["answer"]

    assert answer == (str(number) if divided else f"{number}*{b}^n")


@examples(40)
@given(POSITIVE, SMALL, POSITIVE, SMALL)
def test_two_absolute_values_give_both_cases(a: int, b: int, c: int, d: int) -> None:
    assume(a != c and b and d)
    text = f"abs({a}x+{b}) = abs({c}x+{d})".replace("+-", "-")

    answers = _worked("solve", text)["answers"]

    wanted = {Fraction(d - b, a - c), Fraction(-d - b, a + c)}
    assert {Fraction(answer) for answer in answers} == wanted


@examples(30)
@given(st.sampled_from([2, 3, 5, 6, 7]), st.integers(1, 5), st.integers(1, 7))
def test_equations_with_roots_as_coefficients_end_rationalised(r: int, a: int, c: int) -> None:
    text = f"sqrt({r})x = {a}x + {c}"

    [answer] = _worked("solve", text)["answers"]

    assert mpmath.almosteq(_at(answer), c / (mpmath.sqrt(r) - a), 1e-20)
    _held("solve", text, f"x = {answer}", form=["rationalised"])


FORMULAS = [
    ("V = (1/3)πr^2h", "r"), ("V = (1/3)πr^2h", "h"), ("T = 2π sqrt(L/g)", "L"), ("T = 2π sqrt(L/g)", "g"),
    ("v^2 = u^2 + 2as", "u"), ("v^2 = u^2 + 2as", "s"), ("E = (1/2)mv^2", "v"), ("A = (1/2)h(a+b)", "h"),
    ("d = sqrt(x^2+y^2)", "x"), ("F = k/r^2", "r"), ("V = (4/3)πr^3", "r"), ("ax^2+bx+c = 0", "x"),
]  # fmt: skip


@pytest.mark.parametrize(("text", "letter"), FORMULAS)
def test_a_formula_is_solved_for_any_letter_and_holds_as_somebodys_line(
    text: str, letter: str
) -> None:
    found = _worked("solve", text, variable=letter)

    assert found["answers"] and letter not in found["answers"][0].replace("sqrt", "").replace(
        "cbrt", ""
    )
    for line in found["lines"]:
        assert line["verdict"] in ("ok", "may-add"), line
    _held("solve", text, found["answer"], variable=letter)


@pytest.mark.parametrize("text", ["(x-4)^2 = 9", "x^2+6x+9 = 7"])
def test_a_square_that_is_complete_is_not_completed(text: str) -> None:
    with pytest.raises(MethodDoesNotApply, match="complete"):
        _worked("solve", text, method="complete-the-square")


@pytest.mark.parametrize(
    ("task", "text"),
    [("simplify", "(x+5)/x"), ("simplify", "2sqrt(3) + 5sqrt(2)"), ("expand", "x^2 + 3x"),
     ("simplify", "x^2/(x^2+2)"), ("evaluate", "3/4"), ("factor", "(x+1)(x+2)"),
     ("simplify", "6x^2"), ("simplify", "4*3^x"), ("simplify", "10x^3/(21y^2)")],
)  # fmt: skip
def test_what_is_finished_already_says_why_and_has_no_lines(task: str, text: str) -> None:
    found = _worked(task, text)

    assert (found["outcome"], found["lines"]) == ("already finished", [])
    assert found["says"].startswith("Nothing is left to do")
    assert read(found["answer"]) == read(text)


@pytest.mark.parametrize(
    "text", ["sqrt(x/y)", "sqrt(2x/(3y))", "sqrt(z/(z-1))", "sqrt((a-1)/(a+2))"]
)
def test_a_root_of_a_quotient_keeps_its_sign_for_negative_letters(text: str) -> None:
    answer = _worked("simplify", text)["answer"]
    names = sorted({c for c in text if c.isalpha()} - set("sqrt"))

    tried = 0
    for values in ((-2, -3), (5, 2), (-7, -1), (3, 4)):
        place = dict(zip(names, values, strict=False))
        try:
            wanted = _at(text, **place)
        except NoValue:
            continue
        if wanted is not None:
            tried += 1
            assert mpmath.almosteq(_at(answer, **place), wanted, 1e-15)
    assert tried >= 2
