"""Trees in the field of a cell, where the signs of roots and powers are fixed.

Each root |a|^(1/N) of an atom is a generator g with g^N = ±a, each a^(monomial/M) a free one. Real
radicals of multiplicatively independent elements are linearly independent (Besicovitch, Mordell),
so a value is zero in the cell exactly when its reduced form is; for roots over sums that hold roots
("nested") a reduced form of zero is a proof, another one is none.
"""

from math import floor

from flint import fmpq, fmpq_mpoly

from uchuu_core.kernel.cells import Signs
from uchuu_core.kernel.field import Field, Generator
from uchuu_core.kernel.points import NotRational, Undefined, rational
from uchuu_core.kernel.powers import CONSTANT, Atom, Monomial, Plan, Powers
from uchuu_core.kernel.rational_functions import Factor, RationalFunction
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
        self.field = Field(plan.ring.names)
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
                return self.field.whole(self.field.context.constant(rational(node)))
            case Symbol(name):
                if name in self.field.names:
                    return self.field.whole(self.field.gens[self.field.names.index(name)])
                if name == "i" and self.is_complex:
                    return self._imaginary_unit()
                raise NotRational
            case Signed("-", body):
                part = self.element(body)
                return RationalFunction(-part.numerator, part.denominator)
            case Bracket(body):
                return self.element(body)
            case Sum(terms):
                total = self.field.whole(self.field.zero)
                for term in terms:
                    if term.sign == "+-":
                        raise NotRational
                    part = self.element(term.body)
                    if term.sign == "+":
                        part = RationalFunction(-part.numerator, part.denominator)
                    total = self.field.lowest(total.minus(part))
                return total
            case Product(factors, _):
                result = self.field.whole(self.field.one)
                for factor in factors:
                    result = self.field.times(result, self.element(factor))
                return result
            case Quotient(numerator, denominator, _):
                below = self.element(denominator)
                return self.field.times(self.element(numerator), self.field.inverse(below))
            case _ if self.plan.multiplicative.is_power_of_interest(node):
                return self._root_like(node)
            case Power(base, exponent):
                by = self.plan.multiplicative.exponent(exponent)
                assert by is not None
                return self.field.raised(self.element(base), int(by[CONSTANT].p))
            case _:
                raise NotRational

    # roots, absolute values, powers that are not whole

    def _root_like(self, node: Expr) -> RationalFunction:
        powers = self.plan.multiplicative.powers(node)
        if powers is None:
            return self._nested(node)
        if self.is_complex and isinstance(node, Root) and self.sign(node.radicand) < 0:
            if node.index != 2:
                raise NotRational
            return self.field.times(self._imaginary_unit(), self._of_powers(powers))
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
        result = self.field.whole(self.field.one)
        for atom, exponent in powers.items():
            for monomial, value in exponent.items():
                if value != 0:
                    result = self.field.times(result, self._atom_power(atom, monomial, value))
        return result

    def _atom_power(self, atom: Atom, monomial: Monomial, exponent: fmpq) -> RationalFunction:
        share = self.plan.shares.get((atom, monomial), int(exponent.q))
        if share % int(exponent.q):
            raise NotRational
        steps = int((exponent * share).p)
        if monomial != CONSTANT:
            generator = self._exponential(atom, monomial, share)
            return self.field.raised(self.field.whole(self.field.gens[generator.place]), steps)
        whole = floor(steps / share)
        value = self.field.raised(self.field.whole(self._size(atom)), whole)
        if steps == whole * share:
            return value
        generator = self._atom_root(atom, share)
        return self.field.times(
            value, self.field.whole(self.field.gens[generator.place] ** (steps - whole * share))
        )

    def _size(self, atom: Atom) -> fmpq_mpoly:
        """Return the absolute value of *atom* in this cell as a polynomial."""
        if isinstance(atom, Factor):
            size: fmpq_mpoly = atom.polynomial.project_to_context(self.field.context)
            return size * self.signs[atom]
        return self.field.context.constant(fmpq(atom))

    def _atom_root(self, atom: Atom, share: int) -> Generator:
        found = self.field.find(atom, CONSTANT)
        return found or self.field.new(
            share, self.field.whole(self._size(atom)), atom=atom, share=share
        )

    def _exponential(self, atom: Atom, monomial: Monomial, share: int) -> Generator:
        found = self.field.find(atom, monomial)
        return found or self.field.new(0, None, atom=atom, monomial=monomial, share=share)

    def _imaginary_unit(self) -> RationalFunction:
        if self._unit is None:
            self._unit = self.field.new(2, self.field.whole(-self.field.one))
        return self.field.whole(self.field.gens[self._unit.place])

    def _nested(self, node: Expr) -> RationalFunction:
        match node:
            case Absolute(body):
                inner = self.element(body)
                return self._nested_root(self.field.times(inner, inner), 2)
            case Root(index, radicand):
                return self._nested_root(self.element(radicand), index)
            case Power(base, exponent):
                by = self.plan.multiplicative.exponent(exponent)
                if by is None or set(by) != {CONSTANT}:
                    raise NotRational
                root = self._nested_root(self.element(base), int(by[CONSTANT].q))
                return self.field.raised(root, int(by[CONSTANT].p))
            case _:
                raise NotRational

    def _nested_root(self, inner: RationalFunction, index: int) -> RationalFunction:
        if inner.is_zero:
            return inner
        if inner.numerator == inner.denominator:
            return inner
        for generator in self.field.generators:
            if generator.power == index and generator.relation is not None:
                if generator.atom is None and generator.relation.equals(inner):
                    return self.field.whole(self.field.gens[generator.place])
        generator = self.field.new(index, inner)
        return self.field.whole(self.field.gens[generator.place])
