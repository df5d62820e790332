"""The audit: every view in every look and width. All of it by `make audit`; one look of each view always."""

from __future__ import annotations

from typing import Any, Final, Literal

import pytest
from playwright.sync_api import Page

from tests.browser.audit import findings
from tests.browser.axe import COLOR_RULES, axe_findings
from tests.browser.views import VIEWS, View

Look = Literal["light", "dark", "forced"]
LOOKS: Final[tuple[Look, ...]] = ("light", "dark", "forced")
WIDTHS: Final = (1280, 1024, 640, 390, 320)
COMBINATIONS: Final = [(look, width) for width in WIDTHS for look in LOOKS]


def one_of_each() -> list[Any]:
    """Every view with one combination, its own."""
    # 7 and 15 have no common factor: views that stand together get different looks and widths.
    own = [COMBINATIONS[number * 7 % len(COMBINATIONS)] for number, _ in enumerate(VIEWS)]
    return [
        pytest.param(view, *pair, id=f"{view.__name__}-{pair[0]}-{pair[1]}")
        for view, pair in zip(VIEWS, own, strict=True)
    ]


@pytest.mark.detail(8)
@pytest.mark.parametrize(("view", "look", "width"), one_of_each())
def test_nothing_is_found_on_any_view(visited_page: Page, view: View, look: Look, width: int) -> None:
    page = visited_page
    go_to(page, view)
    assert axe_findings(page) == []
    # In the dark the page is the same but for its colours.
    set_look(page, "dark")
    assert axe_findings(page, COLOR_RULES) == []
    set_look(page, look)
    set_width(page, width)
    assert findings(page) == []


@pytest.mark.long
@pytest.mark.parametrize("width", WIDTHS)
@pytest.mark.parametrize("look", LOOKS)
@pytest.mark.parametrize("view", VIEWS, ids=lambda view: view.__name__)
def test_nothing_is_found_in_any_look_at_any_width(
    visited_page: Page, view: View, look: Look, width: int
) -> None:
    page = visited_page
    go_to(page, view)
    set_look(page, look)
    set_width(page, width)
    assert findings(page) == []


def go_to(page: Page, view: View) -> None:
    page.emulate_media(forced_colors="none", reduced_motion="reduce")
    page.set_viewport_size({"width": 1280, "height": 800})
    view(page)
    page.evaluate("document.documentElement.dataset.workspace = 'light'")


def set_look(page: Page, look: Look) -> None:
    page.emulate_media(forced_colors="active" if look == "forced" else "none", reduced_motion="reduce")
    page.evaluate(
        "look => { document.documentElement.dataset.workspace = look }", "dark" if look == "dark" else "light"
    )


def set_width(page: Page, width: int) -> None:
    page.set_viewport_size({"width": width, "height": 800})
    # Two frames: what follows the width has been drawn again.
    page.evaluate("() => new Promise(done => requestAnimationFrame(() => requestAnimationFrame(done)))")
