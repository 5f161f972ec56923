"""Products of powers: how roots, rational exponents and letters in exponents are taken apart.

Under a root, a product is written as a sign times powers of *atoms*: primes, and irreducible
polynomials in the letters. Exponents are polynomials in the letters with rational coefficients
(3^(2k+1) is 3^1 · (3^k)^2), so one form serves radicals and exponentials. Everything here is about
absolute values; the signs of the atoms are those of a cell (``cells``).
"""

from functools import lru_cache
from math import lcm

from flint import fmpq, fmpq_mpoly, fmpz

from uchuu_core.kernel.points import NotRational, Undefined, rational
from uchuu_core.kernel.rational_functions import Factor, Ring
from uchuu_core.tree.nodes import (
    Absolute,
    Bracket,
    Expr,
    Line,
    Mixed,
    Number,
    Power,
    Product,
    Quotient,
    Root,
    Signed,
    Symbol,
)
from uchuu_core.tree.paths import letters, parts

Atom = int | Factor
Monomial = tuple[int, ...]
"""Degrees of the ring's letters in one term of an exponent; empty for a constant one."""
Exponent = dict[Monomial, fmpq]
Powers = dict[Atom, Exponent]

LARGEST_FACTORED = 10**30
"""Whole numbers above are kept as one atom: taking them apart would cost too much."""


def _scaled(powers: Powers, factor: Exponent) -> Powers:
    found: Powers = {}
    for atom, exponent in powers.items():
        product: Exponent = {}
        for m, a in exponent.items():
            for n, b in factor.items():
                key = m if not n else n if not m else tuple(map(sum, zip(m, n, strict=True)))
                product[key] = product.get(key, fmpq(0)) + a * b
        found[atom] = product
    return found


def _joined(*parts: Powers) -> Powers:
    found: Powers = {}
    for part in parts:
        for atom, exponent in part.items():
            mine = found.setdefault(atom, {})
            for monomial, value in exponent.items():
                mine[monomial] = mine.get(monomial, fmpq(0)) + value
    return found


CONSTANT: Monomial = ()


def _constant(value: fmpq) -> Exponent:
    return {CONSTANT: value}


@lru_cache(maxsize=4096)
def _of_integer(number: int) -> tuple[tuple[int, int], ...]:
    if number == 1:
        return ()
    if number > LARGEST_FACTORED:
        return ((number, 1),)
    return tuple((int(prime), int(power)) for prime, power in fmpz(number).factor())


def powers_of_number(value: fmpq) -> Powers:
    """Return |*value*| as powers of primes; *value* is not zero."""
    above: Powers = {p: _constant(fmpq(k)) for p, k in _of_integer(abs(int(value.p)))}
    below: Powers = {p: _constant(fmpq(-k)) for p, k in _of_integer(int(value.q))}
    return _joined(above, below)


class Multiplicative:
    """Takes products apart, for the letters of one ring."""

    def __init__(self, ring: Ring) -> None:
        self.ring = ring
        self._known: dict[int, tuple[Expr, Powers | None]] = {}
        """By identity (hashing a tree costs more); the node is kept so that its id stays its own."""

    def powers(self, node: Expr) -> Powers | None:
        """Return |*node*| as powers of atoms, None when it is a sum that holds roots.

        Raises:
            Undefined: it divides by zero everywhere.
        """
        known = self._known.get(id(node))
        if known is None:
            known = self._known[id(node)] = (node, self._powers(node))
        return known[1]

    def _powers(self, node: Expr) -> Powers | None:
        match node:
            case Number() | Mixed():
                value = rational(node)
                return powers_of_number(value) if value != 0 else None
            case Signed("-", body) | Bracket(body) | Absolute(body):
                return self.powers(body)
            case Symbol(name) if name in self.ring.names:
                return {self.ring.letter_factor(name): _constant(fmpq(1))}
            case Product(factors, _):
                found = [self.powers(factor) for factor in factors]
                return None if None in found else _joined(*found)  # type: ignore[arg-type]
            case Quotient(numerator, denominator, _):
                above, below = self.powers(numerator), self.powers(denominator)
                if above is None or below is None:
                    return None
                return _joined(above, _scaled(below, _constant(fmpq(-1))))
            case Root(index, radicand):
                inner = self.powers(radicand)
                return None if inner is None else _scaled(inner, _constant(fmpq(1, index)))
            case Power(base, exponent):
                inner, by = self.powers(base), self.exponent(exponent)
                return None if inner is None or by is None else _scaled(inner, by)
            case _:
                return self._of_sum(node)

    def _of_sum(self, node: Expr) -> Powers | None:
        try:
            value = self.ring.function(node)
        except NotRational:
            return None
        if value.is_zero:
            return None
        return _joined(
            self._of_polynomial(value.numerator),
            _scaled(self._of_polynomial(value.denominator), _constant(fmpq(-1))),
        )

    def _of_polynomial(self, polynomial: fmpq_mpoly) -> Powers:
        constant, factors = self.ring.factored(polynomial)
        found = powers_of_number(constant)
        for factor, power in factors:
            found = _joined(found, {factor: _constant(fmpq(power))})
        return found

    def exponent(self, node: Expr) -> Exponent | None:
        """Return an exponent as a polynomial in the letters, None when it is none."""
        try:
            value = self.ring.function(node)
        except (NotRational, Undefined):
            return None
        if not value.denominator.is_constant():
            return None
        below = value.denominator.leading_coefficient()
        found: Exponent = {}
        for monomial, coefficient in value.numerator.terms():
            degrees = tuple(int(d) for d in monomial)
            found[degrees if any(degrees) else CONSTANT] = coefficient / below
        return found or _constant(fmpq(0))

    def is_power_of_interest(self, node: Expr) -> bool:
        """Return whether *node* is a root, an absolute value or a power that is not whole."""
        match node:
            case Root() | Absolute():
                return True
            case Power(_, exponent):
                by = self.exponent(exponent)
                return by is None or set(by) != {CONSTANT} or by[CONSTANT].q != 1
            case _:
                return False


class Plan:
    """What the roots and exponents of some lines need: one for all cells.

    Attributes:
        shares: for each atom and monomial, the common denominator of its exponents.
        signed: irreducible polynomials whose sign matters, in the order of their keys.
        is_simple: whether no root stands over a sum that holds roots.
    """

    def __init__(self, lines: tuple[Line, ...], ring: Ring) -> None:
        self.ring = ring
        self.multiplicative = Multiplicative(ring)
        self.shares: dict[tuple[Atom, Monomial], int] = {}
        self.is_simple = True
        signed: set[Factor] = set()
        for line in lines:
            for part in parts(line):
                if not self.multiplicative.is_power_of_interest(part):
                    continue
                try:
                    powers = self.multiplicative.powers(part)
                except Undefined:
                    continue
                if powers is None:
                    self.is_simple = self.is_simple and _is_zero(part, ring)
                    continue
                signed.update(self._atoms_below(part))
                for atom, exponent in powers.items():
                    self._note(atom, exponent)
        self.signed = tuple(sorted(signed, key=lambda factor: factor.key))

    def _atoms_below(self, part: Expr) -> list[Factor]:
        below = part.base if isinstance(part, Power) else getattr(part, "radicand", None)
        inner = self.multiplicative.powers(below if below is not None else part)
        return [atom for atom in inner or () if isinstance(atom, Factor)]

    def _note(self, atom: Atom, exponent: Exponent) -> None:
        for monomial, value in exponent.items():
            key = (atom, monomial)
            self.shares[key] = lcm(self.shares.get(key, 1), int(value.q))

    @property
    def has_letter_powers(self) -> bool:
        """Whether a letter stands in the exponent of a base that holds letters."""
        return any(monomial and isinstance(atom, Factor) for atom, monomial in self.shares)

    @property
    def has_exponentials(self) -> bool:
        """Whether a letter stands in an exponent."""
        return any(monomial for _, monomial in self.shares)


def _is_zero(node: Expr, ring: Ring) -> bool:
    """Whether *node* is a root or power of plain zero."""
    inner = node
    while isinstance(inner, (Root, Power, Absolute, Bracket)):
        inner = inner.base if isinstance(inner, Power) else getattr(inner, "radicand", None) or inner.body  # type: ignore[union-attr] # fmt: skip
    if letters(inner):
        return False
    try:
        return ring.function(inner).is_zero
    except (NotRational, Undefined):
        return False
