"""A new password by a link in a mail: good once, for an hour, for the account as it was."""

from datetime import timedelta

from django.conf import settings
from django.contrib.auth.models import User
from django.contrib.auth.tokens import default_token_generator
from django.utils import timezone
from django.utils.encoding import force_bytes, force_str
from django.utils.http import urlsafe_base64_decode, urlsafe_base64_encode
from procrastinate.contrib.django import app

from teachers.mail import send
from teachers.people import person_of, set_person

PAUSE = timedelta(minutes=2)
"""Between two mails to the same teacher."""


def link_for(teacher: User) -> str:
    """Return a link with which the teacher sets a new password."""
    key = urlsafe_base64_encode(force_bytes(teacher.pk))
    return f"{settings.SITE}/reset/{key}.{default_token_generator.make_token(teacher)}"


def send_link(name: str) -> None:
    """Send a link to whoever has this name or address, if anybody has: whoever asks is not told."""
    found = User.objects.filter(is_active=True).exclude(email="")
    teacher = found.filter(username=name).first() or found.filter(email__iexact=name).first()
    if teacher is None:
        return
    person = person_of(teacher)
    if person.reset_sent is not None and timezone.now() - person.reset_sent < PAUSE:
        return
    set_person(teacher, reset_sent=timezone.now())
    if settings.JOBS_AT_ONCE:
        mail_link(teacher.pk)
    else:  # by a worker: how long the answer takes tells nobody whether a mail went out
        app.configure_task("mail_link").defer(teacher=teacher.pk)


def mail_link(teacher: int) -> None:
    """Make the link and send it."""
    found = User.objects.get(pk=teacher)
    send(
        found.email,
        "a new password",
        f"Somebody, you we hope, asked for a new password for “{found.get_username()}”.\n"
        f"Within an hour, open:\n\n{link_for(found)}\n\n"
        "If it was not you, nothing has changed and you need do nothing.",
    )


def owner_of(token: str) -> User | None:
    """Return whose link this is; None: it was used, is too old, or was never one."""
    key, _, secret = token.partition(".")
    try:
        teacher = User.objects.get(pk=int(force_str(urlsafe_base64_decode(key))), is_active=True)
    except (ValueError, OverflowError, User.DoesNotExist):
        return None
    return teacher if default_token_generator.check_token(teacher, secret) else None
