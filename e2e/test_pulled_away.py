"""Network, server and session are pulled away at each kind of action: it is said, and done when they are back."""

import re
from collections.abc import Callable
from contextlib import suppress

import pytest
from bench_page import Bench, found_example, sign_in
from playwright.sync_api import BrowserContext, Error, Locator, Page, Request, Route, expect

Act = Callable[[Page], Callable[[], None]]
"""Gets ready while all is well; what it returns acts, and ``DONE`` holds what is there afterwards."""


def a_line(page: Page) -> Callable[[], None]:
    Bench(page).pose("4x = 20")
    Bench(page).expect_saved()
    return lambda: _typed(Bench(page).entry, "x = 5", "Enter")


def working(page: Page) -> Callable[[], None]:
    Bench(page).pose("4x - 3 = 17")
    Bench(page).expect_saved()
    return lambda: page.keyboard.press("Alt+w")


def a_next_step(page: Page) -> Callable[[], None]:
    Bench(page).pose("4x = 24")
    Bench(page).expect_saved()
    expect(page.locator(".next button")).to_be_visible()
    return lambda: page.keyboard.press("Alt+h")


def forks(page: Page) -> Callable[[], None]:
    bench = Bench(page)
    bench.pose("3(x - 2) = 15")
    bench.write("3x - 6 = 15")
    bench.expect_saved()
    return lambda: page.keyboard.press("Alt+f")


def a_title(page: Page) -> Callable[[], None]:
    page.goto("/sets")
    page.get_by_role("button", name="Start a set").click()
    title = page.get_by_role("textbox", name="Name of the set")
    expect(title).to_be_visible()
    return lambda: _typed(title, "Quay and crane", "Tab")


def a_new_set(page: Page) -> Callable[[], None]:
    page.goto("/sets")
    start = page.get_by_role("button", name="Start a set")
    expect(start).to_be_enabled()
    return lambda: _pressed(start)


def a_list(page: Page) -> Callable[[], None]:
    page.goto("/sets")
    expect(page.get_by_role("table").first).to_be_visible()
    return lambda: _pressed(page.get_by_role("link", name="Examples"))


def an_example_opened(page: Page) -> Callable[[], None]:
    link = found_example(page, "Ferry tickets")
    return lambda: _pressed(link)


def a_house_rule(page: Page) -> Callable[[], None]:
    page.goto("/house")
    rule = page.locator("label.el-radio:not(.is-checked)").nth(2)
    expect(rule).to_be_visible()
    return lambda: _pressed(rule)


def an_own_error(page: Page) -> Callable[[], None]:
    page.goto("/errors")
    page.get_by_role("button", name="Add an error").click()
    page.get_by_label("Name", exact=False).first.fill("Halves the radicand")
    page.get_by_placeholder("sqrt(a - b)").fill("sqrt(a)")
    page.get_by_placeholder("sqrt(a) - sqrt(b)").fill("a/2")
    keep = page.get_by_role("button", name="Save")
    expect(keep).to_be_enabled()
    return lambda: _pressed(keep)


def a_key(page: Page) -> Callable[[], None]:
    page.goto("/proofs")
    page.locator("textarea").fill("1. Solve: 2x = 8\n x = 4\n")
    return lambda: page.keyboard.press("Control+Enter")


def the_line(page: Page) -> Locator:
    entry = Bench(page).entry
    typed = page.locator(".entry")
    if entry.is_visible() and typed.get_attribute("data-typed"):  # the dialog came first
        entry.press("Enter")
    judged = page.locator(".bench:has([data-stop=ok])")
    return judged.get_by_text(re.compile(r"^\s*saved"))


ACTIONS: dict[str, tuple[Act, Callable[[Page], Locator]]] = {
    "a line": (a_line, the_line),
    "working": (working, lambda page: page.locator("[data-stop=ok]").last),
    "a next step": (a_next_step, lambda page: page.locator(".next .notice")),
    "forks": (forks, lambda page: page.locator(".stub").first),
    "a title": (a_title, lambda page: page.get_by_text(re.compile(r"^\s*saved"))),
    "a new set": (a_new_set, lambda page: page.get_by_text("Instructions")),
    "a list": (a_list, lambda page: page.locator(".el-table__row").nth(9)),
    "an example": (an_example_opened, lambda page: page.locator("[data-stop=ok]").last),
    "a house rule": (a_house_rule, lambda page: page.get_by_text("Kept.", exact=True)),
    "an own error": (an_own_error, lambda page: page.get_by_text("Halves the radicand").first),
    "a key": (a_key, lambda page: page.locator(".item").first),
}


def _typed(where: Locator, text: str, key: str) -> None:
    where.fill(text)
    where.page.keyboard.press(key)


def _pressed(where: Locator) -> None:
    """Press it, though a dialog may have come over it in this moment."""
    where.evaluate("(element) => element.click()")


class Calls:
    """The calls to the server that are under way: an action is taken when nothing else can fail before it."""

    def __init__(self, page: Page) -> None:
        """Count the calls of *page* from now on."""
        self._page = page
        self._open: set[Request] = set()
        page.on("request", self._began)
        page.on("requestfinished", self._over)
        page.on("requestfailed", self._over)

    def _began(self, request: Request) -> None:
        if "/api/" in request.url:
            self._open.add(request)

    def _over(self, request: Request) -> None:
        self._open.discard(request)

    def ended(self) -> None:
        """Wait until none is under way, and none has begun for a moment."""
        quiet = 0
        while quiet < 3:
            self._page.evaluate("() => new Promise((done) => setTimeout(done, 100))")
            quiet = 0 if self._open else quiet + 1


AWAY = {"code": "database-away", "message": "The database does not answer.", "at": None}


def _pull(trouble: str, page: Page, window: BrowserContext) -> None:
    def answer(route: Route) -> None:
        if trouble == "network":
            route.abort()
        else:
            route.fulfill(status=503, json=AWAY)

    if trouble == "session":
        window.clear_cookies(name="sessionid")
    else:
        page.route("**/api/**", answer)


def _put_back(trouble: str, page: Page) -> None:
    """Undo it; where the session was pulled away, by signing in again as the page asks for."""
    page.unroute("**/api/**")
    dialog = page.get_by_role("dialog", name="Your session has ended")
    if trouble == "session":
        expect(dialog).to_be_visible()
        dialog.get_by_label("Password").fill("harbour-42")
        dialog.get_by_role("button", name="Sign in").click()
        expect(dialog).to_be_hidden()


def _again(page: Page, done: Locator) -> None:
    """Try again what offers to be, as somebody would who waits for *done*."""
    again = page.get_by_role("button", name="Try again").first
    with suppress(Error):
        done.or_(again).first.wait_for()
        if not done.is_visible():
            again.click()


@pytest.mark.parametrize("trouble", ["network", "server", "session"])
@pytest.mark.parametrize("action", ACTIONS)
def test_what_is_pulled_away_is_said_and_the_action_is_done_when_it_is_back(
    page: Page, window: BrowserContext, action: str, trouble: str
) -> None:
    sign_in(page)
    calls = Calls(page)
    ready, done = ACTIONS[action]
    act = ready(page)
    calls.ended()
    _pull(trouble, page, window)
    act()
    said = page.locator("[role=alert], [role=dialog], [role=status]:has-text('not saved')")
    expect(said.filter(visible=True).first).to_be_visible()

    _put_back(trouble, page)
    for _ in range(3):  # several things may have failed together
        _again(page, done(page))
    expect(done(page)).to_be_visible()


def test_a_place_whose_code_does_not_come_is_said_and_tried_again(page: Page) -> None:
    sign_in(page)
    code = "**/assets/HousePlace*"
    page.route(code, lambda route: route.abort())
    page.get_by_role("link", name="House rules").click()
    expect(page.get_by_role("alert")).to_contain_text("This place did not load.")
    page.unroute(code)
    page.get_by_role("button", name="Try again").click()
    expect(page.get_by_role("heading", name="House rules", level=1)).to_be_visible()
    expect(page.get_by_role("alert")).to_have_count(0)
