"""Who may call: a signed-in teacher; for signing in, anyone with a CSRF token."""

from typing import Any, cast

from django.conf import settings
from django.contrib.auth.models import User
from django.http import HttpRequest
from ninja.security import APIKeyCookie, SessionAuth


class CsrfOnly(APIKeyCookie):
    """Lets everybody in who sends the CSRF token: a sign-in must not be forged either."""

    param_name = settings.CSRF_COOKIE_NAME

    def authenticate(self, request: HttpRequest, key: str | None) -> Any:
        """Accept; the check of the token has been made before."""
        return True


csrf_only = CsrfOnly(csrf=True)
signed_in = SessionAuth(csrf=True)


def teacher_of(request: HttpRequest) -> User:
    """Return the signed-in teacher (only behind ``signed_in``)."""
    return cast(User, request.user)
