"""What all endpoints of sittings share."""

from typing import Any
from uuid import UUID

from api.auth import teacher_of
from api.failures import FailureRecord, Refused
from classes.models import Student
from django.http import HttpRequest

from papers.models import Sitting, Work
from papers.queries import cells_of, sitting_of
from papers.versions import Versions

REFUSALS = {401: FailureRecord, 404: FailureRecord, 413: FailureRecord, 422: FailureRecord}


def sitting_for(request: HttpRequest, identity: UUID) -> Sitting:
    """Return the signed-in teacher's sitting.

    Raises:
        Refused: 404, there is none of this id.
    """
    return sitting_of(teacher_of(request), identity)


def student_of(sitting: Sitting, identity: int) -> Student:
    """Return a student of the sitting's class.

    Raises:
        Refused: 404, there is none of this id.
    """
    found = sitting.school_class.students.filter(pk=identity).first()
    if found is None:
        raise Refused(404, "not-found", "This code is not there (any more).")
    return found


def work_of(sitting: Sitting, student: Student, item: int) -> Work:
    """Return what a student gave for an item.

    Raises:
        Refused: 404, there is nothing.
    """
    found = Work.objects.filter(student=student, item__sitting=sitting, item=item).first()
    if found is None:
        raise Refused(404, "not-found", "There is no work for this item (any more).")
    return found


def grid_of(sitting: Sitting) -> dict[str, Any]:
    """Return a sitting with what stands in its grid."""
    versions = Versions(sitting)
    students = list(sitting.school_class.students.all())
    return {
        "id": sitting.pk,
        "title": sitting.title,
        "date": sitting.date,
        "school": sitting.school,
        "accuracy_follows": sitting.accuracy_follows,
        "released": sitting.released,
        "school_class": sitting.school_class.title,
        "versions": versions.names,
        "items": list(sitting.items.all()),
        "students": students,
        "had": {student.pk: versions.of(student) for student in students},
        "cells": cells_of(sitting),
        "job": sitting.job,
    }
