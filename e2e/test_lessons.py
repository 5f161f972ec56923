"""Whole jobs around lessons: planned, held with counts, stopped, carried over; taught again from the log."""

import re
from pathlib import Path

from app_server import DATABASE, Server
from bench_page import choose, sign_in
from playwright.sync_api import Page, expect
from test_classes import _class_with_sitting

from bench.browser import call
from launcher import server

SET = "Equations that climb"


def _plan(page: Page, name: str, title: str) -> None:
    page.get_by_role("link", name="Lessons", exact=True).click()
    page.get_by_role("button", name="Plan a lesson").press("Enter")
    choose(page, "Class", name)
    choose(page, "From a set", SET)
    page.get_by_role("dialog").get_by_label("Name", exact=True).fill(title)
    page.get_by_role("button", name="Plan it").press("Enter")
    expect(page.get_by_role("combobox", name="How item 1 is done")).to_be_visible()


def _done(page: Page, number: int, how: str) -> None:
    """Choose how an item is done, in its own list: another one may still be closing."""
    name = f"How item {number} is done"
    page.get_by_role("combobox", name=name).press("Enter")
    page.get_by_role("listbox", name=name).get_by_role("option", name=how, exact=True).click()


def _plain_class(page: Page, title: str) -> str:
    codes = [f"{n:02}" for n in range(1, 7)]
    body = {"title": title, "year": "2026", "codes": codes}
    return str(call(page, "POST", "/api/classes", body)[1]["id"])


def test_a_lesson_is_planned_held_with_counts_stopped_and_carried_over(page: Page) -> None:
    sign_in(page)
    _plain_class(page, "Lesson class")
    _plan(page, "Lesson class", "Brackets at last")
    _done(page, 2, "skip")
    _done(page, 3, "homework")
    page.get_by_role("textbox", name="Note at item 1", exact=True).fill("ask the second row")
    page.get_by_label("Star item 1:").check(force=True)
    page.get_by_role("textbox", name="First move of item 1", exact=True).fill(
        "what is done to x last?"
    )
    page.get_by_role("spinbutton", name="Minutes", exact=True).fill("10")
    page.keyboard.press("Tab")
    expect(page.get_by_text("Drop this first.").first).to_be_visible()
    expect(page.locator(".state")).to_have_text("saved")
    plan = page.url
    with page.expect_download() as desk:
        page.get_by_role("link", name="Page for the desk (PDF)").press("Enter")
    assert Path(desk.value.path()).read_bytes().startswith(b"%PDF-")

    # held by keyboard: lines, hands, the next item, stopped there
    page.get_by_role("button", name="Hold it").press("Enter")
    expect(page.get_by_text(re.compile(r"item 1 of \d+ · line 0 of [1-9]"))).to_be_visible()
    expect(page.get_by_text("ask the second row")).to_have_count(0)  # it is projected
    page.keyboard.press("c")
    hands = page.get_by_role("region", name="Show of hands")
    expect(hands.get_by_role("spinbutton").nth(1)).to_be_visible()
    for key in "aaabA":
        page.keyboard.press("Shift+A" if key == "A" else key)
    expect(hands.get_by_label("Hands for A")).to_have_value("2")
    page.keyboard.press("Escape")
    expect(hands).to_have_count(0)
    page.keyboard.press("f")
    expect(page.locator(".fork")).to_be_visible()
    for _ in range(6):
        page.keyboard.press("ArrowRight")
    page.keyboard.press("n")
    expect(page.get_by_text(re.compile(r"item 2 of \d+ · line 0 of [1-9]"))).to_be_visible()
    page.keyboard.press("ArrowRight")

    # interrupted, it goes on where it was
    expect(page.get_by_text("not stored yet")).to_have_count(0)
    page.reload()
    expect(page.get_by_text(re.compile(r"item 2 of \d+"))).to_be_visible()
    page.keyboard.press("x")
    page.get_by_role("button", name="End it here").press("Enter")
    expect(page.get_by_text("shown to its end")).to_be_visible()
    expect(page.get_by_text(re.compile("stopped at line 1 of"))).to_be_visible()
    expect(page.get_by_text("Hands at the start:")).to_be_visible()

    page.get_by_role("button", name="Carry over what was not reached").press("Enter")
    expect(page.get_by_role("link", name="Carried over from an earlier lesson")).to_be_visible()
    assert page.url != plan
    expect(page.get_by_role("textbox", name="Note at item 1", exact=True)).to_have_value("")
    page.get_by_role("link", name="Today", exact=True).click()
    expect(page.get_by_role("link", name="Brackets at last")).to_be_visible()


def test_what_a_class_does_wrong_is_taught_again_from_the_log(page: Page, app: Server) -> None:
    sign_in(page)
    _class_with_sitting(page, "Log class")
    about = ("--teacher", "marin", "--set", SET, "--class", "Log class", "--seed", "3")
    server.manage(app.cluster, "fill_tray", *about, database=DATABASE)
    page.get_by_role("tab", name="Tray").click()
    page.get_by_role("button", name="Fetch them").press("Enter")
    expect(page.get_by_text(re.compile("came in"))).to_be_visible()
    page.get_by_role("link", name="Classes", exact=True).click()
    card = page.get_by_role("article").filter(has_text="Log class")
    card.get_by_role("link", name="Log").click()

    # every figure opens its papers, every code its own log
    figure = page.locator("td a").first
    expect(figure).to_be_visible(timeout=60_000)
    expect(page.get_by_text(re.compile("being marked"))).to_have_count(0, timeout=60_000)
    count = int(page.locator("td a b").first.inner_text())
    page.locator("td a").first.click()
    expect(page.get_by_text(f"{count} papers" if count > 1 else "one paper")).to_be_visible()
    page.locator(".el-table__row a").first.click()
    expect(page.locator("#item-1")).to_be_visible()
    page.go_back()
    page.go_back()

    # into a new lesson: the class's own problem, twins, a question at the exit
    page.get_by_role("button", name="Into a lesson").first.press("Enter")
    expect(page.get_by_text("taught again:").first).to_be_visible(timeout=60_000)
    expect(page.get_by_text("exit question:")).to_be_visible()
    expect(page.get_by_role("textbox", name="Note at item 1", exact=True)).to_have_value(
        re.compile("wrote: ")
    )
    with page.expect_download() as moves:
        page.get_by_role("link", name="First moves (PDF)").press("Enter")
    assert Path(moves.value.path()).read_bytes().startswith(b"%PDF-")


def test_a_class_is_before_ones_eyes_at_the_forks_of_an_example(page: Page) -> None:
    sign_in(page)
    body = {"task": "solve", "given": "6(x - 4) = 30", "title": "Six crates"}
    example = call(page, "POST", "/api/examples", body)[1]["id"]
    given = call(page, "POST", "/api/sets", {"title": "One", "items": [{"example": example}]})[1]
    body = {
        "school_class": _plain_class(page, "Fork class"),
        "set": given["id"],
        "date": "2026-11-20",
    }
    sitting = call(page, "POST", "/api/sittings", body)[1]
    text = "\n".join(f"{n:02};1;6x - 4 = 30;6x = 34;x = 17/3" for n in (1, 2, 3)) + "\n04;1;x = 9"
    call(page, "POST", f"/api/sittings/{sitting['id']}/table", {"text": text})
    page.goto(f"/sittings/{sitting['id']}/items/1")
    expect(page.get_by_text("3 of 4 left here")).to_be_visible(timeout=60_000)
    expect(page.get_by_text("1 of 4 came to the answer")).to_be_visible()
    page.goto(f"/bench/{example}")
    expect(page.get_by_label("Next line", exact=True)).to_be_visible()
    page.keyboard.press("Alt+F")
    expect(page.get_by_text("3 of 4 left here (Fork class, 2026)")).to_be_visible()


def test_an_empty_account_is_told_what_to_do_first(page: Page) -> None:
    page.goto("/")
    page.get_by_role("button", name=re.compile("Begin|account", re.I)).first.click()
    page.get_by_label("Name", exact=True).fill("newcomer")
    page.get_by_label(re.compile("Password")).first.fill("a rope over the quay")
    page.keyboard.press("Enter")
    expect(page.get_by_role("heading", name="First steps")).to_be_visible()
    body = {"task": "solve", "given": "2x = 8", "lines": ["x = 4"]}
    page.get_by_role("link", name="Write a worked example").click()
    expect(page.locator(".bench")).to_be_visible()
    example = call(page, "POST", "/api/examples", body)[1]["id"]
    call(page, "POST", "/api/sets", {"title": "First", "items": [{"example": example}]})
    page.get_by_role("link", name="Today", exact=True).click()
    expect(page.get_by_text("Put problems into a set: done")).to_be_visible()
    page.get_by_role("link", name="Make a class").click()
    expect(page.get_by_role("heading", name="Classes", exact=True)).to_be_visible()
