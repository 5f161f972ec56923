"""The school's accounts, for its administrators; each of them needs a second factor."""

from datetime import datetime
from typing import Any

from api.auth import teacher_of
from api.failures import FailureRecord, Refused
from api.pages import page_of
from django.contrib.auth.models import User
from django.db import IntegrityError
from django.db.models import QuerySet
from django.http import HttpRequest
from ninja import Field, Router, Schema, Status
from ninja.security import SessionAuth

from teachers.administration import (
    account_of,
    accounts,
    as_record,
    department_of,
    forget_second_factor,
    lock,
    place,
    release,
)
from teachers.audit import note
from teachers.invitations import invite
from teachers.models import Department
from teachers.people import is_administrator
from teachers.resets import link_for
from teachers.second_factor import has_one

MOST_DEPARTMENTS = 100


class Administrators(SessionAuth):
    """Lets those in who keep the school's accounts."""

    def authenticate(self, request: HttpRequest, key: str | None) -> Any:
        """Return the administrator.

        Raises:
            Refused: 403 it is none, or one without a second factor.
        """
        user = super().authenticate(request, key)
        if user is None:
            return None
        if not is_administrator(user):
            raise Refused(403, "not-yours", "Only who keeps the school's accounts can do this.")
        if not has_one(user):
            says = (
                "Whoever keeps accounts signs in with a second factor. Set yours up under Account."
            )
            raise Refused(403, "needs-second-factor", says)
        return user


router = Router(auth=Administrators(csrf=True))
_REFUSALS = {
    401: FailureRecord,
    403: FailureRecord,
    404: FailureRecord,
    422: FailureRecord,
}


class AccountRow(Schema):
    """An account as administrators see it: who, not what."""

    id: int
    username: str
    mail: str
    department: int | None
    administrator: bool
    locked: bool
    leaves: datetime | None
    last_here: datetime | None
    second_factor: bool


class AccountRows(Schema):
    """A page of accounts; ``next``: the cursor of the next page."""

    results: list[AccountRow]
    next: str | None


class DepartmentOut(Schema):
    """A department."""

    id: int
    title: str


class DepartmentIn(Schema):
    """A department as it is named."""

    title: str = Field(min_length=1, max_length=100, pattern=r"^\S(.*\S)?$")


class Placing(Schema):
    """Which department somebody is of, and whether they keep accounts."""

    department: int | None
    administrator: bool


class InvitationIn(Placing):
    """Who is invited; ``mail`` may stay empty: the link is shown in any case."""

    mail: str = Field(default="", max_length=254, pattern=r"^$|^[^@\s]+@[^@\s]+$")


class LinkOut(Schema):
    """A link to hand on; ``sent``: it went by mail already."""

    link: str
    sent: bool


@router.get("", response={200: AccountRows, **_REFUSALS})
def listed(request: HttpRequest, search: str = "", cursor: str = "") -> dict[str, Any]:
    """Return accounts, by name; *search*: whose name or address has this in it."""
    found: QuerySet[User] = accounts()
    if search.strip():
        words = search.strip()[:100]
        found = found.filter(username__icontains=words) | found.filter(email__icontains=words)
    page = page_of(request, found, ("username", "id"), cursor)
    return {**page, "results": [as_record(one) for one in page["results"]]}


@router.get("/departments", response={200: list[DepartmentOut], **_REFUSALS})
def departments(request: HttpRequest) -> QuerySet[Department]:
    """Return all departments."""
    return Department.objects.all()


@router.post("/departments", response={201: DepartmentOut, **_REFUSALS})
def make_department(request: HttpRequest, body: DepartmentIn) -> Status[Department]:
    """Make a department."""
    if Department.objects.count() >= MOST_DEPARTMENTS:
        raise Refused(422, "too-many", f"There are {MOST_DEPARTMENTS} departments already.")
    if Department.objects.filter(title__iexact=body.title).exists():
        raise Refused(422, "twice", f"There is a department “{body.title}” already.")
    try:
        return Status(201, Department.objects.create(title=body.title))
    except IntegrityError:
        raise Refused(422, "twice", f"There is a department “{body.title}” already.") from None


@router.delete("/departments/{identity}", response={204: None, **_REFUSALS})
def remove_department(request: HttpRequest, identity: int) -> Status[None]:
    """Dissolve a department; its people stay, what they shared in it is shared no more."""
    found = department_of(identity)
    if found is not None:
        found.delete()
    return Status(204, None)


@router.post("/invitations", response={201: LinkOut, **_REFUSALS})
def make_invitation(request: HttpRequest, body: InvitationIn) -> Status[LinkOut]:
    """Invite somebody; the link is shown now and never again."""
    by = User.objects.get(pk=teacher_of(request).pk)
    _, link, sent = invite(
        by,
        mail=body.mail,
        department=department_of(body.department),
        is_administrator=body.administrator,
    )
    note(by, f"An invitation was made{f' for {body.mail}' if body.mail else ''}.", request)
    return Status(201, LinkOut(link=link, sent=sent))


@router.put("/{identity}", response={200: AccountRow, **_REFUSALS})
def put(request: HttpRequest, identity: int, body: Placing) -> dict[str, Any]:
    """Say which department somebody is of, and whether they keep accounts."""
    place(account_of(identity), department_of(body.department), body.administrator, request)
    return as_record(account_of(identity))


@router.post("/{identity}/lock", response={200: AccountRow, **_REFUSALS})
def lock_one(request: HttpRequest, identity: int) -> dict[str, Any]:
    """Lock an account, and end its sessions."""
    lock(account_of(identity), request)
    return as_record(account_of(identity))


@router.post("/{identity}/release", response={200: AccountRow, **_REFUSALS})
def release_one(request: HttpRequest, identity: int) -> dict[str, Any]:
    """Release an account, also after wrong passwords."""
    release(account_of(identity), request)
    return as_record(account_of(identity))


@router.post("/{identity}/second-factor", response={204: None, **_REFUSALS})
def forget_second(request: HttpRequest, identity: int) -> Status[None]:
    """Take the second factor from somebody who lost it."""
    forget_second_factor(account_of(identity), request)
    return Status(204, None)


@router.post("/{identity}/reset", response={201: LinkOut, **_REFUSALS})
def reset_link(request: HttpRequest, identity: int) -> Status[LinkOut]:
    """Make a link for a new password, to hand to its owner."""
    teacher = account_of(identity)
    note(teacher, "A link for a new password was made.", request)
    return Status(201, LinkOut(link=link_for(teacher), sent=False))
