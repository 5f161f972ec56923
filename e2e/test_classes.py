"""An evening of marking, as a teacher does it: a class, a set given, papers in, marks decided, marks taken away."""

import re

import pytest
from bench_page import Bench, choose, found_example, sign_in, tick
from playwright.sync_api import Locator, Page, expect
from test_places import violations

TABLE = """code,item,lines
01,1,4x = 24,x = 6
02,1,4x = 38,x = 38/4
03,1,4x = 38,x = 38/4
01,7,(x - 3)(x - 4) = 0,x = 3 or x = 4
02,7,x = -3 or x = -4
09,1,x = 3
"""


def _class_with_sitting(page: Page, name: str) -> None:
    """Make a class of three and give it the set that climbs."""
    page.goto("/classes")
    page.get_by_role("button", name="Make a class").click()
    page.get_by_placeholder("Algebra 2, period 3").fill(name)
    page.get_by_label("Codes, one a line").fill("01-03")
    page.locator("form.make").get_by_role("button", name="Make a class").press("Enter")
    expect(page.get_by_role("heading", name=name)).to_be_visible()
    page.get_by_role("button", name="Give a set to a class").click()
    choose(page, "Class", name)
    choose(page, "Set", "Equations that climb")
    page.get_by_role("button", name="Give it").press("Enter")
    expect(page).to_have_url(re.compile("/sittings/"))


def _cell(page: Page, code: str, item: int) -> Locator:
    row = page.get_by_role("row").filter(has=page.get_by_role("link", name=f"Paper of {code}"))
    return row.locator("td").nth(item)


def test_an_evening_of_marking(page: Page) -> None:
    sign_in(page)
    _class_with_sitting(page, "Evening class")
    page.get_by_label("Papers as a table").fill(TABLE)
    page.get_by_role("button", name="Take it in").press("Enter")
    expect(page.get_by_text("Row 7: “09” is no code of this class.")).to_be_visible()
    expect(_cell(page, "01", 1)).to_contain_text("1")
    expect(_cell(page, "02", 1)).to_contain_text("0")
    expect(_cell(page, "01", 7)).to_contain_text("3")

    # a paper is typed by keyboard alone and marked
    page.get_by_role("link", name="Paper of 02").press("Enter")
    expect(page.get_by_role("heading", name="Paper of 02")).to_be_visible()
    first = page.locator("#item-1")
    expect(first).to_contain_text("Moves a term with the same sign")
    expect(first.locator(".line[data-mark=wrong]")).to_be_visible()
    page.get_by_label("Lines of item 2").focus()
    page.keyboard.type("4x - 5 = 19\n4x = 24\nx = 6")
    page.keyboard.press("Tab")
    expect(page.locator("#item-2 .sum")).to_contain_text("2 of 2")

    # a mark is decided otherwise, on the other paper that wrote the same too
    mark = first.get_by_role("spinbutton")
    mark.fill("1")
    mark.press("Enter")
    expect(first).to_contain_text("decided by you")
    page.keyboard.press("Alt+ArrowRight")
    expect(page.get_by_role("heading", name="Paper of 03")).to_be_visible()
    expect(page.locator("#item-1")).to_contain_text("decided by you")

    # it is all there after a reload, and leaves as a table
    page.reload()
    expect(page.locator("#item-1")).to_contain_text("decided by you")
    page.get_by_role("link", name="Equations that climb").click()
    expect(_cell(page, "03", 1)).to_contain_text("1")
    with page.expect_download() as marks:
        page.get_by_role("link", name="CSV").click()
    rows = marks.value.path().read_text("utf-8").splitlines()
    assert rows[1].startswith("01,1,")
    assert rows[2].startswith("02,1,2,")


def test_what_is_typed_on_a_paper_is_stored_before_the_next_student(page: Page) -> None:
    sign_in(page)
    _class_with_sitting(page, "Typing class")
    page.get_by_role("link", name="Paper of 01").click()
    lines = page.get_by_label("Lines of item 1", exact=True)
    lines.fill("x = 6")
    page.keyboard.press("Alt+ArrowRight")
    expect(page.get_by_role("heading", name="Paper of 02")).to_be_visible()
    expect(lines).to_have_value("")
    page.keyboard.press("Alt+ArrowLeft")
    expect(page.get_by_role("heading", name="Paper of 01")).to_be_visible()
    expect(lines).to_have_value("x = 6")
    expect(page.locator("#item-1 .sum")).to_contain_text("1 of 1")


def test_a_code_goes_with_everything_under_it_and_a_class_comes_back(page: Page) -> None:
    sign_in(page)
    _class_with_sitting(page, "Leaving class")
    page.goto("/classes")
    card = page.locator("article").filter(has_text="Leaving class").first
    card.get_by_role("button", name="3 students").click()
    card.get_by_role("button", name="Delete 02").click()
    page.get_by_role("button", name="Delete for good").click()
    expect(card.get_by_role("listitem")).to_have_count(2)
    before = page.get_by_role("heading", name="Leaving class").count()
    card.get_by_role("button", name="Archive").click()
    expect(page.get_by_role("heading", name="Leaving class")).to_have_count(before - 1)
    tick(page, "archived")
    page.get_by_role("button", name="Restore").first.click()
    tick(page, "archived")
    expect(page.get_by_role("heading", name="Leaving class")).to_have_count(before)


def test_answers_that_came_in_are_set_on_the_example(page: Page) -> None:
    sign_in(page)
    found_example(page, "Two fractions, one plank").click()
    expect(Bench(page).stops.last).to_have_attribute("data-stop", "ok")
    page.get_by_role("button", name="Print & more").click()
    page.get_by_role("menuitem", name="Answers that came in").click()
    answers = page.get_by_label("Answers, one a line")
    answers.fill("1: x = 25/3\n2: 8 1/3\n3: -2/3\n4: x = -2/3\n5: -2/3\n6: no idea\n7:")
    groups = page.locator(".groups li")
    expect(groups).to_have_count(4)
    expect(groups.first).to_contain_text("3 of 7")
    expect(groups.first).to_contain_text("Multiplies only some terms")
    expect(page.locator(".class li").first).to_contain_text("3 of 7 left here")
    expect(page.locator(".class")).to_contain_text("2 of 7 reached the answer")
    expect(page.get_by_text("3, 4, 5")).to_have_count(0)
    tick(page, "Show codes")
    expect(groups.first).to_contain_text("3, 4, 5")
    page.reload()
    expect(groups).to_have_count(4)


@pytest.mark.parametrize("theme", ["light", "dark"])
def test_answers_the_grid_and_a_paper_have_no_barrier_and_reflow(page: Page, theme: str) -> None:
    sign_in(page)
    page.evaluate(f"localStorage.setItem('uchuu.theme', '{theme}')")
    page.goto("/classes")
    page.get_by_role("link", name="Quiz: equations that climb").click()
    expect(_cell(page, "01", 1)).to_contain_text(re.compile(r"\d"))
    sitting = page.url
    page.get_by_role("link", name="Paper of 05").click()
    expect(page.locator("#item-1 .sum")).to_contain_text("of 1")
    paper = page.url
    found_example(page, "Two fractions, one plank").click()
    expect(page).to_have_url(re.compile("/bench/"))
    answers = page.url.replace("/bench/", "/examples/") + "/answers"
    of_item = sitting + "/items/1"
    for url in (sitting, paper, answers, of_item, of_item + "/scheme", sitting + "/slips"):
        page.goto(url)
        expect(page.locator(".katex").first).to_be_visible()
        assert violations(page) == []
        page.set_viewport_size({"width": 640, "height": 800})
        assert page.evaluate("document.documentElement.scrollWidth") <= 640, url
        page.set_viewport_size({"width": 1280, "height": 800})
