"""Nested palettes of 1 to 12 colours.

Each step joins two colours of the step above it, or splits one of the step below, by Ward's method
(Ward 1963) in OKLab. A joined colour keeps the value of its larger part, so that no value changes
that is still there; what splits off is the most frequent value of its part, one that the file has.
"""

from __future__ import annotations

from dataclasses import dataclass
from typing import Final

import numpy as np
from numpy.typing import NDArray

from tonada.core.color.spaces import Floats, delta_e_ok, srgb8_to_oklab
from tonada.core.source.pictures.layers import Labels, Layers
from tonada.core.source.pictures.picture import Bytes8, pack, unpack

MOST_STEPS: Final = 12
# A part this small or this near to its colour isn't worth splitting off.
SMALLEST_PART: Final = 0.002
NEAREST_PART: Final = 0.03
_SAMPLED_PIXELS: Final = 24_000
_MOST_VALUES: Final = 48
# Values closer than this (deltaEOK) are one value seen through noise or rounding.
_SAME_VALUE: Final = 0.02


@dataclass(frozen=True, slots=True)
class Part:
    """One colour of a step. color: 0xRRGGBB. origin: which colour of the reading it belongs to."""

    color: int
    share: float
    origins: tuple[int, ...]


@dataclass(frozen=True, slots=True)
class Joining:
    """What counts when colours are joined. lightness: beside hue and chroma. vivid: a unit of chroma more."""

    lightness: float = 1.0
    vivid: float = 8.0


DRAWN: Final = Joining()
# In a photograph shade and light make many lightnesses of one thing.
SEEN: Final = Joining(lightness=0.6, vivid=16.0)


def nested_steps(layers: Layers, rgb: Bytes8) -> tuple[tuple[Part, ...], ...]:
    """Return the palette reduced to 1, 2, 3 … colours, each within the next.

    rgb (height, width, 3) may be a multiple of the labels' size. Shares of a step are together 1.
    """
    shares = layers.shares
    colors = [int(value) for value in pack(layers.colors)]
    reading = [Part(c, float(s), (n,)) for n, (c, s) in enumerate(zip(colors, shares, strict=True))]
    reading.sort(key=lambda part: -part.share)
    steps = joined_steps(reading, DRAWN)
    if len(reading) < MOST_STEPS:
        steps += _split(reading, layers, _matching(rgb, layers.labels))
    return tuple(tuple(step) for step in steps[:MOST_STEPS])


def joined_steps(reading: list[Part], joining: Joining) -> list[list[Part]]:
    """Return the steps from one colour up to those of a reading, the largest first."""
    steps = [reading]
    while len(steps[0]) > 1:
        parts = list(steps[0])
        first, second = _cheapest_join(parts, joining)
        larger, smaller = parts[first], parts[second]
        joined = Part(larger.color, larger.share + smaller.share, larger.origins + smaller.origins)
        kept = [part for number, part in enumerate(parts) if number not in (first, second)]
        steps.insert(0, sorted([*kept, joined], key=lambda part: -part.share))
    return steps


def _cheapest_join(parts: list[Part], joining: Joining) -> tuple[int, int]:
    """Return the larger and the smaller of the two whose union costs least."""
    places = srgb8_to_oklab(unpack([part.color for part in parts]))
    chroma = np.hypot(places[:, 1], places[:, 2])
    # A small vivid colour counts for more than its area.
    sizes = np.sqrt(np.array([part.share for part in parts]) * (1 + joining.vivid * chroma))
    scaled = places * np.array([joining.lightness, 1.0, 1.0])
    squared = np.sum((scaled[:, None] - scaled[None]) ** 2, axis=-1)
    cost = squared * sizes[:, None] * sizes[None] / np.maximum(sizes[:, None] + sizes[None], 1e-12)
    cost[np.tril_indices(len(parts))] = np.inf
    first, second = divmod(int(np.argmin(cost)), len(parts))
    return (first, second) if parts[first].share >= parts[second].share else (second, first)


def _matching(rgb: Bytes8, labels: Labels) -> Bytes8:
    step = max(1, round(rgb.shape[0] / max(1, labels.shape[0])))
    return rgb[::step, ::step][: labels.shape[0], : labels.shape[1]]


def _split(reading: list[Part], layers: Layers, rgb: Bytes8) -> list[list[Part]]:
    """Return the steps above the reading: always the split that takes most away from one colour."""
    labels, values = _sample(layers.labels, rgb)
    waiting = [
        (worth, part)
        for origin in range(len(layers.colors))
        for worth, part in _parts_of(origin, labels, values, layers.colors[origin])
    ]
    waiting.sort(key=lambda entry: -entry[0])
    steps, current = [], list(reading)
    for _, part in waiting[: MOST_STEPS - len(reading)]:
        parent = next(number for number, one in enumerate(current) if part.origins[0] in one.origins)
        current = list(current)
        rest = current[parent].share - part.share
        current[parent] = Part(current[parent].color, max(0.0, rest), current[parent].origins)
        current = sorted([*current, Part(part.color, part.share, ())], key=lambda color: -color.share)
        steps.append(current)
    return steps


def _sample(labels: Labels, rgb: Bytes8) -> tuple[NDArray[np.int16], NDArray[np.int32]]:
    step = max(1, round((labels.size / _SAMPLED_PIXELS) ** 0.5))
    labels, rgb = labels[::step, ::step], rgb[::step, ::step]
    visible = labels >= 0
    return labels[visible], pack(rgb[visible])


def _parts_of(
    origin: int, labels: NDArray[np.int16], values: NDArray[np.int32], color: Bytes8
) -> list[tuple[float, Part]]:
    """Return what could be split off one colour, each with what it is worth."""
    found, counts = np.unique(values[labels == origin], return_counts=True)
    order = np.argsort(-counts, kind="stable")[: 16 * _MOST_VALUES]
    found, counts = found[order], counts[order]
    if not found.size:
        return []
    places, home = srgb8_to_oklab(unpack(found)), srgb8_to_oklab(color)
    away = delta_e_ok(places, home)
    left = counts.astype(np.float64) * (away >= NEAREST_PART)
    parts: list[tuple[float, Part]] = []
    taken: list[Floats] = []
    while len(parts) < MOST_STEPS and left.max() > 0:
        top = int(np.argmax(left))
        near = delta_e_ok(places, places[top]) < _SAME_VALUE
        share = float(left[near].sum() / labels.size)
        is_new = all(float(delta_e_ok(places[top], other)) >= NEAREST_PART for other in taken)
        if share >= SMALLEST_PART and is_new:
            parts.append((share * float(away[top]) ** 2, Part(int(found[top]), share, (origin,))))
            taken.append(places[top])
        left[near] = 0
    return parts
