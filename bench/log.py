"""Times of a log over two years: 5 classes, 30 sittings and 30 codes each; run by ``./uchuu bench log``."""

from bench_page import sign_in
from playwright.sync_api import Page

from bench.browser import call, in_browser, shown, until


def _measured(page: Page) -> None:
    sign_in(page)
    rows = [row for row in call(page, "GET", "/api/classes")[1] if row["title"][:4] == "Made"]
    paths = [f"/api/log/{row['id']}" for row in rows]
    log = call(page, "GET", paths[0])[1]
    codes = call(page, "GET", f"/api/classes/{rows[0]['id']}")[1]["students"]
    print(f"{len(log['columns'])} columns, {len(log['rows'])} errors")
    shown("a log", [call(page, "GET", paths[n % 5])[0] for n in range(60)])
    later = "2028-06-30"
    asked = [f"{path}/next?on={later}" for path in paths]
    shown("what to teach again next", [call(page, "GET", asked[n % 5])[0] for n in range(30)])
    of_code = [f"{paths[0]}/students/{one['id']}" for one in codes]
    shown("the log of a code", [call(page, "GET", path)[0] for path in of_code])
    shown("today", [call(page, "GET", f"/api/today?on={later}")[0] for _ in range(30)])
    times = []
    for _ in range(20):
        page.goto("/classes")
        link = page.locator(f"a[href='/classes/{rows[0]['id']}/log']").first
        link.wait_for()
        link.evaluate("(element) => (element.id = 'chosen')")
        times.append(until(page, "#chosen", ".scroll td a"))
    shown("a log on the screen", times)


def main() -> None:
    """Measure and print."""
    in_browser(_measured, ("make_years", "--teacher", "marin"))


if __name__ == "__main__":
    main()
