"""Endpoints of papers: one student's work, what the teacher decides and says of it; papers from outside."""

from typing import Any
from uuid import UUID

from api.failures import Refused
from asking.asker import Asker
from django.http import HttpRequest
from exchange.api import content_of
from ninja import File, Router, UploadedFile
from uchuu_core.answers.drawn import DrawnLines

from papers.actions.bring_in import BroughtIn, bring_file, bring_text
from papers.actions.marking import mark
from papers.actions.overrule import overrule, same_as
from papers.actions.take_in import Given, take_in
from papers.endpoints.common import REFUSALS, grid_of, sitting_for, student_of, work_of
from papers.models import Sitting
from papers.queries import paper_of
from papers.schemas import (
    CommentIn,
    DecisionIn,
    PaperIn,
    PaperOut,
    TableIn,
    TakenIn,
    VersionIn,
)
from papers.versions import Versions, change_version

router = Router()
_ONE = "/{identity}/papers/{student}"


@router.get(_ONE, response={200: PaperOut, **REFUSALS})
def paper(request: HttpRequest, identity: UUID, student: int) -> dict[str, Any]:
    """Return one student's paper, judged and marked."""
    sitting = sitting_for(request, identity)
    return paper_of(sitting, student_of(sitting, student))


@router.put(_ONE, response={200: PaperOut, **REFUSALS})
def write(request: HttpRequest, identity: UUID, student: int, body: PaperIn) -> dict[str, Any]:
    """Store what a student gave for some items; it is marked in the background."""
    sitting = sitting_for(request, identity)
    whose = student_of(sitting, student)
    items = {item.pk: item for item in Versions(sitting).items(whose)}
    if any(work.item not in items for work in body.works):
        raise Refused(404, "not-found", "This item is not there (any more).")
    take_in(Given(whose, items[work.item], work.lines) for work in body.works)
    mark(sitting)
    return paper_of(sitting, whose)


@router.get(f"{_ONE}/items/{{item}}/drawn", response={200: DrawnLines, **REFUSALS})
def drawn(request: HttpRequest, identity: UUID, student: int, item: int) -> dict[str, Any]:
    """Return a student's lines with what a hand would mark on them: where it was left, what the student did."""
    sitting = sitting_for(request, identity)
    work = work_of(sitting, student_of(sitting, student), item)
    asker = Asker(sitting.school_class.teacher, sitting.house)
    return asker.ask("draw", work.item, lines=work.lines)


@router.put(f"{_ONE}/version", response={200: PaperOut, **REFUSALS})
def had(request: HttpRequest, identity: UUID, student: int, body: VersionIn) -> dict[str, Any]:
    """Say which version a student had; what was written is judged against its problems."""
    sitting = sitting_for(request, identity)
    whose = student_of(sitting, student)
    change_version(sitting=sitting, student=whose, version=body.version)
    mark(sitting)
    return paper_of(sitting, whose)


@router.put(f"{_ONE}/decision", response={200: PaperOut, **REFUSALS})
def decide(request: HttpRequest, identity: UUID, student: int, body: DecisionIn) -> dict[str, Any]:
    """Decide a mark otherwise than it was proposed, here or on all papers that wrote the same."""
    sitting = sitting_for(request, identity)
    whose = student_of(sitting, student)
    overrule(work=work_of(sitting, whose, body.item), **body.dict(exclude={"item"}))
    return paper_of(sitting, whose)


@router.put(f"{_ONE}/comment", response={200: PaperOut, **REFUSALS})
def comment(request: HttpRequest, identity: UUID, student: int, body: CommentIn) -> dict[str, Any]:
    """Keep what the teacher says of one item; it stands on the slip."""
    sitting = sitting_for(request, identity)
    whose = student_of(sitting, student)
    work = work_of(sitting, whose, body.item)
    works = same_as(work) if body.alike else same_as(work).filter(pk=work.pk)
    works.update(comment=body.comment.strip())
    return paper_of(sitting, whose)


@router.post("/{identity}/table", response={200: TakenIn, **REFUSALS})
def table(request: HttpRequest, identity: UUID, body: TableIn) -> dict[str, Any]:
    """Take in papers that were pasted: a table, plain text or our JSON document."""
    sitting = sitting_for(request, identity)
    return _taken(sitting, bring_text(sitting, body.text))


@router.post("/{identity}/file", response={200: TakenIn, **REFUSALS})
def file(request: HttpRequest, identity: UUID, file: File[UploadedFile]) -> dict[str, Any]:
    """Take in papers from a file: CSV, XLSX, text or JSON."""
    sitting = sitting_for(request, identity)
    return _taken(sitting, bring_file(sitting, *content_of(file)))


def _taken(sitting: Sitting, brought: BroughtIn) -> dict[str, Any]:
    return {"changed": brought.changed, "rows": brought.rows, "grid": grid_of(sitting)}
