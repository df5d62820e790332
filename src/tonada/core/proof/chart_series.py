"""Colours for the series of a chart: told apart in any colour vision, each clear of its ground."""

from __future__ import annotations

from collections.abc import Sequence
from functools import lru_cache
from typing import Final

import numpy as np

from tonada.core.color.contrast import contrast_ratio
from tonada.core.color.spaces import Floats, Hex, Srgb8, hex_to_srgb8, hexes_to_srgb8, srgb8_to_oklab
from tonada.core.color.wcag import LARGE_RATIO
from tonada.core.sight.machado import Sight
from tonada.core.sight.vision import simulated_oklab
from tonada.core.take.key import step_key
from tonada.core.take.take import ACCENTS, Role, Take

MOST_SERIES: Final = 5
# A graphic needs 3 to 1 on its ground: WCAG 2.2, 1.4.11.
NEEDED: Final = LARGE_RATIO
# Lightness in OKLab: beyond them a line of one pixel looks black or white.
_NEARLY_BLACK: Final = 0.34
_NEARLY_WHITE: Final = 0.93
# In OKLab, as the eyes see it that tell two series worst.
_LEAST_GAP: Final = 0.07
_SIGHTS: Final[tuple[Sight, ...]] = ("protan", "deutan", "tritan")
_LENDERS: Final = (Role.PRIMARY, Role.SECONDARY, *ACCENTS)


def series_of(take: Take, ground: Hex) -> tuple[str, ...]:
    """Return keys of up to MOST_SERIES colours of the brand, as Take.color_of reads them.

    The first is Primary, or the step of it that reads; each further one is the colour farthest, for
    the eyes that tell it worst, from all before it: typical, protan, deutan and tritan. What is nearly black
    or nearly white looks like no colour of the brand in a thin line; it is taken only after all others.
    """
    keys: list[str] = []
    for role in _LENDERS:
        if take.has_role(role):
            owner = take.assignment(role).swatch
            steps = [step_key(owner, row + 1) for row in range(len(take.ramp(owner).hexes))]
            keys += [role, *steps]
    hexes = tuple(take.color_of(key) for key in keys)
    return tuple(keys[row] for row in _chosen(hexes, ground))


@lru_cache(maxsize=256)
def _chosen(hexes: Sequence[Hex], ground: Hex) -> tuple[int, ...]:
    if not hexes:
        return ()
    colors = hexes_to_srgb8(tuple(hexes))
    reads = np.flatnonzero(contrast_ratio(colors, hex_to_srgb8(ground)) >= NEEDED)
    if not len(reads):
        return ()
    seen = _as_seen(colors[reads])
    lightness = seen[0, :, 0]
    is_hue = (lightness > _NEARLY_BLACK) & (lightness < _NEARLY_WHITE)
    picked = [0]
    while len(picked) < min(MOST_SERIES, len(reads)):
        gaps = np.linalg.norm(seen[:, :, None] - seen[:, None, picked], axis=-1).min(axis=0).min(axis=-1)
        # Two that can hardly be told apart are worse than one that is nearly black.
        offered = np.where(is_hue & (gaps >= _LEAST_GAP), gaps, 0.0)
        farthest = int(np.argmax(offered if offered.any() else gaps))
        if gaps[farthest] <= 0:
            break
        picked.append(farthest)
    return tuple(int(reads[row]) for row in picked)


def _as_seen(colors: Srgb8) -> Floats:
    """Return OKLab, shape (eyes, colours, 3)."""
    eyes = [srgb8_to_oklab(colors), *(simulated_oklab(colors, sight) for sight in _SIGHTS)]
    return np.stack(eyes)
