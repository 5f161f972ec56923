"""Slips and redo sheets as PDF."""

import json
from dataclasses import asdict
from typing import Any, Literal

from giving.maths import math_of
from giving.sheets import TASKS
from giving.writers.paper import compiled

from papers.models import Sitting, SittingItem
from papers.slips import items_to_redo, slips_of, works_to_return
from papers.twins import twin_of

Paper = Literal["a4", "us-letter"]
WORDS = {
    "wrote": "you wrote, line",
    "instead": "right here",
    "twin": "try this one",
    "proposed": "proposed",
    "redo": "Once more",
    "key": "Key",
    "none": "No paper left the line.",
}


def slips_pdf(sitting: Sitting, paper: Paper) -> bytes:
    """Return a slip for each student who left the line or has a comment, six to a page."""
    slips = slips_of(sitting)
    for slip in slips:
        for entry in slip["entries"]:
            for name in ("given", "wrote", "instead", "twin"):
                entry[name] = _math(entry[name]["text"]) if entry[name] else None
    return _pdf("slips.typ", sitting, paper, slips=slips)


def redo_pdf(sitting: Sitting, paper: Paper) -> bytes:
    """Return for each student the items that left the line, as twins; then one key for all."""
    sheets: list[dict[str, Any]] = []
    key: dict[int, dict[str, Any]] = {}
    for works in works_to_return(sitting):
        items = [(item, twin) for item in items_to_redo(works) if (twin := twin_of(item))]
        if items:
            listed = [_to_redo(item, twin) for item, twin in items]
            sheets.append({"code": works[0].student.code, "items": listed})
        for item, twin in items:
            key[item.pk] = {
                "name": f"{item.number}{item.version}",
                "given": _math(twin["given"]),
                "answer": _math(twin["answer"]),
            }
    ordered = sorted(key.values(), key=lambda one: (len(one["name"]), one["name"]))
    return _pdf("redo.typ", sitting, paper, sheets=sheets, key=ordered)


def _to_redo(item: SittingItem, twin: dict[str, Any]) -> dict[str, Any]:
    return {"number": item.number, "task": TASKS[item.task], "given": _math(twin["given"])}


def _math(text: str) -> dict[str, Any]:
    return asdict(math_of(text))


def _pdf(template: str, sitting: Sitting, paper: Paper, **more: Any) -> bytes:
    sheet = {
        "title": sitting.title,
        "paper": paper,
        "released": sitting.released is not None,
    }
    inputs = {"words": WORDS, "sheet": sheet, **more}
    content: bytes = compiled(
        template, {name: json.dumps(value, ensure_ascii=False) for name, value in inputs.items()}
    )
    return content
