"""Where a colour goes that is moved on the stave: hue across, the contrast scale up."""

from __future__ import annotations

from typing import Final

import numpy as np
from numpy.typing import NDArray

from tonada.core.color.contrast import (
    contrast_ratio,
    lightness_of,
    luminance_at,
    luminance_of_linear,
    position_of,
    ratio_length,
    relative_luminance,
    scale_position,
)
from tonada.core.color.hue_rules import nearest_of_hue
from tonada.core.color.spaces import (
    Hex,
    delta_e_ok,
    hex_to_srgb8,
    is_in_gamut,
    largest_chroma,
    oklab_to_linear,
    oklch_to_oklab,
    srgb8_to_hex,
    srgb8_to_oklab,
)
from tonada.core.color.wcag import NAMED_RATIOS

# The ratios whose lines stand on the stave: large text and parts, body text, enhanced.
LINES: Final = NAMED_RATIOS
# A note that is let go this close to a line settles on it.
SETTLE_WITHIN: Final = 0.009
_STEPS: Final = 25
_EDGE_PARTS: Final = 33
# Below this lightness the steps of 8 bits are so wide that more is looked through.
_COARSE_BELOW: Final = 0.25
_COARSE_REACH: Final = 0.03
_WEB_SAFE: Final = np.stack(
    np.meshgrid(*[np.arange(0, 256, 51)] * 3, indexing="ij"), axis=-1
).reshape(-1, 3).astype(np.uint8)  # fmt: skip


def color_at_position(position: float, chroma: float, hue: float) -> Hex:
    """Return the colour of this hue whose place on the contrast scale (0 to 1) is nearest.

    It has the chroma asked for, or as much of it as sRGB has there.
    """
    colors = _column(position, chroma, hue)
    away = np.abs(scale_position(relative_luminance(colors)) - position)
    return srgb8_to_hex(colors[int(np.argmin(away))])


def _column(position: float, chroma: float, hue: float, reach: float = 0.004) -> NDArray[np.uint8]:
    """Return 8-bit colours of this hue and chroma around a place on the contrast scale, dark to light.

    reach: how far on both sides, in lightness.
    """
    lightness = _lightness_at(position, chroma, hue % 360)
    if lightness < _COARSE_BELOW:
        reach = max(reach, _COARSE_REACH)
    fine = np.linspace(max(0.0, lightness - reach), min(1.0, lightness + reach), _STEPS)
    return nearest_of_hue(np.stack([fine, np.full(_STEPS, chroma), np.full(_STEPS, hue % 360)], axis=-1))


def _lightness_at(position: float, chroma: float, hue: float) -> float:
    """Return the OKLCH lightness of a place on the contrast scale, with as much chroma as sRGB has there."""
    found = lightness_of(float(luminance_at(np.array(position))), chroma, hue)
    if found is not None and is_in_gamut(oklab_to_linear(oklch_to_oklab(np.array([found, chroma, hue])))):
        return found
    # Along the edge of the gamut luminance rises with lightness, if not smoothly.
    edge = np.linspace(0, 1, _EDGE_PARTS)
    hues = np.full(_EDGE_PARTS, hue)
    chromas = np.minimum(chroma, largest_chroma(edge, hues))
    linear = oklab_to_linear(oklch_to_oklab(np.stack([edge, chromas, hues], axis=-1)))
    places = scale_position(np.maximum(0, luminance_of_linear(linear)))
    return float(np.interp(position, places, edge))


def settled(position: float, chroma: float, hue: float, ground: Hex) -> Hex:
    """Return the colour at the position, or on the line of LINES that is close to it.

    A colour that settles reaches the line's ratio: it lies on it or just beyond.
    """
    here = position_of(ground)
    for ratio in LINES:
        length = ratio_length(ratio)
        for line in (here - length, here + length):
            if abs(position - line) <= SETTLE_WITHIN and 0 <= line <= 1:
                return _on_line(line, chroma, hue, ground, ratio)
    return color_at_position(position, chroma, hue)


def _on_line(line: float, chroma: float, hue: float, ground: Hex, ratio: float) -> Hex:
    colors = _column(line, chroma, hue, reach=0.012)
    reaches = contrast_ratio(colors, hex_to_srgb8(ground)) >= ratio
    away = np.abs(scale_position(relative_luminance(colors)) - line)
    return srgb8_to_hex(colors[int(np.argmin(np.where(reaches, away, away + 10)))])


def same_luminance(color: Hex, hue: float, chroma: float) -> Hex:
    """Return the colour of another hue and chroma at the same place on the contrast scale."""
    return color_at_position(position_of(color), chroma, hue)


def web_safe(color: Hex) -> Hex:
    """Return the nearest of the 216 colours whose channels are multiples of 51, by deltaEOK."""
    away = delta_e_ok(srgb8_to_oklab(_WEB_SAFE), srgb8_to_oklab(hex_to_srgb8(color)))
    return srgb8_to_hex(_WEB_SAFE[int(np.argmin(away))])
