"""The swatches as a picture."""

from __future__ import annotations

from typing import Final

import resvg_py

from tonada.core.formats.svg_swatches import write_svg
from tonada.files.client_sheet import FONTS
from tonada.files.file_format import FileFormat, Handoff

# A PNG of a few swatches is drawn at twice the size of the SVG; of very many, at its size.
PNG_ZOOM: Final = 2.0
MOST_ZOOMED: Final = 80


def make_png(handoff: Handoff) -> bytes:
    """Return the SVG of the swatches as drawn on white."""
    svg = write_svg(handoff.sheet(), handoff.options)
    fonts = sorted(str(file) for file in map(FONTS.joinpath, _font_names()))
    zoom = PNG_ZOOM if svg.count("<rect") <= MOST_ZOOMED else 1.0
    return bytes(
        resvg_py.svg_to_bytes(
            svg_string=svg, zoom=zoom, background="#ffffff", skip_system_fonts=True, font_files=fonts
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
