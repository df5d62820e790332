"""Ramps: the tints and shades of one swatch, light to dark. The swatch itself is one of them, exactly."""

from __future__ import annotations

from dataclasses import dataclass
from functools import lru_cache
from typing import Final, Literal, TypeAlias

import numpy as np
from numpy.typing import NDArray

from tonada.core.color.contrast import contrast_ratio
from tonada.core.color.hue_rules import NEUTRAL_BELOW, nearest_of_hue
from tonada.core.color.spaces import (
    Floats,
    Hex,
    hex_to_oklch,
    hex_to_srgb8,
    largest_chroma,
    srgb8_to_hex,
)
from tonada.core.color.wcag import TEXT_RATIO
from tonada.core.errors import InputError

RampKind: TypeAlias = Literal["even", "steady", "mix"]
StepNames: TypeAlias = Literal["words", "numbers"]

LEAST_STEPS: Final = 3
MOST_STEPS: Final = 21
MOST_MIXED: Final = 20

# Where an even ramp begins and ends in OKLCH lightness; a swatch beyond becomes the end itself.
LIGHT_END: Final = 0.975
DARK_END: Final = 0.185
ELEVEN: Final = (50, 100, 200, 300, 400, 500, 600, 700, 800, 900, 950)
# Of what sRGB has at a lightness, as much as a steady ramp takes at most: all of it glares in pale tints.
STEADY_SHARE: Final = 0.85
# How fast a step may have more chroma than its swatch, once that is no neutral.
CHROMA_GROWS: Final = 3.0
# Six of eleven steps apart is enough for text; so are the same parts of a longer or shorter ramp.
PROMISED_RATIO: Final = TEXT_RATIO
PROMISED_STEPS: Final = 6
PROMISED_OF: Final = 11


@dataclass(frozen=True)
class RampSettings:
    """How a swatch's ramp is made.

    even   `steps` of them (3 to 21), even in lightness, hue held, chroma shaped to the gamut
    steady the same, but tints have the swatch's own chroma wherever sRGB has it: its character, lifted
    mix    `tints` with white and `shades` with black (0 to 20 each), even steps, the last pure
    """

    kind: RampKind = "even"
    steps: int = 11
    tints: int = 10
    shades: int = 10


USUAL: Final = RampSettings()
STEADY: Final = RampSettings("steady")
# A colour of this OKLCH chroma or less is calm, and so are its tints.
CALM_CHROMA: Final = 0.1
# No step of a usual ramp has more than so many times the chroma of its swatch, or of rounding to 8 bits.
MOST_GROWN: Final = 1.1
ROUNDS_BY: Final = 0.004


@dataclass(frozen=True, slots=True)
class Ramp:
    """hexes: light to dark. own: the place of the swatch among them, from 0."""

    hexes: tuple[Hex, ...]
    own: int


@lru_cache(maxsize=2048)
def ramp_of(value: Hex, settings: RampSettings = USUAL) -> Ramp:
    """Return the ramp of a `#rrggbb`. Raises InputError for a number of steps that is not allowed."""
    if settings.kind == "mix":
        return _mixed(value, settings)
    if not LEAST_STEPS <= settings.steps <= MOST_STEPS:
        raise InputError(f"A ramp has {LEAST_STEPS} to {MOST_STEPS} steps.", field="steps")
    return _even(value, settings)


@lru_cache(maxsize=2048)
def usual_settings(value: Hex) -> RampSettings:
    """Return how the ramp of a new swatch is made: steady for a calm colour, and where even tints glare."""
    own = hex_to_oklch(value)[1]
    if own <= CALM_CHROMA:
        return STEADY
    loudest = max(hex_to_oklch(step)[1] for step in ramp_of(value).hexes)
    return STEADY if loudest > MOST_GROWN * own + ROUNDS_BY else USUAL


def _mixed(value: Hex, settings: RampSettings) -> Ramp:
    """Mix with white and black in gamma-encoded sRGB, as painters of screens count per cents."""
    for field, count in (("tints", settings.tints), ("shades", settings.shades)):
        if not 0 <= count <= MOST_MIXED:
            raise InputError(f"A mixed ramp has 0 to {MOST_MIXED} {field}.", field=field)
    color = hex_to_srgb8(value).astype(np.float64)
    tints = np.arange(settings.tints, 0, -1) / max(1, settings.tints)
    shades = np.arange(1, settings.shades + 1) / max(1, settings.shades)
    light = color + (255 - color) * tints[:, None]
    dark = color * (1 - shades[:, None])
    rounded = np.floor(np.concatenate([light, color[None], dark]) + 0.5).astype(np.uint8)
    return Ramp(tuple(srgb8_to_hex(step) for step in rounded), settings.tints)


def _even(value: Hex, settings: RampSettings) -> Ramp:
    """Of the places that the swatch could take, choose the most even one that keeps the promise."""
    lightness, _, _ = hex_to_oklch(value)
    steps, shaded = settings.steps, _steady if settings.kind == "steady" else _shaded
    places = sorted(range(steps), key=lambda own: (_unevenness(lightness, own, steps), own))
    tried = []
    for own in places[:3]:
        colors = shaded(value, _lightnesses(lightness, own, steps), own)
        tried.append((_promised(colors), Ramp(tuple(srgb8_to_hex(color) for color in colors), own)))
        if tried[-1][0] >= PROMISED_RATIO:
            return tried[-1][1]
    return max(tried, key=lambda entry: entry[0])[1]


def _lightnesses(lightness: float, own: int, steps: int) -> Floats:
    """Return lightness of each step: even from the light end to the swatch, and from it to the dark end."""
    light = np.linspace(max(LIGHT_END, lightness), lightness, own + 1)[:-1]
    dark = np.linspace(lightness, min(DARK_END, lightness), steps - own)
    return np.concatenate([light, dark])


def _unevenness(lightness: float, own: int, steps: int) -> float:
    """Return by how much the widths above and below the swatch differ; endless where one has no room."""
    above, below = max(LIGHT_END, lightness) - lightness, lightness - min(DARK_END, lightness)
    if (own == 0 and above > 1e-9) or (own == steps - 1 and below > 1e-9):
        # The ramp would end at the swatch although there is more beyond.
        cut = above if own == 0 else below
        return cut * (steps - 1) + 1e-3
    width_above = above / own if own else below / (steps - 1)
    width_below = below / (steps - 1 - own) if own < steps - 1 else above / own
    return abs(width_above - width_below) * (steps - 1)


def _shaded(value: Hex, lightnesses: Floats, own: int) -> NDArray[np.uint8]:
    """Return the colours of these lightnesses: hue held, chroma the same share of what sRGB has there.

    But not more than most_chroma: near black and white a trace of a hue is all that sRGB has.
    """
    lightness, chroma, hue = hex_to_oklch(value)
    limits = largest_chroma(np.append(lightnesses, lightness), np.full(len(lightnesses) + 1, hue))
    share = min(1.0, chroma / limits[-1]) if limits[-1] > 1e-6 else 0.0
    hues = np.full(len(lightnesses), hue)
    chromas = np.minimum(share * limits[:-1], most_chroma(chroma))
    colors = nearest_of_hue(np.stack([lightnesses, chromas, hues], axis=-1))
    colors[own] = hex_to_srgb8(value)
    return colors


def _steady(value: Hex, lightnesses: Floats, own: int) -> NDArray[np.uint8]:
    """Return the colours of these lightnesses: hue held, chroma the swatch's own or what sRGB has of it.

    Shades have the same share of what sRGB has as the swatch: all of it would be loud so far down.
    """
    lightness, chroma, hue = hex_to_oklch(value)
    hues = np.full(len(lightnesses) + 1, hue)
    limits = largest_chroma(np.append(lightnesses, lightness), hues)
    own_share = chroma / limits[-1] if limits[-1] > 1e-6 else 0.0
    share = np.where(np.arange(len(lightnesses)) > own, min(1.0, own_share), STEADY_SHARE)
    chromas = np.minimum(chroma, share * limits[:-1])
    hues = hues[:-1]
    colors = nearest_of_hue(np.stack([lightnesses, chromas, hues], axis=-1))
    colors[own] = hex_to_srgb8(value)
    return colors


def most_chroma(chroma: float) -> float:
    """Return the largest chroma that a step may have; a near-neutral never gains chroma."""
    return chroma + CHROMA_GROWS * max(0.0, chroma - NEUTRAL_BELOW)


def _promised(colors: NDArray[np.uint8]) -> float:
    """Return the least ratio of two steps that are as far apart as the promise says."""
    apart = int(np.ceil(PROMISED_STEPS * (len(colors) - 1) / (PROMISED_OF - 1)))
    return float(contrast_ratio(colors[:-apart], colors[apart:]).min())


def step_number(number: int, count: int) -> int:
    """Return what a step, counted from 0, is numbered: 50 for the lightest to 950 for the darkest.

    Eleven are 50, 100, 200… 900, 950, as stylesheets number them; others are spread evenly, in tens.
    """
    if count == len(ELEVEN):
        return ELEVEN[number]
    return int(np.floor((50 + 900 * number / max(1, count - 1)) / 10 + 0.5)) * 10


def step_name(number: int, ramp: Ramp, scheme: StepNames) -> str:
    """Return the name of a step, counted from 0, to stand behind the swatch's name; empty for the swatch.

    words     “light”, “lighter 2” …, “dark”, “darker 2” …
    numbers   see step_number
    """
    if scheme == "numbers":
        return str(step_number(number, len(ramp.hexes)))
    away = number - ramp.own
    if away == 0:
        return ""
    word = "light" if away < 0 else "dark"
    return word if abs(away) == 1 else f"{word}er {abs(away)}"
