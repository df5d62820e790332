"""The help: reached from every view, read, searched, and followed from page to page."""

from __future__ import annotations

import re

from playwright.sync_api import Page, expect

from tests.browser.views import harmony


def test_the_guide_is_opened_searched_and_followed(visited_page: Page) -> None:
    page = visited_page
    harmony(page)
    page.get_by_role("button", name="View", exact=True).click()
    page.get_by_role("menuitem", name="Help").click()
    text = page.get_by_test_id("help")
    expect(text.get_by_role("heading", name="From a logo to an approved palette")).to_be_visible()
    expect(page).to_have_title("Help · Tonada")
    picture = text.get_by_role("img").first
    picture.scroll_into_view_if_needed()
    expect(picture).to_have_js_property("complete", True)
    assert picture.evaluate("one => one.naturalWidth") > 1000

    page.get_by_label("Search the help").fill("press profile")
    page.get_by_test_id("found-help").get_by_role(
        "link", name=re.compile("Handoff: values and files")
    ).click()
    expect(text.get_by_role("heading", name="Handoff: values and files")).to_be_visible()
    text.get_by_role("link", name="handoff", exact=True).click()
    expect(page).to_have_url(re.compile("/help/in-depth-handoff$"))
    page.go_back()
    expect(page).to_have_url(re.compile("/help/handoff"))


def test_a_reference_into_a_page_shows_its_place(visited_page: Page) -> None:
    page = visited_page
    page.goto("/help/in-depth-check")
    page.get_by_test_id("help").get_by_role("link", name="pairs", exact=True).click()
    expect(page).to_have_url(re.compile("/help/in-depth-pairs#in-a-build$"))
    expect(page.get_by_role("heading", name="In a build")).to_be_in_viewport()


def test_an_address_of_no_page_is_the_guide(visited_page: Page) -> None:
    visited_page.goto("/help/nothing")
    expect(visited_page.get_by_role("heading", name="From a logo to an approved palette")).to_be_visible()
