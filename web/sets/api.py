"""Endpoints of sets. Every one sees only the signed-in teacher's."""

from typing import Any
from uuid import UUID

from api.auth import teacher_of
from api.failures import FailureRecord
from django.db.models import QuerySet
from django.http import HttpRequest
from ninja import Router, Status

from sets.actions.save_set import (
    StaleSetVersion,
    bring_set_back,
    create_set,
    put_set_aside,
    save_set,
)
from sets.models import ProblemSet
from sets.queries import list_of, one_of
from sets.schemas import SetIn, SetOut, SetRow, SetSave, StaleSet

router = Router()
_REFUSALS = {401: FailureRecord, 404: FailureRecord, 422: FailureRecord}


@router.get("", response=list[SetRow])
def listed(request: HttpRequest) -> QuerySet[ProblemSet]:
    """Return all sets, last changed first."""
    return list_of(teacher_of(request))


@router.post("", response={201: SetOut, **_REFUSALS})
def create(request: HttpRequest, body: SetIn) -> Status[ProblemSet]:
    """Store a new set."""
    teacher = teacher_of(request)
    return Status(201, one_of(teacher, create_set(teacher=teacher, content=body).pk))


@router.get("/{identity}", response={200: SetOut, **_REFUSALS})
def one(request: HttpRequest, identity: UUID) -> ProblemSet:
    """Return one set with its examples."""
    return one_of(teacher_of(request), identity)


@router.put("/{identity}", response={200: SetOut, 409: StaleSet, **_REFUSALS})
def save(request: HttpRequest, identity: UUID, body: SetSave) -> Any:
    """Store a change; 409 with the stored one when it was changed elsewhere since."""
    teacher = teacher_of(request)
    content = SetIn(**body.dict(exclude={"version"}))
    try:
        return save_set(teacher=teacher, identity=identity, content=content, version=body.version)
    except StaleSetVersion:
        message = "This set was changed in another window."
        current = one_of(teacher, identity)
        return Status(409, {"code": "stale", "message": message, "current": current})


@router.delete("/{identity}", response={204: None, **_REFUSALS})
def remove(request: HttpRequest, identity: UUID) -> Status[None]:
    """Put a set aside; its examples stay, and it can be brought back."""
    put_set_aside(stored=one_of(teacher_of(request), identity))
    return Status(204, None)


@router.post("/{identity}/restore", response={200: SetOut, **_REFUSALS})
def restore(request: HttpRequest, identity: UUID) -> ProblemSet:
    """Bring back a set that was put aside."""
    return bring_set_back(stored=one_of(teacher_of(request), identity, deleted=True))
