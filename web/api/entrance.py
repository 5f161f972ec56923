"""At the door of the API: text that cannot be kept, bodies that are too large, addresses that are not there."""

import json
import re
from collections.abc import Callable, Iterator
from typing import Any

from django.core.exceptions import RequestDataTooBig
from django.http import HttpRequest, HttpResponse, HttpResponseBase, JsonResponse

from api.journal import NUMBER

_UNSTORABLE = re.compile("[\x00-\x08\x0b\x0c\x0e-\x1f\ud800-\udfff\ufffe\uffff]")
_NOTHING_NEEDED = "camera=(), microphone=(), geolocation=(), payment=(), usb=()"
_SUSPECT = re.compile(rb"[\x00-\x08\x0b\x0c\x0e-\x1f]|\\u|\xef\xbf[\xbe\xbf]|\xed[\xa0-\xbf]")
"""Bytes without which nothing unstorable can be in a body: only then it is read here as well."""


class Entrance:
    """Refuses, as a record that a program understands, what would break further inside."""

    def __init__(self, get_response: Callable[[HttpRequest], HttpResponseBase]) -> None:
        self._get_response = get_response

    def __call__(self, request: HttpRequest) -> HttpResponseBase:
        """Let a request in, or refuse it."""
        response = self._answered(request)
        response.headers.setdefault("Permissions-Policy", _NOTHING_NEEDED)
        return response

    def _answered(self, request: HttpRequest) -> HttpResponseBase:
        if not request.path.startswith("/api/"):
            return self._get_response(request)
        try:
            refusal = _refused(request)
        except RequestDataTooBig:
            refusal = record(413, *_SAYS[413])
        response = refusal or _as_record(self._get_response(request), request.META.get(NUMBER, ""))
        response.headers.setdefault("Cache-Control", "no-store")  # a teacher's own, on any computer
        return response


_SAYS = {
    400: ("bad-request", "The request is not understood."),
    403: ("csrf", "This page is out of date. Load it again; what you typed is kept here."),
    404: ("not-found", "There is nothing at this address."),
    405: ("bad-request", "Nothing can be done in this way at this address."),
    413: ("too-large", "This is too large to be sent at once. Send less of it."),
    500: ("our-fault", "Something went wrong on our side. What you typed is kept here. Try again."),
}


def _as_record(response: HttpResponseBase, number: str) -> HttpResponseBase:
    """Turn a page that says what went wrong into a record: programs call here, nobody reads pages."""
    is_page = response.get("Content-Type", "").startswith(("text/html", "text/plain"))
    if response.status_code < 400 or not is_page:
        return response
    code, message = _SAYS.get(
        response.status_code, _SAYS[500 if response.status_code > 499 else 400]
    )
    if code == "our-fault" and number:
        message += f" If it stays, whoever keeps this installation finds it in the log: {number}."
    return record(response.status_code, code, message)


def record(status: int, code: str, message: str) -> HttpResponse:
    """Return a refusal as the API's records are."""
    return JsonResponse({"code": code, "message": message, "at": None}, status=status)


def unstorable(data: Any) -> str | None:
    """Return the first character in the texts of *data* that no file and no table keeps; None: none.

    Control characters but tab and line ends, half of a pair of surrogates, and what is no character.
    """
    return next(
        (found.group() for text in _texts(data) if (found := _UNSTORABLE.search(text))), None
    )


def says_unstorable(character: str) -> str:
    """Say that a text holds a *character* that cannot be kept."""
    return (
        f"There is a character in this text that cannot be kept (U+{ord(character):04X}). "
        "Take it out, or type the text anew."
    )


def _refused(request: HttpRequest) -> HttpResponse | None:
    found = unstorable(
        [request.path, dict(request.GET.lists()) if request.META.get("QUERY_STRING") else {}]
    )
    if (
        found is None
        and not (request.content_type or "").startswith("multipart/")
        and _SUSPECT.search(request.body)
    ):
        try:
            found = unstorable(json.loads(request.body))
        except (ValueError, RecursionError):
            return None  # it is refused as what it is, further inside
    return record(422, "bad-text", says_unstorable(found)) if found else None


def _texts(data: Any) -> Iterator[str]:
    if isinstance(data, str):
        yield data
    elif isinstance(data, dict):
        for key, value in data.items():
            yield key
            yield from _texts(value)
    elif isinstance(data, list):
        for value in data:
            yield from _texts(value)
