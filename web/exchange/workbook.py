"""The first sheet of a workbook (XLSX) as rows of text. It runs in a worker process: no Django here."""

import io
import zipfile

from openpyxl import load_workbook

MOST_UNPACKED = 4_000_000
MOST_PARTS = 500
MOST_COLUMNS = 40
FORMULA = "=formula"
"""Stands first in a row that holds a formula."""


def rows_of_workbook(content: bytes, most: int) -> list[list[str]] | str:
    """Return the first *most* rows of the first sheet, or a sentence that says why there are none."""
    try:
        with zipfile.ZipFile(io.BytesIO(content)) as packed:
            parts = packed.infolist()
            if sum(part.file_size for part in parts) > MOST_UNPACKED or len(parts) > MOST_PARTS:
                return "Unpacked it would be too large."
            if any(
                part.filename.startswith(("/", "\\")) or ".." in part.filename for part in parts
            ):
                return "It holds paths that lead out of it."
        book = load_workbook(io.BytesIO(content), read_only=True, data_only=False)
        rows = []
        for row in book.worksheets[0].iter_rows(max_row=most, max_col=MOST_COLUMNS):
            cells = ["" if cell.value is None else str(cell.value) for cell in row]
            if any(getattr(cell, "data_type", "") == "f" for cell in row):
                cells = [FORMULA, *cells[1:]]
            rows.append(cells)
        return rows
    except Exception:  # whatever the library meets in a broken package: nothing of it is used
        return "It is not a workbook that can be opened."
