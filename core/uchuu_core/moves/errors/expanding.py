"""Errors with like terms, distributing and expanding."""

from uchuu_core.lawbook.law import Family
from uchuu_core.moves.conditions import Above, Different, NotNumeral, Numeral
from uchuu_core.moves.move import Common, Effect, Example, Move, Rewrite

_COEFFICIENTS = (Numeral("a"), Numeral("b"), NotNumeral("x"))

UNLIKE_TERMS_JOINED = Move(
    key="like-unlike-terms-joined",
    effect=Effect.WRONG,
    goes_on=True,
    rewrites=(
        Rewrite("a*x + b", "(a+b)*x", _COEFFICIENTS, units="a"),
        Rewrite("a*x + b", "a*b*x", _COEFFICIENTS, units="a"),
        Rewrite("a*x^m + b*x", "(a+b)*x^(m+1)", _COEFFICIENTS, units="ab"),
        Rewrite("a*x^m + b*x", "(a+b)*x^m", _COEFFICIENTS, units="ab"),
        Rewrite(
            "a*x^m + b*x^n", "(a+b)*x^(m+n)", (*_COEFFICIENTS, Different("m", "n")), units="ab"
        ),
        Rewrite(
            "a*x + b*y",
            "(a+b)*x*y",
            (*_COEFFICIENTS, NotNumeral("y"), Different("x", "y")),
            units="ab",
        ),
    ),
    distorts="collect-like-terms",
    examples=(Example("4x+3", "(4+3)x"), Example("2x^2+4x", "(2+4)x^(2+1)")),
    refuses=("4+3", "4x*3"),
    common=Common.IN_EVERY_CLASS,
    due=Family.OPENS | Family.COLLECTS,
)

EXPONENTS_ADDED = Move(
    key="like-exponents-added",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("a*x^n + b*x^n", "(a+b)*x^(n+n)", _COEFFICIENTS, units="ab"),
        Rewrite("a*x + b*x", "(a+b)*x^2", _COEFFICIENTS, units="ab"),
        Rewrite("x^m + x^n", "x^(m+n)"),
        Rewrite("x + x^n", "x^(n+1)", (NotNumeral("x"),)),
        Rewrite("x + x", "x^2", (NotNumeral("x"),)),
    ),
    distorts="collect-like-terms",
    examples=(Example("3y^2+5y^2", "(3+5)y^(2+2)"), Example("x+x", "x^2")),
    refuses=("3y^2*5y^2",),
    due=Family.OPENS | Family.COLLECTS,
)

INVISIBLE_ONE = Move(
    key="like-invisible-one",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("a*x - x", "a", (Numeral("a"), NotNumeral("x"))),
        Rewrite("a*x + x", "a*x", (Numeral("a"), NotNumeral("x"))),
        Rewrite("a*x - x", "a*x", (Numeral("a"), NotNumeral("x"))),
    ),
    distorts="collect-like-terms",
    examples=(Example("6n-n", "6"),),
    refuses=("6n-2n",),
    due=Family.OPENS | Family.COLLECTS,
)

FIRST_TERM_ONLY = Move(
    key="distribute-first-term-only",
    effect=Effect.WRONG,
    rewrites=(Rewrite("a*(b+c)", "a*b + c"),),
    distorts="multiply-into-bracket",
    examples=(Example("4(x+5)", "4x+5"),),
    refuses=("4(5x)",),
    common=Common.IN_EVERY_CLASS,
    due=Family.OPENS,
)

MINUS_FIRST_TERM_ONLY = Move(
    key="distribute-minus-first-term-only",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("-(b+c)", "-b + c"),
        Rewrite("-a*(b+c)", "-a*b + a*c"),
    ),
    distorts="take-minus-into-bracket",
    examples=(Example("9-(x-4)", "9-x-4"),),
    refuses=("9+(x-4)",),
    common=Common.IN_EVERY_CLASS,
    due=Family.OPENS,
)

OVER_PRODUCT = Move(
    key="distribute-over-product",
    effect=Effect.WRONG,
    rewrites=(Rewrite("a*(b*c)", "(a*b)*(a*c)"),),
    distorts="multiply-numbers",
    examples=(Example("3(2*5x)", "(3*2)*(3*5x)"),),
    refuses=("3(2+5x)",),
    common=Common.NOW_AND_THEN,
    due=Family.OPENS,
)

FIRST_AND_LAST_ONLY = Move(
    key="expand-first-and-last-only",
    effect=Effect.WRONG,
    rewrites=(Rewrite("(a+b)*(c+d)", "a*c + b*d"),),
    distorts="multiply-brackets",
    examples=(Example("(x+4)(x+7)", "x*x+4*7"),),
    refuses=("(x+4)+(x+7)",),
    due=Family.OPENS,
)

SQUARE_TERMWISE = Move(
    key="expand-square-termwise",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("(a+b)^n", "a^n + b^n", (Above("n", 1),)),
        Rewrite("(a-b)^2", "a^2-b^2"),
    ),
    distorts="square-binomial",
    examples=(Example("(x+7)^2", "x^2+7^2"),),
    refuses=("(7x)^2",),
    common=Common.IN_EVERY_CLASS,
    due=Family.OPENS,
)

MIDDLE_NOT_DOUBLED = Move(
    key="expand-middle-not-doubled",
    effect=Effect.WRONG,
    rewrites=(Rewrite("(a+b)^2", "a^2 + a*b + b^2"),),
    distorts="square-binomial",
    examples=(Example("(y-5)^2", "y^2+y*(-5)+(-5)^2"),),
    refuses=("(5y)^2",),
    due=Family.OPENS,
)

SQUARE_LAST_SIGN = Move(
    key="expand-square-last-sign",
    effect=Effect.WRONG,
    rewrites=(Rewrite("(a-b)^2", "a^2 - 2*a*b - b^2"),),
    distorts="square-binomial",
    examples=(Example("(m-8)^2", "m^2-2*m*8-8^2"),),
    refuses=("(8m)^2",),
    due=Family.OPENS,
)

CONJUGATES_SUM = Move(
    key="expand-conjugates-sum",
    effect=Effect.WRONG,
    rewrites=(Rewrite("(a+b)*(a-b)", "a^2 + b^2"),),
    distorts="multiply-brackets",
    examples=(Example("(x+9)(x-9)", "x^2+9^2"),),
    refuses=("(x+9)(y-9)",),
    common=Common.NOW_AND_THEN,
    due=Family.OPENS,
)

ERRORS = (
    UNLIKE_TERMS_JOINED,
    EXPONENTS_ADDED,
    INVISIBLE_ONE,
    FIRST_TERM_ONLY,
    MINUS_FIRST_TERM_ONLY,
    OVER_PRODUCT,
    FIRST_AND_LAST_ONLY,
    SQUARE_TERMWISE,
    MIDDLE_NOT_DOUBLED,
    SQUARE_LAST_SIGN,
    CONJUGATES_SUM,
)
