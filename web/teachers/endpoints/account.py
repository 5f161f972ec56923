"""One's own account: mail address, second factor, the school's sign-in, and what was done to it."""

from datetime import datetime
from typing import Any

from api.auth import teacher_of
from api.failures import FailureRecord, Refused
from api.pages import page_of
from django.contrib.auth.models import User
from django.http import HttpRequest
from ninja import Field, Router, Schema, Status

from teachers.accounts import AccountRefused, set_mail
from teachers.audit import note
from teachers.models import AuditEntry
from teachers.people import person_of, set_person
from teachers.provider import wish_to_connect
from teachers.second_factor import (
    begin,
    codes_left,
    confirm,
    drop,
    has_one,
    is_right,
    new_codes,
)

router = Router()
_REFUSALS = {401: FailureRecord, 422: FailureRecord}


class AccountOut(Schema):
    """One's account; ``connected``: to the school's sign-in; ``password``: whether there is one."""

    username: str
    mail: str
    department: str
    administrator: bool
    second_factor: bool
    codes_left: int
    connected: bool
    password: bool
    exported: datetime | None
    leaves: datetime | None


class MailIn(Schema):
    """A mail address and, so that nobody else changes it, the password."""

    mail: str = Field(max_length=254)
    password: str = Field(max_length=1000)


class Said(Schema):
    """The password, said again."""

    password: str = Field(max_length=1000)


class SecretOut(Schema):
    """What the authenticator is told: to be typed, and as a QR code (SVG)."""

    secret: str
    picture: str


class NumberIn(Schema):
    """What the authenticator shows."""

    number: str = Field(min_length=1, max_length=40)


class CodesOut(Schema):
    """Recovery codes, shown once."""

    codes: list[str]


class EntryOut(Schema):
    """One entry of the log."""

    at: datetime
    says: str
    by: str
    address: str | None


class EntriesOut(Schema):
    """A page of the log; ``next``: the cursor of the next page."""

    results: list[EntryOut]
    next: str | None


def held(teacher: User, password: str) -> None:
    """Hold that the password is the teacher's; who has none (the school signs in) need not say one.

    Raises:
        Refused: 401 it is another one.
    """
    if teacher.has_usable_password() and not teacher.check_password(password):
        raise Refused(401, "wrong-password", "This is not your password.")


@router.get("", response={200: AccountOut, 401: FailureRecord})
def mine(request: HttpRequest) -> dict[str, Any]:
    """Return one's account."""
    return _account(teacher_of(request))


def _account(teacher: User) -> dict[str, Any]:
    person = person_of(teacher)
    return {
        "username": teacher.get_username(),
        "mail": teacher.email,
        "department": person.department.title if person.department else "",
        "administrator": person.is_administrator,
        "second_factor": has_one(teacher),
        "codes_left": codes_left(teacher),
        "connected": person.subject is not None,
        "password": teacher.has_usable_password(),
        "exported": person.exported,
        "leaves": person.leaves,
    }


@router.put("/mail", response={200: AccountOut, **_REFUSALS})
def change_mail(request: HttpRequest, body: MailIn) -> dict[str, Any]:
    """Set the address that links for a new password go to."""
    teacher = User.objects.get(pk=teacher_of(request).pk)
    held(teacher, body.password)
    try:
        set_mail(teacher, body.mail.strip())
    except AccountRefused as why:
        raise Refused(422, "bad-mail", str(why)) from None
    note(teacher, "The mail address was changed.", request)
    return _account(teacher)


@router.post("/second-factor", response={200: SecretOut, **_REFUSALS})
def begin_second(request: HttpRequest, body: Said) -> SecretOut:
    """Return a new secret for the authenticator; nothing is asked for until it is confirmed."""
    teacher = teacher_of(request)
    held(teacher, body.password)
    secret, picture = begin(teacher)
    return SecretOut(secret=secret, picture=picture)


@router.post("/second-factor/confirm", response={200: CodesOut, **_REFUSALS})
def confirm_second(request: HttpRequest, body: NumberIn) -> CodesOut:
    """Show that the authenticator knows the secret; from now on it is asked for."""
    codes = confirm(teacher_of(request), body.number)
    if codes is None:
        wrong = "This is not the number that is shown now. Is the clock of your telephone right?"
        raise Refused(422, "wrong-number", wrong)
    note(teacher_of(request), "A second factor is asked for from now on.", request)
    return CodesOut(codes=codes)


@router.post("/second-factor/codes", response={200: CodesOut, **_REFUSALS})
def other_codes(request: HttpRequest, body: NumberIn) -> CodesOut:
    """Make other recovery codes; older ones are good for nothing any more."""
    teacher = teacher_of(request)
    if not is_right(teacher, body.number):
        raise Refused(422, "wrong-number", "This is not the number that is shown now.")
    note(teacher, "New recovery codes were made.", request)
    return CodesOut(codes=new_codes(teacher))


@router.post("/second-factor/drop", response={204: None, **_REFUSALS})
def drop_second(request: HttpRequest, body: Said) -> Status[None]:
    """Ask for no second factor any more."""
    teacher = teacher_of(request)
    held(teacher, body.password)
    drop(teacher)
    note(teacher, "No second factor is asked for any more.", request)
    return Status(204, None)


@router.post("/provider", response={204: None, **_REFUSALS})
def connect(request: HttpRequest, body: Said) -> Status[None]:
    """Have the next way to the school's sign-in connect it to this account."""
    held(teacher_of(request), body.password)
    wish_to_connect(request)
    return Status(204, None)


@router.delete("/provider", response={204: None, **_REFUSALS})
def disconnect(request: HttpRequest) -> Status[None]:
    """Let the school's sign-in no longer open this account."""
    teacher = teacher_of(request)
    if not teacher.has_usable_password():
        raise Refused(422, "no-password", "Without it you could not sign in. Set a password first.")
    set_person(teacher, subject=None)
    note(teacher, "The school's sign-in was disconnected.", request)
    return Status(204, None)


@router.get("/audit", response={200: EntriesOut, 401: FailureRecord, 422: FailureRecord})
def log(request: HttpRequest, cursor: str = "") -> dict[str, Any]:
    """Return what was done to the account, the latest first."""
    found = AuditEntry.objects.filter(teacher=teacher_of(request))
    return page_of(request, found, ("-at", "-id"), cursor)
