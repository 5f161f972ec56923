"""A written line as something to reproduce: what candidates are compared by, and how near they come."""

from collections.abc import Iterator
from dataclasses import dataclass
from fractions import Fraction

from uchuu_core import limits
from uchuu_core.checking.fingerprint import PRIME, SEEDS, NoPrint, print_of, sides_print
from uchuu_core.checking.tidy import tidied
from uchuu_core.kernel.branches import branches
from uchuu_core.kernel.points import NotRational
from uchuu_core.moves.laws.expanding import coefficient_and_rest
from uchuu_core.tree.build import terms_of, without_brackets
from uchuu_core.tree.nodes import (
    AllExcept,
    Builder,
    Chain,
    Coordinates,
    Either,
    Feature,
    Interval,
    Line,
    Outcome,
    Relation,
    Sum,
    Union,
    ValueSet,
)
from uchuu_core.tree.paths import walk
from uchuu_core.tree.shape import unordered


@dataclass(frozen=True, slots=True)
class Found:
    """One error that reproduces the line.

    ``steps`` counts the lawful forms between (0: from the line itself); ``closeness`` is 0 when
    the very line comes out, 1 for equal sides, 2 for an equation with its terms in other places.
    """

    error: str
    closeness: int
    steps: int
    wrong: Line


class Target:
    """The line to reproduce, with what candidates are compared by.

    Raises:
        NoPrint: the line has no fingerprint.
    """

    def __init__(self, line: Line) -> None:
        self.line = without_brackets(line)
        self.shape = unordered(self.line)
        self._tidy_shape = unordered(tidied(self.line))
        self._terms = set(_terms(self.line))
        self.has_bracket = has_bracket(self.line)
        self.is_equation = isinstance(line, (Relation, Either))
        self._at = {seed: self._values(self.line, seed) for seed in SEEDS}

    @staticmethod
    def _values(line: Line, seed: int) -> tuple[int, ...]:
        if isinstance(line, Relation):
            try:
                return sides_print(line, seed)
            except NoPrint:
                return _branch_prints(line, seed)
        if isinstance(line, Either):
            return _branch_prints(line, seed)
        if isinstance(
            line,
            (Chain, ValueSet, Outcome, AllExcept, Feature, Coordinates, Interval, Union, Builder),
        ):
            raise NoPrint
        try:
            return (print_of(line, seed),)
        except NoPrint:
            return _branch_prints(line, seed)

    def closeness(self, candidate: Line) -> int | None:
        """Return how close *candidate* comes (see ``Found``), None when it is another line."""
        limits.spend()
        if isinstance(candidate, (Relation, Either)) is not self.is_equation:
            return None
        near = None
        for seed in SEEDS:
            try:
                near = _nearness(self._values(candidate, seed), self._at[seed])
            except NoPrint:
                return None
            if near is None:
                return None
        return near if near == 2 else self._writing(candidate)

    def apart(self, candidate: Line) -> int:
        """Return how many terms stand only in *candidate* or only in the line."""
        return len(set(_terms(candidate)) ^ self._terms)

    def _writing(self, candidate: Line) -> int:
        """Return 0 when *candidate* is also written like the line, up to light tidying, else 1."""
        if unordered(candidate) == self.shape:
            return 0
        return 0 if unordered(tidied(candidate)) == self._tidy_shape else 1


def _terms(line: Line) -> Iterator[tuple[int, str, Fraction, object]]:
    """Yield the terms of a line, each with its side, its sign, and its numbers multiplied."""
    sides = (line.left, line.right) if isinstance(line, Relation) else (line,)
    for place, side in enumerate(sides):
        for term in terms_of(side) if not isinstance(side, Either) else ():  # type: ignore[arg-type]
            number, rest = coefficient_and_rest(term.body)
            yield place, term.sign, number, unordered(rest)


def _branch_prints(line: Line, seed: int) -> tuple[int, ...]:
    """Return the prints of all branches of an "or" or ±, in an order of their own.

    Raises:
        NoPrint: too many branches, or one has no print.
    """
    try:
        found = sorted({_one_print(branch, seed) for branch in branches(line)})
    except NotRational as reason:
        raise NoPrint from reason
    return (0, len(found), *found)


def _one_print(branch: Line, seed: int) -> int:
    if not isinstance(branch, Relation):
        return print_of(branch, seed)  # type: ignore[arg-type]
    left, right = sides_print(branch, seed)
    gap = (left - right) % PRIME
    return min(gap, PRIME - gap)


def _nearness(values: tuple[int, ...], wanted: tuple[int, ...]) -> int | None:
    """Return 1 for the same sides, 2 for the same difference of sides, else None."""
    if values == wanted or values == wanted[::-1]:
        return 1
    if len(values) != 2 or len(wanted) != 2:
        return None
    gap, other = (values[0] - values[1]) % PRIME, (wanted[0] - wanted[1]) % PRIME
    return 2 if gap == other or (gap + other) % PRIME == 0 else None


def terms_apart(one: Line, other: Line) -> int:
    """Return how many terms stand only in one of two lines."""
    return len(set(_terms(one)) ^ set(_terms(other)))


def has_bracket(line: Line) -> bool:
    """Return whether a sum stands inside a product, a power or behind a sign."""
    return any(
        isinstance(part, Sum) for path, part in walk(line) if len(path) > isinstance(line, Relation)
    )
