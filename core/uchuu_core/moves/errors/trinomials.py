"""Errors in factoring trinomials: signs, pairs, leading coefficients."""

from collections.abc import Iterator
from fractions import Fraction
from math import isqrt

from uchuu_core.lawbook.law import Family
from uchuu_core.moves.laws.expanding import coefficient_and_rest
from uchuu_core.moves.move import Common, error_in_part
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Join, Line, Number, Power, Product, Sum, Symbol, Term

MOST = 400
"""Largest constant whose divisors are tried."""


def _trinomial(part: Line) -> tuple[Symbol, int, int, int] | None:
    """Return x, a, b, c of ``a x² + b x + c`` with whole numbers, None for anything else."""
    if not isinstance(part, Sum) or len(part.terms) != 3:
        return None
    found: dict[int, Fraction] = {}
    letter: Symbol | None = None
    for term in part.terms:
        number, rest = coefficient_and_rest(term.body)
        number = -number if term.sign == "-" else number
        match rest:
            case Power(Symbol() as x, Number("2")):
                degree, letter = 2, x
            case Symbol():
                degree, letter = 1, rest
            case Number("1"):
                degree = 0
            case _:
                return None
        found[degree] = number
    if set(found) != {0, 1, 2} or letter is None or any(v.denominator != 1 for v in found.values()):
        return None
    return letter, int(found[2]), int(found[1]), int(found[0])


def _bracket(x: Expr, number: int, lead: int = 1) -> Expr:
    body = build.times(Fraction(lead), x)
    return Sum((Term("+", body), Term("-" if number < 0 else "+", Number(str(abs(number))))))


def divisors(number: Fraction | int) -> list[int]:
    """Return the divisors of a whole number from 2 up, as far as they are tried."""
    size = abs(int(number))
    return [d for d in range(2, min(size, MOST) + 1) if size % d == 0]


def _pairs(product: int) -> Iterator[tuple[int, int]]:
    size = abs(product)
    for small in range(1, isqrt(size) + 1):
        if size % small == 0:
            large = product // small
            yield small, large
            yield -small, -large


def product_of(*factors: Expr) -> Expr:
    """Write factors side by side."""
    joins: list[Join] = [""] * (len(factors) - 1)
    return Product(tuple(factors), tuple(joins))


def _signs_flipped(part: Line) -> Iterator[Line]:
    found = _trinomial(part)
    if found and found[1] == 1 and 0 < abs(found[3]) <= MOST:
        x, _, b, c = found
        for p, q in _pairs(c):
            if p + q == b:
                yield product_of(_bracket(x, -p), _bracket(x, -q))


def _wrong_sum(part: Line) -> Iterator[Line]:
    found = _trinomial(part)
    if found and found[1] == 1 and 0 < abs(found[3]) <= MOST:
        x, _, b, c = found
        for p, q in _pairs(c):
            if p + q not in (b, -b):
                yield product_of(_bracket(x, p), _bracket(x, q))


def _wrong_product(part: Line) -> Iterator[Line]:
    found = _trinomial(part)
    if found and found[1] == 1 and max(abs(found[2]), abs(found[3])) <= MOST:
        x, _, b, c = found
        for p in range(-abs(b) - 12, abs(b) + 13):
            q = b - p
            if p and q and p * q != c and p <= q:
                yield product_of(_bracket(x, p), _bracket(x, q))
    elif found and 1 < found[1] <= MOST:
        yield from _wrong_product_with_lead(*found)


def _wrong_product_with_lead(x: Expr, a: int, b: int, c: int) -> Iterator[Line]:
    """Write two brackets that give the first and the middle term, and not the last."""
    for lead in (n for n in range(1, a + 1) if a % n == 0):
        other = a // lead
        for p in (n for n in range(-12, 13) if n):
            q, rest = divmod(b - other * p, lead)
            if q and not rest and p * q != c:
                yield product_of(_bracket(x, p, lead), _bracket(x, q, other))


def _lead_not_divided(part: Line) -> Iterator[Line]:
    found = _trinomial(part)
    if found and found[1] != 1 and 0 < abs(found[1] * found[3]) <= MOST:
        x, a, b, c = found
        for p, q in _pairs(a * c):
            if p + q == b:
                yield product_of(_bracket(x, p), _bracket(x, q))


def _lead_in_both(part: Line) -> Iterator[Line]:
    found = _trinomial(part)
    if found and found[1] > 1 and 0 < abs(found[1] * found[3]) <= MOST:
        x, a, b, c = found
        for p, q in _pairs(c):
            yield product_of(_bracket(x, p, a), _bracket(x, q, a))
        for p, q in _pairs(a * c):
            if p + q == b:
                yield product_of(_bracket(x, p, a), _bracket(x, q, a))


def _misplaced(part: Line) -> Iterator[Line]:
    found = _trinomial(part)
    if found and 1 < found[1] <= MOST and 0 < abs(found[3]) <= MOST:
        x, a, b, c = found
        for lead, other in _pairs(a):
            if lead < 0:
                continue
            for p, q in _pairs(c):
                for s, t in ((p, q), (q, p)):
                    if lead * t + other * s != b:
                        yield product_of(_bracket(x, s, lead), _bracket(x, t, other))


def _middle_unchecked(part: Line) -> Iterator[Line]:
    found = _trinomial(part)
    if found and found[3] > 0 and found[1] > 0:
        x, a, b, c = found
        lead, root = isqrt(a), isqrt(c)
        if lead * lead == a and root * root == c and abs(b) != 2 * lead * root:
            for sign in (1, -1):
                yield Power(_bracket(x, sign * root, lead), Number("2"))


SIGNS_FLIPPED = error_in_part(
    "trinomial-signs-flipped",
    _signs_flipped,
    "x^2+3x-28",
    "(x-7)(x+4)",
    "2x^2+3x-28",
    common=Common.IN_EVERY_CLASS,
    due=Family.FACTORS,
    is_ending=True,
    may_be_luck=False,
)
WRONG_SUM = error_in_part(
    "trinomial-pair-wrong-sum",
    _wrong_sum,
    "x^2+9x+18",
    "(x+2)(x+9)",
    "x^2+9",
    due=Family.FACTORS,
    is_ending=True,
    may_be_luck=False,
)
WRONG_PRODUCT = error_in_part(
    "trinomial-pair-wrong-product",
    _wrong_product,
    "x^2+10x-24",
    "(x+4)(x+6)",
    "x^2+9",
    due=Family.FACTORS,
    is_ending=True,
    may_be_luck=False,
)
LEAD_NOT_DIVIDED = error_in_part(
    "trinomial-lead-not-divided-back",
    _lead_not_divided,
    "2x^2+7x+3",
    "(x+6)(x+1)",
    "x^2+7x+6",
    due=Family.FACTORS,
    is_ending=True,
    may_be_luck=False,
)
MISPLACED = error_in_part(
    "trinomial-factors-misplaced",
    _misplaced,
    "3x^2+10x+8",
    "(3x+2)(x+4)",
    "x^2+7x+6",
    common=Common.NOW_AND_THEN,
    due=Family.FACTORS,
    is_ending=True,
    may_be_luck=False,
)
LEAD_IN_BOTH = error_in_part(
    "trinomial-lead-in-both-factors",
    _lead_in_both,
    "3x^2+11x+6",
    "(3x+2)(3x+3)",
    "x^2+7x+6",
    common=Common.NOW_AND_THEN,
    due=Family.FACTORS,
    is_ending=True,
    may_be_luck=False,
)
MIDDLE_UNCHECKED = error_in_part(
    "perfect-square-middle-unchecked",
    _middle_unchecked,
    "x^2+10x+9",
    "(x+3)^2",
    "x^2+10x+8",
    common=Common.NOW_AND_THEN,
    due=Family.FACTORS,
    may_be_luck=False,
)

ERRORS = (
    SIGNS_FLIPPED,
    LEAD_NOT_DIVIDED,
    LEAD_IN_BOTH,
    MISPLACED,
    WRONG_SUM,
    WRONG_PRODUCT,
    MIDDLE_UNCHECKED,
)
