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
from teachers.people import person_of

EXPORT_COUNTS = timedelta(days=1)
"""So old may the file be that everything was kept in."""


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
    person.leaves = now + timedelta(days=settings.DELETED_AFTER_DAYS)
    person.save(update_fields=["leaves"])
    note(teacher, f"The account will be deleted on {person.leaves:%Y-%m-%d}.", request)
    return person


def stay(teacher: User, request: HttpRequest) -> Person:
    """Have the account not deleted."""
    person = person_of(teacher)
    person.leaves = None
    person.save(update_fields=["leaves"])
    note(teacher, "The account stays.", request)
    return person


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
