"""One line in the log for every call of the API: when, which, how it ended, how long it took. Nothing personal."""

import logging
import time
from collections.abc import Callable
from uuid import uuid4

from django.http import HttpRequest, HttpResponseBase

from api.figures import CALLS

log = logging.getLogger("uchuu.calls")
NUMBER = "X-Request-Id"
METHODS = frozenset({"GET", "HEAD", "OPTIONS", "POST", "PUT", "PATCH", "DELETE"})
"""Ways to call that figures are kept of by name: what anybody can make up is not."""


class Journal:
    """Gives every call a number, which stands in its answer too, and writes its line."""

    def __init__(self, get_response: Callable[[HttpRequest], HttpResponseBase]) -> None:
        self._get_response = get_response

    def __call__(self, request: HttpRequest) -> HttpResponseBase:
        """Answer, and write."""
        if not request.path.startswith("/api/"):
            return self._get_response(request)
        request.META[NUMBER] = number = uuid4().hex[:8]
        begun = time.perf_counter()
        response = self._get_response(request)
        response[NUMBER] = number
        name = request.resolver_match.route if request.resolver_match else "nowhere"
        seconds = time.perf_counter() - begun
        status, method = response.status_code, request.method or ""
        log.info(
            *("%s %s %s %d %.0f ms", number, method, name, status, seconds * 1000),
            extra={
                "number": number,
                "method": method,
                "route": name,
                "status": status,
                "seconds": round(seconds, 4),
            },
        )
        CALLS.labels(method if method in METHODS else "other", name, f"{status // 100}xx").observe(
            seconds
        )
        return response
