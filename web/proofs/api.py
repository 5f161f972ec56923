"""Endpoints of proofed keys."""

from datetime import datetime
from typing import Any, Literal
from uuid import UUID

from api.auth import teacher_of
from api.failures import FailureRecord, Refused
from api.pages import page_of
from django.http import HttpRequest, HttpResponse
from exchange.api import BroughtOut, content_of
from exchange.reading import text_of
from jobs.api import JobOut
from ninja import Field, File, Router, Schema, Status, UploadedFile
from uchuu_core.answers.proofed import ProofItem
from uchuu_core.answers.terms import Task

from proofs.actions.correct import accept, as_set, corrected_text
from proofs.actions.correct_reading import correct_reading
from proofs.actions.proof_key import begin_proof
from proofs.models import Proof

router = Router()
_REFUSALS = {401: FailureRecord, 404: FailureRecord, 413: FailureRecord, 422: FailureRecord}


class KeyIn(Schema):
    """A key as text."""

    title: str = Field(default="", max_length=200)
    text: str = Field(max_length=200_000)
    purpose: Literal["key", "sheet"] = "key"
    """A key to be proofed, or a sheet to be looked over and made a set."""


class ProofRow(Schema):
    """A proofed key in the list."""

    id: UUID
    title: str
    created: datetime
    items: int
    faulty: int

    @staticmethod
    def resolve_items(proof: Proof) -> int:
        """Count the items."""
        return len(proof.report)

    @staticmethod
    def resolve_faulty(proof: Proof) -> int:
        """Count the items that do not simply hold."""
        return sum(item["status"] != "holds" for item in proof.report)


class ProofOut(Schema):
    """A proofed key: its text, the report, the accepted corrections (places from 0), its job."""

    id: UUID
    title: str
    text: str
    purpose: Literal["key", "sheet"]
    report: list[ProofItem]
    accepted: list[int]
    job: JobOut | None


class AcceptedIn(Schema):
    """The places (from 0) of the corrections that are accepted."""

    places: list[int] = Field(max_length=200)


class KeyItemIn(Schema):
    """One item as the teacher reads it: the problem, and what stands under it."""

    number: str = Field(default="", max_length=40)
    at: int = 0
    task: Task
    given: str = Field(max_length=20_000)
    lines: list[str] = Field(default=[], max_length=200)
    options: list[tuple[str, str]] = Field(default=[], max_length=8)
    chosen: str = Field(default="", max_length=1)
    notes: list[str] = Field(default=[], max_length=200)
    variable: str | None = Field(default=None, max_length=5)


class KeyItemsIn(Schema):
    """All items of a key, in order."""

    items: list[KeyItemIn] = Field(max_length=200)


class ProofPage(Schema):
    """A page of the list; ``next`` is given as ``cursor`` for the page after it, None at the end."""

    results: list[ProofRow]
    next: str | None


@router.get("", response={200: ProofPage, **_REFUSALS})
def listed(request: HttpRequest, cursor: str = "") -> dict[str, Any]:
    """Return a page of the proofed keys, newest first."""
    found = Proof.objects.filter(teacher=teacher_of(request), deleted=None).defer("text", "items")
    return page_of(request, found, ("-created", "-id"), cursor)


@router.post("", response={201: ProofOut, **_REFUSALS})
def begin(request: HttpRequest, body: KeyIn) -> Status[Proof]:
    """Begin to proof a key that was pasted."""
    stored = begin_proof(
        teacher=teacher_of(request), title=body.title, text=body.text, purpose=body.purpose
    )
    return Status(201, stored)


@router.post("/file", response={201: ProofOut, **_REFUSALS})
def begin_with_file(request: HttpRequest, file: File[UploadedFile]) -> Status[Proof]:
    """Begin to proof a key from a file: text, LaTeX, a table, or a set in our format."""
    name, content = content_of(file)
    text = text_of(name, content)
    title = name.rsplit(".", 1)[0][:200]
    return Status(201, begin_proof(teacher=teacher_of(request), title=title, text=text))


@router.get("/{identity}", response={200: ProofOut, **_REFUSALS})
def one(request: HttpRequest, identity: UUID) -> Proof:
    """Return one proofed key."""
    return _of(request, identity)


@router.put("/{identity}/accepted", response={200: ProofOut, **_REFUSALS})
def accepted(request: HttpRequest, identity: UUID, body: AcceptedIn) -> Proof:
    """Keep which corrections are accepted."""
    return accept(stored=_of(request, identity), places=body.places)


@router.put("/{identity}/items", response={200: ProofOut, 409: FailureRecord, **_REFUSALS})
def items(request: HttpRequest, identity: UUID, body: KeyItemsIn) -> Proof:
    """Correct how the key is read; what changed is judged again."""
    stored = _of(request, identity)
    changed = [{**item.dict(), "reading": "", "frame": ""} for item in body.items]
    return correct_reading(stored=stored, items=changed)


@router.get("/{identity}/key.txt")
def as_text(request: HttpRequest, identity: UUID) -> HttpResponse:
    """Return the key as text, accepted corrections in place."""
    text = corrected_text(_of(request, identity))
    headers = {"Content-Disposition": 'attachment; filename="key.txt"'}
    return HttpResponse(text, content_type="text/plain; charset=utf-8", headers=headers)


@router.post("/{identity}/set", response={201: BroughtOut, **_REFUSALS})
def to_set(request: HttpRequest, identity: UUID) -> Status[Any]:
    """Make a set of the key as it is now."""
    return Status(201, as_set(teacher=teacher_of(request), stored=_of(request, identity)))


@router.delete("/{identity}", response={204: None, **_REFUSALS})
def remove(request: HttpRequest, identity: UUID) -> Status[None]:
    """Put a proofed key aside."""
    _of(request, identity).put_aside()
    return Status(204, None)


@router.post("/{identity}/restore", response={200: ProofOut, **_REFUSALS})
def restore(request: HttpRequest, identity: UUID) -> Proof:
    """Bring a proofed key back."""
    stored = _of(request, identity, deleted=True)
    stored.bring_back()
    return stored


def _of(request: HttpRequest, identity: UUID, *, deleted: bool = False) -> Proof:
    stored = Proof.objects.filter(
        teacher=teacher_of(request), pk=identity, deleted__isnull=not deleted
    ).select_related("job")
    found = stored.first()
    if found is None:
        raise Refused(404, "not-found", "This key is not there (any more).")
    return found
