"""Before a lesson: what this class, and last year's, did at the forks of an example."""

from collections import Counter
from typing import Any

from django.contrib.auth.models import User
from django.db.models import Q
from examples.models import Example
from papers.models import Work


def classes_at(teacher: User, example: Example) -> list[dict[str, Any]]:
    """Return for each class that was given this problem how many papers there were, and how many made which error.

    The same problem counts whichever example it was given from; the class that had it last stands first.
    """
    same = Q(item__example=example) | Q(item__given=example.given, item__task=example.task)
    works = Work.objects.filter(
        same,
        item__sitting__school_class__teacher=teacher,
        item__sitting__school_class__deleted=None,
        item__sitting__deleted=None,
        earned__isnull=False,
    ).order_by("-item__sitting__date", "pk")
    rows = works.values_list(
        "item__sitting__school_class_id",
        "item__sitting__school_class__title",
        "item__sitting__school_class__year",
        "error",
        "error_name",
        "stop",
    )
    found: dict[Any, dict[str, Any]] = {}
    counts: dict[Any, Counter[str]] = {}
    for identity, title, year, error, name, stop in rows:
        one = found.setdefault(
            identity, {"class_id": identity, "title": title, "year": year, "of": 0, "names": {}}
        )
        one["of"] += 1
        if error and stop != "unfinished":
            one["names"][error] = name
            counts.setdefault(identity, Counter())[error] += 1
    return [
        {
            **{name: one[name] for name in ("class_id", "title", "year", "of")},
            "errors": [
                {"error": error, "name": one["names"][error], "count": count}
                for error, count in counts.get(identity, Counter()).most_common()
            ],
        }
        for identity, one in found.items()
    ]
