"""Which pairs of colours vibrate: hard to look at together, although they are distinct.

Where two strong colours of far hues meet at a similar lightness, their edge seems to move. The effect
is described in Josef Albers, “Interaction of Color” (1963), chapter XXII, “Vibrating boundaries”. He
gives no figure; the measure here multiplies the three things that he names, each from 0 to 1, and
its limits were set on pairs of sRGB's primaries and of ink and paper. A ratio says nothing of it: cyan
on red has more than 3 to 1.
"""

from __future__ import annotations

import math
from functools import lru_cache
from typing import Final

import numpy as np
from numpy.typing import NDArray

from tonada.core.color.spaces import Floats, Hex, hex_to_oklab, hexes_to_srgb8, srgb8_to_oklab

# Two colours this far apart in OKLab's a and b count in full; as red and cyan are.
FULL_DISTANCE: Final = 0.4
# Two colours this far apart in OKLab's lightness are calm at any chroma, as yellow and blue are.
CALM_LIGHTNESS: Final = 0.45
# Half the distance counts for about a third: what is of little chroma is calm at any distance in hue.
DISTANCE_POWER: Final = 1.5
# From here on two colours vibrate.
VIBRATES_FROM: Final = 0.33

# The chroma from which a text glows at OKLab lightness 0.85, and by how much more it takes below.
NEON_CHROMA: Final = 0.22
NEON_SLOPE: Final = 0.5


def vibration_of(colors: NDArray[np.uint8], others: NDArray[np.uint8]) -> Floats:
    """Return how much each pair vibrates, 0 to 1; arrays of shape (..., 3), broadcast together.

    Twice the geometric mean of the two chromas times the sine of half the angle between their hues (the
    distance in a and b, if both had that chroma), to a power, times what is left of the lightness they
    share.
    """
    one, other = srgb8_to_oklab(colors), srgb8_to_oklab(others)
    chromas = np.hypot(one[..., 1], one[..., 2]) * np.hypot(other[..., 1], other[..., 2])
    inner = one[..., 1] * other[..., 1] + one[..., 2] * other[..., 2]
    # 2 c sin(h/2) with c² = chromas and cos h = inner / chromas.
    apart = np.sqrt(np.maximum(0.0, 2.0 * (chromas - inner)))
    near = np.maximum(0.0, 1.0 - np.abs(one[..., 0] - other[..., 0]) / CALM_LIGHTNESS)
    return np.asarray(np.minimum(1.0, apart / FULL_DISTANCE) ** DISTANCE_POWER * near)


@lru_cache(maxsize=8192)
def vibration(one: Hex, other: Hex) -> float:
    """Return how much two colours vibrate, 0 to 1: as vibration_of does, of one pair much quicker."""
    (lightness, a, b), (other_lightness, other_a, other_b) = hex_to_oklab(one), hex_to_oklab(other)
    near = 1.0 - abs(lightness - other_lightness) / CALM_LIGHTNESS
    if near <= 0.0:
        return 0.0
    chromas = float(np.hypot(a, b)) * float(np.hypot(other_a, other_b))
    apart = math.sqrt(max(0.0, 2.0 * (chromas - (a * other_a + b * other_b))))
    return float(np.power(min(1.0, apart / FULL_DISTANCE), DISTANCE_POWER)) * near


def vibrates(one: Hex, other: Hex) -> bool:
    """Return whether two colours can't be looked at as text and ground."""
    return vibration(one, other) >= VIBRATES_FROM


def glows(colors: NDArray[np.uint8]) -> NDArray[np.bool_]:
    """Say of each colour, shape (..., 3), whether a text in it glows: of a chroma that only screens have."""
    lab = srgb8_to_oklab(colors)
    limit = NEON_CHROMA + NEON_SLOPE * (0.85 - lab[..., 0])
    return np.asarray(np.hypot(lab[..., 1], lab[..., 2]) >= limit)


@lru_cache(maxsize=2048)
def is_neon(color: Hex) -> bool:
    """Return whether a text in this colour glows."""
    return bool(glows(hexes_to_srgb8((color,)))[0])
