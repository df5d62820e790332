"""Roles across the boundary: ramps as rows, and the changes of ramps, neutrals and roles."""

from __future__ import annotations

from typing import Literal

from pydantic import ConfigDict

from tonada.core.pairs.states import with_states
from tonada.core.roles.suggest import derive_night, suggest_roles
from tonada.core.take import repoint
from tonada.document.parts import Identifier, Model, StepNumber
from tonada.document.take import NeutralModel, RampModel, TakeDocument

Said = tuple[str, ...]


class StepAnswer(Model):
    """One step of a row. step: from 1, the lightest; is_own: the swatch itself."""

    model_config = ConfigDict(from_attributes=True, frozen=True)

    step: int
    name: str
    hex: str
    position: float
    on_ground: float
    is_own: bool
    roles: tuple[str, ...]


class RowAnswer(Model):
    model_config = ConfigDict(from_attributes=True, frozen=True)

    owner: str
    name: str
    kind: Literal["swatch", "neutral"]
    steps: tuple[StepAnswer, ...]


class OverAnswer(Model):
    """An overlay on one ground, as it is seen."""

    model_config = ConfigDict(from_attributes=True, frozen=True)

    role: str
    ground: str
    ground_hex: str
    hex: str


class OverlayAnswer(Model):
    """An overlay: its opaque value, and over each ground."""

    model_config = ConfigDict(from_attributes=True, frozen=True)

    id: str
    hex: str
    over: tuple[OverAnswer, ...]


class RampsAnswer(Model):
    """A row for each swatch, then the neutrals; and the overlays."""

    rows: tuple[RowAnswer, ...]
    overlays: tuple[OverlayAnswer, ...]


class RampChange(Model):
    """Another ramp for a swatch; roles on its steps go to the nearest new ones."""

    kind: Literal["ramp"]
    swatch: Identifier
    ramp: RampModel

    def apply(self, document: TakeDocument) -> tuple[TakeDocument, Said]:
        changed = repoint.set_ramp(document.to_take(), self.swatch, self.ramp.to_settings())
        return TakeDocument.of(changed), ()


class NeutralChange(Model):
    """A neutral made anew, or added; roles on its steps go to the nearest new ones."""

    kind: Literal["neutral"]
    neutral: NeutralModel

    def apply(self, document: TakeDocument) -> tuple[TakeDocument, Said]:
        return TakeDocument.of(repoint.set_neutral(document.to_take(), self.neutral.to_neutral())), ()


class Instead(Model):
    """What takes the place of a colour: a swatch, or a step of a swatch or neutral."""

    swatch: Identifier
    step: StepNumber | None = None


class RemoveChange(Model):
    """A swatch or neutral is taken out; whatever points at it points at `instead`."""

    kind: Literal["remove"]
    owner: Identifier
    instead: Instead | None = None

    def apply(self, document: TakeDocument) -> tuple[TakeDocument, Said]:
        instead = (self.instead.swatch, self.instead.step) if self.instead else None
        return TakeDocument.of(repoint.remove(document.to_take(), self.owner, instead)), ()


class SuggestChange(Model):
    """All roles proposed anew from the swatches, by day and by night; no value changes."""

    kind: Literal["suggest"]

    def apply(self, document: TakeDocument) -> tuple[TakeDocument, Said]:
        take = document.to_take()
        made, impossible = suggest_roles(take)
        return TakeDocument.of(made if take.scheme == "day" else made.turned()), impossible


class NightChange(Model):
    """The night scheme made anew from the roles by day."""

    kind: Literal["night"]

    def apply(self, document: TakeDocument) -> tuple[TakeDocument, Said]:
        take = document.to_take()
        made, impossible = derive_night(take)
        return TakeDocument.of(made if take.scheme == "day" else made.turned()), impossible


class StatesChange(Model):
    """A pair for each state of links and buttons, by rule, in place of those that were there."""

    kind: Literal["states"]

    def apply(self, document: TakeDocument) -> tuple[TakeDocument, Said]:
        return TakeDocument.of(with_states(document.to_take())), ()


RoleChanges = RampChange | NeutralChange | RemoveChange | SuggestChange | NightChange | StatesChange
