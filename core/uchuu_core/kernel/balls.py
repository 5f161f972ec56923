"""Rigorous numeric values: a ball that is known to contain the value.

Two values whose balls do not meet are proved different; this is how a line with roots is refuted.
Real conventions of school: even roots of negatives have no value, odd roots of negatives are real.
"""

from flint import arb, ctx, fmpq

from uchuu_core.kernel.points import Point, Undefined, rational
from uchuu_core.tree.nodes import (
    Absolute,
    Bracket,
    Expr,
    Mixed,
    Number,
    Power,
    Product,
    Quotient,
    Root,
    Signed,
    Sum,
    Symbol,
)

PRECISIONS = (64, 200, 600)
"""Bits tried in turn before a difference is left undecided."""


def ball_at(node: Expr, point: Point) -> arb:
    """Return a ball around the real value of *node* at *point*, at the current precision.

    Raises:
        Undefined: there is no real value, or it cannot be told from a division by zero.
    """
    match node:
        case Number() | Mixed():
            return arb(rational(node))
        case Symbol(name):
            return arb(point[name])
        case Signed("-", body):
            return -ball_at(body, point)
        case Bracket(body):
            return ball_at(body, point)
        case Sum(terms):
            total = arb(0)
            for term in terms:
                if term.sign == "+-":
                    raise Undefined
                value = ball_at(term.body, point)
                total = total + value if term.sign == "+" else total - value
            return total
        case Product(factors, _):
            result = arb(1)
            for factor in factors:
                result *= ball_at(factor, point)
            return result
        case Quotient(numerator, denominator, _):
            below = ball_at(denominator, point)
            if below.contains(0):
                raise Undefined
            return ball_at(numerator, point) / below
        case Root(index, radicand):
            return _root(ball_at(radicand, point), index)
        case Power(base, exponent):
            return _power(ball_at(base, point), exponent, point)
        case Absolute(body):
            return abs(ball_at(body, point))
        case _:
            raise Undefined


def _root(value: arb, index: int) -> arb:
    if index % 2 and value < 0:
        return -((-value).root(index))
    if value < 0 or (value.contains(0) and not value == 0):
        raise Undefined
    return value.root(index)


def _power(base: arb, exponent: Expr, point: Point) -> arb:
    power = ball_at(exponent, point)
    whole = power.unique_fmpz()
    if power == whole:
        if whole <= 0 and base.contains(0):
            raise Undefined
        return base ** int(whole) if abs(int(whole)) < 10_000 else _too_far()
    if not base > 0:
        raise Undefined
    return base**power


def _too_far() -> arb:
    raise Undefined


def differ_at(left: Expr, right: Expr, point: Point) -> tuple[arb, arb] | None:
    """Return both balls when the two values at *point* are proved different, else None.

    None also where one side has no value: that is a matter of the domain, not of equality.
    """
    for precision in PRECISIONS:
        before, ctx.prec = ctx.prec, precision
        try:
            a, b = ball_at(left, point), ball_at(right, point)
            if not a.overlaps(b):
                return a, b
        except Undefined:
            return None
        finally:
            ctx.prec = before
    return None


def shown(value: arb) -> str:
    """Write a ball as a rounded decimal for a reader; not exact."""
    text = f"{float(value):.6g}"
    return f"about {text}"


def exact(value: fmpq) -> str:
    """Write an exact rational as a plain integer or fraction."""
    return str(value)
