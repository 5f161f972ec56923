"""A real server on the test cluster, a real browser (Debian's Chromium), one page a test."""

import gc
import os
from collections.abc import Iterator
from pathlib import Path

import pytest
from app_server import ARGUMENTS, Server, ready_server
from playwright.sync_api import (
    Browser,
    BrowserContext,
    Page,
    Playwright,
    Request,
    expect,
    sync_playwright,
)
from school import ADDRESS, NAME, School

expect.set_options(timeout=20_000)
"""Milliseconds that a state is waited for: on a busy machine it comes later, and is no less right."""


@pytest.fixture(scope="session")
def app() -> Iterator[Server]:
    """Return the running server, with the demo data set anew."""
    found = ready_server()
    yield found
    found.end()


@pytest.fixture(scope="session")
def playwright_here() -> Iterator[Playwright]:
    """Return Playwright."""
    with sync_playwright() as found:
        yield found


@pytest.fixture(scope="session")
def chromium(playwright_here: Playwright) -> Iterator[Browser]:
    """Return Debian's Chromium."""
    place = os.environ.get("UCHUU_CHROMIUM", "/usr/bin/chromium")
    assert Path(place).exists(), "Chromium is missing: ./uchuu test installs it"
    browser = playwright_here.chromium.launch(executable_path=place, args=ARGUMENTS)
    yield browser
    browser.close()


@pytest.fixture
def window(chromium: Browser, app: Server) -> Iterator[BrowserContext]:
    """Return a fresh browser window; a request that would leave the machine fails the test."""
    context = chromium.new_context(viewport={"width": 1280, "height": 800}, base_url=app.address)
    context.set_default_timeout(10_000)
    context.set_default_navigation_timeout(30_000)
    strangers: list[str] = []

    def watch(request: Request) -> None:
        if not request.url.startswith((app.address, "data:", "blob:")):
            strangers.append(request.url)

    context.on("request", watch)
    yield context
    context.close()
    assert strangers == []


@pytest.fixture
def page(window: BrowserContext) -> Iterator[Page]:
    """Return a page; an error in its scripts, or a breach of the content policy, fails the test."""
    found = window.new_page()
    problems: list[str] = []
    found.on("pageerror", lambda error: problems.append(str(error)))
    found.on(
        "console",
        lambda message: (
            problems.append(message.text) if "Content Security Policy" in message.text else None
        ),
    )
    yield found
    assert problems == []


@pytest.fixture(scope="session")
def school(tmp_path_factory: pytest.TempPathFactory) -> Iterator[School]:
    """Return a school's server: two hosts behind a proxy that speaks TLS."""
    if os.geteuid() != 0:
        pytest.skip("a proxy that listens where browsers ask (port 443) needs root")
    found = School(tmp_path_factory.mktemp("school"))
    try:
        found.begin()
        yield found
    finally:
        found.end()
        gc.collect()  # what is left is told here, and not while something else is read


@pytest.fixture(scope="session")
def school_chromium(playwright_here: Playwright, school: School) -> Iterator[Browser]:
    """Return a browser that finds the school by its name."""
    place = os.environ.get("UCHUU_CHROMIUM", "/usr/bin/chromium")
    assert school.hosts
    rules = f"--host-resolver-rules=MAP {NAME} {ADDRESS}"
    browser = playwright_here.chromium.launch(executable_path=place, args=[*ARGUMENTS, rules])
    yield browser
    browser.close()


@pytest.fixture
def browser_at_school(school_chromium: Browser) -> Iterator[BrowserContext]:
    """Return a fresh browser at the school's server; its authority is made up, so it is not asked for."""
    context = school_chromium.new_context(
        viewport={"width": 1280, "height": 800},
        base_url=f"https://{NAME}",
        ignore_https_errors=True,
    )
    context.set_default_timeout(20_000)
    context.set_default_navigation_timeout(30_000)
    yield context
    context.close()
