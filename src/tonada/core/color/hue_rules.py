"""Partners of an anchor by hue rules, in OKLCH."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from typing import Final

import numpy as np
from numpy.typing import NDArray

from tonada.core.color.circles import Circle, turned
from tonada.core.color.spaces import (
    Floats,
    Hex,
    delta_e_ok,
    hex_to_oklch,
    hex_to_srgb8,
    hue_distance,
    oklab_to_oklch,
    oklch_to_oklab,
    oklch_to_srgb8,
    srgb8_to_hex,
    srgb8_to_oklab,
    srgb8_to_oklch,
)
from tonada.core.errors import InputError

# Below this chroma a colour is a neutral: its hue counts for nothing, in chords, roles and verdicts.
NEUTRAL_BELOW: Final = 0.03
# A hue after rounding to 8 bits stays this close, in degrees, wherever there is chroma to speak of.
HUE_KEPT: Final = 1.9
MOST_FREE_ANGLES: Final = 5
_CUBE: Final = np.stack(np.meshgrid(*[np.arange(-1, 2)] * 3, indexing="ij"), axis=-1).reshape(-1, 3)
_CUBE_MIDDLE: Final = 13


@dataclass(frozen=True, slots=True)
class Rule:
    """A hue rule. angles: of the partners, in degrees from the anchor, for a spread.

    spread, least, most: the usual spread and its range in degrees; least and most are equal where
    the rule leaves no choice. short: its name where there is little room. flags_move: whether partners
    can be dragged.
    """

    name: str
    spread: float
    least: float
    most: float
    angles: Callable[[float], tuple[float, ...]]
    short: str = ""
    flags_move: bool = True

    @property
    def short_name(self) -> str:
        return self.short or self.name


MONOCHROMATIC: Final = Rule("monochromatic", 0, 0, 0, lambda _: ())
ANALOGOUS: Final = Rule("analogous", 30, 10, 60, lambda spread: (-spread, spread))
COMPLEMENTARY: Final = Rule("complementary", 180, 180, 180, lambda _: (180.0,))
SPLIT_COMPLEMENTARY: Final = Rule(
    "split complementary", 150, 110, 175, lambda spread: (spread, 360 - spread), short="split compl."
)
TRIADIC: Final = Rule("triadic", 120, 120, 120, lambda _: (120.0, 240.0), flags_move=False)
# At 90 degrees the rectangle is a square.
TETRADIC: Final = Rule("tetradic", 60, 20, 160, lambda spread: (spread, 180.0, 180.0 + spread))
ANALOGOUS_WITH_ACCENT: Final = Rule(
    "analogous with accent", 30, 10, 60, lambda spread: (-spread, spread, 180.0), short="anal. + accent"
)
# Its angles are the designer's own.
FREE: Final = Rule("free", 0, 0, 0, lambda _: ())
RULES: Final = {
    rule.name: rule
    for rule in (
        MONOCHROMATIC,
        ANALOGOUS,
        COMPLEMENTARY,
        SPLIT_COMPLEMENTARY,
        TRIADIC,
        TETRADIC,
        ANALOGOUS_WITH_ACCENT,
        FREE,
    )
}


def is_neutral(value: Hex) -> bool:
    """Return whether a `#rrggbb` is so near grey that its hue counts for nothing."""
    return hex_to_oklch(value)[1] < NEUTRAL_BELOW


def rule_angles(name: str, spread: float | None = None, free: tuple[float, ...] = ()) -> tuple[float, ...]:
    """Return the partners' angles, each 0 to 360, in the rule's order; `free` are those of the rule “free”.

    Raises InputError for an unknown rule or a spread outside its range.
    """
    if name not in RULES:
        raise InputError(f"“{name[:40]}” isn’t a rule. Use one of: {', '.join(RULES)}.", field="rule")
    rule = RULES[name]
    if rule is FREE:
        if len(free) > MOST_FREE_ANGLES:
            raise InputError(f"At most {MOST_FREE_ANGLES} angles of your own.", field="angles")
        return tuple(float(angle) % 360 for angle in free)
    chosen = rule.spread if spread is None else spread
    if not rule.least <= chosen <= rule.most:
        raise InputError(
            f"The spread of “{name}” may be {rule.least:g} to {rule.most:g} degrees.", field="spread"
        )
    return tuple(float(angle) % 360 for angle in rule.angles(chosen))


def spread_at(name: str, index: int, angle: float) -> float | None:
    """Return the whole spread, within its range, at which a partner of the rule stands nearest to an angle.

    On either side of where it is counted from. None where the partner stays whatever the spread.
    Raises InputError for a partner that the rule has not.
    """
    rule = RULES[name]
    starts, turned = rule.angles(0), rule.angles(1)
    if not 0 <= index < len(starts):
        raise InputError(f"“{name}” has {len(starts)} partners.", field="index")
    if starts[index] % 360 == turned[index] % 360:
        return None
    away = float(hue_distance(angle, starts[index]))
    return float(np.floor(min(rule.most, max(rule.least, away)) + 0.5))


def partners(
    anchor: Hex,
    rule: str,
    spread: float | None = None,
    free: tuple[float, ...] = (),
    circle: Circle = "perceptual",
) -> tuple[tuple[Hex, float], ...]:
    """Return the anchor and its partners with their angles, at the anchor's lightness and chroma.

    circle: which one the angles are counted on.

    Raises InputError as rule_angles does, and for an anchor that has no hue.
    """
    lightness, chroma, hue = (float(channel) for channel in srgb8_to_oklch(hex_to_srgb8(anchor)))
    angles = rule_angles(rule, spread, free)
    if chroma < 1e-6 and angles:
        raise InputError("A grey has no hue to find partners for. Choose a coloured anchor.", field="color")
    places = np.array([[lightness, chroma, turned(hue, angle, circle)] for angle in angles]).reshape(-1, 3)
    found = [srgb8_to_hex(color) for color in nearest_of_hue(places)]
    return ((anchor, 0.0), *zip(found, angles, strict=True))


def color_at(lightness: float, chroma: float, hue: float) -> Hex:
    """Return the 8-bit sRGB colour at this place in OKLCH; chroma is reduced until it is inside."""
    return srgb8_to_hex(nearest_of_hue(np.array([lightness, max(0.0, chroma), hue % 360])))


def nearest_of_hue(oklch: Floats) -> NDArray[np.uint8]:
    """Return the nearest 8-bit colours that keep the hue, shapes (..., 3); out of gamut loses chroma.

    Plain rounding turns the hue of dark and greyish colours by several degrees. Among the 27 8-bit
    colours around, the nearest whose hue stays within HUE_KEPT is taken, where there is one.
    """
    oklch = np.asarray(oklch, dtype=np.float64)
    rounded = oklch_to_srgb8(oklch)
    around = np.clip(rounded.astype(np.int64)[..., None, :] + _CUBE, 0, 255).astype(np.uint8)
    lab = srgb8_to_oklab(around)
    places = oklab_to_oklch(lab)
    inside = places[..., _CUBE_MIDDLE, :]
    # The wanted place with the chroma that sRGB allows there.
    wanted = np.stack(
        [oklch[..., 0], np.minimum(oklch[..., 1], inside[..., 1] + 0.004), oklch[..., 2]], axis=-1
    )
    distance = delta_e_ok(lab, oklch_to_oklab(wanted)[..., None, :])
    turned = hue_distance(places[..., 2], oklch[..., 2][..., None])
    hueless = (wanted[..., 1] < 0.004)[..., None]
    worth = np.where((turned <= HUE_KEPT) | hueless, distance, distance + 1 + turned)
    is_wanted_grey = oklch[..., 1] < 1e-6
    if is_wanted_grey.any():
        # A grey stays a grey: among its neighbours only equal channels count.
        is_grey = np.all(around == around[..., :1], axis=-1)
        worth = np.where(is_wanted_grey[..., None] & ~is_grey, worth + 100, worth)
    best = np.argmin(worth, axis=-1)
    rows = around.reshape(-1, len(_CUBE), 3)
    chosen = rows[np.arange(len(rows)), best.reshape(-1)]
    return np.asarray(chosen.reshape(rounded.shape), dtype=np.uint8)
