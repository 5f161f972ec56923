"""Today: what is due and planned for each class, papers that wait, the last example, the first steps."""

from datetime import date, timedelta
from typing import Any

from classes.models import SchoolClass
from deliveries.waiting import waiting_for
from django.contrib.auth.models import User
from django.db.models import Count, Q
from examples.models import Example
from lessons.models import Lesson
from lessons.queries import listed, taught_again
from papers.models import Sitting
from sets.models import ProblemSet

from log.queries.next import pressing_errors

SOON = 3
"""Lessons of a class that are shown."""
LATELY, MOST_LATELY = timedelta(days=30), 12
"""Sittings whose papers may still wait outside."""


def today_of(teacher: User, today: date) -> dict[str, Any]:
    """Return what a teacher has before them on this day."""
    classes = list(
        SchoolClass.objects.filter(teacher=teacher, deleted=None)
        .annotate(size=Count("students"))
        .order_by("-year", "title", "id")
    )
    lately = Sitting.objects.filter(
        school_class__in=classes, deleted=None, released=None, date__gte=today - LATELY
    )
    waiting = waiting_for(lately[:MOST_LATELY])
    last = Example.objects.filter(teacher=teacher, deleted=None, opened__isnull=False)
    return {
        "date": today,
        "classes": [_class_today(one, today, waiting) for one in classes],
        "last": last.order_by("-opened").first(),
        "steps": {
            "example": Example.objects.filter(teacher=teacher).exclude(lines=None).exists(),
            "set": ProblemSet.objects.filter(teacher=teacher, items__isnull=False).exists(),
            "school_class": bool(classes),
        },
    }


def _class_today(one: SchoolClass, today: date, waiting: dict[Any, int]) -> dict[str, Any]:
    lessons = listed(one.teacher).filter(school_class=one)
    open_ = lessons.filter(begun__isnull=False, ended=None).first()
    coming = lessons.filter(date__gte=today, begun=None).order_by("date", "created")[:SOON]
    due = [t for t in taught_again(one) if t["due"] is not None and t["due"] <= today]
    sittings = Sitting.objects.filter(school_class=one, deleted=None)
    counted = sittings.annotate(
        asks=Count("items__works", filter=Q(items__works__asks__gt=0), distinct=True)
    )
    return {
        "id": one.pk,
        "title": one.title,
        "year": one.year,
        "size": one.size,  # type: ignore[attr-defined]
        "going": open_,
        "lessons": list(coming),
        "carry": _to_carry(one),
        "due": due,
        "papers": [
            {"id": s.pk, "title": s.title, "count": waiting[s.pk]}
            for s in sittings
            if waiting.get(s.pk)
        ],
        "asking": [
            {"id": s.pk, "title": s.title, "count": s.asks}
            for s in counted.filter(released=None)
            if s.asks
        ],
        "next": next(iter(pressing_errors(one, today)), None),
    }


def _to_carry(one: SchoolClass) -> list[Lesson]:
    """Return lessons that ended before everything was reached, and were not carried over."""
    found = Lesson.objects.filter(school_class=one, deleted=None, ended__isnull=False)
    left = Q(items__role__in=("shown", "tried")) & Q(items__held=None)
    return list(found.filter(left, carried_to=None).distinct().order_by("-date")[:2])
