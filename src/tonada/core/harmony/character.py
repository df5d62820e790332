"""Characters: readable targets for how light, how chromatic and how wide a palette is."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from functools import lru_cache
from typing import Final

import numpy as np

from tonada.core.color.hue_rules import color_at
from tonada.core.color.spaces import Hex, hex_to_oklch, largest_chroma

# What is coloured stays coloured in every character: a chroma that rounding can't bring below
# NEUTRAL_BELOW, and the lightnesses at which sRGB has it for every hue.
LEAST_CHROMA: Final = 0.036
LEAST_LIGHTNESS: Final = 0.22
MOST_LIGHTNESS: Final = 0.92
# A hue that a character hasn't got keeps this part of its most chroma: an earthy blue is slate.
FOREIGN_HUE: Final = 0.6


@dataclass(frozen=True, slots=True)
class Character:
    """Targets for what is free in a palette.

    lightness    OKLCH lightness in the middle of the brand colours, 0 to 1
    chroma       share of the largest chroma that sRGB has at a colour's lightness and hue, 0 to 1
    span         distance between the lightest and the darkest of them, in lightness
    says         what it looks like, in a few words
    most_chroma  the most chroma in absolute terms, whatever sRGB has
    to_cusp      how far a colour goes to the lightness at which its hue is strongest, 0 to 1
    first_hue    from this hue to last_hue, in degrees, it is at home; all others are greyer in it
    last_hue     see first_hue
    """

    name: str
    lightness: float
    chroma: float
    span: float
    says: str
    most_chroma: float = 0.4
    to_cusp: float = 0.0
    first_hue: float = 0.0
    last_hue: float = 360.0

    def place(self, value: Hex, rank: float) -> Hex:
        """Return a colour of the same hue. rank: -0.5 for the darkest of the span to 0.5 for the lightest."""
        hue = hex_to_oklch(value)[2]
        lightness = self.lightness + rank * self.span
        lightness += self.to_cusp * (cusp_lightness(hue) - lightness)
        lightness = min(MOST_LIGHTNESS, max(LEAST_LIGHTNESS, lightness))
        limit = float(largest_chroma(np.array(lightness), np.array(hue)))
        most = self.most_chroma * (1.0 if self.first_hue <= hue <= self.last_hue else FOREIGN_HUE)
        chroma = max(LEAST_CHROMA, min(self.chroma * limit, most))
        return color_at(lightness, chroma, hue)


@dataclass(frozen=True, slots=True)
class Measured:
    """What colours have together: mean lightness, mean share of the largest chroma, span of lightness."""

    lightness: float
    chroma: float
    span: float

    def moved(self, value: Hex, targets: Measured) -> Hex:
        """Return one of the measured colours moved as the whole goes from these figures to others."""
        lightness, _, hue = hex_to_oklch(value)
        wider = targets.span / self.span if self.span > 1e-6 else 0.0
        placed = targets.lightness + (lightness - self.lightness) * wider
        placed = lightness if targets == self else min(MOST_LIGHTNESS, max(LEAST_LIGHTNESS, placed))
        share = chroma_share(value) * (targets.chroma / self.chroma if self.chroma > 1e-6 else 0.0)
        limit = float(largest_chroma(np.array(placed), np.array(hue)))
        return color_at(placed, max(LEAST_CHROMA, min(1.0, share) * limit), hue)


def measured(values: Sequence[Hex]) -> Measured:
    """Return the figures of colours, at least one."""
    lightnesses = [hex_to_oklch(value)[0] for value in values]
    shares = [chroma_share(value) for value in values]
    return Measured(
        sum(lightnesses) / len(values), sum(shares) / len(values), max(lightnesses) - min(lightnesses)
    )


# The same values come again with every drag, and finding the limit of one is a tenth of a millisecond.
@lru_cache(maxsize=4096)
def chroma_share(value: Hex) -> float:
    """Return a colour's chroma as a share of the largest that sRGB has at its lightness and hue, 0 to 1."""
    lightness, chroma, hue = hex_to_oklch(value)
    limit = float(largest_chroma(np.array(lightness), np.array(hue)))
    return min(1.0, chroma / limit) if limit > 1e-6 else 0.0


@lru_cache(maxsize=1024)
def cusp_lightness(hue: float) -> float:
    """Return the OKLCH lightness, to 0.01, at which sRGB has the most chroma of a hue in degrees."""
    lightness = np.linspace(0.3, 0.98, 69)
    return float(lightness[int(np.argmax(largest_chroma(lightness, np.full(len(lightness), hue))))])


_ALL: Final = (
    Character("muted", 0.60, 0.45, 0.24, "soft and greyish", most_chroma=0.075),
    Character("vivid", 0.64, 0.97, 0.16, "as vivid as a screen can show", to_cusp=0.75),
    Character("pale", 0.87, 0.42, 0.08, "pale tints", most_chroma=0.07),
    Character("deep", 0.41, 0.90, 0.20, "dark and rich"),
    Character(
        "earthy",
        0.50,
        0.60,
        0.28,
        "clay, moss and ochre weights",
        most_chroma=0.1,
        first_hue=20,
        last_hue=145,
    ),
    Character("crisp", 0.60, 0.80, 0.50, "clear colours far apart in lightness", most_chroma=0.18),
    Character("luminous", 0.81, 0.86, 0.16, "light and full, as if lit from behind", most_chroma=0.17),
    Character("sober", 0.33, 0.34, 0.18, "dark and reserved", most_chroma=0.055),
    Character("smoky", 0.57, 0.16, 0.40, "near grey, with a trace of hue", most_chroma=0.042),
    Character("gentle", 0.70, 0.50, 0.16, "soft, of even weight", most_chroma=0.105),
)
CHARACTERS: Final = {character.name: character for character in _ALL}
