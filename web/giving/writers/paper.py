"""PDF, and the same pages as pictures: written by Typst, nothing of a user's text is its source."""

import json
from pathlib import Path

import typst

from giving.sheets import Sheet

TEMPLATES = Path(__file__).resolve().parents[1] / "templates"
WORDS = {
    "name": "Name",
    "short": "Short key",
    "key": "Key",
    "total": "Marks",
    "after": "after line",
    "afterGiven": "after the given",
    "ends": "ends in",
    "lineNumber": "Line",
    "should": "It should be",
    "right": "right",
}


def _inputs(sheet: Sheet) -> dict[str, str]:
    return {
        "sheet": json.dumps(sheet.as_record(), ensure_ascii=False),
        "words": json.dumps(WORDS),
    }


def _template(sheet: Sheet) -> bytes:
    name = "slides.typ" if sheet.what == "slides" else "sheet.typ"
    return (TEMPLATES / name).read_bytes()


def pdf(sheet: Sheet) -> bytes:
    """Return the sheet as a PDF document."""
    return typst.compile(
        _template(sheet), format="pdf", sys_inputs=_inputs(sheet), ignore_system_fonts=True
    )


def pages(sheet: Sheet) -> list[bytes]:
    """Return the pages of the same document as SVG pictures."""
    found = typst.compile(
        _template(sheet), format="svg", sys_inputs=_inputs(sheet), ignore_system_fonts=True
    )
    return found if isinstance(found, list) else [found]
