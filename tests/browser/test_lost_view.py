"""A view whose code can't be loaded says so, and a reload goes to where one wanted."""

from __future__ import annotations

import re

import pytest
from playwright.sync_api import Page, Route, expect

from tests.browser.axe import axe_findings
from tests.browser.conftest import open_demo


@pytest.mark.detail
def test_a_view_that_cannot_be_loaded_says_so_and_is_gone_to_by_a_reload(page: Page) -> None:
    open_demo(page)
    chunk = re.compile(r"/assets/RolesView-[\w-]+\.js$")
    page.route(chunk, lambda route: route.abort())
    before = page.url
    page.get_by_role("link", name="Roles").click()
    notice = page.get_by_role("alert").filter(has_text="This view could not be loaded")
    expect(notice).to_be_visible()
    assert page.url == before
    assert axe_findings(page) == []
    # Another view is gone to meanwhile, and the notice with it.
    page.get_by_role("link", name="Harmony").click()
    expect(notice).to_have_count(0)
    page.get_by_role("link", name="Roles").click()
    page.unroute(chunk)
    notice.get_by_role("button", name="Reload").click()
    page.locator("[data-flag=muted]").wait_for()
    expect(page).to_have_url(re.compile("/roles"))


@pytest.mark.detail
def test_a_part_that_cannot_be_loaded_says_so(page: Page) -> None:
    chunk = re.compile(r"/assets/KeySheet-[\w-]+\.js$")
    page.route(chunk, lambda route: route.abort())
    open_demo(page)
    page.keyboard.press("?")
    notice = page.get_by_role("alert").filter(has_text="This view could not be loaded")
    expect(notice).to_be_visible()
    # What was to be fetched in the background and is not wanted is not complained about.
    page.get_by_role("link", name="Harmony").click()
    expect(notice).to_have_count(0)
    page.unroute(chunk)
    page.keyboard.press("?")
    notice.get_by_role("button", name="Reload").click()
    page.get_by_test_id("stave").wait_for()
    page.keyboard.press("?")
    page.get_by_role("heading", name="Keyboard shortcuts").wait_for()


@pytest.mark.detail(3)
def test_a_new_version_is_noticed_and_offered_and_nothing_unsaved_is_lost(page: Page) -> None:
    open_demo(page)

    def newer(route: Route) -> None:
        answer = route.fetch()
        route.fulfill(response=answer, headers={**answer.headers, "x-tonada-build": "another"})

    notice = page.get_by_role("alert").filter(has_text="There is a new version of Tonada")
    page.get_by_role("link", name="Harmony").click()
    note = page.get_by_role("slider", name="Success", exact=True)
    note.wait_for()
    expect(notice).to_have_count(0)
    page.route(re.compile(r"/api/(changes|advice|evaluate|proof|harmony|dependents)"), newer)
    # What is changed now can't be saved before the page is left.
    page.route(
        "**/api/takes/*",
        lambda route: route.abort() if route.request.method == "PUT" else route.continue_(),
    )
    before = note.get_attribute("aria-valuetext") or ""
    note.focus()
    note.press("ArrowUp")
    expect(notice).to_be_visible()
    expect(note).not_to_have_attribute("aria-valuetext", before)
    changed = note.get_attribute("aria-valuetext") or ""
    expect(page.get_by_test_id("save-state")).to_have_attribute("data-state", "waiting")
    notice.get_by_role("button", name="Reload").click()
    page.unroute_all(behavior="ignoreErrors")
    expect(page.get_by_role("slider", name="Success", exact=True)).to_have_attribute(
        "aria-valuetext", changed
    )
    expect(page.get_by_test_id("save-state")).to_have_attribute("data-state", "saved")
    expect(notice).to_have_count(0)
