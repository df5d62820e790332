"""Proposals that a designer would sign, as far as that can be measured: see tests/taste.py."""

from __future__ import annotations

from dataclasses import replace

import pytest

from tests.drawn_inputs import Input, drawn_inputs
from tests.sampling import IS_LONG
from tests.taste import Counts, count, refusals
from tonada.core.color.hue_rules import color_at
from tonada.core.color.ramp import USUAL
from tonada.core.roles.brand import Candidate
from tonada.core.roles.proposal import propose_roles
from tonada.core.take.parts import new_swatch
from tonada.core.take.recolor import recolor_many
from tonada.core.take.take import Origin, Role, Take

# Not the seed that anything was tuned on.
SEED = 41_026
PARTS = (70, 130, 60, 40) if IS_LONG else (4, 8, 5, 3)
MOST_REFUSED = 0.1


@pytest.fixture(scope="module")
def counts() -> Counts:
    found = Counts()
    for asked in drawn_inputs(SEED, PARTS):
        count(asked, found)
    return found


def test_at_most_one_in_ten_is_refused(counts: Counts) -> None:
    assert counts.refused <= MOST_REFUSED * counts.total, counts.examples


def test_whatever_else_all_pairs_pass_and_held_colors_stay(counts: Counts) -> None:
    assert (counts.failing, counts.moved_held) == (0, 0)


def test_what_must_never_happen_does_not(counts: Counts) -> None:
    assert counts.invented == 0
    assert counts.loud_steps == 0
    assert counts.loud_tints == 0
    assert counts.unsaid == 0
    assert counts.unseen == 0
    assert counts.merged == 0


BLUE = Input("by hand", "list", (Candidate("#2b3a8c", 1.0),))
PROPOSED = propose_roles(BLUE.colors, "list")


def with_colors(**values: str) -> Take:
    take = PROPOSED.take
    changed = {take.assignment(Role(role)).swatch: value for role, value in values.items()}
    return recolor_many(take, changed, "by hand", "moved")


def with_loud_ramps() -> Take:
    swatches = (replace(one, ramp=USUAL) for one in PROPOSED.take.swatches)
    return replace(PROPOSED.take, swatches=tuple(swatches))


def with_brown_night() -> Take:
    take = PROPOSED.take
    assert take.other
    brown = new_swatch("t1", "Brown", "#2b1a10", Origin("typed", ""))
    roles = tuple(
        replace(one, swatch="t1", step=None) if one.role == Role.PAPER else one for one in take.other.roles
    )
    return replace(take, swatches=(*take.swatches, brown), other=replace(take.other, roles=roles))


def with_green_greys() -> Take:
    neutrals = (
        replace(one, tint=PROPOSED.take.assignment(Role.SUCCESS).swatch) for one in PROPOSED.take.neutrals
    )
    return replace(PROPOSED.take, neutrals=tuple(neutrals))


BROKEN = {
    1: with_colors(accent=color_at(0.42, 0.16, 40)),
    2: with_colors(secondary=color_at(0.4, 0.13, 285), accent=color_at(0.42, 0.13, 262)),
    3: with_colors(accent=color_at(0.7, 0.15, 60)),
    4: with_loud_ramps(),
    5: with_colors(secondary=color_at(0.5, 0.05, 80)),
    6: with_colors(accent=color_at(0.44, 0.14, 275)),
    7: with_green_greys(),
    8: with_brown_night(),
    9: with_colors(info=color_at(0.4, 0.14, 270)),
    12: with_colors(accent=PROPOSED.take.hex_of(Role.SECONDARY)),
}


@pytest.mark.parametrize("rule", BROKEN)
def test_each_rule_refuses_what_it_is_for(rule: int) -> None:
    """A measure that can refuse nothing measures nothing."""
    assert refusals(BLUE, PROPOSED) == []
    assert rule in refusals(BLUE, replace(PROPOSED, take=BROKEN[rule]))
