"""Who a session belongs to, kept: every call asks for it."""

from typing import Any

from django.contrib.auth.backends import ModelBackend
from django.contrib.auth.models import User

from teachers.kept import Kept

_KEPT = Kept["User | None"](User, "pk")


class KeptTeachers(ModelBackend):
    """Django's own backend; a teacher who was just asked for is not asked for again."""

    def get_user(self, user_id: Any) -> User | None:
        """Return the teacher with this key, None where there is none or who may not sign in."""
        return _KEPT.of(user_id, lambda: super(KeptTeachers, self).get_user(user_id))
