"""What may be done to a take: each change as it is asked for, and the take that it makes."""

from __future__ import annotations

from dataclasses import replace
from typing import Annotated, Literal, TypeAlias
from uuid import UUID

from pydantic import Field, StringConstraints

from tonada.core.color.hue_rules import MOST_FREE_ANGLES
from tonada.core.harmony import chord
from tonada.core.limits import MAX_SWATCHES
from tonada.core.mends.shortfalls import shortfalls, shortfalls_in
from tonada.core.pairs.states import with_states
from tonada.core.proof.type_scale import LARGEST_SIZE, LEAST_SIZE, with_scale
from tonada.core.ready.filling import fill_free
from tonada.core.ready.palette import PALETTE_ROLES, checked_colors
from tonada.core.roles import giving, own_roles
from tonada.core.roles.page_pairs import with_texts_by_rule
from tonada.core.roles.replacing import Move, replace_source
from tonada.core.roles.suggest import derive_night, suggest_roles
from tonada.core.take import repoint
from tonada.core.take.take import Role, Take
from tonada.document.parts import HexText, Identifier, Line, Model, Name, RoleText, Share, StepNumber
from tonada.document.take import HarmonyModel, NeutralModel, OriginModel, RampModel

# The take after a change, and what there is to say about it.
Changed: TypeAlias = tuple[Take, tuple[str, ...]]
Position: TypeAlias = Annotated[float, Field(ge=-0.5, le=1.5)]


class PlaceChange(Model):
    """A note moved by hand. position: on the contrast scale, in place of lightness."""

    kind: Literal["place"]
    swatch: Identifier
    chroma: Annotated[float, Field(ge=0, le=0.5)]
    hue: Annotated[float, Field(ge=-720, le=1080)]
    lightness: Annotated[float, Field(ge=0, le=1)] | None = None
    position: Position | None = None
    settle: bool = False

    def apply(self, take: Take) -> Changed:
        where = chord.Place(self.swatch, self.chroma, self.hue, self.lightness, self.position, self.settle)
        return chord.place(take, where), ()


class ChordChange(Model):
    """Other settings; the free swatches take their places by the rule, the chord turned by `turn`."""

    kind: Literal["chord"]
    harmony: HarmonyModel
    turn: Annotated[float, Field(ge=-720, le=720)] = 0.0

    def apply(self, take: Take) -> Changed:
        return chord.play(replace(take, harmony=self.harmony.to_settings()), turn=self.turn), ()


class FlagChange(Model):
    """A partner's flag moved to an angle from the anchor: the spread follows, or its own angle if free.

    on_stave: whether the angle is counted as the stave has it, and not on the take's circle.
    """

    kind: Literal["flag"]
    index: Annotated[int, Field(ge=0, le=MOST_FREE_ANGLES - 1)]
    angle: Annotated[float, Field(ge=-720, le=720)]
    on_stave: bool = False

    def apply(self, take: Take) -> Changed:
        return chord.move_flag(take, self.index, self.angle, on_stave=self.on_stave), ()


class CharacterChange(Model):
    """Other settings; the free swatches get the lightness and chroma of the character.

    Labels and headings that are as the rule gives them stay so.
    """

    kind: Literal["character"]
    harmony: HarmonyModel

    def apply(self, take: Take) -> Changed:
        shaped = chord.shape(replace(take, harmony=self.harmony.to_settings()))
        return with_texts_by_rule(take, shaped), ()


class PartnerChange(Model):
    """A new swatch at an angle of the rule that has none."""

    kind: Literal["partner"]
    angle: Annotated[float, Field(ge=-360, le=720)]

    def apply(self, take: Take) -> Changed:
        return chord.add_partner(take, self.angle), ()


class RampChange(Model):
    """Another ramp for a swatch; roles on its steps go to the nearest new ones."""

    kind: Literal["ramp"]
    swatch: Identifier
    ramp: RampModel

    def apply(self, take: Take) -> Changed:
        return repoint.set_ramp(take, self.swatch, self.ramp.to_settings()), ()


class NeutralChange(Model):
    """A neutral rebuilt, or added; roles on its steps go to the nearest new ones."""

    kind: Literal["neutral"]
    neutral: NeutralModel

    def apply(self, take: Take) -> Changed:
        return repoint.set_neutral(take, self.neutral.to_neutral()), ()


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


class GiveChange(Model):
    """A role given to another colour in the scheme at hand; texts that the rule chose follow it."""

    kind: Literal["give"]
    role: RoleText
    swatch: Identifier
    step: StepNumber | None = None

    def apply(self, take: Take) -> Changed:
        return giving.give_role(take, self.role, (self.swatch, self.step)), ()


class OwnRoleChange(Model):
    """A new role of the designer's own, on a colour, by day and by night."""

    kind: Literal["own role"]
    name: Name
    swatch: Identifier
    step: StepNumber | None = None

    def apply(self, take: Take) -> Changed:
        return own_roles.add_own_role(take, self.name, (self.swatch, self.step)), ()


class RemoveRoleChange(Model):
    """A custom or further role is removed, with all that refers to it."""

    kind: Literal["remove role"]
    role: RoleText

    def apply(self, take: Take) -> Changed:
        return own_roles.remove_role(take, self.role), ()


class SwapChange(Model):
    """Two roles change places, by day and by night."""

    kind: Literal["swap"]
    role: RoleText
    other: RoleText

    def apply(self, take: Take) -> Changed:
        return giving.swap_roles(take, self.role, self.other), ()


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
        return giving.adopt(take, self.name, self.hex, self.origin.to_origin(), self.role), ()


class SuggestChange(Model):
    """All roles proposed again from the swatches, by day and by night; no value changes."""

    kind: Literal["suggest"]

    def apply(self, take: Take) -> Changed:
        made, impossible = suggest_roles(take)
        return (made if take.scheme == "day" else made.turned()), (*impossible, *shortfalls(made))


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
    name: Annotated[str, Line, StringConstraints(min_length=1, max_length=200)]
    moves: Annotated[tuple[MovedColor, ...], Field(max_length=MAX_SWATCHES)] = ()

    def apply(self, take: Take) -> Changed:
        moves = tuple(Move(one.before, one.after, one.share) for one in self.moves)
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
        colors = checked_colors({one.role: one.hex for one in self.colors})
        made, impossible = fill_free(take, colors, self.name)
        said = (*impossible, *shortfalls(made))
        return (made if take.scheme == "day" else made.turned()), said


class NightChange(Model):
    """The night scheme derived again from the roles by day."""

    kind: Literal["night"]

    def apply(self, take: Take) -> Changed:
        made, impossible = derive_night(take)
        said = (*impossible, *shortfalls_in(made.turned()))
        return (made if take.scheme == "day" else made.turned()), said


class StatesChange(Model):
    """A pair for each state of links and buttons, by rule, in place of those that were there."""

    kind: Literal["states"]

    def apply(self, take: Take) -> Changed:
        return with_states(take), ()


class ScaleChange(Model):
    """All sizes of the proof's texts by a ratio from the running text's, in CSS pixels."""

    kind: Literal["type scale"]
    base: Annotated[float, Field(ge=LEAST_SIZE, le=LARGEST_SIZE)]
    ratio: Annotated[float, Field(gt=1, le=2)]

    def apply(self, take: Take) -> Changed:
        return with_scale(take, self.base, self.ratio), ()


TakeChange = Annotated[
    PlaceChange
    | ChordChange
    | FlagChange
    | CharacterChange
    | PartnerChange
    | RampChange
    | NeutralChange
    | RemoveChange
    | GiveChange
    | OwnRoleChange
    | RemoveRoleChange
    | SwapChange
    | AdoptChange
    | SuggestChange
    | ReadyMadeChange
    | ReplaceChange
    | NightChange
    | StatesChange
    | ScaleChange,
    Field(discriminator="kind"),
]
