"""Slips of the pen: a sign, number or term that changed on the way, or a sum worked out wrongly.

These explain almost any line, so they are tried last. What was written next guides them: the
functions are given the numerals of the next line (see ``checking.diagnosis``).
"""

from collections.abc import Iterator

from uchuu_core.moves.move import error_in_part
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Line, Number, Signed, Sum, Term


def _one_sign_changed(part: Line) -> Iterator[Line]:
    if isinstance(part, Sum):
        for place, term in enumerate(part.terms):
            if term.sign != "+-":
                terms = list(part.terms)
                terms[place] = Term(build.OPPOSITE[term.sign], term.body)
                yield Sum(tuple(terms))
    elif isinstance(part, Signed) and part.sign == "-":
        yield part.body


def _one_term_lost(part: Line) -> Iterator[Line]:
    if isinstance(part, Sum):
        for place in range(len(part.terms)):
            yield build.total(t for n, t in enumerate(part.terms) if n != place)


def _number_changed(part: Line) -> Iterator[Line]:
    """Stands for every other number; diagnosis asks with the numbers that were written."""
    if isinstance(part, Number) and part.is_whole:
        yield Number(str(int(part.text) + 3))


def _off_by_one(part: Line) -> Iterator[Line]:
    """Stands for every wrong result of one operation."""
    if isinstance(part, Sum) and all(
        isinstance(t.body, Number) and t.body.is_whole for t in part.terms
    ):
        value = sum(
            (1 if t.sign == "+" else -1) * int(t.body.text)
            for t in part.terms
            if isinstance(t.body, Number)
        )
        yield build.number(value + 1)


SIGN_CHANGED = error_in_part(
    "copy-sign-changed", _one_sign_changed, "x^2-5x+2x-10", "x^2+5x+2x-10", "5x", is_invited=False
)
NUMBER_CHANGED = error_in_part(
    "copy-number-changed",
    _number_changed,
    "3x+16-x",
    "3x+19-x",
    "x",
    is_invited=False,
    is_searched=False,
)
TERM_LOST = error_in_part(
    "copy-term-lost", _one_term_lost, "4x+7-2x+5", "4x-2x+5", "4x", is_invited=False
)
ARITHMETIC_SLIP = error_in_part(
    "arithmetic-slip", _off_by_one, "54+2", "57", "x+2", is_invited=False, is_searched=False
)

ERRORS = (SIGN_CHANGED, NUMBER_CHANGED, TERM_LOST, ARITHMETIC_SLIP)
