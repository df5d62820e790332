"""The page beside every step: it follows, its parts choose, and what is pointed at is seen in it first."""

from __future__ import annotations

import re

import pytest
from playwright.sync_api import FrameLocator, Page, expect

from tests.browser.axe import axe_findings
from tests.browser.conftest import make_brand, open_demo
from tests.browser.saving import saved


def the_page(page: Page) -> FrameLocator:
    return page.frame_locator("[data-testid=page] iframe")


def heading_color(page: Page, color: str) -> None:
    heading = the_page(page).locator("[data-part='Offer 1, heading']")
    expect(heading).to_have_css("color", color)


def open_step(page: Page, step: str) -> None:
    open_demo(page)
    page.get_by_role("link", name=re.compile(f"^{step}")).click()


def test_the_proposal_is_seen_before_it_is_built(page: Page) -> None:
    make_brand(page, "Before")
    page.get_by_role("button", name="Type or paste colours").first.click()
    page.get_by_label("Colours", exact=True).fill("#7a1f3d\n#d7b13c")
    page.get_by_role("button", name="Keep as a source").click()
    page.get_by_role("tab", name="The page").click()
    heading_color(page, "rgb(122, 31, 61)")
    expect(page.get_by_text("the suggested start", exact=True)).to_be_visible()
    # Whichever leaf is open, it is built from here.
    page.get_by_role("button", name="Build the palette").click()
    saved(page, 2)


@pytest.mark.detail
def test_a_part_of_the_page_chooses_what_stands_behind_it(page: Page) -> None:
    open_step(page, "Harmony")
    the_page(page).get_by_role("heading", name="Come before dark").click()
    expect(page.get_by_role("tab", name="Swatch", exact=True)).to_have_attribute("aria-selected", "true")
    page.keyboard.press("Escape")
    expect(page.get_by_role("tab", name="The page")).to_have_attribute("aria-selected", "true")
    assert axe_findings(page) == []
    page.get_by_role("link", name="Roles").click()
    the_page(page).locator("[data-part='Offer 1, text']").click()
    expect(page.get_by_role("tab", name="Role", exact=True)).to_have_attribute("aria-selected", "true")
    expect(page.get_by_role("heading", name="Ink")).to_be_visible()
    page.get_by_role("link", name=re.compile("^Pairs")).click()
    page.get_by_role("tab", name="The page").click()
    the_page(page).locator("[data-part='Offer 1, text']").click()
    expect(page.get_by_role("tab", name="Pair", exact=True)).to_have_attribute("aria-selected", "true")
    expect(page.get_by_role("heading", name="Ink on Paper")).to_be_visible()


@pytest.mark.detail
def test_which_page_and_by_day_or_night_is_one_choice_that_stays(page: Page) -> None:
    open_step(page, "Harmony")
    page.get_by_role("button", name="Page shown: Home").click()
    page.get_by_role("option", name="Shop by night").click()
    expect(the_page(page).get_by_role("heading", name="The mug that survives the path")).to_be_visible()
    page.get_by_role("link", name="Roles").click()
    expect(page.get_by_role("button", name="Page shown: Shop by night")).to_be_visible()
    page.reload()
    expect(page.get_by_role("button", name=re.compile("^Page shown: Shop"))).to_be_visible()


@pytest.mark.detail
def test_what_is_pointed_at_is_seen_and_nothing_is_changed(page: Page) -> None:
    open_step(page, "Harmony")
    heading = the_page(page).locator("[data-part='Offer 1, heading']")
    before = heading.evaluate("element => getComputedStyle(element).color")
    page.get_by_role("button", name=re.compile("^Character:")).click()
    page.get_by_role("option", name=re.compile("pastel|soft|muted", re.IGNORECASE)).first.hover()
    expect(page.get_by_text("as it would look", exact=True)).to_be_visible()
    page.keyboard.press("Escape")
    expect(page.get_by_text("as it would look", exact=True)).to_have_count(0)
    heading_color(page, before)
    expect(page.get_by_role("button", name="Undo")).to_be_disabled()
    # Another take, from its tab: with the keyboard's focus as well.
    page.get_by_role("navigation", name="Takes").get_by_role("link", name="Take 3").focus()
    expect(page.get_by_text("as it would look", exact=True)).to_be_visible()


@pytest.mark.detail
def test_a_mend_is_seen_beside_the_inspector(page: Page) -> None:
    open_demo(page, take="Take 2", step="pairs")
    page.get_by_test_id("mends").get_by_role("radio").first.hover()
    expect(page.get_by_test_id("peek")).to_be_visible()
    page.get_by_test_id("tally").hover()
    expect(page.get_by_test_id("peek")).to_have_count(0)


@pytest.mark.detail
def test_the_page_stays_while_a_note_is_dragged_and_a_click_opens_the_swatch(page: Page) -> None:
    open_step(page, "Harmony")
    leaf = page.get_by_role("tab", name="The page")
    muted = the_page(page).locator("[data-part='Opening’s kicker']").first
    expect(muted).to_be_visible()
    box = page.get_by_role("slider", name=re.compile("^Info")).bounding_box()
    assert box
    x, y = box["x"] + box["width"] / 2, box["y"] + box["height"] / 2
    page.mouse.move(x, y)
    page.mouse.down()
    page.mouse.move(x - 30, y + 20, steps=4)
    expect(leaf).to_have_attribute("aria-selected", "true")
    page.mouse.up()
    saved(page, 2)
    expect(leaf).to_have_attribute("aria-selected", "true")
    page.get_by_role("slider", name=re.compile("^Info")).click()
    expect(page.get_by_role("tab", name="Swatch", exact=True)).to_have_attribute("aria-selected", "true")


@pytest.mark.detail
@pytest.mark.parametrize(("width", "step", "own"), [(820, "Harmony", "Advice"), (390, "Source", "Start")])
def test_in_a_narrow_window_the_page_is_a_drawer(page: Page, width: int, step: str, own: str) -> None:
    open_demo(page)
    page.set_viewport_size({"width": width, "height": 800})
    page.get_by_role("navigation", name="Steps").get_by_role("link", name=step).click()
    expect(page).to_have_url(re.compile(f"/{step.lower()}"))
    inspector = page.get_by_role("complementary", name="Inspector")
    expect(inspector).to_be_hidden()
    opener = page.locator("[aria-controls=inspector]")
    opener.focus()
    page.keyboard.press("Enter")
    inspector.get_by_role("tab", name="The page").click()
    expect(inspector.frame_locator("iframe").get_by_role("heading", level=1)).to_be_visible()
    expect(page.get_by_role("button", name="Close", exact=True)).to_have_attribute("aria-expanded", "true")
    assert axe_findings(page) == []
    box = inspector.bounding_box()
    assert box
    assert box["x"] + box["width"] <= width + 1
    inspector.get_by_role("tab", name=re.compile(f"^{own}")).click()
    page.keyboard.press("Escape")
    expect(inspector).to_be_hidden()
    expect(opener).to_be_focused()


@pytest.mark.detail(3)
def test_a_pair_that_falls_short_shows_its_mend_on_the_page_before_it_is_chosen(page: Page) -> None:
    open_demo(page, take="Take 2", step="pairs")
    note = page.get_by_role("complementary", name="Inspector").get_by_text("as it would look")
    short = page.locator("[data-passes=false]").first
    short.get_by_role("button").focus()
    expect(note).to_be_visible()
    page.get_by_role("link", name="Proof").focus()
    expect(note).to_have_count(0)
    # One that passes has nothing to show, and nothing is asked for it.
    asked: list[str] = []
    page.on("request", lambda one: asked.append(one.post_data or "") if "/api/mends" in one.url else None)
    fine = page.locator("[data-passes=true]").first
    fine.get_by_role("button").focus()
    short.get_by_role("button").focus()
    expect(note).to_be_visible()
    assert asked
    assert not any(f'"pair":"{fine.get_attribute("data-pair")}"' in one for one in asked)
    expect(page.get_by_role("button", name="Undo")).to_be_disabled()


@pytest.mark.detail(3)
def test_while_a_note_is_dragged_the_page_comes_with_the_change(page: Page) -> None:
    open_step(page, "Harmony")
    heading = the_page(page).locator("[data-part='Offer 1, heading']")
    expect(heading).to_be_visible()
    before = heading.evaluate("one => getComputedStyle(one).color")
    box = page.get_by_role("slider", name="Primary, Link", exact=True).bounding_box()
    assert box
    x, y = box["x"] + box["width"] / 2, box["y"] + box["height"] / 2
    asked: list[str] = []
    page.on("request", lambda request: asked.append(request.url.rpartition("/")[2]))
    page.mouse.move(x, y)
    page.mouse.down()
    for step in range(1, 12):
        page.mouse.move(x + 6 * step, y - 2 * step)
    expect(heading).not_to_have_css("color", before)
    assert "changes" in asked
    assert "proof" not in asked, "one answer brings both"
    page.mouse.up()
    page.get_by_role("button", name="Undo").click()
    expect(heading).to_have_css("color", before)
