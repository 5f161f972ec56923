"""Against guessing passwords, without a way to lock somebody else out.

Five wrong passwords of a name from one address lock the name for that address (django-axes). Above that, all
names together are counted from one address, and all addresses together for one name. A browser in which a
teacher has signed in before is known by a signed cookie: its guesses are counted apart, so that strangers who
guess, also from the same school's address, lock out only strangers.
"""

import hashlib
import secrets
from datetime import timedelta
from ipaddress import IPv6Address
from typing import Any

from axes.models import AccessAttempt
from django.conf import settings
from django.contrib.auth.models import User
from django.core.signing import BadSignature, dumps, loads
from django.db.models import QuerySet, Sum
from django.http import HttpRequest, HttpResponse
from django.utils import timezone

WINDOW = timedelta(minutes=15)
FROM_ONE_ADDRESS, FOR_ONE_NAME = 30, 20
"""Wrong passwords within the window: of all names from one address, of one name from everywhere."""
_COOKIE, _SALT, _YEAR = "known", "known-browser", 365 * 86_400
_DEVICE = "uchuu.device"
_NOBODY = 0x0100 << 112
"""Known browsers stand among addresses as discard-only ones (100::/64, RFC 6666), which no client comes from."""


def where(request: HttpRequest) -> str:
    """Return where a sign-in is counted: the known browser, else the client's address."""
    return str(request.META.get(_DEVICE) or request.META.get("REMOTE_ADDR") or "127.0.0.1")


def recognise(request: HttpRequest, username: str) -> None:
    """Note on *request* whether its browser is one in which *username* has signed in before."""
    request.META.pop(_DEVICE, None)
    device, names = _known(request)
    if _folded(username) in names:
        number = int.from_bytes(hashlib.sha256(device.encode()).digest()[:8])
        request.META[_DEVICE] = str(IPv6Address(_NOBODY | number))


def remember(request: HttpRequest, response: HttpResponse, teacher: User) -> None:
    """Have the browser known from now on as one of *teacher*'s."""
    device, names = _known(request)
    name = _folded(teacher.get_username())
    kept = [name, *(one for one in names if one != name)][:8]
    response.set_cookie(
        _COOKIE,
        dumps({"device": device or secrets.token_urlsafe(16), "names": kept}, salt=_SALT),
        max_age=_YEAR,
        secure=settings.SESSION_COOKIE_SECURE,
        httponly=True,
        samesite="Lax",
    )


def _known(request: HttpRequest) -> tuple[str, list[str]]:
    """Return which browser this is, and who has signed in in it; nothing where its cookie is none of ours."""
    try:
        known = loads(request.COOKIES.get(_COOKIE, ""), salt=_SALT, max_age=_YEAR)
        return str(known["device"]), list(known["names"])
    except (BadSignature, KeyError, TypeError):
        return "", []


def is_flooded(request: HttpRequest, username: str) -> bool:
    """Return whether strangers guess so much that no stranger is let in for a while: here, or for this name."""
    if _DEVICE in request.META:
        return False
    recent = AccessAttempt.objects.filter(attempt_time__gt=timezone.now() - WINDOW)
    strangers = recent.exclude(ip_address__startswith="100::")
    here = _failures(strangers.filter(ip_address=where(request)))
    return (
        here >= FROM_ONE_ADDRESS or _failures(strangers.filter(username=username)) >= FOR_ONE_NAME
    )


def _failures(found: QuerySet[Any]) -> int:
    return int(found.aggregate(n=Sum("failures_since_start"))["n"] or 0)


def _folded(username: str) -> str:
    return hashlib.sha256(username.casefold().encode()).hexdigest()[:24]
