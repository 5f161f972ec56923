"""Which error leads from one line to the next: every one that reproduces the line, then ranked.

The verdict "wrong" is the kernel's and comes first. Here candidates are made by the error moves at
every place of the line before (and of its lawful forms), compared by fingerprint. When none fits,
nothing is named.
"""

from collections.abc import Iterable, Iterator
from contextlib import suppress
from dataclasses import replace
from functools import lru_cache
from itertools import islice

from uchuu_core import limits
from uchuu_core.checking import slips
from uchuu_core.checking.fingerprint import NoPrint
from uchuu_core.checking.states import MOST_AFTER_ERROR, MOST_BEFORE_DOUBT, LawfulStates
from uchuu_core.checking.target import Found, Target, has_bracket
from uchuu_core.lawbook.law import Family
from uchuu_core.moves.catalogue import ERRORS
from uchuu_core.moves.errors import (
    copying,
    equations,
    order_of_operations,
    signs,
)
from uchuu_core.moves.leaves import change_of, may_make
from uchuu_core.moves.move import Effect, Move, able
from uchuu_core.moves.places import places_of
from uchuu_core.moves.preferred import PREFERRED
from uchuu_core.tree.between import places_between
from uchuu_core.tree.build import terms_of, without_brackets
from uchuu_core.tree.nodes import (
    Line,
    Number,
    Quotient,
    Relation,
    Sum,
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
"""Errors of clearing denominators: thought of only where one, or a decimal, is written."""
_PARTS_A_VISIT = 12
_MOST_STATES_TWICE = 4
_MOST_ONCE = 8
SEARCHED: tuple[Move, ...] = tuple(
    move for move in ERRORS if move.is_searched and move.effect is Effect.WRONG
)


def _collect(
    found: list[Found], states: LawfulStates, target: Target, moves: tuple[Move, ...]
) -> None:
    """Fill *found*: the errors first, slips where no error explains the line nearly."""
    for item in _searched(states, target, moves):
        found.append(item)
    near = [f for f in found if f.closeness < 2]
    if near:
        found[:] = near
    if not found:
        found.extend(_made_twice(states, target, moves))
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
    if not any(_is_broken(part) for part in parts_of(states.start)):
        moves = tuple(move for move in moves if move.key not in _CLEARING)
    for steps, state in enumerate(states):
        hits = 0
        parts = places_of(state)
        length = len(parts.all) // _PARTS_A_VISIT
        for move in able(moves, parts.kinds):
            if move.key in _LAST and steps and not is_pen:
                continue
            for step in move.apply_at(state, parts):
                limits.spend(length)  # a longer line takes longer to compare
                near = target.closeness(step.result)
                if near and (move.is_ending or _opened_again(move, step.result, target)):
                    continue
                if near is not None and unordered(step.result) != start_shape:
                    hits += near < (1 if move.key in _LAST and not is_pen else 2)
                    yield _named(Found(move.key, near, steps, step.result), state)
        if hits:
            return


def _is_broken(part: Line) -> bool:
    """Whether it is written as a fraction or as a decimal."""
    return isinstance(part, Quotient) or (isinstance(part, Number) and not part.is_whole)


def _made_twice(states: LawfulStates, target: Target, moves: tuple[Move, ...]) -> Iterator[Found]:
    """Yield errors that a student made at two places of the line alike.

    Plain numbers come out alike by chance too often: there the very line must be written.
    """
    is_plain = not letters(target.line)
    for steps, state in enumerate(islice(states, _MOST_STATES_TWICE)):
        parts = places_of(state)
        for move in able(moves, parts.kinds):
            if move.is_ending or move.key in _LAST:
                continue
            for once in islice(move.apply_at(state, parts), _MOST_ONCE):
                for twice in move.apply(once.result):
                    near = target.closeness(twice.result)
                    if near is not None and near <= (0 if is_plain else 1):
                        yield Found(move.key, near, steps, twice.result)


def _opened_again(move: Move, wrong: Line, target: Target) -> bool:
    """Whether a factor would be taken out wrongly and then multiplied in again on the same line."""
    if move.due is not Family.FACTORS or target.has_bracket or not letters(target.line):
        return False
    return has_bracket(wrong)


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


@lru_cache(maxsize=2048)
def reproduced_with_more(before: Line, line: Line, own: tuple[Move, ...] = ()) -> Found | None:
    """Return an error that, with lawful steps after it on the same line, gives exactly this writing.

    Asked only where no law explains the right *line*.
    """
    try:
        target = Target(line)
    except NoPrint:
        return None
    with limits.within(limits.SEARCH_EFFORT), suppress(limits.OutOfEffort):
        lawful = LawfulStates(before, MOST_BEFORE_DOUBT)
        if any(unordered(state) == target.shape for state in lawful):
            return None
        start = without_brackets(before)
        parts = places_of(start)
        for move in able((*SEARCHED, *own), parts.kinds):
            if move.key not in _LAST and move.may_be_luck:
                for step in move.apply_at(start, parts):
                    if _leads_to(step.result, target):
                        return Found(move.key, 0, 1, step.result)
    return None


def _leads_to(wrong: Line, target: Target) -> bool:
    near = target.closeness(wrong)
    if near is None or near > 1:
        return False
    return any(unordered(state) == target.shape for state in LawfulStates(wrong, MOST_AFTER_ERROR))


def _only_an_error(before: Line, target: Target, moves: tuple[Move, ...]) -> Found | None:
    start = without_brackets(before)
    found = next(_written_by_an_error(start, target, moves), None)
    if found is None:  # nearly always; the lawful forms take longer
        return None
    states = LawfulStates(before, MOST_BEFORE_DOUBT)
    return None if any(unordered(state) == target.shape for state in states) else found


def _written_by_an_error(start: Line, target: Target, moves: tuple[Move, ...]) -> Iterator[Found]:
    parts, change = places_of(start), change_of(start, target.line)
    where = places_between(start, target.line)
    for move in able(moves, parts.kinds):
        if move.key in _LAST or not (move.may_be_luck and may_make(move, change)):
            continue
        for step in move.apply_at(start, parts, where):
            if unordered(step.result) == target.shape and step.result != start:
                yield Found(move.key, 0, 0, step.result)


_EQUATION_ONLY = tuple(move.key for move in equations.ERRORS)


_OF_FACTORING = {move.key for move in ERRORS if move.due is Family.FACTORS}
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
    if found.error in _OF_FACTORING and not letters(before):
        general = 2  # numbers are worked out: few students factor them
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
        target.apart(found.wrong),
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
