"""Constructed classes: who wrote what is known, so every figure is."""

import random
from datetime import date, timedelta
from typing import Any

from algebra import known
from classes.actions import make_class
from classes.models import SchoolClass, Student
from django.contrib.auth.models import User
from papers.models import Sitting, SittingItem, Work

ERRORS = {
    "distribute-first-term-only": "Multiplies only the first term of the bracket",
    "like-unlike-terms-joined": "Joins unlike terms",
    "radical-eq-extraneous-kept": "Keeps a solution that does not fit",
    "cancel-equal-terms": "Strikes equal terms of a sum",
}
START = date(2026, 9, 7)


def judged(error: str, line: str = "4x + 2 = 15", *, soon: bool = False) -> dict[str, Any]:
    """Return what marking stores of a paper: right, wrong by *error* ("?": by no known one), or too soon."""
    lines: list[dict[str, Any]] = [{"text": "4x - 8 = 15", "verdict": "ok", "role": "chain"}]
    found: dict[str, Any] = {"lines": lines, "first_wrong": None, "marks": [], "ask": []}
    told = {"id": error, "name": ERRORS.get(error, error), "says": "Count the arrows."}
    if soon:
        lines.append({"text": line, "verdict": "unfinished", "role": "chain", "error": told})
        found["first_wrong"] = 2
    elif error:
        lines.append({"text": line, "verdict": "wrong", "role": "chain"})
        found["first_wrong"] = 2
        if error != "?":
            lines[-1]["error"] = told
    right = not error or soon
    return found | {"answer": {"right": right, "finished": not soon}, "earned": int(right), "of": 1}


def made_class(
    teacher: User,
    seed: int = 1,
    *,
    codes: int = 6,
    sittings: int = 4,
    items: int = 3,
    days: int = 7,
    title: str = "",
) -> tuple[SchoolClass, list[tuple[int, str, str, str]]]:
    """Store a class with its papers; return it and what was written: sitting, code, item, error.

    *days*: between two sittings. An error "?" is one that nobody knows.
    """
    chosen = random.Random(seed)
    school_class = make_class(
        teacher=teacher,
        title=title or f"Made {seed}",
        year="2026",
        codes=[f"{n:02}" for n in range(1, codes + 1)],
    )
    students = list(school_class.students.all())
    written = []
    for number in range(sittings):
        sitting = Sitting.objects.create(
            school_class=school_class,
            title=f"Sheet {number}",
            date=START + timedelta(days=days * number),
        )
        works = []
        for place in range(1, items + 1):
            can = chosen.sample(sorted(ERRORS), 2)
            item = SittingItem.objects.create(
                sitting=sitting,
                number=place,
                task="solve",
                given="4(x - 2) = 15",
                chances={"core": known.core(), "errors": can},
            )
            for student in students:
                error = chosen.choice(
                    ["", "", "", "blank", "?", *can, chosen.choice(sorted(ERRORS))]
                )
                if error != "blank":
                    works.append(work_of(item, student, error))
                    written.append((number, student.code, str(place), error))
        Work.objects.bulk_create(works)
    return school_class, written


def write(item: SittingItem, student: Student, error: str, line: str = "4x + 2 = 15") -> Work:
    """Store one work, marked."""
    made = work_of(item, student, error, line)
    made.save()
    return made


def work_of(item: SittingItem, student: Student, error: str, line: str = "4x + 2 = 15") -> Work:
    """Return one work, marked, not stored yet."""
    found = judged(error, line)
    named = error if error in ERRORS else ""
    return Work(
        student=student,
        item=item,
        lines=[one["text"] for one in found["lines"]],
        wrote=f"{error}{line}",
        judged=found,
        earned=found["earned"],
        of=1,
        stop="wrong" if error else "ok",
        error=named,
        error_name=ERRORS.get(named, ""),
    )
