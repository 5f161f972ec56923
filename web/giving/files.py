"""Files that go out: their names keep their letters, their content is never taken for a page."""

import json
import re

from django.http import HttpResponse
from django.utils.http import content_disposition_header

WORKBOOK = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet"
CSV = "text/csv; charset=utf-8"


def document_reply(record: object, name: str) -> HttpResponse:
    """Return a record as a JSON file to be kept."""
    text = json.dumps(record, ensure_ascii=False, indent=1)
    return file_reply(text.encode(), "application/json", name, "json")


def file_reply(content: bytes, kind: str, name: str, ending: str) -> HttpResponse:
    """Return a file to be kept; its name without what no system takes in a name."""
    plain = re.sub(r'[\\/:*?"<>|\x00-\x1f]+', " ", name).strip(" .")[:80] or "set"
    return HttpResponse(
        content,
        content_type=kind,
        headers={
            "Content-Disposition": content_disposition_header(True, f"{plain}.{ending}") or "",
            "X-Content-Type-Options": "nosniff",
        },
    )
