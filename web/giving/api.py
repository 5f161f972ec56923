"""Endpoints that give a set out: sheets on paper and on the screen, open formats."""

import base64
import json
from typing import Any, Literal
from uuid import UUID

from api.auth import teacher_of
from api.failures import FailureRecord
from django.http import HttpRequest, HttpResponse
from ninja import Query, Router, Schema
from sets.queries import one_of

from giving.files import WORKBOOK, file_reply
from giving.records import Density, Room, What, Wish
from giving.sheets import sheet_of, sheets_of
from giving.writers.documents import document_of
from giving.writers.flat import latex_source, markdown, plain_text
from giving.writers.packages import qti_package
from giving.writers.page import html_page
from giving.writers.paper import pages, pdf
from giving.writers.tables import csv_table, workbook

router = Router()
_REFUSALS = {401: FailureRecord, 404: FailureRecord, 422: FailureRecord}
_FLAT = {
    "txt": (plain_text, "text/plain"),
    "md": (markdown, "text/markdown"),
    "tex": (latex_source, "application/x-tex"),
    "html": (html_page, "text/html"),
}


class WishIn(Schema):
    """How a sheet is wanted."""

    room: Room = "lines"
    density: Density | None = None
    forks: bool = False
    marks: bool = False
    beside: bool = False
    paper: Literal["a4", "us-letter"] = "a4"
    seed: int = 1
    versions: bool = False
    """All parallel versions in one file (PDF)."""

    def of(self, what: What) -> Wish:
        """Return it for one kind of sheet."""
        return Wish(what, **self.dict())


class Pages(Schema):
    """The pages as they print, each a picture (SVG, base64), and what could not be worked."""

    pages: list[str]
    text: str
    refused: list[str]


@router.get("/{identity}/preview/{what}", response={200: Pages, **_REFUSALS})
def preview(request: HttpRequest, identity: UUID, what: What, wish: Query[WishIn]) -> Any:
    """Return the pages as they print, with the same in plain text for reading aloud."""
    sheets = sheets_of(one_of(teacher_of(request), identity), wish.of(what))
    return {
        "pages": [base64.b64encode(page).decode() for page in pages(sheets)],
        "text": "\n\n".join(plain_text(sheet) for sheet in sheets),
        "refused": [
            f"{item.number}: {item.refused}"
            for sheet in sheets
            for item in sheet.items
            if item.refused
        ],
    }


@router.get("/{identity}/sheet/{what}.pdf")
def paper(request: HttpRequest, identity: UUID, what: What, wish: Query[WishIn]) -> HttpResponse:
    """Return the sheet as a PDF document."""
    stored = one_of(teacher_of(request), identity)
    content = pdf(sheets_of(stored, wish.of(what)))
    return file_reply(content, "application/pdf", f"{stored.title} {what}", "pdf")


@router.get("/{identity}/sheet/{what}.{ending}")
def flat(
    request: HttpRequest,
    identity: UUID,
    what: What,
    ending: Literal["txt", "md", "tex", "html"],
    wish: Query[WishIn],
) -> HttpResponse:
    """Return the sheet as plain text, Markdown, LaTeX source or one HTML page."""
    stored = one_of(teacher_of(request), identity)
    write, kind = _FLAT[ending]
    text = write(sheet_of(stored, wish.of(what)))
    return file_reply(text.encode(), f"{kind}; charset=utf-8", f"{stored.title} {what}", ending)


@router.get("/{identity}/set.json")
def document(request: HttpRequest, identity: UUID) -> HttpResponse:
    """Return the set in our open format; reading it back gives the same set."""
    stored = one_of(teacher_of(request), identity)
    text = json.dumps(document_of(stored), ensure_ascii=False, indent=2)
    return file_reply(text.encode(), "application/json", stored.title, "json")


@router.get("/{identity}/items.{ending}")
def table(request: HttpRequest, identity: UUID, ending: Literal["csv", "xlsx"]) -> HttpResponse:
    """Return items, answers, difficulty and skills as a table."""
    stored = one_of(teacher_of(request), identity)
    if ending == "csv":
        return file_reply(
            csv_table(stored).encode(), "text/csv; charset=utf-8", stored.title, "csv"
        )
    return file_reply(workbook(stored), WORKBOOK, stored.title, "xlsx")


@router.get("/{identity}/qti.zip")
def package(request: HttpRequest, identity: UUID, wish: Query[WishIn]) -> HttpResponse:
    """Return the items as a QTI 3 package."""
    stored = one_of(teacher_of(request), identity)
    content = qti_package(sheet_of(stored, wish.of("choices")))
    return file_reply(content, "application/zip", f"{stored.title} qti", "zip")
