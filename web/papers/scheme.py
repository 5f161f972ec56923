"""What the marks of an item are for: made from its worked lines, or the teacher's own."""

from typing import Any

from algebra import pool
from api.failures import Refused
from asking.asker import Asker
from django.db import transaction
from uchuu_core.failures import Failure

from papers.models import Sitting, SittingItem

Mark = dict[str, Any]


def scheme_of(sitting: Sitting, number: int, version: str = "") -> dict[str, Any]:
    """Return an item's marks as they are and as they are made, and the set's own way to work it.

    *version*: of which parallel version; the first one where it is empty.

    Raises:
        Refused: 404, there is no such item.
        Failure: its problem cannot be read.
    """
    items = _items(sitting, number)
    item = next((one for one in items if one.version == version), items[0])
    made = _made(item)
    own = item.scheme or []
    marks = [one for one in own if one["worth"] > 0] or [m for m in made["marks"] if m["worth"] > 0]
    return {
        "item": item,
        "school": sitting.school,
        "is_own": bool(own),
        "marks": own or made["marks"],
        "made": made["marks"],
        "total": sum(one["worth"] for one in marks),
        "way": _way(item),
    }


@transaction.atomic
def change_scheme(sitting: Sitting, number: int, marks: list[Mark], worth: int | None) -> None:
    """Keep the teacher's own marks for an item, of all its versions; none: those that are made.

    Raises:
        Refused: 404, there is no such item; 422, a mark stands twice or nothing can be earned.
    """
    items = _items(sitting, number)
    keys = [one["key"] for one in marks]
    if len(set(keys)) < len(keys):
        raise Refused(422, "bad-scheme", "Two marks have the same name. Give each its own.")
    if marks and sum(max(0, one["worth"]) for one in marks) < 1:
        raise Refused(422, "bad-scheme", "Nothing can be earned by these marks.")
    for item in items:
        item.scheme, item.worth = marks, worth or item.worth
        item.save(update_fields=["scheme", "worth"])


def _items(sitting: Sitting, number: int) -> list[SittingItem]:
    found = list(sitting.items.filter(number=number))
    if not found:
        raise Refused(404, "not-found", "This item is not there (any more).")
    return found


def _made(item: SittingItem) -> dict[str, Any]:
    sitting = item.sitting
    teacher = sitting.school_class.teacher
    how = {"school": sitting.school, "worth": item.worth}
    return pool.run("scheme", Asker(teacher, sitting.house).record(item, **how), teacher.pk)


def _way(item: SittingItem) -> list[dict[str, Any]]:
    """Return the lines by which the set works it; none where it cannot be worked."""
    teacher = item.sitting.school_class.teacher
    try:
        worked = pool.run("work", Asker(teacher, item.sitting.house).record(item), teacher.pk)
    except Failure:
        return []
    lines: list[dict[str, Any]] = worked["lines"]
    return lines
