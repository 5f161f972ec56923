"""What screens read of examples."""

from uuid import UUID

from api.failures import Refused
from django.contrib.auth.models import User
from django.db.models import Count, QuerySet

from examples.models import Example


def list_of(teacher: User) -> QuerySet[Example]:
    """Return the teacher's examples, last changed first, with ``line_count``."""
    found = Example.objects.filter(teacher=teacher, deleted=None)
    return found.annotate(line_count=Count("lines")).order_by("-changed")


def one_of(teacher: User, identity: UUID, *, deleted: bool = False) -> Example:
    """Return one example with its lines.

    Raises:
        Refused: 404 when it is not this teacher's, or not there.
    """
    found = Example.objects.filter(
        teacher=teacher, pk=identity, deleted__isnull=not deleted
    ).prefetch_related("lines")
    example = found.first()
    if example is None:
        raise Refused(404, "not-found", "This example is not there (any more).")
    return example
