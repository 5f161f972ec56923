"""Teachers and clients for the server's tests."""

import json
from collections.abc import Iterator
from typing import Any

import pytest
from algebra import pool
from django.contrib.auth.models import User
from django.http import HttpResponse
from django.test import Client


class ApiClient:
    """A browser's session: keeps cookies, sends the CSRF token, speaks JSON."""

    def __init__(self) -> None:
        self.http = Client(enforce_csrf_checks=True)

    def call(self, method: str, path: str, body: Any = None, *, token: bool = True) -> HttpResponse:
        """Make one call to the API."""
        headers = {}
        if token and "csrftoken" in self.http.cookies:
            headers["X-CSRFToken"] = self.http.cookies["csrftoken"].value
        return self.http.generic(  # type: ignore[return-value]
            method,
            f"/api{path}",
            json.dumps(body) if body is not None else "",
            content_type="application/json",
            headers=headers,
        )

    def sign_in(self, name: str, password: str = "right") -> HttpResponse:
        """Get the CSRF cookie and sign in."""
        self.call("GET", "/session")
        return self.call("POST", "/session", {"username": name, "password": password})


@pytest.fixture
def anybody(db: None) -> ApiClient:
    """Return a client that is not signed in."""
    return ApiClient()


@pytest.fixture
def ada(db: None) -> ApiClient:
    """Return a client signed in as teacher ada."""
    return _signed_in("ada")


@pytest.fixture
def ben(db: None) -> ApiClient:
    """Return a client signed in as teacher ben."""
    return _signed_in("ben")


def _signed_in(name: str) -> ApiClient:
    User.objects.create_user(name, password="right")
    client = ApiClient()
    assert client.sign_in(name).status_code == 200
    return client


@pytest.fixture(scope="session", autouse=True)
def _workers_end() -> Iterator[None]:
    yield
    pool.close()
