"""Saving a set: made new, or changed on the version that the writer saw."""

from uuid import UUID

from api.failures import Refused
from django.contrib.auth.models import User
from django.db import transaction
from examples.models import Example

from sets.actions.place_items import place_items
from sets.models import ProblemSet, SetItem
from sets.queries import one_of
from sets.schemas import ItemIn, SetIn


class StaleSetVersion(Exception):
    """The set was changed elsewhere since."""


@transaction.atomic
def create_set(*, teacher: User, content: SetIn) -> ProblemSet:
    """Store a new set.

    Raises:
        Refused: 422 when an item is not an example of this teacher, or stands there twice.
    """
    stored = ProblemSet.objects.create(
        teacher=teacher,
        title=content.title,
        instruction=content.instruction,
        house=content.house.dict(exclude_none=True),
    )
    _write_items(stored, content.items)
    return stored


@transaction.atomic
def save_set(*, teacher: User, identity: UUID, content: SetIn, version: int) -> ProblemSet:
    """Store a change made on *version*; storing the same content again changes nothing.

    Raises:
        Refused: 404 when it is not there; 422 as ``create_set``.
        StaleSetVersion: another change was stored since.
    """
    one_of(teacher, identity)
    stored = ProblemSet.objects.select_for_update().get(pk=identity)
    if stored.version != version:
        if _same(stored, content):  # the answer to the first sending was lost
            return one_of(teacher, identity)
        raise StaleSetVersion
    stored.title, stored.instruction = content.title, content.instruction
    stored.house = content.house.dict(exclude_none=True)
    stored.version += 1
    stored.save()
    _write_items(stored, content.items)
    return one_of(teacher, identity)


def _same(stored: ProblemSet, content: SetIn) -> bool:
    house = content.house.dict(exclude_none=True)
    items = [
        ItemIn(example=i.example_id, instruction=i.instruction, marks=i.marks, minutes=i.minutes)
        for i in stored.items.all()
    ]
    return (stored.title, stored.instruction, stored.house, items) == (
        content.title,
        content.instruction,
        house,
        content.items,
    )


def _write_items(stored: ProblemSet, items: list[ItemIn]) -> None:
    wanted = [item.example for item in items]
    if len(set(wanted)) < len(wanted):
        raise Refused(422, "twice", "An example stands in this set twice. Take one of them out.")
    owned = Example.objects.filter(teacher_id=stored.teacher_id, pk__in=wanted)
    if owned.count() < len(wanted):
        raise Refused(422, "not-found", "One of these examples is not there (any more).")
    known = {item.example_id: item for item in stored.items.all()}
    ordered = []
    for item in items:
        kept = known.get(item.example) or SetItem(set=stored, example_id=item.example)
        kept.instruction, kept.marks, kept.minutes = item.instruction, item.marks, item.minutes
        ordered.append(kept)
    place_items(stored, ordered)
