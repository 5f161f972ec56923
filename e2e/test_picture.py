"""The picture and its words: nothing moves under the eyes, everything fits, the first minute, the country's spelling."""

import re
from collections.abc import Callable

import pytest
from bench_page import Bench, expect_said, found_example, sign_in, tick
from playwright.sync_api import Page, expect

WATCH = """
window.__shift = 0;
new PerformanceObserver((list) => {
  for (const one of list.getEntries()) if (!one.hadRecentInput) window.__shift += one.value;
}).observe({ type: 'layout-shift', buffered: true });
"""
MOST_SHIFT = 0.02


def _settled(page: Page) -> float:
    """Return how far the page has moved by itself, once it has stood still for a moment."""
    page.wait_for_load_state("networkidle")
    page.evaluate("() => new Promise((done) => setTimeout(done, 400))")
    return float(page.evaluate("window.__shift"))


@pytest.mark.parametrize(
    "path",
    [
        "/examples",
        "/errors",
        "/house",
        "/bench/new",
        "/sets",
        "/proofs",
        "/first",
        "/classes",
        "/account",
    ],
)
def test_nothing_moves_by_itself_in_a_place(page: Page, path: str) -> None:
    page.add_init_script(WATCH)
    sign_in(page)
    page.goto(path)
    expect(page.locator("main")).not_to_be_empty()
    assert _settled(page) <= MOST_SHIFT


def test_nothing_moves_by_itself_on_the_bench_in_show_and_in_a_set(page: Page) -> None:
    page.add_init_script(WATCH)
    sign_in(page)
    found_example(page, "Two fractions, one plank").click()
    expect(page).to_have_url(re.compile("/bench/"))
    url = page.url
    page.goto(url)
    expect(Bench(page).stops.last).to_have_attribute("data-stop", "ok")
    assert _settled(page) <= MOST_SHIFT
    page.goto(url.replace("/bench/", "/examples/") + "/show")
    expect(page.locator(".show .line")).to_have_count(1)
    assert _settled(page) <= MOST_SHIFT
    page.goto("/sets")
    page.get_by_role("link", name="Equations that climb").click()
    expect(page.locator(".dot").first).to_be_visible()
    expect(page.locator(".dot[data-unknown=true]")).to_have_count(0)
    page.goto(page.url)
    expect(page.locator(".dot").first).to_be_visible()
    assert _settled(page) <= MOST_SHIFT


@pytest.mark.parametrize(("width", "height"), [(640, 400), (640, 800), (1024, 768)])
def test_a_bench_and_a_set_reflow(page: Page, width: int, height: int) -> None:
    page.set_viewport_size({"width": width, "height": height})
    sign_in(page)
    bench = Bench(page)
    bench.pose("sqrt(x + 6) = x")
    bench.write("x + 6 = x^2", "x^2 - x - 6 = 0", "x = 3 or x = -2")
    page.keyboard.type("x = 3")
    entry = page.locator(".entry input").first
    expect(entry).to_be_in_viewport(ratio=1)
    box, foot = entry.bounding_box(), bench.original.bounding_box()
    assert box is not None
    assert foot is not None
    assert box["y"] + box["height"] <= foot["y"]  # the foot never covers the entry
    across = "document.documentElement.scrollWidth"
    assert page.evaluate(across) <= width
    for path in (
        "/sets",
        "/examples",
        "/errors",
        "/house",
        "/first",
        "/classes",
        "/proofs",
        "/account",
    ):
        page.goto(path)
        expect(page.locator("main")).not_to_be_empty()
        assert page.evaluate(across) <= width, path
    page.goto("/sets")
    page.get_by_role("link", name="Equations that climb").click()
    expect(page.locator(".problem").first).to_be_in_viewport()
    assert page.evaluate(across) <= width


def test_the_check_in_the_original_strikes_a_track(page: Page) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose("sqrt(x + 6) = x")
    bench.write("x + 6 = x^2", "x^2 - x - 6 = 0", "x = 3 or x = -2")
    bench.expect_marks("may-add", "ok", "ok")
    tracks = bench.stops.last.locator(".track")
    expect(tracks).to_have_count(2)
    expect(tracks.nth(0)).to_have_attribute("data-below", "last")
    expect(tracks.nth(1)).to_have_attribute("data-below", "ends")


def test_the_first_minute_explains_itself_and_leads_on(page: Page) -> None:
    page.goto("/")
    page.get_by_role("button", name="Begin your own").click()
    page.get_by_label("Name", exact=True).fill("halvorsen")
    page.get_by_label("Password").fill("a rope over the quay")
    page.get_by_role("button", name="Begin", exact=True).click()
    page.get_by_role("link", name="See what a worked line looks like").press("Enter")
    expect(page).to_have_url(re.compile("/first$"))
    expect(page).to_have_title("First steps · Uchuu")
    for _ in range(4):
        expect(page.locator("[data-spoken-of]")).to_have_count(1)
        page.locator(".explained button").press("Enter")
    expect(Bench(page).entry).to_be_focused()
    page.keyboard.type("3x = 9")
    expect(page.locator(".entry")).to_have_attribute("data-mark", "wrong")
    Bench(page).retype("3x = 21")
    expect(page.locator(".entry")).to_have_attribute("data-mark", "ok")
    page.keyboard.press("Enter")
    expect(page.get_by_text("That is all there is to it")).to_be_visible()
    page.get_by_role("link", name="Pose a problem.").press("Enter")
    expect(page.get_by_label("The problem, as the sheet has it")).to_be_focused()


def test_words_are_spelt_as_in_the_teachers_country(page: Page) -> None:
    sign_in(page, "okafor")
    page.goto("/house")
    expect(page.get_by_text("Factor · End behavior · rationalize")).to_be_visible()
    tick(page, "as in the UK")
    expect(page.get_by_text("Factorise · End behaviour · rationalise")).to_be_visible()
    bench = Bench(page)
    bench.pose("factor x^2 + 5x + 6")
    bench.expect_task("Factorise")
    bench.write("x(x + 5) + 6")
    page.keyboard.press("Enter")
    expect_said(page.locator("main"), "Stops before everything is factorised")
    page.goto("/house")
    tick(page, "as in the US")
    expect(page.get_by_text("Factor · End behavior · rationalize")).to_be_visible()


def test_what_the_browser_prints_is_the_work_alone(page: Page) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose("4x + 6 = 30")
    bench.write("4x = 24", "x = 6")
    page.emulate_media(media="print")
    expect(bench.stops).to_have_count(2)
    expect(bench.stops.last).to_be_visible()
    expect(bench.original).to_contain_text("balances")
    for gone in ("nav.rail", ".work-head", ".entry", "aside", "main button:not(.choosable)"):
        expect(page.locator(gone).filter(visible=True)).to_have_count(0)
    page.emulate_media(media="screen")
    page.goto("/errors")
    entries = page.locator("details.entry")
    page.emulate_media(media="print")
    expect(entries.nth(40)).to_be_visible()


def test_the_task_has_a_key_and_what_is_asked_for_closes_when_one_goes_on(page: Page) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose("4x + 6 = 30")
    page.keyboard.press("Alt+t")
    expect(page.get_by_role("combobox", name="Task")).to_be_focused()
    asked = page.locator("details.asked")
    ways: list[Callable[[], None]] = [
        lambda: page.keyboard.press("Escape"),
        lambda: bench.original.click(),
        lambda: bench.entry.press("4"),
    ]
    for close in ways:
        asked.locator("> summary").click()
        expect(asked).to_have_attribute("open", "")
        close()
        expect(asked).not_to_have_attribute("open", "")


def test_a_sign_goes_into_the_line_that_has_the_cursor_only(page: Page) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose("x^2 = 8")
    bench.write("x = sqrt(8)")
    page.keyboard.type("x =")
    bench.stops.first.click()
    page.keyboard.press("Insert")
    expect(page.get_by_label("New line before line 1", exact=True)).to_be_focused()
    page.keyboard.press("Alt+1")
    typed = page.locator(".entry")
    expect(typed.first).to_have_attribute("data-typed", "sqrt()")
    expect(typed.last).to_have_attribute("data-typed", "x =")
