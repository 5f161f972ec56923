"""Accounts of teachers, as whoever keeps the installation makes and changes them."""

from axes.utils import reset
from django.conf import settings
from django.contrib.auth.models import User
from django.contrib.auth.password_validation import validate_password
from django.core.exceptions import ValidationError
from django.core.validators import validate_email
from django.http import HttpRequest

from teachers.audit import note

DEMO_TEACHERS = ("marin", "okafor")
"""The made-up teachers of the demonstration."""
MOST_AT_HOME = 20
"""So many accounts are made from the first page; more are made by whoever keeps the installation."""


def has_demo() -> bool:
    """Return whether the made-up teachers can sign in here."""
    return User.objects.filter(username__in=DEMO_TEACHERS, is_active=True).exists()


def may_begin() -> bool:
    """Return whether whoever sits here may make an account: at home, where it is a demonstration or empty."""
    if not settings.AT_HOME:
        return False
    count = User.objects.count()
    return count == 0 or (count < MOST_AT_HOME and has_demo())


class AccountRefused(Exception):
    """What is asked cannot be done; the message says why and what to do."""


def add(name: str, password: str, mail: str = "") -> None:
    """Make an account.

    Raises:
        AccountRefused: the name or the mail address is taken or none, or the password too weak.
    """
    if User.objects.filter(username__iexact=name).exists():
        raise AccountRefused(f"There is a teacher “{name}” already. Choose another name.")
    teacher = User(username=name)
    try:
        teacher.clean_fields(exclude=["password"])
    except ValidationError as wrong:
        raise AccountRefused(f"“{name}” cannot be a name. {' '.join(wrong.messages)}") from None
    if mail:
        set_mail(teacher, mail, store=False)
    _set_password(teacher, password)


def set_mail(teacher: User, mail: str, *, store: bool = True) -> None:
    """Set the address that links for a new password go to; empty: none.

    Raises:
        AccountRefused: somebody else has it, or it is no address.
    """
    if mail and User.objects.filter(email__iexact=mail).exclude(pk=teacher.pk).exists():
        raise AccountRefused("Another account has this mail address.")
    try:
        validate_email(mail) if mail else None
    except ValidationError:
        raise AccountRefused(f"“{mail[:80]}” is no mail address.") from None
    teacher.email = mail
    if store:
        teacher.save(update_fields=["email"])


def change_password(name: str, password: str, request: HttpRequest | None = None) -> None:
    """Set a new password and unlock the account; sessions that were begun with the old one end.

    Raises:
        AccountRefused: there is no such teacher, or the password is too weak.
    """
    teacher = _named(name)
    _set_password(teacher, password)
    reset(username=name)
    note(teacher, "The password was changed.", request)


def unlock(name: str) -> None:
    """Let somebody in again whose name was locked after wrong passwords."""
    teacher = _named(name)
    reset(username=teacher.username)
    note(teacher, "Wrong passwords were forgotten: the name is open again.")


def remove(name: str) -> None:
    """Delete an account and everything that belongs to it. It cannot be brought back."""
    _named(name).delete()


def _named(name: str) -> User:
    teacher = User.objects.filter(username=name).first()
    if teacher is None:
        known = ", ".join(User.objects.order_by("username").values_list("username", flat=True)[:20])
        raise AccountRefused(f"There is no teacher “{name}”. There are: {known or 'none yet'}.")
    return teacher


def _set_password(teacher: User, password: str) -> None:
    try:
        validate_password(password, teacher)
    except ValidationError as weak:
        raise AccountRefused(" ".join(weak.messages)) from None
    teacher.set_password(password)
    teacher.save()
