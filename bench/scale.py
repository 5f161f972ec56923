"""Times with 2,000 examples and 100 sets of one teacher, in a real browser; run by ``./uchuu bench scale``.

Lists and searches, opening an example from the list to its verdict, a set of 40 to its typeset problems.
"""

from collections.abc import Callable

from app_server import DATABASE
from bench_page import sign_in
from playwright.sync_api import Page, expect

from bench.browser import ALL_JUDGED, call, in_browser, shown, until
from launcher.checks import TEST_CLUSTER

EXAMPLES, SETS, ITEMS = 2000, 100, 40
KNOWN = """
UPDATE examples_examplefacts f SET known_for = e.version, difficulty = (random() * 90)::int / 10.0,
  stop = 'ok', kind = 'linear equation', reveals = '{"Moves a term with the same sign"}',
  words = f.words || E'\\nlinear equation\\nmoves a term with the same sign'
FROM examples_example e WHERE e.id = f.example_id;
ANALYZE;
"""
"""What the worker would learn in some minutes, written at once."""


def _fill(page: Page) -> str:
    """Store the examples and sets; return the key of a set of forty."""
    examples = [
        {
            "title": f"Harbour {n}" if n % 3 else "",
            "task": "solve",
            "given": f"{n % 9 + 2}(x - {n % 7}) = {n % 5 + 1}x + {n}",
            "lines": [f"{n % 9 + 2}x - {(n % 9 + 2) * (n % 7)} = {n % 5 + 1}x + {n}"],
        }
        for n in range(EXAMPLES)
    ]
    for start in range(0, EXAMPLES, 500):
        document = {
            "format": "uchuu-examples",
            "version": 1,
            "examples": examples[start : start + 500],
        }
        call(page, "POST", "/api/examples/import", document)
    cursor, ids = "", []
    while cursor is not None:
        _, found = call(page, "GET", f"/api/examples?cursor={cursor}")
        ids += [row["id"] for row in found["results"]]
        cursor = found["next"]
    identity = ""
    for n in range(SETS):
        items = [{"example": one} for one in ids[n * 10 : n * 10 + ITEMS]]
        body = {"title": f"Sheet {n}", "items": items}
        identity = call(page, "POST", "/api/sets", body)[1]["id"]
    done = TEST_CLUSTER.client("psql", "--dbname", DATABASE, "-c", KNOWN)
    assert done.returncode == 0, done.stderr
    return identity


def _asked(page: Page, name: str, path: Callable[[int], str]) -> None:
    times = [call(page, "GET", path(n))[0] for n in range(60)]
    shown(name, times)


def _measured(page: Page) -> None:
    sign_in(page)
    identity = _fill(page)
    _asked(page, "a page of examples", lambda _: "/api/examples")
    _asked(page, "examples by name", lambda _: "/api/examples?order=name")
    _asked(page, "examples, hardest first", lambda _: "/api/examples?order=hardest")
    _asked(page, "a rare word", lambda n: f"/api/examples?words=harbour {n * 13 + 1}")
    _asked(page, "a word of all", lambda _: "/api/examples?words=moves a term&easiest=2")
    _asked(page, "a page of sets", lambda _: "/api/sets")
    rows = ".el-table__row"
    times, searches = [], []
    for n in range(20):
        page.locator("a[href^='/bench']").first.click()
        expect(page.locator(".bench")).to_be_visible()
        times.append(until(page, "a[href='/examples']", rows, -10))
        word = f"harbour {n * 36 + 1000}"  # every third has no name
        searches.append(until(page, "input[type=search]", rows, 1, typed=word))
    shown("the list of examples on the screen", times)
    shown("a search, from its last key to what it finds", searches)
    times = []
    for n in range(20):
        page.locator("a[href='/examples']").click()
        link = page.locator(f"{rows} a[href^='/bench']").nth(n % 10)
        expect(link).to_be_visible()
        link.evaluate("(element) => (element.id = 'chosen')")
        times.append(until(page, "#chosen", ALL_JUDGED))
    shown("opening an example, from the list to its verdict", times)
    page.goto(f"/sets/{identity}")
    expect(page.locator(".dot")).to_have_count(ITEMS)
    expect(page.locator(".dot[data-unknown=true]")).to_have_count(0, timeout=120_000)
    times = []
    for _ in range(10):
        page.locator("a[href='/sets']").click()
        link = page.get_by_role("link", name=f"Sheet {SETS - 1}", exact=True)
        expect(link).to_be_visible()
        link.evaluate("(element) => (element.id = 'chosen')")
        times.append(until(page, "#chosen", ".problem .katex", ITEMS))
    shown(f"opening a set of {ITEMS} to its typeset problems", times)


def main() -> None:
    """Measure and print."""
    in_browser(_measured)


if __name__ == "__main__":
    main()
