"""Reading a teacher's own errors."""

from typing import Any

from api.failures import Refused
from django.contrib.auth.models import User
from django.db.models import QuerySet
from teachers.kept import Kept

from errors.models import OwnError

_KEPT = Kept[list[dict[str, Any]]](OwnError, "teacher_id")


def own_errors_of(teacher: User) -> QuerySet[OwnError]:
    """Return the teacher's own errors, oldest first."""
    return OwnError.objects.filter(teacher=teacher)


def own_error_of(teacher: User, identity: int) -> OwnError:
    """Return one of the teacher's own errors.

    Raises:
        Refused: 404 when the teacher has no such error.
    """
    found = own_errors_of(teacher).filter(pk=identity).first()
    if found is None:
        raise Refused(404, "not-found", "This error is not there (any more).")
    return found


def for_core(teacher: User) -> list[dict[str, Any]]:
    """Return the teacher's own errors as the core's contract has them."""
    return _KEPT.of(teacher.pk, lambda: [error.for_core() for error in own_errors_of(teacher)])
