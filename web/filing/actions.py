"""Making and changing units; filing many things at once."""

from typing import Any
from uuid import UUID

from api.failures import Refused
from django.contrib.auth.models import User
from django.db import transaction
from django.db.models import Model, QuerySet

from filing.models import MOST_TAGS, MOST_UNITS, Unit
from filing.queries import unit_of, units_of


def make_unit(*, teacher: User, title: str, parent: UUID | None) -> Unit:
    """Store a new unit behind its neighbours.

    Raises:
        Refused: 404 when *parent* is not there; 422 when it is a part itself, or there are too many.
    """
    if units_of(teacher).count() >= MOST_UNITS:
        raise Refused(422, "too-many", f"There are {MOST_UNITS} units already. Delete some first.")
    above = _parent(teacher, parent)
    place = units_of(teacher).filter(parent=above).count()
    return Unit.objects.create(teacher=teacher, title=title, parent=above, position=place)


@transaction.atomic
def change_unit(
    *, teacher: User, identity: UUID, title: str, parent: UUID | None, position: int
) -> Unit:
    """Name a unit, put it elsewhere, and number its neighbours anew.

    Raises:
        Refused: as ``make_unit``; 422 also when a unit that has parts would become a part.
    """
    unit = unit_of(teacher, identity)
    above = _parent(teacher, parent)
    if above is not None and (above.pk == unit.pk or unit.parts.exists()):
        raise Refused(422, "too-deep", "A unit that has parts cannot be a part of another.")
    unit.title, unit.parent = title, above
    unit.save()
    others = list(units_of(teacher).filter(parent=above).exclude(pk=unit.pk))
    others.insert(min(position, len(others)), unit)
    for place, one in enumerate(others):
        one.position = place
    Unit.objects.bulk_update(others, ["position"])
    return unit_of(teacher, identity)


def _parent(teacher: User, identity: UUID | None) -> Unit | None:
    if identity is None:
        return None
    above = unit_of(teacher, identity)
    if above.parent_id is not None:
        raise Refused(422, "too-deep", "Units have two levels: a part cannot have parts.")
    return above


@transaction.atomic
def file_under(
    found: QuerySet[Any],
    *,
    teacher: User,
    unit: UUID | str | None,
    add: list[str],
    drop: list[str],
) -> int:
    """File what is *found* under a unit ("": where it is; None: nowhere) and change its tags; return how many.

    Raises:
        Refused: 404 when the unit is not there; 422 when one would have too many tags.
    """
    under = None if unit is None or isinstance(unit, str) else unit_of(teacher, unit)
    changed: list[Model] = []
    for one in found.select_for_update(of=("self",)):
        one.tags = [tag for tag in dict.fromkeys([*one.tags, *add]) if tag not in drop]
        if len(one.tags) > MOST_TAGS:
            raise Refused(422, "too-many", f"There are at most {MOST_TAGS} tags on one thing.")
        if unit != "":
            one.unit = under
        changed.append(one)
    found.model._default_manager.bulk_update(changed, ["unit", "tags"])
    return len(changed)
