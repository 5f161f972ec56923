"""Endpoints of sittings: given, looked over, changed, released, put aside."""

from typing import Any
from uuid import UUID

from api.auth import teacher_of
from api.failures import Refused
from classes.api import class_of
from django.db.models import QuerySet
from django.http import HttpRequest
from django.utils import timezone
from ninja import Router, Status
from sets.queries import one_of

from papers.actions.give_set import give_set
from papers.actions.marking import mark
from papers.endpoints.common import REFUSALS, grid_of, sitting_for
from papers.models import Sitting
from papers.naming import name_line
from papers.placing import item_of, item_placed
from papers.queries import sittings_of
from papers.schemas import (
    GridOut,
    ItemPlaced,
    NameIn,
    ReleaseIn,
    SchemeIn,
    SchemeOut,
    SittingChange,
    SittingIn,
    SittingRow,
)
from papers.scheme import change_scheme, scheme_of

router = Router()


@router.get("", response=list[SittingRow])
def listed(request: HttpRequest, *, archived: bool = False) -> QuerySet[Sitting]:
    """Return the teacher's sittings, the latest first."""
    return sittings_of(teacher_of(request), archived=archived)[:400]


@router.post("", response={201: GridOut, **REFUSALS})
def give(request: HttpRequest, body: SittingIn) -> Status[dict[str, Any]]:
    """Give a set to a class on a date."""
    how = body.dict(exclude={"school_class", "set", "date"})
    sitting = give_set(
        school_class=class_of(request, body.school_class),
        problem_set=one_of(teacher_of(request), body.set),
        on=body.date,
        **how,
    )
    return Status(201, grid_of(sitting))


@router.get("/{identity}", response={200: GridOut, **REFUSALS})
def grid(request: HttpRequest, identity: UUID) -> dict[str, Any]:
    """Return a sitting with its grid; what stands on other ground is marked anew meanwhile."""
    sitting = sitting_for(request, identity)
    mark(sitting)
    return grid_of(sitting)


@router.put("/{identity}", response={200: GridOut, **REFUSALS})
def change(request: HttpRequest, identity: UUID, body: SittingChange) -> dict[str, Any]:
    """Change how a sitting is called and marked."""
    sitting = sitting_for(request, identity)
    for name, value in body.dict().items():
        setattr(sitting, name, value)
    sitting.save(update_fields=list(body.dict()))
    mark(sitting)
    return grid_of(sitting)


@router.put("/{identity}/release", response={200: GridOut, **REFUSALS})
def release(request: HttpRequest, identity: UUID, body: ReleaseIn) -> dict[str, Any]:
    """Make the marks final, or proposals again; nothing is sent to anybody."""
    sitting = sitting_for(request, identity)
    sitting.released = timezone.now() if body.released else None
    sitting.save(update_fields=["released"])
    mark(sitting)
    return grid_of(sitting)


@router.delete("/{identity}", response={204: None, **REFUSALS})
def put_aside(request: HttpRequest, identity: UUID) -> Status[None]:
    """Put a sitting aside with its papers."""
    sitting_for(request, identity).put_aside()
    return Status(204, None)


@router.post("/{identity}/restore", response={200: GridOut, **REFUSALS})
def restore(request: HttpRequest, identity: UUID) -> dict[str, Any]:
    """Bring a sitting back."""
    sitting = sittings_of(teacher_of(request), archived=True).filter(pk=identity).first()
    if sitting is None:
        raise Refused(404, "not-found", "This sitting is not there (any more).")
    sitting.bring_back()
    return grid_of(sitting)


@router.post("/{identity}/mark", response={200: GridOut, **REFUSALS})
def mark_again(request: HttpRequest, identity: UUID) -> dict[str, Any]:
    """Mark also what could not be marked in time."""
    sitting = sitting_for(request, identity)
    mark(sitting, again=True)
    return grid_of(sitting)


@router.get("/{identity}/items/{number}", response={200: ItemPlaced, **REFUSALS})
def item(request: HttpRequest, identity: UUID, number: int, version: str = "") -> dict[str, Any]:
    """Return one item with the class on its spine: the last lines of all papers, placed."""
    return item_placed(sitting_for(request, identity), number, version)


@router.put("/{identity}/items/{number}/name", response={200: ItemPlaced, **REFUSALS})
def name(request: HttpRequest, identity: UUID, number: int, body: NameIn) -> dict[str, Any]:
    """Name the error behind a line, for all papers that wrote it."""
    sitting = sitting_for(request, identity)
    name_line(item_of(sitting, number, body.version), body.line, body.name)
    return item_placed(sitting, number, body.version)


@router.get("/{identity}/items/{number}/scheme", response={200: SchemeOut, **REFUSALS})
def scheme(request: HttpRequest, identity: UUID, number: int, version: str = "") -> dict[str, Any]:
    """Return what an item's marks are for, and the set's own way to work it."""
    return scheme_of(sitting_for(request, identity), number, version)


@router.put("/{identity}/items/{number}/scheme", response={200: SchemeOut, **REFUSALS})
def own_scheme(request: HttpRequest, identity: UUID, number: int, body: SchemeIn) -> dict[str, Any]:
    """Change what an item's marks are for; no marks: as it is made from the worked lines."""
    sitting = sitting_for(request, identity)
    change_scheme(sitting, number, [mark.dict() for mark in body.marks], body.worth)
    mark(sitting)
    return scheme_of(sitting, number)
