"""Endpoints of scanned pages: handouts with marks, stacks that come in, pages laid by hand."""

from typing import Any, Literal
from uuid import UUID

from api.auth import teacher_of
from api.failures import FailureRecord, Refused
from django.http import HttpRequest, HttpResponse
from giving.files import file_reply
from giving.records import Room
from jobs.api import JobOut
from ninja import File, Router, Schema, Status, UploadedFile
from papers.models import Sitting
from papers.queries import sitting_of

from scans.actions.cutting import MOST_BYTES, bring_stack, latest
from scans.handouts import handouts_pdf
from scans.models import ScanPage
from scans.pictures import turned

router = Router()
_REFUSALS = {401: FailureRecord, 404: FailureRecord, 422: FailureRecord}


class PageOut(Schema):
    """A scanned page: whose it is, or why it waits to be placed; ``shown``: it has a picture."""

    id: int
    student: int | None
    page: int
    stack: str
    position: int
    says: str
    shown: bool

    @staticmethod
    def resolve_stack(page: ScanPage) -> str:
        """Name the file that it came in."""
        return page.stack.name

    @staticmethod
    def resolve_student(page: ScanPage) -> int | None:
        """Give the student's id."""
        return page.student_id


class PagesOut(Schema):
    """All scanned pages of a sitting, and the cutting that runs or was the last."""

    pages: list[PageOut]
    job: JobOut | None


class PageIn(Schema):
    """Whose page it is (None: nobody's yet), which of that paper, and by how much it is turned."""

    student: int | None
    page: int
    turn: Literal[0, 90, 180, 270] = 0


@router.get("/{sitting}", response={200: PagesOut, **_REFUSALS})
def listed(request: HttpRequest, sitting: UUID) -> dict[str, Any]:
    """Return the scanned pages of a sitting."""
    return _pages(_of(request, sitting))


@router.post("/{sitting}", response={202: PagesOut, **_REFUSALS})
def bring(request: HttpRequest, sitting: UUID, file: File[UploadedFile]) -> Status[dict[str, Any]]:
    """Bring a scanned stack in: a PDF document or a picture; it is cut in the background."""
    found = _of(request, sitting)
    if (file.size or 0) > MOST_BYTES:
        says = f"Nothing was brought in. The file is larger than {MOST_BYTES // 1_000_000} MB."
        raise Refused(422, "bad-file", says)
    name = (file.name or "").replace("\\", "/").rsplit("/", 1)[-1]
    bring_stack(sitting=found, name=name, content=file.read())
    return Status(202, _pages(found))


@router.put("/{sitting}/pages/{page}", response={200: PagesOut, **_REFUSALS})
def lay(request: HttpRequest, sitting: UUID, page: int, body: PageIn) -> dict[str, Any]:
    """Lay a page to a student by hand, or turn it."""
    found = _of(request, sitting)
    one = _page(found, page)
    students = found.school_class.students
    if body.student is not None and not students.filter(pk=body.student).exists():
        raise Refused(404, "not-found", "This code is not there (any more).")
    one.student_id, one.page = body.student, max(1, min(999, body.page))
    one.says = "" if body.student else one.says
    if body.turn and one.image:
        one.image = turned(bytes(one.image), body.turn)
    one.save()
    return _pages(found)


@router.delete("/{sitting}/pages/{page}", response={200: PagesOut, **_REFUSALS})
def throw_away(request: HttpRequest, sitting: UUID, page: int) -> dict[str, Any]:
    """Delete a scanned page for good."""
    found = _of(request, sitting)
    _page(found, page).delete()
    return _pages(found)


@router.get("/{sitting}/pages/{page}/picture")
def picture(request: HttpRequest, sitting: UUID, page: int) -> HttpResponse:
    """Return the picture of a page; it is a picture whatever came in."""
    one = _page(_of(request, sitting), page)
    return HttpResponse(
        bytes(one.image),
        content_type="image/jpeg",
        headers={"X-Content-Type-Options": "nosniff", "Content-Disposition": "inline"},
    )


@router.get("/{sitting}/handouts.pdf")
def handouts(
    request: HttpRequest,
    sitting: UUID,
    room: Room = "lines",
    paper: Literal["a4", "us-letter"] = "a4",
) -> HttpResponse:
    """Return a copy for each code, every page with its mark, as one PDF document."""
    found = _of(request, sitting)
    content = handouts_pdf(found, paper, room)
    return file_reply(content, "application/pdf", f"{found.title} handouts", "pdf")


def _of(request: HttpRequest, sitting: UUID) -> Sitting:
    return sitting_of(teacher_of(request), sitting)


def _page(sitting: Sitting, identity: int) -> ScanPage:
    found = ScanPage.objects.filter(stack__sitting=sitting, pk=identity).first()
    if found is None:
        raise Refused(404, "not-found", "This page is not there (any more).")
    return found


def _pages(sitting: Sitting) -> dict[str, Any]:
    pages = (
        ScanPage.objects.filter(stack__sitting=sitting)
        .select_related("stack")
        .defer("image", "stack__content")
    )
    drawn = set(pages.exclude(image=b"").values_list("pk", flat=True))
    listed = list(pages)
    for one in listed:
        one.shown = one.pk in drawn  # type: ignore[attr-defined]
    return {"pages": listed, "job": latest(sitting)}
