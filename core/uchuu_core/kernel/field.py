"""Arithmetic with generators: rational functions in letters, roots and exponentials, kept reduced."""

from dataclasses import dataclass
from typing import Any

from flint import fmpq, fmpq_mpoly, fmpq_mpoly_ctx

from uchuu_core import limits
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.powers import CONSTANT, Atom, Monomial
from uchuu_core.kernel.rational_functions import RationalFunction, ascii_names

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


class Field:
    """A field of rational functions in letters, to which generators are added as they are needed.

    Args:
        names: The letters.
    """

    def __init__(self, names: tuple[str, ...]) -> None:
        self.names = names
        slots = tuple(f"_{n}" for n in range(SLOTS))
        self.context = fmpq_mpoly_ctx.get(ascii_names(names) + slots, "lex")
        self.gens = self.context.gens()
        self.one = self.context.constant(fmpq(1))
        self.zero = self.context.constant(fmpq(0))
        self.generators: list[Generator] = []

    def whole(self, polynomial: fmpq_mpoly) -> RationalFunction:
        """Return a polynomial over 1."""
        return RationalFunction(polynomial, self.one)

    def inverse(self, part: RationalFunction) -> RationalFunction:
        """Return 1 over *part*; ``Undefined`` where it is zero."""
        if part.is_zero:
            raise Undefined
        return RationalFunction(part.denominator, part.numerator)

    def times(self, a: RationalFunction, b: RationalFunction) -> RationalFunction:
        """Return the product, reduced; ``TooLarge`` past the bounds."""
        for x, y in ((a.numerator, b.numerator), (a.denominator, b.denominator)):
            limits.require(
                len(x) * len(y) <= 4 * limits.EXPANDED_TERMS,
                "This product is too large when it is multiplied out. Use fewer terms.",
            )
        return self.lowest(
            RationalFunction(a.numerator * b.numerator, a.denominator * b.denominator)
        )

    def raised(self, part: RationalFunction, exponent: int) -> RationalFunction:
        """Return an integer power, by squaring, reduced on the way."""
        if exponent <= 0 and part.is_zero:
            raise Undefined
        limits.require(abs(exponent) <= limits.DEGREE, "This exponent is too large here.")
        if exponent < 0:
            part, exponent = self.inverse(part), -exponent
        result = self.whole(self.one)
        while exponent:
            if exponent % 2:
                result = self.times(result, part)
            exponent //= 2
            if exponent:
                part = self.times(part, part)
        return result

    def lowest(self, part: RationalFunction) -> RationalFunction:
        """Return *part* reduced and with common factors divided out."""
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
                    * self.gens[generator.place] ** rest
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

    def new(self, power: int, relation: RationalFunction | None, **more: Any) -> Generator:
        """Return a further generator; ``NotRational`` when there is no slot for it."""
        if len(self.generators) == SLOTS:
            raise NotRational
        place = len(self.names) + len(self.generators)
        generator = Generator(place, power, relation, **more)
        self.generators.append(generator)
        return generator

    def find(self, atom: Atom, monomial: Monomial) -> Generator | None:
        """Return the generator of a power of *atom*, if there is one."""
        for generator in self.generators:
            if generator.atom == atom and generator.monomial == monomial:
                return generator
        return None

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
                g = self.gens[generator.place]
                defining = relation.denominator * g**generator.power - relation.numerator
                polynomial = polynomial.resultant(defining, f"_{generator.place - len(self.names)}")
            limits.require(
                len(polynomial) <= 2 * limits.EXPANDED_TERMS,
                "The roots in this line are too many to take away. Use fewer.",
            )
        return polynomial
