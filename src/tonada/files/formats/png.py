"""The swatches as a picture; steps of many colours are several, none higher than a picture should be."""

from __future__ import annotations

from dataclasses import replace
from typing import Final

import resvg_py

from tonada.core.formats.sheet import Sheet
from tonada.core.formats.svg_swatches import height_of, per_page, write_svg
from tonada.files.client_sheet import FONTS
from tonada.files.file_format import FileFormat, Handoff, zipped

# In pixels: higher pictures are refused by some programs, and read by nobody.
MOST_HIGH: Final = 4000
# A PNG of a few swatches is drawn at twice the size of the SVG; of very many, at its size.
PNG_ZOOM: Final = 2.0
MOST_ZOOMED: Final = 80


def make_png(handoff: Handoff) -> bytes:
    """Return the SVG of the swatches as drawn on white; where they don't fit, an archive of several."""
    pages = pages_of(handoff.sheet())
    if len(pages) == 1:
        return _drawn(pages[0], handoff)
    return zipped(
        {handoff.file_name(f"-{number}.png"): _drawn(page, handoff) for number, page in enumerate(pages, 1)}
    )


def pages_of(sheet: Sheet) -> list[Sheet]:
    """Return a sheet in parts that fit into a picture each, the day before the night."""
    if height_of(sheet) * _zoom(sheet) <= MOST_HIGH:
        return [sheet]
    most = per_page(MOST_HIGH)
    by_day = [sheet.day[start : start + most] for start in range(0, len(sheet.day), most)]
    by_night = [sheet.night[start : start + most] for start in range(0, len(sheet.night), most)]
    parts = [replace(sheet, day=values, night=()) for values in by_day]
    return [*parts, *(replace(sheet, day=(), night=values) for values in by_night)]


def _zoom(sheet: Sheet) -> float:
    return PNG_ZOOM if len(sheet.day) + len(sheet.night) <= MOST_ZOOMED else 1.0


def _drawn(sheet: Sheet, handoff: Handoff) -> bytes:
    fonts = sorted(str(file) for file in map(FONTS.joinpath, _font_names()))
    zoom = PNG_ZOOM if height_of(sheet) * PNG_ZOOM <= MOST_HIGH else 1.0
    return bytes(
        resvg_py.svg_to_bytes(
            svg_string=write_svg(sheet, handoff.options),
            zoom=zoom,
            background="#ffffff",
            skip_system_fonts=True,
            font_files=fonts,
        )
    )


def _font_names() -> list[str]:
    return [file.name for file in FONTS.iterdir() if file.name.endswith(".ttf")]


FORMAT: Final = FileFormat(
    kind="png",
    name="PNG swatches",
    note="a picture",
    ending=".png",
    mimetype="image/png",
    make=make_png,
    options=True,
)
