"""Classes and sittings as documents: everything that is kept of them, to take away and to bring back."""

from datetime import date, datetime
from typing import Any

from classes.actions import make_class
from classes.models import SchoolClass
from django.contrib.auth.models import User
from django.utils import timezone
from lessons.records import bring_lessons_back, lessons_record, reviews_record

from papers.actions.take_in import Given, take_in
from papers.models import NamedLine, Overruling, Paper, Sitting, SittingItem, Work
from papers.queries import work_record
from papers.versions import Versions

_ITEM = (
    *("version", "number", "task", "given", "variable"),
    *("numbers", "form", "house", "worth", "scheme"),
)
_NAMED = ("line", "error", "name")
_SITTING = ("title", "school", "accuracy_follows", "house")


def class_record(school_class: SchoolClass, *, with_marks: bool = True) -> dict[str, Any]:
    """Return all that is kept of a class: its codes, what was given to it, papers, decisions.

    *with_marks*: as they stand now, too; brought back they are made anew.
    """
    sittings = Sitting.objects.filter(school_class=school_class)
    return {
        "format": "uchuu-class",
        "title": school_class.title,
        "year": school_class.year,
        "aside": school_class.deleted is not None,
        "codes": [student.code for student in school_class.students.all()],
        "sittings": [sitting_record(sitting, with_marks=with_marks) for sitting in sittings],
        "lessons": lessons_record(school_class),
        "reviews": reviews_record(school_class),
    }


def sitting_record(sitting: Sitting, *, with_marks: bool = True) -> dict[str, Any]:
    """Return all that is kept of a sitting."""
    works = Work.objects.filter(item__sitting=sitting).select_related("student", "item")
    return {
        **{name: getattr(sitting, name) for name in _SITTING},
        "date": sitting.date.isoformat(),
        "released": sitting.released.isoformat() if sitting.released else None,
        "aside": sitting.deleted is not None,
        "items": [_item(item) for item in sitting.items.prefetch_related("named")],
        "versions": {
            paper.student.code: paper.version
            for paper in sitting.papers.select_related("student").order_by("student__position")
        },
        "papers": [
            _paper(work, with_marks=with_marks)
            for work in works.prefetch_related("overrulings").order_by(
                "student__position", "item__number"
            )
        ],
    }


def _item(item: SittingItem) -> dict[str, Any]:
    named = [{name: getattr(one, name) for name in _NAMED} for one in item.named.all()]
    return {**{name: getattr(item, name) for name in _ITEM}, "named": named}


def _paper(work: Work, *, with_marks: bool) -> dict[str, Any]:
    record = {
        "code": work.student.code,
        "item": work.item.number,
        "lines": work.lines,
        "comment": work.comment,
        "decisions": [
            {"key": one.key, "earned": one.earned, "why": one.why}
            for one in sorted(work.overrulings.all(), key=lambda one: one.key)
        ],
    }
    if with_marks:
        marked = work_record(work)
        record |= {key: marked[key] for key in ("earned", "of", "marks")}
    return record


def bring_class_back(teacher: User, record: dict[str, Any]) -> None:
    """Store a class as its record has it; its papers are marked when they are opened.

    Raises:
        Refused: 422, a code is too long or there are too many.
    """
    made = make_class(
        teacher=teacher, title=record["title"], year=record["year"], codes=record["codes"]
    )
    made.deleted = timezone.now() if record["aside"] else None
    made.save(update_fields=["deleted"])
    for one in record["sittings"]:
        _bring_sitting_back(made, one)
    bring_lessons_back(made, record.get("lessons", []), record.get("reviews"))


def _bring_sitting_back(school_class: SchoolClass, record: dict[str, Any]) -> None:
    released = record["released"]
    sitting = Sitting.objects.create(
        school_class=school_class,
        date=date.fromisoformat(record["date"]),
        released=datetime.fromisoformat(released) if released else None,
        deleted=timezone.now() if record["aside"] else None,
        **{name: record[name] for name in _SITTING},
    )
    for item in record["items"]:
        kept = SittingItem.objects.create(
            sitting=sitting, **{name: item[name] for name in _ITEM if name in item}
        )
        NamedLine.objects.bulk_create(NamedLine(item=kept, **one) for one in item.get("named", []))
    students = {student.code: student for student in school_class.students.all()}
    Paper.objects.bulk_create(
        Paper(sitting=sitting, student=students[code], version=version)
        for code, version in record["versions"].items()
        if code in students
    )
    versions = Versions(sitting)
    found = [
        (paper, Given(students[paper["code"]], item, paper["lines"]))
        for paper in record["papers"]
        if paper["code"] in students
        and (item := versions.item(students[paper["code"]], paper["item"]))
    ]
    take_in(given for _, given in found)
    works = {
        (work.student_id, work.item_id): work for work in Work.objects.filter(item__sitting=sitting)
    }
    decisions = []
    for paper, given in found:
        work = works.get((given.student.pk, given.item.pk))
        if work is None:
            continue
        work.comment = paper["comment"]
        decisions += [Overruling(work=work, **decision) for decision in paper["decisions"]]
    Work.objects.bulk_update(works.values(), ["comment"])
    Overruling.objects.bulk_create(decisions)
