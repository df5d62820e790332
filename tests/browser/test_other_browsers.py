"""Firefox and WebKit: colours are seen with other eyes there too, on the page and in its frame, by pixels."""

from __future__ import annotations

import base64
import io
from collections.abc import Callable
from contextlib import AbstractContextManager
from typing import Any

import numpy as np
import pytest
from PIL import Image
from playwright.sync_api import Page

from tests.browser.other_browsers import OtherBrowser, firefox, until, webkit
from tests.browser.servers import Server
from tonada.core.color.spaces import hex_to_srgb8, linear_to_srgb, srgb_to_linear
from tonada.core.sight.vision import sight_matrix

PRIMARY = "#2b3a8c"
# Where the first cell of the measure is, and the section of the page that is on Primary.
PLACES = """(() => {
  const box = document.querySelector('[data-role="primary"] button').getBoundingClientRect()
  const frame = document.querySelector('iframe')
  const outer = frame.getBoundingClientRect()
  const inner = frame.contentDocument.querySelector('[data-ground="primary"]').getBoundingClientRect()
  const scale = outer.width / frame.clientWidth
  return [box.left + 12, box.top + 12, outer.left + (inner.left + 6) * scale,
          outer.top + (inner.top + 6) * scale, window.devicePixelRatio]
})()"""


def seen(value: str) -> np.ndarray:
    """What the server's matrix makes of a colour, in 8 bits."""
    linear = srgb_to_linear(hex_to_srgb8(value) / 255)
    return np.round(np.clip(linear_to_srgb(sight_matrix("deutan", 1.0) @ linear), 0, 1) * 255)


def pixels(browser: OtherBrowser) -> tuple[np.ndarray, np.ndarray]:
    left, top, frame_left, frame_top, ratio = browser.run(f"return {PLACES}")
    image: Image.Image = browser.picture()
    at = [(int(x * ratio), int(y * ratio)) for x, y in ((left, top), (frame_left, frame_top))]
    first, second = (np.array(image.getpixel(place)) for place in at)
    return first, second


def open_home_page(browser: OtherBrowser, server: Server) -> None:
    """Open the demo brand's home page in Proof."""
    link = "[...document.links].find(one => one.innerText.includes('Orrin'))"
    browser.open(server.url)
    until(browser, link)
    take = browser.run(f"return {link}.href").rpartition("/")[0]
    browser.open(f"{take}/proof/home")


def sees_with_other_eyes(browser: OtherBrowser, server: Server) -> None:
    open_home_page(browser, server)
    until(browser, "document.querySelector('iframe')?.contentDocument?.querySelector('[data-part]')")
    until(browser, "document.querySelector('[data-role=primary] button')")
    typical = pixels(browser)
    for found in typical:
        assert np.abs(found - hex_to_srgb8(PRIMARY).astype(int)).max() <= 2
    browser.run("document.querySelector('.sight button').click()")
    until(browser, "document.querySelector('.sight [role=option]')")
    browser.run(
        "[...document.querySelectorAll('.sight [role=option]')]"
        ".find(one => one.innerText.startsWith('Deutan')).click()"
    )
    until(browser, "document.documentElement.classList.contains('is-filtered')")
    until(browser, "document.querySelector('iframe').contentDocument.querySelector('#sight')")
    expected = seen(PRIMARY)
    assert np.abs(expected - hex_to_srgb8(PRIMARY).astype(int)).max() > 8
    for found in pixels(browser):
        assert np.abs(found - expected).max() <= 3, (found, expected)


class Chromium:
    """The page of the other tests, looked at in the same way."""

    def __init__(self, page: Page) -> None:
        self._page = page

    def open(self, url: str) -> None:
        self._page.goto(url)

    def run(self, script: str) -> Any:
        return self._page.evaluate(f"() => {{ {script} }}")

    def picture(self) -> Image.Image:
        return Image.open(io.BytesIO(self._page.screenshot())).convert("RGB")


def test_chromium_sees_the_same(server: Server, page: Page) -> None:
    sees_with_other_eyes(Chromium(page), server)


# The drivers are those of other projects, and warn of what they do themselves.
@pytest.mark.long
@pytest.mark.filterwarnings("ignore::DeprecationWarning", "ignore::ResourceWarning")
@pytest.mark.parametrize("launch", [firefox, webkit])
def test_other_eyes_see_the_page_and_its_frame(
    server: Server, launch: Callable[[], AbstractContextManager[OtherBrowser]]
) -> None:
    with launch() as browser:
        sees_with_other_eyes(browser, server)


HEADING = "document.querySelector('[data-testid=stage] iframe')?.contentDocument?.querySelector('h1')"
# Left, right, top and bottom of the heading's letters, in pixels of the page.
LETTERS = f"""
  const heading = {HEADING}
  const range = heading.ownerDocument.createRange()
  range.selectNodeContents(heading)
  const boxes = [...range.getClientRects()]
  const y = heading.ownerDocument.defaultView.scrollY
  return [Math.min(...boxes.map(one => one.left)), Math.max(...boxes.map(one => one.right)),
          Math.min(...boxes.map(one => one.top)) + y, Math.max(...boxes.map(one => one.bottom)) + y]"""
KEEP_THE_PICTURE = """
  const make = URL.createObjectURL
  URL.createObjectURL = blob => {
    const reader = new FileReader()
    reader.onload = () => { window.kept = reader.result }
    reader.readAsDataURL(blob)
    return make.call(URL, blob)
  }"""


def press(browser: OtherBrowser, selector: str, text: str) -> None:
    found = f"[...document.querySelectorAll('{selector}')].find(one => one.textContent.trim() === '{text}')"
    until(browser, found)
    browser.run(f"{found}.click()")


@pytest.mark.long
@pytest.mark.filterwarnings("ignore::DeprecationWarning", "ignore::ResourceWarning")
@pytest.mark.parametrize("launch", [firefox, webkit])
def test_a_picture_of_a_page_is_set_in_its_typeface(
    server: Server, launch: Callable[[], AbstractContextManager[OtherBrowser]]
) -> None:
    """Another typeface would be wider or narrower than the letters on the page."""
    with launch() as browser:
        open_home_page(browser, server)
        until(browser, f"{HEADING}?.ownerDocument.fonts.status === 'loaded'")
        browser.run(KEEP_THE_PICTURE)
        press(browser, "button", "Options")
        press(browser, "[role=menuitem]", "Picture, PNG at 1x")
        until(browser, "window.kept")
        data = browser.run("return window.kept")
        left, right, top, bottom = browser.run(LETTERS)
        picture = Image.open(io.BytesIO(base64.b64decode(data.partition(",")[2]))).convert("RGB")
        cut = np.array(picture.crop((int(left) - 20, int(top), int(right) + 60, int(bottom)))).astype(int)
        ground = cut[0, 0]
        columns = np.flatnonzero((np.abs(cut - ground).max(axis=2) > 60).any(axis=0))
        # Letters begin and end a little within their boxes.
        assert columns[0] == pytest.approx(20, abs=6)
        assert columns[-1] == pytest.approx(right - left + 20, abs=6)


LOGO = (
    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100">'
    '<rect width="100" height="100" fill="#fff"/>'
    '<circle cx="50" cy="50" r="40" fill="#2b3a8c"/><circle cx="70" cy="34" r="12" fill="#d7b13c"/></svg>'
)
# A file as a person's choice would put it there.
CHOOSE_THE_LOGO = f"""
  const picker = document.querySelector('[data-testid=first-file]')
  const files = new DataTransfer()
  files.items.add(new File([{LOGO!r}], 'peak.svg', {{ type: 'image/svg+xml' }}))
  picker.files = files.files
  picker.dispatchEvent(new Event('change', {{ bubbles: true }}))"""
KEEP_THE_FILE = """
  const save = HTMLAnchorElement.prototype.click
  HTMLAnchorElement.prototype.click = function () {
    if (!this.hasAttribute('download')) return save.call(this)
    void fetch(this.href).then(answer => answer.text()).then(text => { window.kept = text })
  }"""
SAVED = "document.querySelector('[data-testid=save-state]')?.dataset.state === 'saved'"
NOTE = (
    "[...document.querySelectorAll('[data-testid=stave] [aria-roledescription=note]')]"
    ".find(one => !one.getAttribute('aria-valuetext').endsWith('held'))"
)


def middle_of(browser: OtherBrowser, selector: str) -> tuple[float, float]:
    x, y = browser.run(
        f"const box = {selector}.getBoundingClientRect();"
        "return [box.x + box.width / 2, box.y + box.height / 2]"
    )
    return x, y


def click(browser: OtherBrowser, selector: str) -> None:
    """With the pointer: what is copied asks for a person's own click."""
    until(browser, selector)
    browser.run(f"{selector}.scrollIntoView({{ block: 'center' }})")
    place = middle_of(browser, selector)
    browser.drag(place, place)


@pytest.mark.long
@pytest.mark.filterwarnings("ignore::DeprecationWarning", "ignore::ResourceWarning")
@pytest.mark.parametrize("launch", [firefox, webkit])
def test_from_a_file_to_a_stylesheet(
    server: Server, launch: Callable[[], AbstractContextManager[OtherBrowser]]
) -> None:
    with launch() as browser:
        browser.open(server.url)
        name = "document.querySelector('form input:not([type=file])')"
        until(browser, name)
        browser.run(
            f"{name}.value = 'Elsewhere'; {name}.dispatchEvent(new Event('input', {{ bubbles: true }}))"
        )
        press(browser, "button", "New brand with only a name")
        until(browser, "document.querySelector('[data-testid=first-file]')")
        browser.run(CHOOSE_THE_LOGO)
        press(browser, "button", "Build the palette")
        until(browser, f"document.querySelectorAll('[data-testid=measure] li').length > 5 && {SAVED}")

        press(browser, "nav a", "Harmony")
        until(browser, NOTE)
        before = browser.run(f"return {NOTE}.getAttribute('aria-valuetext')")
        x, y = middle_of(browser, NOTE)
        browser.drag((x, y), (x + 120, y - 30))
        until(browser, f"{NOTE}.getAttribute('aria-valuetext') !== {before!r} && {SAVED}")

        press(browser, "nav a", "Handoff")
        click(browser, "document.querySelector('[data-testid=values] button')")
        until(
            browser,
            "[...document.querySelectorAll('[role=status]')].some(one => /copied/.test(one.innerText))",
        )
        press(browser, "[role=radio]", "Files")
        browser.run(KEEP_THE_FILE)
        press(browser, "button", "Download")
        until(browser, "window.kept")
        assert "--primary: #2b3a8c;" in browser.run("return window.kept")
