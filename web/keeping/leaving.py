"""Accounts that leave: everything is kept as a file first, then really deleted, after a delay."""

from datetime import timedelta

from api.failures import Refused
from django.conf import settings
from django.contrib.auth.models import User
from django.db import transaction
from django.http import HttpRequest
from django.utils import timezone
from teachers.administration import hold_one_administrator
from teachers.audit import note
from teachers.models import Person
from teachers.people import person_of, set_person

EXPORT_COUNTS = timedelta(days=1)
"""So old may the file be that everything was kept in."""


@transaction.atomic
def leave(teacher: User, request: HttpRequest) -> Person:
    """Have the account deleted after the delay; until then its owner signs in and may stay.

    Raises:
        Refused: 422 everything was not kept as a file within a day, or nobody would keep the accounts.
    """
    person = person_of(teacher)
    now = timezone.now()
    if person.exported is None or now - person.exported > EXPORT_COUNTS:
        says = "Keep everything as a file first: what is deleted cannot be brought back without it."
        raise Refused(422, "keep-first", says)
    hold_one_administrator(without=teacher)
    leaves = now + timedelta(days=settings.DELETED_AFTER_DAYS)
    note(teacher, f"The account will be deleted on {leaves:%Y-%m-%d}.", request)
    return set_person(teacher, leaves=leaves)


def stay(teacher: User, request: HttpRequest) -> Person:
    """Have the account not deleted."""
    note(teacher, "The account stays.", request)
    return set_person(teacher, leaves=None)


def delete_due() -> int:
    """Delete the accounts whose time has come, with everything in them; return how many."""
    deleted = 0
    for person in Person.objects.filter(leaves__lte=timezone.now()):
        with transaction.atomic():
            due = Person.objects.select_for_update().filter(
                pk=person.pk, leaves__lte=timezone.now()
            )
            if due.exists():  # they may have decided to stay just now
                person.teacher.delete()
                deleted += 1
    return deleted
