"""The bench as a user meets it: what can be typed and what can be seen."""

from playwright.sync_api import Locator, Page, expect


def sign_in(page: Page, name: str = "marin", password: str = "harbour-42") -> None:
    """Open the application and sign in."""
    page.goto("/")
    page.get_by_label("Name", exact=True).fill(name)
    page.get_by_label("Password").fill(password)
    page.get_by_role("button", name="Sign in").click()
    expect(page.get_by_role("navigation", name="Places")).to_be_visible()


def sign_out(page: Page) -> None:
    """Sign out, and wait until it is done: a page that is left takes its calls with it."""
    page.get_by_role("button", name="Sign out").click()
    expect(page.get_by_label("Name", exact=True)).to_be_visible()


def found_example(page: Page, name: str) -> Locator:
    """Find an example in the list; return its link."""
    page.goto("/examples")
    page.get_by_role("searchbox").fill(name)
    link = page.get_by_role("link", name=name, exact=True).first
    expect(link).to_be_visible()
    return link


def expect_said(where: Locator, sentence: str) -> None:
    """Hold that a sentence with *sentence* in it is said at *where*, its mathematics typeset."""
    expect(where.locator(f'[data-says*="{sentence}"]').first).to_be_visible()


def choose(page: Page, label: str, option: str, within: Locator | None = None) -> None:
    """Choose *option* in the select that is called *label*; *within*: where there are more of its name."""
    (within or page).get_by_role("combobox", name=label).press("Enter")
    page.get_by_role("option", name=option, exact=True).click()


def tick(where: Page | Locator, label: str) -> None:
    """Tick the box, or choose the radio button, that is called *label*."""
    where.locator("label").filter(has_text=label).first.click()


class Bench:
    """One example on the bench."""

    def __init__(self, page: Page) -> None:
        self.page = page

    @property
    def entry(self) -> Locator:
        """Where the next line is typed: its left side, or all of it where lines hang on the spine."""
        return self.page.get_by_label("Next line", exact=True)

    def retype(self, text: str) -> None:
        """Type another line in place of what stands in the entry."""
        self.entry.focus()
        self.page.keyboard.press("Control+a")
        self.page.keyboard.press("Delete")
        self.page.keyboard.type(text)

    def expect_typed(self, text: str) -> None:
        """Hold what stands in the entry, both its sides."""
        expect(self.page.locator(".entry")).to_have_attribute("data-typed", text)

    @property
    def stops(self) -> Locator:
        """The written lines."""
        return self.page.locator("[data-stop]")

    @property
    def details(self) -> Locator:
        """What is known of the chosen line."""
        return self.page.get_by_role("complementary")

    @property
    def original(self) -> Locator:
        """The check in the original."""
        return self.page.get_by_role("region", name="Check in the original")

    def pose(self, problem: str) -> None:
        """Start a new example with this problem."""
        self.page.goto("/bench/new")
        self.page.get_by_label("The problem, as the sheet has it").fill(problem)
        self.page.keyboard.press("Enter")
        expect(self.entry).to_be_focused()

    def write(self, *lines: str) -> None:
        """Type lines, Enter after each."""
        for line in lines:
            before = self.stops.count()
            self.entry.focus()
            self.page.keyboard.insert_text(line)
            self.page.keyboard.press("Enter")
            expect(self.stops).to_have_count(before + 1)

    def expect_marks(self, *marks: str) -> None:
        """Hold the marks of the stops, in order."""
        expect(self.stops).to_have_count(len(marks))
        for index, mark in enumerate(marks):
            expect(self.stops.nth(index)).to_have_attribute("data-stop", mark)

    def expect_task(self, name: str) -> None:
        """Hold what the example asks for."""
        expect(self.page.locator(".el-select.task")).to_contain_text(name)

    def expect_saved(self) -> None:
        """Wait until everything is stored."""
        expect(self.page.get_by_role("status").first).to_have_text("saved")
