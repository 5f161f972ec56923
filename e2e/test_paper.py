"""The paper around the mathematics: side work, checks, words, crossings-out, fast typing, keys read anew."""

import json

import pytest
from app_server import Server
from bench_page import Bench, choose, expect_said, sign_in, tick
from playwright.sync_api import Page, expect

TYPED = [
    "x + 6 = x^2",
    "0 = x^2 - x - 6",
    "0 = (x - 3)(x + 2)",
    "x = 3 (",
    "x = 3 or x = -2",
    "x = 3",
]
SHEET = """Review

Write each in lowest terms.
12.1  (x^2-4)/(x-2)
      x + 2
12.2  (2x)/(6x)     2/3
Solve
12.3  x^2 = 49
  x = 7 or x = -7
  x + 2 = 5
  x = 3
"""


def test_side_work_checks_words_and_operations_stand_beside_the_spine(page: Page) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose("sqrt(x + 6) = x")

    bench.write(
        "x + 6 = x^2",
        "b^2 - 4ac = 1 + 24 = 25",
        "x = 3 or x = -2",
        "check: sqrt(-2 + 6) ?= -2",
        "2 = -2 ✗",
        "x = -2 is extraneous",
        "so x = 3",
    )

    bench.expect_marks("may-add", "side", "ok", "check", "check", "remark", "ok")
    expect_said(bench.stops.nth(3), "fails, as it should")
    expect(bench.stops.nth(5)).to_contain_text("is extraneous")
    expect(bench.stops.nth(6)).to_contain_text("so")
    expect(bench.original).to_contain_text("balances")


def test_what_is_done_to_both_sides_and_a_line_back_on_the_line(page: Page) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose("2x + 4 = 10")

    bench.write("-4   -4", "2x = 14", "2x = 6 | ÷2", "x = 3")

    bench.expect_marks("operation", "wrong", "back", "ok")
    expect(bench.stops.nth(0).locator(".operation")).to_have_count(2)
    expect(bench.stops.nth(2)).to_contain_text("÷2")


def test_a_line_is_crossed_out_by_key_and_stays(page: Page) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose("x^2 = 9")
    bench.write("x = 3")
    bench.expect_marks("loses")

    page.keyboard.press("Alt+x")
    bench.expect_marks("remark")
    expect(bench.stops.nth(0).locator("s")).to_have_text("x = 3")
    bench.write("x = 3 or x = -3")
    bench.expect_marks("remark", "ok")
    bench.expect_saved()
    page.reload()
    bench.expect_marks("remark", "ok")

    bench.stops.nth(0).click()
    page.keyboard.press("Alt+x")
    bench.expect_marks("ok", "ok")


@pytest.mark.parametrize("pause", [0, 5, 20, 60])
def test_no_key_is_lost_however_fast_one_types(page: Page, pause: int) -> None:
    sign_in(page)
    page.goto("/bench/new")
    given = page.get_by_label("The problem, as the sheet has it")
    expect(given).to_be_focused()
    network = page.context.new_cdp_session(page)
    network.send("Network.enable")
    slow = {"offline": False, "latency": 2000, "downloadThroughput": -1, "uploadThroughput": -1}
    network.send("Network.emulateNetworkConditions", slow)

    page.keyboard.type("sqrt(x + 6) = x\n", delay=pause)
    for line in TYPED:
        page.keyboard.type(f"{line}\n", delay=pause)
    for _ in range(3):  # up to the line that cannot be read, and over its end
        page.keyboard.press("ArrowUp")
    page.keyboard.press("Enter")
    page.keyboard.press("Control+a")
    page.keyboard.type("0 = x^2 - 6 - x", delay=pause)
    page.keyboard.press("Enter")
    page.keyboard.press("Escape")
    page.keyboard.type("x = 3 is", delay=pause)
    network.send("Network.emulateNetworkConditions", {**slow, "latency": 0})

    bench = Bench(page)
    expect(bench.stops).to_have_count(len(TYPED))
    bench.expect_typed("x = 3 is")
    bench.expect_marks("may-add", "ok", "ok", "ok", "ok", "ok")
    bench.expect_saved()
    identity = page.url.rsplit("/", 1)[1]
    stored = page.evaluate(f"fetch('/api/examples/{identity}').then((r) => r.text())")
    assert json.loads(stored)["lines"] == [*TYPED[:3], "0 = x^2 - 6 - x", *TYPED[4:]]


def test_both_readings_of_a_division_stand_there_while_one_types(page: Page) -> None:
    sign_in(page)
    page.goto("/bench/new")
    expect(page.get_by_label("The problem, as the sheet has it")).to_be_focused()
    page.keyboard.type("x/6 ÷ x/9")

    readings = page.locator(".ambiguity .reading")
    expect(readings).to_have_count(2)
    expect(readings.nth(0)).to_contain_text("= 3/2")
    expect(readings.nth(1)).to_contain_text("= 1/54")


def test_a_key_is_read_anew_parted_joined_and_its_errata_printed(page: Page, app: Server) -> None:
    app.worker.keep()
    sign_in(page)
    page.goto("/proofs")
    page.get_by_label("The key, as it was written").fill(SHEET.replace("2/3", "3"))
    page.get_by_role("button", name="Check it").press("Enter")
    items = page.locator(".item")
    expect(items).to_have_count(3, timeout=20_000)
    expect(page.get_by_role("heading", level=1)).to_have_text("Review")
    expect(items.nth(0)).to_contain_text("holds")
    expect(items.nth(2)).to_contain_text("does not hold")

    items.nth(2).get_by_role("button", name="Correct the reading").press("Enter")
    reading = items.nth(2).get_by_label("The problem, and what stands under it")
    reading.fill("x^2 = 49\nx = 7 or x = -7\n\nx + 2 = 5\nx = 3")
    reading.press("Control+Enter")
    expect(items).to_have_count(4)
    expect(items.nth(2)).to_contain_text("holds")
    expect(items.nth(3)).to_contain_text("holds")
    page.reload()
    expect(items).to_have_count(4)
    items.nth(3).get_by_role("button", name="Correct the reading").press("Enter")
    items.nth(3).get_by_role("button", name="Join to the item above").press("Enter")
    expect(items).to_have_count(3)
    expect(items.nth(2)).to_contain_text("does not hold")

    tick(items.nth(1), "Accept")
    expect(page.get_by_role("button", name="Errata slip")).to_be_enabled()
    page.get_by_role("button", name="Errata slip").press("Enter")
    row = page.locator(".errata tbody tr")
    expect(row).to_have_count(1)
    expect(row).to_contain_text("12.2")
    expect(row.locator("td").nth(1)).to_have_text("3")
    expect(row.locator("td").nth(2)).to_have_text("1/3")


def test_a_pasted_sheet_is_looked_over_and_made_a_set(page: Page, app: Server) -> None:
    app.worker.keep()
    sign_in(page)
    page.goto("/proofs")
    page.get_by_label("The key, as it was written").fill(SHEET)
    page.get_by_role("button", name="Make a set of it").press("Enter")
    items = page.locator(".item")
    expect(items).to_have_count(3, timeout=20_000)
    expect(page.get_by_text("3 problems were read")).to_be_visible()

    items.nth(1).get_by_role("button", name="Correct the reading").press("Enter")
    choose(page, "What is asked", "Factor")
    items.nth(1).get_by_role("button", name="Save and check again").press("Enter")
    expect(items.nth(1)).to_contain_text("Factor")
    page.get_by_role("button", name="Make a set of it").press("Enter")

    expect(page.locator(".problem")).to_have_count(3)
