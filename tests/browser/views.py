"""Every view of the application, and every list, menu and dialog that stands over one: how to get there."""

from __future__ import annotations

import re
from collections.abc import Callable
from typing import Final

from playwright.sync_api import Page, expect

from tests.browser.conftest import make_brand, open_demo


def brands(page: Page) -> None:
    page.goto("/")
    page.get_by_role("link", name="Orrin Peak Observatory").wait_for()


def source(page: Page) -> None:
    open_demo(page)
    page.get_by_test_id("roles-made").wait_for()


def source_with_list_open(page: Page) -> None:
    source(page)
    page.get_by_test_id("found-colors").get_by_role("button", name=re.compile("becomes")).first.click()
    page.get_by_role("listbox").wait_for()


def empty_source(page: Page) -> None:
    open_nothing(page, "source")
    page.get_by_text("Start with the logo").wait_for()


def open_nothing(page: Page, step: str) -> None:
    """Made once on a server: the audit looks at it many times, and the demo is to stay on the first page."""
    name = "Nothing yet"
    if not page.request.get("/api/brands", params={"find": name}).json()["brands"]:
        make_brand(page, name)
    made = page.request.get("/api/brands", params={"find": name}).json()["brands"]
    brand = made[0]["brand"]
    page.goto(f"/brands/{brand['id']}/takes/{brand['first_take']}/{step}")


def pairs(page: Page) -> None:
    open_demo(page, take="Take 2", step="pairs")
    page.get_by_test_id("mends").wait_for()


def empty_pairs(page: Page) -> None:
    open_nothing(page, "pairs")
    page.get_by_text("No pairs yet").wait_for()


def swatch(page: Page) -> None:
    source(page)
    page.get_by_role("button", name=re.compile("^Primary, Link")).click()
    page.get_by_role("button", name="Release").wait_for()


def harmony(page: Page) -> None:
    open_demo(page, step="harmony")
    page.get_by_test_id("stave").get_by_role("slider", name="Secondary").wait_for()


def harmony_of_twelve(page: Page) -> None:
    """The take from the photograph has twelve swatches."""
    open_demo(page, take="Take 3", step="harmony")
    expect(page.get_by_test_id("stave").get_by_role("slider", name=re.compile("Soft purple"))).to_be_visible()


def harmony_in_figures(page: Page) -> None:
    harmony(page)
    page.get_by_role("button", name="Figures").click()
    page.get_by_test_id("stave-table").wait_for()


def roles(page: Page) -> None:
    open_demo(page, step="roles")
    page.locator("[data-flag=muted]").wait_for()


def roles_by_night_with_a_role_open(page: Page) -> None:
    roles(page)
    page.get_by_role("radio", name="Night").click()
    page.locator("[data-flag=muted]").focus()
    page.get_by_role("heading", name="Muted").wait_for()


def neutrals_and_overlays(page: Page) -> None:
    roles(page)
    page.get_by_role("tab", name="Roles").click()
    page.get_by_role("tab", name="Overlays").click()
    page.get_by_role("button", name="Add an overlay").click()
    page.get_by_role("button", name="Remove").last.wait_for()


def empty_harmony(page: Page) -> None:
    open_nothing(page, "harmony")
    page.get_by_text("No notes yet").wait_for()


def keys(page: Page) -> None:
    source(page)
    page.keyboard.press("?")
    page.get_by_role("heading", name="Keyboard shortcuts").wait_for()


def view_menu(page: Page) -> None:
    source(page)
    page.get_by_role("button", name="View").click()
    page.get_by_role("menu").wait_for()


def nowhere(page: Page) -> None:
    page.goto("/nothing/here")
    page.get_by_text("There is nothing at this address").wait_for()


def proof(page: Page) -> None:
    open_demo(page, step="proof")
    page.get_by_test_id("painted").wait_for()


def grounds_of_a_proof(page: Page) -> None:
    proof(page)
    page.get_by_role("tab", name="Grounds").click()
    page.get_by_role("region", name="Grounds", exact=True).get_by_role(
        "button", name=re.compile("Mist")
    ).click()


def type_of_a_proof(page: Page) -> None:
    proof(page)
    page.get_by_role("tab", name="Type").click()


def values_to_hand_off(page: Page) -> None:
    open_demo(page, step="handoff")
    page.get_by_test_id("values").wait_for()


def files_to_hand_off(page: Page) -> None:
    values_to_hand_off(page)
    page.get_by_role("radio", name="Files").click()
    page.get_by_test_id("preview").wait_for()


def slots_to_fill(page: Page) -> None:
    values_to_hand_off(page)
    page.get_by_role("radio", name="Slot sheet").click()
    page.get_by_test_id("slots").wait_for()


def changes_told(page: Page) -> None:
    """Between two takes that differ in many things."""
    values_to_hand_off(page)
    page.get_by_role("radio", name="What changed").click()
    page.get_by_role("button", name="To: take").click()
    page.get_by_role("option").nth(1).click()
    page.get_by_test_id("changes").get_by_role("table").first.wait_for()


def act(page: Page, action: str) -> None:
    page.get_by_role("button", name="Options for this take").click()
    page.get_by_role("menuitem", name=action, exact=True).click()


def ready_made(page: Page) -> None:
    open_demo(page, step="source/ready-made")
    page.get_by_test_id("palettes").get_by_role("radio").first.wait_for()


def moods(page: Page) -> None:
    source(page)
    page.get_by_role("button", name="Start from a mood").click()
    page.get_by_role("dialog").get_by_role("heading").first.wait_for()


def grid_of_pairs(page: Page) -> None:
    pairs(page)
    page.get_by_role("radio", name="Grid").click()
    page.get_by_test_id("grid").wait_for()


def all_mends(page: Page) -> None:
    pairs(page)
    page.get_by_role("button", name=re.compile("^Mend all")).click()
    page.get_by_role("dialog").get_by_role("heading").first.wait_for()


def versions(page: Page) -> None:
    open_demo(page, step="versions")
    page.get_by_test_id("versions").locator("li").first.wait_for()


def takes_compared(page: Page) -> None:
    open_demo(page, step="compare")
    page.get_by_test_id("columns").locator("section").first.wait_for()


def stylesheet_to_recolour(page: Page) -> None:
    values_to_hand_off(page)
    page.get_by_role("radio", name="Recolour a stylesheet").click()
    page.get_by_test_id("rules").wait_for()


def reviews(page: Page) -> None:
    brands(page)
    page.get_by_role("link", name=re.compile("^Midnight approved by Ana")).click()
    page.get_by_role("heading", name="Ana approved Midnight").wait_for()


def mails(page: Page) -> None:
    page.goto("/mails")
    page.get_by_role("heading", name="Emails").wait_for()


def help_page(page: Page) -> None:
    page.goto("/help/in-depth-check")
    page.get_by_test_id("help").get_by_role("heading").first.wait_for()


def help_found(page: Page) -> None:
    page.goto("/help")
    page.get_by_label("Search the help").fill("text")
    page.get_by_test_id("found-help").wait_for()


def scattered(page: Page) -> None:
    proof(page)
    page.get_by_role("radio", name="Scatter").click()


View = Callable[[Page], None]


VIEWS: Final[tuple[View, ...]] = (
    brands,
    source,
    source_with_list_open,
    empty_source,
    pairs,
    empty_pairs,
    harmony,
    empty_harmony,
    roles,
    roles_by_night_with_a_role_open,
    neutrals_and_overlays,
    proof,
    grounds_of_a_proof,
    type_of_a_proof,
    values_to_hand_off,
    files_to_hand_off,
    slots_to_fill,
    changes_told,
    swatch,
    keys,
    view_menu,
    nowhere,
    ready_made,
    moods,
    grid_of_pairs,
    all_mends,
    versions,
    takes_compared,
    stylesheet_to_recolour,
    reviews,
    mails,
    scattered,
    harmony_in_figures,
    help_page,
    help_found,
)
