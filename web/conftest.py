"""Teachers and clients for the server's tests."""

from collections.abc import Iterator

import pytest
from algebra import pool
from api.testing import ApiClient
from django.contrib.auth.models import User


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
