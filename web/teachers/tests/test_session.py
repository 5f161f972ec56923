"""Signing in and out."""

from api.testing import ApiClient
from django.contrib.auth.models import User


def test_signing_in_needs_the_token_in_cookie_and_header(anybody: ApiClient) -> None:
    User.objects.create_user("cleo", password="right")
    body = {"username": "cleo", "password": "right"}

    without = anybody.call("POST", "/session", body)
    anybody.call("GET", "/session")
    cookie_only = anybody.call("POST", "/session", body, token=False)
    both = anybody.call("POST", "/session", body)

    assert [reply.status_code for reply in (without, cookie_only, both)] == [403, 403, 200]


def test_who_is_signed_in_is_known_until_sign_out(ada: ApiClient) -> None:
    assert ada.call("GET", "/session").json()["username"] == "ada"

    assert ada.call("DELETE", "/session").status_code == 204

    assert ada.call("GET", "/session").json()["username"] == ""
    assert ada.call("GET", "/examples").json()["code"] == "signed-out"


def test_five_wrong_passwords_lock_the_name(anybody: ApiClient) -> None:
    User.objects.create_user("dora", password="right")

    codes = [anybody.sign_in("dora", "wrong").status_code for _ in range(5)]
    locked = anybody.sign_in("dora", "right")

    assert codes[:4] == [401] * 4
    assert (locked.status_code, locked.json()["code"]) == (429, "locked")


def test_a_change_without_the_token_is_refused(ada: ApiClient) -> None:
    reply = ada.call("POST", "/examples", {"task": "solve", "given": "2x=6"}, token=False)

    assert (reply.status_code, reply.json()["code"]) == (403, "csrf")
