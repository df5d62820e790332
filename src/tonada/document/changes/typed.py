"""Changes of one swatch by what is typed: a colour, or one of its numbers while the others stay."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field, StringConstraints

from tonada.core.color.notation import LONGEST_COLOR, read_swatch_color
from tonada.core.color.spaces import hex_to_oklch, hex_to_srgb8, srgb8_to_hex
from tonada.core.errors import InputError
from tonada.core.harmony import chord
from tonada.core.take.recolor import recolor
from tonada.core.take.take import Take
from tonada.document.changes.made import Changed
from tonada.document.parts import Identifier, Model

CHANNELS = ("red", "green", "blue")
# From 0 to so much; hues in degrees, the shade in OKLCH.
MOST = {"lightness": 1, "chroma": 0.5, "hue": 360, **dict.fromkeys(CHANNELS, 255)}
NOTE = "typed by hand"


class TypedChange(Model):
    """Another colour for a swatch, in any CSS notation."""

    kind: Literal["typed"]
    swatch: Identifier
    text: Annotated[str, StringConstraints(min_length=1, max_length=LONGEST_COLOR)]

    def apply(self, take: Take) -> Changed:
        take.swatch(self.swatch)
        return recolor(take, self.swatch, read_swatch_color(self.text, field="text").hex, NOTE, "typed"), ()


class NumberChange(Model):
    """One number of a swatch: of its shade in OKLCH, or a channel of sRGB; whole ones of 0 to 255."""

    kind: Literal["number"]
    swatch: Identifier
    number: Literal["lightness", "chroma", "hue", "red", "green", "blue"]
    value: Annotated[float, Field(ge=0, le=360)]

    def apply(self, take: Take) -> Changed:
        if self.value > MOST[self.number]:
            raise InputError(f"The {self.number} is 0 to {MOST[self.number]}.", field="value")
        now = take.swatch(self.swatch).hex
        if self.number in CHANNELS:
            channels = hex_to_srgb8(now).copy()
            channels[CHANNELS.index(self.number)] = round(self.value)
            return recolor(take, self.swatch, srgb8_to_hex(channels), NOTE, "typed"), ()
        lightness, chroma, hue = hex_to_oklch(now)
        place = {"lightness": lightness, "chroma": chroma, "hue": hue, self.number: self.value}
        where = chord.Place(self.swatch, place["chroma"], place["hue"], place["lightness"])
        return chord.place(take, where), ()
