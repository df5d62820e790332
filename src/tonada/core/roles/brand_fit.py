"""How well colours fit the brand roles: the figures that decide, and the objective.

The best assignment is the one that leaves the fewest roles to be made, Accent first, and of those the one
with the best sum of the weights below. They are tried one by one.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from itertools import product
from typing import Final, TypeAlias

from tonada.core.color.apart import TOLD_APART
from tonada.core.color.contrast import contrast_ratio
from tonada.core.color.hue_rules import NEUTRAL_BELOW
from tonada.core.color.spaces import Hex, difference_between, hex_to_srgb8, hue_distance, srgb8_to_oklch
from tonada.core.color.vibration import vibration
from tonada.core.color.wcag import LARGE_RATIO, TEXT_RATIO
from tonada.core.roles.partners import ACCENT_APART
from tonada.core.take.parts import Role

BRAND_ROLES: Final = (Role.PRIMARY, Role.SECONDARY, Role.ACCENT)

# The objective. Each term runs from 0 to 1 before it is weighted.
PRIMARY_COVERS: Final = 1.0  # its share beside the largest one
PRIMARY_CARRIES_TEXT: Final = 0.6  # the ratio of white text on it, 4.5 and more is 1
PRIMARY_IS_SEEN: Final = 0.4  # its ratio as a headline on white, 3 and more is 1
PRIMARY_IS_COLORED: Final = 0.3  # chroma, 0.12 and more is 1
SECONDARY_COVERS: Final = 0.35
SECONDARY_IS_COLORED: Final = 0.3  # chroma, 0.1 and more is 1: next to Primary stands a colour, not a shade
ACCENT_IS_FAR: Final = 0.4  # hue distance to the primary, 180 degrees is 1
ACCENT_IS_LIVELY: Final = 0.4  # chroma, 0.15 and more is 1
ACCENT_IS_SMALL: Final = 0.2
ACCENT_IS_SEEN: Final = 0.4  # neither near black nor near white, or less of it the nearer it is
ACCENT_VIBRATES: Final = 0.7  # how much it vibrates on Primary counts against it
# Where an accent is seen, in OKLCH lightness, and how soon beyond that it isn't at all.
SEEN_FROM: Final = 0.45
SEEN_UP_TO: Final = 0.85
UNSEEN_AFTER: Final = 0.12
# A colour so pale on white, and of so little chroma, can't lead: nobody would see it.
PALE_RATIO: Final = 1.7
PALE_CHROMA: Final = 0.1
# Of pale colours, those are grounds: a light pink or aqua is an accent still, a cream isn't.
GROUND_RATIO: Final = 1.35
GROUND_CHROMA: Final = 0.05
# So dark and with so little chroma, a colour is seen as black: a text, and no accent.
BLACK_RATIO: Final = 14.0
BLACK_CHROMA: Final = 0.05

_WHITE: Final = hex_to_srgb8("#ffffff")


@dataclass(frozen=True, slots=True)
class BrandColor:
    """A colour that asks for a role, with the figures that decide. number: its place among the candidates.

    share: 0 to 1. lightness, chroma, hue: OKLCH, degrees. on_white: its contrast ratio with white.
    """

    number: int
    hex: Hex
    share: float
    lightness: float
    chroma: float
    hue: float
    on_white: float

    @property
    def is_neutral(self) -> bool:
        return self.chroma < NEUTRAL_BELOW

    @property
    def is_pale(self) -> bool:
        return self.on_white < PALE_RATIO and self.chroma < PALE_CHROMA

    @property
    def is_like_a_ground(self) -> bool:
        """Whether it is seen as a tint of white: nothing that stands on a page would be this pale."""
        return self.is_pale and (self.on_white < GROUND_RATIO or self.chroma < GROUND_CHROMA)

    @property
    def is_black(self) -> bool:
        return self.on_white >= BLACK_RATIO and self.chroma < BLACK_CHROMA

    @property
    def calls(self) -> bool:
        """Whether it can be an accent: a hue that is seen as one, and no ground or text."""
        return not (self.is_neutral or self.is_like_a_ground or self.is_black)


Three: TypeAlias = "tuple[BrandColor | None, BrandColor | None, BrandColor | None]"


def figures_of(number: int, value: Hex, share: float = 0.0) -> BrandColor:
    """Return a colour with its figures."""
    srgb8 = hex_to_srgb8(value)
    lightness, chroma, hue = (float(channel) for channel in srgb8_to_oklch(srgb8))
    on_white = float(contrast_ratio(_WHITE, srgb8))
    return BrandColor(number, value, share, lightness, chroma, hue, on_white)


def best_brand(
    colors: Sequence[BrandColor], fixed: Mapping[Role, BrandColor], *, makes_accent: bool = False
) -> dict[Role, BrandColor]:
    """Return the best of all assignments of colours to the brand roles that aren't fixed.

    makes_accent: whether Accent is left to be made. Without Primary where none of them can lead.
    """
    lively = [color for color in colors if not color.is_neutral]
    seen = [color for color in colors if not color.is_pale]
    primaries = [color for color in lively if not color.is_pale] or seen
    callers = [] if makes_accent else [color for color in colors if color.calls]
    offered: dict[Role, list[BrandColor | None]] = {
        Role.PRIMARY: [*primaries] or [None],
        Role.SECONDARY: [None, *lively],
        Role.ACCENT: [None, *callers],
    }
    options = [[fixed[role]] if role in fixed else offered[role] for role in BRAND_ROLES]
    largest = max((color.share for color in (*colors, *fixed.values())), default=0.0) or 1.0
    best: tuple[tuple[int, int, int, float], dict[Role, BrandColor]] = ((-1, -1, -1, -1.0), {})
    for primary, secondary, accent in product(*options):
        three = (primary, secondary, accent)
        numbers = [color.number for color in three if color]
        if len(set(numbers)) < len(numbers) or not _is_apart(three, fixed):
            continue
        rank = _rank(three, largest)
        if rank > best[0]:
            best = (rank, {role: color for role, color in zip(BRAND_ROLES, three, strict=True) if color})
    return best[1]


def _is_apart(three: Three, fixed: Mapping[Role, BrandColor]) -> bool:
    """Return whether the roles that aren't fixed differ enough from the others to be told apart."""
    primary, secondary, accent = three
    for role, one, other in (
        (Role.SECONDARY, secondary, primary),
        (Role.ACCENT, accent, primary),
        (Role.ACCENT, accent, secondary),
    ):
        if role not in fixed and one and other and difference_between(one.hex, other.hex) < TOLD_APART:
            return False
    return True


def _rank(three: Three, largest: float) -> tuple[int, int, int, float]:
    """Return what counts, the first thing first: an accent, one that calls, a secondary, the score."""
    primary, secondary, accent = three
    calls = bool(primary and accent and difference_between(primary.hex, accent.hex) >= ACCENT_APART)
    return int(accent is not None), int(calls), int(secondary is not None), _score(three, largest)


def _score(three: Three, largest: float) -> float:
    primary, secondary, accent = three
    if primary is None:
        # All are pale: the most chromatic one stands beside the Primary that is made.
        return secondary.chroma if secondary and accent is None else 0.0
    score = PRIMARY_COVERS * primary.share / largest
    score += PRIMARY_CARRIES_TEXT * min(1.0, primary.on_white / TEXT_RATIO)
    score += PRIMARY_IS_SEEN * min(1.0, primary.on_white / LARGE_RATIO)
    score += PRIMARY_IS_COLORED * min(1.0, primary.chroma / 0.12)
    if secondary:
        score += SECONDARY_COVERS * secondary.share / largest
        score += SECONDARY_IS_COLORED * min(1.0, secondary.chroma / 0.1)
    if accent:
        score += ACCENT_IS_FAR * float(hue_distance(primary.hue, accent.hue)) / 180
        score += ACCENT_IS_LIVELY * min(1.0, accent.chroma / 0.15)
        score += ACCENT_IS_SMALL * (1 - accent.share / largest)
        beyond = max(0.0, SEEN_FROM - accent.lightness, accent.lightness - SEEN_UP_TO)
        score += ACCENT_IS_SEEN * (1 - min(1.0, beyond / UNSEEN_AFTER))
        score -= ACCENT_VIBRATES * vibration(primary.hex, accent.hex)
    return score
