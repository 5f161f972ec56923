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


def _rank(
    candidate: Candidate, laws: list[frozenset[Law]], lines: list[Line]
) -> tuple[int, int, int, int, int]:
    number = candidate.after + 1
    step = laws[number] if number < len(laws) else frozenset()
    place = place_among_classics(candidate.error, step)
    if place is not None:
        group = _CLASSIC
    else:
        due = _DUE.get(candidate.error)
        group = (
            _DUE_HERE
            if not step or (due and any(law.families & due for law in step))
            else _ANYWHERE
        )
    near = 0
    if number < len(lines) and isinstance(lines[number], Relation):  # it does what the step does
        near = terms_apart(candidate.wrong, lines[number])
    return group, place or 0, commonness(candidate.error), _signs_added(candidate), near


def _signs_added(candidate: Candidate) -> int:
    """Return how many minus signs the line has more than the one before: few students write such."""
    return max(0, plain(candidate.wrong).count("-") - plain(candidate.before).count("-"))
