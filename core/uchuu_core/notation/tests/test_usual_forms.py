"""What is written as people write it: bars beside ÷, signs, sets, functions, words."""

from itertools import product

import pytest

from uchuu_core.checking.context import refuse_systems
from uchuu_core.failures import Failure, OutOfScope, Unreadable
from uchuu_core.kernel.equality import agreement
from uchuu_core.kernel.logarithms import log_value
from uchuu_core.notation import latex, plain, read
from uchuu_core.notation.remarks import is_word, written


def _equal(one: str, other: str) -> bool:
    left, right = read(one), read(other)
    return agreement(left, right).verdict == "equal"  # type: ignore[arg-type]


PARTS = ("x", "3", "(x+1)", "x^2", "sqrt(x)", "2x")
BELOW = ("y", "5", "(y+2)", "y^2", "(3y)")


@pytest.mark.parametrize(("top", "bottom"), list(product(PARTS, BELOW)))
def test_every_bar_binds_before_a_division(top: str, bottom: str) -> None:
    meant = f"(({top})/({bottom}))"

    for sign in ("÷", ":", r"\div"):
        assert _equal(f"{top}/{bottom} {sign} 4/z", f"({meant}) ÷ (4/z)")
        assert _equal(f"4/z {sign} {top}/{bottom}", f"(4/z) ÷ ({meant})")


@pytest.mark.parametrize(
    ("text", "tree"),
    [
        ("p/q*r/s", "p/q*(r/s)"),
        ("2/3 x/5", "(2/3)(x/5)"),
        ("a/b*(c/d)", "p/q*(r/s)"),
        ("4/3 πr^3", "(4/3)πr^3"),
        ("2x/3", "2x/3"),
    ],
)
def test_products_of_fractions_are_no_towers(text: str, tree: str) -> None:
    assert plain(read(text)).translate(str.maketrans("abcd", "pqrs")) == tree
    assert latex(read(text)).count(r"\frac{\frac") == 0


@pytest.mark.parametrize(
    ("text", "meant"),
    [
        ("5+-3", "5 + (-3)"),
        ("2x+-3 = 7", "2x + (-3) = 7"),
        ("y = 3x+-2", "y = 3x + (-2)"),
        ("x = 3+-2", "x = 3 ± 2"),
        ("x-3 = +-5", "x - 3 = ±5"),
        ("x = (-5+-sqrt(13))/2", "x = (-5 ± sqrt(13))/2"),
        ("x = +-1, +-2", "x = ±1 or x = ±2"),
        ("m+5/2 = +-i", "m + 5/2 = ±i"),
        ("{2[3+(4-1)]}", "(2(3 + (4 - 1)))"),
        ("S = {2, -3}", "{2, -3}"),
        ("(-∞, 3) ∪ [5, ∞)", "(-∞, 3) ∪ [5, ∞)"),
        ("x ∈ R \\ {3}", "all real numbers except 3"),
        ("all reals except p = 2", "all real numbers except 2"),
        ("{p | p ≠ 2}", "{p | p != 2}"),
        ("x1 = 3, x2 = 2", "x_1 = 3 or x_2 = 2"),
        ("= 16+3 = 19", "16 + 3 = 19"),
        ("x = log_2(5)", "x = log_2(5)"),
        ("No solution.", "no solution"),
        ("true for all x", "all real numbers"),
        ("cannot be factored", "prime"),
        ("HA: y = 1", "horizontal asymptote: y = 1"),
        ("as x → -∞, f(x) → 2", "end left: 2"),
        ("D = (-∞, 8) ∪ (8, ∞)", "domain: (-∞, 8) ∪ (8, ∞)"),
        ("no holes", "holes: none"),
    ],
)
def test_usual_forms_are_read_as_they_are_meant(text: str, meant: str) -> None:
    assert plain(read(text)) == meant


@pytest.mark.parametrize(
    ("text", "meant"), [("x = 1,5; x = 2", "x = 1.5 or x = 2"), ("1,5 + 2.5", "1.5 + 2.5")]
)
def test_a_decimal_comma_is_read_where_the_house_rule_says_so(text: str, meant: str) -> None:
    assert plain(read(text, None, "equal", "comma")) == meant
    with pytest.raises(Unreadable, match="comma"):
        read("x + 0,5 = 2")


@pytest.mark.parametrize("text", ["sin(x)", "2cos x", "tan^2", "log x", "ln(x+1)", "lim x"])
def test_functions_of_the_unknown_are_refused_by_name(text: str) -> None:
    with pytest.raises(Failure) as caught:
        read(text)
    assert "Logarithm" in caught.value.message or "function" in caught.value.message


def test_a_system_is_refused_and_a_list_is_not() -> None:
    with pytest.raises(OutOfScope, match="system"):
        refuse_systems(read("x + y = 5, x - y = 1"), "x + y = 5, x - y = 1")
    refuse_systems(read("x = 2, x = 3"), "x = 2, x = 3")
    refuse_systems(read("x = y or x = -y"), "x = y or x = -y")


@pytest.mark.parametrize(
    ("one", "other", "same"),
    [
        ("log(5)/log(2)", "ln(5)/ln(2)", True),
        ("log_4(25)", "log_2(5)", True),
        ("1 + log_2(3)", "log_2(6)", True),
        ("ln(8)/ln(2)", "3", True),
        ("log_2(5)", "log_2(7)", False),
        ("log(5)/log(2)", "log(2)/log(5)", False),
    ],
)
def test_logarithms_of_numbers_are_compared_exactly(one: str, other: str, same: bool) -> None:
    left, right = read(one), read(other)
    assert (agreement(left, right).verdict == "equal") is same  # type: ignore[arg-type]
    values = [log_value(part) for part in (left, right)]  # type: ignore[arg-type]
    assert (values[0].rational == values[1].rational) or not same


@pytest.mark.parametrize(
    ("run", "known", "is_said"),
    [("abc", "abc", False), ("abc", "x", True), ("so", "x", True), ("so", "os", False),
     ("xy", "x", False), ("sinx", "x", False), ("since", "x", True), ("x", "y", False)],
)  # fmt: skip
def test_words_are_told_from_letters_by_the_problem(run: str, known: str, is_said: bool) -> None:
    assert is_word(run, frozenset(known)) is is_said


def test_mathematics_without_words_passes_as_it_is() -> None:
    for text in ("2sqrt(5) + 4", "|x| = 3", r"\frac{1}{2}\left(x+1\right)=3", "x = 3 or x = 2"):
        told = written(text, frozenset("x"), is_equation=True)
        assert (told.statements, told.remark, told.operation) == ((text,), "", "")
