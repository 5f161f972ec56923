"""The school's own sign-in: believed only when it tells the truth, for this attempt, to us."""

import threading
import urllib.request
from collections.abc import Iterator
from typing import Any
from urllib.parse import urlsplit

import pytest
from api.testing import ApiClient
from django.contrib.auth.models import User

from standins.provider import CLIENT, LIES, SECRET, Provider
from teachers.models import AuditEntry, Person


@pytest.fixture(scope="module")
def _provider() -> Iterator[Provider]:
    provider = Provider(0)
    threading.Thread(target=provider.serve_forever, daemon=True).start()
    yield provider
    provider.shutdown()
    provider.server_close()


@pytest.fixture
def provider(_provider: Provider, settings: Any) -> Iterator[Provider]:
    """Return the running provider, which the settings name and which is honest."""
    settings.PROVIDER = {
        "issuer": _provider.issuer,
        "client": CLIENT,
        "secret": SECRET,
        "label": "your school account",
        "makes_accounts": "True",
    }
    settings.SITE = "http://testserver"
    _provider.lie = ""
    yield _provider
    _provider.lie = ""


class _NoRedirects(urllib.request.HTTPRedirectHandler):
    def redirect_request(self, *_: Any) -> None:
        return None


def _way_back(place: str, who: str) -> str:
    """Return where the provider sends the browser back to when it is *who* that signs in."""
    opener = urllib.request.build_opener(_NoRedirects)
    try:
        opener.open(place.replace("/authorize?", "/as?") + f"&who={who}", timeout=10)
    except urllib.error.HTTPError as sent:
        parts = urlsplit(sent.headers["Location"])
        return f"{parts.path}?{parts.query}"
    raise AssertionError("the provider sends nobody back")


def _connect(client: ApiClient, who: str = "sund") -> str:
    """Connect the account that is signed in; return where the browser ends."""
    assert client.call("POST", "/account/provider", {"password": "right"}).status_code == 204
    return _sign_in(client, who)


def _sign_in(client: ApiClient, who: str = "sund") -> str:
    """Go the whole way; return where the browser ends."""
    begun = client.http.get("/provider/begin")
    if begun["Location"].startswith("/"):
        return str(begun["Location"])
    return str(client.http.get(_way_back(begun["Location"], who))["Location"])


def test_who_is_new_gets_an_account_and_comes_back_to_it(
    provider: Provider, anybody: ApiClient
) -> None:
    assert _sign_in(anybody) == "/"
    assert anybody.call("GET", "/session").json()["username"] == "sund"
    anybody.call("DELETE", "/session")

    assert _sign_in(anybody) == "/"
    assert User.objects.count() == 1
    teacher = User.objects.get()
    assert not teacher.has_usable_password()
    assert Person.objects.get(teacher=teacher).subject == f"{provider.issuer} id-sund"
    assert anybody.sign_in("sund", "").status_code in (401, 422)


@pytest.mark.parametrize("lie", LIES)
def test_no_lie_lets_anybody_in(provider: Provider, anybody: ApiClient, lie: str) -> None:
    provider.lie = lie

    assert _sign_in(anybody) == "/?said=provider-lies"

    assert User.objects.count() == 0
    assert anybody.call("GET", "/session").json()["username"] == ""


def test_an_answer_counts_once_and_only_where_it_was_asked_for(
    provider: Provider, anybody: ApiClient, ada: ApiClient
) -> None:
    begun = anybody.http.get("/provider/begin")
    back = _way_back(begun["Location"], "varga")
    ada.call("DELETE", "/session")

    assert ada.http.get(back)["Location"] == "/?said=provider-lies"  # another browser's attempt
    assert anybody.http.get(back)["Location"] == "/"
    assert anybody.http.get(back)["Location"] == "/?said=provider-lies"
    assert anybody.http.get("/provider/back?code=made-up&state=made-up")["Location"] == (
        "/?said=provider-lies"
    )


def test_whoever_declines_is_told_so(provider: Provider, anybody: ApiClient) -> None:
    assert _sign_in(anybody, "") == "/?said=provider-declined"


def test_an_account_is_connected_by_its_owner_alone(
    provider: Provider, settings: Any, ada: ApiClient, ben: ApiClient, anybody: ApiClient
) -> None:
    settings.PROVIDER = {**settings.PROVIDER, "makes_accounts": "False"}
    assert _sign_in(anybody) == "/?said=provider-unknown"
    assert User.objects.count() == 2

    assert _connect(ada) == "/account?said=connected"
    assert _connect(ben) == "/?said=provider-taken"
    assert _sign_in(anybody) == "/"
    assert anybody.call("GET", "/session").json()["username"] == "ada"
    said = AuditEntry.objects.filter(teacher__username="ada").values_list("says", flat=True)
    assert "The school's sign-in was connected." in said

    assert ada.call("DELETE", "/account/provider").status_code == 204
    anybody.call("DELETE", "/session")
    assert _sign_in(anybody) == "/?said=provider-unknown"


def test_a_locked_account_stays_locked_by_this_way_too(
    provider: Provider, anybody: ApiClient
) -> None:
    assert _sign_in(anybody) == "/"
    User.objects.update(is_active=False)
    other = ApiClient()
    assert _sign_in(other) == "/?said=provider-locked"


def test_a_provider_that_is_away_is_said_to_be(settings: Any, anybody: ApiClient) -> None:
    settings.PROVIDER = {
        "issuer": "http://127.0.0.1:9",
        "client": CLIENT,
        "secret": SECRET,
        "label": "x",
        "makes_accounts": "False",
    }
    assert _sign_in(anybody) == "/?said=provider-away"
    settings.PROVIDER = {}
    assert _sign_in(anybody) == "/?said=provider-none"


def test_who_was_locked_on_the_way_connects_nothing(provider: Provider, ada: ApiClient) -> None:
    ada.call("POST", "/account/provider", {"password": "right"})
    begun = ada.http.get("/provider/begin")
    back = _way_back(begun["Location"], "sund")
    teacher = User.objects.get(username="ada")
    teacher.is_active = False
    teacher.save()
    assert ada.http.get(back)["Location"] == "/?said=provider-lies"
    assert not Person.objects.exclude(subject=None).exists()


def test_a_link_on_a_strangers_page_connects_nothing(provider: Provider, ada: ApiClient) -> None:
    assert ada.http.get("/provider/begin")["Location"] == "/account"
    assert ada.call("POST", "/account/provider", {"password": "wrong"}).status_code == 401
    assert (
        ada.call("POST", "/account/provider", {"password": "right"}, token=False).status_code == 403
    )
    assert ada.http.get("/provider/begin")["Location"] == "/account"
    assert _connect(ada) == "/account?said=connected"
    assert ada.http.get("/provider/begin")["Location"] == "/account", "a wish is good once"
