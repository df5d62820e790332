"""A decoded image, ready to be read."""

from __future__ import annotations

from dataclasses import dataclass, replace
from typing import Literal, TypeAlias

import numpy as np
from numpy.typing import NDArray

from tonada.core.errors import InputError
from tonada.core.source.notes import Note

ImageFormat: TypeAlias = Literal["SVG", "PNG", "JPEG", "WEBP", "GIF", "AVIF", "BMP", "TIFF"]
Bytes8: TypeAlias = NDArray[np.uint8]


@dataclass(frozen=True, slots=True, eq=False)
class Picture:
    """The pixels that are read, reduced to about a megapixel.

    rgb       shape (height, width, 3), sRGB
    alpha     shape (height, width), or None where everything is opaque
    ycc       the YCbCr values that a JPEG really stores, before the conversion, else None
    profile   the ICC profile that `ycc` still has to go through, or None
    lossy     whether the format changes colours when it compresses
    declared  the colours that an SVG names, as 0xRRGGBB in the order of the file
    stops     those of them that are only stops of gradients
    notes     what of an SVG's paints has to be said
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
    stops: tuple[int, ...] = ()
    notes: tuple[Note, ...] = ()

    def on_white(self) -> Bytes8:
        """Return the pixels as a page shows them: what is translucent lies on white, rounded half up."""
        if self.alpha is None:
            return self.rgb
        cover = self.alpha[..., None].astype(np.float64) / 255
        mixed = self.rgb * cover + 255 * (1 - cover)
        return np.floor(mixed + 0.5).astype(np.uint8)

    def cropped(self, region: Region) -> Picture:
        """Return the part of the picture inside the region; at least one pixel."""
        height, width = self.rgb.shape[:2]
        top, left = int(region.top * height), int(region.left * width)
        bottom = max(top + 1, min(height, round((region.top + region.height) * height)))
        right = max(left + 1, min(width, round((region.left + region.width) * width)))
        rows, columns = slice(top, bottom), slice(left, right)
        return replace(
            self,
            rgb=np.ascontiguousarray(self.rgb[rows, columns]),
            alpha=None if self.alpha is None else self.alpha[rows, columns],
            ycc=None if self.ycc is None else np.ascontiguousarray(self.ycc[rows, columns]),
        )


@dataclass(frozen=True, slots=True)
class Region:
    """A part of a picture, in fractions of its width and height from the top left. Raises InputError."""

    left: float
    top: float
    width: float
    height: float

    def __post_init__(self) -> None:
        inside = 0 <= self.left < 1 and 0 <= self.top < 1 and self.width > 0 and self.height > 0
        if not inside or self.left + self.width > 1 + 1e-9 or self.top + self.height > 1 + 1e-9:
            raise InputError("The region must lie inside the picture: fractions from 0 to 1.", field="region")


def pack(rgb: Bytes8) -> NDArray[np.int32]:
    """Return 0xRRGGBB for each colour on the last axis."""
    # Laid out as the bytes of the number: a quarter of the time of shifting.
    padded = np.zeros((*rgb.shape[:-1], 4), dtype=np.uint8)
    for place in range(3):
        padded[..., place] = rgb[..., 2 - place]
    return np.asarray(padded.view("<i4")[..., 0].astype(np.int32, copy=False))


def unpack(packed: NDArray[np.int32] | list[int] | tuple[int, ...]) -> Bytes8:
    """Return 8-bit colours, channels on a new last axis, of 0xRRGGBB values."""
    wide = np.asarray(packed, dtype=np.int32)
    return np.stack([wide >> 16 & 255, wide >> 8 & 255, wide & 255], axis=-1).astype(np.uint8)
