"""The application meets WCAG 2.2 itself, beside what the audit finds: no hue, the keyboard, what fits."""

from __future__ import annotations

import re

import pytest
from playwright.sync_api import Page, expect

from tests.browser.saving import saved
from tests.browser.views import (
    brands,
    empty_source,
    harmony,
    harmony_of_twelve,
    pairs,
    proof,
    roles,
    source,
    swatch,
)
from tests.sampling import sampled


def test_the_interface_itself_has_no_hue(visited_page: Page) -> None:
    """Every colour of the interface, but for what shows the designer's, has R = G = B."""
    page = visited_page
    for view in (brands, source, harmony, roles, pairs, proof):
        view(page)
        hued = page.evaluate(
            """() => [...document.querySelectorAll('*')]
              .filter(one => !one.closest('.keeps-color'))
              .flatMap(one => {
                const its = getComputedStyle(one)
                const edges = [its.borderTopColor, its.outlineColor, its.stroke]
                return [its.color, its.backgroundColor, its.fill, ...edges]
              })
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
    page.get_by_role("button", name="Rebuild from this source").focus()
    page.keyboard.press("Enter")
    saved(page, 3)
    page.keyboard.press("Control+z")
    saved(page, 4)


@pytest.mark.detail(3)
@pytest.mark.parametrize("size", sampled([(1280, 800), (1024, 768)], keep=1))
def test_a_view_fits_without_scrolling_the_page(visited_page: Page, size: tuple[int, int]) -> None:
    page = visited_page
    page.set_viewport_size({"width": size[0], "height": size[1]})
    for view in (source, harmony, harmony_of_twelve, roles, pairs, swatch):
        view(page)
        over = page.evaluate(
            """() => {
              const page = document.documentElement
              return [page.scrollWidth - innerWidth, page.scrollHeight - innerHeight]
            }"""
        )
        assert over == [0, 0], view.__name__


@pytest.mark.detail
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
