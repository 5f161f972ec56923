"""Errors with signed numbers."""

from collections.abc import Iterator

from uchuu_core.moves.conditions import Even, NotNumeral, Numeral, Unsigned, numeral
from uchuu_core.moves.move import Common, Effect, Example, Move, Rewrite
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Line, Product, Quotient, Signed

_BOTH_POSITIVE = (Numeral("a", positive=True), Numeral("b", positive=True))
_LIKE = (*_BOTH_POSITIVE, NotNumeral("x"))

MINUS_NEGATIVE = Move(
    key="sign-minus-negative",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("a - (-b)", "a - b", (Unsigned("b"),)),
        Rewrite("-(-b)", "-b", (Unsigned("b"),)),
    ),
    distorts="minus-negative-is-plus",
    examples=(Example("7-(-5)", "7-5"),),
    refuses=("7-5", "7*(-5)"),
    common=Common.IN_EVERY_CLASS,
)

UNLIKE_MAGNITUDES_ADDED = Move(
    key="sign-unlike-magnitudes-added",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("-a + b", "-(a+b)", _BOTH_POSITIVE),
        Rewrite("-a*x + b*x", "-(a+b)*x", _LIKE, units="ab"),
        Rewrite("-a + b", "a+b", _BOTH_POSITIVE),
        Rewrite("-a*x + b*x", "(a+b)*x", _LIKE, units="ab"),
    ),
    distorts="add-numbers",
    examples=(Example("-8+3", "-(8+3)"),),
    refuses=("8+3", "-8-3"),
    common=Common.IN_EVERY_CLASS,
)

TWO_NEGATIVES_SUM_POSITIVE = Move(
    key="sign-two-negatives-sum-positive",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("-a - b", "a + b", _BOTH_POSITIVE),
        Rewrite("-a*x - b*x", "(a+b)*x", _LIKE, units="ab"),
    ),
    distorts="add-numbers",
    examples=(Example("-6-9", "6+9"),),
    refuses=("6-9", "-6*9"),
)


def _other_sign(part: Line) -> Iterator[Line]:
    """Give a product or a quotient in which a sign is written the other sign.

    The sign before a coefficient, or before a bracket, takes part in no product yet.
    """
    match part:
        case Product(factors) if any(isinstance(factor, Signed) for factor in factors):
            size = build.product(_size(factor) for factor in factors)
            is_negative = sum(isinstance(factor, Signed) for factor in factors) % 2 == 1
            yield size if is_negative else build.negative(size)
        case Signed("-", Product(factors)) if sum(map(_is_number, factors)) > 1:
            size = build.product(_size(factor) for factor in factors)
            is_negative = sum(isinstance(factor, Signed) for factor in factors) % 2 == 0
            yield size if is_negative else build.negative(size)
        case Quotient(Signed(), _, _) | Quotient(_, Signed(), _):
            above, below = part.numerator, part.denominator
            fraction = Quotient(_size(above), _size(below), part.mark)
            is_negative = isinstance(above, Signed) != isinstance(below, Signed)
            yield fraction if is_negative else build.negative(fraction)
        case Signed("-", Quotient(above, below, _) as body) if _is_number(above):
            if _is_number(below):
                yield body


def _size(node: Expr) -> Expr:
    return node.body if isinstance(node, Signed) else node


def _is_number(node: Expr) -> bool:
    return numeral(node) is not None


PRODUCT_RULE = Move(
    key="sign-product-rule",
    effect=Effect.WRONG,
    function=_other_sign,
    distorts="multiply-numbers",
    examples=(Example("(-4)*(-7)", "-(4*7)"), Example("(-4)*7", "4*7")),
    refuses=("4*7",),
)

SQUARE_SWALLOWS_MINUS = Move(
    key="sign-square-swallows-minus",
    effect=Effect.WRONG,
    rewrites=(Rewrite("-a^n", "(-a)^n", (Even("n"),)),),
    distorts="work-out-power",
    examples=(Example("-3^2", "(-3)^2"),),
    refuses=("(-3)^2", "-3^3"),
    common=Common.IN_EVERY_CLASS,
)

POWER_PARITY = Move(
    key="sign-power-parity",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("(-a)^n", "-a^n", (Even("n"), Unsigned("a"))),
        Rewrite("(-a)^n", "a^n", (Even("n", odd=True), Unsigned("a"))),
    ),
    distorts="work-out-power",
    examples=(Example("(-2)^4", "-2^4"), Example("(-2)^3", "2^3")),
    refuses=("2^4",),
    common=Common.NOW_AND_THEN,
)

ERRORS = (
    MINUS_NEGATIVE,
    UNLIKE_MAGNITUDES_ADDED,
    TWO_NEGATIVES_SUM_POSITIVE,
    PRODUCT_RULE,
    SQUARE_SWALLOWS_MINUS,
    POWER_PARITY,
)
