"""Where an expression, as written, has no value: every denominator counts, even one that divides out."""

from flint import fmpq

from uchuu_core.kernel.points import NotRational
from uchuu_core.kernel.rational_functions import Factor, Ring
from uchuu_core.tree.nodes import Line, Power, Quotient
from uchuu_core.tree.paths import walk


def denominator_factors(line: Line, ring: Ring) -> frozenset[Factor]:
    """Return the irreducible factors that must not be zero for *line* to have a value.

    Factors without a real zero are left out.

    Raises:
        NotRational: a denominator is not a rational function.
        Undefined: a denominator is zero everywhere.
    """
    found: set[Factor] = set()
    for _, part in walk(line):
        below = None
        if isinstance(part, Quotient):
            below = ring.function(part.denominator)
        elif isinstance(part, Power):
            try:
                exponent = ring.function(part.exponent).constant()
            except NotRational:
                exponent = None
            if exponent is not None and exponent <= 0:
                below = ring.function(part.base)
        if below is not None:
            found.update(f for f in ring.factors(below.numerator) if f.has_real_zero)
    return frozenset(found)


def excluded_values(factors: frozenset[Factor], unknown: str) -> list[fmpq]:
    """Return the rational values of *unknown* that make one of *factors* zero, ascending."""
    zeros = [f.rational_zero for f in factors if f.letters == {unknown}]
    return sorted(zero for zero in zeros if zero is not None)


def condition(factor: Factor) -> str:
    """Write "not zero" for *factor* in plain notation: ``x != 3``, ``x^2 - 2 != 0``."""
    zero = factor.rational_zero
    if zero is not None:
        return f"{next(iter(factor.letters))} != {zero}"
    return f"{factor.polynomial} != 0"
