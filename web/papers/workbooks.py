"""The marks as a workbook: the table, and a sheet that says what it is."""

import io

from giving.writers.tables import harmless
from openpyxl import Workbook
from openpyxl.styles import Font

from papers.models import Sitting
from papers.queries import table_of


def marks_workbook(sitting: Sitting) -> bytes:
    """Return the marks as XLSX."""
    book = Workbook()
    sheet = book.worksheets[0]
    sheet.title = "Marks"
    for row in table_of(sitting):
        sheet.append([harmless(cell) for cell in row])
    for cell in sheet[1]:
        cell.font = Font(bold=True)
    sheet.freeze_panes = "B2"
    about = book.create_sheet("About")
    released = f"released {sitting.released:%Y-%m-%d}" if sitting.released else "not released"
    for name, value in (
        ("Sitting", sitting.title),
        ("Class", sitting.school_class.title),
        ("Date", sitting.date.isoformat()),
        ("Marks", released),
    ):
        about.append([name, harmless(value)])
    out = io.BytesIO()
    book.save(out)
    return out.getvalue()
