"""Endpoints of sittings and papers. Every one sees only the signed-in teacher's."""

import csv
import io
import json
from typing import Any
from uuid import UUID

from api.auth import teacher_of
from api.entrance import says_unstorable, unstorable
from api.failures import FailureRecord, Refused
from classes.api import class_of
from classes.models import Student
from django.db.models import QuerySet
from django.http import HttpRequest, HttpResponse
from exchange.api import content_of
from exchange.reading import csv_rows, refuse, rows_of
from giving.writers.tables import harmless
from ninja import File, Router, Status, UploadedFile
from sets.queries import one_of

from papers.actions.give_set import give_set
from papers.actions.marking import mark
from papers.actions.overrule import overrule
from papers.actions.take_in import Given, take_in
from papers.models import Sitting, Work
from papers.placing import item_placed
from papers.queries import cells_of, class_record, paper_of, sitting_of, sittings_of, table_of
from papers.schemas import (
    DecisionIn,
    GridOut,
    ItemPlaced,
    PaperIn,
    PaperOut,
    SittingChange,
    SittingIn,
    SittingRow,
    Slip,
    TableIn,
    TakenIn,
)
from papers.slips import slips_of
from papers.table import MOST_ROWS, papers_of

router = Router()
_REFUSALS = {401: FailureRecord, 404: FailureRecord, 413: FailureRecord, 422: FailureRecord}


@router.get("", response=list[SittingRow])
def listed(request: HttpRequest, *, archived: bool = False) -> QuerySet[Sitting]:
    """Return the teacher's sittings, the latest first."""
    return sittings_of(teacher_of(request), archived=archived)[:400]


@router.post("", response={201: GridOut, **_REFUSALS})
def give(request: HttpRequest, body: SittingIn) -> Status[dict[str, Any]]:
    """Give a set to a class on a date."""
    sitting = give_set(
        school_class=class_of(request, body.school_class),
        problem_set=one_of(teacher_of(request), body.set),
        on=body.date,
        title=body.title,
        school=body.school,
        accuracy_follows=body.accuracy_follows,
    )
    return Status(201, _grid(sitting))


@router.get("/{identity}", response={200: GridOut, **_REFUSALS})
def grid(request: HttpRequest, identity: UUID) -> dict[str, Any]:
    """Return a sitting with its grid; what stands on other ground is marked anew meanwhile."""
    sitting = _of(request, identity)
    mark(sitting)
    return _grid(sitting)


@router.put("/{identity}", response={200: GridOut, **_REFUSALS})
def change(request: HttpRequest, identity: UUID, body: SittingChange) -> dict[str, Any]:
    """Change how a sitting is called and marked."""
    sitting = _of(request, identity)
    for name, value in body.dict().items():
        setattr(sitting, name, value)
    sitting.save(update_fields=list(body.dict()))
    mark(sitting)
    return _grid(sitting)


@router.delete("/{identity}", response={204: None, **_REFUSALS})
def put_aside(request: HttpRequest, identity: UUID) -> Status[None]:
    """Put a sitting aside with its papers."""
    _of(request, identity).put_aside()
    return Status(204, None)


@router.post("/{identity}/restore", response={200: GridOut, **_REFUSALS})
def restore(request: HttpRequest, identity: UUID) -> dict[str, Any]:
    """Bring a sitting back."""
    sitting = sittings_of(teacher_of(request), archived=True).filter(pk=identity).first()
    if sitting is None:
        raise Refused(404, "not-found", "This sitting is not there (any more).")
    sitting.bring_back()
    return _grid(sitting)


@router.get("/{identity}/papers/{student}", response={200: PaperOut, **_REFUSALS})
def paper(request: HttpRequest, identity: UUID, student: int) -> dict[str, Any]:
    """Return one student's paper, judged and marked."""
    sitting = _of(request, identity)
    return paper_of(sitting, _student(sitting, student))


@router.put("/{identity}/papers/{student}", response={200: PaperOut, **_REFUSALS})
def write(request: HttpRequest, identity: UUID, student: int, body: PaperIn) -> dict[str, Any]:
    """Store what a student gave for some items; it is marked in the background."""
    sitting = _of(request, identity)
    whose = _student(sitting, student)
    items = {item.pk: item for item in sitting.items.all()}
    if any(work.item not in items for work in body.works):
        raise Refused(404, "not-found", "This item is not there (any more).")
    take_in(Given(whose, items[work.item], work.lines) for work in body.works)
    mark(sitting)
    return paper_of(sitting, whose)


@router.post("/{identity}/table", response={200: TakenIn, **_REFUSALS})
def table(request: HttpRequest, identity: UUID, body: TableIn) -> dict[str, Any]:
    """Take in papers that were pasted as a table."""
    return _taken(_of(request, identity), csv_rows(body.text))


@router.post("/{identity}/file", response={200: TakenIn, **_REFUSALS})
def file(request: HttpRequest, identity: UUID, file: File[UploadedFile]) -> dict[str, Any]:
    """Take in papers from a table in a file: CSV, XLSX or text."""
    return _taken(_of(request, identity), rows_of(*content_of(file), MOST_ROWS + 2))


@router.put("/{identity}/papers/{student}/decision", response={200: PaperOut, **_REFUSALS})
def decide(request: HttpRequest, identity: UUID, student: int, body: DecisionIn) -> dict[str, Any]:
    """Decide a mark otherwise than it was proposed, here or on all papers that wrote the same."""
    sitting = _of(request, identity)
    whose = _student(sitting, student)
    work = Work.objects.filter(student=whose, item__sitting=sitting, item=body.item).first()
    if work is None:
        raise Refused(404, "not-found", "There is no work for this item (any more).")
    overrule(work=work, **body.dict(exclude={"item"}))
    return paper_of(sitting, whose)


@router.get("/{identity}/items/{number}", response={200: ItemPlaced, **_REFUSALS})
def item(request: HttpRequest, identity: UUID, number: int) -> dict[str, Any]:
    """Return one item with the class on its spine: the last lines of all papers, placed."""
    return item_placed(_of(request, identity), number)


@router.post("/{identity}/mark", response={200: GridOut, **_REFUSALS})
def mark_again(request: HttpRequest, identity: UUID) -> dict[str, Any]:
    """Mark also what could not be marked in time."""
    sitting = _of(request, identity)
    mark(sitting, again=True)
    return _grid(sitting)


@router.get("/{identity}/slips", response={200: list[Slip], **_REFUSALS})
def slips(request: HttpRequest, identity: UUID) -> list[dict[str, Any]]:
    """Return a slip for each student who left the line, to be printed and given back."""
    return slips_of(_of(request, identity))


@router.get("/class/{identity}.json")
def everything(request: HttpRequest, identity: UUID) -> HttpResponse:
    """Return a class with all that was given to it, its papers and their marks, as one file."""
    text = json.dumps(class_record(class_of(request, identity)), ensure_ascii=False, indent=1)
    headers = {"Content-Disposition": 'attachment; filename="class.json"'}
    return HttpResponse(text, content_type="application/json", headers=headers)


@router.get("/{identity}/marks.csv")
def marks(request: HttpRequest, identity: UUID) -> HttpResponse:
    """Return the marks as a table, with what the teacher decided."""
    out = io.StringIO()
    csv.writer(out).writerows(
        [harmless(cell) for cell in row] for row in table_of(_of(request, identity))
    )
    headers = {"Content-Disposition": 'attachment; filename="marks.csv"'}
    return HttpResponse(out.getvalue(), content_type="text/csv; charset=utf-8", headers=headers)


def _taken(sitting: Sitting, rows: list[list[str]]) -> dict[str, Any]:
    character = unstorable([cell for row in rows for cell in row])
    if character:
        raise refuse(says_unstorable(character))
    students = list(sitting.school_class.students.all())
    papers, told = papers_of(rows, students, list(sitting.items.all()))
    changed = take_in(papers)
    mark(sitting)
    return {"changed": changed, "rows": told, "grid": _grid(sitting)}


def _grid(sitting: Sitting) -> dict[str, Any]:
    return {
        "id": sitting.pk,
        "title": sitting.title,
        "date": sitting.date,
        "school": sitting.school,
        "accuracy_follows": sitting.accuracy_follows,
        "school_class": sitting.school_class.title,
        "items": list(sitting.items.all()),
        "students": list(sitting.school_class.students.all()),
        "cells": cells_of(sitting),
        "job": sitting.job,
    }


def _of(request: HttpRequest, identity: UUID) -> Sitting:
    return sitting_of(teacher_of(request), identity)


def _student(sitting: Sitting, identity: int) -> Student:
    found = sitting.school_class.students.filter(pk=identity).first()
    if found is None:
        raise Refused(404, "not-found", "This code is not there (any more).")
    return found
