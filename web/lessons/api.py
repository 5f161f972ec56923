"""Endpoints of lessons. Every one sees only the signed-in teacher's."""

from typing import Any, Literal
from uuid import UUID

from api.auth import teacher_of
from api.failures import FailureRecord, Refused
from classes.api import class_of
from django.db.models import QuerySet
from django.http import HttpRequest, HttpResponse
from giving.files import file_reply
from ninja import Router, Schema, Status
from sets.queries import one_of

from lessons.actions import holding
from lessons.actions.more import due_for, more_like, warm_up
from lessons.actions.planning import StalePlanVersion, carry_over, plan_lesson, save_plan
from lessons.first_moves import first_moves_of
from lessons.models import Lesson, ReviewPlan
from lessons.paper import desk_pdf, first_moves_pdf
from lessons.queries import lesson_of, listed, plan_of, review_plan
from lessons.schemas import (
    CarryIn,
    HeldIn,
    LessonIn,
    LessonRow,
    MoreIn,
    PlanIn,
    PlanOut,
    ReviewDays,
    StalePlan,
    plan_record,
)

router = Router()
_REFUSALS = {401: FailureRecord, 404: FailureRecord, 422: FailureRecord}
Paper = Literal["a4", "us-letter"]


class MoreMade(Schema):
    """The lesson after items were put in, how many, and why others could not be made."""

    lesson: PlanOut
    added: int
    refused: list[str]


class FirstMove(Schema):
    """What is done first to an item of a lesson, as the core works it; empty where it cannot."""

    item: int
    says: str


@router.get("", response=list[LessonRow])
def lessons(request: HttpRequest, *, archived: bool = False) -> QuerySet[Lesson]:
    """Return the teacher's lessons, the latest first."""
    return listed(teacher_of(request), archived=archived)[:400]


@router.post("", response={201: PlanOut, **_REFUSALS})
def make(request: HttpRequest, body: LessonIn) -> Status[dict[str, Any]]:
    """Plan a lesson from a set, or from nothing."""
    lesson = plan_lesson(
        school_class=class_of(request, body.school_class),
        on=body.date,
        problem_set=one_of(teacher_of(request), body.set) if body.set else None,
        title=body.title,
        minutes=body.minutes,
    )
    return Status(201, _plan(lesson))


@router.get("/reviews/{school_class}", response={200: ReviewDays, **_REFUSALS})
def reviews(request: HttpRequest, school_class: UUID) -> dict[str, Any]:
    """Return after how many days reviews come back to a class, and its free days."""
    days, free = review_plan(class_of(request, school_class))
    return {"days": days, "free": free}


@router.put("/reviews/{school_class}", response={200: ReviewDays, **_REFUSALS})
def change_reviews(request: HttpRequest, school_class: UUID, body: ReviewDays) -> dict[str, Any]:
    """Change the days of a class's reviews, and its free days."""
    if sorted(set(body.days)) != body.days:
        raise Refused(
            422, "bad-days", "Each review comes later than the one before. Sort the days."
        )
    if any(first > last for first, last in body.free):
        raise Refused(422, "bad-days", "A holiday ends before it begins. Exchange its two dates.")
    free = [[first.isoformat(), last.isoformat()] for first, last in body.free]
    ReviewPlan.objects.update_or_create(
        school_class=class_of(request, school_class), defaults={"days": body.days, "free": free}
    )
    return body.dict()


@router.get("/{identity}", response={200: PlanOut, **_REFUSALS})
def one(request: HttpRequest, identity: UUID) -> dict[str, Any]:
    """Return a lesson with its plan and what was held of it."""
    return _plan(_lesson(request, identity))


@router.put("/{identity}", response={200: PlanOut, 409: StalePlan, **_REFUSALS})
def change(request: HttpRequest, identity: UUID, body: PlanIn) -> Any:
    """Store a change of the plan."""
    lesson = _lesson(request, identity)
    try:
        save_plan(lesson, body)
    except StalePlanVersion:
        message = "This lesson was changed in another window."
        stale = {"code": "stale", "message": message, "current": _plan(_lesson(request, identity))}
        return Status(409, stale)
    return _plan(_lesson(request, identity))


@router.delete("/{identity}", response={204: None, **_REFUSALS})
def put_aside(request: HttpRequest, identity: UUID, *, for_good: bool = False) -> Status[None]:
    """Put a lesson aside; ``for_good``: delete one that was put aside."""
    if for_good:
        lesson_of(teacher_of(request), identity, archived=True).delete()
    else:
        _lesson(request, identity).put_aside()
    return Status(204, None)


@router.post("/{identity}/restore", response={200: PlanOut, **_REFUSALS})
def restore(request: HttpRequest, identity: UUID) -> dict[str, Any]:
    """Bring a lesson back."""
    lesson = lesson_of(teacher_of(request), identity, archived=True)
    lesson.bring_back()
    return _plan(lesson)


@router.post("/{identity}/items/{item}/more", response={200: MoreMade, **_REFUSALS})
def more(request: HttpRequest, identity: UUID, item: int, body: MoreIn) -> dict[str, Any]:
    """Put twins of an item behind it."""
    lesson = _lesson(request, identity)
    added, refused = more_like(lesson, item, body.count)
    return _made(request, identity, added, refused)


@router.post("/{identity}/warm-up", response={200: MoreMade, **_REFUSALS})
def warm(request: HttpRequest, identity: UUID) -> dict[str, Any]:
    """Put what is due for review at the beginning, as twins."""
    return _made(request, identity, warm_up(_lesson(request, identity)), [])


@router.get("/{identity}/due", response={200: list[str], **_REFUSALS})
def due(request: HttpRequest, identity: UUID) -> list[str]:
    """Return what is due for review on the lesson's day and not in it yet."""
    lesson = _lesson(request, identity)
    there = set(lesson.items.filter(purpose="review").values_list("error", flat=True))
    return [one["name"] for one in due_for(lesson) if one["error"] not in there]


@router.get("/{identity}/first-moves", response={200: list[FirstMove], **_REFUSALS})
def first_moves(request: HttpRequest, identity: UUID) -> list[dict[str, Any]]:
    """Return what is done first to each item."""
    found = first_moves_of(_lesson(request, identity))
    return [{"item": item.pk, "says": move["says"] if move else ""} for item, move in found]


@router.post("/{identity}/begin", response={200: PlanOut, **_REFUSALS})
def begin(request: HttpRequest, identity: UUID) -> dict[str, Any]:
    """Begin the lesson, or go on with it."""
    holding.begin(_lesson(request, identity))
    return _plan(_lesson(request, identity))


@router.put("/{identity}/items/{item}/held", response={204: None, **_REFUSALS})
def held(request: HttpRequest, identity: UUID, item: int, body: HeldIn) -> Status[None]:
    """Store what was held of an item until now."""
    holding.note_held(_lesson(request, identity), item, body)
    return Status(204, None)


@router.post("/{identity}/end", response={200: PlanOut, **_REFUSALS})
def end(request: HttpRequest, identity: UUID) -> dict[str, Any]:
    """End the lesson where it is."""
    holding.end(_lesson(request, identity))
    return _plan(_lesson(request, identity))


@router.post("/{identity}/carry", response={201: PlanOut, **_REFUSALS})
def carry(request: HttpRequest, identity: UUID, body: CarryIn) -> Status[dict[str, Any]]:
    """Plan what was not reached for another day."""
    return Status(201, _plan(carry_over(_lesson(request, identity), body.date)))


@router.get("/{identity}/desk.pdf")
def desk(request: HttpRequest, identity: UUID, paper: Paper = "a4") -> HttpResponse:
    """Return the plan as one page for the desk."""
    lesson = _lesson(request, identity)
    return file_reply(desk_pdf(lesson, paper), "application/pdf", f"{lesson.title} plan", "pdf")


@router.get("/{identity}/first-moves.pdf")
def moves(request: HttpRequest, identity: UUID, paper: Paper = "a4") -> HttpResponse:
    """Return “first moves” as an exercise: each problem with room for its first line, and a key."""
    lesson = _lesson(request, identity)
    content = first_moves_pdf(lesson, paper)
    return file_reply(content, "application/pdf", f"{lesson.title} first moves", "pdf")


def _lesson(request: HttpRequest, identity: UUID) -> Lesson:
    return lesson_of(teacher_of(request), identity)


def _plan(lesson: Lesson) -> dict[str, Any]:
    return plan_record(plan_of(lesson))


def _made(request: HttpRequest, identity: UUID, added: int, refused: list[str]) -> dict[str, Any]:
    return {"lesson": _plan(_lesson(request, identity)), "added": added, "refused": refused}
