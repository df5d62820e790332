"""The application meets WCAG 2.2 itself: axe on every view, the keyboard, narrow and dark."""

from __future__ import annotations

import re
from collections.abc import Callable

import pytest
from playwright.sync_api import Page, expect

from tests.browser.conftest import COLOR_RULES, axe_findings, make_brand, open_demo
from tests.browser.saving import saved


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
    make_brand(page, "Nothing yet")


def pairs(page: Page) -> None:
    open_demo(page)
    page.get_by_role("navigation", name="Takes").get_by_role("link", name="Take 2").click()
    page.get_by_role("link", name=re.compile("Pairs")).click()
    page.get_by_test_id("mends").wait_for()


def empty_pairs(page: Page) -> None:
    empty_source(page)
    page.get_by_role("link", name=re.compile("Pairs")).click()
    page.get_by_text("No pairs yet").wait_for()


def swatch(page: Page) -> None:
    source(page)
    page.get_by_role("button", name=re.compile("^Primary, Link")).click()
    page.get_by_role("button", name="Release").wait_for()


def harmony(page: Page) -> None:
    source(page)
    page.get_by_role("link", name="Harmony").click()
    page.get_by_test_id("stave").get_by_role("slider", name="Secondary").wait_for()


def harmony_of_twelve(page: Page) -> None:
    """The take from the photograph has twelve swatches."""
    harmony(page)
    page.get_by_role("navigation", name="Takes").get_by_role("link", name="Take 3").click()
    expect(page.get_by_test_id("stave").get_by_role("slider", name=re.compile("Soft purple"))).to_be_visible()


def roles(page: Page) -> None:
    source(page)
    page.get_by_role("link", name="Roles").click()
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
    page.get_by_role("button", name="Remove").wait_for()


def empty_harmony(page: Page) -> None:
    empty_source(page)
    page.get_by_role("link", name="Harmony").click()
    page.get_by_text("No notes yet").wait_for()


def keys(page: Page) -> None:
    source(page)
    page.keyboard.press("?")
    page.get_by_role("heading", name="Keys").wait_for()


def view_menu(page: Page) -> None:
    source(page)
    page.get_by_role("button", name="View").click()
    page.get_by_role("menu").wait_for()


def nowhere(page: Page) -> None:
    page.goto("/nothing/here")
    page.get_by_text("There is nothing at this address").wait_for()


def proof(page: Page) -> None:
    open_demo(page)
    page.get_by_role("link", name="Proof").click()
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
    open_demo(page)
    page.get_by_role("link", name="Handoff").click()
    page.get_by_test_id("values").wait_for()


def files_to_hand_off(page: Page) -> None:
    values_to_hand_off(page)
    page.get_by_role("radio", name="Files").click()
    page.get_by_test_id("preview").wait_for()


def slots_to_fill(page: Page) -> None:
    values_to_hand_off(page)
    page.get_by_role("radio", name="Slot sheet").click()
    page.get_by_test_id("slots").wait_for()


VIEWS = [
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
    swatch,
    keys,
    view_menu,
    nowhere,
]


@pytest.mark.parametrize("view", VIEWS, ids=lambda view: view.__name__)
def test_axe_finds_nothing_on_any_view(visited_page: Page, view: Callable[[Page], None]) -> None:
    page = visited_page
    page.set_viewport_size({"width": 1280, "height": 800})
    view(page)
    assert axe_findings(page) == []
    # In the dark the page is the same but for its colours.
    page.emulate_media(reduced_motion="reduce")
    page.evaluate("document.documentElement.dataset.workspace = 'dark'")
    assert axe_findings(page, COLOR_RULES) == []


def test_the_interface_itself_has_no_hue(visited_page: Page) -> None:
    """Every colour of the interface, but for what shows the designer's, has R = G = B."""
    page = visited_page
    for view in (brands, source, harmony, roles, pairs, proof):
        view(page)
        hued = page.evaluate(
            """() => [...document.querySelectorAll('*')]
              .filter(one => !one.closest('.keeps-color'))
              .flatMap(one => ['color', 'backgroundColor', 'borderTopColor', 'outlineColor', 'fill', 'stroke']
                .map(name => getComputedStyle(one)[name]))
              .filter(value => {
                const parts = value.match(/[\\d.]+/g)
                return value.startsWith('rgb') && !(parts[0] === parts[1] && parts[1] === parts[2])
              })"""
        )
        assert hued == [], view.__name__


def test_the_path_can_be_walked_with_the_keyboard_alone(page: Page) -> None:
    source(page)
    button = page.get_by_test_id("found-colors").get_by_role("button", name=re.compile("Snow becomes"))
    button.focus()
    page.keyboard.press("Enter")
    page.keyboard.type("primary")
    page.keyboard.press("Enter")
    expect(button).to_have_accessible_name("What Snow becomes: Primary")
    saved(page, 2)
    page.get_by_role("button", name="Build anew from this").focus()
    page.keyboard.press("Enter")
    saved(page, 3)
    page.keyboard.press("Control+z")
    saved(page, 4)


@pytest.mark.parametrize(("width", "height"), [(1280, 800), (1024, 768)])
def test_a_view_fits_without_scrolling_the_page(visited_page: Page, width: int, height: int) -> None:
    page = visited_page
    page.set_viewport_size({"width": width, "height": height})
    for view in (source, harmony, harmony_of_twelve, roles, pairs, swatch):
        view(page)
        over = page.evaluate(
            """() => {
              const page = document.documentElement
              return [page.scrollWidth - innerWidth, page.scrollHeight - innerHeight]
            }"""
        )
        assert over == [0, 0], view.__name__


def test_nothing_runs_off_a_narrow_page(page: Page) -> None:
    page.set_viewport_size({"width": 360, "height": 740})
    for view in (brands, empty_source):
        view(page)
        assert page.evaluate("document.documentElement.scrollWidth") <= 360, view.__name__


def test_nothing_is_fetched_from_anywhere_else(page: Page) -> None:
    hosts: set[str] = set()
    page.on("request", lambda request: hosts.add(request.url.split("/")[2]))
    source(page)
    pairs(page)
    assert len(hosts) == 1
