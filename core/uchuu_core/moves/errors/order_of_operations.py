"""Errors in the order of operations: something is worked out before its turn."""

from uchuu_core.lawbook.law import Family
from uchuu_core.moves.conditions import (
    Above,
    Different,
    Divides,
    NoFraction,
    NotNumeral,
    NumberOrSum,
    Numeral,
    OneFactor,
)
from uchuu_core.moves.move import Common, Effect, Example, Move, Rewrite

_PLAIN = (NumberOrSum("a"), NumberOrSum("b"), NumberOrSum("c"))

ADD_BEFORE_MULTIPLY = Move(
    key="order-add-before-multiply",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("a + b*c", "(a+b)*c", _PLAIN),
        Rewrite("a + b÷c", "(a+b)÷c", _PLAIN),
        Rewrite("a + b/c", "(a+b)/c", (Divides("b", "c"), NumberOrSum("a"))),
        Rewrite("a + b÷c*d", "(a+b)÷(c*d)", _PLAIN),
        Rewrite("a + b÷c*d", "(a+b)÷c*d", _PLAIN),
        Rewrite("a + b÷c", "b÷(a+c)", _PLAIN),
        Rewrite("b÷c - a", "b÷(c-a)", _PLAIN),
        Rewrite("a + b/c", "b/(c+a)", (Divides("b", "c"), NumberOrSum("a"))),
        Rewrite("b/c - a", "b/(c-a)", (Divides("b", "c"), NumberOrSum("a"), Different("a", "c"))),
    ),
    distorts="multiply-numbers",
    examples=(Example("20-6*3", "(20-6)*3"), Example("4*5+3", "4*(5+3)")),
    refuses=("20*6*3", "20-6x"),
    common=Common.IN_EVERY_CLASS,
)

MULTIPLY_BEFORE_DIVIDE = Move(
    key="order-multiply-before-divide",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("a÷b*c", "a÷(b*c)"),
        Rewrite(
            "a/b*c",
            "a/(b*c)",
            (Numeral("a"), Numeral("b"), NumberOrSum("c"), NoFraction("c")),
        ),
        Rewrite("a÷b÷c", "a÷(b÷c)"),
    ),
    distorts="divide-numbers",
    examples=(Example("48÷8*2", "48÷(8*2)"),),
    refuses=("48*8÷2",),
)

ADD_BEFORE_SUBTRACT = Move(
    key="order-add-before-subtract",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite(
            "a - b + c",
            "a - (b+c)",
            (Numeral("a", positive=True), Numeral("b", positive=True), Numeral("c", positive=True)),
        ),
    ),
    distorts="subtract-numbers",
    examples=(Example("15-9+4", "15-(9+4)"),),
    refuses=("-9+4", "15+9+4"),
    common=Common.IN_EVERY_CLASS,
)

MULTIPLY_BEFORE_POWER = Move(
    key="order-multiply-before-power",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("a*b^n", "(a*b)^n", (Above("n", 1), OneFactor("a"))),
        Rewrite("a*b^x", "(a*b)^x", (Numeral("a"), Numeral("b"), NotNumeral("x"))),
        Rewrite("a÷b^n", "(a÷b)^n", (Above("n", 1),)),
    ),
    distorts="work-out-power",
    examples=(Example("3*5^2", "(3*5)^2"),),
    refuses=("(3*5)^2", "3*5^1"),
    common=Common.IN_EVERY_CLASS,
    due=Family.POWERS,
)

FRACTION_BAR_UNGROUPED = Move(
    key="order-fraction-bar-ungrouped",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("(a+b)/c", "a + b/c", (NumberOrSum("a"), NumberOrSum("b"))),
        Rewrite("a/(b+c)", "a/b + c"),
    ),
    distorts="divide-numbers",
    examples=(Example("(14+6)/2", "14+6/2"), Example("48/(4+8)", "48/4+8")),
    refuses=("14*6/2",),
    common=Common.NOW_AND_THEN,
)

ERRORS = (
    ADD_BEFORE_MULTIPLY,
    MULTIPLY_BEFORE_DIVIDE,
    ADD_BEFORE_SUBTRACT,
    MULTIPLY_BEFORE_POWER,
    FRACTION_BAR_UNGROUPED,
)
