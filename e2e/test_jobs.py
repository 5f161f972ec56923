"""Whole jobs, from the keyboard: pose, work by hand, one line wrong, mended, checked, shown, printed."""

import re

import pytest
from bench_page import Bench, sign_in, tick
from playwright.sync_api import Page, expect
from test_places import violations

TOPICS = [
    ("order of operations", "20 - 6*3", "14*3", "Adds or subtracts", ["20 - 18", "2"]),
    ("fractions", "1/2 + 1/3", "2/5", "Adds tops", ["3/6 + 2/6", "5/6"]),
    ("exponents", "(2x)^3*x", "2x^3*x", "Power reaches only", ["8x^3*x", "8x^4"]),
    ("radicals", "sqrt(9) + sqrt(16)", "sqrt(25)", "Adds radicands", ["3 + 4", "7"]),
    ("factoring", "x^2 - 49", "(x - 7)^2", "Difference of squares", ["(x - 7)(x + 7)"]),
    (
        "rational expressions",
        "(x + 6)/6 + 1",
        "x + 1",
        "Strikes equal terms",
        ["x/6 + 1 + 1", "x/6 + 2"],
    ),
    ("linear", "3(x - 2) = 9", "3x - 2 = 9", "first term", ["3x - 6 = 9", "3x = 15", "x = 5"]),
    ("quadratic", "x^2 = 49", "x = 7", "Leaves out ±", ["x = 7 or x = -7"]),
    ("rational equation", "6/(x + 2) = 2", "6/x + 3 = 2", "Splits a sum", ["6 = 2x + 4", "x = 1"]),
    (
        "radical equation",
        "sqrt(x + 1) = 3",
        "x + 1 = 3",
        "Removes the root",
        ["x + 1 = 9", "x = 8"],
    ),
    ("exponential equation", "2^x = 8", "x = 4", "Divides by the base", ["2^x = 2^3", "x = 3"]),
]


@pytest.mark.parametrize(
    ("given", "wrong", "named", "right"),
    [topic[1:] for topic in TOPICS],
    ids=[t[0] for t in TOPICS],
)
def test_an_example_of_each_topic_is_done_without_the_mouse(
    page: Page, given: str, wrong: str, named: str, right: list[str]
) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose(given)
    bench.write(wrong)
    expect(bench.stops.first).to_have_attribute("data-stop", re.compile("wrong|loses"))
    expect(bench.stops.first).to_contain_text(named)
    page.keyboard.press("ArrowUp")
    expect(bench.details).to_contain_text(re.compile("leaves the line|drops answers"))
    page.keyboard.press("Delete")
    expect(bench.stops).to_have_count(0)
    page.keyboard.press("Escape")
    bench.write(*right)
    for index in range(len(right)):
        expect(bench.stops.nth(index)).to_have_attribute(
            "data-stop", re.compile("ok|condition|may-add")
        )
    expect(page.get_by_text(re.compile("balances|The answer is right")).first).to_be_visible()

    page.keyboard.press("Alt+s")
    expect(page.locator(".show .line")).to_have_count(1)
    page.keyboard.press("End")
    written = page.locator(".show .line:not([data-mark=check]):not([data-mark=fails])")
    expect(written).to_have_count(len(right) + 1)
    page.keyboard.press("Escape")
    expect(bench.entry).to_be_visible()
    page.keyboard.press("Alt+p")
    expect(page.locator(".sheet .line")).to_have_count(len(right) + 1)


def test_forks_are_shown_opened_and_carried_on_from_the_keyboard(page: Page) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose("3(x - 2) = 9")
    bench.write("3x - 6 = 9", "3x = 15", "x = 5")

    page.keyboard.press("Alt+f")
    stub = page.get_by_role("button", name=re.compile("to leave here")).first
    expect(stub).to_be_visible()
    stub.focus()
    page.keyboard.press("Enter")
    row = page.locator(".fan .row").filter(has_text="only the first term")
    expect(row).to_contain_text("ends in")
    row.focus()
    page.keyboard.press("Enter")

    opened = page.locator(".opened")
    expect(opened).to_contain_text("fits the line before")
    expect(opened.locator("[data-mark=parallel]")).to_have_count(2)
    page.keyboard.press("Alt+f")
    expect(page.locator(".fan, .stub")).to_have_count(0)


def test_a_class_is_shown_asked_and_led_past_a_fork(page: Page) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose("3(x - 2) = 9")
    bench.write("3x - 6 = 9", "x = 5")
    page.keyboard.press("Alt+s")
    lines = page.locator(".show .line")
    expect(page.get_by_role("button", name="Open a fork")).to_be_enabled()

    page.keyboard.press("p")
    expect(page.locator(".asked")).to_contain_text("?")
    page.keyboard.press("ArrowRight")
    expect(lines).to_have_count(2)
    expect(page.locator(".show .lit").first).to_be_visible()
    page.keyboard.press("ArrowLeft")
    page.keyboard.press("f")
    expect(page.locator(".fork")).to_contain_text("Is it right?")
    page.keyboard.press("f")
    expect(page.locator(".fork")).to_have_attribute("data-struck", "true")
    page.keyboard.press("Backspace")
    page.get_by_role("link", name="Talk track").click()

    expect(page.get_by_role("row")).to_have_count(4)
    expect(page.get_by_role("columnheader", name="Watch for")).to_be_visible()


def test_lines_are_inserted_and_moved_and_everything_after_is_judged_anew(page: Page) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose("3(x - 2) = 9")
    bench.write("3x - 6 = 9", "x = 5")
    page.keyboard.press("ArrowUp")
    page.keyboard.press("Insert")
    expect(page.get_by_label("New line before line 2", exact=True)).to_be_focused()
    page.keyboard.type("3x = 14")
    page.keyboard.press("Enter")
    bench.expect_marks("ok", "wrong", "back")

    page.keyboard.press("Delete")
    bench.expect_marks("ok", "ok")
    page.keyboard.press("Alt+ArrowUp")
    expect(bench.stops.nth(0)).to_contain_text("5")
    page.keyboard.press("Control+z")
    bench.expect_marks("ok", "ok")
    page.get_by_role("button", name="Print & more").press("Enter")
    page.get_by_role("menuitem", name="Earlier versions").press("Enter")
    expect(page.get_by_role("dialog", name="Earlier versions")).to_be_visible()


def test_an_own_error_is_refused_as_a_law_kept_as_an_error_and_found_on_the_bench(
    page: Page,
) -> None:
    sign_in(page, "okafor")
    page.goto("/errors")
    page.get_by_role("button", name="Add an error").click()
    page.get_by_label("Name, as you would say it").fill("Halves only one part")
    page.get_by_label("They have").fill("(a + b)/2")
    page.get_by_label("They write").fill("a/2 + b/2")
    expect(page.get_by_text("A law, no error.")).to_be_visible()
    expect(page.get_by_role("button", name="Save")).to_be_disabled()
    page.get_by_label("They write").fill("a/2 + b")
    expect(page.get_by_text("An error.")).to_be_visible()
    page.get_by_role("button", name="Save").click()
    expect(page.get_by_role("heading", name="Halves only one part")).to_be_visible()

    bench = Bench(page)
    bench.pose("(x + 6)/2 + x")
    bench.write("x/2 + 6 + x")

    expect(bench.stops.first).to_contain_text("Halves only one part")


def test_exercises_are_made_of_an_example_and_made_again(page: Page) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose("3(x - 2) = 9")
    bench.write("3x - 6 = 9", "x = 5")
    page.keyboard.press("Alt+p")
    page.get_by_role("link", name="Exercises").press("Enter")

    expect(page.locator(".choices li")).to_have_count(4)
    expect(page.locator("dl.key")).to_contain_text("The right answer.")
    expect(page.locator(".lines li")).not_to_have_count(0)
    first = page.locator(".sheet").inner_text()
    page.get_by_role("button", name="Another one").press("Enter")
    expect(page.locator(".sheet")).not_to_have_text(first)
    tick(page, "With the key")

    expect(page.locator(".key")).to_have_count(0)
    assert violations(page) == []
