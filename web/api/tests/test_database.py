"""Connections that the server ended are seen without asking it; prepared queries find what the ORM finds."""

import select
from typing import Any
from uuid import UUID, uuid4

import pytest
from django.contrib.auth.models import User
from django.db import OperationalError, connection, connections
from django.db.models import QuerySet
from django.test.utils import CaptureQueriesContext
from examples.models import Example, WrittenLine
from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st

from api.prepared import Prepared

TEXTS = st.text(st.characters(codec="utf-8", exclude_characters="\x00"), max_size=30)


@pytest.mark.django_db(transaction=True)
def test_a_connection_that_the_server_ended_is_seen_and_made_anew() -> None:
    connection.ensure_connection()
    wire = connection.connection
    assert connection.is_usable()
    other = connections.create_connection("default")
    with other.cursor() as cursor:
        cursor.execute("SELECT pg_terminate_backend(%s)", [wire.info.backend_pid])
    look = select.poll()
    look.register(wire.fileno(), select.POLLIN)
    assert look.poll(60_000), "its good-bye has come"
    assert not connection.is_usable()
    with pytest.raises(OperationalError):
        User.objects.count()
    connection.close_if_unusable_or_obsolete()
    assert User.objects.count() == 0
    other.close()


@pytest.mark.django_db(transaction=True)
def test_a_healthy_connection_is_asked_nothing(monkeypatch: pytest.MonkeyPatch) -> None:
    connection.ensure_connection()

    def never(*_: Any) -> None:
        raise AssertionError("the server was asked")

    monkeypatch.setattr(connection.connection, "cursor", never)
    monkeypatch.setattr(connection.connection, "execute", never, raising=False)
    assert connection.is_usable()


def _of(teacher: int, identity: UUID) -> QuerySet[Example]:
    return Example.objects.filter(teacher=teacher, pk=identity, deleted=None)


def _lines(identity: UUID) -> QuerySet[WrittenLine]:
    return WrittenLine.objects.filter(example=identity)


@settings(suppress_health_check=[HealthCheck.function_scoped_fixture], max_examples=25)
@given(
    fields=st.fixed_dictionaries(
        {
            "title": TEXTS,
            "given": TEXTS,
            "note": TEXTS,
            "form": st.lists(TEXTS, max_size=3),
            "tags": st.lists(TEXTS, max_size=3),
            "house": st.dictionaries(TEXTS, st.booleans(), max_size=3),
            "reasons": st.dictionaries(TEXTS, TEXTS, max_size=3),
        }
    ),
    lines=st.lists(TEXTS, max_size=4),
)
def test_prepared_queries_find_what_the_orm_finds(
    db: None, fields: dict[str, Any], lines: list[str]
) -> None:
    owner = User.objects.get_or_create(username="eve")[0]
    other = User.objects.get_or_create(username="uma")[0]
    stored = Example.objects.create(teacher=owner, task="solve", **fields)
    for position, text in enumerate(lines):
        WrittenLine.objects.create(example=stored, position=position, text=text)
    example, written = Prepared(_of, int, UUID), Prepared(_lines, UUID)
    for _ in range(2):  # the second time it is written already
        for key in ((owner.pk, stored.pk), (other.pk, stored.pk), (owner.pk, uuid4())):
            assert _content(example.of(*key)) == _content(_of(*key))
        assert _content(written.of(stored.pk)) == _content(_lines(stored.pk))


def _content(rows: Any) -> list[dict[str, Any]]:
    return [{f.attname: getattr(row, f.attname) for f in row._meta.concrete_fields} for row in rows]


def test_a_row_of_a_prepared_query_is_stored_like_any_other(db: None) -> None:
    owner = User.objects.create(username="eve")
    stored = Example.objects.create(teacher=owner, task="solve", given="x = 1")
    (found,) = Prepared(_of, int, UUID).of(owner.pk, stored.pk)
    found.put_aside()
    assert Prepared(_of, int, UUID).of(owner.pk, stored.pk) == []


def test_a_value_that_stands_nowhere_is_a_mistake(db: None) -> None:
    with pytest.raises(AssertionError, match="stands nowhere"):
        Prepared(lambda _one, other: _lines(other), int, UUID).of(1, uuid4())


def test_a_prepared_query_is_written_once(db: None) -> None:
    made: list[int] = []

    def make(identity: UUID) -> QuerySet[WrittenLine]:
        made.append(1)
        return _lines(identity)

    prepared = Prepared(make, UUID)
    with CaptureQueriesContext(connection) as asked:
        prepared.of(uuid4())
        prepared.of(uuid4())
    assert (len(made), len(asked)) == (1, 2)
