"""A set is given to a class on a date: its items are kept as they are now."""

from datetime import date
from typing import Any

from api.failures import Refused
from classes.models import SchoolClass
from django.db import transaction
from sets.models import ProblemSet

from papers.models import Sitting, SittingItem


@transaction.atomic
def give_set(
    *, school_class: SchoolClass, problem_set: ProblemSet, on: date, title: str = "", **how: Any
) -> Sitting:
    """Make a sitting of a set.

    Raises:
        Refused: 422, the set has no problems.
    """
    items = [item for item in problem_set.items.all() if item.example.given]
    if not items:
        raise Refused(422, "empty-set", "This set has no problems yet. Add some, then give it.")
    sitting = Sitting.objects.create(
        school_class=school_class,
        set=problem_set,
        title=title.strip() or problem_set.title or "Untitled set",
        date=on,
        house=problem_set.house,
        **how,
    )
    SittingItem.objects.bulk_create(
        SittingItem(
            sitting=sitting,
            number=number,
            example=item.example,
            worth=item.marks,
            **{
                name: getattr(item.example, name)
                for name in ("task", "given", "variable", "numbers", "form", "house")
            },
        )
        for number, item in enumerate(items, start=1)
    )
    return sitting
