"""Roles that carry meaning and that other eyes can hardly tell apart, with a mend by lightness."""

from __future__ import annotations

from dataclasses import dataclass
from itertools import combinations
from typing import Final

import numpy as np

from tonada.core.color.apart import TOLD_APART
from tonada.core.color.hue_rules import nearest_of_hue
from tonada.core.color.spaces import (
    Floats,
    Hex,
    Srgb8,
    delta_e_ok,
    hex_to_oklch,
    hex_to_srgb8,
    hexes_to_srgb8,
    srgb8_to_hex,
    srgb8_to_oklab,
)
from tonada.core.sight.dichromats import dichromat_oklab
from tonada.core.sight.vision import AnySight, simulated_oklab
from tonada.core.take.take import ACCENTS, SIGNALS, Role, RoleKey, Take, role_name

# Roles that mean something beside each other: what calls and leads, what warns, what is a link.
MEANING: Final[tuple[tuple[RoleKey, ...], ...]] = (
    (Role.PRIMARY, Role.SECONDARY, *ACCENTS),
    SIGNALS,
    (Role.LINK, Role.INK),
)
_LIGHTNESSES: Final = 101


@dataclass(frozen=True, slots=True)
class OtherLightness:
    """A swatch, and the value that it would have in another lightness."""

    swatch: str
    hex: Hex


@dataclass(frozen=True, slots=True)
class Confusion:
    """difference: deltaEOK as seen; typical: to typical eyes.

    mend: the swatch that could move by lightness alone; None where both are held.
    """

    one: RoleKey
    other: RoleKey
    one_name: str
    other_name: str
    one_hex: Hex
    other_hex: Hex
    difference: float
    typical: float
    mend: OtherLightness | None


def confusions(take: Take, sight: AnySight, severity: float = 1.0) -> tuple[Confusion, ...]:
    """Return pairs of roles of one meaning that differ by less than TOLD_APART, the closest first.

    Raises InputError for a severity outside 0 to 1.
    """
    found = []
    for group in MEANING:
        there = [role for role in group if take.has_role(role)]
        for one, other in combinations(there, 2):
            values = take.hex_of(one), take.hex_of(other)
            if values[0] == values[1]:
                continue
            colors = hexes_to_srgb8(values)
            typical = srgb8_to_oklab(colors)
            difference = min(float(delta_e_ok(*seen)) for seen in _as_seen(colors, sight, severity))
            if difference < TOLD_APART:
                mend = _mend(take, one, other, sight, severity) or _mend(take, other, one, sight, severity)
                found.append(
                    Confusion(
                        one=one,
                        other=other,
                        one_name=role_name(one, take.assignment(one).name),
                        other_name=role_name(other, take.assignment(other).name),
                        one_hex=values[0],
                        other_hex=values[1],
                        difference=difference,
                        typical=float(delta_e_ok(typical[0], typical[1])),
                        mend=mend,
                    )
                )
    return tuple(sorted(found, key=lambda entry: entry.difference))


def _as_seen(colors: Srgb8, sight: AnySight, severity: float) -> list[Floats]:
    """Return OKLab after Machado, and at full severity after Brettel and Viénot too: the worse counts."""
    seen = [simulated_oklab(colors, sight, severity)]
    if severity == 1 and sight != "no colour":
        seen.append(dichromat_oklab(colors, sight))
    return seen


def _mend(
    take: Take, moving: RoleKey, staying: RoleKey, sight: AnySight, severity: float
) -> OtherLightness | None:
    """Return the least change of lightness of a free swatch that tells the two apart."""
    assigned = take.assignment(moving)
    swatch = take.swatch_of(moving)
    if swatch is None or swatch.held or assigned.step is not None:
        return None
    lightness, chroma, hue = hex_to_oklch(swatch.hex)
    grid = np.linspace(0.05, 0.97, _LIGHTNESSES)
    places = np.stack([grid, np.full(len(grid), chroma), np.full(len(grid), hue)], axis=-1)
    colors = nearest_of_hue(places)
    others = _as_seen(hex_to_srgb8(take.hex_of(staying)), sight, severity)
    apart = np.all(
        [
            delta_e_ok(seen, other) >= TOLD_APART
            for seen, other in zip(_as_seen(colors, sight, severity), others, strict=True)
        ],
        axis=0,
    )
    if not apart.any():
        return None
    away = np.where(apart, np.abs(grid - lightness), np.inf)
    return OtherLightness(swatch.id, srgb8_to_hex(colors[int(np.argmin(away))]))
