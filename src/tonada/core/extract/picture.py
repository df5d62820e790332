"""A decoded image, ready to be read."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal, TypeAlias

import numpy as np
from numpy.typing import NDArray

ImageFormat: TypeAlias = Literal["SVG", "PNG", "JPEG", "WEBP", "GIF", "AVIF", "BMP", "TIFF"]
Bytes8: TypeAlias = NDArray[np.uint8]


@dataclass(frozen=True, slots=True, eq=False)
class Picture:
    """Pixels as they are read, at most about a megapixel of them.

    rgb       shape (height, width, 3), sRGB
    alpha     shape (height, width), or None where everything is opaque
    ycc       the YCbCr values that a JPEG really stores, before the conversion, else None
    profile   the ICC profile that `ycc` still has to go through, or None
    lossy     whether the format changes colours when it compresses
    declared  the colours that an SVG names, as 0xRRGGBB in the order of the file
    width     the width of the file in pixels, before any reduction; so the height
    """

    format: ImageFormat
    rgb: Bytes8
    alpha: Bytes8 | None
    ycc: Bytes8 | None
    profile: bytes | None
    lossy: bool
    declared: tuple[int, ...]
    width: int
    height: int


def pack(rgb: Bytes8) -> NDArray[np.int32]:
    """Return 0xRRGGBB for each colour on the last axis."""
    wide = rgb.astype(np.int32)
    return np.asarray((wide[..., 0] << 16) | (wide[..., 1] << 8) | wide[..., 2])


def unpack(packed: NDArray[np.int32] | list[int] | tuple[int, ...]) -> Bytes8:
    """Return 8-bit colours, channels on a new last axis, of 0xRRGGBB values."""
    wide = np.asarray(packed, dtype=np.int32)
    return np.stack([wide >> 16 & 255, wide >> 8 & 255, wide & 255], axis=-1).astype(np.uint8)
