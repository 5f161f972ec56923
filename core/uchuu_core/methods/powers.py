"""Products of powers over products of powers, with exponents that may hold letters."""

from collections import Counter
from dataclasses import dataclass, replace
from fractions import Fraction
from math import gcd
from typing import Any

from uchuu_core.failures import OutOfScope
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.rational_functions import Ring
from uchuu_core.limits import LARGEST_POWER
from uchuu_core.methods.written import polynomial_tree
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Number, Power, Product, Quotient, Signed, Sum, Symbol, Term

MOST_EXPONENT = 64
Factor = tuple[Expr, Any]
"""A base and its exponent, a polynomial in the letters of the problem."""


@dataclass(frozen=True, slots=True)
class Exponents:
    """Reads and writes exponents as polynomials of one ring."""

    algebra: Ring

    def of(self, node: Expr) -> Any:
        """Return the exponent that *node* writes.

        Raises:
            OutOfScope: it is no polynomial.
        """
        try:
            value = self.algebra.function(node)
        except (NotRational, Undefined) as reason:
            raise OutOfScope("An exponent in it is not worked yet.") from reason
        if not value.denominator.is_constant():
            raise OutOfScope("An exponent in it has letters below a bar.")
        return value.numerator / value.denominator.leading_coefficient()

    def tree(self, exponent: Any) -> Expr:
        """Write an exponent."""
        return polynomial_tree(exponent, self.algebra)

    def number(self, exponent: Any) -> Fraction | None:
        """Return the exponent as a number, None when it holds letters."""
        if not exponent.is_constant():
            return None
        if not exponent:
            return Fraction(0)
        value = exponent.leading_coefficient()
        return Fraction(int(value.p), int(value.q))

    def power(self, base: Expr, exponent: Any) -> Expr:
        """Write a power, without the exponents 0 and 1."""
        value = self.number(exponent)
        if value == 0:
            return build.ONE
        return base if value == 1 else Power(base, self.tree(exponent))


@dataclass(frozen=True, slots=True)
class Powers:
    """A sign, factors above and factors below the bar; numbers are factors too."""

    exponents: Exponents
    sign: int
    above: tuple[Factor, ...]
    below: tuple[Factor, ...]

    def tree(self) -> Expr:
        """Write it: numbers first, a bar only where something is below."""
        top = self._side(self.above)
        bottom = self._side(self.below)
        whole = top if bottom == build.ONE else Quotient(top, bottom)
        return build.negative(whole) if self.sign < 0 else whole

    def _side(self, factors: tuple[Factor, ...]) -> Expr:
        written = [self.exponents.power(base, exponent) for base, exponent in factors]
        written = [part for part in written if part != build.ONE]
        numbers = [p for p in written if isinstance(_base(p), (Number, Quotient))]
        return build.product([*numbers, *(p for p in written if p not in numbers)])

    def gathered(self) -> tuple["Powers", Expr]:
        """Join equal bases; return the result and the line with the exponents not yet worked."""
        bases = list(dict.fromkeys(base for base, _ in (*self.above, *self.below)))
        above: list[Factor] = []
        below: list[Factor] = []
        top: list[Expr] = []
        bottom: list[Expr] = []
        for base in bases:
            ups = [e for b, e in self.above if b == base]
            downs = [e for b, e in self.below if b == base]
            side, written = (above, top) if ups else (below, bottom)
            signed = [(1, e) for e in ups] + [(-1 if ups else 1, e) for e in downs]
            exponent = sum((sign * e for sign, e in signed), self.exponents.algebra.one * 0)
            side.append((base, exponent))
            if len(signed) == 1:
                written.append(self.exponents.power(base, exponent))
            else:
                written.append(Power(base, self._sum(signed)))
        line = (
            build.product(top)
            if not bottom
            else Quotient(build.product(top), build.product(bottom))
        )
        kept = Powers(self.exponents, self.sign, tuple(above), tuple(below))
        return kept._without_zero(), build.negative(line) if self.sign < 0 else line

    def _sum(self, signed: list[tuple[int, Any]]) -> Expr:
        terms = []
        for sign, exponent in signed:
            node = self.exponents.tree(exponent)
            if sign < 0:
                terms.append(Term("-", node))
            else:
                terms += build.terms_of(node)
        return Sum(tuple(terms))

    def _without_zero(self) -> "Powers":
        kept = [tuple(f for f in side if f[1]) for side in (self.above, self.below)]
        return replace(self, above=kept[0], below=kept[1])

    def crossed(self) -> "Powers":
        """Move every power with a negative exponent (all its terms are) across the bar."""
        above: list[Factor] = []
        below: list[Factor] = []
        for here, there, side in ((above, below, self.above), (below, above, self.below)):
            for base, exponent in side:
                negative = bool(exponent) and all(c < 0 for _, c in exponent.terms())
                (there if negative else here).append((base, -exponent if negative else exponent))
        return replace(self, above=tuple(above), below=tuple(below))

    def worked_out(self, largest: int = LARGEST_POWER) -> "Powers":
        """Work out the powers of numbers that are not above *largest*, and reduce the number in front.

        A power that shares a factor with another number is worked out, however large.
        """
        coefficient = Fraction(self.sign)
        whole = Counter(
            base
            for base, _ in (*self.above, *self.below)
            if isinstance(base, Number) and base.is_whole
        )
        kept: list[list[Factor]] = [[], []]
        for side, factors in enumerate((self.above, self.below)):
            for base, exponent in factors:
                value = self._number(base, exponent, None if _is_tied(base, whole) else largest)
                if value is None:
                    kept[side].append((base, exponent))
                else:
                    coefficient *= value if side == 0 else 1 / value
        one = self.exponents.algebra.one
        for side, number in enumerate((abs(coefficient.numerator), coefficient.denominator)):
            if number != 1:
                kept[side].insert(0, (Number(str(number)), one))
        sign = -1 if coefficient < 0 else 1
        return Powers(self.exponents, sign, tuple(kept[0]), tuple(kept[1]))

    def _number(self, base: Expr, exponent: Any, largest: int | None) -> Fraction | None:
        power = self.exponents.number(exponent)
        if not isinstance(base, Number) or power is None or power.denominator != 1:
            return None
        if abs(power.numerator) > MOST_EXPONENT:
            return None
        found = base.value**power.numerator
        if largest is None or abs(power) == 1:
            return found
        return None if max(found.numerator, found.denominator) > largest else found


def _is_tied(base: Expr, whole: Counter[Number]) -> bool:
    """Return whether the number *base* shares a factor with another of the numbers *whole*."""
    return (
        isinstance(base, Number)
        and base in whole
        and any(
            gcd(int(base.value), int(other.value)) > 1 and (other != base or times > 1)
            for other, times in whole.items()
        )
    )


def _base(node: Expr) -> Expr:
    return node.base if isinstance(node, Power) else node


def powers_of(node: Expr, exponents: Exponents) -> Powers:
    """Return *node*, whose powers stand on single bases, as a product of powers.

    Raises:
        OutOfScope: it holds a sum or a root.
    """
    one = exponents.algebra.one
    match node:
        case Number() | Symbol():
            return Powers(exponents, 1, ((node, one),), ())
        case Power(base, exponent) if isinstance(base, (Number, Symbol, Quotient)):
            return Powers(exponents, 1, ((base, exponents.of(exponent)),), ())
        case Signed("-", body):
            inner = powers_of(body, exponents)
            return replace(inner, sign=-inner.sign)
        case Product(factors, _):
            found = [powers_of(factor, exponents) for factor in factors]
            sign = 1
            above: list[Factor] = []
            below: list[Factor] = []
            for part in found:
                sign *= part.sign
                above += part.above
                below += part.below
            return Powers(exponents, sign, _plain(above), _plain(below))
        case Quotient(numerator, denominator, _):
            top, bottom = powers_of(numerator, exponents), powers_of(denominator, exponents)
            return Powers(
                exponents,
                top.sign * bottom.sign,
                _plain([*top.above, *bottom.below]),
                _plain([*top.below, *bottom.above]),
            )
        case _:
            raise OutOfScope("It is no product of powers.")


def same_factors(one: Powers, other: Powers) -> bool:
    """Return whether both hold the same factors, in any order."""
    return one.sign == other.sign and all(
        sorted(map(repr, a)) == sorted(map(repr, b))
        for a, b in ((one.above, other.above), (one.below, other.below))
    )


def _plain(factors: list[Factor]) -> tuple[Factor, ...]:
    """Leave out factors 1."""
    return tuple(f for f in factors if f[0] != build.ONE)
