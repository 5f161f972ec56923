"""Who a teacher is in the school."""

from typing import Any

from django.contrib.auth.models import User

from teachers.models import Person


def person_of(teacher: User) -> Person:
    """Return what is known of the teacher; not stored where nothing was."""
    found = Person.objects.select_related("department").filter(teacher=teacher).first()
    return found or Person(teacher=teacher)


def set_person(teacher: User, **values: Any) -> Person:
    """Store what is known of the teacher from now on."""
    return Person.objects.update_or_create(teacher=teacher, defaults=values)[0]


def colleagues_of(teacher: User) -> list[User]:
    """Return the others of the teacher's department who can sign in, by name; none without a department."""
    department = person_of(teacher).department_id
    if department is None:
        return []
    same = User.objects.filter(person__department=department, is_active=True)
    return list(same.exclude(pk=teacher.pk).order_by("username"))


def is_administrator(teacher: User) -> bool:
    """Return whether the teacher keeps the school's accounts."""
    return Person.objects.filter(teacher=teacher, is_administrator=True).exists()
