"""Neutrals: greys, pure or tinted by a hue, in as many steps as wanted, light to dark."""

from __future__ import annotations

from functools import lru_cache
from typing import Final, Literal, TypeAlias

import numpy as np

from tonada.core.color.contrast import LUMINANCE_WEIGHTS, luminance_at, scale_position
from tonada.core.color.hue_rules import NEUTRAL_BELOW, nearest_of_hue
from tonada.core.color.ramp import LEAST_STEPS, MOST_STEPS, Ramp
from tonada.core.color.spaces import (
    Floats,
    Hex,
    hex_to_oklch,
    largest_chroma,
    oklab_to_linear,
    oklch_to_oklab,
    srgb8_to_hex,
)
from tonada.core.errors import InputError

Spacing: TypeAlias = Literal["contrast", "lightness"]

# The chroma of a tint at its strongest, and the most of what sRGB has there: it stays a grey.
STRONGEST: Final = 0.06
SHARE_OF_GAMUT: Final = 0.6
LIGHT_END: Final = 0.985
DARK_END: Final = 0.17


@lru_cache(maxsize=1024)
def neutral_ramp(tint: Hex | None, strength: float, steps: int, spacing: Spacing) -> Ramp:
    """Return greys with the hue of `tint`; None, or a tint without a hue, gives pure ones.

    strength   0 for pure to 1 for a chroma of STRONGEST, or that of a near-neutral tint
    steps      3 to 21
    spacing    even on the contrast scale, or in OKLCH lightness

    The middle stands for the swatch of a Ramp. Raises InputError for steps or strength out of range.
    """
    if not LEAST_STEPS <= steps <= MOST_STEPS:
        raise InputError(f"Neutrals have {LEAST_STEPS} to {MOST_STEPS} steps.", field="steps")
    if not 0 <= strength <= 1:
        raise InputError("The strength of a tint is 0 to 1.", field="strength")
    hue, chroma = 0.0, 0.0
    if tint is not None and hex_to_oklch(tint)[1] > 1e-6:
        _, own, hue = hex_to_oklch(tint)
        # The trace of a hue that a near-neutral has is not made more of.
        chroma = strength * (STRONGEST if own >= NEUTRAL_BELOW else min(STRONGEST, own))
    colors = _by_contrast(hue, chroma, steps) if spacing == "contrast" else _by_lightness(hue, chroma, steps)
    return Ramp(colors, steps // 2)


def _by_lightness(hue: float, chroma: float, steps: int) -> tuple[Hex, ...]:
    return _greys(np.linspace(LIGHT_END, DARK_END, steps), hue, chroma)


def _by_contrast(hue: float, chroma: float, steps: int) -> tuple[Hex, ...]:
    """Find the lightness of each place on the scale: Y is nearly its cube, Newton mends the rest."""
    ends = scale_position(np.array([LIGHT_END, DARK_END]) ** 3)
    luminance = luminance_at(np.linspace(ends[0], ends[1], steps))
    lightness = np.cbrt(luminance)
    for _ in range(4):
        places = np.stack([lightness, _shaped(lightness, hue, chroma), np.full(steps, hue)], axis=-1)
        error = oklab_to_linear(oklch_to_oklab(places)) @ LUMINANCE_WEIGHTS - luminance
        lightness = np.clip(lightness - error / (3 * lightness**2), 0, 1)
    return _greys(lightness, hue, chroma)


def _greys(lightness: Floats, hue: float, chroma: float) -> tuple[Hex, ...]:
    places = np.stack([lightness, _shaped(lightness, hue, chroma), np.full(len(lightness), hue)], axis=-1)
    return tuple(srgb8_to_hex(color) for color in nearest_of_hue(places))


def _shaped(lightness: Floats, hue: float, chroma: float) -> Floats:
    if chroma == 0:
        return np.zeros(lightness.shape)
    limits = largest_chroma(lightness, np.full(lightness.shape, hue))
    return np.minimum(chroma, SHARE_OF_GAMUT * limits)
