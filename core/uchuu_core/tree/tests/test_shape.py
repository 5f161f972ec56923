"""Comparing and rebuilding trees."""

from dataclasses import replace
from fractions import Fraction

import pytest
from hypothesis import given
from hypothesis import strategies as st

from uchuu_core.notation import plain, read
from uchuu_core.tests.support.generators import expressions
from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Coordinates,
    Expr,
    Interval,
    Line,
    Log,
    Number,
    Root,
    Sum,
    Symbol,
)
from uchuu_core.tree.paths import depth, rebuild, replace_at, walk
from uchuu_core.tree.shape import unordered

TWO = Number("2")


@given(expressions())
def test_every_part_is_at_its_path(node: Expr) -> None:
    for path, part in walk(node):
        assert replace_at(node, path, part) == node
    assert depth(node) >= 1


@given(expressions())
def test_rebuilding_without_a_change_gives_the_same_tree(node: Expr) -> None:
    assert rebuild(node, lambda part: part) == node


@given(expressions())
def test_order_of_terms_does_not_matter_for_the_shape(node: Expr) -> None:
    def turn(part: object) -> object:
        if isinstance(part, Sum):
            return Sum(tuple(reversed(part.terms)))
        return part

    assert unordered(rebuild(node, turn)) == unordered(node)


@pytest.mark.parametrize(
    ("one", "other", "same"),
    [
        ("2(x+1)", "(1+x)*2", True),
        ("a+(b-c)", "a+b-c", True),
        ("a-(b-c)", "a-b+c", False),
        ("x=3", "3=x", True),
        ("2x+3", "2x-3", False),
        ("2/3", "3/2", False),
        ("4/2", "2", False),
    ],
)
def test_shape_forgets_order_and_brackets_but_calculates_nothing(
    one: str, other: str, same: bool
) -> None:
    assert (unordered(read(one)) == unordered(read(other))) is same


@pytest.mark.parametrize(
    ("one", "other"),
    [
        (Log("log", 2, Number("5")), Log("log", 3, Number("5"))),
        (Log("log", 2, Number("5")), Log("ln", None, Number("5"))),
        (Root(2, Symbol("x")), Root(3, Symbol("x"))),
        (Interval(TWO, None, True, False), Interval(TWO, None, False, False)),
        (Interval(TWO, None, False, False), Interval(None, TWO, False, False)),
        (Number("2"), Number("2.0")),
        (Coordinates(TWO, Symbol("x")), Coordinates(Symbol("x"), TWO)),
    ],
)
def test_what_a_part_is_besides_its_own_parts_is_not_forgotten(one: Line, other: Line) -> None:
    assert unordered(one) != unordered(other)
    assert unordered(one) == unordered(replace(one))


@given(st.fractions(max_denominator=400))
def test_a_decimal_is_written_only_where_it_ends(value: Fraction) -> None:
    text = plain(build.decimal(value))

    assert Fraction(text) == value
