"""Endpoints of what goes out: marks as tables and documents, slips, redo sheets. Nothing is sent."""

from typing import Any, Literal
from uuid import UUID

from api.auth import teacher_of
from classes.api import class_of
from django.http import HttpRequest, HttpResponse
from giving.files import CSV, WORKBOOK, document_reply, file_reply
from giving.writers.tables import csv_of
from ninja import Router
from teachers.audit import note

from papers.endpoints.common import REFUSALS, sitting_for
from papers.models import Sitting
from papers.paper import redo_pdf, slips_pdf
from papers.queries import table_of
from papers.records import class_record, sitting_record
from papers.schemas import Slip
from papers.slips import slips_of
from papers.workbooks import marks_workbook

router = Router()


@router.get("/{identity}/slips", response={200: list[Slip], **REFUSALS})
def slips(request: HttpRequest, identity: UUID) -> list[dict[str, Any]]:
    """Return a slip for each student who left the line or has a comment."""
    return slips_of(sitting_for(request, identity))


@router.get("/{identity}/slips.pdf")
def slips_paper(
    request: HttpRequest, identity: UUID, paper: Literal["a4", "us-letter"] = "a4"
) -> HttpResponse:
    """Return the slips as a PDF document, six to a page."""
    sitting = _taken_out(request, identity, "the slips")
    return file_reply(slips_pdf(sitting, paper), "application/pdf", f"{sitting.title} slips", "pdf")


@router.get("/{identity}/redo.pdf")
def redo(
    request: HttpRequest, identity: UUID, paper: Literal["a4", "us-letter"] = "a4"
) -> HttpResponse:
    """Return for each student the items that left the line, as twins, with a key at the end."""
    sitting = _taken_out(request, identity, "the redo sheets")
    return file_reply(redo_pdf(sitting, paper), "application/pdf", f"{sitting.title} redo", "pdf")


@router.get("/class/{identity}.json")
def everything(request: HttpRequest, identity: UUID) -> HttpResponse:
    """Return a class with all that was given to it, its papers and their marks, as one file."""
    found = class_of(request, identity)
    note(found.teacher, f"Student records went out: the class “{found.title}”, as a file.", request)
    return document_reply(class_record(found), found.title)


@router.get("/{identity}/marks.{ending}")
def marks(
    request: HttpRequest, identity: UUID, ending: Literal["csv", "xlsx", "json"]
) -> HttpResponse:
    """Return the marks, with what the teacher decided; the file's name says whether they are released."""
    sitting = _taken_out(request, identity, f"the marks ({ending})")
    name = f"{sitting.title} {'marks' if sitting.released else 'marks proposed'}"
    match ending:
        case "csv":
            return file_reply(csv_of(table_of(sitting)).encode(), CSV, name, "csv")
        case "xlsx":
            return file_reply(marks_workbook(sitting), WORKBOOK, name, "xlsx")
        case _:
            return document_reply(sitting_record(sitting), name)


def _taken_out(request: HttpRequest, identity: UUID, what: str) -> Sitting:
    """Return the sitting, and write down that something of its students goes out."""
    sitting = sitting_for(request, identity)
    note(teacher_of(request), f"Student records went out: {what} of “{sitting.title}”.", request)
    return sitting
