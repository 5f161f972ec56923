"""Laws of factoring: what multiplies back."""

from uchuu_core.lawbook.expanding import SQUARE_HAS_MIDDLE_TERM
from uchuu_core.lawbook.factoring import (
    COMMON_FACTOR_OUT,
    CUBES_ARE,
    PERFECT_SQUARE_IS,
    SQUARES_LESS,
    SUM_TIMES_DIFFERENCE,
)
from uchuu_core.lawbook.says import Says
from uchuu_core.moves.move import Example, Move, Rewrite
from uchuu_core.tree.nodes import Line, Power, Product


def _squares_says(part: Line, new: Line) -> Says:
    return SQUARES_LESS() if isinstance(part, Product) else SUM_TIMES_DIFFERENCE(new)


def _perfect_says(part: Line, new: Line) -> Says:
    return SQUARE_HAS_MIDDLE_TERM() if isinstance(part, Power) else PERFECT_SQUARE_IS(part, new)


COMMON_FACTOR = Move(
    key="common-factor",
    says=COMMON_FACTOR_OUT,
    rewrites=(
        Rewrite("a*b + a*c", "a*(b+c)"),
        Rewrite("a*b - a*c", "a*(b-c)"),
        Rewrite("a + a*c", "a*(1+c)"),
        Rewrite("a*b - a", "a*(b-1)"),
    ),
    examples=(
        Example("3x+3y", "3(x+y)"),
        Example("x*y-x*z", "x(y-z)"),
        Example("k+k*m", "k(1+m)"),
        Example("k*m-k", "k(m-1)"),
    ),
    refuses=("3x+5y",),
)
DIFFERENCE_OF_SQUARES = Move(
    key="difference-of-squares",
    says=_squares_says,
    rewrites=(
        Rewrite("a^2 - b^2", "(a+b)*(a-b)"),
        Rewrite("(a+b)*(a-b)", "a^2-b^2"),
    ),
    examples=(
        Example("x^2-3^2", "(x+3)(x-3)"),
        Example("(2x+5)(2x-5)", "(2x)^2-5^2"),
    ),
    refuses=("x^2+3^2", "(x+3)(x+3)"),
)
CUBES = Move(
    key="sum-of-cubes",
    says=CUBES_ARE,
    rewrites=(
        Rewrite("a^3 + b^3", "(a+b)*(a^2-a*b+b^2)"),
        Rewrite("a^3 - b^3", "(a-b)*(a^2+a*b+b^2)"),
    ),
    examples=(
        Example("x^3+2^3", "(x+2)(x^2-x*2+2^2)"),
        Example("x^3-y^3", "(x-y)(x^2+x*y+y^2)"),
    ),
    refuses=("x^2+2^2",),
)
PERFECT_SQUARE = Move(
    key="perfect-square",
    says=_perfect_says,
    rewrites=(
        Rewrite("a^2 + 2*a*b + b^2", "(a+b)^2"),
        Rewrite("a^2 - 2*a*b + b^2", "(a-b)^2"),
        Rewrite("(a+b)^2", "a^2+2*a*b+b^2"),
        Rewrite("(a-b)^2", "a^2-2*a*b+b^2"),
    ),
    examples=(
        Example("x^2+2x*5+5^2", "(x+5)^2"),
        Example("x^2-2x*y+y^2", "(x-y)^2"),
        Example("(x+3)^2", "x^2+2x*3+3^2"),
        Example("(x-7)^2", "x^2-2x*7+7^2"),
    ),
    refuses=("x^2+5^2", "(x*3)^2"),
)

LAWS = (COMMON_FACTOR, DIFFERENCE_OF_SQUARES, CUBES, PERFECT_SQUARE)
