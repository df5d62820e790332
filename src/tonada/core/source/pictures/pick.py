"""Single pixels looked at closely: what a magnifier shows, and the mean of a small square."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Final

import numpy as np

from tonada.core.color.spaces import SRGB8_TO_LINEAR, Hex, linear_to_srgb, srgb8_to_hex
from tonada.core.errors import ImageError, InputError
from tonada.core.source.pictures.decode import decode_bitmap
from tonada.core.source.pictures.picture import Picture
from tonada.core.source.pictures.svg import draw_svg, looks_like_svg

# Sides of the square that is averaged, in pixels.
SQUARES: Final = (1, 3, 5, 11)
# Side of what the magnifier shows, in pixels.
LOUPE_SIZE: Final = 15
# A picture is kept at this many pixels at most for picking; a camera's twelve fit.
PICKING_PIXELS: Final = 12_500_000
SVG_SIZE: Final = 1600


@dataclass(frozen=True, slots=True)
class Loupe:
    """The colour at a place, and the pixels around it.

    hex      the mean over the square, in linear light, of what is visible; None where nothing is
    pixels   rows from the top, LOUPE_SIZE each way; None outside the picture or where it is transparent
    x, y     the pixel, from the top left
    """

    hex: Hex | None
    pixels: tuple[tuple[Hex | None, ...], ...]
    x: int
    y: int


def decode_for_picking(data: bytes) -> Picture:
    """Return the picture with its own pixels, reduced only above PICKING_PIXELS; an SVG drawn smooth.

    Raises ImageError.
    """
    if not looks_like_svg(data):
        return decode_bitmap(data, working_pixels=PICKING_PIXELS)
    pixels = np.asarray(draw_svg(data, SVG_SIZE))
    rgb, alpha = np.ascontiguousarray(pixels[..., :3]), np.ascontiguousarray(pixels[..., 3])
    height, width = alpha.shape
    return Picture("SVG", rgb, alpha, None, None, False, (), width, height)


def look_at(picture: Picture, x: float, y: float, square: int = 1) -> Loupe:
    """Return what the magnifier shows at a place given in fractions of width and height, 0 to 1.

    square: the side of what is averaged, one of SQUARES. Raises InputError.
    """
    if square not in SQUARES:
        raise InputError(f"The square may be {', '.join(map(str, SQUARES))} pixels wide.", field="square")
    if not (0 <= x <= 1 and 0 <= y <= 1):
        raise InputError("The place must lie in the picture: 0 to 1 each way.", field="x")
    height, width = picture.rgb.shape[:2]
    if not height or not width:
        raise ImageError("The picture has no pixels.")
    column, row = min(int(x * width), width - 1), min(int(y * height), height - 1)
    return Loupe(_mean(picture, row, column, square), _around(picture, row, column), column, row)


def _mean(picture: Picture, row: int, column: int, square: int) -> Hex | None:
    half = square // 2
    rows = slice(max(0, row - half), row + half + 1)
    columns = slice(max(0, column - half), column + half + 1)
    pixels = picture.rgb[rows, columns].reshape(-1, 3)
    if picture.alpha is not None:
        pixels = pixels[picture.alpha[rows, columns].ravel() >= 128]
    if not len(pixels):
        return None
    if square == 1:
        return srgb8_to_hex(pixels[0])
    srgb = linear_to_srgb(SRGB8_TO_LINEAR[pixels].mean(axis=0))
    return srgb8_to_hex(np.floor(np.clip(srgb, 0, 1) * 255 + 0.5).astype(np.uint8))


def _around(picture: Picture, row: int, column: int) -> tuple[tuple[Hex | None, ...], ...]:
    half = LOUPE_SIZE // 2
    return tuple(
        tuple(_pixel(picture, down, right) for right in range(column - half, column + half + 1))
        for down in range(row - half, row + half + 1)
    )


def _pixel(picture: Picture, row: int, column: int) -> Hex | None:
    height, width = picture.rgb.shape[:2]
    if not (0 <= row < height and 0 <= column < width):
        return None
    if picture.alpha is not None and picture.alpha[row, column] < 128:
        return None
    return srgb8_to_hex(picture.rgb[row, column])
