"""Every place can be reached, read by everybody, and used from the keyboard."""

import json
from pathlib import Path

import pytest
from bench_page import Bench, sign_in
from playwright.sync_api import Page, expect

ROOT = Path(__file__).resolve().parents[1]
AXE = ROOT / "client" / "node_modules" / "axe-core" / "axe.min.js"


def violations(page: Page) -> list[str]:
    """Return what axe finds against WCAG 2.2 AA, with the places."""
    page.evaluate(AXE.read_text("utf-8"))
    found = page.evaluate(
        "axe.run({runOnly: ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa']})"
        ".then(r => r.violations.map(v => v.id + ': ' + v.nodes.map(n => n.html).join(' | ')))"
    )
    return list(found)


@pytest.mark.parametrize("theme", ["light", "dark"])
@pytest.mark.parametrize(
    "path", ["/examples", "/errors", "/house", "/bench/new", "/sets", "/proofs"]
)
def test_a_place_has_no_barrier(page: Page, path: str, theme: str) -> None:
    sign_in(page)
    _in_theme(page, theme)
    page.goto(path)
    expect(page.locator("main")).to_be_visible()
    expect(page.locator("main")).not_to_be_empty()

    assert violations(page) == []


def _in_theme(page: Page, theme: str) -> None:
    page.evaluate(f"localStorage.setItem('uchuu.theme', '{theme}')")


@pytest.mark.parametrize("theme", ["light", "dark"])
def test_what_is_shown_printed_and_gathered_has_no_barrier(page: Page, theme: str) -> None:
    sign_in(page)
    _in_theme(page, theme)
    page.goto("/examples")
    page.get_by_role("link", name="Two fractions, one plank").click()
    bench = Bench(page)
    expect(bench.stops.first).to_have_attribute("data-stop", "ok")
    page.keyboard.press("Alt+f")
    page.get_by_role("button", name="ways to leave here").first.click()
    page.locator(".forks .row").first.click()
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
        page.get_by_label(way).check()
        assert violations(page) == []
    page.keyboard.press("Escape")
    page.get_by_role("link", name="Give").click()
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
    page.goto("/examples")
    for name in ("Sign on the way across", "Right by luck", "Two fractions, one plank"):
        page.goto("/examples")
        page.get_by_role("link", name=name).click()
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

    page.get_by_role("button", name="Sign out").click()
    sign_in(page, "marin")
    page.goto("/examples")

    expect(page.get_by_role("link", name="Ferry tickets")).to_be_visible()
    expect(page.get_by_role("link", name="Rope in equal lengths")).to_have_count(0)


def test_examples_are_found_put_aside_brought_back_and_exchanged(
    page: Page, tmp_path: Path
) -> None:
    sign_in(page, "okafor")
    page.goto("/examples")
    page.get_by_label("Find an example").fill("rope")
    expect(page.get_by_role("row")).to_have_count(2)

    page.get_by_role("button", name="Put aside").click()
    expect(page.get_by_role("link", name="Rope in equal lengths")).to_have_count(0)
    page.get_by_role("button", name="Bring it back").click()
    expect(page.get_by_role("link", name="Rope in equal lengths")).to_be_visible()
    with page.expect_download() as download:
        page.get_by_role("button", name="Export all").click()
    file = tmp_path / "examples.json"
    download.value.save_as(file)
    document = json.loads(file.read_text("utf-8"))
    count = len(document["examples"])
    page.get_by_label("Import a file").set_input_files(file)

    expect(page.get_by_text(f"{count} examples came in.")).to_be_visible()
    broken = tmp_path / "broken.json"
    broken.write_text('{"format": "other"}')
    page.get_by_label("Import a file").set_input_files(broken)
    expect(page.get_by_text("Nothing was imported.")).to_be_visible()


def test_house_rules_change_their_live_example(page: Page) -> None:
    sign_in(page, "okafor")
    page.goto("/house")
    expect(page.get_by_text("one half x")).to_be_visible()

    page.get_by_label("The unwritten product first").check()
    expect(page.get_by_text("1 over 2 x")).to_be_visible()
    page.get_by_label("Equal rank, from the left").check()

    expect(page.get_by_text("one half x")).to_be_visible()


def test_errors_are_searched_and_keys_are_listed(page: Page) -> None:
    sign_in(page)
    page.goto("/errors")
    page.get_by_label("Find an error").fill("Moves a term with the same sign")
    expect(page.get_by_role("heading", name="Moves a term with the same sign")).to_be_visible()
    expect(page.get_by_role("article")).to_have_count(1)
    page.get_by_role("heading", name="Errors").click()

    page.keyboard.press("?")

    expect(page.get_by_role("dialog", name="Keys")).to_contain_text("work it all")
