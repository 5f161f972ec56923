"""More like an item: twins, each an example of the teacher's own."""

from typing import Any

from api.failures import Refused
from asking.asker import Asker
from asking.twins import twins_of
from django.contrib.auth.models import User
from examples.actions.save_example import create_examples
from examples.models import Example
from examples.posing import worked_like

from lessons.actions.planning import insert, new_item, place_of
from lessons.models import Lesson, LessonItem
from lessons.queries import taught_again

FIRST_SEED = 40


def more_like(lesson: Lesson, item: int, count: int) -> tuple[int, list[str]]:
    """Put so many twins behind an item, with its note; return how many, and why others could not be made.

    Raises:
        Refused: 404, it is not in the lesson, or its example is gone.
    """
    place, found = place_of(lesson, item)
    if found.example is None:
        raise Refused(404, "not-found", "The example of this item is not there (any more).")
    avoid = [one.given for one in lesson.items.all()]
    examples, refused = worked_twins(lesson, found.example, count, avoid)
    more = {"role": "tried" if found.role == "shown" else found.role, "note": found.note}
    insert(lesson, [new_item(lesson, one, 0, **more) for one in examples], place + 1)
    return len(examples), refused


def worked_twins(
    lesson: Lesson, like: Example, count: int, avoid: list[str], seed: int = FIRST_SEED
) -> tuple[list[Example], list[str]]:
    """Store so many twins of an example; return them, and why others could not be made."""
    asker = Asker(lesson.school_class.teacher, lesson.set.house if lesson.set else None)
    givens, refused, _ = twins_of(asker, like, count, avoid, seed)
    return store_worked(lesson.school_class.teacher, asker, like, givens), refused


def store_worked(teacher: User, asker: Asker, like: Any, givens: list[str]) -> list[Example]:
    """Store problems that are posed as *like* is, each worked, so that it can be shown.

    They have no name: they are called by their problem.
    """
    contents = [worked_like(asker, like, given) for given in givens]
    return create_examples(teacher=teacher, contents=contents)


def warm_up(lesson: Lesson) -> int:
    """Put a twin of all that is due on the lesson's day at its beginning; return how many there are now.

    What stands there already is not put there twice.
    """
    there = set(lesson.items.filter(purpose="review").values_list("error", flat=True))
    items: list[LessonItem] = []
    for number, taught in enumerate(due_for(lesson)):
        like = Example.objects.filter(pk=taught["example"]).first()
        if taught["error"] in there or like is None:
            continue
        avoid = [like.given, *(one.given for one in lesson.items.all())]
        seed = FIRST_SEED + 10 * (1 + len(taught["reviews"])) + number
        examples, _ = worked_twins(lesson, like, 1, avoid, seed)
        known = {"error": taught["error"], "error_name": taught["name"]}
        more = {"purpose": "review", "role": "tried", **known}
        items += [new_item(lesson, one, 0, **more) for one in examples]
    insert(lesson, items, 0)
    return len(items)


def due_for(lesson: Lesson) -> list[dict[str, Any]]:
    """Return what is due for review on the lesson's day."""
    found = taught_again(lesson.school_class)
    return [one for one in found if one["due"] is not None and one["due"] <= lesson.date]
