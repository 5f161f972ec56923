"""The error catalogue as a teacher reads it, its examples typeset; made once."""

from functools import cache

from algebra.schemas import ErrorEntry
from uchuu_core.lawbook.spelling import Spelling, spelled
from uchuu_core.moves.catalogue import wordings
from uchuu_core.notation import latex, read


@cache
def catalogue(spelling: Spelling) -> tuple[ErrorEntry, ...]:
    """Return all entries in the catalogue's order, spelt so."""
    return tuple(
        ErrorEntry(
            id=entry.id,
            name=spelled(entry.name, spelling),
            topic=entry.topic,
            before=entry.example.before,
            wrong=entry.example.after,
            right=entry.right,
            before_latex=_latex(entry.example.before),
            wrong_latex=_latex(entry.example.after),
            right_latex=_latex(entry.right),
            correct=entry.correct,
            when=entry.when,
            why=spelled(entry.why, spelling),
            repair=spelled(entry.repair, spelling),
            counter=entry.counter,
        )
        for entry in wordings().values()
    )


def _latex(text: str) -> str:
    return latex(read(text))
