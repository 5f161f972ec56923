"""An oracle that shares nothing with the kernel: values to 120 digits by mpmath.

School conventions: even roots of negatives have no value, odd roots of negatives are real.
"""

import random
from fractions import Fraction
from typing import Any

import mpmath

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

DIGITS = 120
mpmath.mp.dps = DIGITS
SMALL = mpmath.mpf(10) ** -90
"""Below this a value counts as zero."""


class NoValue(Exception):
    """There is no real value here, or it cannot be told from a division by zero."""


def value(node: Expr, at: dict[str, Fraction]) -> Any:
    """Return the real value of *node*, to about 120 digits.

    Raises:
        NoValue: even root of a negative, division by (nearly) zero, and the like.
    """
    match node:
        case Number() | Mixed():
            return mpmath.mpf(node.value.numerator) / node.value.denominator
        case Symbol(name):
            return mpmath.mpf(at[name].numerator) / at[name].denominator
        case Signed("-", body):
            return -value(body, at)
        case Bracket(body):
            return value(body, at)
        case Sum(terms):
            return mpmath.fsum(
                value(t.body, at) if t.sign == "+" else -value(t.body, at) for t in terms
            )
        case Product(factors, _):
            return mpmath.fprod(value(f, at) for f in factors)
        case Quotient(above, below, _):
            divisor = value(below, at)
            if abs(divisor) < SMALL:
                raise NoValue
            return value(above, at) / divisor
        case Root(index, radicand):
            return _root(value(radicand, at), index)
        case Absolute(body):
            return abs(value(body, at))
        case Power(base, exponent):
            return _power(value(base, at), exponent, at)
        case _:
            raise NoValue


def _root(inside: Any, index: int) -> Any:
    if abs(inside) < SMALL:
        return mpmath.mpf(0)
    if inside > 0:
        return mpmath.root(inside, index)
    if index % 2 == 0:
        raise NoValue
    return -mpmath.root(-inside, index)


def _fraction(node: Expr, at: dict[str, Fraction]) -> Fraction | None:
    """Return an exponent exactly, None where it holds a root."""
    match node:
        case Number() | Mixed():
            return node.value
        case Symbol(name):
            return at[name]
        case Signed("-", body):
            inner = _fraction(body, at)
            return None if inner is None else -inner
        case Bracket(body):
            return _fraction(body, at)
        case Sum(terms):
            total = Fraction(0)
            for term in terms:
                part = _fraction(term.body, at)
                if part is None:
                    return None
                total += part if term.sign == "+" else -part
            return total
        case Product(factors, _):
            result = Fraction(1)
            for factor in factors:
                part = _fraction(factor, at)
                if part is None:
                    return None
                result *= part
            return result
        case Quotient(above, below, _):
            top, bottom = _fraction(above, at), _fraction(below, at)
            return None if top is None or not bottom else top / bottom
        case _:
            return None


def _power(base: Any, exponent: Expr, at: dict[str, Fraction]) -> Any:
    power = _fraction(exponent, at)
    if power is None or power.denominator > 100:
        if base <= SMALL:
            raise NoValue
        return base ** value(exponent, at)
    root = base if power.denominator == 1 else _root(base, power.denominator)
    if abs(root) < SMALL and power <= 0:
        raise NoValue
    return root**power.numerator


def are_close(a: Any, b: Any) -> bool:
    """Return whether two values agree as far as their digits say anything."""
    return bool(abs(a - b) <= mpmath.mpf(10) ** -40 * (abs(a) + abs(b)) + SMALL)


def random_point(names: tuple[str, ...], chance: random.Random) -> dict[str, Fraction]:
    """Return random values, often small and now and then negative or a fraction."""
    return {
        name: Fraction(chance.randint(-12, 30), chance.choice([1, 1, 2, 3, 7])) for name in names
    }


def seem_equal(
    one: Expr, other: Expr, names: tuple[str, ...], chance: random.Random
) -> bool | None:
    """Return whether both agree at all random points where both have a value; None if at none."""
    met = 0
    for _ in range(40):
        point = random_point(names, chance)
        try:
            a, b = value(one, point), value(other, point)
        except (NoValue, OverflowError, ZeroDivisionError):
            continue
        if max(abs(a), abs(b)) > mpmath.mpf(10) ** 200:
            continue
        if not are_close(a, b):
            return False
        met += 1
        if met == 8 or not names:
            return True
    return None if met < 3 else True
