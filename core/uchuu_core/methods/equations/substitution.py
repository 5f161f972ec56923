"""Structure: a part that repeats is named by a letter, solved for, and put back."""

from collections.abc import Iterator
from dataclasses import replace
from fractions import Fraction
from math import gcd, lcm
from typing import Any

from uchuu_core.failures import OutOfScope
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.lawbook.quadratics import NAME_IT, PUT_PART_BACK, WRITE_LETTER_FOR
from uchuu_core.methods.equations.board import Board, either
from uchuu_core.methods.equations.candidates import reject
from uchuu_core.methods.equations.finish import finish
from uchuu_core.methods.equations.one_base import equate_exponents
from uchuu_core.methods.equations.polynomials import coefficients
from uchuu_core.methods.equations.power_sums import Letters
from uchuu_core.methods.equations.rational import by_lcd
from uchuu_core.methods.equations.reverse import undo
from uchuu_core.methods.method import KEY
from uchuu_core.moves.conditions import numeral
from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Either,
    Expr,
    Line,
    Number,
    Outcome,
    Power,
    Quotient,
    Relation,
    Root,
    Sum,
    Symbol,
)
from uchuu_core.tree.paths import children, letters, parts, rebuild, with_children

_LETTERS = "uvwtz"


def by_substitution(board: Board) -> None:
    """Name the part that repeats, solve for the letter, put it back.

    Raises:
        OutOfScope: nothing repeats so, or the equation in the letter is not solved.
    """
    given = board.relation
    if letters(given) != {board.unknown}:
        raise OutOfScope("It holds further letters.")
    name = next(letter for letter in _LETTERS if letter != board.unknown)
    house = replace(board.house, plus_minus="written-out")  # each is put back by itself
    for meaning, line in _namings(board, name):
        inner = Board(line, name, board.numbers, is_branch=True, house=house)
        try:
            values = coefficients(line, name)
            if len(values) < 3:
                continue
            finish(inner)
        except OutOfScope:
            continue
        _work(board, given, name, meaning, line, inner)
        return
    raise OutOfScope("No part repeats that could be named by a letter.")


def _work(
    board: Board, given: Relation, name: str, meaning: Expr, line: Relation, inner: Board
) -> None:
    says = NAME_IT(part=meaning, letter=Symbol(name))
    board.aside(Relation(Symbol(name), "=", meaning), says, KEY)
    board.write(line, WRITE_LETTER_FOR(letter=Symbol(name), part=meaning))
    board.follow(inner.moments)
    if isinstance(inner.now, Outcome):
        return
    options = inner.now.options if isinstance(inner.now, Either) else (inner.relation,)
    back: list[Line] = [Relation(meaning, "=", option.right) for option in options]
    board.write(either(back), PUT_PART_BACK(part=meaning, letter=Symbol(name)))
    board.branches(_solve_branch)
    if any(isinstance(part, (Root, Quotient, Power)) for part in parts(given)):
        reject(board, given)


def _solve_branch(board: Board) -> None:
    """Solve ``meaning = value``."""
    if any(isinstance(p, Power) and board.unknown in letters(p.exponent) for p in parts(board.now)):
        equate_exponents(board)
        return
    if any(isinstance(p, Quotient) and letters(p.denominator) for p in parts(board.now)):
        by_lcd(board)
    elif sum(part == Symbol(board.unknown) for part in parts(board.now)) == 1:
        undo(board)
    else:
        finish(board)


def _namings(board: Board, name: str) -> Iterator[tuple[Expr, Relation]]:
    """Yield what could be named, with the equation in the new letter."""
    line = board.relation
    for meaning in _repeated(line, board.unknown):
        new = _replaced(line, meaning, Symbol(name))
        if board.unknown not in letters(new):
            yield meaning, new
    for found in (_power_of_unknown(board, name), _exponential(board, name)):
        if found is not None:
            yield found


def _repeated(line: Relation, unknown: str) -> list[Expr]:
    """Return parts with the unknown that stand at least twice, large ones first."""
    seen: dict[Expr, int] = {}
    for part in parts(line):
        if isinstance(part, (Sum, Quotient, Root)) and unknown in letters(part):
            seen[part] = seen.get(part, 0) + 1
    found = [part for part, count in seen.items() if count > 1]
    return sorted(found, key=lambda part: -len(list(parts(part))))


def _replaced(line: Relation, meaning: Expr, letter: Expr) -> Relation:
    def change(part: Any) -> Any:
        return letter if part == meaning else part

    return rebuild(line, change)  # type: ignore[no-any-return]


def _power_of_unknown(board: Board, name: str) -> tuple[Expr, Relation] | None:
    """Name x², √x, x^(1/3) …: the power of which all others are whole powers."""
    line, unknown = board.relation, Symbol(board.unknown)
    exponents: set[Fraction] = set()

    def collect(part: Any) -> Any:
        match part:
            case Power(base, exponent) if base == unknown:
                value = numeral(exponent)
                exponents.add(value or Fraction(0))
                return Number("1")
            case Root(index, radicand) if radicand == unknown:
                exponents.add(Fraction(1, index))
                return Number("1")
        return part

    if board.unknown in letters(_outermost(line, collect)):
        exponents.add(Fraction(1))
    if len(exponents) < 2 or 0 in exponents:
        return None
    unit = Fraction(
        gcd(*(e.numerator for e in exponents)), lcm(*(e.denominator for e in exponents))
    )
    if unit == 1 or (min(exponents) < 0 and unit.denominator != 1):
        return None
    if all(e < 0 for e in exponents):
        unit = -unit

    def change(part: Any) -> Any:
        match part:
            case Power(base, exponent) if base == unknown:
                return _power(Symbol(name), (numeral(exponent) or Fraction(0)) / unit)
            case Root(index, radicand) if radicand == unknown:
                return _power(Symbol(name), Fraction(1, index) / unit)
            case Symbol() if part == unknown:
                return _power(Symbol(name), 1 / unit)
        return part

    new = _outermost(line, change)
    if board.unknown in letters(new):
        return None
    has_root = any(isinstance(part, Root) and part.radicand == unknown for part in parts(line))
    if has_root and unit.numerator == 1:
        return Root(unit.denominator, unknown), new
    return Power(unknown, build.number(unit)), new


def _outermost(node: Any, change: Any) -> Any:
    """Apply *change* from the outside; what it changes is not entered."""
    new = change(node)
    if new is not node and new != node:
        return new
    inner = children(node)
    return with_children(node, tuple(_outermost(p, change) for p in inner)) if inner else node


def _power(base: Expr, exponent: Fraction) -> Expr:
    return base if exponent == 1 else Power(base, build.number(exponent))


def _exponential(board: Board, name: str) -> tuple[Expr, Relation] | None:
    """Name b^x in an equation like 4^x − 6·2^x + 8 = 0."""
    line = board.relation
    if not any(isinstance(p, Power) and board.unknown in letters(p.exponent) for p in parts(line)):
        return None
    try:
        powers = Letters(line, board.unknown)
        sides = [powers.function(side) for side in (line.left, line.right)]
    except (OutOfScope, NotRational, Undefined):
        return None
    if len(powers.primes) != 1:
        return None
    degrees = [
        int(d[0])
        for side in sides
        for poly in (side.numerator, side.denominator)
        for d, _ in poly.terms()
    ]
    unit = gcd(*degrees)
    if unit < 1 or len(set(degrees)) < 2:
        return None
    zero = sides[0].minus(sides[1]).numerator
    terms = {int(d[0]) // unit: c for d, c in zero.terms()}
    total: list[Expr] = []
    for degree in sorted(terms, reverse=True):
        number = Fraction(int(terms[degree].p), int(terms[degree].q))
        power = build.ONE if degree == 0 else _power(Symbol(name), Fraction(degree))
        total.append(build.times(number, power))
    base = Number(str(powers.primes[0] ** unit))
    return Power(base, Symbol(board.unknown)), Relation(build.add(*total), "=", build.ZERO)
