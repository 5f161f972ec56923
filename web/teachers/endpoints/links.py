"""Links that let somebody in once: for a new password, and for an account of their own."""

from api.auth import csrf_only
from api.failures import FailureRecord, Refused
from django.http import HttpRequest, HttpResponse
from ninja import Field, Router, Schema, Status

from teachers.accounts import AccountRefused, change_password
from teachers.audit import note
from teachers.endpoints.session import Current, NewAccount, begun
from teachers.invitations import accept, found_by
from teachers.resets import owner_of, send_link
from teachers.sessions import end, sessions_of

router = Router()


class Whose(Schema):
    """A name or a mail address."""

    name: str = Field(min_length=1, max_length=254)


class Chosen(Schema):
    """A new password."""

    password: str = Field(max_length=1000)


class InvitedOut(Schema):
    """An invitation that can be used: from whom, into which department."""

    by: str
    department: str
    mail: str
    administrator: bool


class Accepting(NewAccount):
    """What somebody who was invited chooses."""

    mail: str = Field(default="", max_length=254)


@router.post("/reset", response={204: None, 422: FailureRecord}, auth=csrf_only)
def ask_for_reset(request: HttpRequest, body: Whose) -> Status[None]:
    """Have a link for a new password sent; the answer is the same whether there is such an account or not."""
    send_link(body.name.strip())
    return Status(204, None)


_GONE = Refused(410, "gone", "This link was used, or is too old. Ask for another one.")


@router.get("/reset/{token}", response={200: Whose, 410: FailureRecord}, auth=None)
def whose_reset(request: HttpRequest, token: str) -> Whose:
    """Return whose new password the link is for."""
    teacher = owner_of(token)
    if teacher is None:
        raise _GONE
    return Whose(name=teacher.get_username())


@router.post(
    "/reset/{token}",
    response={204: None, 410: FailureRecord, 422: FailureRecord},
    auth=csrf_only,
)
def reset_password(request: HttpRequest, token: str, body: Chosen) -> Status[None]:
    """Set the new password; all sessions end, and the link is good for nothing any more."""
    teacher = owner_of(token)
    if teacher is None:
        raise _GONE
    try:
        change_password(teacher.get_username(), body.password, request)
    except AccountRefused as why:
        raise Refused(422, "bad-password", str(why)) from None
    end(sessions_of(teacher))
    return Status(204, None)


@router.get("/invited/{token}", response={200: InvitedOut, 410: FailureRecord}, auth=None)
def invited(request: HttpRequest, token: str) -> InvitedOut:
    """Return what an invitation is for."""
    found = found_by(token)
    if found is None:
        raise Refused(410, "gone", "This invitation was used, or is older than a week.")
    return InvitedOut(
        by=found.made_by.get_username() if found.made_by else "",
        department=found.department.title if found.department else "",
        mail=found.mail,
        administrator=found.is_administrator,
    )


@router.post(
    "/invited/{token}",
    response={201: Current, 422: FailureRecord},
    auth=csrf_only,
)
def accept_invitation(
    request: HttpRequest, response: HttpResponse, token: str, body: Accepting
) -> Status[Current]:
    """Make the account, and sign in with it."""
    try:
        teacher = accept(token, body.username.strip(), body.password, body.mail.strip())
    except AccountRefused as why:
        raise Refused(422, "bad-account", str(why)) from None
    note(teacher, "The account was made with an invitation.", request)
    return Status(201, begun(request, response, teacher, shared=False))
