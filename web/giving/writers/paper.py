"""PDF, and the same pages as pictures: written by Typst, nothing of a user's text is its source."""

import json
from pathlib import Path
from typing import Any, Literal

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


def pdf(sheet: Sheet) -> bytes:
    """Return the sheet as a PDF document."""
    document: bytes = _compiled(sheet, "pdf")
    return document


def pages(sheet: Sheet) -> list[bytes]:
    """Return the pages of the same document as SVG pictures."""
    found = _compiled(sheet, "svg")
    return found if isinstance(found, list) else [found]


def _compiled(sheet: Sheet, kind: Literal["pdf", "svg"]) -> Any:
    return typst.compile(
        TEMPLATES / ("slides.typ" if sheet.what == "slides" else "sheet.typ"),
        root=TEMPLATES,
        format=kind,
        sys_inputs=_inputs(sheet),
        ignore_system_fonts=True,
    )
