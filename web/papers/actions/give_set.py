"""A set is given to a class on a date: its items are kept as they are now, of all versions."""

from datetime import date
from typing import Any
from uuid import uuid4

from api.failures import Refused
from classes.models import SchoolClass
from django.db import transaction
from sets.models import ProblemSet

from papers.models import Paper, Sitting, SittingItem

_KEPT = ("task", "given", "variable", "numbers", "form", "house")


@transaction.atomic
def give_set(
    *,
    school_class: SchoolClass,
    problem_set: ProblemSet,
    on: date,
    title: str = "",
    versions: bool = False,
    identity: str | None = None,
    **how: Any,
) -> Sitting:
    """Make a sitting of a set; *versions*: with its parallel versions, in turn from code to code.

    *identity*: its id, where others know it already.

    Raises:
        Refused: 422, the set or a version has no problems, or they are not equally many.
    """
    given = _versions_of(problem_set) if versions else [problem_set]
    items = [[item for item in one.items.all() if item.example.given] for one in given]
    if not all(items):
        raise Refused(422, "empty-set", "This set has no problems yet. Add some, then give it.")
    if len({len(listed) for listed in items}) > 1:
        says = "The versions of this set have different numbers of problems. Make them anew first."
        raise Refused(422, "uneven-versions", says)
    sitting = Sitting.objects.create(
        pk=identity or uuid4(),
        school_class=school_class,
        set=problem_set,
        title=title.strip() or problem_set.title or "Untitled set",
        date=on,
        house=problem_set.house,
        **how,
    )
    names = [one.form for one in given] if len(given) > 1 else [""]
    SittingItem.objects.bulk_create(
        SittingItem(
            sitting=sitting,
            version=version,
            number=number,
            example=item.example,
            worth=item.marks,
            **{name: getattr(item.example, name) for name in _KEPT},
        )
        for version, listed in zip(names, items, strict=True)
        for number, item in enumerate(listed, start=1)
    )
    if len(given) > 1:
        Paper.objects.bulk_create(
            Paper(sitting=sitting, student=student, version=names[place % len(names)])
            for place, student in enumerate(school_class.students.all())
        )
    return sitting


def _versions_of(stored: ProblemSet) -> list[ProblemSet]:
    """Return a set and its parallel versions, A first."""
    first = stored.made_from if stored.form and stored.made_from else stored
    others = first.versions.filter(form__gt="", deleted=None).order_by("form")
    return [first, *others]
