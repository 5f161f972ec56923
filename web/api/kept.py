"""What every key press asks for of a teacher: kept for seconds, forgotten when its rows change."""

from collections.abc import Callable
from typing import Any, Generic, TypeVar, cast

from django.conf import settings
from django.core.cache import cache
from django.db.models import Model
from django.db.models.signals import post_delete, post_save

T = TypeVar("T")


class Kept(Generic[T]):
    """One value of each teacher, made of the rows of *model*; ``whose`` names a row's field with the teacher.

    What this process changes is seen at once, what another one changes after ``KEPT_SECONDS``.
    """

    def __init__(self, model: type[Model], whose: str) -> None:
        self._name, self._whose = model.__name__, whose
        for changed in (post_save, post_delete):
            changed.connect(self._forget, sender=model)

    def of(self, teacher: Any, make: Callable[[], T]) -> T:
        """Return what is kept of the teacher with this key, made now where nothing is."""
        return cast("T", cache.get_or_set(self._key(teacher), make, settings.KEPT_SECONDS))

    def _forget(self, instance: Model, **_: Any) -> None:
        cache.delete(self._key(getattr(instance, self._whose)))

    def _key(self, teacher: Any) -> str:
        return f"{self._name}-{teacher}"
