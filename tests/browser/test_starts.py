"""Ways to start, chosen by their pages; wishes as exchanges; and a logo that its header would hide."""

from __future__ import annotations

import re
from pathlib import Path

from playwright.sync_api import Page, expect

from tests.browser.axe import axe_findings
from tests.browser.conftest import make_brand
from tests.browser.saving import saved
from tests.browser.test_walk import choose

NAVY = (
    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 200 100"><circle cx="50" cy="50" r="40" '
    'fill="#102a5c"/><path d="M110 40h80v20h-80z" fill="#102a5c"/></svg>'
)
ACCENT = re.compile(r"Accent#[0-9a-f]{6}")


def type_colors(page: Page, text: str) -> None:
    make_brand(page, "Test Peak")
    page.get_by_role("button", name="Type or paste colours").first.click()
    page.get_by_role("dialog").get_by_role("textbox").fill(text)
    page.get_by_role("dialog").get_by_role("button", name=re.compile("^Keep")).click()


def accent_in(page: Page, part: str) -> str:
    found = ACCENT.search(page.get_by_test_id(part).inner_text().replace("\n", ""))
    assert found
    return found[0][-7:]


def test_one_colour_starts_in_three_ways_and_a_reload_knows_which_was_built(page: Page) -> None:
    type_colors(page, "#2b3a8c")
    starts = page.get_by_test_id("starts").get_by_role("radio")
    expect(starts).to_have_count(3)
    expect(page.get_by_test_id("starts").locator("iframe")).to_have_count(3)
    assert axe_findings(page) == []
    usual = accent_in(page, "roles-made")
    page.get_by_test_id("starts").get_by_role("radio", checked=True).focus()
    page.keyboard.press("ArrowRight")
    expect(page.get_by_test_id("roles-made")).not_to_contain_text(usual)
    calm = accent_in(page, "roles-made")
    page.get_by_role("button", name="Build the palette").click()
    saved(page, 2)
    expect(page.get_by_test_id("measure")).to_contain_text(calm)
    expect(page.get_by_role("button", name="Palette built")).to_be_disabled()
    page.reload()
    expect(page.get_by_role("button", name="Palette built")).to_be_disabled()
    expect(page.get_by_test_id("starts").get_by_role("radio", name="Calm")).to_be_checked()
    expect(page.get_by_test_id("roles-made")).to_contain_text(calm)


def test_a_role_that_is_wished_for_is_an_exchange(page: Page) -> None:
    type_colors(page, "#7b2d3a #c9a227 #7a2c38")
    # Two that a person would take for each other are said, also where one has no role.
    expect(page.get_by_test_id("alike")).to_contain_text("differ by less than 0.01")
    read = page.get_by_test_id("roles-read")
    expect(read).to_contain_text(re.compile("Primary.*#7b2d3a.*Accent.*#c9a227", re.DOTALL))
    choose(page, "#c9a227", "Primary")
    expect(read).to_contain_text(re.compile("Primary.*#c9a227.*Accent.*#7b2d3a", re.DOTALL))
    page.get_by_role("button", name="Build the palette").click()
    saved(page, 2)
    # The same in the palette that is built.
    choose(page, "#7b2d3a", "Primary")
    saved(page, 3)
    measure = page.get_by_test_id("measure")
    expect(measure.locator("li").filter(has_text="Primary")).to_contain_text("#7b2d3a")
    expect(measure.locator("li").filter(has_text="Accent")).to_contain_text("#c9a227")


def test_a_logo_that_a_dark_header_hides_is_said_and_helped(page: Page, tmp_path: Path) -> None:
    make_brand(page, "Concert hall")
    file = tmp_path / "navy.svg"
    file.write_text(NAVY)
    page.get_by_test_id("first-file").set_input_files(file)
    page.get_by_role("button", name="Build the palette").click()
    saved(page, 2)
    page.get_by_role("link", name="Proof").click()
    page.get_by_role("tab", name="Content").click()
    page.get_by_role("button", name=re.compile("^Logo")).click()
    page.get_by_role("option", name="navy.svg").click()
    page.get_by_role("tab", name="Element").click()
    frame = page.frame_locator("[data-testid=stage] iframe")
    # A concert hall's header is Deep by itself; this logo gets Paper.
    expect(frame.locator("[data-section=head]")).to_have_attribute("data-ground", "paper")
    expect(page.get_by_test_id("logo-notice")).to_have_count(0)
    page.get_by_role("tab", name="Grounds").click()
    page.get_by_role("region", name="Sections of Home").get_by_role("button").first.click()
    page.get_by_role("option", name="Deep").click()
    page.get_by_role("tab", name="Element").click()
    notice = page.get_by_test_id("logo-notice")
    expect(notice).to_contain_text("The logo can’t be seen on Deep")
    assert axe_findings(page) == []
    notice.get_by_role("button", name="In one colour").click()
    expect(frame.get_by_role("img", name="Concert hall")).to_have_css("mask-repeat", "no-repeat")
    notice.get_by_role("button", name="As it was drawn").click()
    notice.get_by_role("button", name="The ground on which").click()
    expect(frame.locator("[data-section=head]")).to_have_attribute("data-ground", "paper")
