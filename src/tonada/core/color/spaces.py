"""Colour spaces, hex values and the sRGB gamut.

Arrays carry their channels on the last axis, any leading axes are allowed, inputs are never
written to, and NaN stays NaN. The name of a value tells its encoding:

srgb8   uint8 or int, 0 to 255, gamma encoded
srgb    float64, 0 to 1, gamma encoded
linear  float64, 0 to 1, linear light
oklab   float64, L 0 to 1, a and b around -0.4 to 0.4
oklch   float64, L 0 to 1, C 0 to about 0.4, h in degrees 0 to 360; h of a neutral is 0
"""

from __future__ import annotations

import math
import re
from functools import lru_cache
from typing import Any, Final, TypeAlias

import numpy as np
from numpy.typing import NDArray

from tonada.core.errors import ColorError

Floats: TypeAlias = NDArray[np.float64]
Srgb8: TypeAlias = NDArray[np.integer[Any]]
Hex: TypeAlias = str

HEX_PATTERN: Final = re.compile(r"#[0-9a-f]{6}\Z")

# CSS Color 4, sample code "Conversion functions": sRGB (linear, D65) to XYZ and XYZ to LMS, as one matrix.
_LINEAR_TO_XYZ: Final = np.array(
    [
        [506752 / 1228815, 87881 / 245763, 12673 / 70218],
        [87098 / 409605, 175762 / 245763, 12673 / 175545],
        [7918 / 409605, 87881 / 737289, 1001167 / 1053270],
    ]
)
_XYZ_TO_LMS: Final = np.array(
    [
        [0.8190224379967030, 0.3619062600528904, -0.1288737815209879],
        [0.0329836539323885, 0.9292868615863434, 0.0361446663506424],
        [0.0481771893596242, 0.2642395317527308, 0.6335478284694309],
    ]
)
_LMS_TO_OKLAB: Final = np.array(
    [
        [0.2104542683093140, 0.7936177747023054, -0.0040720430116193],
        [1.9779985324311684, -2.4285922420485799, 0.4505937096174110],
        [0.0259040424655478, 0.7827717124575296, -0.8086757549230774],
    ]
)
_LINEAR_TO_LMS: Final = _XYZ_TO_LMS @ _LINEAR_TO_XYZ
LMS_TO_LINEAR: Final = np.linalg.inv(_LINEAR_TO_LMS)
OKLAB_TO_LMS: Final = np.linalg.inv(_LMS_TO_OKLAB)

# Below this chroma a hue is only rounding: the neutrals of 8-bit sRGB come out under 4e-8.
NEUTRAL_CHROMA: Final = 1e-6


# By the number of axes: the last one first, and back. np.moveaxis finds the same in ten times the time.
_AXES: Final = tuple(((count - 1, *range(count - 1)), (*range(1, count), 0)) for count in range(9))


def _transform(matrix: Floats, vectors: Floats) -> Floats:
    """Return the matrix applied to each vector on the last axis.

    Written out: a matrix product rounds differently with the number of vectors and the machine,
    and the same input has to give the same output, bit for bit. The result is laid out in columns,
    which whatever follows is quicker with.
    """
    to_front, to_back = _AXES[vectors.ndim]
    return _transform_columns(matrix, vectors.transpose(to_front)).transpose(to_back)


def _transform_columns(matrix: Floats, columns: Floats) -> Floats:
    """Return the matrix applied to each vector on the first axis."""
    x, y, z = columns
    first, second, third = matrix.T.reshape(3, 3, *(1 for _ in x.shape))
    return np.asarray(first * x + second * y + third * z)


def srgb_to_linear(srgb: Floats) -> Floats:
    """Return linear light. Source: IEC 61966-2-1 with the threshold 0.04045 (as WCAG 2.2)."""
    srgb = np.asarray(srgb, dtype=np.float64)
    return np.where(srgb <= 0.04045, srgb / 12.92, ((np.maximum(srgb, 0) + 0.055) / 1.055) ** 2.4)


def linear_to_srgb(linear: Floats) -> Floats:
    """Return gamma-encoded sRGB; values below 0 are mirrored as CSS Color 4 does."""
    linear = np.asarray(linear, dtype=np.float64)
    size = np.abs(linear)
    encoded = np.where(size <= 0.0031308, 12.92 * size, 1.055 * size ** (1 / 2.4) - 0.055)
    return np.copysign(encoded, linear)


SRGB8_TO_LINEAR: Final = srgb_to_linear(np.arange(256) / 255)
SRGB8_TO_LINEAR.setflags(write=False)
# What each value of each channel adds to the cone responses, shape (channel, LMS, 256). Their sum in
# the order of red, green, blue is what linear_to_oklab takes the cube roots of, bit for bit.
LMS_TERMS: Final = np.ascontiguousarray((_LINEAR_TO_LMS[:, :, None] * SRGB8_TO_LINEAR).swapaxes(0, 1))
LMS_TERMS.setflags(write=False)


def linear_to_oklab(linear: Floats) -> Floats:
    """Return OKLab. Source: CSS Color 4, section 9.3 and its sample code."""
    lms = np.cbrt(_transform(_LINEAR_TO_LMS, np.asarray(linear, dtype=np.float64)))
    return _transform(_LMS_TO_OKLAB, lms)


def lms_to_oklab(lms: Floats) -> Floats:
    """Return OKLab of cone responses, both as columns, shape (3, N): much quicker than rows of three."""
    return _transform_columns(_LMS_TO_OKLAB, np.cbrt(lms))


def oklab_to_linear(oklab: Floats) -> Floats:
    """Return linear light, outside 0 to 1 where the colour is outside the sRGB gamut."""
    roots = _transform(OKLAB_TO_LMS, np.asarray(oklab, dtype=np.float64))
    return _transform(LMS_TO_LINEAR, roots * roots * roots)


def oklab_to_oklch(oklab: Floats) -> Floats:
    """Return OKLCH; the hue of a neutral, which does not exist, is given as 0."""
    oklab = np.asarray(oklab, dtype=np.float64)
    chroma = np.hypot(oklab[..., 1], oklab[..., 2])
    hue = np.degrees(np.arctan2(oklab[..., 2], oklab[..., 1])) % 360
    return np.stack([oklab[..., 0], chroma, np.where(chroma < NEUTRAL_CHROMA, 0.0, hue)], axis=-1)


def oklch_to_oklab(oklch: Floats) -> Floats:
    """Return OKLab."""
    oklch = np.asarray(oklch, dtype=np.float64)
    angle = np.radians(oklch[..., 2])
    return np.stack([oklch[..., 0], oklch[..., 1] * np.cos(angle), oklch[..., 1] * np.sin(angle)], axis=-1)


def srgb8_to_oklab(srgb8: Srgb8) -> Floats:
    """Return OKLab of 8-bit colours."""
    return linear_to_oklab(SRGB8_TO_LINEAR[np.asarray(srgb8)])


def srgb8_to_oklch(srgb8: Srgb8) -> Floats:
    """Return OKLCH of 8-bit colours."""
    return oklab_to_oklch(srgb8_to_oklab(srgb8))


def is_in_gamut(linear: Floats, *, tolerance: float = 1e-7) -> NDArray[np.bool_]:
    """Return a mask of colours whose linear channels are all in 0 to 1, within `tolerance`."""
    return np.asarray(np.all((linear >= -tolerance) & (linear <= 1 + tolerance), axis=-1))


def largest_chroma(lightness: Floats, hue: Floats) -> Floats:
    """Return the largest OKLCH chroma inside sRGB at each lightness (0 to 1) and hue (degrees).

    To 1e-6. Around blue the gamut is hollow, so this is the first way out from the neutral axis,
    which is the one that keeps everything below it inside too.
    """
    lightness, hue = np.broadcast_arrays(
        np.asarray(lightness, dtype=np.float64), np.asarray(hue, dtype=np.float64)
    )
    cubic = _chroma_cubics(lightness, hue)
    # A few colours cost as much as one: cut each span into many parts at once. Many colours: halve it.
    parts, passes = (80, 3) if lightness.size <= 256 else (2, 19)
    low, width = np.zeros(lightness.shape), 0.5
    cuts = np.arange(1, parts)
    for _ in range(passes):
        width /= parts
        chroma = low[..., None] + width * cuts
        value = cubic[3][..., None]
        for coefficient in (cubic[2], cubic[1], cubic[0]):
            value = value * chroma[..., None, :] + coefficient[..., None]
        inside = np.all((value >= -1e-7) & (value <= 1 + 1e-7), axis=-2)
        low = low + width * np.where(inside.all(axis=-1), parts - 1, np.argmin(inside, axis=-1))
    return np.asarray(low)


def _chroma_cubics(lightness: Floats, hue: Floats) -> tuple[Floats, Floats, Floats, Floats]:
    """Return coefficients, shapes (..., 3), of red, green and blue in linear light as cubics in chroma.

    The cube roots of LMS are linear in chroma, lightness + k C; so each channel is a cubic in it.
    """
    angle = np.radians(hue)[..., None]
    k = OKLAB_TO_LMS[:, 1] * np.cos(angle) + OKLAB_TO_LMS[:, 2] * np.sin(angle)
    base = lightness[..., None] * OKLAB_TO_LMS[:, 0]
    terms = np.stack([base * base * base, 3 * base * base * k, 3 * base * k * k, k * k * k])
    zeroth, first, second, third = _transform(LMS_TO_LINEAR, terms)
    return zeroth, first, second, third


def oklch_to_srgb8(oklch: Floats) -> NDArray[np.uint8]:
    """Return the nearest 8-bit sRGB colour of the same lightness and hue.

    A colour outside the gamut loses chroma until it is inside; lightness is clamped to 0 to 1.
    Source: CSS Color 4, section 13.2, gamut mapping by chroma reduction in OKLCH, without the
    closing local clip, which would turn the hue.
    """
    oklch = np.array(oklch, dtype=np.float64)
    oklch[..., 0] = np.clip(oklch[..., 0], 0, 1)
    linear = oklab_to_linear(oklch_to_oklab(oklch))
    outside = ~is_in_gamut(linear)
    if np.any(outside):
        limit = largest_chroma(oklch[..., 0], oklch[..., 2])
        oklch[..., 1] = np.where(outside, np.minimum(oklch[..., 1], limit), oklch[..., 1])
        linear = oklab_to_linear(oklch_to_oklab(oklch))
    srgb = np.clip(linear_to_srgb(linear), 0, 1)
    return np.floor(srgb * 255 + 0.5).astype(np.uint8)


def delta_e_ok(oklab_a: Floats, oklab_b: Floats) -> Floats:
    """Return the distance in OKLab, 0 to about 1. Source: CSS Color 4, deltaEOK."""
    away = np.asarray(oklab_a) - np.asarray(oklab_b)
    return np.asarray(np.sqrt((away * away).sum(axis=-1)))


def difference_between(one: Hex, other: Hex) -> float:
    """Return deltaEOK of two values `#rrggbb`."""
    return math.dist(hex_to_oklab(one), hex_to_oklab(other))


def hue_distance(hue_a: Floats | float, hue_b: Floats | float) -> Floats:
    """Return the angle between two hues in degrees, 0 to 180."""
    return np.asarray(np.abs((np.asarray(hue_a) - np.asarray(hue_b) + 180) % 360 - 180))


def hex_to_srgb8(value: Hex) -> NDArray[np.uint8]:
    """Return the shape (3,) of a `#rrggbb` in lower case. Raises ColorError for anything else."""
    if not HEX_PATTERN.match(value):
        raise ColorError(f"“{value[:40]}” is not a colour like #2b3a8c.", field="hex")
    return np.frombuffer(bytes.fromhex(value[1:]), dtype=np.uint8)


def hexes_to_srgb8(values: list[Hex] | tuple[Hex, ...]) -> NDArray[np.uint8]:
    """Return the shape (N, 3). Raises ColorError for the first that is not `#rrggbb`."""
    if not values:
        return np.zeros((0, 3), dtype=np.uint8)
    return np.stack([hex_to_srgb8(value) for value in values])


@lru_cache(maxsize=4096)
def hex_to_oklab(value: Hex) -> tuple[float, float, float]:
    """Return OKLab of a `#rrggbb`, bit for bit as srgb8_to_oklab. Raises ColorError for anything else.

    Remembered: a drag asks many times for a dozen values, of which one is new.
    """
    red, green, blue = LMS_TERMS[range(3), :, hex_to_srgb8(value)]
    lightness, a, b = lms_to_oklab((red + green + blue)[:, None])[:, 0].tolist()
    return lightness, a, b


@lru_cache(maxsize=4096)
def hex_to_oklch(value: Hex) -> tuple[float, float, float]:
    """Return lightness, chroma and hue of a `#rrggbb`. Raises ColorError for anything else."""
    lightness, chroma, hue = oklab_to_oklch(np.array(hex_to_oklab(value))).tolist()
    return lightness, chroma, hue


def srgb8_to_hex(srgb8: Srgb8) -> Hex:
    """Return `#rrggbb` of one 8-bit colour, in lower case."""
    return f"#{bytes(srgb8.tolist()).hex()}"
