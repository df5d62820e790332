"""The four signals, tuned to a palette and distinct in any colour vision: success, warning, error, info."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from itertools import combinations, product
from typing import Final

import numpy as np
from numpy.typing import NDArray

from tonada.core.color.contrast import contrast_ratio, rounded_down
from tonada.core.color.hue_rules import nearest_of_hue
from tonada.core.color.spaces import (
    Floats,
    Hex,
    delta_e_ok,
    hex_to_oklch,
    hexes_to_srgb8,
    largest_chroma,
    srgb8_to_hex,
    srgb8_to_oklab,
)
from tonada.core.color.wcag import LARGE_RATIO
from tonada.core.sight.vision import apart_to_all
from tonada.core.take.parts import SIGNALS, Role

# The conventions of signs and forms: OKLCH hue in degrees, how far it may turn, usual lightness.
SIGNAL_HUES: Final[Mapping[Role, tuple[float, float, float]]] = {
    Role.SUCCESS: (150.0, 14.0, 0.55),
    Role.WARNING: (76.0, 12.0, 0.64),
    Role.ERROR: (25.0, 9.0, 0.5),
    Role.INFO: (247.0, 20.0, 0.47),
}
# Below this share of what sRGB has, a signal is no signal any more.
LEAST_CHROMA_SHARE: Final = 0.75
_LIGHTNESSES: Final = (0.68, 0.63, 0.58, 0.53, 0.48, 0.43, 0.38)
# Where none of these reads on the grounds: nearly from white to black.
_ALL_LIGHTNESSES: Final = tuple(0.98 - 0.02 * number for number in range(47))

# The objective. Distances are deltaEOK, the least over typical, protan, deutan and tritan sight.
SIGNAL_FAILS: Final = 40.0  # not to reach NEEDED_RATIO on the grounds
SIGNALS_READ: Final = 40.0  # what a ratio falls short of NEEDED_RATIO on the grounds, as log
SIGNALS_APART: Final = 6.0  # the least distance between two of them, up to APART_ENOUGH
BRAND_APART: Final = 1.2  # the least distance to a brand colour, up to BRAND_ENOUGH
SIGNALS_MISTAKEN: Final = 20.0  # two of them within SIGNALS_LEAST
SIGNAL_CENTERED: Final = 0.1  # how far one turned from the convention, of what it may
SIGNAL_USUAL: Final = 4.0  # how far one is from its usual lightness
BRAND_MISTAKEN: Final = 20.0  # to be within BRAND_LEAST of a brand colour, where it could be taken for it
APART_ENOUGH: Final = 0.1
SIGNALS_LEAST: Final = 0.05
BRAND_LEAST: Final = 0.065
BRAND_ENOUGH: Final = 0.1
# A signal is a mark, an edge or a face beside words: a part by 1.4.11.
NEEDED_RATIO: Final = LARGE_RATIO


@dataclass(frozen=True, slots=True)
class Signal:
    """A proposed signal with its reason."""

    role: Role
    hex: Hex
    reason: str


def propose_signals(brand: Sequence[Hex], grounds: Sequence[Hex]) -> tuple[Signal, ...]:
    """Return the best four under the objective above, of all that the tables offer.

    brand: colours they must not be taken for, at least one. grounds: opaque, they are read on all.
    """
    share = _character_of(brand)
    options = [_reading(role, share, grounds) for role in SIGNALS]
    costs = [unusual + _unread(colors, grounds) + _taken_for(colors, brand) for colors, unusual in options]
    picked, apart = choose_together([colors for colors, _ in options], costs)
    faces = hexes_to_srgb8(tuple(grounds))
    signals = []
    for role, (colors, _), number in zip(SIGNALS, options, picked, strict=True):
        ratio = float(contrast_ratio(colors[number][None], faces).min())
        reason = (
            f"The usual hue for this signal. At least {rounded_down(ratio, 1)}:1 on the grounds; "
            f"difference from the nearest other signal, in any colour vision: {apart:.2f}."
        )
        signals.append(Signal(role, srgb8_to_hex(colors[number]), reason))
    return tuple(signals)


def choose_together(
    options: Sequence[NDArray[np.uint8]], costs: Sequence[Floats]
) -> tuple[tuple[int, ...], float]:
    """Return which option of each, shapes (N, 3), is best together, and the least distance then.

    Every combination is weighed: own costs, and the least distance between two in any colour vision.
    """
    axes = len(options)
    total = np.zeros((1,) * axes)
    for axis, own in enumerate(costs):
        total = total + _along(np.asarray(own), (axis,), axes)
    least = np.full((1,) * axes, np.inf)
    for one, other in combinations(range(axes), 2):
        least = np.minimum(least, _along(apart_to_all(options[one], options[other]), (one, other), axes))
    total = total - SIGNALS_APART * np.minimum(least, APART_ENOUGH)
    total = total + SIGNALS_MISTAKEN * (least < SIGNALS_LEAST)
    best = np.unravel_index(int(np.argmin(total)), total.shape)
    return tuple(int(number) for number in best), float(np.broadcast_to(least, total.shape)[best])


def _along(values: Floats, places: tuple[int, ...], axes: int) -> Floats:
    shape = [1] * axes
    for axis, place in enumerate(places):
        shape[place] = values.shape[axis]
    return values.reshape(shape)


def _character_of(brand: Sequence[Hex]) -> float:
    """Return how much of the chroma that is possible the brand takes: LEAST_CHROMA_SHARE to 0.95."""
    shares = []
    for value in brand:
        lightness, chroma, hue = hex_to_oklch(value)
        limit = float(largest_chroma(np.array(lightness), np.array(hue)))
        shares.append(chroma / limit if limit > 1e-6 else 0.0)
    return min(0.95, max(LEAST_CHROMA_SHARE, float(np.mean(shares))))


def _reading(role: Role, share: float, grounds: Sequence[Hex]) -> tuple[NDArray[np.uint8], Floats]:
    """Return colours for a signal as _offered does: on grounds of a middle lightness, lighter and darker."""
    colors, unusual = _offered(role, share, _LIGHTNESSES)
    if (_unread(colors, grounds) == 0).any():
        return colors, unusual
    colors, unusual = _offered(role, share, _ALL_LIGHTNESSES)
    # As many as there are else, so that all four together can be weighed.
    best = np.argsort(_unread(colors, grounds) + unusual, kind="stable")[: 3 * len(_LIGHTNESSES)]
    return colors[best], unusual[best]


def _offered(role: Role, share: float, lightnesses: Sequence[float]) -> tuple[NDArray[np.uint8], Floats]:
    """Return colours for a signal, shape (N, 3), and what each costs by its convention."""
    center, reach, usual = SIGNAL_HUES[role]
    table = np.array(list(product(lightnesses, (-1.0, 0.0, 1.0))))
    hue = center + reach * table[:, 1]
    chroma = share * largest_chroma(table[:, 0], hue)
    unusual = SIGNAL_CENTERED * np.abs(table[:, 1]) + SIGNAL_USUAL * np.abs(table[:, 0] - usual)
    return nearest_of_hue(np.stack([table[:, 0], chroma, hue], axis=-1)), unusual


def _unread(colors: NDArray[np.uint8], grounds: Sequence[Hex]) -> Floats:
    worst = contrast_ratio(colors[:, None], hexes_to_srgb8(tuple(grounds))[None]).min(axis=1)
    short = SIGNAL_FAILS + SIGNALS_READ * np.log(NEEDED_RATIO / worst)
    return np.where(worst < NEEDED_RATIO, short, 0.0)


def _taken_for(colors: NDArray[np.uint8], brand: Sequence[Hex]) -> Floats:
    near = delta_e_ok(
        srgb8_to_oklab(colors)[:, None], srgb8_to_oklab(hexes_to_srgb8(tuple(brand)))[None]
    ).min(axis=1)
    mistaken = BRAND_MISTAKEN * (near < BRAND_LEAST)
    return np.asarray(mistaken - BRAND_APART * np.minimum(near, BRAND_ENOUGH))
