"""The field of a cell: rational functions in letters, roots and exponentials with fixed signs.

Each root |a|^(1/N) of an atom is a generator g with g^N = ±a, each a^(monomial/M) a free one. Real
radicals of multiplicatively independent elements are linearly independent (Besicovitch, Mordell),
so a value is zero in the cell exactly when its reduced form is; for roots over sums that hold roots
("nested") a reduced form of zero is a proof, another one is none.
"""

from dataclasses import dataclass
from math import floor
from typing import Any

from flint import fmpq, fmpq_mpoly, fmpq_mpoly_ctx

from uchuu_core import limits
from uchuu_core.kernel.cells import Signs
from uchuu_core.kernel.points import NotRational, Undefined, rational
from uchuu_core.kernel.powers import CONSTANT, Atom, Monomial, Plan, Powers
from uchuu_core.kernel.rational_functions import Factor, RationalFunction, ascii_names
from uchuu_core.tree.nodes import (
    Absolute,
    Bracket,
    Expr,
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

SLOTS = 16
"""Generators that one extension may have."""


@dataclass(slots=True)
class Generator:
    """A root or exponential that stands as a letter of its own.

    ``power``: the N of its relation g^N = relation; 0 for an exponential, which has none.
    ``tree``: what it is, in letters and earlier roots (exponentials: None).
    """

    place: int
    power: int
    relation: RationalFunction | None
    atom: Atom | None = None
    monomial: Monomial = CONSTANT
    share: int = 1


class Extension:
    """Values of trees in one cell.

    Args:
        plan: What the roots of all lines that are compared need.
        signs: The signs of the plan's atoms in this cell.
        is_complex: Whether ``i`` is the imaginary unit.
    """

    def __init__(self, plan: Plan, signs: Signs, *, is_complex: bool = False) -> None:
        self.plan = plan
        self.signs = signs
        self.is_complex = is_complex
        self.names = plan.ring.names
        slots = tuple(f"_{n}" for n in range(SLOTS))
        self.context = fmpq_mpoly_ctx.get(ascii_names(self.names) + slots, "lex")
        self._gens = self.context.gens()
        self.one = self.context.constant(fmpq(1))
        self.zero = self.context.constant(fmpq(0))
        self.generators: list[Generator] = []
        self._known: dict[int, tuple[Expr, RationalFunction]] = {}
        """By identity (hashing a tree costs more); the node is kept so that its id stays its own."""
        self._unit: Generator | None = None

    # elements

    def element(self, node: Expr) -> RationalFunction:
        """Return *node* in this cell, reduced.

        Raises:
            Undefined: it has no real value anywhere in the cell, or divides by zero.
            NotRational: it is of a kind that has no generators.
            TooLarge: a bound is passed.
        """
        known = self._known.get(id(node))
        if known is None:
            known = self._known[id(node)] = (node, self._element(node))
        return known[1]

    def _element(self, node: Expr) -> RationalFunction:
        match node:
            case Number() | Mixed():
                return self._whole(self.context.constant(rational(node)))
            case Symbol(name):
                if name in self.names:
                    return self._whole(self._gens[self.names.index(name)])
                if name == "i" and self.is_complex:
                    return self._imaginary_unit()
                raise NotRational
            case Signed("-", body):
                part = self.element(body)
                return RationalFunction(-part.numerator, part.denominator)
            case Bracket(body):
                return self.element(body)
            case Sum(terms):
                total = self._whole(self.zero)
                for term in terms:
                    if term.sign == "+-":
                        raise NotRational
                    part = self.element(term.body)
                    if term.sign == "+":
                        part = RationalFunction(-part.numerator, part.denominator)
                    total = self._lowest(total.minus(part))
                return total
            case Product(factors, _):
                result = self._whole(self.one)
                for factor in factors:
                    result = self._times(result, self.element(factor))
                return result
            case Quotient(numerator, denominator, _):
                below = self.element(denominator)
                return self._times(self.element(numerator), self._inverse(below))
            case _ if self.plan.multiplicative.is_power_of_interest(node):
                return self._root_like(node)
            case Power(base, exponent):
                by = self.plan.multiplicative.exponent(exponent)
                assert by is not None
                return self.raised(self.element(base), int(by[CONSTANT].p))
            case _:
                raise NotRational

    def _whole(self, polynomial: fmpq_mpoly) -> RationalFunction:
        return RationalFunction(polynomial, self.one)

    def _inverse(self, part: RationalFunction) -> RationalFunction:
        if part.is_zero:
            raise Undefined
        return RationalFunction(part.denominator, part.numerator)

    def _times(self, a: RationalFunction, b: RationalFunction) -> RationalFunction:
        for x, y in ((a.numerator, b.numerator), (a.denominator, b.denominator)):
            limits.require(
                len(x) * len(y) <= 4 * limits.EXPANDED_TERMS,
                "This product is too large when it is multiplied out. Use fewer terms.",
            )
        return self._lowest(
            RationalFunction(a.numerator * b.numerator, a.denominator * b.denominator)
        )

    def raised(self, part: RationalFunction, exponent: int) -> RationalFunction:
        """Return an integer power, by squaring, reduced on the way."""
        if exponent <= 0 and part.is_zero:
            raise Undefined
        limits.require(abs(exponent) <= limits.DEGREE, "This exponent is too large here.")
        if exponent < 0:
            part, exponent = self._inverse(part), -exponent
        result = self._whole(self.one)
        while exponent:
            if exponent % 2:
                result = self._times(result, part)
            exponent //= 2
            if exponent:
                part = self._times(part, part)
        return result

    def _lowest(self, part: RationalFunction) -> RationalFunction:
        above, below = self._reduced(part.numerator), self._reduced(part.denominator)
        numerator = above.numerator * below.denominator
        denominator = below.numerator * above.denominator
        if denominator.is_zero():
            raise Undefined
        if denominator.is_constant():
            return RationalFunction(numerator / denominator.leading_coefficient(), self.one)
        common = numerator.gcd(denominator)
        if not common.is_constant():
            numerator, denominator = numerator / common, denominator / common
        limits.require(
            len(numerator) + len(denominator) <= 2 * limits.EXPANDED_TERMS,
            "This line is too large when it is multiplied out. Use fewer terms.",
        )
        return RationalFunction(numerator, denominator)

    def _reduced(self, polynomial: fmpq_mpoly) -> RationalFunction:
        """Replace powers of generators by their relations, later generators first."""
        below = self.one
        for generator in reversed(self.generators):
            if generator.relation is None:
                continue
            degree = int(polynomial.degrees()[generator.place])
            if degree < generator.power:
                continue
            by_power = self.coefficients(polynomial, generator.place)
            most = degree // generator.power
            relation, total = generator.relation, self.zero
            for power, coefficient in by_power.items():
                times, rest = divmod(power, generator.power)
                total += (
                    coefficient
                    * self._gens[generator.place] ** rest
                    * relation.numerator**times
                    * relation.denominator ** (most - times)
                )
            below *= relation.denominator**most
            polynomial = total
        return RationalFunction(polynomial, below)

    def coefficients(self, polynomial: fmpq_mpoly, place: int) -> dict[int, fmpq_mpoly]:
        """Return the coefficients of *polynomial* by power of the variable at *place*."""
        split: dict[int, dict[tuple[int, ...], fmpq]] = {}
        for monomial, coefficient in polynomial.terms():
            degrees = tuple(map(int, monomial))
            rest = (*degrees[:place], 0, *degrees[place + 1 :])
            split.setdefault(degrees[place], {})[rest] = coefficient
        return {power: self.context.from_dict(terms) for power, terms in split.items()}

    # roots, absolute values, powers that are not whole

    def _root_like(self, node: Expr) -> RationalFunction:
        powers = self.plan.multiplicative.powers(node)
        if powers is None:
            return self._nested(node)
        if self.is_complex and isinstance(node, Root) and self.sign(node.radicand) < 0:
            if node.index != 2:
                raise NotRational
            return self._times(self._imaginary_unit(), self._of_powers(powers))
        value = self._of_powers(powers)
        if self.sign(node) < 0:
            return RationalFunction(-value.numerator, value.denominator)
        return value

    def sign(self, node: Expr) -> int:
        """Return the sign of a product of powers in this cell.

        Raises:
            Undefined: an even root, or a power with letters, of a negative.
        """
        match node:
            case Number() | Mixed() | Absolute():
                return 1
            case Signed("-", body):
                return -self.sign(body)
            case Bracket(body):
                return self.sign(body)
            case Symbol(name):
                return self.signs[self.plan.ring.letter_factor(name)]
            case Product(factors, _):
                result = 1
                for factor in factors:
                    result *= self.sign(factor)
                return result
            case Quotient(numerator, denominator, _):
                return self.sign(numerator) * self.sign(denominator)
            case Root(index, radicand):
                return self._sign_of_power(radicand, fmpq(1, index))
            case Power(base, exponent):
                by = self.plan.multiplicative.exponent(exponent)
                if by is None:
                    raise NotRational
                return self._sign_of_power(base, by[CONSTANT] if set(by) == {CONSTANT} else None)
            case _:
                return self._sign_of_sum(node)

    def _sign_of_power(self, base: Expr, exponent: fmpq | None) -> int:
        sign = self.sign(base)
        if sign > 0:
            return 1
        if exponent is None or int(exponent.q) % 2 == 0:
            raise Undefined
        return -1 if int(exponent.p) % 2 else 1

    def _sign_of_sum(self, node: Expr) -> int:
        value = self.plan.ring.function(node)
        sign = 1
        for polynomial in (value.numerator, value.denominator):
            constant, factors = self.plan.ring.factored(polynomial)
            sign *= 1 if constant > 0 else -1
            for factor, power in factors:
                if power % 2:
                    sign *= self.signs[factor]
        return sign

    def _of_powers(self, powers: Powers) -> RationalFunction:
        result = self._whole(self.one)
        for atom, exponent in powers.items():
            for monomial, value in exponent.items():
                if value != 0:
                    result = self._times(result, self._atom_power(atom, monomial, value))
        return result

    def _atom_power(self, atom: Atom, monomial: Monomial, exponent: fmpq) -> RationalFunction:
        share = self.plan.shares.get((atom, monomial), int(exponent.q))
        if share % int(exponent.q):
            raise NotRational
        steps = int((exponent * share).p)
        if monomial != CONSTANT:
            generator = self._exponential(atom, monomial, share)
            return self.raised(self._whole(self._gens[generator.place]), steps)
        whole = floor(steps / share)
        value = self.raised(self._whole(self._size(atom)), whole)
        if steps == whole * share:
            return value
        generator = self._atom_root(atom, share)
        return self._times(
            value, self._whole(self._gens[generator.place] ** (steps - whole * share))
        )

    def _size(self, atom: Atom) -> fmpq_mpoly:
        """Return the absolute value of *atom* in this cell as a polynomial."""
        if isinstance(atom, Factor):
            size: fmpq_mpoly = atom.polynomial.project_to_context(self.context)
            return size * self.signs[atom]
        return self.context.constant(fmpq(atom))

    def _new(self, power: int, relation: RationalFunction | None, **more: Any) -> Generator:
        if len(self.generators) == SLOTS:
            raise NotRational
        place = len(self.names) + len(self.generators)
        generator = Generator(place, power, relation, **more)
        self.generators.append(generator)
        return generator

    def _find(self, atom: Atom, monomial: Monomial) -> Generator | None:
        for generator in self.generators:
            if generator.atom == atom and generator.monomial == monomial:
                return generator
        return None

    def _atom_root(self, atom: Atom, share: int) -> Generator:
        found = self._find(atom, CONSTANT)
        return found or self._new(share, self._whole(self._size(atom)), atom=atom, share=share)

    def _exponential(self, atom: Atom, monomial: Monomial, share: int) -> Generator:
        found = self._find(atom, monomial)
        return found or self._new(0, None, atom=atom, monomial=monomial, share=share)

    def _imaginary_unit(self) -> RationalFunction:
        if self._unit is None:
            self._unit = self._new(2, self._whole(-self.one))
        return self._whole(self._gens[self._unit.place])

    def _nested(self, node: Expr) -> RationalFunction:
        match node:
            case Absolute(body):
                inner = self.element(body)
                return self._nested_root(self._times(inner, inner), 2)
            case Root(index, radicand):
                return self._nested_root(self.element(radicand), index)
            case Power(base, exponent):
                by = self.plan.multiplicative.exponent(exponent)
                if by is None or set(by) != {CONSTANT}:
                    raise NotRational
                root = self._nested_root(self.element(base), int(by[CONSTANT].q))
                return self.raised(root, int(by[CONSTANT].p))
            case _:
                raise NotRational

    def _nested_root(self, inner: RationalFunction, index: int) -> RationalFunction:
        if inner.is_zero:
            return inner
        if inner.numerator == inner.denominator:
            return inner
        for generator in self.generators:
            if generator.power == index and generator.relation is not None:
                if generator.atom is None and generator.relation.equals(inner):
                    return self._whole(self._gens[generator.place])
        generator = self._new(index, inner)
        return self._whole(self._gens[generator.place])

    # the norm

    def norm(self, polynomial: fmpq_mpoly) -> fmpq_mpoly:
        """Return a polynomial without roots that is zero wherever *polynomial* is.

        It is the product over all sheets, so it may have zeros that *polynomial* has not.
        """
        for generator in reversed(self.generators):
            if generator.relation is None:
                continue
            polynomial = self._reduced(polynomial).numerator
            by_power = self.coefficients(polynomial, generator.place)
            if set(by_power) <= {0}:
                continue
            relation = generator.relation
            if generator.power == 2:
                a, b = by_power.get(0, self.zero), by_power.get(1, self.zero)
                polynomial = a * a * relation.denominator - b * b * relation.numerator
            else:
                g = self._gens[generator.place]
                defining = relation.denominator * g**generator.power - relation.numerator
                polynomial = polynomial.resultant(defining, f"_{generator.place - len(self.names)}")
            limits.require(
                len(polynomial) <= 2 * limits.EXPANDED_TERMS,
                "The roots in this line are too many to take away. Use fewer.",
            )
        return polynomial
