"""Classes and sittings as documents to take away: everything that is kept of them."""

from typing import Any

from classes.models import SchoolClass

from papers.models import Sitting, Work
from papers.queries import work_record

_ITEM = (
    "version",
    "number",
    "task",
    "given",
    "variable",
    "numbers",
    "form",
    "house",
    "worth",
    "scheme",
)


def class_record(school_class: SchoolClass) -> dict[str, Any]:
    """Return all that is kept of a class: its codes, what was given to it, papers, marks, decisions."""
    sittings = Sitting.objects.filter(school_class=school_class, deleted=None)
    return {
        "format": "uchuu-class",
        "title": school_class.title,
        "year": school_class.year,
        "codes": [student.code for student in school_class.students.all()],
        "sittings": [sitting_record(sitting) for sitting in sittings],
    }


def sitting_record(sitting: Sitting) -> dict[str, Any]:
    works = Work.objects.filter(item__sitting=sitting).select_related("student", "item")
    return {
        "title": sitting.title,
        "date": sitting.date.isoformat(),
        "school": sitting.school,
        "accuracy_follows": sitting.accuracy_follows,
        "released": sitting.released.isoformat() if sitting.released else None,
        "items": [{name: getattr(item, name) for name in _ITEM} for item in sitting.items.all()],
        "versions": {
            paper.student.code: paper.version
            for paper in sitting.papers.select_related("student").order_by("student__position")
        },
        "papers": [
            {
                "code": work.student.code,
                "item": work.item.number,
                "lines": work.lines,
                **{
                    key: record[key]
                    for record in (work_record(work),)
                    for key in ("earned", "of", "marks", "comment")
                },
            }
            for work in works.prefetch_related("overrulings").order_by("student__position", "item")
        ],
    }
