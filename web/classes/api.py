"""Endpoints of classes. Every one sees only the signed-in teacher's."""

from typing import Annotated, Any
from uuid import UUID

from api.auth import teacher_of
from api.failures import FailureRecord, Refused
from django.db.models import Count, QuerySet
from django.http import HttpRequest
from ninja import Field, Router, Schema, Status

from classes.actions import add_students, make_class
from classes.models import MOST_STUDENTS, SchoolClass, Student

router = Router()
_REFUSALS = {401: FailureRecord, 404: FailureRecord, 422: FailureRecord}
Code = Annotated[str, Field(max_length=200)]
Title = Annotated[str, Field(min_length=1, max_length=100)]


class ClassIn(Schema):
    """A class to be made; ``codes``: one for each student, chosen by the teacher."""

    title: Title
    year: str = Field(default="", max_length=20)
    codes: list[Code] = Field(default=[], max_length=MOST_STUDENTS)


class ClassChange(Schema):
    """What a class is called."""

    title: Title
    year: str = Field(default="", max_length=20)


class CodesIn(Schema):
    """Codes to be added."""

    codes: list[Code] = Field(max_length=MOST_STUDENTS)


class StudentOut(Schema):
    """One student by its code."""

    id: int
    code: str


class ClassRow(Schema):
    """A class in the list."""

    id: UUID
    title: str
    year: str
    size: int


class ClassOut(Schema):
    """A class with its students in order."""

    id: UUID
    title: str
    year: str
    students: list[StudentOut]


@router.get("", response=list[ClassRow])
def listed(request: HttpRequest, *, archived: bool = False) -> QuerySet[SchoolClass]:
    """Return the teacher's classes, the newest year first."""
    found = SchoolClass.objects.filter(teacher=teacher_of(request), deleted__isnull=not archived)
    return found.annotate(size=Count("students")).order_by("-year", "title", "id")


@router.post("", response={201: ClassOut, **_REFUSALS})
def make(request: HttpRequest, body: ClassIn) -> Status[SchoolClass]:
    """Make a class."""
    return Status(201, make_class(teacher=teacher_of(request), **body.dict()))


@router.get("/{identity}", response={200: ClassOut, **_REFUSALS})
def one(request: HttpRequest, identity: UUID) -> SchoolClass:
    """Return one class with its codes."""
    return class_of(request, identity)


@router.put("/{identity}", response={200: ClassOut, **_REFUSALS})
def change(request: HttpRequest, identity: UUID, body: ClassChange) -> SchoolClass:
    """Call a class otherwise."""
    found = class_of(request, identity)
    found.title, found.year = body.title, body.year
    found.save(update_fields=["title", "year"])
    return found


@router.post("/{identity}/students", response={200: ClassOut, **_REFUSALS})
def add(request: HttpRequest, identity: UUID, body: CodesIn) -> SchoolClass:
    """Add codes that are not there yet."""
    found = class_of(request, identity)
    add_students(school_class=found, codes=body.codes)
    return found


@router.delete("/{identity}/students/{student}", response={200: ClassOut, **_REFUSALS})
def remove_student(request: HttpRequest, identity: UUID, student: int) -> SchoolClass:
    """Delete a code with everything under it, for good."""
    found = class_of(request, identity)
    gone, _ = Student.objects.filter(school_class=found, pk=student).delete()
    if not gone:
        raise Refused(404, "not-found", "This code is not there (any more).")
    return found


@router.delete("/{identity}", response={204: None, **_REFUSALS})
def put_aside(request: HttpRequest, identity: UUID, *, for_good: bool = False) -> Status[Any]:
    """Put a class aside; ``for_good``: delete one that was put aside, with everything under it."""
    if for_good:
        class_of(request, identity, archived=True).delete()
    else:
        class_of(request, identity).put_aside()
    return Status(204, None)


@router.post("/{identity}/restore", response={200: ClassOut, **_REFUSALS})
def restore(request: HttpRequest, identity: UUID) -> SchoolClass:
    """Bring back a class that was put aside."""
    found = class_of(request, identity, archived=True)
    found.bring_back()
    return found


def class_of(request: HttpRequest, identity: UUID, *, archived: bool = False) -> SchoolClass:
    """Return the teacher's class.

    Raises:
        Refused: 404, there is none of this id.
    """
    found = SchoolClass.objects.filter(
        teacher=teacher_of(request), pk=identity, deleted__isnull=not archived
    ).first()
    if found is None:
        raise Refused(404, "not-found", "This class is not there (any more).")
    return found
