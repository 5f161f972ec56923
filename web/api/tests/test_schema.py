"""The API's schema is the one that the front end was generated from."""

from pathlib import Path

from config.management.commands.write_openapi import schema_text
from django.conf import settings

from api.testing import ApiClient


def test_the_committed_schema_is_current() -> None:
    committed = (Path(settings.ROOT) / "web" / "openapi.json").read_text("utf-8")

    assert committed == schema_text(), "run: web/manage.py write_openapi, then npm run schema"


def test_a_request_that_breaks_the_schema_says_where(ada: ApiClient) -> None:
    reply = ada.call("POST", "/examples", {"task": "sing"})

    assert reply.status_code == 422
    assert "task" in reply.json()["message"]


def test_every_call_but_the_session_needs_a_teacher(anybody: ApiClient) -> None:
    anybody.call("GET", "/session")

    for path in ("/examples", "/house", "/algebra/errors"):
        assert anybody.call("GET", path).status_code == 401
