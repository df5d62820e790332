"""Takes and versions: changed without fear."""

from __future__ import annotations

import re
from typing import Final

import pytest
from playwright.sync_api import Locator, Page, Route, expect

from tests.browser.axe import axe_findings
from tests.browser.conftest import make_brand, open_demo
from tests.browser.saving import saved
from tests.browser.servers import Server
from tests.browser.test_walk import LOGO
from tests.browser.views import act

STEPS: Final = 12


def tabs(page: Page) -> Locator:
    return page.get_by_role("navigation", name="Takes").get_by_role("link")


@pytest.mark.detail(3)
def test_takes_are_made_named_moved_deleted_and_brought_back(page: Page) -> None:
    open_demo(page)
    act(page, "New empty take")
    expect(tabs(page)).to_have_count(4)
    expect(page.get_by_text("Your palette appears here")).to_be_visible()
    act(page, "Rename")
    page.get_by_label("New name").fill("Winter")
    page.get_by_role("button", name="Rename").click()
    expect(tabs(page).last).to_have_text("Winter")
    act(page, "Move left")
    expect(tabs(page).nth(2)).to_have_text("Winter")
    act(page, "Delete")
    expect(tabs(page)).to_have_count(3)
    page.get_by_role("button", name="Restore").click()
    expect(tabs(page)).to_have_count(4)
    # Copied is what is open: it has to be there.
    saved(page, 1)
    act(page, "Copy as a new take")
    expect(tabs(page)).to_have_count(5)


def test_what_is_asked_of_a_take_that_is_still_opening_is_done_when_it_is_open(page: Page) -> None:
    open_demo(page)
    held: list[Route] = []
    page.route("**/api/takes/*", lambda route: held.append(route))
    with page.expect_request("**/api/takes/*"):
        tabs(page).nth(1).click()
    act(page, "Rename")
    assert page.get_by_role("dialog").count() == 0
    # Let go of, and with it whatever is asked from here on.
    page.unroute("**/api/takes/*")
    expect(page.get_by_label("New name")).to_have_value("Take 2")


@pytest.mark.detail(3)
def test_versions_are_cut_compared_and_restored(page: Page) -> None:
    open_demo(page)
    act(page, "Versions")
    page.get_by_role("navigation", name="Takes").get_by_role("link", name="Take 2").click()
    expect(page.get_by_text("No versions yet")).to_be_visible()
    page.get_by_role("navigation", name="Takes").get_by_role("link", name="Take 1").click()
    # What the demo's client was shown.
    listed = page.get_by_test_id("versions").locator("li")
    expect(listed).to_have_count(1)
    page.get_by_label("Description of the version").fill("Shown to the board")
    page.get_by_role("button", name="Save a version").click()
    expect(listed).to_have_count(2)
    page.get_by_role("link", name="Harmony").click()
    page.get_by_role("slider", name="Primary, Link", exact=True).focus()
    for _ in range(24):
        page.keyboard.press("ArrowUp")
    saved(page, 2)
    act(page, "Versions")
    changes = page.get_by_test_id("changes")
    expect(changes).to_contain_text("fails now")
    page.get_by_role("link", name=re.compile("^Version 2")).click()
    expect(page).to_have_url(re.compile(r"/versions/2"))
    assert axe_findings(page) == []
    page.get_by_role("button", name="Restore").first.click()
    expect(listed).to_have_count(3)
    expect(listed.first).to_contain_text("Before going back to version 2")
    saved(page, 3)
    page.get_by_role("link", name=re.compile("^Version 2")).click()
    expect(changes).to_contain_text("No differences.")


@pytest.mark.detail
def test_building_anew_keeps_what_was_there_as_a_version(page: Page) -> None:
    open_demo(page)
    page.get_by_role("button", name="dusk-ridge.jpg").first.click()
    page.get_by_role("button", name="Rebuild from this source").click()
    saved(page, 2)
    act(page, "Versions")
    expect(page.get_by_test_id("versions")).to_contain_text("Before rebuilding from dusk-ridge.jpg")


@pytest.mark.detail
def test_takes_stand_side_by_side(page: Page) -> None:
    open_demo(page)
    act(page, "Compare takes")
    columns = page.get_by_test_id("columns").locator("section")
    expect(columns).to_have_count(3)
    expect(columns.nth(1)).to_contain_text("pairs fail")
    page.get_by_role("group", name=re.compile("^Takes to compare")).get_by_role(
        "button", name="Take 3"
    ).click()
    expect(columns).to_have_count(2)
    assert "takes=" in page.url
    assert axe_findings(page) == []
    page.reload()
    expect(columns).to_have_count(2)


def test_a_step_made_while_the_server_is_down_survives_a_reload(page: Page, server: Server) -> None:
    make_brand(page, "Killed")
    page.get_by_test_id("first-file").set_input_files(
        {"name": "logo.svg", "mimeType": "image/svg+xml", "buffer": LOGO.encode()}
    )
    page.get_by_role("button", name="Build the palette").click()
    saved(page, 2)
    page.get_by_role("link", name=re.compile("Pairs")).click()
    page.locator("[data-pair]").first.wait_for()
    server.stop()
    page.get_by_role("radio", name="AAA").click()
    expect(page.get_by_test_id("save-state")).to_contain_text("Not saved yet")
    server.start()
    page.reload()
    saved(page, 3)
    expect(page.get_by_role("radio", name="AAA")).to_be_checked()


@pytest.mark.detail
def test_every_step_goes_back_and_forward(page: Page) -> None:
    open_demo(page, step="pairs")
    levels = [page.get_by_role("radio", name=name, exact=True) for name in ("AAA", "AA")]
    for number in range(STEPS):
        levels[number % 2].click()
    for _ in range(STEPS):
        page.keyboard.press("Control+z")
    expect(page.get_by_role("button", name="Undo")).to_be_disabled()
    expect(levels[1]).to_be_checked()
    page.keyboard.press("Control+Shift+Z")
    expect(levels[0]).to_be_checked()


@pytest.mark.detail
def test_a_version_is_looked_at_in_every_view_and_nothing_can_be_changed(page: Page) -> None:
    open_demo(page)
    measure = page.get_by_role("region", name="The measure")
    expect(measure).to_contain_text("#2b3a8c")
    page.get_by_role("button", name="Options for this take").click()
    page.get_by_role("menuitem", name="Versions").click()
    page.get_by_label("Description of the version").fill("as it began")
    page.get_by_role("button", name="Save a version").click()
    look = page.get_by_role("button", name="Look at it: version 2, in every view")
    expect(look).to_be_visible()
    page.get_by_role("link", name="Harmony").click()
    note = page.get_by_role("slider", name="Primary, Link", exact=True)
    note.focus()
    page.keyboard.press("Shift+ArrowRight")
    expect(measure).not_to_contain_text("#2b3a8c")
    saved(page, 2)
    page.go_back()
    look.click()
    bar = page.get_by_test_id("looking")
    expect(bar).to_contain_text("You are looking at version 2, “as it began”")
    expect(measure).to_contain_text("#2b3a8c")
    assert axe_findings(page) == []
    page.get_by_role("link", name="Harmony").click()
    note.focus()
    page.keyboard.press("Shift+ArrowRight")
    expect(bar).to_contain_text("Nothing was changed: a version never changes.")
    expect(measure).to_contain_text("#2b3a8c")
    expect(page.get_by_role("button", name="Undo")).to_be_disabled()
    page.get_by_role("link", name=re.compile("^Pairs")).click()
    expect(measure).to_contain_text("#2b3a8c")
    bar.get_by_role("button", name="Back to the take").click()
    expect(bar).to_have_count(0)
    expect(measure).not_to_contain_text("#2b3a8c")
    expect(page.get_by_role("button", name="Undo")).to_be_enabled()
