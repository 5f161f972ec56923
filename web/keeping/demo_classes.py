"""The demo teacher's classes: what was given to them, and made-up papers."""

import json
from datetime import date
from pathlib import Path

from classes.actions import make_class
from django.contrib.auth.models import User
from papers.actions.give_set import give_set
from papers.actions.marking import mark
from papers.actions.take_in import take_in
from papers.table import papers_of
from papers.versions import Versions
from sets.models import ProblemSet

from keeping.demo_lessons import load_lessons


def load_classes(teacher: User, place: Path) -> int:
    """Store the classes of the file with their sittings and papers; return how many classes."""
    if not place.exists():
        return 0
    records = json.loads(place.read_text("utf-8"))["classes"]
    for record in records:
        made = make_class(
            teacher=teacher, title=record["title"], year=record["year"], codes=record["codes"]
        )
        for given in record["sittings"]:
            sitting = give_set(
                school_class=made,
                problem_set=ProblemSet.objects.filter(teacher=teacher).get(title=given["set"]),
                on=date.fromisoformat(given["date"]),
                title=given["title"],
                school=given["school"],
                identity=given.get("id"),
            )
            rows = [[str(cell) for cell in row] for row in given["papers"]]
            papers, _ = papers_of(rows, list(made.students.all()), Versions(sitting).item)
            take_in(papers)
            if given.get("by_hand"):  # the others are marked when they are opened
                mark(sitting)
        load_lessons(made, record.get("lessons", []))
    return len(records)
