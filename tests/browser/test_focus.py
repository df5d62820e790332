"""The focus is never lost: after every action something sensible has it, to go on from by the keyboard."""

from __future__ import annotations

import re

import pytest
from playwright.sync_api import Locator, Page, expect

from tests.browser.conftest import open_demo
from tests.browser.saving import saved


def press(control: Locator, key: str = "Enter") -> None:
    """Use a control by the keyboard alone."""
    expect(control).to_be_enabled()
    control.focus()
    control.press(key)


def act(page: Page, action: str) -> None:
    press(page.get_by_role("button", name="Options for this take"))
    press(page.get_by_role("menuitem", name=action, exact=True))


@pytest.mark.detail
def test_a_brand_is_made_and_built(page: Page) -> None:
    page.goto("/")
    page.get_by_label("Name of the new brand").fill("By keys")
    page.get_by_label("Name of the new brand").press("Enter")
    page.get_by_text("Start with the logo").wait_for()
    expect(page.get_by_role("main")).to_be_focused()
    open_demo(page)
    press(page.get_by_test_id("found-colors").get_by_role("button", name=re.compile("Snow becomes")))
    page.get_by_role("option", name="Primary", exact=True).click()
    saved(page, 2)
    press(page.get_by_role("button", name="Rebuild from this source"))
    saved(page, 3)
    expect(page.get_by_role("link", name="See the pairs")).to_be_focused()
    undo = page.get_by_role("button", name="Undo", exact=True)
    undo.focus()
    for _ in range(2):
        undo.press("Enter")
    expect(undo).to_be_disabled()
    expect(page.get_by_role("button", name="Redo", exact=True)).to_be_focused()


@pytest.mark.detail
def test_a_pair_is_mended_and_the_focus_comes_back(page: Page) -> None:
    open_demo(page, take="Take 2", step="pairs")
    press(page.get_by_role("button", name=re.compile("^Mend Muted on Paper")))
    expect(page.get_by_test_id("mends").get_by_role("radio").first).to_be_focused()
    page.keyboard.press("Escape")
    expect(page.get_by_role("button", name=re.compile("^Mend Muted on Paper"))).to_be_focused()
    page.keyboard.press("Enter")
    expect(page.get_by_test_id("mends").get_by_role("radio").first).to_be_focused()
    press(page.get_by_role("button", name="Apply"))
    # Whatever the mend made of it: it passes now.
    mended = page.locator("li[data-pair][data-passes=true] button", has_text="Details")
    expect(mended.and_(page.locator(":focus"))).to_have_count(1)


@pytest.mark.detail
def test_takes_and_versions(page: Page) -> None:
    open_demo(page)
    menu = page.get_by_role("button", name="Options for this take")
    act(page, "Copy as a new take")
    expect(page.get_by_role("navigation", name="Takes").get_by_role("link")).to_have_count(4)
    expect(menu).to_be_focused()
    act(page, "Delete")
    page.get_by_role("button", name="Restore").wait_for()
    expect(menu).to_be_focused()
    press(page.get_by_role("button", name="Dismiss"))
    expect(page.get_by_role("button", name="View", exact=True)).to_be_focused()
    act(page, "Versions")
    page.get_by_label("Description of the version").fill("By keys")
    press(page.get_by_role("button", name="Save a version"))
    page.get_by_test_id("versions").get_by_text("By keys").wait_for()
    expect(page.get_by_role("button", name="Save a version")).to_be_focused()


@pytest.mark.detail
@pytest.mark.parametrize("choice", ["Use the other copy", "Save mine as a new take"])
def test_of_two_states_one_is_chosen(page: Page, choice: str) -> None:
    open_demo(page, step="roles")
    page.locator("[data-flag=muted]").wait_for()
    other = page.context.new_page()
    other.goto(page.url)
    press(other.locator("[data-flag=link]"), "ArrowDown")
    saved(other, 2)
    press(page.locator("[data-flag=muted]"), "ArrowUp")
    press(page.get_by_role("button", name=choice))
    expect(page.get_by_role("button", name=choice)).to_have_count(0)
    # A new take opens in a view of its own, which takes the focus once it stands.
    page.wait_for_function("() => document.activeElement !== document.body")
    expect(page.locator(":focus")).to_be_visible()


@pytest.mark.detail
def test_roles_and_overlays(page: Page) -> None:
    open_demo(page, step="roles")
    flag = page.locator("[data-flag=link]")
    press(flag, "ArrowDown")
    saved(page, 2)
    expect(flag).to_be_focused()
    press(page.get_by_role("tab", name="Roles"))
    press(page.get_by_role("tab", name="Overlays"))
    press(page.get_by_role("button", name="Add an overlay"))
    saved(page, 3)
    expect(page.get_by_role("button", name="Add an overlay")).to_be_focused()
    press(page.get_by_role("button", name="Remove").last)
    saved(page, 4)
    expect(page.get_by_role("button", name="Add an overlay")).to_be_focused()


@pytest.mark.detail
def test_a_destination_of_one_s_own_is_deleted(page: Page) -> None:
    open_demo(page, step="handoff")
    page.get_by_role("radio", name="Slot sheet").click()
    press(page.get_by_role("button", name="Duplicate"))
    press(page.get_by_role("button", name="Save"))
    page.get_by_role("button", name="Change its slots").wait_for()
    expect(page.get_by_role("button", name="Duplicate")).to_be_focused()
    press(page.get_by_role("button", name="Delete"))
    page.get_by_role("button", name="Restore").wait_for()
    expect(page.get_by_role("button", name="CSV")).to_be_focused()
    # The slots of the next destination come after its name.
    page.get_by_role("button", name="Copy and next").wait_for()
    press(page.get_by_role("button", name="Dismiss"))
    expect(page.get_by_role("button", name="Copy and next")).to_be_focused()
