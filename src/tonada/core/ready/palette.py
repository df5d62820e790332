"""A ready-made palette: colours with roles, and the words to find it by."""

from __future__ import annotations

import math
from collections.abc import Mapping
from dataclasses import dataclass
from typing import Final, Literal, TypeAlias

from tonada.core.color.hue_rules import NEUTRAL_BELOW
from tonada.core.color.spaces import Hex, hex_to_oklch
from tonada.core.errors import InputError
from tonada.core.harmony.character import CHARACTERS, Character, chroma_share
from tonada.core.harmony.hue_families import hue_count
from tonada.core.take.parts import ACCENTS, PLANNED_SHARES, Role

Ground: TypeAlias = Literal["light", "dark"]

BRAND: Final[tuple[Role, ...]] = (Role.PRIMARY, Role.SECONDARY, *ACCENTS)
# What a palette can say of a page; everything else is proposed when it is taken.
PALETTE_ROLES: Final[tuple[Role, ...]] = (*BRAND, Role.PAPER, Role.MIST, Role.DEEP, Role.INK)
# A ground darker than this, OKLCH lightness, is a dark one.
DARK_BELOW: Final = 0.5
# The chroma of a palette that is as loud as can be.
LOUDEST: Final = 0.2
# How far from a character, see _distance, all its figures may be.
_LIGHTNESS_UNIT: Final = 0.18
_CHROMA_UNIT: Final = 0.3
_SPAN_UNIT: Final = 0.5
_OVER_UNIT: Final = 0.05
_CHARACTER_WEIGHTS: Final[Mapping[Role, float]] = {Role.PRIMARY: 0.6, Role.SECONDARY: 0.3}
_ACCENT_WEIGHT: Final = 0.1


@dataclass(frozen=True, slots=True)
class RoleColor:
    """A role and its colour."""

    role: Role
    hex: Hex


@dataclass(frozen=True, slots=True)
class Traits:
    """What the colours themselves say. hues: how many. loudness: 0 for quiet to 1 for loud.

    lead: the hue of Primary in degrees, None where it is grey.
    """

    hues: int
    ground: Ground
    character: str
    loudness: float
    lead: float | None


@dataclass(frozen=True, slots=True)
class Proof:
    """Of the whole page, by day and by night: how many pairs there are, and how many pass AA.

    reaches_aaa: whether a take of these colours that is held to AAA passes it with every pair.
    """

    pairs: int
    passing: int
    reaches_aaa: bool

    @property
    def passes_aa(self) -> bool:
        """Whether nothing falls short of AA."""
        return self.passing == self.pairs


@dataclass(frozen=True, slots=True)
class ReadyPalette:
    """A palette to leaf through. colors: one for each role, in the order of the roles.

    moods, trades: names of WORDS and FIELDS that it serves, the best first. tags: a studio's own words.
    proof: None where nobody has looked yet.
    """

    id: str
    name: str
    colors: tuple[RoleColor, ...]
    traits: Traits
    moods: tuple[str, ...] = ()
    trades: tuple[str, ...] = ()
    tags: tuple[str, ...] = ()
    proof: Proof | None = None

    @property
    def by_role(self) -> Mapping[Role, Hex]:
        """The colours by their roles."""
        return {color.role: color.hex for color in self.colors}


def checked_colors(colors: Mapping[Role, Hex]) -> tuple[RoleColor, ...]:
    """Return colours in the order of their roles. Raises InputError without Primary, or for other roles."""
    if Role.PRIMARY not in colors:
        raise InputError("A palette needs a Primary.", field="colors")
    for role in colors:
        if role not in PALETTE_ROLES:
            raise InputError(f"A palette has no {role}: it is proposed when it is taken.", field="colors")
    return tuple(RoleColor(role, colors[role]) for role in PALETTE_ROLES if role in colors)


def traits_of(colors: tuple[RoleColor, ...]) -> Traits:
    """Return the figures of a palette's colours. Without Paper the ground is light."""
    by_role = {color.role: color.hex for color in colors}
    brand = [by_role[role] for role in BRAND if role in by_role]
    lead = hex_to_oklch(by_role[Role.PRIMARY])
    paper = by_role.get(Role.PAPER)
    is_dark = paper is not None and hex_to_oklch(paper)[0] < DARK_BELOW
    hues = hue_count(brand)
    return Traits(
        hues=hues,
        ground="dark" if is_dark else "light",
        character=nearest_character(by_role),
        loudness=loudness_of(by_role),
        lead=lead[2] if lead[1] >= NEUTRAL_BELOW else None,
    )


def loudness_of(colors: Mapping[Role, Hex]) -> float:
    """Return how loud a palette is, 0 to 1: the mean chroma (OKLCH) of its brand, by share of the page."""
    shares = [(PLANNED_SHARES[role], hex_to_oklch(colors[role])[1]) for role in BRAND if role in colors]
    mean = sum(share * chroma for share, chroma in shares) / sum(share for share, _ in shares)
    return min(1.0, mean / LOUDEST)


def nearest_character(colors: Mapping[Role, Hex]) -> str:
    """Return the name of the character that a palette's brand comes closest to."""
    figures = brand_figures(colors)
    return min(CHARACTERS, key=lambda name: character_distance(figures, CHARACTERS[name]))


@dataclass(frozen=True, slots=True)
class BrandFigures:
    """What a palette's brand has together; an accent counts little, since a quiet palette may have one.

    lightness, chroma: OKLCH; share: of the largest chroma there; span: from the darkest to the lightest.
    """

    lightness: float
    chroma: float
    share: float
    span: float


def brand_figures(colors: Mapping[Role, Hex]) -> BrandFigures:
    """Return the figures of a palette's brand colours."""
    weights = [
        (colors[role], _CHARACTER_WEIGHTS.get(role, _ACCENT_WEIGHT)) for role in BRAND if role in colors
    ]
    whole = sum(weight for _, weight in weights)
    places = [hex_to_oklch(value) for value, _ in weights]
    parts = [weight / whole for _, weight in weights]
    lightnesses = [lightness for lightness, _, _ in places]
    return BrandFigures(
        lightness=sum(part * lightness for part, lightness in zip(parts, lightnesses, strict=True)),
        chroma=sum(part * place[1] for part, place in zip(parts, places, strict=True)),
        share=sum(part * chroma_share(value) for part, (value, _) in zip(parts, weights, strict=True)),
        span=max(lightnesses) - min(lightnesses),
    )


def character_distance(figures: BrandFigures, character: Character) -> float:
    """Return how far a brand is from a character; 0 is right on it, 1 one unit away in one figure."""
    return math.hypot(
        (figures.lightness - character.lightness) / _LIGHTNESS_UNIT,
        (figures.share - character.chroma) / _CHROMA_UNIT,
        (figures.span - character.span) / _SPAN_UNIT,
        max(0.0, figures.chroma - character.most_chroma) / _OVER_UNIT,
    )
