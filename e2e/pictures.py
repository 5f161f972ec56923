"""The pictures in docs/screenshots, taken anew from the demo data of a running application.

Start it with an empty state folder, then: ``.venv/bin/python e2e/pictures.py http://127.0.0.1:8600 [name …]``.
"""

import os
import subprocess
import sys
from collections.abc import Callable
from pathlib import Path
from tempfile import mkdtemp

from bench_page import Bench, found_example, sign_in
from playwright.sync_api import Page, expect, sync_playwright

FOLDER = Path(__file__).resolve().parents[1] / "docs" / "screenshots"
KEY = """1. Solve: 3x - 5 = x + 9
   2x = 14
   x = 7
2. Solve: x^2 - 5x + 6 = 0
   (x - 2)(x - 3) = 0
   x = 2 or x = -3
3. Simplify: (2x^3)^2
   2x^6
4. Factor: 6x^2 + 9x
   3x(2x + 3)
"""
PATIENT = 60_000
"""Milliseconds: forks and keys of a whole set are worked for the first time here."""


def _opened(page: Page, title: str) -> Bench:
    found_example(page, title).click()
    expect(page.locator(".bench:has(.entry):not(:has([data-stop=waiting]))")).to_be_visible()
    return Bench(page)


def _set(page: Page, title: str) -> None:
    page.goto("/sets")
    page.get_by_role("link", name=title, exact=True).click()
    expect(page.locator(".dot").first).to_be_visible()
    expect(page.locator(".dot[data-unknown=true]")).to_have_count(0)


def bench(page: Page) -> None:
    """A wrong line, named."""
    _opened(page, "Sign on the way across").stops.nth(1).click()


def forks(page: Page) -> None:
    """Forks of a line, one carried on to its end."""
    _opened(page, "Two fractions, one plank")
    page.keyboard.press("Alt+F")
    page.locator(".stub").nth(1).click()
    page.locator(".fan .row").first.click()
    expect(page.locator(".opened li").first).to_be_visible()


def exercises(page: Page) -> None:
    """Choices and a planted mistake."""
    _opened(page, "Two fractions, one plank")
    page.goto(page.url.replace("/bench/", "/examples/") + "/exercise")
    expect(page.locator(".katex").nth(8)).to_be_visible()


def show(page: Page) -> None:
    """Shown to the class: what divides out is struck, the class has yet to say what is left."""
    bench = Bench(page)
    bench.pose("Simplify: (x^2-9)/(x^2+5x+6)*(x+2)/(2x-6)")
    page.keyboard.press("Alt+W")
    expect(bench.stops).to_have_count(2)
    page.get_by_label("Name of the example").fill("What divides out")
    page.keyboard.press("Tab")
    expect(page.get_by_text("saved", exact=True)).to_be_visible()
    page.keyboard.press("Alt+S")
    expect(page.get_by_role("button", name="Open a fork")).to_be_enabled(timeout=PATIENT)
    page.keyboard.press("ArrowRight")
    expect(page.get_by_role("button", name="Draw")).to_be_enabled()
    for _ in range(3):
        page.keyboard.press("m")
    expect(page.locator(".hand .note").first).to_be_visible()


def the_set(page: Page) -> None:
    """A set as a climb."""
    _set(page, "Equations that climb")
    page.locator(".problem").nth(2).click()


def give(page: Page) -> None:
    """A worked key."""
    _set(page, "Equations that climb")
    page.goto(page.url + "/print/key")
    expect(page.get_by_role("img").first).to_be_visible()


def proof(page: Page) -> None:
    """A key that is proofed."""
    page.goto("/proofs")
    page.locator("textarea").fill(KEY)
    page.keyboard.press("Control+Enter")
    page.wait_for_url("**/proofs/*")
    expect(page.locator("ol > li, ol > article").nth(3)).to_be_visible()


def study(page: Page) -> None:
    """A function beside its graph."""
    _opened(page, "The harbour gauge as a graph")
    expect(page.locator("svg .branch").first).to_be_visible()


def examples(page: Page) -> None:
    """The list of examples."""
    page.goto("/examples")
    expect(page.locator(".el-table__row").nth(9)).to_be_visible()


def errors(page: Page) -> None:
    """The catalogue of errors."""
    page.goto("/errors")
    expect(page.locator(".entry").nth(3)).to_be_visible()


def house(page: Page) -> None:
    """House rules."""
    page.goto("/house")
    expect(page.locator(".katex").nth(2)).to_be_visible()


ANSWERS = """01: x = 25/3
02: 8 1/3
03: x = -2/3
04: 25/3
05: -2/3
06: x = 5
07:
08: x = 25/3
09: no idea
10: x = 5
11: -2/3
"""


def answers(page: Page) -> None:
    """Answers that came in for an example."""
    _opened(page, "Two fractions, one plank")
    page.goto(page.url.replace("/bench/", "/examples/") + "/answers")
    page.locator("textarea").fill(ANSWERS)
    expect(page.locator(".groups li").nth(3)).to_be_visible()


def _sitting(page: Page) -> None:
    page.goto("/classes")
    page.get_by_role("link", name="Quiz: equations that climb").click()
    expect(page.locator(".cell").first).to_be_visible()
    expect(page.get_by_text("…", exact=True)).to_have_count(0)


def sitting(page: Page) -> None:
    """A class's papers."""
    _sitting(page)


def student_paper(page: Page) -> None:
    """One paper, marked, beside its scanned page; ``UCHUU_STATE`` names the running application's folder."""
    about = ["--set", "Review before the harbour trip", "--class", "Algebra 2, period 5"]
    stack = Path(mkdtemp()) / "stack.pdf"
    for words in (["fill"], ["stack", str(stack)]):
        subprocess.run(
            [FOLDER.parents[1] / "uchuu", "tray", *words, *about, "--seed", "4"], check=True
        )
    page.goto("/classes")
    page.get_by_role("link", name="Review before the harbour trip").first.click()
    page.get_by_role("tab", name="Tray").click()
    page.get_by_role("button", name="Fetch them").click()
    expect(page.get_by_text("came in")).to_be_visible()
    page.get_by_role("tab", name="Scans").click()
    page.locator("input[type=file]").last.set_input_files(stack)
    expect(page.get_by_text("to be placed:")).to_be_visible()
    page.get_by_role("link", name="Paper of 07").click()
    expect(page.get_by_alt_text("Page 1 of 07, scanned")).to_be_visible()
    expect(page.locator(".sum").first).to_be_visible()


def item(page: Page) -> None:
    """One item with the class on its spine."""
    _sitting(page)
    page.get_by_role("link", name="Item 4 with the class on its spine").click()
    expect(page.get_by_text("left here").first).to_be_visible()


def today(page: Page) -> None:
    """Where one lands."""
    page.goto("/")
    expect(page.get_by_role("button", name="Into a warm-up").first).to_be_visible()


def lesson(page: Page) -> None:
    """A lesson's plan."""
    page.goto("/lessons")
    page.get_by_role("link", name="Before the quiz is given back").click()
    expect(page.locator(".number").nth(4)).to_be_visible()


def log(page: Page) -> None:
    """The log of a class."""
    page.goto("/classes")
    card = page.get_by_role("article").filter(has_text="period 3")
    card.get_by_role("link", name="Log").click()
    expect(page.locator("td a").first).to_be_visible()
    page.wait_for_timeout(PATIENT // 2)  # until what is marked for the first time is there
    page.reload()
    expect(page.locator("td a").first).to_be_visible()
    expect(page.get_by_text("being marked")).to_have_count(0)


PICTURES: dict[str, Callable[[Page], None]] = {
    "bench": bench,
    "forks": forks,
    "exercises": exercises,
    "show": show,
    "set": the_set,
    "give": give,
    "proof": proof,
    "study": study,
    "examples": examples,
    "errors": errors,
    "house": house,
    "answers": answers,
    "sitting": sitting,
    "student-paper": student_paper,
    "item": item,
    "today": today,
    "lesson": lesson,
    "log": log,
}


def main() -> None:
    """Take those that are named, or all."""
    address, *names = sys.argv[1:]
    with sync_playwright() as playwright:
        place = os.environ.get("UCHUU_CHROMIUM", "/usr/bin/chromium")
        browser = playwright.chromium.launch(executable_path=place, args=["--no-sandbox"])
        page = browser.new_page(base_url=address, viewport={"width": 1280, "height": 800})
        expect.set_options(timeout=PATIENT)
        sign_in(page)
        for name in names or PICTURES:
            PICTURES[name](page)
            page.wait_for_load_state("networkidle")
            page.wait_for_timeout(600)  # a picture, not a test: what fades in has come
            page.screenshot(path=FOLDER / f"{name}.png")
        browser.close()


if __name__ == "__main__":
    main()
