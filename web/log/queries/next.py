"""What to teach again next: at most three errors, each with the reasons for the choice."""

from collections import Counter
from datetime import date
from typing import Any

from algebra import known
from asking.asker import Asker
from asking.catalogue import entry_of
from asking.shown import shown_line
from classes.models import SchoolClass
from lessons.models import LessonItem
from papers.models import SittingItem
from papers.naming import left_at, left_by
from uchuu_core.failures import Failure

from log.queries.errors import Row, log_of
from log.queries.ground import UNFINISHED, ground_of
from log.queries.papers import papers_behind

MOST = 3
LATELY = 3
"""Sittings in which an error must have been made: what is older fell asleep by itself."""
MOST_PLANNED = 120
A_MONTH = 28


def teach_next(school_class: SchoolClass, today: date) -> list[dict[str, Any]]:
    """Return what to teach again, the most pressing first, with an example of the class's own lines."""
    pressing = pressing_errors(school_class, today)[: MOST + 2]
    chosen = [one | _material(school_class, one["error"]) for one in pressing]
    return [one for one in chosen if one["own"] is not None][:MOST]


def pressing_errors(school_class: SchoolClass, today: date) -> list[dict[str, Any]]:
    """Return the errors of the last sittings, the most pressing first.

    It counts how large a part of the class makes the error, in how many problems of what is planned it can be
    made again, and for how long it has been open. What was taught again and is better since is left out.
    """
    ground = ground_of(school_class)
    log = log_of(school_class, ground)
    lately = {one.pk for one in ground.sittings[-LATELY:]}
    planned = _planned(school_class, today)
    found = [
        _weighed(row, log["columns"], lately, planned, today)
        for row in log["rows"]
        if not row["too_soon"] and not (row["seen"] and row["trend"] == "better")
    ]
    return sorted((one for one in found if one), key=lambda one: (-one["weight"], one["error"]))


def _weighed(
    row: Row,
    columns: list[dict[str, Any]],
    lately: set[Any],
    planned: Counter[str],
    today: date,
) -> dict[str, Any] | None:
    cells = [
        (column, cell)
        for column, cell in zip(columns, row["cells"], strict=True)
        if cell and column["of"].pk in lately
    ]
    made = [(column, cell) for column, cell in cells if cell["count"]]
    if not made:
        return None
    column, cell = max(made, key=lambda one: (one[1]["count"], one[0]["date"]))
    coming, days = planned[row["error"]], (today - row["since"]).days
    share = cell["count"] / cell["of"]
    return {
        "error": row["error"],
        "name": row["name"],
        "weight": share * (1 + min(coming, 6) / 6 + min(max(days, 0), 2 * A_MONTH) / (4 * A_MONTH)),
        "count": cell["count"],
        "of": cell["of"],
        "sitting": column["of"].pk,
        "title": column["of"].title,
        "coming": coming,
        "since": row["since"],
        "trend": row["trend"],
        "lesson": row["lesson"],
        "taught": row["taught"],
        "seen": row["seen"],
    }


def _planned(school_class: SchoolClass, today: date) -> Counter[str]:
    """Return in how many problems of the lessons to come each error can be made, as far as that is known."""
    items = LessonItem.objects.filter(
        lesson__school_class=school_class,
        lesson__deleted=None,
        lesson__date__gte=today,
        held=None,
        example__isnull=False,
    )
    asker = Asker(school_class.teacher)
    examples = [item.example for item in items.select_related("example")[:MOST_PLANNED]]
    records = [asker.record(example) for example in examples if example]
    counts: Counter[str] = Counter()
    for facts in known.remembered("facts", records):
        counts.update({fork["error"] for fork in (facts or {}).get("reveals", [])})
    return counts


def _material(school_class: SchoolClass, error: str) -> dict[str, Any]:
    """Return the class's own line, the contrast and the sentence for an error."""
    entry = entry_of(error)
    try:
        contrast = known.ask("contrast", {"error": error}) if entry else None
    except Failure:
        contrast = None
    return {
        "own": own_line(school_class, error),
        "contrast": contrast,
        "says": entry.repair if entry else "",
        "why": entry.why if entry else "",
    }


def own_line(school_class: SchoolClass, error: str) -> dict[str, Any] | None:
    """Return the line that most papers of the last sitting wrote by *error*, and the line above it: nobody's name."""
    works = list(papers_behind(school_class, error).exclude(stop=UNFINISHED)[:200])
    works = [one for one in works if one.item.sitting_id == works[0].item.sitting_id]
    lines = Counter((one.item_id, left_by(one)) for one in works)
    if not lines:
        return None
    (item, line), count = lines.most_common(1)[0]
    work = next(one for one in works if (one.item_id, left_by(one)) == (item, line))
    judged = work.judged or {}
    at = left_at(judged)
    given: SittingItem = work.item
    told = judged["lines"][at - 1].get("error") or {}
    told = told if told.get("id") == error else {}  # else the teacher calls it otherwise
    above = [one for one in judged["lines"][: at - 1] if one.get("role", "chain") == "chain"]
    return {
        "item": given.pk,
        "number": given.number,
        "sitting": given.sitting_id,
        "title": given.sitting.title,
        "given": shown_line(given.given),
        "before": shown_line(above[-1]["text"] if above else given.given),
        "wrong": shown_line(line),
        "instead": shown_line(told["instead"]) if told.get("instead") else None,
        "says": told.get("says", ""),
        "count": count,
    }
