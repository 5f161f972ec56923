"""What was done to both sides of an equation, read off the two lines by their values.

Only what a teacher would say: terms added or subtracted, a multiplication by a number, the LCD or
another polynomial, and one of the former followed by one of the latter.
"""

from collections.abc import Iterator
from fractions import Fraction
from typing import Any

from flint import fmpq_mpoly

from uchuu_core.checking.atoms import Atoms
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.rational_functions import RationalFunction, Ring
from uchuu_core.lawbook.equations import (
    NUMERATOR_TIMES_OTHER_DENOMINATOR,
    NUMERATORS_ARE_EQUAL,
)
from uchuu_core.lawbook.fractions import EVERY_TERM_BY_LCD
from uchuu_core.lawbook.linear import (
    ALL_TERMS_ON_ONE_SIDE,
    CLEAR_BY,
    DIVIDE_BOTH_BY,
    MULTIPLY_BOTH_BY,
    MULTIPLY_BOTH_BY_MINUS_ONE,
    MULTIPLY_BY_RECIPROCAL_OF,
    SIDES_CHANGE_PLACES,
)
from uchuu_core.lawbook.says import Says
from uchuu_core.methods.fractions_in_letters import Product, fraction_in_factors, least_common
from uchuu_core.methods.written import polynomial_tree
from uchuu_core.moves.laws.equations import moved_across
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Quotient, Relation
from uchuu_core.tree.shape import unordered

MOST_MOVED = 3
"""More terms than this are not moved in one step by anybody."""

Sides = tuple[RationalFunction, RationalFunction]


def said_of_both_sides(start: Relation, end: Relation, ring: Ring) -> Says | None:
    """Return what was done to both sides of *start* to come to *end*, None for nothing simple.

    What is no rational function (a root, a power with a letter, ±) counts as a letter of its own.
    """
    names = Atoms(ring)
    start, end = names.in_letters(start), names.in_letters(end)
    says = _of_rational(start, end, names.ring())
    return None if says is None else names.put_back(says)


def _of_rational(start: Relation, end: Relation, ring: Ring) -> Says | None:
    try:
        was = (ring.function(start.left), ring.function(start.right))
        has = (ring.function(end.left), ring.function(end.right))
    except (NotRational, Undefined):
        return None
    if was[0].equals(has[0]) and was[1].equals(has[1]):
        return None
    if was[0].equals(has[1]) and was[1].equals(has[0]):
        return SIDES_CHANGE_PLACES()
    for says in _readings(start, was, has, ring):
        return says
    for says in _readings(start, was, (has[1], has[0]), ring):
        return says
    return None


def _readings(start: Relation, was: Sides, has: Sides, ring: Ring) -> Iterator[Says]:
    added = _difference(was, has)
    if added is not None:
        yield moved_across(polynomial_tree(-added, ring))
        return
    ratio = _ratio(was, has)
    if ratio is not None:
        says = _scaled(start, ratio, ring)
        if says is not None:
            yield says
        return
    yield from _moved_then_scaled(start, was, has, ring)


def _difference(was: Sides, has: Sides) -> fmpq_mpoly | None:
    """Return the polynomial that was added to both sides, None when there is none."""
    first, second = has[0].minus(was[0]), has[1].minus(was[1])
    if first.is_zero or not first.equals(second) or not first.denominator.is_constant():
        return None
    polynomial = first.numerator / first.denominator.leading_coefficient()
    return polynomial if len(polynomial) <= MOST_MOVED else None


def _ratio(was: Sides, has: Sides) -> RationalFunction | None:
    """Return what both sides were multiplied by, None when there is no such thing."""
    pairs = [(h, w) for h, w in zip(has, was, strict=True) if not w.is_zero]
    if not pairs or any(not h.is_zero for h, w in zip(has, was, strict=True) if w.is_zero):
        return None
    ratios = [h.over(w) for h, w in pairs]
    first = ratios[0]
    if first is None or first.is_zero or any(r is None or not r.equals(first) for r in ratios):
        return None
    return first


def _scaled(start: Relation, ratio: RationalFunction, ring: Ring) -> Says | None:
    number = ratio.constant()
    if number is None:
        return _cleared(start, ratio, ring)
    by = Fraction(int(number.p), int(number.q))
    if by == 1:
        return None
    lcd = _lcd(start, ring)
    if lcd is not None and not lcd.factors and by == lcd.number > 1:
        is_single = all(len(build.terms_of(side)) == 1 for side in (start.left, start.right))
        if not is_single:
            return CLEAR_BY(by)
    return scale_says(by)


def scale_says(by: Fraction) -> Says:
    """Say that both sides are multiplied by a number other than 1."""
    if by == -1:
        return MULTIPLY_BOTH_BY_MINUS_ONE()
    if abs(by.numerator) == 1:
        return DIVIDE_BOTH_BY(1 / by)
    return MULTIPLY_BOTH_BY(by) if by.denominator == 1 else MULTIPLY_BY_RECIPROCAL_OF(by)


def _cleared(start: Relation, ratio: RationalFunction, ring: Ring) -> Says | None:
    """Say by which polynomial the denominators were cleared: the LCD first."""
    common = ratio.numerator.gcd(ratio.denominator)
    top, bottom = ratio.numerator / common, ratio.denominator / common
    if not bottom.is_constant():
        return _divided_by_letters(top, bottom, ring)
    factor = top / bottom.leading_coefficient()
    sides = (start.left, start.right)
    singles = [side for side in sides if isinstance(side, Quotient)]
    if len(singles) == 2 and unordered(singles[0].denominator) == unordered(singles[1].denominator):
        return NUMERATORS_ARE_EQUAL()
    lcd = _lcd(start, ring)
    if lcd is not None and _is_multiple(factor, lcd.polynomial(ring)):
        return EVERY_TERM_BY_LCD(lcd.tree(ring))
    if len(singles) == 2 and _is_multiple(factor, _product_below(singles, ring)):
        return NUMERATOR_TIMES_OTHER_DENOMINATOR()
    return MULTIPLY_BOTH_BY(polynomial_tree(factor, ring))


def _divided_by_letters(top: fmpq_mpoly, bottom: fmpq_mpoly, ring: Ring) -> Says | None:
    """Nobody multiplies by a quotient of polynomials; dividing by a product of letters is said."""
    if not top.is_constant() or len(bottom) > 1:
        return None
    return DIVIDE_BOTH_BY(polynomial_tree(bottom / top.leading_coefficient(), ring))


def _lcd(start: Relation, ring: Ring) -> Product | None:
    """Return the LCD of all terms in factors, None where a term is no single fraction."""
    below = []
    for side in (start.left, start.right):
        for term in build.terms_of(side):
            found = fraction_in_factors(term.body, ring)
            if found is None or found.bottom.number == 0:
                return None
            below.append(found.bottom)
    return least_common(below)


def _product_below(singles: list[Quotient], ring: Ring) -> Any:
    return ring.function(build.product(side.denominator for side in singles)).numerator


def _is_multiple(factor: fmpq_mpoly, of: fmpq_mpoly) -> bool:
    """Whether the two differ by a sign at most."""
    return bool(factor == of or factor == -of)


def _moved_then_scaled(start: Relation, was: Sides, has: Sides, ring: Ring) -> Iterator[Says]:
    """Terms are moved, then both sides are multiplied by a number."""
    before, now = was[0].minus(was[1]), has[0].minus(has[1])
    ratio = None if before.is_zero else now.over(before)
    number = ratio.constant() if ratio is not None else None
    if number is None or number == 0:
        return
    by = Fraction(int(number.p), int(number.q))
    divisor = ring.function(build.number(by))
    left, right = has[0].over(divisor), has[1].over(divisor)
    added = _difference(was, (left, right)) if left and right else None
    if has[1].is_zero or has[0].is_zero:
        moved = ALL_TERMS_ON_ONE_SIDE()
    elif added is not None and _stands_in(added, start, was, ring):
        moved = moved_across(polynomial_tree(-added, ring))
    else:
        return
    yield moved if by == 1 else moved + scale_says(by)


def _stands_in(added: fmpq_mpoly, start: Relation, was: Sides, ring: Ring) -> bool:
    """Whether every term that was moved is a term of a side: nobody moves 56/15 out of nowhere."""
    written = [
        ring.function(term.body)
        for side in (start.left, start.right)
        for term in build.terms_of(side)
        if term.sign != "+-"
    ]
    terms: set[tuple[Any, Any]] = set()
    for part in (*written, *was):
        if part.denominator.is_constant():
            polynomial = part.numerator / part.denominator.leading_coefficient()
            terms |= {(tuple(powers), abs(size)) for powers, size in polynomial.to_dict().items()}
    return all((tuple(powers), abs(size)) in terms for powers, size in added.to_dict().items())
