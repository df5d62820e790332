"""The real thing: the built front end, the real server on a database of its own, Debian's Chromium."""

from __future__ import annotations

import shutil
import subprocess
from collections.abc import Generator, Iterator
from contextlib import contextmanager
from weakref import WeakKeyDictionary

import pytest
from playwright.sync_api import (
    Browser,
    BrowserContext,
    ConsoleMessage,
    Page,
    ViewportSize,
    expect,
    sync_playwright,
)

from tests.browser.servers import Server, running_factory, running_server
from tests.conftest import AsApplication, a_copy_of
from tests.stored_rows import StoredRows

CHROMIUM_FLAGS = [
    "--no-sandbox",  # the tests may run as root
    "--disable-gpu",
    "--disable-quic",
    "--no-first-run",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
]


SIZE: ViewportSize = {"width": 1280, "height": 800}
# A busy machine has been seen six times as slow as a quiet one.
expect.set_options(timeout=20_000)


@pytest.hookimpl(wrapper=True)
def pytest_runtest_makereport(
    item: pytest.Item, call: pytest.CallInfo[None]
) -> Generator[None, pytest.TestReport, pytest.TestReport]:
    """Add to a failure what the page says: where it is, and its notices."""
    report = yield
    page = getattr(item, "funcargs", {}).get("page")
    if call.when == "call" and report.failed and isinstance(page, Page):
        notices = page.get_by_role("alert").all_inner_texts() + page.get_by_role("status").all_inner_texts()
        report.sections.append(("the page", "\n".join([page.url, *notices])))
    return report


@pytest.fixture(scope="session")
def server_factory() -> Iterator[subprocess.Popen[str]]:
    with running_factory() as factory:
        yield factory


@pytest.fixture(scope="session")
def shared_server(
    server_factory: subprocess.Popen[str],
    template_url: str,
    demo_template: str,
    as_application: AsApplication,
) -> Iterator[tuple[Server, StoredRows]]:
    """A server that has warmed up, with what puts its data back: one for each test is half of its time."""
    with a_copy_of(demo_template, template_url) as url:
        data = StoredRows(url)
        with running_server(as_application(url), server_factory) as server:
            yield server, data
        data.close()


@pytest.fixture
def server(shared_server: tuple[Server, StoredRows]) -> Iterator[Server]:
    """A server with the demo brands as they are at first. A test may stop and start it."""
    server, data = shared_server
    data.put_back()
    yield server
    if server.process is None:
        server.start()
    server.until_quiet()


@pytest.fixture
def own_server(demo_database_url: str, server_factory: subprocess.Popen[str]) -> Iterator[Server]:
    """A server that nobody else has, for a test that starts it in another way."""
    with running_server(demo_database_url, server_factory) as server:
        yield server


@pytest.fixture(scope="session")
def browser() -> Iterator[Browser]:
    executable = shutil.which("chromium-headless-shell")
    assert executable, "Debian’s package chromium-headless-shell is not installed; make test installs it"
    with sync_playwright() as playwright:
        started = playwright.chromium.launch(executable_path=executable, args=CHROMIUM_FLAGS)
        yield started
        started.close()


def new_context(browser: Browser, server: Server) -> BrowserContext:
    context = browser.new_context(viewport=SIZE, base_url=server.url)
    context.grant_permissions(["clipboard-read", "clipboard-write"])
    return context


@contextmanager
def opened_page(context: BrowserContext) -> Iterator[Page]:
    """A page at 1280 × 800 that fails its test on any script error or refused policy."""
    opened = context.new_page()
    opened.set_default_timeout(30_000)
    complaints = listened_to(opened)
    yield opened
    for page in context.pages:
        page.close()
    assert complaints == []


def listened_to(page: Page) -> list[str]:
    """Return a list that everything which a page complains of comes into."""
    complaints: list[str] = []

    def said(message: ConsoleMessage) -> None:
        if message.type == "error" and "Failed to load resource" not in message.text:
            complaints.append(message.text)

    page.on("pageerror", lambda error: complaints.append(str(error)))
    page.on("console", said)
    return complaints


@pytest.fixture(scope="session")
def shared_context(browser: Browser, shared_server: tuple[Server, StoredRows]) -> Iterator[BrowserContext]:
    """A browser that has loaded the application before: compiling it is half a second of every test."""
    context = new_context(browser, shared_server[0])
    yield context
    context.close()


@pytest.fixture
def page(shared_context: BrowserContext, server: Server) -> Iterator[Page]:
    """A page of a browser that remembers nothing but what it has compiled."""
    shared_context.clear_cookies()
    with opened_page(shared_context) as opened:
        forget(opened, server)
        yield opened


def forget(page: Page, server: Server) -> None:
    """Remove what an application keeps in a browser."""
    session = page.context.new_cdp_session(page)
    session.send("Storage.clearDataForOrigin", {"origin": server.url, "storageTypes": "all"})
    session.detach()


@pytest.fixture(scope="session")
def kept_page(browser: Browser, shared_server: tuple[Server, StoredRows]) -> Iterator[tuple[Page, list[str]]]:
    with new_context(browser, shared_server[0]) as context:
        kept = context.new_page()
        yield kept, listened_to(kept)


@pytest.fixture
def visited_page(kept_page: tuple[Page, list[str]], server: Server) -> Iterator[Page]:
    """The same page for all tests that only look, as it is at first."""
    kept, complaints = kept_page
    complaints.clear()
    kept.set_viewport_size(SIZE)
    kept.emulate_media(media="null", forced_colors="null", reduced_motion="null", color_scheme="null")
    forget(kept, server)
    yield kept
    assert complaints == []


def open_demo(
    page: Page, brand: str = "Orrin Peak Observatory", *, take: str = "Take 1", step: str = "source"
) -> None:
    """Open a take of a demo brand at its address: walking there by links is twice the work."""
    page.goto(f"{address_of(page, brand, take)}/{step}")
    page.get_by_role("navigation", name="Takes").wait_for()


_ADDRESSES: WeakKeyDictionary[BrowserContext, dict[tuple[str, str], str]] = WeakKeyDictionary()


def address_of(page: Page, brand: str, take: str) -> str:
    """Return the path of a take. Those of the demo brands stay the same while a server runs."""
    known = _ADDRESSES.setdefault(page.context, {})
    if (brand, take) not in known:
        listed = page.request.get("/api/brands", params={"find": brand}).json()["brands"]
        identity = next(one["brand"]["id"] for one in listed if one["brand"]["name"] == brand)
        for one in page.request.get(f"/api/brands/{identity}").json()["takes"]:
            known[brand, one["name"]] = f"/brands/{identity}/takes/{one['id']}"
    return known[brand, take]


def make_brand(page: Page, name: str) -> None:
    """Make a brand, which is empty and opens in Source."""
    page.goto("/")
    page.get_by_label("Name of the new brand").fill(name)
    page.get_by_role("button", name="New brand").click()
    page.get_by_text("Start with the logo").wait_for()


def copied(page: Page, text: str) -> None:
    """Wait until the clipboard holds a text: copying ends some time after the click."""
    page.wait_for_function("async text => (await navigator.clipboard.readText()) === text", arg=text)


def clipboard(page: Page, other_than: str) -> str:
    """Return what was copied, once it is another text than the one before."""
    changed = "async before => (await navigator.clipboard.readText()) !== before"
    page.wait_for_function(changed, arg=other_than)
    text: str = page.evaluate("() => navigator.clipboard.readText()")
    return text
