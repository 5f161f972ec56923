"""Polynomials and products of them written as a teacher writes them."""

from fractions import Fraction
from typing import Any

from flint import fmpq_mpoly, fmpq_poly

from uchuu_core.failures import Failure
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.rational_functions import Ring, ring
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Line, Number, Power, Quotient, Root, Sum, Symbol, Term
from uchuu_core.tree.paths import letters, parts, walk

Factors = tuple[tuple[Any, int], ...]
"""Polynomials with their exponents."""


def ring_of(node: Line) -> Ring:
    """Return the ring in the letters of *node*, in the order in which they stand there."""
    seen = [part.name for _, part in walk(node) if isinstance(part, Symbol)]
    return ring(tuple(dict.fromkeys(seen)))


def polynomial_of(node: Line) -> tuple[fmpq_mpoly, Ring] | None:
    """Return an expression without roots and fractions as a polynomial in its letters; None for any other."""
    if not letters(node) or any(isinstance(part, (Root, Quotient)) for part in parts(node)):
        return None
    algebra = ring_of(node)
    try:
        value = algebra.function(node)  # type: ignore[arg-type]
    except (NotRational, Undefined, Failure):
        return None
    return (value.numerator, algebra) if value.denominator.is_constant() else None


def monomial_tree(degrees: tuple[int, ...], ring: Ring) -> Expr:
    """Write a product of powers of letters, 1 for none."""
    parts: list[Expr] = []
    for name, degree in zip(ring.names, degrees, strict=False):
        if degree == 1:
            parts.append(Symbol(name))
        elif degree > 1:
            parts.append(Power(Symbol(name), Number(str(degree))))
    return build.product(parts)


def _fraction(value: Any) -> Fraction:
    return Fraction(int(value.p), int(value.q))


def polynomial_terms(polynomial: fmpq_mpoly, ring: Ring) -> list[tuple[Fraction, tuple[int, ...]]]:
    """Return coefficients and degrees, highest total degree first."""
    found = [(_fraction(c), tuple(int(d) for d in m)) for m, c in polynomial.terms()]
    used = len(ring.names)
    return sorted(found, key=lambda item: (-sum(item[1][:used]), tuple(-d for d in item[1])))


def polynomial_tree(polynomial: fmpq_mpoly, ring: Ring) -> Expr:
    """Write a polynomial with its terms in descending order; of two, a positive one first."""
    terms: list[Term] = []
    for coefficient, degrees in polynomial_terms(polynomial, ring):
        body = build.times(abs(coefficient), monomial_tree(degrees, ring))
        terms.append(Term("-" if coefficient < 0 else "+", body))
    if [term.sign for term in terms] == ["-", "+"]:
        terms.reverse()
    return build.total(terms)


def factor_tree(polynomial: fmpq_mpoly, power: int, ring: Ring) -> Expr:
    """Write one factor of a product with its exponent."""
    base = polynomial_tree(polynomial, ring)
    return base if power == 1 else Power(base, Number(str(power)))


def product_tree(coefficient: int, factors: Factors, ring: Ring) -> Expr:
    """Write number, then letters, then brackets: ``-3x(x + 1)^2``."""
    return product_of(coefficient, [factor_tree(p, n, ring) for p, n in factors])


def product_of(coefficient: int, parts: list[Expr]) -> Expr:
    """Write a product of a number and *parts*: letters stand before brackets."""
    sums = [p for p in parts if isinstance(p, Sum) or isinstance(getattr(p, "base", None), Sum)]
    listed = [p for p in parts if p not in sums] + sums
    if abs(coefficient) != 1 or not listed:
        listed.insert(0, Number(str(abs(coefficient))))
    body = build.product(listed)
    return build.negative(body) if coefficient < 0 else body


def integer_factors(polynomial: fmpq_mpoly, ring: Ring) -> tuple[Fraction, Factors]:
    """Return the number in front and the irreducible primitive factors, leading terms positive."""
    constant, found = ring.factored(polynomial)
    value = _fraction(constant)
    listed = []
    for factor, power in found:
        part = factor.polynomial
        if polynomial_terms(part, ring)[0][0] < 0:
            part, value = -part, value * (-1) ** power
        listed.append((part, power))
    listed.sort(key=lambda item: (len(item[0]) > 1, item[0].total_degree(), str(item[0])))
    return value, tuple(listed)


def univariate(values: fmpq_poly, unknown: str) -> Expr:
    """Write a polynomial in one letter."""
    algebra = ring((unknown,))
    total = algebra.one * 0
    for degree in range(values.degree() + 1):
        total += algebra.letter(unknown) ** degree * values[degree]
    return polynomial_tree(total, algebra)
