"""What is printed stays on its paper and in its column, however long a name is."""

from __future__ import annotations

from collections.abc import Callable, Iterator
from dataclasses import replace

import numpy as np
import pypdfium2
import pytest
from numpy.typing import NDArray

from tests.takes import TAKE
from tonada.core.handoff.slots import SHIPPED, fill_slots
from tonada.files.client_sheet import ALL_PAGES, ExportHeader, page_of, pdf_of, pdf_sheet
from tonada.files.press_profile import usual_press
from tonada.files.slot_files import slot_file

# No space, and no place where a word may be broken.
NAME = "Donaudampfschifffahrtsgesellschaftskapitänsblaumusterkarte"
HEAD = ExportHeader(NAME * 2, NAME, "", None, "version 4, 26 November 2026")
LONG = replace(TAKE, swatches=tuple(replace(one, name=NAME + one.id) for one in TAKE.swatches))


def boxes_of(pdf: bytes) -> Iterator[tuple[float, NDArray[np.float64]]]:
    """Give each page's width and its letters' boxes, shape (N, 4): left, bottom, right, top, in points."""
    for page in pypdfium2.PdfDocument(pdf):
        text = page.get_textpage()
        boxes = np.array([text.get_charbox(place) for place in range(text.count_chars())])
        # The letters of a ligature have the same box, such as the three of “fff”.
        boxes = np.unique(boxes, axis=0)
        yield page.get_width(), boxes[(boxes[:, 2] > boxes[:, 0]) & (boxes[:, 3] > boxes[:, 1])]


def sheet() -> bytes:
    return pdf_sheet(LONG, HEAD, usual_press(), "A4", ALL_PAGES)


def slots() -> bytes:
    filled = fill_slots(LONG, SHIPPED[1], {})
    named = [replace(one, name=NAME, slot=replace(one.slot, name=NAME, on=NAME)) for one in filled]
    return slot_file(SHIPPED[1], named, HEAD, "pdf")


def history() -> bytes:
    take = {"name": NAME * 2, "version": 4, "digest": "ab" * 32, "colors": ["#2b3a8c"]}
    told = [("30 November 2026, 10:02 UTC", f"{NAME * 2} wrote: {NAME * 3}")]
    page = page_of(
        "history.html", embeds=False, brand=NAME * 2, takes=[take], approval=f"{NAME * 2} approved", told=told
    )
    return pdf_of(page)


@pytest.mark.parametrize("make", [sheet, slots, history], ids=lambda one: one.__name__)
def test_a_name_without_a_space_stays_on_the_paper_and_runs_over_nothing(make: Callable[[], bytes]) -> None:
    pages = list(boxes_of(make()))
    assert pages
    for width, boxes in pages:
        left, bottom, right, top = boxes.T
        assert left.min() >= 0
        assert right.max() <= width
        middle, height = (left + right) / 2, (bottom + top) / 2
        inside = (middle > left[:, None]) & (middle < right[:, None])
        inside &= (height > bottom[:, None]) & (height < top[:, None])
        assert np.array_equal(np.argwhere(inside)[:, 0], np.argwhere(inside)[:, 1]), "letters over letters"
