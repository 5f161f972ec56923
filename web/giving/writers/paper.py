"""PDF, and the same pages as pictures: written by Typst, nothing of a user's text is its source."""

import json
from pathlib import Path
from typing import Any, Literal

import typst

from giving.records import Sheet

TEMPLATES = Path(__file__).resolve().parents[1] / "templates"
WORDS = {
    "name": "Name",
    "class": "Class",
    "date": "Date",
    "check": "Check",
    "leftSide": "left side",
    "rightSide": "right side",
    "answer": "Answer",
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


def _inputs(sheets: list[Sheet]) -> dict[str, str]:
    return {
        "sheets": json.dumps([sheet.as_record() for sheet in sheets], ensure_ascii=False),
        "words": json.dumps(WORDS),
    }


def pdf(sheets: list[Sheet]) -> bytes:
    """Return the sheets, one or its parallel versions, as one PDF document."""
    document: bytes = _compiled(sheets, "pdf")
    return document


def pages(sheets: list[Sheet]) -> list[bytes]:
    """Return the pages of the same document as SVG pictures."""
    found = _compiled(sheets, "svg")
    return found if isinstance(found, list) else [found]


def _compiled(sheets: list[Sheet], kind: Literal["pdf", "svg"]) -> Any:
    template = "slides.typ" if sheets[0].what == "slides" else "sheet.typ"
    return compiled(template, _inputs(sheets), kind)


def compiled(template: str, inputs: dict[str, str], kind: Literal["pdf", "svg"] = "pdf") -> Any:
    """Return one of our templates filled with *inputs*, each of them JSON."""
    return typst.compile(
        TEMPLATES / template,
        root=TEMPLATES,
        format=kind,
        sys_inputs=inputs,
        ignore_system_fonts=True,
    )
