"""Accounts as whoever keeps the installation makes and changes them, with one command."""

from io import StringIO

import pytest
from api.testing import ApiClient
from django.contrib.auth.models import User
from django.core.management import CommandError, call_command

GOOD = "quay-lantern-7"


def _teacher(what: str, name: str, password: str, monkeypatch: pytest.MonkeyPatch) -> str:
    monkeypatch.setenv("UCHUU_PASSWORD", password)
    out = StringIO()
    call_command("teacher", what, name, stdout=out)
    return out.getvalue()


def test_an_account_is_made_changed_and_deleted(
    anybody: ApiClient, monkeypatch: pytest.MonkeyPatch
) -> None:
    assert "can sign in" in _teacher("add", "sund", GOOD, monkeypatch)
    assert anybody.sign_in("sund", GOOD).status_code == 200
    assert anybody.call("GET", "/examples").status_code == 200

    _teacher("password", "sund", GOOD + "!", monkeypatch)
    assert anybody.call("GET", "/examples").status_code == 401  # begun with the old password
    assert anybody.sign_in("sund", GOOD).status_code == 401
    assert anybody.sign_in("sund", GOOD + "!").status_code == 200

    _teacher("remove", "sund", "", monkeypatch)
    assert anybody.call("GET", "/examples").status_code == 401
    assert not User.objects.filter(username="sund").exists()


def test_a_locked_name_is_unlocked(anybody: ApiClient, monkeypatch: pytest.MonkeyPatch) -> None:
    _teacher("add", "sund", GOOD, monkeypatch)
    for _ in range(5):
        anybody.sign_in("sund", "wrong")
    assert anybody.sign_in("sund", GOOD).status_code == 429

    _teacher("unlock", "sund", "", monkeypatch)

    assert anybody.sign_in("sund", GOOD).status_code == 200


@pytest.mark.parametrize(
    ("what", "name", "password", "says"),
    [
        ("add", "Ada", GOOD, "already"),
        ("add", "two words", GOOD, "cannot be a name"),
        ("add", "", GOOD, "cannot be a name"),
        ("add", "sund", "short", "at least 10"),
        ("add", "sund", "password123", "too common"),
        ("password", "ada", "1234567890", "too common"),
        ("password", "nobody", GOOD, "There are: ada"),
        ("unlock", "nobody", "", "There are: ada"),
        ("remove", "nobody", "", "There are: ada"),
    ],
)
def test_what_cannot_be_done_says_why(
    ada: ApiClient, monkeypatch: pytest.MonkeyPatch, what: str, name: str, password: str, says: str
) -> None:
    with pytest.raises(CommandError, match=says):
        _teacher(what, name, password, monkeypatch)
    assert User.objects.count() == 1
