"""Powers of whole numbers that may stay as they are, since working them out gives a number that is too large.

A power may stay only where nothing else is left to do with it: ``2^50*x``, not ``2^50 + 3`` (two numbers
to add), ``6^50/2^40`` or ``4*2^50`` (bases that share a factor).
"""

from collections import Counter
from collections.abc import Iterator
from math import gcd, log

from uchuu_core.tree.nodes import (
    Bracket,
    Expr,
    Line,
    Number,
    Power,
    Product,
    Quotient,
    Signed,
    Sum,
    Symbol,
)
from uchuu_core.tree.paths import letters, parts, rebuild

_BASE = "left_"


def with_powers_named(line: Line, powers_up_to: int) -> Line:
    """Return *line* with a letter for the base of each power that may stay: its value is above *powers_up_to*."""
    if not any(_is_large(part, powers_up_to) for part in parts(line)):
        return line
    kept = {base for part in parts(line) for base in _tied(part)}
    return rebuild(  # type: ignore[no-any-return]
        line,
        lambda part: (
            Power(Symbol(_BASE + part.base.text), part.exponent)
            if _is_large(part, powers_up_to) and part not in kept
            else part
        ),
    )


def with_powers_again(line: Line) -> Line:
    """Return *line* with the numbers for which ``with_powers_named`` wrote letters."""
    return rebuild(line, _number_again)  # type: ignore[no-any-return]


def _is_large(part: Line, powers_up_to: int) -> bool:
    match part:
        case Power(Number() as base, Number() as exponent) if (
            base.is_whole and exponent.is_whole and base.value > 1 and exponent.value > 1
        ):
            size = float(exponent.value) * log(float(base.value))
            return size > log(max(powers_up_to, 1)) + 1e-9
    return False


def _tied(part: Line) -> Iterator[Line]:
    """Yield the powers in *part* that are to be worked out, since they meet another number there."""
    if isinstance(part, Sum):
        alike = Counter(_letters_part(term.body) for term in part.terms)
        for term in part.terms:
            if alike[_letters_part(term.body)] > 1:
                yield from parts(term.body)
    elif isinstance(part, (Product, Quotient)):
        found = [(factor, base) for factor in _factors(part) if (base := _whole_base(factor))]
        for place, (factor, base) in enumerate(found):
            if any(gcd(base, other) > 1 for n, (_, other) in enumerate(found) if n != place):
                yield factor


def _letters_part(term: Expr) -> frozenset[tuple[Expr, int]]:
    """Return what *term* has besides numbers: the same for like terms."""
    return frozenset(Counter(factor for factor in _factors(term) if letters(factor)).items())


def _factors(node: Expr) -> Iterator[Expr]:
    match node:
        case Signed() | Bracket():
            yield from _factors(node.body)
        case Product():
            for factor in node.factors:
                yield from _factors(factor)
        case Quotient():
            yield from _factors(node.numerator)
            yield from _factors(node.denominator)
        case _:
            yield node


def _whole_base(factor: Expr) -> int:
    """Return the whole number above 1 that *factor* is, or is a power of; 0 for any other factor."""
    base = factor.base if isinstance(factor, Power) else factor
    return int(base.value) if isinstance(base, Number) and base.is_whole and base.value > 1 else 0


def _number_again(part: Line) -> Line:
    if isinstance(part, Symbol) and part.name.startswith(_BASE):
        return Number(part.name.removeprefix(_BASE))
    return part
