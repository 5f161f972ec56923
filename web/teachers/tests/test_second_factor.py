"""The second factor: asked for after the password, good once, replaced by recovery codes that are used up."""

from typing import Any

import pytest
from api.testing import ApiClient
from django.contrib.auth.models import User
from django_otp.oath import totp
from django_otp.plugins.otp_totp.models import TOTPDevice

from teachers import second_factor


def _number(user: str, steps: int = 0) -> str:
    device = TOTPDevice.objects.filter(user__username=user).order_by("-id").first()
    return f"{totp(device.bin_key, drift=steps):06}"


def with_second_factor(client: ApiClient, user: str) -> list[str]:
    """Set the second factor up as somebody does; return the recovery codes."""
    begun = client.call("POST", "/account/second-factor", {"password": "right"})
    assert begun.status_code == 200, begun.json()
    done = client.call("POST", "/account/second-factor/confirm", {"number": _number(user)})
    assert done.status_code == 200, done.json()
    # what was shown is used up; what a test enters next may be the same number
    TOTPDevice.objects.update(last_t=-1)
    return list(done.json()["codes"])


def test_it_is_set_up_with_the_password_and_a_number(ada: ApiClient) -> None:
    assert ada.call("POST", "/account/second-factor", {"password": "no"}).status_code == 401
    begun = ada.call("POST", "/account/second-factor", {"password": "right"}).json()
    assert begun["picture"].startswith("<svg")
    wrong = ada.call("POST", "/account/second-factor/confirm", {"number": "000000"})
    assert wrong.status_code == 422
    assert not ada.call("GET", "/account").json()["second_factor"], "nothing is asked for yet"

    TOTPDevice.objects.update(throttling_failure_count=0)
    codes = with_second_factor(ada, "ada")
    account = ada.call("GET", "/account").json()
    assert (account["second_factor"], account["codes_left"]) == (True, len(set(codes)))
    assert len(codes) == second_factor.RECOVERY_CODES


def test_without_the_number_nobody_is_signed_in(ada: ApiClient, anybody: ApiClient) -> None:
    with_second_factor(ada, "ada")

    first = anybody.sign_in("ada")
    assert (first.status_code, first.json()["code"]) == (401, "second-factor")
    assert anybody.call("GET", "/examples").status_code == 401
    assert anybody.call("GET", "/session").json()["username"] == ""

    number = _number("ada")
    right = anybody.call("POST", "/session/second", {"number": f"{number[:3]} {number[3:]}"})
    assert (right.status_code, right.json()["username"]) == (200, "ada")

    other = ApiClient()
    other.sign_in("ada")
    again = other.call("POST", "/session/second", {"number": number})
    assert again.json()["code"] == "wrong-number", "a number is good once"


def test_a_number_alone_opens_nothing(ada: ApiClient, anybody: ApiClient) -> None:
    with_second_factor(ada, "ada")
    anybody.call("GET", "/session")
    reply = anybody.call("POST", "/session/second", {"number": _number("ada")})
    assert (reply.status_code, reply.json()["code"]) == (401, "begin-again")


def test_after_five_wrong_numbers_one_begins_again(ada: ApiClient, anybody: ApiClient) -> None:
    with_second_factor(ada, "ada")
    anybody.sign_in("ada")
    codes = []
    for _ in range(6):
        TOTPDevice.objects.update(throttling_failure_count=0)  # its own pause is the next test's
        reply = anybody.call("POST", "/session/second", {"number": "123123"})
        codes.append(reply.json()["code"])
    assert codes == ["wrong-number"] * 5 + ["begin-again"]
    TOTPDevice.objects.update(throttling_failure_count=0)
    assert anybody.call("POST", "/session/second", {"number": _number("ada")}).status_code == 401


def test_wrong_numbers_make_the_next_one_wait(ada: ApiClient, anybody: ApiClient) -> None:
    with_second_factor(ada, "ada")
    anybody.sign_in("ada")
    anybody.call("POST", "/session/second", {"number": "123123"})
    right = anybody.call("POST", "/session/second", {"number": _number("ada")})
    assert "Wait a moment" in right.json()["message"]


@pytest.mark.parametrize("upper", [False, True])
def test_a_recovery_code_is_good_once(ada: ApiClient, anybody: ApiClient, upper: bool) -> None:
    code = with_second_factor(ada, "ada")[0]
    anybody.sign_in("ada")
    typed = code.upper() if upper else f" {code} "
    assert anybody.call("POST", "/session/second", {"number": typed}).status_code == 200
    assert ada.call("GET", "/account").json()["codes_left"] == second_factor.RECOVERY_CODES - 1
    other = ApiClient()
    other.sign_in("ada")
    assert other.call("POST", "/session/second", {"number": code}).status_code == 401

    fresh = ada.call("POST", "/account/second-factor/codes", {"number": _number("ada")})
    assert fresh.status_code == 200
    assert not set(fresh.json()["codes"]) & {code}


def test_it_is_taken_away_with_the_password(ada: ApiClient, anybody: ApiClient) -> None:
    with_second_factor(ada, "ada")
    assert ada.call("POST", "/account/second-factor/drop", {"password": "x"}).status_code == 401
    assert ada.call("POST", "/account/second-factor/drop", {"password": "right"}).status_code == 204
    assert anybody.sign_in("ada").status_code == 200
    says = [one["says"] for one in ada.call("GET", "/account/audit").json()["results"]]
    assert says[0] == "No second factor is asked for any more."
    assert "A second factor is asked for from now on." in says


def test_a_locked_account_has_no_second_try(ada: ApiClient, anybody: ApiClient) -> None:
    with_second_factor(ada, "ada")
    anybody.sign_in("ada")
    User.objects.update(is_active=False)
    reply: Any = anybody.call("POST", "/session/second", {"number": _number("ada")})
    assert reply.json()["code"] == "begin-again"
