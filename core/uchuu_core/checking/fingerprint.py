"""Fingerprints: values at fixed points modulo a prime, so that thousands of lines compare fast.

Equal expressions have equal fingerprints; different ones differ with overwhelming probability.
A fingerprint only selects; what it selects is confirmed by the kernel before it is said.
"""

from functools import lru_cache
from typing import Any

from uchuu_core.tree.nodes import (
    Absolute,
    Bracket,
    Expr,
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

PRIME = (1 << 61) - 1
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


def _value(node: Any, seed: int) -> int:
    match node:
        case Number() | Mixed():
            return _numeral(node)
        case Symbol(name):
            return _letter(name, seed)
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
            return _opaque(f"root{index}", _value(radicand, seed))
        case Absolute(body):
            return _opaque("abs", _value(body, seed))
        case _:
            raise NoPrint


def _power(base: int, exponent: Expr, seed: int) -> int:
    value = _value(exponent, seed)
    whole = value if value < PRIME // 2 else value - PRIME
    if abs(whole) > 10_000:
        return _opaque("power", base * 31 + value)
    if base == 0 and whole <= 0:
        raise NoPrint
    return pow(base, whole, PRIME)


def sides_print(line: Relation, seed: int = SEEDS[0]) -> tuple[int, int]:
    """Return the fingerprints of both sides at the point *seed*."""
    return _value(line.left, seed), _value(line.right, seed)
