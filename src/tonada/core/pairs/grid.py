"""All against all: every colour in use as text on every one as ground."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal, TypeAlias

from tonada.core.color.contrast import EXTREMES, contrast_ratio, position_of, rounded_down
from tonada.core.color.spaces import Hex, hexes_to_srgb8
from tonada.core.pairs.evaluation import Reach, evaluate, reach
from tonada.core.take.key import step_key
from tonada.core.take.take import Take

GridOrder: TypeAlias = Literal["roles", "light to dark"]


@dataclass(frozen=True, slots=True)
class GridColor:
    """A row or column. key: as pairs name it."""

    key: str
    name: str
    hex: Hex
    position: float


@dataclass(frozen=True, slots=True)
class Grid:
    """ratios, reaches: [text][ground], exact."""

    texts: tuple[GridColor, ...]
    grounds: tuple[GridColor, ...]
    ratios: tuple[tuple[float, ...], ...]
    reaches: tuple[tuple[Reach, ...], ...]


def grid_of(take: Take, order: GridOrder = "roles", *, tried: bool = False) -> Grid:
    """Return the grid of a take's colours in use.

    tried: the texts are white, black, every step of the neutrals and of Primary, and Ink: what a
    text could be set in.
    """
    used = [_color(cell.key, cell.role_names or cell.name, cell.hex) for cell in evaluate(take).measure]
    texts = _to_try(take) if tried else used
    if order == "light to dark":
        texts, used = (sorted(entry, key=lambda each: -each.position) for entry in (texts, used))
    if not texts or not used:
        return Grid((), (), (), ())
    ratios = contrast_ratio(
        hexes_to_srgb8(tuple(text.hex for text in texts))[:, None],
        hexes_to_srgb8(tuple(color.hex for color in used))[None],
    )
    return Grid(
        tuple(texts),
        tuple(used),
        tuple(tuple(row) for row in ratios.tolist()),
        tuple(tuple(reach(ratio) for ratio in row) for row in ratios.tolist()),
    )


def _to_try(take: Take) -> list[GridColor]:
    found = [_color(value, name, value) for value, name in EXTREMES.items()]
    owners = [neutral.id for neutral in take.neutrals]
    if take.has_role("primary"):
        owners.append(take.assignment("primary").swatch)
    for owner in dict.fromkeys(owners):
        for number, value in enumerate(take.ramp(owner).hexes, start=1):
            found.append(_color(step_key(owner, number), take.name_of(owner, number), value))
    return found


def _color(key: str, name: str, value: Hex) -> GridColor:
    return GridColor(key, name, value, position_of(value))


def grid_csv(grid: Grid) -> str:
    """Return the grid as CSV (RFC 4180): texts down, grounds across, ratios cut to two decimals."""
    head = ["", *(_quoted(f"{ground.name} {ground.hex}") for ground in grid.grounds)]
    rows = [
        [_quoted(f"{one.name} {one.hex}"), *(rounded_down(ratio) for ratio in ratios)]
        for one, ratios in zip(grid.texts, grid.ratios, strict=True)
    ]
    return "".join(",".join(row) + "\r\n" for row in (head, *rows))


def _quoted(text: str) -> str:
    # A name that begins like a formula would be run by a spreadsheet.
    safe = f"'{text}" if text[:1] in "=+-@\t" else text
    return '"' + safe.replace('"', '""') + '"'
