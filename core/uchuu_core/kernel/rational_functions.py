"""Trees as exact rational functions over ℚ in their letters: the judge of most school algebra.

A ring is fixed by its letters; all lines of one paper share it, so that their parts compare.
"""

import re
from dataclasses import dataclass
from functools import cached_property, lru_cache
from math import comb
from typing import Any

from flint import fmpq, fmpq_mpoly, fmpq_mpoly_ctx, fmpz_poly

from uchuu_core import limits
from uchuu_core.kernel.points import NotRational, Undefined, raised, rational, value_at
from uchuu_core.tree.nodes import (
    Bracket,
    Expr,
    Mixed,
    Number,
    Power,
    Product,
    Quotient,
    Signed,
    Sum,
    Symbol,
)
from uchuu_core.tree.paths import letters

Key = tuple[tuple[tuple[int, ...], str], ...]
"""A hashable polynomial: its terms, made primitive, leading coefficient positive."""


@dataclass(frozen=True, slots=True)
class RationalFunction:
    """Numerator over denominator, not necessarily in lowest terms; the denominator is not 0."""

    numerator: fmpq_mpoly
    denominator: fmpq_mpoly

    def equals(self, other: "RationalFunction") -> bool:
        """Return whether both agree wherever both are defined."""
        return bool(self.numerator * other.denominator == other.numerator * self.denominator)

    @property
    def is_zero(self) -> bool:
        """Whether this is the zero function."""
        return bool(self.numerator.is_zero())

    def minus(self, other: "RationalFunction") -> "RationalFunction":
        """Return the difference."""
        if self.denominator is other.denominator or self.denominator == other.denominator:
            return RationalFunction(self.numerator - other.numerator, self.denominator)
        return RationalFunction(
            self.numerator * other.denominator - other.numerator * self.denominator,
            self.denominator * other.denominator,
        )

    def over(self, other: "RationalFunction") -> "RationalFunction | None":
        """Return the quotient, None when *other* is zero."""
        if other.is_zero:
            return None
        return RationalFunction(
            self.numerator * other.denominator, self.denominator * other.numerator
        )

    def constant(self) -> fmpq | None:
        """Return the value when it is a number, else None."""
        if self.numerator.is_zero():
            return fmpq(0)
        ratio = self.numerator.leading_coefficient() / self.denominator.leading_coefficient()
        return ratio if self.numerator == self.denominator * ratio else None


_WRITTEN = re.compile(r"u([0-9a-f]{3,5})")


def ascii_names(names: tuple[str, ...]) -> tuple[str, ...]:
    """Return the letters as the algebra library takes them: ``θ`` as ``u3b8``."""
    return tuple("".join(c if c.isascii() else f"u{ord(c):x}" for c in name) for name in names)


def polynomial_text(polynomial: fmpq_mpoly) -> str:
    """Write a polynomial in plain notation, in the letters of the problem."""
    return _WRITTEN.sub(lambda found: chr(int(found.group(1), 16)), str(polynomial))


class Ring:
    """Rational functions in the given letters."""

    def __init__(self, names: tuple[str, ...]) -> None:
        self.names = names
        self._context = fmpq_mpoly_ctx.get(ascii_names(names) or ("_",), "lex")
        self._letters = dict(zip(names, self._context.gens(), strict=False))
        self.one = self.constant(fmpq(1))

    def constant(self, value: fmpq) -> fmpq_mpoly:
        """Return a constant polynomial."""
        return self._context.constant(value)

    def letter(self, name: str) -> fmpq_mpoly:
        """Return the letter *name* as a polynomial."""
        return self._letters[name]

    def function(self, node: Expr) -> RationalFunction:
        """Return *node* as a rational function.

        Raises:
            NotRational: it holds roots, ± or letters in exponents.
            Undefined: it divides by an expression that is zero everywhere.
            TooLarge: expanding it would pass the bounds.
        """
        match node:
            case Number() | Mixed():
                return RationalFunction(self.constant(rational(node)), self.one)
            case Symbol(name):
                letter = self._letters.get(name)
                if letter is None:  # the imaginary unit
                    raise NotRational
                return RationalFunction(letter, self.one)
            case Signed("-", body):
                part = self.function(body)
                return RationalFunction(-part.numerator, part.denominator)
            case Bracket(body):
                return self.function(body)
            case Sum(terms):
                total = RationalFunction(self.constant(fmpq(0)), self.one)
                for term in terms:
                    if term.sign == "+-":
                        raise NotRational
                    part = self.function(term.body)
                    if term.sign == "+":
                        part = RationalFunction(-part.numerator, part.denominator)
                    total = self.lowest(total.minus(part))
                return total
            case Product(factors, _):
                above, below = self.one, self.one
                for factor in factors:
                    part = self.function(factor)
                    above = self._times(above, part.numerator)
                    below = self._times(below, part.denominator)
                return self.lowest(RationalFunction(above, below))
            case Quotient(numerator, denominator, _):
                quotient = self.function(numerator).over(self.function(denominator))
                if quotient is None:
                    raise Undefined
                return self.lowest(quotient)
            case Power(base, exponent) if letters(node):
                return self._power(self.function(base), self._whole(exponent))
            case _ if not letters(node):  # exact roots and powers of numbers
                try:
                    return RationalFunction(self.constant(value_at(node, {})), self.one)
                except Undefined:  # no real value: the root of a negative may still be meant
                    raise NotRational from None
            case _:
                raise NotRational

    def lowest(self, part: RationalFunction) -> RationalFunction:
        """Return *part* with common factors divided out."""
        limits.require(
            len(part.numerator) + len(part.denominator) <= 2 * limits.EXPANDED_TERMS,
            "This line is too large when it is multiplied out. Use fewer terms.",
        )
        if part.denominator is self.one:
            return part
        if part.denominator.is_constant():
            scale = part.denominator.leading_coefficient()
            return RationalFunction(part.numerator / scale, self.one)
        common = part.numerator.gcd(part.denominator)
        if common.is_one():
            return part
        return RationalFunction(part.numerator / common, part.denominator / common)

    def _times(self, a: fmpq_mpoly, b: fmpq_mpoly) -> fmpq_mpoly:
        if b is self.one:
            return a
        limits.require(
            len(a) * len(b) <= 10 * limits.EXPANDED_TERMS,
            "This product is too large when it is multiplied out. Use fewer terms.",
        )
        return a * b

    def _whole(self, exponent: Expr) -> int:
        value = self.function(exponent).constant()
        if value is None or value.q != 1:
            raise NotRational
        return int(value.p)

    def _power(self, part: RationalFunction, exponent: int) -> RationalFunction:
        if part.is_zero and exponent <= 0:
            raise Undefined
        if exponent < 0:
            part, exponent = RationalFunction(part.denominator, part.numerator), -exponent
        return RationalFunction(
            self._raise(part.numerator, exponent), self._raise(part.denominator, exponent)
        )

    def _raise(self, base: fmpq_mpoly, exponent: int) -> fmpq_mpoly:
        if base.is_constant():
            value = base.leading_coefficient() if not base.is_zero() else fmpq(0)
            return self.constant(raised(value, exponent) if exponent else fmpq(1))
        terms = len(base)
        limits.require(
            terms == 1
            or (
                exponent <= limits.DEGREE
                and comb(exponent + terms - 1, terms - 1) <= limits.EXPANDED_TERMS
            ),
            "This power is too large when it is multiplied out. Use a smaller exponent.",
        )
        if terms == 1:  # only its coefficient grows
            raised(base.leading_coefficient(), exponent)
        limits.require(
            exponent * max(map(int, base.degrees()), default=0) <= limits.LARGEST_DEGREE,
            "This power is too high to work with. Use a smaller exponent.",
        )
        return base**exponent

    def key(self, polynomial: fmpq_mpoly) -> Key:
        """Return *polynomial* up to a number factor, hashable."""
        if polynomial.is_zero():
            return ()
        lead = polynomial.leading_coefficient()
        return tuple((tuple(map(int, m)), str(c / lead)) for m, c in polynomial.terms())

    def factors(self, polynomial: fmpq_mpoly) -> tuple["Factor", ...]:
        """Return the distinct irreducible factors over ℚ; none for a constant."""
        return tuple(factor for factor, _ in self.factored(polynomial)[1])

    def factored(self, polynomial: fmpq_mpoly) -> tuple[fmpq, list[tuple["Factor", int]]]:
        """Return the constant and the irreducible factors (primitive) with their exponents."""
        if polynomial.is_constant():
            return polynomial.leading_coefficient(), []
        if len(polynomial) > 1:
            content = polynomial.term_content()
            highest = max(map(int, (polynomial / content).degrees()))
            limits.require(
                highest <= limits.DEGREE,
                f"This line has a sum of degree {highest}; up to {limits.DEGREE} are worked with.",
            )
        constant, found = polynomial.factor()
        return constant, [(Factor(self.key(f), f, self.names), int(power)) for f, power in found]

    def taken(self, polynomial: fmpq_mpoly) -> fmpq_mpoly:
        """Return a polynomial of another ring that holds no letters but those of this one."""
        return polynomial.project_to_context(self._context)

    def letter_factor(self, name: str) -> "Factor":
        """Return the letter *name* as an irreducible factor."""
        letter = self._letters[name]
        return Factor(self.key(letter), letter, self.names)


@dataclass(frozen=True)
class Factor:
    """An irreducible polynomial, compared by its key. Distinct ones share no zeros in one letter."""

    key: Key
    polynomial: Any
    names: tuple[str, ...]

    def __eq__(self, other: object) -> bool:
        return isinstance(other, Factor) and self.key == other.key

    def __hash__(self) -> int:
        return hash(self.key)

    @cached_property
    def letters(self) -> frozenset[str]:
        """The letters that occur."""
        degrees = self.polynomial.degrees()
        return frozenset(n for n, d in zip(self.names, degrees, strict=False) if d > 0)

    @cached_property
    def coefficients(self) -> tuple[fmpq, ...]:
        """Coefficients from the constant up; only for one letter."""
        place = next(n for n, name in enumerate(self.names) if name in self.letters)
        found = {int(m[place]): c for m, c in self.polynomial.terms()}
        return tuple(found.get(n, fmpq(0)) for n in range(max(found) + 1))

    @cached_property
    def has_real_zero(self) -> bool:
        """Whether some real value makes it zero (always said of several letters); π never does."""
        if self.letters == {"π"}:
            return False
        if len(self.letters) != 1 or len(self.coefficients) % 2 == 0:
            return True
        common = 1
        for coefficient in self.coefficients:
            common = common * int(coefficient.q)
        whole = fmpz_poly([int((c * common).p) for c in self.coefficients])
        roots: list[Any] = whole.complex_roots()
        return any(root.imag == 0 for root, _ in roots)

    @cached_property
    def rational_zero(self) -> fmpq | None:
        """The zero of a linear factor in one letter, else None."""
        if len(self.letters) == 1 and len(self.coefficients) == 2:
            return -self.coefficients[0] / self.coefficients[1]
        return None


@lru_cache(maxsize=256)
def ring(names: tuple[str, ...]) -> Ring:
    """Return the ring in *names* (sorted, without repeats)."""
    return Ring(names)
