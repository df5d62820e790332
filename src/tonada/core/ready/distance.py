"""How unlike two palettes are: the mean difference of what they fill, by the share of the page."""

from __future__ import annotations

from collections.abc import Sequence
from itertools import permutations
from typing import Final

import numpy as np

from tonada.core.color.spaces import Floats, Hex, srgb8_to_oklab
from tonada.core.ready.palette import ReadyPalette
from tonada.core.take.parts import PLANNED_SHARES, Role

_BRAND: Final = 4
_PLACES: Final = (
    Role.PRIMARY,
    Role.SECONDARY,
    Role.ACCENT,
    Role.ACCENT_2,
    Role.PAPER,
    Role.MIST,
    Role.INK,
)
_SHARES: Final = np.array([PLANNED_SHARES[role] for role in _PLACES])
_WEIGHTS: Final = _SHARES / _SHARES.sum()
_WAYS: Final = tuple(permutations(range(_BRAND)))


def palette_distances(floats: Floats, others: Floats) -> Floats:
    """Return how unlike a palette is to others: shapes (7, 3) and (N, 7, 3) in OKLab, as places_of has them.

    The root mean square of deltaEOK, weighted by the share of the page; of all ways to lay the brand
    colours of one on those of the other the one that makes them most alike.
    """
    ground = (((others[:, _BRAND:] - floats[_BRAND:]) ** 2).sum(axis=-1) * _WEIGHTS[_BRAND:]).sum(axis=-1)
    squares = ((others[:, :_BRAND, None] - floats[None, None, :_BRAND]) ** 2).sum(axis=-1)
    weights = (_WEIGHTS[:_BRAND, None] + _WEIGHTS[None, :_BRAND]) / 2
    costs = squares * weights
    ways = [sum(costs[:, row, column] for row, column in enumerate(way)) for way in _WAYS]
    return np.asarray(np.sqrt(np.minimum.reduce(ways) + ground))


def places_of(palettes: Sequence[ReadyPalette]) -> Floats:
    """Return palettes in OKLab, shape (N, 7, 3): four brand colours, then Paper, Mist and Ink.

    What a palette hasn't is filled: a fourth brand colour by its accent, grounds by white and near-white.
    """
    joined = bytes.fromhex("".join(value[1:] for palette in palettes for value in _filled(palette)))
    colors = np.frombuffer(joined, dtype=np.uint8).reshape(-1, len(_PLACES), 3)
    return srgb8_to_oklab(colors)


def _filled(palette: ReadyPalette) -> tuple[Hex, ...]:
    colors = palette.by_role
    primary = colors[Role.PRIMARY]
    accent = colors.get(Role.ACCENT, primary)
    usual = {
        Role.SECONDARY: primary,
        Role.PAPER: "#ffffff",
        Role.MIST: colors.get(Role.PAPER, "#eeeeee"),
        Role.INK: "#222222",
    }
    return tuple(colors.get(role, usual.get(role, accent)) for role in _PLACES)
