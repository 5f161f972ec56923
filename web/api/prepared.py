"""Queries of every typed line, put together once: the ORM writes them, and takes longer for it than the database."""

from collections.abc import Callable
from functools import cached_property
from typing import Any, Generic, NamedTuple, TypeVar
from uuid import UUID, uuid4

from django.db import connection
from django.db.models import Model, QuerySet

M = TypeVar("M", bound=Model)


class _Written(NamedTuple):
    """A query: where our values stand in it, and how a row of it is read."""

    sql: str
    values: list[Any]
    places: list[tuple[int, int]]
    """Which of the query's values is which of ours."""
    names: list[str]
    readers: list[tuple[int, Callable[..., Any]]]
    """How a column is read that PostgreSQL does not hand over as it is wanted."""


class Prepared(Generic[M]):
    """The rows that ``make`` finds for values of these *kinds*, numbers or UUIDs; its query is written once."""

    def __init__(self, make: Callable[..., QuerySet[M]], *kinds: type[int] | type[UUID]) -> None:
        self._make, self._kinds = make, kinds

    @cached_property
    def _written(self) -> tuple[type[M], _Written]:
        stand_ins = [uuid4() if kind is UUID else uuid4().int % 2**31 for kind in self._kinds]
        found = self._make(*stand_ins)
        sql, values = found.query.sql_with_params()
        places = [(at, stand_ins.index(v)) for at, v in enumerate(values) if v in stand_ins]
        assert {ours for _, ours in places} == set(range(len(stand_ins))), "a value stands nowhere"
        fields = found.model._meta.concrete_fields
        readers = [
            (at, reader)
            for at, field in enumerate(fields)
            for reader in field.get_db_converters(connection)
        ]
        names = [field.attname for field in fields]
        return found.model, _Written(sql, list(values), places, names, readers)

    def of(self, *values: Any) -> list[M]:
        """Return the rows for these values."""
        model, written = self._written
        given = list(written.values)
        for at, ours in written.places:
            given[at] = values[ours]
        with connection.cursor() as cursor:
            cursor.execute(written.sql, given)
            rows = [list(row) for row in cursor.fetchall()]
        for row in rows:
            for at, reader in written.readers:
                row[at] = reader(row[at], None, connection)
        return [model.from_db(connection.alias, written.names, row) for row in rows]
