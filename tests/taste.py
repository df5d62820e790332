"""What a designer refuses in a proposal, as far as it can be measured: the numbers of design/taste.md.

Only what Tonada added is refused; a given colour never is. Figures are OKLCH and deltaEOK.

python -m tests.taste [SEED]   prints, for 300 drawn inputs, what is refused and the figures of the issue
"""

from __future__ import annotations

import sys
from collections import Counter
from dataclasses import dataclass, field, replace
from itertools import combinations
from typing import Final

import numpy as np
from coloraide import Color

from tests.drawn_inputs import Input, drawn_inputs
from tonada.core.color.hue_rules import NEUTRAL_BELOW
from tonada.core.color.naming import color_name
from tonada.core.color.spaces import (
    Hex,
    difference_between,
    hex_to_oklch,
    hue_distance,
    largest_chroma,
)
from tonada.core.harmony.alike import alike_roles
from tonada.core.harmony.hue_families import hue_count
from tonada.core.mends.all_pairs import mend_all
from tonada.core.mends.kept_apart import apart_in
from tonada.core.pairs.evaluation import evaluate
from tonada.core.proof.grounds import TINT, grounds_of
from tonada.core.proof.own_material import OwnMaterial
from tonada.core.proof.voices import VOICES
from tonada.core.roles.brand_fit import BRAND_ROLES, figures_of
from tonada.core.roles.proposal import Proposal, propose_roles
from tonada.core.source.pictures.logo_outline import Logo, read_logo
from tonada.core.take.take import SIGNALS, Role, Take
from tonada.document.page_figures import PageFigures

# What a colour keeps of its chroma in its ramp, at most, and what a tint may have.
MOST_GROWN: Final = 1.1
# 8 bits a channel round a chroma by this much.
ROUNDED: Final = 0.004
SOLD_APART: Final = 0.06


def refusals(asked: Input, proposal: Proposal) -> list[int]:
    """Return the numbers of the rules that a proposal breaks by what it added, each once."""
    take = proposal.take
    day = take if take.scheme == "day" else take.turned()
    rules = {
        1: _vibrates, 2: _nothing_leads, 3: _stranger, 4: _neon, 5: _mud, 6: _dull_accent,
        7: _foreign_neutrals, 8: _dirty_night, 9: _signal_is_brand, 10: _rainbow, 12: _two_of_one,
    }  # fmt: skip
    return [number for number, breaks in rules.items() if breaks(asked, day)]


def is_given(asked: Input, value: Hex) -> bool:
    return value in asked.hexes


def brand_of(take: Take) -> dict[Role, Hex]:
    return {role: take.hex_of(role) for role in BRAND_ROLES if take.has_role(role)}


def made_in(asked: Input, take: Take) -> dict[Role, Hex]:
    return {role: value for role, value in brand_of(take).items() if not is_given(asked, value)}


def chromatic(asked: Input) -> list[Hex]:
    """Return the colours given whose hue counts, that a person would tell apart, and would see on a page."""
    found: list[Hex] = []
    for value in asked.hexes:
        is_seen = figures_of(0, value).calls
        if is_seen and all(difference_between(value, other) >= SOLD_APART for other in found):
            found.append(value)
    return found


def _vibrates(asked: Input, take: Take) -> bool:
    made = made_in(asked, take)
    for (_, one), (_, other) in combinations(brand_of(take).items(), 2):
        if one in made.values() or other in made.values():
            (light, chroma, hue), (lit, strong, angle) = hex_to_oklch(one), hex_to_oklch(other)
            far = float(hue_distance(hue, angle)) >= 120
            if far and abs(light - lit) < 0.1 and chroma > 0.12 and strong > 0.12:
                return True
    return False


def _nothing_leads(asked: Input, take: Take) -> bool:
    brand = brand_of(take)
    if len(made_in(asked, take)) == 0 or len(brand) < 3:
        return False
    places = np.array([hex_to_oklch(value) for value in brand.values()])
    return bool(np.ptp(places[:, 1]) < 0.03 and np.ptp(places[:, 0]) < 0.08)


def _stranger(asked: Input, take: Take) -> bool:
    hues = [hex_to_oklch(value)[2] for value in asked.hexes if hex_to_oklch(value)[1] >= NEUTRAL_BELOW]
    strangers = [
        value
        for value in made_in(asked, take).values()
        if hex_to_oklch(value)[1] >= NEUTRAL_BELOW
        and all(float(hue_distance(hex_to_oklch(value)[2], hue)) > 61.5 for hue in hues)
    ]
    return bool(hues and strangers)


def _neon(asked: Input, take: Take) -> bool:
    made = made_in(asked, take)
    large = [made[role] for role in (Role.PRIMARY, Role.SECONDARY) if role in made]
    for value in large:
        light, chroma, hue = hex_to_oklch(value)
        limit = float(largest_chroma(np.array(light), np.array(hue)))
        if light > 0.8 and chroma > 0.9 * limit and chroma > NEUTRAL_BELOW:
            return True
    return bool(loud_steps(take)) or tint_is_loud(take)


def loud_steps(take: Take) -> list[Hex]:
    """Return the steps of ramps that have more chroma than MOST_GROWN times that of their swatch."""
    found = []
    for swatch in take.swatches:
        own = hex_to_oklch(swatch.hex)[1]
        for value in take.ramp(swatch.id).hexes:
            if hex_to_oklch(value)[1] > MOST_GROWN * own + ROUNDED:
                found.append(value)
    return found


def tint_of(take: Take) -> Hex | None:
    return next((ground.hex for ground in grounds_of(take) if ground.id == TINT), None)


def tint_is_loud(take: Take) -> bool:
    tint = tint_of(take)
    return tint is not None and hex_to_oklch(tint)[1] > hex_to_oklch(take.hex_of(Role.MIST))[1] + ROUNDED


def _mud(asked: Input, take: Take) -> bool:
    made = made_in(asked, take)
    for role in (Role.PRIMARY, Role.SECONDARY):
        if role in made:
            light, chroma, hue = hex_to_oklch(made[role])
            if 40 <= hue <= 110 and 0.35 <= light <= 0.6 and 0.03 <= chroma <= 0.08:
                return True
    return False


def _dull_accent(asked: Input, take: Take) -> bool:
    brand = brand_of(take)
    accent = made_in(asked, take).get(Role.ACCENT)
    if accent is None:
        return False
    is_light = hex_to_oklch(take.hex_of(Role.PAPER))[0] > 0.6
    return (is_light and hex_to_oklch(accent)[0] > 0.85) or any(
        difference_between(accent, brand[role]) < 0.12 for role in (Role.PRIMARY, Role.SECONDARY)
    )


def _foreign_neutrals(asked: Input, take: Take) -> bool:
    hues = [hex_to_oklch(value)[2] for value in brand_of(take).values() if hex_to_oklch(value)[1] >= 0.01]
    is_dark = hex_to_oklch(take.hex_of(Role.PAPER))[0] < 0.5
    for role, most in ((Role.PAPER, 0.05 if is_dark else 0.02), (Role.MIST, 0.06 if is_dark else 0.035)):
        value = take.hex_of(role)
        if is_given(asked, value):
            continue
        _, chroma, hue = hex_to_oklch(value)
        if chroma > most + 0.001:
            return True
        if chroma > 0.01 and all(float(hue_distance(hue, angle)) > 15 for angle in hues):
            return True
    return False


def _dirty_night(asked: Input, take: Take) -> bool:
    night = take.turned()
    grounds = [night.hex_of(role) for role in (Role.PAPER, Role.MIST, Role.DEEP)]
    tint = tint_of(night)
    for value in (*grounds, *((tint,) if tint else ())):
        if is_given(asked, value):
            continue
        light, chroma, hue = hex_to_oklch(value)
        if light < 0.6 and chroma > 0.02 + 0.001 and not 190 < hue < 330:
            return True
        if light > 0.6:
            return True
    changed = [
        role
        for role in BRAND_ROLES
        if night.has_role(role) and difference_between(night.hex_of(role), take.hex_of(role)) > 0.08
    ]
    return bool(changed)


def _signal_is_brand(asked: Input, take: Take) -> bool:
    brand = brand_of(take).values()
    return any(
        difference_between(take.hex_of(signal), value) < SOLD_APART
        for signal in SIGNALS
        for value in brand
        if not is_given(asked, take.hex_of(signal))
    )


def _rainbow(asked: Input, take: Take) -> bool:
    brand = list(brand_of(take).values())
    return bool(made_in(asked, take)) and hue_count(brand) > 3


def _two_of_one(asked: Input, take: Take) -> bool:
    made = made_in(asked, take).values()
    for one, other in combinations(brand_of(take).values(), 2):
        is_near = difference_between(one, other) < SOLD_APART or color_name(one) == color_name(other)
        if is_near and (one in made or other in made):
            return True
    return False


@dataclass
class Counts:
    """What is counted over inputs. refused: by rule; examples: of what is wrong, to look into."""

    total: int = 0
    refused: int = 0
    by_rule: Counter[int] = field(default_factory=Counter)
    with_two: int = 0
    invented: int = 0
    loud_steps: int = 0
    loud_tints: int = 0
    failing: int = 0
    moved_held: int = 0
    unsaid: int = 0
    logos: int = 0
    unseen: int = 0
    mended: int = 0
    merged: int = 0
    examples: list[str] = field(default_factory=list)


def count(asked: Input, counts: Counts) -> None:
    """Propose for an input, and count all that is wrong with it."""
    proposal = propose_roles(asked.colors, asked.whole)
    day = proposal.take
    broken = refusals(asked, proposal)
    counts.total += 1
    counts.refused += bool(broken)
    counts.by_rule.update(broken)
    counts.loud_steps += bool(loud_steps(day))
    counts.loud_tints += any(tint_is_loud(one) for one in (day, day.turned()))
    counts.failing += sum(evaluate(one).failing for one in (day, day.turned()))
    counts.moved_held += sum(one.held and not is_given(asked, one.hex) for one in day.swatches)
    counts.unsaid += _unsaid(day)
    if len(chromatic(asked)) >= 2 and asked.kind != "mood":
        counts.with_two += 1
        counts.invented += not is_given(asked, brand_of(day)[Role.ACCENT])
    if asked.preview:
        logo = read_logo(asked.preview)
        counts.logos += bool(logo.outline)
        counts.unseen += _is_unseen(day, logo)
    merged = _merges(day)
    counts.mended += merged is not None
    counts.merged += bool(merged)
    if broken or merged:
        counts.examples.append(f"{asked.name} {asked.hexes} {broken} merged: {merged}")


def _unsaid(take: Take) -> int:
    """Return how many brand roles look like another or like a signal, without a word; coloraide measures."""
    said = {frozenset((one.one, one.other)) for one in alike_roles(take)}
    brand = [role for role in BRAND_ROLES if take.has_role(role)]
    pairs = [*combinations(brand, 2), *((role, signal) for role in brand for signal in SIGNALS)]
    return sum(
        Color(take.hex_of(one)).delta_e(take.hex_of(other), method="ok") < SOLD_APART
        and frozenset((one, other)) not in said
        for one, other in pairs
    )


def _is_unseen(take: Take, logo: Logo) -> bool:
    """Return whether a page has a logo in a header, by day or by night, of which too little can be seen."""
    for scheme in (take, take.turned()):
        for voice in VOICES:
            figures = PageFigures.of(scheme, voice.id, OwnMaterial(logo))
            heads = {one.ground for one in figures.sections if one.section == "head"}
            shown = figures.logo.on if figures.logo and not figures.logo.mask else ()
            if any(one.has_vanished for one in shown if one.ground in heads):
                return True
    return False


def _merges(take: Take) -> bool | None:
    """Return whether mending all at AAA with nothing held makes two colours one; None if nothing fails."""
    free = replace(take, level="AAA", swatches=tuple(replace(swatch, held=False) for swatch in take.swatches))
    if not evaluate(free).failing:
        return None
    mended = mend_all(free).take
    return any(
        difference_between(mended.hex_of(one.one), mended.hex_of(one.other)) < one.least - 1e-9
        for one in apart_in(free)
    )


def main(seed: int) -> None:
    counts = Counts()
    for asked in drawn_inputs(seed):
        count(asked, counts)
    share = counts.refused / counts.total
    print(f"{counts.refused} of {counts.total} refused ({share:.0%}); {dict(sorted(counts.by_rule.items()))}")
    print(f"invented accent where two chromatic colours were given: {counts.invented} of {counts.with_two}")
    print(f"steps over {MOST_GROWN} times their colour's chroma: in {counts.loud_steps}")
    print(f"loud tints: in {counts.loud_tints}")
    print(f"pairs that fail AA by day or night: {counts.failing}; held that moved: {counts.moved_held}")
    print(f"near-equal pairs unsaid: {counts.unsaid}")
    print(f"transparent logos: {counts.logos}, unseen on a header: {counts.unseen}")
    print(f"mended at AAA: {counts.mended}, grounds or brand colours merged: {counts.merged}")
    print(*counts.examples, sep="\n")


if __name__ == "__main__":
    main(int(sys.argv[1]) if len(sys.argv) > 1 else 20261202)
