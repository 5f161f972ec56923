"""Every place can be reached, read by everybody, and used from the keyboard."""

import json
from pathlib import Path

import pytest
from bench_page import Bench, choose, found_example, sign_in, sign_out, tick
from playwright.sync_api import Page, expect

ROOT = Path(__file__).resolve().parents[1]
AXE = ROOT / "client" / "node_modules" / "axe-core" / "axe.min.js"


def violations(page: Page) -> list[str]:
    """Return what axe finds against WCAG 2.2 AA and good practice, with the places."""
    page.evaluate(AXE.read_text("utf-8"))
    found = page.evaluate(
        "axe.run({runOnly: ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa', 'best-practice']})"
        ".then(r => r.violations.map(v => v.id + ': ' + v.nodes.map(n => n.html).join(' | ')))"
    )
    return list(found)


@pytest.mark.parametrize("theme", ["light", "dark"])
@pytest.mark.parametrize(
    "path",
    [
        "/examples",
        "/errors",
        "/house",
        "/bench/new",
        "/sets",
        "/proofs",
        "/classes",
        "/first",
        "/account",
    ],
)
def test_a_place_has_no_barrier(page: Page, path: str, theme: str) -> None:
    sign_in(page)
    _in_theme(page, theme)
    page.goto(path)
    expect(page.locator("main")).to_be_visible()
    expect(page.locator("main")).not_to_be_empty()

    assert violations(page) == []


@pytest.mark.parametrize("path", ["/bench", "/sets"])
def test_work_scrolls_in_its_own_room_and_not_the_page(page: Page, path: str) -> None:
    sign_in(page)
    page.goto(path)
    if path == "/sets":
        page.get_by_role("link", name="Equations that climb").click()
        expect(page.locator(".coverage tbody tr").first).to_be_visible()
    else:
        Bench(page).pose("2(x + 5) = 5x - 8")
        page.keyboard.press("Alt+w")
        expect(page.locator("[data-stop=ok]").nth(2)).to_be_visible()
    sizes = "[document.documentElement.scrollHeight, innerHeight]"
    whole, seen = page.evaluate(sizes)
    assert whole == seen


def _in_theme(page: Page, theme: str) -> None:
    page.evaluate(f"localStorage.setItem('uchuu.theme', '{theme}')")


@pytest.mark.parametrize("theme", ["light", "dark"])
def test_what_is_shown_printed_and_gathered_has_no_barrier(page: Page, theme: str) -> None:
    sign_in(page)
    _in_theme(page, theme)
    found_example(page, "Two fractions, one plank").click()
    bench = Bench(page)
    expect(bench.stops.first).to_have_attribute("data-stop", "ok")
    page.keyboard.press("Alt+f")
    page.locator(".stub").first.click()
    page.locator(".fan .row").first.click()
    expect(page.locator(".opened")).to_be_visible()
    assert violations(page) == []
    page.keyboard.press("Alt+s")
    expect(page.get_by_role("button", name="Open a fork")).to_be_enabled()
    for key in ("ArrowRight", "f", "f"):
        page.keyboard.press(key)
    assert violations(page) == []
    page.get_by_role("link", name="Talk track").click()
    expect(page.get_by_role("table")).to_be_visible()
    assert violations(page) == []
    page.goto("/sets")
    page.get_by_role("link", name="Equations that climb").click()
    expect(page.locator(".dot").last).not_to_have_text("?")
    page.locator(".problem").nth(2).click()
    assert violations(page) == []
    page.get_by_role("button", name="Add problems").click()
    for way in ("Typed", "Made to order"):
        tick(page, way)
        assert violations(page) == []
    page.keyboard.press("Escape")
    page.get_by_role("link", name="Print & share").click()
    page.get_by_role("link", name="Worked key").click()
    expect(page.get_by_alt_text("Page 1 of")).to_be_visible()
    assert violations(page) == []
    page.goto("/proofs")
    page.get_by_role("link", name="borrowed sheet").click()
    expect(page.locator(".item").nth(11)).to_be_visible()

    assert violations(page) == []


def test_the_sign_in_has_no_barrier(page: Page) -> None:
    page.goto("/")
    expect(page.get_by_role("button", name="Sign in")).to_be_visible()

    assert violations(page) == []


def test_bench_and_key_with_every_kind_of_stop_have_no_barrier(page: Page) -> None:
    sign_in(page)
    for name in ("Sign on the way across", "Right by luck", "Two fractions, one plank"):
        found_example(page, name).click()
        bench = Bench(page)
        expect(bench.stops.first).not_to_have_attribute("data-stop", "waiting")
        bench.stops.first.click()
        assert violations(page) == []
    page.keyboard.press("Alt+p")
    expect(page.locator(".sheet")).to_be_visible()

    assert violations(page) == []


def test_two_teachers_see_their_own_examples(page: Page) -> None:
    sign_in(page, "okafor")
    page.goto("/examples")
    expect(page.get_by_role("link", name="Rope in equal lengths")).to_be_visible()
    expect(page.get_by_role("link", name="Ferry tickets")).to_have_count(0)

    sign_out(page)
    sign_in(page, "marin")
    found_example(page, "Ferry tickets")
    expect(page.get_by_role("link", name="Rope in equal lengths")).to_have_count(0)


def test_examples_are_found_put_aside_brought_back_and_exchanged(
    page: Page, tmp_path: Path
) -> None:
    sign_in(page, "okafor")
    page.goto("/examples")
    page.get_by_label("Find an example").fill("rope")
    expect(page.get_by_role("row")).to_have_count(2)

    page.get_by_role("button", name="Archive").click()
    expect(page.get_by_role("link", name="Rope in equal lengths")).to_have_count(0)
    page.get_by_role("button", name="Restore").click()
    expect(page.get_by_role("link", name="Rope in equal lengths")).to_be_visible()
    with page.expect_download() as download:
        page.get_by_role("link", name="Export all").click()
    file = tmp_path / "examples.json"
    download.value.save_as(file)
    document = json.loads(file.read_text("utf-8"))
    count = len(document["examples"])
    _import(page, file)

    expect(page.get_by_text(f"{count} examples came in.")).to_be_visible()
    broken = tmp_path / "broken.json"
    broken.write_text('{"format": "other"}')
    _import(page, broken)
    expect(page.get_by_text("Nothing was imported.")).to_be_visible()


def _import(page: Page, file: Path) -> None:
    with page.expect_file_chooser() as chooser:
        page.get_by_role("button", name="Import a file").click()
    chooser.value.set_files(file)


def test_a_year_is_filed_in_units_and_found_again(page: Page) -> None:
    sign_in(page, "okafor")
    page.goto("/examples")
    units = page.get_by_role("navigation", name="Units")
    units.get_by_label("New unit").fill("Lines")
    page.keyboard.press("Enter")
    units.get_by_role("button", name="Lines").click()
    units.get_by_label("New part of it").fill("With brackets")
    page.keyboard.press("Enter")
    expect(page.get_by_text("Nothing fits.")).to_be_visible()
    units.get_by_role("button", name="Everything").click()

    row = page.get_by_role("row").filter(has_text="Rope in equal lengths").first
    tick(row, "")
    choose(page, "File under …", "Lines · With brackets")
    expect(row).to_contain_text("With brackets")
    page.get_by_label("Tags, each with Enter").fill("week 3")
    page.keyboard.press("Enter")
    page.get_by_role("button", name="Tag them").click()
    expect(row).to_contain_text("week 3")

    units.get_by_role("button", name="Lines").click()
    expect(page.get_by_role("row")).to_have_count(2)
    page.reload()
    page.get_by_role("searchbox").fill("week 3")
    expect(page.get_by_role("row")).to_have_count(2)
    units.get_by_role("button", name="With brackets").click()
    units.get_by_role("button", name="Delete").click()
    page.get_by_role("dialog").get_by_role("button", name="Delete").click()
    expect(units.get_by_role("button", name="With brackets")).to_have_count(0)
    expect(page.get_by_role("link", name="Rope in equal lengths").first).to_be_visible()


def test_focus_never_falls_to_the_page(page: Page) -> None:
    """After each kind of action something that can be reached by key has the focus."""
    sign_in(page, "okafor")

    def has_focus() -> None:
        page.wait_for_function("document.activeElement !== document.body")

    page.goto("/examples")
    page.get_by_role("button", name="Archive").first.press("Enter")
    expect(page.get_by_role("button", name="Restore")).to_be_visible()
    has_focus()
    page.get_by_role("button", name="Restore").press("Enter")
    expect(page.get_by_role("button", name="Restore")).to_have_count(0)
    has_focus()
    page.goto("/bench/new")
    bench = Bench(page)
    bench.pose("2x = 6")
    bench.write("x = 4", "x = 3")
    page.keyboard.press("ArrowUp")
    page.keyboard.press("Delete")
    expect(bench.stops).to_have_count(1)
    has_focus()
    page.get_by_role("button", name="Delete").press("Enter")
    expect(bench.stops).to_have_count(0)
    has_focus()
    page.goto("/errors")
    page.get_by_role("button", name="Add an error").press("Enter")
    page.keyboard.press("Escape")
    has_focus()


def test_every_place_has_its_title_one_heading_and_a_way_past_the_rail(page: Page) -> None:
    sign_in(page)
    for path, title in (
        ("/bench", "Bench"),
        ("/sets", "Sets"),
        ("/examples", "Examples"),
        ("/errors", "Errors"),
        ("/house", "House rules"),
        ("/proofs", "Answer keys to check"),
        ("/account", "Your account"),
        ("/department", "Department"),
    ):
        page.goto(path)
        expect(page).to_have_title(f"{title} · Uchuu")
        expect(page.get_by_role("heading", level=1)).to_have_count(1)
        if path == "/bench":
            expect(Bench(page).entry).to_be_focused()  # it takes the cursor once it is there
        page.get_by_role("link", name="Skip to the content").press("Enter")
        expect(page.locator("#main")).to_be_focused()


def test_one_begins_ones_own_in_the_demonstration(page: Page) -> None:
    page.goto("/")
    page.get_by_role("button", name="Begin your own").click()
    page.get_by_label("Name", exact=True).fill("sundqvist")
    page.get_by_label("Password").fill("short")
    page.get_by_role("button", name="Begin", exact=True).click()
    expect(page.get_by_role("alert")).to_contain_text("too short")
    page.get_by_label("Password").fill("a rope over the quay")
    page.get_by_role("button", name="Begin", exact=True).click()
    expect(page.get_by_role("navigation", name="Places")).to_be_visible()

    page.goto("/examples")
    expect(page.get_by_text("No example yet")).to_be_visible()
    page.get_by_role("link", name="Account sundqvist").click()
    account = page.get_by_role("main")
    account.get_by_label("Password so far").fill("a rope over the quay")
    account.get_by_label("New password").fill("another rope altogether")
    account.get_by_role("button", name="Change the password").click()
    expect(account.get_by_text("Changed. Everywhere else")).to_be_visible()
    expect(account.get_by_text("here", exact=True)).to_be_visible()
    sign_out(page)
    sign_in(page, "sundqvist", "another rope altogether")


def test_house_rules_change_their_live_example(page: Page) -> None:
    sign_in(page, "okafor")
    page.goto("/house")
    expect(page.get_by_text("one half x")).to_be_visible()

    tick(page, "The unwritten product first")
    expect(page.get_by_text("1 over 2 x")).to_be_visible()
    tick(page, "Equal rank, from the left")

    expect(page.get_by_text("one half x")).to_be_visible()


def test_how_an_answer_is_left_is_chosen_and_obeyed(page: Page) -> None:
    sign_in(page, "okafor")
    page.goto("/house")
    kept = page.locator("section.rule").filter(has_text="Two solutions with ±")
    expect(kept.locator(".katex")).to_have_count(8)
    tick(kept, "Left as ± before a root")
    expect(kept.locator(".katex")).to_have_count(7)
    mixed = page.locator("section.rule").filter(has_text="A number above 1")
    tick(mixed, "A mixed number")
    expect(mixed.locator("figure")).to_contain_text("5")

    bench = Bench(page)
    bench.pose("x^2 - 6x - 3 = 0")
    page.keyboard.press("Alt+w")
    expect(bench.stops.last).to_contain_text("±")
    page.goto("/house")
    tick(kept, "Each written out at the end")
    tick(mixed, "An improper fraction")
    expect(page.get_by_role("status").filter(has_text="Kept.")).to_be_visible()


def test_errors_are_searched_and_keys_are_listed(page: Page) -> None:
    sign_in(page)
    page.goto("/errors")
    page.get_by_label("Find an error").fill("Moves a term with the same sign")
    entry = page.locator(".entry")
    expect(entry).to_have_count(1)
    expect(entry).to_contain_text("Moves a term with the same sign")
    expect(entry).to_contain_text("What to say")  # the only one stands open
    page.get_by_role("heading", name="Errors").click()

    page.keyboard.press("?")

    expect(page.get_by_role("dialog", name="Shortcuts")).to_contain_text("close what lies over")
