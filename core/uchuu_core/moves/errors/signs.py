"""Errors with signed numbers."""

from uchuu_core.moves.conditions import Even, NotNumeral, Numeral, Unsigned
from uchuu_core.moves.move import Common, Effect, Example, Move, Rewrite

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

PRODUCT_RULE = Move(
    key="sign-product-rule",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("(-a)*(-b)", "-(a*b)", (Unsigned("a"), Unsigned("b"))),
        Rewrite("(-a)*b", "a*b", (Unsigned("a"), Unsigned("b"))),
        Rewrite("(-a)/(-b)", "-(a/b)", (Unsigned("a"), Unsigned("b"))),
        Rewrite("(-a)/b", "a/b", (Unsigned("a"), Unsigned("b"))),
        Rewrite("a/(-b)", "a/b", (Unsigned("a"), Unsigned("b"))),
    ),
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
