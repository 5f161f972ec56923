"""Errors with fractions that take the rule of one operation for another."""

from uchuu_core.moves.conditions import Above, Different, NotNumeral, Numeral
from uchuu_core.moves.move import Common, Rewrite, error_of

WHOLE_TIMES_BOTH = error_of(
    "fraction-whole-times-both",
    (Rewrite("a*(b/c)", "(a*b)/(a*c)", (Numeral("a"),)),),
    "4*(2/3)",
    "(4*2)/(4*3)",
    "4+2/3",
)
PRODUCT_CROSSED = error_of(
    "fraction-product-crossed",
    (Rewrite("(a/b)*(c/d)", "(a*d)/(b*c)"),),
    "(2/5)(3/7)",
    "(2*7)/(5*3)",
    "2/5+3/7",
)
PRODUCT_DENOMINATOR_KEPT = error_of(
    "fraction-product-denominator-kept",
    (Rewrite("(a/b)*(c/b)", "(a*c)/b"),),
    "(2/7)(3/7)",
    "(2*3)/7",
    "(2/7)(3/5)",
)
BOTH_FLIPPED = error_of(
    "fraction-divide-both-flipped",
    (
        Rewrite("(a/b)/(c/d)", "(b/a)*(d/c)"),
        Rewrite("(a/b)÷(c/d)", "(b/a)*(d/c)"),
    ),
    "(2/3)/(4/5)",
    "(3/2)*(5/4)",
    "(2/3)*(4/5)",
)
CANCEL_ACROSS_A_SUM = error_of(
    "cancel-across-a-sum",
    (
        Rewrite("a/b + b/c", "a/c", (Above("b", 1),)),
        Rewrite("a/b - b/c", "-(a/c)", (Above("b", 1),)),
        Rewrite("a/b + b/c", "a/c", (NotNumeral("b"),)),
    ),
    "2/3+3/5",
    "2/5",
    "(2/3)(3/5)",
)
ZERO_OVER_NUMBER = error_of(
    "zero-over-number",
    (Rewrite("0/a", "a"),),
    "0/7",
    "7",
    "7/2",
    common=Common.NOW_AND_THEN,
)
OPPOSITE_DENOMINATORS = error_of(
    "opposite-denominators-equal",
    (
        Rewrite("a/(b-c) + d/(c-b)", "(a+d)/(b-c)"),
        Rewrite("a/(b-c) - d/(c-b)", "(a-d)/(b-c)"),
    ),
    "6/(x-y)-2/(y-x)",
    "(6-2)/(x-y)",
    "6/(x-y)-2/(x-y)",
)
LIKE_DENOMINATORS_MULTIPLIED = error_of(
    "like-denominators-multiplied",
    (
        Rewrite("a/b + c/b", "(a+c)/b^2"),
        Rewrite("a/b - c/b", "(a-c)/b^2"),
    ),
    "3/x+2/x",
    "(3+2)/x^2",
    "3/x+2/y",
)
ONE_DENOMINATOR_SWALLOWED = error_of(
    "lcd-one-denominator-swallowed",
    (
        Rewrite("a/b + c/d", "(a+c)/b", (NotNumeral("b"), Different("b", "d"))),
        Rewrite("a/b - c/d", "(a-c)/b", (NotNumeral("b"), Different("b", "d"))),
        Rewrite("a/b - c/d", "(a-c)/d", (NotNumeral("d"), Different("b", "d"))),
    ),
    "4/(a-2)+3/a",
    "(4+3)/(a-2)",
    "4/a+3/a",
)
BRACKET_FORGOTTEN = error_of(
    "clearing-bracket-forgotten",
    (
        Rewrite("m*((a+b)/c)", "a + (m/c)*b", (Numeral("m"), Numeral("c"), NotNumeral("a"))),
        Rewrite("m*((a+b)/c)", "(m/c)*a + b", (Numeral("m"), Numeral("c"), NotNumeral("a"))),
    ),
    "12*((x+2)/3)",
    "x+(12/3)*2",
    "12*((2x)/3)",
)
MINUS_ON_SQUARE = error_of(
    "minus-on-expanded-square",
    (
        Rewrite("-(a+b)^2", "-a^2 + 2*a*b + b^2"),
        Rewrite("-((a+b)^2 + c)", "-a^2 + 2*a*b + b^2 + c"),
    ),
    "5-(x+3)^2",
    "5-x^2+2x*3+3^2",
    "5+(x+3)^2",
)
ONLY_BOTTOMS_ADDED = error_of(
    "fraction-only-bottoms-added",
    (
        Rewrite("a/b + a/d", "a/(b+d)"),
        Rewrite("a/b - a/d", "a/(b-d)", (Different("b", "d"),)),
        Rewrite("a^(-n) + b^(-n)", "1/(a^n+b^n)", (Different("a", "b"),)),
    ),
    "1/3+1/5",
    "1/(3+5)",
    "(1/3)(1/5)",
    common=Common.NOW_AND_THEN,
)

ERRORS = (
    WHOLE_TIMES_BOTH,
    PRODUCT_CROSSED,
    PRODUCT_DENOMINATOR_KEPT,
    BOTH_FLIPPED,
    CANCEL_ACROSS_A_SUM,
    ZERO_OVER_NUMBER,
    OPPOSITE_DENOMINATORS,
    LIKE_DENOMINATORS_MULTIPLIED,
    ONE_DENOMINATOR_SWALLOWED,
    BRACKET_FORGOTTEN,
    MINUS_ON_SQUARE,
    ONLY_BOTTOMS_ADDED,
)
