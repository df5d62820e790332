"""The take: one alternative palette for a brand, as a frozen value."""

from __future__ import annotations

import re
from collections.abc import Mapping
from dataclasses import dataclass, field, replace
from enum import StrEnum
from typing import Final, Literal, TypeAlias

from tonada.core.color import HEX_PATTERN, Hex
from tonada.core.contrast import Level, Usage
from tonada.core.errors import TakeError
from tonada.core.naming import color_name, unlike


class Role(StrEnum):
    """A job in the palette, in the order in which the roles are shown."""

    PRIMARY = "primary"
    SECONDARY = "secondary"
    ACCENT = "accent"
    PAPER = "paper"
    MIST = "mist"
    INK = "ink"
    MUTED = "muted"
    LINK = "link"
    LINE = "line"

    # As for Usage: looked up many times in every drag.
    __hash__ = str.__hash__


ROLE_ORDER: Final = tuple(Role)

# The planned share of the page: about 60 % grounds, 30 % brand, 10 % call to action.
PLANNED_SHARES: Final[Mapping[Role, float]] = {
    Role.PRIMARY: 0.18,
    Role.SECONDARY: 0.10,
    Role.ACCENT: 0.08,
    Role.PAPER: 0.36,
    Role.MIST: 0.13,
    Role.INK: 0.07,
    Role.MUTED: 0.04,
    Role.LINK: 0.02,
    Role.LINE: 0.02,
}

OriginKind: TypeAlias = Literal["source", "harmony", "made", "typed", "mended", "moved", "varied"]


@dataclass(frozen=True, slots=True)
class Origin:
    """Where a swatch came from. note is a short sentence part; source and share belong to kind source."""

    kind: OriginKind
    note: str
    source: str | None = None
    share: float | None = None


@dataclass(frozen=True, slots=True)
class Swatch:
    """One colour in a take. A held one is moved by nothing but the designer's own hand."""

    id: str
    name: str
    hex: Hex
    held: bool
    origin: Origin


@dataclass(frozen=True, slots=True)
class Assignment:
    """A role and the swatch that has it, with the reason in one sentence."""

    role: Role
    swatch: str
    reason: str


@dataclass(frozen=True, slots=True)
class Pair:
    """A figure on a ground, named by their roles, with what it is used for."""

    id: str
    text: Role
    ground: Role
    usage: Usage
    sample: str


@dataclass(frozen=True, slots=True)
class HarmonySettings:
    """How the hues of a take belong together, and what the stave is looked at from.

    anchor, ground   swatches; None for Primary and Paper
    spread           degrees, None for the rule's usual one; angles: those of the rule “free”
    character        a name of CHARACTERS, or None; lightness, chroma and span: where it was changed
    web_safe         new values are the nearest of the 216
    seed             which variation this is, and varied_from what it varies: swatch ids with their values
    """

    anchor: str | None = None
    ground: str | None = None
    rule: str = "analogous with accent"
    spread: float | None = None
    angles: tuple[float, ...] = ()
    character: str | None = None
    lightness: float | None = None
    chroma: float | None = None
    span: float | None = None
    web_safe: bool = False
    seed: int | None = None
    varied_from: tuple[tuple[str, Hex], ...] = ()


@dataclass(frozen=True, slots=True)
class Take:
    """One alternative palette. Raises TakeError where it contradicts itself."""

    swatches: tuple[Swatch, ...] = ()
    roles: tuple[Assignment, ...] = ()
    pairs: tuple[Pair, ...] = ()
    level: Level = "AA"
    harmony: HarmonySettings = HarmonySettings()
    _by_role: dict[Role, Swatch] = field(init=False, repr=False, compare=False)
    _roles: dict[str, tuple[Role, ...]] = field(init=False, repr=False, compare=False)

    def __post_init__(self) -> None:
        by_id = {swatch.id: swatch for swatch in self.swatches}
        for number, swatch in enumerate(self.swatches):
            if not HEX_PATTERN.match(swatch.hex):
                raise TakeError(
                    f"“{swatch.hex[:40]}” is not a colour like #2b3a8c.", field=f"swatches.{number}.hex"
                )
        if len(by_id) != len(self.swatches):
            raise TakeError("Two swatches have the same id; each needs its own.", field="swatches")
        by_role: dict[Role, Swatch] = {}
        for number, assignment in enumerate(self.roles):
            if assignment.swatch not in by_id:
                raise TakeError(
                    f"The role {assignment.role} points at “{assignment.swatch}”, which is no swatch's id.",
                    field=f"roles.{number}.swatch",
                )
            if assignment.role in by_role:
                raise TakeError(
                    f"The role {assignment.role} is given twice; give it once.", field=f"roles.{number}.role"
                )
            by_role[assignment.role] = by_id[assignment.swatch]
        for number, pair in enumerate(self.pairs):
            for end, role in (("text", pair.text), ("ground", pair.ground)):
                if role not in by_role:
                    raise TakeError(
                        f"The pair uses the role {role}, which no swatch has.", field=f"pairs.{number}.{end}"
                    )
        if len({pair.id for pair in self.pairs}) != len(self.pairs):
            raise TakeError("Two pairs have the same id; each needs its own.", field="pairs")
        object.__setattr__(self, "_by_role", by_role)
        roles: dict[str, tuple[Role, ...]] = {}
        for role in ROLE_ORDER:
            if role in by_role:
                roles[by_role[role].id] = (*roles.get(by_role[role].id, ()), role)
        object.__setattr__(self, "_roles", roles)

    def swatch_of(self, role: Role) -> Swatch:
        """Return the swatch that has the role. Raises KeyError where none has."""
        return self._by_role[role]

    def roles_of(self, swatch_id: str) -> tuple[Role, ...]:
        """Return the roles of a swatch, in the order in which roles are shown."""
        return self._roles.get(swatch_id, ())

    def swatch(self, swatch_id: str) -> Swatch:
        """Return a swatch by its id. Raises TakeError for an unknown one."""
        for swatch in self.swatches:
            if swatch.id == swatch_id:
                return swatch
        raise TakeError(f"There is no swatch “{swatch_id[:40]}” in this take.", field="swatch")

    def has_role(self, role: Role) -> bool:
        """Say whether a swatch has the role."""
        return role in self._by_role


def recolor(take: Take, swatch_id: str, value: Hex, note: str, kind: OriginKind = "mended") -> Take:
    """Return the take with another value for one swatch; what points at it follows."""
    return recolor_many(take, {swatch_id: value}, note, kind)


def recolor_many(take: Take, values: Mapping[str, Hex], note: str, kind: OriginKind) -> Take:
    """Return the take with other values for swatches; one that gets the value it has stays as it is.

    A systematic name follows the value, one that was given stays; the reason of a role that a
    changed swatch has becomes the note.
    """
    changed = {swatch.id for swatch in take.swatches if values.get(swatch.id, swatch.hex) != swatch.hex}
    taken = {swatch.name for swatch in take.swatches if swatch.id not in changed}
    swatches = []
    for swatch in take.swatches:
        if swatch.id in changed:
            name = _name_for(swatch, values[swatch.id], taken)
            swatch = replace(swatch, name=name, hex=values[swatch.id], origin=Origin(kind, note))
        taken.add(swatch.name)
        swatches.append(swatch)
    reason = f"{note[:1].upper()}{note[1:]}."
    roles = tuple(replace(one, reason=reason) if one.swatch in changed else one for one in take.roles)
    return replace(take, swatches=tuple(swatches), roles=roles)


def _name_for(swatch: Swatch, value: Hex, taken: set[str]) -> str:
    is_systematic = re.fullmatch(rf"{re.escape(color_name(swatch.hex))}( \d+)?", swatch.name)
    return unlike(color_name(value), taken) if is_systematic else swatch.name


def change_pair_text(take: Take, pair_id: str, role: Role) -> Take:
    """Return the take with another role as the text of one pair."""
    return replace(
        take,
        pairs=tuple(replace(pair, text=role) if pair.id == pair_id else pair for pair in take.pairs),
    )
