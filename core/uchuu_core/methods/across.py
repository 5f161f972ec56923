"""Fractions of numbers multiplied, or one divided by another: common factors are divided out before multiplying."""

from collections.abc import Iterator
from fractions import Fraction
from math import gcd, prod

from uchuu_core.lawbook.fractions import DIVIDE_OUT_FIRST
from uchuu_core.lawbook.numbers import DIVIDING_IS_RECIPROCAL, FRACTIONS_MULTIPLIED, WHAT_IS_LEFT
from uchuu_core.lawbook.says import Says, listed
from uchuu_core.methods.method import BOARD, RIDES_ALONG
from uchuu_core.moves.conditions import numeral
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Number, Product, Quotient

Written = tuple[Expr, Says, int]
"""What becomes of the part, what is said, and how much the line weighs."""


def multiplied_across(part: Expr) -> Iterator[Written]:
    """Yield the lines from a product, or a quotient, of fractions to its value; nothing where it is plain.

    It is plain where no factor is a fraction, or nothing divides out of a product.
    """
    values = _factors(part)
    if values is None or all(value.denominator == 1 for value in values):
        return
    if isinstance(part, Quotient):
        first, turned = values
        yield (
            build.product((build.number(first), build.number(turned))),
            DIVIDING_IS_RECIPROCAL(),
            BOARD,
        )
    tops = [abs(value.numerator) for value in values]
    bottoms = [value.denominator for value in values]
    sign = prod(-1 if value < 0 else 1 for value in values)
    shared = _divide_out(list(tops), list(bottoms))
    value = build.number(prod(values, start=Fraction(1)))
    if not shared or 0 in tops:
        if isinstance(part, Quotient):
            yield value, FRACTIONS_MULTIPLIED(), BOARD
        return
    yield _over(tops, bottoms, sign), FRACTIONS_MULTIPLIED(), RIDES_ALONG
    _divide_out(tops, bottoms)
    left = _over(tops, bottoms, sign)
    yield left, DIVIDE_OUT_FIRST(listed(build.number(n) for n in shared)), BOARD
    if left != value:
        yield value, WHAT_IS_LEFT(), BOARD


def _factors(part: Expr) -> list[Fraction] | None:
    """Return the numbers that are multiplied, the divisor turned over; None where it is something else."""
    match part:
        case Product(factors, _):
            found = [numeral(factor) for factor in factors]
        case Quotient(top, bottom, _):
            value, divisor = numeral(top), numeral(bottom)
            if value is None or not divisor or value.denominator == divisor.denominator == 1:
                return None
            found = [value, 1 / divisor]
        case _:
            return None
    known = [value for value in found if value is not None]
    return known if len(known) == len(found) else None


def _divide_out(tops: list[int], bottoms: list[int]) -> list[Fraction]:
    """Divide every top and every bottom by what they share, in place; return by what."""
    shared = []
    for i, top in enumerate(tops):
        for j, bottom in enumerate(bottoms):
            common = gcd(top, bottom)
            if common > 1:
                shared.append(Fraction(common))
                tops[i] = top = top // common
                bottoms[j] = bottom // common
    return shared


def _over(tops: list[int], bottoms: list[int], sign: int) -> Expr:
    above, below = (
        build.product(Number(str(n)) for n in side if n != 1) for side in (tops, bottoms)
    )
    whole = above if below == build.ONE else Quotient(above, below)
    return build.negative(whole) if sign < 0 else whole
