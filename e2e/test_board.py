"""On the board: marks of a hand, side work, and three ways to tell an example, all by key."""

import re

import pytest
from bench_page import Bench, sign_in
from playwright.sync_api import Page, expect


def _written(page: Page, problem: str, *lines: str) -> Bench:
    sign_in(page)
    page.goto("/bench/new")
    bench = Bench(page)
    bench.pose(problem)
    for line in lines:
        page.keyboard.type(line)
        page.keyboard.press("Enter")
    expect(bench.stops).to_have_count(len(lines))
    expect(page.locator("[data-stop=waiting]")).to_have_count(0)
    return bench


def _shown(page: Page) -> None:
    """Show the example, and wait until everything that can be opened is there."""
    page.keyboard.press("Alt+s")
    expect(page.locator(".board .line")).to_have_count(1)
    expect(page.get_by_role("button", name="Open a fork")).to_be_enabled(timeout=60_000)


def test_the_chosen_line_bears_its_marks_and_nothing_moves(page: Page) -> None:
    bench = _written(page, "3(2x-5)-4(x-1) = 7", "6x-15-4x+4 = 7", "2x-11 = 7", "2x = 18", "x = 9")
    # every line has its reason: what is said beside it takes room
    said = bench.stops.locator(".words").filter(has_text=re.compile("[a-z]"))
    expect(said).to_have_count(4)
    places = "() => [...document.querySelectorAll('.on-bench .line')].map((l) => l.getBoundingClientRect().top)"
    before = page.evaluate(places)
    bench.stops.nth(0).click()
    given = page.locator(".on-bench .line").first
    expect(given.locator(".hand svg > path")).to_have_count(4)
    assert page.evaluate(places) == before
    page.keyboard.press("ArrowDown")
    expect(given.locator(".hand")).to_have_count(0)
    page.keyboard.press("ArrowDown")
    expect(bench.stops.nth(1).locator(".hand .note")).to_have_count(2)
    expect(bench.details.get_by_text("Under")).to_have_text(re.compile("Under −11: \\+11"))

    # a strike lies on its part at every size of the window
    for width in (1000, 1500):
        page.set_viewport_size({"width": width, "height": 800})
        line = bench.stops.nth(1)
        part = line.locator(".m-2-0-1").bounding_box()
        assert part is not None
        expect(line.locator(".note").first).to_be_visible()
        page.wait_for_function(
            "([x, w]) => { const n = document.querySelectorAll('[data-stop] .note')[0].getBoundingClientRect();"
            " return Math.abs(n.x + n.width / 2 - (x + w / 2)) < w }",
            arg=[part["x"], part["width"]],
        )


def test_a_student_s_strike_is_warm_and_the_pair_that_looks_alike_stands_beside(page: Page) -> None:
    bench = _written(page, "Simplify: (x+3)/3", "x")
    bench.stops.nth(0).click()
    expect(page.locator(".hand.warm svg > path")).to_have_count(2)
    expect(bench.details.get_by_text("Alike, and different")).to_be_visible()
    expect(bench.details.locator(".pair")).to_be_visible()


def test_side_work_is_opened_by_key_and_written_beside_the_lines(page: Page) -> None:
    bench = _written(page, "Factor: 5n^2+7n-6", "5n^2+10n-3n-6", "5n(n+2)-3(n+2)", "(n+2)(5n-3)")
    bench.stops.nth(0).click()
    pairs = bench.details.locator(".side-work[data-kind=pairs]")
    expect(pairs).to_be_visible()
    page.keyboard.press("Alt+b")
    expect(pairs).to_have_count(0)
    page.keyboard.press("Alt+b")
    bench.details.get_by_role("button", name="Write it beside the lines").click()
    expect(bench.stops).to_have_count(5)
    bench.expect_marks("side", "side", "ok", "ok", "ok")
    bench.stops.nth(4).click()
    expect(bench.details.locator(".side-work[data-kind=box] td")).to_have_count(5)


def test_line_by_line_the_hand_draws_on_a_key(page: Page) -> None:
    _written(page, "2x+3 = 11", "2x = 8", "x = 4")
    _shown(page)
    expect(page.get_by_role("button", name="Draw")).to_be_enabled()
    page.keyboard.press("m")
    expect(page.locator(".board .note")).to_have_count(2)
    page.keyboard.press("ArrowLeft")
    expect(page.locator(".board .note")).to_have_count(0)
    page.keyboard.press("d")
    expect(page.locator(".side-work[data-kind=balance]")).to_be_visible()
    page.keyboard.press("ArrowRight")
    expect(page.locator(".board .line")).to_have_count(2)
    expect(page.locator(".side-work")).to_have_count(0)
    expect(page.locator(".board .note")).to_have_count(2)
    page.keyboard.press("k")
    expect(page.locator(".board .note")).to_have_count(0)
    page.keyboard.press("?")
    expect(page.get_by_role("dialog").get_by_text("draw the next mark of the hand")).to_be_visible()


def test_the_wrong_story_first_gives_nothing_away_until_it_is_struck(page: Page) -> None:
    _written(page, "2(x-5) = 12", "2x-10 = 12", "2x = 22", "x = 11")
    _shown(page)
    page.keyboard.press("2")
    expect(page.get_by_role("status")).to_have_text(re.compile(r"of ([6-9]|1\d)"))
    vote = page.get_by_text("Is it right? Vote")
    for _ in range(12):
        page.keyboard.press("ArrowRight")
        if vote.is_visible():
            break
        expect(page.locator(".board .line[data-mark=wrong]")).to_have_count(0)
        expect(page.locator(".board .line[data-mark=parallel]")).to_have_count(0)
    expect(vote).to_be_visible()
    page.keyboard.press("ArrowRight")
    expect(page.locator(".board .line[data-mark=wrong]")).to_have_count(1)
    page.keyboard.press("ArrowRight")
    expect(page.locator(".board .line[data-mark=wrong]")).to_have_count(0)
    page.keyboard.press("End")
    expect(page.locator(".board .line[data-mark=check]")).to_have_count(1)


def test_the_answer_first_then_how_one_gets_there(page: Page) -> None:
    _written(page, "2(x-5) = 12", "2x-10 = 12", "2x = 22", "x = 11")
    _shown(page)
    page.keyboard.press("3")
    page.keyboard.press("ArrowRight")
    expect(page.get_by_text("This is the answer.")).to_be_visible()
    page.keyboard.press("End")
    expect(page.locator(".board .line")).to_have_count(6)


@pytest.mark.parametrize("theme", ["light", "dark"])
def test_nothing_on_the_board_is_smaller_than_the_back_row_reads(page: Page, theme: str) -> None:
    page.emulate_media(color_scheme=theme)  # type: ignore[arg-type]
    page.set_viewport_size({"width": 1280, "height": 800})
    _written(page, "2(x-5) = 12", "2x-10 = 12", "2x = 22", "x = 11")
    _shown(page)
    for key in ("m", "d", "ArrowRight", "f", "f"):
        page.keyboard.press(key)
    expect(page.locator(".fork .why").first).to_be_visible()
    sizes = page.evaluate(
        """() => [...document.querySelectorAll('.board .words, .board .why, .board figcaption, .board .number')]
            .filter((one) => one.textContent.trim())
            .map((one) => [one.className, parseFloat(getComputedStyle(one).fontSize)])"""
    )
    assert sizes
    assert [one for one in sizes if one[1] < 24] == []
