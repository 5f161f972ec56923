"""Endpoints of examples. Every one sees only the signed-in teacher's."""

from typing import Any
from uuid import UUID

from api.auth import teacher_of
from api.failures import FailureRecord, Refused
from django.db.models import QuerySet
from django.http import HttpRequest
from ninja import Body, Router, Status

from examples.actions.import_examples import import_examples
from examples.actions.put_aside import bring_back, put_aside
from examples.actions.save_example import StaleVersion, create_example, save_example
from examples.models import Example, Snapshot
from examples.queries import list_of, one_of
from examples.schemas import (
    ExampleFile,
    ExampleIn,
    ExampleOut,
    ExampleRow,
    ExampleSave,
    Imported,
    SnapshotOut,
    Stale,
)

router = Router()
_MISSING = {404: FailureRecord, 401: FailureRecord}


@router.get("", response=list[ExampleRow])
def listed(request: HttpRequest) -> QuerySet[Example]:
    """Return all examples, last changed first."""
    return list_of(teacher_of(request))


@router.post("", response={201: ExampleOut, 401: FailureRecord})
def create(request: HttpRequest, body: ExampleIn) -> Status[Example]:
    """Store a new example."""
    return Status(201, create_example(teacher=teacher_of(request), content=body))


@router.get("/export", response=ExampleFile)
def export_all(request: HttpRequest) -> dict[str, Any]:
    """Return all examples in the exchange format."""
    found = list_of(teacher_of(request)).prefetch_related("lines")
    return {"examples": [ExampleOut.from_orm(example).dict() for example in found]}


@router.post("/import", response={201: Imported, 422: FailureRecord, 401: FailureRecord})
def import_all(request: HttpRequest, body: Body[dict[str, Any]]) -> Status[dict[str, int]]:
    """Store the examples of a document in the exchange format, all or none."""
    stored = import_examples(teacher=teacher_of(request), document=body)
    return Status(201, {"count": len(stored)})


@router.get("/{identity}", response={200: ExampleOut, **_MISSING})
def one(request: HttpRequest, identity: UUID) -> Example:
    """Return one example."""
    return one_of(teacher_of(request), identity)


@router.get("/{identity}/history", response={200: list[SnapshotOut], **_MISSING})
def history(request: HttpRequest, identity: UUID) -> QuerySet[Snapshot]:
    """Return the earlier versions that were kept, newest first."""
    return one_of(teacher_of(request), identity).snapshots.all()


@router.put("/{identity}", response={200: ExampleOut, 409: Stale, **_MISSING})
def save(request: HttpRequest, identity: UUID, body: ExampleSave) -> Any:
    """Store a change; 409 with the stored one when it was changed elsewhere since."""
    content = ExampleIn(**body.dict(exclude={"version"}))
    try:
        return save_example(
            teacher=teacher_of(request), identity=identity, content=content, version=body.version
        )
    except Example.DoesNotExist:
        raise Refused(404, "not-found", "This example is not there (any more).") from None
    except StaleVersion as stale:
        message = "This example was changed in another window."
        return Status(409, {"code": "stale", "message": message, "current": stale.current})


@router.delete("/{identity}", response={204: None, **_MISSING})
def remove(request: HttpRequest, identity: UUID) -> Status[None]:
    """Put an example aside; it can be brought back."""
    put_aside(example=one_of(teacher_of(request), identity))
    return Status(204, None)


@router.post("/{identity}/restore", response={200: ExampleOut, **_MISSING})
def restore(request: HttpRequest, identity: UUID) -> Example:
    """Bring back an example that was put aside."""
    return bring_back(example=one_of(teacher_of(request), identity, deleted=True))
