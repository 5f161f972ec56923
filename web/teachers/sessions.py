"""Sessions of teachers: begun, listed, ended; on a computer that is shared they end when nobody is there."""

from collections.abc import Callable
from datetime import timedelta
from importlib import import_module
from time import time

from django.conf import settings
from django.contrib.auth import login
from django.contrib.auth.models import User
from django.contrib.sessions.models import Session
from django.db.models import QuerySet
from django.http import HttpRequest, HttpResponseBase
from django.utils import timezone

from teachers.models import SignedIn

IDLE = timedelta(minutes=15)
"""After so long without a call the session on a shared computer has ended."""
_NOTED, _EVERY = "seen", 60.0


def begin(request: HttpRequest, teacher: User, *, shared: bool) -> None:
    """Sign *teacher* in, on a computer that is *shared* until it is left alone."""
    login(request, teacher, backend="teachers.backend.KeptTeachers")
    if shared:
        request.session[_NOTED] = time()
        request.session.set_expiry(int(IDLE.total_seconds()))  # from the last call on
    key = request.session.session_key
    if key:
        browser = request.headers.get("User-Agent", "")[:200]
        SignedIn.objects.create(teacher=teacher, session=key, browser=browser)


def sessions_of(teacher: User) -> QuerySet[SignedIn]:
    """Return the teacher's sessions that have not ended, the newest first."""
    alive = Session.objects.filter(expire_date__gt=timezone.now()).values("session_key")
    return SignedIn.objects.filter(teacher=teacher, session__in=alive)


def end(found: QuerySet[SignedIn]) -> None:
    """End these sessions."""
    store = import_module(settings.SESSION_ENGINE).SessionStore
    for one in found:
        store(one.session).delete()
    SignedIn.objects.filter(pk__in=[one.pk for one in found]).delete()


def forget_ended() -> None:
    """Drop what was noted of sessions that are over."""
    SignedIn.objects.exclude(session__in=Session.objects.values("session_key")).delete()


class SharedComputers:
    """Lets a session on a shared computer last from call to call."""

    def __init__(self, get_response: Callable[[HttpRequest], HttpResponseBase]) -> None:
        self._get_response = get_response

    def __call__(self, request: HttpRequest) -> HttpResponseBase:
        """Note once a minute that somebody is there; a page comes without the database, which may be away."""
        seen = request.session.get(_NOTED) if request.path.startswith("/api/") else None
        if seen is not None and time() - seen > _EVERY:
            request.session[_NOTED] = time()
        return self._get_response(request)
