"""Algebraic numbers, exactly: an irreducible polynomial over ℤ and which of its roots is meant."""

from collections.abc import Iterator
from contextlib import contextmanager
from dataclasses import dataclass
from fractions import Fraction
from functools import cached_property, lru_cache
from math import floor, gcd, lcm
from typing import Any

from flint import acb, arb, ctx, fmpq, fmpz, fmpz_poly

MOST_DEGREE = 48
"""Roots are told apart one by one up to this degree."""
_ORDERED_AT = 128


@contextmanager
def precision(bits: int) -> Iterator[None]:
    """Work in ball arithmetic with *bits* bits inside."""
    before, ctx.prec = ctx.prec, bits
    try:
        yield
    finally:
        ctx.prec = before


def is_exactly_real(value: Any) -> bool:
    """Return whether a ball is known to be real."""
    return isinstance(value, arb) or bool(value.imag == 0)


@lru_cache(maxsize=1024)
def _balls(coefficients: tuple[int, ...], bits: int) -> tuple[Any, ...]:
    """Return all roots as balls: the real ones first, ascending; always in the same order."""
    with precision(bits):
        listed: Any = fmpz_poly(list(coefficients)).complex_roots()
        found = [root for root, _ in listed]
    found = [root.real if is_exactly_real(root) else root for root in found]
    if bits <= _ORDERED_AT:
        return tuple(found)
    ordered = []
    for known in _balls(coefficients, _ORDERED_AT):
        ordered.append(next(ball for ball in found if acb(known).overlaps(acb(ball))))
    return tuple(ordered)


@dataclass(frozen=True, slots=False)
class Algebraic:
    """The root number *index* of an irreducible primitive polynomial.

    Args:
        coefficients: Integers from the constant up, primitive, leading one positive.
        index: Place among all roots: real ones first, ascending, then the others.
    """

    coefficients: tuple[int, ...]
    index: int

    @staticmethod
    def of(value: fmpq) -> "Algebraic":
        """Return a rational number as an algebraic one."""
        return Algebraic((-int(value.p), int(value.q)), 0)

    @property
    def degree(self) -> int:
        """The degree of the polynomial."""
        return len(self.coefficients) - 1

    @property
    def rational(self) -> fmpq | None:
        """The value when it is rational."""
        if self.degree == 1:
            return fmpq(-self.coefficients[0], self.coefficients[1])
        return None

    def ball(self) -> Any:
        """Return a ball around the value at the current precision: ``arb`` where real."""
        if self.degree == 1:
            return arb(self.rational)
        return _balls(self.coefficients, max(ctx.prec, _ORDERED_AT))[self.index]

    @cached_property
    def is_real(self) -> bool:
        """Whether the number is real."""
        return self.degree == 1 or isinstance(self.ball(), arb)

    @cached_property
    def approximation(self) -> complex:
        """The value, rounded."""
        value = self.ball()
        return complex(float(value.real), float(value.imag))

    def __lt__(self, other: "Algebraic") -> bool:
        """Compare two real numbers exactly."""
        if self == other:
            return False
        bits = _ORDERED_AT
        while True:
            with precision(bits):
                mine, theirs = self.ball(), other.ball()
                if not mine.overlaps(theirs):
                    return bool(mine < theirs)
            bits *= 2


def primitive(coefficients: list[fmpq]) -> tuple[int, ...]:
    """Return rational *coefficients* as coprime integers with a positive leading one."""
    common = lcm(*(int(c.q) for c in coefficients))
    whole = [int((c * common).p) for c in coefficients]
    content = gcd(*whole) * (1 if whole[-1] > 0 else -1)
    return tuple(c // content for c in whole)


@lru_cache(maxsize=4096)
def roots_of(coefficients: tuple[int, ...], *, real_only: bool) -> tuple[Algebraic, ...]:
    """Return the roots of an irreducible primitive polynomial, real ones first, ascending."""
    if len(coefficients) == 2:
        return (Algebraic(coefficients, 0),)
    if real_only and len(coefficients) == 3:
        c, b, a = coefficients
        if b * b < 4 * a * c:
            return ()
    balls = _balls(coefficients, _ORDERED_AT)
    return tuple(
        Algebraic(coefficients, n)
        for n, ball in enumerate(balls)
        if not real_only or isinstance(ball, arb)
    )


def square_part(number: int) -> tuple[int, int]:
    """Return ``(s, r)`` with ``number = s²·r`` and *r* without square factors (as far as found)."""
    outside, inside = 1, 1
    for prime, power in fmpz(number).factor():
        outside *= int(prime) ** (power // 2)
        inside *= int(prime) ** (power % 2)
    return outside, inside


def between(low: Algebraic | None, high: Algebraic | None) -> fmpq:
    """Return a simple rational strictly between two different real numbers (None: no bound)."""
    if low is None and high is None:
        return fmpq(0)
    if low is None:
        assert high is not None
        return fmpq(floor(_enclosed(high)[0]) - 1)
    if high is None:
        return fmpq(floor(_enclosed(low)[1]) + 1)
    bits = _ORDERED_AT
    while True:
        start, end = _enclosed(low, bits)[1], _enclosed(high, bits)[0]
        if start < end:
            break
        bits *= 2
    denominator = 1
    while True:
        top = floor(start * denominator) + 1
        if top < end * denominator:
            return fmpq(top, denominator)
        denominator *= 2


def _enclosed(number: Algebraic, bits: int = _ORDERED_AT) -> tuple[Fraction, Fraction]:
    """Return fractions not above and not below a real number, near it."""
    with precision(bits):
        ball = number.ball()
        ends = [end.man_exp() for end in (ball.lower(), ball.upper())]
    low, high = (Fraction(int(m)) * Fraction(2) ** int(e) for m, e in ends)
    return low, high
