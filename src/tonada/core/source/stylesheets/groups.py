"""Near-twins together: an old site's twelve greys become one."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Final

import numpy as np

from tonada.core.color.spaces import Hex, hexes_to_srgb8, srgb8_to_oklab
from tonada.core.source.stylesheets.usage import ColorUse

# Two colours of this deltaEOK are told apart beside each other, and taken for one apart.
USUAL_DIFFERENCE: Final = 0.05
LARGEST_DIFFERENCE: Final = 0.25


@dataclass(frozen=True, slots=True)
class ColorGroup:
    """Colours that pass for one. hex: the most used of them. members: rows of the uses, most used first."""

    hex: Hex
    members: tuple[int, ...]
    count: int


def group_uses(uses: tuple[ColorUse, ...], difference: float = USUAL_DIFFERENCE) -> tuple[ColorGroup, ...]:
    """Return the groups in which no two colours differ by more than `difference` (deltaEOK), most used first.

    Complete linkage, so that a chain of small steps doesn't join black to white.
    """
    if not uses:
        return ()
    labels = np.arange(len(uses))
    if len(uses) > 1 and difference > 0:
        places = srgb8_to_oklab(hexes_to_srgb8(tuple(use.hex for use in uses)))
        # Only where a stylesheet is read; it takes half a second to load.
        from scipy.cluster.hierarchy import fcluster, linkage

        labels = fcluster(linkage(places, method="complete"), t=difference, criterion="distance")
    groups = []
    for label in dict.fromkeys(labels.tolist()):
        members = tuple(int(row) for row in np.flatnonzero(labels == label))
        by_use = tuple(sorted(members, key=lambda row: (-uses[row].count, row)))
        groups.append(ColorGroup(uses[by_use[0]].hex, by_use, sum(uses[row].count for row in members)))
    return tuple(sorted(groups, key=lambda group: -group.count))
