"""Guessing: counted by name and place, by place, by name; never a way to lock its owner out."""

from typing import Any

import pytest
from api.proxies import settle
from api.testing import ApiClient
from axes.models import AccessAttempt
from django.contrib.auth.models import User
from django.http import HttpRequest
from django.test import override_settings
from hypothesis import given
from hypothesis import strategies as st

from teachers import guard


@pytest.fixture
def names(settings: Any) -> list[str]:
    """Return forty teachers behind one proxy."""
    settings.PROXIES = ["127.0.0.1"]
    made = [f"teacher{n:02}" for n in range(40)]
    for name in made:
        User.objects.create_user(name, password="right")
    return made


def _try(client: ApiClient, name: str, password: str, address: str) -> str:
    client.http.defaults["HTTP_X_FORWARDED_FOR"] = address
    client.call("GET", "/session")
    reply = client.call("POST", "/session", {"username": name, "password": password})
    return "in" if reply.status_code == 200 else str(reply.json()["code"])


@pytest.mark.parametrize("address", ["198.51.100.7", "10.0.0.7", "fd12:3456::7"])
def test_forty_guesses_over_forty_names_from_one_address_end_early(
    anybody: ApiClient, names: list[str], address: str
) -> None:
    said = [_try(ApiClient(), name, "wrong", address) for name in names]
    assert said == ["wrong-password"] * guard.FROM_ONE_ADDRESS + ["locked"] * 10
    assert _try(ApiClient(), names[0], "right", address) == "locked"
    assert _try(ApiClient(), names[0], "right", "198.51.100.8") == "in", "elsewhere it is open"


def test_guesses_at_one_name_from_many_addresses_end_early(
    anybody: ApiClient, names: list[str]
) -> None:
    said = [_try(ApiClient(), names[0], "wrong", f"198.51.100.{n}") for n in range(40)]
    assert said == ["wrong-password"] * guard.FOR_ONE_NAME + ["locked"] * 20
    assert _try(ApiClient(), names[1], "right", "198.51.100.1") == "in", "others are not meant"


def test_strangers_cannot_lock_the_owner_out_of_a_known_browser(
    anybody: ApiClient, names: list[str]
) -> None:
    own = ApiClient()
    assert _try(own, names[0], "right", "198.51.100.7") == "in"
    own.call("DELETE", "/session")
    for name in names:  # a pupil at the same school's address
        _try(ApiClient(), name, "wrong", "198.51.100.7")
    for n in range(40):
        _try(ApiClient(), names[0], "wrong", f"203.0.113.{n}")

    assert _try(ApiClient(), names[0], "right", "198.51.100.7") == "locked"
    assert _try(own, names[0], "right", "198.51.100.7") == "in"
    assert _try(own, names[1], "right", "198.51.100.7") == "locked", "known for one name only"


def test_a_known_browser_has_five_tries_too(anybody: ApiClient, names: list[str]) -> None:
    own = ApiClient()
    _try(own, names[0], "right", "198.51.100.7")
    said = [_try(own, names[0], "wrong", f"203.0.113.{n}") for n in range(6)]
    assert said == ["wrong-password"] * 4 + ["locked"] * 2
    assert _try(ApiClient(), names[0], "right", "198.51.100.7") == "in", "strangers are not meant"


def test_a_forged_cookie_makes_no_known_browser(anybody: ApiClient, names: list[str]) -> None:
    for _ in range(5):
        _try(ApiClient(), names[0], "wrong", "198.51.100.7")
    forged = ApiClient()
    forged.http.cookies["known"] = "eyJkZXZpY2UiOiJ4IiwibmFtZXMiOlsieCJdfQ:1x:forged"
    assert _try(forged, names[0], "right", "198.51.100.7") == "locked"
    assert set(AccessAttempt.objects.values_list("ip_address", flat=True)) == {"198.51.100.7"}


def test_on_a_shared_computer_no_browser_becomes_known(
    anybody: ApiClient, names: list[str]
) -> None:
    anybody.call("GET", "/session")
    body = {"username": names[0], "password": "right", "shared": True}
    assert anybody.call("POST", "/session", body).status_code == 200
    assert "known" not in anybody.http.cookies


ADDRESS = st.ip_addresses(v=4).map(str)


@given(
    stranger=ADDRESS.filter(lambda one: not one.startswith(("127.", "10."))),
    claimed=st.lists(st.one_of(ADDRESS, st.text(max_size=8)), max_size=4),
)
def test_a_strangers_word_of_where_it_is_is_never_taken(stranger: str, claimed: list[str]) -> None:
    request = HttpRequest()
    request.META = {
        "REMOTE_ADDR": stranger,
        "HTTP_X_FORWARDED_FOR": ", ".join(claimed),
        "HTTP_X_FORWARDED_PROTO": "https",
        "HTTP_X_FORWARDED_HOST": "evil.example",
    }
    with override_settings(PROXIES=["127.0.0.1", "10.0.0.0/24"]):
        settle(request)
    assert {"REMOTE_ADDR": stranger} == request.META


@given(
    client=ADDRESS.filter(lambda one: not one.startswith("10.")),
    forged=st.lists(ADDRESS, max_size=3),
)
def test_behind_proxies_the_client_is_the_last_that_is_no_proxy(
    client: str, forged: list[str]
) -> None:
    request = HttpRequest()
    chain = [*forged, client, "10.0.0.9"]
    request.META = {"REMOTE_ADDR": "127.0.0.1", "HTTP_X_FORWARDED_FOR": ", ".join(chain)}
    with override_settings(PROXIES=["127.0.0.1/32", "10.0.0.0/24"]):
        settle(request)
    assert request.META["REMOTE_ADDR"] == client
