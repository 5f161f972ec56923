"""Errors with radicals."""

from collections.abc import Iterator
from itertools import islice, product
from math import isqrt

from uchuu_core.moves.conditions import Above, Different, NotNumeral, Numeral, Unsigned, numeral
from uchuu_core.moves.errors.factoring import square_root
from uchuu_core.moves.laws.expanding import coefficient_and_rest
from uchuu_core.moves.move import Common, Effect, Example, Move, Rewrite
from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Either,
    Expr,
    Line,
    Number,
    Power,
    Relation,
    Root,
    Signed,
    Sum,
    Term,
)
from uchuu_core.tree.paths import letters

MOST_FRONTS = 8
"""Of so many ways to leave a square in front each is looked at."""

SUM_MERGED = Move(
    key="radical-sum-merged",
    effect=Effect.WRONG,
    goes_on=True,
    rewrites=(
        Rewrite("sqrt(a) + sqrt(b)", "sqrt(a+b)", (Different("a", "b"),)),
        Rewrite("sqrt(a) - sqrt(b)", "sqrt(a-b)", (Different("a", "b"),)),
        Rewrite("cbrt(a) + cbrt(b)", "cbrt(a+b)", (Different("a", "b"),)),
        Rewrite("c*sqrt(a) + d*sqrt(b)", "(c+d)*sqrt(a+b)", (Different("a", "b"),)),
        Rewrite("c*sqrt(a) - d*sqrt(b)", "(c-d)*sqrt(a-b)", (Different("a", "b"),)),
    ),
    distorts="collect-like-radicals",
    examples=(Example("sqrt(18)+sqrt(8)", "sqrt(18+8)"),),
    refuses=("sqrt(18)*sqrt(8)",),
    common=Common.IN_EVERY_CLASS,
)


def _each_rooted(part: Line) -> Iterator[Line]:
    """Return ``x + 6`` for ``√(x² + 36)``."""
    match part:
        case Root(2, Sum((Term("+", first), Term(sign, second)))):
            a, b = square_root(first), square_root(second)
            if a is not None and b is not None:
                yield Sum((Term("+", a), Term(sign, b)))


SPLIT_OVER_SUM = Move(
    key="radical-split-over-sum",
    effect=Effect.WRONG,
    goes_on=True,
    rewrites=(
        Rewrite("sqrt(a+b)", "sqrt(a)+sqrt(b)"),
        Rewrite("sqrt(a-b)", "sqrt(a)-sqrt(b)", (Unsigned("b"),)),
        Rewrite("sqrt(a^2+b^2)", "a+b"),
        Rewrite("sqrt(a^2-b^2)", "a-b"),
    ),
    function=_each_rooted,
    distorts="split-root",
    examples=(Example("sqrt(x^2+36)", "x+6"), Example("sqrt(13^2-5^2)", "13-5")),
    refuses=("sqrt(36x^2)",),
    common=Common.IN_EVERY_CLASS,
)


def _square_in_front(part: Line) -> Iterator[Line]:
    """Return ``4√5`` for ``√20``, ``5x²·√(2x)`` for ``√(50x³)``: a square itself stands in front."""
    if not isinstance(part, Root) or part.index != 2:
        return
    number, rest = coefficient_and_rest(part.radicand)
    if number.denominator != 1 or not 0 < number < 10**6:
        return
    powers = [_halved(factor) for factor in build.factors_of(rest)] if rest != build.ONE else []
    for root in _roots_of_squares(int(number), largest=bool(powers)):
        squares = [(build.number(root), build.number(root**2))] if root > 1 else []
        squares += [square for square, _ in powers if square is not None]
        kept = [build.number(number / root**2), *(left for _, left in powers)]
        inside = build.product(part for part in kept if part != build.ONE)
        for front in islice(product(*squares), 1, MOST_FRONTS):  # the first has every root taken
            if inside != build.ONE:
                yield build.product((*front, Root(2, inside)))
            elif front != tuple(square for _, square in squares):
                yield build.product(front)


def _roots_of_squares(number: int, largest: bool) -> list[int]:
    """Return the roots of the square factors of *number* above 1; of the *largest* alone, 1 where it has none."""
    roots = [root for root in range(2, isqrt(number) + 1) if number % root**2 == 0]
    if largest:
        return roots[-1:] or [1]
    return [] if isqrt(number) ** 2 == number else roots


def _halved(factor: Expr) -> tuple[tuple[Expr, Expr] | None, Expr]:
    """Return the root of the largest square in a factor and this square, None without one, and what is left."""
    match factor:
        case Power(base, Number() as exponent) if exponent.is_whole and exponent.value > 1:
            half, odd = divmod(int(exponent.value), 2)
            rooted = base if half == 1 else Power(base, Number(str(half)))
            return (rooted, Power(base, Number(str(2 * half)))), base if odd else build.ONE
    return None, factor


FACTOR_NOT_ROOTED = Move(
    key="radical-factor-not-rooted",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("sqrt(a*b)", "a*sqrt(b)", (Numeral("a", positive=True), Above("a", 1))),
        Rewrite("cbrt(a*b)", "a*cbrt(b)", (Numeral("a", positive=True), Above("a", 1))),
    ),
    function=_square_in_front,
    distorts="split-root",
    examples=(
        Example("sqrt(9*7)", "9sqrt(7)"),
        Example("sqrt(20)", "4sqrt(5)"),
        Example("sqrt(50x^3)", "5x^2*sqrt(2x)"),
    ),
    refuses=("sqrt(9+7)",),
)


def _joined_after_sign(line: Line) -> Iterator[Line]:
    """Return ``x = ±7√5`` for ``x = 4 ± 3√5``."""
    match line:
        case Relation(x, "=", Sum((first, Term("+-", second)))):
            a = numeral(build.total((first,)))
            number, rest = coefficient_and_rest(second)
            if a is not None and isinstance(rest, Root):
                both = [build.times(a + number, rest), build.times(a - number, rest)]
                yield Relation(x, "=", Signed("+-", both[0]))
                yield Either(tuple(Relation(x, "=", value) for value in both))


JOINED_TO_ROOT = Move(
    key="radical-number-joined-to-root",
    effect=Effect.WRONG,
    goes_on=True,
    rewrites=(
        Rewrite("a + b*sqrt(c)", "(a+b)*sqrt(c)", (Numeral("a"), Numeral("b"))),
        Rewrite("a - b*sqrt(c)", "(a-b)*sqrt(c)", (Numeral("a"), Numeral("b"))),
        Rewrite("a + sqrt(c)", "(a+1)*sqrt(c)", (Numeral("a"),)),
    ),
    distorts="collect-like-radicals",
    function=_joined_after_sign,
    whole_line=True,
    examples=(Example("5+2sqrt(3)", "(5+2)sqrt(3)"), Example("x=4+-3sqrt(5)", "x=+-7sqrt(5)")),
    refuses=("5*2sqrt(3)",),
)
RADICANDS_ADDED = Move(
    key="radical-like-radicands-added",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("a*sqrt(c) + b*sqrt(c)", "(a+b)*sqrt(c+c)"),
        Rewrite("sqrt(c) + sqrt(c)", "sqrt(c+c)"),
    ),
    distorts="collect-like-radicals",
    examples=(Example("3sqrt(7)+2sqrt(7)", "(3+2)sqrt(7+7)"),),
    refuses=("3sqrt(7)+2sqrt(5)",),
    common=Common.NOW_AND_THEN,
)
SQUARE_SKIPS_COEFFICIENT = Move(
    key="radical-square-skips-coefficient",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("(a*sqrt(b))^2", "a*b"),
        Rewrite("(a*sqrt(b))^2", "a*sqrt(b)^2"),
    ),
    distorts="power-of-product",
    examples=(Example("(3sqrt(5))^2", "3*5"),),
    refuses=("(sqrt(5))^2",),
)
INDEX_IGNORED = Move(
    key="radical-index-ignored",
    effect=Effect.WRONG,
    rewrites=(Rewrite("cbrt(a)", "sqrt(a)"), Rewrite("root(4, a)", "sqrt(a)")),
    distorts="rational-exponent",
    examples=(Example("cbrt(64)", "sqrt(64)"),),
    refuses=("sqrt(64)",),
    common=Common.NOW_AND_THEN,
)


def _pair_taken_out(part: Line) -> Iterator[Line]:
    """Return ``3∛6`` for ``∛54``: a factor that stands twice is taken out."""
    match part:
        case Root(3, Number() as inside) if inside.is_whole and inside.value < 10**6:
            number = int(inside.text)
            for root in range(2, 1000):
                if root**2 > number:
                    return
                if number % root**2 == 0:
                    left = number // root**2
                    rest = Root(3, Number(str(left)))
                    yield build.product((Number(str(root)), rest))


PAIRS_FOR_CUBE_ROOT = Move(
    key="radical-pairs-for-cube-root",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("cbrt(a^2*b)", "a*cbrt(b)"),
        Rewrite("cbrt(4*b)", "2*cbrt(b)"),
        Rewrite("cbrt(9*b)", "3*cbrt(b)"),
        Rewrite("cbrt(16*b)", "4*cbrt(b)"),
        Rewrite("cbrt(25*b)", "5*cbrt(b)"),
        Rewrite("cbrt(36*b)", "6*cbrt(b)"),
    ),
    function=_pair_taken_out,
    distorts="split-root",
    examples=(
        Example("cbrt(3^2*6)", "3cbrt(6)"),
        Example("cbrt(54)", "3cbrt(6)"),
        Example("cbrt(16*10)", "4cbrt(10)"),
    ),
    refuses=("cbrt(8*2)",),
    common=Common.NOW_AND_THEN,
)


def _rooted_without_size(part: Line) -> Iterator[Line]:
    """Return ``5x`` for ``√(25x²)``."""
    if isinstance(part, Root) and part.index == 2 and letters(part):
        root = square_root(part.radicand)
        if root is not None:
            yield root


ROOT_OF_SQUARE = Move(
    key="radical-square-root-of-square",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("sqrt(a^2)", "a", (NotNumeral("a"),)),
        Rewrite("sqrt((-a)^2)", "-a", (Unsigned("a"),)),
    ),
    function=_rooted_without_size,
    distorts="root-of-square",
    examples=(Example("sqrt((x-4)^2)", "x-4"),),
    refuses=("sqrt(x-4)",),
)
BOTTOM_ONLY = Move(
    key="radical-rationalise-bottom-only",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("a/sqrt(b)", "a/b"),
        Rewrite("a/(c*sqrt(b))", "a/(c*b)"),
    ),
    distorts="rationalise",
    examples=(Example("6/sqrt(5)", "6/5"),),
    refuses=("6*sqrt(5)",),
)
CONJUGATE_SIGN = Move(
    key="radical-conjugate-sign",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("a/(b+sqrt(c))", "(a*(b-sqrt(c)))/(b^2+c)"),
        Rewrite("a/(b-sqrt(c))", "(a*(b+sqrt(c)))/(b^2+c)"),
        Rewrite("a/(sqrt(c)+b)", "(a*(sqrt(c)-b))/(c+b^2)"),
        Rewrite("a/(sqrt(c)-b)", "(a*(sqrt(c)+b))/(c+b^2)"),
        *(
            Rewrite(f"a/({below})", f"(a*({below}))/({product})")
            for below, product in (
                ("b+sqrt(c)", "b^2-c"),
                ("b-sqrt(c)", "b^2-c"),
                ("sqrt(c)+b", "c-b^2"),
                ("sqrt(c)-b", "c-b^2"),
            )
        ),
    ),
    distorts="rationalise",
    examples=(Example("4/(3+sqrt(5))", "(4(3-sqrt(5)))/(3^2+5)"),),
    refuses=("4/(3sqrt(5))",),
)
NEGATIVE_PULLED_OUT = Move(
    key="radical-negative-pulled-out",
    effect=Effect.WRONG,
    rewrites=(Rewrite("sqrt(-a)", "-sqrt(a)", (Unsigned("a"),)),),
    distorts="split-root",
    examples=(Example("sqrt(-49)", "-sqrt(49)"),),
    refuses=("sqrt(49)",),
    common=Common.NOW_AND_THEN,
)

ERRORS = (
    SUM_MERGED,
    SPLIT_OVER_SUM,
    FACTOR_NOT_ROOTED,
    JOINED_TO_ROOT,
    RADICANDS_ADDED,
    SQUARE_SKIPS_COEFFICIENT,
    INDEX_IGNORED,
    PAIRS_FOR_CUBE_ROOT,
    ROOT_OF_SQUARE,
    BOTTOM_ONLY,
    CONJUGATE_SIGN,
    NEGATIVE_PULLED_OUT,
)
