"""Sight and the grid across the boundary."""

from __future__ import annotations

from typing import Annotated

from pydantic import ConfigDict, Field

from tonada.core.evaluation import Reach
from tonada.core.grid import GridOrder
from tonada.core.vision import AnySight
from tonada.web.documents import Model, TakeDocument


class SightBody(Model):
    """severity: 0 for typical sight to 1."""

    document: TakeDocument
    sight: AnySight
    severity: Annotated[float, Field(ge=0, le=1)] = 1.0


class ConfusionAnswer(Model):
    """Two roles that are hardly told apart. mend_swatch, mend_hex: a lightness that would tell them."""

    one: str
    other: str
    one_name: str
    other_name: str
    one_hex: str
    other_hex: str
    difference: float
    typical: float
    mend_swatch: str | None
    mend_hex: str | None


class SightAnswer(Model):
    """matrix: nine numbers, row by row, for linear light."""

    matrix: tuple[float, ...]
    told_apart: float
    confusions: tuple[ConfusionAnswer, ...]


class GridBody(Model):
    """tried: white, black, the greys and Primary's steps as figures, instead of the colours in use."""

    document: TakeDocument
    order: GridOrder = "roles"
    tried: bool = False


class GridColorAnswer(Model):
    model_config = ConfigDict(from_attributes=True, frozen=True)

    key: str
    name: str
    hex: str
    position: float


class GridAnswer(Model):
    """ratios and what they are enough for: [figure][ground]. csv: the same, to be saved."""

    figures: tuple[GridColorAnswer, ...]
    grounds: tuple[GridColorAnswer, ...]
    ratios: tuple[tuple[float, ...], ...]
    reaches: tuple[tuple[Reach, ...], ...]
    csv: str
