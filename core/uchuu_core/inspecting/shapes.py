"""Shapes that a practitioner sees at a glance: squares, opposite factors, one base, repeated parts."""

from collections.abc import Iterator
from fractions import Fraction
from math import gcd, isqrt
from typing import Any

from uchuu_core.checking.context import Context
from uchuu_core.failures import Failure, OutOfScope
from uchuu_core.inspecting.hidden import Seen, hidden_in
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.rational_functions import ring
from uchuu_core.lawbook.noticing import (
    DIFFERENCE_OF_TWO_SQUARES,
    DISCRIMINANT_BELOW_ZERO,
    DISCRIMINANT_IS_SQUARE,
    EQUAL_AFTER_ADDING,
    EQUAL_AFTER_SUBTRACTING,
    EQUAL_NUMERATORS,
    EVEN_MIDDLE,
    IS_PERFECT_SQUARE,
    LEADING_NOT_ONE,
    NO_MIDDLE_TERM,
    ONE_RADICAL,
    OPPOSITE_DENOMINATORS,
    POWERS_OF_ONE_BASE,
    RADICALS,
    ROOT_BELOW,
    SHARES_A_FACTOR,
)
from uchuu_core.methods.bases import common_base
from uchuu_core.methods.equations.board import Board
from uchuu_core.methods.equations.equal_tops import common_top
from uchuu_core.methods.exponents import numbers_in
from uchuu_core.methods.written import integer_factors, polynomial_of, polynomial_terms
from uchuu_core.tree.build import ZERO
from uchuu_core.tree.nodes import Line, Power, Quotient, Relation, Root, Sum, Symbol
from uchuu_core.tree.paths import letters, parts


def shapes_of(given: Line, context: Context) -> Iterator[Seen]:
    """Yield what is worth noticing about the shape of *given*."""
    yield from _opposite(given)
    yield from _polynomials(given)
    yield from _bases(given)
    yield from _radicals(given, context.unknown)
    yield from hidden_in(given)
    if isinstance(given, Relation) and given.sign == "=":
        yield from _quadratic(given, context.unknown)
        yield from _common_top(given, context.unknown)


def _opposite(given: Line) -> Iterator[Seen]:
    below = [
        p.denominator for p in parts(given) if isinstance(p, Quotient) and letters(p.denominator)
    ]
    found = [(node, polynomial_of(node)) for node in below]
    names = tuple(sorted(letters(given)))
    algebra = ring(names)
    known: list[tuple[Line, Any]] = []
    for node, polynomial in found:
        if polynomial is None:
            continue
        value = algebra.function(node).numerator
        _, factors = integer_factors(value, algebra)
        for other, earlier in known:
            if any(a == -b for a in _signed(value, factors) for b in earlier):
                yield "opposite-denominators", OPPOSITE_DENOMINATORS(other, node), node
                return
        known.append((node, _signed(value, factors)))


def _signed(value: Any, factors: Any) -> list[Any]:
    """Return the factors with the sign with which they are written, where that is plain."""
    if len(factors) == 1 and factors[0][1] == 1:
        return [value]
    return [polynomial for polynomial, _ in factors]


def _polynomials(given: Line) -> Iterator[Seen]:
    sums = [part for part in parts(given) if isinstance(part, Sum)]
    whole: tuple[Line, ...] = ()
    if isinstance(given, Relation) and ZERO not in (given.left, given.right):
        whole = (given.left, given.right)
    for node in dict.fromkeys(sums):
        found = polynomial_of(node)
        if found is None:
            continue
        polynomial, algebra = found
        terms = polynomial_terms(polynomial, algebra)
        if len(terms) < 2 or any(c.denominator != 1 for c, _ in terms):
            continue
        number, factors = integer_factors(polynomial, algebra)
        if len(terms) == 3 and len(factors) == 1 and factors[0][1] == 2 and number == 1:
            yield "perfect-square", IS_PERFECT_SQUARE(node), node
        elif _common(terms) and node not in whole:
            yield "common-factor", SHARES_A_FACTOR(node), node
        elif len(terms) == 2 and len(factors) > 1 and _is_square_difference(terms):
            yield "difference-of-squares", DIFFERENCE_OF_TWO_SQUARES(node), node
        elif len(terms) == 3 and terms[0][0] not in (1, -1) and sum(terms[0][1]) == 2:
            yield "leading-coefficient", LEADING_NOT_ONE(node, terms[0][0]), node


def _common(terms: list[tuple[Fraction, tuple[int, ...]]]) -> bool:
    if gcd(*(int(c) for c, _ in terms)) > 1:
        return True
    return any(min(powers) > 0 for powers in zip(*(degrees for _, degrees in terms), strict=True))


def _is_square_difference(terms: list[tuple[Fraction, tuple[int, ...]]]) -> bool:
    signs = sorted(c > 0 for c, _ in terms)
    squares = all(isqrt(abs(int(c))) ** 2 == abs(c) for c, _ in terms)
    return signs == [False, True] and squares and all(d % 2 == 0 for _, ds in terms for d in ds)


def _bases(given: Line) -> Iterator[Seen]:
    powers = [part for part in parts(given) if isinstance(part, Power)]
    if not any(letters(p.exponent) or not letters(p.base) for p in powers):
        return
    sides = (given.left, given.right) if isinstance(given, Relation) else (given,)
    numbers = [n for side in sides for n in numbers_in(side) if n != 1]  # type: ignore[arg-type]
    if len(set(numbers)) < 2:
        return
    base = common_base(numbers)
    if base is not None:
        yield "one-base", POWERS_OF_ONE_BASE(base.tree), None


def _radicals(given: Line, unknown: str) -> Iterator[Seen]:
    roots = {p for p in parts(given) if isinstance(p, Root) and unknown in letters(p)}
    if isinstance(given, Relation) and roots:
        letter = Symbol(unknown)
        says = ONE_RADICAL(letter) if len(roots) == 1 else RADICALS(len(roots), letter)
        yield "radicals", says, None
    below = [p for p in parts(given) if isinstance(p, Quotient)]
    for node in below:
        if any(isinstance(p, Root) for p in parts(node.denominator)):
            yield "root-below", ROOT_BELOW(), node
            return


def _quadratic(given: Relation, unknown: str) -> Iterator[Seen]:
    algebra = ring((unknown,))
    if letters(given) != {unknown}:
        return
    try:
        zero = algebra.function(given.left).minus(algebra.function(given.right))
    except (NotRational, Undefined, Failure):
        return
    terms = {d[0]: c for c, d in polynomial_terms(zero.numerator, algebra)}
    if not zero.denominator.is_constant() or max(terms, default=0) != 2:
        return
    a, b, c = (terms.get(degree, Fraction(0)) for degree in (2, 1, 0))
    if b == 0:
        yield "no-middle-term", NO_MIDDLE_TERM(Symbol(unknown)), None
        return
    under = b * b - 4 * a * c
    if under >= 0 and all(isqrt(n) ** 2 == n for n in (under.numerator, under.denominator)):
        yield "discriminant-square", DISCRIMINANT_IS_SQUARE(under), None
    elif under < 0:
        yield "discriminant-negative", DISCRIMINANT_BELOW_ZERO(under), None
    elif abs(a) == 1 and (b / 2).denominator == 1:
        yield "even-middle", EVEN_MIDDLE(), None


def _common_top(given: Relation, unknown: str) -> Iterator[Seen]:
    """Notice fractions with one numerator, or whose numerators are equal once a number is taken from each."""
    try:
        found = common_top(Board(given, unknown))
    except (OutOfScope, NotRational, Undefined, Failure):
        return
    if found is None:
        return
    if found.shift == 0:
        yield "equal-numerators", EQUAL_NUMERATORS(found.written), None
    elif found.shift > 0:
        yield "equal-after-one", EQUAL_AFTER_SUBTRACTING(found.shift), None
    else:
        yield "equal-after-one", EQUAL_AFTER_ADDING(-found.shift), None
