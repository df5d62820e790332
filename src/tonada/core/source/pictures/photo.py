"""The few colours a person would name in a photograph, the small vivid one included.

The picture is reduced to a histogram in OKLab, whose bins are then joined, always the two whose
union costs least (Ward 1963, "Hierarchical Grouping to Optimize an Objective Function"). The
joins are nested, so a smaller number of colours is always a coarser view of the larger one.
"""

from __future__ import annotations

from collections.abc import Sequence
from typing import Final

import numpy as np
from numpy.typing import NDArray

from tonada.core.color.spaces import Floats, linear_to_srgb, oklab_to_linear, srgb8_to_oklab
from tonada.core.source.pictures.layers import NO_COLOR, Layers
from tonada.core.source.pictures.lossless import visibility
from tonada.core.source.pictures.picture import Bytes8, Picture

# Lightness 0 to 1, a and b -0.4 to 0.4: bins of about 0.06 by 0.04 by 0.04.
BINS: Final = (16, 20, 20)
# Colour counts for more than light when a person names what is in a picture.
LIGHTNESS_WEIGHT: Final = 0.6
# The reading is made with as many as anybody may ask for; fewer come from joining.
READ_NUMBER: Final = 12
FEWEST, MOST = 3, 8
# Two colours closer than this, lightness weighted as above, get one name.
NAMED_DISTANCE: Final = 0.06
_SAMPLED_PIXELS: Final = 22_000
_MOST_BINS: Final = 220


def read_photo(picture: Picture, *, number: int = READ_NUMBER) -> Layers:
    """Return `number` colours at most (1 to 12), the largest share first.

    Labels are of every nth row and column, as many as shares to a thousandth need.
    """
    visible, _ = visibility(picture)
    step = max(1, round((visible.size / _SAMPLED_PIXELS) ** 0.5))
    visible, rgb = visible[::step, ::step], picture.rgb[::step, ::step]
    pixels = srgb8_to_oklab(rgb[visible])
    if not len(pixels):
        return Layers(np.zeros((0, 3), np.uint8), np.full(visible.shape, NO_COLOR, np.int16), 0.0)
    centers, weights = _histogram(pixels)
    groups = _join(centers, weights, number)
    palette = np.stack(
        [_typical(centers[groups == group], weights[groups == group]) for group in np.unique(groups)]
    )
    nearest = _nearest(pixels, palette)
    order = np.argsort(-np.bincount(nearest, minlength=len(palette)), kind="stable")
    rank = np.empty(len(order), dtype=np.int16)
    rank[order] = np.arange(len(order))
    labels = np.full(visible.shape, NO_COLOR, dtype=np.int16)
    labels[visible] = rank[nearest]
    srgb = np.clip(linear_to_srgb(oklab_to_linear(palette[order])), 0, 1)
    return Layers(np.floor(srgb * 255 + 0.5).astype(np.uint8), labels, 0.0)


def named_number(steps: Sequence[Bytes8]) -> int:
    """Return how many of the nested colours a person would name: as many as are plainly apart.

    steps: the colours of each step, from one colour up.
    """
    scale = np.array([LIGHTNESS_WEIGHT, 1.0, 1.0])
    for number in range(min(MOST, len(steps)), FEWEST, -1):
        places = srgb8_to_oklab(steps[number - 1]) * scale
        distance = np.linalg.norm(places[:, None] - places[None], axis=-1)
        distance[np.diag_indices(number)] = np.inf
        if distance.min() >= NAMED_DISTANCE:
            return number
    return min(FEWEST, len(steps))


def _histogram(pixels: Floats) -> tuple[Floats, Floats]:
    """Return the mean and the number of pixels of the fullest bins: shapes (N, 3) and (N,)."""
    low, high = np.array([0, -0.4, -0.4]), np.array([1.0001, 0.4, 0.4])
    place = np.clip((pixels - low) / (high - low) * BINS, 0, np.array(BINS) - 1).astype(np.int64)
    keys = (place[:, 0] * BINS[1] + place[:, 1]) * BINS[2] + place[:, 2]
    found, inverse, counts = np.unique(keys, return_inverse=True, return_counts=True)
    sums = np.stack(
        [np.bincount(inverse, weights=pixels[:, axis], minlength=found.size) for axis in range(3)], -1
    )
    fullest = np.sort(np.argsort(-counts, kind="stable")[:_MOST_BINS])
    return sums[fullest] / counts[fullest, None], counts[fullest].astype(np.float64)


def _join(centers: Floats, weights: Floats, number: int) -> NDArray[np.int64]:
    """Return the group of each bin after joining down to `number` groups."""
    scale = np.array([LIGHTNESS_WEIGHT, 1.0, 1.0])
    means = centers * scale
    # The square root keeps a small vivid spot from drowning in a large sky.
    sizes = np.sqrt(weights * (1 + 8 * np.hypot(centers[:, 1], centers[:, 2])))
    groups = np.arange(len(centers))
    cost = _ward_cost(means, sizes, means, sizes)
    np.fill_diagonal(cost, np.inf)
    for _ in range(len(centers) - number):
        first, second = sorted(divmod(int(np.argmin(cost)), len(centers)))
        together = sizes[first] + sizes[second]
        means[first] = (means[first] * sizes[first] + means[second] * sizes[second]) / together
        sizes[first] = together
        groups[groups == second] = first
        cost[second, :] = cost[:, second] = np.inf
        alive = np.isfinite(cost[first])
        alive[first] = False
        fresh = _ward_cost(means[[first]], sizes[[first]], means, sizes)[0]
        cost[first, alive] = cost[alive, first] = fresh[alive]
    return groups


def _ward_cost(means_a: Floats, sizes_a: Floats, means_b: Floats, sizes_b: Floats) -> Floats:
    squared = np.sum((means_a[:, None] - means_b[None]) ** 2, axis=-1)
    return np.asarray(squared * sizes_a[:, None] * sizes_b[None] / (sizes_a[:, None] + sizes_b[None]))


def _typical(centers: Floats, weights: Floats) -> Floats:
    """Return the mean of a group, drawn to its more vivid members: a plain mean is always greyer."""
    chroma = np.hypot(centers[:, 1], centers[:, 2])
    pull = weights * (0.02 + chroma)
    return np.asarray(np.average(centers, axis=0, weights=pull))


def _nearest(pixels: Floats, palette: Floats) -> NDArray[np.int64]:
    lightness, a, b = (np.ascontiguousarray(pixels[:, axis], dtype=np.float32) for axis in range(3))
    nearest = np.zeros(len(pixels), dtype=np.int64)
    least = np.full(len(pixels), np.inf, dtype=np.float32)
    # Channel by channel: a sum over a last axis of three takes ten times as long.
    for number, (own_lightness, own_a, own_b) in enumerate(palette.astype(np.float32)):
        away = (lightness - own_lightness) ** 2 * np.float32(LIGHTNESS_WEIGHT**2)
        away += (a - own_a) ** 2
        away += (b - own_b) ** 2
        closer = away < least
        nearest[closer] = number
        np.minimum(least, away, out=least)
    return nearest
