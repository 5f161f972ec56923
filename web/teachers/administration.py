"""What administrators do with accounts: lock and release them, say whose they are. What is worked in them they never see."""

from typing import Any

from api.failures import Refused
from axes.utils import reset
from django.contrib.auth.models import User
from django.db import transaction
from django.db.models import QuerySet
from django.http import HttpRequest

from teachers.audit import note
from teachers.models import Department, Person
from teachers.people import person_of, set_person
from teachers.second_factor import drop, has_one
from teachers.sessions import end, sessions_of


def accounts() -> QuerySet[User]:
    """Return all accounts, by name."""
    return User.objects.select_related("person__department").order_by("username")


def account_of(identity: int) -> User:
    """Return one account.

    Raises:
        Refused: 404 there is none.
    """
    found = accounts().filter(pk=identity).first()
    if found is None:
        raise Refused(404, "not-found", "This account is not there (any more).")
    return found


@transaction.atomic
def lock(teacher: User, request: HttpRequest) -> None:
    """Let nobody in with this account, and end its sessions.

    Raises:
        Refused: 422 it is the last administrator's, or one's own.
    """
    if teacher.pk == request.user.pk:
        raise Refused(422, "own", "This is your own account. Ask another administrator.")
    hold_one_administrator(without=teacher)
    teacher.is_active = False
    teacher.save(update_fields=["is_active"])
    end(sessions_of(teacher))
    note(teacher, "The account was locked.", request)


def release(teacher: User, request: HttpRequest) -> None:
    """Let the teacher in again, also after wrong passwords."""
    teacher.is_active = True
    teacher.save(update_fields=["is_active"])
    reset(username=teacher.get_username())
    note(teacher, "The account was released.", request)


def forget_second_factor(teacher: User, request: HttpRequest) -> None:
    """Ask the teacher, who lost the authenticator and the codes, for no second factor any more."""
    drop(teacher)
    note(teacher, "The second factor was taken away.", request)


@transaction.atomic
def place(
    teacher: User, department: Department | None, administrator: bool, request: HttpRequest
) -> Person:
    """Say which department the teacher is of, and whether they keep accounts.

    Raises:
        Refused: 422 nobody would keep the accounts any more.
    """
    person = person_of(teacher)
    if person.is_administrator and not administrator:
        hold_one_administrator(without=teacher)
    if person.is_administrator != administrator:
        says = "keeps the school's accounts from now on" if administrator else "keeps none any more"
        note(teacher, f"The account {says}.", request)
    if person.department_id != (department.pk if department else None):
        where = f"to “{department.title}”" if department else "out of its department"
        note(teacher, f"The account was put {where}.", request)
    return set_person(teacher, department=department, is_administrator=administrator)


def department_of(identity: int | None) -> Department | None:
    """Return a department, None for none.

    Raises:
        Refused: 404 there is no such department.
    """
    if identity is None:
        return None
    found = Department.objects.filter(pk=identity).first()
    if found is None:
        raise Refused(404, "not-found", "This department is not there (any more).")
    return found


def hold_one_administrator(without: User) -> None:
    """Hold that somebody keeps the school's accounts also without this teacher.

    Raises:
        Refused: 422 nobody would.
    """
    keepers = Person.objects.select_for_update(of=("self",)).filter(is_administrator=True)
    found = list(
        keepers.select_related("teacher")
    )  # two who take it from each other come one by one
    is_one = any(one.teacher_id == without.pk for one in found)
    others = [one for one in found if one.teacher_id != without.pk]
    if is_one and not any(one.teacher.is_active and one.leaves is None for one in others):
        raise Refused(
            422,
            "last",
            "Nobody would keep the school's accounts. Make another administrator first.",
        )


def as_record(teacher: User) -> dict[str, Any]:
    """Return an account as administrators see it: who, not what."""
    person: Person | None = getattr(teacher, "person", None)
    return {
        "id": teacher.pk,
        "username": teacher.get_username(),
        "mail": teacher.email,
        "department": person.department_id if person else None,
        "administrator": bool(person and person.is_administrator),
        "locked": not teacher.is_active,
        "leaves": person.leaves if person else None,
        "last_here": teacher.last_login,
        "second_factor": has_one(teacher),
    }
