"""When what was taught again is reviewed: dates alone, no database."""

from collections.abc import Sequence
from datetime import date, timedelta

DAYS = (2, 7, 21)
"""Days after it was taught again, where a class has no others."""
Free = Sequence[tuple[date, date]]
_MOST_SHIFT = 400
"""Days that a review is put off at most: free days of more than a year are a mistake."""


def due_on(taught: date, done: Sequence[date], days: Sequence[int], free: Free) -> date | None:
    """Return when the next review is due; None when all were held.

    *taught*: when it was taught (again) the last time; *done*: when reviews were held since, in order. A review
    that was late puts off those after it, so that the pauses between them stay; none falls on a free day or
    on a weekend.
    """
    if len(done) >= len(days):
        return None
    number = len(done)
    pause = days[number] - (days[number - 1] if number else 0)
    start = max([taught, *done]) if number else taught
    return school_day(start + timedelta(days=pause), free)


def school_day(day: date, free: Free) -> date:
    """Return *day*, or the first day after it that is neither free nor on a weekend."""
    for _ in range(_MOST_SHIFT):
        if day.weekday() < 5 and not any(first <= day <= last for first, last in free):
            break
        day += timedelta(days=1)
    return day
