"""Matching: any order, several neighbours at once, signs carried along, the unwritten 1."""

import pytest

from uchuu_core.moves.conditions import (
    Above,
    Different,
    Divides,
    Even,
    NotNumeral,
    NumberOrSum,
    Numeral,
    Unsigned,
)
from uchuu_core.moves.move import Effect, Move, Rewrite
from uchuu_core.notation import plain, read
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.nodes import Expr


def _results(rewrite: Rewrite, text: str) -> set[str]:
    move = Move(key="trial", effect=Effect.OK, rewrites=(rewrite,))
    return {plain(step.result) for step in move.apply(without_brackets(read(text)))}


@pytest.mark.parametrize(
    ("rewrite", "text", "result"),
    [
        (Rewrite("a*b", "b*a"), "x*y*z", "yzx"),
        (Rewrite("a + b", "a*b"), "x + y + z", "xy + z"),
        (Rewrite("a^m*a^n", "a^(m*n)"), "2x^3*5x^4", "2x^(3*4)*5"),
        (Rewrite("(a*b)*(c*d)", "a*c"), "2x*3y", "2*3"),
        (Rewrite("sqrt(a)*sqrt(b)", "sqrt(a+b)"), "k*sqrt(2)*sqrt(3)", "k sqrt(2 + 3)"),
        (Rewrite("a + b", "a*b"), "x - y", "x*(-y)"),
        (Rewrite("a - b", "a + b"), "7 - x", "7 + x"),
        (Rewrite("a^2", "a*a"), "3 + (x + 1)^2", "3 + (x + 1)(x + 1)"),
        (Rewrite("-(a + b)", "-a - b"), "5 - (x + y)", "5 - x - y"),
        (Rewrite("x = b", "b = x"), "3 = y", "y = 3"),
        (Rewrite("a/b", "a"), "1/(x/3)", "1/x"),
    ],
)
def test_a_pattern_is_found_inside_a_longer_line(rewrite: Rewrite, text: str, result: str) -> None:
    assert result in _results(rewrite, text)


def test_a_unit_variable_fits_the_unwritten_one() -> None:
    rewrite = Rewrite("a*x + b*x", "(a+b)*x", (Numeral("a"), Numeral("b")), units="ab")

    assert "(3 + 1)n" in _results(rewrite, "3n + n")
    assert not _results(Rewrite("a*x + b*x", "(a+b)*x", rewrite.conditions), "3n + n")


def test_a_variable_is_bound_to_one_thing_only() -> None:
    rewrite = Rewrite("(a+b)*(a-b)", "a^2 - b^2")

    assert "x^2 - 9^2" in _results(rewrite, "(x + 9)(x - 9)")
    assert not _results(rewrite, "(x + 9)(y - 9)")


def test_a_written_double_sign_is_not_found_in_a_single_one() -> None:
    assert not _results(Rewrite("a - (-b)", "a + b"), "7 - 5")
    assert "7 + 5" in _results(Rewrite("a - (-b)", "a + b"), "7 - (-5)")


def test_a_division_sign_is_asked_for_where_it_matters() -> None:
    rewrite = Rewrite("a÷b", "b")

    assert _results(rewrite, "8 ÷ 2") == {"2"}
    assert not _results(rewrite, "8/2")


@pytest.mark.parametrize(
    ("condition", "holds", "fails"),
    [
        (Numeral("a"), "-2/3", "x"),
        (Numeral("a", positive=True), "4", "-4"),
        (NotNumeral("a"), "2x", "7"),
        (NumberOrSum("a"), "x + 1", "2x"),
        (Unsigned("a"), "x", "-x"),
        (Even("a"), "4", "3"),
        (Even("a", odd=True), "3", "0"),
        (Above("a", 1), "2", "1"),
        (Above("a", 1, whole=True), "4", "5/2"),
    ],
)
def test_a_condition_looks_at_what_is_bound(condition: object, holds: str, fails: str) -> None:
    def bound(text: str) -> dict[str, Expr]:
        return {"a": read(text)}  # type: ignore[dict-item]

    assert condition.holds(bound(holds))  # type: ignore[attr-defined]
    assert not condition.holds(bound(fails))  # type: ignore[attr-defined]


def test_conditions_on_two_variables() -> None:
    eight, two, three = read("8"), read("2"), read("3")

    assert Divides("a", "b").holds({"a": eight, "b": two})  # type: ignore[dict-item]
    assert not Divides("a", "b").holds({"a": eight, "b": three})  # type: ignore[dict-item]
    assert Divides("a", "b", evenly=False).holds({"a": eight, "b": three})  # type: ignore[dict-item]
    assert not Different("a", "b").holds({"a": two, "b": two})  # type: ignore[dict-item]


def test_long_sums_are_matched_without_running_away() -> None:
    text = " + ".join(f"{n}x^{n}" for n in range(2, 40))
    rewrite = Rewrite("a*x + b*x", "(a+b)*x", (Numeral("a"), Numeral("b")))

    assert _results(rewrite, text) == set()
    assert _results(rewrite, f"{text} + 5x^7")
