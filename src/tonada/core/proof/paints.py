"""What drawn pictures of the sample pages are painted with: roles, lighter and darker steps of them."""

from __future__ import annotations

from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass
from functools import lru_cache
from typing import Final

import numpy as np

from tonada.core.color.contrast import luminance_of
from tonada.core.color.spaces import Hex, hex_to_oklch, hexes_to_srgb8, oklch_to_oklab, srgb8_to_oklab
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
class _Nature:
    """What a thing may look like in OKLCH: lightness and hue (degrees) from and to, at most this chroma.

    wanted: the lightness, chroma and hue that are best. otherwise: the neutrals for a brand without such a
    colour, the preferred first: better a figure of paper than a blue face.
    """

    lightness: tuple[float, float]
    chroma: float
    hue: tuple[float, float]
    wanted: tuple[float, float, float]
    otherwise: tuple[str, ...]


_NATURES: Final[Mapping[str, _Nature]] = {
    "skin": _Nature((0.68, 0.93), 0.13, (30, 95), (0.8, 0.07, 60), (Role.LINE, Role.MIST, Role.PAPER)),
    "skin dark": _Nature((0.3, 0.66), 0.13, (30, 95), (0.48, 0.08, 55), (Role.MUTED, Role.INK)),
    # Leaves may be of autumn.
    "leaf": _Nature((0.35, 0.8), 0.2, (40, 180), (0.58, 0.1, 135), (Role.DEEP, Role.INK)),
    # A sky may be of an evening: blue, or pale and warm.
    "sky": _Nature((0.7, 0.95), 0.12, (205, 290), (0.82, 0.07, 245), (Role.MIST, Role.PAPER)),
}


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
    made.extend(_natural(take, made))
    lights = [role for role in _LIGHTS if take.has_role(role)] or [Role.PRIMARY]
    lightest = max(lights, key=lambda role: luminance_of(take.hex_of(role)))
    made.append(Paint(LIGHT, lightest, take.hex_of(lightest)))
    return tuple(made)


def _natural(take: Take, made: Sequence[Paint]) -> Iterator[Paint]:
    """Yield what skin, leaves and skies are painted with: colours of the brand where one is like them."""
    steps: dict[str, Hex] = {paint.key: paint.hex for paint in made}
    for role, _ in _LENDERS:
        if take.has_role(role):
            owner = take.assignment(role).swatch
            ramp = take.ramp(owner).hexes
            steps |= {step_key(owner, row + 1): value for row, value in enumerate(ramp)}
    for name, nature in _NATURES.items():
        neutral = next((role for role in nature.otherwise if take.has_role(role)), Role.PRIMARY)
        row = _nearest(nature, tuple(steps.values()))
        key = neutral if row is None else list(steps)[row]
        yield Paint(name, key, take.color_of(key))


@lru_cache(maxsize=1024)
def _nearest(nature: _Nature, hexes: tuple[Hex, ...]) -> int | None:
    """Return the row of the colour that is most like a thing in nature; None where none is like it."""
    colors = [hex_to_oklch(value) for value in hexes]
    (darkest, lightest), (first, last) = nature.lightness, nature.hue
    likely = [
        row
        for row, (lightness, chroma, hue) in enumerate(colors)
        if darkest <= lightness <= lightest and chroma <= nature.chroma and first <= hue <= last
    ]
    wanted = oklch_to_oklab(np.array(nature.wanted))
    oklab = srgb8_to_oklab(hexes_to_srgb8(hexes))
    return min(likely, key=lambda row: float(np.linalg.norm(oklab[row] - wanted)), default=None)


@lru_cache(maxsize=1024)
def _steps_beside(ramp: Sequence[Hex], own: Hex) -> tuple[int, int]:
    """Return the rows of the ramp that are nearest to a lighter and to a darker colour."""
    lightness = srgb8_to_oklab(hexes_to_srgb8((*ramp, own)))[:, 0]
    wanted = (min(LIGHTEST, lightness[-1] + LIGHTER), max(DARKEST, lightness[-1] - DARKER))
    light, dark = (int(abs(lightness[:-1] - entry).argmin()) for entry in wanted)
    # At the ends of a ramp both would be the same step.
    light = min(light, len(ramp) - 2)
    return light, max(dark, light + 1)
