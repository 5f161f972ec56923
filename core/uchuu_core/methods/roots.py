"""Sums of roots: coefficient, what stands in an absolute value, radicand, term by term."""

from collections.abc import Callable
from dataclasses import dataclass, replace
from fractions import Fraction
from math import gcd
from typing import Any

from flint import fmpz

from uchuu_core.failures import OutOfScope
from uchuu_core.kernel.rational_functions import Ring
from uchuu_core.methods.fractions_in_letters import ONE, InFactors, Product, fraction_in_factors
from uchuu_core.methods.written import Factors, factor_tree, product_tree
from uchuu_core.tree import build
from uchuu_core.tree.nodes import (
    Absolute,
    Expr,
    Join,
    Number,
    Power,
    Quotient,
    Root,
    Signed,
    Sum,
    Term,
)
from uchuu_core.tree.nodes import Product as ProductNode
from uchuu_core.tree.paths import parts

LARGEST_RADICAND = 10**12
"""Radicands above are not taken apart on a board."""
LARGEST_FACTORED = LARGEST_RADICAND**2
"""Products of two radicands still are."""
MOST_TERMS = 24
Safe = Callable[[Any], bool]
"""Whether a polynomial is known not to be negative."""
_UNLIKE = "Roots of different indices are not worked together yet."


@dataclass(frozen=True, slots=True)
class RootTerm:
    """``coefficient · |absolute| · ⁿ√inside``; inside 1 for a term without a root."""

    coefficient: InFactors
    inside: Product = ONE
    absolute: Factors = ()

    @property
    def number(self) -> Fraction:
        """The number in front."""
        return Fraction(self.coefficient.top.number, self.coefficient.bottom.number)

    @property
    def kind(self) -> str:
        """What like terms share: everything but the number."""
        whole = self.coefficient
        return str((whole.top.factors, whole.bottom.factors, self.absolute, self.inside))

    def scaled(self, number: Fraction) -> "RootTerm":
        """Return the term with another number in front."""
        whole = self.coefficient
        top = Product(number.numerator, whole.top.factors)
        bottom = Product(number.denominator, whole.bottom.factors)
        return replace(self, coefficient=InFactors(top, bottom))


@dataclass(frozen=True, slots=True)
class Roots:
    """A sum of terms with roots of one index, in written order."""

    index: int
    algebra: Ring
    terms: tuple[RootTerm, ...]

    def tree(self, radicand: Callable[[Product], Expr] | None = None) -> Expr:
        """Write the sum; *radicand* writes what stands under a root."""
        return build.total(self._term(term, radicand) for term in self.terms)

    def _term(self, term: RootTerm, radicand: Callable[[Product], Expr] | None) -> Term:
        parts: list[Expr] = []
        whole = term.coefficient
        top = Product(abs(whole.top.number), whole.top.factors).tree(self.algebra)
        if top != build.ONE:
            parts.append(top)
        if term.absolute:
            parts.append(Absolute(product_tree(1, term.absolute, self.algebra)))
        if term.inside != ONE:
            under = radicand(term.inside) if radicand else term.inside.tree(self.algebra)
            parts.append(Root(self.index, under))
        body = build.product(parts)
        below = Product(abs(whole.bottom.number), whole.bottom.factors)
        if below != ONE:
            body = Quotient(body, below.tree(self.algebra))
        return Term("-" if term.number < 0 else "+", body)

    @property
    def holds_root(self) -> bool:
        """Whether a root is left."""
        return any(term.inside != ONE for term in self.terms)

    @property
    def is_one(self) -> bool:
        """Whether this is the number 1."""
        return len(self.terms) == 1 and self.terms[0] == RootTerm(InFactors(ONE, ONE))

    def times(self, other: "Roots") -> "Roots":
        """Multiply every term by every term; roots go under one root, √r·√r is r.

        Raises:
            OutOfScope: different indices, or too many terms.
        """
        if self.holds_root and other.holds_root and self.index != other.index:
            raise OutOfScope(_UNLIKE)
        if len(self.terms) * len(other.terms) > MOST_TERMS:
            raise OutOfScope("These brackets are too long to be multiplied on a board.")
        index = self.index if self.holds_root else other.index
        found = [_product(a, b, index) for a in self.terms for b in other.terms]
        return Roots(index, self.algebra, tuple(found))

    def simplest(self, is_safe: Safe) -> "Roots":
        """Take every perfect power out of its root.

        ``is_safe``: which polynomials are known not to be negative and need no absolute value.
        """
        found = []
        for term in self.terms:
            outside, absolute, inside = taken_out(term.inside, self.index, is_safe)
            coefficient = term.coefficient.times(InFactors(outside, ONE))
            joined = tuple(sorted((*term.absolute, *absolute), key=str))
            found.append(RootTerm(coefficient.divided_out()[0], inside, joined))
        return replace(self, terms=tuple(found))

    def collected(self) -> "Roots":
        """Join like terms, in the order in which they first stand."""
        sums: dict[str, RootTerm] = {}
        for term in self.terms:
            kind = term.kind
            before = sums.get(kind)
            sums[kind] = term.scaled(before.number + term.number) if before else term
        kept = tuple(term for term in sums.values() if term.number)
        zero = RootTerm(InFactors(Product(0, ()), ONE))
        return replace(self, terms=kept or (zero,))

    def polynomial(self) -> Any:
        """Return the sum as a polynomial, None when it holds roots or fractions."""
        total = self.algebra.one * 0
        for term in self.terms:
            if term.inside != ONE or term.absolute or term.coefficient.bottom != ONE:
                return None
            total += term.coefficient.top.polynomial(self.algebra)
        return total


def _product(a: RootTerm, b: RootTerm, index: int) -> RootTerm:
    coefficient = a.coefficient.times(b.coefficient).divided_out()[0]
    absolute = tuple(sorted((*a.absolute, *b.absolute), key=str))
    if index == 2 and a.inside == b.inside != ONE:
        whole = coefficient.times(InFactors(a.inside, ONE)).divided_out()[0]
        return RootTerm(whole, ONE, absolute)
    return RootTerm(coefficient, a_times(a.inside, b.inside), absolute)


def a_times(a: Product, b: Product) -> Product:
    """Return the product of two products in factors."""
    joined = InFactors(a, ONE).times(InFactors(b, ONE)).top
    return Product(joined.number, tuple(sorted(joined.factors, key=str)))


def power_part(number: int, index: int) -> tuple[int, int]:
    """Return ``(s, r)`` with number = sⁿ·r and no perfect power left in r; r has the sign.

    Raises:
        OutOfScope: the number is too large to be taken apart.
    """
    if abs(number) > LARGEST_FACTORED:
        raise OutOfScope("A number under a root is too large to be taken apart.")
    outside, inside = 1, 1
    for prime, power in fmpz(abs(number)).factor():
        outside *= int(prime) ** (power // index)
        inside *= int(prime) ** (power % index)
    if number < 0:
        return (-outside, inside) if index % 2 else (outside, -inside)
    return outside, inside


def taken_out(inside: Product, index: int, is_safe: Safe) -> tuple[Product, Factors, Product]:
    """Return what comes out of a root, what of it in an absolute value, and what stays."""
    number, rest_number = power_part(inside.number, index)
    rest = tuple((p, n % index) for p, n in inside.factors if n % index)
    outside: list[Any] = []
    absolute: list[Any] = []
    for polynomial, power in inside.factors:
        if not (times := power // index):
            continue
        is_plain = (
            is_safe(polynomial)
            or index % 2 == 1
            or times % 2 == 0
            or (rest_number > 0 and [p for p, _ in rest] == [polynomial])
        )
        (outside if is_plain else absolute).append((polynomial, times))
    return Product(number, tuple(outside)), tuple(absolute), Product(rest_number, rest)


def split(inside: Product, index: int, algebra: Ring, in_primes: bool) -> Expr:
    """Write a radicand as its largest perfect power times the rest, or as single factors."""
    if in_primes:
        found: list[Expr] = [Signed("-", build.ONE)] if inside.number < 0 else []
        primes = [(int(p), int(n)) for p, n in fmpz(abs(inside.number)).factor()]
        found += [Number(str(p)) for p, n in primes for _ in range(n)]
        found += [factor_tree(p, 1, algebra) for p, n in inside.factors for _ in range(n)]
        return _dotted(found)
    number, rest = power_part(inside.number, index)
    square: list[Expr] = [] if abs(number) == 1 else [build.number(number**index)]
    square += [factor_tree(p, n - n % index, algebra) for p, n in inside.factors if n >= index]
    left: list[Expr] = [] if abs(rest) == 1 else [Number(str(abs(rest)))]
    left += [factor_tree(p, n % index, algebra) for p, n in inside.factors if n % index]
    if not left and len(square) == 1 and not inside.factors:
        return Power(Number(str(abs(number))), Number(str(index)))
    groups = [build.product(group) for group in (square, left) if group]
    return _dotted(groups)


def _dotted(factors: list[Expr]) -> Expr:
    """Write a product with a sign between all *factors*; letters inside one stay together."""
    if len(factors) == 1:
        return factors[0]
    flat: list[Expr] = []
    joins: list[Join] = []
    for factor in factors:
        inner = build.factors_of(factor)
        joins += ["*", *(factor.joins if isinstance(factor, ProductNode) else ())]
        flat += inner
    return ProductNode(tuple(flat), tuple(joins[1:]))


def roots_of_tree(node: Expr, algebra: Ring) -> Roots:
    """Return *node* as a sum of roots.

    Raises:
        OutOfScope: it holds anything else.
    """
    if not any(isinstance(part, Root) for part in parts(node)) and not isinstance(node, Sum):
        whole = fraction_in_factors(node, algebra)
        if whole is None or whole.bottom.number == 0:
            raise OutOfScope("A part without a root is no fraction of polynomials.")
        return Roots(2, algebra, (RootTerm(whole.divided_out()[0]),))
    match node:
        case Root(index, radicand):
            return _single(index, radicand, algebra)
        case Signed("-", body):
            inner = roots_of_tree(body, algebra)
            return replace(inner, terms=tuple(t.scaled(-t.number) for t in inner.terms))
        case Sum(terms):
            found: list[RootTerm] = []
            indices = set()
            for term in terms:
                inner = roots_of_tree(term.body, algebra)
                indices |= {inner.index} if inner.holds_root else set()
                sign = -1 if term.sign == "-" else 1
                found += [t.scaled(sign * t.number) for t in inner.terms]
            if len(indices) > 1:
                raise OutOfScope(_UNLIKE)
            return Roots(min(indices, default=2), algebra, tuple(found))
        case ProductNode(factors, _):
            result = roots_of_tree(factors[0], algebra)
            for factor in factors[1:]:
                result = result.times(roots_of_tree(factor, algebra))
            return result
        case Power(base, Number("2" | "3") as exponent):
            inner = roots_of_tree(base, algebra)
            return inner.times(inner) if exponent.text == "2" else inner.times(inner).times(inner)
        case Quotient(numerator, denominator, _):
            below = fraction_in_factors(denominator, algebra)
            if below is None or below.top.number == 0 or len(below.top.factors) > 1:
                raise OutOfScope("A denominator in it is not worked yet.")
            inner = roots_of_tree(numerator, algebra)
            scale = Roots(2, algebra, (RootTerm(below.inverted()),))
            return inner.times(scale)
        case _:
            raise OutOfScope("This is no sum of roots.")


def _single(index: int, radicand: Expr, algebra: Ring) -> Roots:
    inside = fraction_in_factors(radicand, algebra)
    if inside is None or inside.top.number == 0:
        raise OutOfScope("A radicand in it is no fraction of polynomials, or zero.")
    top, bottom = inside.top, inside.bottom
    if max(abs(top.number), abs(bottom.number)) > LARGEST_RADICAND:
        raise OutOfScope("A radicand in it is too large.")
    if index % 2 == 0 and top.number < 0 and not top.factors:
        raise OutOfScope("An even root of a negative number has no real value.")
    if bottom.factors or bottom.number < 0:
        raise OutOfScope("Letters below a bar under a root are not worked yet.")
    coefficient = InFactors(ONE, Product(bottom.number, ()))
    under = Product(top.number * bottom.number ** (index - 1), top.factors)
    return Roots(index, algebra, (RootTerm(coefficient, under),))


def not_negative(node: Expr, algebra: Ring) -> list[Any]:
    """Return the polynomials that the even roots in *node* need not to be negative."""
    found = []
    for part in parts(node):
        if isinstance(part, Root) and part.index % 2 == 0:
            inside = fraction_in_factors(part.radicand, algebra)
            if inside is not None and inside.bottom == ONE and inside.top.number > 0:
                odd = [p for p, n in inside.top.factors if n % 2]
                found += odd if len(odd) == 1 else []
    return found


def common_factor(sides: tuple[Roots, ...]) -> tuple[int, Factors]:
    """Return the whole number and the powers that every term of all *sides* has as factors."""
    terms = [term for side in sides for term in side.terms]
    if any(term.coefficient.bottom != ONE for term in terms):
        return 1, ()
    number = gcd(*(term.coefficient.top.number for term in terms))
    first = terms[0].coefficient.top.factors
    shared = [(p, min(term.coefficient.top.power_of(p) for term in terms)) for p, _ in first]
    return number, tuple((p, n) for p, n in shared if n)


def over(side: Roots, number: int, factors: Factors) -> Roots:
    """Divide every term by a number and powers."""
    scale = InFactors(ONE, Product(number, factors))
    divided = (
        replace(term, coefficient=term.coefficient.times(scale).divided_out()[0])
        for term in side.terms
    )
    return replace(side, terms=tuple(divided))
