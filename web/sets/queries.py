"""What screens read of sets."""

from typing import Any
from uuid import UUID

from api.failures import Refused
from django.contrib.auth.models import User
from django.db.models import Count, OuterRef, Q, QuerySet, Subquery
from django.db.models.functions import Coalesce
from examples.queries import MOST_WORDS
from filing.queries import filed

from sets.models import ProblemSet, SetItem

ORDERS: dict[str, tuple[str, ...]] = {
    "changed": ("-changed", "-id"),
    "name": ("title", "id"),
}
"""What the list may be sorted by."""


def list_of(
    teacher: User,
    *,
    words: str = "",
    unit: UUID | None = None,
    tag: str = "",
    aside: bool = False,
) -> QuerySet[ProblemSet]:
    """Return the teacher's sets that have all *words* in title or instruction, with ``item_count``; or those put aside."""
    found = ProblemSet.objects.filter(teacher=teacher, deleted__isnull=not aside)
    found = found.filter(filed(unit, tag))
    for word in words.split()[:MOST_WORDS]:
        found = found.filter(Q(title__icontains=word) | Q(instruction__icontains=word))
    count = SetItem.objects.filter(set=OuterRef("pk")).values("set").annotate(n=Count("pk"))
    return found.annotate(item_count=Coalesce(Subquery(count.values("n")), 0))


def one_of(teacher: User, identity: UUID | str, *, deleted: bool = False) -> ProblemSet:
    """Return one set with its items and their lines.

    Raises:
        Refused: 404 when it is not this teacher's, or not there.
    """
    found = (
        ProblemSet.objects.filter(teacher=teacher, pk=identity, deleted__isnull=not deleted)
        .select_related("teacher")
        .prefetch_related("items__example__lines")
    )
    problem_set = found.first()
    if problem_set is None:
        raise _gone()
    return problem_set


def house_of(teacher: User, identity: UUID) -> dict[str, Any]:
    """Return the set's own house rules; raises ``Refused`` as ``one_of``."""
    found = ProblemSet.objects.filter(teacher=teacher, pk=identity, deleted__isnull=True)
    rules: dict[str, Any] | None = found.values_list("house", flat=True).first()
    if rules is None:
        raise _gone()
    return rules


def _gone() -> Refused:
    return Refused(404, "not-found", "This set is not there (any more).")
