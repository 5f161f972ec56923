"""A browser's session for the server's tests."""

import json
from typing import Any

from django.core.files.uploadedfile import SimpleUploadedFile
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

    def listed(self, path: str) -> list[dict[str, Any]]:
        """Return the first page of a list."""
        reply = self.call("GET", path)
        assert reply.status_code == 200, reply.json()
        found: list[dict[str, Any]] = reply.json()["results"]
        return found

    def upload(self, path: str, name: str, content: bytes) -> Any:
        """Send one file as the field ``file``."""
        token = self.http.cookies["csrftoken"].value
        file = SimpleUploadedFile(name, content)
        return self.http.post(f"/api{path}", {"file": file}, headers={"X-CSRFToken": token})

    def set_of(self, *problems: dict[str, Any], **more: Any) -> dict[str, Any]:
        """Store a set of new problems and return it."""
        stored = self.call("POST", "/sets", {"title": "Sheet", **more}).json()
        reply = self.call("POST", f"/sets/{stored['id']}/problems", {"problems": problems})
        assert reply.status_code == 200, reply.json()
        found: dict[str, Any] = reply.json()
        return found

    def sign_in(self, name: str, password: str = "right") -> Any:
        """Get the CSRF cookie and sign in."""
        self.call("GET", "/session")
        return self.call("POST", "/session", {"username": name, "password": password})
