"""What screens read of sets."""

from uuid import UUID

from api.failures import Refused
from django.contrib.auth.models import User
from django.db.models import Count, QuerySet

from sets.models import ProblemSet


def list_of(teacher: User, *, aside: bool = False) -> QuerySet[ProblemSet]:
    """Return the teacher's sets, last changed first, with ``item_count``; or those put aside."""
    found = ProblemSet.objects.filter(teacher=teacher, deleted__isnull=not aside)
    return found.annotate(item_count=Count("items")).order_by("-changed")


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
        raise Refused(404, "not-found", "This set is not there (any more).")
    return problem_set
