"""The size of a drawing in pixels, whatever unit it is written in.

Source: SVG 2, section 8.9 (units), CSS Values and Units 4, section 6.2 (a pixel is a 96th of an inch).
"""

from __future__ import annotations

import math
import re
from typing import Final
from xml.etree.ElementTree import Element

_LENGTH: Final = re.compile(
    r"\s*\+?(\d*\.?\d+(?:e[-+]?\d+)?)\s*(px|pt|pc|mm|cm|in|q|r?em|ex)?\s*", re.IGNORECASE
)
_PIXELS: Final = {
    "": 1.0, "px": 1.0, "in": 96.0, "pt": 96 / 72, "pc": 16.0, "cm": 96 / 2.54, "mm": 96 / 25.4,
    "q": 96 / 101.6, "em": 16.0, "rem": 16.0, "ex": 8.0,
}  # fmt: skip
_SIDES: Final = ("width", "height")


def give_size(root: Element) -> None:
    """Write width and height of a drawing as pixels; a side that is missing follows from its view box.

    What draws takes numbers alone. A drawing without any size stays as it is.
    """
    sides = [_pixels(root.get(side)) for side in _SIDES]
    box = _view_box(root)
    if box:
        if sides[0] is None and sides[1] is None:
            sides = [*box]
        elif sides[0] is None and sides[1] is not None:
            sides[0] = sides[1] * box[0] / box[1]
        elif sides[1] is None and sides[0] is not None:
            sides[1] = sides[0] * box[1] / box[0]
    for side, pixels in zip(_SIDES, sides, strict=True):
        if pixels is not None:
            root.set(side, f"{pixels:.6f}")


def _pixels(written: str | None) -> float | None:
    """Return a length in pixels; None for a share of what is around, and for what is none."""
    found = _LENGTH.fullmatch(written or "")
    pixels = float(found[1]) * _PIXELS[(found[2] or "").lower()] if found else 0.0
    return pixels if 0 < pixels < math.inf else None


def _view_box(root: Element) -> tuple[float, float] | None:
    numbers = re.split(r"[\s,]+", root.get("viewBox", "").strip())
    try:
        width, height = (float(number) for number in numbers[2:4])
    except ValueError:
        return None
    return (width, height) if 0 < width < math.inf and 0 < height < math.inf else None
