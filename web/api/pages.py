"""Lists in pages: a cursor says where the next page begins, however much was added meanwhile."""

from typing import Any
from urllib.parse import parse_qs, urlsplit

from django.core.exceptions import ValidationError as BadValue
from django.db.models import QuerySet
from django.http import HttpRequest
from ninja.errors import ValidationError as BadCursor
from ninja.pagination import CursorPagination
from pydantic import ValidationError

from api.failures import Refused

PAGE = 15
"""Rows that fill a screen and some more; the next ones come as one scrolls."""


def page_of(
    request: HttpRequest, found: QuerySet[Any], order: tuple[str, ...], cursor: str | None
) -> dict[str, Any]:
    """Return one page: ``results``, and ``next``, the cursor of the page after it (None at the end).

    *order* begins with what the list is sorted by and ends with what is unique.

    Raises:
        Refused: 422 when the cursor is none of ours.
    """
    pages = CursorPagination(ordering=order, page_size=PAGE)
    wish = CursorPagination.Input(cursor=cursor or None)
    try:
        made = pages.paginate_queryset(found, pagination=wish, request=request)
    except (BadCursor, ValidationError, BadValue, ValueError):
        message = "This page of the list is not there. Begin with the first one."
        raise Refused(422, "bad-cursor", message) from None
    query = parse_qs(urlsplit(made["next"] or "").query)
    return {"results": made["results"], "next": query.get("cursor", [None])[0]}
