"""Equations whose fractions have one numerator, or have it once the same number is taken from each."""

from collections.abc import Iterator
from dataclasses import dataclass
from fractions import Fraction
from itertools import permutations
from typing import Any

from uchuu_core.failures import OutOfScope
from uchuu_core.kernel.rational_functions import Ring, ring
from uchuu_core.lawbook.equations import (
    ADD_TO_EACH,
    BOTTOMS_ARE_EQUAL,
    BRACKET_NEVER_ZERO,
    BRACKET_NOT_ZERO,
    ONE_ON_EACH_SIDE,
    PAIR_FRACTIONS,
    SUBTRACT_FROM_EACH,
    TAKE_TOP_OUT,
    TOP_OR_BRACKET,
)
from uchuu_core.lawbook.linear import ALL_TERMS_ON_ONE_SIDE, DIVIDE_BOTH_BY
from uchuu_core.lawbook.says import Says
from uchuu_core.methods.equations.board import Board, board_of, either
from uchuu_core.methods.equations.candidates import reject
from uchuu_core.methods.equations.finish import finish
from uchuu_core.methods.equations.literal import solve_for_letter
from uchuu_core.methods.equations.rational import by_lcd
from uchuu_core.methods.fractions_in_letters import ONE, Product, fraction_in_factors
from uchuu_core.methods.method import RIDES_ALONG, Posed, not_zero
from uchuu_core.methods.rational_shapes import positive_below
from uchuu_core.methods.written import polynomial_tree
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Quotient, Relation
from uchuu_core.tree.paths import letters

_SHIFTS = (0, 1, -1, 2, -2, 3, -3)
"""What is tried to be taken from each fraction."""


@dataclass(frozen=True, slots=True)
class Part:
    """One fraction: its side (0 left, 1 right), its sign, its top as a polynomial, its bottom in factors."""

    side: int
    sign: int
    top: Any
    bottom: Product


@dataclass(frozen=True, slots=True)
class Found:
    """The fractions, what is taken from each, and the top that all have then, as a polynomial and written."""

    parts: tuple[Part, ...]
    shift: int
    top: Any
    written: Expr


def by_equal_tops(board: Board) -> None:
    """Make the tops equal, take the common one out, look at both factors.

    Raises:
        OutOfScope: the fractions have no common top, with or without a number taken from each.
    """
    given, algebra = board.relation, _algebra(board)
    found = common_top(board)
    if found is None:
        raise OutOfScope("The fractions have no common numerator, also when 1 is taken from each.")
    parts = found.parts
    if found.shift:
        _shifted(board, found, algebra)
        parts = tuple(Part(p.side, p.sign, found.top, p.bottom) for p in parts)
    if found.top.is_constant():
        _with_number_on_top(board, parts, algebra)
    else:
        _taken_out(board, parts, found.top, algebra)
    if any(board.unknown in letters(p.bottom.tree(algebra)) for p in parts):
        reject(board, given)


def suits(posed: Posed) -> bool:
    """Return whether the common top is worth more than a common denominator: three fractions, or letters."""
    board = board_of(posed)
    found = common_top(board)
    if found is None or (found.shift == 0 and found.top.is_constant()):
        return False
    has_letters = bool(letters(board.relation) - {board.unknown})
    return len(found.parts) > 2 or (has_letters and found.shift != 0)


def _algebra(board: Board) -> Ring:
    others = sorted(letters(board.relation) - {board.unknown})
    return ring((board.unknown, *others))


def common_top(board: Board) -> Found | None:
    """Return the fractions and the top that they have, or have once a number is taken from each; else None."""
    algebra = _algebra(board)
    parts: list[Part] = []
    plain = [Fraction(0), Fraction(0)]
    for side, tree in enumerate((board.relation.left, board.relation.right)):
        for term in build.terms_of(tree):
            fraction = fraction_in_factors(term.body, algebra)
            if fraction is None or fraction.bottom.number == 0:
                return None
            sign, fraction = positive_below(term.sign, fraction)
            size = 1 if sign == "+" else -1
            if fraction.bottom == ONE and not fraction.top.factors:
                plain[side] += size * fraction.top.number
            elif fraction.bottom == ONE:
                return None
            else:
                top = fraction.top.polynomial(algebra)
                parts.append(Part(side, size, top, fraction.bottom))
    if len(parts) < 2:
        return None
    balance = [sum(p.sign for p in parts if p.side == side) for side in (0, 1)]
    for shift in _SHIFTS:
        tops = [p.top - p.bottom.polynomial(algebra) * shift for p in parts]
        if plain[0] + shift * balance[0] != plain[1] + shift * balance[1] or not tops[0]:
            continue
        if all(top == tops[0] for top in tops):
            return Found(tuple(parts), shift, tops[0], polynomial_tree(tops[0], algebra))
    return None


def _sides(parts: tuple[Part, ...], algebra: Ring) -> list[Expr]:
    """Write the fractions of each side."""
    return [
        build.total(
            build.as_term(_over(p.top, p.bottom, algebra), "+" if p.sign > 0 else "-")
            for p in parts
            if p.side == side
        )
        for side in (0, 1)
    ]


def _over(top: Any, bottom: Product, algebra: Ring) -> Expr:
    return Quotient(polynomial_tree(top, algebra), bottom.tree(algebra))


def _shifted(board: Board, found: Found, algebra: Ring) -> None:
    number = build.number(abs(found.shift))
    less = build.number(-found.shift)
    sides = []
    for side in (0, 1):
        listed = [
            build.as_term(
                build.add(_over(p.top, p.bottom, algebra), less), "+" if p.sign > 0 else "-"
            )
            for p in found.parts
            if p.side == side
        ]
        sides.append(build.total(listed) if listed else build.ZERO)
    sentence = SUBTRACT_FROM_EACH if found.shift > 0 else ADD_TO_EACH
    says = sentence(number=number, top=polynomial_tree(found.top, algebra))
    board.equation(sides[0], sides[1], says, RIDES_ALONG)
    same = tuple(Part(p.side, p.sign, found.top, p.bottom) for p in found.parts)
    written = _sides(same, algebra)
    board.equation(written[0], written[1], says)


# a number on top


def _with_number_on_top(board: Board, parts: tuple[Part, ...], algebra: Ring) -> None:
    number = parts[0].top
    if number != algebra.one:
        parts = tuple(Part(p.side, p.sign, algebra.one, p.bottom) for p in parts)
        written = _sides(parts, algebra)
        board.equation(written[0], written[1], DIVIDE_BOTH_BY(polynomial_tree(number, algebra)))
    for pair in _pairings(parts, algebra):
        says = ONE_ON_EACH_SIDE() if len(parts) == 2 else PAIR_FRACTIONS()
        _from_pair(board, pair, says, algebra)
        return
    by_lcd(board)


def _pairings(parts: tuple[Part, ...], algebra: Ring) -> Iterator[tuple[Part, Part]]:
    """Yield one fraction for each side, with equal tops: of two, or of four paired so that they come out equal."""
    if len(parts) == 2:
        one, other = parts
        sign = -1 if one.side == other.side else 1
        yield (
            Part(0, one.sign, one.top, one.bottom),
            Part(1, sign * other.sign, other.top, other.bottom),
        )
        return
    if len(parts) != 4:
        return
    signed = [(p.sign if p.side == 0 else -p.sign, p.bottom) for p in parts]
    as_given = (0, 1, 2, 3) if [p.side for p in parts] == [0, 0, 1, 1] else None
    for order in dict.fromkeys((*([as_given] if as_given else []), *permutations(range(4)))):
        (s, a), (t, b), (u, c), (v, d) = (signed[n] for n in order)
        left = _joined(s, a, t, b, algebra)
        right = _joined(-u, c, -v, d, algebra)
        if left[0] and left[0] == right[0]:
            yield Part(0, 1, *left), Part(1, 1, *right)
            return


def _joined(s: int, a: Product, t: int, b: Product, algebra: Ring) -> tuple[Any, Product]:
    """Return ``s/a + t/b`` as one top over a·b."""
    top = b.polynomial(algebra) * s + a.polynomial(algebra) * t
    both = Product(a.number * b.number, (*a.factors, *b.factors))
    return top, both


def _from_pair(board: Board, pair: tuple[Part, Part], says: Says, algebra: Ring) -> None:
    written = _sides(pair, algebra)
    board.equation(written[0], written[1], says)
    top = pair[0].top
    if not top.is_constant():
        _taken_out(board, pair, top, algebra)
        return
    bottoms = [p.bottom.tree(algebra) for p in pair]
    if pair[0].sign != pair[1].sign:
        bottoms[1] = build.negative(bottoms[1])
    board.equation(bottoms[0], bottoms[1], BOTTOMS_ARE_EQUAL())
    finish(board)


# the unknown on top


def _taken_out(board: Board, parts: tuple[Part, ...], top: Any, algebra: Ring) -> None:
    here = tuple(Part(0, p.sign if p.side == 0 else -p.sign, p.top, p.bottom) for p in parts)
    written = _sides(here, algebra)
    board.equation(written[0], build.ZERO, ALL_TERMS_ON_ONE_SIDE())
    ones = tuple(Part(0, p.sign, algebra.one, p.bottom) for p in here)
    bracket = _sides(ones, algebra)[0]
    tree = polynomial_tree(top, algebra)
    board.equation(build.product((tree, bracket)), build.ZERO, TAKE_TOP_OUT(tree))
    value = algebra.lowest(algebra.function(bracket))
    if value.is_zero:
        raise OutOfScope("The bracket is zero for every number.")
    place = algebra.names.index(board.unknown)
    holds_unknown = any(int(degrees[place]) for degrees, _ in value.numerator.terms())
    zero = Relation(tree, "=", build.ZERO)
    if holds_unknown:
        board.write(either([zero, Relation(bracket, "=", build.ZERO)]), TOP_OR_BRACKET())
        board.branches(_solve)
        return
    has_letters = not value.numerator.is_constant()
    says = (BRACKET_NOT_ZERO if has_letters else BRACKET_NEVER_ZERO)(tree)
    board.write(zero, says, condition=not_zero(bracket) if has_letters else "")
    _solve(board)


def _solve(board: Board) -> None:
    line = board.relation
    if letters(line) - {board.unknown}:
        solve_for_letter(board)
    elif any(isinstance(t.body, Quotient) and letters(t.body) for t in build.terms_of(line.left)):
        by_lcd(board)
    else:
        finish(board)
