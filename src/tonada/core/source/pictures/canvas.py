"""The canvas that artwork was drawn on: pixels like those in all four corners."""

from __future__ import annotations

from typing import Final

import numpy as np

from tonada.core.source.pictures.layers import Mask
from tonada.core.source.pictures.picture import Bytes8

# Levels by which the canvas of a lossy file may differ from its corner.
CANVAS_NOISE: Final = 12
# However little is drawn, so much of the area counts as artwork: else specks would be colours.
LEAST_ARTWORK: Final = 0.1


def drawn_pixels(rgb: Bytes8, visible: Mask) -> Mask | None:
    """Return which pixels are not the canvas's, transparent ones included, or None where corners differ."""
    corners = rgb[[0, 0, -1, -1], [0, -1, 0, -1]].astype(np.int16)
    if not visible[[0, 0, -1, -1], [0, -1, 0, -1]].all() or np.ptp(corners, axis=0).max() > CANVAS_NOISE:
        return None
    canvas = np.median(corners, axis=0)
    low = np.clip(canvas - CANVAS_NOISE, 0, 255).astype(np.uint8)
    high = np.clip(canvas + CANVAS_NOISE, 0, 255).astype(np.uint8)
    return np.asarray(((rgb < low) | (rgb > high)).any(axis=-1) | ~visible)


def artwork_size(rgb: Bytes8, visible: Mask) -> float:
    """Return of how many pixels the shares of small colours are counted: what is visible, less the canvas."""
    total = int(np.count_nonzero(visible))
    drawn = drawn_pixels(rgb, visible)
    if drawn is None:
        return total
    return max(LEAST_ARTWORK * total, float(np.count_nonzero(drawn & visible)))
