"""Texts of a page that are typed over where they stand, in any script, as a client sees them too."""

from __future__ import annotations

import pytest
from playwright.sync_api import Browser, Frame, Page, expect

from tests.browser.axe import axe_violations
from tests.browser.conftest import open_demo
from tests.browser.review import client_page, shown
from tests.browser.review import frame_of as client_frame
from tests.browser.saving import revision, saved
from tests.browser.servers import Server
from tests.browser.test_voices import ask, frame_of, fresh_brand

HEADING = "[data-part='Opening’s heading']"
ARABIC, JAPANESE = "استيقظ والبحيرة في غرفتك", "湖と目覚める部屋"


def type_over(page: Page, frame: Frame, part: str, text: str, end: str = "Enter") -> None:
    frame.locator(f"[data-part='{part}']").dblclick()
    expect(frame.get_by_role("textbox", name=part)).to_be_focused()
    page.keyboard.insert_text(text)
    page.keyboard.press(end)


def letters_are_there(frame: Frame, script: str) -> None:
    """Wait until the letters were fetched and the heading is drawn with them."""
    frame.wait_for_function(
        "script => [...document.fonts].some(one => one.family.includes(`Letters ${script}`) "
        "&& one.status === 'loaded')",
        arg=script,
    )


def test_a_headline_is_typed_over_in_arabic_and_the_page_is_mirrored(page: Page) -> None:
    open_demo(page, step="proof")
    frame = frame_of(page)
    type_over(page, frame, "Opening’s heading", ARABIC)
    heading = frame.locator(HEADING)
    expect(heading).to_have_text(ARABIC)
    expect(heading).to_have_attribute("lang", "ar")
    expect(frame.locator("html")).to_have_attribute("dir", "rtl")
    letters_are_there(frame, "Arab")
    brand, button = (frame.locator(f"header {part}").first for part in (".logo, .brand, a", ".button"))
    assert button.bounding_box()["x"] < brand.bounding_box()["x"], "the head is mirrored"
    english = frame.locator("[data-part='Opening’s paragraph']")
    expect(english).to_have_attribute("lang", "en")
    expect(english).to_have_attribute("dir", "ltr")
    assert axe_violations(frame) == []
    type_over(page, frame, "Opening’s heading", "given up", end="Escape")
    expect(heading).to_have_text(ARABIC)
    saved(page, 2)
    page.get_by_role("button", name="Close").click()
    page.reload()
    frame = frame_of(page)
    expect(frame.locator(HEADING)).to_have_text(ARABIC)
    page.get_by_role("tab", name="Content").click()
    expect(page.get_by_label("Words", exact=True)).to_contain_text(
        "no such letters; Noto Sans Arabic draws them"
    )
    page.get_by_role("button", name="Reset all").click()
    expect(frame.locator("html")).to_have_attribute("dir", "ltr")
    expect(frame.locator(HEADING)).not_to_have_text(ARABIC)


@pytest.mark.detail
def test_with_the_keyboard_alone_a_text_is_typed_over_beside_the_page(page: Page) -> None:
    open_demo(page, step="proof")
    frame = frame_of(page)
    page.locator("summary", has_text="All elements").press("Enter")
    page.get_by_test_id("parts").get_by_role("button", name="Opening’s heading").press("Enter")
    page.get_by_test_id("own-words").fill(f"  {JAPANESE}\n ")
    page.keyboard.press("Tab")
    expect(frame.locator(HEADING)).to_have_text(JAPANESE)
    expect(frame.locator(HEADING)).to_have_attribute("lang", "ja")
    letters_are_there(frame, "Jpan")
    page.get_by_role("button", name="Reset", exact=True).press("Enter")
    expect(frame.locator(HEADING)).not_to_have_text(JAPANESE)
    usual = frame.locator(HEADING).inner_text()
    expect(page.get_by_test_id("own-words")).to_have_value(usual)


@pytest.mark.detail
def test_the_foot_says_the_same_on_every_page_and_so_do_other_takes(page: Page) -> None:
    brand, take = fresh_brand(page)
    document = ask(page, "GET", f"/api/takes/{take}")["document"]
    other = ask(page, "POST", f"/api/brands/{brand}/takes", {"document": document})["id"]
    page.goto(f"/brands/{brand}/takes/{take}/proof/home")
    frame = frame_of(page)
    type_over(page, frame, "Foot’s text", "Harbour Lane 3")
    expect(frame.locator("[data-part='Foot’s text']")).to_have_text("Harbour Lane 3")
    page.get_by_role("button", name="Say it in every take").click()
    expect(page.get_by_text("Said in one other take too.")).to_be_visible()
    page.goto(f"/brands/{brand}/takes/{other}/proof/article")
    frame = frame_of(page)
    foot = frame.locator("[data-part='Foot’s text']")
    expect(foot).to_have_text("Harbour Lane 3")
    foot.click()
    page.get_by_role("button", name="Reset in every take").click()
    expect(page.get_by_text("Taken back in one other take too.")).to_be_visible()
    expect(foot).not_to_have_text("Harbour Lane 3")


def test_a_client_sees_the_words_in_their_letters(page: Page, browser: Browser, server: Server) -> None:
    open_demo(page, step="proof")
    frame = frame_of(page)
    type_over(page, frame, "Opening’s heading", ARABIC)
    expect(frame.locator(HEADING)).to_have_text(ARABIC)
    saved(page, 2)
    review = shown(page)
    with client_page(browser, server, review["link"]["path"]) as client:
        seen = client_frame(client, "Midnight")
        expect(seen.locator(HEADING)).to_have_text(ARABIC)
        expect(seen.locator("html")).to_have_attribute("dir", "rtl")
        client.wait_for_function(
            "() => [...document.querySelectorAll('iframe')].some(one => [...one.contentDocument.fonts]"
            ".some(font => font.family.includes('Letters Arab') && font.status === 'loaded'))"
        )


def test_a_field_is_typed_into_and_keeps_it_as_its_value_or_its_hint(page: Page) -> None:
    open_demo(page, step="proof/form")
    frame = frame_of(page)
    fields = frame.locator("input[data-says]")
    names = fields.evaluate_all("all => all.map(one => [one.dataset.part, one.value !== ''])")
    filled = next(name for name, has_value in names if has_value)
    hinted = next(name for name, has_value in names if not has_value)
    before = revision(page)
    for done, (name, attribute) in enumerate(((filled, "value"), (hinted, "placeholder")), start=1):
        field = frame.locator(f'[data-part="{name}"]')
        field.fill("Mo, Di")
        field.press("Enter")
        saved(page, before + done)
        expect(field).to_have_attribute(attribute, "Mo, Di")
    expect(frame.locator(f'[data-part="{hinted}"]')).to_have_value("")
    page.reload()
    frame = frame_of(page)
    expect(frame.locator(f'[data-part="{filled}"]')).to_have_value("Mo, Di")
    frame.locator(f'[data-part="{hinted}"]').click()
    expect(page.get_by_label("Says")).to_have_value("Mo, Di")
