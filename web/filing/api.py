"""Endpoints of units. Every one sees only the signed-in teacher's."""

from typing import Annotated
from uuid import UUID

from api.auth import teacher_of
from api.failures import FailureRecord
from django.db.models import QuerySet
from django.http import HttpRequest
from ninja import Field, Router, Schema, Status

from filing.actions import change_unit, make_unit
from filing.models import Unit
from filing.queries import unit_of, units_of

router = Router()
_REFUSALS = {401: FailureRecord, 404: FailureRecord, 422: FailureRecord}

Tag = Annotated[str, Field(min_length=1, max_length=40, pattern=r"^\S(.*\S)?$")]


class UnitIn(Schema):
    """A unit as it is named; ``parent``: the unit that it is a part of."""

    title: str = Field(min_length=1, max_length=100)
    parent: UUID | None = None


class UnitSave(UnitIn):
    """A change; ``position`` counts from 0 among its neighbours."""

    position: int = Field(ge=0, le=10_000)


class UnitOut(Schema):
    """A unit as stored."""

    id: UUID
    title: str
    parent: UUID | None
    position: int

    @staticmethod
    def resolve_parent(unit: Unit) -> UUID | None:
        """Return the key of the unit above."""
        return unit.parent_id


class FilingIn(Schema):
    """What is filed, and how; ``unit`` stays away where it shall stay as it is, None takes it out of its unit."""

    ids: list[UUID] = Field(min_length=1, max_length=200)
    unit: UUID | None = None
    add: list[Tag] = Field(default=[], max_length=12)
    drop: list[Tag] = Field(default=[], max_length=12)

    def wish(self) -> UUID | str | None:
        """Return the unit that is wished for; "" where none was named."""
        return self.unit if "unit" in self.model_fields_set else ""


class FiledOut(Schema):
    """How many things were filed."""

    count: int


@router.get("", response={200: list[UnitOut], 401: FailureRecord})
def listed(request: HttpRequest) -> QuerySet[Unit]:
    """Return all units, in their order."""
    return units_of(teacher_of(request))


@router.post("", response={201: UnitOut, **_REFUSALS})
def create(request: HttpRequest, body: UnitIn) -> Status[Unit]:
    """Make a unit."""
    made = make_unit(teacher=teacher_of(request), title=body.title, parent=body.parent)
    return Status(201, made)


@router.put("/{identity}", response={200: UnitOut, **_REFUSALS})
def change(request: HttpRequest, identity: UUID, body: UnitSave) -> Unit:
    """Name a unit or put it elsewhere."""
    return change_unit(teacher=teacher_of(request), identity=identity, **body.dict())


@router.delete("/{identity}", response={204: None, **_REFUSALS})
def remove(request: HttpRequest, identity: UUID) -> Status[None]:
    """Delete a unit with its parts; what is filed there stays, under no unit."""
    unit_of(teacher_of(request), identity).delete()
    return Status(204, None)
