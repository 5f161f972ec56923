"""One's own account: begun on the first page, its password changed, its sessions seen and ended."""

from typing import Any

import pytest
from api.testing import ApiClient
from django.contrib.auth.models import User
from django.contrib.sessions.models import Session
from django.utils import timezone

from teachers import sessions
from teachers.models import SignedIn
from teachers.sessions import IDLE, forget_ended

GOOD = "a long enough one"


def _begin(client: ApiClient, name: str = "sund", password: str = GOOD) -> Any:
    client.call("GET", "/session")
    return client.call("POST", "/session/own", {"username": name, "password": password})


def test_where_nobody_is_yet_whoever_sits_there_begins(anybody: ApiClient) -> None:
    assert anybody.call("GET", "/session").json()["may_begin"] is True

    assert _begin(anybody).status_code == 201

    assert anybody.listed("/examples") == []
    other = ApiClient()
    assert other.call("GET", "/session").json()["may_begin"] is False
    assert _begin(other, "second").status_code == 403


def test_in_the_demonstration_one_begins_ones_own(anybody: ApiClient) -> None:
    User.objects.create_user("marin", password=GOOD)
    told = anybody.call("GET", "/session").json()
    assert (told["demonstration"], told["may_begin"]) == (True, True)

    assert _begin(anybody).json()["username"] == "sund"
    assert anybody.call("GET", "/session").json()["demonstration"] is False


@pytest.mark.parametrize(
    ("name", "password"),
    [
        ("sund", "short"),
        ("sund", "password123"),
        ("no/such name", GOOD),
        ("marin", GOOD),
        (" ", GOOD),
    ],
)
def test_a_name_or_password_that_will_not_do_is_refused_with_its_reason(
    anybody: ApiClient, name: str, password: str
) -> None:
    User.objects.create_user("marin", password=GOOD)

    refused = _begin(anybody, name, password)

    assert refused.status_code == 422
    assert refused.json()["message"]
    assert User.objects.count() == 1


def test_on_a_school_server_nobody_begins_by_themselves(anybody: ApiClient, settings: Any) -> None:
    settings.AT_HOME = False
    assert _begin(anybody).status_code == 403


def test_a_new_password_ends_all_other_sessions(ada: ApiClient) -> None:
    elsewhere = ApiClient()
    elsewhere.sign_in("ada")

    wrong = ada.call("PUT", "/session/password", {"old": "no", "new": GOOD})
    weak = ada.call("PUT", "/session/password", {"old": "right", "new": "short"})
    assert (wrong.status_code, weak.status_code) == (401, 422)
    assert ada.call("PUT", "/session/password", {"old": "right", "new": GOOD}).status_code == 204

    assert ada.call("GET", "/examples").status_code == 200
    assert elsewhere.call("GET", "/examples").status_code == 401
    assert ApiClient().sign_in("ada").status_code == 401
    assert ApiClient().sign_in("ada", GOOD).status_code == 200
    assert [one["here"] for one in ada.call("GET", "/session/places").json()].count(True) == 1


def test_sessions_are_seen_and_ended_one_by_one_or_all(ada: ApiClient, ben: ApiClient) -> None:
    others = [ApiClient() for _ in range(3)]
    for other in others:
        other.sign_in("ada")

    def seen() -> list[dict[str, Any]]:
        found: list[dict[str, Any]] = ada.call("GET", "/session/places").json()
        return found

    assert [one["here"] for one in seen()] == [False, False, False, True]
    newest = seen()[0]["id"]
    assert ben.call("DELETE", f"/session/places/{newest}").status_code == 404
    assert ada.call("DELETE", f"/session/places/{newest}").status_code == 204
    assert others[2].call("GET", "/examples").status_code == 401
    assert others[1].call("GET", "/examples").status_code == 200
    assert ada.call("DELETE", "/session/places/others").status_code == 204
    assert [one["here"] for one in seen()] == [True]
    assert ben.call("GET", "/examples").status_code == 200


def test_signing_out_takes_the_session_off_the_list(ada: ApiClient) -> None:
    ada.call("DELETE", "/session")
    assert not SignedIn.objects.exists()


def test_on_a_shared_computer_a_session_ends_when_it_is_left_alone(
    anybody: ApiClient, monkeypatch: pytest.MonkeyPatch, django_user_model: Any
) -> None:
    django_user_model.objects.create_user("ada", password=GOOD)
    anybody.call("GET", "/session")
    body = {"username": "ada", "password": GOOD, "shared": True}
    assert anybody.call("POST", "/session", body).status_code == 200

    before = Session.objects.get().expire_date
    assert before - timezone.now() <= IDLE
    anybody.call("GET", "/session")
    assert Session.objects.get().expire_date == before, "not written at every call"
    monkeypatch.setattr(sessions, "_EVERY", -1.0)
    anybody.call("GET", "/session")
    assert Session.objects.get().expire_date > before, "whoever works stays signed in"


def test_what_was_noted_of_ended_sessions_goes(ada: ApiClient) -> None:
    SignedIn.objects.create(teacher=User.objects.get(), session="gone")
    forget_ended()
    assert SignedIn.objects.count() == 1
