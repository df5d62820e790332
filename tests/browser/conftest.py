"""The real thing: the built front end, the real server on a database of its own, Debian's Chromium."""

from __future__ import annotations

import http.client
import json
import os
import shutil
import signal
import socket
import subprocess
import sys
import time
from collections.abc import Iterator
from contextlib import contextmanager
from dataclasses import dataclass
from pathlib import Path

import pytest
from playwright.sync_api import Browser, Page, expect, sync_playwright

from tests.conftest import AsApplication, a_copy_of

ROOT = Path(__file__).parents[2]
AXE = (ROOT / "frontend/node_modules/axe-core/axe.min.js").read_text(encoding="utf-8")
CHROMIUM_FLAGS = [
    "--no-sandbox",  # the tests may run as root
    "--disable-gpu",
    "--disable-quic",
    "--no-first-run",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
]


# A busy machine has been seen six times as slow as a quiet one.
expect.set_options(timeout=20_000)


@dataclass
class Server:
    """A server process on a port that stays the same over a restart."""

    url: str
    environment: dict[str, str]
    factory: subprocess.Popen[str]
    process: int | None = None

    def start(self) -> None:
        port = int(self.url.rpartition(":")[2])
        assert self.factory.stdin
        assert self.factory.stdout
        print(
            json.dumps({"port": port, "environment": self.environment}), file=self.factory.stdin, flush=True
        )
        self.process = int(self.factory.stdout.readline())
        self.wait_until_up(port)

    def stop(self) -> None:
        if self.process is None:
            return
        # Master and worker at once: waiting for them to say goodbye is half the time of a test.
        os.killpg(self.process, signal.SIGKILL)
        end = time.monotonic() + 20
        while time.monotonic() < end:
            try:
                os.killpg(self.process, 0)
            except ProcessLookupError:
                break
            time.sleep(0.01)
        self.process = None

    @staticmethod
    def wait_until_up(port: int) -> None:
        end = time.monotonic() + 30
        while time.monotonic() < end:
            try:
                asked = http.client.HTTPConnection("127.0.0.1", port, timeout=5)
                asked.request("GET", "/api/session")
                if asked.getresponse().status == 200:
                    return
            except OSError:
                time.sleep(0.05)
        raise RuntimeError("the server did not start")


@pytest.fixture(scope="session")
def server_factory() -> Iterator[subprocess.Popen[str]]:
    command = [sys.executable, "-m", "tests.browser.server_factory"]
    root = Path(__file__).resolve().parents[2]
    with subprocess.Popen(
        command, cwd=root, stdin=subprocess.PIPE, stdout=subprocess.PIPE, text=True
    ) as factory:
        yield factory
        factory.terminate()


@contextmanager
def running_server(database_url: str, factory: subprocess.Popen[str]) -> Iterator[Server]:
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        port = probe.getsockname()[1]
    secret = "a secret for the browser tests, long enough"
    environment = {"DATABASE_URL": database_url, "SECRET_KEY": secret, "TONADA_LOG": "warnings"}
    server = Server(f"http://127.0.0.1:{port}", environment, factory)
    server.start()
    yield server
    server.stop()


@pytest.fixture
def server(demo_database_url: str, server_factory: subprocess.Popen[str]) -> Iterator[Server]:
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


@contextmanager
def opened_page(browser: Browser, server: Server) -> Iterator[Page]:
    """A page at 1280 × 800 that fails its test on any script error or refused policy."""
    context = browser.new_context(viewport={"width": 1280, "height": 800}, base_url=server.url)
    context.grant_permissions(["clipboard-read", "clipboard-write"])
    opened = context.new_page()
    opened.set_default_timeout(30_000)
    complaints: list[str] = []
    opened.on("pageerror", lambda error: complaints.append(str(error)))
    opened.on(
        "console",
        lambda message: (
            complaints.append(message.text)
            if message.type == "error" and "Failed to load resource" not in message.text
            else None
        ),
    )
    yield opened
    context.close()
    assert complaints == []


@pytest.fixture
def page(browser: Browser, server: Server) -> Iterator[Page]:
    with opened_page(browser, server) as opened:
        yield opened


@pytest.fixture(scope="module")
def visited_page(
    browser: Browser,
    server_factory: subprocess.Popen[str],
    template_url: str,
    demo_template: str,
    as_application: AsApplication,
) -> Iterator[Page]:
    """A page for tests that only look, one after the other: a server for each would be most of their time."""
    with (
        a_copy_of(demo_template, template_url) as url,
        running_server(as_application(url), server_factory) as server,
        opened_page(browser, server) as opened,
    ):
        yield opened


ALL_RULES = ("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa", "best-practice")
# What axe could not decide was looked at: texts over a picture of colours or cut by the edge of a
# list (their ground is opaque), signs such as “+” with a name in words, frames that are tested themselves.
# Targets it asks about are steps of a ramp, which arrows walk to; a list in the inspector has them too.
LOOKED_AT = (
    "color-contrast",
    "label-content-name-mismatch",
    "frame-tested",
    "aria-hidden-focus",
    "target-size",
)
COLOR_RULES = ("color-contrast", "link-in-text-block")


def axe_findings(page: Page, only: tuple[str, ...] = ALL_RULES) -> list[str]:
    """Run axe on the page as it is and return what it finds, one line each.

    Left out are the specimens: texts of the designer's own failing pairs, shown as they fail.
    """
    page.evaluate(AXE)
    rules = {"runOnly": only}
    result = page.evaluate("rules => axe.run({ exclude: ['[data-specimen]'] }, rules)", rules)
    undecided = [one for one in result["incomplete"] if one["id"] not in LOOKED_AT]
    found = [*result["violations"], *undecided]
    return [f"{one['id']}: {node['html'][:160]}" for one in found for node in one["nodes"]]


def open_demo(page: Page, brand: str = "Orrin Peak Observatory") -> None:
    """Open a demo brand from the list of brands."""
    page.goto("/")
    page.get_by_role("link", name=brand).click()
    page.get_by_role("complementary", name="Inspector").wait_for()


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
