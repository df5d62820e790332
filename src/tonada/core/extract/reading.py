"""The whole way from a file to its colours: which reader fits, the ground, the shares."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Final, Literal, TypeAlias

import numpy as np

from tonada.core.color import Hex, srgb8_to_hex, srgb8_to_oklab
from tonada.core.errors import ImageError
from tonada.core.extract.decode import check_file_size, decode_bitmap
from tonada.core.extract.ground import find_ground
from tonada.core.extract.layers import Layers
from tonada.core.extract.lossless import read_lossless, visibility
from tonada.core.extract.lossy import read_lossy
from tonada.core.extract.photo import read_photo
from tonada.core.extract.picture import ImageFormat, Picture, unpack
from tonada.core.extract.svg import decode_svg, looks_like_svg
from tonada.core.limits import MAX_FOUND_COLORS

Kind: TypeAlias = Literal["flat", "photographic"]

# Flat artwork is a file of which a few colours hold this much.
LEAST_COVERAGE_LOSSLESS: Final = 0.55
LEAST_COVERAGE_LOSSY: Final = 0.65


@dataclass(frozen=True, slots=True)
class FoundColor:
    """share: of everything visible, 0 to 1. ground_share: the part of it that is the ground."""

    hex: Hex
    share: float
    ground_share: float


@dataclass(frozen=True, slots=True)
class Extraction:
    """What was found in a file. colors: largest share first, together at most 1.

    exact: the values are those of the file, not read through compression noise.
    ground: what the artwork stands on, or None where it fills its frame or stands on nothing.
    """

    format: ImageFormat
    kind: Kind
    exact: bool
    width: int
    height: int
    ground: Hex | None
    colors: tuple[FoundColor, ...]


def extract_colors(data: bytes, *, most: int = MAX_FOUND_COLORS) -> Extraction:
    """Return the colours of an image file, at most `most` (1 to 12). The same bytes give the same answer.

    Raises ImageError or ImageTooLarge.
    """
    check_file_size(data)
    picture = decode_svg(data) if looks_like_svg(data) else decode_bitmap(data)
    kind, layers = _read(picture)
    if not len(layers.colors):
        raise ImageError("Nothing can be seen in this image: every pixel is transparent.")
    ground = find_ground(layers.labels) if kind == "flat" else None
    shares = layers.shares()
    colors = [
        FoundColor(
            hex=srgb8_to_hex(color),
            share=float(share),
            ground_share=float(share) * ground[1] if ground and ground[0] == number else 0.0,
        )
        for number, (color, share) in enumerate(zip(layers.colors, shares, strict=True))
    ]
    colors.sort(key=lambda color: -color.share)
    return Extraction(
        format=picture.format,
        kind=kind,
        exact=kind == "flat" and not picture.lossy,
        width=picture.width,
        height=picture.height,
        ground=srgb8_to_hex(layers.colors[ground[0]]) if ground else None,
        colors=tuple(colors[:most]),
    )


def _read(picture: Picture) -> tuple[Kind, Layers]:
    if picture.format == "SVG":
        return "flat", _read_drawing(picture)
    if not picture.lossy:
        layers = read_lossless(picture)
        if layers.coverage >= LEAST_COVERAGE_LOSSLESS or not len(layers.labels[layers.labels >= 0]):
            return "flat", layers
    layers = read_lossy(picture)
    if layers.coverage >= LEAST_COVERAGE_LOSSY:
        return "flat", layers
    return "photographic", read_photo(picture)


def _read_drawing(picture: Picture) -> Layers:
    """Read an SVG: what isn't a declared colour in blocks is a gradient, and belongs to its stops."""
    layers = read_lossless(picture)
    if layers.coverage >= LEAST_COVERAGE_LOSSLESS or not picture.declared:
        return layers
    stops = unpack(picture.declared)
    visible, _ = visibility(picture)
    if not visible.any():
        return layers
    pixels = srgb8_to_oklab(picture.rgb[visible])
    places = srgb8_to_oklab(stops)
    distances = np.stack([np.sum((pixels - place) ** 2, axis=-1) for place in places])
    used, nearest = np.unique(np.argmin(distances, axis=0), return_inverse=True)
    labels = np.full(visible.shape, -1, dtype=np.int16)
    labels[visible] = nearest
    return Layers(stops[used], labels, 1.0)
