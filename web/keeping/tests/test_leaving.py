"""An account that leaves: kept as a file, deleted after a delay, its owner may stay until then."""

from datetime import timedelta
from typing import Any

from api.testing import ApiClient
from django.contrib.auth.models import User
from django.db import connection
from django.utils import timezone
from teachers.models import Person

from keeping.leaving import delete_due


def _leave(client: ApiClient, password: str = "right") -> Any:
    return client.call("POST", "/keep/leave", {"password": password})


def test_an_account_is_kept_first_and_deleted_after_the_delay(
    ada: ApiClient, ben: ApiClient
) -> None:
    ada.set_of({"task": "solve", "given": "2x = 6"})
    ben.set_of({"task": "solve", "given": "3x = 6"})
    ada.call("POST", "/classes", {"title": "4b", "year": "2026", "codes": ["01"]})
    assert _leave(ada).json()["code"] == "keep-first"
    kept = ada.call("GET", "/keep/everything.json").json()
    assert _leave(ada, "wrong").status_code == 401
    leaves = _leave(ada).json()["leaves"]
    assert ada.call("GET", "/session").json()["leaves"] == leaves

    assert delete_due() == 0, "not yet"
    assert ada.call("GET", "/examples").status_code == 200, "until then they are here"
    Person.objects.filter(teacher__username="ada").update(
        leaves=timezone.now() - timedelta(seconds=1)
    )
    assert delete_due() == 1
    assert ada.call("GET", "/examples").status_code == 401
    assert list(User.objects.values_list("username", flat=True)) == ["ben"]
    assert _left_of("ada") == []
    assert [one["given"] for one in kept["examples"]] == ["2x = 6"], "and it is all in the file"


def _left_of(name: str) -> list[str]:
    """Return the tables in which the text *name* still stands, as a whole value of a row."""
    found = []
    with connection.cursor() as cursor:
        cursor.execute(
            "SELECT table_name, column_name FROM information_schema.columns"
            " WHERE table_schema = 'public' AND data_type IN ('text', 'character varying')"
        )
        for table, column in cursor.fetchall():
            cursor.execute(f'SELECT 1 FROM "{table}" WHERE "{column}" = %s LIMIT 1', [name])
            if cursor.fetchone():
                found.append(table)
    return [table for table in found if not table.startswith("axes_")]


def test_whoever_thinks_better_of_it_stays(ada: ApiClient) -> None:
    ada.call("GET", "/keep/everything.json")
    assert _leave(ada).json()["leaves"]
    assert ada.call("DELETE", "/keep/leave").json() == {"leaves": None}
    assert delete_due() == 0
    says = [one["says"] for one in ada.call("GET", "/account/audit").json()["results"]]
    assert says[0] == "The account stays."
    assert any("Everything was kept as a file" in one for one in says)


def test_a_file_that_was_kept_long_ago_does_not_count(ada: ApiClient) -> None:
    ada.call("GET", "/keep/everything.json")
    Person.objects.update(exported=timezone.now() - timedelta(days=2))
    assert _leave(ada).json()["code"] == "keep-first"


def test_the_last_administrator_does_not_leave(ada: ApiClient) -> None:
    Person.objects.update_or_create(
        teacher=User.objects.get(username="ada"), defaults={"is_administrator": True}
    )
    ada.call("GET", "/keep/everything.json")
    assert _leave(ada).json()["code"] == "last"
