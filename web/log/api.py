"""Endpoints of the log and of today. Every one sees only the signed-in teacher's."""

from datetime import date
from typing import Any, Literal
from uuid import UUID

from api.auth import teacher_of
from api.failures import FailureRecord, Refused
from asking.catalogue import entry_of
from asking.shown import shown_line
from classes.api import class_of
from classes.models import Student
from django.http import HttpRequest, HttpResponse
from examples.queries import one_of as example_of
from lessons.queries import lesson_of, taught_again
from ninja import Router
from papers.chances import learn_chances
from papers.models import Work
from papers.naming import left_by

from log.actions.reteach import into_lesson, into_set
from log.queries.before import classes_at
from log.queries.errors import log_of
from log.queries.ground import begin_marking
from log.queries.next import teach_next
from log.queries.papers import papers_behind
from log.queries.student import student_log
from log.queries.today import today_of
from log.queries.unnamed import own_slips, unnamed_lines
from log.schemas import (
    ClassAt,
    IntoIn,
    IntoOut,
    LogOut,
    NextOut,
    OwnSlips,
    PaperBehind,
    StudentLog,
    Taught,
    TodayOut,
    UnnamedLine,
)
from log.table import log_file

router = Router()
today_router = Router()
_REFUSALS = {401: FailureRecord, 404: FailureRecord, 422: FailureRecord}


@today_router.get("", response=TodayOut)
def today(request: HttpRequest, on: date) -> dict[str, Any]:
    """Return what a teacher has before them on a day: the browser's own."""
    return today_of(teacher_of(request), on)


@router.get("/example/{identity}", response={200: list[ClassAt], **_REFUSALS})
def before(request: HttpRequest, identity: UUID) -> list[dict[str, Any]]:
    """Return what classes did at the forks of an example."""
    teacher = teacher_of(request)
    return classes_at(teacher, example_of(teacher, identity))


@router.get("/own-slips", response=OwnSlips)
def slips(request: HttpRequest) -> dict[str, Any]:
    """Return the teacher's own slips: what was crossed out, and corrected keys."""
    return own_slips(teacher_of(request))


@router.get("/{identity}", response={200: LogOut, **_REFUSALS})
def log(request: HttpRequest, identity: UUID) -> dict[str, Any]:
    """Return the log of a class; what could have gone wrong where is learnt meanwhile."""
    found = class_of(request, identity)
    waiting = begin_marking(found)
    learning = learn_chances(found)
    here = {"id": found.pk, "title": found.title, "waiting": waiting, "learning": learning}
    return here | log_of(found)


@router.get("/{identity}/next", response={200: list[NextOut], **_REFUSALS})
def next_(request: HttpRequest, identity: UUID, on: date) -> list[dict[str, Any]]:
    """Return what to teach again next."""
    return teach_next(class_of(request, identity), on)


@router.get("/{identity}/unnamed", response={200: list[UnnamedLine], **_REFUSALS})
def unnamed(request: HttpRequest, identity: UUID) -> list[dict[str, Any]]:
    """Return the lines by which papers of a class left without a known error."""
    return unnamed_lines(class_of(request, identity))


@router.get("/{identity}/taught", response={200: list[Taught], **_REFUSALS})
def taught(request: HttpRequest, identity: UUID) -> list[dict[str, Any]]:
    """Return what was taught again, and when its reviews are due."""
    return taught_again(class_of(request, identity))


@router.post("/{identity}/again", response={200: IntoOut, **_REFUSALS})
def again(request: HttpRequest, identity: UUID, body: IntoIn) -> dict[str, Any]:
    """Put an error into a lesson or a set, to be taught again."""
    found = class_of(request, identity)
    name = _name_of(identity, body.error)
    if body.into == "set":
        return {"lesson": None, "set": into_set(found, body.error, name).pk}
    lesson = lesson_of(teacher_of(request), body.lesson) if body.lesson else None
    if lesson is not None and lesson.school_class_id != found.pk:
        raise Refused(404, "not-found", "This lesson is not there (any more).")
    return {"lesson": into_lesson(found, body.error, name, lesson, body.date).pk, "set": None}


@router.get("/{identity}/errors/{error}", response={200: list[PaperBehind], **_REFUSALS})
def behind(
    request: HttpRequest, identity: UUID, error: str, sitting: UUID | None = None
) -> list[dict[str, Any]]:
    """Return the papers behind a figure: each item in which the error was made."""
    found = papers_behind(class_of(request, identity), error, sitting)
    return [_behind(work) for work in found]


@router.get("/{identity}/students/{student}", response={200: StudentLog, **_REFUSALS})
def code(request: HttpRequest, identity: UUID, student: int) -> dict[str, Any]:
    """Return the log of one code."""
    found = class_of(request, identity)
    one = Student.objects.filter(school_class=found, pk=student).first()
    if one is None:
        raise Refused(404, "not-found", "This code is not there (any more).")
    log = student_log(one)
    return {"student": one.pk, "code": one.code, "class_id": found.pk, "rows": log["rows"]}


@router.get("/{identity}/log.{ending}")
def file(
    request: HttpRequest, identity: UUID, ending: Literal["csv", "xlsx", "json"]
) -> HttpResponse:
    """Return the log as a file."""
    return log_file(class_of(request, identity), ending)


def _name_of(school_class: UUID, error: str) -> str:
    entry = entry_of(error)
    if entry is not None:
        return str(entry.name)
    work = papers_behind(school_class, error).first()
    return str(work.error_name) if work else ""


def _behind(work: Work) -> dict[str, Any]:
    return {
        "name": work.error_name,
        "student": work.student_id,
        "code": work.student.code,
        "sitting": work.item.sitting_id,
        "title": work.item.sitting.title,
        "date": work.item.sitting.date,
        "number": work.item.number,
        "line": shown_line(left_by(work)),
    }
