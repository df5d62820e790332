"""Source in the browser: magnifier, fewer and more, parts, lists, old sites, moods, long readings."""

from __future__ import annotations

import re
from pathlib import Path

import pytest
from playwright.sync_api import Locator, Page, expect

from tests.browser.axe import ALL_RULES, axe_findings
from tests.browser.conftest import make_brand, open_demo
from tests.browser.saving import saved
from tests.browser.test_walk import LOGO, choose
from tests.web.test_sources import CSS, large_png
from tonada.demo.seed import demo_file


def found(page: Page) -> Locator:
    return page.get_by_test_id("found-colors").locator("li")


def row(page: Page, text: str) -> Locator:
    return found(page).filter(has_text=text)


def open_source(page: Page, name: str, brand: str = "Orrin Peak Observatory") -> None:
    open_demo(page, brand)
    page.get_by_role("button", name=name).first.click()
    expect(page.get_by_role("button", name=name).first).to_have_attribute("aria-pressed", "true")


@pytest.mark.detail(3)
def test_a_pixel_is_picked_with_the_pointer_and_becomes_a_swatch(page: Page) -> None:
    open_source(page, "dusk-ridge.jpg")
    box = page.get_by_test_id("loupe").bounding_box()
    assert box
    page.mouse.move(box["x"] + box["width"] / 2, box["y"] + box["height"] * 0.2)
    shown = page.get_by_test_id("loupe").locator(".value")
    expect(shown).to_have_text(re.compile("#[0-9a-f]{6}"))
    before = page.get_by_test_id("measure").locator("li").count()
    value = shown.inner_text()
    page.mouse.click(box["x"] + box["width"] / 2, box["y"] + box["height"] * 0.2)
    expect(row(page, value)).to_contain_text("picked")
    expect(row(page, value)).to_have_attribute("data-marked", "true")
    expect(row(page, value)).to_be_in_viewport()
    expect(page.get_by_test_id("measure").locator("li")).to_have_count(before + 1)
    saved(page, 2)
    page.get_by_role("button", name="Undo").click()
    expect(page.get_by_test_id("measure").locator("li")).to_have_count(before)
    row(page, value).get_by_role("button", name=re.compile("from this list")).click()
    expect(row(page, value)).to_have_count(0)


@pytest.mark.detail
def test_the_magnifier_walks_by_keyboard(page: Page) -> None:
    open_source(page, "peak-logo.svg")
    loupe = page.get_by_test_id("loupe")
    loupe.focus()
    status = loupe.get_by_role("status")
    expect(status).to_contain_text("column 800, row 800")
    page.keyboard.press("ArrowRight")
    expect(status).to_contain_text("column 801, row 800")
    page.keyboard.press("Shift+ArrowUp")
    expect(status).to_contain_text("column 801, row 790")
    swatches = page.get_by_test_id("measure").locator("li")
    before = swatches.count()
    page.keyboard.press("Enter")  # the snow isn't in the palette yet
    expect(swatches).to_have_count(before + 1)
    page.keyboard.press("Enter")
    expect(swatches).to_have_count(before + 1)
    page.get_by_role("button", name=re.compile("^Area that is averaged")).click()
    page.get_by_role("option", name="11 × 11 px average").click()
    loupe.focus()
    expect(loupe).to_contain_text("11 px")


@pytest.mark.detail
def test_fewer_and_more_without_uploading_again(page: Page) -> None:
    open_source(page, "dusk-ridge.jpg")
    usual = found(page).count()
    page.get_by_role("button", name="Fewer").click()
    expect(found(page)).to_have_count(usual - 1)
    page.get_by_role("button", name="More").click()
    expect(found(page)).to_have_count(usual)
    page.get_by_role("button", name="More").click()
    expect(found(page)).to_have_count(usual + 1)
    page.reload()
    page.get_by_role("button", name="dusk-ridge.jpg").first.click()
    expect(found(page)).to_have_count(usual + 1)


@pytest.mark.detail(3)
def test_a_part_is_read_by_pointer_and_by_keyboard(page: Page) -> None:
    open_source(page, "peak-logo.svg")
    page.get_by_role("radio", name="Select an area").click()
    area = page.get_by_test_id("region")
    box = area.bounding_box()
    assert box
    page.mouse.move(box["x"] + box["width"] * 0.6, box["y"] + box["height"] * 0.22)
    page.mouse.down()
    page.mouse.move(box["x"] + box["width"] * 0.8, box["y"] + box["height"] * 0.5, steps=4)
    page.mouse.up()
    expect(page.get_by_test_id("count")).to_have_text("Two colours found")
    page.get_by_role("button", name="Whole picture").click()
    expect(page.get_by_test_id("count")).to_have_text("Four colours found")
    area.focus()
    page.keyboard.press("Enter")
    expect(page.get_by_role("button", name="Whole picture")).to_be_visible()
    page.keyboard.press("Delete")
    expect(page.get_by_role("button", name="Whole picture")).to_have_count(0)


@pytest.mark.detail
def test_the_kind_is_overruled(page: Page) -> None:
    open_source(page, "dusk-ridge.jpg")
    page.get_by_role("button", name=re.compile("^Kind of picture")).click()
    page.get_by_role("option", name="Treat as flat artwork").click()
    expect(page.get_by_text("edge blends and noise left out")).to_be_visible()


@pytest.mark.detail
def test_a_color_of_another_source_takes_a_role_in_the_palette(page: Page) -> None:
    open_source(page, "dusk-ridge.jpg")
    value = found(page).nth(1).get_by_role("button", name=re.compile("Copy")).inner_text()
    choose(page, value, "Secondary")
    saved(page, 2)
    measure = page.get_by_test_id("measure")
    expect(measure.locator("li").filter(has_text="Secondary")).to_contain_text(value)
    choose(page, value, "Ignore")
    expect(page.get_by_role("alert")).to_contain_text("Give that role to another colour first.")
    page.get_by_role("button", name="Undo").click()
    expect(measure.locator("li").filter(has_text="Secondary")).to_contain_text("#b6653a")


def test_typed_and_pasted_colors_show_what_was_understood(page: Page) -> None:
    make_brand(page, "Typed")
    page.get_by_role("button", name="Type or paste colours").first.click()
    field = page.get_by_label("Colours", exact=True)
    field.fill("43 58 140")
    expect(page.get_by_test_id("understood")).to_contain_text("#2b3a8c")
    field.fill("nothing")
    expect(page.get_by_role("alert").filter(has_text="No colour was found")).to_be_visible()
    field.fill("Primary: #d7b13c\nneon: color(display-p3 0 1 0)\nAccent: #2b3a8c")
    expect(page.get_by_test_id("understood")).to_contain_text("outside sRGB")
    assert axe_findings(page) == []
    page.get_by_role("button", name="Keep as a source").click()
    expect(found(page)).to_have_count(3)
    expect(row(page, "#d7b13c")).to_contain_text("Primary")
    expect(row(page, "#2b3a8c")).to_contain_text("Accent")
    page.get_by_role("button", name="Build the palette").click()
    expect(page.get_by_test_id("measure")).to_contain_text("#d7b13c")
    # The names of a list are the swatches' names, but for those that say a role.
    measure = page.get_by_test_id("measure")
    expect(measure.get_by_role("button", name=re.compile("Secondary: neon, #"))).to_be_visible()
    expect(measure.get_by_role("button", name=re.compile("Primary: (?!Primary)"))).to_be_visible()


@pytest.mark.detail
def test_text_pasted_anywhere_opens_the_sheet(page: Page) -> None:
    open_demo(page)
    page.evaluate(
        """text => {
          const clipboardData = new DataTransfer()
          clipboardData.setData('text/plain', text)
          window.dispatchEvent(new ClipboardEvent('paste', { clipboardData }))
        }""",
        "Comet #d7b13c",
    )
    expect(page.get_by_label("Colours", exact=True)).to_have_value("Comet #d7b13c")
    expect(page.get_by_test_id("understood")).to_contain_text("Comet")


@pytest.mark.detail
def test_an_old_stylesheet_is_grouped_and_its_weak_pairs_listed(page: Page, tmp_path: Path) -> None:
    make_brand(page, "Old site")
    file = tmp_path / "site.css"
    file.write_bytes(CSS)
    page.get_by_test_id("first-file").set_input_files(file)
    expect(page.get_by_text("Five colours in use")).to_be_visible()
    before = found(page).count()
    page.get_by_role("slider").fill("0")
    expect(found(page)).to_have_count(5)
    assert before < 5
    page.get_by_role("tab", name=re.compile("in one rule")).click()
    expect(page.get_by_test_id("rule-pairs").locator("li").first).to_contain_text("Short for body text")
    assert axe_findings(page) == []


@pytest.mark.detail
def test_a_mood_leads_to_a_palette(page: Page) -> None:
    make_brand(page, "Mood")
    page.get_by_role("button", name="Start from a mood").first.click()
    words = page.get_by_role("group", name="Words, up to three")
    for word in ("calm", "fresh", "honest"):
        words.get_by_role("button", name=word).click()
    expect(words.get_by_role("button", name="bold")).to_be_disabled()
    assert axe_findings(page) == []
    page.get_by_role("button", name="Show colours").click()
    expect(page.get_by_text("What people expect")).to_be_visible()
    page.get_by_role("button", name="Build the palette").click()
    saved(page, 2)


@pytest.mark.detail
def test_a_source_is_renamed_removed_and_brought_back(page: Page) -> None:
    open_source(page, "old-page.png", "Saltmarsh Kayak School")
    page.get_by_role("button", name="Options for old-page.png").click()
    page.get_by_role("menuitem", name="Rename").click()
    page.get_by_label("New name").fill("The old page")
    page.get_by_role("button", name="Rename").click()
    page.get_by_role("button", name="Options for The old page").click()
    page.get_by_role("menuitem", name="Remove").click()
    expect(page.get_by_text("The old page was removed")).to_be_visible()
    page.get_by_role("button", name="Restore").click()
    expect(page.get_by_role("button", name="The old page").first).to_be_visible()


def test_a_long_reading_shows_progress_and_is_cancelled(page: Page, tmp_path: Path) -> None:
    make_brand(page, "Long")
    file = tmp_path / "large.png"
    file.write_bytes(large_png())
    page.get_by_test_id("first-file").set_input_files(file)
    page.get_by_role("button", name="Cancel").click()
    expect(page.get_by_role("button", name="Cancel")).to_have_count(0)
    expect(page.get_by_text("Start with the logo")).to_be_visible()
    page.get_by_test_id("first-file").set_input_files(file)
    expect(found(page)).to_have_count(2, timeout=60_000)


@pytest.mark.detail
@pytest.mark.parametrize("name", ["dusk-ridge.jpg", "old-site.css"])
def test_axe_finds_nothing_on_any_kind_of_source(page: Page, name: str) -> None:
    open_source(page, name)
    assert axe_findings(page) == []


@pytest.mark.detail
def test_many_files_and_long_names_keep_the_view_in_shape(page: Page) -> None:
    make_brand(page, "A brand with a name that goes on and on until it is as long as names may be " * 1)
    name = "a-file-with-a-name-that-nobody-would-read-to-its-end-" * 3 + ".svg"
    for number in range(6):
        page.get_by_test_id("any-file").set_input_files(
            {"name": f"{number}{name}", "mimeType": "image/svg+xml", "buffer": LOGO.encode()}
        )
        expect(page.get_by_role("button", name=re.compile("^Options for"))).to_have_count(number + 1)
    over = page.evaluate("document.documentElement.scrollWidth - innerWidth")
    assert over == 0
    expect(page.get_by_role("button", name="Start from a mood")).to_be_in_viewport()


@pytest.mark.detail(3)
def test_a_changed_logo_stands_beside_the_old_one_and_moves_what_is_wanted(page: Page) -> None:
    open_demo(page)
    page.get_by_role("button", name="Options for peak-logo.svg").click()
    changed = demo_file("peak-logo.svg").decode().replace("#2b3a8c", "#3a2b8c").replace("#d7b13c", "#e7c14c")
    page.get_by_role("menuitem", name="Replace its file").click()
    page.get_by_test_id("replacement").set_input_files(
        {"name": "peak-logo-2.svg", "mimeType": "image/svg+xml", "buffer": changed.encode()}
    )
    dialog = page.get_by_role("dialog")
    rows = dialog.get_by_test_id("beside").locator("tbody tr")
    expect(rows.filter(has_text="#2b3a8c")).to_contain_text("#3a2b8c")
    expect(rows.filter(has_text="#b6653a")).to_contain_text("unchanged")
    assert axe_findings(page, ALL_RULES[:-1]) == []
    dialog.get_by_role("checkbox", name="Accent moves").uncheck()
    dialog.get_by_role("button", name="Replace it").click()
    measure = page.get_by_role("region", name="The measure")
    expect(measure).to_contain_text("#3a2b8c")
    expect(measure).to_contain_text("#d7b13c")
    expect(page.get_by_role("button", name="peak-logo-2.svg", exact=False).first).to_be_visible()
    expect(page.get_by_role("alert")).to_contain_text("peak-logo.svg was removed")
    page.get_by_role("button", name="Undo").click()
    expect(measure).to_contain_text("#2b3a8c")


@pytest.mark.detail
def test_a_replacement_that_is_cancelled_leaves_no_trace(page: Page) -> None:
    open_demo(page)
    cards = page.get_by_role("button", name=re.compile("^Options for .*\\.(svg|jpg|css)$"))
    expect(cards).to_have_count(3)
    page.get_by_role("button", name="Options for peak-logo.svg").click()
    page.get_by_role("menuitem", name="Replace its file").click()
    page.get_by_test_id("replacement").set_input_files(
        {"name": "same.svg", "mimeType": "image/svg+xml", "buffer": demo_file("peak-logo.svg")}
    )
    page.get_by_role("dialog").get_by_role("button", name="Cancel").click()
    expect(page.get_by_role("dialog")).to_have_count(0)
    expect(cards).to_have_count(3)
    expect(page.get_by_role("button", name="Undo")).to_be_disabled()


@pytest.mark.detail
def test_the_handle_of_what_stands_together_is_where_its_number_says(page: Page) -> None:
    open_source(page, "old-site.css")
    page.reload()
    slider = page.get_by_label("Group colours closer than")
    expect(slider).to_be_visible()
    number = page.locator("label", has=slider).locator(".value")
    expect(number).not_to_have_text("0.000")
    assert float(slider.input_value()) == float(number.inner_text())
