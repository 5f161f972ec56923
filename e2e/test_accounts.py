"""A school's accounts in the browser: invited, two factors, forgotten password, the school's sign-in, departments."""

import base64
import re
from collections.abc import Callable, Iterator
from email.message import EmailMessage

import pytest
from bench_page import choose, sign_out
from django_otp.oath import totp
from playwright.sync_api import Browser, BrowserContext, Page, expect
from school import NAME, School
from test_places import violations

GOOD = "quay-lantern-7"


@pytest.fixture(scope="session")
def keeper(school: School) -> str:
    """Return the name of the first administrator, made on the command line as the operations page says."""
    school.manage("teacher", "add", "keeper", "--administrator", password=GOOD)
    return "keeper"


def _sign_in(page: Page, name: str, password: str = GOOD) -> None:
    page.goto("/")
    page.get_by_label("Name", exact=True).fill(name)
    page.get_by_label("Password", exact=True).fill(password)
    page.get_by_label("Password", exact=True).press("Enter")


def _signed_in(page: Page, name: str) -> None:
    expect(page.get_by_role("link", name=f"Account {name}")).to_be_visible()


_secrets: dict[str, bytes] = {}


def _number(name: str) -> str:
    """Return the number that the authenticator shows."""
    return f"{totp(_secrets[name]):06}"


def _set_second_factor_up(page: Page, name: str) -> None:
    page.get_by_role("link", name=f"Account {name}").click()
    room = page.locator("section", has=page.get_by_role("heading", name="Second factor"))
    room.get_by_label("Your password").fill(GOOD)
    room.get_by_role("button", name="Set it up").click()
    secret = room.locator("code").inner_text()
    _secrets[name] = base64.b32decode(secret + "=" * (-len(secret) % 8))
    room.get_by_label("Second factor").fill(_number(name))
    room.get_by_role("button", name="That is the number").click()
    expect(room.get_by_text("10 recovery codes are left")).to_be_visible()


@pytest.fixture(scope="session")
def office(school_chromium: Browser, keeper: str) -> Iterator[Page]:
    """Return the administrator's page, signed in, the second factor set up as it is asked for."""
    context = school_chromium.new_context(ignore_https_errors=True, base_url=f"https://{NAME}")
    context.set_default_timeout(20_000)
    page = context.new_page()
    _sign_in(page, keeper)
    _signed_in(page, keeper)
    page.get_by_role("link", name="Accounts", exact=True).click()
    expect(page.get_by_text("signs in with a second factor")).to_be_visible()
    _set_second_factor_up(page, keeper)
    page.get_by_role("link", name="Accounts", exact=True).click()
    rooms = page.locator("section", has=page.get_by_role("heading", name="Departments"))
    rooms.get_by_label("Name of a new department").fill("Mathematics")
    rooms.get_by_role("button", name="Make it").click()
    expect(rooms.get_by_role("button", name="Dissolve Mathematics")).to_be_visible()
    yield page
    context.close()


@pytest.fixture
def person(browser_at_school: BrowserContext, office: Page) -> Callable[..., Page]:
    """Return what makes an account by invitation, and signs in with it in this test's browser."""

    def made(name: str, mail: str = "") -> Page:
        office.goto("/people")
        invite = office.locator(
            "section", has=office.get_by_role("heading", name="Invite somebody")
        )
        invite.get_by_label("Mail address").fill(mail)
        choose(office, "Department", "Mathematics", within=invite)
        invite.get_by_role("button", name="Make an invitation").click()
        link = office.locator("code", has_text="/invited/").inner_text()

        page = browser_at_school.new_page()
        page.goto(link)
        page.get_by_label("Name", exact=True).fill(name)
        page.get_by_label("Password", exact=True).fill(GOOD)
        page.get_by_role("button", name="Make my account").click()
        _signed_in(page, name)
        return page

    return made


def test_an_invitation_is_taken_once_and_the_account_is_in_its_department(
    person: Callable[..., Page],
) -> None:
    page = person("sund")
    page.get_by_role("link", name="Department").click()
    expect(page.get_by_role("heading", name="Mathematics")).to_be_visible()
    expect(page.get_by_text("Nothing is shared yet.")).to_be_visible()


def test_a_forgotten_password_is_set_anew_by_mail(
    person: Callable[..., Page], school: School
) -> None:
    page = person("varga", mail="varga@school.example")
    sign_out(page)
    page.get_by_role("button", name="I forgot my password").click()
    page.get_by_label("Name or mail address").fill("varga@school.example")
    page.get_by_role("button", name="Send me a link").click()
    expect(page.get_by_text("a link is on its way")).to_be_visible()

    mails: list[EmailMessage] = []
    for _ in range(300):
        if mails:
            break
        mails = [mail for mail in school.mailbox.mails() if "new password" in str(mail["subject"])]
        page.wait_for_timeout(200)
    link = re.search(r"https://\S+/reset/\S+", mails[-1].get_content())
    assert link is not None
    page.goto(link.group())
    expect(page.get_by_label("Name", exact=True)).to_have_value("varga")
    page.get_by_label("Password", exact=True).fill("short")
    page.get_by_role("button", name="Set the password").click()
    expect(page.get_by_role("alert")).to_contain_text("too short")
    page.get_by_label("Password", exact=True).fill(GOOD + "-new")
    page.get_by_role("button", name="Set the password").click()
    expect(page.get_by_text("The password is set.")).to_be_visible()

    page.goto(link.group())
    expect(page.get_by_text("This link was used, or is too old.")).to_be_visible()
    page.get_by_role("link", name="Sign in").click()
    _sign_in(page, "varga", GOOD + "-new")
    _signed_in(page, "varga")
    page.get_by_role("link", name="Account varga").click()
    expect(page.get_by_text("The password was changed.")).to_be_visible()


def test_a_second_factor_is_asked_for_and_a_recovery_code_stands_in(
    person: Callable[..., Page],
) -> None:
    page = person("ilves")
    _set_second_factor_up(page, "ilves")
    code = page.locator(".codes code").first.inner_text()
    sign_out(page)

    _sign_in(page, "ilves")
    field = page.get_by_label("Second factor")
    expect(field).to_be_focused()
    field.fill("000000")
    field.press("Enter")
    expect(page.get_by_role("alert")).to_contain_text("This is not the number")
    field.fill(code)
    field.press("Enter")
    _signed_in(page, "ilves")
    page.get_by_role("link", name="Account ilves").click()
    expect(page.get_by_text("9 recovery codes are left")).to_be_visible()


def test_the_schools_sign_in_is_connected_and_opens_the_account(
    person: Callable[..., Page],
) -> None:
    page = person("noor")
    page.get_by_role("link", name="Account noor").click()
    room = page.locator("section", has=page.get_by_role("heading", name="The school’s sign-in"))
    room.get_by_label("Your password").fill(GOOD)
    room.get_by_role("button", name="Connect your school account").click()
    page.get_by_role("link", name="Ada Sund").click()
    expect(page.get_by_text("From now on your school account opens this account.")).to_be_visible()
    sign_out(page)

    page.get_by_role("link", name="Sign in with your school account").click()
    page.get_by_role("link", name="Carin Ilves").click()
    expect(page.get_by_text("Nobody here is connected")).to_be_visible()
    page.get_by_role("link", name="Sign in with your school account").click()
    page.get_by_role("link", name="Nobody").click()
    expect(page.get_by_text("You did not sign in there.")).to_be_visible()
    page.get_by_role("link", name="Sign in with your school account").click()
    page.get_by_role("link", name="Ada Sund").click()
    _signed_in(page, "noor")


def test_a_locked_account_is_out_at_once_and_released_again(
    person: Callable[..., Page], office: Page
) -> None:
    page = person("quist")
    office.goto("/people")
    office.get_by_label("Find a name or an address").fill("quist")
    expect(office.get_by_role("row")).to_have_count(2)
    row = office.get_by_role("row", name=re.compile("quist"))
    row.get_by_role("button", name="Lock").click()
    expect(row.get_by_text("locked")).to_be_visible()

    page.get_by_role("link", name="Sets").click()
    expect(page.get_by_role("heading", name="Your session has ended")).to_be_visible()
    row.get_by_role("button", name="Release").click()
    expect(row.get_by_role("button", name="Lock")).to_be_visible()
    dialog = page.get_by_role("dialog")
    dialog.get_by_label("Password", exact=True).fill(GOOD)
    dialog.get_by_role("button", name="Sign in").click()
    expect(dialog).to_be_hidden()


def test_a_set_is_shared_copied_and_a_class_is_handed_over(
    person: Callable[..., Page],
) -> None:
    giver = person("lind")
    made = giver.evaluate(
        """async () => {
            const token = /__Host-csrftoken=([^;]+)/.exec(document.cookie)[1]
            const send = async (path, body) => (await fetch('/api' + path, {method: 'POST',
              headers: {'Content-Type': 'application/json', 'X-CSRFToken': token},
              body: JSON.stringify(body)})).json()
            const set = await send('/sets', {title: 'Linear, first hour'})
            await send(`/sets/${set.id}/problems`, {problems: [{task: 'solve', given: '2(x + 3) = 10'}]})
            await send('/classes', {title: '4b', year: '2026', codes: ['01', '02']})
            return set.id
        }"""
    )
    giver.goto(f"/sets/{made}")
    giver.get_by_role("button", name="Share with the department").click()
    expect(giver.get_by_role("button", name="Share it no more")).to_be_visible()
    sign_out(giver)

    taker = person("moen")
    taker.get_by_role("link", name="Department").click()
    taker.get_by_role("link", name="Linear, first hour").click()
    expect(taker.get_by_role("heading", name="Linear, first hour")).to_be_visible()
    expect(taker.locator(".katex").first).to_be_visible()
    taker.get_by_role("button", name="Copy it").click()
    expect(taker.get_by_text("Copied. It is your own now")).to_be_visible()
    taker.get_by_role("link", name="Sets").click()
    expect(taker.get_by_role("link", name="Linear, first hour")).to_be_visible()
    sign_out(taker)

    _sign_in(giver, "lind")
    _signed_in(giver, "lind")
    giver.get_by_role("link", name="Classes").click()
    giver.get_by_role("button", name="Hand over").click()
    dialog = giver.get_by_role("dialog")
    expect(dialog.get_by_role("button", name="Offer it")).to_be_disabled()
    choose(giver, "To whom", "moen", within=dialog)
    dialog.get_by_label("to say it twice").fill("4b")
    dialog.get_by_role("button", name="Offer it").click()
    expect(dialog).to_be_hidden()
    giver.get_by_role("link", name="Department").click()
    expect(giver.get_by_text("4b is offered to moen")).to_be_visible()
    sign_out(giver)

    _sign_in(taker, "moen")
    _signed_in(taker, "moen")
    taker.get_by_role("link", name="Department").click()
    taker.get_by_role("button", name="Take it").click()
    expect(taker.get_by_text("The class is yours now.")).to_be_visible()
    taker.get_by_role("link", name="Classes").click()
    expect(taker.get_by_role("heading", name="4b")).to_be_visible()


def test_an_account_is_kept_deleted_and_stays_after_all(person: Callable[..., Page]) -> None:
    page = person("berg")
    page.get_by_role("link", name="Account berg").click()
    room = page.locator("section", has=page.get_by_role("heading", name="Delete the account"))
    room.get_by_label("Your password").fill(GOOD)
    room.get_by_role("button", name="Delete my account").click()
    expect(room.get_by_text("Keep everything as a file first")).to_be_visible()
    with page.expect_download() as kept:
        room.get_by_role("link", name="Keep everything as a file").click()
    assert kept.value.suggested_filename == "uchuu-everything.json"
    room.get_by_label("Your password").fill(GOOD)
    room.get_by_role("button", name="Delete my account").click()
    expect(room.get_by_role("button", name="Stay")).to_be_visible()
    expect(page.get_by_text("will be deleted on").first).to_be_visible()
    room.get_by_role("button", name="Stay").click()
    expect(room.get_by_role("button", name="Delete my account")).to_be_visible()


def test_the_screens_of_a_school_have_no_barrier(person: Callable[..., Page], office: Page) -> None:
    office.goto("/people")
    expect(office.get_by_role("row").nth(1)).to_be_visible()
    assert violations(office) == []
    page = person("dahl")
    page.goto("/department")
    expect(page.get_by_role("heading", name="Mathematics")).to_be_visible()
    page.get_by_role("button", name="Share my house rules").click()
    page.get_by_role("link", name="House rules of dahl").click()
    expect(page.get_by_text("As on the board")).to_be_visible()
    assert violations(page) == []
    page.goto("/department")
    expect(page.get_by_role("row").nth(1)).to_be_visible()
    assert violations(page) == []
    page.goto("/account")
    expect(page.get_by_role("heading", name="The school’s sign-in")).to_be_visible()
    assert violations(page) == []
    sign_out(page)
    expect(page.get_by_role("button", name="I forgot my password")).to_be_visible()
    assert violations(page) == []
    page.goto("/reset/none.at-all")
    expect(page.get_by_role("alert")).to_be_visible()
    assert violations(page) == []
