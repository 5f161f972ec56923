"""Other numbers for a problem, drawn so that what made it work out stays: factors, roots, bases.

Each way of drawing takes a line and a source of chance and gives another line of the same look, or
None. None of them knows whether the result is a good twin: ``twin`` decides that.
"""

from collections.abc import Callable
from fractions import Fraction
from math import gcd
from random import Random

from flint import fmpq, fmpz

from uchuu_core.kernel.rational_functions import ring
from uchuu_core.tree.nodes import Line, Number, Quotient
from uchuu_core.tree.paths import Path, part_at, replace_at
from uchuu_core.twinning.places import (
    Monomial,
    Numeral,
    Polynomial,
    holds_powers_of_numbers,
    numerals,
    polynomials,
    rewritten,
    with_numeral,
)

Draw = Callable[[Line, Random], Line | None]
_BASES = (2, 3, 5, 7, 10)
_RADICANDS = (2, 3, 5, 6, 7, 10, 11, 13)
_PRIMES = (2, 3, 5, 7, 11, 13)


def draws_for(line: Line) -> list[Draw]:
    """Return the ways of drawing that suit *line*, the most careful first."""
    found: list[Draw] = []
    if polynomials(line):
        found += [by_factors, by_moving_zeros]
    if holds_powers_of_numbers(line):
        found += [by_bases, by_two_primes]
    return [*found, by_equal_values, by_each_value, by_bases]


def near(value: Fraction, chance: Random) -> Fraction:
    """Return another whole number, or decimal of as many places, of about the size of *value*."""
    if value.denominator != 1:
        places = 1
        while (value * 10**places).denominator != 1:
            places += 1
        return Fraction(near(value * 10**places, chance), 10**places)
    size = int(value)
    low, high = max(2, size // 2), max(9, size + size // 2)
    return Fraction(chance.randint(low, high))


class Table:
    """What became of each value, so that equal ones stay equal."""

    def __init__(self, chance: Random, *, keeps_equal: bool) -> None:
        self._chance, self._keeps = chance, keeps_equal
        self._known: dict[tuple[object, ...], Fraction] = {}

    def new(self, numeral: Numeral) -> Fraction:
        """Return the number that takes the place of *numeral*."""
        if numeral.index and numeral.value.denominator == 1:
            return self._radicand(int(numeral.value), numeral.index)
        if numeral.is_exponent:
            return self._of(("exponent", numeral.value), self._exponent)
        return self._of((numeral.value,), lambda: self._whole(numeral.value))

    def near(self, value: Fraction) -> Fraction:
        """Return another number of about this size."""
        return near(value, self._chance)

    def _of(self, key: tuple[object, ...], draw: Callable[[], Fraction]) -> Fraction:
        if not self._keeps:
            return draw()
        if key not in self._known:
            self._known[key] = draw()
        return self._known[key]

    def _exponent(self) -> Fraction:
        return Fraction(self._chance.randint(2, 6))

    def _whole(self, value: Fraction) -> Fraction:
        """A perfect power stays one half of the time."""
        root, power = perfect_power(value)
        if power > 1 and self._chance.random() < 0.5:
            return Fraction(self._chance.choice(range(2, max(4, root + 3))) ** power)
        return near(value, self._chance)

    def _radicand(self, value: int, index: int) -> Fraction:
        """Change the part that comes out of the root and the part that stays, each by itself."""
        outside, inside = split_power(value, index)
        if outside > 1:
            top = max(5, outside + 2)
            outside = int(self._of(("out", outside), lambda: near_small(self._chance, top)))
        if inside > 1:
            inside = int(
                self._of(("in", inside), lambda: Fraction(self._chance.choice(_RADICANDS)))
            )
        return Fraction(outside**index * inside)


def near_small(chance: Random, top: int) -> Fraction:
    """Return a whole number from 2 to *top*."""
    return Fraction(chance.randint(2, top))


def split_power(value: int, index: int) -> tuple[int, int]:
    """Return a, b with a^index · b = value and a as large as possible."""
    outside, inside = 1, 1
    for prime, power in fmpz(value).factor():
        outside *= int(prime) ** (power // index)
        inside *= int(prime) ** (power % index)
    return outside, inside


def perfect_power(value: Fraction) -> tuple[int, int]:
    """Return b, n with b^n = value and n as large as possible (value itself and 1 if there is none)."""
    if value.denominator != 1 or value < 4:
        return int(value), 1
    factors = [(int(p), int(e)) for p, e in fmpz(value.numerator).factor()]
    power = gcd(*(e for _, e in factors))
    root = 1
    for prime, exponent in factors:
        root *= prime ** (exponent // power)
    return root, power


def _by_table(line: Line, numbers: list[Numeral], table: Table) -> Line | None:
    for numeral in numbers:
        places = len(numeral.text.partition(".")[2])
        changed = with_numeral(line, numeral.path, table.new(numeral), places)
        if changed is None:
            return None
        line = changed
    return _with_whole_quotients(line, numbers, table)


def _with_whole_quotients(line: Line, numbers: list[Numeral], table: Table) -> Line | None:
    """Make every numeral a multiple of the one below it where it was one."""
    known = {numeral.path: numeral for numeral in numbers}
    for path, numeral in known.items():
        below = known.get((*path[:-1], 1)) if path and path[-1] == 0 else None
        if below is None or not _is_fraction(line, path):
            continue
        quotient = numeral.value / below.value
        if quotient.denominator == 1 and quotient > 1:
            divisor = part_at(line, below.path)
            assert isinstance(divisor, Number)
            changed = with_numeral(line, path, divisor.value * table.near(quotient))
            if changed is None:
                return None
            line = changed
    return line


def by_equal_values(line: Line, chance: Random) -> Line | None:
    """Every number becomes another one; equal ones stay equal."""
    return _by_table(line, numerals(line), Table(chance, keeps_equal=True))


def by_each_value(line: Line, chance: Random) -> Line | None:
    """Every number becomes another one by itself; some stay."""
    share = chance.choice((0.3, 0.5, 0.8))
    numbers = [n for n in numerals(line) if chance.random() < share]
    return _by_table(line, numbers, Table(chance, keeps_equal=False))


def by_bases(line: Line, chance: Random) -> Line | None:
    """Prime factors of the numbers are exchanged for others: powers of one base stay powers of one.

    Half of the time only those below bars: what is a common denominator stays one.
    """
    others = list(_PRIMES)
    chance.shuffle(others)
    table = dict(zip(_PRIMES, others, strict=True))
    only_below = chance.random() < 0.5
    for numeral in numerals(line):
        value = numeral.value
        is_below = numeral.path[-1:] == (1,) and _is_fraction(line, numeral.path)
        if numeral.is_exponent or (only_below and not is_below):
            continue
        new = Fraction(1)
        for part, sign in ((value.numerator, 1), (value.denominator, -1)):
            for prime, power in fmpz(part).factor():
                new *= Fraction(table.get(int(prime), int(prime))) ** (sign * int(power))
        places = len(numeral.text.partition(".")[2])
        changed = with_numeral(line, numeral.path, new, places)
        if changed is None:
            return None
        line = changed
    return line


def by_two_primes(line: Line, chance: Random) -> Line | None:
    """Numbers made of two primes are made anew of two: mixed ones stay mixed, powers of one stay powers of one."""
    known = sorted({int(p) for n in numerals(line) if not n.is_exponent for p, _ in _factors(n)})
    if len(known) != 2:
        return None
    primes = dict(zip(known, chance.sample(_PRIMES[:4], 2), strict=True))
    made: dict[Fraction, Fraction] = {}
    for numeral in numerals(line):
        if numeral.is_exponent:
            new = Fraction(chance.randint(2, max(3, int(numeral.value))))
        else:
            if numeral.value not in made:
                whole = Fraction(1)
                for prime, _ in _factors(numeral):
                    whole *= Fraction(primes[int(prime)]) ** chance.randint(1, 2)
                if whole in made.values():
                    return None  # different numbers stay different
                made[numeral.value] = whole
            new = made[numeral.value]
        changed = with_numeral(line, numeral.path, new)
        if changed is None:
            return None
        line = changed
    return line


def _factors(numeral: Numeral) -> list[tuple[fmpz, int]]:
    whole = numeral.value.denominator == 1 and numeral.value > 1
    return list(fmpz(numeral.value.numerator).factor()) if whole else []


def _is_fraction(line: Line, path: Path) -> bool:
    return isinstance(part_at(line, path[:-1]), Quotient)


def by_factors(line: Line, chance: Random) -> Line | None:
    """Polynomials are multiplied out anew from other factors: what they share, they still share."""
    zeros: dict[tuple[int, int], tuple[int, int]] = {}
    scale = Fraction(chance.choice((1, 2, 3)), chance.choice((1, 1, 2)))
    contents: dict[int, int] = {}
    inside = polynomials(line)
    for polynomial in inside:
        changed = rewritten(polynomial, _refactored(polynomial, zeros, contents, scale, chance))
        if changed is None:
            return None
        line = replace_at(line, polynomial.path, changed)
    return _outside(line, inside, chance)


def _outside(line: Line, inside: list[Polynomial], chance: Random) -> Line | None:
    """Change the numbers outside the polynomials, often only some of them."""
    paths = [polynomial.path for polynomial in inside]
    share = chance.choice((1.0, 1.0, 0.5, 0.0))
    numbers = [
        n
        for n in numerals(line)
        if not any(n.path[: len(path)] == path for path in paths) and chance.random() < share
    ]
    return _by_table(line, numbers, Table(chance, keeps_equal=True))


def _refactored(
    polynomial: Polynomial,
    zeros: dict[tuple[int, int], tuple[int, int]],
    contents: dict[int, int],
    scale: Fraction,
    chance: Random,
) -> dict[Monomial, int]:
    names = tuple(sorted({name for m in polynomial.coefficients for name, _ in m}))
    algebra = ring(names)
    whole = algebra.function(polynomial.node).numerator
    constant, factors = algebra.factored(whole)
    content = abs(int(constant.p))
    if content > 1:
        contents.setdefault(content, chance.randint(2, max(5, content)))
        content = contents[content]
    product = algebra.constant(fmpq(content if constant > 0 else -content))
    for factor, power in factors:
        terms = [(tuple(map(int, m)), int(c.p)) for m, c in factor.polynomial.terms()]
        is_linear = len(terms) == 2 and all(sum(m) <= 1 for m, _ in terms)
        (first, a), (second, b) = (terms[0], terms[-1]) if len(terms) > 1 else (terms[0],) * 2
        if len(terms) == 1:
            new = factor.polynomial
        elif is_linear:
            key = (abs(a), abs(b))
            if key not in zeros:
                zeros[key] = _other_zero(key, chance, set(zeros.values()))
            p, q = zeros[key]
            new = factor.polynomial * 0
            for monomial, value in ((first, p if a > 0 else -p), (second, q if b > 0 else -q)):
                part = algebra.constant(fmpq(value))
                for name, exponent in zip(names, monomial, strict=False):
                    part = part * algebra.letter(name) ** exponent
                new = new + part
        else:
            new = _moved(factor.polynomial, names, scale, Fraction(0))
        product = product * new**power
    return _coefficients(product, names)


def _other_zero(
    key: tuple[int, int], chance: Random, taken: set[tuple[int, int]]
) -> tuple[int, int]:
    """Return coefficients of a linear factor not yet *taken*; a leading 1 stays 1, others above it."""
    a, b = key
    while True:
        p = 1 if a == 1 else chance.randint(2, max(5, a))
        q = 1 if b == 1 and chance.random() < 0.3 else chance.randint(1, max(9, b))
        if gcd(p, q) == 1 and (p, q) not in taken:
            return p, q


def _moved(polynomial: object, names: tuple[str, ...], scale: Fraction, shift: Fraction) -> object:
    """Return t^n · P((x − h)/t) for the first letter (further ones only scaled along), n the degree."""
    algebra = ring(names)
    t, h = (fmpq(v.numerator, v.denominator) for v in (scale, shift))
    moved, degree = algebra.constant(fmpq(0)), 0
    terms = [(tuple(map(int, m)), c) for m, c in polynomial.terms()]  # type: ignore[attr-defined]
    degree = max(m[0] for m, _ in terms)
    x = algebra.letter(names[0])
    for monomial, coefficient in terms:
        part = (x - algebra.constant(h)) ** monomial[0] * algebra.constant(
            coefficient * t ** (degree - monomial[0])
        )
        for name, exponent in zip(names[1:], monomial[1:], strict=False):
            part = part * algebra.letter(name) ** exponent
        moved = moved + part
    return moved


def _coefficients(polynomial: object, names: tuple[str, ...]) -> dict[Monomial, int]:
    """Return integer coefficients by monomial; those that are not whole make it empty."""
    found: dict[Monomial, int] = {}
    for monomial, coefficient in polynomial.terms():  # type: ignore[attr-defined]
        if coefficient.q != 1:
            return {}
        powers = tuple((n, int(e)) for n, e in zip(names, monomial, strict=False) if e)
        found[powers] = int(coefficient.p)
    return found


def by_moving_zeros(line: Line, chance: Random) -> Line | None:
    """All zeros of all polynomials are stretched and moved alike: every coincidence stays one."""
    scale = Fraction(chance.choice((1, 2, 3, 4, 5)), chance.choice((1, 1, 2, 3, 4)))
    shift = Fraction(chance.choice((0, 0, 0, *range(-6, 7))))
    inside = polynomials(line)
    for polynomial in inside:
        names = tuple(sorted({name for m in polynomial.coefficients for name, _ in m}))
        moved = _moved(ring(names).function(polynomial.node).numerator, names, scale, shift)
        changed = rewritten(polynomial, _coefficients(moved, names))
        if changed is None:
            return None
        line = replace_at(line, polynomial.path, changed)
    return _outside(line, inside, chance)
