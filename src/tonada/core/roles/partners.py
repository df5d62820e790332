"""Colours made for brand roles that nothing given can fill: a lead, a support, an accent.

Each is the cheapest of a small table of places around Primary, under the costs below, so that a label
reads on it, it is told apart from what is there, and they can be looked at together.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from functools import lru_cache
from itertools import product
from typing import Final

import numpy as np
from numpy.typing import NDArray

from tonada.core.color.contrast import contrast_ratio, ratio_between, rounded_down
from tonada.core.color.hue_rules import NEUTRAL_BELOW, color_at, nearest_of_hue
from tonada.core.color.naming import color_name
from tonada.core.color.spaces import (
    Floats,
    Hex,
    delta_e_ok,
    hex_to_oklch,
    hexes_to_srgb8,
    hue_distance,
    largest_chroma,
    srgb8_to_hex,
    srgb8_to_oklab,
    srgb8_to_oklch,
)
from tonada.core.color.vibration import VIBRATES_FROM, glows, vibration_of
from tonada.core.color.wcag import TEXT_RATIO
from tonada.core.roles.starts import STARTS, USUAL_START, Place, Start
from tonada.core.take.parts import Origin, Role

# Closer than this (deltaEOK) an accent can't call beside Primary.
ACCENT_APART: Final = 0.15
# What is made stands at least so far from what it stands on or beside.
MADE_APART: Final = 0.12

# A lead has at least this chroma: less would be mud.
LEAD_CHROMA: Final = 0.09

# What a label on a made colour will be about: Paper, or Ink at its usual ratio.
_PAPER: Final = "#fafafa"
_INK: Final = "#262626"
_LIGHTNESSES: Final = (0.28, 0.34, 0.4, 0.46, 0.52, 0.57, 0.66, 0.7, 0.74, 0.78, 0.82)
# Where a support may be, beside Primary's own chroma.
_SUPPORT_SHARES: Final = (1.0, 0.75, 1.3)
# The warmest hue, in degrees: one warm colour among cool ones calls.
_WARMEST: Final = 50.0
# Hues in which an accent would be taken for the success signal.
_SUCCESS_HUES: Final = (105.0, 185.0)
# A support is light beside a dark Primary and deep beside a light one; in between it would be dull.
_LIGHT_SUPPORT: Final = 0.74
_DEEP_SUPPORT: Final = 0.34

UNREAD_COSTS: Final = 5.0  # no label reads on it
NEAR_COSTS: Final = 5.0  # it can't be told apart from another brand colour
VIBRATES_COSTS: Final = 1.5  # the whole of the measure, against Primary
RESTLESS_COSTS: Final = 3.0  # so much of it that the two can't be looked at
NEON_COSTS: Final = 1.0
MUD_COSTS: Final = 1.0
SAME_NAME_COSTS: Final = 0.5  # a client would call both by one name
LIGHTNESS_COSTS: Final = 1.0  # away from the lightness wanted
CHROMA_COSTS: Final = 4.0  # away from the chroma wanted
WARMTH_EARNS: Final = 0.1  # the whole way from the coolest hue to the warmest
SUCCESS_COSTS: Final = 0.4  # an accent in the hues of the success signal
# Hues in which a colour of this lightness and chroma is mud (OKLCH): neither brown, gold nor green.
_MUD_HUES: Final = (40.0, 130.0)
_MUD_LIGHTNESSES: Final = (0.3, 0.66)
_MUD_CHROMAS: Final = (0.02, 0.09)
# A fill is neon that is so light and has so much of the chroma that its hue allows there.
_NEON_LIGHTNESS: Final = 0.8
_NEON_SHARE: Final = 0.9
# A hue is most itself where it has its largest chroma; darker or lighter than this no accent is wanted.
_DARKEST_CALL: Final = 0.5
_LIGHTEST_CALL: Final = 0.78
_GRID: Final = np.linspace(0.3, 0.95, 66)


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
    return Partner(
        Role.PRIMARY, color_at(0.45, min(0.12, max(LEAD_CHROMA, 1.5 * chroma)), hue), reason, origin
    )


def make_secondary(primary: Hex, others: tuple[Hex, ...], start: Start = USUAL_START) -> Partner:
    """Return a support for Primary: of its family, with less chroma; of a grey one, a grey.

    others: brand colours besides it.
    """
    lightness, chroma, hue = hex_to_oklch(primary)
    if chroma < NEUTRAL_BELOW:
        return _grey_support(primary, others)
    rule = STARTS[start]
    wanted_chroma = rule.support * chroma
    wanted = _LIGHT_SUPPORT if lightness < 0.5 else _DEEP_SUPPORT
    places = [
        (light, share * wanted_chroma, hue + turn)
        for turn, light, share in product(rule.support_angles, (wanted, *_LIGHTNESSES), _SUPPORT_SHARES)
    ]
    colors = _colors_at(places)
    costs = _costs(colors, primary, others, MADE_APART)
    costs = costs + LIGHTNESS_COSTS * np.abs(srgb8_to_oklab(colors)[:, 0] - wanted)
    best = srgb8_to_hex(colors[int(np.argmin(costs + CHROMA_COSTS * _away(colors, wanted_chroma)))])
    turn = float(hue_distance(hex_to_oklch(best)[2], hue))
    where = (
        "Primary’s own hue" if turn < 5 else f"A neighbour of Primary: {turn:.0f}° away in hue (analogous)"
    )
    change = "lighter" if hex_to_oklch(best)[0] > lightness else "darker"
    away = abs(hex_to_oklch(best)[0] - lightness)
    return Partner(Role.SECONDARY, best, f"{where}, {change} by {away:.2f} and quieter.", _BY_RULE)


def _grey_support(primary: Hex, others: tuple[Hex, ...]) -> Partner:
    lightness = hex_to_oklch(primary)[0]
    wanted = 0.74 if lightness < 0.5 else 0.36
    colors = _colors_at([(light, 0.0, 0.0) for light in (wanted, *_LIGHTNESSES)])
    costs = _costs(colors, primary, others, MADE_APART)
    costs = costs + LIGHTNESS_COSTS * np.abs(srgb8_to_oklab(colors)[:, 0] - wanted)
    value = srgb8_to_hex(colors[int(np.argmin(costs))])
    ratio = rounded_down(ratio_between(primary, value), 1)
    reason = f"A grey that has {ratio}:1 with Primary, which has no hue."
    return Partner(Role.SECONDARY, value, reason, _BY_RULE)


def make_accent(primary: Hex, others: tuple[Hex, ...], start: Start = USUAL_START) -> Partner:
    """Return an accent as a start asks for it. others: brand colours besides Primary."""
    _, chroma, hue = hex_to_oklch(primary)
    rule = STARTS[start]
    if chroma < NEUTRAL_BELOW:
        return _accent_of_grey(primary, others, start)
    offered = list(product(rule.accent, _LIGHTNESSES, rule.chromas))
    colors = _colors_at([(light, strong, hue + place.angle) for place, light, strong in offered])
    costs = np.array([place.cost for place, *_ in offered]) + _call_costs(colors, rule.chromas[0])
    best = int(np.argmin(costs + _costs(colors, primary, others, ACCENT_APART)))
    value, place = srgb8_to_hex(colors[best]), offered[best][0]
    ratio = rounded_down(float(_label_ratios(hexes_to_srgb8((value,)))[0]), 1)
    return Partner(Role.ACCENT, value, f"{_where(place, start)}; a label on it has {ratio}:1.", _BY_RULE)


def _accent_of_grey(primary: Hex, others: tuple[Hex, ...], start: Start) -> Partner:
    rule = STARTS[start]
    colors = _colors_at([(light, rule.grey_chroma, rule.grey_hue) for light in _LIGHTNESSES])
    costs = _costs(colors, primary, others, ACCENT_APART) + _call_costs(colors, rule.grey_chroma)
    value = srgb8_to_hex(colors[int(np.argmin(costs))])
    reason = f"Primary has no hue, so any accent goes with it. This one is a start, at {rule.grey_hue:.0f}°."
    return Partner(Role.ACCENT, value, reason, _BY_RULE)


def _where(place: Place, start: Start) -> str:
    turn = min(place.angle, 360 - place.angle)
    if start != "contrasting":
        return f"In Primary’s family: {turn:.0f}° away in hue ({place.rule})"
    if place.rule == "complementary":
        return f"Opposite Primary: {turn:.0f}° away in hue ({place.rule})"
    return f"{turn:.0f}° from Primary in hue ({place.rule}), calmer beside it than the opposite"


def _colors_at(places: Sequence[tuple[float, float, float]]) -> NDArray[np.uint8]:
    oklch = np.array(places)
    oklch[:, 2] %= 360
    return nearest_of_hue(oklch)


def _costs(colors: NDArray[np.uint8], primary: Hex, others: tuple[Hex, ...], apart: float) -> Floats:
    """Return what keeps each colour, shape (N, 3), from being a partner of Primary and the others."""
    lab = srgb8_to_oklab(colors)
    cost = UNREAD_COSTS * (_label_ratios(colors) < TEXT_RATIO)
    for other, least in ((primary, apart), *((other, MADE_APART) for other in others)):
        near = delta_e_ok(lab, srgb8_to_oklab(hexes_to_srgb8((other,)))) < least
        cost = cost + NEAR_COSTS * near
    names = {color_name(other) for other in (primary, *others)}
    cost = cost + SAME_NAME_COSTS * np.array([color_name(srgb8_to_hex(color)) in names for color in colors])
    vibration = vibration_of(colors[:, None], hexes_to_srgb8((primary, *others))[None]).max(axis=1)
    cost = cost + VIBRATES_COSTS * vibration + RESTLESS_COSTS * (vibration >= VIBRATES_FROM)
    return np.asarray(cost + NEON_COSTS * (glows(colors) | _is_neon(colors)) + MUD_COSTS * _is_mud(colors))


def _call_costs(colors: NDArray[np.uint8], chroma: float) -> Floats:
    """Return what keeps each from calling: its hue, or that it isn't of the chroma and lightness for it."""
    places = srgb8_to_oklch(colors)
    fullest = np.array([_fullest_lightness(round(float(hue))) for hue in places[:, 2]])
    return np.asarray(LIGHTNESS_COSTS * np.abs(places[:, 0] - fullest) + CHROMA_COSTS * _away(colors, chroma))


def _away(colors: NDArray[np.uint8], chroma: float) -> Floats:
    return np.asarray(np.abs(srgb8_to_oklch(colors)[:, 1] - chroma))


@lru_cache(maxsize=361)
def _fullest_lightness(hue: int) -> float:
    """Return the OKLCH lightness at which a hue has its largest chroma in sRGB, within what may call."""
    limits = largest_chroma(_GRID, np.full(len(_GRID), float(hue)))
    return float(np.clip(_GRID[int(np.argmax(limits))], _DARKEST_CALL, _LIGHTEST_CALL))


def _is_neon(colors: NDArray[np.uint8]) -> NDArray[np.bool_]:
    lightness, chroma, hue = np.moveaxis(srgb8_to_oklch(colors), -1, 0)
    return np.asarray((lightness > _NEON_LIGHTNESS) & (chroma > _NEON_SHARE * largest_chroma(lightness, hue)))


def _is_mud(colors: NDArray[np.uint8]) -> NDArray[np.bool_]:
    place = np.moveaxis(srgb8_to_oklch(colors), -1, 0)
    limits = (_MUD_LIGHTNESSES, _MUD_CHROMAS, _MUD_HUES)
    inside = [(low <= part) & (part <= high) for part, (low, high) in zip(place, limits, strict=True)]
    return np.asarray(inside[0] & inside[1] & inside[2])


def _warmth(hue: Floats) -> Floats:
    """Return 1 for the warmest hue to 0 for the coolest."""
    return np.asarray(1 - hue_distance(hue, np.array(_WARMEST)) / 180)


def _label_ratios(colors: NDArray[np.uint8]) -> Floats:
    labels = hexes_to_srgb8((_PAPER, _INK))
    return np.asarray(contrast_ratio(colors[:, None], labels[None]).max(axis=1))
