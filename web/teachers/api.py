"""Signing in and out by session, accounts of one's own; five wrong passwords lock a name for a quarter of an hour."""

from datetime import datetime
from typing import Any

from api.auth import csrf_only, teacher_of
from api.entrance import record
from api.failures import FailureRecord, Refused
from axes.handlers.proxy import AxesProxyHandler
from django.contrib.auth import authenticate, logout, update_session_auth_hash
from django.contrib.auth.models import User
from django.http import HttpRequest, HttpResponse
from django.views.decorators.csrf import ensure_csrf_cookie
from ninja import Field, Router, Schema, Status
from ninja.decorators import decorate_view

from teachers.accounts import (
    DEMO_TEACHERS,
    AccountRefused,
    add,
    change_password,
    has_demo,
    may_begin,
)
from teachers.models import SignedIn
from teachers.sessions import begin, end, sessions_of

router = Router()


class SignIn(Schema):
    """A name and a password; ``shared``: others use this computer too."""

    username: str = Field(max_length=150)
    password: str = Field(max_length=1000)
    shared: bool = False


class NewAccount(Schema):
    """A name and a password of one's own."""

    username: str = Field(min_length=1, max_length=150)
    password: str = Field(max_length=1000)


class NewPassword(Schema):
    """The password so far, and the new one."""

    old: str = Field(max_length=1000)
    new: str = Field(max_length=1000)


class Current(Schema):
    """Who is signed in; ``username`` is empty when nobody is.

    ``demonstration``: the made-up teachers can sign in here. ``may_begin``: whoever sits here may make an
    account of their own.
    """

    username: str
    demonstration: bool
    may_begin: bool


class SessionOut(Schema):
    """Where somebody is signed in; ``here``: the session that asks."""

    id: int
    browser: str
    since: datetime
    here: bool


def _current(request: HttpRequest) -> Current:
    name = request.user.get_username() if request.user.is_authenticated else ""
    if name:  # what only the first page asks for is not looked up at every start of a page
        return Current(username=name, demonstration=name in DEMO_TEACHERS, may_begin=False)
    return Current(username="", demonstration=has_demo(), may_begin=may_begin())


@router.get("", response=Current, auth=None)
@decorate_view(ensure_csrf_cookie)
def current(request: HttpRequest) -> Current:
    """Return who is signed in, and set the CSRF cookie."""
    return _current(request)


@router.post("", response={200: Current, 401: FailureRecord, 429: FailureRecord}, auth=csrf_only)
def sign_in(request: HttpRequest, body: SignIn) -> Current:
    """Sign in."""
    user = _authenticated(request, body.username, body.password)
    begin(request, user, shared=body.shared)
    return _current(request)


def _authenticated(request: HttpRequest, username: str, password: str) -> User:
    credentials = {"username": username}
    if not AxesProxyHandler.is_allowed(request, credentials):
        raise _locked()
    user = authenticate(request, username=username, password=password)
    if user is None:
        if not AxesProxyHandler.is_allowed(request, credentials):
            raise _locked()
        raise Refused(401, "wrong-password", "This name and password do not belong together.")
    return user


@router.post(
    "/own",
    response={201: Current, 403: FailureRecord, 422: FailureRecord},
    auth=csrf_only,
)
def begin_own(request: HttpRequest, body: NewAccount) -> Status[Current]:
    """Make an account of one's own, and sign in with it."""
    if not may_begin():
        message = "Whoever keeps this installation makes accounts: ./uchuu teacher add NAME."
        raise Refused(403, "not-here", message)
    try:
        add(body.username.strip(), body.password)
    except AccountRefused as why:
        raise Refused(422, "bad-account", str(why)) from None
    begin(request, User.objects.get(username=body.username.strip()), shared=False)
    return Status(201, _current(request))


@router.put(
    "/password",
    response={204: None, 401: FailureRecord, 422: FailureRecord, 429: FailureRecord},
)
def new_password(request: HttpRequest, body: NewPassword) -> Status[None]:
    """Change one's password; all other sessions end."""
    teacher = _authenticated(request, teacher_of(request).get_username(), body.old)
    try:
        change_password(teacher.get_username(), body.new)
    except AccountRefused as why:
        raise Refused(422, "bad-password", str(why)) from None
    end(sessions_of(teacher).exclude(session=request.session.session_key))
    teacher.refresh_from_db()
    old = request.session.session_key
    update_session_auth_hash(request, teacher)
    SignedIn.objects.filter(session=old).update(session=request.session.session_key)
    return Status(204, None)


@router.get("/places", response={200: list[SessionOut], 401: FailureRecord})
def places(request: HttpRequest) -> list[dict[str, Any]]:
    """Return where one is signed in."""
    here = request.session.session_key
    found = sessions_of(teacher_of(request))
    return [
        {"id": one.pk, "browser": one.browser, "since": one.since, "here": one.session == here}
        for one in found
    ]


@router.delete("/places/others", response={204: None, 401: FailureRecord})
def leave_others(request: HttpRequest) -> Status[None]:
    """Sign out everywhere but here."""
    end(sessions_of(teacher_of(request)).exclude(session=request.session.session_key))
    return Status(204, None)


@router.delete("/places/{identity}", response={204: None, 401: FailureRecord, 404: FailureRecord})
def leave_one(request: HttpRequest, identity: int) -> Status[None]:
    """Sign out at one of the places where one is signed in."""
    found = sessions_of(teacher_of(request)).filter(pk=identity)
    if not found.exists():
        raise Refused(404, "not-found", "This session has ended already.")
    end(found)
    return Status(204, None)


_LOCKED = (429, "locked", "Five wrong passwords: this name is locked for fifteen minutes.")


def _locked() -> Refused:
    return Refused(*_LOCKED)


def locked_out(_request: HttpRequest, *_: object, **__: object) -> HttpResponse:
    """Answer for the guard of passwords where it answers itself, as the API does."""
    return record(*_LOCKED)


@router.delete("", response={204: None, 401: FailureRecord})
def sign_out(request: HttpRequest, response: HttpResponse) -> Status[None]:
    """Sign out."""
    SignedIn.objects.filter(session=request.session.session_key).delete()
    logout(request)
    return Status(204, None)
