"""A class's papers marked, beside judging them alone; and answers placed. Run by ``./uchuu bench papers``.

The papers are made up: 30 students, the problems of the demo sets, worked lines, forks carried on, slips.
Equal papers of an item are marked once, as the application does it.
"""

import json
import time
from concurrent.futures import ProcessPoolExecutor
from multiprocessing import get_context
from pathlib import Path
from typing import Any

from uchuu_core.operations import answer

DEMO = Path(__file__).resolve().parents[1] / "demo"
WORKERS = 2
STUDENTS, ITEMS, LINES = 30, 18, 1800
Question = dict[str, Any]


def papers(seed: int = 0) -> list[Question]:
    """Return what ``mark`` is asked of every paper of the class: at least ``LINES`` lines."""
    examples = json.loads((DEMO / "marin.json").read_text("utf-8"))["examples"]
    found: list[Question] = []
    for number, example in enumerate(examples):
        asked: Question = {name: example[name] for name in ("task", "given")}
        made = answer("invent", {**asked, "count": STUDENTS, "seed": seed + number})
        if "failure" in made:
            continue
        found += [{**asked, "worth": 4, "lines": paper["lines"]} for paper in made["papers"]]
        if number >= ITEMS - 1 and sum(len(one["lines"]) for one in found) >= LINES:
            return found
    return found


def _asked(operation: str, question: Question) -> float:
    started = time.perf_counter()
    answer(operation, question)
    return time.perf_counter() - started


def _mark(question: Question) -> float:
    return _asked("mark", question)


def _marked(of_item: list[Question]) -> None:
    for one in of_item:
        _mark(one)


def main() -> None:
    """Print the times."""
    all_ = papers()
    lines = sum(len(one["lines"]) for one in all_)
    different = list({json.dumps(one): one for one in all_}.values())
    share = sum(len(one["lines"]) for one in different) / lines
    print(
        f"{len(all_)} papers, {lines} lines; {len(different)} different ones, {share:.0%} of the lines"
    )
    items: dict[str, list[Question]] = {}
    for one in different:
        items.setdefault(one["given"], []).append(one)
    by_item = sorted(items.values(), key=lambda listed: -sum(len(one["lines"]) for one in listed))
    with ProcessPoolExecutor(WORKERS, get_context("spawn")) as workers:
        list(workers.map(_mark, [different[0]] * WORKERS * 4))  # they are up
        started = time.perf_counter()
        list(workers.map(_marked, by_item))
        apart = time.perf_counter() - started
    print(
        f"marked by {WORKERS} processes, cold: {apart:.2f} s; for {LINES} lines {apart * LINES / lines:.2f} s"
    )
    first = sum(_mark(one) for one in different)
    alone = sum(_asked("check", one) for one in different)
    again = sum(_mark(one) for one in different)
    print(
        f"by one process: {first:.2f} s; again {again:.2f} s, judged alone {alone:.2f} s: x {again / alone:.2f}"
    )
    ends = [one["lines"][-1] for one in all_ if one["given"] == all_[0]["given"] and one["lines"]]
    asked = {"task": all_[0]["task"], "given": all_[0]["given"], "answers": (ends * 30)[:30]}
    for what in ("first", "again"):
        print(f"30 answers placed, {what}: {_asked('place', asked):.2f} s")


if __name__ == "__main__":
    main()
