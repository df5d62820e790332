"""What a reader of flat artwork hands on: the colours, and which pixel belongs to which."""

from __future__ import annotations

from dataclasses import dataclass
from functools import cached_property
from typing import TypeAlias

import numpy as np
from numpy.typing import NDArray

from tonada.core.source.pictures.picture import Bytes8

Labels: TypeAlias = NDArray[np.int16]
Mask: TypeAlias = NDArray[np.bool_]
Channels: TypeAlias = NDArray[np.float32]

# A colour that covers less of the artwork, without its canvas, is not reported.
SMALLEST_SHARE = 0.0088
NO_COLOR = -1
_CHUNK = 32_768


@dataclass(frozen=True, eq=False)
class Layers:
    """colors: 8-bit sRGB, shape (N, 3). labels: per pixel the row in `colors`, or NO_COLOR where
    nothing is visible. coverage: how much of the visible area, 0 to 1, plainly has these colours."""

    colors: Bytes8
    labels: Labels
    coverage: float

    @cached_property
    def shares(self) -> NDArray[np.float64]:
        """The share of the visible area of each colour, shape (N,), together 1."""
        counts = np.bincount(self.labels.ravel() + 1, minlength=len(self.colors) + 1)[1:]
        return np.asarray(counts / max(1, counts.sum()))


def spread_labels(values: Channels | Bytes8, palette: Channels, labels: Labels, visible: Mask) -> Labels:
    """Give each visible pixel without a label the most similar of the labels close to it.

    values (height, width, C) and palette (N, C) are in the same space. Close means at most two
    pixels away: a blend lies between its parents. Where none is so close, all are compared.
    """
    result = labels.copy()
    rows, columns = np.nonzero(visible & (labels == NO_COLOR))
    if rows.size == 0 or len(palette) == 0:
        return result
    padded = np.pad(labels, 2, constant_values=NO_COLOR)
    for start in range(0, rows.size, _CHUNK):
        part = slice(start, start + _CHUNK)
        own = values[rows[part], columns[part]].astype(np.float32)
        result[rows[part], columns[part]] = _most_similar(own, palette, padded, rows[part], columns[part])
    return result


def _most_similar(
    own: Channels,
    palette: Channels,
    padded: Labels,
    rows: NDArray[np.intp],
    columns: NDArray[np.intp],
) -> Labels:
    distance = np.stack([np.sum((own - color) ** 2, axis=-1) for color in palette], axis=1)
    # One column more for “no colour here”, which is farther than any; NO_COLOR is its index.
    distance = np.concatenate([distance, np.full((rows.size, 1), np.inf, dtype=np.float32)], axis=1)
    near = np.stack(
        [padded[rows + down, columns + right] for down in range(5) for right in range(5)], axis=1
    ).astype(np.intp)
    best = np.argmin(np.take_along_axis(distance, near, axis=1), axis=1)
    chosen = np.take_along_axis(near, best[:, None], axis=1)[:, 0].astype(np.int16)
    alone = chosen == NO_COLOR
    chosen[alone] = np.argmin(distance[alone, :-1], axis=1)
    return chosen


def drop_small(layers: Layers, values: Channels | Bytes8, palette: Channels, least: float) -> Layers:
    """Leave out the colours of fewer than `least` pixels; these go to what is most similar nearby."""
    counts = np.bincount(layers.labels.ravel() + 1, minlength=len(layers.colors) + 1)[1:]
    kept = np.flatnonzero(counts >= least)
    if kept.size == len(counts) or kept.size == 0:
        return layers
    renumbered = np.full(len(counts) + 1, NO_COLOR, dtype=np.int16)
    renumbered[kept] = np.arange(kept.size)
    labels = renumbered[layers.labels]
    visible = layers.labels != NO_COLOR
    return Layers(layers.colors[kept], spread_labels(values, palette[kept], labels, visible), layers.coverage)
