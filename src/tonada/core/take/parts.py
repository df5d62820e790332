"""What a take is made of: roles, swatches, neutrals, overlays, assignments, pairs, as frozen values."""

from __future__ import annotations

import re
from collections.abc import Collection, Mapping
from dataclasses import dataclass, field, fields
from enum import StrEnum
from typing import Final, Literal, TypeAlias

from tonada.core.color.circles import Circle
from tonada.core.color.neutrals import Spacing
from tonada.core.color.ramp import USUAL, RampSettings, usual_settings
from tonada.core.color.spaces import Hex
from tonada.core.color.wcag import Usage
from tonada.core.take.proof_settings import Element, GroundSettings


class Role(StrEnum):
    """A job in the palette, in the order in which the roles are shown."""

    PRIMARY = "primary"
    SECONDARY = "secondary"
    ACCENT = "accent"
    ACCENT_2 = "accent-2"
    ACCENT_3 = "accent-3"
    PAPER = "paper"
    MIST = "mist"
    DEEP = "deep"
    INK = "ink"
    MUTED = "muted"
    LINK = "link"
    LINE = "line"
    SUCCESS = "success"
    WARNING = "warning"
    ERROR = "error"
    INFO = "info"

    # As for Usage: looked up many times in every drag.
    __hash__ = str.__hash__


ROLE_ORDER: Final = tuple(Role)
ROLE_NAMES: Final = frozenset(str(role) for role in Role)
SIGNALS: Final = (Role.SUCCESS, Role.WARNING, Role.ERROR, Role.INFO)
ACCENTS: Final = (Role.ACCENT, Role.ACCENT_2, Role.ACCENT_3)
# What the designer adds: such a role has a name of its own.
OWN_ROLE: Final = re.compile(r"own-[a-z0-9-]{1,36}\Z")

# A role by its key: one of Role, or one of the designer's own.
RoleKey: TypeAlias = str
Scheme: TypeAlias = Literal["day", "night"]

# The planned share of the page: about 60 % grounds, 30 % brand, 10 % call to action.
PLANNED_SHARES: Final[Mapping[RoleKey, float]] = {
    Role.PRIMARY: 0.14,
    Role.SECONDARY: 0.07,
    Role.ACCENT: 0.10,
    Role.ACCENT_2: 0.02,
    Role.ACCENT_3: 0.02,
    Role.PAPER: 0.42,
    Role.MIST: 0.13,
    Role.DEEP: 0.05,
    Role.INK: 0.035,
    Role.MUTED: 0.02,
    Role.LINK: 0.01,
    Role.LINE: 0.01,
    Role.SUCCESS: 0.004,
    Role.WARNING: 0.004,
    Role.ERROR: 0.004,
    Role.INFO: 0.004,
}
OWN_ROLE_SHARE: Final = 0.02

OriginKind: TypeAlias = Literal["source", "harmony", "made", "typed", "mended", "moved", "varied"]


@dataclass(frozen=True)
class Origin:
    """Where a swatch came from. note is a short sentence part; source and share belong to kind source."""

    kind: OriginKind
    note: str
    source: str | None = None
    share: float | None = None


@dataclass(frozen=True)
class Swatch:
    """One colour in a take. A held one is moved by nothing but the designer's own hand."""

    id: str
    name: str
    hex: Hex
    held: bool
    origin: Origin
    ramp: RampSettings = USUAL


def new_swatch(key: str, name: str, value: Hex, origin: Origin, *, held: bool = False) -> Swatch:
    """Return a swatch that wasn't there before, with the ramp that suits its colour."""
    return Swatch(key, name, value, held, origin, usual_settings(value))


@dataclass(frozen=True)
class Neutral:
    """A row of greys, tinted by a swatch or pure where `tint` is None; see neutrals.neutral_ramp."""

    id: str
    name: str
    tint: str | None = None
    strength: float = 0.35
    steps: int = 11
    spacing: Spacing = "contrast"


@dataclass(frozen=True)
class Overlay:
    """A translucent colour: a swatch, or a step of a ramp, laid over others with this opacity, 0 to 1."""

    id: str
    name: str
    swatch: str
    alpha: float
    step: int | None = None


@dataclass(frozen=True)
class Assignment:
    """A role and the colour that has it, with the reason in one sentence.

    swatch: a swatch or a neutral. step: of its ramp, 1 for the lightest; None for the swatch itself.
    share: of the page, where the designer planned it. name: of a role of the designer's own.
    text_step: of the same ramp, as text or line; None where that is the colour itself, the fill.
    """

    role: RoleKey
    swatch: str
    reason: str
    step: int | None = None
    share: float | None = None
    name: str | None = None
    text_step: int | None = None


@dataclass(frozen=True)
class GroundPlace:
    """Where a pair comes from that a ground of the proof makes; it is in no document."""

    ground: str
    element: Element

    @property
    def pair_id(self) -> str:
        """The id of the pair. No id in a document has a colon, so that none is the same."""
        return f"ground:{self.ground}:{self.element.replace(' ', '-')}"


@dataclass(frozen=True)
class Pair:
    """A text or element on a ground, with what it is used for.

    text and ground name a role, or a colour as Take.color_of reads it.
    layers: overlays between the two, the lowest first. size: of the text in CSS pixels, and weight,
    1 to 1000; where they are given they decide whether it is large.
    """

    id: str
    text: str
    ground: str
    usage: Usage
    sample: str
    layers: tuple[str, ...] = ()
    size: float | None = None
    weight: int | None = None


@dataclass(frozen=True)
class GroundPair(Pair):
    """A pair that a ground of the proof makes. It is changed there, and is in no document."""

    place: GroundPlace = field(kw_only=True)


@dataclass(frozen=True, slots=True)
class SchemeRoles:
    """The roles, pairs and grounds of the scheme that isn't shown."""

    roles: tuple[Assignment, ...]
    pairs: tuple[Pair, ...]
    grounds: tuple[GroundSettings, ...] = ()


# What a take has once for each scheme, by the names of its fields.
PARTS_OF_A_SCHEME: Final = tuple(field.name for field in fields(SchemeRoles))


@dataclass(frozen=True, slots=True)
class HarmonySettings:
    """How the hues of a take belong together, and what the stave is looked at from.

    anchor, ground   swatches; None for Primary and Paper
    circle           which one the rule turns on; angles and spread are counted there
    spread           degrees, None for the rule's usual one; angles: those of the rule “free”
    character        a name of CHARACTERS, or None; lightness, chroma and span: where it was changed
    web_safe         new values are the nearest of the 216
    shaped_from      what the swatches in a character were before: swatch ids with their values
    seed             which variation this is, and varied_from what it varies, likewise
    """

    anchor: str | None = None
    ground: str | None = None
    rule: str = "analogous with accent"
    circle: Circle = "perceptual"
    spread: float | None = None
    angles: tuple[float, ...] = ()
    character: str | None = None
    lightness: float | None = None
    chroma: float | None = None
    span: float | None = None
    web_safe: bool = False
    shaped_from: tuple[tuple[str, Hex], ...] = ()
    seed: int | None = None
    varied_from: tuple[tuple[str, Hex], ...] = ()


USUAL_HARMONY: Final = HarmonySettings()


def free_id(stem: str, taken: Collection[str]) -> str:
    """Return the first of `stem` with 1, 2, … that isn't taken."""
    return next(f"{stem}{number}" for number in range(1, len(taken) + 2) if f"{stem}{number}" not in taken)


def free_swatch_id(taken: Collection[str]) -> str:
    """Return the first of s1, s2, … that isn't taken."""
    return free_id("s", taken)


def role_rank(role: RoleKey) -> tuple[int, str]:
    """Return what roles are ordered by: ours as Role has them, then the designer's own by key."""
    return (_RANKS.get(role, len(_RANKS)), role)


_RANKS: Final = {str(role): rank for rank, role in enumerate(ROLE_ORDER)}


def role_name(role: RoleKey, name: str | None = None) -> str:
    """Return what a role is called: “Accent 2”, or the name that the designer gave it."""
    return name or role.replace("-", " ").capitalize()
