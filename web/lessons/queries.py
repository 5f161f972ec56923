"""What screens read of lessons."""

from datetime import date
from typing import Any
from uuid import UUID

from algebra import known
from api.failures import Refused
from asking.asker import Asker
from asking.shown import reading
from classes.models import SchoolClass
from django.contrib.auth.models import User
from django.db.models import Count, Prefetch, Q, QuerySet

from lessons import minutes as times
from lessons.models import Lesson, LessonItem, ReviewPlan
from lessons.reviews import DAYS, Free, due_on

Facts = dict[str, Any]


def lessons_of(teacher: User, *, archived: bool = False) -> QuerySet[Lesson]:
    """Return the teacher's lessons of classes that are not put aside, the latest first."""
    return Lesson.objects.filter(
        school_class__teacher=teacher,
        school_class__deleted=None,
        deleted__isnull=not archived,
    ).select_related("school_class", "set", "unit")


def listed(teacher: User, *, archived: bool = False) -> QuerySet[Lesson]:
    """Return the rows of the list, with how many items each has and how many were reached."""
    return (
        lessons_of(teacher, archived=archived)
        .annotate(count=Count("items"), reached=Count("items", filter=Q(items__held__isnull=False)))
        .order_by("-date", "-created")
    )


def lesson_of(teacher: User, identity: UUID | str, *, archived: bool = False) -> Lesson:
    """Return one lesson.

    Raises:
        Refused: 404, there is none of this id.
    """
    found = lessons_of(teacher, archived=archived).filter(pk=identity).first()
    if found is None:
        raise Refused(404, "not-found", "This lesson is not there (any more).")
    return found


def plan_of(lesson: Lesson) -> dict[str, Any]:
    """Return a lesson with its items, their minutes, what is like what, and what to drop."""
    items = list(
        lesson.items.select_related("example").prefetch_related("example__lines", "hands", "forks")
    )
    facts = _facts(lesson, items)
    a_line = times.seconds_a_line(_record(lesson.school_class.teacher))
    lines = [_lines(item, fact) for item, fact in zip(items, facts, strict=True)]
    minutes = [times.estimated(i, n, a_line) for i, n in zip(items, lines, strict=True)]
    like = _alike(facts)
    drop = times.to_drop(items, minutes, like, lesson.minutes)
    return {
        "lesson": lesson,
        "items": [
            {
                "item": item,
                "estimated": minutes[place],
                "like": like[place],
                "drop": place in drop,
                "reads": facts[place].get("reads") or reading(item.given),
                "lines": lines[place],
            }
            for place, item in enumerate(items)
        ],
        "takes": sum(minutes),
        "a_line": round(a_line),
    }


def _facts(lesson: Lesson, items: list[LessonItem]) -> list[Facts]:
    """Return what the core told of each item before; nothing is asked of it now."""
    asker = Asker(lesson.school_class.teacher, lesson.set.house if lesson.set else None)
    records = [asker.record(item.example) if item.example else {} for item in items]
    return [found or {} for found in known.remembered("facts", records)]


def _lines(item: LessonItem, facts: Facts) -> int:
    written = len(item.example.texts) if item.example else 0
    return written or facts.get("lines", 0)


def _alike(facts: list[Facts]) -> list[int | None]:
    """Return for each item the place of the first one of its structure, None where it is that one."""
    first: dict[str, int] = {}
    found: list[int | None] = []
    for place, fact in enumerate(facts):
        structure = fact.get("structure", "")
        at = first.setdefault(structure, place) if structure else place
        found.append(at if at != place else None)
    return found


def _record(teacher: User) -> list[tuple[int, int, str]]:
    """Return the seconds, lines and role of the last items that the teacher held to their end."""
    held = LessonItem.objects.filter(lesson__school_class__teacher=teacher, held__isnull=False)
    rows = held.order_by("-held").values_list("seconds", "shown", "lines", "role")[:200]
    return [(seconds, lines, role) for seconds, shown, lines, role in rows if shown >= lines]


def review_plan(school_class: SchoolClass) -> tuple[list[int], Free]:
    """Return the days of a class's reviews, and its free days."""
    found = ReviewPlan.objects.filter(school_class=school_class).first()
    if found is None:
        return list(DAYS), []
    free = [(date.fromisoformat(first), date.fromisoformat(last)) for first, last in found.free]
    return found.days or list(DAYS), free


def taught_again(school_class: SchoolClass) -> list[dict[str, Any]]:
    """Return each error that was taught again in a lesson that was held, when last, and when its next review is due.

    All of it is read from lessons: what a lesson held is the only record.
    """
    days, free = review_plan(school_class)
    held = LessonItem.objects.filter(
        lesson__school_class=school_class, lesson__deleted=None, held__isnull=False
    ).exclude(error="")
    events = held.order_by("lesson__date", "pk").select_related("lesson")
    by_error: dict[str, list[LessonItem]] = {}
    for item in events:
        by_error.setdefault(item.error, []).append(item)
    return [
        _taught(error, items, days, free)
        for error, items in by_error.items()
        if any(item.purpose == "reteach" for item in items)
    ]


def _taught(error: str, items: list[LessonItem], days: list[int], free: Free) -> dict[str, Any]:
    last = [item for item in items if item.purpose == "reteach"][-1]
    day = last.lesson.date
    reviews = sorted(
        {i.lesson.date for i in items if i.purpose == "review" and i.lesson.date > day}
    )
    return {
        "error": error,
        "name": items[-1].error_name,
        "taught": day,
        "lesson": last.lesson_id,
        "reviews": reviews,
        "due": due_on(day, reviews, days, free),
        "example": last.example_id,
    }


Raised = dict[str, tuple[int, int]]
"""For each error how many hands went up for it, of how many at the questions that offered it."""


def hands_of(school_class: SchoolClass) -> list[tuple[Lesson, Raised]]:
    """Return for each lesson that was begun what the class predicted wrongly."""
    lessons = Lesson.objects.filter(school_class=school_class, deleted=None, begun__isnull=False)
    items = Prefetch("items", LessonItem.objects.prefetch_related("hands"))
    found = []
    for lesson in lessons.order_by("date", "created").prefetch_related(items):
        raised: Raised = {}
        for hands in (hands for item in lesson.items.all() for hands in item.hands.all()):
            of = sum(answer["count"] for answer in hands.counts)
            for answer in hands.counts:
                if answer.get("error") and of:
                    count, before = raised.get(answer["error"], (0, 0))
                    raised[answer["error"]] = count + answer["count"], before + of
        found.append((lesson, raised))
    return found
