"""Signing in and out by session, accounts of one's own; five wrong passwords lock a name for a quarter of an hour."""

from datetime import datetime
from typing import Any

from api.auth import csrf_only, teacher_of
from api.entrance import record
from api.failures import FailureRecord, Refused
from axes.handlers.proxy import AxesProxyHandler
from django.conf import settings
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
from teachers.audit import note
from teachers.guard import is_flooded, recognise, remember
from teachers.models import SignedIn
from teachers.people import person_of
from teachers.second_factor import has_one, is_right, waits
from teachers.sessions import begin, end, sessions_of

router = Router()
MOST_NUMBERS = 5
"""Wrong second factors after one right password."""
_PENDING = "second-factor"


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
    account of their own. ``provider``: what the button of the school's own sign-in says, empty without one;
    ``mails``: links for a new password can be sent; ``department``: of whoever is signed in;
    ``administrator``: they keep the school's accounts; ``leaves``: when their account will be deleted.
    """

    username: str
    demonstration: bool = False
    may_begin: bool = False
    provider: str = ""
    mails: bool = False
    department: str = ""
    administrator: bool = False
    leaves: datetime | None = None


class SecondFactor(Schema):
    """The number that an authenticator shows, or a recovery code."""

    number: str = Field(min_length=1, max_length=40)


class SessionOut(Schema):
    """Where somebody is signed in; ``here``: the session that asks."""

    id: int
    browser: str
    since: datetime
    here: bool


def current_of(request: HttpRequest) -> Current:
    """Return who is signed in, and what can be done here."""
    name = request.user.get_username() if request.user.is_authenticated else ""
    provider, mails = settings.PROVIDER.get("label", ""), settings.SENDS_MAIL
    if not name:
        return Current(
            username="",
            demonstration=has_demo(),
            may_begin=may_begin(),
            provider=provider,
            mails=mails,
        )
    person = person_of(teacher_of(request))
    return Current(
        username=name,
        demonstration=settings.AT_HOME and name in DEMO_TEACHERS,
        department=person.department.title if person.department else "",
        administrator=person.is_administrator,
        leaves=person.leaves,
        provider=provider,
        mails=mails,
    )


@router.get("", response=Current, auth=None)
@decorate_view(ensure_csrf_cookie)
def current(request: HttpRequest) -> Current:
    """Return who is signed in, and set the CSRF cookie."""
    return current_of(request)


_TRIED = {401: FailureRecord, 429: FailureRecord}


@router.post("", response={200: Current, **_TRIED}, auth=csrf_only)
def sign_in(request: HttpRequest, response: HttpResponse, body: SignIn) -> Current:
    """Sign in; who has a second factor is asked for it next (``second-factor``)."""
    teacher = _authenticated(request, body.username, body.password)
    if has_one(teacher):
        request.session.cycle_key()
        request.session[_PENDING] = {"teacher": teacher.pk, "shared": body.shared, "tries": 0}
        raise Refused(401, "second-factor", "Now the number that your authenticator shows.")
    return begun(request, response, teacher, shared=body.shared)


@router.post("/second", response={200: Current, **_TRIED}, auth=csrf_only)
def second(request: HttpRequest, response: HttpResponse, body: SecondFactor) -> Current:
    """Give the second factor, after name and password."""
    pending = request.session.get(_PENDING)
    wanted = User.objects.filter(pk=pending["teacher"] if pending else 0, is_active=True)
    teacher = wanted.first()
    if pending is None or teacher is None or pending["tries"] >= MOST_NUMBERS:
        request.session.pop(_PENDING, None)
        raise Refused(401, "begin-again", "Sign in with name and password again.")
    if not is_right(teacher, body.number):
        request.session[_PENDING] = {**pending, "tries": pending["tries"] + 1}
        if waits(teacher):
            wait = "This is not the number. Wait a moment before the next try."
            raise Refused(401, "wrong-number", wait)
        raise Refused(401, "wrong-number", "This is not the number that is shown now.")
    del request.session[_PENDING]
    return begun(request, response, teacher, shared=pending["shared"])


def begun(request: HttpRequest, response: HttpResponse, teacher: User, *, shared: bool) -> Current:
    """Begin a session, and have the browser known from now on."""
    begin(request, teacher, shared=shared)
    if not shared:  # a shared computer is nobody's known one
        remember(request, response, teacher)
    return current_of(request)


def _authenticated(request: HttpRequest, username: str, password: str) -> User:
    """Return whose name and password these are.

    Raises:
        Refused: 401 nobody's; 429 locked after wrong ones.
    """
    credentials = {"username": username}
    recognise(request, username)
    if is_flooded(request, username) or not AxesProxyHandler.is_allowed(request, credentials):
        raise _locked()
    user = authenticate(request, username=username, password=password)
    if user is None:
        if not AxesProxyHandler.is_allowed(request, credentials):
            owner = User.objects.filter(username=username).first()
            if owner is not None:
                note(owner, "Five wrong passwords: locked there for a quarter of an hour.", request)
            raise _locked()
        raise Refused(401, "wrong-password", "This name and password do not belong together.")
    return user


@router.post(
    "/own",
    response={201: Current, 403: FailureRecord, 422: FailureRecord},
    auth=csrf_only,
)
def begin_own(request: HttpRequest, response: HttpResponse, body: NewAccount) -> Status[Current]:
    """Make an account of one's own, and sign in with it."""
    if not may_begin():
        message = "Whoever keeps this installation makes accounts."
        raise Refused(403, "not-here", message)
    try:
        add(body.username.strip(), body.password)
    except AccountRefused as why:
        raise Refused(422, "bad-account", str(why)) from None
    made = User.objects.get(username=body.username.strip())
    return Status(201, begun(request, response, made, shared=False))


@router.put(
    "/password",
    response={204: None, 401: FailureRecord, 422: FailureRecord, 429: FailureRecord},
)
def new_password(request: HttpRequest, body: NewPassword) -> Status[None]:
    """Change one's password; all other sessions end."""
    teacher = _authenticated(request, teacher_of(request).get_username(), body.old)
    try:
        change_password(teacher.get_username(), body.new, request)
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
