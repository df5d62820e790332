"""Relative luminance, contrast ratio, and the contrast scale."""

from __future__ import annotations

import math
from collections.abc import Mapping
from functools import lru_cache
from typing import Final

import numpy as np

from tonada.core.color.spaces import (
    LMS_TO_LINEAR,
    OKLAB_TO_LMS,
    SRGB8_TO_LINEAR,
    Floats,
    Hex,
    Srgb8,
    hex_to_srgb8,
    linear_to_srgb,
    srgb8_to_hex,
)

# WCAG 2.2's own rounded weights, not the exact sRGB row: the standard decides who passes.
LUMINANCE_WEIGHTS: Final = np.array([0.2126, 0.7152, 0.0722])
# WCAG 2.2 adds this to both luminances for the light that a screen reflects.
FLARE: Final = 0.05
# The ends of the contrast scale, with the names they go by.
EXTREMES: Final[Mapping[Hex, str]] = {"#ffffff": "White", "#000000": "Black"}

# The term of each channel value in the luminance, shape (channel, 256), and as numbers of Python.
LUMINANCE_TERMS: Final = LUMINANCE_WEIGHTS[:, None] * SRGB8_TO_LINEAR
LUMINANCE_TERMS.setflags(write=False)
_RED, _GREEN, _BLUE = LUMINANCE_TERMS.tolist()
# What each cone response adds to the luminance.
_LMS_WEIGHTS: Final[list[float]] = (LUMINANCE_WEIGHTS[:, None] * LMS_TO_LINEAR).sum(axis=0).tolist()


def luminance_of_linear(linear: Floats) -> Floats:
    """Return Y of linear light. Source: WCAG 2.2, relative luminance."""
    # Summed in the order of the standard's formula: a matrix product may round differently.
    red, green, blue = LUMINANCE_WEIGHTS
    return np.asarray(red * linear[..., 0] + green * linear[..., 1] + blue * linear[..., 2])


def relative_luminance(srgb8: Srgb8) -> Floats:
    """Return Y, 0 to 1, of opaque 8-bit sRGB colours. Source: WCAG 2.2, relative luminance."""
    return luminance_of_linear(SRGB8_TO_LINEAR[np.asarray(srgb8)])


def ratio_of_luminances(luminance_a: Floats, luminance_b: Floats) -> Floats:
    """Return the contrast ratio, 1 to 21, not rounded. Source: WCAG 2.2, contrast ratio."""
    lighter = np.maximum(luminance_a, luminance_b)
    darker = np.minimum(luminance_a, luminance_b)
    return np.asarray((lighter + FLARE) / (darker + FLARE))


def contrast_ratio(text: Srgb8, ground: Srgb8) -> Floats:
    """Return the contrast ratio of `text` on `ground`: 1 to 21, not rounded.

    Opaque 8-bit sRGB, shapes (..., 3) that broadcast. Which of the two is the text makes no
    difference. Source: WCAG 2.2, definition of contrast ratio.
    """
    return ratio_of_luminances(relative_luminance(text), relative_luminance(ground))


def rounded_down(ratio: float, decimals: int = 2) -> str:
    """Write a ratio rounded down: 4.499 must not look like a pass, and 1.13 is no 1.12."""
    scale = 10**decimals
    cut = int(ratio * scale)
    # The product's last bit may have gone either way: 1.13 times 100 is 112.99999999999999.
    if (cut + 1) / scale <= ratio:
        cut += 1
    elif cut / scale > ratio:
        cut -= 1
    return f"{cut / scale:.{decimals}f}"


# The same values come again with every drag.
@lru_cache(maxsize=16384)
def luminance_of(value: Hex) -> float:
    """Return Y of a `#rrggbb`, bit for bit as relative_luminance; of one value much quicker."""
    red, green, blue = hex_to_srgb8(value).tolist()
    luminance: float = _RED[red] + _GREEN[green] + _BLUE[blue]
    return luminance


def ratio_between(one: Hex, other: Hex) -> float:
    """Return the contrast ratio of two opaque values, exact. Source: WCAG 2.2."""
    first, second = luminance_of(one) + FLARE, luminance_of(other) + FLARE
    return first / second if first > second else second / first


def scale_position(luminance: Floats) -> Floats:
    """Return the place on the contrast scale: 0 for black, 1 for white.

    log(Y + 0.05), stretched to 0 to 1, so that equal distance is equal contrast ratio.
    """
    return np.asarray(np.log((np.asarray(luminance) + FLARE) / FLARE) / np.log(1.05 / FLARE))


def luminance_at(position: Floats) -> Floats:
    """Return Y of a place on the contrast scale: the inverse of scale_position."""
    return np.asarray(FLARE * (1.05 / FLARE) ** np.asarray(position) - FLARE)


def lightness_of(luminance: float, chroma: float, hue: float) -> float | None:
    """Return the OKLCH lightness at which a chroma and a hue in degrees have a luminance, in sRGB or not.

    To 1e-9. The roots of LMS are lightness + k C, so luminance is a cubic in lightness: Newton's method,
    from the lightness of a grey. None where that finds nothing.
    """
    a, b = chroma * math.cos(math.radians(hue)), chroma * math.sin(math.radians(hue))
    offsets = [of_a * a + of_b * b for _, of_a, of_b in OKLAB_TO_LMS.tolist()]
    lightness: float = math.cbrt(luminance)
    for _ in range(12):
        roots = [lightness + offset for offset in offsets]
        slope = 3 * sum(weight * root * root for weight, root in zip(_LMS_WEIGHTS, roots, strict=True))
        if slope <= 0:
            return None
        found = sum(weight * root**3 for weight, root in zip(_LMS_WEIGHTS, roots, strict=True))
        lightness -= (found - luminance) / slope
        if abs(found - luminance) < 1e-10:
            return lightness
    return None


@lru_cache(maxsize=16384)
def position_of(value: Hex) -> float:
    """Return the place of a `#rrggbb` on the contrast scale, 0 to 1."""
    return float(scale_position(np.array(luminance_of(value))))


@lru_cache(maxsize=64)
def ratio_length(ratio: float) -> float:
    """Return the length on the contrast scale, 0 to 1, that a ratio of 1 to 21 takes."""
    return float(np.log(ratio) / np.log(1.05 / FLARE))


def scale_greys(number: int) -> tuple[Hex, ...]:
    """Return `number` 8-bit greys, the middles of equal lengths of the contrast scale, dark to light."""
    position = (np.arange(number) + 0.5) / number
    levels = np.floor(np.clip(linear_to_srgb(luminance_at(position)), 0, 1) * 255 + 0.5).astype(np.uint8)
    return tuple(srgb8_to_hex(np.array([level] * 3)) for level in levels)


def composite(text: Srgb8, alpha: float, ground: Srgb8) -> Srgb8:
    """Return `text` with opacity `alpha` laid over an opaque `ground`, rounded half up to 8 bits.

    In gamma-encoded sRGB, as browsers do. Source: CSS Compositing 1, simple alpha compositing.
    """
    mixed = np.asarray(text) * alpha + np.asarray(ground) * (1 - alpha)
    return np.floor(mixed + 0.5).astype(np.uint8)
