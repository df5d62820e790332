"""A brand's own fonts: added in Proof, on the page at once, with the client, and in one file offline."""

from __future__ import annotations

from pathlib import Path

from playwright.sync_api import Browser, Frame, Page, expect

from tests.browser.axe import axe_violations
from tests.browser.conftest import open_demo
from tests.browser.review import client_page, offline_page, shown
from tests.browser.saving import revision, saved
from tests.browser.servers import Server
from tests.browser.test_own_texts import ARABIC, HEADING, letters_are_there, type_over
from tests.browser.test_placed_pictures import drawn_in
from tests.browser.test_voices import frame_of
from tests.fonts import ADVANCE, FAMILY, UNITS, font_file

NAME = "halden-regular.woff2"


def file_of(content: bytes, name: str = NAME) -> dict[str, object]:
    return {"name": name, "mimeType": "font/woff2", "buffer": content}


def add(page: Page, *files: dict[str, object]) -> None:
    page.get_by_role("tab", name="Type").click()
    page.get_by_test_id("font-file").set_input_files(list(files))


# A letter of the heading as it is drawn, as a share of its size.
MEASURE = """selector => {
  const heading = document.querySelector(selector)
  const one = document.createElement('span')
  one.textContent = 'iiiiiiiiii'
  one.style.display = 'inline-block'
  one.style.letterSpacing = '0'
  heading.append(one)
  const width = one.offsetWidth  // a review shows its pages at another scale
  const size = parseFloat(getComputedStyle(one).fontSize)
  one.remove()
  return width / size / 10
}"""


LOADED = "name => [...document.fonts].some(one => one.family.includes(name) && one.status === 'loaded')"
TRADE = '"Space Grotesk Variable", sans-serif'


def is_set_in_it(frame: Frame) -> None:
    """Every letter of this font has the same width, an “i” as well."""
    expect(frame.locator(HEADING)).to_have_css("font-family", f'"Own {FAMILY}", {TRADE}')
    frame.wait_for_function(LOADED, arg=FAMILY)
    assert abs(frame.evaluate(MEASURE, HEADING) - ADVANCE / UNITS) < 0.01


def test_a_font_is_on_the_page_at_once_and_can_be_taken_away_and_brought_back(page: Page) -> None:
    open_demo(page, step="proof")
    before, frame = revision(page), frame_of(page)
    add(page, file_of(font_file()), file_of(b"no font", "scan.pdf"))
    expect(page.get_by_role("alert")).to_contain_text("“scan.pdf” isn’t a font.")
    page.get_by_role("alert").get_by_role("button", name="Dismiss").click()
    saved(page, before + 1)
    is_set_in_it(frame)
    listed = page.get_by_role("region", name="Type")
    expect(listed).to_contain_text("Has no bold: browsers thicken it.")
    expect(listed).to_contain_text("Lacks ")
    assert axe_violations(page.main_frame) == []
    page.reload()
    frame = frame_of(page)
    is_set_in_it(frame)
    page.get_by_role("tab", name="Type").click()
    page.get_by_role("button", name=f"Remove {NAME}").click()
    expect(frame.locator(HEADING)).to_have_css("font-family", TRADE)
    page.get_by_text("Custom pairing").click()
    expect(listed).to_contain_text(f"{FAMILY} isn’t among this brand’s fonts")
    page.get_by_role("button", name="Restore").click()
    is_set_in_it(frame)
    # With the keyboard alone, for texts as well.
    page.get_by_role("button", name="Text font: The trade’s own").focus()
    page.keyboard.press("Enter")
    page.keyboard.type("Hald")
    page.keyboard.press("Enter")
    expect(page.get_by_role("button", name=f"Text font: {FAMILY}")).to_be_visible()
    page.get_by_role("button", name="Undo").click()
    expect(page.get_by_role("button", name="Text font: The trade’s own")).to_be_visible()


def test_a_client_sees_the_font_by_link_and_in_one_file_and_letters_that_it_lacks(
    page: Page, browser: Browser, server: Server, tmp_path: Path
) -> None:
    open_demo(page, step="proof")
    before, frame = revision(page), frame_of(page)
    add(page, file_of(font_file()))
    saved(page, before + 1)
    is_set_in_it(frame)
    type_over(page, frame, "Opening’s kicker", ARABIC)
    saved(page, before + 2)
    made = shown(page)

    def is_whole(seen: Frame) -> None:
        letters_are_there(seen, "Arab")
        family = seen.locator(HEADING).evaluate("one => getComputedStyle(one).fontFamily")
        assert family.startswith(f'"Own {FAMILY}", "Letters Arab sans", "Space Grotesk Variable"')
        seen.wait_for_function(LOADED, arg=FAMILY)
        assert abs(seen.evaluate(MEASURE, HEADING) - ADVANCE / UNITS) < 0.01

    with client_page(browser, server, made["review"] and made["link"]["path"]) as client:
        is_whole(drawn_in(client))
    with offline_page(page, browser, made, tmp_path) as outside:
        is_whole(drawn_in(outside))
