"""Errors with how numbers are written: mixed numbers, decimals, absolute values."""

from collections.abc import Iterator
from fractions import Fraction
from itertools import pairwise

from uchuu_core.moves.conditions import numeral
from uchuu_core.moves.move import Common, error_in_part
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Absolute, Expr, Line, Mixed, Number, Product

_PLACES = (1, 2, -1, -2)
"""So many places the point of a product is set too far to the right; below 0, to the left."""


def _parts_apart(part: Line) -> Iterator[Line]:
    """Write ``2 1/3 · 3`` as ``6 1/3``, ``2 1/3 · 1 1/2`` as ``2 1/6``."""
    for before, after, one, other in _neighbours(part):
        found = _by_parts(one, other) or _by_parts(other, one)
        if found is not None:
            yield build.product((*before, found, *after))


def _by_parts(one: Expr, other: Expr) -> Expr | None:
    """Return a mixed number times another number, whole by whole and fraction by fraction."""
    match one, other:
        case Mixed(whole, top, bottom), Number() if other.is_whole and other.value > 1:
            return Mixed(whole * int(other.value), top, bottom)
        case Mixed(whole, top, bottom), Mixed(by, over, under):
            return Mixed(whole * by, top * over, bottom * under)
    return None


def _point_misplaced(part: Line) -> Iterator[Line]:
    """Write ``0.2 · 0.3`` as ``0.6``."""
    for before, after, one, other in _neighbours(part):
        values = numeral(one), numeral(other)
        if _is_decimal(one) or _is_decimal(other):
            for places in _PLACES if None not in values else ():
                wrong = build.decimal(values[0] * values[1] * Fraction(10) ** places)  # type: ignore[operator]
                yield build.product((*before, wrong, *after))


def _is_decimal(part: Expr) -> bool:
    return isinstance(part, Number) and not part.is_whole


def _neighbours(
    part: Line,
) -> Iterator[tuple[tuple[Expr, ...], tuple[Expr, ...], Expr, Expr]]:
    """Yield every two factors side by side, with what stands before and after them."""
    if isinstance(part, Product):
        for place, (one, other) in enumerate(pairwise(part.factors)):
            yield part.factors[:place], part.factors[place + 2 :], one, other


def _bars_ignored(part: Line) -> Iterator[Line]:
    """Write ``|−5|`` as ``−5``."""
    if isinstance(part, Absolute) and (value := numeral(part.body)) is not None and value < 0:
        yield part.body


MIXED_PARTS = error_in_part(
    "mixed-number-parts-multiplied",
    _parts_apart,
    "2 1/3 * 3",
    "6 1/3",
    "2 1/3 + 3",
)
POINT_MISPLACED = error_in_part(
    "decimal-point-misplaced",
    _point_misplaced,
    "0.2*0.3",
    "0.6",
    "0.2+0.3",
)
BARS_IGNORED = error_in_part(
    "absolute-value-ignored",
    _bars_ignored,
    "|-5|",
    "-5",
    "|5|",
    common=Common.NOW_AND_THEN,
)

ERRORS = (MIXED_PARTS, POINT_MISPLACED, BARS_IGNORED)
