"""The nearest colour that reaches a contrast ratio against another: of all 16.7 million, exactly.

Branch and bound over the tree of lattice.py: a box can be left out when it is too close in luminance,
turned in hue, or when even its nearest point is farther than the best colour found so far.
"""

from __future__ import annotations

from dataclasses import dataclass
from typing import Final, Literal, TypeAlias

import numpy as np
from numpy.typing import NDArray

from tonada.core.color import (
    SRGB8_TO_LINEAR,
    Floats,
    Hex,
    hex_to_oklch,
    hex_to_srgb8,
    linear_to_oklab,
    srgb8_to_hex,
    srgb8_to_oklab,
)
from tonada.core.contrast import FLARE, ratio_of_luminances, relative_luminance
from tonada.core.errors import NotReachable
from tonada.core.lattice import Level, boxes, cells, colors_in, luminance_of

MendMode: TypeAlias = Literal["hue", "free"]

# “The same hue” after rounding to 8 bits, in degrees; below this chroma there is no hue to keep.
HUE_TOLERANCE: Final = 2.0
HUELESS_BELOW: Final = 0.02
# The chroma of an exact grey, which has every hue: rounding leaves it under 4e-8.
_EXACT_GREY: Final = 1e-6
# Boxes looked into before anything is known of the distance, and cells opened before the rest.
_FIRST_BOXES: Final = 24
_FIRST_CELLS: Final = 16
_SLACK: Final = 1e-12
_EDGE: Final = 1e-9


@dataclass(frozen=True, slots=True)
class Nearest:
    """The nearest colour, its deltaEOK from the one that moved, and its ratio, exact."""

    hex: Hex
    difference: float
    ratio: float


@dataclass(frozen=True, slots=True)
class _Question:
    """What a colour must be. above, below: the luminance from which, or up to which, the ratio is reached."""

    origin: tuple[float, float, float]
    fixed: Floats
    ratio: float
    above: float
    below: float
    keeps: Literal["hue", "grey", "nothing"]
    hue: float
    toward: tuple[float, float]

    def may_do(self, level: Level) -> NDArray[np.bool_]:
        """Say of boxes whether they may hold a colour that reaches the ratio and keeps what is to be kept."""
        may = (level.lightest >= self.above - _SLACK) | (level.darkest <= self.below + _SLACK)
        if self.keeps == "grey":
            may &= np.hypot(level.a, level.b) - level.radius < HUELESS_BELOW
        elif self.keeps == "hue":
            # How far it lies beyond the wedge of the hue; the axis of greys is the wedge's edge.
            cosine, sine = self.toward
            aside = np.abs(level.b * cosine - level.a * sine)
            along = level.a * cosine + level.b * sine
            may &= aside * _COSINE - along * _SINE <= level.radius + _SLACK
        return np.asarray(may)

    def keeps_exactly(self, a: Floats, b: Floats) -> NDArray[np.bool_]:
        """Say of colours whether they keep the hue within HUE_TOLERANCE, or stay neutral."""
        chroma = np.hypot(a, b)
        if self.keeps == "grey":
            return np.asarray(chroma < HUELESS_BELOW)
        hue = np.degrees(np.arctan2(b, a)) % 360
        turned = np.abs((hue - self.hue + 180) % 360 - 180)
        return np.asarray((turned <= HUE_TOLERANCE) | (chroma < _EXACT_GREY))

    def keeps_surely(self, a: Floats, b: Floats) -> NDArray[np.bool_]:
        """Say the same without an angle, and no of what lies on the edge: quick, for a first bound."""
        if self.keeps == "grey":
            return np.asarray(a * a + b * b < (HUELESS_BELOW - _EDGE) ** 2)
        cosine, sine = self.toward
        aside = np.abs(b * cosine - a * sine)
        along = a * cosine + b * sine
        return np.asarray(
            (aside * _COSINE - along * _SINE < -_EDGE) | (np.abs(a) + np.abs(b) < _EXACT_GREY / 2)
        )

    def away(self, lightness: Floats, a: Floats, b: Floats) -> Floats:
        """Return deltaEOK from the colour that moves."""
        first, second, third = self.origin
        return np.asarray(np.sqrt((lightness - first) ** 2 + (a - second) ** 2 + (b - third) ** 2))

    def reads(self, luminance: Floats) -> NDArray[np.bool_]:
        return np.asarray(ratio_of_luminances(luminance, self.fixed) >= self.ratio)


_COSINE: Final = float(np.cos(np.radians(HUE_TOLERANCE)))
_SINE: Final = float(np.sin(np.radians(HUE_TOLERANCE)))


def best_ratio(fixed: Hex) -> float:
    """Return the highest ratio that any colour has against this one: that of black or of white."""
    luminance = relative_luminance(hex_to_srgb8(fixed))
    return float(ratio_of_luminances(np.array([0.0, 1.0]), luminance).max())


def nearest_passing(moving: Hex, fixed: Hex, ratio: float, mode: MendMode = "hue") -> Nearest:
    """Return the 8-bit colour nearest to `moving`, by deltaEOK, that reaches `ratio` against `fixed`.

    mode hue: the hue stays within 2° in OKLCH, or the colour becomes an exact grey; one of chroma
    under 0.02 stays under it. mode free: any colour. The optimum of all 16.7 million, proven by the
    bound; of equals the first in order of red, green, blue. A colour that reaches the ratio stays.

    Raises NotReachable where neither black nor white does.
    """
    start, ground = hex_to_srgb8(moving), hex_to_srgb8(fixed)
    reached = float(ratio_of_luminances(relative_luminance(start), relative_luminance(ground)))
    if reached >= ratio:
        return Nearest(moving, 0.0, reached)
    if best_ratio(fixed) < ratio:
        raise NotReachable(ratio, best_ratio(fixed))
    found, difference = _search(_question(moving, relative_luminance(ground), ratio, mode))
    return Nearest(
        srgb8_to_hex(found),
        difference,
        float(ratio_of_luminances(relative_luminance(found), relative_luminance(ground))),
    )


def mend_color(moving: Hex, fixed: Hex, ratio: float, mode: MendMode = "hue") -> tuple[Hex, float]:
    """Return the nearest passing colour and its deltaEOK; see nearest_passing."""
    found = nearest_passing(moving, fixed, ratio, mode)
    return found.hex, found.difference


def _question(moving: Hex, fixed: Floats, ratio: float, mode: MendMode) -> _Question:
    _, chroma, hue = hex_to_oklch(moving)
    keeps: Literal["hue", "grey", "nothing"] = "hue" if chroma >= HUELESS_BELOW else "grey"
    lightness, a, b = srgb8_to_oklab(hex_to_srgb8(moving)).tolist()
    return _Question(
        origin=(lightness, a, b),
        fixed=fixed,
        ratio=ratio,
        above=ratio * (float(fixed) + FLARE) - FLARE,
        below=(float(fixed) + FLARE) / ratio - FLARE,
        keeps=keeps if mode == "hue" else "nothing",
        hue=hue,
        toward=(float(np.cos(np.radians(hue))), float(np.sin(np.radians(hue)))),
    )


def _search(asked: _Question) -> tuple[NDArray[np.int64], float]:
    """Return the best colour, shape (3,), and its deltaEOK."""
    coarse = boxes()
    reach = _reach(asked, coarse)
    best = _nearest_known(asked, coarse, np.inf)
    order = np.nonzero(reach <= best)[0]
    order = order[np.argsort(reach[order], kind="stable")]
    rows, within, best = _open(asked, order[:_FIRST_BOXES], best)
    more = order[_FIRST_BOXES:]
    more = more[reach[more] <= best]
    if len(more):
        other_rows, other_within, best = _open(asked, more, best)
        rows, within = np.concatenate([rows, other_rows]), np.concatenate([within, other_within])
    chosen = np.nonzero(within <= best)[0]
    chosen = chosen[np.argsort(within[chosen], kind="stable")]
    found = _look(asked, rows[chosen[:_FIRST_CELLS]], _Found(best, None))
    rest = chosen[_FIRST_CELLS:]
    found = _look(asked, rows[rest[within[rest] <= found.difference]], found)
    # Black or white passes, so that something is always found.
    return np.asarray(found.color), found.difference


@dataclass(frozen=True, slots=True)
class _Found:
    difference: float
    color: NDArray[np.int64] | None


def _open(
    asked: _Question, box_rows: NDArray[np.intp], best: float
) -> tuple[NDArray[np.intp], Floats, float]:
    """Return the cells of boxes, the least deltaEOK that each can have, and the best that is known now."""
    fine = cells().of(box_rows)
    rows = (box_rows[:, None] * 64 + np.arange(64)).reshape(-1)
    return rows, _reach(asked, fine), _nearest_known(asked, fine, best)


def _reach(asked: _Question, level: Level) -> Floats:
    """Return the least deltaEOK that a colour of each box can have; endless where none can do."""
    least = asked.away(level.lightness, level.a, level.b) - level.radius
    return np.where(asked.may_do(level), least, np.inf)


def _nearest_known(asked: _Question, level: Level, best: float) -> float:
    """Return the deltaEOK of the nearest representative that does, a hair more for rounding, or `best`."""
    does = np.nonzero(asked.reads(level.luminance))[0]
    a, b = level.a[does], level.b[does]
    if asked.keeps != "nothing":
        kept = asked.keeps_surely(a, b)
        does, a, b = does[kept], a[kept], b[kept]
    if not len(does):
        return best
    return min(best, float(asked.away(level.lightness[does], a, b).min()) + _SLACK)


def _look(asked: _Question, rows: NDArray[np.intp], found: _Found) -> _Found:
    """Return the best of what was found and of all colours of these cells."""
    if not len(rows):
        return found
    colors = colors_in(rows)
    colors = colors[asked.reads(luminance_of(colors))]
    lightness, a, b = linear_to_oklab(SRGB8_TO_LINEAR[colors]).T
    distance = asked.away(lightness, a, b)
    close = np.nonzero(distance <= found.difference)[0]
    if asked.keeps != "nothing":
        close = close[asked.keeps_exactly(a[close], b[close])]
    if not len(close):
        return found
    colors, distance = colors[close], distance[close]
    # Of equals the first in order of red, green, blue, so that the order of the search is of no account.
    order = np.lexsort((colors[:, 2], colors[:, 1], colors[:, 0], distance))
    return _Found(float(distance[order[0]]), colors[order[0]])
