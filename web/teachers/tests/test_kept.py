"""What is kept of a teacher: asked for once, and never as it was before a change, whoever made it."""

from pathlib import Path
from typing import Any

import pytest
from api.testing import ApiClient
from django.contrib.auth.models import User
from django.contrib.sessions.models import Session
from django.core.cache import cache
from django.core.signals import request_started
from django.db import connection, transaction
from django.test.utils import CaptureQueriesContext
from house.models import HouseRules
from house.queries import for_core
from pytest_django import DjangoAssertNumQueries

from teachers import kept
from teachers.session_store import SessionStore

LINES = ["3x = 12", "x = 4"]
PROBLEM = {"task": "solve", "given": "3x - 2 = 10"}


def _statements(client: ApiClient, *call: Any) -> list[str]:
    with CaptureQueriesContext(connection) as asked:
        assert client.call(*call).status_code == 200
    return [one["sql"] for one in asked.captured_queries]


def test_a_verdict_asks_the_database_for_the_session_alone(ada: ApiClient) -> None:
    check = ("POST", "/algebra/check", {**PROBLEM, "lines": LINES})
    first = ada.call(*check).json()
    (only,) = _statements(ada, *check)
    assert ada.call(*check).json() == first
    assert "django_session" in only


def test_a_page_comes_while_the_database_is_away(
    ada: ApiClient, django_assert_num_queries: DjangoAssertNumQueries, settings: Any, tmp_path: Path
) -> None:
    settings.CLIENT = tmp_path
    (tmp_path / "index.html").write_text("the page")
    with django_assert_num_queries(0):
        assert ada.http.get("/bench").content == b"the page"


def test_a_line_is_stored_in_few_statements(ada: ApiClient) -> None:
    made = ada.call("POST", "/examples", PROBLEM).json()
    path = f"/examples/{made['id']}"
    ada.call("PUT", path, {**PROBLEM, "lines": LINES[:1], "version": 1})
    asked = _statements(ada, "PUT", path, {**PROBLEM, "lines": LINES, "version": 2})
    kinds = [one.split()[0] for one in asked if "SAVEPOINT" not in one]
    assert kinds == ["SELECT", "SELECT", "SELECT", "UPDATE", "INSERT"], asked


@pytest.mark.django_db(transaction=True)
def test_what_another_process_changes_is_seen_at_the_next_call() -> None:
    teacher = User.objects.create_user("ada", password="right")
    client = ApiClient()
    client.sign_in("ada")
    assert client.call("GET", "/house").status_code == 200
    User.objects.filter(pk=teacher.pk).update(is_active=False)  # by no signal: as another process
    assert client.call("GET", "/house").status_code == 200, "kept: nobody told"
    kept.tell()
    assert client.call("GET", "/house").status_code == 401


def test_the_very_first_change_is_told_too(db: None) -> None:
    with connection.cursor() as cursor:
        cursor.execute("ALTER SEQUENCE teachers_changes RESTART")
    counts = [kept.changes()]
    for _ in range(3):
        kept.tell()
        counts.append(kept.changes())
    assert len(set(counts)) == 4


@pytest.mark.django_db(transaction=True)
def test_others_are_told_when_it_is_stored_not_before() -> None:
    teacher = User.objects.create_user("ada")
    before = kept.changes()
    with transaction.atomic():
        HouseRules.objects.create(teacher=teacher)
        assert kept.changes() == before, "they would keep what it was for another while"
    assert kept.changes() > before
    after = kept.changes()
    with pytest.raises(RuntimeError), transaction.atomic():
        HouseRules.objects.filter(teacher=teacher).first().save()  # type: ignore[union-attr]
        raise RuntimeError
    assert kept.changes() == after, "nothing was changed"


@pytest.mark.django_db(transaction=True)
def test_what_is_taken_back_was_never_kept() -> None:
    """Rules that a restoring writes, reads and takes back when it fails must judge nobody's line."""
    teacher = User.objects.create_user("ada")
    plain = for_core(teacher)
    with pytest.raises(RuntimeError), transaction.atomic():
        HouseRules.objects.create(teacher=teacher, rules={"decimal": "comma"})
        assert for_core(teacher) != plain
        raise RuntimeError
    assert for_core(teacher) == plain
    request_started.send(None)
    assert for_core(teacher) == plain
    HouseRules.objects.create(teacher=teacher, rules={"decimal": "comma"})
    assert for_core(teacher) != plain


def test_what_this_process_changes_is_seen_at_once(db: None) -> None:
    teacher = User.objects.create_user("ada")
    plain = for_core(teacher)
    HouseRules.objects.create(teacher=teacher, rules={"decimal": "comma"})
    assert for_core(teacher) != plain
    HouseRules.objects.get(teacher=teacher).delete()
    assert for_core(teacher) == plain


def test_what_is_kept_is_handed_out_as_a_copy(db: None) -> None:
    teacher = User.objects.create_user("ada")
    for_core(teacher)["decimal"] = "spoilt"
    assert for_core(teacher).get("decimal") != "spoilt"


def test_five_hundred_teachers_do_not_push_each_other_out(db: None) -> None:
    cache.clear()
    made = User.objects.bulk_create([User(username=f"t{n}") for n in range(500)])
    for teacher in made:
        for_core(teacher)
    with CaptureQueriesContext(connection) as asked:
        for teacher in made:
            for_core(teacher)
    assert not [one for one in asked.captured_queries if "house_houserules" in one["sql"]]


def test_a_session_is_read_as_it_is_stored_and_ends_with_its_row(db: None) -> None:
    stored = SessionStore()
    stored["one"] = {"two": [3]}
    stored.save()
    assert stored.session_key
    again = SessionStore(stored.session_key)
    again["one"]["two"].append(4)
    assert SessionStore(stored.session_key)["one"] == {"two": [3]}, "nobody else's copy"
    again.save()
    assert SessionStore(stored.session_key)["one"] == {"two": [3, 4]}
    Session.objects.all().delete()
    ended = SessionStore(stored.session_key)
    assert ended.get("one") is None
    assert ended.session_key is None


def test_a_session_that_is_over_or_forged_holds_nothing(db: None) -> None:
    stored = SessionStore()
    stored["one"] = 1
    stored.set_expiry(-1)
    stored.save()
    assert SessionStore(stored.session_key).get("one") is None
    stored.set_expiry(None)
    stored.save()
    Session.objects.update(session_data="made:up:by-somebody")
    assert SessionStore(stored.session_key).get("one") is None
