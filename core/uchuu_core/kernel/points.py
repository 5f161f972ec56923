"""Exact values of a tree at rational points, and the simple points that refute.

``value_at`` knows rational arithmetic and perfect roots only; everything else is for ``balls``.
"""

from collections.abc import Iterator, Mapping
from functools import lru_cache
from itertools import product as pairs
from typing import Any, assert_never

from flint import fmpq, fmpz

from uchuu_core import limits
from uchuu_core.tree.nodes import (
    Absolute,
    Bracket,
    Expr,
    Log,
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

Point = Mapping[str, Any]
"""Letters to rational numbers; others (``Algebraic``) have no rational value."""

LARGEST_INDEX = 1000
"""Roots from exponents like 25/3 are taken up to this index."""


class Undefined(ArithmeticError):
    """The tree has no real value at this point (it divides by zero there, say)."""


class NotRational(ArithmeticError):
    """The value is not rational, or not known to be."""


def rational(node: Number | Mixed) -> fmpq:
    """Return the exact value of a numeral."""
    value = node.value
    return fmpq(value.numerator, value.denominator)


def raised(base: fmpq, exponent: int) -> fmpq:
    """Return *base* to an integer power, bounded before it is worked out.

    Raises:
        TooLarge: the result would pass ``limits.NUMBER_BITS``.
        Undefined: a zero base with an exponent below one.
    """
    if base == 0 and exponent <= 0:
        raise Undefined
    bits = max(int(base.p).bit_length(), int(base.q).bit_length())
    limits.require(
        (abs(base.p) <= 1 and base.q == 1) or bits * abs(exponent) <= limits.NUMBER_BITS,
        "A power in this line is too large to work out. Use smaller numbers.",
    )
    return base**exponent


def value_at(node: Expr, point: Point) -> fmpq:
    """Return the exact rational value of *node* with its letters set to *point*.

    Raises:
        Undefined: there is no real value.
        NotRational: the value exists but is not rational.
        TooLarge: a power passes the bounds.
    """
    match node:
        case Number() | Mixed():
            return rational(node)
        case Symbol(name):
            value = point.get(name)
            if not isinstance(value, fmpq):
                raise NotRational
            return value
        case Signed("-", body):
            return -value_at(body, point)
        case Bracket(body):
            return value_at(body, point)
        case Sum(terms):
            total = fmpq(0)
            for term in terms:
                if term.sign == "+-":
                    raise NotRational
                value = value_at(term.body, point)
                total = total + value if term.sign == "+" else total - value
            return total
        case Product(factors, _):
            result = fmpq(1)
            for factor in factors:
                result *= value_at(factor, point)
            return result
        case Quotient(numerator, denominator, _):
            below = value_at(denominator, point)
            if below == 0:
                raise Undefined
            return value_at(numerator, point) / below
        case Power(base, exponent):
            power = value_at(exponent, point)
            if power.q != 1:
                return _rational_power(value_at(base, point), power)
            return raised(value_at(base, point), int(power.p))
        case Absolute(body):
            return abs(value_at(body, point))
        case Root(index, radicand):
            return _rational_power(value_at(radicand, point), fmpq(1, index))
        case Log() | Signed():
            raise NotRational
        case _:
            assert_never(node)


def _rational_power(base: fmpq, exponent: fmpq) -> fmpq:
    index = int(exponent.q)
    if index > LARGEST_INDEX:
        raise NotRational
    if base < 0 and index % 2 == 0:
        raise Undefined
    size = abs(base)
    top, bottom = _exact_root(size.p, index), _exact_root(size.q, index)
    root = fmpq(top, bottom) if base >= 0 else -fmpq(top, bottom)
    return raised(root, int(exponent.p))


def _exact_root(number: fmpz, index: int) -> int:
    root = int(number.root(index))
    if fmpz(root) ** index != number:
        raise NotRational
    return root


_FIRST = (2, 3, 1, -1, 0, 5, -2, 4, 7, 10)
_FAR = (20, -5, 50, -12, 100, -40, 9, 16)


@lru_cache(maxsize=16)
def _coordinates(count: int) -> tuple[tuple[int, ...], ...]:
    """Return values for *count* letters, different ones first, then some far away."""
    near = list(pairs(_FIRST, repeat=count))
    near.sort(key=lambda values: len(set(values)) < len(values))
    far = [(value, *_FIRST[1:count]) for value in _FAR]
    far += [(*_FIRST[: count - 1], value) for value in _FAR] if count > 1 else []
    return (*near[:60], *far)


def simple_points(names: tuple[str, ...]) -> Iterator[dict[str, fmpq]]:
    """Yield points with small integer coordinates, the ones a teacher would try first.

    Different letters get different values as long as the supply lasts; the last points are larger.
    """
    if not names:
        yield {}
        return
    for values in _coordinates(min(len(names), 3)):
        yield {name: fmpq(values[n] if n < len(values) else n + 8) for n, name in enumerate(names)}
