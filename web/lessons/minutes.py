"""How long items take: from their lines and the teacher's own record; what to drop when time runs out."""

from collections.abc import Sequence
from statistics import median

from lessons.models import LessonItem

A_LINE = 45
"""Seconds for a line, where a teacher has no record yet."""
A_TRY = 1.6
"""What is tried in class takes so much longer than what is shown."""
ENOUGH = 5
"""Items that were held to their end, before a record counts."""
UNKNOWN_LINES = 5
NO_TIME = ("homework", "spare", "skipped")


def seconds_a_line(record: Sequence[tuple[int, int, str]]) -> float:
    """Return the teacher's own time for a line, the median of what was held: seconds, lines, role."""
    times = [
        seconds / lines / (A_TRY if role == "tried" else 1)
        for seconds, lines, role in record
        if lines and seconds
    ]
    return float(median(times)) if len(times) >= ENOUGH else A_LINE


def estimated(item: LessonItem, lines: int, a_line: float) -> int:
    """Return the minutes that an item takes in class: as the teacher says, or by its lines; at least one."""
    if item.role in NO_TIME:
        return 0
    if item.minutes is not None:
        return item.minutes
    tries = A_TRY if item.role == "tried" else 1
    return max(1, round((lines or UNKNOWN_LINES) * a_line * tries / 60))


def to_drop(
    items: Sequence[LessonItem], minutes: Sequence[int], like: Sequence[int | None], most: int
) -> list[int]:
    """Return the places of items to drop so that the rest takes at most *most* minutes, the first to go first.

    *like*: for each item the place of an earlier one of its structure. First goes what is like an earlier
    item, then what is tried, then what is shown; from the end. What is starred, taught again, reviewed or asked
    at the exit stays.
    """
    left = sum(minutes)
    found: list[int] = []
    may_go = [n for n, item in enumerate(items) if minutes[n] and not (item.star or item.purpose)]
    order = sorted(may_go, key=lambda n: (like[n] is None, items[n].role != "tried", -n))
    for place in order:
        if left <= most:
            break
        found.append(place)
        left -= minutes[place]
    return found
