"""Cells: where the polynomials under roots and absolute values keep their signs.

With one letter the cells are the open intervals between all zeros, each with a sample point; with
several letters every pattern of signs is a cell, some of which may be empty.
"""

from collections.abc import Iterator
from dataclasses import dataclass
from itertools import pairwise
from itertools import product as patterns

from flint import fmpq

from uchuu_core.kernel.algebraic import Algebraic, between, primitive, roots_of
from uchuu_core.kernel.points import NotRational
from uchuu_core.kernel.rational_functions import Factor

Signs = dict[Factor, int]
MOST_ATOMS = 6
"""Polynomials whose signs are told apart in several letters."""


@dataclass(frozen=True, slots=True)
class Cell:
    """Signs of the atoms; with one letter also the interval and a point inside."""

    signs: Signs
    low: Algebraic | None = None
    high: Algebraic | None = None
    sample: fmpq | None = None


def real_zeros(atoms: tuple[Factor, ...]) -> list[Algebraic]:
    """Return the real zeros of polynomials in one letter, ascending, each once."""
    found = {
        z for atom in atoms for z in roots_of(primitive(list(atom.coefficients)), real_only=True)
    }
    return sorted(found)


def _value(atom: Factor, at: fmpq) -> fmpq:
    total = fmpq(0)
    for coefficient in reversed(atom.coefficients):
        total = total * at + coefficient
    return total


def intervals(breaks: list[Algebraic]) -> Iterator[tuple[Algebraic | None, Algebraic | None]]:
    """Yield the open intervals between *breaks* (ascending), the unbounded ones included."""
    ends: list[Algebraic | None] = [None, *breaks, None]
    yield from pairwise(ends)


def cells(
    atoms: tuple[Factor, ...], names: tuple[str, ...], non_negative: frozenset[str] = frozenset()
) -> Iterator[Cell]:
    """Yield all cells.

    Args:
        atoms: Irreducible polynomials in the letters *names*.
        non_negative: Letters of which what lies below zero is left out (a house rule).
    Raises:
        NotRational: too many polynomials in several letters.
    """
    used = frozenset().union(*(atom.letters for atom in atoms)) if atoms else frozenset()
    if len(names) == 1 and used:
        zeros = real_zeros(atoms)
        if names[0] in non_negative:
            zeros = sorted({*(z for z in zeros if not z < _ZERO), _ZERO})
        for low, high in intervals(zeros):
            if names[0] in non_negative and low is None:
                continue
            sample = between(low, high)
            yield Cell({a: 1 if _value(a, sample) > 0 else -1 for a in atoms}, low, high, sample)
        return
    if len(atoms) > MOST_ATOMS:
        raise NotRational
    choices = [_signs_of(atom, non_negative) for atom in atoms]
    for pattern in patterns(*choices):
        yield Cell(dict(zip(atoms, pattern, strict=True)))


_ZERO = Algebraic((0, 1), 0)


def _signs_of(atom: Factor, non_negative: frozenset[str]) -> tuple[int, ...]:
    if len(atom.letters) == 1 and not atom.has_real_zero:
        return (1 if _value(atom, fmpq(0)) > 0 else -1,)
    if atom.letters <= non_negative and all(c > 0 for c in atom.polynomial.coeffs()):
        return (1,)
    return (1, -1)
