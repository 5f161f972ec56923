"""Exact solution sets, and comparing them: points and intervals, nothing rounded.

In one letter a point is an algebraic number or a logarithm; with further letters it is an
irreducible polynomial, standing for its zeros.
"""

from dataclasses import dataclass
from itertools import pairwise

from flint import fmpq

from uchuu_core.kernel.algebraic import Algebraic, between
from uchuu_core.kernel.rational_functions import Factor

PrimePowers = tuple[tuple[int, fmpq], ...]
"""A positive number as powers of primes with rational exponents, ascending."""


@dataclass(frozen=True, slots=True)
class Logarithm:
    """The irrational number log(argument) / log(base); ``base`` is not a perfect power.

    ``argument``: powers of primes, or an algebraic number where it is no such product.
    """

    base: PrimePowers
    argument: PrimePowers | Algebraic


@dataclass(frozen=True, slots=True)
class Opaque:
    """The zeros of something that cannot be solved exactly, known by how it is written."""

    text: str


Point = Algebraic | Logarithm | Factor | Opaque


@dataclass(frozen=True, slots=True)
class Interval:
    """Real numbers from ``low`` to ``high`` (None: unbounded), with or without the ends."""

    low: Algebraic | None
    high: Algebraic | None
    has_low: bool
    has_high: bool

    def holds(self, number: Algebraic) -> bool:
        """Return whether the real *number* lies inside."""
        if number in (self.low, self.high):
            return self.has_low if number == self.low else self.has_high
        return (self.low is None or self.low < number) and (self.high is None or number < self.high)

    def covers(self, other: "Interval") -> bool:
        """Return whether all of *other* lies inside."""
        return _starts_before(self, other) and _ends_after(self, other)


def _starts_before(a: Interval, b: Interval) -> bool:
    if a.low is None or b.low is None:
        return a.low is None
    if a.low == b.low:
        return a.has_low or not b.has_low
    return a.low < b.low


def _ends_after(a: Interval, b: Interval) -> bool:
    if a.high is None or b.high is None:
        return a.high is None
    if a.high == b.high:
        return a.has_high or not b.has_high
    return b.high < a.high


@dataclass(frozen=True, slots=True)
class Requirement:
    """What an even root demands: sign times the product of *factors* is not negative.

    In place of factors a text where what stands below holds roots itself.
    """

    sign: int
    factors: frozenset[Factor]
    text: str = ""


@dataclass(frozen=True, slots=True)
class SolutionSet:
    """All solutions among the numbers of the problem.

    Attributes:
        points: single solutions.
        everything: every number for which both sides have a value.
        intervals: solutions that fill intervals (never together with ``everything``).
        excluded: factors that must not vanish (denominators as written).
        below: all factors of denominators, those without a real zero too.
        required: what even roots demand.
        granted: factors in other letters that are taken as not zero.
        sheets: factors whose zeros solve the line when every root may have any of its values;
            a step that is legal keeps them all, even when it brings more.
    """

    points: frozenset[Point] = frozenset()
    everything: bool = False
    intervals: tuple[Interval, ...] = ()
    excluded: frozenset[Factor] = frozenset()
    required: frozenset[Requirement] = frozenset()
    granted: frozenset[Factor] = frozenset()
    sheets: frozenset[Point] = frozenset()
    below: frozenset[Factor] = frozenset()

    @property
    def is_empty(self) -> bool:
        """Whether there is no solution."""
        return not self.everything and not self.points and not self.intervals

    def same_solutions(self, other: "SolutionSet") -> bool:
        """Whether both hold exactly the same solutions."""
        return (
            self.everything == other.everything
            and self.points == other.points
            and self.intervals == other.intervals
        )

    def within(self, other: "SolutionSet") -> bool:
        """Whether every solution here is one there."""
        if other.everything:
            return True
        if self.everything:
            return False
        return not self.beyond(other) and all(
            any(theirs.covers(mine) for theirs in other.intervals) for mine in self.intervals
        )

    def beyond(self, other: "SolutionSet") -> frozenset[Point]:
        """Return the single solutions here that are none there."""
        return frozenset(p for p in self.points if not other.holds(p))

    def holds(self, point: Point) -> bool:
        """Return whether *point* is a solution."""
        if self.everything or point in self.points:
            return True
        if not isinstance(point, Algebraic) or not point.is_real:
            return False
        return any(interval.holds(point) for interval in self.intervals)

    def normal(self) -> "SolutionSet":
        """Return the same set, one interval over all numbers written as ``everything``."""
        whole = Interval(None, None, False, False)
        return SolutionSet(everything=True) if self.intervals == (whole,) else self

    @property
    def has_opaque(self) -> bool:
        """Whether some solutions are known only by how their equation is written."""
        return any(isinstance(p, Opaque) for p in self.points)


def union(parts: list[SolutionSet]) -> SolutionSet:
    """Return the solutions of any of *parts* (conditions of all)."""
    intervals = _merged([i for part in parts for i in part.intervals])
    points = frozenset().union(*(part.points for part in parts))
    inside = frozenset(
        p
        for p in points
        if isinstance(p, Algebraic) and p.is_real and any(i.holds(p) for i in intervals)
    )
    everything = any(part.everything for part in parts)
    points = frozenset() if everything else points
    return SolutionSet(
        points - inside,
        everything,
        () if everything else intervals,
        frozenset().union(*(part.excluded for part in parts)),
        frozenset().union(*(part.required for part in parts)),
        frozenset().union(*(part.granted for part in parts)),
        frozenset().union(*(part.sheets for part in parts)),
        frozenset().union(*(part.below for part in parts)),
    )


def _merged(parts: list[Interval]) -> tuple[Interval, ...]:
    """Return overlapping or touching intervals as one, ascending."""
    found: list[Interval] = []
    for part in sorted(parts, key=_by_low):
        last = found[-1] if found else None
        if last is not None and _touches(last, part):
            longest = last if _ends_after(last, part) else part
            found[-1] = Interval(last.low, longest.high, last.has_low, longest.has_high)
        else:
            found.append(part)
    return tuple(found)


def _by_low(interval: Interval) -> tuple[bool, float, bool]:
    low = interval.low
    return (low is not None, low.approximation.real if low else 0.0, not interval.has_low)


def _touches(a: Interval, b: Interval) -> bool:
    if a.high is None or b.low is None:
        return True
    if a.high == b.low:
        return a.has_high or b.has_low
    return b.low < a.high


def assembled(
    breaks: list[Algebraic], at_breaks: list[bool], between_breaks: list[bool]
) -> tuple[frozenset[Point], tuple[Interval, ...]]:
    """Return points and intervals from the truth at each break and between the breaks."""
    parts: list[Interval] = []
    ends: list[Algebraic | None] = [None, *breaks, None]
    for n, true in enumerate(between_breaks):
        if true:
            low, high = ends[n], ends[n + 1]
            parts.append(
                Interval(
                    low,
                    high,
                    low is not None and at_breaks[n - 1],
                    high is not None and at_breaks[n],
                )
            )
    intervals = _merged(parts)
    points = frozenset(
        b
        for b, true in zip(breaks, at_breaks, strict=True)
        if true and not any(i.holds(b) for i in intervals)
    )
    return points, intervals


def _ends(parts: list[SolutionSet]) -> list[Algebraic]:
    found: set[Algebraic] = set()
    for part in parts:
        found |= {p for p in part.points if isinstance(p, Algebraic) and p.is_real}
        found |= {end for i in part.intervals for end in (i.low, i.high) if end is not None}
    return sorted(found)


def _where(parts: list[SolutionSet], *, inside: bool) -> SolutionSet:
    """Return the real numbers that are in all *parts* (``inside``), or in none of them."""
    breaks = _ends(parts)
    middles = [Algebraic.of(between(a, b)) for a, b in pairwise([None, *breaks, None])]
    if not breaks:
        middles = [Algebraic.of(between(None, None))]
    truth = [all(part.holds(at) is inside for part in parts) for at in breaks]
    between_breaks = [all(part.holds(at) is inside for part in parts) for at in middles]
    points, intervals = assembled(breaks, truth, between_breaks)
    return SolutionSet(points, intervals=intervals).normal()


def intersection(parts: list[SolutionSet]) -> SolutionSet:
    """Return the real numbers that are in all *parts*."""
    return _where(parts, inside=True)


def complement(part: SolutionSet) -> SolutionSet:
    """Return the real numbers that are not in *part*."""
    return _where([part], inside=False)
