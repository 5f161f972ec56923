"""Times of the screens in a real browser, server on this machine; run by ``./uchuu bench browser``.

From a key press to its verdict, each key of several lines, right and wrong, under 12 lines, and under 40
lines with forks shown; opening an example; the size of the first load.
"""

import os
import statistics
import time

from app_server import ARGUMENTS, ready_server
from bench_page import Bench, sign_in
from playwright.sync_api import Page, expect, sync_playwright

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
  // from the key to the moment the verdict on exactly this text is painted
  window.times = []
  const entry = document.querySelector('.entry input')
  entry.addEventListener('input', () => {
    const text = entry.value
    const begun = performance.now()
    const look = () => {
      const box = document.querySelector('.entry')
      if (entry.value !== text || performance.now() - begun > 5000) return
      if (box.dataset.judged === text) window.times.push(performance.now() - begun)
      else requestAnimationFrame(look)
    }
    requestAnimationFrame(look)
  })
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
        for end in range(1, len(line) + 1):
            bench.entry.fill(line[:end])
            expect(page.locator(".entry")).to_have_attribute("data-judged", line[:end])
        bench.entry.fill("")
    times: list[float] = page.evaluate("window.times")
    return times


def _opened(page: Page) -> list[float]:
    """Return the milliseconds from choosing an example in the list to its last judged stop."""
    times = []
    for name in ("Ferry tickets", "Two fractions, one plank", "Squares and signs") * 3:
        page.goto("/examples")
        link = page.get_by_role("link", name=name, exact=True)
        expect(link).to_be_visible()
        begun = time.perf_counter()
        link.click()
        expect(page.locator("[data-stop]").last).to_have_attribute("data-stop", "ok")
        times.append((time.perf_counter() - begun) * 1000)
    return times


def _shown(name: str, times: list[float]) -> None:
    high = statistics.quantiles(times, n=20)[18]
    print(f"{name}: {len(times)}, median {statistics.median(times):.0f} ms, 95 % {high:.0f} ms")


def _measured(page: Page) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose(GIVEN)
    print(f"scripts and styles until the bench stands: {page.evaluate(LOADED) / 1000:.0f} kB")
    bench.write(*TWELVE)
    _shown("key press to verdict under 12 lines", _typed(page, bench))
    bench.write(*[f"{n}x = {10 * n}" for n in range(3, 31)])
    page.keyboard.press("Alt+f")
    expect(page.locator(".stub").first).to_be_visible()
    page.locator(".stub").first.click()
    _shown("the same under 40 lines with forks shown", _typed(page, bench))
    _shown("opening an example, from the list to judged", _opened(page))


def main() -> None:
    """Measure and print."""
    app = ready_server()
    try:
        with sync_playwright() as playwright:
            place = os.environ.get("UCHUU_CHROMIUM", "/usr/bin/chromium")
            browser = playwright.chromium.launch(executable_path=place, args=ARGUMENTS)
            _measured(browser.new_page(base_url=app.address))
            browser.close()
    finally:
        app.end()


if __name__ == "__main__":
    main()
