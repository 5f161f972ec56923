"""Lessons as documents: what is kept of them, to take away and to bring back."""

from datetime import date, datetime
from typing import Any

from classes.models import SchoolClass
from django.utils import timezone
from examples.models import Example
from sets.models import ProblemSet

from lessons.models import Hands, Lesson, LessonItem, OpenedFork, ReviewPlan

_LESSON = ("title", "minutes", "note")
_ITEM = (
    *("task", "given", "role", "note", "star", "first_move", "minutes"),
    *("purpose", "error", "error_name", "seconds", "shown", "lines"),
)


def lessons_record(school_class: SchoolClass) -> list[dict[str, Any]]:
    """Return all lessons of a class, the first one first, with what was held of them."""
    lessons = list(
        Lesson.objects.filter(school_class=school_class)
        .select_related("set")
        .prefetch_related("items__hands", "items__forks")
        .order_by("date", "created")
    )
    places = {lesson.pk: place for place, lesson in enumerate(lessons)}
    return [
        {
            **{name: getattr(lesson, name) for name in _LESSON},
            "date": lesson.date.isoformat(),
            "set": lesson.set.title if lesson.set else None,
            "carried_from": places.get(lesson.carried_from_id) if lesson.carried_from_id else None,
            "begun": _instant(lesson.begun),
            "ended": _instant(lesson.ended),
            "aside": lesson.deleted is not None,
            "items": [_item(item) for item in lesson.items.all()],
        }
        for lesson in lessons
    ]


def _item(item: LessonItem) -> dict[str, Any]:
    return {
        **{name: getattr(item, name) for name in _ITEM},
        "held": _instant(item.held),
        "hands": [
            {"after": one.after, "kind": one.kind, "counts": one.counts} for one in item.hands.all()
        ],
        "forks": [
            {"after": one.after, "error": one.error, "name": one.name} for one in item.forks.all()
        ],
    }


def reviews_record(school_class: SchoolClass) -> dict[str, Any] | None:
    """Return the days of a class's reviews; None where they are as everywhere."""
    found = ReviewPlan.objects.filter(school_class=school_class).first()
    return {"days": found.days, "free": found.free} if found else None


def bring_lessons_back(
    school_class: SchoolClass, records: list[dict[str, Any]], reviews: dict[str, Any] | None
) -> None:
    """Store lessons as their records have them; examples and sets are found again by what they are."""
    teacher = school_class.teacher
    examples = {
        (one.task, one.given): one
        for one in Example.objects.filter(teacher=teacher, deleted=None).order_by("-created")
    }
    sets = {one.title: one for one in ProblemSet.objects.filter(teacher=teacher, deleted=None)}
    made: list[Lesson] = []
    for record in records:
        above = record["carried_from"]
        lesson = Lesson.objects.create(
            school_class=school_class,
            set=sets.get(record["set"]),
            carried_from=made[above] if above is not None and above < len(made) else None,
            date=date.fromisoformat(record["date"]),
            begun=_read(record["begun"]),
            ended=_read(record["ended"]),
            deleted=timezone.now() if record["aside"] else None,
            **{name: record[name] for name in _LESSON},
        )
        made.append(lesson)
        for position, item in enumerate(record["items"]):
            example = examples.get((item["task"], item["given"]))
            _bring_item_back(lesson, position, item, example)
    if reviews is not None:
        ReviewPlan.objects.create(school_class=school_class, **reviews)


def _bring_item_back(
    lesson: Lesson, position: int, record: dict[str, Any], example: Example | None
) -> None:
    kept = {name: record[name] for name in _ITEM}
    made = LessonItem.objects.create(
        lesson=lesson, position=position, example=example, held=_read(record["held"]), **kept
    )
    Hands.objects.bulk_create(Hands(item=made, **one) for one in record["hands"])
    OpenedFork.objects.bulk_create(OpenedFork(item=made, **one) for one in record["forks"])


def _instant(at: datetime | None) -> str | None:
    return at.isoformat() if at else None


def _read(text: str | None) -> datetime | None:
    return datetime.fromisoformat(text) if text else None
