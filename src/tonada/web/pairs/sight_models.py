"""Sight, the grid, and text over pictures across the boundary."""

from __future__ import annotations

from typing import Annotated

from pydantic import Field

from tonada.core import limits
from tonada.core.color.requirements import Requirement, requirement
from tonada.core.color.wcag import Usage
from tonada.core.errors import TakeError
from tonada.core.pairs.confusions import Confusion
from tonada.core.pairs.evaluation import Reach
from tonada.core.pairs.grid import GridColor, GridOrder
from tonada.core.proof.backdrop import Layer, OverBackdrop
from tonada.core.sight.vision import AnySight
from tonada.core.take.take import Take
from tonada.document.parts import ColorKey, Identifier, Model, PixelSize, Weight
from tonada.document.take import TakeDocument
from tonada.web.sources.models import RegionModel


class SightBody(Model):
    """severity: 0 for typical sight to 1."""

    document: TakeDocument
    sight: AnySight
    severity: Annotated[float, Field(ge=0, le=1)] = 1.0


class SightAnswer(Model):
    """matrix: nine numbers, row by row, for linear light."""

    matrix: tuple[float, ...]
    told_apart: float
    confusions: tuple[Confusion, ...]


class GridBody(Model):
    """tried: white, black, the greys and Primary's steps as texts, instead of the colours in use."""

    document: TakeDocument
    order: GridOrder = "roles"
    tried: bool = False


class GridAnswer(Model):
    """ratios and what they are enough for: [text][ground]. csv: the same, to be saved."""

    texts: tuple[GridColor, ...]
    grounds: tuple[GridColor, ...]
    ratios: tuple[tuple[float, ...], ...]
    reaches: tuple[tuple[Reach, ...], ...]
    csv: str


class OverBody(Model):
    """A text of a take over something, with overlays between, the lowest first.

    size, in CSS pixels, and weight decide whether a text is large, as those of a pair do.
    """

    document: TakeDocument
    text: ColorKey
    layers: Annotated[tuple[Identifier, ...], Field(max_length=limits.MAX_LAYERS)] = ()
    usage: Usage = Usage.BODY_TEXT
    size: PixelSize | None = None
    weight: Weight | None = None

    def laid(self, take: Take) -> tuple[Layer, ...]:
        """Return the layers with their values. Raises TakeError for one that isn't there."""
        found = [(layer, take.overlay(layer)) for layer in self.layers]
        missing = next((one for one, overlay in found if overlay is None), None)
        if missing is not None:
            raise TakeError(f"There is no overlay “{missing}” in this take.", field="layers")
        return tuple(
            Layer(take.value_at(overlay.swatch, overlay.step), overlay.alpha)
            for _, overlay in found
            if overlay is not None
        )

    def asked(self) -> Requirement:
        return requirement(self.usage, self.document.level, self.size, self.weight)


class PictureBody(OverBody):
    """region: where the text stands; null for the whole picture.

    as_proved: the picture is seen as the take's pages show it, in the tone that it has there.
    """

    region: RegionModel | None = None
    as_proved: bool = False


class GradientBody(OverBody):
    """stops: colours by their keys, evenly spaced."""

    stops: Annotated[tuple[ColorKey, ...], Field(min_length=2, max_length=12)]


class BackdropAnswer(Model):
    """The worst ratio under the text, exact, and where: x and y, 0 to 1; the one that 5% of the
    area are under; the least opacity of the top layer, in per cents, that is enough."""

    worst: float
    low: float
    x: float
    y: float
    worst_hex: str
    least_opacity: int | None
    needed: float
    passes: bool

    @classmethod
    def of(cls, found: OverBackdrop, needed: float) -> BackdropAnswer:
        return cls(
            worst=found.worst,
            low=found.low,
            x=found.where[0],
            y=found.where[1],
            worst_hex=found.worst_hex,
            least_opacity=found.least_opacity,
            needed=needed,
            passes=found.worst >= needed,
        )
