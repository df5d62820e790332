"""Changes of what a take is made of: swatches, ramps, neutrals, the file of a source."""

from __future__ import annotations

from typing import Annotated, Literal
from uuid import UUID

from pydantic import Field, StringConstraints

from tonada.core.limits import MAX_SWATCHES
from tonada.core.mends.shortfalls import shortfalls
from tonada.core.ready.filling import fill_free
from tonada.core.ready.palette import PALETTE_ROLES, checked_colors
from tonada.core.roles import giving
from tonada.core.roles.replacing import Move, replace_source
from tonada.core.take import neutrals, repoint
from tonada.core.take.take import Role, Take
from tonada.document.changes.made import Changed
from tonada.document.parts import HexText, Identifier, Line, Model, Name, RoleText, Share, StepNumber
from tonada.document.parts_sent import NeutralPart, RampPart, laid_on
from tonada.document.take import OriginModel


class RampChange(Model):
    """Another ramp for a swatch; roles on its steps go to the nearest new ones."""

    kind: Literal["ramp"]
    swatch: Identifier
    ramp: RampPart

    def apply(self, take: Take) -> Changed:
        settings = laid_on(take.swatch(self.swatch).ramp, self.ramp, self.ramp.to_core())
        return repoint.set_ramp(take, self.swatch, settings), ()


class AddNeutralChange(Model):
    """One more neutral, of pure greys."""

    kind: Literal["add neutral"]

    def apply(self, take: Take) -> Changed:
        return neutrals.add_neutral(take), ()


class NeutralChange(Model):
    """A neutral rebuilt; roles on its steps go to the nearest new ones."""

    kind: Literal["neutral"]
    neutral: NeutralPart

    def apply(self, take: Take) -> Changed:
        before = neutrals.neutral_of(take, self.neutral.id)
        return neutrals.set_neutral(take, laid_on(before, self.neutral, self.neutral.to_core())), ()


class Instead(Model):
    """What takes the place of a colour: a swatch, or a step of a swatch or neutral."""

    swatch: Identifier
    step: StepNumber | None = None


class RemoveChange(Model):
    """A swatch or neutral is removed; whatever points at it points at `instead`."""

    kind: Literal["remove"]
    owner: Identifier
    instead: Instead | None = None

    def apply(self, take: Take) -> Changed:
        instead = (self.instead.swatch, self.instead.step) if self.instead else None
        return repoint.remove(take, self.owner, instead), ()


class AdoptChange(Model):
    """A colour becomes a held swatch, with a role if one is named; a swatch of that value is used again.

    A colour that was only made for the role, and is used for nothing else, goes away.
    """

    kind: Literal["adopt"]
    hex: HexText
    name: Name
    origin: OriginModel
    role: RoleText | None = None

    def apply(self, take: Take) -> Changed:
        return giving.adopt(take, self.name, self.hex, self.origin.to_core(), self.role), ()


class MovedColor(Model):
    """A colour of a source that has become another one; share: what the new one covers."""

    before: HexText
    after: HexText
    share: Share | None = None


class ReplaceChange(Model):
    """A source's file replaced: swatches that came from it move as said, and keep their roles.

    before, after: the source as it was, and with its new file. name: of the new one.
    """

    kind: Literal["replace"]
    before: UUID
    after: UUID
    name: Annotated[str, StringConstraints(min_length=1, max_length=200), Line]
    moves: Annotated[tuple[MovedColor, ...], Field(max_length=MAX_SWATCHES)] = ()

    def apply(self, take: Take) -> Changed:
        moves = tuple(Move(move.before, move.after, move.share) for move in self.moves)
        made = replace_source(take, str(self.before), str(self.after), self.name, moves)
        return made, shortfalls(made)


class ReadyColor(Model):
    """A colour of a ready-made palette, by its role."""

    role: Role
    hex: HexText


class ReadyMadeChange(Model):
    """A ready-made palette for what is free: held colours and their roles stay, others are made again."""

    kind: Literal["ready-made"]
    name: Name
    colors: Annotated[tuple[ReadyColor, ...], Field(min_length=1, max_length=len(PALETTE_ROLES))]

    def apply(self, take: Take) -> Changed:
        colors = checked_colors({color.role: color.hex for color in self.colors})
        made, impossible = fill_free(take, colors, self.name)
        said = (*impossible, *shortfalls(made))
        return (made if take.scheme == "day" else made.turned()), said
