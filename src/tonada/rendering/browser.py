"""The browser that is installed, and pages opened in it: alone, still, and away from any network."""

from __future__ import annotations

import os
import shutil
from collections.abc import Iterator, Sequence
from contextlib import contextmanager
from pathlib import Path
from typing import TYPE_CHECKING, Final
from urllib.parse import urlsplit

from tonada.core.errors import InputError

if TYPE_CHECKING:
    from playwright.sync_api import Browser, Page, Route

VARIABLE: Final = "TONADA_BROWSER"
_NAMES: Final = (
    *("chromium-headless-shell", "chromium", "chromium-browser"),
    *("google-chrome", "google-chrome-stable", "microsoft-edge"),
)
LOAD_MILLISECONDS: Final = 30_000


def find_browser(path: str | None) -> str:
    """Return the path of the Chromium to use: `path`, else TONADA_BROWSER, else an installed one.

    Raises InputError where there is none.
    """
    wanted = path or os.environ.get(VARIABLE)
    if wanted:
        found = shutil.which(wanted)
        if found is None:
            raise InputError(f"There is no browser at “{wanted[:120]}”.", field="browser")
        return found
    installed = next((path for name in _NAMES if (path := shutil.which(name))), None)
    if installed is None:
        raise InputError(
            f"No Chromium was found. Install one, or name it by --browser or {VARIABLE}.", field="browser"
        )
    return installed


@contextmanager
def open_browser(path: str, names: Sequence[str] = ()) -> Iterator[Browser]:
    """Start a browser without a window, and end it afterwards. Raises InputError without Playwright.

    names: of the pages that are to be opened; it finds no other host than those of their addresses.
    """
    try:
        from playwright.sync_api import Error, sync_playwright
    except ImportError:
        raise InputError(
            "Rendered pages need Playwright: pip install 'tonada[render]'.", field="render"
        ) from None
    # As root, Chromium has no sandbox to run in.
    flags = ["--no-sandbox"] if os.geteuid() == 0 else []
    with sync_playwright() as playwright:
        try:
            hosts = sorted({urlsplit(name).hostname or "" for name in names if is_address(name)})
            rules = ", ".join(["MAP * ~NOTFOUND", *(f"EXCLUDE {host}" for host in hosts)])
            flags += [f"--host-resolver-rules={rules}", "--disable-lcd-text", "--force-color-profile=srgb"]
            browser = playwright.chromium.launch(executable_path=path, args=flags)
        except Error as reason:
            said = str(reason).splitlines()[0][:200]
            raise InputError(f"The browser doesn't start: {said}", field="browser") from None
        try:
            yield browser
        finally:
            browser.close()


def address_of(name: str) -> str:
    """Return the address of a page: an http address unchanged, or the file: address of a path."""
    return name if is_address(name) else Path(name).resolve().as_uri()


def is_address(name: str) -> bool:
    return name.startswith(("http://", "https://"))


def load(page: Page, name: str) -> None:
    """Open a page, its fonts loaded and nothing moving. Raises InputError where it can't be opened."""
    from playwright.sync_api import Error

    address = address_of(name)
    page.route("**/*", lambda route: _keep_at_home(route, address))
    try:
        page.goto(address, wait_until="load", timeout=LOAD_MILLISECONDS)
    except Error as reason:
        said = str(reason).splitlines()[0].removeprefix("Page.goto: ")[:200]
        raise InputError(f"{name} can't be opened: {said}", field="files") from None
    page.evaluate("() => document.fonts.ready.then(() => true)")


def _keep_at_home(route: Route, address: str) -> None:
    """Let a page load only from where it came: files next to a file, or the same origin for an address."""
    wanted, own = urlsplit(route.request.url), urlsplit(address)
    is_own = wanted.scheme in ("data", "blob", "about") or (
        wanted.scheme == own.scheme and wanted.netloc == own.netloc
    )
    if is_own:
        route.continue_()
    else:
        route.abort()
