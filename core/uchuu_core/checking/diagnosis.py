"""Which error leads from one line to the next: every one that reproduces the line, then ranked.

The verdict "wrong" is the kernel's and comes first. Here candidates are made by the error moves at
every place of the line before (and of its lawful forms), compared by fingerprint. When none fits,
nothing is named.
"""

from collections.abc import Iterable, Iterator
from contextlib import suppress
from dataclasses import dataclass, replace
from functools import lru_cache

from uchuu_core import limits
from uchuu_core.checking import slips
from uchuu_core.checking.fingerprint import PRIME, SEEDS, NoPrint, print_of, sides_print
from uchuu_core.checking.states import MOST_BEFORE_DOUBT, LawfulStates
from uchuu_core.checking.tidy import tidied
from uchuu_core.kernel.branches import branches
from uchuu_core.kernel.points import NotRational
from uchuu_core.moves.catalogue import ERRORS
from uchuu_core.moves.errors import (
    copying,
    equations,
    order_of_operations,
    signs,
)
from uchuu_core.moves.move import Effect, Move, Places
from uchuu_core.moves.preferred import PREFERRED
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
    Quotient,
    Relation,
    Sum,
    Union,
    ValueSet,
)
from uchuu_core.tree.paths import letters
from uchuu_core.tree.paths import parts as parts_of
from uchuu_core.tree.shape import unordered

_LAST = {
    copying.SIGN_CHANGED.key: 1,
    copying.TERM_LOST.key: 2,
}
_PEN = (copying.SIGN_CHANGED, copying.TERM_LOST)
_CLEARING = {equations.CLEARING_MISSED_TERM.key, equations.MINUS_BEFORE_FRACTION.key}
"""Errors of clearing denominators: thought of only where one is written."""
SEARCHED: tuple[Move, ...] = tuple(
    move for move in ERRORS if move.is_searched and move.effect is Effect.WRONG
)


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

    def _writing(self, candidate: Line) -> int:
        """Return 0 when *candidate* is also written like the line, up to light tidying, else 1."""
        if unordered(candidate) == self.shape:
            return 0
        return 0 if unordered(tidied(candidate)) == self._tidy_shape else 1


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


def _collect(
    found: list[Found], states: LawfulStates, target: Target, moves: tuple[Move, ...]
) -> None:
    """Fill *found*: the errors first, slips where no error explains the line nearly."""
    for item in _searched(states, target, moves):
        found.append(item)
    near = [f for f in found if f.closeness < 2]
    if near:
        found[:] = near
    if not found or all(f.error in _LAST or f.steps > 6 or _is_far(f) for f in found):
        found.extend(slips.slips(states, target.line, target.closeness, Found))
    if all(_is_far(f) for f in found):  # a slip of the pen beside lawful steps of the same line
        found.extend(f for f in _searched(states, target, _PEN) if f.closeness < 2)


@lru_cache(maxsize=2048)  # a paper is judged again with every key; only its last line is new
def errors_that_reproduce(before: Line, line: Line, own: tuple[Move, ...] = ()) -> list[Found]:
    """Return every error that leads from *before* to *line*, best first; empty when none does.

    ``own``: errors that the teacher added; tried last, so that a pattern that fits in too many ways
    takes the time of no other.
    """
    try:
        target = Target(line)
    except NoPrint:
        return []
    found: list[Found] = []
    with limits.within(limits.SEARCH_EFFORT):
        states = LawfulStates(before)
        with suppress(limits.OutOfEffort):
            _collect(found, states, target, (*SEARCHED, *own))
    return ranked(found, states.start, target)


def _searched(states: LawfulStates, target: Target, moves: tuple[Move, ...]) -> Iterator[Found]:
    start_shape = unordered(states.start)
    is_pen = moves is _PEN
    if not any(isinstance(part, Quotient) for part in parts_of(states.start)):
        moves = tuple(move for move in moves if move.key not in _CLEARING)
    for steps, state in enumerate(states):
        hits = 0
        parts = Places(state)
        for move in moves:
            if move.key in _LAST and steps and not is_pen:
                continue
            for step in move.apply_at(state, parts):
                near = target.closeness(step.result)
                if near and move.is_ending:
                    continue
                if near is not None and unordered(step.result) != start_shape:
                    hits += near < 2
                    yield _named(Found(move.key, near, steps, step.result), state)
        if hits:
            return


def _is_far(found: Found) -> bool:
    """Whether only the terms of an equation come out, in other places, after lawful steps."""
    return found.closeness == 2 and found.steps > 0


def _named(found: Found, state: Line) -> Found:
    """Name a vanished term for what it is: done on one side only when nothing else was done."""
    if found.error == equations.ONE_SIDE_ONLY.key and (found.closeness or found.steps):
        if _count(found.wrong) < _count(state):
            return replace(found, error=copying.TERM_LOST.key)
    return found


def _count(line: Line) -> int:
    if not isinstance(line, Relation):
        return 0
    return len(terms_of(line.left)) + len(terms_of(line.right))


@lru_cache(maxsize=2048)
def directly_reproduced(before: Line, line: Line, own: tuple[Move, ...] = ()) -> Found | None:
    """Return an error that gives exactly this writing from *before*, as no lawful form does.

    Used for a line that is right in value: right by luck (the contract's ``doubt``).
    """
    try:
        target = Target(line)
    except NoPrint:
        return None
    with limits.within(limits.SEARCH_EFFORT), suppress(limits.OutOfEffort):
        return _only_an_error(before, target, (*SEARCHED, *own))
    return None


def _only_an_error(before: Line, target: Target, moves: tuple[Move, ...]) -> Found | None:
    start = without_brackets(before)
    found = next(_written_by_an_error(start, target, moves), None)
    if found is None:  # nearly always; the lawful forms take longer
        return None
    states = LawfulStates(before, MOST_BEFORE_DOUBT)
    return None if any(unordered(state) == target.shape for state in states) else found


def _written_by_an_error(start: Line, target: Target, moves: tuple[Move, ...]) -> Iterator[Found]:
    parts = Places(start)
    for move in moves:
        if move.key in _LAST or not move.may_be_luck:
            continue
        for step in move.apply_at(start, parts):
            if unordered(step.result) == target.shape and step.result != start:
                yield Found(move.key, 0, 0, step.result)


_EQUATION_ONLY = tuple(move.key for move in equations.ERRORS)


_ORDER = {move.key: number for number, move in enumerate(ERRORS)}


def _place(found: Found, before: Line, target: Target) -> tuple[int, ...]:
    last = _LAST.get(found.error, 0) or (3 if found.error in slips.KEYS else 0)
    rank = 1 if last else 0
    if _is_far(found):
        rank = 3
    if found.error == copying.SIGN_CHANGED.key and found.closeness == found.steps == 0:
        rank = 0  # the very line, but for a sign: nothing acted on it
    if found.error == copying.NUMBER_CHANGED.key:
        last, rank = 1, 1 if found.steps == 0 else 2  # acted on: a slip explains it better
    general = 0
    if found.error == order_of_operations.ADD_BEFORE_SUBTRACT.key and _leads_negative(before):
        general = 1
    if found.error == signs.UNLIKE_MAGNITUDES_ADDED.key and not _leads_negative(before):
        general = 1 if not letters(before) else 0
    order = _ORDER.get(found.error, -1)  # the teacher's own come first
    on_sides = 0 if not target.is_equation or found.error in _EQUATION_ONLY else 1
    return (
        rank,
        found.closeness // 2,
        found.steps,
        found.closeness,
        1 if last else 0,
        general,
        on_sides,
        last,
        order,
    )


def _leads_negative(line: Line) -> bool:
    """Whether the first written number of a sum is negative."""
    return isinstance(line, Sum) and line.terms[0].sign == "-"


def ranked(found: Iterable[Found], before: Line, target: Target) -> list[Found]:
    """Return the best candidate of each error, best first."""
    best: dict[str, Found] = {}
    for item in sorted(found, key=lambda f: _place(f, before, target)):
        best.setdefault(item.error, item)
    order = list(best.values())
    for wins in PREFERRED:
        winner, loser = wins.winner.key, wins.loser.key
        keys = [item.error for item in order]
        if winner in keys and loser in keys and keys.index(winner) > keys.index(loser):
            if best[winner].steps <= best[loser].steps:
                order.insert(keys.index(loser), order.pop(keys.index(winner)))
    return order
