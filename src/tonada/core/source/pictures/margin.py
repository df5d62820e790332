"""The margin around artwork: an empty canvas, beside which every colour of the artwork looks small."""

from __future__ import annotations

from dataclasses import replace
from typing import Final

import numpy as np

from tonada.core.source.pictures.canvas import drawn_pixels
from tonada.core.source.pictures.lossless import visibility
from tonada.core.source.pictures.picture import Picture
from tonada.core.source.pictures.unmix import BLOCK

# Less than this share of the area isn't worth cutting off.
LEAST_CUT: Final = 0.15
# Of the canvas so much stays around the artwork, of its longer side and in pixels: it is still the ground.
RIM: Final = 0.03
LEAST_RIM: Final = 4
# A row or column with fewer pixels of another colour is still canvas: specks of dust.
LEAST_PIXELS: Final = 2


def trimmed(picture: Picture) -> tuple[Picture, float]:
    """Return a picture without its margin but for a rim, and what share of all that is visible was cut.

    The picture itself and 0 where there is no canvas of one colour around it, or hardly any.
    """
    rgb = picture.rgb
    visible, _ = visibility(picture)
    drawn = drawn_pixels(rgb, visible)
    if drawn is None:
        return picture, 0.0
    rows = np.flatnonzero(np.count_nonzero(drawn, axis=1) >= LEAST_PIXELS)
    columns = np.flatnonzero(np.count_nonzero(drawn, axis=0) >= LEAST_PIXELS)
    if not rows.size or not columns.size:
        return picture, 0.0
    rim = max(LEAST_RIM, round(RIM * max(rows[-1] - rows[0], columns[-1] - columns[0])))
    down = slice(_at_block(int(rows[0]) - rim), int(rows[-1]) + 1 + rim)
    across = slice(_at_block(int(columns[0]) - rim), int(columns[-1]) + 1 + rim)
    cut = 1 - np.count_nonzero(visible[down, across]) / np.count_nonzero(visible)
    if cut < LEAST_CUT:
        return picture, 0.0
    part = replace(
        picture,
        rgb=np.ascontiguousarray(rgb[down, across]),
        alpha=None if picture.alpha is None else picture.alpha[down, across],
        ycc=None if picture.ycc is None else np.ascontiguousarray(picture.ycc[down, across]),
    )
    return part, float(cut)


def _at_block(place: int) -> int:
    """Return where the block of the file starts that holds a row or column."""
    return max(0, place) // BLOCK * BLOCK
