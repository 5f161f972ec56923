"""Endpoints that bring files in."""

from uuid import UUID

from api.auth import teacher_of
from api.failures import FailureRecord
from django.http import HttpRequest
from ninja import Field, File, Router, Schema, Status, UploadedFile
from sets.actions.add_problems import add_problems
from sets.actions.make_problems import MadeProblems
from sets.problems import with_facts
from sets.queries import one_of
from sets.schemas import Made, SetOut

from exchange.actions.bring_in import BroughtIn, bring_in, take_back
from exchange.reading import MOST_BYTES, brought_in, of_list, refuse

router = Router()
_REFUSALS = {401: FailureRecord, 404: FailureRecord, 422: FailureRecord}


class RowOut(Schema):
    """What became of one row of a file."""

    at: int
    taken: bool
    says: str
    given: str


class TypedIn(Schema):
    """Problems as somebody types them."""

    text: str = Field(max_length=100_000)


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


@router.post("/typed/{identity}", response={200: Made, **_REFUSALS})
def typed(request: HttpRequest, identity: UUID, body: TypedIn) -> MadeProblems:
    """Put problems that were typed as a list at the end of a set; lines under a number go with it."""
    teacher = teacher_of(request)
    found = of_list(body.text)
    stored = add_problems(
        teacher=teacher, stored=one_of(teacher, identity), problems=found.problems
    )
    with_facts(stored)
    notes = [f"{row.at}: {row.says}" for row in found.rows if row.says != "taken"]
    return MadeProblems(stored, len(found.problems), notes)


@router.delete("/set/{identity}", response={204: None, **_REFUSALS})
def take(request: HttpRequest, identity: UUID) -> Status[None]:
    """Take an import back as one: the set and its examples are put aside."""
    take_back(stored=one_of(teacher_of(request), identity))
    return Status(204, None)
