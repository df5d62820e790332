"""Whatever is labelled with a value has that value, by the pixels: on pages, in lists, and on the sheet."""

from __future__ import annotations

import io
import re
from typing import Any

from PIL import Image
from playwright.sync_api import Frame, Locator, Page, expect

from tests.browser.conftest import open_demo
from tests.takes import TAKE
from tonada.core.formats.svg_swatches import write_svg
from tonada.files.client_sheet import ALL_PAGES, ExportHeader, html_sheet
from tonada.files.file_format import Handoff
from tonada.files.kinds import made_file
from tonada.files.press_profile import usual_press

HEX = re.compile(r"#[0-9a-f]{6}")


def corner_of(place: Locator, across: float = 0.0) -> str:
    """Return the colour that is painted in a corner of an element, a few pixels in."""
    place.scroll_into_view_if_needed()
    picture = Image.open(io.BytesIO(place.screenshot(animations="disabled"))).convert("RGB")
    at = (4 + round((picture.width - 8) * across), 4)
    return "#{:02x}{:02x}{:02x}".format(*picture.getpixel(at))


def value_in(place: Locator) -> str:
    text = place.inner_text() or place.text_content() or ""
    found = HEX.search(text)
    assert found, text
    return found[0]


def frame_of(page: Page) -> Frame:
    page.locator("[data-testid=stage] iframe").first.wait_for()
    frame = page.locator("[data-testid=stage] iframe").first.element_handle().content_frame()
    assert frame
    return frame


def test_every_tile_of_the_style_page_has_the_colour_that_it_names(page: Page) -> None:
    open_demo(page, step="proof")
    page.get_by_role("radio", name="Style", exact=True).click()
    for scheme in ("Day", "Night"):
        page.get_by_role("radio", name=scheme, exact=True).click()
        frame = frame_of(page)
        tiles = frame.locator(".chip-face")
        expect(tiles.first).to_be_visible()
        assert tiles.count() >= 7
        for tile in tiles.all():
            assert corner_of(tile) == value_in(tile), (scheme, tile.inner_text())


def test_the_measure_and_the_values_are_what_they_say(page: Page) -> None:
    open_demo(page, step="handoff")
    cells = page.get_by_test_id("measure").locator("li[data-cell]").all()
    assert len(cells) > 8
    for cell in cells:
        assert corner_of(cell.get_by_role("button").first) == value_in(cell)
    for row in page.get_by_test_id("values").locator("tbody tr").all():
        assert corner_of(row.locator(".keeps-color").first) == value_in(row)


def test_the_sheet_for_the_client_names_its_colours_rightly(page: Page) -> None:
    head = ExportHeader("Orrin Peak", "Take 1", "", version="version 1")
    page.set_content(html_sheet(TAKE, head, usual_press(), ALL_PAGES))
    areas = page.locator(".area").all()
    assert len(areas) >= 4
    for area in areas:
        # The lowest line is beneath everything that is set on the area.
        assert corner_of(area, across=1.0) == value_in(area.locator(".says"))
    for other in page.locator(".other").all():
        assert corner_of(other.locator(".chip")) == value_in(other)
    for row in page.locator("section.more tr:has(.chip)").all():
        assert corner_of(row.locator(".chip")) == value_in(row)
    uses: Any = page.locator(".use").all()
    for use in uses:
        assert corner_of(use.locator(".shown"), across=1.0) == value_in(use.locator("h3"))


def test_pictures_of_swatches_have_each_value_over_its_name() -> None:
    handoff = Handoff(TAKE, ExportHeader("Orrin Peak", "Take 1", ""))
    svg = write_svg(handoff.sheet(), handoff.options)
    picture = Image.open(io.BytesIO(made_file(handoff, "png").content)).convert("RGB")
    zoom = picture.width / int(re.search(r'width="(\d+)"', svg)[1])
    cells = re.findall(r'<rect x="(\d+)" y="(\d+)"[^>]* fill="(#[0-9a-f]{6})"(?! fill-opacity)', svg)
    labels = re.findall(r">(#[0-9a-f]{6})<", svg)
    assert len(cells) == len(labels) > 20
    for (x, y, _), label in zip(cells, labels, strict=True):
        painted = picture.getpixel((round((int(x) + 10) * zoom), round((int(y) + 10) * zoom)))
        assert "#{:02x}{:02x}{:02x}".format(*painted) == label
