"""Which forks of a line are told first: what its step is known for, then how common."""

from uchuu_core.checking.target import terms_apart
from uchuu_core.forking.candidates import Candidate
from uchuu_core.lawbook.law import Law
from uchuu_core.moves.catalogue import ERRORS, commonness
from uchuu_core.moves.classics import place_among_classics
from uchuu_core.moves.move import Common
from uchuu_core.notation import plain
from uchuu_core.tree.nodes import Line, Relation

_DUE = {error.key: error.due for error in ERRORS}
_CLASSIC, _DUE_HERE, _ANYWHERE = range(3)


def told_in_order(
    listed: list[Candidate], laws: list[frozenset[Law]], lines: list[Line]
) -> list[Candidate]:
    """Return the candidates of one line in the order in which a teacher would tell of them.

    What no student of five hundred writes there is left out: an error that is rare and has nothing to
    do with the step.
    """
    ranked = [(_rank(candidate, laws, lines), candidate) for candidate in listed]
    ranked.sort(key=lambda pair: pair[0])
    return [
        candidate
        for (group, *_), candidate in ranked
        if group < _ANYWHERE or commonness(candidate.error) < Common.NOW_AND_THEN
    ]


def how_known(error: str, after: int, laws: list[frozenset[Law]]) -> tuple[int, int]:
    """Return how well the step after line *after* is known for an error: the least comes first."""
    step = laws[after + 1] if after + 1 < len(laws) else frozenset()
    place = place_among_classics(error, step)
    if place is not None:
        return _CLASSIC, place
    due = _DUE.get(error)
    is_due = not step or (due and any(law.families & due for law in step))
    return (_DUE_HERE if is_due else _ANYWHERE), 0


def _rank(
    candidate: Candidate, laws: list[frozenset[Law]], lines: list[Line]
) -> tuple[int, int, int, int, int]:
    number, near = candidate.after + 1, 0
    if number < len(lines) and isinstance(lines[number], Relation):  # it does what the step does
        near = terms_apart(candidate.wrong, lines[number])
    group, place = how_known(candidate.error, candidate.after, laws)
    return group, place, commonness(candidate.error), _signs_added(candidate), near


def _signs_added(candidate: Candidate) -> int:
    """Return how many minus signs the line has more than the one before: few students write such."""
    return max(0, plain(candidate.wrong).count("-") - plain(candidate.before).count("-"))
