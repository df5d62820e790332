"""Keys work where they should, and nowhere else; Escape gives up whatever is being dragged."""

from __future__ import annotations

import re

import pytest
from playwright.sync_api import Page, expect

from tests.browser.conftest import open_demo
from tests.browser.saving import not_saved, saved


def changed(page: Page) -> None:
    """Change something, so that there is something to undo."""
    page.get_by_role("link", name="Harmony").click()
    note = page.get_by_role("slider", name="Success", exact=True)
    note.focus()
    note.press("ArrowUp")
    saved(page, 2)


@pytest.mark.detail
def test_undo_works_with_the_focus_on_a_slider(page: Page) -> None:
    open_demo(page)
    changed(page)
    page.get_by_role("slider", name="Chroma").focus()
    page.keyboard.press("Control+z")
    saved(page, 3)


@pytest.mark.detail
def test_undo_works_in_the_frame_of_the_page(page: Page) -> None:
    open_demo(page)
    changed(page)
    page.get_by_role("link", name="Proof").click()
    frame = page.frame_locator("[data-testid=stage] iframe")
    frame.locator("[data-part]").first.wait_for()
    frame.locator("a, button, input").first.focus()
    page.keyboard.press("Control+z")
    saved(page, 3)


@pytest.mark.detail
def test_undo_works_where_something_is_unfolded(page: Page) -> None:
    open_demo(page)
    changed(page)
    page.get_by_role("link", name="Pairs").click()
    page.get_by_text("Usage and size").click()
    page.keyboard.press("Control+z")
    saved(page, 3)


@pytest.mark.detail
def test_nothing_is_undone_behind_a_dialog(page: Page) -> None:
    open_demo(page)
    changed(page)
    page.keyboard.press("?")
    page.get_by_role("heading", name="Keyboard shortcuts").wait_for()
    page.keyboard.press("Control+z")
    page.keyboard.press("Escape")
    not_saved(page, 2)
    page.keyboard.press("Control+z")
    saved(page, 3)


@pytest.mark.detail
def test_single_keys_can_be_switched_off(page: Page) -> None:
    open_demo(page)
    page.keyboard.press("?")
    page.get_by_role("switch", name=re.compile("without Ctrl")).click()
    page.keyboard.press("Escape")
    expect(page.get_by_role("dialog")).to_have_count(0)
    page.reload()
    page.get_by_role("complementary", name="Inspector").wait_for()
    page.keyboard.press("?")
    page.keyboard.press("w")
    expect(page.get_by_role("dialog")).to_have_count(0)
    page.get_by_role("button", name="View").click()
    page.get_by_role("menuitem", name="Keyboard shortcuts").click()
    page.get_by_role("heading", name="Keyboard shortcuts").wait_for()


@pytest.mark.detail
def test_escape_gives_up_a_colour_that_is_carried(page: Page) -> None:
    open_demo(page)
    colors = page.get_by_test_id("measure").locator("li button[aria-pressed]")
    first, third = colors.nth(0).bounding_box(), colors.nth(2).bounding_box()
    assert first
    assert third
    page.mouse.move(first["x"] + 20, first["y"] + 20)
    page.mouse.down()
    page.mouse.move(third["x"] + 20, third["y"] + 30, steps=5)
    page.get_by_text("Swap with Accent").wait_for()
    page.keyboard.press("Escape")
    expect(page.get_by_text("Swap with Accent")).to_have_count(0)
    page.mouse.up()
    not_saved(page, 1)


@pytest.mark.detail
def test_escape_gives_up_a_role_s_flag(page: Page) -> None:
    open_demo(page, step="roles")
    flag = page.locator("[data-flag=muted]")
    box = flag.bounding_box()
    assert box
    page.mouse.move(box["x"] + 8, box["y"] + 8)
    page.mouse.down()
    page.mouse.move(box["x"] - 150, box["y"] - 120, steps=6)
    page.keyboard.press("Escape")
    page.mouse.up()
    not_saved(page, 1)
    after = flag.bounding_box()
    assert after
    assert abs(after["x"] - box["x"]) < 2


@pytest.mark.detail(3)
def test_what_a_change_makes_fall_short_is_announced(page: Page) -> None:
    open_demo(page, step="roles")
    flag = page.locator("[data-flag=muted]")
    flag.focus()
    flag.press("ArrowLeft")
    expect(page.get_by_test_id("news")).to_have_text(re.compile("Muted: now (one|two|three) pairs? short"))
    saved(page, 2)
    page.keyboard.press("Control+z")
    expect(page.get_by_test_id("news")).to_have_text("Every pair passes now")


@pytest.mark.detail
def test_the_window_is_called_after_what_it_shows(page: Page) -> None:
    open_demo(page)
    expect(page).to_have_title("Source · Take 1 · Orrin Peak Observatory · Tonada")
    page.get_by_role("link", name="Roles").click()
    expect(page).to_have_title("Roles · Take 1 · Orrin Peak Observatory · Tonada")
    # What is chosen stands in the address, and leaves the title as it is.
    page.get_by_role("button", name="Accent: Comet").click()
    expect(page).to_have_url(re.compile("swatch="))
    expect(page).to_have_title("Roles · Take 1 · Orrin Peak Observatory · Tonada")
    page.get_by_role("navigation", name="Takes").get_by_role("link", name="Take 2").click()
    expect(page).to_have_title("Roles · Take 2 · Orrin Peak Observatory · Tonada")
