"""A browser's session for the server's tests."""

import json
from typing import Any

from django.test import Client


class ApiClient:
    """A browser's session: keeps cookies, sends the CSRF token, speaks JSON."""

    def __init__(self) -> None:
        self.http = Client(enforce_csrf_checks=True)

    def call(self, method: str, path: str, body: Any = None, *, token: bool = True) -> Any:
        """Make one call to the API."""
        headers = {}
        if token and "csrftoken" in self.http.cookies:
            headers["X-CSRFToken"] = self.http.cookies["csrftoken"].value
        return self.http.generic(
            method,
            f"/api{path}",
            json.dumps(body) if body is not None else "",
            content_type="application/json",
            headers=headers,
        )

    def sign_in(self, name: str, password: str = "right") -> Any:
        """Get the CSRF cookie and sign in."""
        self.call("GET", "/session")
        return self.call("POST", "/session", {"username": name, "password": password})
