"""Every refusal of the API as one record with a status, made in one place."""

import sys
from typing import Any

from django.db import InterfaceError, OperationalError
from django.http import HttpRequest, HttpResponse, JsonResponse
from django.views.defaults import server_error
from ninja import NinjaAPI, Schema
from ninja.errors import AuthenticationError, HttpError, ValidationError
from uchuu_core.failures import Failure


class FailureRecord(Schema):
    """What was refused: ``code`` for programs, ``message`` for a reader, ``at`` in the text."""

    code: str
    message: str
    at: int | None = None


class Refused(Exception):
    """A refusal of the server itself (not of the algebra)."""

    def __init__(self, status: int, code: str, message: str) -> None:
        super().__init__(message)
        self.status, self.code, self.message = status, code, message


_AWAY = {
    "code": "database-away",
    "message": "The database does not answer. What you typed is kept here and saved later.",
}
_STATUS = {"too-large": 413, "busy": 429, "time-out": 504, "produced-line-refused": 500}


def install(api: NinjaAPI) -> None:
    """Teach *api* to turn every kind of refusal into a ``FailureRecord``."""

    def answer(request: HttpRequest, status: int, **record: Any) -> HttpResponse:
        return api.create_response(request, {"at": None, **record}, status=status)

    @api.exception_handler(Failure)
    def algebra(request: HttpRequest, failure: Failure) -> HttpResponse:
        return answer(request, _STATUS.get(failure.code, 422), **failure.as_record())

    @api.exception_handler(Refused)
    def refused(request: HttpRequest, refusal: Refused) -> HttpResponse:
        return answer(request, refusal.status, code=refusal.code, message=refusal.message)

    @api.exception_handler(AuthenticationError)
    def not_signed_in(request: HttpRequest, _: Any) -> HttpResponse:
        message = "You are not signed in, or your session has ended. Sign in again."
        return answer(request, 401, code="signed-out", message=message)

    @api.exception_handler(HttpError)
    def http(request: HttpRequest, error: HttpError) -> HttpResponse:
        code = "csrf" if error.status_code == 403 else "refused"
        return answer(request, error.status_code, code=code, message=str(error))

    @api.exception_handler(ValidationError)
    def invalid(request: HttpRequest, error: ValidationError) -> HttpResponse:
        first = error.errors[0] if error.errors else {}
        where = " → ".join(str(part) for part in first.get("loc", ())[1:])
        message = f"The request is not understood: {where}: {first.get('msg', '')}."
        return answer(request, 422, code="bad-request", message=message)

    @api.exception_handler(OperationalError)
    def no_database(request: HttpRequest, _: Any) -> HttpResponse:
        return answer(request, 503, **_AWAY)


def broken(request: HttpRequest) -> HttpResponse:
    """Answer for what broke on the way to an endpoint, as endpoints do: Django's ``handler500``."""
    if isinstance(sys.exc_info()[1], OperationalError | InterfaceError):
        return JsonResponse({**_AWAY, "at": None}, status=503)
    return server_error(request)
