"""Laws of fractions, with numbers or letters above and below."""

from uchuu_core.lawbook.fractions import (
    DIVIDE_OUT_COMMON,
    OPPOSITE_OF,
    OPPOSITE_QUOTIENT,
    TAKE_MINUS_ONE_OUT,
    TOPS_OVER_ONE_DENOMINATOR,
)
from uchuu_core.lawbook.numbers import (
    DIVIDING_IS_RECIPROCAL,
    FRACTIONS_MULTIPLIED,
    TOPS_OVER_PRODUCT,
)
from uchuu_core.lawbook.says import Says
from uchuu_core.moves.conditions import Different
from uchuu_core.moves.move import Example, Move, Rewrite
from uchuu_core.tree.nodes import Line, Quotient, Signed

MULTIPLY_FRACTIONS = Move(
    key="multiply-fractions",
    says=FRACTIONS_MULTIPLIED,
    rewrites=(
        Rewrite("(a/b)*(c/d)", "(a*c)/(b*d)"),
        Rewrite("a*(c/d)", "(a*c)/d"),
    ),
    examples=(
        Example("(2/3)*(5/7)", "(2*5)/(3*7)"),
        Example("x*(3/y)", "(x*3)/y"),
    ),
    refuses=("2/3+5/7",),
)
DIVIDE_FRACTIONS = Move(
    key="multiply-by-reciprocal",
    says=DIVIDING_IS_RECIPROCAL,
    rewrites=(
        Rewrite("(a/b)/(c/d)", "(a/b)*(d/c)"),
        Rewrite("a/(c/d)", "a*(d/c)"),
        Rewrite("(a/b)/c", "a/(b*c)"),
    ),
    examples=(
        Example("(2/3)/(5/7)", "(2/3)*(7/5)"),
        Example("x/(3/y)", "x*(y/3)"),
        Example("(x/2)/y", "x/(2*y)"),
    ),
    refuses=("(2/3)*(5/7)",),
)
SAME_DENOMINATOR = Move(
    key="one-numerator",
    says=TOPS_OVER_ONE_DENOMINATOR,
    rewrites=(Rewrite("a/c + b/c", "(a+b)/c"), Rewrite("a/c - b/c", "(a-b)/c")),
    examples=(
        Example("3/x+5/x", "(3+5)/x"),
        Example("y/7-2/7", "(y-2)/7"),
        Example("a/x-(b+1)/x", "(a-(b+1))/x"),
    ),
    refuses=("3/x+5/y", "3/x*5/x"),
)
COMMON_DENOMINATOR = Move(
    key="common-denominator",
    says=TOPS_OVER_PRODUCT,
    rewrites=(
        Rewrite("a/b + c/d", "(a*d+c*b)/(b*d)", (Different("b", "d"),)),
        Rewrite("a/b - c/d", "(a*d-c*b)/(b*d)", (Different("b", "d"),)),
    ),
    examples=(
        Example("2/x+3/y", "(2*y+3*x)/(x*y)"),
        Example("2/(x+1)-3/y", "(2*y-3*(x+1))/((x+1)*y)"),
    ),
    refuses=("2/x+3/x",),
)
DIVIDE_OUT = Move(
    key="divide-out",
    says=DIVIDE_OUT_COMMON,
    rewrites=(
        Rewrite("(a*c)/(b*c)", "a/b"),
        Rewrite("(a*c)/c", "a"),
        Rewrite("c/(b*c)", "1/b"),
    ),
    examples=(
        Example("(3(x+1))/(y(x+1))", "3/y"),
        Example("(5x)/x", "5"),
        Example("x/(4x)", "1/4"),
    ),
    refuses=("(a+c)/(b+c)", "(a+c)/c"),
)


def _opposite_says(part: Line, new: Line) -> Says:
    whole = new.body if isinstance(new, Signed) else new
    if not isinstance(part, Quotient):
        return TAKE_MINUS_ONE_OUT()
    if isinstance(whole, Quotient):
        return OPPOSITE_OF(part.denominator, whole.denominator)
    return OPPOSITE_QUOTIENT(part.numerator, part.denominator)


OPPOSITE = Move(
    key="opposite-factors",
    says=_opposite_says,
    rewrites=(
        Rewrite("c/(a-b)", "-c/(b-a)", (Different("a", "b"),)),
        Rewrite("(a-b)/(b-a)", "-1", (Different("a", "b"),)),
    ),
    examples=(Example("4/(x-6)", "-4/(6-x)"), Example("(x-6)/(6-x)", "-1")),
    refuses=("(x*6)/(6*x)", "4/(x*6)"),
)

LAWS = (
    MULTIPLY_FRACTIONS,
    DIVIDE_FRACTIONS,
    SAME_DENOMINATOR,
    COMMON_DENOMINATOR,
    DIVIDE_OUT,
    OPPOSITE,
)
