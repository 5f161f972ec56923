"""Numbers written as powers: of one common base, or of their primes."""

from dataclasses import dataclass
from fractions import Fraction
from math import gcd

from flint import fmpz

from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Number, Power

LARGEST = 10**15
"""Numbers above are not taken apart on a board."""

Exponents = tuple[tuple[int, int], ...]
"""Primes, ascending, with their whole exponents, none of them 0."""


@dataclass(frozen=True, slots=True)
class Base:
    """A positive rational number, not 1, that is no power of another one."""

    exponents: Exponents

    @property
    def value(self) -> Fraction:
        """The number itself."""
        result = Fraction(1)
        for prime, power in self.exponents:
            result *= Fraction(prime) ** power
        return result

    @property
    def tree(self) -> Expr:
        """The number as written."""
        return build.number(self.value)

    def exponent_of(self, number: Fraction) -> int | None:
        """Return n with baseⁿ = *number*, None when there is none."""
        if number == 1:
            return 0
        powers = prime_exponents(number)
        if powers is None or [p for p, _ in powers] != [p for p, _ in self.exponents]:
            return None
        ratios = {Fraction(a, b) for (_, a), (_, b) in zip(powers, self.exponents, strict=True)}
        (ratio, *more) = ratios
        return int(ratio) if not more and ratio.denominator == 1 else None


def prime_exponents(number: Fraction) -> Exponents | None:
    """Return *number* as a product of powers of primes, None for 0, negatives and large ones."""
    if number <= 0 or max(number.numerator, number.denominator) > LARGEST:
        return None
    found = {int(p): int(n) for p, n in fmpz(number.numerator).factor()}
    for prime, power in fmpz(number.denominator).factor():
        found[int(prime)] = -int(power)
    return tuple(sorted(found.items()))


def base_of(number: Fraction) -> Base | None:
    """Return the base that *number* is a whole power of; a whole one above 1 where possible."""
    powers = prime_exponents(number)
    if not powers:
        return None
    common = gcd(*(power for _, power in powers))
    if all(power < 0 for _, power in powers):
        common = -common
    return Base(tuple((prime, power // common) for prime, power in powers))


def common_base(numbers: list[Fraction]) -> Base | None:
    """Return the one base that all *numbers* other than 1 are powers of, None when there is none."""
    bases = [base_of(number) for number in numbers if number != 1]
    if not bases or None in bases:
        return None
    first = bases[0]
    assert first is not None
    return first if all(first.exponent_of(number) is not None for number in numbers) else None


def as_primes(number: int) -> Expr:
    """Write a whole number from 1 up as a product of powers of primes."""
    parts: list[Expr] = []
    for prime, power in fmpz(number).factor():
        base = Number(str(int(prime)))
        parts.append(base if power == 1 else Power(base, Number(str(int(power)))))
    return build.product(parts)
