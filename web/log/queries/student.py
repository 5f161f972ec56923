"""The log of one code: open errors, closed ones, stops too soon apart."""

from typing import Any

from classes.models import Student

from log.queries.ground import Given, Ground, ground_of

CLOSED_AFTER = 2
"""So many items with a chance, done without the error since, close it."""


def student_log(student: Student, ground: Ground | None = None) -> dict[str, Any]:
    """Return what a student did wrong, when, and whether it was done right twice since."""
    ground = ground or ground_of(student.school_class)
    rows = [
        *(_row(student.pk, error, ground, too_soon=False) for error in _made(student.pk, ground)),
        *(_row(student.pk, error, ground, too_soon=True) for error in _soon(student.pk, ground)),
    ]
    rows.sort(key=lambda row: (row["closed"], row["too_soon"], -row["count"], row["name"]))
    return {"student": student, "rows": rows}


def _made(student: int, ground: Ground) -> list[str]:
    return sorted({e for item in ground.items for e, who in item.made.items() if student in who})


def _soon(student: int, ground: Ground) -> list[str]:
    return sorted({e for item in ground.items for e, who in item.soon.items() if student in who})


def _row(student: int, error: str, ground: Ground, *, too_soon: bool) -> dict[str, Any]:
    times: list[Given] = []
    right_since = 0
    for item in ground.items:
        if student in (item.soon if too_soon else item.made).get(error, ()):
            times.append(item)
            right_since = 0
        elif student in (item.wrote if too_soon else item.had_chance(error)):
            right_since += 1
    return {
        "error": error,
        "name": ground.names.get(error, error),
        "too_soon": too_soon,
        "count": len(times),
        "times": [
            {"sitting": item.sitting, "number": item.number, "date": item.date} for item in times
        ],
        "since": times[0].date,
        "last": times[-1].date,
        "right_since": right_since,
        "closed": right_since >= CLOSED_AFTER,
    }
