"""Times of the screens in a real browser, server on this machine; run by ``./uchuu bench browser``.

From a key press to its verdict, each key of several lines, right and wrong, under 12 lines, and under 40
lines with forks shown; opening an example; the size of the first load.
"""

import os
import re
import statistics
import time
from collections.abc import Callable
from typing import Any

from app_server import ARGUMENTS, DATABASE, ready_server
from bench_page import Bench, sign_in
from playwright.sync_api import Page, ViewportSize, expect, sync_playwright

from launcher import server
from launcher.checks import TEST_CLUSTER

GIVEN = "2(3x - 4) - (x + 5) = 3x + 7"
TWELVE = [
    "6x - 8 - (x + 5) = 3x + 7",
    "6x - 8 - x - 5 = 3x + 7",
    "6x - x - 8 - 5 = 3x + 7",
    "5x - 8 - 5 = 3x + 7",
    "5x - 13 = 3x + 7",
    "5x = 3x + 7 + 13",
    "5x = 3x + 20",
    "5x - 3x = 20",
    "2x = 20",
    "20 = 2x",
    "2x = 20",
]
TYPED = ["5x - 3x - 13 = 7", "5x - 13 = 10x", "2x = 20", "2x = -6", "x = 10", "8x = 20"]

WATCH = """
() => {
  // from the key to the moment the verdict on exactly what then stands there is painted
  const isFirst = !window.times
  window.times = []
  const box = () => document.querySelector('.entry')
  let latest = 0
  if (isFirst) document.addEventListener('input', () => {
    const mine = ++latest
    const before = box().dataset.typed
    const begun = performance.now()
    const look = () => {
      const { typed, judged } = box().dataset
      if (mine !== latest) return // the next key was pressed: nothing came of this one
      if (typed !== before && judged === typed) {
        if (typed.trim()) window.times.push(performance.now() - begun)
      } else requestAnimationFrame(look)
    }
    requestAnimationFrame(look)
  }, true)
}
"""
IS_JUDGED = """
() => {
  const { typed, judged } = document.querySelector('.entry').dataset
  return typed.trim() && judged === typed
}
"""


LOADED = """
() => performance.getEntriesByType('resource')
  .filter((entry) => /[.](js|css)$/.test(new URL(entry.name).pathname))
  .reduce((sum, entry) => sum + entry.encodedBodySize, 0)
"""


def _typed(page: Page, bench: Bench) -> list[float]:
    """Return the milliseconds from each key to its verdict."""
    page.evaluate(WATCH)
    for line in TYPED:
        bench.retype("")
        for key in line:
            page.keyboard.type(key)
            page.wait_for_function(IS_JUDGED)
    bench.retype("")
    times: list[float] = page.evaluate("window.times")
    return times


UNTIL = """
([selector, typed, shown, count]) => new Promise((done, fail) => {
  // measured in the page, frame by frame: whoever looks from outside looks now and then
  const element = document.querySelector(selector)
  const begun = performance.now()
  if (typed === null) element.click()
  else {
    element.value = typed
    element.dispatchEvent(new Event('input', { bubbles: true }))
  }
  const look = () => {
    const found = document.querySelectorAll(shown).length
    if (count < 0 ? found >= -count : found === count) done(performance.now() - begun)
    else if (performance.now() - begun > 10000) fail(new Error(`${found} of ${count} shown: ${shown}`))
    else requestAnimationFrame(look)
  }
  requestAnimationFrame(look)
})
"""


def until(
    page: Page, selector: str, shown: str, count: int = -1, typed: str | None = None
) -> float:
    """Click *selector*, or type there; return the milliseconds until so many *shown* (negative: at least)."""
    found: float = page.evaluate(UNTIL, [selector, typed, shown, count])
    return found


def _opened(page: Page) -> list[float]:
    """Return the milliseconds from choosing an example in the list to its last judged stop."""
    times = []
    for name in ("Ferry tickets", "Two fractions, one plank", "Squares and signs") * 3:
        page.get_by_role("link", name="Examples").click()
        link = page.get_by_role("link", name=name, exact=True)
        expect(link).to_be_visible()
        link.evaluate("(element) => (element.id = 'chosen')")
        times.append(until(page, "#chosen", ALL_JUDGED))
    return times


ALL_JUDGED = ".bench:has([data-stop]):not(:has([data-stop=waiting]))"
"""The bench, where every stop has its verdict."""

CALL = """
async ([method, path, body]) => {
  const token = /(?:^|; )csrftoken=([^;]+)/.exec(document.cookie)[1]
  const begun = performance.now()
  const reply = await fetch(path, {
    method, headers: { 'X-CSRFToken': token, 'Content-Type': 'application/json' },
    body: body === null ? undefined : JSON.stringify(body),
  })
  const content = await reply.arrayBuffer()
  const milliseconds = performance.now() - begun
  const kind = reply.headers.get('Content-Type') || ''
  const text = kind.includes('json') ? new TextDecoder().decode(content) : 'null'
  return { milliseconds, status: reply.status, answer: JSON.parse(text) }
}
"""


def call(page: Page, method: str, path: str, body: Any = None) -> tuple[float, Any]:
    """Make one call of the API from the page; return its milliseconds and its answer."""
    found = page.evaluate(CALL, [method, path, body])
    assert found["status"] < 300, found
    return found["milliseconds"], found["answer"]


def _sets(page: Page) -> None:
    """A set of forty, made of twins; opened, re-ordered, printed; a key of twenty proofed."""
    _, made = call(page, "POST", "/api/sets", {"title": "Forty for the bench"})
    identity = made["id"]
    givens = ["3(x - 2) = 2x + 5", "x^2 - 7x + 12 = 0", "6/x + 3/(x + 2) = 4", "sqrt(2x + 3) = x"]
    problems = [{"task": "solve", "given": given} for given in givens]
    _, made = call(page, "POST", f"/api/sets/{identity}/problems", {"problems": problems})
    ids = [item["example"]["id"] for item in made["items"]]
    plain, _ = call(page, "POST", "/api/algebra/work", {**problems[0], "form": []})
    milliseconds = 0.0
    for place, count in enumerate((9, 9, 9, 9)):
        body = {"example": ids[place], "count": count, "seed": 7}
        took, made = call(page, "POST", f"/api/sets/{identity}/twins", body)
        milliseconds += took * 30 / 36
    print(f"30 twins: {milliseconds:.0f} ms ({milliseconds / plain:.0f} times one problem worked)")
    ids = [item["example"]["id"] for item in made["set"]["items"]]
    for first in range(0, len(ids), 8):  # as after the first opening: everything is known
        call(page, "POST", f"/api/sets/{identity}/facts", {"examples": ids[first : first + 8]})
    for what in ("key", "handout"):
        took, _ = call(page, "GET", f"/api/give/{identity}/sheet/{what}.pdf")
        again, _ = call(page, "GET", f"/api/give/{identity}/sheet/{what}.pdf")
        print(f"PDF of a {what} of 40 items: {took:.0f} ms, again {again:.0f} ms")
    times = []
    for _ in range(5):
        page.goto("/sets")
        link = page.get_by_role("link", name="Forty for the bench").first
        expect(link).to_be_visible()
        begun = time.perf_counter()
        link.click()
        expect(page.locator(".dot")).to_have_count(40)
        expect(page.locator(".dot[data-unknown=true]")).to_have_count(0)
        times.append((time.perf_counter() - begun) * 1000)
    shown("opening a set of 40", times)
    rows, times = page.locator(".problem"), []
    rows.nth(0).focus()
    for place in range(1, 13):
        text = rows.nth(place - 1).inner_text().split("\n", 1)[1]
        begun = time.perf_counter()
        page.keyboard.press("Alt+ArrowDown")
        expect(rows.nth(place)).to_contain_text(text.split("\n")[-1][:6])
        times.append((time.perf_counter() - begun) * 1000)
    shown("moving a problem of 40 by one place", times)
    _proofed(page, identity)


def _proofed(page: Page, identity: str) -> None:
    """A key of twenty items with all lines, from the sending to its report."""
    found = page.evaluate(
        "(path) => fetch(path).then((reply) => reply.text())",
        f"/api/give/{identity}/sheet/key.txt?density=board",
    )
    blocks = [block for block in found.split("\n\n") if block[:1].isdigit()][:20]
    text = "\n\n".join(re.sub(r" {2,}\[.*\]$", "", block, flags=re.M) for block in blocks)
    begun = time.perf_counter()
    _, proof = call(page, "POST", "/api/proofs", {"text": text})
    while not proof["report"]:
        page.wait_for_timeout(50)
        _, proof = call(page, "GET", f"/api/proofs/{proof['id']}")
    took = (time.perf_counter() - begun) * 1000
    holding = sum(item["status"] == "holds" for item in proof["report"])
    print(f"proofing a key of {len(proof['report'])} items ({holding} hold): {took:.0f} ms")


def shown(name: str, times: list[float]) -> None:
    high = statistics.quantiles(times, n=20)[18]
    print(f"{name}: {len(times)}, median {statistics.median(times):.0f} ms, 95 % {high:.0f} ms")


def _measured(page: Page) -> None:
    page.goto("/")
    expect(page.get_by_label("Password")).to_be_visible()
    print(f"scripts and styles of the first page: {page.evaluate(LOADED) / 1000:.0f} kB")
    sign_in(page)
    page.reload()
    expect(page.get_by_role("heading", name="Today")).to_be_visible()
    print(f"until today stands: {page.evaluate(LOADED) / 1000:.0f} kB")
    bench = Bench(page)
    bench.pose(GIVEN)
    print(f"until the bench stands: {page.evaluate(LOADED) / 1000:.0f} kB")
    bench.write(*TWELVE)
    shown("key press to verdict under 12 lines", _typed(page, bench))
    bench.write(*[f"{n}x = {10 * n}" for n in range(3, 31)])
    page.keyboard.press("Alt+f")
    expect(page.locator(".stub").first).to_be_visible()
    page.locator(".stub").first.click()
    shown("the same under 40 lines with forks shown", _typed(page, bench))
    shown("opening an example, from the list to judged", _opened(page))
    _sets(page)


def in_browser(measured: Callable[[Page], None], *commands: tuple[str, ...]) -> None:
    """Start the application anew, run these commands of Django's, and call *measured* with a page of a browser."""
    app = ready_server()
    try:
        for command in commands:
            server.manage(TEST_CLUSTER, *command, database=DATABASE)
        with sync_playwright() as playwright:
            place = os.environ.get("UCHUU_CHROMIUM", "/usr/bin/chromium")
            browser = playwright.chromium.launch(executable_path=place, args=ARGUMENTS)
            size: ViewportSize = {"width": 1280, "height": 800}
            measured(browser.new_page(base_url=app.address, viewport=size))
            browser.close()
    finally:
        app.end()


def main() -> None:
    """Measure and print."""
    in_browser(_measured)


if __name__ == "__main__":
    main()
