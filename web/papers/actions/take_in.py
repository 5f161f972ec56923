"""What students gave comes in: typed, pasted or from a table; equal to what is there, nothing changes."""

import hashlib
import json
from collections.abc import Iterable
from dataclasses import dataclass

from classes.models import Student
from django.db import transaction

from papers.models import MOST_LINES, SittingItem, Work

_KEY = ("student_id", "item_id", "wrote")


@dataclass(frozen=True, slots=True)
class Given:
    """The lines of one student for one item; none: the work is taken out."""

    student: Student
    item: SittingItem
    lines: list[str]


@transaction.atomic
def take_in(given: Iterable[Given]) -> int:
    """Store what was given and return how much of it is new.

    What is stored already keeps its marks; what changed loses them, and what the teacher overruled of it.
    """
    given = list(given)
    whose = {one.student.pk for one in given}
    locked = Student.objects.select_for_update().filter(pk__in=whose).order_by("pk")
    list(locked)  # one after another
    items = {one.item.pk for one in given}
    works = Work.objects.filter(student__in=whose, item__in=items)
    known = {(student, item): wrote for student, item, wrote in works.values_list(*_KEY)}
    gone: list[tuple[int, int]] = []
    new: dict[tuple[int, int], Work] = {}
    for one in given:
        lines = tidy(one.lines)
        key, alone = (one.student.pk, one.item.pk), len(lines) == 1
        wrote = digest(lines, alone=alone) if lines else None
        if known.get(key) == wrote:
            continue
        if key in known and key not in new:
            gone.append(key)
        known[key] = wrote or ""
        new.pop(key, None)
        if wrote:
            new[key] = Work(
                student=one.student, item=one.item, lines=lines, answer_alone=alone, wrote=wrote
            )
    for student, item in gone:
        works.filter(student=student, item=item).delete()
    Work.objects.bulk_create(new.values())
    return len(new.keys() | set(gone))


def tidy(lines: list[str]) -> list[str]:
    """Return the lines without empty ones at the end, and none where all are empty."""
    kept = [line.strip() for line in lines]
    while kept and not kept[-1]:
        kept.pop()
    return [line for line in kept if line][:MOST_LINES]


def digest(lines: list[str], *, alone: bool) -> str:
    """Return the key under which equal work is marked once."""
    return hashlib.sha256(json.dumps([lines, alone]).encode()).hexdigest()
