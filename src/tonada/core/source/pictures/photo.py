"""The few colours a person would name in a photograph, the small vivid one included.

The picture is reduced to a histogram in OKLab. Its colours are those places from which the pixels
are least far, where far is a mean that large distances rule and vivid pixels weigh more, so that a
small vivid thing isn't lost in a large sky. They are found one after the other (Likas, Vlassis and
Verbeek 2003, "The global k-means clustering algorithm"), since a search that hangs on where it
begins would answer the same picture differently at another size.
"""

from __future__ import annotations

from dataclasses import dataclass
from typing import Final

import numpy as np
from numpy.typing import NDArray
from PIL import Image

from tonada.core.color.spaces import Floats, linear_to_srgb, oklab_to_linear, srgb8_to_oklab
from tonada.core.source.pictures.layers import Mask
from tonada.core.source.pictures.lossless import visibility
from tonada.core.source.pictures.picture import Bytes8, Picture

# Lightness 0 to 1, a and b -0.4 to 0.4: bins of about 0.06 by 0.04 by 0.04.
BINS: Final = (16, 20, 20)
# Colour counts for more than light when a person names what is in a picture.
LIGHTNESS_WEIGHT: Final = 0.8
FEWEST, MOST = 3, 8
# So far may pixels be from the colours that are named, lightness weighted as above: the mean of a power.
FAR: Final = 0.04
FAR_POWER: Final = 2.5
# How much more a pixel weighs for each unit of chroma.
VIVID: Final = 12.0
# Rounds of moving the colours, and from how many places each next one is tried.
ROUNDS: Final = 40
TRIED: Final = 6
SETTLED: Final = 1e-5
# A further colour is at least so far from the others.
NEAREST: Final = 0.02
# What weighs less isn't named, however far it is: a glint is no colour of a cat.
LEAST_NAMED: Final = 0.0005
_SAMPLED_PIXELS: Final = 22_000
_MOST_BINS: Final = 220


@dataclass(frozen=True, slots=True)
class PhotoColors:
    """steps: 8-bit sRGB, shape (N, 3), and shares, together 1, for each number of colours from `count` on.

    A step has the colours of the one before it, and one more that was a part of one of them.
    """

    count: int
    steps: tuple[tuple[Bytes8, Floats], ...]


@dataclass(frozen=True, slots=True)
class _Histogram:
    """places: OKLab with lightness weighted, shape (N, 3). weights: the share of pixels, more if vivid."""

    places: Floats
    weights: Floats

    def cost(self, centers: Floats) -> float:
        """Return the mean power of the distance to the nearest centre."""
        return float(self.weights @ _squared(self.places, centers).min(axis=1) ** (FAR_POWER / 2))

    def least_weight(self, centers: Floats) -> float:
        """Return the weight of the centre that has the least of it, 0 to 1."""
        nearest = _squared(self.places, centers).argmin(axis=1)
        held = np.bincount(nearest, weights=self.weights, minlength=len(centers))
        return float(held.min() / self.weights.sum())

    def settled(self, centers: Floats) -> tuple[float, Floats]:
        """Return the cost and the centres after moving each to where what is nearest to it is least far."""
        for _ in range(ROUNDS):
            squared = _squared(self.places, centers)
            nearest = squared.argmin(axis=1)
            # A mean weighted like this is where a higher power of the distance is least, once it settles.
            pull = self.weights * np.maximum(squared.min(axis=1), 1e-12) ** (FAR_POWER / 2 - 1)
            total = np.bincount(nearest, weights=pull, minlength=len(centers))
            sums = [
                np.bincount(nearest, weights=pull * self.places[:, axis], minlength=len(centers))
                for axis in range(3)
            ]
            means = np.stack(sums, axis=-1) / np.maximum(total, 1e-300)[:, None]
            moved = np.where(total[:, None] > 0, means, centers)
            is_settled = np.abs(moved - centers).max() < SETTLED
            centers = moved
            if is_settled:
                break
        return self.cost(centers), centers

    def worth_adding(self, centers: Floats) -> NDArray[np.int64]:
        """Return the bins by how much less far everything is with one of them as a further centre."""
        now = _squared(self.places, centers).min(axis=1)
        then = np.minimum(now[None], _squared(self.places, self.places)) ** (FAR_POWER / 2)
        return np.argsort(then @ self.weights, kind="stable")


def read_photo(picture: Picture, *, most: int) -> PhotoColors:
    """Return the colours that a person would name, and further ones up to `most`.

    Fewer where the picture doesn't have so many; none where nothing is visible.
    """
    rgb, visible = _reduced(picture)
    pixels = srgb8_to_oklab(rgb[visible])
    if not len(pixels):
        return PhotoColors(0, ())
    histogram = _histogram(pixels)
    centers = _named(histogram)
    count = len(centers)
    centers = np.vstack([centers, *_further(histogram, centers, most - count)])
    colors, shares = _to_srgb8(centers / _scale()), _shares(pixels * _scale(), centers, count)
    return PhotoColors(count, tuple((colors[: len(share)], share) for share in shares))


def _named(histogram: _Histogram) -> Floats:
    """Return as few colours as leave little of the picture far from all of them."""
    centers = np.average(histogram.places, axis=0, weights=histogram.weights)[None]
    number = min(MOST, len(histogram.places))
    for size in range(2, number + 1):
        tried = [
            histogram.settled(np.vstack([centers, histogram.places[row]]))
            for row in histogram.worth_adding(centers)[:TRIED]
        ]
        large = [entry for entry in tried if histogram.least_weight(entry[1]) >= LEAST_NAMED]
        if not large:
            break
        cost, centers = min(large, key=lambda entry: entry[0])
        if size >= FEWEST and cost <= FAR**FAR_POWER:
            break
    return centers


def _further(histogram: _Histogram, centers: Floats, number: int) -> list[Floats]:
    """Return one more colour after the other; those that are there stay as they are."""
    further: list[Floats] = []
    for _ in range(number):
        added = histogram.places[histogram.worth_adding(np.vstack([centers, *further]))[0]]
        if _squared(added[None], np.vstack([centers, *further])).min() < NEAREST**2:
            break
        further.append(added)
    return further


def _reduced(picture: Picture) -> tuple[Bytes8, Mask]:
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


def _histogram(pixels: Floats) -> _Histogram:
    """Return the fullest bins. Each pixel is shared out to the eight around it, so that nothing hangs on
    where bins begin."""
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
    means = sums[fullest] / counts[fullest, None]
    weights = counts[fullest] * (1 + VIVID * np.hypot(means[:, 1], means[:, 2]))
    return _Histogram(means * _scale(), weights / counts[fullest].sum())


def _shares(places: Floats, centers: Floats, count: int) -> list[Floats]:
    """Return the shares of the first `count` centres, and again with each further one.

    It takes pixels only from the one that it takes most from: each step splits one colour.
    """
    squared = _squared(places, centers)
    owner = np.argmin(squared[:, :count], axis=1)
    shares = [np.bincount(owner, minlength=count) / len(places)]
    for added in range(count, len(centers)):
        nearer = squared[:, added] < np.take_along_axis(squared, owner[:, None], axis=1)[:, 0]
        parent = np.argmax(np.bincount(owner[nearer], minlength=added))
        owner[nearer & (owner == parent)] = added
        shares.append(np.bincount(owner, minlength=added + 1) / len(places))
    return shares


def _squared(places: Floats, centers: Floats) -> Floats:
    """Return squared distances, shape (places, centers). Axis by axis: a sum over three takes far longer."""
    away = (places[:, None, 0] - centers[None, :, 0]) ** 2
    away += (places[:, None, 1] - centers[None, :, 1]) ** 2
    away += (places[:, None, 2] - centers[None, :, 2]) ** 2
    return np.asarray(away)


def _scale() -> Floats:
    return np.array([LIGHTNESS_WEIGHT, 1.0, 1.0])


def _to_srgb8(oklab: Floats) -> Bytes8:
    srgb = np.clip(linear_to_srgb(oklab_to_linear(oklab)), 0, 1)
    return np.floor(srgb * 255 + 0.5).astype(np.uint8)
