"""The plan for the desk, and the exercise “first moves”, as PDF."""

import json
from dataclasses import asdict
from typing import Any, Literal

from giving.maths import math_of
from giving.sheets import TASKS
from giving.writers.paper import compiled

from lessons.first_moves import first_moves_of
from lessons.models import Lesson
from lessons.queries import plan_of

Paper = Literal["a4", "us-letter"]
WORDS = {
    "min": "min",
    "takes": "planned",
    "of": "of",
    "drop": "drop this if time runs out",
    "like": "like no.",
    "first": "First",
    "moves": "First moves",
    "write": "Write only the first line.",
    "key": "Key",
    "roles": {
        "shown": "show",
        "tried": "try",
        "homework": "homework",
        "spare": "spare",
        "skipped": "skip",
    },
    "purposes": {"": "", "reteach": "again", "review": "review", "exit": "exit question"},
}


def desk_pdf(lesson: Lesson, paper: Paper) -> bytes:
    """Return the plan as one page: what is written on it is smaller where there is much."""
    plan = plan_of(lesson)
    rows = [
        {
            "number": number,
            "given": _math(one["item"].given),
            "role": one["item"].role,
            "purpose": one["item"].purpose,
            "about": one["item"].error_name,
            "minutes": one["estimated"],
            "star": one["item"].star,
            "first": one["item"].first_move,
            "note": one["item"].note,
            "like": one["like"] + 1 if one["like"] is not None else 0,
            "drop": one["drop"],
        }
        for number, one in enumerate(plan["items"], start=1)
    ]
    return _pdf("desk.typ", lesson, paper, rows=rows, takes=plan["takes"])


def first_moves_pdf(lesson: Lesson, paper: Paper) -> bytes:
    """Return each problem that is shown or tried with room for one line, and a key at the end."""
    rows = [
        {
            "number": number,
            "task": TASKS[item.task],
            "given": _math(item.given),
            "line": _math(move["text"]) if move else None,
            "says": move["says"] if move else "",
        }
        for number, (item, move) in enumerate(first_moves_of(lesson), start=1)
        if item.role in ("shown", "tried", "spare")
    ]
    return _pdf("first-moves.typ", lesson, paper, rows=rows)


def _math(text: str) -> dict[str, Any]:
    return asdict(math_of(text))


def _pdf(template: str, lesson: Lesson, paper: Paper, **more: Any) -> bytes:
    sheet = {
        "title": lesson.title,
        "class": lesson.school_class.title,
        "date": f"{lesson.date:%A, %-d %B %Y}",
        "minutes": lesson.minutes,
        "note": lesson.note,
        "paper": paper,
    }
    inputs = {"words": WORDS, "sheet": sheet, **more}
    content: bytes = compiled(
        template, {name: json.dumps(value, ensure_ascii=False) for name, value in inputs.items()}
    )
    return content
