"""A class's papers marked, beside judging them alone; and answers placed. Run by ``./uchuu bench papers``.

The papers are the demo class's, which are made up: worked lines, forks carried on, other ways, slips.
"""

import json
import time
from concurrent.futures import ProcessPoolExecutor
from pathlib import Path
from typing import Any

from uchuu_core.operations import answer

DEMO = Path(__file__).resolve().parents[1] / "demo"
WORKERS = 2
Question = dict[str, Any]


def questions() -> list[Question]:
    """Return what ``mark`` is asked of every different paper of the demo class."""
    examples = json.loads((DEMO / "marin.json").read_text("utf-8"))["examples"]
    by_title = {example["title"]: example for example in examples}
    sets = json.loads((DEMO / "marin-sets.json").read_text("utf-8"))
    sitting = json.loads((DEMO / "marin-classes.json").read_text("utf-8"))["classes"][0][
        "sittings"
    ][0]
    items = next(one for one in sets if one["title"] == sitting["set"])["items"]
    found: dict[str, Question] = {}
    for _, number, *lines in sitting["papers"]:
        item = items[number - 1]
        example = by_title[item["title"]]
        asked: Question = {
            "task": example["task"],
            "given": example["given"],
            "worth": item["marks"],
        }
        more = {"lines": lines} if len(lines) > 1 else {"lines": [], "answer": lines[0]}
        found.setdefault(f"{number} {lines}", asked | more)
    return list(found.values())


def _asked(operation: str, question: Question) -> float:
    started = time.perf_counter()
    answer(operation, question)
    return time.perf_counter() - started


def _mark(question: Question) -> float:
    return _asked("mark", question)


def main() -> None:
    """Print the times."""
    papers = questions()
    lines = sum(max(1, len(one["lines"])) for one in papers)
    started = time.perf_counter()
    with ProcessPoolExecutor(WORKERS) as workers:
        list(workers.map(_mark, papers, chunksize=4))
    apart = time.perf_counter() - started
    first = sum(_mark(one) for one in papers)
    alone = sum(_asked("check", one) for one in papers)
    again = sum(_mark(one) for one in papers)
    print(f"{len(papers)} different papers, {lines} lines")
    print(f"marked for the first time: {first:.2f} s; by {WORKERS} processes {apart:.2f} s")
    print(f"marked again {again:.2f} s, judged alone {alone:.2f} s: x {again / alone:.2f}")
    print(f"1,800 different lines would take {apart * 1800 / lines:.1f} s on {WORKERS} processes")
    answers = [
        (one.get("answer") or one["lines"][-1]) for one in papers if "3(x - 2)" in one["given"]
    ]
    asked = {"task": "solve", "given": "3(x - 2) = 2(x + 5)", "answers": (answers * 30)[:30]}
    for what in ("first", "again"):
        print(f"30 answers placed, {what}: {_asked('place', asked):.2f} s")


if __name__ == "__main__":
    main()
