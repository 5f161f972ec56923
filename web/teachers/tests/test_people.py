"""Administrators: they make, lock and release accounts, and see no work."""

from datetime import timedelta
from typing import Any

import pytest
from api.testing import ApiClient
from config.api import api
from django.contrib.auth.models import User
from django.utils import timezone

from teachers import second_factor
from teachers.audit import forget_old, note
from teachers.models import AuditEntry, Department, Person
from teachers.people import person_of
from teachers.tests.test_second_factor import with_second_factor

GOOD = "quay-lantern-7"


@pytest.fixture
def keeper(ben: ApiClient) -> ApiClient:
    """Return ben, who keeps the school's accounts."""
    Person.objects.create(teacher=User.objects.get(username="ben"), is_administrator=True)
    with_second_factor(ben, "ben")
    return ben


def _key(name: str) -> int:
    return int(User.objects.get(username=name).pk)


def test_nobody_else_gets_at_accounts(ada: ApiClient, ben: ApiClient) -> None:
    calls = [
        (method.upper(), path.removeprefix("/api").format(identity=1))
        for path, methods in api.get_openapi_schema()["paths"].items()
        if path.startswith("/api/people")
        for method in methods
    ]
    assert len(calls) >= 9
    bodies = {"title": "x", "department": None, "administrator": True}
    for method, path in calls:
        reply = ada.call(method, path, bodies)
        assert (reply.status_code, reply.json()["code"]) == (403, "not-yours"), path
    Person.objects.create(teacher=User.objects.get(username="ben"), is_administrator=True)
    assert ben.call("GET", "/people").json()["code"] == "needs-second-factor"


def test_an_administrator_sees_who_and_not_what(keeper: ApiClient, ada: ApiClient) -> None:
    stored = ada.call("POST", "/examples", {"task": "solve", "given": "7x = 21"}).json()
    rows = {row["username"]: row for row in keeper.listed("/people")}
    assert set(rows) == {"ada", "ben"}
    assert set(rows["ada"]) == {
        *("id", "username", "mail", "department", "administrator", "locked", "leaves"),
        *("last_here", "second_factor"),
    }
    assert keeper.call("GET", f"/examples/{stored['id']}").status_code == 404
    assert [row["username"] for row in keeper.listed("/people?search=AD")] == ["ada"]


def test_a_locked_account_is_out_at_once_and_released_again(
    keeper: ApiClient, ada: ApiClient
) -> None:
    locked = keeper.call("POST", f"/people/{_key('ada')}/lock")
    assert locked.json()["locked"]
    assert ada.call("GET", "/examples").status_code == 401
    assert ada.sign_in("ada").status_code == 401
    for _ in range(5):
        ada.sign_in("ada", "wrong")

    assert not keeper.call("POST", f"/people/{_key('ada')}/release").json()["locked"]
    assert ada.sign_in("ada").status_code == 200
    entries = ada.call("GET", "/account/audit").json()["results"]
    assert [(one["says"], one["by"]) for one in entries if one["by"] == "ben"] == [
        ("The account was released.", "ben"),
        ("The account was locked.", "ben"),
    ]


def test_somebody_always_keeps_the_accounts(keeper: ApiClient, ada: ApiClient) -> None:
    own = f"/people/{_key('ben')}"
    assert keeper.call("POST", f"{own}/lock").json()["code"] == "own"
    plain = {"department": None, "administrator": False}
    assert keeper.call("PUT", own, plain).json()["code"] == "last"

    both = {"department": None, "administrator": True}
    assert keeper.call("PUT", f"/people/{_key('ada')}", both).json()["administrator"]
    assert keeper.call("PUT", own, plain).status_code == 200
    assert keeper.call("GET", "/people").status_code == 403


def test_departments_are_made_filled_and_dissolved(keeper: ApiClient, ada: ApiClient) -> None:
    made = keeper.call("POST", "/people/departments", {"title": "Mathematics"}).json()
    assert keeper.call("POST", "/people/departments", {"title": "mathematics"}).status_code == 422
    placed = {"department": made["id"], "administrator": False}
    assert keeper.call("PUT", f"/people/{_key('ada')}", placed).status_code == 200
    assert (
        keeper.call("PUT", f"/people/{_key('ada')}", {**placed, "department": 77}).status_code
        == 404
    )
    assert ada.call("GET", "/session").json()["department"] == "Mathematics"

    assert keeper.call("DELETE", f"/people/departments/{made['id']}").status_code == 204
    assert ada.call("GET", "/session").json()["department"] == ""
    assert not Department.objects.exists()


def test_links_are_made_for_who_has_no_mail(
    keeper: ApiClient, ada: ApiClient, anybody: ApiClient
) -> None:
    link = keeper.call("POST", f"/people/{_key('ada')}/reset").json()["link"]
    token = link.rpartition("/")[2]
    anybody.call("GET", "/session")
    assert anybody.call("POST", f"/session/reset/{token}", {"password": GOOD}).status_code == 204
    assert anybody.sign_in("ada", GOOD).status_code == 200

    wish = {"mail": "", "department": None, "administrator": False}
    invited = keeper.call("POST", "/people/invitations", wish).json()
    assert not invited["sent"]
    token = invited["link"].rpartition("/")[2]
    new = {"username": "dora", "password": GOOD}
    assert _fresh().call("POST", f"/session/invited/{token}", new).status_code == 201


def _fresh() -> ApiClient:
    client = ApiClient()
    client.call("GET", "/session")
    return client


def test_who_lost_the_second_factor_is_helped(
    keeper: ApiClient, ada: ApiClient, anybody: ApiClient
) -> None:
    with_second_factor(ada, "ada")
    assert keeper.call("POST", f"/people/{_key('ada')}/second-factor").status_code == 204
    assert anybody.sign_in("ada").status_code == 200


def test_the_log_is_its_owners_and_forgets_what_is_old(ada: ApiClient, ben: ApiClient) -> None:
    teacher = User.objects.get(username="ada")
    for number in range(20):
        note(teacher, f"entry {number}")
    first = ada.call("GET", "/account/audit").json()
    rest = ada.call("GET", f"/account/audit?cursor={first['next']}").json()
    says = [one["says"] for one in first["results"] + rest["results"]]
    assert says == [f"entry {number}" for number in reversed(range(20))]
    assert ben.call("GET", "/account/audit").json()["results"] == []
    AuditEntry.objects.filter(says="entry 3").update(at=timezone.now() - timedelta(days=731))
    forget_old()
    assert AuditEntry.objects.count() == 19


def test_mail_addresses_are_ones_own(ada: ApiClient, ben: ApiClient) -> None:
    def put(who: ApiClient, mail: str, password: str = "right") -> Any:
        return who.call("PUT", "/account/mail", {"mail": mail, "password": password})

    assert put(ada, "ada@school.example", "wrong").status_code == 401
    assert put(ada, "ada@school.example").json()["mail"] == "ada@school.example"
    assert put(ben, "ADA@school.example").json()["code"] == "bad-mail"
    assert put(ben, "no address").status_code == 422
    assert put(ada, "").json()["mail"] == ""
    assert person_of(User.objects.get(username="ada")).subject is None
    assert second_factor.codes_left(User.objects.get(username="ada")) == 0
