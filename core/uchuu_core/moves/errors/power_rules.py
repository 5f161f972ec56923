"""Errors with powers: the unwritten 1, coefficients, negative and zero exponents, powers of powers."""

from collections.abc import Iterable, Iterator
from fractions import Fraction

from uchuu_core.lawbook.law import Family
from uchuu_core.moves.conditions import Above, Different, NotNumeral, Numeral, numeral
from uchuu_core.moves.move import Common, Rewrite, error_in_part, error_of
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Line, Power, Quotient, Root

_MOST = 40


def _negative_as_root(part: Line) -> Iterator[Line]:
    """Write ``9^(−2)`` as ``√9``."""
    if isinstance(part, Power):
        exponent = numeral(part.exponent)
        if exponent is not None and exponent.denominator == 1 and -_MOST < exponent < -1:
            yield Root(-int(exponent), part.base)


def _power_raised(part: Line) -> Iterator[Line]:
    """Write ``(x³)²`` as ``x⁹``."""
    match part:
        case Power(Power(base, inner), outer):
            one, other = numeral(inner), numeral(outer)
            if one is None or other is None or one.denominator != 1 or other.denominator != 1:
                return
            if 1 < abs(one) < _MOST and 1 < other < 6:
                yield Power(base, build.number(one ** int(other)))


def _left_above(part: Line) -> Iterator[Line]:
    """Write ``8a²/(2a⁶)`` as ``(8/2)a⁴``: the rest is left above where less stood."""
    if not isinstance(part, Quotient):
        return
    above, below = build.factors_of(part.numerator), build.factors_of(part.denominator)
    for factor in below if len(above) > 1 or len(below) > 1 else ():
        base, more = _base_and_exponent(factor)
        for met in above:
            other, less = _base_and_exponent(met)
            if other == base and less < more:
                top = _product(f for f in above if f is not met)
                bottom = _product(f for f in below if f is not factor)
                rest = top if bottom == build.ONE else Quotient(top, bottom)
                yield build.product((rest, Power(base, build.number(more - less))))


def _product(factors: Iterable[Expr]) -> Expr:
    found = tuple(factors)
    return build.product(found) if found else build.ONE


def _base_and_exponent(factor: Expr) -> tuple[Expr, Fraction]:
    exponent = numeral(factor.exponent) if isinstance(factor, Power) else None
    if isinstance(factor, Power) and exponent is not None:
        return factor.base, exponent
    return factor, Fraction(1)


_SCALED = (Numeral("a"), Numeral("b"), NotNumeral("x"))

UNWRITTEN_ONE = error_of(
    "exponent-unwritten-one-ignored",
    (
        Rewrite("x^m*x", "x^m", (NotNumeral("x"), Numeral("m"))),
        Rewrite("x^m/x", "x^m", (NotNumeral("x"), Numeral("m"))),
        Rewrite("(a*x^m)*x", "a*x^m", (Numeral("a"), NotNumeral("x"), Numeral("m"))),
        Rewrite("(a*x^m)*(b*x)", "a*b*x^m", (*_SCALED, Numeral("m"))),
        Rewrite("(a*x^m)/(b*x)", "(a/b)*x^m", (*_SCALED, Numeral("m"))),
    ),
    "x^2*x",
    "x^2",
    "x^2*y",
    due=Family.POWERS | Family.CANCELS,
)
COEFFICIENTS_ADDED = error_of(
    "exponent-coefficients-added",
    (
        Rewrite("(a*x^m)*(b*x^n)", "(a+b)*x^(m+n)", _SCALED),
        Rewrite("(a*x^m)*(b*x)", "(a+b)*x^(m+1)", _SCALED),
        Rewrite("(a*x)*(b*x)", "(a+b)*x^2", _SCALED),
    ),
    "(2x^2)*(3x^3)",
    "(2+3)x^(2+3)",
    "(2x^2)+(3x^3)",
)
COEFFICIENTS_SUBTRACTED = error_of(
    "exponent-coefficients-subtracted",
    (
        Rewrite("(a*x^m)/(b*x^n)", "(a-b)*x^(m-n)", _SCALED),
        Rewrite("(a*x^m)/(b*x)", "(a-b)*x^(m-1)", _SCALED),
    ),
    "(8x^5)/(2x^2)",
    "(8-2)x^(5-2)",
    "(8x^5)*(2x^2)",
)
NEGATIVE_AS_ROOT = error_in_part(
    "exponent-negative-as-root", _negative_as_root, "9^(-2)", "sqrt(9)", "9^2"
)
ZERO_GIVES_BASE = error_of(
    "exponent-zero-gives-base",
    (Rewrite("a^0", "a"),),
    "6^0",
    "6",
    "6^1",
)
POWER_RAISED = error_in_part(
    "exponent-power-raised",
    _power_raised,
    "(x^3)^2",
    "x^9",
    "x^3*x^2",
)
SWAPPED_WITH_BASE = error_of(
    "exponent-swapped-with-base",
    (Rewrite("a^b", "b^a", (Above("a", 1), Above("b", 1), Different("a", "b"))),),
    "2^3",
    "3^2",
    "2^1",
    common=Common.NOW_AND_THEN,
)
LEFT_ON_WRONG_SIDE = error_in_part(
    "exponent-left-on-the-wrong-side",
    _left_above,
    "(8a^2)/(2a^6)",
    "(8/2)a^4",
    "a^2/a^6",
)
ACROSS_A_SUM = error_of(
    "power-across-a-sum",
    (
        Rewrite("a^(-n) + b", "b/a^n"),
        Rewrite("(a^(-n) + b)/c", "b/(a^n*c)"),
    ),
    "2^(-3)+5",
    "5/2^3",
    "2^(-3)*5",
    common=Common.NOW_AND_THEN,
)

ERRORS = (
    UNWRITTEN_ONE,
    COEFFICIENTS_ADDED,
    COEFFICIENTS_SUBTRACTED,
    NEGATIVE_AS_ROOT,
    ZERO_GIVES_BASE,
    POWER_RAISED,
    SWAPPED_WITH_BASE,
    LEFT_ON_WRONG_SIDE,
    ACROSS_A_SUM,
)
