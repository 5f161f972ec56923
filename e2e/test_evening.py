"""A whole evening: papers come in by all four ways, are marked, decided, released, and leave as paper."""

import json
import re
from pathlib import Path

from app_server import DATABASE, Server
from bench_page import choose, sign_in
from playwright.sync_api import Page, expect
from test_classes import _cell, _class_with_sitting

from launcher import server

SET = "Equations that climb"


def _made(app: Server, command: str, *words: str) -> None:
    about = ("--teacher", "marin", "--set", SET, "--class", "Whole evening", "--seed", "3")
    server.manage(app.cluster, command, *words, *about, database=DATABASE)


def test_papers_come_in_by_all_four_ways_and_marks_leave_as_paper(
    page: Page, app: Server, tmp_path: Path
) -> None:
    sign_in(page)
    _class_with_sitting(page, "Whole evening")
    sitting = page.url

    # typed, by keyboard alone
    page.get_by_role("link", name="Paper of 01").press("Enter")
    page.get_by_label("Lines of item 1", exact=True).focus()
    page.keyboard.type("4x = 24\nx = 6")
    page.keyboard.press("Tab")
    expect(page.locator("#item-1 .sum")).to_contain_text("1 of 1")
    page.goto(sitting)

    # a file: our own document
    paper = {"code": "02", "works": [{"item": 1, "lines": ["4x = 38", "x = 38/4"]}]}
    document = {"format": "uchuu-papers", "version": 1, "papers": [paper]}
    file = tmp_path / "papers.json"
    file.write_text(json.dumps(document))
    page.locator("input[type=file]").first.set_input_files(file)
    expect(page.get_by_text("One piece of work is new.")).to_be_visible()

    # the tray: what would overwrite other work waits for the teacher
    _made(app, "fill_tray")
    page.get_by_role("tab", name="Tray").click()
    expect(page.get_by_text("3 papers wait in the tray.")).to_be_visible()
    app.tray.kill()
    page.get_by_role("button", name="Fetch them").press("Enter")
    expect(page.get_by_text("The tray does not answer.").first).to_be_visible()
    app.tray.keep()
    app.tray.wait()
    page.reload()
    page.get_by_role("tab", name="Tray").click()
    page.get_by_role("button", name="Fetch them").press("Enter")
    expect(page.get_by_text(re.compile(r"came in; \d wait for you"))).to_be_visible()
    expect(page.get_by_text("02 has other work for item 1 already.")).to_be_visible()
    page.get_by_role("button", name="Put away").last.click()

    # scans: pages find their codes; one was torn and is placed by hand
    stack = tmp_path / "stack.pdf"
    _made(app, "make_stack", str(stack))
    page.get_by_role("tab", name="Scans").click()
    page.locator("input[type=file]").last.set_input_files(stack)
    expect(page.get_by_text("one page to be placed:")).to_be_visible(timeout=60_000)
    choose(page, "Whose is it?", "03")
    page.get_by_role("button", name="Lay it there").click()
    expect(page.get_by_text("one page to be placed:")).to_have_count(0)
    page.get_by_role("link", name="Paper of 03").press("Enter")
    expect(page.get_by_alt_text("Page 1 of 03, scanned").first).to_be_visible()

    # a mark is decided, a comment is said, the set's own way stands beside
    page.get_by_role("button", name="How the set works it").first.press("Enter")
    expect(
        page.locator("#item-1").get_by_role("heading", name="How the set works it")
    ).to_be_visible()
    page.goto(sitting)
    page.get_by_role("link", name="Paper of 02").press("Enter")
    first = page.locator("#item-1")
    mark = first.get_by_role("spinbutton")
    mark.fill("1")
    mark.press("Enter")
    expect(first).to_contain_text("decided by you")
    comment = first.get_by_role("textbox", name="To the student")
    comment.fill("Subtract seven, then divide.")
    page.keyboard.press("Tab")

    # released: deliberately, and only then no proposals any more
    page.goto(sitting)
    expect(_cell(page, "02", 1)).to_contain_text("1")
    page.get_by_role("button", name="Release the marks").press("Enter")
    sure = page.get_by_role("dialog").get_by_role("button", name="Release the marks")
    released = page.get_by_text("Nothing is marked anew.")
    expect(sure.or_(released)).to_be_visible()
    if sure.is_visible():
        sure.press("Enter")
    expect(released).to_be_visible()
    with page.expect_download() as marks:
        page.get_by_role("link", name="XLSX").press("Enter")
    assert "proposed" not in marks.value.suggested_filename
    with page.expect_download() as redo:
        page.get_by_role("link", name="Redo sheets (PDF)").press("Enter")
    assert Path(redo.value.path()).read_bytes().startswith(b"%PDF-")
    page.get_by_role("link", name="Slips to give back").press("Enter")
    expect(page.get_by_text("Subtract seven, then divide.")).to_be_visible()
    with page.expect_download() as slips:
        page.get_by_role("link", name="Slips (PDF)").press("Enter")
    assert Path(slips.value.path()).read_bytes().startswith(b"%PDF-")


def test_what_an_item_is_marked_for_is_changed_and_taken_back(page: Page) -> None:
    sign_in(page)
    _class_with_sitting(page, "Scheme class")
    sitting = page.url
    page.get_by_label("Papers as a table").fill("Code: 01\n7. (x - 3)(x - 4) = 0\nx = 3 or x = 4")
    page.get_by_role("button", name="Take it in").press("Enter")
    expect(_cell(page, "01", 7)).to_contain_text("3")
    page.get_by_role("link", name="Item 7 with the class on its spine").press("Enter")
    page.get_by_role("link", name="What the marks are for").press("Enter")
    worth = page.get_by_role("spinbutton").first
    worth.fill("4")
    worth.press("Enter")
    page.get_by_role("button", name="Save").press("Enter")
    expect(page.get_by_text("These marks are your own")).to_be_visible()
    page.goto(sitting)
    expect(_cell(page, "01", 7)).to_contain_text("6")
    page.get_by_role("link", name="Item 7 with the class on its spine").press("Enter")
    page.get_by_role("link", name="What the marks are for").press("Enter")
    page.get_by_role("button", name="As made").press("Enter")
    expect(page.get_by_text("Made from the worked lines.")).to_be_visible()
    page.goto(sitting)
    expect(_cell(page, "01", 7)).to_contain_text("3")
