"""Exact signs of numbers with roots: balls first, and a separation bound when a ball holds zero.

The bound is that of Burnikel, Funke, Mehlhorn, Schirra and Schmitt for expressions with roots and
divisions: with conjugates of numerator and denominator bounded by ``u`` and ``l`` and degree ``D``,
a value that is not zero is at least ``1 / (u^(D-1) l)`` in size.
School conventions: even roots of negatives have no real value, odd roots of negatives are real.
"""

from collections.abc import Mapping
from math import log2
from typing import Any, assert_never

from flint import acb, arb, fmpq

from uchuu_core.kernel.algebraic import Algebraic, is_exactly_real, precision
from uchuu_core.kernel.points import LARGEST_INDEX, NotRational, Undefined, rational, value_at
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


class _Imprecise(ArithmeticError):
    """More bits are needed."""


class Exact:
    """Values of trees with their letters set to rational or algebraic numbers.

    Args:
        place: The letters' values.
        is_complex: Whether ``i`` is the imaginary unit and negatives have square roots.
    """

    def __init__(self, place: Place, *, is_complex: bool = False) -> None:
        self.place = place
        self.is_complex = is_complex
        self._signs: dict[int, tuple[Expr, int]] = {}
        degrees = [v.degree for v in place.values() if isinstance(v, Algebraic)]
        self._is_rational = not degrees
        self._most_bits = MOST_BITS // max([1, *degrees])

    def sign(self, node: Expr) -> int:
        """Return the sign of the real value of *node*; for complex values 0 or 1.

        Raises:
            Undefined: there is no (real) value.
            Undecided: the bounds do not suffice.
        """
        known = self._signs.get(id(node))
        if known is None:
            known = self._signs[id(node)] = (node, self._sign(node))
        return known[1]

    def _sign(self, node: Expr) -> int:
        if self._is_rational and not self.is_complex:
            try:
                value = value_at(node, self.place)
                return (value > 0) - (value < 0)
            except NotRational:
                pass
        bits, needed = 64, 0
        while bits <= 2 * self._most_bits:
            with precision(bits):
                found = self._ball_or_none(node)
                if found is not None:
                    sign = _sign_of_ball(found)
                    if sign:
                        return sign
                    needed = needed or self._bits_needed(node)
                    if abs(found) < arb(2) ** -needed:
                        return 0
            bits *= 2
            if needed > bits:
                bits = min(max(needed, bits), self._most_bits * 2)
        raise Undecided

    def _ball_or_none(self, node: Expr) -> Any:
        try:
            return self.ball(node)
        except _Imprecise:
            return None

    def near(self, node: Expr) -> Any:
        """Return a ball around the value of *node*, precise enough to be shown.

        Raises:
            Undefined, Undecided: see ``sign``.
        """
        for bits in (64, 256, 1024, 4096):
            with precision(bits):
                found = self._ball_or_none(node)
                if found is not None:
                    return found
        raise Undecided

    def differ(self, left: Expr, right: Expr, bits: int = 64) -> tuple[Any, Any] | None:
        """Return both balls when they are apart at *bits* bits, None when that is not seen.

        Raises:
            Undefined: one of them has no value here.
        """
        with precision(bits):
            a, b = self._ball_or_none(left), self._ball_or_none(right)
            if a is None or b is None or acb(a).overlaps(acb(b)):
                return None
            return a, b

    # balls

    def ball(self, node: Expr) -> Any:
        """Return a ball around the value of *node* at the current precision."""
        match node:
            case Number() | Mixed():
                return arb(rational(node))
            case Symbol(name):
                return self._letter(name)
            case Signed("-", body):
                return -self.ball(body)
            case Bracket(body):
                return self.ball(body)
            case Sum(terms):
                total: Any = arb(0)
                for term in terms:
                    if term.sign == "+-":
                        raise Undecided
                    value = self.ball(term.body)
                    total = total + value if term.sign == "+" else total - value
                return total
            case Product(factors, _):
                result: Any = arb(1)
                for factor in factors:
                    result = result * self.ball(factor)
                return result
            case Quotient(numerator, denominator, _):
                return self.ball(numerator) / self._divisor(denominator)
            case Root(index, radicand):
                return self._root(radicand, index)
            case Power(base, exponent):
                return self._power(base, exponent)
            case Absolute(body):
                return abs(self.ball(body))
            case Log(name, base, argument):
                return self._logarithm(name, base, argument)
            case _:
                raise Undecided

    def _letter(self, name: str) -> Any:
        value = self.place.get(name)
        if value is None:
            if name == "i" and self.is_complex:
                return acb(0, 1)
            raise Undecided
        return value.ball() if isinstance(value, Algebraic) else arb(value)

    def _divisor(self, node: Expr) -> Any:
        value = self.ball(node)
        if value.contains(0):
            if self.sign(node) == 0:
                raise Undefined
            raise _Imprecise
        return value

    def _root(self, radicand: Expr, index: int) -> Any:
        if index > LARGEST_INDEX:
            raise Undecided
        value = self.ball(radicand)
        if not is_exactly_real(value):
            return self._complex_root(radicand, value, index)
        value = value.real
        sign = (value > 0) - (value < 0)
        if not sign:
            sign = self.sign(radicand)
            if sign == 0:
                return arb(0)
            if not (value > 0 or value < 0):
                raise _Imprecise
        if sign > 0:
            return value.root(index)
        if index % 2:
            return -((-value).root(index))
        if self.is_complex:
            if index == 2:
                return acb(0, (-value).sqrt())
            raise Undecided  # which of the fourth roots of a negative is meant is no school matter
        raise Undefined

    def _complex_root(self, radicand: Expr, value: Any, index: int) -> Any:
        if index != 2:
            raise Undecided
        if value.imag.contains(0):
            if self.sign(radicand) == 0:
                return arb(0)
            raise Undecided  # on the branch cut, as far as can be seen
        return value.sqrt()

    def _power(self, base: Expr, exponent: Expr) -> Any:
        power = self._exponent(exponent)
        if power is None:
            below = self.ball(base)
            if not is_exactly_real(below) or not below.real > 0:
                if self.sign(base) <= 0:
                    raise Undefined
                raise _Imprecise
            return below.real ** self.ball(exponent)
        if power.q != 1:
            return self._raised(self._root(base, int(power.q)), base, int(power.p))
        return self._raised(self.ball(base), base, int(power.p))

    def _exponent(self, exponent: Expr) -> fmpq | None:
        """Return the exponent when it is rational, which the bound can deal with."""
        try:
            values = {n: v for n, v in self.place.items() if isinstance(v, fmpq)}
            return value_at(exponent, values)
        except (NotRational, KeyError):
            return None

    def _raised(self, value: Any, base: Expr, power: int) -> Any:
        if abs(power) > 10_000:
            raise Undecided
        if power <= 0 and value.contains(0):
            if self.sign(base) == 0:
                raise Undefined
            raise _Imprecise
        return value**power

    def _logarithm(self, name: str, base: int | None, argument: Expr) -> Any:
        value = arb(1).exp() if argument == Symbol("e") else self.ball(argument)
        if not value > 0:
            if self.sign(argument) <= 0:
                raise Undefined
            raise _Imprecise
        return value.log() if name == "ln" else value.log() / arb(base or 10).log()

    # the separation bound

    def _bits_needed(self, node: Expr) -> int:
        roots: dict[object, int] = {}
        upper, lower = self._bounds(node, roots)
        degree = 1
        for size in roots.values():
            degree *= size
        bits = int((degree - 1) * max(upper, 0) + max(lower, 0)) + 8
        if bits > self._most_bits:
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
                power = self._exponent(exponent)
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


def _sign_of_ball(value: Any) -> int:
    if is_exactly_real(value):
        value = value.real
        return int(value > 0) - int(value < 0)
    return 0 if value.contains(0) else 1


def _log_sum(a: float, b: float) -> float:
    high, low = max(a, b), min(a, b)
    return high if low < high - 60 else high + log2(1 + 2 ** (low - high))


def shown(value: Any) -> str:
    """Write a ball as a rounded decimal for a reader; not exact."""
    if is_exactly_real(value):
        return f"about {float(value.real):.6g}"
    real, imaginary = float(value.real), float(value.imag)
    return f"about {real:.6g} {'-' if imaginary < 0 else '+'} {abs(imaginary):.6g}i"
