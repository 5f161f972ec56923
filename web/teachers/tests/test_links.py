"""Links that let somebody in once: a new password by mail, an invitation."""

import re
from datetime import timedelta
from pathlib import Path
from typing import Any

import pytest
from api.testing import ApiClient
from django.contrib.auth.models import User
from django.utils import timezone

from launcher.postgres import free_port
from standins.mailbox import Mailbox
from teachers import invitations
from teachers.accounts import AccountRefused
from teachers.invitations import invite
from teachers.models import AuditEntry, Department, Invitation
from teachers.people import set_person
from teachers.resets import PAUSE, link_for

GOOD = "quay-lantern-7"


@pytest.fixture
def mailed(settings: Any, mailoutbox: list[Any]) -> list[Any]:
    """Return the mails that are sent."""
    settings.SENDS_MAIL = True
    return mailoutbox


def _cleo(mail: str = "cleo@school.example") -> User:
    return User.objects.create_user("cleo", password="right", email=mail)


def _token(text: str) -> str:
    return re.search(r"/(?:reset|invited)/(\S+)", text).group(1)  # type: ignore[union-attr]


@pytest.mark.parametrize("name", ["cleo", "CLEO@school.example"])
def test_a_link_by_mail_sets_a_new_password_once(
    anybody: ApiClient, mailed: list[Any], name: str
) -> None:
    _cleo()
    elsewhere = ApiClient()
    elsewhere.sign_in("cleo", "right")
    anybody.call("GET", "/session")

    assert anybody.call("POST", "/session/reset", {"name": name}).status_code == 204
    token = _token(mailed[0].body)
    assert mailed[0].to == ["cleo@school.example"]
    assert anybody.call("GET", f"/session/reset/{token}").json() == {"name": "cleo"}

    weak = anybody.call("POST", f"/session/reset/{token}", {"password": "password12"})
    assert (weak.status_code, weak.json()["code"]) == (422, "bad-password")
    done = anybody.call("POST", f"/session/reset/{token}", {"password": GOOD})
    assert done.status_code == 204
    assert elsewhere.call("GET", "/examples").status_code == 401, "all sessions end"
    again = anybody.call("POST", f"/session/reset/{token}", {"password": GOOD + "!"})
    assert (again.status_code, again.json()["code"]) == (410, "gone")
    assert anybody.sign_in("cleo", GOOD).status_code == 200
    assert AuditEntry.objects.filter(says__contains="password was changed").count() == 1


def test_whoever_asks_is_not_told_whether_there_is_such_an_account(
    anybody: ApiClient, mailed: list[Any]
) -> None:
    _cleo()
    anybody.call("GET", "/session")
    answers = [
        anybody.call("POST", "/session/reset", {"name": name})
        for name in ("cleo", "nobody", "nobody@school.example", "cleo")
    ]
    assert {(one.status_code, one.content) for one in answers} == {(204, b"")}
    assert len(mailed) == 1, "and a second mail only after a while"
    set_person(User.objects.get(), reset_sent=timezone.now() - PAUSE - timedelta(seconds=1))
    anybody.call("POST", "/session/reset", {"name": "cleo"})
    assert len(mailed) == 2


def test_a_link_that_is_old_guessed_or_of_a_locked_account_is_gone(
    anybody: ApiClient, settings: Any
) -> None:
    cleo = _cleo()
    token = _token(link_for(cleo))
    anybody.call("GET", "/session")
    key = token.partition(".")[0]
    for guess in ("x", ".", f"{key}.", f"{key}.abc-def", f"MQ.{token.partition('.')[2]}x", "ÿ.ÿ"):
        assert anybody.call("GET", f"/session/reset/{guess}").status_code == 410, guess

    settings.PASSWORD_RESET_TIMEOUT = -1
    assert anybody.call("GET", f"/session/reset/{token}").status_code == 410
    settings.PASSWORD_RESET_TIMEOUT = 3600
    assert anybody.call("GET", f"/session/reset/{token}").status_code == 200
    User.objects.update(is_active=False)
    assert anybody.call("GET", f"/session/reset/{token}").status_code == 410


def test_an_invitation_makes_one_account_where_it_is_for(
    anybody: ApiClient, ada: ApiClient
) -> None:
    by = User.objects.get(username="ada")
    department = Department.objects.create(title="Mathematics")
    found, link, sent = invite(
        by, mail="new@school.example", department=department, is_administrator=False
    )
    assert not sent
    token = _token(link)
    assert token not in found.digest
    anybody.call("GET", "/session")
    told = anybody.call("GET", f"/session/invited/{token}").json()
    assert told == {
        "by": "ada",
        "department": "Mathematics",
        "mail": "new@school.example",
        "administrator": False,
    }
    taken = {"username": "ADA", "password": GOOD, "mail": ""}
    assert anybody.call("POST", f"/session/invited/{token}", taken).json()["code"] == "bad-account"

    made = anybody.call("POST", f"/session/invited/{token}", {"username": "dora", "password": GOOD})
    assert (made.status_code, made.json()["department"]) == (201, "Mathematics")
    assert User.objects.get(username="dora").email == "new@school.example"
    other = {"username": "eve", "password": GOOD}
    assert anybody.call("POST", f"/session/invited/{token}", other).status_code == 422
    assert anybody.call("GET", f"/session/invited/{token}").status_code == 410
    Invitation.objects.update(used=None, expires=timezone.now())
    assert anybody.call("GET", f"/session/invited/{token}").status_code == 410


def test_mail_goes_through_a_real_mail_server(
    anybody: ApiClient, settings: Any, tmp_path: Path
) -> None:
    mailbox = Mailbox(tmp_path, free_port())
    mailbox.begin()
    settings.SENDS_MAIL = True
    settings.EMAIL_BACKEND = "django.core.mail.backends.smtp.EmailBackend"
    settings.EMAIL_HOST = "127.0.0.1"
    settings.EMAIL_PORT = mailbox.port
    settings.DEFAULT_FROM_EMAIL = "uchuu@school.example"
    _cleo()
    anybody.call("GET", "/session")
    try:
        anybody.call("POST", "/session/reset", {"name": "cleo"})
    finally:
        mailbox.end()
    mail = mailbox.mails()[0]
    assert (mail["to"], mail["from"]) == ("cleo@school.example", "uchuu@school.example")
    assert anybody.call("GET", f"/session/reset/{_token(mail.get_content())}").status_code == 200

    set_person(User.objects.get(), reset_sent=None)
    away = anybody.call("POST", "/session/reset", {"name": "cleo"})
    assert away.status_code == 204, "that the mail server is away is logged, and told to nobody"


def test_of_two_who_take_an_invitation_at_the_same_moment_one_gets_it(
    ada: ApiClient, monkeypatch: pytest.MonkeyPatch
) -> None:
    by = User.objects.get(username="ada")
    found, link, _ = invite(by, mail="", department=None, is_administrator=True)
    monkeypatch.setattr(
        invitations, "found_by", lambda _: found
    )  # both looked before either took it
    invitations.accept(_token(link), "dora", GOOD, "")
    with pytest.raises(AccountRefused, match="was used"):
        invitations.accept(_token(link), "eve", GOOD, "")
    assert not User.objects.filter(username="eve").exists()
