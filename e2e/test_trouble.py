"""When things go wrong, nothing that was typed is lost."""

from contextlib import suppress

import pytest
from app_server import Server
from bench_page import Bench, sign_in
from playwright.sync_api import BrowserContext, Error, Page, Route, expect


def test_a_stopped_database_is_said_and_the_lines_are_saved_when_it_is_back(
    page: Page, app: Server
) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose("4x = 20")
    bench.write("x = 20/4")
    bench.expect_saved()
    url = page.url

    app.cluster.stop()
    try:
        bench.entry.fill("x = 5")
        page.keyboard.press("Enter")
        status = page.get_by_role("status").first
        expect(status).to_have_text("not saved: kept here, tried again")
        page.reload()  # opening needs the database: that is said; the line is kept in the browser
        expect(page.get_by_role("alert")).to_contain_text("database does not answer")
    finally:
        app.cluster.start()

    bench.expect_saved()
    page.goto(url)
    bench.expect_marks("ok", "ok")


def test_an_ended_session_asks_again_and_keeps_the_line(page: Page, window: BrowserContext) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose("4x = 20")
    bench.write("x = 20/4")
    bench.expect_saved()

    window.clear_cookies(name="sessionid")
    page.route("**/api/algebra/**", _never)  # so it is the saving that meets the ended session
    bench.entry.fill("x = 5")
    page.keyboard.press("Enter")
    _sign_in_again(page)

    bench.expect_saved()
    page.unroute("**/api/algebra/**")
    page.reload()
    bench.expect_marks("ok", "ok")


def test_a_session_that_ends_while_a_line_is_typed_leaves_it_in_its_field(
    page: Page, window: BrowserContext
) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose("4x = 20")
    bench.expect_saved()

    window.clear_cookies(name="sessionid")
    bench.entry.fill("x = 5")  # its judging meets the ended session
    _sign_in_again(page)

    bench.expect_typed("x = 5")
    bench.entry.press("Enter")
    bench.expect_marks("ok")
    bench.expect_saved()


def _never(route: Route) -> None:
    route.abort()


def _sign_in_again(page: Page) -> None:
    dialog = page.get_by_role("dialog", name="Your session has ended")
    dialog.get_by_label("Password").fill("harbour-42")
    dialog.get_by_role("button", name="Sign in").click()
    expect(dialog).to_be_hidden()


def test_a_line_that_was_not_kept_is_still_there_after_a_reload(page: Page) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose("4x = 20")
    bench.expect_saved()

    bench.entry.fill("x = 20 -")
    page.reload()

    bench.expect_typed("x = 20 -")


@pytest.mark.parametrize(
    ("text", "mark"),
    [
        ("9^9^9^9 = x", "unproved"),
        ("(" * 100, "unreadable"),
        ("9" * 3000, "unreadable"),
        ("<img src=x onerror=alert(1)>", "unreadable"),
        ("abcdefghjklmnopq", "remark"),
    ],
    ids=["tower", "brackets", "digits", "markup", "letters"],
)
def test_hostile_input_gets_a_clear_message_and_harms_nothing(
    page: Page, text: str, mark: str
) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose("4x = 20")

    bench.entry.fill(text)
    page.keyboard.press("Enter")
    page.keyboard.press("Enter")

    bench.expect_marks(mark)
    bench.write("x = 5")


def test_a_wrong_password_is_refused_with_a_sentence(page: Page) -> None:
    page.goto("/")
    page.get_by_label("Name", exact=True).fill("okafor")
    page.get_by_label("Password").fill("wrong")

    page.get_by_role("button", name="Sign in").click()

    expect(page.get_by_role("alert")).to_have_text("This name and password do not belong together.")


def test_a_slow_worker_shows_as_waiting_and_a_stopped_one_can_be_tried_again(page: Page) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose("4x = 20")
    held: list[Route] = []
    late = {"code": "time-out", "message": "This was not done after 4 seconds and was stopped."}
    worker = {"is": "slow"}

    def answer(route: Route) -> None:
        if worker["is"] == "slow":
            held.append(route)
        elif worker["is"] == "stopped":
            route.fulfill(status=504, json=late)
        else:
            route.continue_()

    page.route("**/api/algebra/check*", answer)
    bench.entry.fill("x = 5")
    page.keyboard.press("Enter")
    expect(bench.stops.first).to_have_attribute("data-stop", "waiting")
    expect(bench.stops.first).to_contain_text("x = 5")  # what was typed is there, not judged

    worker["is"] = "stopped"
    for route in held:
        with suppress(Error):  # asked again meanwhile: the earlier question was dropped
            route.fulfill(status=504, json=late)
    alert = page.get_by_role("alert")
    expect(alert).to_contain_text("not done after 4 seconds")
    worker["is"] = "back"
    alert.get_by_role("button", name="Try again").press("Enter")

    bench.expect_marks("ok")
    expect(alert).to_be_hidden()


def test_the_server_comes_back_and_nothing_typed_is_lost(page: Page, app: Server) -> None:
    sign_in(page)
    bench = Bench(page)
    bench.pose("3x = 21")
    bench.write("x = 21/3")
    bench.expect_saved()
    url = page.url

    app.end()
    bench.entry.fill("x = 7")
    page.keyboard.press("Enter")
    expect(page.get_by_role("status").first).to_contain_text("not saved")
    app.start()

    bench.expect_saved()
    page.goto(url)
    bench.expect_marks("ok", "ok")
