"""All 8-bit sRGB colours as a tree of boxes, to search them with a bound instead of one by one.

16 x 16 x 16 boxes of 16 x 16 x 16 colours, each cut into 4 x 4 x 4 cells of 4 x 4 x 4 colours. Of
every box and cell the tables know one of its colours, in OKLab, and a radius: no colour of it is
farther from that one (deltaEOK). Luminance is a sum of one term for each channel, so its least and
greatest in a cell are those of two corners.
"""

from __future__ import annotations

from dataclasses import dataclass
from functools import lru_cache
from typing import Final

import numpy as np
from numpy.typing import NDArray

from tonada.core.color import SRGB8_TO_LINEAR, Floats, srgb8_to_oklab
from tonada.core.contrast import LUMINANCE_WEIGHTS

# The corners of a cell are its farthest colours but for the bend of the space; tests hold every one
# of the 16.7 million colours against the radii.
_BEND: Final = 1.03
_CELL: Final = 4
_CELLS: Final = 256 // _CELL


@dataclass(frozen=True, slots=True)
class Level:
    """Boxes of one size, every field in their shape: columns, since rows of three are slow to sum.

    lightness, a, b: OKLab of the representative. radius: deltaEOK. luminance: of the representative.
    darkest, lightest: the least and the greatest luminance.
    """

    lightness: Floats
    a: Floats
    b: Floats
    radius: Floats
    luminance: Floats
    darkest: Floats
    lightest: Floats

    def of(self, rows: NDArray[np.intp]) -> Level:
        """Return some of them; of cells, all 64 of each box."""
        return Level(*(getattr(self, name)[rows].reshape(-1) for name in self.__slots__))


@lru_cache(maxsize=1)
def boxes() -> Level:
    """Return the 4096 boxes of 16 x 16 x 16 colours, shape (4096,)."""
    fine = cells()
    middle = 42  # the part behind the middle: 2, 2, 2 of 4
    away = np.sqrt(
        (fine.lightness - fine.lightness[:, middle, None]) ** 2
        + (fine.a - fine.a[:, middle, None]) ** 2
        + (fine.b - fine.b[:, middle, None]) ** 2
    )
    return Level(
        lightness=fine.lightness[:, middle].copy(),
        a=fine.a[:, middle].copy(),
        b=fine.b[:, middle].copy(),
        radius=(away + fine.radius).max(axis=1),
        luminance=fine.luminance[:, middle].copy(),
        darkest=fine.darkest.min(axis=1),
        lightest=fine.lightest.max(axis=1),
    )


@lru_cache(maxsize=1)
def cells() -> Level:
    """Return the cells of 4 x 4 x 4 colours, shape (4096, 64): the parts of each box."""
    low = lows().reshape(-1, 3)
    lab = srgb8_to_oklab(low + _CELL // 2)
    radius = np.zeros(len(low))
    corners = np.stack(np.meshgrid(*[[0, _CELL - 1]] * 3, indexing="ij"), axis=-1).reshape(-1, 3)
    for corner in corners:
        away = srgb8_to_oklab(low + corner) - lab
        np.maximum(radius, np.sqrt((away * away).sum(axis=1)), out=radius)
    columns = (
        *lab.T,
        radius * _BEND,
        luminance_of(low + _CELL // 2),
        luminance_of(low),
        luminance_of(low + _CELL - 1),
    )
    return Level(*(np.ascontiguousarray(column).reshape(4096, 64) for column in columns))


@lru_cache(maxsize=1)
def lows() -> NDArray[np.int64]:
    """Return the lowest channel values of each cell, shape (4096, 64, 3)."""
    return _ordered_lows().reshape(4096, 64, 3)


def _ordered_lows() -> NDArray[np.int64]:
    grid = np.stack(np.meshgrid(*[np.arange(_CELLS) * _CELL] * 3, indexing="ij"), axis=-1)
    parted = grid.reshape(16, 4, 16, 4, 16, 4, 3).transpose(0, 2, 4, 1, 3, 5, 6)
    return np.ascontiguousarray(parted.reshape(-1, 3))


# The term of each channel in the luminance, in the order of WCAG's formula.
_TERMS: Final = SRGB8_TO_LINEAR[None] * LUMINANCE_WEIGHTS[:, None]
_INSIDE: Final = np.stack(np.meshgrid(*[np.arange(_CELL)] * 3, indexing="ij"), axis=-1).reshape(-1, 3)


def luminance_of(srgb8: NDArray[np.int64]) -> Floats:
    """Return relative luminance of integer channels 0 to 255, bit for bit as contrast.relative_luminance."""
    red, green, blue = _TERMS
    return np.asarray(red[srgb8[..., 0]] + green[srgb8[..., 1]] + blue[srgb8[..., 2]])


def colors_in(chosen: NDArray[np.intp]) -> NDArray[np.int64]:
    """Return the colours of cells, by their places in a row of all, shape (64 for each, 3)."""
    low = lows().reshape(-1, 3)[chosen]
    return np.asarray((low[:, None] + _INSIDE[None]).reshape(-1, 3))
