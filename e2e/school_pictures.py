"""The picture of a school's department in docs/screenshots, taken anew: ``.venv/bin/python e2e/school_pictures.py`` (root)."""

import sys
import tempfile
from pathlib import Path

sys.path.insert(0, str(Path(__file__).resolve().parents[1]))

from app_server import ARGUMENTS
from bench_page import sign_out
from playwright.sync_api import Page, expect, sync_playwright
from school import ADDRESS, NAME, School

FOLDER = Path(__file__).resolve().parents[1] / "docs" / "screenshots"
GOOD = "quay-lantern-7"
PEOPLE = ("sund", "varga", "ilves")
MADE = """
from django.contrib.auth.models import User
from teachers.models import Department
from teachers.people import set_person
found = Department.objects.create(title="Mathematics")
for teacher in User.objects.all():
    set_person(teacher, department=found)
"""
SHARED = """async ([sets, house]) => {
    const token = /__Host-csrftoken=([^;]+)/.exec(document.cookie)[1]
    const headers = {'Content-Type': 'application/json', 'X-CSRFToken': token}
    const send = async (path, body, method = 'POST') =>
        (await fetch('/api' + path, {method, headers, body: JSON.stringify(body)})).json()
    for (const [title, given] of sets) {
        const made = await send('/sets', {title})
        const problems = given.map((one) => ({task: 'solve', given: one}))
        await send(`/sets/${made.id}/problems`, {problems})
        await send('/shared', {kind: 'set', key: made.id})
    }
    if (house) await send('/shared', {kind: 'house', key: ''})
}"""
SETS = {
    "sund": (["Linear, first hour", ["2(x + 3) = 10", "5x - 13 = 3x + 7", "x/2 + 1/3 = 5/6"]],),
    "varga": (
        ["Quadratics that factor", ["x^2 - 5x + 6 = 0", "2x^2 + 5x - 3 = 0"]],
        ["Roots, mixed", ["sqrt(x + 7) = x - 5", "sqrt(2x) = 4"]],
    ),
}


def _in(page: Page, name: str) -> None:
    page.goto("/")
    page.get_by_label("Name", exact=True).fill(name)
    page.get_by_label("Password", exact=True).fill(GOOD)
    page.get_by_role("button", name="Sign in", exact=True).click()
    expect(page.get_by_role("link", name=f"Account {name}")).to_be_visible()


def main() -> None:
    """Take it."""
    school = School(Path(tempfile.mkdtemp()), hosts=1)
    try:
        school.begin()
        for name in PEOPLE:
            school.manage("teacher", "add", name, password=GOOD)
        school.django("shell", "-c", MADE)
        with sync_playwright() as playwright:
            browser = playwright.chromium.launch(
                executable_path="/usr/bin/chromium",
                args=[*ARGUMENTS, f"--host-resolver-rules=MAP {NAME} {ADDRESS}"],
            )
            page = browser.new_page(
                viewport={"width": 1280, "height": 800},
                base_url=f"https://{NAME}",
                ignore_https_errors=True,
            )
            for name, sets in SETS.items():
                _in(page, name)
                page.evaluate(SHARED, [list(sets), name == "sund"])
                sign_out(page)
            _in(page, "ilves")
            page.goto("/department")
            page.get_by_role("link", name="Quadratics that factor").click()
            page.get_by_role("button", name="Copy it").click()
            expect(page.get_by_text("Copied. It is your own now")).to_be_visible()
            page.get_by_role("link", name="Back to the department").click()
            expect(page.get_by_text("copied", exact=True)).to_be_visible()
            page.screenshot(path=str(FOLDER / "department.png"))
            browser.close()
    finally:
        school.end()


if __name__ == "__main__":
    main()
