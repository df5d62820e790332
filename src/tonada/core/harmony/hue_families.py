"""How many hues there are among colours: those that are close together on the circle are one."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Final

from tonada.core.color.hue_rules import NEUTRAL_BELOW
from tonada.core.color.spaces import Hex, hex_to_oklch, hue_distance

# Hues this close, in degrees, are one hue.
SAME_HUE: Final = 25.0


def hue_families(hues: Sequence[float]) -> list[list[int]]:
    """Return which of the hues, in degrees, belong together, as rows of their places around the circle."""
    families: list[list[int]] = []
    for row in sorted(range(len(hues)), key=lambda row: hues[row]):
        if families and float(hue_distance(hues[families[-1][-1]], hues[row])) < SAME_HUE:
            families[-1].append(row)
        else:
            families.append([row])
    if len(families) > 1 and float(hue_distance(hues[families[0][0]], hues[families[-1][-1]])) < SAME_HUE:
        families[0] = families.pop() + families[0]
    return families


def hue_count(values: Sequence[Hex]) -> int:
    """Return how many hues colours have; black, white and grey don't count."""
    places = [hex_to_oklch(value) for value in values]
    return len(hue_families([hue for _, chroma, hue in places if chroma >= NEUTRAL_BELOW]))
