"""Making a set of what a file holds, and taking all of it back as one."""

from dataclasses import dataclass

from django.contrib.auth.models import User
from django.db import transaction
from django.utils import timezone
from examples.models import Example
from sets.actions.add_problems import add_problems
from sets.models import ProblemSet

from exchange.reading import Brought, Row, refuse


@dataclass(frozen=True, slots=True)
class BroughtIn:
    """The new set, and what became of each row of the file."""

    set: ProblemSet
    rows: list[Row]


@transaction.atomic
def bring_in(*, teacher: User, found: Brought) -> BroughtIn:
    """Store the problems of a file as a new set, all or none.

    Raises:
        Refused: 422 when none of its rows could be taken.
    """
    if not found.problems:
        first = next((row for row in found.rows if not row.taken), None)
        raise refuse(f"Row {first.at}: {first.says}" if first else "It holds no problem.")
    stored = ProblemSet.objects.create(
        teacher=teacher, title=found.title, instruction=found.instruction, house=found.house
    )
    return BroughtIn(
        add_problems(teacher=teacher, stored=stored, problems=found.problems), found.rows
    )


@transaction.atomic
def take_back(*, stored: ProblemSet) -> None:
    """Put an imported set and its examples aside together; both can be brought back."""
    now = timezone.now()
    Example.objects.filter(in_sets__set=stored).update(deleted=now)
    stored.deleted = now
    stored.save(update_fields=["deleted"])
