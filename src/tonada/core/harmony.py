"""Partners of an anchor by hue rules, in OKLCH."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Final

import numpy as np

from tonada.core.color import Hex, oklch_to_srgb8, srgb8_to_hex


@dataclass(frozen=True, slots=True)
class Rule:
    """A hue rule: the angles of the partners, in degrees from the anchor."""

    name: str
    angles: tuple[float, ...]


MONOCHROMATIC: Final = Rule("monochromatic", ())
ANALOGOUS: Final = Rule("analogous", (-30.0, 30.0))
COMPLEMENTARY: Final = Rule("complementary", (180.0,))
ANALOGOUS_WITH_ACCENT: Final = Rule("analogous with accent", (30.0, 180.0))
RULES: Final = {rule.name: rule for rule in (MONOCHROMATIC, ANALOGOUS, COMPLEMENTARY, ANALOGOUS_WITH_ACCENT)}


def color_at(lightness: float, chroma: float, hue: float) -> Hex:
    """Return the 8-bit sRGB colour at this place in OKLCH; chroma is reduced until it is inside."""
    return srgb8_to_hex(oklch_to_srgb8(np.array([lightness, max(0.0, chroma), hue % 360])))
