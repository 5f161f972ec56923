"""The features of a rational function in one letter, exact: where it is, where it goes, where it is cut."""

from dataclasses import dataclass, replace
from functools import lru_cache
from itertools import pairwise
from typing import Any

from flint import fmpq, fmpq_poly

from uchuu_core.kernel.algebraic import Algebraic, between, primitive, roots_of
from uchuu_core.kernel.domains import domain_of
from uchuu_core.kernel.points import NotRational
from uchuu_core.kernel.rational_functions import ring
from uchuu_core.kernel.solving import excluded_points
from uchuu_core.tree.nodes import Expr
from uchuu_core.tree.paths import letters

INFINITY, MINUS_INFINITY = "infinity", "-infinity"
MOST_DEGREE = 12
_GRID = 12
"""Points of the table lie within this distance of the y-axis."""
_NEAR = fmpq(1, 10**6)


@dataclass(frozen=True, slots=True)
class Stretch:
    """An open interval without zeros or breaks, a point of the graph in it, and its sign."""

    low: Algebraic | None
    high: Algebraic | None
    x: fmpq
    y: fmpq


@dataclass(frozen=True, slots=True)
class Features:
    """Everything a sketch needs.

    Attributes:
        unknown: the letter of the function.
        top, bottom: the reduced fraction; ``bottom`` has the leading coefficient 1.
        excluded: where the given has no value, ascending.
        holes: x and y; y None where it is no rational number.
        vertical: places of vertical asymptotes, ascending.
        horizontal: the height of the horizontal asymptote, None when there is none.
        quotient: the polynomial part of the division when the bottom is not constant.
        remainder: what is left over the bottom.
        zeros: x-intercepts, ascending.
        at_zero: the y-intercept, None when 0 is excluded.
        left, right: the limits at the ends: a number, or the words for infinity.
        stretches: between zeros, holes and asymptotes.
        points: points with whole coordinates near the origin.
        shift: a, h, k with f = a/(x − h) + k, None where it has no such form.
        missed: single values of y that f never takes though it comes as near as one likes.
    """

    unknown: str
    top: fmpq_poly
    bottom: fmpq_poly
    excluded: tuple[Algebraic, ...]
    holes: tuple[tuple[Algebraic, fmpq | None], ...]
    vertical: tuple[Algebraic, ...]
    horizontal: fmpq | None
    quotient: fmpq_poly
    remainder: fmpq_poly
    zeros: tuple[Algebraic, ...]
    at_zero: fmpq | None
    left: fmpq | str
    right: fmpq | str
    stretches: tuple[Stretch, ...]
    points: tuple[tuple[fmpq, fmpq], ...]
    shift: tuple[fmpq, fmpq, fmpq] | None
    missed: tuple[fmpq, ...]

    @property
    def is_oblique(self) -> bool:
        """Whether the graph nears a line that is neither level nor upright."""
        return self.bottom.degree() > 0 and self.quotient.degree() == 1

    def value(self, x: fmpq) -> fmpq | None:
        """Return the value of the reduced fraction, None where its bottom is 0."""
        below = self.bottom(x)
        return None if below == 0 else self.top(x) / below


@lru_cache(maxsize=128)
def features_of(node: Expr, unknown: str) -> Features:
    """Return the features of *node* as a function of *unknown*.

    Raises:
        NotRational: it is no rational function of this letter alone, or of too high a degree.
        Undefined: it divides by zero everywhere.
    """
    if letters(node) - {unknown}:
        raise NotRational
    algebra = ring((unknown,))
    function = algebra.lowest(algebra.function(node))
    top, bottom = (_univariate(p) for p in (function.numerator, function.denominator))
    if max(top.degree(), bottom.degree()) > MOST_DEGREE:
        raise NotRational
    lead = bottom[bottom.degree()]
    top, bottom = top / lead, bottom / lead
    excluded = tuple(excluded_points(domain_of(node, algebra).excluded, unknown))
    vertical = _roots(bottom)
    zeros = tuple(x for x in _roots(top) if x not in excluded) if top else ()
    holes = tuple((x, _height(x, top, bottom)) for x in excluded if x not in vertical)
    quotient, remainder = divmod(top, bottom)
    level = top.degree() <= bottom.degree() and bottom.degree() > 0
    horizontal = quotient[0] if level else None
    found = Features(
        unknown,
        top,
        bottom,
        excluded,
        holes,
        vertical,
        horizontal,
        quotient,
        remainder,
        zeros,
        None if _is_zero_excluded(excluded) else top(fmpq(0)) / bottom(fmpq(0)),
        _end(top, bottom, left=True),
        _end(top, bottom, left=False),
        _stretches(top, bottom, [*zeros, *excluded]),
        _points(top, bottom, excluded),
        _shift(top, bottom, horizontal, holes),
        (),
    )
    return replace(found, missed=_missed(found))


def _univariate(polynomial: Any) -> fmpq_poly:
    coefficients: dict[int, Any] = {int(d[0]): c for d, c in polynomial.terms()}
    return fmpq_poly(
        [coefficients.get(n, fmpq(0)) for n in range(max(coefficients, default=0) + 1)]
    )


def _roots(polynomial: fmpq_poly) -> tuple[Algebraic, ...]:
    """Return the real zeros, ascending, each once."""
    if polynomial.degree() < 1:
        return ()
    _, factors = polynomial.numer().factor()
    found: set[Algebraic] = set()
    for factor, _ in factors:
        if factor.degree() > 0:
            whole = primitive([fmpq(c) for c in factor.coeffs()])
            found |= set(roots_of(whole, real_only=True))
    return tuple(sorted(found))


def _height(x: Algebraic, top: fmpq_poly, bottom: fmpq_poly) -> fmpq | None:
    return None if x.rational is None else top(x.rational) / bottom(x.rational)


def _is_zero_excluded(excluded: tuple[Algebraic, ...]) -> bool:
    return any(x.rational == 0 for x in excluded)


def _end(top: fmpq_poly, bottom: fmpq_poly, *, left: bool) -> fmpq | str:
    difference = top.degree() - bottom.degree()
    if not top or difference < 0:
        return fmpq(0)
    ratio = top[top.degree()] / bottom[bottom.degree()]
    if difference == 0:
        return ratio
    rises = (ratio > 0) != (left and difference % 2 == 1)
    return INFINITY if rises else MINUS_INFINITY


def _stretches(top: fmpq_poly, bottom: fmpq_poly, breaks: list[Algebraic]) -> tuple[Stretch, ...]:
    ends: list[Algebraic | None] = [None, *sorted(set(breaks)), None]
    found = []
    for low, high in pairwise(ends):
        x = _inside(low, high)
        found.append(Stretch(low, high, x, top(x) / bottom(x)))
    return tuple(found)


def _inside(low: Algebraic | None, high: Algebraic | None) -> fmpq:
    """Return a number between, whole where that is possible."""
    for size in range(_GRID + 1):
        for number in (size, -size):
            here = Algebraic.of(fmpq(number))
            if (low is None or low < here) and (high is None or here < high):
                return fmpq(number)
    return between(low, high)


def _points(
    top: fmpq_poly, bottom: fmpq_poly, excluded: tuple[Algebraic, ...]
) -> tuple[tuple[fmpq, fmpq], ...]:
    """Return points with whole x and y (or half y where whole ones are few)."""
    gaps = {x.rational for x in excluded}
    table = [
        (fmpq(x), top(fmpq(x)) / bottom(fmpq(x)))
        for x in range(-_GRID, _GRID + 1)
        if fmpq(x) not in gaps and bottom(fmpq(x)) != 0
    ]
    whole = [(x, y) for x, y in table if y.q == 1]
    if len(whole) >= 4:
        return tuple(whole)
    return tuple((x, y) for x, y in table if y.q <= 2)


def _shift(
    top: fmpq_poly, bottom: fmpq_poly, horizontal: fmpq | None, holes: tuple[Any, ...]
) -> tuple[fmpq, fmpq, fmpq] | None:
    if bottom.degree() != 1 or horizontal is None or holes:
        return None
    h = -bottom[0] / bottom[1]
    rest = top - bottom * horizontal
    return rest[0] / bottom[1], h, horizontal


def _missed(found: Features) -> tuple[fmpq, ...]:
    heights = [y for _, y in found.holes if y is not None]
    candidates = {y for y in (found.horizontal, *heights) if y is not None}
    return tuple(
        y
        for y in sorted(candidates)
        if not _takes(found, y) and all(_takes(found, y + d) for d in (_NEAR, -_NEAR))
    )


def _takes(found: Features, y: fmpq) -> bool:
    difference = found.top - found.bottom * y
    if not difference:
        return True
    return any(x not in found.excluded for x in _roots(difference))
