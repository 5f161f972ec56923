"""What is done first to each item of a lesson: an exercise of its own."""

from typing import Any

from asking.asker import Asker
from uchuu_core.failures import Failure

from lessons.models import Lesson, LessonItem


def first_moves_of(lesson: Lesson) -> list[tuple[LessonItem, dict[str, Any] | None]]:
    """Return each item with the first line by which it is worked; None where it cannot be worked."""
    asker = Asker(lesson.school_class.teacher, lesson.set.house if lesson.set else None)
    items = lesson.items.select_related("example")
    return [(item, _first(asker, item)) for item in items]


def _first(asker: Asker, item: LessonItem) -> dict[str, Any] | None:
    if item.example is None:
        return None
    try:
        lines: list[dict[str, Any]] = asker.ask("work", item.example)["lines"]
    except Failure:
        return None
    return lines[0] if lines else None
