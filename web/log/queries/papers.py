"""The papers behind a figure of the log."""

from typing import Any
from uuid import UUID

from classes.models import SchoolClass
from django.db.models import QuerySet
from papers.models import Work


def papers_behind(
    school_class: SchoolClass | UUID, error: str, sitting: Any = None
) -> QuerySet[Work]:
    """Return the works in which an error was made, or which stop too soon by it; the latest first."""
    found = Work.objects.filter(
        item__sitting__school_class=school_class,
        item__sitting__deleted=None,
        earned__isnull=False,
        error=error,
    )
    if sitting is not None:
        found = found.filter(item__sitting=sitting)
    return found.select_related("item__sitting", "student").order_by(
        "-item__sitting__date", "student__position", "item__number", "pk"
    )
