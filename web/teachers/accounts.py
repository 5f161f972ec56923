"""Accounts of teachers, as whoever keeps the installation makes and changes them."""

from axes.utils import reset
from django.conf import settings
from django.contrib.auth.models import User
from django.contrib.auth.password_validation import validate_password
from django.core.exceptions import ValidationError

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


def add(name: str, password: str) -> None:
    """Make an account.

    Raises:
        AccountRefused: the name is taken or none, or the password too weak.
    """
    if User.objects.filter(username__iexact=name).exists():
        raise AccountRefused(f"There is a teacher “{name}” already. Choose another name.")
    teacher = User(username=name)
    try:
        teacher.clean_fields(exclude=["password"])
    except ValidationError as wrong:
        raise AccountRefused(f"“{name}” cannot be a name. {' '.join(wrong.messages)}") from None
    _set_password(teacher, password)


def change_password(name: str, password: str) -> None:
    """Set a new password and unlock the account; sessions that were begun with the old one end.

    Raises:
        AccountRefused: there is no such teacher, or the password is too weak.
    """
    _set_password(_named(name), password)
    reset(username=name)


def unlock(name: str) -> None:
    """Let somebody in again whose name was locked after wrong passwords."""
    reset(username=_named(name).username)


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
