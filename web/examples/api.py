"""Endpoints of examples. Every one sees only the signed-in teacher's."""

from typing import Any
from uuid import UUID

from algebra.turns import Gone
from api.auth import teacher_of
from api.failures import FailureRecord, Refused
from api.leaving import caller_has_left
from api.pages import page_of
from django.db.models import QuerySet
from django.http import HttpRequest, HttpResponse
from filing.actions import file_under
from filing.api import FiledOut, FilingIn
from filing.queries import tags_of
from ninja import Body, Query, Router, Status

from examples.actions.import_examples import import_examples
from examples.actions.save_example import StaleVersion, create_example, save_example
from examples.actions.write_facts import write_words
from examples.models import Example, Snapshot
from examples.opening import opened
from examples.queries import ORDERS, Wanted, all_of, found_of, looked_at, one_of, why_found
from examples.schemas import (
    ExampleFile,
    ExampleIn,
    ExampleOut,
    ExamplePage,
    ExampleSave,
    Imported,
    Opened,
    SnapshotOut,
    Stale,
    WantedIn,
)

router = Router()
_MISSING = {404: FailureRecord, 401: FailureRecord}
_REFUSALS = {**_MISSING, 422: FailureRecord}


@router.get("", response={200: ExamplePage, **_REFUSALS})
def listed(request: HttpRequest, query: Query[WantedIn]) -> dict[str, Any]:
    """Return a page of the examples that are wanted."""
    wanted = Wanted(**query.dict(exclude={"order", "cursor"}))
    found = found_of(teacher_of(request), wanted, query.order)
    page = page_of(request, found, ORDERS[query.order], query.cursor)
    for example in page["results"]:
        example.why = why_found(example, wanted)
    return page


@router.get("/tags", response={200: list[str], 401: FailureRecord})
def tags(request: HttpRequest) -> list[str]:
    """Return the tags that examples have, in the order of the alphabet."""
    return tags_of(Example.objects.filter(teacher=teacher_of(request), deleted=None))


@router.post("/file", response={200: FiledOut, **_REFUSALS})
def file(request: HttpRequest, body: FilingIn) -> dict[str, int]:
    """File examples under a unit, and change their tags."""
    teacher = teacher_of(request)
    found = Example.objects.filter(teacher=teacher, pk__in=body.ids)
    count = file_under(found, teacher=teacher, unit=body.wish(), add=body.add, drop=body.drop)
    write_words(list(found))
    return {"count": count}


@router.post("", response={201: ExampleOut, 401: FailureRecord})
def create(request: HttpRequest, body: ExampleIn) -> Status[Example]:
    """Store a new example."""
    return Status(201, create_example(teacher=teacher_of(request), content=body))


@router.get("/export", response=ExampleFile)
def export_all(request: HttpRequest) -> dict[str, Any]:
    """Return all examples in the exchange format."""
    found = all_of(teacher_of(request))
    return {"examples": [ExampleOut.from_orm(example).dict() for example in found]}


@router.post("/import", response={201: Imported, 422: FailureRecord, 401: FailureRecord})
def import_all(request: HttpRequest, body: Body[dict[str, Any]]) -> Status[dict[str, int]]:
    """Store the examples of a document in the exchange format, all or none."""
    stored = import_examples(teacher=teacher_of(request), document=body)
    return Status(201, {"count": len(stored)})


@router.get("/{identity}", response={200: ExampleOut, **_MISSING})
def one(request: HttpRequest, identity: UUID) -> Example:
    """Return one example."""
    return looked_at(one_of(teacher_of(request), identity))


@router.get("/{identity}/opened", response={200: Opened, **_MISSING})
def open_one(request: HttpRequest, identity: UUID) -> HttpResponse:
    """Return one example with its lines judged."""
    example = looked_at(one_of(teacher_of(request), identity))
    try:
        answer = opened(example, caller_has_left(request))
    except Gone:
        return HttpResponse(status=204)  # nobody reads it
    return HttpResponse(answer, content_type="application/json; charset=utf-8")


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
    one_of(teacher_of(request), identity).put_aside()
    return Status(204, None)


@router.post("/{identity}/restore", response={200: ExampleOut, **_MISSING})
def restore(request: HttpRequest, identity: UUID) -> Example:
    """Bring back an example that was put aside."""
    example = one_of(teacher_of(request), identity, deleted=True)
    example.bring_back()
    return example
