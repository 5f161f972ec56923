"""Made-up papers mean what their maker says: marks, names and copies are found as they were put in."""

from collections import Counter
from typing import Any

import pytest

from uchuu_core.operations import answer as ask

PROBLEMS = [
    ("solve", "3(x - 2) = 2(x + 5)"),
    ("solve", "x^2 - 7x + 12 = 0"),
    ("simplify", "(x^2 - 9)/(x^2 - x - 6)"),
    ("solve", "sqrt(x + 7) = x - 5"),
    ("factor", "6x^2 + 7x - 3"),
    ("evaluate", "3 + 4*2^2"),
    ("solve", "2/x + 1/3 = 5/6"),
    ("study", "(x^2 - x - 6)/(x^2 - 4)"),
]


def invent(task: str, given: str, count: int = 30, **more: Any) -> list[dict[str, Any]]:
    found = ask("invent", {"task": task, "given": given, "count": count, **more})
    papers: list[dict[str, Any]] = found["papers"]
    return papers


def mark(task: str, given: str, paper: dict[str, Any]) -> dict[str, Any]:
    lines = paper["lines"]
    alone = paper["kind"] == "answer"
    wrote = {"lines": [], "answer": lines[0]} if alone else {"lines": lines}
    return ask("mark", {"task": task, "given": given, **wrote})


@pytest.mark.slow  # eight classes of thirty
def test_marks_and_names_are_those_that_the_maker_meant() -> None:
    told: Counter[tuple[str, bool]] = Counter()
    odd = []
    for problem in PROBLEMS:
        for paper in invent(*problem):
            found = mark(*problem, paper)
            is_full = found["earned"] == found["of"]
            names = {line["error"]["id"] for line in found["lines"] if line.get("error")}
            names |= {also for line in found["lines"] for also in line.get("also", [])}
            names |= {found["error"]} if found.get("error") else set()
            match paper["kind"]:
                case "right" | "other-way":
                    held = is_full
                case "error":
                    held = paper["error"] in names and not is_full
                case "blank":
                    held = found["earned"] == 0
                case "miscopied":
                    held = bool(names)
                case _:
                    continue
            told[paper["kind"], held] += 1
            if not held:
                odd.append((problem, paper, names, found["earned"], found["of"]))
    meant, all_ = sum(n for (_, held), n in told.items() if held), sum(told.values())
    assert meant >= 0.97 * all_, (told, odd)


def test_equal_requests_give_equal_papers_and_another_seed_others() -> None:
    first = invent(*PROBLEMS[0], seed=1)
    assert first == invent(*PROBLEMS[0], seed=1)
    assert first[:10] == invent(*PROBLEMS[0], count=10, seed=1)
    assert first != invent(*PROBLEMS[0], seed=2)


def test_an_inclination_is_followed() -> None:
    error = "distribute-first-term-only"
    papers = invent(*PROBLEMS[0], inclined=[{"error": error, "percent": 100}])
    assert {paper.get("error") for paper in papers} == {error}
    never = invent(*PROBLEMS[1], inclined=[{"error": error, "percent": 100}])
    assert not [paper for paper in never if paper.get("error") == error]


def test_too_many_are_refused() -> None:
    assert ask("invent", {"task": "solve", "given": "2x = 6", "count": 201})["failure"]["code"] == (
        "bad-request"
    )
