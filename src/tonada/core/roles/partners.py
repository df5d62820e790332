"""Colours made for brand roles that nothing given can fill: a lead, a neighbour, an accent.

Each is the cheapest of a small table of places around Primary, under the costs below, so that a label
reads on it, it is told apart from what is there, and the two can be looked at together.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from itertools import product
from typing import Final

import numpy as np
from numpy.typing import NDArray

from tonada.core.color.contrast import contrast_ratio, ratio_between, rounded_down
from tonada.core.color.hue_rules import ANALOGOUS_WITH_ACCENT, NEUTRAL_BELOW, color_at, nearest_of_hue
from tonada.core.color.spaces import (
    Floats,
    Hex,
    delta_e_ok,
    hex_to_oklch,
    hexes_to_srgb8,
    srgb8_to_hex,
    srgb8_to_oklab,
)
from tonada.core.color.vibration import VIBRATES_FROM, glows, vibration_of
from tonada.core.color.wcag import TEXT_RATIO
from tonada.core.take.parts import Origin, Role

# Closer than this (deltaEOK) an accent can't call beside Primary, nor two brand colours be told apart.
ACCENT_APART: Final = 0.15
BRAND_APART: Final = 0.06

# What a label on a made colour will be about: Paper, or Ink at its usual ratio.
_PAPER: Final = "#fafafa"
_INK: Final = "#262626"
_LIGHTNESSES: Final = (0.34, 0.4, 0.46, 0.52, 0.66, 0.7, 0.74, 0.78, 0.82)
_CHROMAS: Final = (0.1, 0.13, 0.16)
# The accent of a grey Primary.
_GREY_HUE: Final = 60.0
# Degrees from Primary, with the rule that puts an accent there and what going there costs.
_ACCENT_ANGLES: Final = (
    (180.0, "complementary", 0.0),
    (150.0, "split complementary", 0.05),
    (210.0, "split complementary", 0.05),
    (120.0, "triadic", 0.1),
    (240.0, "triadic", 0.1),
    (60.0, "tetradic", 0.15),
    (300.0, "tetradic", 0.2),
)

UNREAD_COSTS: Final = 5.0  # no label reads on it
NEAR_COSTS: Final = 5.0  # it can't be told apart from another brand colour
VIBRATES_COSTS: Final = 1.5  # the whole of the measure, against Primary
RESTLESS_COSTS: Final = 3.0  # so much of it that the two can't be looked at
NEON_COSTS: Final = 1.0
LIGHTNESS_COSTS: Final = 1.0  # away from the lightness wanted
CHROMA_COSTS: Final = 4.0  # away from the chroma wanted
CALL_LIGHTNESS: Final = 0.75


@dataclass(frozen=True, slots=True)
class Partner:
    """A brand role that none of the candidates can fill, with a colour made for it."""

    role: Role
    hex: Hex
    reason: str
    origin: Origin


_BY_RULE: Final = Origin("harmony", "by a hue rule from Primary")


def make_lead(value: Hex) -> Partner:
    """Return a Primary where the colour that was given is too pale to be one: deeper, of its hue."""
    _, chroma, hue = hex_to_oklch(value)
    on_white = rounded_down(ratio_between(value, "#ffffff"), 1)
    origin = Origin("made", "made to lead")
    if chroma < 0.01:
        reason = f"Added: the given colour has only {on_white}:1 on white, and no hue."
        return Partner(Role.PRIMARY, color_at(0.32, 0.0, 0.0), reason, origin)
    reason = f"Added, in the same hue: the given colour has only {on_white}:1 on white."
    return Partner(Role.PRIMARY, color_at(0.45, min(0.12, max(0.06, 1.5 * chroma)), hue), reason, origin)


def make_secondary(primary: Hex, others: tuple[Hex, ...]) -> Partner:
    """Return a neighbour of Primary in hue; of a grey one, a grey. others: brand colours besides it."""
    lightness, chroma, hue = hex_to_oklch(primary)
    if chroma < NEUTRAL_BELOW:
        value = color_at(0.74 if lightness < 0.5 else 0.36, 0.0, 0.0)
        ratio = rounded_down(ratio_between(primary, value), 1)
        reason = f"A grey that has {ratio}:1 with Primary, which has no hue."
        return Partner(Role.SECONDARY, value, reason, _BY_RULE)
    near = ANALOGOUS_WITH_ACCENT.spread
    wanted = lightness + (0.16 if lightness < 0.55 else -0.16)
    places = [
        (light, 0.75 * chroma, hue + sign * near) for sign in (1, -1) for light in (wanted, *_LIGHTNESSES)
    ]
    colors = _colors_at(places)
    costs = _costs(colors, primary, others, BRAND_APART, wanted, 0.75 * chroma)
    best = srgb8_to_hex(colors[int(np.argmin(costs))])
    return Partner(
        Role.SECONDARY,
        best,
        f"A neighbour of Primary: {near:.0f}° away in hue (analogous), less chroma.",
        _BY_RULE,
    )


def make_accent(primary: Hex, others: tuple[Hex, ...]) -> Partner:
    """Return an accent: opposite Primary, or at another place of a rule where it is calmer there."""
    _, chroma, hue = hex_to_oklch(primary)
    if chroma < NEUTRAL_BELOW:
        colors = _colors_at([(light, 0.14, _GREY_HUE) for light in (CALL_LIGHTNESS, *_LIGHTNESSES)])
        costs = _costs(colors, primary, others, ACCENT_APART, CALL_LIGHTNESS, 0.14)
        value = srgb8_to_hex(colors[int(np.argmin(costs))])
        reason = (
            "Primary has no hue, so any accent goes with it. This one is a start, at a hue of "
            f"{_GREY_HUE:.0f}°."
        )
        return Partner(Role.ACCENT, value, reason, _BY_RULE)
    wanted = min(0.16, max(0.13, chroma))
    offered = list(product(_ACCENT_ANGLES, _LIGHTNESSES, _CHROMAS))
    colors = _colors_at([(light, strong, hue + angle) for (angle, *_), light, strong in offered])
    away = np.array([costs for (_, _, costs), *_ in offered])
    best = int(np.argmin(away + _costs(colors, primary, others, ACCENT_APART, CALL_LIGHTNESS, wanted)))
    value, (angle, rule, _) = srgb8_to_hex(colors[best]), offered[best][0]
    turn = min(angle, 360 - angle)
    where = (
        "Opposite Primary" if rule == "complementary" else "Not quite opposite Primary, but calmer beside it"
    )
    ratio = rounded_down(float(_label_ratios(hexes_to_srgb8((value,)))[0]), 1)
    reason = f"{where}: {turn:.0f}° away in hue ({rule}); a label on it has {ratio}:1."
    return Partner(Role.ACCENT, value, reason, _BY_RULE)


def _colors_at(places: Sequence[tuple[float, float, float]]) -> NDArray[np.uint8]:
    oklch = np.array(places)
    oklch[:, 2] %= 360
    return nearest_of_hue(oklch)


def _costs(
    colors: NDArray[np.uint8],
    primary: Hex,
    others: tuple[Hex, ...],
    apart: float,
    lightness: float,
    chroma: float,
) -> Floats:
    """Return what each colour, shape (N, 3), costs as a partner of Primary."""
    lab = srgb8_to_oklab(colors)
    cost = LIGHTNESS_COSTS * np.abs(lab[:, 0] - lightness)
    cost = cost + CHROMA_COSTS * np.abs(np.hypot(lab[:, 1], lab[:, 2]) - chroma)
    cost = cost + UNREAD_COSTS * (_label_ratios(colors) < TEXT_RATIO)
    for other, least in ((primary, apart), *((other, BRAND_APART) for other in others)):
        near = delta_e_ok(lab, srgb8_to_oklab(hexes_to_srgb8((other,)))) < least
        cost = cost + NEAR_COSTS * near
    vibration = vibration_of(colors, hexes_to_srgb8((primary,)))
    cost = cost + VIBRATES_COSTS * vibration + RESTLESS_COSTS * (vibration >= VIBRATES_FROM)
    return np.asarray(cost + NEON_COSTS * glows(colors))


def _label_ratios(colors: NDArray[np.uint8]) -> Floats:
    labels = hexes_to_srgb8((_PAPER, _INK))
    return np.asarray(contrast_ratio(colors[:, None], labels[None]).max(axis=1))
