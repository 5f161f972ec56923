"""Time from a key press to its verdict on the screen, in a real browser, server on this machine.

Each key of several lines, right and wrong, typed into an example that has lines already. Prints the
median and the 95th percentile; run by ``./uchuu bench browser``.
"""

import os
import statistics

from app_server import ARGUMENTS, ready_server
from bench_page import Bench, sign_in
from playwright.sync_api import Page, expect, sync_playwright

GIVEN = "2(3x - 4) - (x + 5) = 3x + 7"
ABOVE = ["6x - 8 - (x + 5) = 3x + 7", "6x - 8 - x - 5 = 3x + 7", "5x - 13 = 3x + 7"]
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


def _measured(page: Page) -> list[float]:
    sign_in(page)
    bench = Bench(page)
    bench.pose(GIVEN)
    bench.write(*ABOVE)
    page.evaluate(WATCH)
    for line in TYPED:
        for end in range(1, len(line) + 1):
            bench.entry.fill(line[:end])
            expect(page.locator(".entry")).to_have_attribute("data-judged", line[:end])
        bench.entry.fill("")
    times: list[float] = page.evaluate("window.times")
    return times


def main() -> None:
    """Measure and print."""
    app = ready_server()
    try:
        with sync_playwright() as playwright:
            place = os.environ.get("UCHUU_CHROMIUM", "/usr/bin/chromium")
            browser = playwright.chromium.launch(executable_path=place, args=ARGUMENTS)
            page = browser.new_page(base_url=app.address)
            times = _measured(page)
            browser.close()
    finally:
        app.end()
    high = statistics.quantiles(times, n=20)[18]
    print(
        f"key press to verdict on the screen: {len(times)} keys, "
        f"median {statistics.median(times):.0f} ms, 95 % {high:.0f} ms"
    )


if __name__ == "__main__":
    main()
