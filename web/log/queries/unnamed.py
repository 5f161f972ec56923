"""Lines that nobody knows, to be named once; and the teacher's own slips."""

from typing import Any

from asking.shown import shown_line
from classes.models import SchoolClass
from django.contrib.auth.models import User
from examples.models import WrittenLine
from papers.models import Work
from papers.naming import left_by
from proofs.models import Proof

MOST = 12
"""Groups of lines, and slips, that are shown."""
LATELY = 400
"""Pieces of work that are looked at: the latest without a name."""


def unnamed_lines(school_class: SchoolClass) -> list[dict[str, Any]]:
    """Return the lines by which papers left without a known error, the most papers first."""
    works = (
        Work.objects.filter(
            item__sitting__school_class=school_class,
            item__sitting__deleted=None,
            earned__isnull=False,
            error="",
            judged__first_wrong__gte=1,
        )
        .select_related("item__sitting")
        .order_by("-item__sitting__date", "item__number", "pk")[:LATELY]
    )
    groups: dict[tuple[int, str], list[Work]] = {}
    for work in works:
        groups.setdefault((work.item_id, left_by(work)), []).append(work)
    listed = sorted(groups.items(), key=lambda one: -len(one[1]))[:MOST]
    return [
        {
            "sitting": works[0].item.sitting_id,
            "title": works[0].item.sitting.title,
            "date": works[0].item.sitting.date,
            "number": works[0].item.number,
            "version": works[0].item.version,
            "line": shown_line(line),
            "count": len(works),
        }
        for (_, line), works in listed
    ]


def own_slips(teacher: User) -> dict[str, Any]:
    """Return what the teacher crossed out in examples, and the keys of which corrections were accepted."""
    struck = WrittenLine.objects.filter(
        example__teacher=teacher, example__deleted=None, text__regex=r"^\s*~~.*~~\s*$"
    ).select_related("example")
    proofs = Proof.objects.filter(teacher=teacher, deleted=None).exclude(accepted=[])
    return {
        "lines": [
            {
                "example": line.example_id,
                "title": line.example.title or line.example.given,
                "line": shown_line(line.text.strip().strip("~")),
            }
            for line in struck.order_by("-example__changed", "position")[:MOST]
        ],
        "keys": [
            {"id": proof.pk, "title": proof.title, "count": len(proof.accepted)}
            for proof in proofs[:MOST]
        ],
    }
