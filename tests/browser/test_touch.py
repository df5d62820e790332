"""By finger, on a phone: what is dragged follows, what scrolls scrolls, and numbers do what dragging does."""

from __future__ import annotations

import time
from collections.abc import Iterator

import pytest
from playwright.sync_api import Browser, Page, Route, expect

from tests.browser.conftest import open_demo
from tests.browser.saving import saved
from tests.browser.servers import Server


@pytest.fixture
def phone(browser: Browser, server: Server) -> Iterator[Page]:
    context = browser.new_context(
        viewport={"width": 390, "height": 844}, base_url=server.url, has_touch=True, is_mobile=True
    )
    page = context.new_page()
    page.set_default_timeout(30_000)
    yield page
    context.close()


def drag_finger(page: Page, *places: tuple[float, float]) -> None:
    """Put a finger down, move it over the places, let it rest a second, and lift it.

    Lifted in full swing it would be a fling, and a browser takes the next tap for the end of that.
    """
    session = page.context.new_cdp_session(page)
    start = time.time()
    for number, (x, y) in enumerate([*places, places[-1]]):
        kind = "touchMove" if number else "touchStart"
        rest = 1 if number == len(places) else 0
        event = {"type": kind, "touchPoints": [{"x": x, "y": y}], "timestamp": start + number / 60 + rest}
        session.send("Input.dispatchTouchEvent", event)
    end = {"type": "touchEnd", "touchPoints": [], "timestamp": start + (len(places) + 1) / 60 + 1}
    session.send("Input.dispatchTouchEvent", end)
    session.detach()


def open_phone(page: Page) -> None:
    page.goto("/")
    page.get_by_role("link", name="Orrin Peak Observatory").click()
    page.get_by_test_id("measure").wait_for()


@pytest.mark.detail
def test_the_magnifier_follows_a_finger_and_stays_where_it_is_lifted(phone: Page) -> None:
    open_phone(phone)
    phone.get_by_role("button", name="dusk-ridge.jpg").first.tap()
    loupe = phone.get_by_test_id("loupe")
    loupe.scroll_into_view_if_needed()
    box = loupe.bounding_box()
    assert box
    left, top = box["x"], box["y"]
    drag_finger(phone, (left + 20, top + 20), (left + 60, top + 50), (left + 90, top + 70))
    add = loupe.get_by_role("button", name="Add #")
    first = add.inner_text()
    assert first.startswith("Add #")
    # Nothing was added by the finger alone; the next place is looked at in the same way.
    drag_finger(phone, *[(left + 90 + 6 * step, top + 70 + 5 * step) for step in range(10)])
    expect(add).not_to_have_text(first)
    add.tap()
    saved(phone, 2)


@pytest.mark.detail
def test_what_scrolls_leaves_swipes_to_the_browser(phone: Page) -> None:
    """A drag that nothing else would hear of takes the finger for itself, and nothing else does."""
    open_phone(phone)
    action = "one => getComputedStyle(one).touchAction"
    color = phone.get_by_test_id("measure").locator("li button").first
    assert color.evaluate(action) == "pan-x"
    phone.get_by_role("link", name="Roles").tap()
    chip = phone.get_by_test_id("ramps").get_by_role("button", name="Neutral 50,")
    assert chip.evaluate(action) == "auto"
    assert phone.locator("[data-flag=muted]").evaluate(action) == "none"
    phone.get_by_role("link", name="Harmony").tap()
    assert phone.get_by_test_id("stave").evaluate(action) == "auto"
    assert phone.get_by_role("slider", name="Success", exact=True).evaluate(action) == "none"


@pytest.mark.detail
def test_a_note_follows_a_finger(phone: Page) -> None:
    open_phone(phone)
    phone.get_by_role("link", name="Harmony").tap()
    note = phone.get_by_role("slider", name="Success", exact=True)
    note.scroll_into_view_if_needed()
    before = note.get_attribute("aria-valuetext") or ""
    box = note.bounding_box()
    assert box
    x, y = box["x"] + 14, box["y"] + 14
    drag_finger(phone, (x, y), (x + 10, y - 10), (x + 30, y - 25))
    expect(note).not_to_have_attribute("aria-valuetext", before)
    saved(phone, 2)


@pytest.mark.detail
def test_a_pair_is_mended_on_a_phone(phone: Page) -> None:
    open_phone(phone)
    phone.get_by_role("navigation", name="Takes").get_by_role("link", name="Take 2").tap()
    phone.get_by_role("link", name="Pairs").tap()
    phone.get_by_role("button", name="Mend Muted on Paper").tap()
    ways = phone.get_by_test_id("mends")
    expect(ways.get_by_role("radio").first).to_be_in_viewport()
    phone.get_by_role("button", name="Apply").tap()
    # The drawer is back, so that the list is seen.
    expect(ways).to_be_hidden()
    expect(phone.get_by_role("button", name="Mend Muted on Paper")).to_have_count(0)


@pytest.mark.detail
def test_a_share_and_a_part_are_set_by_numbers(page: Page) -> None:
    open_demo(page)
    page.get_by_role("button", name="Accent: Comet").click()
    share = page.get_by_role("spinbutton", name="Share of the page")
    share.fill("12")
    share.press("Enter")
    saved(page, 2)
    # An emptied field asks for nothing, and says so.
    share.fill("")
    share.press("Enter")
    expect(page.get_by_text("Type a number from 1 to 100. Nothing was changed.")).to_be_visible()
    edge = page.get_by_role("separator", name="Edge between Accent and Paper")
    expect(edge).to_have_attribute("aria-valuenow", "12")
    page.get_by_role("button", name="dusk-ridge.jpg").first.click()
    page.get_by_role("radio", name="Select an area").click()
    page.get_by_label("Width", exact=True).fill("40")
    with page.expect_response("**/reading") as read:
        page.get_by_label("Width", exact=True).press("Tab")
    assert read.value.ok
    # What there is no room for is refused, and nothing else is cut for it.
    page.get_by_label("Left", exact=True).fill("80")
    page.get_by_label("Left", exact=True).press("Tab")
    expect(page.get_by_text("Type a number from 0 to 60. Nothing was changed.")).to_be_visible()
    expect(page.get_by_label("Width", exact=True)).to_have_value("40")
    expect(page.get_by_role("button", name="Whole picture")).to_be_visible()


@pytest.mark.detail(3)
def test_a_number_that_is_being_typed_stays_when_an_answer_comes(page: Page) -> None:
    open_demo(page)
    page.get_by_role("button", name="dusk-ridge.jpg").first.click()
    page.get_by_role("radio", name="Select an area").click()
    held: list[Route] = []
    page.route("**/reading", lambda route: held.append(route))
    page.get_by_label("Width", exact=True).fill("40")
    with page.expect_request("**/reading"):
        page.get_by_label("Width", exact=True).press("Tab")
    left = page.get_by_label("Left", exact=True)
    left.fill("60")
    held[0].continue_()
    expect(page.get_by_label("Width", exact=True)).to_have_value("40")
    expect(left).to_have_value("60")
    with page.expect_request("**/reading"):
        left.press("Tab")
    held[1].continue_()
    expect(page.get_by_label("Width", exact=True)).to_have_value("40")
    expect(left).to_have_value("60")
