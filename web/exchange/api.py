"""Endpoints that bring files in."""

from uuid import UUID

from api.auth import teacher_of
from api.failures import FailureRecord
from django.http import HttpRequest
from ninja import File, Router, Schema, Status, UploadedFile
from sets.problems import with_facts
from sets.queries import one_of
from sets.schemas import SetOut

from exchange.actions.bring_in import BroughtIn, bring_in, take_back
from exchange.reading import MOST_BYTES, brought_in, refuse

router = Router()
_REFUSALS = {401: FailureRecord, 404: FailureRecord, 422: FailureRecord}


class RowOut(Schema):
    """What became of one row of a file."""

    at: int
    taken: bool
    says: str
    given: str


class BroughtOut(Schema):
    """The new set, and what became of each row."""

    set: SetOut
    rows: list[RowOut]


def content_of(file: UploadedFile) -> tuple[str, bytes]:
    """Return a file's bare name and content.

    Raises:
        Refused: 422 when it is too large.
    """
    if (file.size or 0) > MOST_BYTES:
        raise refuse(f"The file is larger than {MOST_BYTES // 1_000_000} MB.")
    name = (file.name or "").replace("\\", "/").rsplit("/", 1)[-1]
    return name, file.read()


@router.post("/set", response={201: BroughtOut, **_REFUSALS})
def bring(request: HttpRequest, file: File[UploadedFile]) -> Status[BroughtIn]:
    """Make a set of a file: our format, a table, plain text or LaTeX."""
    made = bring_in(teacher=teacher_of(request), found=brought_in(*content_of(file)))
    with_facts(made.set)
    return Status(201, made)


@router.delete("/set/{identity}", response={204: None, **_REFUSALS})
def take(request: HttpRequest, identity: UUID) -> Status[None]:
    """Take an import back as one: the set and its examples are put aside."""
    take_back(stored=one_of(teacher_of(request), identity))
    return Status(204, None)
