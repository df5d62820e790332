"""Which drawn palettes are kept: those that hold what is promised, and of these the most unlike.

`fault_of` names the first rule that a palette breaks. `Chooser` takes one after the other the palette
that is farthest from all taken (farthest-point sampling: Gonzalez, “Clustering to minimize the maximum
intercluster distance”, 1985), for those moods and trades first that are served least.
"""

from __future__ import annotations

from itertools import combinations
from typing import Final

import numpy as np
from numpy.typing import NDArray

from tonada.core.color.contrast import ratio_between
from tonada.core.color.spaces import (
    Hex,
    difference_between,
    hex_to_oklch,
    hexes_to_srgb8,
    hue_distance,
)
from tonada.core.color.vibration import vibrates
from tonada.core.harmony.character import measured
from tonada.core.harmony.hue_families import SAME_HUE
from tonada.core.pairs.evaluation import evaluate
from tonada.core.ready.distance import palette_distances, places_of
from tonada.core.ready.drawing import most_calm_chroma
from tonada.core.ready.palette import BRAND, DARK_BELOW, ReadyPalette, RoleColor, nearest_character
from tonada.core.ready.taking import propose_ready
from tonada.core.sight.vision import apart_to_all
from tonada.core.take.parts import Role
from tonada.core.take.take import Take

# Brand roles differ by this (deltaEOK) to typical, protan, deutan and tritan eyes, by day and by night.
BRAND_TOLD_APART: Final = 0.08
# Two palettes of ours differ by at least this; see palette_distances.
NO_TWINS: Final = 0.035

# What would be ugly. Each was set on contact sheets of hundreds of palettes.
_DRAB_HUES: Final = (86.0, 126.0)  # a dark yellow is mud, except among earths; a mustard is not
_DRAB_LIGHTNESS: Final = (0.34, 0.68)
_DRAB_CHROMA: Final = (0.06, 0.145)
_EARTHS: Final = ("earthy", "muted")
_BROWN_BLACK_HUES: Final = (60.0, 135.0)  # a dark ground of these hues is a brown soup
_BROWN_BLACK_CHROMA: Final = 0.014
_BLACKISH: Final = 0.3
_WARM_BELOW: Final = 135.0
_STAINED_FROM: Final = 45.0
_DARK_PAIR: Final = 0.42
_DARK_PAIR_RATIO: Final = 1.45
_LOUD_CHROMA: Final = 0.17
_LEAST_SPAN: Final = 0.13  # lightness, over the brand: without it nothing leads
_ACCENT_APART: Final = 0.17  # deltaEOK of Accent from Primary: what calls is seen
_ACCENT_CHROMA: Final = 0.06
_SEEN_ON_PAPER: Final = 1.35  # ratio: a colour paler than this is lost on the page
_WEAK_LEAD: Final = 1.9  # ratio of Primary on Paper, unless the palette is a pale one


def fault_of(colors: tuple[RoleColor, ...]) -> str | None:
    """Return the name of the first rule that a palette breaks; None where it may be kept."""
    by_role = {color.role: color.hex for color in colors}
    brand = [by_role[role] for role in BRAND if role in by_role]
    return _ugly(by_role, brand) or _unproven(colors)


def _ugly(by_role: dict[Role, Hex], brand: list[Hex]) -> str | None:
    places = [hex_to_oklch(value) for value in brand]
    paper = by_role[Role.PAPER]
    if any(_is_soup(*place) and place[0] < _BLACKISH for place in places):
        return "brown black"
    if _blur(by_role[Role.PRIMARY], by_role[Role.SECONDARY]):
        return "blur"
    if any(_is_drab(*place) for place in places[2:]):
        return "drab accent"
    if any(_is_drab(*place) for place in places) and nearest_character(by_role) not in _EARTHS:
        return "drab"
    if any(chroma > most_calm_chroma(lightness, hue) + 0.01 for lightness, chroma, hue in places):
        return "glares"
    if _is_soup(*hex_to_oklch(paper)) or _is_stained(hex_to_oklch(paper), places[0]):
        return "brown black"
    if sum(chroma >= _LOUD_CHROMA for _, chroma, _ in places) > 2:
        return "all loud"
    if measured(brand).span < _LEAST_SPAN:
        return "flat"
    accent = by_role[Role.ACCENT]
    if difference_between(by_role[Role.PRIMARY], accent) < _ACCENT_APART:
        return "accent near the lead"
    if hex_to_oklch(accent)[1] < _ACCENT_CHROMA:
        return "grey accent"
    if any(ratio_between(value, paper) < _SEEN_ON_PAPER for value in brand):
        return "lost on the page"
    if ratio_between(by_role[Role.PRIMARY], paper) < _WEAK_LEAD:
        return "weak lead"
    if any(vibrates(one, other) for one, other in combinations(brand, 2)):
        return "vibrates"
    return None


def _is_drab(lightness: float, chroma: float, hue: float) -> bool:
    return (
        _DRAB_HUES[0] <= hue <= _DRAB_HUES[1]
        and _DRAB_LIGHTNESS[0] <= lightness <= _DRAB_LIGHTNESS[1]
        and _DRAB_CHROMA[0] <= chroma <= _DRAB_CHROMA[1]
    )


def _is_stained(paper: tuple[float, float, float], lead: tuple[float, float, float]) -> bool:
    """Return whether a dark ground is warm under a lead that isn't."""
    lightness, chroma, hue = paper
    is_warm = lightness < DARK_BELOW and chroma > _BROWN_BLACK_CHROMA and hue < _WARM_BELOW
    return is_warm and float(hue_distance(hue, lead[2])) > _STAINED_FROM


def _blur(one: Hex, other: Hex) -> bool:
    """Return whether two dark colours of far hues are equally dark: side by side they are mud."""
    places = hex_to_oklch(one), hex_to_oklch(other)
    is_dark = max(lightness for lightness, _, _ in places) < _DARK_PAIR
    return is_dark and ratio_between(one, other) < _DARK_PAIR_RATIO and _turn(places) > SAME_HUE


def _turn(places: tuple[tuple[float, float, float], tuple[float, float, float]]) -> float:
    return float(hue_distance(places[0][2], places[1][2]))


def _is_soup(lightness: float, chroma: float, hue: float) -> bool:
    is_brown = _BROWN_BLACK_HUES[0] <= hue <= _BROWN_BLACK_HUES[1] and chroma > _BROWN_BLACK_CHROMA
    return lightness < DARK_BELOW and is_brown


def _unproven(colors: tuple[RoleColor, ...]) -> str | None:
    proposal = propose_ready(colors)
    if proposal.impossible:
        return "impossible"
    by_day, by_night = proposal.take, proposal.take.turned()
    if not (_told_apart(by_day) and _told_apart(by_night)):
        return "confused"
    return "falls short" if evaluate(by_day).failing or evaluate(by_night).failing else None


def _told_apart(take: Take) -> bool:
    values = hexes_to_srgb8(tuple(take.hex_of(role) for role in BRAND if take.has_role(role)))
    apart = apart_to_all(values, values)
    return bool(apart[np.triu_indices(len(values), 1)].min() >= BRAND_TOLD_APART)


class Chooser:
    """Takes palettes out of a pool, the most different first. The same pool gives the same choice."""

    def __init__(self, pool: list[ReadyPalette]) -> None:
        self.pool = pool
        self.taken: list[int] = []
        self.is_taken = np.zeros(len(pool), dtype=bool)
        self._places = places_of(pool)
        self._nearest = np.full(len(pool), np.inf)

    def fill(self, rows: NDArray[np.bool_], until: int) -> int:
        """Take of some rows until so many of them are taken, or all left are near-twins; return how many are.

        rows: shape (N,).
        """
        while int((rows & self.is_taken).sum()) < until and self.take(rows) is not None:
            pass
        return int((rows & self.is_taken).sum())

    def take(self, rows: NDArray[np.bool_]) -> int | None:
        """Choose the row, of shape (N,), that is farthest from all rows chosen before.

        None where all that are left are near-twins of one that is taken.
        """
        worth = np.where(rows, self._nearest, -1.0)
        row = int(np.argmax(worth))
        if worth[row] < NO_TWINS:
            return None
        self.taken.append(row)
        self.is_taken[row] = True
        self._nearest = np.minimum(self._nearest, palette_distances(self._places[row], self._places))
        return row
