"""Exact signs of numbers with roots: balls first, and a separation bound when a ball holds zero.

School conventions: even roots of negatives have no real value, odd roots of negatives are real.
"""

from typing import Any

from flint import acb, arb

from uchuu_core.kernel.algebraic import Algebraic, is_exactly_real, precision
from uchuu_core.kernel.points import LARGEST_INDEX, NotRational, Undefined, rational, value_at
from uchuu_core.kernel.separation import Place as Place
from uchuu_core.kernel.separation import Separation, rational_exponent
from uchuu_core.kernel.separation import Undecided as Undecided
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
        self._is_rational = not any(isinstance(v, Algebraic) for v in place.values())
        self._separation = Separation(place, is_complex=is_complex)

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
        bits, needed, most = 64, 0, self._separation.most_bits
        while bits <= 2 * most:
            with precision(bits):
                found = self._ball_or_none(node)
                if found is not None:
                    sign = _sign_of_ball(found)
                    if sign:
                        return sign
                    needed = needed or self._separation.bits_needed(node)
                    if abs(found) < arb(2) ** -needed:
                        return 0
            bits *= 2
            if needed > bits:
                bits = min(max(needed, bits), most * 2)
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
        power = rational_exponent(exponent, self.place)
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


def _sign_of_ball(value: Any) -> int:
    if is_exactly_real(value):
        value = value.real
        return int(value > 0) - int(value < 0)
    return 0 if value.contains(0) else 1


def shown(value: Any) -> str:
    """Write a ball as a rounded decimal for a reader; not exact."""
    if is_exactly_real(value):
        return f"about {float(value.real):.6g}"
    real, imaginary = float(value.real), float(value.imag)
    return f"about {real:.6g} {'-' if imaginary < 0 else '+'} {abs(imaginary):.6g}i"
