"""Ways of working: only the keyboard, a chosen method, other tasks, other windows and sizes."""

import re

import pytest
from bench_page import Bench, choose, expect_said, found_example, sign_in
from playwright.sync_api import BrowserContext, Page, expect


def test_a_whole_example_is_done_without_the_mouse(page: Page) -> None:
    sign_in(page)
    bench = Bench(page)
    page.get_by_role("link", name="Bench", exact=True).press("Enter")
    expect(page).to_have_url(re.compile(r"/bench/[0-9a-f-]{36}"))
    page.keyboard.press("Alt+n")
    expect(page.get_by_label("The problem, as the sheet has it")).to_be_focused()
    page.keyboard.type("4x + 6 = 30")
    page.keyboard.press("Enter")
    expect(bench.entry).to_be_focused()

    for line in ("4x = 36", "x = 9"):
        page.keyboard.type(line)
        page.keyboard.press("Enter")
    bench.expect_marks("wrong", "parallel")
    page.keyboard.press("ArrowUp")
    page.keyboard.press("ArrowUp")
    expect(bench.stops.nth(0)).to_be_focused()
    page.keyboard.press("Enter")
    expect(page.get_by_label("Line 1, right side")).to_be_focused()
    page.keyboard.press("Control+a")
    page.keyboard.type("4x = 24")
    page.keyboard.press("Enter")
    bench.expect_marks("ok", "wrong")
    page.keyboard.press("ArrowDown")
    page.keyboard.press("Delete")
    bench.expect_marks("ok")
    page.keyboard.press("Escape")
    page.keyboard.type("x = 6")
    page.keyboard.press("Enter")

    bench.expect_marks("ok", "ok")
    expect(bench.original).to_contain_text("balances")


def test_a_way_to_work_it_is_chosen_and_then_edited(page: Page) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose("x/3 + 2 = 7")

    page.get_by_role("button", name="clear fractions").click()
    expect_said(bench.stops.first, "Multiply every term by the LCD, 3.")
    bench.stops.first.dblclick()
    expect(page.get_by_label("Line 1, right side")).to_be_focused()
    page.keyboard.press("Control+a")
    page.keyboard.type("x + 2 = 21")
    page.keyboard.press("Enter")

    expect(bench.stops.first).to_contain_text("Multiplies only some terms")
    page.keyboard.press("Control+z")
    expect_said(bench.stops.first, "Multiply every term by the LCD, 3.")


@pytest.mark.parametrize(
    ("problem", "task", "lines", "says"),
    [
        ("18 - 3*(7 - 2)", "Evaluate", ["18 - 3*5", "18 - 15", "3"], "The answer is right."),
        ("3(3t + 1) - t", "Simplify", ["9t + 3 - t"], "Equal to the given so far."),
        ("5x - (2x - 7)", "Simplify", ["5x - 2x - 7"], "The last line is not equal to the given."),
    ],
)
def test_an_expression_hangs_on_the_spine_and_its_answer_is_held_against_the_given(
    page: Page, problem: str, task: str, lines: list[str], says: str
) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose(problem)
    Bench(page).expect_task(task)

    bench.write(*lines)

    expect(page.get_by_label("The answer")).to_contain_text(says)
    expect(page.locator(".u-spine")).to_have_class(re.compile("hanging"))


def test_the_name_and_the_task_are_saved_and_undone(page: Page) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose("2(x + 3)")
    name = page.get_by_label("Name of the example")

    name.fill("A rope and a half")
    page.keyboard.press("Enter")
    choose(page, "Task", "Expand")
    bench.expect_saved()
    found_example(page, "A rope and a half").click()

    expect(name).to_have_value("A rope and a half")
    Bench(page).expect_task("Expand")


def test_what_i_have_is_kept_over_the_other_window_when_i_say_so(
    page: Page, window: BrowserContext
) -> None:
    sign_in(page)
    first = Bench(page)
    first.pose("4x = 20")
    first.write("x = 20/4")
    first.expect_saved()
    other = window.new_page()
    other.goto(page.url)
    second = Bench(other)
    second.expect_marks("ok")
    second.write("x = 5")
    second.expect_saved()

    first.write("5 = x")
    dialog = page.get_by_role("dialog", name="This was changed in another window")
    dialog.get_by_role("button", name="Keep what I have here").click()
    first.expect_saved()
    other.reload()

    expect(second.stops.nth(1)).to_contain_text("5")
    expect(second.stops).to_have_count(2)
    page.keyboard.press("Control+z")
    expect_said(first.stops.nth(1), "20/4 is 5.")


@pytest.mark.parametrize(("width", "height"), [(1024, 768), (1280, 800), (1920, 1080)])
def test_nothing_is_cut_off_from_a_small_laptop_to_a_projector(
    page: Page, width: int, height: int
) -> None:
    page.set_viewport_size({"width": width, "height": height})
    sign_in(page)
    bench = Bench(page)
    bench.pose("2(3x - 4) - (x + 5) = 3x + 7")
    page.keyboard.press("Alt+w")
    expect_said(bench.stops.last, "Divide both sides by 2.")

    for part in (bench.entry, bench.details, bench.original, bench.stops.first):
        part.scroll_into_view_if_needed()
        box = part.bounding_box()
        assert box is not None
        assert box["x"] >= 0
        assert box["x"] + box["width"] <= width
    assert page.evaluate("document.documentElement.scrollWidth") <= width


def test_judging_does_not_move_the_lines(page: Page) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose("4x + 6 = 30")
    bench.write("4x = 24")
    bench.expect_marks("ok")
    before = bench.stops.first.bounding_box()

    for text in ("x", "x =", "x = 6", "x = 7", "x = ("):
        bench.retype(text)
        expect(page.locator(".entry")).to_have_attribute("data-judged", text)
        assert bench.stops.first.bounding_box() == before


def test_the_next_step_comes_at_three_depths_from_the_keyboard(page: Page) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose("2x^2 + x = 6")
    bench.write("2x^2 + x - 6 = 0")
    bench.expect_marks("ok")

    page.keyboard.press("Alt+h")
    expect(page.get_by_text("Which two numbers have this product and this sum?")).to_be_visible()
    expect(page.get_by_text("split the middle.", exact=True)).to_be_hidden()
    page.keyboard.press("Alt+h")
    expect(page.get_by_text("split the middle.", exact=True)).to_be_visible()
    page.keyboard.press("Alt+h")
    expect(page.get_by_role("button", name="Write it down")).to_be_visible()
    page.keyboard.press("Alt+h")
    bench.expect_marks("ok", "ok")
    expect(page.get_by_role("button", name="What is there to notice?")).to_be_visible()

    bench.write("x = 5")
    page.keyboard.press("Alt+h")
    expect(page.get_by_text("Line 3 does not follow. Mend it first.")).to_be_visible()


def test_two_ways_stand_side_by_side(page: Page) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose("(x - 1)/2 + x/3 = 4")

    page.get_by_role("button", name="Two ways side by side").click()
    dialog = page.get_by_role("dialog")
    expect(dialog).to_contain_text("They meet again in line")
    expect(dialog).to_contain_text("Fewer fractions:")
    choose(page, "Way on the right", "divide every term first")
    expect(dialog).to_contain_text("Divide every term by")
    dialog.get_by_role("button", name="Close this dialog").press("Enter")
    expect(dialog).to_be_hidden()


def test_a_function_is_studied_beside_its_graph(page: Page) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose("(x^2 - 1)/(x^2 + x - 2)")
    choose(page, "Task", "Study")
    graph = page.get_by_role("img", name="The graph")
    expect(graph).to_be_visible()
    expect(graph).to_have_accessible_name(re.compile(r"Holes: \(1, 2/3\)"))

    bench.write("hole: (1, 0)", "vertical asymptote: x = -2", "end right: 1")
    bench.expect_marks("wrong", "ok", "ok")
    page.keyboard.press("Alt+w")
    expect(bench.stops.nth(3)).to_contain_text("hole:")
    bench.expect_marks(*["ok"] * 2, "condition", *["ok"] * 8)


def test_a_line_is_written_in_the_typeset_field_and_read_back(page: Page) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose("x/2 = 3")
    page.keyboard.press("Alt+m")
    field = page.locator("math-field")
    expect(field).to_be_focused()

    page.keyboard.type("x=6")
    expect(page.locator(".typeset code")).to_have_text("x = 6")
    page.keyboard.press("Enter")
    bench.expect_marks("ok")
    page.keyboard.press("Alt+m")

    expect(bench.entry).to_be_focused()


def test_features_and_lines_light_each_other_and_the_shift_form_moves(page: Page) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose("2/(x - 5) - 4")
    choose(page, "Task", "Study")
    bench.write("vertical asymptote: x = 5", "horizontal asymptote: y = -4")
    study = page.locator(".study")
    study.get_by_text("Vertical asymptotes").hover()
    expect(bench.stops.first).to_have_attribute("data-lit", "true")
    bench.stops.nth(1).hover()
    expect(study.locator("svg[role=img]")).to_have_attribute("data-lit", "horizontal")

    h = study.get_by_label("h =")
    h.fill("3")
    expect(study.locator(".was")).not_to_have_count(0)
    study.get_by_role("button", name="Make it the problem").press("Enter")

    expect(page.locator(".spoken").get_by_text("2 over the quantity x minus 3")).to_be_visible()
    page.keyboard.press("Control+z")
    expect(page.locator(".spoken").get_by_text("2 over the quantity x minus 5")).to_be_visible()


def test_a_reason_in_my_own_words_stays_with_its_line(page: Page) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose("3x = 12")
    bench.write("x = 4")
    page.keyboard.press("ArrowUp")
    bench.details.get_by_label("Why, in my words").fill("Share it out among three.")
    page.keyboard.press("Tab")

    expect(bench.stops.first).to_contain_text("Share it out among three.")
    bench.expect_saved()
    page.reload()
    expect(bench.stops.first).to_contain_text("Share it out among three.")
    page.keyboard.press("Alt+p")
    expect(page.locator(".sheet")).to_contain_text("Share it out among three.")
