"""Problems made for a set by the core: twins, runs that climb, families made to order."""

from dataclasses import dataclass, field
from typing import Any

from algebra import known
from api.failures import Refused
from asking.twins import readable, twins_of
from django.contrib.auth.models import User
from uchuu_core.failures import Failure

from sets.actions.add_problems import add_problems
from sets.models import ProblemSet, SetItem
from sets.problems import asker_of
from sets.schemas import FamilyIn, TwinsIn


@dataclass(frozen=True, slots=True)
class MadeProblems:
    """The set after problems were added, how many, and why others could not be made."""

    set: ProblemSet
    added: int
    refused: list[str]
    keeps: list[str] = field(default_factory=list)
    """What the new ones keep of the one that they are like, as sentences."""


def make_twins(*, teacher: User, stored: ProblemSet, wish: TwinsIn) -> MadeProblems:
    """Put twins of one item behind it, none equal to another item of the set.

    Raises:
        Refused: 404 when the item is not in the set.
    """
    items = list(stored.items.all())
    place = next((n for n, item in enumerate(items) if item.example_id == wish.example), None)
    if place is None:
        raise Refused(404, "not-found", "This problem is not in the set (any more).")
    item = items[place]
    avoid = [other.example.given for other in items if other.example.task == item.example.task]
    asker = asker_of(stored)
    refused: list[str] = []
    keeps: list[str] = []
    if wish.climbs:
        wanted = {"seed": wish.seed, "count": wish.count, "avoid": readable(avoid)}
        try:
            made = [one["given"] for one in asker.ask("climb", item.example, **wanted)["run"]]
        except Failure as failure:
            made, refused = [], [failure.message]
    else:
        made, refused, keeps = twins_of(
            asker, item.example, wish.count, avoid, wish.seed, tempting=wish.tempting
        )
    problems = [like(item, given) for given in made]
    changed = add_problems(teacher=teacher, stored=stored, problems=problems, after=place)
    return MadeProblems(changed, len(made), refused, keeps)


def like(item: SetItem, given: str) -> dict[str, Any]:
    """Return a record of a problem that is posed as *item* is, with another given."""
    example = item.example
    return {
        "title": example.title,
        "task": example.task,
        "given": given,
        "variable": example.variable,
        "numbers": example.numbers,
        "form": example.form,
        "house": example.house,
        "lines": [],
        "marks": item.marks,
        "minutes": item.minutes,
        "instruction": item.instruction,
    }


def make_family(*, teacher: User, stored: ProblemSet, wish: FamilyIn) -> MadeProblems:
    """Put problems of a family at the end of the set."""
    taken = [item.example.given for item in stored.items.all()]
    made: list[dict[str, Any]] = []
    refused: list[str] = []
    try:
        for seed in range(wish.seed, wish.seed + wish.count):
            avoid = [*taken, *(one["given"] for one in made)]
            question = {"family": wish.family, "wish": wish.wish, "seed": seed, "avoid": avoid}
            made.append(known.ask("family", question, teacher.pk))
    except Failure as failure:
        refused.append(failure.message)
    problems = [{"task": one["task"], "given": one["given"]} for one in made]
    changed = add_problems(teacher=teacher, stored=stored, problems=problems)
    return MadeProblems(changed, len(made), refused)
