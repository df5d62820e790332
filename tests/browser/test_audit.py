"""The audit: every view in every look and width. All of it by `make audit`; one look of each view always."""

from __future__ import annotations

from typing import Any, Final, Literal

import pytest
from playwright.sync_api import Page

from tests.browser.audit import findings
from tests.browser.views import VIEWS, View

Look = Literal["light", "dark", "forced"]
LOOKS: Final[tuple[Look, ...]] = ("light", "dark", "forced")
WIDTHS: Final = (1280, 1024, 640, 390, 320)
COMBINATIONS: Final = [(look, width) for width in WIDTHS for look in LOOKS]


def cases() -> list[Any]:
    """Every view in every combination; each view's own one is looked at by `make test` too."""
    return [
        pytest.param(
            view,
            look,
            width,
            id=f"{view.__name__}-{look}-{width}",
            # 7 and 15 have no common factor: views that stand together get different looks and widths.
            marks=[] if place == number * 7 % len(COMBINATIONS) else [pytest.mark.long],
        )
        for number, view in enumerate(VIEWS)
        for place, (look, width) in enumerate(COMBINATIONS)
    ]


@pytest.mark.parametrize(("view", "look", "width"), cases())
def test_nothing_is_found_in_any_look_at_any_width(
    visited_page: Page, view: View, look: Look, width: int
) -> None:
    page = visited_page
    page.emulate_media(forced_colors="active" if look == "forced" else "none", reduced_motion="reduce")
    page.set_viewport_size({"width": 1280, "height": 800})
    view(page)
    page.evaluate(
        "look => { document.documentElement.dataset.workspace = look }", "dark" if look == "dark" else "light"
    )
    page.set_viewport_size({"width": width, "height": 800})
    # Two frames: what follows the width has been drawn again.
    page.evaluate("() => new Promise(done => requestAnimationFrame(() => requestAnimationFrame(done)))")
    assert findings(page) == []
