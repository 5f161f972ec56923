"""Endpoints of a teacher's own errors: examined by the core before they are stored."""

from typing import Any

from algebra import pool
from api.auth import teacher_of
from api.failures import FailureRecord, Refused
from django.db.models import QuerySet
from django.http import HttpRequest
from ninja import Field, Router, Schema, Status
from uchuu_core import limits
from uchuu_core.answers.made import Examined

from errors.models import OwnError
from errors.queries import own_error_of, own_errors_of

router = Router()
_REFUSALS = {401: FailureRecord, 404: FailureRecord, 413: FailureRecord, 422: FailureRecord}


class OwnErrorIn(Schema):
    """An own error as typed: two patterns, conditions as sentences, what to say."""

    name: str = Field(max_length=200)
    before: str = Field(max_length=500)
    after: str = Field(max_length=500)
    when: list[str] = Field(default=[], max_length=8)
    says: str = Field(default="", max_length=1000)


class OwnErrorOut(OwnErrorIn):
    """An own error as stored; ``counter``: numbers that refute it."""

    id: int
    counter: str


class ExamineIn(OwnErrorIn):
    """An own error with lines to try it on."""

    examples: list[str] = Field(default=[], max_length=6)


def _examined(body: OwnErrorIn, examples: list[str]) -> dict[str, Any]:
    own = {"id": "own-0", **body.dict(include={"name", "before", "after", "when", "says"})}
    return pool.run("examine", {"own": own, "examples": examples})


def proved(body: OwnErrorIn) -> dict[str, Any]:
    """Return what is stored of *body*.

    Raises:
        Refused: 422 when it has no name, holds always, or cannot be decided.
    """
    if not body.name.strip():
        raise Refused(422, "no-name", "Give the error a name: it is what you and students read.")
    found = _examined(body, [])
    if found["is"] != "error":
        raise Refused(422, f"is-{found['is']}", f"Not stored. {found['says']}")
    fields = body.dict(include={"name", "before", "after", "when", "says"})
    return {**fields, "counter": found["counter"] or ""}


@router.get("", response=list[OwnErrorOut])
def listed(request: HttpRequest) -> QuerySet[OwnError]:
    """Return the teacher's own errors."""
    return own_errors_of(teacher_of(request))


@router.post("", response={201: OwnErrorOut, **_REFUSALS})
def add(request: HttpRequest, body: OwnErrorIn) -> Status[OwnError]:
    """Store a new own error; refused with the proof when it is a law."""
    teacher = teacher_of(request)
    if own_errors_of(teacher).count() >= limits.OWN_ERRORS:
        message = f"There are {limits.OWN_ERRORS} own errors already. Delete one first."
        raise Refused(422, "too-many", message)
    return Status(201, OwnError.objects.create(teacher=teacher, **proved(body)))


@router.post("/examine", response={200: Examined, **_REFUSALS})
def examine(request: HttpRequest, body: ExamineIn) -> dict[str, Any]:
    """Say whether two patterns make an error, and what it makes of some lines."""
    return _examined(body, body.examples)


@router.put("/{identity}", response={200: OwnErrorOut, **_REFUSALS})
def change(request: HttpRequest, identity: int, body: OwnErrorIn) -> OwnError:
    """Store a change of an own error."""
    error = own_error_of(teacher_of(request), identity)
    for name, value in proved(body).items():
        setattr(error, name, value)
    error.save()
    return error


@router.delete("/{identity}", response={204: None, **_REFUSALS})
def remove(request: HttpRequest, identity: int) -> Status[None]:
    """Delete an own error."""
    own_error_of(teacher_of(request), identity).delete()
    return Status(204, None)
