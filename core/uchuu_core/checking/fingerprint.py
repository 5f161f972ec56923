"""Fingerprints: values at fixed points modulo a prime, so that thousands of lines compare fast.

Equal expressions have equal fingerprints; different ones differ with overwhelming probability.
A fingerprint only selects; what it selects is confirmed by the kernel before it is said.
"""

from fractions import Fraction
from functools import lru_cache
from typing import assert_never

from flint import fmpq

from uchuu_core.failures import TooLarge
from uchuu_core.kernel.points import NotRational, Undefined, value_at
from uchuu_core.tree.nodes import (
    Absolute,
    Bracket,
    Expr,
    Log,
    Mixed,
    Number,
    Power,
    Product,
    Quotient,
    Relation,
    Root,
    Signed,
    Sum,
    Symbol,
)
from uchuu_core.tree.paths import letters

PRIME = 2_305_843_009_213_682_039
"""Just below 2^61; 11 modulo 12, and the first eleven primes are squares modulo it: so square roots
of numbers and cube roots of everything are powers, and multiply as roots do."""
SEEDS = (911_382_323, 972_663_749)
"""Two independent points: the second is asked only where the first agrees."""


class NoPrint(ArithmeticError):
    """The expression has no fingerprint (it divides by zero there, or holds ±)."""


def print_of(node: Expr, seed: int = SEEDS[0]) -> int:
    """Return the fingerprint of an expression at the point *seed*.

    Raises:
        NoPrint: it divides by zero there, or its exponent is not whole.
    """
    return _value(node, seed)


@lru_cache(maxsize=4096)
def _numeral(node: Number | Mixed) -> int:
    value = node.value
    return value.numerator * pow(value.denominator, -1, PRIME) % PRIME


@lru_cache(maxsize=256)
def _letter(name: str, seed: int) -> int:
    value = seed
    for character in name:
        value = (value * 1_000_003 + ord(character) * 7919) % PRIME
    return value


def _opaque(kind: str, value: int) -> int:
    return (value * 6_364_136_223_846_793_005 + _letter(kind, 12_345)) % PRIME


def _value(node: Expr, seed: int) -> int:
    if isinstance(node, (Number, Mixed)):
        return _numeral(node)
    if isinstance(node, Symbol):
        return _letter(node.name, seed)
    return _composed(node, seed)


@lru_cache(maxsize=16_384)  # candidates share nearly all their parts
def _composed(node: Expr, seed: int) -> int:
    match node:
        case Number() | Mixed() | Symbol():
            return _value(node, seed)
        case Signed("-", body):
            return -_value(body, seed) % PRIME
        case Bracket(body):
            return _value(body, seed)
        case Sum(terms):
            total = 0
            for term in terms:
                if term.sign == "+-":
                    raise NoPrint
                value = _value(term.body, seed)
                total += value if term.sign == "+" else -value
            return total % PRIME
        case Product(factors, _):
            result = 1
            for factor in factors:
                result = result * _value(factor, seed) % PRIME
            return result
        case Quotient(above, below, _):
            bottom = _value(below, seed)
            if bottom == 0:
                raise NoPrint
            return _value(above, seed) * pow(bottom, -1, PRIME) % PRIME
        case Power(base, exponent):
            return _power(_value(base, seed), exponent, seed)
        case Root(index, radicand):
            if index % 2 == 0 and _is_negative(radicand):
                return _opaque("imaginary", _value(radicand, seed))
            return _root(_value(radicand, seed), index)
        case Absolute(body):
            return _opaque("abs", _value(body, seed))
        case Log() | Signed():
            raise NoPrint
        case _:
            assert_never(node)


def _root(value: int, index: int) -> int:
    """Return a root as a power: exact up to the sign for squares, exact for cubes."""
    result = value
    for prime, power in ((2, (PRIME + 1) // 4), (3, (2 * PRIME - 1) // 3)):
        while index % prime == 0:
            result = pow(result, power, PRIME)
            index //= prime
    return result if index == 1 else _opaque(f"root{index}", result)


def _power(base: int, exponent: Expr, seed: int) -> int:
    if isinstance(exponent, Signed) and isinstance(exponent.body, Quotient):
        inverse = _power(base, exponent.body, seed)
        if inverse == 0:
            raise NoPrint
        return pow(inverse, -1, PRIME)
    match exponent:
        case Quotient(Number() as top, Number() as index, _) if _is_index(top, index):
            power = Fraction(int(top.text), int(index.text))
            return pow(_root(base, power.denominator), power.numerator, PRIME)
    if letters(exponent):
        return _power_with_letters(base, exponent)
    value = _value(exponent, seed)
    whole = value if value < PRIME // 2 else value - PRIME
    if abs(whole) > 10_000:
        return _opaque("power", base * 31 + value)
    if base == 0 and whole <= 0:
        raise NoPrint
    return pow(base, whole, PRIME)


def _is_negative(node: Expr) -> bool:
    """Whether *node* is a negative number; then its square root is no power modulo the prime."""
    if letters(node):
        return False
    try:
        return bool(value_at(node, {}) < 0)
    except (NotRational, Undefined, TooLarge):
        return False


@lru_cache(maxsize=256)
def _small(name: str) -> fmpq:
    """Return what a letter stands for in an exponent: small, so that exponents add exactly."""
    return fmpq(10_007 + 2 * (_letter(name, SEEDS[0]) % 40_000))


def _power_with_letters(base: int, exponent: Expr) -> int:
    try:
        value = value_at(exponent, {name: _small(name) for name in letters(exponent)})
    except (NotRational, Undefined, TooLarge) as reason:
        raise NoPrint from reason
    if value.q != 1 or base == 0:
        return _opaque("power", base * 31 + int(value.p) * 7 + int(value.q))
    return pow(base, int(value.p), PRIME)


def _is_index(above: Number, below: Number) -> bool:
    return above.is_whole and below.is_whole and 1 < below.value <= 12 and above.value <= 200


def sides_print(line: Relation, seed: int = SEEDS[0]) -> tuple[int, int]:
    """Return the fingerprints of both sides at the point *seed*."""
    return _value(line.left, seed), _value(line.right, seed)
