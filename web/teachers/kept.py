"""What every call asks for of a teacher: kept by each process until rows of its kind are changed, here or elsewhere.

All processes on all hosts share one count of changes, a sequence in the database. A call reads it together with its
session; what was kept under another count is made anew.
"""

import threading
from collections.abc import Callable
from typing import Any, Generic, TypeVar, cast

from django.core.cache import cache
from django.core.signals import request_finished, request_started
from django.db import connection, transaction
from django.db.models import Model
from django.db.models.signals import post_delete, post_save

T = TypeVar("T")
A_MINUTE = 60
"""So long a value is kept at most: a host of the version before, or one that died on its way, told nobody."""
COUNT = "SELECT last_value + is_called::int FROM teachers_changes"
"""The count of changes, as a part of a query or alone. (A sequence's first number is its value before, too.)"""


class _Call(threading.local):
    def __init__(self) -> None:
        self.count: int | None = None
        self.unstored: set[str] = set()
        """Keys of what this call has changed and not stored: it may be taken back."""


_call = _Call()


def note(count: int) -> None:
    """Note the *count* of changes that this call has read."""
    _call.count = count


def _begin_anew(**_: Any) -> None:
    _call.count = None
    _call.unstored.clear()


for moment in (request_started, request_finished):
    moment.connect(_begin_anew)


def changes() -> int:
    """Return how often something that is kept was changed, by anybody."""
    if _call.count is not None:
        return _call.count
    with connection.cursor() as cursor:
        cursor.execute(COUNT)
        return int(cursor.fetchone()[0])


def tell() -> None:
    """Tell all processes that something was changed: what they keep of it is made anew."""
    with connection.cursor() as cursor:
        cursor.execute("SELECT nextval('teachers_changes')")


class Kept(Generic[T]):
    """One value of each teacher, made of the rows of *model*; ``whose`` names a row's field with the teacher.

    Rows are changed by ``save`` and ``delete``: a change in bulk is to ``tell`` by itself.
    """

    def __init__(self, model: type[Model], whose: str) -> None:
        self._name, self._whose = model.__name__, whose
        for changed in (post_save, post_delete):
            changed.connect(self._forget, sender=model)

    def of(self, teacher: Any, make: Callable[[], T]) -> T:
        """Return what is kept of the teacher with this key, made now where nothing is, or not as it is now."""
        count, key = changes(), self._key(teacher)
        if key in _call.unstored:
            return make()
        found = cache.get(key)
        if found is None or found[0] != count:
            found = count, make()
            cache.set(key, found, A_MINUTE)
        return cast("T", found[1])

    def _forget(self, instance: Model, **_: Any) -> None:
        key = self._key(getattr(instance, self._whose))
        cache.delete(key)
        _call.unstored.add(key)

        def stored() -> None:
            _call.unstored.discard(key)
            tell()

        transaction.on_commit(stored)  # told before, others would keep what it was until then

    def _key(self, teacher: Any) -> str:
        return f"{self._name}-{teacher}"
