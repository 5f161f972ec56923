"""Sessions in the database, so that what is ended on one host has ended on all; one lean query for each call."""

from copy import deepcopy
from functools import lru_cache
from typing import Any

from django.contrib.sessions.backends import db
from django.db import connection
from django.utils import timezone

from teachers import kept

_QUERY = (
    f"SELECT session_data, ({kept.COUNT}) FROM django_session"
    " WHERE session_key = %s AND expire_date > %s"
)


class SessionStore(db.SessionStore):
    """Django's own; the count of changes is read together with a session."""

    def load(self) -> dict[str, Any]:
        """Return the session's content, nothing where it has ended."""
        with connection.cursor() as cursor:
            cursor.execute(_QUERY, [self.session_key, timezone.now()])
            found = cursor.fetchone()
        if found is None:
            self._session_key = None
            return {}
        kept.note(found[1])
        return deepcopy(_content(found[0]))


@lru_cache(maxsize=10_000)
def _content(signed: str) -> dict[str, Any]:
    """Return what stands in a session's signed text: the same text says the same."""
    return dict(SessionStore().decode(signed))
