"""Whether whoever is at the other end of a connection is still there; nothing is read from it."""

import select
import socket
from collections.abc import Callable

from django.http import HttpRequest


def caller_has_left(request: HttpRequest) -> Callable[[], bool]:
    """Return a look at the call's connection; where the server does not show it, nobody ever leaves."""
    connection = request.META.get("gunicorn.socket")
    return lambda: isinstance(connection, socket.socket) and is_closed(connection)


def is_closed(connection: socket.socket) -> bool:
    """Return whether the other side has closed *connection*: a browser gives calls up that it no longer needs."""
    try:
        return (
            has_word(connection.fileno())
            and connection.recv(1, socket.MSG_PEEK | socket.MSG_DONTWAIT) == b""
        )
    except BlockingIOError:
        return False
    except (OSError, ValueError):
        return True


def has_word(number: int) -> bool:
    """Return whether the connection with this file *number* has something to be read, be it its end.

    Raises:
        ValueError: it is closed on this side.
    """
    look = select.poll()
    look.register(number, select.POLLIN)
    return bool(look.poll(0))
