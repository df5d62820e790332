"""What drawn pictures of the sample pages are painted with: roles, lighter and darker steps of them."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from functools import lru_cache
from typing import Final

from tonada.core.color.contrast import luminance_of
from tonada.core.color.spaces import Hex, hexes_to_srgb8, srgb8_to_oklab
from tonada.core.take.key import step_key
from tonada.core.take.take import Role, Take

# How far in OKLab lightness a lighter or darker paint lies from its role, and where it ends.
LIGHTER: Final = 0.2
DARKER: Final = 0.17
LIGHTEST: Final = 0.9
DARKEST: Final = 0.2

# Each colour of a picture, and the roles that may lend it, the preferred first.
_LENDERS: Final[tuple[tuple[Role, tuple[Role, ...]], ...]] = (
    (Role.PRIMARY, (Role.PRIMARY,)),
    (Role.SECONDARY, (Role.SECONDARY, Role.PRIMARY)),
    (Role.ACCENT, (Role.ACCENT, Role.SECONDARY, Role.PRIMARY)),
)
_PLAIN: Final[tuple[tuple[Role, tuple[Role, ...]], ...]] = (
    (Role.PAPER, (Role.PAPER, Role.MIST)),
    (Role.MIST, (Role.MIST, Role.PAPER)),
    (Role.DEEP, (Role.DEEP, Role.INK, Role.PRIMARY)),
)
# What shines, by night too: stars, a moon.
LIGHT: Final = "light"
_LIGHTS: Final = (Role.PAPER, Role.MIST, Role.INK)


@dataclass(frozen=True, slots=True)
class Paint:
    """name: as pictures ask for it, “primary light”. key: of the colour, as Take.color_of reads it."""

    name: str
    key: str
    hex: Hex


def paints_of(take: Take) -> tuple[Paint, ...]:
    """Return the paints that the roles of a take lend; none where it has no Primary."""
    if not take.has_role(Role.PRIMARY):
        return ()
    made: list[Paint] = []
    for name, lenders in _LENDERS:
        role = next(lender for lender in lenders if take.has_role(lender))
        assigned, own = take.assignment(role), take.hex_of(role)
        ramp = take.ramp(assigned.swatch).hexes
        made.append(Paint(name, role, own))
        for word, step in zip(("light", "dark"), _steps_beside(ramp, own), strict=True):
            made.append(Paint(f"{name} {word}", step_key(assigned.swatch, step + 1), ramp[step]))
    for name, lenders in _PLAIN:
        role = next((lender for lender in lenders if take.has_role(lender)), Role.PRIMARY)
        made.append(Paint(name, role, take.hex_of(role)))
    lights = [role for role in _LIGHTS if take.has_role(role)] or [Role.PRIMARY]
    lightest = max(lights, key=lambda role: luminance_of(take.hex_of(role)))
    made.append(Paint(LIGHT, lightest, take.hex_of(lightest)))
    return tuple(made)


@lru_cache(maxsize=1024)
def _steps_beside(ramp: Sequence[Hex], own: Hex) -> tuple[int, int]:
    """Return the rows of the ramp that are nearest to a lighter and to a darker colour."""
    lightness = srgb8_to_oklab(hexes_to_srgb8((*ramp, own)))[:, 0]
    wanted = (min(LIGHTEST, lightness[-1] + LIGHTER), max(DARKEST, lightness[-1] - DARKER))
    light, dark = (int(abs(lightness[:-1] - entry).argmin()) for entry in wanted)
    # At the ends of a ramp both would be the same step.
    light = min(light, len(ramp) - 2)
    return light, max(dark, light + 1)
