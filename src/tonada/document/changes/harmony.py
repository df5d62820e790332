"""Changes of the chord: notes, flags, rules and characters."""

from __future__ import annotations

from dataclasses import replace
from typing import Annotated, Literal, TypeAlias

from pydantic import Field

from tonada.core.color.hue_rules import MOST_FREE_ANGLES
from tonada.core.harmony import chord, free_angles
from tonada.core.harmony.held import why_nothing_moved
from tonada.core.harmony.vary import LAST_SEED
from tonada.core.limits import MAX_SWATCHES
from tonada.core.pairs.variations import with_variation
from tonada.core.roles.page_pairs import with_texts_by_rule
from tonada.core.take.take import Take
from tonada.document.changes.made import Changed
from tonada.document.parts import Identifier, Model
from tonada.document.parts_sent import HarmonyPart, laid_on
from tonada.document.take import Began

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


def _with_settings(take: Take, part: HarmonyPart) -> Take:
    return replace(take, harmony=laid_on(take.harmony, part, part.to_core()))


class ChordChange(Model):
    """Other settings; the free swatches take their places by the rule, the chord turned by `turn`.

    Another rule begins in its usual spread; the rule “free” where the one before has its partners.
    """

    kind: Literal["chord"]
    harmony: HarmonyPart
    turn: Annotated[float, Field(ge=-720, le=720)] = 0.0

    def apply(self, take: Take) -> Changed:
        begun = (
            free_angles.begun(take, self.harmony.rule) if "rule" in self.harmony.model_fields_set else take
        )
        played = chord.play(_with_settings(begun, self.harmony), turn=self.turn)
        return played, why_nothing_moved(take, played)


class AddAngleChange(Model):
    """One more angle of the rule “free”, where there is room."""

    kind: Literal["add angle"]

    def apply(self, take: Take) -> Changed:
        return free_angles.add_angle(take), ()


class RemoveAngleChange(Model):
    """The last angle of the rule “free” goes."""

    kind: Literal["remove angle"]

    def apply(self, take: Take) -> Changed:
        return free_angles.remove_angle(take), ()


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


class VariationChange(Model):
    """A variation that was shown, in what is free by now. colors: of its swatches."""

    kind: Literal["variation"]
    seed: Annotated[int, Field(ge=1, le=LAST_SEED)]
    colors: Annotated[tuple[Began, ...], Field(min_length=1, max_length=MAX_SWATCHES)]

    def apply(self, take: Take) -> Changed:
        return with_variation(take, {color.swatch: color.hex for color in self.colors}, self.seed), ()


class CharacterChange(Model):
    """Other settings; the free swatches get the lightness and chroma of the character.

    Labels and headings that are as the rule gives them stay so.
    """

    kind: Literal["character"]
    harmony: HarmonyPart

    def apply(self, take: Take) -> Changed:
        shaped = chord.shape(_with_settings(take, self.harmony))
        return with_texts_by_rule(take, shaped), why_nothing_moved(take, shaped)


class PartnerChange(Model):
    """A new swatch at an angle of the rule that has none."""

    kind: Literal["partner"]
    angle: Annotated[float, Field(ge=-360, le=720)]

    def apply(self, take: Take) -> Changed:
        return chord.add_partner(take, self.angle), ()
