"""The few colours a person would name in a photograph, the small vivid one included.

The picture is reduced to a histogram in OKLab, whose bins are then joined, always the two whose
union costs least (Ward 1963, "Hierarchical Grouping to Optimize an Objective Function"). The
joins are nested, so a smaller number of colours is always a coarser view of the larger one. The
colours of the number that a person would name are then refined (Lloyd 1982).
"""

from __future__ import annotations

from collections.abc import Sequence
from typing import Final

import numpy as np
from numpy.typing import NDArray
from PIL import Image

from tonada.core.color.spaces import Floats, linear_to_srgb, oklab_to_linear, srgb8_to_oklab
from tonada.core.source.pictures.layers import NO_COLOR, Layers, Mask
from tonada.core.source.pictures.lossless import visibility
from tonada.core.source.pictures.picture import Bytes8, Picture

# Lightness 0 to 1, a and b -0.4 to 0.4: bins of about 0.06 by 0.04 by 0.04.
BINS: Final = (16, 20, 20)
# Colour counts for more than light when a person names what is in a picture.
LIGHTNESS_WEIGHT: Final = 0.6
# The reading is made with as many as anybody may ask for; fewer come from joining.
READ_NUMBER: Final = 12
FEWEST, MOST = 3, 8
# So far, lightness weighted as above, may pixels be from the colours that are named: the mean of a power.
FAR: Final = 0.0475
FAR_POWER: Final = 3
# How much more a pixel counts for each unit of chroma, when colours are joined and when they are counted.
VIVID_WHEN_JOINED: Final = 16.0
VIVID_WHEN_COUNTED: Final = 20.0
# Rounds of refining; more move the colours hardly further.
ROUNDS: Final = 4
_SAMPLED_PIXELS: Final = 22_000
_MOST_BINS: Final = 220


def read_photo(picture: Picture, *, number: int = READ_NUMBER) -> Layers:
    """Return `number` colours at most (1 to 12), the largest share first.

    Labels are of every nth row and column, as many as shares to a thousandth need.
    """
    rgb, visible = reduced(picture)
    pixels = srgb8_to_oklab(rgb[visible])
    if not len(pixels):
        return Layers(np.zeros((0, 3), np.uint8), np.full(visible.shape, NO_COLOR, np.int16), 0.0)
    centers, weights = _histogram(pixels)
    groups = _join(centers, weights, number)
    palette = np.stack(
        [_typical(centers[groups == group], weights[groups == group]) for group in np.unique(groups)]
    )
    nearest, _ = _nearest(pixels, palette)
    order = np.argsort(-np.bincount(nearest, minlength=len(palette)), kind="stable")
    rank = np.empty(len(order), dtype=np.int16)
    rank[order] = np.arange(len(order))
    labels = np.full(visible.shape, NO_COLOR, dtype=np.int16)
    labels[visible] = rank[nearest]
    return Layers(_to_srgb8(palette[order]), labels, 0.0)


def reduced(picture: Picture) -> tuple[Bytes8, Mask]:
    """Return the picture at a whole fraction of its size, and what of it is visible.

    Each pixel is the mean of a square: grain and compression would move the colours, and a person
    doesn't see them either.
    """
    visible, _ = visibility(picture)
    step = max(1, round((visible.size / _SAMPLED_PIXELS) ** 0.5))
    if picture.alpha is not None:  # a mean would mix in what can't be seen
        return picture.rgb[::step, ::step], visible[::step, ::step]
    small = np.asarray(Image.fromarray(picture.rgb).reduce(step))
    return small, np.ones(small.shape[:2], dtype=np.bool_)


def refined(picture: Picture, colors: Bytes8) -> Bytes8:
    """Return each of the colours, shape (N, 3), moved to the mean of what is nearest to it."""
    return _to_srgb8(_refined(_visible_pixels(picture), srgb8_to_oklab(colors)))


def _refined(pixels: Floats, places: Floats) -> Floats:
    """Source: Lloyd 1982, "Least squares quantization in PCM", a few rounds of it."""
    for _ in range(ROUNDS):
        nearest, _ = _nearest(pixels, places, lightness_weight=1.0)
        counts = np.bincount(nearest, minlength=len(places))
        sums = [np.bincount(nearest, weights=pixels[:, axis], minlength=len(places)) for axis in range(3)]
        means = np.stack(sums, axis=-1) / np.maximum(counts, 1)[:, None]
        places = np.where(counts[:, None] > 0, means, places)
    return places


def _visible_pixels(picture: Picture) -> Floats:
    rgb, visible = reduced(picture)
    return srgb8_to_oklab(rgb[visible])


def _to_srgb8(oklab: Floats) -> Bytes8:
    srgb = np.clip(linear_to_srgb(oklab_to_linear(oklab)), 0, 1)
    return np.floor(srgb * 255 + 0.5).astype(np.uint8)


def named_number(picture: Picture, steps: Sequence[Bytes8]) -> int:
    """Return how many of the nested colours a person would name: as few as leave little of the picture far.

    steps: the colours of each step, from one colour up. Far is a mean that large distances rule, so
    that a small vivid thing counts; it is taken after refining, which makes it the same for the same
    picture at another size, quality or crop.
    """
    pixels = _visible_pixels(picture)
    weights = 1 + VIVID_WHEN_COUNTED * np.hypot(pixels[:, 1], pixels[:, 2])
    most = min(MOST, len(steps))
    for number in range(min(FEWEST, most), most):
        places = _refined(pixels, srgb8_to_oklab(steps[number - 1]))
        _, squared = _nearest(pixels, places)
        if float(np.mean(weights * squared.astype(np.float64) ** (FAR_POWER / 2))) <= FAR**FAR_POWER:
            return number
    return most


def _histogram(pixels: Floats) -> tuple[Floats, Floats]:
    """Return the mean and the number of pixels of the fullest bins: shapes (N, 3) and (N,).

    Each pixel is shared out to the eight bins around it, so that nothing hangs on where bins begin.
    """
    low, high = np.array([0, -0.4, -0.4]), np.array([1.0001, 0.4, 0.4])
    place = np.clip((pixels - low) / (high - low) * BINS - 0.5, 0, np.array(BINS) - 1.001)
    base = np.floor(place).astype(np.int64)
    within = place - base
    size = int(np.prod(BINS))
    counts, sums = np.zeros(size), np.zeros((size, 3))
    for corner in np.ndindex(2, 2, 2):
        part = np.prod(np.where(corner, within, 1 - within), axis=1)
        at = base + corner
        keys = (at[:, 0] * BINS[1] + at[:, 1]) * BINS[2] + at[:, 2]
        counts += np.bincount(keys, weights=part, minlength=size)
        for axis in range(3):
            sums[:, axis] += np.bincount(keys, weights=part * pixels[:, axis], minlength=size)
    fullest = np.sort(np.argsort(-counts, kind="stable")[:_MOST_BINS])
    fullest = fullest[counts[fullest] > 0]
    return sums[fullest] / counts[fullest, None], counts[fullest]


def _join(centers: Floats, weights: Floats, number: int) -> NDArray[np.int64]:
    """Return the group of each bin after joining down to `number` groups."""
    scale = np.array([LIGHTNESS_WEIGHT, 1.0, 1.0])
    means = centers * scale
    # The square root keeps a small vivid spot from drowning in a large sky.
    sizes = np.sqrt(weights * (1 + VIVID_WHEN_JOINED * np.hypot(centers[:, 1], centers[:, 2])))
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


def _nearest(
    pixels: Floats, palette: Floats, *, lightness_weight: float = LIGHTNESS_WEIGHT
) -> tuple[NDArray[np.int64], NDArray[np.float32]]:
    """Return which colour is nearest to each pixel, and the squared distance to it."""
    lightness, a, b = (np.ascontiguousarray(pixels[:, axis], dtype=np.float32) for axis in range(3))
    nearest = np.zeros(len(pixels), dtype=np.int64)
    least = np.full(len(pixels), np.inf, dtype=np.float32)
    # Channel by channel: a sum over a last axis of three takes ten times as long.
    for number, (own_lightness, own_a, own_b) in enumerate(palette.astype(np.float32)):
        away = (lightness - own_lightness) ** 2 * np.float32(lightness_weight**2)
        away += (a - own_a) ** 2
        away += (b - own_b) ** 2
        closer = away < least
        nearest[closer] = number
        np.minimum(least, away, out=least)
    return nearest, least
