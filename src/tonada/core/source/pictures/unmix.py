"""Colours of flat artwork from the means of a JPEG's blocks.

Compression blurs thin strokes, and chroma most; but the mean of a block is what it keeps best
(the DC term, ITU-T T.81, A.3.3). Each mean is a mixture of the colours whose pixels lie in the
block, so that all the colours together are the least-squares solution of all blocks: linear
unmixing (Keshava and Mustard 2002, "Spectral unmixing").
"""

from __future__ import annotations

from typing import Final

import numpy as np
from numpy.typing import NDArray

from tonada.core.source.pictures.layers import NO_COLOR, Labels
from tonada.core.source.pictures.picture import Bytes8

# Chroma at half the resolution, in blocks of eight: the blocks of a file start at its corner.
BLOCK: Final = 16
# How far the value that was read in flat places holds, in blocks full of the colour.
TRUST: Final = 0.5
# And for each pixel of a flat place so much more, in pixels of a block.
FLAT_TRUST: Final = 4.0
# A block that is so many levels of chroma off holds something else: it counts half.
MISFIT: Final = 2.0
ROUNDS: Final = 3


def unmixed(
    ycc: Bytes8, labels: Labels, palette: NDArray[np.float64], flatness: NDArray[np.int64]
) -> NDArray[np.float64]:
    """Return the palette, shape (N, 3) in YCbCr, with the chroma that the means of the blocks ask for.

    ycc (height, width, 3) starts at the corner of a block. flatness (N,): how many pixels of each
    colour lie in flat places. Blocks with pixels of no colour are left out; luma stays, which is
    sharp, while the edges of thin strokes would move it.
    """
    rows, columns = (side // BLOCK * BLOCK for side in labels.shape)
    if not rows or not columns or len(palette) < 2:
        return palette
    blocks = _in_blocks(labels[:rows, :columns])
    complete = np.all(blocks != NO_COLOR, axis=1)
    if not complete.any():
        return palette
    parts = np.stack([np.mean(blocks == number, axis=1) for number in range(len(palette))], axis=1)[complete]
    means = np.stack(
        [_in_blocks(ycc[:rows, :columns, channel]).mean(axis=1) for channel in range(3)], axis=1
    )[complete]
    trust = np.diag(TRUST + FLAT_TRUST * flatness / BLOCK**2)
    result = palette.copy()
    fits = np.ones(len(parts))
    for _ in range(ROUNDS):
        own = parts * fits[:, None]
        change = np.linalg.solve(own.T @ parts + trust, own.T @ (means - parts @ palette))
        result[:, 1:] = (palette + change)[:, 1:]
        away = np.linalg.norm((means - parts @ result)[:, 1:], axis=1)
        fits = 1 / (1 + (away / MISFIT) ** 2)
    return result


def _in_blocks(plane: NDArray[np.generic]) -> NDArray[np.generic]:
    """Return the pixels of each block in a row of their own: shape (blocks, BLOCK²)."""
    rows, columns = plane.shape
    split = plane.reshape(rows // BLOCK, BLOCK, columns // BLOCK, BLOCK)
    return split.swapaxes(1, 2).reshape(-1, BLOCK * BLOCK)
