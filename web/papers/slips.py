"""A slip for each student: where their papers first left the line, the right line, what to say, a twin to try."""

from typing import Any

from asking.shown import shown_line

from papers.models import Sitting, SittingItem, Work
from papers.queries import cells_of
from papers.twins import twin_of

MOST = 3
"""Items on one slip: more is not read."""


def slips_of(sitting: Sitting) -> list[dict[str, Any]]:
    """Return a slip for each student whose paper left the line or has a comment, in the order of the codes."""
    totals = _totals(sitting)
    return [
        {
            "code": listed[0].student.code,
            **totals.get(listed[0].student_id, {"earned": None, "of": None}),
            "entries": [_entry(work) for work in listed[:MOST]],
        }
        for listed in works_to_return(sitting)
    ]


def works_to_return(sitting: Sitting) -> list[list[Work]]:
    """Return for each student, in the order of the codes, what left the line or has a comment."""
    works = Work.objects.filter(item__sitting=sitting).exclude(error="", comment="")
    by_student: dict[int, list[Work]] = {}
    for work in works.select_related("item__sitting__school_class__teacher", "student").order_by(
        "student__position", "item__number"
    ):
        by_student.setdefault(work.student_id, []).append(work)
    return list(by_student.values())


def _totals(sitting: Sitting) -> dict[int, dict[str, int]]:
    totals: dict[int, dict[str, int]] = {}
    for cell in cells_of(sitting):
        if cell["earned"] is not None:
            sums = totals.setdefault(cell["student"], {"earned": 0, "of": 0})
            sums["earned"] += cell["earned"]
            sums["of"] += cell["of"] or 0
    return totals


def _entry(work: Work) -> dict[str, Any]:
    lines = (work.judged or {}).get("lines", [])
    found = next(((n, line) for n, line in enumerate(lines, start=1) if line.get("error")), None)
    number, line = found or (0, {"text": "", "error": None})
    error = line["error"] or {}
    twin = twin_of(work.item) if found else None
    return {
        "number": work.item.number,
        "given": shown_line(work.item.given),
        "line": number,
        "wrote": shown_line(line["text"]),
        "name": error.get("name", ""),
        "says": error.get("says", ""),
        "instead": shown_line(error["instead"]) if error.get("instead") else None,
        "comment": work.comment,
        "twin": shown_line(twin["given"]) if twin else None,
    }


def items_to_redo(works: list[Work]) -> list[SittingItem]:
    """Return a student's items that left the line, in order."""
    return [work.item for work in works if work.error]
