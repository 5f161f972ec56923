"""What the log of a class stands on: its papers at a glance, read in few queries."""

from collections import defaultdict
from collections.abc import Iterable
from dataclasses import dataclass, field
from datetime import date
from typing import Any

from classes.models import SchoolClass
from django.contrib.postgres.aggregates import ArrayAgg
from django.db.models import Count
from papers.actions.marking import mark
from papers.models import Sitting, SittingItem, Work

UNFINISHED = "unfinished"


@dataclass(slots=True)
class Given:
    """One item that was given: which errors can be made in it, who gave something for it, who made which error.

    Students are numbers; ``soon``: who stopped too soon, by the stop's id.
    """

    pk: int
    number: int
    sitting: Any
    date: date
    chances: frozenset[str]
    wrote: set[int] = field(default_factory=set)
    made: dict[str, set[int]] = field(default_factory=lambda: defaultdict(set))
    soon: dict[str, set[int]] = field(default_factory=lambda: defaultdict(set))

    def had_chance(self, error: str) -> set[int]:
        """Return who could have made *error* here: where it can be made, everybody who gave something."""
        return self.wrote if error in self.chances or error in self.made else set()


@dataclass(slots=True)
class Ground:
    """A class's sittings in order, the items given in them, and the names of errors."""

    sittings: list[Sitting]
    items: list[Given]
    names: dict[str, str]


def ground_of(school_class: SchoolClass) -> Ground:
    """Return what the log stands on. A paper counts once it is marked; what is blank is no chance."""
    sittings = list(
        Sitting.objects.filter(school_class=school_class, deleted=None).order_by("date", "created")
    )
    dates = {sitting.pk: sitting.date for sitting in sittings}
    found = SittingItem.objects.filter(sitting__in=dates).values_list(
        "pk", "number", "sitting_id", "chances"
    )
    items = {
        pk: Given(pk, number, sitting, dates[sitting], frozenset((chances or {}).get("errors", ())))
        for pk, number, sitting, chances in found
    }
    names: dict[str, str] = {}
    works = Work.objects.filter(item__sitting__in=dates, earned__isnull=False)
    groups = works.order_by().values_list("item_id", "stop", "error", "error_name")
    _fill(items, groups.annotate(who=ArrayAgg("student_id")), names)
    order = {sitting.pk: place for place, sitting in enumerate(sittings)}
    listed = sorted(items.values(), key=lambda one: (order[one.sitting], one.number, one.pk))
    return Ground(sittings, listed, names)


def begin_marking(school_class: SchoolClass) -> int:
    """Begin to mark what is not marked yet of a class; return how many pieces of work that are."""
    waiting = Work.objects.filter(
        item__sitting__school_class=school_class, item__sitting__deleted=None, judged__isnull=True
    )
    counts = dict(waiting.order_by().values_list("item__sitting").annotate(Count("pk")))
    for sitting in Sitting.objects.filter(pk__in=counts):
        mark(sitting)
    return sum(counts.values())


def _fill(
    items: dict[int, Given], groups: Iterable[tuple[Any, ...]], names: dict[str, str]
) -> None:
    for item, stop, error, name, who in groups:
        given = items[item]
        given.wrote.update(who)
        if error:
            names[error] = name
            (given.soon if stop == UNFINISHED else given.made)[error].update(who)
