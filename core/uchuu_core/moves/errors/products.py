"""Errors with products and like terms: a part lost, added instead of multiplied, or met by the wrong partner."""

from collections.abc import Callable, Iterator
from itertools import pairwise

from uchuu_core.lawbook.law import Family
from uchuu_core.moves.conditions import Different, Letter, NotNumeral, Numeral, Unsigned, numeral
from uchuu_core.moves.move import Common, Rewrite, error_in_part, error_of
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Line, Sum
from uchuu_core.tree.paths import letters


def _joined(part: Line, values: Callable[[int, int], Iterator[int]]) -> Iterator[Line]:
    """Join two neighbouring plain terms of a sum, with their signs, to one of *values*; all others hold letters."""
    if not isinstance(part, Sum):
        return
    for place, (one, other) in enumerate(pairwise(part.terms)):
        first, second = numeral(build.total((one,))), numeral(build.total((other,)))
        rest = (*part.terms[:place], *part.terms[place + 2 :])
        if first is None or second is None or not all(letters(term.body) for term in rest):
            continue
        if first.denominator == second.denominator == 1:
            for value in values(int(first), int(second)):
                now = build.terms_of(build.number(value))
                yield build.total((*part.terms[:place], *now, *part.terms[place + 2 :]))


def _negatives_subtracted(part: Line) -> Iterator[Line]:
    """Write ``−3 − 5`` as ``−2``."""

    def values(first: int, second: int) -> Iterator[int]:
        if first < 0 and second < 0 and first != second:
            yield -abs(first - second)
            yield abs(first - second)

    return _joined(part, values)


def _smaller_from_larger(part: Line) -> Iterator[Line]:
    """Write ``2 − 7`` as ``5``."""

    def values(first: int, second: int) -> Iterator[int]:
        if 0 < first < -second:
            yield -second - first

    return _joined(part, values)


def _products_missed(part: Line) -> Iterator[Line]:
    """Let the second term of a short bracket meet only one term of a longer one."""
    factors = build.factors_of(part)  # type: ignore[arg-type]
    if len(factors) != 2 or not all(isinstance(f, Sum) for f in factors):
        return
    for short, long in (factors, factors[::-1]):
        assert isinstance(short, Sum) and isinstance(long, Sum)
        if len(short.terms) == 2 and len(long.terms) == 3:
            first, second = (build.total((term,)) for term in short.terms)
            ends = [build.total((term,)) for term in long.terms]
            whole: list[Expr] = [build.product((first, end)) for end in ends]
            for place in (2, 0):
                yield _sum([*whole, build.product((second, ends[place]))])
            yield _sum([whole[0], *(build.product((second, end)) for end in ends)])


def _sum(parts: list[Expr]) -> Expr:
    return build.total(term for part in parts for term in build.terms_of(part))


_LIKE = (Numeral("a"), Numeral("b"), NotNumeral("x"))

NEGATIVES_SUBTRACTED = error_in_part(
    "sign-two-negatives-subtracted", _negatives_subtracted, "-3-5", "-2", "3-5"
)
SMALLER_FROM_LARGER = error_in_part(
    "sign-smaller-from-larger", _smaller_from_larger, "2-7", "5", "7-2"
)
LETTER_LOST = error_of(
    "like-letter-lost",
    (
        Rewrite("a*x - b*x", "a - b", _LIKE),
        Rewrite("a*x + b*x", "a + b", _LIKE),
    ),
    "7x-4x",
    "7-4",
    "7x-4y",
    common=Common.NOW_AND_THEN,
    due=Family.OPENS | Family.COLLECTS,
)
LETTER_ONCE = error_of(
    "like-product-letter-once",
    (
        Rewrite("x*x", "x", (Letter("x"),)),
        Rewrite("(a*x)*(b*x)", "a*b*x", (Numeral("a"), Numeral("b"), Letter("x"))),
    ),
    "3x*(2x)",
    "3*2*x",
    "3x*(2y)",
)
COEFFICIENTS_ADDED = error_of(
    "product-coefficients-added",
    (
        Rewrite("(a*x)*b", "(a+b)*x", _LIKE),
        Rewrite("a*x*b", "(a+b)*x", _LIKE),
        Rewrite("(a*sqrt(c))*(b*sqrt(d))", "(a+b)*sqrt(c*d)", (Numeral("a"), Numeral("b"))),
    ),
    "3x*2",
    "(3+2)x",
    "3x+2",
    common=Common.NOW_AND_THEN,
)
SECOND_ADDED = error_of(
    "distribute-second-added",
    (Rewrite("a*(b+c)", "a*b + a + c", (Numeral("a"),)),),
    "5(x+2)",
    "5x+5+2",
    "5(2x)",
    common=Common.NOW_AND_THEN,
    due=Family.OPENS,
)
LAST_ADDED = error_of(
    "expand-last-added",
    (Rewrite("(a+b)*(c+d)", "a*c + a*d + b*c + b + d", (Different("b", "d"),)),),
    "(x+4)(x+9)",
    "x*x+x*9+4x+4+9",
    "(x+4)+(x+9)",
    due=Family.OPENS,
)
SUM_AND_PRODUCT_EXCHANGED = error_of(
    "expand-sum-and-product-exchanged",
    (Rewrite("(x+a)*(x+b)", "x^2 + a*b*x + (a+b)", (Numeral("a"), Numeral("b"), NotNumeral("x"))),),
    "(x+4)(x+9)",
    "x^2+4*9*x+4+9",
    "(x+4)(y+9)",
    due=Family.OPENS,
)
PRODUCTS_MISSED = error_in_part(
    "expand-products-missed",
    _products_missed,
    "(x+3)(x^2-2x+4)",
    "x*x^2+x(-2x)+x*4+3*4",
    "(x+3)(x-2)",
    due=Family.OPENS,
)
LAST_SIGN = error_of(
    "expand-last-sign",
    (Rewrite("(a-b)*(c-d)", "a*c - a*d - b*c - b*d", (Unsigned("b"), Unsigned("d"))),),
    "(x-3)(x-4)",
    "x*x-x*4-3x-3*4",
    "(x-3)+(x-4)",
    due=Family.OPENS,
)

ERRORS = (
    NEGATIVES_SUBTRACTED,
    SMALLER_FROM_LARGER,
    LETTER_LOST,
    LETTER_ONCE,
    COEFFICIENTS_ADDED,
    SECOND_ADDED,
    LAST_ADDED,
    SUM_AND_PRODUCT_EXCHANGED,
    PRODUCTS_MISSED,
    LAST_SIGN,
)
