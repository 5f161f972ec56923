"""A call whose browser has left is noticed, one that waits is left in peace."""

import socket

from django.test import RequestFactory

from api.leaving import caller_has_left


def test_only_a_closed_connection_has_left() -> None:
    ours, theirs = socket.socketpair()
    request = RequestFactory().get("/")
    request.META["gunicorn.socket"] = ours
    look = caller_has_left(request)
    assert look() is False
    theirs.send(b"the next call on this connection")
    assert look() is False
    assert ours.recv(8) == b"the next", "nothing was taken out of it"
    ours.recv(100)
    theirs.close()
    assert look() is True
    ours.close()
    assert look() is True


def test_where_the_connection_is_not_shown_nobody_leaves() -> None:
    assert caller_has_left(RequestFactory().get("/"))() is False
