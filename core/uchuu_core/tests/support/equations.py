"""Random equations in x of all kinds of the scope, and their real zeros found by looking.

The zeros come from sign changes on a grid, narrowed down by the oracle: a check on what the kernel
finds that shares nothing with it.
"""

import random
from collections.abc import Iterator
from fractions import Fraction
from typing import Any

import mpmath

from uchuu_core.notation import read
from uchuu_core.tests.support.oracle import NoValue, are_close, value
from uchuu_core.tree.nodes import Relation

_STEP = Fraction(1, 3)
_FROM, _TO = Fraction(-40), Fraction(60)


def _linear(chance: random.Random) -> str:
    slope = chance.choice([1, 1, 1, 2, 3, -1, -2])
    return f"({slope}x + {chance.randint(-9, 12)})".replace("+ -", "- ")


def _constant(chance: random.Random) -> int:
    return chance.randint(1, 9)


def _one_root(c: random.Random) -> str:
    return f"{_constant(c)}sqrt({_linear(c)}) = {_linear(c)}"


def _two_roots(c: random.Random) -> str:
    return f"sqrt({_linear(c)}) {c.choice('+-')} sqrt({_linear(c)}) = {_constant(c)}"


def _root_of_quadratic(c: random.Random) -> str:
    return f"sqrt(x^2 - {_constant(c)}x + {_constant(c)}) = {_linear(c)}"


def _absolute(c: random.Random) -> str:
    return f"abs({_linear(c)}) {c.choice('+-')} abs({_linear(c)}) = {_linear(c)}"


def _rational(c: random.Random) -> str:
    return (
        f"{_constant(c)}/{_linear(c)} {c.choice('+-')} {_linear(c)}/{_linear(c)} = {_constant(c)}/2"
    )


def _polynomial(c: random.Random) -> str:
    return f"{_linear(c)}{_linear(c)}(x^2 - {_constant(c)}) = {c.choice([0, 0, 1, 6])}"


def _quadratic(c: random.Random) -> str:
    return f"{_constant(c)}x^2 - {c.randint(0, 15)}x = {c.randint(-20, 20)}".replace("= -", "= 0-")


def _cube_root(c: random.Random) -> str:
    return f"cbrt({_linear(c)}) = {c.choice([-2, -1, 1, 2])} + 0"


def _fractional_power(c: random.Random) -> str:
    return f"{_linear(c)}^({c.choice(['2/3', '3/2', '1/2', '1/3'])}) = {_constant(c)}"


def _exponential(c: random.Random) -> str:
    base = c.choice([2, 3])
    return f"{base**2}^(x - {_constant(c)}) = {base}^({_linear(c)})*{base ** c.randint(0, 3)}"


def _exponential_quadratic(c: random.Random) -> str:
    return f"4^x - {_constant(c)}*2^x + {_constant(c)} = 0"


def _in_a_root(c: random.Random) -> str:
    return f"x - {_constant(c)}sqrt(x) + {_constant(c)} = 0"


def _nested(c: random.Random) -> str:
    return f"sqrt(x + {_constant(c)} + sqrt({_linear(c)})) = {_constant(c)}"


KINDS = (
    _one_root, _two_roots, _root_of_quadratic, _absolute, _rational, _polynomial, _quadratic,
    _cube_root, _fractional_power, _exponential, _exponential_quadratic, _in_a_root, _nested,
)  # fmt: skip


def equation(seed: int) -> Relation:
    """Return a random equation in x."""
    chance = random.Random(seed)
    line = read(KINDS[seed % len(KINDS)](chance))
    assert isinstance(line, Relation)
    return line


def sides(line: Relation, at: Fraction) -> tuple[Any, Any]:
    """Return the values of both sides at *at*.

    Raises:
        NoValue: a side has no real value there.
    """
    return value(line.left, {"x": at}), value(line.right, {"x": at})


def zeros_by_looking(line: Relation) -> Iterator[Fraction]:
    """Yield zeros in the looked-at range, to 30 digits: sign changes that shrink to zero."""
    before: tuple[Fraction, bool] | None = None
    at = _FROM
    while at <= _TO:
        try:
            left, right = sides(line, at)
        except (NoValue, OverflowError):
            before = None
        else:
            if are_close(left, right):
                yield at
                before = None
            else:
                if before is not None and before[1] != (left < right):
                    yield from _narrowed(line, before[0], at, before[1])
                before = (at, left < right)
        at += _STEP


def _narrowed(line: Relation, low: Fraction, high: Fraction, is_below: bool) -> Iterator[Fraction]:
    """Halve the interval until 30 digits are known; at a pole the sides move apart."""
    left = right = mpmath.mpf(1)
    for _ in range(110):
        middle = (low + high) / 2
        try:
            left, right = sides(line, middle)
        except (NoValue, OverflowError):
            return
        if (left < right) == is_below:
            low = middle
        else:
            high = middle
    if abs(left - right) < (abs(left) + abs(right)) / 10:
        yield (low + high) / 2
