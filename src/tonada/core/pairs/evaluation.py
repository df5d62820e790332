"""What the core knows of a take as a whole: places on the contrast scale, verdicts, shares."""

from __future__ import annotations

from collections import Counter
from collections.abc import Iterable
from dataclasses import dataclass, replace
from functools import lru_cache
from typing import Final, Literal, TypeAlias

from tonada.core.color.contrast import FLARE, luminance_of, position_of, ratio_between, ratio_length
from tonada.core.color.hue_rules import NEUTRAL_BELOW
from tonada.core.color.naming import term_of
from tonada.core.color.requirements import Outcome, outcome_of, requirement
from tonada.core.color.spaces import Hex, hex_to_oklch, hex_to_srgb8
from tonada.core.color.wcag import (
    ENHANCED_RATIO,
    LARGE_RATIO,
    NOTHING,
    TEXT_RATIO,
    Level,
    Usage,
    Verdict,
    verdict_of,
)
from tonada.core.harmony.chord import ground_of
from tonada.core.harmony.stave import Stave, stave_of
from tonada.core.pairs.ground_pairs import ground_pairs
from tonada.core.roles.plan import Plan, plan_of, planned_share
from tonada.core.take.key import step_key
from tonada.core.take.parts import GroundPair
from tonada.core.take.take import (
    Assignment,
    Pair,
    RoleKey,
    Take,
    role_name,
    role_rank,
)

Reach: TypeAlias = Literal["nothing", "large text and parts", "body text", "enhanced text"]

# With less than this, a text and its ground look like one. A convention of ours.
SEEN_RATIO: Final = 1.3
# A swatch without a role still has to be seen in the measure.
SHARE_WITHOUT_ROLE: Final = 0.03


@dataclass(frozen=True)
class SwatchFigures:
    """Figures of one swatch. srgb8: red, green, blue. position: 0 to 1 on the contrast scale.

    better_label: whether white or black text is further from it, so that a label can be set on it.
    on_ground: contrast ratio to the stave's ground, exact; reaches: what for. term: the colour in a word.
    """

    id: str
    srgb8: tuple[int, ...]
    lightness: float
    chroma: float
    hue: float
    luminance: float
    position: float
    roles: tuple[RoleKey, ...]
    role_names: str
    better_label: Literal["black", "white"]
    on_ground: float
    reaches: Reach
    is_neutral: bool
    term: str


@dataclass(frozen=True)
class Cell:
    """One part of the measure: a colour in use, or a swatch that has no role yet.

    key: a swatch's id, or `id/step`. share: of the page, all cells together 1. text_hex: what its first role
    is as text or line, where that is another colour; text_name: of that.
    """

    key: str
    swatch: str
    step: int | None
    name: str
    hex: Hex
    roles: tuple[RoleKey, ...]
    role_names: str
    share: float
    position: float
    hue: float
    is_neutral: bool
    better_label: Literal["black", "white"]
    held: bool
    text_hex: Hex | None = None
    text_name: str | None = None


@dataclass(frozen=True)
class PairFigures:
    """Figures of one pair. ratio is exact; short_by is 0 unless it fails. criterion: of WCAG 2.2.

    is_asked: whether the level asks any ratio of it. is_seen: whether text and ground look different at all.

    text_hex, ground_hex: as seen, with layers composited. bracket_start and bracket_end: on the
    contrast scale, the distance that is needed, laid from the ground towards the text; lower end first.
    by_ground: it was made by a ground of the proof, and is changed there.
    """

    id: str
    text: str
    ground: str
    text_name: str
    ground_name: str
    text_hex: Hex
    ground_hex: Hex
    usage: Usage
    size: float | None
    weight: int | None
    sample: str
    ratio: float
    needed: float
    is_asked: bool
    is_seen: bool
    outcome: Outcome
    criterion: str
    short_by: float
    verdict: Verdict
    text_position: float
    ground_position: float
    by_ground: bool
    bracket_start: float
    bracket_end: float

    @property
    def fails(self) -> bool:
        return self.outcome == "fails"

    @property
    def is_exempt(self) -> bool:
        return self.outcome == "exempt"


@dataclass(frozen=True)
class PairCounts:
    """How many pairs there are of each outcome. judged: those that pass or fail."""

    passes: int
    fails: int
    exempt: int
    unknown: int
    judged: int


@dataclass(frozen=True)
class Evaluation:
    """swatches in the order of the take, pairs with those that fail first, the shortest at the head."""

    swatches: tuple[SwatchFigures, ...]
    measure: tuple[Cell, ...]
    pairs: tuple[PairFigures, ...]
    counts: PairCounts
    stave: Stave
    plan: Plan

    @property
    def failing(self) -> int:
        return self.counts.fails


def evaluate(take: Take) -> Evaluation:
    """Return the figures of a whole take. Source of every ratio: WCAG 2.2."""
    ground = ground_of(take)
    pairs = sorted(
        _pair_figures(take, (*take.pairs, *ground_pairs(take))),
        key=lambda pair: (not pair.fails, pair.ratio / pair.needed if pair.fails else 0.0),
    )
    return Evaluation(
        swatches=_swatch_figures(take, ground.hex) if ground else (),
        measure=_measure(take),
        pairs=tuple(pairs),
        counts=counts_of(pair.outcome for pair in pairs),
        stave=stave_of(take),
        plan=plan_of(take.roles),
    )


def counts_of(outcomes: Iterable[Outcome]) -> PairCounts:
    """Count the outcomes of pairs."""
    found = Counter(outcomes)
    passes, fails = found["passes"], found["fails"]
    return PairCounts(passes, fails, found["exempt"], found["unknown"], passes + fails)


def counts_of_schemes(take: Take) -> PairCounts:
    """Count the pairs of a take by day and by night."""
    schemes = (take,) if take.other is None else (take, take.turned())
    return counts_of(pair.outcome for scheme in schemes for pair in evaluate(scheme).pairs)


def _swatch_figures(take: Take, ground: Hex) -> tuple[SwatchFigures, ...]:
    names = {assigned.role: role_name(assigned.role, assigned.name) for assigned in take.roles}
    roles = {swatch.id: take.roles_of(swatch.id) for swatch in take.swatches}
    called = {owner: ", ".join(names[role] for role in assignments) for owner, assignments in roles.items()}
    return tuple(
        _figures_of_swatch(swatch.id, swatch.hex, roles[swatch.id], called[swatch.id], ground)
        for swatch in take.swatches
    )


def _measure(take: Take) -> tuple[Cell, ...]:
    """Return a cell for each colour with a role, in the order of roles, then what has none at all."""
    together: dict[tuple[str, int | None], list[Assignment]] = {}
    for assigned in sorted(take.roles, key=lambda assigned: role_rank(assigned.role)):
        together.setdefault((assigned.swatch, assigned.step), []).append(assigned)
    used = {assigned.swatch for assigned in (*take.roles, *(take.other.roles if take.other else ()))}
    unused = [swatch.id for swatch in take.swatches if swatch.id not in used]
    together |= {(swatch, None): [] for swatch in unused}
    shares = [
        sum(planned_share(role) for role in roles) if roles else SHARE_WITHOUT_ROLE
        for roles in together.values()
    ]
    whole = sum(shares)
    return tuple(
        _cell(take, owner, step, tuple(roles), share / whole)
        for ((owner, step), roles), share in zip(together.items(), shares, strict=True)
    )


def _cell(
    take: Take, owner: str, step: int | None, assignments: tuple[Assignment, ...], share: float
) -> Cell:
    value, name = take.value_at(owner, step), take.name_of(owner, step)
    cell = _cell_of(owner, step, name, value, assignments, share, step is None and take.swatch(owner).held)
    text_step = next((assigned.text_step for assigned in assignments if assigned.text_step), None)
    if text_step is None:
        return cell
    as_text = take.value_at(owner, text_step)
    return replace(cell, text_hex=as_text, text_name=take.name_of(owner, text_step))


@lru_cache(maxsize=1024)
def _cell_of(
    owner: str,
    step: int | None,
    name: str,
    value: Hex,
    assignments: tuple[Assignment, ...],
    share: float,
    held: bool,
) -> Cell:
    _, chroma, hue = hex_to_oklch(value)
    return Cell(
        key=step_key(owner, step),
        swatch=owner,
        step=step,
        name=name,
        hex=value,
        roles=tuple(assigned.role for assigned in assignments),
        role_names=", ".join(role_name(assigned.role, assigned.name) for assigned in assignments),
        share=share,
        position=position_of(value),
        hue=hue,
        is_neutral=chroma < NEUTRAL_BELOW,
        better_label=_label_on(luminance_of(value)),
        held=held,
    )


def _label_on(luminance: float) -> Literal["black", "white"]:
    is_dark = 1.05 / (luminance + FLARE) >= (luminance + FLARE) / FLARE
    return "white" if is_dark else "black"


@lru_cache(maxsize=4096)
def _figures_of_swatch(
    swatch: str, value: Hex, roles: tuple[RoleKey, ...], role_names: str, ground: Hex
) -> SwatchFigures:
    srgb8 = hex_to_srgb8(value)
    luminance = luminance_of(value)
    lightness, chroma, hue = hex_to_oklch(value)
    on_ground = ratio_between(value, ground)
    return SwatchFigures(
        id=swatch,
        srgb8=(int(srgb8[0]), int(srgb8[1]), int(srgb8[2])),
        lightness=lightness,
        chroma=chroma,
        hue=hue,
        luminance=luminance,
        position=position_of(value),
        roles=roles,
        role_names=role_names,
        better_label=_label_on(luminance),
        on_ground=on_ground,
        reaches=reach(on_ground),
        is_neutral=chroma < NEUTRAL_BELOW,
        term=term_of(value),
    )


def reach(ratio: float) -> Reach:
    """Return what a figure of this ratio is enough for. Source: WCAG 2.2, 1.4.3, 1.4.6 and 1.4.11."""
    if ratio < LARGE_RATIO:
        return "nothing"
    return (
        "large text and parts"
        if ratio < TEXT_RATIO
        else "body text"
        if ratio < ENHANCED_RATIO
        else "enhanced text"
    )


def _pair_figures(take: Take, pairs: Iterable[Pair]) -> list[PairFigures]:
    return [
        _figures_of_pair(
            pair,
            take.display_name(pair.text),
            take.display_name(pair.ground),
            *take.pair_colors(pair),
            take.level,
        )
        for pair in pairs
    ]


# In a drag one colour changes: the pairs that it has no part in are the same as a moment ago.
@lru_cache(maxsize=8192)
def _figures_of_pair(
    pair: Pair, text_name: str, ground_name: str, text: Hex, ground: Hex, level: Level
) -> PairFigures:
    text_position, ground_position = position_of(text), position_of(ground)
    ratio = ratio_between(text, ground)
    asked = requirement(pair.usage, level, pair.size, pair.weight)
    needed = asked.ratio
    outcome = outcome_of(ratio, asked)
    bracket_start, bracket_end = _bracket(text_position, ground_position, needed)
    return PairFigures(
        id=pair.id,
        text=pair.text,
        ground=pair.ground,
        text_name=text_name,
        ground_name=ground_name,
        text_hex=text,
        ground_hex=ground,
        usage=pair.usage,
        size=pair.size,
        weight=pair.weight,
        sample=pair.sample,
        ratio=ratio,
        needed=needed,
        is_asked=needed > NOTHING,
        is_seen=ratio >= SEEN_RATIO,
        outcome=outcome,
        criterion=asked.criterion,
        short_by=needed - ratio if outcome == "fails" else 0.0,
        verdict=verdict_of(ratio, asked.usage),
        text_position=text_position,
        ground_position=ground_position,
        by_ground=isinstance(pair, GroundPair),
        bracket_start=bracket_start,
        bracket_end=bracket_end,
    )


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
