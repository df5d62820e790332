"""The nearest colour that reaches a contrast ratio against another."""

from __future__ import annotations

from typing import Final

import numpy as np
from numpy.typing import NDArray

from tonada.core.color import (
    Floats,
    Hex,
    delta_e_ok,
    hex_to_srgb8,
    hue_distance,
    oklch_to_srgb8,
    srgb8_to_hex,
    srgb8_to_oklab,
    srgb8_to_oklch,
)
from tonada.core.contrast import contrast_ratio, ratio_of_luminances, relative_luminance
from tonada.core.errors import NotReachable

# “The same hue” after rounding to 8 bits, in degrees; below this chroma there is no hue to keep.
HUE_TOLERANCE: Final = 2.0
HUELESS_BELOW: Final = 0.02
_CUBE: Final = np.stack(np.meshgrid(*[np.arange(-2, 3)] * 3, indexing="ij"), axis=-1).reshape(-1, 3)


def mend_color(moving: Hex, fixed: Hex, ratio: float) -> tuple[Hex, float]:
    """Return the colour nearest to `moving` that reaches `ratio` against `fixed`, and its deltaEOK.

    The hue stays within 2° in OKLCH, and a neutral stays a neutral. Searched over lightness and
    chroma, then among the 8-bit colours around the best place, so the rounded colour reaches the
    ratio. Raises NotReachable where neither black nor white does.
    """
    start, ground = hex_to_srgb8(moving), hex_to_srgb8(fixed)
    if float(contrast_ratio(start, ground)) >= ratio:
        return moving, 0.0
    extremes = np.array([[0, 0, 0], [255, 255, 255]], dtype=np.uint8)
    best_possible = float(contrast_ratio(extremes, ground).max())
    if best_possible < ratio:
        raise NotReachable(ratio, best_possible)
    origin, place = srgb8_to_oklab(start), srgb8_to_oklch(start)
    needed = relative_luminance(ground)
    found = [extremes]
    for lightness_span in ((0.0, float(place[0])), (float(place[0]), 1.0)):
        centers = _search_plane(place, lightness_span, origin, needed, ratio)
        found.append(_around(centers, place))
    colors = np.concatenate(found)
    passing = colors[ratio_of_luminances(relative_luminance(colors), needed) >= ratio]
    distance = delta_e_ok(srgb8_to_oklab(passing), origin)
    nearest = int(np.argmin(distance))
    return srgb8_to_hex(passing[nearest]), float(distance[nearest])


def _search_plane(
    place: Floats, span: tuple[float, float], origin: Floats, ground_luminance: Floats, ratio: float
) -> NDArray[np.uint8]:
    """Return the best colours, shape (N, 3), of lightness in `span` and any chroma up to a little more."""
    low, high = span
    chroma_low, chroma_high = 0.0, float(place[1]) * 1.1
    best = np.zeros((0, 3), dtype=np.uint8)
    for _ in range(3):
        lightness, chroma = np.meshgrid(
            np.linspace(low, high, 48), np.linspace(chroma_low, chroma_high, 12), indexing="ij"
        )
        oklch = np.stack([lightness, chroma, np.full(lightness.shape, place[2])], axis=-1).reshape(-1, 3)
        colors = oklch_to_srgb8(oklch)
        passes = ratio_of_luminances(relative_luminance(colors), ground_luminance) >= ratio
        if not passes.any():
            break
        distance = np.where(passes, delta_e_ok(srgb8_to_oklab(colors), origin), np.inf)
        best = colors[np.argsort(distance, kind="stable")[:4]]
        center = oklch[int(np.argmin(distance))]
        reach, width = (high - low) / 40, (chroma_high - chroma_low) / 8
        low, high = max(0.0, center[0] - reach), min(1.0, center[0] + reach)
        chroma_low, chroma_high = max(0.0, center[1] - width), center[1] + width
    return best


def _around(centers: NDArray[np.uint8], place: Floats) -> NDArray[np.uint8]:
    """Return the 8-bit colours close to the centers that keep hue, or stay neutral."""
    if not len(centers):
        return centers
    cube = np.clip(centers.astype(np.int64)[:, None] + _CUBE[None], 0, 255).reshape(-1, 3)
    colors = np.unique(cube, axis=0).astype(np.uint8)
    oklch = srgb8_to_oklch(colors)
    if place[1] < HUELESS_BELOW:
        return np.asarray(colors[oklch[:, 1] < HUELESS_BELOW])
    near = hue_distance(oklch[:, 2], place[2]) <= HUE_TOLERANCE
    return np.asarray(colors[near | (oklch[:, 1] < 1e-6)])
