"""Whether whoever made a call still waits for its answer: a browser gives calls up that it no longer needs."""

import select
import socket
from collections.abc import Callable

from django.http import HttpRequest


def caller_has_left(request: HttpRequest) -> Callable[[], bool]:
    """Return a look at the call's connection; where the server does not show it, nobody ever leaves."""
    connection = request.META.get("gunicorn.socket")
    return lambda: isinstance(connection, socket.socket) and is_closed(connection)


def is_closed(connection: socket.socket) -> bool:
    """Return whether the other side has closed *connection*; nothing is read from it."""
    try:
        readable, _, _ = select.select([connection], [], [], 0)
        return bool(readable) and connection.recv(1, socket.MSG_PEEK | socket.MSG_DONTWAIT) == b""
    except BlockingIOError:
        return False
    except (OSError, ValueError):
        return True
