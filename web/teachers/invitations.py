"""Invitations: links with which somebody makes their own account, once."""

import hashlib
import secrets
from datetime import timedelta

from django.conf import settings
from django.contrib.auth.models import User
from django.db import transaction
from django.utils import timezone

from teachers.accounts import AccountRefused, add
from teachers.mail import send
from teachers.models import Department, Invitation
from teachers.people import set_person

GOOD_FOR = timedelta(days=7)


def invite(
    by: User, *, mail: str, department: Department | None, is_administrator: bool
) -> tuple[Invitation, str, bool]:
    """Make an invitation; return it, its link, which is shown only now, and whether it was sent by mail."""
    secret = secrets.token_urlsafe(24)
    made = Invitation.objects.create(
        digest=_digest(secret),
        mail=mail,
        department=department,
        is_administrator=is_administrator,
        made_by=by,
        expires=timezone.now() + GOOD_FOR,
    )
    link = f"{settings.SITE}/invited/{secret}"
    text = f"{by.get_username()} invites you. Within a week, make your account here:\n\n{link}"
    return made, link, bool(mail) and send(mail, "your account", text)


def found_by(secret: str) -> Invitation | None:
    """Return the invitation that can still be used with this link."""
    good = Invitation.objects.filter(used=None, expires__gt=timezone.now())
    return good.filter(digest=_digest(secret)).select_related("department", "made_by").first()


@transaction.atomic
def accept(secret: str, name: str, password: str, mail: str) -> User:
    """Make the account that the invitation is for; its link is good for nothing afterwards.

    Raises:
        AccountRefused: the link is used or too old, the name taken, the password too weak.
    """
    found = found_by(secret)
    if found is None or not Invitation.objects.filter(pk=found.pk, used=None).update(
        used=timezone.now()
    ):
        raise AccountRefused("This invitation was used, or is older than a week. Ask for another.")
    add(name, password, mail or found.mail)
    teacher = User.objects.get(username=name)
    set_person(teacher, department=found.department, is_administrator=found.is_administrator)
    return teacher


def _digest(secret: str) -> str:
    return hashlib.sha256(secret.encode()).hexdigest()
