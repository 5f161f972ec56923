"""Tables of a set: items, answers, difficulty and skills, as CSV and as a workbook; both can be read back."""

import csv
import io
from collections.abc import Iterable
from typing import Any

from openpyxl import Workbook
from openpyxl.styles import Font
from sets.models import ProblemSet
from sets.problems import with_facts

COLUMNS = (
    "number",
    "title",
    "instruction",
    "task",
    "given",
    "variable",
    "form",
    "numbers",
    "marks",
    "minutes",
    "lines",
    "answer",
    "difficulty",
    "skills",
    "reveals",
)
_RISKY = ("=", "+", "-", "@", "\t", "\r")
"""Beginnings that a spreadsheet would take for a formula."""


def rows_of(stored: ProblemSet) -> list[list[Any]]:
    """Return the table without its head."""
    found = []
    for number, item in enumerate(with_facts(stored).items.all(), start=1):
        example, facts = item.example, item.facts or {}  # type: ignore[attr-defined]
        found.append(
            [
                number,
                example.title,
                item.instruction,
                example.task,
                example.given,
                example.variable,
                "; ".join(example.form),
                example.numbers,
                item.marks,
                item.minutes,
                " | ".join(line.text for line in example.lines.all()),
                facts.get("answer", ""),
                (facts.get("difficulty") or {}).get("score"),
                "; ".join(facts.get("skills", [])),
                "; ".join(error["name"] for error in facts.get("reveals", [])),
            ]
        )
    return found


def csv_table(stored: ProblemSet) -> str:
    """Return the table as CSV."""
    return csv_of([list(COLUMNS), *rows_of(stored)])


def csv_of(rows: Iterable[list[Any]]) -> str:
    """Return rows as CSV; cells that a spreadsheet would calculate begin with an apostrophe."""
    out = io.StringIO()
    csv.writer(out).writerows([harmless(cell) for cell in row] for row in rows)
    return out.getvalue()


def workbook_of(title: str, rows: Iterable[list[Any]]) -> Workbook:
    """Return a workbook with one sheet of these rows, the first of them its head."""
    book = Workbook()
    sheet = book.worksheets[0]
    sheet.title = title
    for row in rows:
        sheet.append([harmless(cell) for cell in row])
    for cell in sheet[1]:
        cell.font = Font(bold=True)
    sheet.freeze_panes = "B2"
    return book


def bytes_of(book: Workbook) -> bytes:
    """Return a workbook as the bytes of its file."""
    out = io.BytesIO()
    book.save(out)
    return out.getvalue()


def harmless(cell: Any) -> Any:
    """Return a cell that no spreadsheet takes for a formula."""
    return f"'{cell}" if isinstance(cell, str) and cell.startswith((*_RISKY, "'")) else cell


def workbook(stored: ProblemSet) -> bytes:
    """Return the table as a workbook; every text is stored as text."""
    book = Workbook()
    sheet = book.active
    assert sheet is not None
    sheet.title = "Problems"
    sheet.append(list(COLUMNS))
    for cell in sheet[1]:
        cell.font = Font(bold=True)
    for row in rows_of(stored):
        sheet.append([None if isinstance(cell, str) else cell for cell in row])
        for place, value in enumerate(row, start=1):
            if isinstance(value, str) and value:
                cell = sheet.cell(row=sheet.max_row, column=place)
                cell.value, cell.data_type = value, "s"
    for column, width in (("B", 24), ("E", 32), ("K", 40), ("L", 24), ("N", 40), ("O", 60)):
        sheet.column_dimensions[column].width = width
    sheet.freeze_panes = "A2"
    return bytes_of(book)
