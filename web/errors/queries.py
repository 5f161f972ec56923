"""Reading a teacher's own errors."""

from typing import Any, cast

from api.failures import Refused
from django.conf import settings
from django.contrib.auth.models import User
from django.core.cache import cache
from django.db.models import QuerySet
from django.db.models.signals import post_delete, post_save
from django.dispatch import receiver

from errors.models import OwnError


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
    """Return the teacher's own errors as the core has them; kept for seconds: every key asks for them."""
    found = cache.get_or_set(
        _key(teacher.pk),
        lambda: [error.for_core() for error in own_errors_of(teacher)],
        settings.KEPT_SECONDS,
    )
    return cast("list[dict[str, Any]]", found)


def _key(teacher: int) -> str:
    return f"own-errors-{teacher}"


@receiver((post_save, post_delete), sender=OwnError)
def _forget(instance: OwnError, **_: Any) -> None:
    cache.delete(_key(instance.teacher_id))
