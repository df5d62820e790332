"""What the core knows of a take as a whole: places on the contrast scale, verdicts, shares."""

from __future__ import annotations

from dataclasses import dataclass
from functools import lru_cache
from typing import Final, Literal

import numpy as np

from tonada.core.color import Hex, hex_to_oklch, hex_to_srgb8
from tonada.core.contrast import (
    FLARE,
    NEEDED,
    Level,
    Usage,
    Verdict,
    ratio_length,
    ratio_of_luminances,
    relative_luminance,
    scale_position,
)
from tonada.core.palette import PLANNED_SHARES, Pair, Role, Take
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
    stave = stave_of(take)
    pairs = sorted(
        _pair_figures(take),
        key=lambda pair: (pair.passes, pair.ratio / pair.needed if not pair.passes else 0.0),
    )
    return Evaluation(
        swatches=_swatch_figures(take, stave.ground),
        pairs=tuple(pairs),
        failing=sum(not pair.passes for pair in pairs),
        stave=stave,
    )


def _swatch_figures(take: Take, ground: str | None) -> tuple[SwatchFigures, ...]:
    if not take.swatches or ground is None:
        return ()
    planned = [_planned_share(take.roles_of(swatch.id)) for swatch in take.swatches]
    whole, ground_hex = sum(planned), take.swatch(ground).hex
    return tuple(
        _figures_of_swatch(swatch.id, swatch.hex, take.roles_of(swatch.id), share / whole, ground_hex)
        for swatch, share in zip(take.swatches, planned, strict=True)
    )


def _planned_share(roles: tuple[Role, ...]) -> float:
    return sum(PLANNED_SHARES[role] for role in roles) if roles else SHARE_WITHOUT_ROLE


@lru_cache(maxsize=4096)
def _figures_of_swatch(
    swatch: str, value: Hex, roles: tuple[Role, ...], share: float, ground: Hex
) -> SwatchFigures:
    srgb8 = hex_to_srgb8(value)
    luminance, position = _place_of(value)
    lightness, chroma, hue = hex_to_oklch(value)
    on_ground = ratio_of_luminances(np.array(luminance), np.array(_place_of(ground)[0]))
    white_is_better = 1.05 / (luminance + FLARE) >= (luminance + FLARE) / FLARE
    return SwatchFigures(
        id=swatch,
        srgb8=(int(srgb8[0]), int(srgb8[1]), int(srgb8[2])),
        lightness=lightness,
        chroma=chroma,
        hue=hue,
        luminance=luminance,
        position=position,
        share=share,
        roles=roles,
        better_label="white" if white_is_better else "black",
        on_ground=float(on_ground),
    )


def _pair_figures(take: Take) -> list[PairFigures]:
    return [
        _figures_of_pair(pair, take.swatch_of(pair.text).hex, take.swatch_of(pair.ground).hex, take.level)
        for pair in take.pairs
    ]


# In a drag one colour changes: the pairs that it has no part in are the same as a moment ago.
@lru_cache(maxsize=8192)
def _figures_of_pair(pair: Pair, text: Hex, ground: Hex, level: Level) -> PairFigures:
    text_luminance, text_position = _place_of(text)
    ground_luminance, ground_position = _place_of(ground)
    ratio = float(ratio_of_luminances(np.array(text_luminance), np.array(ground_luminance)))
    needed = NEEDED[level][pair.usage]
    bracket_start, bracket_end = _bracket(text_position, ground_position, needed)
    return PairFigures(
        id=pair.id,
        text=pair.text,
        ground=pair.ground,
        text_hex=text,
        ground_hex=ground,
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


@lru_cache(maxsize=8192)
def _place_of(value: Hex) -> tuple[float, float]:
    """Return relative luminance and place on the contrast scale."""
    luminance = relative_luminance(hex_to_srgb8(value))
    return float(luminance), float(scale_position(luminance))


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
