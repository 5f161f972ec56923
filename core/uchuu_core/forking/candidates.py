"""Wrong lines that an example invites: every error at every line, as it would be written."""

import operator
from collections.abc import Iterator
from contextlib import suppress
from dataclasses import dataclass
from typing import Any, TypeGuard

from uchuu_core import limits
from uchuu_core.checking.diagnosis import SEARCHED
from uchuu_core.checking.tidy import tidied
from uchuu_core.contract import Task
from uchuu_core.lawbook.law import Family, Law
from uchuu_core.moves.conditions import numeral
from uchuu_core.moves.errors import equations
from uchuu_core.moves.move import Move, able
from uchuu_core.moves.places import places_of
from uchuu_core.tree import build
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.nodes import Either, Line, Relation, Signed, Sum, Term
from uchuu_core.tree.paths import letters, part_at, rebuild
from uchuu_core.tree.paths import parts as parts_of
from uchuu_core.tree.shape import unordered


@dataclass(frozen=True, slots=True)
class State:
    """A line of the example, what is written next (None at the end), and the laws that lead there.

    ``number`` counts the lines before it (the given is 0); ``laws`` is empty where they are not known.
    """

    number: int
    line: Line
    following: Line | None
    laws: frozenset[Law] = frozenset()


@dataclass(frozen=True, slots=True)
class Candidate:
    """A wrong line in the place of the line after number ``after`` (0: after the given).

    ``spot`` is equal for the same error at the same part, on whichever line it stands.
    """

    after: int
    error: str
    before: Line
    wrong: Line
    spot: Any


def candidates(states: list[State], own: tuple[Move, ...], task: Task) -> list[Candidate]:
    """Return what errors make of *states*, in the lines where the part is dealt with.

    There a student leaves: a part that the next line still has invites nothing yet. From a finished line
    one goes on with what looks unfinished.
    """
    found: dict[Any, Candidate] = {}
    for state in states:
        moves = (*SEARCHED, *own)
        if state.following is None and isinstance(state.line, (Either, Relation)):
            continue  # solved: nothing looks unfinished
        if state.following is None:
            moves = tuple(move for move in moves if _goes_on(move, task))
        with limits.within(limits.SEARCH_EFFORT), suppress(limits.OutOfEffort):
            for candidate in (*_on_one_side(state), *_at(state, moves)):
                found[candidate.spot] = candidate
    return sorted(found.values(), key=lambda candidate: candidate.after)


def _at(state: State, moves: tuple[Move, ...]) -> Iterator[Candidate]:
    start = without_brackets(state.line)
    shape, parts = unordered(start), places_of(start)
    staying = _forms(state.following) if state.following is not None else frozenset()
    for move in able(moves, parts.kinds):
        if not move.is_invited or move is equations.ONE_SIDE_ONLY or not _is_due(move, state.laws):
            continue
        seen: set[Any] = set()
        for step in move.apply_at(start, parts):
            part = unordered(start if move.whole_line else _part(start, step.at))
            if part in staying:
                continue
            wrong = as_written(step.result, start)
            form = unordered(wrong)
            if form in (shape, *seen):
                continue
            seen.add(form)
            yield Candidate(state.number, move.key, start, wrong, (move.key, part, len(seen)))


def _on_one_side(state: State) -> Iterator[Candidate]:
    """Yield the very step of an equation, done on one of its sides only."""
    line, following, move = without_brackets(state.line), state.following, equations.ONE_SIDE_ONLY
    if not (_is_equation(line) and _is_equation(following) and _is_due(move, state.laws)):
        return
    known = {unordered(line), unordered(following)}
    for wrong in (
        Relation(following.left, "=", line.right),
        Relation(line.left, "=", following.right),
    ):
        form = unordered(wrong)
        if form not in known:
            yield Candidate(state.number, move.key, line, wrong, (move.key, form))


def _is_equation(line: Line | None) -> TypeGuard[Relation]:
    return isinstance(line, Relation) and line.sign == "="


def _goes_on(move: Move, task: Task) -> bool:
    return move.goes_on and (task == "factor") == (move.due is Family.FACTORS)


def _is_due(move: Move, laws: frozenset[Law]) -> bool:
    """Whether an error distorts one of the *laws* that lead to the next line.

    Nobody takes out a factor wrongly on the way to opened brackets. Always where nothing is known
    of the laws (empty: a teacher wrote the lines).
    """
    return not laws or not move.due or any(law.families & move.due for law in laws)


def _forms(line: Line) -> frozenset[Any]:
    return frozenset(unordered(part) for part in parts_of(without_brackets(line)))


def _part(line: Line, path: tuple[int, ...]) -> Line:
    """Return the part at *path*; a path ending in −1 means the term with its sign."""
    return part_at(line, path[:-1] if path and path[-1] == -1 else path) or line


_SIGNS = {"+": 1, "-": -1}


def as_written(wrong: Line, before: Line) -> Line:
    """Return *wrong* as a student writes it: sums of numbers that the error made are worked out."""
    had = set(parts_of(before))

    def change(part: Any) -> Any:
        if part in had or letters(part):
            return part
        if isinstance(part, Sum) and all(term.sign in _SIGNS for term in part.terms):
            values = [numeral(term.body) for term in part.terms]
            known = [value for value in values if value is not None]
            if known == values:
                signs = [_SIGNS[term.sign] for term in part.terms]
                return build.number(sum(map(operator.mul, signs, known)))
        return part

    def ordered(part: Any) -> Any:
        """Write ``(±a) + b`` as ``b ± a``."""
        match part:
            case Sum((Term("+", Signed("+-", body)), *others)):
                return Sum((*others, Term("+-", body)))
            case Signed("-", Signed("+-", _) as same):
                return same
        return part

    return tidied(rebuild(rebuild(wrong, change), ordered))
