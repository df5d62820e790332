"""What the core knows of a take as a whole: places on the contrast scale, verdicts, shares."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Final, Literal

import numpy as np

from tonada.core.color import Hex, hexes_to_srgb8, srgb8_to_oklch
from tonada.core.contrast import (
    NEEDED,
    Usage,
    Verdict,
    ratio_length,
    ratio_of_luminances,
    relative_luminance,
    scale_position,
)
from tonada.core.palette import PLANNED_SHARES, Role, Take
from tonada.core.stave import Stave, stave_of

# A swatch without a role still has to be seen in the measure.
SHARE_WITHOUT_ROLE: Final = 0.03


@dataclass(frozen=True, slots=True)
class SwatchFigures:
    """Figures of one swatch. position: 0 to 1 on the contrast scale. share: of the page, all together 1.

    better_label: whether white or black text is further from it, so that a label can be set on it.
    on_ground: contrast ratio to the stave's ground, exact.
    """

    id: str
    srgb8: tuple[int, int, int]
    lightness: float
    chroma: float
    hue: float
    luminance: float
    position: float
    share: float
    roles: tuple[Role, ...]
    better_label: Literal["black", "white"]
    on_ground: float


@dataclass(frozen=True, slots=True)
class PairFigures:
    """Figures of one pair. ratio is exact; short_by is 0 where it passes.

    bracket_start and bracket_end: on the contrast scale, the distance that is needed, laid from the
    ground towards the text; the lower end first.
    """

    id: str
    text: Role
    ground: Role
    text_hex: Hex
    ground_hex: Hex
    usage: Usage
    sample: str
    ratio: float
    needed: float
    passes: bool
    short_by: float
    verdict: Verdict
    text_position: float
    ground_position: float
    bracket_start: float
    bracket_end: float


@dataclass(frozen=True, slots=True)
class Evaluation:
    """swatches in the order of the take, pairs with those that fail first, the shortest at the head."""

    swatches: tuple[SwatchFigures, ...]
    pairs: tuple[PairFigures, ...]
    failing: int
    stave: Stave


def evaluate(take: Take) -> Evaluation:
    """Return the figures of a whole take. Source of every ratio: WCAG 2.2."""
    srgb8 = hexes_to_srgb8(tuple(swatch.hex for swatch in take.swatches))
    luminance = relative_luminance(srgb8)
    position = scale_position(luminance)
    pairs = sorted(
        _pair_figures(take, luminance, position),
        key=lambda pair: (pair.passes, pair.ratio / pair.needed if not pair.passes else 0.0),
    )
    stave = stave_of(take)
    return Evaluation(
        swatches=_swatch_figures(take, srgb8, luminance, position, stave.ground),
        pairs=tuple(pairs),
        failing=sum(not pair.passes for pair in pairs),
        stave=stave,
    )


def _swatch_figures(
    take: Take, srgb8: np.ndarray, luminance: np.ndarray, position: np.ndarray, ground: str | None
) -> tuple[SwatchFigures, ...]:
    if not take.swatches:
        return ()
    oklch = srgb8_to_oklch(srgb8)
    roles = [take.roles_of(swatch.id) for swatch in take.swatches]
    planned = np.array(
        [sum(PLANNED_SHARES[role] for role in own) if own else SHARE_WITHOUT_ROLE for own in roles]
    )
    shares = planned / planned.sum()
    ground_row = next(row for row, swatch in enumerate(take.swatches) if swatch.id == ground)
    on_ground = ratio_of_luminances(luminance, luminance[ground_row])
    white_is_better = 1.05 / (luminance + 0.05) >= (luminance + 0.05) / 0.05
    return tuple(
        SwatchFigures(
            id=swatch.id,
            srgb8=(int(srgb8[row, 0]), int(srgb8[row, 1]), int(srgb8[row, 2])),
            lightness=float(oklch[row, 0]),
            chroma=float(oklch[row, 1]),
            hue=float(oklch[row, 2]),
            luminance=float(luminance[row]),
            position=float(position[row]),
            share=float(shares[row]),
            roles=roles[row],
            better_label="white" if white_is_better[row] else "black",
            on_ground=float(on_ground[row]),
        )
        for row, swatch in enumerate(take.swatches)
    )


def _pair_figures(take: Take, luminance: np.ndarray, position: np.ndarray) -> list[PairFigures]:
    row_of = {swatch.id: row for row, swatch in enumerate(take.swatches)}
    texts = [row_of[take.swatch_of(pair.text).id] for pair in take.pairs]
    grounds = [row_of[take.swatch_of(pair.ground).id] for pair in take.pairs]
    ratios = ratio_of_luminances(luminance[texts], luminance[grounds])
    figures = []
    for pair, text, ground, ratio in zip(take.pairs, texts, grounds, ratios.tolist(), strict=True):
        needed = NEEDED[take.level][pair.usage]
        text_position, ground_position = float(position[text]), float(position[ground])
        bracket_start, bracket_end = _bracket(text_position, ground_position, needed)
        figures.append(
            PairFigures(
                id=pair.id,
                text=pair.text,
                ground=pair.ground,
                text_hex=take.swatches[text].hex,
                ground_hex=take.swatches[ground].hex,
                usage=pair.usage,
                sample=pair.sample,
                ratio=ratio,
                needed=needed,
                passes=ratio >= needed,
                short_by=max(0.0, needed - ratio),
                verdict=verdict_of(ratio, pair.usage),
                text_position=text_position,
                ground_position=ground_position,
                bracket_start=bracket_start,
                bracket_end=bracket_end,
            )
        )
    return figures


def verdict_of(ratio: float, usage: Usage) -> Verdict:
    """Return the highest level that an unrounded ratio reaches for the usage."""
    if ratio < NEEDED["AA"][usage]:
        return "fail"
    # 1.4.11 has no level AAA, so a part never gets more than AA.
    return "AAA" if usage is not Usage.PART and ratio >= NEEDED["AAA"][usage] else "AA"


def _bracket(text: float, ground: float, needed: float) -> tuple[float, float]:
    """Lay the needed distance from the ground towards the text; where it doesn't fit, the other way."""
    length = ratio_length(needed)
    downward = text < ground or (text == ground and ground > 0.5)
    if downward and ground - length < 0:
        downward = ground + length > 1
    elif not downward and ground + length > 1:
        downward = True
    end = ground - length if downward else ground + length
    return (min(ground, end), max(ground, end))
