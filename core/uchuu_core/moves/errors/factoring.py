"""Errors in factoring."""

from collections.abc import Iterator
from fractions import Fraction
from math import isqrt

from uchuu_core.lawbook.law import Family
from uchuu_core.moves.conditions import NotNumeral
from uchuu_core.moves.conditions import NumberOrSum as Bracketed
from uchuu_core.moves.errors.trinomials import product_of
from uchuu_core.moves.laws.expanding import coefficient_and_rest
from uchuu_core.moves.move import Common, Effect, Example, Move, Rewrite
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Line, Number, Power, Sum, Term

DIFF_AS_SQUARE = Move(
    key="diff-squares-as-square",
    effect=Effect.WRONG,
    function=lambda part: _squared_difference(part),
    rewrites=(Rewrite("a^2 - b^2", "(a-b)^2"),),
    distorts="difference-of-squares",
    examples=(Example("x^2-49", "(x-7)^2"),),
    refuses=("x^2+49",),
    due=Family.FACTORS,
)
SUM_SQUARES = Move(
    key="sum-squares-factored",
    effect=Effect.WRONG,
    goes_on=True,
    function=lambda part: _sum_factored(part),
    rewrites=(
        Rewrite("a^2 + b^2", "(a+b)*(a-b)"),
        Rewrite("a^2 + b^2", "(a+b)*(a+b)"),
        Rewrite("a^2 + b^2", "(a+b)^2"),
    ),
    distorts="difference-of-squares",
    examples=(Example("x^2+25", "(x+5)(x-5)"),),
    refuses=("x^2-25",),
    common=Common.IN_EVERY_CLASS,
    due=Family.FACTORS,
)


def two_squares(part: Line, sign: str) -> tuple[Expr, Expr] | None:
    """Return the roots of two squares with *sign* between."""
    match part:
        case Sum((Term("+", first), Term(between, second))) if between == sign:
            a, b = square_root(first), square_root(second)
            return (a, b) if a is not None and b is not None else None
    return None


def square_root(node: Expr) -> Expr | None:
    """Return the root of a square written as ``4x²``, None for anything else."""
    number, rest = coefficient_and_rest(node)
    if number.denominator != 1 or number <= 0 or isqrt(int(number)) ** 2 != number:
        return None
    root = Fraction(isqrt(int(number)))
    if rest == build.ONE:
        return build.number(root)
    if (
        isinstance(rest, Power)
        and isinstance(rest.exponent, Number)
        and rest.exponent.value % 2 == 0
    ):
        half = int(rest.exponent.value) // 2
        base = rest.base if half == 1 else Power(rest.base, Number(str(half)))
        return build.times(root, base)
    return None


def _squared_difference(part: Line) -> Iterator[Line]:
    found = two_squares(part, "-")
    if found:
        yield Power(Sum((Term("+", found[0]), Term("-", found[1]))), Number("2"))


def _sum_factored(part: Line) -> Iterator[Line]:
    found = two_squares(part, "+")
    if found:
        plus = Sum((Term("+", found[0]), Term("+", found[1])))
        minus = Sum((Term("+", found[0]), Term("-", found[1])))
        yield product_of(plus, minus)
        yield product_of(plus, plus)


def _half_rooted(node: Expr) -> Expr | None:
    """Return ``16x`` for ``16x²``: the letter is rooted, its coefficient is not."""
    number, rest = coefficient_and_rest(node)
    if number > 1 and isinstance(rest, Power) and rest.exponent == Number("2"):
        return build.times(number, rest.base)
    return None


def _coefficient_kept(part: Line) -> Iterator[Line]:
    """Factor ``16x² − 9`` as ``(16x + 3)(16x − 3)``."""
    match part:
        case Sum((Term("+", first), Term("-", second))):
            roots = square_root(first), square_root(second)
            kept = _half_rooted(first), _half_rooted(second)
            for one, other in ((kept[0], roots[1]), (roots[0], kept[1]), kept):
                if one is not None and other is not None:
                    yield product_of(
                        Sum((Term("+", one), Term("+", other))),
                        Sum((Term("+", one), Term("-", other))),
                    )


COEFFICIENT_NOT_ROOTED = Move(
    key="diff-squares-coefficient-not-rooted",
    effect=Effect.WRONG,
    function=_coefficient_kept,
    distorts="difference-of-squares",
    examples=(Example("16x^2-9", "(16x+3)(16x-3)"),),
    refuses=("x^2-9",),
    due=Family.FACTORS,
)


def _cube_root(node: Expr) -> Expr | None:
    number, rest = coefficient_and_rest(node)
    root = round(float(number) ** (1 / 3)) if number > 0 else 0
    if number.denominator != 1 or root**3 != number:
        return None
    if rest == build.ONE:
        return Number(str(root))
    if isinstance(rest, Power) and rest.exponent == Number("3"):
        return build.times(Fraction(root), rest.base)
    return None


def two_cubes(part: Line) -> tuple[Expr, Expr, str] | None:
    match part:
        case Sum((Term("+", first), Term(sign, second))):
            a, b = _cube_root(first), _cube_root(second)
            return (a, b, sign) if a is not None and b is not None else None
    return None


def _as_cube(part: Line) -> Iterator[Line]:
    found = two_cubes(part)
    if found:
        a, b, sign = found
        yield Power(Sum((Term("+", a), Term(sign, b))), Number("3"))  # type: ignore[arg-type]


def _second_bracket(part: Line) -> Iterator[Line]:
    found = two_cubes(part)
    if found:
        a, b, sign = found
        short = Sum((Term("+", a), Term(sign, b)))  # type: ignore[arg-type]
        opposite = "+" if sign == "-" else "-"
        middle = build.product((a, b))
        squares = Power(a, Number("2")), Power(b, Number("2"))
        twice = build.product((Number("2"), middle))
        for between, body, last in (
            (sign, middle, "+"),
            (opposite, twice, "+"),
            (sign, twice, "+"),
            (opposite, middle, "-"),
        ):
            long = Sum((Term("+", squares[0]), Term(between, body), Term(last, squares[1])))  # type: ignore[arg-type]
            yield product_of(short, long)


AS_CUBE = Move(
    key="cubes-as-cube",
    effect=Effect.WRONG,
    function=_as_cube,
    distorts="sum-of-cubes",
    examples=(Example("x^3+27", "(x+3)^3"),),
    refuses=("x^3+26",),
    common=Common.NOW_AND_THEN,
    due=Family.FACTORS,
)
CUBES_TRINOMIAL = Move(
    key="cubes-trinomial-wrong",
    effect=Effect.WRONG,
    function=_second_bracket,
    distorts="sum-of-cubes",
    examples=(Example("y^3-64", "(y-4)(y^2-y*4+4^2)"),),
    refuses=("y^3-63",),
    due=Family.FACTORS,
)
BRACKETS_DIFFER = Move(
    key="grouping-brackets-differ",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("a*(x+b) + c*(x-b)", "(a+c)*(x+b)", (NotNumeral("x"),)),
        Rewrite("a*(x+b) + c*(x-b)", "(a+c)*(x-b)", (NotNumeral("x"),)),
        Rewrite("a*(x+b) - c*(x-b)", "(a-c)*(x+b)", (NotNumeral("x"),)),
        Rewrite("a*(x-b) - c*(x+b)", "(a-c)*(x-b)", (NotNumeral("x"),)),
        Rewrite("a*(x-b) + c*(x+b)", "(a+c)*(x-b)", (NotNumeral("x"),)),
        Rewrite("a*b + c*b", "(a+c)*b^2", (NotNumeral("b"), Bracketed("b"))),
    ),
    distorts="common-factor",
    examples=(Example("x(x+4)+2(x-4)", "(x+2)(x+4)"),),
    refuses=("x(x+4)+2(x+5)",),
    common=Common.NOW_AND_THEN,
    due=Family.FACTORS,
)


ERRORS = (
    DIFF_AS_SQUARE,
    SUM_SQUARES,
    COEFFICIENT_NOT_ROOTED,
    AS_CUBE,
    CUBES_TRINOMIAL,
    BRACKETS_DIFFER,
)
