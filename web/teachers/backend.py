"""Who a session belongs to, kept for seconds: every key press asks for it."""

from typing import Any, cast

from django.conf import settings
from django.contrib.auth.backends import ModelBackend
from django.contrib.auth.models import User
from django.core.cache import cache
from django.db.models.signals import post_delete, post_save
from django.dispatch import receiver


class KeptTeachers(ModelBackend):
    """Django's own backend; a teacher who was just asked for is not asked for again.

    What another process changes (a password, a lock) is seen after ``KEPT_SECONDS``.
    """

    def get_user(self, user_id: Any) -> User | None:
        """Return the teacher with this key, None where there is none or who may not sign in."""
        kept = cache.get(_key(user_id))
        if kept is None:
            kept = super().get_user(user_id)
            if kept is not None:
                cache.set(_key(user_id), kept, settings.KEPT_SECONDS)
        return cast("User | None", kept)


def _key(teacher: Any) -> str:
    return f"teacher-{teacher}"


@receiver((post_save, post_delete), sender=User)
def _forget(instance: User, **_: Any) -> None:
    cache.delete(_key(instance.pk))
