"""Sets as a teacher builds them, gives them out, and proofs somebody's key."""

import re
from pathlib import Path

from app_server import Server
from bench_page import choose, sign_in, tick
from playwright.sync_api import Page, expect

KEY = """Solve.
1. 3(x - 2) = 9     x = 5
2. x^2 = 49     x = 7
3. 2x + @ = 3   x = 1

Factor.
4. x^2 - 25
"""


def _start(page: Page, name: str) -> None:
    sign_in(page)
    page.goto("/sets")
    page.get_by_role("button", name="Start a set").press("Enter")
    page.get_by_label("Name of the set").fill(name)


def _type_problems(page: Page, text: str, count: int) -> None:
    page.get_by_role("button", name="Add problems").press("Enter")
    tick(page, "Typed")
    page.get_by_role("textbox", name="Problems").fill(text)
    page.get_by_role("button", name="Add them").press("Enter")
    expect(page.locator(".problem")).to_have_count(count)
    page.keyboard.press("Escape")
    expect(page.get_by_role("dialog")).to_be_hidden()


def test_a_set_is_built_ordered_and_printed_from_the_keyboard(page: Page) -> None:
    _start(page, "Before the bell")
    for title in ("Two currents", "Loading rate", "Buoy chain"):
        page.get_by_role("button", name="Add problems").press("Enter")
        page.get_by_label("Find an example").fill(title)
        page.get_by_role("button", name=re.compile(f"^{title}")).press("Enter")
        page.keyboard.press("Escape")
        expect(page.get_by_role("dialog")).to_be_hidden()
    rows = page.locator(".problem")
    expect(rows).to_have_count(3)
    expect(page.locator(".dot[data-unknown=true]")).to_have_count(0)

    expect(page.get_by_role("button", name="Sort from easy to hard")).to_be_enabled()
    page.get_by_role("button", name="Sort from easy to hard").press("Enter")
    expect(rows.nth(0)).to_contain_text("Loading rate")
    expect(rows.nth(2)).to_contain_text("Two currents")
    rows.nth(0).focus()
    page.keyboard.press("Alt+ArrowDown")
    expect(rows.nth(1)).to_contain_text("Loading rate")
    page.reload()  # at once: the last change leaves with the page
    expect(rows.nth(1)).to_contain_text("Loading rate")
    page.get_by_role("link", name="Print & share").press("Enter")

    expect(page.get_by_alt_text("Page 1 of")).to_be_visible()
    page.get_by_role("link", name="Worked key").press("Enter")
    page.get_by_text("The same as text").press("Enter")
    expect(page.locator("pre")).to_contain_text("x = 6")
    with page.expect_download() as waiting:
        page.get_by_role("link", name="PDF").press("Enter")
    assert Path(waiting.value.path()).read_bytes().startswith(b"%PDF-")


def test_twins_a_run_and_problems_made_to_order_fill_a_set(page: Page) -> None:
    _start(page, "Practice")
    _type_problems(page, "x^2 - 7x + 12 = 0\nFactor.\n6x^2 + 7x - 3", 2)
    rows = page.locator(".problem")
    rows.nth(0).focus()

    page.keyboard.press("Alt+t")
    expect(rows).to_have_count(3)
    expect(page.locator(".said").nth(1)).to_contain_text("same structure as 1")
    page.get_by_role("button", name="A run that climbs").press("Enter")
    expect(rows).to_have_count(6)
    page.get_by_role("button", name="Add problems").press("Enter")
    tick(page, "Made to order")
    choose(page, "What kind", "a radical equation with an extraneous solution")
    page.get_by_label("With this extraneous solution").fill("4")
    page.get_by_role("button", name="Add them").press("Enter")
    expect(rows).to_have_count(9)
    page.keyboard.press("Escape")

    page.reload()
    expect(rows).to_have_count(9)
    expect(page.locator(".dot[data-unknown=true]")).to_have_count(0)
    page.goto("/examples")  # the worker has learnt of what kind they are, or learns it now
    page.get_by_role("searchbox").fill("radical equation")
    expect(page.get_by_text("kind: radical equation").first).to_be_visible(timeout=60_000)


def test_parallel_versions_are_made_behind_the_back_and_survive_a_killed_worker(
    page: Page, app: Server
) -> None:
    app.worker.keep()
    _start(page, "Test with versions")
    _type_problems(page, "3x + 4 = 10\nx^2 - 7x + 12 = 0\n2x + 1 = 9", 3)

    expect(page.locator(".dot[data-unknown=true]")).to_have_count(0)
    original = page.locator(".given").first.inner_text()
    page.get_by_role("button", name="Parallel versions").press("Enter")
    page.get_by_role("spinbutton", name="How many more versions?").fill("2")
    page.get_by_role("button", name="Make").press("Enter")
    app.worker.kill()
    app.worker.keep()
    expect(page.get_by_text("2 versions were made.")).to_be_visible(timeout=30_000)

    page.goto("/sets")
    row = page.get_by_role("row").filter(has_text="Test with versions")
    expect(row).to_have_count(3)
    row.filter(has_text="version C").get_by_role("link").click()
    expect(page.locator(".problem")).to_have_count(3)
    expect(page.locator(".dot[data-unknown=true]")).to_have_count(0)
    expect(page.locator(".given").first).not_to_have_text(original)


def test_versions_are_undone(page: Page, app: Server) -> None:
    app.worker.keep()
    _start(page, "Test taken back")
    _type_problems(page, "3x + 4 = 10", 1)
    page.get_by_role("button", name="Parallel versions").press("Enter")
    page.get_by_role("button", name="Make one version").press("Enter")
    expect(page.get_by_text("One version was made.")).to_be_visible(timeout=30_000)
    page.get_by_role("button", name="Undo", exact=True).press("Enter")
    expect(page.get_by_text("The versions are archived.")).to_be_visible()
    page.goto("/sets")
    expect(page.get_by_role("row").filter(has_text="Test taken back")).to_have_count(1)


def test_a_pasted_key_is_proofed_mended_and_made_a_set(page: Page, app: Server) -> None:
    app.worker.keep()
    sign_in(page)
    page.goto("/proofs")
    field = page.get_by_label("The key, as it was written")
    field.fill(KEY)
    page.reload()  # what was pasted is still there
    expect(field).to_have_value(KEY)
    field.press("Control+Enter")

    items = page.locator(".item")
    expect(items).to_have_count(4, timeout=20_000)
    expect(page.get_by_text("1 of 4 hold")).to_be_visible()
    expect(items.nth(1)).to_contain_text("Leaves out ±")
    expect(items.nth(2)).to_contain_text("cannot be read")
    expect(items.nth(3)).to_contain_text("(x + 5)(x − 5)")
    tick(items.nth(1), "Accept")
    page.get_by_role("button", name="Accept all corrections").press("Enter")
    expect(items.nth(3).get_by_role("checkbox", name="Accept")).to_be_checked()
    page.reload()
    expect(items.nth(1).get_by_role("checkbox", name="Accept")).to_be_checked()
    page.get_by_role("button", name="Make a set of it").press("Enter")

    expect(page.locator(".problem")).to_have_count(4)
    expect(page.locator(".said").nth(2)).to_contain_text("not worked")


def test_a_table_is_brought_in_row_by_row_and_taken_back(page: Page, tmp_path: Path) -> None:
    table = tmp_path / "borrowed.csv"
    table.write_text("task,given,marks\nsolve,2x=6,2\nsing,3x=9,1\nsolve,2x + = 1,1\n")
    sign_in(page)
    page.goto("/sets")

    with page.expect_file_chooser() as chooser:
        page.get_by_role("button", name="Import a file").press("Enter")
    chooser.value.set_files(table)
    expect(page.get_by_text("2 of 3 were taken.")).to_be_visible()
    brought = page.get_by_role("dialog", name="Import a file")
    expect(brought).to_contain_text("“sing” is no task")
    expect(brought).to_contain_text("kept as text")
    page.get_by_role("button", name="Undo the import").press("Enter")

    expect(page.get_by_role("link", name="borrowed", exact=True)).to_have_count(0)
