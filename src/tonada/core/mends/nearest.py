"""The nearest colour that reaches a contrast ratio against another: of all 16.7 million, exactly.

Branch and bound over the tree of srgb_boxes.py: a box can be left out when it is too close in luminance,
turned in hue, or when even its nearest point is farther than the best colour found so far.
"""

from __future__ import annotations

import math
from dataclasses import dataclass
from typing import Final, Literal, TypeAlias

import numpy as np
from numpy.typing import NDArray

from tonada.core.color.contrast import EXTREMES, FLARE, luminance_of, ratio_between, ratio_of_luminances
from tonada.core.color.spaces import (
    Floats,
    Hex,
    hex_to_oklab,
    hex_to_oklch,
    lms_to_oklab,
    srgb8_to_hex,
)
from tonada.core.errors import NotReachable
from tonada.core.mends.srgb_boxes import Level, boxes, cells, color_at, greys, lights_in

MendMode: TypeAlias = Literal["hue", "free"]

# “The same hue” after rounding to 8 bits, in degrees; below this chroma there is no hue to keep.
HUE_TOLERANCE: Final = 2.0
HUELESS_BELOW: Final = 0.02
# The chroma of an exact grey, which has every hue: rounding leaves it under 4e-8.
_EXACT_GREY: Final = 1e-6
# More than the bounds, which are not exact, can be off.
_ROUNDING: Final = 1e-7
_GREYS: Final = tuple(f"#{level:02x}{level:02x}{level:02x}" for level in range(256))


@dataclass(frozen=True, slots=True)
class Nearest:
    """The nearest colour, its deltaEOK from the one that moved, and its ratio, exact."""

    hex: Hex
    difference: float
    ratio: float


@dataclass(frozen=True, slots=True)
class _Question:
    """What a colour must be. luminance: of the fixed one, shape ().

    above, below: the luminance from which, or up to which, the ratio is reached.

    weights, shape (1 or 3, 4): what Level.places is multiplied with for the squared distance, but for
    the length of the origin, and for how far they lie beyond each edge of the wedge of the hue.
    """

    origin: tuple[float, float, float]
    fixed: Hex
    luminance: Floats
    ratio: float
    above: float
    below: float
    keeps: Literal["hue", "grey", "nothing"]
    hue: float
    weights: Floats

    def weigh(self, level: Level, best: float) -> tuple[Floats, float]:
        """Return the least deltaEOK that a colour of each box can have; endless where none can do.

        And the deltaEOK of the nearest representative that does, a hair more for rounding, or `best`.
        Nothing here is exact, so that it may be a matrix product: it only leaves out what can't be.
        """
        squared, *sides = self.weights @ level.places
        squared += sum(part * part for part in self.origin)
        away = np.sqrt(np.maximum(squared, 0))
        may = self.is_apart(level.darkest, level.lightest, _ROUNDING)
        does = self.is_apart(level.luminance, level.luminance, -_ROUNDING)
        if self.keeps != "nothing":
            # The axis of greys, which have every hue, is the edge of the wedge.
            beyond = np.maximum(*sides) if sides else _chroma(level) - HUELESS_BELOW
            may &= beyond <= level.radius + _ROUNDING
            does &= beyond < -_ROUNDING
        known = float(away.min(where=does, initial=best - _ROUNDING)) + _ROUNDING
        return np.where(may, away - level.radius - _ROUNDING, np.inf), known

    def is_apart(self, darkest: Floats, lightest: Floats, slack: float) -> NDArray[np.bool_]:
        """Say of ranges of luminance whether something in them reaches the ratio, within `slack` of Y."""
        if self.below + slack < 0:
            return np.asarray(lightest >= self.above - slack)
        if self.above - slack > 1:
            return np.asarray(darkest <= self.below + slack)
        return np.asarray((lightest >= self.above - slack) | (darkest <= self.below + slack))

    def nearest_grey(self) -> float:
        """Return the deltaEOK of the nearest grey that reads: a grey may always be taken."""
        reads = [extreme for extreme in EXTREMES if ratio_between(extreme, self.fixed) >= self.ratio]
        extreme = min(math.dist(self.origin, hex_to_oklab(read)) for read in reads)
        lightness, luminance = greys()
        apart = self.is_apart(luminance, luminance, -_ROUNDING)
        nearest = np.abs(lightness - self.origin[0]).min(where=apart, initial=1.0)
        return min(extreme, math.hypot(float(nearest), *self.origin[1:])) + _ROUNDING

    def away(self, lightness: Floats, a: Floats, b: Floats) -> Floats:
        """Return deltaEOK from the colour that moves."""
        first, second, third = self.origin
        return np.asarray(np.sqrt((lightness - first) ** 2 + (a - second) ** 2 + (b - third) ** 2))

    def reads(self, luminance: Floats) -> NDArray[np.bool_]:
        """Return a mask of colours that reach the ratio, exactly."""
        return np.asarray(ratio_of_luminances(luminance, self.luminance) >= self.ratio)

    def keeps_what_it_must(self, a: Floats, b: Floats) -> NDArray[np.bool_]:
        """Return a mask of colours that keep the hue within HUE_TOLERANCE, or stay neutral."""
        if self.keeps == "nothing":
            return np.ones(a.shape, dtype=np.bool_)
        chroma = np.hypot(a, b)
        if self.keeps == "grey":
            return np.asarray(chroma < HUELESS_BELOW)
        hue = np.degrees(np.arctan2(b, a)) % 360
        turned = np.abs((hue - self.hue + 180) % 360 - 180)
        return np.asarray((turned <= HUE_TOLERANCE) | (chroma < _EXACT_GREY))


def _chroma(level: Level) -> Floats:
    _, _, a, b = level.places
    return np.asarray(np.sqrt(a * a + b * b))


def best_ratio(fixed: Hex) -> float:
    """Return the highest ratio that any colour has against this one: that of black or of white."""
    return max(ratio_between(fixed, extreme) for extreme in EXTREMES)


def nearest_passing(moving: Hex, fixed: Hex, ratio: float, mode: MendMode = "hue") -> Nearest:
    """Return the 8-bit colour nearest to `moving`, by deltaEOK, that reaches `ratio` against `fixed`.

    mode hue: the hue stays within 2° in OKLCH, or the colour becomes an exact grey; an exact grey stays
    one, and another of chroma under 0.02 stays under it. mode free: any colour. The optimum of all
    16.7 million, proven by the
    bound; of equals the first in order of red, green, blue. A colour that reaches the ratio stays.

    Raises NotReachable where neither black nor white does.
    """
    reached = ratio_between(moving, fixed)
    if reached >= ratio:
        return Nearest(moving, 0.0, reached)
    if best_ratio(fixed) < ratio:
        raise NotReachable(ratio, best_ratio(fixed))
    asked = _question(moving, fixed, ratio, mode)
    is_exact_grey = mode == "hue" and moving[1:3] == moving[3:5] == moving[5:7]
    found, difference = _nearest_grey(asked) if is_exact_grey else _search(asked)
    return Nearest(found, difference, ratio_between(found, fixed))


def mend_color(moving: Hex, fixed: Hex, ratio: float, mode: MendMode = "hue") -> tuple[Hex, float]:
    """Return the nearest passing colour and its deltaEOK; see nearest_passing."""
    found = nearest_passing(moving, fixed, ratio, mode)
    return found.hex, found.difference


def _question(moving: Hex, fixed: Hex, ratio: float, mode: MendMode) -> _Question:
    _, chroma, hue = hex_to_oklch(moving)
    keeps: Literal["hue", "grey"] = "hue" if chroma >= HUELESS_BELOW else "grey"
    luminance, origin = luminance_of(fixed), hex_to_oklab(moving)
    weights = [[1.0, *(-2 * part for part in origin)]]
    if mode == keeps:
        weights += [_outward(hue + HUE_TOLERANCE, 90), _outward(hue - HUE_TOLERANCE, -90)]
    return _Question(
        origin=origin,
        fixed=fixed,
        luminance=np.array(luminance),
        ratio=ratio,
        above=ratio * (luminance + FLARE) - FLARE,
        below=(luminance + FLARE) / ratio - FLARE,
        keeps=keeps if mode == "hue" else "nothing",
        hue=hue,
        weights=np.array(weights),
    )


def _outward(edge: float, turn: float) -> list[float]:
    """Return, for Level.places, the normal of a plane through the neutral axis; degrees."""
    angle = math.radians(edge + turn)
    return [0.0, 0.0, math.cos(angle), math.sin(angle)]


def _nearest_grey(asked: _Question) -> tuple[Hex, float]:
    """Return the best of the 256 greys and its deltaEOK; of equals the darker one."""
    reading = [grey for grey in _GREYS if ratio_between(grey, asked.fixed) >= asked.ratio]
    return min(
        ((entry, math.dist(asked.origin, hex_to_oklab(entry))) for entry in reading),
        key=lambda entry: entry[1],
    )


def _search(asked: _Question) -> tuple[Hex, float]:
    """Return the best colour and its deltaEOK."""
    reach, best = asked.weigh(boxes(), asked.nearest_grey())
    opened = np.nonzero(reach <= best)[0]
    within, best = asked.weigh(cells().of(opened), best)
    box, part = np.divmod(np.nonzero(within <= best)[0], 64)
    return _look(asked, opened[box] * 64 + part, best)


def _look(asked: _Question, rows: NDArray[np.intp], best: float) -> tuple[Hex, float]:
    """Return the best of all colours of these cells, and its deltaEOK, which is `best` at most."""
    luminance, lms = lights_in(rows)
    places = np.nonzero(asked.is_apart(luminance, luminance, _ROUNDING))[0]
    lightness, a, b = lms_to_oklab(lms.take(places, axis=1))
    distance = asked.away(lightness, a, b)
    close = np.nonzero(distance <= best)[0]
    close = close[asked.reads(luminance[places[close]])]
    close = close[asked.keeps_what_it_must(a[close], b[close])]
    least = float(distance[close].min())
    # Of equals the first in order of red, green, blue, so that the order of the search is of no account.
    equal = [color_at(rows, place) for place in places[close[distance[close] == least]].tolist()]
    return srgb8_to_hex(np.array(min(equal))), least
