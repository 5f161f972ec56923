"""The demo classes' lessons: held ones with what was shown and counted, and planned ones."""

from datetime import date, datetime, timedelta
from datetime import time as clock
from typing import Any

from classes.models import SchoolClass
from django.utils import timezone
from lessons.actions.planning import new_item
from lessons.models import Hands, Lesson, LessonItem, OpenedFork
from sets.models import ProblemSet


def load_lessons(school_class: SchoolClass, records: list[dict[str, Any]]) -> None:
    """Store the lessons of a class. A day is a date, or so many days from now: there is always a next lesson."""
    for record in records:
        _load(school_class, record)


def _load(school_class: SchoolClass, record: dict[str, Any]) -> None:
    found = ProblemSet.objects.filter(teacher=school_class.teacher).get(title=record["set"])
    on = _day(record)
    held = record.get("held", False)
    at = timezone.make_aware(datetime.combine(on, clock(9, 5)))
    lesson = Lesson.objects.create(
        school_class=school_class,
        set=found,
        unit=found.unit,
        title=record["title"],
        date=on,
        minutes=record.get("minutes", 45),
        note=record.get("note", ""),
        begun=at if held else None,
        ended=at + timedelta(minutes=44) if held else None,
    )
    examples = {item.position + 1: item.example for item in found.items.select_related("example")}
    for position, item in enumerate(record["items"]):
        plain = {name: item[name] for name in _PLAIN if name in item}
        made = new_item(lesson, examples[item["number"]], position, **plain)
        if "shown" in item:
            made.held, made.seconds = at, item.get("seconds", 180)
            made.shown, made.lines = item["shown"], item["of"]
        made.save()
        _count(made, item)


_PLAIN = ("role", "note", "star", "first_move", "purpose", "error", "error_name")


def _day(record: dict[str, Any]) -> date:
    if "date" in record:
        return date.fromisoformat(record["date"])
    day = date.today() + timedelta(days=record["in_days"])
    return day if day.weekday() < 5 else day + timedelta(days=7 - day.weekday())


def _count(made: LessonItem, item: dict[str, Any]) -> None:
    for hands in item.get("hands", []):
        Hands.objects.create(item=made, **hands)
    for fork in item.get("forks", []):
        OpenedFork.objects.create(item=made, **fork)
