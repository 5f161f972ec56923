"""Papers from a table or a text: codes, items and lines, told row by row."""

import re
from collections.abc import Callable
from dataclasses import dataclass

from classes.models import Student
from exchange.reading import refuse
from exchange.workbook import FORMULA

from papers.actions.take_in import Given
from papers.models import MOST_LINE, MOST_LINES, SittingItem

MOST_ROWS = 4000
_ITEM = re.compile(r"^\s*(?:no\.?\s*|#)?(\d{1,3})\s*[.):]?\s*$")


ItemOf = Callable[[Student, int], SittingItem | None]
"""Gives a student's item of a number."""


@dataclass(frozen=True, slots=True)
class Told:
    """What became of one row: ``at`` as the file counts, from 1."""

    at: int
    taken: bool
    says: str


def papers_of(
    rows: list[list[str]], students: list[Student], item_of: ItemOf
) -> tuple[list[Given], list[Told]]:
    """Return the papers that a table holds, and what is said of each row.

    A row is a code, an item's number and its lines in the cells after it; rows of the same code and item
    follow one another as lines. *item_of*: which item a number is for a student; versions differ.

    Raises:
        Refused: 422, the table is too long.
    """
    if len(rows) > MOST_ROWS:
        raise refuse(f"A table has at most {MOST_ROWS} rows.")
    by_code = {student.code.casefold(): student for student in students}
    found: dict[tuple[int, int], Given] = {}
    told: list[Told] = []
    for at, row in enumerate(rows, start=1):
        cells = [cell.strip() for cell in row]
        if not any(cells) or (at == 1 and len(cells) > 1 and not _ITEM.match(cells[1])):
            continue  # an empty row, or the head
        student = by_code.get(cells[0].casefold())
        number = _ITEM.match(cells[1]) if len(cells) > 1 else None
        item = item_of(student, int(number[1])) if student and number else None
        says = _fault(cells, student, item)
        told.append(Told(at, not says, says))
        if says or student is None or item is None:
            continue
        known = found.get((student.pk, item.pk))
        lines = [*(known.lines if known else []), *(cell for cell in cells[2:] if cell)]
        if len(lines) > MOST_LINES:
            told[-1] = Told(at, False, f"A paper has at most {MOST_LINES} lines for an item.")
            continue
        found[student.pk, item.pk] = Given(student, item, lines)
    return list(found.values()), told


def _fault(cells: list[str], student: Student | None, item: SittingItem | None) -> str:
    """Return why a row is not taken; empty where it is."""
    if cells[0] == FORMULA:
        return "It holds a formula; formulas are not worked out. Store values instead."
    if len(cells) < 2:
        return "A row needs a code, an item’s number and what was written."
    if student is None:
        return f"“{cells[0][:40]}” is no code of this class."
    if item is None:
        return f"“{cells[1][:20]}” is no item of this sitting."
    if any(len(cell) > MOST_LINE for cell in cells):
        return f"A line has more than {MOST_LINE} characters."
    return ""
