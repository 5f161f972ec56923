"""Endpoints that keep everything of a teacher as one file, and bring it back."""

import json
from datetime import datetime

from api.auth import teacher_of
from api.entrance import says_unstorable, unstorable
from api.failures import FailureRecord
from django.http import HttpRequest, HttpResponse
from django.utils import timezone
from exchange.reading import refuse
from jobs.api import JobOut
from jobs.models import Job
from jobs.running import begin
from ninja import File, Router, Schema, Status, UploadedFile
from teachers.audit import note
from teachers.endpoints.account import Said, held
from teachers.models import Person
from teachers.people import set_person

from keeping.everything import everything_of
from keeping.leaving import leave, stay

router = Router()
MOST_BYTES = 30_000_000


@router.get("/everything.json")
def everything(request: HttpRequest) -> HttpResponse:
    """Return all that the teacher owns as one file."""
    teacher = teacher_of(request)
    text = json.dumps(everything_of(teacher), ensure_ascii=False, indent=1)
    set_person(teacher, exported=timezone.now())
    note(teacher, "Everything was kept as a file, with the papers of all classes.", request)
    headers = {"Content-Disposition": 'attachment; filename="uchuu-everything.json"'}
    return HttpResponse(text, content_type="application/json", headers=headers)


@router.post("/restore", response={201: JobOut, 401: FailureRecord, 422: FailureRecord})
def bring_back(request: HttpRequest, file: File[UploadedFile]) -> Status[Job]:
    """Begin to bring back what such a file holds; what is there already is not made twice."""
    if (file.size or 0) > MOST_BYTES:
        raise refuse(f"The file is larger than {MOST_BYTES // 1_000_000} MB.")
    try:
        document = json.loads(file.read().decode("utf-8-sig"))
    except (ValueError, RecursionError):
        raise refuse("It is not a JSON file that can be read.") from None
    if not isinstance(document, dict) or document.get("format") != "uchuu-everything":
        raise refuse("It is not a file that “Keep everything” made.")
    if character := unstorable(document):
        raise refuse(says_unstorable(character))
    job = begin(teacher=teacher_of(request), kind="restore", params={"document": document})
    return Status(201, job)


class LeavingOut(Schema):
    """When the account will be deleted; None: it stays."""

    leaves: datetime | None


@router.post("/leave", response={200: LeavingOut, 401: FailureRecord, 422: FailureRecord})
def begin_leaving(request: HttpRequest, body: Said) -> Person:
    """Have one's account deleted, with everything in it, after a delay; everything was kept as a file before."""
    teacher = teacher_of(request)
    held(teacher, body.password)
    return leave(teacher, request)


@router.delete("/leave", response={200: LeavingOut, 401: FailureRecord})
def end_leaving(request: HttpRequest) -> Person:
    """Stay."""
    return stay(teacher_of(request), request)
