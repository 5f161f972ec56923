"""What a school's server finds wrong with its database and its clock, before it serves anything."""

from datetime import UTC, datetime, timedelta
from typing import Any

import pytest
from django.contrib.auth.models import User
from django.db import OperationalError, connection

from keeping.management.commands import check_server
from keeping.management.commands.check_server import certificate_faults, database_faults

pytestmark = pytest.mark.django_db


def test_a_database_as_it_should_be_has_no_fault() -> None:
    assert database_faults() == []
    assert certificate_faults() == [], "and no certificate is none of ours"


def test_one_that_is_too_old_is_named(monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setattr(check_server, "OLDEST_DATABASE", 99)
    assert "99 or newer is needed" in database_faults()[0]


def test_one_that_lets_too_few_in_is_named(settings: Any) -> None:
    settings.MOST_CONNECTIONS = 5_000
    assert "this host may ask for 5000" in database_faults()[0]


@pytest.mark.parametrize("seconds", [-3600, 60])
def test_a_clock_that_is_apart_is_named(monkeypatch: pytest.MonkeyPatch, seconds: int) -> None:
    class Wrong(datetime):
        @classmethod
        def now(cls, tz: Any = None) -> Any:
            return datetime.now(tz or UTC) + timedelta(seconds=seconds)

    monkeypatch.setattr(check_server, "datetime", Wrong)
    fault = database_faults()[0]
    assert fault.startswith("clock:")
    assert f"{abs(seconds)} seconds apart" in fault


def test_a_user_without_rights_is_told_which() -> None:
    with connection.cursor() as cursor:
        cursor.execute("CREATE ROLE weak")
        cursor.execute("GRANT SELECT ON ALL TABLES IN SCHEMA public TO weak")
        cursor.execute("SET LOCAL ROLE weak")
        assert "GRANT CREATE ON SCHEMA public" in database_faults()[0]
        cursor.execute("RESET ROLE")


def test_the_demonstrations_teachers_are_named() -> None:
    User.objects.create_user("okafor", password="harbour-42")
    assert "made-up teachers can sign in here" in database_faults()[0]
    User.objects.update(is_active=False)
    assert database_faults() == []


def test_one_that_does_not_answer_is_named(monkeypatch: pytest.MonkeyPatch) -> None:
    def away() -> None:
        raise OperationalError("connection refused\nIs the server running?")

    monkeypatch.setattr(connection, "ensure_connection", away)
    assert database_faults() == ["database: it does not let us in: connection refused"]
