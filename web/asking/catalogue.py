"""The error catalogue as a teacher reads it, its examples typeset; made once."""

from functools import cache
from itertools import product, starmap
from typing import get_args

from algebra.schemas import ErrorEntry
from uchuu_core.lawbook.spelling import Removing, Spelling, Undoing, Wording, worded
from uchuu_core.moves.catalogue import wordings
from uchuu_core.notation import latex, read

_USUAL = Wording()
_WORDINGS = tuple(starmap(Wording, product(*map(get_args, (Spelling, Removing, Undoing)))))


@cache
def catalogue(wording: Wording) -> tuple[ErrorEntry, ...]:
    """Return all entries in the catalogue's order, worded so."""
    return tuple(
        ErrorEntry(
            id=entry.id,
            name=worded(entry.name, wording),
            topic=entry.topic,
            before=entry.example.before,
            wrong=entry.example.after,
            right=entry.right,
            before_latex=_latex(entry.example.before),
            wrong_latex=_latex(entry.example.after),
            right_latex=_latex(entry.right),
            correct=entry.correct,
            when=entry.when,
            why=worded(entry.why, wording),
            repair=worded(entry.repair, wording),
            counter=entry.counter,
        )
        for entry in wordings().values()
    )


def id_of(name: str) -> str:
    """Return the id of the error that is called *name*, in whatever words; empty where there is none."""
    wanted = name.strip().lower()
    for entry in (entry for wording in _WORDINGS for entry in catalogue(wording)):
        if entry.name.lower() == wanted:
            return str(entry.id)
    return ""


@cache
def _latex(text: str) -> str:
    return latex(read(text))


def entry_of(error: str, wording: Wording = _USUAL) -> ErrorEntry | None:
    """Return the catalogue's entry of an error; None where it has none, as for a teacher's own."""
    return next((entry for entry in catalogue(wording) if entry.id == error), None)
