"""A slip for each student: where their papers first left the line, the right line, and what to say."""

from typing import Any

from papers.models import Sitting, Work
from papers.queries import reading_of

MOST = 3
"""Items on one slip: more is not read."""


def slips_of(sitting: Sitting) -> list[dict[str, Any]]:
    """Return a slip for each student whose paper left the line somewhere, in the order of the codes."""
    works = Work.objects.filter(item__sitting=sitting).exclude(error="")
    by_student: dict[int, list[Work]] = {}
    for work in works.select_related("item", "student").order_by(
        "student__position", "item__number"
    ):
        by_student.setdefault(work.student_id, []).append(work)
    return [
        {"code": listed[0].student.code, "entries": [_entry(work) for work in listed[:MOST]]}
        for listed in by_student.values()
    ]


def _entry(work: Work) -> dict[str, Any]:
    lines = (work.judged or {}).get("lines", [])
    number, line = next((n, line) for n, line in enumerate(lines, start=1) if line.get("error"))
    error = line["error"]
    return {
        "number": work.item.number,
        "reads": reading_of(work.item),
        "line": number,
        "wrote": line["text"],
        "wrote_latex": line.get("latex"),
        "name": error["name"],
        "says": error["says"],
        "instead_latex": error["instead_latex"],
    }
