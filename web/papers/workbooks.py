"""The marks as a workbook: the table, and a sheet that says what it is."""

from giving.writers.tables import bytes_of, harmless, workbook_of

from papers.models import Sitting
from papers.queries import table_of


def marks_workbook(sitting: Sitting) -> bytes:
    """Return the marks as XLSX."""
    book = workbook_of("Marks", table_of(sitting))
    about = book.create_sheet("About")
    released = f"released {sitting.released:%Y-%m-%d}" if sitting.released else "not released"
    for name, value in (
        ("Sitting", sitting.title),
        ("Class", sitting.school_class.title),
        ("Date", sitting.date.isoformat()),
        ("Marks", released),
    ):
        about.append([name, harmless(value)])
    return bytes_of(book)
