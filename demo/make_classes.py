"""Make the demo classes' papers anew: ``PYTHONPATH=core .venv/bin/python demo/make_classes.py``.

Everything is made up. The story of period 3: solutions that do not fit are kept by half of the class in
October and, after a lesson, by few in November; unlike terms are joined all the time. Period 5 strikes
equal terms out of sums as soon as rational expressions come.
"""

import json
from pathlib import Path
from typing import Any

from uchuu_core.operations import answer

HERE = Path(__file__).resolve().parent
KEPT, JOINED, STRUCK = (
    "radical-eq-extraneous-kept",
    "like-unlike-terms-joined",
    "cancel-equal-terms",
)
SITTINGS: dict[str, list[tuple[str, str, str, dict[str, int]]]] = {
    "Algebra 2, period 3": [
        ("Review before the harbour trip", "Homework: review", "2026-10-16", {KEPT: 50}),
        ("Test on expressions, form B", "Test on expressions", "2026-10-30", {JOINED: 30}),
        (
            "Roots, rational and otherwise",
            "Roots and asymptotes",
            "2026-11-13",
            {KEPT: 10, JOINED: 25},
        ),
    ],
    "Algebra 2, period 5": [
        (
            "Test on expressions, form B",
            "Test on expressions",
            "2026-11-06",
            {JOINED: 20, STRUCK: 30},
        ),
    ],
}
WAITING = {
    "class": "Algebra 2, period 5",
    "set": "Equations that climb",
    "title": "The climb, before the holidays",
    "date": "2026-11-27",
    "id": "5b1c7a52-6f0e-4f0b-9a51-0d5a3c2e8f11",
}
"""Given, and its papers wait in the tray."""
_FIT = "Keeps an answer that does not fit the original root equation"
_STRIKE = "Strikes equal terms instead of factors"
LESSONS: dict[str, list[dict[str, Any]]] = {
    "Algebra 2, period 3": [
        {
            "set": "Review before the harbour trip",
            "title": "Solutions that do not fit",
            "date": "2026-10-21",
            "held": True,
            "items": [
                {
                    "number": 3,
                    "role": "shown",
                    "purpose": "reteach",
                    "error": KEPT,
                    "error_name": _FIT,
                    "star": True,
                    "first_move": "square both sides, and write down what to check",
                    "note": "Half of them kept -2. Let them put it in before I say anything.",
                    "shown": 7,
                    "of": 7,
                    "seconds": 560,
                    "forks": [{"after": 5, "error": KEPT, "name": _FIT}],
                    "hands": [
                        {
                            "after": 0,
                            "kind": "choices",
                            "counts": [
                                {
                                    "label": "A",
                                    "text": "x = 3",
                                    "latex": "x=3",
                                    "right": True,
                                    "error": "",
                                    "name": "",
                                    "count": 9,
                                },
                                {
                                    "label": "B",
                                    "text": "x = 3 or x = -2",
                                    "latex": "x=3\\text{ or }x=-2",
                                    "right": False,
                                    "error": KEPT,
                                    "name": _FIT,
                                    "count": 16,
                                },
                            ],
                        }
                    ],
                },
                {"number": 1, "role": "tried", "shown": 3, "of": 3, "seconds": 240},
                {"number": 2, "role": "tried", "shown": 2, "of": 4, "seconds": 410},
                {"number": 4, "role": "homework"},
            ],
        },
        {
            "set": "Equations that climb",
            "title": "Before the quiz is given back",
            "in_days": 1,
            "note": "Give the slips back first; ask who has the diamond at line 1.",
            "items": [
                {"number": 2, "role": "shown"},
                {"number": 3, "role": "skipped", "note": "like no. 1"},
                {"number": 4, "role": "shown", "star": True, "first_move": "open both brackets"},
                {"number": 5, "role": "tried", "note": "Watch the minus. Ask row 3."},
                {"number": 7, "role": "tried"},
                {"number": 9, "role": "spare"},
                {"number": 10, "role": "homework"},
            ],
        },
    ],
    "Algebra 2, period 5": [
        {
            "set": "Test on expressions, form B",
            "title": "Only factors are struck",
            "in_days": -4,
            "held": True,
            "items": [
                {
                    "number": 7,
                    "role": "shown",
                    "purpose": "reteach",
                    "error": STRUCK,
                    "error_name": _STRIKE,
                    "star": True,
                    "first_move": "factor above and below",
                    "shown": 3,
                    "of": 3,
                    "seconds": 420,
                    "forks": [{"after": 0, "error": STRUCK, "name": _STRIKE}],
                },
                {"number": 5, "role": "tried", "shown": 2, "of": 2, "seconds": 200},
            ],
        },
    ],
}
"""Lessons that were held, and one that is planned; a day is a date, or so many days from the start."""


def papers(title: str, codes: list[str], inclined: dict[str, int], seed: int) -> list[list[Any]]:
    """Return rows of a table: a code, an item, its lines."""
    rows: list[list[Any]] = []
    for number, asked in enumerate(_items(title), start=1):
        wish = [{"error": error, "percent": often} for error, often in inclined.items()]
        asked |= {"count": len(codes), "seed": seed * 100 + number, "inclined": wish}
        made = answer("invent", asked)["papers"]
        rows += [
            [code, number, *paper["lines"]]
            for code, paper in zip(codes, made, strict=True)
            if paper["lines"]
        ]
    return rows


def _items(title: str) -> list[dict[str, Any]]:
    examples = json.loads((HERE / "marin.json").read_text("utf-8"))["examples"]
    sets = json.loads((HERE / "marin-sets.json").read_text("utf-8"))
    by_title = {example["title"]: example for example in examples}
    (found,) = [one for one in sets if one["title"] == title]
    names = ("task", "given", "variable", "numbers", "form")
    return [
        {name: example[name] for name in names if example.get(name)}
        for item in found["items"]
        for example in [by_title[item["title"]]]
    ]


def main() -> None:
    """Write the classes, and what waits in the tray."""
    place = HERE / "marin-classes.json"
    document = json.loads(place.read_text("utf-8"))
    for seed, one in enumerate(document["classes"], start=1):
        kept = [given for given in one["sittings"] if given.get("by_hand")]
        made = [
            {
                "set": title,
                "title": called,
                "date": on,
                "school": "method-accuracy",
                "papers": papers(title, one["codes"], inclined, seed * 10 + number),
            }
            for number, (title, called, on, inclined) in enumerate(SITTINGS[one["title"]])
        ]
        waiting = {**WAITING, "school": "method-accuracy", "papers": []}
        owner = waiting.pop("class")
        one["lessons"] = LESSONS[one["title"]]
        one["sittings"] = [*made, *kept, *([waiting] if owner == one["title"] else [])]
    place.write_text(_text(document), "utf-8")
    codes = next(one["codes"] for one in document["classes"] if one["title"] == WAITING["class"])
    works: dict[str, list[dict[str, Any]]] = {}
    for code, number, *lines in papers(WAITING["set"], codes, {}, 77):
        works.setdefault(code, []).append({"item": number, "lines": lines})
    tray = [
        {"id": f"demo-{code}", "sitting": WAITING["id"], "code": code, "works": listed}
        for code, listed in works.items()
    ]
    lines = ",\n".join(json.dumps(paper, ensure_ascii=False) for paper in tray)
    (HERE / "tray.json").write_text(f"[\n{lines}\n]\n", "utf-8")


def _text(document: dict[str, Any]) -> str:
    """Return the document with one paper a line."""
    text = json.dumps(document, ensure_ascii=False)
    return text.replace('[["', '[\n["').replace('"], ["', '"],\n["').replace('"]]', '"]\n]') + "\n"


if __name__ == "__main__":
    main()
