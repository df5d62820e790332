"""The client's review in Firefox and WebKit, by a link and from a file: clients have any browser."""

from __future__ import annotations

from collections.abc import Callable
from contextlib import AbstractContextManager
from pathlib import Path

import pytest
from playwright.sync_api import Page

from tests.browser.other_browsers import OtherBrowser, firefox, until, webkit
from tests.browser.review import shown
from tests.browser.servers import Server

PARTS = "document.querySelector('iframe')?.contentDocument?.querySelector"
TYPE = """
const type = (field, text) => {
  field.value = text
  field.dispatchEvent(new Event('input', { bubbles: true }))
}
type(document.querySelector('textarea'), 'Said from here')
const name = document.querySelector('form input')
if (name) type(name, 'Ana')
"""


def says_something(browser: OtherBrowser, address: str) -> None:
    browser.open(address)
    part = f"{PARTS}(\"[data-part='Opening’s paragraph']\")"
    until(browser, part)
    touch = "dispatchEvent(new MouseEvent('click', { bubbles: true, cancelable: true }))"
    browser.run(f"{part}.{touch}")
    buttons = "[...document.querySelectorAll('button')]"
    until(browser, f"{buttons}.some(one => one.textContent.includes('Opening’s paragraph'))")
    browser.run(TYPE)
    until(browser, f"!{buttons}.find(one => one.textContent.trim() === 'Send').disabled")
    browser.run(f"{buttons}.find(one => one.textContent.trim() === 'Send').click()")
    said = "[...document.querySelectorAll('article')].some(one => one.textContent.includes('Said from here'))"
    until(browser, said)
    until(browser, f"{PARTS}('[data-marks] button')")


@pytest.mark.long
@pytest.mark.filterwarnings("ignore::DeprecationWarning", "ignore::ResourceWarning")
@pytest.mark.parametrize("launch", [firefox, webkit])
def test_a_client_with_another_browser_says_something(
    page: Page,
    server: Server,
    tmp_path: Path,
    launch: Callable[[], AbstractContextManager[OtherBrowser]],
) -> None:
    made = shown(page)
    file = tmp_path / "review.html"
    file.write_bytes(page.request.get(f"/api/reviews/{made['review']['id']}/file").body())
    with launch() as browser:
        says_something(browser, f"{server.url}{made['link']['path']}")
        says_something(browser, file.as_uri())
