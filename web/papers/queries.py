"""What screens read of sittings: the grid, one paper, a table to take away."""

from collections import Counter, defaultdict
from collections.abc import Iterator
from typing import Any
from uuid import UUID

from api.failures import Refused
from asking.shown import reading
from classes.models import Student
from django.contrib.auth.models import User
from django.db.models import Count, QuerySet
from typing_extensions import TypedDict

from papers.models import Overruling, Sitting, SittingItem, Work
from papers.versions import Versions


def sittings_of(teacher: User, *, archived: bool = False) -> QuerySet[Sitting]:
    """Return the teacher's sittings of classes that are not put aside, the latest first."""
    found = Sitting.objects.filter(
        school_class__teacher=teacher,
        school_class__deleted=None,
        deleted__isnull=not archived,
    )
    return found.select_related("school_class", "job", "set__unit")


def sitting_of(teacher: User, identity: UUID | str) -> Sitting:
    """Return one sitting.

    Raises:
        Refused: 404, there is none of this id.
    """
    found = sittings_of(teacher).filter(pk=identity).first()
    if found is None:
        raise Refused(404, "not-found", "This sitting is not there (any more).")
    return found


def reading_of(item: SittingItem) -> dict[str, Any] | None:
    """Return how an item's problem is read, in every notation; None where it cannot be read."""
    return reading(item.given)


class Cell(TypedDict):
    """One student's work for one item at a glance; ``earned`` None: not marked yet."""

    student: int
    number: int
    earned: int | None
    of: int | None
    stop: str
    error: str
    asks: int
    overruled: int


def cells_of(sitting: Sitting) -> list[Cell]:
    """Return what the grid shows of every work, without its lines: plain rows, hundreds are read at once."""
    works = (
        Work.objects.filter(item__sitting=sitting)
        .annotate(overruled=Count("overrulings"))
        .order_by("student_id", "item_id")
    )
    decided = _decided(sitting)
    names = (
        "student_id",
        "item__number",
        "earned",
        "of",
        "stop",
        "error_name",
        "asks",
        "overruled",
    )
    return [
        {
            "student": student,
            "number": number,
            "earned": _with_decided(earned, of, decided.get(work, 0)),
            "of": of,
            "stop": stop,
            "error": error,
            "asks": asks,
            "overruled": overruled,
        }
        for work, student, number, earned, of, stop, error, asks, overruled in works.values_list(
            "pk", *names
        )
    ]


def _decided(sitting: Sitting) -> dict[int, int]:
    """Return by how much the teacher's decisions change each work's marks; of marks that are there."""
    changes: dict[int, int] = defaultdict(int)
    found = Overruling.objects.filter(work__item__sitting=sitting).select_related("work")
    for one in found:
        marks = {mark["key"]: mark for mark in (one.work.judged or {}).get("marks", [])}
        if one.key in marks:
            changes[one.work_id] += one.earned - marks[one.key]["earned"]
    return changes


def _with_decided(earned: int | None, of: int | None, change: int) -> int | None:
    return None if earned is None else max(0, min(of or 0, earned + change))


def table_of(sitting: Sitting) -> Iterator[list[Any]]:
    """Yield the marks as a table: a head, then a row for each code with the marks of every item."""
    versions = Versions(sitting)
    numbers = sorted({item.number for item in sitting.items.all()})
    earned = {(cell["student"], cell["number"]): cell["earned"] for cell in cells_of(sitting)}
    head = ["version"] if len(versions.names) > 1 else []
    yield ["code", *head, *map(str, numbers), "total"]
    for student in sitting.school_class.students.all():
        row = [earned.get((student.pk, number)) for number in numbers]
        yield [
            student.code,
            *([versions.of(student)] if head else []),
            *("" if mark is None else mark for mark in row),
            sum(filter(None, row)),
        ]


def paper_of(sitting: Sitting, student: Student) -> dict[str, Any]:
    """Return one student's paper: for each item what was written, how it stands, its marks."""
    versions = Versions(sitting)
    found = Work.objects.filter(student=student, item__sitting=sitting)
    works = {work.item_id: work for work in found.prefetch_related("overrulings")}
    same = Work.objects.filter(wrote__in=[work.wrote for work in works.values()])
    alike = Counter(same.exclude(student=student).values_list("item_id", "wrote"))
    return {
        "student": student,
        "version": versions.of(student),
        "versions": versions.names,
        "items": versions.items(student),
        "works": [
            work_record(work, alike[item.pk, work.wrote])
            if (work := works.get(item.pk))
            else _blank(item)
            for item in versions.items(student)
        ],
    }


def _blank(item: SittingItem) -> dict[str, Any]:
    """Return the record of an item for which nothing was given."""
    return {**work_record(Work(item=item)), "waiting": False}


def work_record(work: Work, alike: int = 0) -> dict[str, Any]:
    judged = work.judged or {}
    decided = {one.key: one for one in work.overrulings.all()} if work.pk else {}
    marks = [_decided_mark(mark, decided.get(mark["key"])) for mark in judged.get("marks", [])]
    total = sum(mark["earned"] for mark in marks)
    return {
        "item": work.item_id,
        "lines": work.lines,
        "answer_alone": work.answer_alone,
        "waiting": work.judged is None,
        "refused": judged.get("refused", ""),
        "late": judged.get("late", False),
        "checked": judged.get("lines", []),
        "right": judged.get("answer", {}).get("right", False),
        "marks": marks,
        "earned": None if work.earned is None else max(0, min(work.of or 0, total)),
        "of": work.of,
        "ask": judged.get("ask", []),
        "alike": alike,
        "comment": work.comment,
        "draft": draft_of(judged),
    }


def draft_of(judged: dict[str, Any]) -> str:
    """Return what may be said to the student: of the first line that left, else nothing."""
    for number, line in enumerate(judged.get("lines", []), start=1):
        if line.get("error"):
            return f"Line {number}, “{line['text']}”: {line['error']['says']}"[:600]
    return ""


def _decided_mark(mark: dict[str, Any], decision: Overruling | None) -> dict[str, Any]:
    return {
        **mark,
        "proposed": mark["earned"],
        "earned": decision.earned if decision else mark["earned"],
        "overruled": decision is not None,
        "why": decision.why if decision else "",
    }
