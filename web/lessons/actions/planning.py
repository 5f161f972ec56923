"""Planning: a lesson made from a set or from nothing, changed, carried over."""

from datetime import date

from api.failures import Refused
from classes.models import SchoolClass
from django.db import transaction
from examples.models import Example
from filing.models import Unit
from sets.models import ProblemSet

from lessons.models import MOST_ITEMS, Lesson, LessonItem
from lessons.queries import review_plan
from lessons.reviews import school_day
from lessons.schemas import PlanIn, PlanItemIn

_PLANNED = ("role", "note", "star", "first_move", "minutes")
_CARRIED = ("example_id", "task", "given", *_PLANNED, "purpose", "error", "error_name")


class StalePlanVersion(Exception):
    """The plan was changed elsewhere since."""


@transaction.atomic
def plan_lesson(
    *,
    school_class: SchoolClass,
    on: date,
    problem_set: ProblemSet | None = None,
    title: str = "",
    minutes: int = 45,
) -> Lesson:
    """Plan a lesson: all problems of the set are shown, until their roles are changed."""
    made = Lesson.objects.create(
        school_class=school_class,
        set=problem_set,
        unit=problem_set.unit if problem_set else None,
        title=title.strip() or (problem_set.title if problem_set else "") or "Lesson",
        date=on,
        minutes=minutes,
    )
    items = problem_set.items.select_related("example") if problem_set else []
    examples = [item.example for item in items if item.example.given][:MOST_ITEMS]
    LessonItem.objects.bulk_create(
        new_item(made, example, position) for position, example in enumerate(examples)
    )
    return made


def new_item(lesson: Lesson, example: Example, position: int, **more: object) -> LessonItem:
    """Return an item of an example, not stored yet."""
    kept = {"task": example.task, "given": example.given}
    return LessonItem(lesson=lesson, example=example, position=position, **kept, **more)


@transaction.atomic
def save_plan(lesson: Lesson, plan: PlanIn) -> Lesson:
    """Store a change made on the version that the plan names; the same plan again changes nothing.

    Items are written by difference, so that what was held of them stays; what was held is not taken out.

    Raises:
        Refused: 422, an item is no example of this teacher.
        StalePlanVersion: another change was stored since.
    """
    stored = Lesson.objects.select_for_update().get(pk=lesson.pk)
    if stored.version != plan.version:
        if _is_same(stored, plan):
            return stored
        raise StalePlanVersion
    teacher = lesson.school_class.teacher
    if plan.unit and not Unit.objects.filter(pk=plan.unit, teacher=teacher).exists():
        raise Refused(422, "not-found", "This unit is not there (any more).")
    for name in ("title", "date", "minutes", "note"):
        setattr(stored, name, getattr(plan, name))
    stored.unit_id = plan.unit
    stored.version += 1
    stored.save()
    _write_items(stored, plan.items)
    return stored


def _is_same(stored: Lesson, plan: PlanIn) -> bool:
    items = [(i.pk, *(getattr(i, n) for n in _PLANNED)) for i in stored.items.all()]
    wanted = [(i.id, *(getattr(i, n) for n in _PLANNED)) for i in plan.items]
    mine = (stored.title, stored.date, stored.minutes, stored.note, stored.unit_id)
    return items == wanted and mine == (plan.title, plan.date, plan.minutes, plan.note, plan.unit)


def _write_items(lesson: Lesson, items: list[PlanItemIn]) -> None:
    known = {item.pk: item for item in lesson.items.all()}
    wanted = {item.example for item in items if item.id not in known and item.example}
    examples = Example.objects.filter(teacher=lesson.school_class.teacher).in_bulk(wanted)
    kept: list[LessonItem] = []
    for item in items:
        stored = known.pop(item.id, None) if item.id else None
        if stored is None:
            example = examples.get(item.example) if item.example else None
            if example is None:
                says = "One of these examples is not there (any more)."
                raise Refused(422, "not-found", says)
            stored = new_item(lesson, example, 0)
        for name in _PLANNED:
            setattr(stored, name, getattr(item, name))
        kept.append(stored)
    held = [item for item in known.values() if item.held is not None]
    LessonItem.objects.filter(pk__in=[i.pk for i in known.values() if i.held is None]).delete()
    for position, one in enumerate([*kept, *held]):
        one.position = position
        one.save()


@transaction.atomic
def carry_over(lesson: Lesson, on: date) -> Lesson:
    """Plan what was not reached for a day, or the next school day after it; done again it gives the same lesson.

    Homework and what was skipped are not carried; what was broken off is shown again from its beginning.
    """
    locked = Lesson.objects.select_for_update().get(pk=lesson.pk)
    done = locked.carried_to.filter(deleted=None).first()
    if done is not None:
        return done
    made = Lesson.objects.create(
        school_class=locked.school_class,
        set=locked.set,
        unit=locked.unit,
        carried_from=locked,
        title=locked.title,
        date=school_day(on, review_plan(locked.school_class)[1]),
        minutes=locked.minutes,
    )
    items = [
        i for i in locked.items.all() if not i.is_done and i.role in ("shown", "tried", "spare")
    ]
    LessonItem.objects.bulk_create(
        LessonItem(lesson=made, position=n, **{name: getattr(item, name) for name in _CARRIED})
        for n, item in enumerate(items)
    )
    return made


def insert(lesson: Lesson, items: list[LessonItem], at: int) -> None:
    """Put new items before the one at place *at*; the plan is another version then.

    Raises:
        Refused: 422, the lesson would be too long.
    """
    with transaction.atomic():
        stored = Lesson.objects.select_for_update().get(pk=lesson.pk)
        listed = list(stored.items.all())
        if len(listed) + len(items) > MOST_ITEMS:
            raise Refused(422, "too-many", f"A lesson holds at most {MOST_ITEMS} items.")
        for position, one in enumerate([*listed[:at], *items, *listed[at:]]):
            one.position = position
            one.save()
        stored.version += 1
        stored.save(update_fields=["version"])


def place_of(lesson: Lesson, item: int) -> tuple[int, LessonItem]:
    """Return the place of an item, and the item.

    Raises:
        Refused: 404, it is not in the lesson.
    """
    for place, one in enumerate(lesson.items.select_related("example")):
        if one.pk == item:
            return place, one
    raise Refused(404, "not-found", "This item is not in the lesson (any more).")
