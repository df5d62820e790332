"""A file that was changed, beside the one before: which colour has become which.

Colours are paired so that the whole differs least (linear sum assignment); what is farther apart than
SAME_PLACE is not the same colour changed, but one that is gone and one that is new.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final

import numpy as np

from tonada.core.color.spaces import Hex, delta_e_ok, hexes_to_srgb8, srgb8_to_oklab

# A colour that moved farther than this (deltaEOK) is another one.
SAME_PLACE: Final = 0.3
# How much it counts that one covers much and the other little.
SHARE_COUNTS: Final = 0.15


@dataclass(frozen=True, slots=True)
class ColorShare:
    """A colour of a source. share: of all that is visible, 0 to 1."""

    hex: Hex
    share: float


@dataclass(frozen=True, slots=True)
class Beside:
    """A colour before and after, by their places in what was given; None where it is new or gone.

    difference: deltaEOK between the two, 0 where one is missing.
    """

    before: int | None
    after: int | None
    difference: float


def beside(before: Sequence[ColorShare], after: Sequence[ColorShare]) -> tuple[Beside, ...]:
    """Return every colour of both, each once: paired ones in the order of `before`, then what is new."""
    pairs = _pairs(before, after) if before and after else {}
    rows = [
        Beside(row, pairs[row][0], pairs[row][1]) if row in pairs else Beside(row, None, 0.0)
        for row in range(len(before))
    ]
    taken = {place for place, _ in pairs.values()}
    return (*rows, *(Beside(None, place, 0.0) for place in range(len(after)) if place not in taken))


def _pairs(before: Sequence[ColorShare], after: Sequence[ColorShare]) -> dict[int, tuple[int, float]]:
    # Only where a file is replaced; it takes half a second to load.
    from scipy.optimize import linear_sum_assignment

    labs = [
        srgb8_to_oklab(hexes_to_srgb8(tuple(color.hex for color in colors))) for colors in (before, after)
    ]
    away = delta_e_ok(labs[0][:, None], labs[1][None])
    shares = [np.array([color.share for color in colors]) for colors in (before, after)]
    costs = np.minimum(away, SAME_PLACE) + SHARE_COUNTS * np.abs(shares[0][:, None] - shares[1][None])
    # The same value is the same colour, however much it covers.
    costs[away < 1e-9] = 0.0
    rows, columns = linear_sum_assignment(costs)
    return {
        int(row): (int(column), float(away[row, column]))
        for row, column in zip(rows, columns, strict=True)
        if away[row, column] < SAME_PLACE
    }
