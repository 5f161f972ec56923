"""Where two errors explain a line: other numbers, with which they write different lines."""

from collections.abc import Iterator
from contextlib import suppress
from functools import lru_cache
from itertools import islice

from uchuu_core import limits
from uchuu_core.checking.fingerprint import NoPrint
from uchuu_core.checking.own_errors import wording_of
from uchuu_core.checking.target import Found, Target
from uchuu_core.checking.tidy import tidied
from uchuu_core.contract import OwnError
from uchuu_core.lawbook.judging import OTHER_NUMBERS
from uchuu_core.lawbook.says import Says
from uchuu_core.moves.catalogue import ERRORS
from uchuu_core.moves.errors import copying
from uchuu_core.moves.move import Move
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.nodes import Line, Number, Power
from uchuu_core.tree.paths import Path, part_at, replace_at, walk
from uchuu_core.tree.shape import unordered

_MOVES = {move.key: move for move in ERRORS if move not in copying.ERRORS}
_CHANGES = ((1, 0), (2, 1), (3, 0), (5, 2))
"""How much is added to each number, more to every further one: small, and different ones stay different."""
_MOST_RESULTS = 40


def is_as_near(one: Found, other: Found) -> bool:
    """Whether two errors explain a line equally: in as few steps, as closely."""
    return (one.closeness, one.steps) == (other.closeness, other.steps)


def told_apart(before: Line, found: list[Found], own: tuple[OwnError, ...]) -> Says | None:
    """Say with which numbers in *before* the two best explanations would write different lines.

    None where one is better, or is a slip of the pen (that explains nearly any line), or where they
    are one mistake under two names.
    """
    if len(found) < 2 or not is_as_near(*found[:2]) or found[0].steps:
        return None
    first, second = found[:2]
    if not {first.error, second.error} <= _MOVES.keys():
        return None
    names = [f"“{wording_of(item.error, own).name}”" for item in (first, second)]
    other = _other_numbers(without_brackets(before), first, second)
    return OTHER_NUMBERS(other[0], names[0], other[1], names[1], other[2]) if other else None


@lru_cache(maxsize=512)
def _other_numbers(before: Line, first: Found, second: Found) -> tuple[Line, Line, Line] | None:
    """Return a line like *before* and what the two errors write from it, which differs in value."""
    one, two = _MOVES[first.error], _MOVES[second.error]
    with limits.within(limits.SEARCH_EFFORT), suppress(NoPrint, limits.OutOfEffort):
        places = _place(one, before, first.wrong), _place(two, before, second.wrong)
        for changed in _changed(before):
            wrong, other = _result_at(one, changed, places[0]), _result_at(two, changed, places[1])
            if wrong and other and Target(wrong).closeness(other) is None:
                return changed, tidied(wrong), tidied(other)
    return None


def _place(move: Move, before: Line, wrong: Line) -> int | None:
    """Return which of the results of *move* is *wrong*, counted from 0."""
    shape = unordered(wrong)
    return next(
        (n for n, line in enumerate(_results(move, before)) if unordered(line) == shape), None
    )


def _result_at(move: Move, line: Line, place: int | None) -> Line | None:
    results = list(_results(move, line))
    return results[place] if place is not None and place < len(results) else None


def _results(move: Move, line: Line) -> Iterator[Line]:
    for step in islice(move.apply(line), _MOST_RESULTS):
        limits.spend()
        yield step.result


def _changed(line: Line) -> Iterator[Line]:
    """Yield *line* with other whole numbers, equal ones equal; exponents, 0 and 1 stay."""
    places = [
        (path, part.text)
        for path, part in walk(line)
        if isinstance(part, Number) and _may_change(line, path, part)
    ]
    numbers = dict.fromkeys(text for _, text in places)
    for least, growth in _CHANGES:
        new = {text: str(int(text) + least + growth * n) for n, text in enumerate(numbers)}
        changed = line
        for path, text in places:
            changed = replace_at(changed, path, Number(new[text]))
        yield changed


def _may_change(line: Line, path: Path, part: Number) -> bool:
    is_exponent = path[-1:] == (1,) and isinstance(part_at(line, path[:-1]), Power)
    return part.is_whole and part.value not in (0, 1) and not is_exponent
