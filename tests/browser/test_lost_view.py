"""A view whose code can't be loaded says so, and a reload goes to where one wanted."""

from __future__ import annotations

import re

from playwright.sync_api import Page, expect

from tests.browser.conftest import axe_findings, open_demo


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
