"""Handoff in a real browser: values copied, files downloaded and used, slots filled, styles recoloured."""

from __future__ import annotations

import re
from pathlib import Path

import pytest
from playwright.sync_api import Page, expect

from tests.browser.axe import axe_findings
from tests.browser.conftest import clipboard, copied, open_demo
from tests.browser.saving import saved
from tests.takes import TAKE
from tonada.files.client_sheet import ALL_PAGES, ExportHeader, html_sheet
from tonada.files.press_profile import usual_press


def open_part(page: Page, part: str, take: str = "Take 1") -> None:
    open_demo(page, take=take, step="handoff")
    page.get_by_role("radio", name=part).click()


@pytest.mark.detail(3)
def test_a_click_copies_a_value_in_the_notation_that_was_chosen(page: Page) -> None:
    open_part(page, "Values")
    values = page.get_by_test_id("values")
    values.get_by_role("button", name="Copy Primary, Link, #2b3a8c").click()
    copied(page, "#2b3a8c")
    page.get_by_role("button", name="Notation: #2b3a8c").click()
    page.get_by_role("option", name="43, 58, 140").click()
    values.get_by_role("button", name="Copy Primary, Link, 43, 58, 140").click()
    expect(values.get_by_text("copied")).to_be_visible()
    copied(page, "43, 58, 140")
    # The same from the measure, in any view; and every notation with the right button.
    page.get_by_role("link", name="Proof").click()
    cell = page.get_by_test_id("measure").get_by_role("button", name=re.compile("^Copy .*#b6653a"))
    cell.click()
    expect(page.get_by_test_id("measure").get_by_text("copied")).to_be_visible()
    copied(page, "182, 101, 58")
    cell.click(button="right")
    dialog = page.get_by_role("dialog")
    expect(dialog).to_contain_text("oklch(")
    expect(dialog).to_contain_text("CMYK")
    assert axe_findings(page) == []
    dialog.get_by_role("button", name=re.compile(r"^hsl\(")).click()
    assert clipboard(page, other_than="182, 101, 58").startswith("hsl(")


@pytest.mark.detail
def test_the_sheet_is_shown_as_it_is_printed_and_grows_by_wish(page: Page) -> None:
    open_part(page, "Files")
    page.get_by_role("button", name="PDF sheet").click()
    sheet = page.get_by_test_id("sheet")
    expect(sheet.get_by_role("img", name="Page 1 of the sheet")).to_be_visible(timeout=15_000)
    expect(sheet.get_by_role("status")).to_contain_text("One page")
    page.get_by_label("Tints and shades").check()
    page.get_by_label("Every pair with its ratio").check()
    expect(sheet.get_by_role("status")).to_contain_text("Three pages", timeout=15_000)
    expect(sheet.get_by_role("img")).to_have_count(3)
    assert axe_findings(page) == []


@pytest.mark.detail
def test_the_html_sheet_fits_a_phone(page: Page, tmp_path: Path) -> None:
    file = tmp_path / "sheet.html"
    head = ExportHeader("Ausschuss für Schiffbarmachung", "Take 1", "", version="version 4")
    file.write_text(html_sheet(TAKE, head, usual_press(), ALL_PAGES), encoding="utf-8")
    page.set_viewport_size({"width": 390, "height": 844})
    page.goto(file.as_uri())
    assert page.evaluate("document.documentElement.scrollWidth") == 390
    assert axe_findings(page) == []


def test_a_stylesheet_is_previewed_named_downloaded_and_works(page: Page) -> None:
    open_part(page, "Files")
    preview = page.get_by_test_id("preview")
    expect(preview).to_contain_text("--primary: #2b3a8c;")
    page.get_by_label("Prefix").fill("op")
    expect(preview).to_contain_text("--op-primary: #2b3a8c;")
    page.get_by_label("Tints and shades").check()
    expect(preview).to_contain_text("--op-primary: var(--op-night-indigo);")
    assert axe_findings(page) == []
    with page.expect_download() as started:
        page.get_by_role("button", name="Download").click()
    css = Path(started.value.path()).read_text(encoding="utf-8")
    assert started.value.suggested_filename == "orrin-peak-observatory-take-1.css"
    assert "/* version 1 */" in css
    page.evaluate(
        """css => { const sheet = new CSSStyleSheet(); sheet.replaceSync(css)
             document.adoptedStyleSheets = [sheet] }""",
        css,
    )
    read = "name => getComputedStyle(document.documentElement).getPropertyValue(name).trim()"
    assert page.evaluate(read, "--op-primary") == "#2b3a8c"
    day = page.evaluate(read, "--op-paper")
    page.emulate_media(color_scheme="dark")
    assert page.evaluate(read, "--op-paper") != day
    expect(page.get_by_role("heading", name="Version 1")).to_be_visible()


@pytest.mark.detail
def test_the_second_time_it_says_what_changed(page: Page) -> None:
    open_part(page, "Files")
    with page.expect_download():
        page.get_by_role("button", name="Download").click()
    expect(page.get_by_role("heading", name="Version 1")).to_be_visible()
    page.get_by_role("link", name="Harmony").click()
    page.get_by_role("slider", name="Success", exact=True).focus()
    for _ in range(5):
        page.keyboard.press("ArrowDown")
    saved(page, 2)
    page.get_by_role("link", name="Handoff").click()
    expect(page.get_by_role("heading", name="Not a version yet")).to_be_visible()
    page.get_by_role("radio", name="Files").click()
    page.get_by_role("button", name=re.compile("^PDF sheet")).click()
    with page.expect_download() as started:
        page.get_by_role("button", name="Download").click()
    assert Path(started.value.path()).read_bytes().startswith(b"%PDF-")
    page.get_by_role("radio", name="What changed").click()
    changes = page.get_by_role("region", name="Changes")
    expect(changes.get_by_role("button", name=re.compile("^From: version"))).to_contain_text("version 1")
    expect(page.get_by_test_id("changes")).to_contain_text("Success")


@pytest.mark.detail
def test_the_same_state_is_handed_off_as_the_same_version(page: Page) -> None:
    open_demo(page, step="roles")
    page.get_by_role("button", name="Add a role").click()
    page.get_by_role("menuitem", name="Accent 2").click()
    saved(page, 2)
    page.get_by_role("link", name="Handoff").click()
    page.get_by_role("radio", name="Files").click()
    for _ in range(2):
        with page.expect_download() as started:
            page.get_by_role("button", name="Download").click()
        # The first is what the demo's client was shown.
        assert "/* version 2 */" in Path(started.value.path()).read_text(encoding="utf-8")
    expect(page.get_by_role("heading", name="Version 2")).to_be_visible()


@pytest.mark.detail(3)
def test_slots_are_copied_one_after_the_other_with_one_key(page: Page) -> None:
    open_part(page, "Slot sheet")
    expect(page.get_by_test_id("current")).to_have_text("#f9fafd")
    # At once, with the focus where it is after choosing the part.
    page.keyboard.press("c")
    expect(page.get_by_test_id("progress")).to_have_text("1 of 5 copied")
    copied(page, "#f9fafd")
    page.keyboard.press("c")
    expect(page.get_by_role("region", name="Next slot")).to_contain_text("Slot 3 of 5")
    copied(page, "#e1e6f5")
    text = page.get_by_role("combobox", name="Colour of Text", exact=True)
    text.fill("accent")
    page.get_by_role("option", name="Accent", exact=True).click()
    expect(page.get_by_test_id("slots")).to_contain_text(
        "Text always stands on Background there: 1.96:1, where 4.5:1 is needed."
    )
    assert axe_findings(page) == []
    page.get_by_role("button", name="Undo").click()
    expect(page.get_by_test_id("slots")).not_to_contain_text("always stands")
    # A step by its name, and a value in any notation; letters that are typed copy nothing.
    text.fill("primary darker 2")
    text.press("Enter")
    expect(text).to_have_value("Primary darker 2")
    text.fill("rgb(10 20 30)")
    text.press("Enter")
    expect(page.get_by_role("button", name="Copy Text, #0a141e")).to_be_visible()
    text.fill("#nothing")
    text.press("Enter")
    expect(page.get_by_test_id("slots").get_by_role("alert")).to_be_visible()
    expect(page.get_by_test_id("progress")).to_have_text("2 of 5 copied")


@pytest.mark.detail
def test_a_slot_sheet_is_a_file_and_its_destination_stays(page: Page) -> None:
    open_part(page, "Slot sheet")
    page.get_by_role("button", name=re.compile("^Destination:")).click()
    page.get_by_role("option", name=re.compile("^Newsletter")).click()
    with page.expect_download() as started:
        page.get_by_role("button", name="CSV", exact=True).click()
    assert "Around the letter,second ground," in Path(started.value.path()).read_text(encoding="utf-8")
    page.reload()
    expect(page.get_by_role("button", name="Destination: Newsletter")).to_be_visible()


@pytest.mark.detail
def test_a_destination_of_ones_own_is_kept(page: Page) -> None:
    open_part(page, "Slot sheet")
    page.get_by_role("button", name="Duplicate").click()
    dialog = page.get_by_role("dialog")
    dialog.get_by_label("Name", exact=True).fill("The board’s slides")
    dialog.get_by_label("Name of slot 1").fill("Behind everything")
    dialog.get_by_role("button", name="Add a slot").click()
    assert axe_findings(page) == []
    dialog.get_by_role("button", name="Save").click()
    expect(page.get_by_test_id("slots").locator("li")).to_have_count(6)
    page.reload()
    page.get_by_role("button", name=re.compile("^Destination:")).click()
    page.get_by_role("option", name=re.compile("^The board’s slides")).click()
    expect(page.get_by_test_id("slots")).to_contain_text("Behind everything")
    page.get_by_role("button", name="Delete").click()
    page.get_by_role("button", name="Restore").click()
    page.get_by_role("button", name=re.compile("^Destination:")).click()
    expect(page.get_by_role("option", name=re.compile("^The board’s slides"))).to_be_visible()


@pytest.mark.detail
def test_an_old_stylesheet_is_recoloured(page: Page) -> None:
    open_part(page, "Recolour a stylesheet")
    # The one that is kept as a source is offered.
    expect(page.get_by_role("button", name="Stylesheet: old-site.css")).to_be_visible()
    expect(page.get_by_test_id("replaced")).to_contain_text("52 values replaced")
    lead = page.get_by_role("combobox", name="#2b3a8c becomes")
    expect(lead).to_have_value("Primary")
    lead.fill("secondary")
    page.get_by_role("option", name="Secondary", exact=True).click()
    page.get_by_text("Every line that changes").click()
    expect(page.get_by_test_id("diff")).to_contain_text("+a { color: #b6653a;")
    sample = page.frame_locator("iframe[data-testid=sample]")
    expect(sample.get_by_role("heading", name="A heading")).to_have_css("color", "rgb(182, 101, 58)")
    page.get_by_role("radio", name="Before").click()
    expect(sample.get_by_role("heading", name="A heading")).to_have_css("color", "rgb(43, 58, 140)")
    assert axe_findings(page) == []
    # What is chosen is kept with the take, and given back by one click.
    page.reload()
    expect(lead).to_have_value("Secondary")
    page.get_by_role("button", name="give #2b3a8c back to the rule").click()
    expect(lead).to_have_value("Primary")
    # A mend is a choice like any other.
    short = page.get_by_test_id("rules").inner_text()
    page.get_by_role("button", name=re.compile("^Use ")).first.click()
    expect(page.get_by_test_id("rules")).not_to_have_text(short)
    page.get_by_text("Every line that changes").click()
    page.get_by_role("radio", name="Custom properties").click()
    expect(page.get_by_test_id("diff")).to_contain_text("var(--primary)")
    with page.expect_download() as started:
        page.get_by_role("button", name="Save the new file").click()
    text = Path(started.value.path()).read_text(encoding="utf-8")
    assert text.startswith(":root {")
    assert "/* Orrin Peak Observatory, the site of some years ago" in text


@pytest.mark.detail
def test_a_stylesheet_is_added_and_kept_as_a_source(page: Page) -> None:
    open_part(page, "Recolour a stylesheet")
    with page.expect_file_chooser() as chooser:
        page.get_by_role("button", name="Another stylesheet…").click()
    rules = b".a { color: #fff; background: #2b3a8c } .b { color: #333; background: #fff } i { color: #c33 }"
    chooser.value.set_files({"name": "new.css", "mimeType": "text/css", "buffer": rules})
    expect(page.get_by_role("button", name="Stylesheet: new.css")).to_be_visible()
    expect(page.get_by_role("combobox", name="#2b3a8c becomes")).to_have_value("Primary")
    with page.expect_file_chooser() as chooser:
        page.get_by_role("button", name="Another stylesheet…").click()
    scss = b"$brand: #2b3a8c; .a { color: #fff; .b & { background: $brand } }"
    chooser.value.set_files({"name": "new.scss", "mimeType": "text/x-scss", "buffer": scss})
    expect(page.get_by_role("button", name="Stylesheet: new.scss")).to_be_visible()
    expect(page.get_by_role("combobox", name="#2b3a8c becomes")).to_have_value("Primary")
    page.get_by_role("link", name="Source").click()
    expect(page.get_by_role("button", name="new.css").first).to_be_visible()


@pytest.mark.long
def test_the_api_is_documented_from_its_own_document(page: Page) -> None:
    page.goto("/api/docs")
    expect(page.get_by_text("/api/evaluate", exact=True)).to_be_visible()
    expect(page.get_by_text("Colours in every notation, and in print")).to_be_visible()
    # A request that changes something can be tried: it carries the session's token.
    operation = page.locator(".opblock-post").filter(has_text="A new brand with one empty take")
    operation.locator(".opblock-summary-control").click()
    operation.get_by_role("button", name="Try it out").click()
    operation.locator("textarea").first.fill('{"name": "Tried"}')
    operation.get_by_role("button", name="Execute").click()
    expect(operation.locator(".live-responses-table .response .response-col_status").first).to_contain_text(
        "201"
    )
