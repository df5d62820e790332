"""What a reader of flat artwork hands on: the colours, and which pixel belongs to which."""

from __future__ import annotations

from dataclasses import dataclass
from typing import TypeAlias

import numpy as np
from numpy.typing import NDArray

from tonada.core.extract.picture import Bytes8

Labels: TypeAlias = NDArray[np.int16]
Mask: TypeAlias = NDArray[np.bool_]
Channels: TypeAlias = NDArray[np.float32]

# A colour that covers less of the visible area is not reported.
SMALLEST_SHARE = 0.0088
NO_COLOR = -1


@dataclass(frozen=True, slots=True, eq=False)
class Layers:
    """colors: 8-bit sRGB, shape (N, 3). labels: per pixel the row in `colors`, or NO_COLOR where
    nothing is visible. coverage: how much of the visible area, 0 to 1, plainly has these colours."""

    colors: Bytes8
    labels: Labels
    coverage: float

    def shares(self) -> NDArray[np.float64]:
        """Return the share of the visible area of each colour, shape (N,), together 1."""
        counts = np.bincount(self.labels[self.labels >= 0], minlength=len(self.colors))
        return np.asarray(counts / max(1, counts.sum()))


def spread_labels(values: Channels, palette: Channels, labels: Labels, visible: Mask) -> Labels:
    """Give each visible pixel without a label the most similar of the labels close to it.

    values (height, width, C) and palette (N, C) are in the same space. Close means at most two
    pixels away: a blend lies between its parents. Where none is so close, all are compared.
    """
    result = labels.copy()
    rows, columns = np.nonzero(visible & (labels == NO_COLOR))
    if rows.size == 0 or len(palette) == 0:
        return result
    own = values[rows, columns]
    best = np.full(rows.size, np.inf)
    chosen = np.full(rows.size, NO_COLOR, dtype=np.int16)
    padded = np.pad(labels, 2, constant_values=NO_COLOR)
    for down in range(5):
        for right in range(5):
            near = padded[rows + down, columns + right]
            distance = np.sum((own - palette[near]) ** 2, axis=-1)
            better = (near != NO_COLOR) & (distance < best)
            best[better], chosen[better] = distance[better], near[better]
    alone = np.flatnonzero(chosen == NO_COLOR)
    for start in range(0, alone.size, 65536):
        part = alone[start : start + 65536]
        distances = np.sum((own[part, None, :] - palette[None]) ** 2, axis=-1)
        chosen[part] = np.argmin(distances, axis=1)
    result[rows, columns] = chosen
    return result


def drop_small(layers: Layers, values: Channels, palette: Channels) -> Layers:
    """Leave out the colours under SMALLEST_SHARE; their pixels go to what is most similar nearby."""
    shares = layers.shares()
    kept = np.flatnonzero(shares >= SMALLEST_SHARE)
    if kept.size == len(shares) or kept.size == 0:
        return layers
    renumbered = np.full(len(shares) + 1, NO_COLOR, dtype=np.int16)
    renumbered[kept] = np.arange(kept.size)
    labels = renumbered[layers.labels]
    visible = layers.labels != NO_COLOR
    return Layers(layers.colors[kept], spread_labels(values, palette[kept], labels, visible), layers.coverage)
