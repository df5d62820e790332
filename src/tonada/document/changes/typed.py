"""Changes of one swatch by what is typed: a colour, or one of its numbers while the others stay."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field, StringConstraints

from tonada.core.color.notation import LONGEST_COLOR
from tonada.core.harmony.by_hand import NumberName, set_color, set_number
from tonada.core.take.take import Take
from tonada.document.changes.made import Changed
from tonada.document.parts import Identifier, Model


class TypedChange(Model):
    """Another colour for a swatch, in any CSS notation."""

    kind: Literal["typed"]
    swatch: Identifier
    text: Annotated[str, StringConstraints(max_length=LONGEST_COLOR)]

    def apply(self, take: Take) -> Changed:
        return set_color(take, self.swatch, self.text), ()


class NumberChange(Model):
    """One number of a swatch: of its shade in OKLCH, or a channel of sRGB; whole ones of 0 to 255."""

    kind: Literal["number"]
    swatch: Identifier
    number: NumberName
    value: Annotated[float, Field(ge=0, le=360)]

    def apply(self, take: Take) -> Changed:
        return set_number(take, self.swatch, self.number, self.value), ()
