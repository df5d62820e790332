"""The stave: hue across with the anchor in the middle, the contrast scale upward."""

from __future__ import annotations

import io
from dataclasses import dataclass
from functools import lru_cache
from typing import Final

import numpy as np
from numpy.typing import NDArray
from PIL import Image

from tonada.core.color.circles import turned
from tonada.core.color.contrast import position_of, ratio_length, relative_luminance, scale_position
from tonada.core.color.hue_rules import NEUTRAL_BELOW, RULES
from tonada.core.color.placing import LINES
from tonada.core.color.spaces import (
    Floats,
    is_in_gamut,
    oklab_to_linear,
    oklch_to_oklab,
    oklch_to_srgb8,
)
from tonada.core.harmony.character import Measured, measured
from tonada.core.harmony.chord import anchor_of, ground_of, open_angles, place_of, shaped_members
from tonada.core.take.take import Take

FIELD_COLUMNS: Final = 120
FIELD_ROWS: Final = 96
LARGEST_CHROMA: Final = 0.4
_LIGHTNESSES: Final = 300
# So many times finer than its cells the field is computed across and up, so that its edges are smooth.
_FINER: Final = 3


@dataclass(frozen=True)
class Line:
    """A line of the stave: the ratio, and where on the contrast scale (0 to 1) it is reached."""

    ratio: float
    position: float


@dataclass(frozen=True)
class Flag:
    """A partner's flag on the hue ruler: its hue, and which colour is there.

    angle: from the anchor on the take's circle; turn: in OKLCH, as the stave has it. Both 0 to 360.
    """

    angle: float
    turn: float
    hue: float
    swatch: str | None


@dataclass(frozen=True)
class Stave:
    """anchor, ground: swatch ids, or None where there is none; a ground that is a step has only a name.

    hue: of the anchor, 0 where it has none.
    chroma, span: of the coloured swatches together, as Measured has them; 0 where there is none.
    lines: those that lie on the scale. near_start, near_end: between them a figure is under 3 to 1.
    flags_move: whether partners can be dragged.
    """

    anchor: str | None
    ground: str | None
    ground_name: str
    hue: float
    has_hue: bool
    lines: tuple[Line, ...]
    near_start: float
    near_end: float
    flags: tuple[Flag, ...]
    flags_move: bool
    chroma: float
    span: float


def stave_of(take: Take) -> Stave:
    """Return what the stave of a take shows beside its notes."""
    anchor, ground = anchor_of(take), ground_of(take)
    _, chroma, hue = place_of(anchor) if anchor else (0.0, 0.0, 0.0)
    has_hue = chroma >= NEUTRAL_BELOW
    here = position_of(ground.hex) if ground else 1.0
    lines = [
        Line(ratio, position)
        for ratio in LINES
        for position in (here - ratio_length(ratio), here + ratio_length(ratio))
        if 0 <= position <= 1
    ]
    members = shaped_members(take)
    figures = measured([member.hex for member in members]) if members else Measured(0.0, 0.0, 0.0)
    return Stave(
        chroma=figures.chroma,
        span=figures.span,
        anchor=anchor.id if anchor else None,
        ground=ground.swatch if ground else None,
        ground_name=ground.name if ground else "",
        hue=hue,
        has_hue=has_hue,
        lines=tuple(lines),
        near_start=max(0.0, here - ratio_length(LINES[0])),
        near_end=min(1.0, here + ratio_length(LINES[0])),
        flags=tuple(
            Flag(angle, (at - hue) % 360, at, swatch)
            for angle, swatch in (open_angles(take) if has_hue else ())
            for at in (turned(hue, angle, take.harmony.circle),)
        ),
        flags_move=RULES[take.harmony.rule].flags_move if take.harmony.rule in RULES else True,
    )


# A hundredth is asked for at a time, so that a drag asks for few of them again and again.
@lru_cache(maxsize=64)
def possible_colors(chroma: float) -> bytes:
    """Return a PNG of what sRGB has at a chroma: hue 0 to 360 across, the contrast scale upward.

    One pixel for each cell, as opaque as much of it there is; transparent where there is nothing.
    chroma: 0 to LARGEST_CHROMA.
    """
    columns, rows = FIELD_COLUMNS * _FINER, FIELD_ROWS * _FINER
    hues = (np.arange(columns) + 0.5) * 360 / columns
    lightness = np.linspace(0, 1, _LIGHTNESSES)
    plane = np.stack(np.broadcast_arrays(lightness[:, None], chroma, hues[None]), axis=-1)
    inside = is_in_gamut(oklab_to_linear(oklch_to_oklab(plane)), tolerance=1e-4)
    colors = oklch_to_srgb8(plane)
    at = _row_of_each_cell(scale_position(relative_luminance(colors)), rows)
    across = np.arange(columns)[None]
    cells = (FIELD_ROWS, _FINER, FIELD_COLUMNS, _FINER)
    there = inside[at, across].reshape(cells).astype(float)
    fine = colors[at, across].reshape(*cells, 3)
    covered = there.mean(axis=(1, 3))
    # A cell at the edge has the colour of the part that is there.
    sums = (fine * there[..., None]).sum(axis=(1, 3))
    picture = np.zeros((FIELD_ROWS, FIELD_COLUMNS, 4), dtype=np.uint8)
    picture[..., :3] = np.round(sums / np.maximum(1.0, there.sum(axis=(1, 3)))[..., None])
    picture[..., 3] = np.round(covered * 255)
    written = io.BytesIO()
    Image.fromarray(picture).save(written, "PNG")
    return written.getvalue()


def _row_of_each_cell(places: Floats, rows: int) -> NDArray[np.intp]:
    """Return for each cell the lightness whose place on the scale is nearest, from the top down."""
    wanted = 1 - (np.arange(rows) + 0.5) / rows
    return np.stack(
        [np.clip(np.searchsorted(column, wanted), 0, len(column) - 1) for column in places.T], axis=1
    )
