"""On paper: what a view shows, in its colours, without what it is worked with."""

from __future__ import annotations

from typing import Final

import pytest
from playwright.sync_api import Page
from pypdfium2 import PdfDocument

from tests.browser.views import View, harmony, pairs, roles, source, values_to_hand_off, versions

# What each view must still say on paper.
PRINTED: Final[dict[View, tuple[str, ...]]] = {
    source: ("Orrin Peak Observatory", "#2b3a8c"),
    harmony: ("Primary", "Secondary"),
    roles: ("Primary", "Muted"),
    pairs: ("Muted on Paper", "4.5:1"),
    values_to_hand_off: ("#2b3a8c", "Primary"),
    versions: ("Orrin Peak Observatory",),
}
# What is only for working with.
UNPRINTED: Final = ("Undo", "Redo", "Hand off", "Harmony\nRoles")


@pytest.mark.detail
@pytest.mark.parametrize("view", PRINTED, ids=lambda view: view.__name__)
def test_a_view_prints_what_it_shows_and_not_what_it_is_worked_with(visited_page: Page, view: View) -> None:
    page = visited_page
    view(page)
    text = "\n".join(one.get_textpage().get_text_bounded() for one in PdfDocument(page.pdf()))
    for said in PRINTED[view]:
        assert said in text
    for unsaid in UNPRINTED:
        assert unsaid not in text


@pytest.mark.detail
def test_colors_are_printed_in_a_dark_workspace_too(visited_page: Page) -> None:
    page = visited_page
    harmony(page)
    page.emulate_media(media="print")
    page.evaluate("document.documentElement.dataset.workspace = 'dark'")
    adjusted, ground = page.evaluate(
        """() => {
          const note = document.querySelector('[data-note] [role=slider]')
          return [getComputedStyle(note).printColorAdjust, getComputedStyle(document.body).backgroundColor]
        }"""
    )
    assert (adjusted, ground) == ("exact", "rgb(255, 255, 255)")
