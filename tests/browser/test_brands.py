"""The list of brands in a real browser: made from a dropped logo, found, put away, brought back."""

from __future__ import annotations

import re

import pytest
from playwright.sync_api import Page, expect

from tests.browser.axe import ALL_RULES, axe_findings
from tests.browser.conftest import make_brand, open_demo
from tests.takes import TAKE
from tonada.demo.seed import demo_file
from tonada.document.own_file import NamedPicture, OwnFile, write_own

PICTURE = NamedPicture(source="elsewhere", name="sun.svg", digest="a" * 64)
DROP = """async ([name, content]) => {
  const transfer = new DataTransfer()
  transfer.items.add(new File([content], name, { type: 'image/svg+xml' }))
  for (const kind of ['dragenter', 'dragover', 'drop'])
    document.body.dispatchEvent(
      new DragEvent(kind, { dataTransfer: transfer, bubbles: true, cancelable: true }))
}"""


def drop(page: Page, name: str, content: str) -> None:
    page.evaluate(DROP, [name, content])


def test_a_dropped_logo_makes_the_brand_and_reads_it(page: Page) -> None:
    page.goto("/")
    page.get_by_role("link", name="Orrin Peak Observatory").wait_for()
    drop(page, "hollow-reed_logo-v2.svg", demo_file("peak-logo.svg").decode())
    expect(page.get_by_role("heading", name="Hollow reed")).to_be_visible()
    expect(page.get_by_role("button", name="Build the palette")).to_be_visible()
    page.goto("/")
    card = page.get_by_role("article").filter(has_text="Hollow reed")
    expect(card.get_by_text("No palette yet")).to_be_visible()
    expect(card.locator("img")).to_have_attribute("src", re.compile("^/api/sources/"))


def test_a_file_that_is_no_picture_leaves_no_brand_behind(page: Page) -> None:
    page.goto("/")
    page.get_by_role("link", name="Orrin Peak Observatory").wait_for()
    drop(page, "broken.svg", "<svg")
    expect(page.get_by_role("alert")).to_be_visible()
    page.reload()
    page.get_by_role("link", name="Orrin Peak Observatory").wait_for()
    expect(page.get_by_role("article")).to_have_count(3)


@pytest.mark.detail(3)
def test_brands_are_found_renamed_duplicated_and_come_back(page: Page) -> None:
    page.goto("/")
    cards = page.get_by_role("article")
    expect(cards).to_have_count(3)
    assert axe_findings(page) == []
    page.get_by_label("Find a brand").fill("kayak")
    expect(cards).to_have_count(1)
    menu = page.get_by_role("button", name="Options for Saltmarsh Kayak School")
    menu.click()
    page.get_by_role("menuitem", name="Duplicate").click()
    expect(cards).to_have_count(2)
    page.get_by_role("button", name="Options for Saltmarsh Kayak School (copy)").click()
    page.get_by_role("menuitem", name="Rename").click()
    page.get_by_label("New name").fill("Kayak, winter")
    page.keyboard.press("Enter")
    expect(page.get_by_role("link", name="Kayak, winter")).to_be_visible()
    page.get_by_role("button", name="Options for Kayak, winter").click()
    page.get_by_role("menuitem", name="Delete").click()
    expect(page.get_by_role("alert")).to_contain_text("Kayak, winter was deleted")
    expect(cards).to_have_count(1)
    page.reload()
    page.get_by_role("radio", name="Deleted").click()
    page.get_by_role("button", name="Options for Kayak, winter").click()
    page.get_by_role("menuitem", name="Restore").click()
    expect(page.get_by_text("No deleted brands.")).to_be_visible()
    page.get_by_role("radio", name="At work").click()
    page.get_by_role("button", name="Options for Kayak, winter").click()
    page.get_by_role("menuitem", name="Archive").click()
    page.get_by_role("alert").get_by_role("button", name="Restore").click()
    expect(page.get_by_role("link", name="Kayak, winter")).to_be_visible()
    page.get_by_role("link", name="Kayak, winter").click()
    expect(page.get_by_test_id("roles-made")).to_be_visible()


@pytest.mark.detail
def test_other_starts_open_their_form(page: Page) -> None:
    page.goto("/")
    page.get_by_label("Name of the new brand").fill("Ferry")
    page.get_by_role("button", name="a mood").click()
    expect(page.get_by_role("dialog")).to_contain_text(re.compile("mood", re.IGNORECASE))
    expect(page).to_have_url(re.compile(r"/source$"))
    page.goto("/")
    page.get_by_role("button", name="one colour or a list").click()
    expect(page.get_by_label("Colours", exact=True)).to_be_visible()


@pytest.mark.detail
def test_a_deleted_take_comes_back_after_a_reload(page: Page) -> None:
    open_demo(page, take="Take 2")
    page.get_by_role("button", name="Options for this take").click()
    page.get_by_role("menuitem", name="Delete", exact=True).click()
    expect(page.get_by_role("alert")).to_contain_text("Take 2 was deleted")
    page.reload()
    expect(page.get_by_role("navigation", name="Takes").get_by_role("link", name="Take 2")).to_have_count(0)
    page.get_by_role("button", name="Options for this take").click()
    page.get_by_role("menuitem", name="Deleted takes").click()
    assert axe_findings(page, ALL_RULES[:-1]) == []
    page.get_by_role("button", name="Restore: Take 2").click()
    expect(page.get_by_role("navigation", name="Takes").get_by_role("link", name="Take 2")).to_be_visible()


@pytest.mark.detail
def test_the_six_steps_stand_where_nothing_is_yet(page: Page) -> None:
    make_brand(page, "Empty")
    steps = page.get_by_role("region", name="How it works").get_by_role("listitem")
    expect(steps).to_have_count(6)
    assert axe_findings(page) == []


@pytest.mark.detail
def test_what_a_word_means_is_one_key_away(page: Page) -> None:
    open_demo(page)
    page.keyboard.press("w")
    sheet = page.get_by_role("dialog", name="Words")
    expect(sheet).to_contain_text("One alternative palette for a brand.")
    sheet.get_by_label("Find a word").fill("mend")
    expect(sheet.get_by_role("term")).to_have_text(["Held", "Mend"])
    page.keyboard.press("Escape")
    expect(sheet).to_have_count(0)


@pytest.mark.detail
def test_the_address_of_a_deleted_brand_offers_to_bring_it_back(page: Page) -> None:
    open_demo(page)
    address = page.url
    page.goto("/")
    page.get_by_role("button", name="Options for Orrin Peak Observatory").click()
    page.get_by_role("menuitem", name="Delete").click()
    expect(page.get_by_role("alert")).to_contain_text("was deleted")
    page.goto(address)
    expect(page.get_by_text("This brand was deleted.")).to_be_visible()
    page.get_by_role("button", name="Restore").click()
    expect(page.get_by_test_id("roles-made")).to_be_visible()


def test_a_brand_is_downloaded_and_opened_again(page: Page) -> None:
    page.goto("/")
    page.get_by_role("button", name="Options for Orrin Peak Observatory").click()
    with page.expect_download() as waiting:
        page.get_by_role("menuitem", name="Download as a file").click()
    assert waiting.value.suggested_filename == "Orrin Peak Observatory.tonada.zip"
    archive = waiting.value.path()
    page.get_by_test_id("own-file").set_input_files(archive)
    page.wait_for_url("**/roles")
    expect(page.get_by_role("heading", name="Orrin Peak Observatory")).to_be_visible()
    page.goto("/")
    expect(page.get_by_role("link", name="Orrin Peak Observatory", exact=True)).to_have_count(2)
    broken = {"name": "a.tonada.zip", "mimeType": "application/zip", "buffer": archive.read_bytes()[:900]}
    page.get_by_test_id("own-file").set_input_files([broken])
    expect(page.get_by_role("alert")).to_contain_text("can’t be unpacked. Nothing was taken in.")
    expect(page.get_by_role("link", name="Orrin Peak Observatory", exact=True)).to_have_count(2)


def test_a_take_opens_from_its_file_beside_others(page: Page) -> None:
    own = write_own(OwnFile(TAKE, "Elsewhere", "Take 1", pictures=(PICTURE,)))
    open_demo(page, step="harmony")
    file = {"name": "a.tonada.json", "mimeType": "application/json", "buffer": own.encode()}
    page.get_by_test_id("take-file").set_input_files([file])
    page.wait_for_url("**/roles")
    takes = page.get_by_role("navigation", name="Takes")
    expect(takes.get_by_role("link", name="Take 1 (2)")).to_be_visible()
    expect(page.get_by_role("alert").filter(has_text="aren’t here: sun.svg")).to_be_visible()
    expect(page.get_by_test_id("measure")).to_contain_text("#b6653a")
