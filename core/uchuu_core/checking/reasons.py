"""What is said at a right line: a law's sentence with the actual numbers, or nothing.

A reason is shown only where it reproduces the line; a line may be right without one. What a method
writes keeps the method's sentence; else one law, the same done to both sides, or a few steps of a
method that starts from the line before, are looked for, in the whole and in the parts that changed.
"""

from collections.abc import Iterable, Iterator
from contextlib import suppress
from dataclasses import replace
from functools import lru_cache

from uchuu_core import limits
from uchuu_core.checking.both_sides import said_of_both_sides
from uchuu_core.checking.pair_reasons import said_of_pair
from uchuu_core.checking.tidy import signs_merged
from uchuu_core.checking.worked_reasons import (
    MOST_SAID,
    Asked,
    is_short,
    joined_by_method,
    joined_from_here,
    said_but_for_numbers,
    said_by_method,
)
from uchuu_core.failures import Failure
from uchuu_core.kernel.equality import agreement
from uchuu_core.kernel.points import Undefined
from uchuu_core.kernel.rational_functions import Ring
from uchuu_core.lawbook.linear import SIDES_CHANGE_PLACES
from uchuu_core.lawbook.numbers import BRACKETS_SHOW_GROUPS, REORDERED
from uchuu_core.lawbook.says import Says, in_order
from uchuu_core.methods.method import Posed
from uchuu_core.moves.catalogue import LAWS
from uchuu_core.moves.laws import arithmetic, equations, expanding
from uchuu_core.moves.move import Move
from uchuu_core.moves.said import step_says
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.nodes import (
    Absolute,
    Either,
    Feature,
    Line,
    Power,
    Product,
    Quotient,
    Relation,
    Root,
    Signed,
    Sum,
)
from uchuu_core.tree.paths import letters
from uchuu_core.tree.shape import unordered

_AT_TWO_PLACES = (
    arithmetic.POWER,
    arithmetic.MULTIPLY,
    arithmetic.DIVIDE,
    arithmetic.ADD,
    expanding.COLLECT,
    expanding.INTO_BRACKET,
)
_BY_VALUES = (equations.CLEAR_DENOMINATORS,)
"""Laws whose sentence is found by the values of both sides."""
_LAWS = tuple(move for move in LAWS if move not in _BY_VALUES)


@lru_cache(maxsize=2048)
def said_at(posed: Posed, before: Line, line: Line, asked: Asked, ring: Ring) -> Says | None:
    """Return what is said at *line* under *before*, None for nothing.

    Args:
        posed: The problem.
        before: The line before.
        line: A line that the kernel has called right.
        asked: What is asked for, and how it is worked.
        ring: In the letters of the problem.
    """
    start, end = without_brackets(before), without_brackets(line)
    says = said_by_method(posed, before, line, asked)
    if says is not None:
        return says
    joined = joined_by_method(posed, before, line, asked)
    if isinstance(end, Feature):
        return joined
    if joined is None and unordered(start) == unordered(end):
        return _reordered(before, line, start, end)
    found = list(_found(posed, start, end, asked, ring))
    return _shortest(
        [*found, joined] if isinstance(start, Relation) else [*found[:1], joined, *found[1:]]
    ) or said_but_for_numbers(posed, before, line, asked)


def _shortest(found: Iterable[Says | None]) -> Says | None:
    """Return the one that says least, the first of several."""
    said = [says for says in found if says is not None and is_short(says)]
    return min(said, key=lambda says: len(says.said), default=None)


def _found(posed: Posed, start: Line, end: Line, asked: Asked, ring: Ring) -> Iterator[Says | None]:
    """Yield the reasons of a step, one law first, until one says only one thing."""
    one = _by_law(start, end) or said_of_pair(start, end, ring)
    if one is None and isinstance(start, Relation) and isinstance(end, Relation):
        one = said_of_both_sides(start, end, ring)
    yield one
    if one is None or len(one.said) > 1:
        parts = _by_parts(posed, start, end, asked, ring)
        yield parts
        if one is not None or parts is not None:
            return
        here = posed.given_as(start)
        yield joined_from_here(here, end, asked)
        if isinstance(end, Either) and here.house.plus_minus != "split":
            at_once = replace(here.house, plus_minus="split")  # ± may be written as two at any line
            yield joined_from_here(replace(here, house=at_once), end, asked)


def _reordered(before: Line, line: Line, start: Line, end: Line) -> Says:
    if isinstance(start, Relation) and isinstance(end, Relation):
        if unordered(start.left) == unordered(end.right) != unordered(end.left):
            return SIDES_CHANGE_PLACES()
    return BRACKETS_SHOW_GROUPS() if start == end and before != line else REORDERED()


def _by_law(start: Line, end: Line) -> Says | None:
    """Find the law whose one application, or two of one kind, gives the line as written."""
    shape = unordered(signs_merged(end))
    with limits.within(limits.SEARCH_EFFORT), suppress(limits.OutOfEffort):
        for move in _LAWS:
            says = _by_move(move, start, shape)
            if says is not None:
                return says
    return None


def _by_move(move: Move, start: Line, shape: object) -> Says | None:
    for step in move.apply(start):
        if unordered(signs_merged(step.result)) == shape:
            return step_says(move, start, step)
        if move not in _AT_TWO_PLACES:
            continue
        for second in move.apply(step.result):
            if unordered(signs_merged(second.result)) == shape:
                first = step_says(move, start, step)
                then = step_says(move, step.result, second)
                return first + then if first and then else first or then
    return None


def _by_parts(posed: Posed, start: Line, end: Line, asked: Asked, ring: Ring) -> Says | None:
    """Find a reason for every part that changed, when each kept its value."""
    changed = list(_changed(start, end, posed))
    if not 0 < len(changed) <= MOST_SAID or changed == [(start, end)]:
        return None
    found = []
    for old, new in changed:
        part = replace(posed, given=old, unknown=posed.unknown if isinstance(old, Relation) else "")
        says = _shortest(_found(part, old, new, _asked_of(old, asked), ring))
        if says is None:
            return None
        found.append(says)
    return in_order(found)


def _asked_of(part: Line, asked: Asked) -> Asked:
    """Return what is asked of a part: an equation is solved, numbers alone are worked out."""
    if isinstance(part, Relation):
        return asked
    if not letters(part):
        return replace(asked, task="evaluate")
    return replace(asked, task="simplify") if asked.task in ("solve", "domain", "study") else asked


def _changed(start: Line, end: Line, posed: Posed) -> Iterator[tuple[Line, Line]]:
    """Yield the smallest parts that changed and kept their value, each with what it became."""
    if unordered(start) == unordered(end):
        return
    pairs = [(a, c) for a, c in _pairs(start, end) if unordered(a) != unordered(c)]
    if pairs and (isinstance(start, Either) or all(_is_equal(a, c, posed) for a, c in pairs)):
        for old, new in pairs:
            yield from _changed(old, new, posed)
    else:
        yield start, end


def _is_equal(old: Line, new: Line, posed: Posed) -> bool:
    try:
        return agreement(old, new, posed.numbers).verdict == "equal"  # type: ignore[arg-type]
    except (Failure, Undefined):
        return False


def _pairs(start: Line, end: Line) -> list[tuple[Line, Line]]:
    """Return the parts of two lines of one shape, place by place; nothing for other shapes."""
    match start, end:
        case Relation(a, sign, b), Relation(c, other, d) if sign == other:
            return [(a, c), (b, d)]
        case Either(ours, _), Either(theirs, _) if len(ours) == len(theirs):
            return list(zip(ours, theirs, strict=True))
        case Sum(terms), Sum(others) if [t.sign for t in terms] == [t.sign for t in others]:
            return [(t.body, u.body) for t, u in zip(terms, others, strict=True)]
        case Product(ours, _), Product(theirs, _) if len(ours) == len(theirs):
            return list(zip(ours, theirs, strict=True))
        case (Quotient(a, b, _), Quotient(c, d, _)) | (Power(a, b), Power(c, d)):
            return [(a, c), (b, d)]
        case Root(index, a), Root(other_index, c) if index == other_index:
            return [(a, c)]
        case (Signed(sign, a), Signed(other, c)) if sign == other:
            return [(a, c)]
        case Absolute(a), Absolute(c):
            return [(a, c)]
        case _:
            return []
