"""A separation bound: how far from zero a number with roots is, when it is not zero.

The bound is that of Burnikel, Funke, Mehlhorn, Schirra and Schmitt for expressions with roots and
divisions: with conjugates of numerator and denominator bounded by ``u`` and ``l`` and degree ``D``,
a value that is not zero is at least ``1 / (u^(D-1) l)`` in size.
"""

from collections.abc import Mapping
from math import log2
from typing import assert_never

from flint import fmpq

from uchuu_core.kernel.algebraic import Algebraic
from uchuu_core.kernel.points import NotRational, rational, value_at
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

MOST_BITS = 24_000
"""Precision up to which a value is told from zero; measured: some milliseconds.

At the root of a polynomial as many times less as its degree says.
"""
Place = Mapping[str, fmpq | Algebraic]


class Undecided(ArithmeticError):
    """Neither zero nor not zero could be proved within the bounds."""


def rational_exponent(exponent: Expr, place: Place) -> fmpq | None:
    """Return the exponent when it is rational, which the bound can deal with."""
    try:
        return value_at(exponent, {n: v for n, v in place.items() if isinstance(v, fmpq)})
    except (NotRational, KeyError):
        return None


class Separation:
    """The bound for trees with their letters set to rational or algebraic numbers.

    Args:
        place: The letters' values.
        is_complex: Whether negatives have square roots.
    """

    def __init__(self, place: Place, *, is_complex: bool) -> None:
        self.place = place
        self.is_complex = is_complex
        degrees = [v.degree for v in place.values() if isinstance(v, Algebraic)]
        self.most_bits = MOST_BITS // max([1, *degrees])

    def bits_needed(self, node: Expr) -> int:
        """Return how many bits tell the value of *node* from zero.

        Raises:
            Undecided: more than the bound.
        """
        roots: dict[object, int] = {}
        upper, lower = self._bounds(node, roots)
        degree = 1
        for size in roots.values():
            degree *= size
        bits = int((degree - 1) * max(upper, 0) + max(lower, 0)) + 8
        if bits > self.most_bits:
            raise Undecided
        return bits

    def _bounds(self, node: Expr, roots: dict[object, int]) -> tuple[float, float]:
        """Return log₂ of ``u`` and ``l``, and note each distinct root with its degree."""
        match node:
            case Number() | Mixed():
                value = rational(node)
                return log2(max(int(value.p), 1)), log2(int(value.q))
            case Symbol(name):
                return self._letter_bounds(name, roots)
            case Signed(_, body) | Bracket(body) | Absolute(body):
                return self._bounds(body, roots)
            case Sum(terms):
                upper, lower = self._bounds(terms[0].body, roots)
                for term in terms[1:]:
                    u, l = self._bounds(term.body, roots)  # noqa: E741
                    upper, lower = _log_sum(upper + l, lower + u), lower + l
                return upper, lower
            case Product(factors, _):
                found = [self._bounds(factor, roots) for factor in factors]
                return sum(upper for upper, _ in found), sum(lower for _, lower in found)
            case Quotient(numerator, denominator, _):
                above, below = self._bounds(numerator, roots), self._bounds(denominator, roots)
                return above[0] + below[1], above[1] + below[0]
            case Root(index, radicand):
                return self._root_bounds(radicand, index, roots)
            case Power(base, exponent):
                power = rational_exponent(exponent, self.place)
                if power is None:
                    raise Undecided
                upper, lower = (
                    self._bounds(base, roots)
                    if power.q == 1
                    else self._root_bounds(base, int(power.q), roots)
                )
                size = abs(int(power.p))
                return (upper * size, lower * size) if power > 0 else (lower * size, upper * size)
            case Log():
                raise Undecided
            case _:
                assert_never(node)

    def _letter_bounds(self, name: str, roots: dict[object, int]) -> tuple[float, float]:
        value = self.place.get(name)
        if value is None:  # the imaginary unit
            roots["i"] = 2
            return 0.0, 0.0
        if isinstance(value, fmpq):
            return log2(max(abs(int(value.p)), 1)), log2(int(value.q))
        roots[name] = value.degree
        sizes = [abs(c) for c in value.coefficients]
        return log2(sizes[-1] + max(sizes)), log2(sizes[-1])

    def _root_bounds(
        self, radicand: Expr, index: int, roots: dict[object, int]
    ) -> tuple[float, float]:
        upper, lower = self._bounds(radicand, roots)
        roots[(index, radicand)] = index
        if self.is_complex:
            roots["i"] = 2
        if upper >= lower:
            return (upper + lower * (index - 1)) / index, lower
        return upper, (upper * (index - 1) + lower) / index


def _log_sum(a: float, b: float) -> float:
    high, low = max(a, b), min(a, b)
    return high if low < high - 60 else high + log2(1 + 2 ** (low - high))
