"""Where a line, as written, has a value: every denominator counts, even one that divides out."""

from dataclasses import dataclass

from flint import fmpq

from uchuu_core.kernel.numbers import REAL, Numbers
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.rational_functions import Factor, Ring, polynomial_text
from uchuu_core.kernel.solutions import Requirement
from uchuu_core.notation import plain
from uchuu_core.tree.nodes import (
    Absolute,
    Bracket,
    Expr,
    Line,
    Number,
    Power,
    Product,
    Quotient,
    Root,
    Sum,
)
from uchuu_core.tree.paths import letters, parts


@dataclass(frozen=True, slots=True)
class Domain:
    """Conditions for a line to have a value.

    Attributes:
        excluded: irreducible factors that must not be zero (over the reals: that can be).
        required: what even roots demand, and denominators that hold roots.
        below: all irreducible factors of denominators.
    """

    excluded: frozenset[Factor] = frozenset()
    required: frozenset[Requirement] = frozenset()
    below: frozenset[Factor] = frozenset()


def domain_of(line: Line, ring: Ring, numbers: Numbers = REAL) -> Domain:
    """Return the conditions under which *line* has a value, as written.

    Over the reals, factors without a real zero are left out, and even roots demand radicands that
    are not negative.

    Raises:
        Undefined: a denominator is zero everywhere.
    """
    excluded: set[Factor] = set()
    required: set[Requirement] = set()
    for part in parts(line):
        if isinstance(part, Quotient):
            _not_zero(part.denominator, ring, excluded, required)
        elif isinstance(part, Power):
            exponent = _number(part.exponent, ring)
            if exponent is None:
                continue
            if exponent <= 0:
                _not_zero(part.base, ring, excluded, required)
            if int(exponent.q) % 2 == 0:
                _not_negative(part.base, ring, numbers, required)
        elif isinstance(part, Root) and part.index % 2 == 0:
            _not_negative(part.radicand, ring, numbers, required)
    below = frozenset(excluded)
    if not numbers.is_complex:
        excluded = {f for f in excluded if f.has_real_zero}
    return Domain(frozenset(excluded), frozenset(required), below)


def even_roots(line: Line, unknown: str) -> int:
    """Return how many different even roots (or powers like 1/2) stand over *unknown*."""
    found: set[object] = set()
    for part in parts(line):
        if isinstance(part, Root) and part.index % 2 == 0 and unknown in letters(part):
            found.add((part.index, part.radicand))
        elif isinstance(part, Power) and unknown in letters(part.base):
            below = part.exponent.denominator if isinstance(part.exponent, Quotient) else None
            if isinstance(below, Number) and below.is_whole and int(below.text) % 2 == 0:
                found.add((below, part.base))
    return len(found)


def _number(node: Expr, ring: Ring) -> fmpq | None:
    try:
        return ring.function(node).constant()
    except (NotRational, Undefined):
        return None


def _not_zero(node: Expr, ring: Ring, excluded: set[Factor], required: set[Requirement]) -> None:
    try:
        excluded.update(ring.factors(ring.function(node).numerator))
    except NotRational:
        if letters(node) - {"i"} and not _is_positive(node):
            required.add(Requirement(0, frozenset(), f"{plain(node)} != 0"))


def _is_positive(node: Expr) -> bool:
    """Whether *node* is seen to be positive wherever it has a value: 2^n, √x + 2."""
    match node:
        case Number() as number:
            return number.value > 0
        case Power(Number() as base, _):
            return base.value > 0
        case Bracket(body):
            return _is_positive(body)
        case Product(factors, _):
            return all(_is_positive(factor) for factor in factors)
        case Sum(terms):
            parts_of = [t.body for t in terms]
            return (
                all(t.sign == "+" for t in terms)
                and all(_is_positive(p) or isinstance(p, (Root, Absolute)) for p in parts_of)
                and any(_is_positive(p) for p in parts_of)
            )
        case _:
            return False


def _not_negative(node: Expr, ring: Ring, numbers: Numbers, required: set[Requirement]) -> None:
    if numbers.is_complex or not letters(node):
        return
    try:
        value = ring.function(node)
    except NotRational:
        required.add(Requirement(1, frozenset(), f"{plain(node)} >= 0"))
        return
    if value.is_zero:
        return
    sign = 1
    odd: set[Factor] = set()
    for polynomial in (value.numerator, value.denominator):
        constant, factors = ring.factored(polynomial)
        sign *= 1 if constant > 0 else -1
        for factor, power in factors:
            if power % 2 and factor.has_real_zero:
                odd ^= {factor}
            elif power % 2 and factor.coefficients[0] < 0:
                sign = -sign
    if odd:
        required.add(Requirement(sign, frozenset(odd)))


def condition(what: Factor | Requirement) -> str:
    """Write a condition in plain notation: ``x != 3``, ``x^2 - 2 != 0``, ``x >= -6``."""
    if isinstance(what, Factor):
        zero = what.rational_zero
        if zero is not None:
            return f"{next(iter(what.letters))} != {zero}"
        return f"{polynomial_text(what.polynomial)} != 0"
    if what.text:
        return what.text
    if len(what.factors) == 1:
        (factor,) = what.factors
        if factor.rational_zero is not None:
            rises = (factor.coefficients[1] > 0) == (what.sign > 0)
            return f"{next(iter(factor.letters))} {'>=' if rises else '<='} {factor.rational_zero}"
    factors = sorted(what.factors, key=_by_key)
    product = "*".join(f"({polynomial_text(factor.polynomial)})" for factor in factors)
    product = product[1:-1] if len(what.factors) == 1 else product
    return f"{product} {'>=' if what.sign > 0 else '<='} 0"


def _by_key(factor: Factor) -> str:
    return repr(factor.key)
