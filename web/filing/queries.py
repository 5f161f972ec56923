"""Reading units, and what is filed under them."""

from typing import Any
from uuid import UUID

from api.failures import Refused
from django.contrib.auth.models import User
from django.db.models import Func, Q, QuerySet, TextField

from filing.models import Unit


def units_of(teacher: User) -> QuerySet[Unit]:
    """Return the teacher's units, in their order."""
    return Unit.objects.filter(teacher=teacher)


def unit_of(teacher: User, identity: UUID) -> Unit:
    """Return one of the teacher's units.

    Raises:
        Refused: 404 when it is not there.
    """
    found = units_of(teacher).filter(pk=identity).first()
    if found is None:
        raise Refused(404, "not-found", "This unit is not there (any more).")
    return found


def filed(unit: UUID | None, tag: str) -> Q:
    """Return what is filed under *unit* or a part of it, and has the *tag*; empty: anything."""
    found = Q()
    if unit:
        found &= Q(unit=unit) | Q(unit__parent=unit)
    if tag:
        found &= Q(tags__contains=[tag])
    return found


def tags_of(found: QuerySet[Any]) -> list[str]:
    """Return all tags of what is *found*, once each, in the order of the alphabet."""
    each = found.annotate(tag=Unnest("tags")).order_by("tag").values_list("tag", flat=True)
    return list(each.distinct())


class Unnest(Func):
    """The elements of an array, a row for each (PostgreSQL's ``unnest``)."""

    function = "unnest"
    set_returning = True
    output_field = TextField()
