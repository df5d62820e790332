"""Characters: readable targets for how light, how chromatic and how wide a palette is."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Final


@dataclass(frozen=True, slots=True)
class Character:
    """Targets for what is free in a palette.

    lightness  OKLCH lightness in the middle of the brand colours, 0 to 1
    chroma     share of the largest chroma that sRGB has at a colour's lightness and hue, 0 to 1
    span       distance between the lightest and the darkest of them, in lightness
    says       what it looks like, in a few words
    """

    name: str
    lightness: float
    chroma: float
    span: float
    says: str


_ALL: Final = (
    Character("muted", 0.60, 0.38, 0.24, "greyed, nothing calls"),
    Character("vivid", 0.64, 0.96, 0.30, "as chromatic as the screen allows"),
    Character("pale", 0.85, 0.42, 0.14, "light tints, little weight"),
    Character("deep", 0.40, 0.78, 0.24, "dark and full"),
    Character("earthy", 0.52, 0.52, 0.30, "clay, moss and ochre weights"),
    Character("crisp", 0.60, 0.80, 0.50, "clear colours far apart in lightness"),
    Character("luminous", 0.77, 0.86, 0.22, "light and full, as if lit from behind"),
    Character("sober", 0.42, 0.30, 0.26, "dark and reserved"),
    Character("smoky", 0.52, 0.20, 0.34, "near grey, with a trace of hue"),
    Character("gentle", 0.73, 0.50, 0.20, "soft, of even weight"),
)
CHARACTERS: Final = {character.name: character for character in _ALL}
