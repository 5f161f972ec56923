"""How the server is, told to whoever watches it; a line in the log for every call, with nothing personal in it."""

import logging
import re
from typing import Any

import pytest
from api.testing import ApiClient
from django.db import OperationalError
from examples.models import Example
from uchuu_core.failures import Failure

from config import health


def test_it_lives_and_is_ready_whoever_asks(anybody: ApiClient, settings: Any) -> None:
    settings.INSTALLATION = "here"

    live = anybody.call("GET", "/health")
    ready = anybody.call("GET", "/health/ready")

    assert (live.status_code, live.json()["installation"]) == (200, "here")
    assert ready.status_code == 200
    told = {"database": True, "migrations": True, "algebra": True, "draining": False}
    assert ready.json() == {**live.json(), "ready": True, "jobs": False, **told}


@pytest.mark.parametrize("away", ["database", "algebra"])
def test_what_does_not_answer_is_named(
    anybody: ApiClient, monkeypatch: pytest.MonkeyPatch, away: str
) -> None:
    def broken(*_: Any, **__: Any) -> Any:
        raise OperationalError if away == "database" else Failure("no")

    if away == "database":
        monkeypatch.setattr(health, "connection", type("Away", (), {"cursor": broken})())
    else:
        monkeypatch.setattr("algebra.pool.run", broken)

    told = anybody.call("GET", "/health/ready")

    assert told.status_code == 503
    assert (told.json()["ready"], told.json()[away]) == (False, False)
    assert anybody.call("GET", "/health").status_code == 200


def test_every_call_has_a_number_and_a_line_without_anything_personal(
    ada: ApiClient, caplog: pytest.LogCaptureFixture
) -> None:
    stored = ada.call("POST", "/examples", {"task": "solve", "given": "7x = secret"}).json()
    with caplog.at_level(logging.INFO, "uchuu.calls"):
        reply = ada.call("GET", f"/examples/{stored['id']}")

    line = caplog.records[-1].getMessage()
    assert re.fullmatch(r"[0-9a-f]{8} GET api/examples/\S+ 200 \d+ ms", line)
    assert reply["X-Request-Id"] == line[:8]
    assert stored["id"] not in line
    assert "secret" not in caplog.text
    assert "ada" not in line


def test_a_fault_of_ours_has_a_number_that_is_in_the_log(
    ada: ApiClient, monkeypatch: pytest.MonkeyPatch, caplog: pytest.LogCaptureFixture
) -> None:
    def broken(*_: Any, **__: Any) -> Any:
        raise ZeroDivisionError

    monkeypatch.setattr("examples.api.found_of", broken)
    ada.http.raise_request_exception = False
    with caplog.at_level(logging.INFO, "uchuu.calls"):
        reply = ada.call("GET", "/examples")

    assert (reply.status_code, reply.json()["code"]) == (500, "our-fault")
    assert reply["X-Request-Id"] in reply.json()["message"]
    assert reply["X-Request-Id"] in caplog.text
    assert not Example.objects.exists()


def test_figures_are_kept_of_known_ways_to_call_alone(anybody: ApiClient) -> None:
    for method in ("GET", "MADE-UP-1", "MADE-UP-2"):
        anybody.call(method, "/health")
    text = anybody.call("GET", "/health/figures").content.decode()
    assert 'method="GET",route="api/health"' in text
    assert 'method="other"' in text
    assert "MADE-UP" not in text


def test_figures_are_for_this_machine_or_the_token(anybody: ApiClient, settings: Any) -> None:
    settings.PROXIES = ["127.0.0.1"]
    anybody.http.defaults["HTTP_X_FORWARDED_FOR"] = "127.0.0.1"
    assert anybody.call("GET", "/health/figures").status_code == 403, "passed on by a proxy"
    settings.METRICS_TOKEN = "a token"
    assert anybody.call("GET", "/health/figures").status_code == 403
    anybody.http.defaults["HTTP_AUTHORIZATION"] = "Bearer a token"
    assert anybody.call("GET", "/health/figures").status_code == 200
