"""Fractions of polynomials as products of factors: what rational expressions are worked with."""

from collections.abc import Sequence
from dataclasses import dataclass
from fractions import Fraction
from math import gcd, lcm
from typing import Any

from flint import fmpq_mpoly

from uchuu_core.kernel.points import NotRational
from uchuu_core.kernel.rational_functions import Ring
from uchuu_core.methods.written import Factors, integer_factors, polynomial_tree, product_tree
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Quotient, Signed, Sum
from uchuu_core.tree.paths import parts


@dataclass(frozen=True, slots=True)
class Product:
    """A whole number times powers of irreducible polynomials."""

    number: int
    factors: Factors

    def tree(self, algebra: Ring) -> Expr:
        """Write it, number first."""
        return product_tree(self.number, self.factors, algebra)

    def polynomial(self, algebra: Ring) -> fmpq_mpoly:
        """Multiply it out."""
        result = algebra.one * self.number
        for polynomial, power in self.factors:
            result *= polynomial**power
        return result

    def power_of(self, polynomial: fmpq_mpoly) -> int:
        """Return how often *polynomial* is a factor."""
        return next((n for p, n in self.factors if p == polynomial), 0)


ONE = Product(1, ())


@dataclass(frozen=True, slots=True)
class InFactors:
    """A fraction with both parts in factors, not necessarily in lowest terms."""

    top: Product
    bottom: Product

    def tree(self, algebra: Ring, shared: Sequence[Any] | None = None) -> Expr:
        """Write it as one fraction, its sign in front, without a bar when nothing is below.

        ``shared``: factors that divide out later. A difference that is none of them takes the
        sign in: ``y - x``, not ``-(x - y)``.
        """
        if shared is not None:
            self = InFactors(_sign_taken_in(self.top, shared), _sign_taken_in(self.bottom, shared))
        if self.bottom == ONE:
            return self.top.tree(algebra)
        size = Product(abs(self.top.number), self.top.factors)
        whole = Quotient(size.tree(algebra), self.bottom.tree(algebra))
        return build.negative(whole) if self.top.number < 0 else whole

    def end_tree(self, algebra: Ring) -> Expr:
        """Write it as an end result: ``(n - m)/(mn)``, not ``-(m - n)/(mn)``."""
        return InFactors(_sign_taken_in(self.top, ()), self.bottom).tree(algebra)

    def inverted(self) -> "InFactors":
        """Return the reciprocal."""
        return InFactors(self.bottom, self.top)

    def times(self, other: "InFactors") -> "InFactors":
        """Return the product, nothing divided out."""
        return InFactors(_joined(self.top, other.top), _joined(self.bottom, other.bottom))

    def divided_out(self) -> tuple["InFactors", list[Any]]:
        """Return the fraction in lowest terms, and the factors that were divided out."""
        common = gcd(self.top.number, self.bottom.number)
        sign = -1 if self.bottom.number < 0 else 1
        shared: list[Any] = [common] if common > 1 else []
        top, bottom = [], []
        for polynomial, power in self.top.factors:
            both = min(power, self.bottom.power_of(polynomial))
            shared += [polynomial] * bool(both)
            top.append((polynomial, power - both))
        for polynomial, power in self.bottom.factors:
            bottom.append((polynomial, power - min(power, self.top.power_of(polynomial))))
        return (
            InFactors(
                Product(sign * self.top.number // common, _kept(top)),
                Product(sign * self.bottom.number // common, _kept(bottom)),
            ),
            shared,
        )


def _sign_taken_in(side: Product, shared: Sequence[Any]) -> Product:
    """Return ``-(x - y)`` as ``y - x`` where that is the only factor and not one of *shared*."""
    if side.number != -1 or len(side.factors) != 1:
        return side
    ((polynomial, power),) = side.factors
    signs = [c > 0 for _, c in polynomial.terms()]
    if power != 1 or sorted(signs) != [False, True] or any(polynomial == f for f in shared):
        return side
    return Product(1, ((-polynomial, 1),))


def _kept(powers: list[tuple[Any, int]]) -> Factors:
    return tuple((p, n) for p, n in powers if n)


def _joined(a: Product, b: Product) -> Product:
    merged: list[tuple[Any, int]] = list(a.factors)
    for polynomial, power in b.factors:
        for place, (other, count) in enumerate(merged):
            if other == polynomial:
                merged[place] = (other, count + power)
                break
        else:
            merged.append((polynomial, power))
    return Product(a.number * b.number, tuple(merged))


def in_factors(polynomial: fmpq_mpoly, algebra: Ring) -> InFactors:
    """Return a polynomial as a fraction in factors (its coefficients may be fractions)."""
    if polynomial.is_zero():
        return InFactors(Product(0, ()), ONE)
    number, factors = integer_factors(polynomial, algebra)
    return InFactors(Product(number.numerator, factors), Product(number.denominator, ()))


def is_polynomial(node: Expr, algebra: Ring) -> bool:
    """Return whether *node* is a polynomial with whole coefficients, written without fractions."""
    if any(isinstance(part, Quotient) for part in parts(node)):
        return False
    try:
        value = algebra.function(node)
    except NotRational:
        return False
    return bool(value.denominator.is_constant())


def fraction_in_factors(node: Expr, algebra: Ring) -> InFactors | None:
    """Return one fraction, or a polynomial, with top and bottom factored, None for anything else.

    Nothing is divided out.
    """
    if isinstance(node, Signed) and node.sign == "-":
        body = fraction_in_factors(node.body, algebra)
        if body is None:
            return None
        return InFactors(Product(-body.top.number, body.top.factors), body.bottom)
    if isinstance(node, Quotient):
        if not (
            is_polynomial(node.numerator, algebra) and is_polynomial(node.denominator, algebra)
        ):
            return None
        above = in_factors(algebra.function(node.numerator).numerator, algebra)
        below = in_factors(algebra.function(node.denominator).numerator, algebra)
        return above.times(below.inverted())
    if not is_polynomial(node, algebra):
        return None
    return in_factors(algebra.function(node).numerator, algebra)


def least_common(denominators: list[Product]) -> Product:
    """Return the least common denominator in factors."""
    number = lcm(*(abs(d.number) for d in denominators))
    merged: list[tuple[Any, int]] = []
    for denominator in denominators:
        for polynomial, power in denominator.factors:
            for place, (other, count) in enumerate(merged):
                if other == polynomial:
                    merged[place] = (other, max(count, power))
                    break
            else:
                merged.append((polynomial, power))
    return Product(number, tuple(merged))


def missing(denominator: Product, common: Product) -> Product:
    """Return what *denominator* lacks to be *common*."""
    factors = [(p, n - denominator.power_of(p)) for p, n in common.factors]
    return Product(common.number // denominator.number, tuple((p, n) for p, n in factors if n))


def stretched(fraction: InFactors, common: Product, algebra: Ring) -> Expr:
    """Write the numerator times what its denominator lacks to be *common*."""
    lacking = missing(fraction.bottom, common)
    polynomial = fraction.top.polynomial(algebra)
    top = polynomial_tree(polynomial, algebra)
    if top == build.ZERO:
        return top
    if lacking == ONE:
        return top
    if top == build.ONE:
        return lacking.tree(algebra)
    if isinstance(top, Sum):
        return build.product((lacking.tree(algebra), top))
    return in_factors(polynomial, algebra).times(InFactors(lacking, ONE)).top.tree(algebra)


def shown_factor(factor: Any, algebra: Ring) -> Expr:
    """Write a factor that was divided out."""
    return (
        build.number(Fraction(factor))
        if isinstance(factor, int)
        else polynomial_tree(factor, algebra)
    )
