"""A class marked in the running application, and its grid opened; run by ``./uchuu bench marking``.

The papers are those of ``bench papers``: 30 codes, at least 18 problems, 1,800 lines. They come in as one file;
the time runs from then until the last mark is stored, and is told beside the core's own in one process.
"""

import json
import time
from typing import Any

from bench_page import sign_in
from playwright.sync_api import Page

from bench.browser import call, in_browser, shown, until
from bench.papers import STUDENTS, papers

DAY = "2026-03-02"


def _set_of(page: Page, problems: list[dict[str, Any]]) -> str:
    examples = [{**one, "title": f"Quay {n}", "lines": []} for n, one in enumerate(problems)]
    document = {"format": "uchuu-examples", "version": 1, "examples": examples}
    call(page, "POST", "/api/examples/import", document)
    while not _is_quiet(page):  # what the worker learns of new examples is not what is measured
        time.sleep(1)
    found = call(page, "GET", "/api/examples?words=Quay")[1]["results"]
    found.sort(key=lambda row: int(row["title"].split()[1]))
    items = [{"example": row["id"]} for row in found]
    return str(call(page, "POST", "/api/sets", {"title": "Quays", "items": items})[1]["id"])


def _is_quiet(page: Page) -> bool:
    """Return whether the worker knows all examples and has nothing else to do."""
    cursor, rows = "", []
    while cursor is not None:
        _, found = call(page, "GET", f"/api/examples?cursor={cursor}")
        rows += found["results"]
        cursor = found["next"]
    return all(row["known"] for row in rows) and not call(page, "GET", "/api/jobs")[1]


def _given(page: Page, set_: str, codes: list[str], title: str) -> str:
    klass = call(page, "POST", "/api/classes", {"title": title, "year": "", "codes": codes})[1]
    body = {"school_class": klass["id"], "set": set_, "date": DAY, "title": title}
    return str(call(page, "POST", "/api/sittings", body)[1]["id"])


def _marked(page: Page, sitting: str, document: dict[str, Any]) -> float:
    """Hand the papers in; return the seconds until all are marked."""
    body = {"text": json.dumps(document)}
    started = time.perf_counter()
    call(page, "POST", f"/api/sittings/{sitting}/table", body)
    while True:
        _, grid = call(page, "GET", f"/api/sittings/{sitting}")
        if grid["job"] is None or grid["job"]["state"] not in ("waiting", "running"):
            assert all(cell["earned"] is not None for cell in grid["cells"])
            return time.perf_counter() - started
        time.sleep(0.1)


def _measured(page: Page) -> None:
    sign_in(page)
    problems = list({one["given"]: _problem(one) for one in papers()}.values())
    set_ = _set_of(page, problems)
    codes = [f"{n:02}" for n in range(1, STUDENTS + 1)]
    sitting = ""
    for n in range(6):
        sitting = _given(page, set_, codes, f"Pier {n}")
        lines, document = _document(papers(n * 100), codes, [one["given"] for one in problems])
        seconds = _marked(page, sitting, document)
        print(f"{len(problems)} items, {lines} lines, marked and stored: {seconds:.2f} s")
    times = []
    for _ in range(12):
        page.goto("/classes")
        link = page.locator(f"a[href$='/sittings/{sitting}']").first
        link.wait_for()
        link.evaluate("(element) => (element.id = 'chosen')")
        times.append(until(page, "#chosen", "tbody tr:nth-child(10) .stop"))
    shown(f"the grid of {STUDENTS} × {len(problems)}, until its screen is full", times)


def _problem(one: dict[str, Any]) -> dict[str, Any]:
    return {name: one[name] for name in ("task", "given")}


def _document(
    asked: list[dict[str, Any]], codes: list[str], givens: list[str]
) -> tuple[int, dict[str, Any]]:
    """Return how many lines there are, and the file: the first paper of an item is the first code's."""
    works: dict[str, list[dict[str, Any]]] = {code: [] for code in codes}
    next_code = dict.fromkeys(givens, 0)
    kept = [one for one in asked if one["given"] in next_code]
    for one in kept:
        code = codes[next_code[one["given"]]]
        next_code[one["given"]] += 1
        works[code].append({"item": givens.index(one["given"]) + 1, "lines": one["lines"]})
    papers_ = [{"code": code, "works": listed} for code, listed in works.items()]
    document = {"format": "uchuu-papers", "version": 1, "papers": papers_}
    return sum(len(one["lines"]) for one in kept), document


def main() -> None:
    """Measure and print."""
    in_browser(_measured)


if __name__ == "__main__":
    main()
