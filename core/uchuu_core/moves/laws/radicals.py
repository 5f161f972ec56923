"""Laws of radicals, for real numbers."""

from uchuu_core.lawbook.radicals import (
    ADD_COEFFICIENTS,
    QUOTIENT_OF_ROOTS,
    ROOT_BELOW_GOES,
    ROOT_IS_ABSOLUTE,
    ROOT_OF_PRODUCT,
    ROOT_TIMES_ITSELF,
    UNDER_ONE_ROOT,
)
from uchuu_core.lawbook.says import Says
from uchuu_core.moves.conditions import Numeral
from uchuu_core.moves.move import Example, Move, Rewrite
from uchuu_core.tree.nodes import Line, Power


def _multiplied_says(part: Line, _new: Line) -> Says:
    return ROOT_TIMES_ITSELF() if isinstance(part, Power) else UNDER_ONE_ROOT()


MULTIPLY_ROOTS = Move(
    key="multiply-roots",
    says=_multiplied_says,
    rewrites=(
        Rewrite("sqrt(a)*sqrt(b)", "sqrt(a*b)"),
        Rewrite("cbrt(a)*cbrt(b)", "cbrt(a*b)"),
        Rewrite("sqrt(a)^2", "a"),
        Rewrite("cbrt(a)^3", "a"),
    ),
    examples=(
        Example("sqrt(5)*sqrt(7)", "sqrt(5*7)"),
        Example("cbrt(2)*cbrt(4)", "cbrt(2*4)"),
        Example("sqrt(11)^2", "11"),
        Example("cbrt(x)^3", "x"),
    ),
    refuses=("sqrt(5)+sqrt(7)", "sqrt(5)*cbrt(7)"),
)
SPLIT_RADICAND = Move(
    key="split-root",
    says=ROOT_OF_PRODUCT,
    rewrites=(
        Rewrite(
            "sqrt(a*b)",
            "sqrt(a)*sqrt(b)",
            (Numeral("a", positive=True), Numeral("b", positive=True)),
        ),
        Rewrite("cbrt(a*b)", "cbrt(a)*cbrt(b)"),
    ),
    examples=(
        Example("sqrt(4*5)", "sqrt(4)*sqrt(5)"),
        Example("cbrt(8x)", "cbrt(8)*cbrt(x)"),
    ),
    refuses=("sqrt(4+5)", "sqrt((-4)*(-5))"),
)
DIVIDE_ROOTS = Move(
    key="divide-roots",
    says=QUOTIENT_OF_ROOTS,
    rewrites=(
        Rewrite("sqrt(a)/sqrt(b)", "sqrt(a/b)"),
        Rewrite("cbrt(a)/cbrt(b)", "cbrt(a/b)"),
        Rewrite("sqrt(a/b)", "sqrt(a)/sqrt(b)", (Numeral("b", positive=True),)),
    ),
    examples=(
        Example("sqrt(72)/sqrt(2)", "sqrt(72/2)"),
        Example("cbrt(16)/cbrt(2)", "cbrt(16/2)"),
        Example("sqrt(x/9)", "sqrt(x)/sqrt(9)"),
    ),
    refuses=("sqrt(72)-sqrt(2)", "sqrt(1-x)"),
)
ROOT_OF_SQUARE = Move(
    key="root-of-square",
    says=ROOT_IS_ABSOLUTE,
    rewrites=(Rewrite("sqrt(a^2)", "abs(a)"), Rewrite("cbrt(a^3)", "a")),
    examples=(Example("sqrt(x^2)", "abs(x)"), Example("cbrt(x^3)", "x")),
    refuses=("sqrt(x^2+4)", "sqrt(x^3)"),
)
LIKE_RADICALS = Move(
    key="collect-like-radicals",
    says=ADD_COEFFICIENTS,
    rewrites=(
        Rewrite("a*sqrt(r) + b*sqrt(r)", "(a+b)*sqrt(r)"),
        Rewrite("a*sqrt(r) - b*sqrt(r)", "(a-b)*sqrt(r)"),
    ),
    examples=(
        Example("2sqrt(3)+5sqrt(3)", "(2+5)*sqrt(3)"),
        Example("7sqrt(x)-5sqrt(x)", "(7-5)*sqrt(x)"),
    ),
    refuses=("2sqrt(3)+5sqrt(2)", "2sqrt(3)*5sqrt(3)"),
)
RATIONALISE = Move(
    key="rationalise",
    says=ROOT_BELOW_GOES,
    rewrites=(
        Rewrite("a/sqrt(b)", "(a*sqrt(b))/b"),
        Rewrite("a/(b*sqrt(c))", "(a*sqrt(c))/(b*c)"),
    ),
    examples=(
        Example("6/sqrt(5)", "(6*sqrt(5))/5"),
        Example("1/(2sqrt(3))", "(1*sqrt(3))/(2*3)"),
    ),
    refuses=("sqrt(5)/6", "6/cbrt(5)"),
)

LAWS = (
    MULTIPLY_ROOTS,
    SPLIT_RADICAND,
    DIVIDE_ROOTS,
    ROOT_OF_SQUARE,
    LIKE_RADICALS,
    RATIONALISE,
)
