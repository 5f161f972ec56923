"""Errors in factoring trinomials: signs, pairs, leading coefficients."""

from collections.abc import Iterator
from dataclasses import dataclass
from fractions import Fraction
from itertools import permutations
from math import isqrt

from uchuu_core.lawbook.law import Family
from uchuu_core.moves.laws.expanding import coefficient_and_rest
from uchuu_core.moves.move import Common, error_in_part
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Join, Line, Number, Power, Product, Sum, Term
from uchuu_core.tree.paths import letters

MOST = 400
"""Largest constant whose divisors are tried."""


@dataclass(frozen=True, slots=True)
class Trinomial:
    """``a x² + b x y + c y²`` with whole numbers; x is any base, y is 1 or a second one."""

    x: Expr
    y: Expr
    a: int
    b: int
    c: int

    def bracket(self, number: int, lead: int = 1) -> Expr:
        """Return ``lead·x + number·y``."""
        last = build.times(Fraction(abs(number)), self.y)
        body = build.times(Fraction(lead), self.x)
        return Sum((Term("+", body), Term("-" if number < 0 else "+", last)))

    def brackets(self, first: int, second: int, lead: int = 1, other: int = 1) -> Expr:
        """Return the product of two brackets."""
        return product_of(self.bracket(first, lead), self.bracket(second, other))

    def split(self, first: int, second: int) -> Expr:
        """Return the trinomial with its middle term written as two."""
        middle = build.product((self.x, self.y)) if self.y != build.ONE else self.x
        square = build.times(Fraction(self.a), Power(self.x, Number("2")))
        last = self.y if self.y == build.ONE else Power(self.y, Number("2"))
        parts = (
            square,
            build.times(Fraction(first), middle),
            build.times(Fraction(second), middle),
            build.times(Fraction(self.c), last),
        )
        return build.total(term for part in parts for term in build.terms_of(part))


def trinomial(part: Line) -> Trinomial | None:
    """Return a sum of three terms as a trinomial in a letter, a power, or two letters; else None."""
    if not isinstance(part, Sum) or len(part.terms) != 3:
        return None
    signed = [
        (-number if term.sign == "-" else number, rest)
        for term in part.terms
        for number, rest in (coefficient_and_rest(term.body),)
    ]
    if any(term.sign == "+-" for term in part.terms) or any(n.denominator != 1 for n, _ in signed):
        return None
    for first, middle, last in permutations(signed):
        x, y = _root(first[1]), _root(last[1])
        if x is None or y is None or not letters(x):
            continue
        if _same(middle[1], x, y) and 0 not in (first[0], middle[0], last[0]):
            return Trinomial(x, y, int(first[0]), int(middle[0]), int(last[0]))
    return None


def _same(middle: Expr, x: Expr, y: Expr) -> bool:
    if y == build.ONE:
        return middle == x
    return sorted(map(repr, build.factors_of(middle))) == sorted(map(repr, (x, y)))


def _root(node: Expr) -> Expr | None:
    """Return the base of a square: of 1, ``x²``, ``x⁴``, ``3^(2x)``; None for anything else."""
    if node == build.ONE:
        return build.ONE
    if not isinstance(node, Power):
        return None
    number, rest = coefficient_and_rest(node.exponent)
    if number.denominator != 1 or number % 2 or number <= 0:
        return None
    half = build.times(number / 2, rest) if rest != build.ONE else build.number(number / 2)
    return node.base if half == build.ONE else Power(node.base, half)


def divisors(number: Fraction | int) -> list[int]:
    """Return the divisors of a whole number from 2 up, as far as they are tried."""
    size = abs(int(number))
    return [d for d in range(2, min(size, MOST) + 1) if size % d == 0]


def pairs(product: int) -> Iterator[tuple[int, int]]:
    """Yield every two whole numbers with this product, the smaller size first."""
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


def _monic(part: Line) -> Trinomial | None:
    found = trinomial(part)
    return found if found and found.a == 1 and 0 < abs(found.c) <= MOST else None


def _signs_flipped(part: Line) -> Iterator[Line]:
    found = _monic(part)
    if found:
        for p, q in pairs(found.c):
            if p + q == found.b:
                yield found.brackets(-p, -q)
                yield found.split(-p, -q)


def _wrong_sum(part: Line) -> Iterator[Line]:
    found = trinomial(part)
    if found and 0 < abs(found.a * found.c) <= MOST:
        near = sorted(pairs(found.a * found.c), key=lambda pair: abs(sum(pair) - found.b))
        for p, q in near:
            if p + q not in (found.b, -found.b):
                if found.a == 1:
                    yield found.brackets(p, q)
                yield found.split(p, q)
                yield found.split(q, p)


def _wrong_product(part: Line) -> Iterator[Line]:
    found = trinomial(part)
    if found and found.a == 1 and max(abs(found.b), abs(found.c)) <= MOST:
        middle = found.b // 2
        lows = range(-abs(found.b) - 12, middle + 1)
        for p in sorted(lows, key=lambda low: abs(low * (found.b - low) - found.c)):
            q = found.b - p
            if p and q and p * q != found.c:
                yield found.brackets(p, q)
    elif found and 1 < found.a <= MOST:
        yield from _wrong_product_with_lead(found)


def _wrong_product_with_lead(found: Trinomial) -> Iterator[Line]:
    """Write two brackets that give the first and the middle term, and not the last."""
    for lead in (n for n in range(1, found.a + 1) if found.a % n == 0):
        other = found.a // lead
        for p in (n for n in range(-12, 13) if n):
            q, rest = divmod(found.b - other * p, lead)
            if q and not rest and p * q != found.c:
                yield found.brackets(p, q, lead, other)


def _lead_not_divided(part: Line) -> Iterator[Line]:
    found = trinomial(part)
    if found and found.a != 1 and 0 < abs(found.a * found.c) <= MOST:
        for p, q in pairs(found.a * found.c):
            if p + q == found.b:
                yield found.brackets(p, q)


def _lead_in_both(part: Line) -> Iterator[Line]:
    found = trinomial(part)
    if found and found.a > 1 and 0 < abs(found.a * found.c) <= MOST:
        for p, q in pairs(found.c):
            yield found.brackets(p, q, found.a, found.a)
        for p, q in pairs(found.a * found.c):
            if p + q == found.b:
                yield found.brackets(p, q, found.a, found.a)


def _misplaced(part: Line) -> Iterator[Line]:
    found = trinomial(part)
    if found and 1 < found.a <= MOST and 0 < abs(found.c) <= MOST:
        for lead, other in pairs(found.a):
            if lead < 0:
                continue
            for p, q in pairs(found.c):
                for s, t in ((p, q), (q, p)):
                    if lead * t + other * s != found.b:
                        yield found.brackets(s, t, lead, other)


def _middle_unchecked(part: Line) -> Iterator[Line]:
    found = trinomial(part)
    if found and found.c > 0 and found.a > 0:
        lead, root = isqrt(found.a), isqrt(found.c)
        if lead * lead == found.a and root * root == found.c and abs(found.b) != 2 * lead * root:
            for sign in (1, -1):
                yield Power(found.bracket(sign * root, lead), Number("2"))


SIGNS_FLIPPED = error_in_part(
    "trinomial-signs-flipped",
    _signs_flipped,
    "x^2+3x-28",
    "(x-7)(x+4)",
    "2x^2+3x-28",
    common=Common.IN_EVERY_CLASS,
    due=Family.FACTORS,
    is_ending=True,
)
WRONG_SUM = error_in_part(
    "trinomial-pair-wrong-sum",
    _wrong_sum,
    "x^2+9x+18",
    "(x+2)(x+9)",
    "x^2+9",
    due=Family.FACTORS,
    is_ending=True,
)
WRONG_PRODUCT = error_in_part(
    "trinomial-pair-wrong-product",
    _wrong_product,
    "x^2+10x-24",
    "(x+4)(x+6)",
    "x^2+9",
    due=Family.FACTORS,
    is_ending=True,
)
LEAD_NOT_DIVIDED = error_in_part(
    "trinomial-lead-not-divided-back",
    _lead_not_divided,
    "2x^2+7x+3",
    "(x+6)(x+1)",
    "x^2+7x+6",
    due=Family.FACTORS,
    is_ending=True,
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
)
MIDDLE_UNCHECKED = error_in_part(
    "perfect-square-middle-unchecked",
    _middle_unchecked,
    "x^2+10x+9",
    "(x+3)^2",
    "x^2+10x+8",
    common=Common.NOW_AND_THEN,
    due=Family.FACTORS,
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
