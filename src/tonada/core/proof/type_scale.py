"""Sizes of type by a ratio: every style is a power of it away from the running text."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import replace
from typing import Final

from tonada.core.errors import InputError
from tonada.core.take.proof_settings import TEXT_STYLES, USUAL_SIZES, TextSize, TextStyle
from tonada.core.take.take import Take

LEAST_SIZE: Final = 8.0
LARGEST_SIZE: Final = 200.0
# The ratios that are offered, by the musical intervals they are called after.
RATIOS: Final[tuple[tuple[str, float], ...]] = (
    ("major second", 1.125),
    ("minor third", 1.2),
    ("major third", 1.25),
    ("fourth", 1.333),
    ("augmented fourth", 1.414),
    ("fifth", 1.5),
    ("golden section", 1.618),
)
# By how many steps of the scale a style stands above the running text.
STEPS: Final[dict[TextStyle, float]] = {"h1": 4, "h2": 2, "h3": 1, "text": 0, "small": -0.5, "label": 0}


def with_scale(
    take: Take, base: float, ratio: float, usual: Mapping[TextStyle, TextSize] = USUAL_SIZES
) -> Take:
    """Return the take with all sizes by a ratio from the text's size, whole pixels; weights stay.

    base: CSS pixels. usual: of its trade, where it has no weights of its own. Sizes that were set for
    narrower windows go back to following the wide ones.
    Raises InputError where a size would be out of LEAST_SIZE to LARGEST_SIZE.
    """
    sizes: list[tuple[TextStyle, TextSize]] = []
    for style in TEXT_STYLES:
        size = float(round(base * ratio ** STEPS[style]))
        if not LEAST_SIZE <= size <= LARGEST_SIZE:
            raise InputError(
                f"By this scale a text would be {size:g} px; it can be {LEAST_SIZE:g} to {LARGEST_SIZE:g}.",
                field="ratio" if LEAST_SIZE <= base <= LARGEST_SIZE else "base",
            )
        now = dict(take.proof.sizes).get(style, usual[style])
        sizes.append((style, replace(now, size=size)))
    return replace(take, proof=replace(take.proof, sizes=tuple(sizes), narrow_sizes=()))
