"""The circles that hue rules turn on: which hue stands opposite which depends on whom one asks.

perceptual  hue in OKLCH, as evenly as it is seen (Björn Ottosson, “A perceptual color space for image
            processing”, 2020)
light       hue of sRGB as HSL has it, the circle of mixing light: red, green and blue a third apart (CSS
            Color 4, section 7)
painter     the twelve-part circle of Johannes Itten (“The Art of Color”, 1961), where yellow, red and blue
            are a third apart: orange stands opposite blue, green opposite red, violet opposite yellow. He
            painted it; the colours of sRGB that stand for its parts are ours, in _PAINTED.

Angles are degrees. Between its points each circle runs evenly, and every hue has one place on each.
"""

from __future__ import annotations

from collections.abc import Mapping
from functools import lru_cache
from typing import Final, Literal, TypeAlias

import numpy as np

from tonada.core.color.spaces import Floats, hex_to_oklch

Circle: TypeAlias = Literal["perceptual", "painter", "light"]
CIRCLES: Final[Mapping[Circle, str]] = {
    "perceptual": "as evenly as hues are seen",
    "painter": "orange opposite blue, green opposite red",
    "light": "cyan opposite red, magenta opposite green",
}

# The corners of sRGB, every 60 degrees of HSL; near blue OKLCH's hue hardly changes, so no finer.
_CORNERS: Final = ("#ff0000", "#ffff00", "#00ff00", "#00ffff", "#0000ff", "#ff00ff", "#ff0000")
# Of the painter's circle every 30 degrees: red, red-orange, orange, yellow-orange, yellow, yellow-green,
# green, blue-green, blue, blue-violet, violet, red-violet.
_PAINTED: Final = (
    "#ff0000", "#ff4a00", "#ff8000", "#ffb000", "#ffe800", "#a8e000",
    "#00b050", "#00a8a8", "#0060ff", "#5030e8", "#9000e0", "#d00080", "#ff0000",
)  # fmt: skip


def on_circle(hue: float, circle: Circle) -> float:
    """Return where a hue of OKLCH stands on a circle, 0 to 360."""
    if circle == "perceptual":
        return hue % 360
    hues, angles = _points(circle)
    # The points begin at the hue of red, and go once around.
    return float(np.interp((hue - hues[0]) % 360 + hues[0], hues, angles)) % 360


def from_circle(angle: float, circle: Circle) -> float:
    """Return the hue of OKLCH, 0 to 360, that is at an angle of a circle."""
    if circle == "perceptual":
        return angle % 360
    hues, angles = _points(circle)
    return float(np.interp(angle % 360, angles, hues)) % 360


def turned(hue: float, angle: float, circle: Circle = "perceptual") -> float:
    """Return the hue of OKLCH that is at an angle from another one on a circle."""
    return from_circle(on_circle(hue, circle) + angle, circle)


def angle_between(hue: float, other: float, circle: Circle = "perceptual") -> float:
    """Return the angle on a circle from a hue of OKLCH to another one, 0 to 360."""
    return (on_circle(other, circle) - on_circle(hue, circle)) % 360


@lru_cache(maxsize=len(CIRCLES))
def _points(circle: Circle) -> tuple[Floats, Floats]:
    """Return hues of OKLCH, rising, and their angles on a circle, from red once around."""
    marks = _CORNERS if circle == "light" else _PAINTED
    hues = np.array([hex_to_oklch(value)[2] for value in marks])
    return np.degrees(np.unwrap(np.radians(hues))), np.linspace(0.0, 360.0, len(marks))
