"""The log of a class: errors by time; how many made one, of how many who could have."""

from collections.abc import Sequence
from datetime import date
from fractions import Fraction
from typing import Any, TypedDict
from uuid import UUID

from classes.models import SchoolClass
from lessons.queries import Raised, hands_of, taught_again

from log.queries.ground import Given, Ground, ground_of

Cell = dict[str, int] | None


class Row(TypedDict):
    """One error of the log; ``cells``: None where nobody could have made it.

    ``lesson``: the last one that taught it again, on the day ``taught``; ``seen``: whether it could be made in a sitting since.
    """

    error: str
    name: str
    too_soon: bool
    cells: list[Cell]
    since: date
    trend: str
    lesson: UUID | None
    taught: date | None
    seen: bool
    count: int


def log_of(school_class: SchoolClass, ground: Ground | None = None) -> dict[str, Any]:
    """Return the columns (sittings and lessons in order) and a row for each error, the most papers first.

    A paper is counted once for an error in a sitting, however many items it was made in; a chance is a paper
    with something written for an item in which the error can be made.
    """
    ground = ground or ground_of(school_class)
    raised = hands_of(school_class)
    taught = {one["error"]: one for one in taught_again(school_class)}
    columns: list[dict[str, Any]] = [
        *({"kind": "sitting", "of": one, "date": one.date} for one in ground.sittings),
        *({"kind": "lesson", "of": lesson, "date": lesson.date} for lesson, _ in raised),
    ]
    columns.sort(key=lambda one: (one["date"], one["of"].created))
    hands = {lesson.pk: counts for lesson, counts in raised}
    by_sitting: dict[Any, list[Given]] = {}
    for item in ground.items:
        by_sitting.setdefault(item.sitting, []).append(item)
    rows = [
        _row(error, too_soon, columns, by_sitting, hands, taught.get(error, {}), ground.names)
        for error, too_soon in _errors(ground)
    ]
    rows.sort(key=lambda row: (row["too_soon"], -row["count"], row["name"]))
    return {"columns": columns, "rows": rows}


def _errors(ground: Ground) -> list[tuple[str, bool]]:
    made = {error for item in ground.items for error in item.made}
    soon = {error for item in ground.items for error in item.soon}
    known = [(error, False) for error in sorted(made)]
    return known + [(error, True) for error in sorted(soon)]


def _row(
    error: str,
    too_soon: bool,
    columns: list[dict[str, Any]],
    by_sitting: dict[Any, list[Given]],
    hands: dict[Any, Raised],
    taught: dict[str, Any],
    names: dict[str, str],
) -> Row:
    cells: list[Cell] = []
    for column in columns:
        identity = column["of"].pk
        if column["kind"] == "lesson":
            count, of = hands.get(identity, {}).get(error, (0, 0))
            cells.append({"count": count, "of": of} if of and not too_soon else None)
        else:
            cells.append(in_sitting(by_sitting.get(identity, []), error, too_soon))
    of_papers = [
        (column["date"], cell)
        for column, cell in zip(columns, cells, strict=True)
        if cell and column["kind"] == "sitting"
    ]
    day: date | None = taught.get("taught")
    return {
        "error": error,
        "name": names.get(error, error),
        "too_soon": too_soon,
        "cells": cells,
        "since": next(on for on, cell in of_papers if cell["count"]),
        "trend": trend([(on, c["count"], c["of"]) for on, c in of_papers], day),
        "lesson": taught.get("lesson"),
        "taught": day,
        "seen": day is not None and of_papers[-1][0] >= day,
        "count": sum(cell["count"] for _, cell in of_papers),
    }


def in_sitting(items: Sequence[Given], error: str, too_soon: bool = False) -> Cell:
    """Return how many papers of a sitting made *error*, of how many that could have; None where none could."""
    made: set[int] = set()
    could: set[int] = set()
    for item in items:
        here = (item.soon if too_soon else item.made).get(error, set())
        made |= here
        if too_soon:  # where somebody stopped too soon, everybody could have
            could |= item.wrote if here else set()
        else:
            could |= item.had_chance(error)
    return {"count": len(made), "of": len(could)} if could else None


def trend(shares: Sequence[tuple[date, int, int]], taught: date | None) -> str:
    """Return ``better``, ``worse``, ``same``, or nothing where it was not seen twice.

    Compared are the last sitting and, where the error was taught again before it, the last one up to that day;
    else the one before. A tenth of the papers more or less is no change.
    """
    if len(shares) < 2:
        return ""
    *before, (last_day, count, of) = shares
    if taught is not None and taught <= last_day:
        until = [one for one in before if one[0] <= taught]
        before = until or before
    _, then_count, then_of = before[-1]
    change = Fraction(count, of) - Fraction(then_count, then_of)
    if abs(change) <= Fraction(1, 10):
        return "same"
    return "worse" if change > 0 else "better"
