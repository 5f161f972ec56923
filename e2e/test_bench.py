"""The whole job on the bench, in a real browser."""

import re

from app_server import Server
from bench_page import Bench, choose, expect_said, sign_in, tick
from playwright.sync_api import BrowserContext, Page, expect


def test_a_teacher_poses_writes_mends_checks_and_finds_it_again(page: Page, app: Server) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose("5x - 3 = 2x + 12")
    expect(page.get_by_text("5 x minus 3 equals 2 x plus 12.")).to_be_visible()

    bench.write("5x - 2x = 12 - 3", "3x = 9", "x = 3")
    bench.expect_marks("wrong", "parallel", "parallel")
    bench.stops.nth(0).click()
    expect(bench.details).to_contain_text("Moves a term with the same sign")
    expect_said(bench.details, "x = 5 fits the line before; here 15 is not 9.")
    expect(bench.original).to_contain_text("does not balance")

    page.keyboard.press("Enter")
    expect(page.get_by_label("Line 1, right side")).to_be_focused()
    page.keyboard.press("Control+a")
    page.keyboard.insert_text("5x - 2x = 12 + 3")
    page.keyboard.press("Enter")
    bench.expect_marks("ok", "wrong", "parallel")
    page.keyboard.press("Escape")
    for number, line in ((2, "3x = 15"), (3, "x = 5")):
        bench.stops.nth(number - 1).dblclick()
        expect(page.get_by_label(f"Line {number}, right side")).to_be_focused()
        page.keyboard.press("Control+a")
        page.keyboard.insert_text(line)
        page.keyboard.press("Enter")
    bench.expect_marks("ok", "ok", "ok")
    expect(bench.original).to_contain_text("balances")
    bench.expect_saved()

    page.reload()
    bench.expect_marks("ok", "ok", "ok")
    app.end()
    app.start()
    page.reload()
    bench.expect_marks("ok", "ok", "ok")

    page.keyboard.press("Alt+p")
    expect(page.get_by_role("heading", name="Check in the original")).to_be_visible()
    page.emulate_media(media="print")
    expect(page.get_by_role("navigation")).to_be_hidden()
    expect_said(page.locator("main"), "Divide both sides by 3.")


def test_a_line_is_judged_while_it_is_typed(page: Page) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose("3n = 18")

    bench.entry.press_sequentially("n = 1")
    expect(page.locator(".entry")).to_have_attribute("data-mark", "wrong")
    bench.retype("n = 6")
    expect(page.locator(".entry")).to_have_attribute("data-mark", "ok")
    bench.retype("n = 18")

    expect(page.locator(".entry")).to_contain_text("Does the step on one side only")


def test_an_unreadable_line_is_kept_as_text_and_says_where(page: Page) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose("3n = 18")

    bench.entry.fill("n = 18/(")
    page.keyboard.press("Enter")

    bench.expect_marks("unreadable")
    bench.expect_typed("")
    expect(bench.stops.first).to_contain_text("n = 18/(")
    expect(bench.stops.first).to_contain_text("never closed")
    bench.write("n = 6")
    bench.expect_marks("unreadable", "ok")


def test_an_unreadable_problem_keeps_what_was_typed(page: Page) -> None:
    sign_in(page)
    page.goto("/bench/new")
    field = page.get_by_label("The problem, as the sheet has it")

    field.fill("5x - 3 = 2x + ")

    expect(page.get_by_text("The line stops too early")).to_be_visible()
    page.keyboard.press("Enter")
    expect(field).to_have_value(re.compile(r"5x - 3 = 2x \+"))
    expect(page.get_by_text("The line stops too early")).to_be_visible()


def test_everything_can_be_undone_and_redone(page: Page) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose("2(x + 1) = 8")
    bench.write("2x + 2 = 8")

    page.keyboard.press("Alt+w")
    expect_said(bench.stops.last, "Divide both sides by 2.")
    worked = bench.stops.count()
    page.keyboard.press("Control+z")
    bench.expect_marks("ok")
    page.keyboard.press("Control+y")
    expect(bench.stops).to_have_count(worked)
    bench.stops.nth(0).click()
    page.keyboard.press("Delete")
    expect(bench.stops).to_have_count(worked - 1)
    page.keyboard.press("Control+z")

    expect(bench.stops).to_have_count(worked)


def test_several_pasted_lines_are_all_judged(page: Page, window: BrowserContext) -> None:
    window.grant_permissions(["clipboard-read", "clipboard-write"])
    sign_in(page)
    bench = Bench(page)
    bench.pose("2x + 1 = 7")

    page.evaluate("navigator.clipboard.writeText('2x = 6\\n\\nx = 4\\n')")
    bench.entry.focus()
    page.keyboard.press("Control+v")

    bench.expect_marks("ok", "wrong")


def test_ambiguous_notation_is_shown_with_both_values(page: Page) -> None:
    sign_in(page)
    bench = Bench(page)

    bench.pose("6÷2(1+2)")

    expect(page.locator(".ambiguity")).to_contain_text("= 9")
    expect(page.locator(".ambiguity")).to_contain_text("= 1")


def test_two_windows_never_overwrite_each_other_silently(
    page: Page, window: BrowserContext
) -> None:
    sign_in(page)
    first = Bench(page)
    first.pose("4x = 20")
    first.write("x = 5")
    first.expect_saved()
    other = window.new_page()
    other.goto(page.url)
    second = Bench(other)
    second.expect_marks("ok")

    second.write("4*5 = 20")
    second.expect_saved()
    first.write("5 = x")

    dialog = page.get_by_role("dialog", name="This was changed in another window")
    expect(dialog).to_be_visible()
    dialog.get_by_role("button", name="Take the other version").click()
    expect(first.stops.nth(1)).to_contain_text("a check in the original")
    page.keyboard.press("Control+z")
    expect(first.stops.nth(1)).to_contain_text("sides change places")
    first.expect_saved()


def test_a_radical_equation_is_worked_with_its_candidates_checked(page: Page) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose("sqrt(x + 6) = x")
    bench.write("x + 6 = x^2", "0 = x^2 - x - 6", "x = 3 or x = -2", "x = 3")

    bench.expect_marks("may-add", "ok", "ok", "ok")
    expect(bench.original).to_contain_text("x = 3")
    expect(bench.original).to_contain_text("does not balance")
    bench.stops.nth(3).click()
    expect(bench.details).to_contain_text("does not check in the original equation")


def test_complex_solutions_and_asked_forms_are_set_and_kept(page: Page) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose("x^2 + 4 = 0")
    bench.write("x^2 = -4", "no solution")
    bench.expect_marks("ok", "ok")

    page.get_by_text("What is asked for").click()
    tick(page, "complex numbers")
    bench.expect_marks("ok", "wrong")
    expect(page.get_by_text("What is asked for: complex numbers")).to_be_visible()
    bench.expect_saved()
    page.reload()
    bench.expect_marks("ok", "wrong")
    page.keyboard.press("Control+z")


def test_a_line_is_copied_for_another_program(page: Page) -> None:
    sign_in(page)
    bench = Bench(page)
    page.context.grant_permissions(["clipboard-read", "clipboard-write"])
    bench.pose("x/2 = sqrt(5)")
    bench.write("x = 2sqrt(5)")
    bench.stops.nth(0).click()
    page.get_by_role("button", name="LaTeX", exact=True).click()

    expect(page.get_by_text("Copied.")).to_be_visible()
    assert page.evaluate("navigator.clipboard.readText()") == r"x=2\sqrt{5}"


def test_a_trinomial_is_factored_by_the_school_that_is_chosen(page: Page) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose("6x^2 + 7x - 3")
    choose(page, "Task", "Factor")

    page.get_by_role("button", name="split middle and group").click()
    bench.expect_marks("ok", "ok", "ok")
    bench.stops.nth(0).click()
    expect(bench.details).to_contain_text("split the middle term")
    page.get_by_role("button", name="divide and reduce").click()
    bench.expect_marks("ok", "ok", "ok")
    expect(page.get_by_label("The answer")).to_contain_text("The answer is right.")


def test_a_right_line_is_right_so_far_until_one_asks_whether_one_is_done(page: Page) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose("simplify sqrt(72)")
    bench.expect_task("Simplify")
    bench.write("3 sqrt(8)")
    bench.expect_marks("ok")
    expect(page.get_by_label("The answer")).to_contain_text("so far")

    page.keyboard.press("Enter")
    bench.expect_marks("unfinished")
    expect(bench.details).to_contain_text("radicals in simplest form")
    page.keyboard.type("6 sqrt(2)")
    bench.expect_marks("ok")
    page.keyboard.press("Enter")
    page.keyboard.press("Enter")
    bench.expect_marks("ok", "ok")
    expect(page.locator(".entry")).to_contain_text("The answer is right.")


def test_a_worked_example_is_pasted_as_aligned_latex(page: Page, window: BrowserContext) -> None:
    window.grant_permissions(["clipboard-read", "clipboard-write"])
    sign_in(page)
    page.goto("/bench/new")
    expect(page.get_by_label("The problem, as the sheet has it")).to_be_focused()
    rows = [r"\frac{x+1}{2} &= x - 3", r"x + 1 &= 2(x - 3)", r"x + 1 &= 2x - 6", "x &= 7"]
    latex = r"\begin{align*} " + r" \\ ".join(rows) + r" \end{align*}"
    page.evaluate("(text) => navigator.clipboard.writeText(text)", latex)
    page.keyboard.press("Control+v")
    bench = Bench(page)
    bench.expect_marks("ok", "ok", "ok")
    expect(bench.original).to_contain_text("balances")


def test_what_can_be_typed_is_put_in_by_key_and_the_sign_is_jumped_over(page: Page) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose("x^2 = 8")
    page.keyboard.type("x=")
    page.keyboard.press("Alt+5")
    page.keyboard.press("Alt+1")
    page.keyboard.type("8")
    bench.expect_typed("x=+-sqrt(8)")
    expect(page.locator(".entry")).to_have_attribute("data-mark", "ok")
    page.keyboard.press("Home")
    page.keyboard.press("ArrowRight")
    page.keyboard.press("ArrowRight")
    page.keyboard.press("Backspace")
    bench.expect_typed("x+-sqrt(8)")
