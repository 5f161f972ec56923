"""Putting new problems into a set: each becomes an example of the teacher's own."""

from typing import Any

from api.failures import Refused
from django.contrib.auth.models import User
from django.db import transaction
from examples.actions.save_example import create_example
from examples.schemas import ExampleIn
from pydantic import ValidationError

from sets.actions.place_items import place_items
from sets.models import ProblemSet, SetItem
from sets.queries import one_of
from sets.schemas import MOST_ITEMS


@transaction.atomic
def add_problems(
    *,
    teacher: User,
    stored: ProblemSet,
    problems: list[dict[str, Any]],
    after: int | None = None,
) -> ProblemSet:
    """Store the problems and put them behind item *after* (0-based; None: at the end).

    Each is a record of ``ExampleIn``'s fields, with ``marks``, ``minutes`` and ``instruction`` where it
    has them.

    Raises:
        Refused: 422 when the set would hold more than ``MOST_ITEMS``, or one of them is too long.
    """
    stored = ProblemSet.objects.select_for_update().get(pk=stored.pk)
    items = list(stored.items.all())
    if len(items) + len(problems) > MOST_ITEMS:
        raise Refused(422, "too-many", f"A set holds at most {MOST_ITEMS} problems.")
    place = len(items) if after is None else min(after + 1, len(items))
    new = []
    for problem in problems:
        content = _content(problem)
        example = create_example(teacher=teacher, content=content)
        extra = {k: problem[k] for k in ("marks", "minutes", "instruction") if problem.get(k)}
        new.append(SetItem(set=stored, example=example, position=0, **extra))
    place_items(stored, [*items[:place], *new, *items[place:]])
    stored.version += 1
    stored.save()
    return one_of(teacher, stored.pk)


def _content(problem: dict[str, Any]) -> ExampleIn:
    try:
        return ExampleIn(**{k: v for k, v in problem.items() if k in ExampleIn.model_fields})
    except ValidationError as wrong:
        first = wrong.errors()[0]
        start = str(problem.get("given", ""))[:40]
        message = f"The problem “{start}…” cannot be stored: {first['loc'][0]}: {first['msg']}."
        raise Refused(422, "bad-problem", message) from None
