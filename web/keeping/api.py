"""Endpoints that keep everything of a teacher as one file, and bring it back."""

import json

from api.auth import teacher_of
from api.failures import FailureRecord
from django.http import HttpRequest, HttpResponse
from exchange.reading import refuse
from ninja import File, Router, Schema, UploadedFile

from keeping.everything import Restored, everything_of, restore

router = Router()
MOST_BYTES = 30_000_000


class RestoredOut(Schema):
    """How much was brought back."""

    examples: int
    sets: int
    own_errors: int
    proofs: int


@router.get("/everything.json")
def everything(request: HttpRequest) -> HttpResponse:
    """Return all that the teacher owns as one file."""
    text = json.dumps(everything_of(teacher_of(request)), ensure_ascii=False, indent=1)
    headers = {"Content-Disposition": 'attachment; filename="uchuu-everything.json"'}
    return HttpResponse(text, content_type="application/json", headers=headers)


@router.post("/restore", response={200: RestoredOut, 401: FailureRecord, 422: FailureRecord})
def bring_back(request: HttpRequest, file: File[UploadedFile]) -> Restored:
    """Bring back what such a file holds; what is there already is not made twice."""
    if (file.size or 0) > MOST_BYTES:
        raise refuse(f"The file is larger than {MOST_BYTES // 1_000_000} MB.")
    try:
        document = json.loads(file.read().decode("utf-8-sig"))
    except (ValueError, RecursionError):
        raise refuse("It is not a JSON file that can be read.") from None
    return restore(teacher=teacher_of(request), document=document)
