"""What screens read of examples."""

from dataclasses import dataclass
from datetime import timedelta
from functools import partial
from uuid import UUID

from api.failures import Refused
from api.prepared import Prepared
from django.contrib.auth.models import User
from django.db.models import Count, F, OuterRef, Q, QuerySet, Subquery
from django.db.models.functions import Coalesce
from django.utils import timezone
from filing.queries import filed

from examples.actions.write_facts import searched
from examples.models import Example, WrittenLine

A_LOOK = timedelta(minutes=1)
"""Looks at one example within so long are one."""
MOST_WORDS = 12
LINE_COUNT = Coalesce(
    Subquery(
        WrittenLine.objects.filter(example=OuterRef("pk"))
        .order_by()
        .values("example")
        .annotate(count=Count("pk"))
        .values("count")
    ),
    0,
)
"""How many lines an example has."""
ORDERS: dict[str, tuple[str, ...]] = {
    "changed": ("-changed", "-id"),
    "opened": ("-opened", "-id"),
    "name": ("name", "id"),
    "easiest": ("difficulty", "id"),
    "hardest": ("-difficulty", "-id"),
}
"""What a list may be sorted by. By what is not known of an example, it stays away."""


@dataclass(frozen=True, slots=True)
class Wanted:
    """What a list shows: everything where nothing is said.

    Attributes:
        words: all of them are looked for in names, problems, tasks, tags, kinds of problem, methods, laws
            used (skills) and names of the errors that a problem reveals.
        unit: what is filed there or in a part of it.
        easiest, hardest: bounds of the difficulty; what has none stays away.
        stop: what is known of the last line ("none": there is no line).
        aside: what was put aside instead.
    """

    words: str = ""
    unit: UUID | None = None
    tag: str = ""
    easiest: float | None = None
    hardest: float | None = None
    stop: str = ""
    aside: bool = False


def words_in(text: str) -> list[str]:
    """Return the words that a search looks for, as they are compared."""
    return list(dict.fromkeys(searched(text).split()))[:MOST_WORDS]


def found_of(teacher: User, wanted: Wanted, order: str = "changed") -> QuerySet[Example]:
    """Return the teacher's examples that are *wanted*, with what a row of a list shows, in no order."""
    known = Q()
    for word in words_in(wanted.words):
        known &= Q(facts__words__contains=word)
    if wanted.easiest is not None:
        known &= Q(facts__difficulty__gte=wanted.easiest)
    if wanted.hardest is not None:
        known &= Q(facts__difficulty__lte=wanted.hardest)
    if wanted.stop:
        known &= Q(facts__stop="") if wanted.stop == "none" else Q(facts__stop=wanted.stop)
    if order in ("easiest", "hardest"):
        known &= Q(facts__difficulty__isnull=False)
    if order == "opened":
        known &= Q(opened__isnull=False)
    found = Example.objects.filter(teacher=teacher, deleted__isnull=not wanted.aside)
    found = found.filter(filed(wanted.unit, wanted.tag)).filter(known)
    return (
        found.annotate(
            name=F("facts__name"), difficulty=F("facts__difficulty"), line_count=LINE_COUNT
        )
        .select_related("facts")
        .prefetch_related("in_sets__set")
    )


def all_of(teacher: User) -> QuerySet[Example]:
    """Return all examples of a teacher with their lines, last changed first."""
    found = Example.objects.filter(teacher=teacher, deleted=None)
    return found.order_by("-changed").prefetch_related("lines")


def one_of(teacher: User, identity: UUID, *, deleted: bool = False) -> Example:
    """Return one example with its lines.

    Raises:
        Refused: 404 when it is not this teacher's, or not there.
    """
    example = next(iter((_ASIDE if deleted else _THERE).of(teacher.pk, identity)), None)
    if example is None:
        raise Refused(404, "not-found", "This example is not there (any more).")
    example.texts = [line.text for line in LINES.of(identity)]
    return example


LINES = Prepared[WrittenLine](lambda identity: WrittenLine.objects.filter(example=identity), UUID)
"""The lines of an example, in order."""


def _of(teacher: int, identity: UUID, *, deleted: bool = False) -> QuerySet[Example]:
    return Example.objects.filter(teacher=teacher, pk=identity, deleted__isnull=not deleted)


_THERE = Prepared[Example](_of, int, UUID)
_ASIDE = Prepared[Example](partial(_of, deleted=True), int, UUID)
LOCKED = Prepared[Example](lambda *key: _of(*key).select_for_update(), int, UUID)
"""An example that is there, until the transaction's end nobody else's to change."""


def some_of(teacher: User, identities: list[UUID]) -> list[Example]:
    """Return those of these examples that are this teacher's, in the order asked for."""
    found = all_of(teacher).in_bulk(identities)
    return [found[one] for one in identities if one in found]


def looked_at(example: Example) -> Example:
    """Note that somebody looks at *example* now, for the list of those used last."""
    now = timezone.now()
    if example.opened is None or now - example.opened > A_LOOK:
        Example.objects.filter(pk=example.pk).update(opened=now)
    return example


def why_found(example: Example, wanted: Wanted) -> str:
    """Return where the words were found that do not stand in the example itself."""
    facts = example.facts
    own = searched(
        f"{example.title}\n{example.given}\n{example.given.replace(' ', '')}\n{example.task}"
    )
    own += searched("\n".join(example.tags))
    told = [("kind", facts.kind), ("method", facts.method)]
    told += [("skill", skill) for skill in facts.skills]
    told += [("reveals", name) for name in facts.reveals]
    said = []
    for word in words_in(wanted.words):
        if word in own:
            continue
        where = next(((name, text) for name, text in told if word in searched(text)), None)
        if where:
            said.append(f"{where[0]}: {where[1].replace('-', ' ')}")
    return "; ".join(dict.fromkeys(said))
