"""All 8-bit sRGB colours as a tree of boxes, to search them with a bound instead of one by one.

16 x 16 x 16 boxes of 16 x 16 x 16 colours, each cut into 4 x 4 x 4 cells of 4 x 4 x 4 colours. Of
every box and cell the tables know one of its colours, in OKLab, and a radius: no colour of it is
farther from that one (deltaEOK). Luminance is a sum of one term for each channel, so its least and
greatest in a cell are those of two corners.
"""

from __future__ import annotations

from functools import lru_cache
from typing import Final

import numpy as np
from numpy.typing import NDArray

from tonada.core.color.contrast import LUMINANCE_TERMS, relative_luminance
from tonada.core.color.spaces import LMS_TERMS, Floats, srgb8_to_oklab

# The corners of a cell are its farthest colours but for the bend of the space; tests hold every one
# of the 16.7 million colours against the radii.
_BEND: Final = 1.03
_CELL: Final = 4
_CELLS: Final = 256 // _CELL


class Level:
    """Boxes of one size: columns, since rows of three are slow to sum.

    places, shape (4, ...): the square of the length, and lightness, a, b, of the representative in
    OKLab. radius: deltaEOK. luminance: of the representative. darkest, lightest: the least and the
    greatest luminance.
    """

    def __init__(self, columns: Floats) -> None:
        """Take the eight columns, shape (8, ...), in the order of the description above."""
        self._columns = columns
        self.places = columns[:4]
        self.radius, self.luminance, self.darkest, self.lightest = columns[4:]

    @classmethod
    def around(cls, places: Floats, *others: Floats) -> Level:
        """Make one from representatives, shape (3, ...), and the other columns."""
        return cls(np.stack([(places * places).sum(axis=0), *places, *others]))

    def of(self, rows: NDArray[np.intp]) -> Level:
        """Return some of them; of cells, all 64 of each box."""
        return Level(self._columns.take(rows, axis=1).reshape(8, -1))


@lru_cache(maxsize=1)
def boxes() -> Level:
    """Return the 4096 boxes of 16 x 16 x 16 colours, shape (4096,)."""
    fine = cells()
    middle = 42  # the part behind the middle: 2, 2, 2 of 4
    places = fine.places[1:]
    center = places[:, :, middle]
    away = np.sqrt(((places - center[:, :, None]) ** 2).sum(axis=0))
    return Level.around(
        center,
        (away + fine.radius).max(axis=1),
        fine.luminance[:, middle],
        fine.darkest.min(axis=1),
        fine.lightest.max(axis=1),
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
    others = [radius * _BEND, *(relative_luminance(low + add) for add in (_CELL // 2, 0, _CELL - 1))]
    return Level.around(lab.T.reshape(3, 4096, 64), *(column.reshape(4096, 64) for column in others))


@lru_cache(maxsize=1)
def greys() -> tuple[Floats, Floats]:
    """Return OKLab lightness and relative luminance of the 256 greys, dark to light."""
    levels = np.repeat(np.arange(256)[:, None], 3, axis=1)
    return srgb8_to_oklab(levels)[:, 0], relative_luminance(levels)


@lru_cache(maxsize=1)
def lows() -> NDArray[np.int64]:
    """Return the lowest channel values of each cell, shape (4096, 64, 3)."""
    return _ordered_lows().reshape(4096, 64, 3)


def _ordered_lows() -> NDArray[np.int64]:
    grid = np.stack(np.meshgrid(*[np.arange(_CELLS) * _CELL] * 3, indexing="ij"), axis=-1)
    parted = grid.reshape(16, 4, 16, 4, 16, 4, 3).transpose(0, 2, 4, 1, 3, 5, 6)
    return np.ascontiguousarray(parted.reshape(-1, 3))


# What each channel value adds to luminance and to the cone responses, shape (channel, 4, 256).
_TERMS: Final = np.concatenate([LUMINANCE_TERMS[:, None], LMS_TERMS], axis=1)
_INSIDE: Final = np.stack(np.meshgrid(*[np.arange(_CELL)] * 3, indexing="ij"), axis=-1).reshape(-1, 3)


def lights_in(chosen: NDArray[np.intp]) -> tuple[Floats, Floats]:
    """Return luminance, shape (N,), and cone responses, shape (3, N), of all colours of cells.

    Bit for bit as of one colour; but a cell is a cube, so that its 64 sums share their terms. The
    cells are on the last axis, since numpy is quick along a long one. color_at says which is which.
    """
    values = lows().reshape(-1, 3).take(chosen, axis=0).T[:, None] + np.arange(_CELL)[:, None]
    red, green, blue = (terms.take(own, axis=1) for terms, own in zip(_TERMS, values, strict=True))
    sums = red[:, :, None, None] + green[:, None, :, None] + blue[:, None, None, :]
    sums = sums.reshape(4, -1)
    return sums[0], sums[1:]


def color_at(chosen: NDArray[np.intp], place: int) -> tuple[int, ...]:
    """Return a colour of cells by its place in what lights_in returns of them."""
    inside, cell = divmod(place, len(chosen))
    return tuple((lows().reshape(-1, 3)[chosen[cell]] + _INSIDE[inside]).tolist())
