"""A quick look before rewrites are tried: the numbers and letters that could be left of a line.

A rewrite only moves, drops, repeats what its variables stand for, and writes the numbers of its own
template; so most rewrites cannot lead from one given line to another given one.
"""

from collections import Counter
from collections.abc import Iterator
from dataclasses import dataclass
from functools import lru_cache
from math import inf
from typing import TYPE_CHECKING

from uchuu_core.tree.nodes import Line, Mixed, Number, Symbol
from uchuu_core.tree.paths import parts

if TYPE_CHECKING:
    from uchuu_core.moves.move import Move, Rewrite

_ONE = frozenset({"1"})
"""What a unit variable may bring along unwritten."""


@dataclass(frozen=True, slots=True)
class Change:
    """How one line differs from another: numbers only one of them has, and how many leaves more it has."""

    new: frozenset[str]
    lost: frozenset[str]
    growth: int


@dataclass(frozen=True, slots=True)
class _Reach:
    """What a rewrite can change: the numbers it writes, whether it can lose one, bounds of growth."""

    writes: frozenset[str]
    loses: bool
    least: float
    most: float

    def includes(self, change: Change) -> bool:
        return (
            self.least <= change.growth <= self.most
            and change.new <= self.writes
            and (self.loses or not change.lost)
        )


def change_of(before: Line, line: Line) -> Change:
    """Return how *line* differs from *before*."""
    had, has = Counter(_leaves(before)), Counter(_leaves(line))
    old, new = frozenset(_numbers(before)), frozenset(_numbers(line))
    return Change(new - old, old - new, has.total() - had.total())


def may_make(move: "Move", change: Change) -> bool:
    """Return whether an application of *move* can make such a *change*; what only logic says may make any."""
    return bool(move.function) or any(reach.includes(change) for reach in _reaches(move))


@lru_cache(maxsize=2048)
def _reaches(move: "Move") -> tuple[_Reach, ...]:
    return tuple(map(_reach_of, move.rewrites))


def _reach_of(rewrite: "Rewrite") -> _Reach:
    wanted, template = rewrite.wanted, rewrite.template
    had, has = Counter(_letters(wanted)), Counter(_letters(template))
    fixed = sum(1 for _ in _numbers(template)) - sum(1 for _ in _numbers(wanted))
    by_one = sum((has - had).values()) - sum((had - has).values())
    units = sum(had[name] for name in rewrite.units)
    return _Reach(
        writes=_ONE.union(_numbers(template)),
        loses=not had.keys() <= has.keys() or any(_numbers(wanted)),
        least=-inf if had - has else fixed + by_one,
        most=inf if has - had else fixed + by_one + units,
    )


def _leaves(line: Line) -> Iterator[str]:
    yield from _numbers(line)
    yield from _letters(line)


def _numbers(line: Line) -> Iterator[str]:
    for part in parts(line):
        if isinstance(part, Number):
            yield part.text
        elif isinstance(part, Mixed):
            yield repr(part)


def _letters(line: Line) -> Iterator[str]:
    return (part.name for part in parts(line) if isinstance(part, Symbol))
