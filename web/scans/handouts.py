"""Handouts of a sitting: a copy for each code, every page with its mark."""

from dataclasses import replace
from typing import Literal

from asking.asker import Asker
from classes.models import Student
from giving.maths import decimals, math_of
from giving.records import Room, Sheet, SheetItem
from giving.sheets import MOST_ROOM, TASKS
from giving.writers.paper import pdf
from papers.models import Sitting, SittingItem
from papers.versions import Versions
from uchuu_core.failures import Failure
from uchuu_core.lawbook.spelling import Wording, worded

from scans.marks import PageMark

MOST_PAGES = 20
"""Pages of one copy that have a mark."""


def handouts_pdf(
    sitting: Sitting, paper: Literal["a4", "us-letter"] = "a4", room: Room = "lines"
) -> bytes:
    """Return all copies as one document, in the order of the codes."""
    sheets = handouts(sitting, paper, room)
    return pdf(sheets)


def handouts(
    sitting: Sitting, paper: str, room: Room, written: dict[str, dict[int, list[str]]] | None = None
) -> list[Sheet]:
    """Return a sheet for each code; *written*: by code and item the lines that stand on it already."""
    written = written or {}
    versions = Versions(sitting)
    instruction = sitting.set.instruction if sitting.set else ""
    items = {
        name: [_item(sitting, item) for item in sitting.items.filter(version=name)]
        for name in versions.names
    }
    return [
        Sheet(
            sitting.title,
            versions.of(student),
            instruction,
            "handout",
            room,
            paper,
            [
                replace(item, written=written.get(student.code, {}).get(item.number, []))
                for item in items[versions.of(student)]
            ],
            code=student.code,
            page_marks=_marks(sitting, versions.of(student), student),
        )
        for student in sitting.school_class.students.all()
        if items
    ]


def _marks(sitting: Sitting, version: str, student: Student) -> list[str]:
    return [
        PageMark(sitting.pk, version, page, student.pk).svg() for page in range(1, MOST_PAGES + 1)
    ]


def _item(sitting: Sitting, item: SittingItem) -> SheetItem:
    asker = Asker(sitting.school_class.teacher, sitting.house)
    house = asker.record(item)["house"]
    with decimals(house.get("decimal") or "point"):
        found = SheetItem(
            item.number,
            item.task,
            worded(TASKS[item.task], Wording.of(house)),
            math_of(item.given),
            marks=item.worth,
        )
    try:
        worked = asker.ask("work", item)
        found.room = min(MOST_ROOM, max(len(worked["lines"]) + 1, 2 * (item.worth or 0)))
    except Failure:
        pass  # it cannot be worked: the usual room
    return found
