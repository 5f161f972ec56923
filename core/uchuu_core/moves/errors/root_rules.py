"""Errors with roots that take the rule of another operation, or half a rule."""

from collections.abc import Iterator
from dataclasses import replace
from math import isqrt

from uchuu_core.moves.conditions import Different, IsNot, NotNumeral, Numeral, numeral
from uchuu_core.moves.laws.expanding import coefficient_and_rest
from uchuu_core.moves.move import Common, Rewrite, error_in_part, error_of
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Line, Number, Power, Root


def _squares_in(number: int) -> Iterator[int]:
    """Yield the roots of the square factors of *number* that are above 1."""
    for root in range(2, isqrt(number) + 1):
        if number % (root * root) == 0:
            yield root


def _coefficient_added(part: Line) -> Iterator[Line]:
    """Write ``3√8`` as ``5√2``: what comes out is added to the number in front."""
    number, rest = coefficient_and_rest(part)
    if number in (0, 1) or not isinstance(rest, Root) or rest.index != 2:
        return
    inside = numeral(rest.radicand)
    if inside is not None and inside.denominator == 1 and 0 < inside < 10**6:
        for root in _squares_in(int(inside)):
            left = build.number(inside / (root * root))
            yield build.times(number + root, Root(2, left))


def _exponent_rooted(part: Line) -> Iterator[Line]:
    """Write ``√(x¹⁶)`` as ``x⁴``."""
    match part:
        case Root(2, Power(base, Number() as exponent)) if exponent.is_whole:
            root = isqrt(int(exponent.value))
            if root * root == exponent.value and root > 1:
                yield Power(base, Number(str(root)))


def _index_as_divisor(part: Line) -> Iterator[Line]:
    """Write ``∛12`` as ``4``, ``√36`` as nothing (that is halving)."""
    if isinstance(part, Root) and part.index > 2:
        inside = numeral(part.radicand)
        if inside is not None and inside > 0:
            yield build.number(inside / part.index)


_NUMBERS = (Numeral("a"), Numeral("b"))

PRODUCT_ADDED = error_of(
    "radical-product-added",
    (
        Rewrite("sqrt(a)*sqrt(b)", "sqrt(a+b)", (Different("a", "b"),)),
        Rewrite("(c*sqrt(a))*(d*sqrt(b))", "c*d*sqrt(a+b)", (Numeral("c"), Numeral("d"))),
        Rewrite("c*sqrt(a)*sqrt(b)", "c*sqrt(a+b)", (Numeral("c"),)),
    ),
    "sqrt(3)*sqrt(5)",
    "sqrt(3+5)",
    "sqrt(3)+sqrt(5)",
)
COEFFICIENT_ADDED = replace(
    error_in_part(
        "radical-coefficient-added",
        _coefficient_added,
        "3sqrt(8)",
        "5sqrt(2)",
        "3sqrt(7)",
    ),
    rewrites=(Rewrite("a*b*sqrt(c)", "(a+b)*sqrt(c)", (Numeral("a"), Numeral("b"))),),
)
EXPONENT_ROOTED = error_in_part(
    "radical-exponent-rooted",
    _exponent_rooted,
    "sqrt(x^16)",
    "x^4",
    "sqrt(x^8)",
)
DIVIDED_INTO_RADICAND = error_of(
    "radical-divided-into-radicand",
    (
        Rewrite("sqrt(a)/b", "sqrt(a/b)", (Numeral("b"),)),
        Rewrite("(c*sqrt(a))/b", "c*sqrt(a/b)", (Numeral("b"), Numeral("c"))),
        Rewrite("(c+sqrt(a))/b", "c/b + sqrt(a/b)", (Numeral("b"), Numeral("c"))),
        Rewrite("(c-sqrt(a))/b", "c/b - sqrt(a/b)", (Numeral("b"), Numeral("c"))),
        Rewrite("b/sqrt(a)", "sqrt(b/a)", (Numeral("b"), IsNot("b", 1))),
    ),
    "sqrt(20)/2",
    "sqrt(20/2)",
    "sqrt(20)*2",
)
MOVED_IN_UNSQUARED = error_of(
    "radical-number-moved-in-unsquared",
    (Rewrite("a*sqrt(b)", "sqrt(a*b)", (Numeral("a", positive=True),)),),
    "2sqrt(3)",
    "sqrt(2*3)",
    "2+sqrt(3)",
)
HALVED = error_of(
    "radical-halved",
    (Rewrite("sqrt(a)", "a/2", (Numeral("a", positive=True),)),),
    "sqrt(36)",
    "36/2",
    "cbrt(36)",
)
INDEX_AS_DIVISOR = error_in_part(
    "radical-index-as-divisor",
    _index_as_divisor,
    "cbrt(12)",
    "4",
    "sqrt(12)",
    common=Common.NOW_AND_THEN,
)
SQUARED_TWICE = error_of(
    "radical-squared-twice",
    (
        Rewrite("sqrt(a)*sqrt(a)", "a^2"),
        Rewrite("sqrt(a)^2", "a^2"),
        Rewrite("(b*sqrt(a))^2", "b^2*a^2", (Numeral("b"), NotNumeral("a"))),
        Rewrite("(b+sqrt(a))*(b-sqrt(a))", "b^2-a^2"),
        Rewrite("c/(b-sqrt(a))", "(c*(b+sqrt(a)))/(b^2-a^2)"),
        Rewrite("c/(b+sqrt(a))", "(c*(b-sqrt(a)))/(b^2-a^2)"),
    ),
    "sqrt(5)*sqrt(5)",
    "5^2",
    "sqrt(5)*sqrt(3)",
)
LOST_WHEN_JOINED = error_of(
    "radical-lost-when-joined",
    (
        Rewrite("a*sqrt(c) - b*sqrt(c)", "a - b", _NUMBERS),
        Rewrite("a*sqrt(c) + b*sqrt(c)", "a + b", _NUMBERS),
        Rewrite("a*cbrt(c) - b*cbrt(c)", "a - b", _NUMBERS),
        Rewrite("a*cbrt(c) + b*cbrt(c)", "a + b", _NUMBERS),
    ),
    "6sqrt(2)-4sqrt(2)",
    "6-4",
    "6sqrt(2)/(4sqrt(2))",
    common=Common.NOW_AND_THEN,
)

ERRORS = (
    PRODUCT_ADDED,
    COEFFICIENT_ADDED,
    EXPONENT_ROOTED,
    DIVIDED_INTO_RADICAND,
    MOVED_IN_UNSQUARED,
    HALVED,
    INDEX_AS_DIVISOR,
    SQUARED_TWICE,
    LOST_WHEN_JOINED,
)
