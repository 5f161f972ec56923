"""The engine that settings name: Django's own for PostgreSQL."""

from django.db.backends.postgresql import base

from api.leaving import has_word


class DatabaseWrapper(base.DatabaseWrapper):
    """Looks at its connection before each request without asking the server anything.

    Whoever waits for an answer asks nothing twice: between two requests a server sends nothing, so something to
    be read is its good-bye (it was stopped, it ended the session), and only then it is asked.
    """

    def is_usable(self) -> bool:
        """Return whether the connection can be used for one more request."""
        if self.connection is None or self.connection.closed:
            return False
        return not has_word(self.connection.fileno()) or bool(super().is_usable())
