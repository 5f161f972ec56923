"""Hypothesis strategies: trees as lines hold them, and linear equations with known answers."""

from collections.abc import Callable
from fractions import Fraction

from hypothesis import strategies as st

from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Absolute,
    Bracket,
    Expr,
    Mixed,
    Number,
    Power,
    Product,
    Quotient,
    QuotientMark,
    Relation,
    Root,
    Sign,
    Signed,
    Sum,
    Symbol,
    Term,
)

LETTERS = ("x", "y", "a")
SIGNS: tuple[Sign, ...] = ("+", "-")
MARKS: tuple[QuotientMark, ...] = ("/", "÷")
Part = Callable[[st.DrawFn, int], Expr]


def _numeral(draw: st.DrawFn) -> Expr:
    match draw(st.sampled_from(["whole", "whole", "whole", "decimal", "mixed"])):
        case "whole":
            return Number(str(draw(st.integers(0, 120))))
        case "decimal":
            return Number(f"{draw(st.integers(0, 20))}.{draw(st.integers(0, 99)):02d}")
        case _:
            top = draw(st.integers(1, 4))
            return Mixed(draw(st.integers(1, 9)), top, draw(st.integers(5, 9)))


def _sum(draw: st.DrawFn, depth: int, part: Part) -> Expr:
    signs: st.SearchStrategy[Sign] = st.sampled_from(SIGNS)
    terms = [Term(draw(signs), part(draw, depth - 1)) for _ in range(draw(st.integers(2, 3)))]
    if isinstance(terms[0].body, Signed):  # its sign would be written as the term's
        terms[0] = Term("-", terms[0].body.body)
    return Sum(tuple(terms))


def _expression(draw: st.DrawFn, depth: int) -> Expr:
    if depth == 0 or draw(st.integers(0, 4)) == 0:
        if draw(st.booleans()):
            return Symbol(draw(st.sampled_from(LETTERS)))
        return _numeral(draw)
    inner = _expression(draw, depth - 1)
    match draw(st.integers(0, 8)):
        case 0 | 1:
            return _sum(draw, depth, _expression)
        case 2 | 3:
            other = _expression(draw, depth - 1)
            if isinstance(inner, (Mixed, Bracket)) or isinstance(other, (Mixed, Bracket)):
                return Quotient(inner, other)  # 2 beside 1/3 would look like one mixed number
            return Product((inner, other), ("*" if draw(st.booleans()) else "",))
        case 4:
            return Quotient(inner, _expression(draw, depth - 1))
        case 5:
            return Power(inner, Number(str(draw(st.integers(2, 5)))))
        case 6:
            return inner if isinstance(inner, Signed) else Signed("-", inner)
        case 7:
            return Root(draw(st.integers(2, 5)), inner)
        case _:
            # brackets that some place needs are implied there; only these are ever kept
            keeps = isinstance(inner, (Number, Symbol, Root, Absolute))
            return Bracket(inner) if keeps else Absolute(inner)


@st.composite
def expressions(draw: st.DrawFn) -> Expr:
    """Return an expression of any kind of node, up to four levels deep."""
    return _expression(draw, 4)


def _polynomial(draw: st.DrawFn, depth: int) -> Expr:
    if depth == 0 or draw(st.integers(0, 3)) == 0:
        if draw(st.booleans()):
            return Symbol(draw(st.sampled_from(LETTERS)))
        return Number(str(draw(st.integers(0, 12))))
    match draw(st.integers(0, 3)):
        case 0 | 1:
            return _sum(draw, depth, _polynomial)
        case 2:
            factors = (_polynomial(draw, depth - 1), _polynomial(draw, depth - 1))
            return Product(factors, ("*",))
        case _:
            return Power(_polynomial(draw, depth - 1), Number(str(draw(st.integers(1, 3)))))


@st.composite
def polynomials(draw: st.DrawFn) -> Expr:
    """Return a polynomial in up to three letters, not expanded."""
    return _polynomial(draw, 3)


def _of_numbers(draw: st.DrawFn, depth: int) -> Expr:
    leaf = Number(str(draw(st.integers(1, 12))))
    if depth == 0 or draw(st.integers(0, 4)) == 0:
        return Signed("-", leaf) if draw(st.integers(0, 5)) == 0 else leaf
    match draw(st.integers(0, 5)):
        case 0 | 1:
            return _sum(draw, depth, _of_numbers)
        case 2 | 3:
            return Product((_of_numbers(draw, depth - 1), _of_numbers(draw, depth - 1)), ("*",))
        case 4:
            mark = draw(st.sampled_from(MARKS))
            return Quotient(_of_numbers(draw, depth - 1), leaf, mark)
        case _:
            return Power(leaf, Number(str(draw(st.integers(1, 2)))))


@st.composite
def number_expressions(draw: st.DrawFn) -> Expr:
    """Return an expression of whole numbers as an order-of-operations exercise has them."""
    return _of_numbers(draw, 3)


@st.composite
def linear_equations(draw: st.DrawFn) -> tuple[Relation, Fraction]:
    """Return an equation of up to three terms and a bracket a side, and its one solution."""
    solution = draw(
        st.one_of(
            st.integers(-12, 12).map(Fraction),
            st.fractions(min_value=-6, max_value=6, max_denominator=6),
        )
    )
    unknown = Symbol("x")
    left, slope, value = _side(draw, unknown, solution)
    right, other_slope, other_value = _side(draw, unknown, solution)
    if slope == other_slope:
        left, slope = build.add(left, build.times(Fraction(2), unknown)), slope + 2
        value += 2 * solution
    gap = value - other_value
    if gap:
        right = build.add(right, build.number(gap))
    return Relation(left, "=", right), solution


def _side(draw: st.DrawFn, unknown: Expr, solution: Fraction) -> tuple[Expr, Fraction, Fraction]:
    """Return a side, its slope in the unknown, and its value at the solution."""
    factor = draw(st.integers(-6, 6).filter(bool).map(Fraction))
    inside = draw(st.integers(-9, 9).filter(bool))
    below = draw(st.sampled_from([1, 1, 2, 3, 4]))
    loose = draw(st.integers(-9, 9).filter(bool).map(Fraction))
    bracket = build.add(unknown, build.number(inside))
    main = build.times(factor, bracket) if draw(st.booleans()) else build.times(factor, unknown)
    inner_value = solution + inside if main != build.times(factor, unknown) else solution
    first = Quotient(main, Number(str(below))) if below > 1 else main
    side = build.add(first, build.number(loose))
    return side, factor / below, factor * inner_value / below + loose
