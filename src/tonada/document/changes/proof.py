"""Changes of how a take is proved and handed off: type, grounds, sections, slots."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field

from tonada.core.handoff.slots import choose_slot
from tonada.core.limits import MAX_SECTIONS
from tonada.core.proof import arranging, type_sizes
from tonada.core.proof.grounds import set_use
from tonada.core.proof.type_scale import LARGEST_SIZE, LEAST_SIZE, with_scale
from tonada.core.proof.typesetting import typeset, usual_sizes
from tonada.core.proof.voices import NEUTRAL
from tonada.core.take.proof_settings import Element, TextStyle, VoiceId
from tonada.core.take.take import Take
from tonada.document.changes.made import Changed
from tonada.document.parts import ColorKey, Identifier, Model, Name, Weight
from tonada.document.proof import PixelSize, VoiceText


def _voice(take: Take, guessed: VoiceId | None) -> VoiceId:
    return take.proof.voice or guessed or NEUTRAL


class ScaleChange(Model):
    """All sizes of the proof's texts by a ratio from the running text's, in CSS pixels.

    voice: the trade guessed for the brand, whose weights stay, for a take that has none of its own.
    """

    kind: Literal["type scale"]
    base: Annotated[float, Field(ge=LEAST_SIZE, le=LARGEST_SIZE)]
    ratio: Annotated[float, Field(gt=1, le=2)]
    voice: VoiceText | None = None

    def apply(self, take: Take) -> Changed:
        return with_scale(take, self.base, self.ratio, usual_sizes(_voice(take, self.voice))), ()


class SizeChange(Model):
    """The size of a text in wide windows, in CSS pixels, or its weight; null is as it is.

    voice: the trade guessed for the brand, for a take that has none of its own.
    """

    kind: Literal["size"]
    style: TextStyle
    size: PixelSize | None = None
    weight: Weight | None = None
    voice: VoiceText | None = None

    def apply(self, take: Take) -> Changed:
        now = typeset(take.proof, _voice(take, self.voice)).size_of(self.style, "wide")
        return type_sizes.set_size(take, self.style, self.size or now.size, self.weight or now.weight), ()


class NarrowSizeChange(Model):
    """The size of a text in narrower windows; null lets it follow the wide one again."""

    kind: Literal["narrow size"]
    width: Literal["tablet", "phone"]
    style: TextStyle
    size: PixelSize | None

    def apply(self, take: Take) -> Changed:
        return type_sizes.set_narrow_size(take, self.width, self.style, self.size), ()


class UseChange(Model):
    """An element of a ground in another colour; null gives it back to the rule."""

    kind: Literal["use"]
    ground: Identifier
    element: Element
    key: ColorKey | None

    def apply(self, take: Take) -> Changed:
        return set_use(take, self.ground, self.element, self.key), ()


class AddGroundChange(Model):
    """One more ground, of a colour."""

    kind: Literal["add ground"]
    name: Name
    key: ColorKey

    def apply(self, take: Take) -> Changed:
        return arranging.add_ground(take, self.name, self.key), ()


class ForgetGroundChange(Model):
    """Every element of a ground is given back to the rule."""

    kind: Literal["forget ground"]
    ground: Identifier

    def apply(self, take: Take) -> Changed:
        return arranging.forget_ground(take, self.ground), ()


class RemoveGroundChange(Model):
    """An added ground is removed; sections that stood on it go back to their usual one."""

    kind: Literal["remove ground"]
    ground: Identifier

    def apply(self, take: Take) -> Changed:
        return arranging.remove_ground(take, self.ground), ()


class StandOn(Model):
    section: Identifier
    ground: Identifier


class SectionsChange(Model):
    """Sections of a page on other grounds; without any, all of them on their usual ones."""

    kind: Literal["sections"]
    page: Identifier
    sections: Annotated[tuple[StandOn, ...], Field(max_length=MAX_SECTIONS)] = ()

    def apply(self, take: Take) -> Changed:
        if not self.sections:
            return arranging.stand_as_usual(take, self.page), ()
        return arranging.stand_on(
            take, self.page, {section.section: section.ground for section in self.sections}
        ), ()


class SlotChange(Model):
    """A slot of a destination filled by hand; null gives it back to the rule."""

    kind: Literal["slot"]
    destination: Identifier
    slot: Name
    key: ColorKey | None

    def apply(self, take: Take) -> Changed:
        return choose_slot(take, self.destination, self.slot, self.key), ()
