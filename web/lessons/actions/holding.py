"""Holding a lesson: begun, what was shown of each item, ended where it was stopped."""

from django.db import transaction
from django.utils import timezone

from lessons.actions.planning import place_of
from lessons.models import Hands, Lesson, LessonItem, OpenedFork
from lessons.schemas import HeldIn


@transaction.atomic
def begin(lesson: Lesson) -> Lesson:
    """Begin, or go on with, a lesson; what was held of it stays."""
    stored = Lesson.objects.select_for_update().get(pk=lesson.pk)
    stored.begun = stored.begun or timezone.now()
    stored.ended = None
    stored.save(update_fields=["begun", "ended"])
    return stored


@transaction.atomic
def note_held(lesson: Lesson, item: int, held: HeldIn) -> LessonItem:
    """Store what was held of an item until now; a late or repeated call takes nothing back.

    Raises:
        Refused: 404, the item is not in the lesson.
    """
    _, found = place_of(lesson, item)
    stored = LessonItem.objects.select_for_update().get(pk=found.pk)
    stored.held = stored.held or timezone.now()
    stored.seconds = max(stored.seconds, held.seconds)
    stored.shown = max(stored.shown, held.shown)
    stored.lines = held.lines or stored.lines
    stored.save(update_fields=["held", "seconds", "shown", "lines"])
    for hands in held.hands:
        Hands.objects.update_or_create(
            item=stored,
            after=hands.after,
            kind=hands.kind,
            defaults={"counts": [answer.dict() for answer in hands.counts]},
        )
    for fork in held.forks:
        OpenedFork.objects.get_or_create(
            item=stored, after=fork.after, error=fork.error, defaults={"name": fork.name}
        )
    Lesson.objects.filter(pk=lesson.pk, begun=None).update(begun=timezone.now())
    return stored


@transaction.atomic
def end(lesson: Lesson) -> Lesson:
    """End a lesson where it is; what was not reached can be carried over."""
    stored = Lesson.objects.select_for_update().get(pk=lesson.pk)
    stored.begun = stored.begun or timezone.now()
    stored.ended = timezone.now()
    stored.save(update_fields=["begun", "ended"])
    return stored
