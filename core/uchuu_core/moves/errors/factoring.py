"""Errors in factoring."""

from collections.abc import Iterator
from fractions import Fraction
from math import isqrt

from uchuu_core.lawbook.law import Family
from uchuu_core.moves.conditions import Above, NotNumeral
from uchuu_core.moves.conditions import NumberOrSum as Bracketed
from uchuu_core.moves.errors.factor_lost import GCF_LOST
from uchuu_core.moves.errors.trinomials import divisors, product_of
from uchuu_core.moves.laws.expanding import coefficient_and_rest
from uchuu_core.moves.move import Common, Effect, Example, Move, Rewrite
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Line, Number, Power, Sum, Symbol, Term

GCF_ONE_TERM_ONLY = Move(
    key="gcf-one-term-only",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("a*b + a*c", "a*(b + a*c)"),
        Rewrite("a*b - a*c", "a*(b - a*c)"),
    ),
    function=lambda part: _number_taken_once(part),
    distorts="common-factor",
    examples=(Example("6x+18", "6(x+18)"), Example("a*x+a*y", "a(x+a*y)")),
    refuses=("6x",),
    due=Family.FACTORS,
    may_be_luck=False,
)


def _monomial(node: Expr) -> tuple[Fraction, Symbol, int] | None:
    """Return c, x, n of ``c·xⁿ`` with n from 1 up, None for anything else."""
    number, rest = coefficient_and_rest(node)
    match rest:
        case Symbol():
            return number, rest, 1
        case Power(Symbol() as x, Number() as n) if n.is_whole:
            return number, x, int(n.text)
        case _:
            return None


def _written(number: Fraction, x: Symbol, power: int) -> Expr:
    body: Expr = build.ONE if power == 0 else x if power == 1 else Power(x, Number(str(power)))
    return build.times(number, body)


def _power_taken_once(part: Sum) -> Iterator[Line]:
    found = [_monomial(term.body) for term in part.terms]
    if any(each is None for each in found):
        return
    number, x, power = found[0]  # type: ignore[misc]
    least = min(each[2] for each in found if each is not None)
    if all(each is not None and each[1] == x for each in found):
        for taken in range(1, least + 1):
            inside = Sum((Term("+", _written(number, x, power - taken)), *part.terms[1:]))
            yield build.product((_written(Fraction(1), x, taken), inside))


def _own_term_vanishes(part: Line) -> Iterator[Line]:
    """Take one of the terms out of all and leave nothing in its place."""
    if not isinstance(part, Sum) or len(part.terms) < 3:
        return
    found = [_monomial(term.body) for term in part.terms]
    for place, each in enumerate(found):
        if each is None or each[0] == 0:
            continue
        number, x, power = each
        others: list[Term] = []
        for at, other in enumerate(found):
            if at == place:
                continue
            if other is None or other[1] != x or other[2] < power or other[0] % number:
                break
            body = _written(other[0] / number, x, other[2] - power)
            others.append(Term(part.terms[at].sign, body))
        else:
            yield build.product((part.terms[place].body, build.total(others)))


def _number_taken_once(part: Line) -> Iterator[Line]:
    """Divide only the first term by a common number, or by a common power of a letter."""
    if not isinstance(part, Sum) or part.terms[0].sign != "+":
        return
    yield from _power_taken_once(part)
    first, *others = part.terms
    number, rest = coefficient_and_rest(first.body)
    numbers = [coefficient_and_rest(t.body)[0] for t in others]
    if number <= 1 or number.denominator != 1:
        return
    for factor in divisors(number):
        if all((n / factor).denominator == 1 for n in numbers):
            inside = Sum((Term("+", build.times(number / factor, rest)), *others))
            yield build.product((Number(str(factor)), inside))


GCF_ONE_VANISHES = Move(
    key="gcf-one-vanishes",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("a*b + a", "a*b"),
        Rewrite("a*b - a", "a*b"),
        Rewrite("a + a*b", "a*b"),
    ),
    function=lambda part: _square_without_one(part),
    distorts="common-factor",
    examples=(Example("5x^2+5x", "5x*x"), Example("x*y+x", "x*y")),
    refuses=("5x",),
    common=Common.IN_EVERY_CLASS,
    due=Family.FACTORS,
    may_be_luck=False,
)


def _square_without_one(part: Line) -> Iterator[Line]:
    """Return ``5x·x`` for ``5x² + 5x``, ``2x(2x² + 3x)`` for ``4x³ + 6x² + 2x``."""
    yield from _own_term_vanishes(part)
    match part:
        case Sum((Term("+", first), Term(_, second))):
            (a, rest), (b, other) = coefficient_and_rest(first), coefficient_and_rest(second)
            if (
                a == b
                and isinstance(rest, Power)
                and rest.base == other
                and rest.exponent == Number("2")
            ):
                yield (
                    build.product((Number(str(a)), other, other))
                    if a != 1
                    else build.product((other, other))
                )


GCF_NEGATIVE_SIGN = Move(
    key="gcf-negative-sign-inside",
    effect=Effect.WRONG,
    function=lambda part: _sign_not_turned(part),
    distorts="common-factor",
    examples=(Example("-3x-12", "-3(x-4)"),),
    refuses=("3x-12",),
    due=Family.FACTORS,
    is_ending=True,
    may_be_luck=False,
)


def _sign_not_turned(part: Line) -> Iterator[Line]:
    """Take a negative common number out and leave the sign inside as it was."""
    if not isinstance(part, Sum):
        return
    for place in range(len(part.terms) - 1):
        first, second = part.terms[place], part.terms[place + 1]
        (a, rest), (b, other) = coefficient_and_rest(first.body), coefficient_and_rest(second.body)
        if first.sign != "-" or a.denominator != 1 or b.denominator != 1:
            continue
        for factor in (1, *divisors(a)):
            if b % factor:
                continue
            inside = Sum(
                (
                    Term("+", build.times(a / factor, rest)),
                    Term(second.sign, build.times(b / factor, other)),
                )
            )
            new = Term("-", build.product((Number(str(factor)), inside)) if factor > 1 else inside)
            yield build.total((*part.terms[:place], new, *part.terms[place + 2 :]))


POWERS_LEFT_INSIDE = Move(
    key="gcf-powers-left-inside",
    effect=Effect.WRONG,
    rewrites=(
        Rewrite("x^m*y^n + x^k*y^h", "x^m*y^h*(y^n + x^k)"),
        Rewrite("x^k + x^m", "x^m*(x^k + 1)", (Above("m", 0),)),
    ),
    distorts="common-factor",
    examples=(Example("x^2*y^5+x^4*y^2", "x^2*y^2*(y^5+x^4)"),),
    refuses=("x^2*y^5",),
    common=Common.NOW_AND_THEN,
    due=Family.FACTORS,
    may_be_luck=False,
)
DIFF_AS_SQUARE = Move(
    key="diff-squares-as-square",
    effect=Effect.WRONG,
    function=lambda part: _squared_difference(part),
    rewrites=(Rewrite("a^2 - b^2", "(a-b)^2"),),
    distorts="difference-of-squares",
    examples=(Example("x^2-49", "(x-7)^2"),),
    refuses=("x^2+49",),
    due=Family.FACTORS,
    may_be_luck=False,
)
SUM_SQUARES = Move(
    key="sum-squares-factored",
    effect=Effect.WRONG,
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
    may_be_luck=False,
)


def _two_squares(part: Line, sign: str) -> tuple[Expr, Expr] | None:
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
    found = _two_squares(part, "-")
    if found:
        yield Power(Sum((Term("+", found[0]), Term("-", found[1]))), Number("2"))


def _sum_factored(part: Line) -> Iterator[Line]:
    found = _two_squares(part, "+")
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
    may_be_luck=False,
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


def _two_cubes(part: Line) -> tuple[Expr, Expr, str] | None:
    match part:
        case Sum((Term("+", first), Term(sign, second))):
            a, b = _cube_root(first), _cube_root(second)
            return (a, b, sign) if a is not None and b is not None else None
    return None


def _as_cube(part: Line) -> Iterator[Line]:
    found = _two_cubes(part)
    if found:
        a, b, sign = found
        yield Power(Sum((Term("+", a), Term(sign, b))), Number("3"))  # type: ignore[arg-type]


def _second_bracket(part: Line) -> Iterator[Line]:
    found = _two_cubes(part)
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
    may_be_luck=False,
)
CUBES_TRINOMIAL = Move(
    key="cubes-trinomial-wrong",
    effect=Effect.WRONG,
    function=_second_bracket,
    distorts="sum-of-cubes",
    examples=(Example("y^3-64", "(y-4)(y^2-y*4+4^2)"),),
    refuses=("y^3-63",),
    due=Family.FACTORS,
    may_be_luck=False,
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
    may_be_luck=False,
)


ERRORS = (
    GCF_LOST,
    GCF_ONE_TERM_ONLY,
    GCF_ONE_VANISHES,
    GCF_NEGATIVE_SIGN,
    POWERS_LEFT_INSIDE,
    DIFF_AS_SQUARE,
    SUM_SQUARES,
    COEFFICIENT_NOT_ROOTED,
    AS_CUBE,
    CUBES_TRINOMIAL,
    BRACKETS_DIFFER,
)
