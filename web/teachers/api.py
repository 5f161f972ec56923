"""Signing in and out by session; five wrong passwords lock a name for a quarter of an hour."""

from api.auth import csrf_only, teacher_of
from api.entrance import record
from api.failures import FailureRecord, Refused
from axes.handlers.proxy import AxesProxyHandler
from django.contrib.auth import authenticate, login, logout
from django.http import HttpRequest, HttpResponse
from django.views.decorators.csrf import ensure_csrf_cookie
from ninja import Field, Router, Schema, Status
from ninja.decorators import decorate_view

router = Router()


class SignIn(Schema):
    """A name and a password."""

    username: str = Field(max_length=150)
    password: str = Field(max_length=1000)


class Session(Schema):
    """Who is signed in; ``username`` is empty when nobody is."""

    username: str


@router.get("", response=Session, auth=None)
@decorate_view(ensure_csrf_cookie)
def current(request: HttpRequest) -> Session:
    """Return who is signed in, and set the CSRF cookie."""
    return Session(username=request.user.get_username() if request.user.is_authenticated else "")


@router.post("", response={200: Session, 401: FailureRecord, 429: FailureRecord}, auth=csrf_only)
def sign_in(request: HttpRequest, body: SignIn) -> Session:
    """Sign in."""
    credentials = {"username": body.username}
    if not AxesProxyHandler.is_allowed(request, credentials):
        raise _locked()
    user = authenticate(request, username=body.username, password=body.password)
    if user is None:
        if not AxesProxyHandler.is_allowed(request, credentials):
            raise _locked()
        raise Refused(401, "wrong-password", "This name and password do not belong together.")
    login(request, user)
    return Session(username=teacher_of(request).get_username())


_LOCKED = (429, "locked", "Five wrong passwords: this name is locked for fifteen minutes.")


def _locked() -> Refused:
    return Refused(*_LOCKED)


def locked_out(_request: HttpRequest, *_: object, **__: object) -> HttpResponse:
    """Answer for the guard of passwords where it answers itself, as the API does."""
    return record(*_LOCKED)


@router.delete("", response={204: None})
def sign_out(request: HttpRequest, response: HttpResponse) -> Status[None]:
    """Sign out."""
    logout(request)
    return Status(204, None)
