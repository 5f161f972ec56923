"""What is done with classes and codes."""

from api.failures import Refused
from django.contrib.auth.models import User
from django.db import transaction

from classes.models import MOST_CODE, MOST_STUDENTS, SchoolClass, Student


@transaction.atomic
def make_class(*, teacher: User, title: str, year: str, codes: list[str]) -> SchoolClass:
    """Make a class with its codes.

    Raises:
        Refused: 422, a code is too long or there are too many.
    """
    made = SchoolClass.objects.create(teacher=teacher, title=title.strip(), year=year.strip())
    add_students(school_class=made, codes=codes)
    return made


@transaction.atomic
def add_students(*, school_class: SchoolClass, codes: list[str]) -> list[Student]:
    """Add the codes that are not there yet, in order; empty and repeated ones are left out.

    Raises:
        Refused: 422, a code is too long or there are too many.
    """
    SchoolClass.objects.select_for_update().get(pk=school_class.pk)
    known = list(school_class.students.values_list("code", flat=True))
    fresh = [code for code in dict.fromkeys(code.strip() for code in codes) if code]
    fresh = [code for code in fresh if code not in known]
    long = next((code for code in fresh if len(code) > MOST_CODE), None)
    if long is not None:
        says = f"“{long[:MOST_CODE]}…” is longer than {MOST_CODE} characters. Take a shorter code."
        raise Refused(422, "bad-code", says)
    if len(known) + len(fresh) > MOST_STUDENTS:
        raise Refused(422, "too-many", f"A class has at most {MOST_STUDENTS} codes.")
    return Student.objects.bulk_create(
        Student(school_class=school_class, code=code, position=len(known) + number)
        for number, code in enumerate(fresh)
    )
