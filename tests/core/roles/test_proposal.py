"""Roles for colours: who leads, what is made, and that made pairs can be read."""

from __future__ import annotations

from dataclasses import replace
from itertools import combinations

import numpy as np
import pytest
from hypothesis import example, given, settings
from hypothesis import strategies as st

from tests.sampling import examples
from tests.strategies import hexes
from tonada.core.color.apart import TOLD_APART
from tonada.core.color.contrast import contrast_ratio
from tonada.core.color.hue_rules import NEUTRAL_BELOW
from tonada.core.color.naming import color_name
from tonada.core.color.ramp import CALM_CHROMA, MOST_GROWN, ROUNDS_BY, STEADY_SHARE
from tonada.core.color.spaces import (
    difference_between,
    hex_to_oklch,
    hex_to_srgb8,
    hue_distance,
    largest_chroma,
    srgb8_to_oklch,
)
from tonada.core.errors import InputError
from tonada.core.harmony.advice import advise
from tonada.core.harmony.alike import alike_roles
from tonada.core.pairs.evaluation import evaluate
from tonada.core.proof.grounds import TINT, grounds_of
from tonada.core.roles.brand import Candidate, Whole
from tonada.core.roles.brand_fit import BRAND_ROLES, figures_of
from tonada.core.roles.build import build_take
from tonada.core.roles.proposal import propose_roles
from tonada.core.roles.starts import FAMILY, Start
from tonada.core.take.recolor import recolor_many
from tonada.core.take.take import SIGNALS, Role, Take

PEAK = (
    Candidate("#2b3a8c", 0.74),
    Candidate("#b6653a", 0.197),
    Candidate("#ffffff", 0.037),
    Candidate("#d7b13c", 0.025),
)


# Further accents are the designer's own choice.
PROPOSED = [role for role in Role if role not in (Role.ACCENT_2, Role.ACCENT_3)]


def hex_of(candidates: tuple[Candidate, ...]) -> dict[Role, str]:
    return {proposed.role: proposed.hex for proposed in propose_roles(candidates).roles}


def ratio(a: str, b: str) -> float:
    return float(contrast_ratio(hex_to_srgb8(a), hex_to_srgb8(b)))


def test_the_logo_s_colors_get_the_roles_a_designer_would_give_them() -> None:
    proposal = propose_roles(PEAK)
    assert proposal.choices == (Role.PRIMARY, Role.SECONDARY, "leave out", Role.ACCENT)
    assert [proposed.role for proposed in proposal.roles] == PROPOSED


def test_every_reason_is_a_sentence_with_a_deciding_figure_or_origin() -> None:
    for proposed in propose_roles(PEAK).roles:
        assert proposed.reason.endswith(".")
        assert any(character.isdigit() for character in proposed.reason)


def test_a_single_color_gets_partners_from_a_hue_rule() -> None:
    roles = propose_roles((Candidate("#2b3a8c", 1.0),)).roles
    made = {proposed.role: proposed for proposed in roles}
    anchor = srgb8_to_oklch(hex_to_srgb8("#2b3a8c"))[2]
    accent = srgb8_to_oklch(hex_to_srgb8(made[Role.ACCENT].hex))[2]
    assert made[Role.ACCENT].origin == made[Role.SECONDARY].origin == "harmony"
    assert float(hue_distance(anchor, accent)) <= FAMILY + 2


@given(hexes)
@settings(max_examples=examples(60), deadline=None)
def test_text_that_is_made_can_be_read_on_the_grounds_that_are_made(value: str) -> None:
    roles = hex_of((Candidate(value, 1.0),))
    for ground in (Role.PAPER, Role.MIST):
        assert ratio(roles[Role.INK], roles[ground]) >= 7
        for signal in SIGNALS:
            assert ratio(roles[signal], roles[ground]) >= 3
        assert ratio(roles[Role.MUTED], roles[ground]) >= 4.5
        assert ratio(roles[Role.LINK], roles[ground]) >= 4.5
        assert ratio(roles[Role.LINE], roles[ground]) >= 3


def test_a_wish_is_kept_and_named_as_one() -> None:
    wished = (Candidate("#2b3a8c", 0.7, Role.ACCENT), Candidate("#b6653a", 0.3))
    roles = {proposed.role: proposed for proposed in propose_roles(wished).roles}
    assert roles[Role.ACCENT].hex == "#2b3a8c"
    assert roles[Role.PRIMARY].hex == "#b6653a"
    assert roles[Role.ACCENT].reason == "Chosen by you."


@given(st.lists(hexes, min_size=1, max_size=6, unique=True))
@example(["#000000", "#00c9d5"])
@example(["#fdf6e3", "#ffffff"])
@settings(max_examples=examples(60), deadline=None)
def test_nobody_is_said_to_have_chosen_what_was_only_suggested(values: list[str]) -> None:
    shares = [1 / (row + 1) for row in range(len(values))]
    offered = tuple(Candidate(value, share) for value, share in zip(values, shares, strict=True))
    proposal = propose_roles(offered)
    # As a palette is shown after it was built: every colour asks for the role that it has.
    kept = tuple(replace(one, choice=choice) for one, choice in zip(offered, proposal.choices, strict=True))
    assert "Chosen by you." not in {one.reason for one in propose_roles(kept).roles}


def test_a_swatch_is_called_as_its_source_calls_it() -> None:
    candidates = (
        Candidate("#7a2e1f", 0.5, name="Crust"),
        Candidate("#2f5d50", 0.5),
        Candidate("#2f5d51", 0, "keep", "Crust"),
    )
    take = propose_roles(candidates, "list").take
    names = {swatch.hex: swatch.name for swatch in take.swatches}
    assert names["#7a2e1f"] == "Crust"
    assert names["#2f5d51"] == "Crust 2"
    assert names["#2f5d50"] == color_name("#2f5d50")
    # A name that was given stays when the colour moves, one made from the colour follows it.
    moved = recolor_many(take, {one.id: "#0000ff" for one in take.swatches}, "moved", "moved")
    assert {swatch.name for swatch in moved.swatches} >= {"Crust", "Crust 2", color_name("#0000ff")}


def test_a_wish_that_agrees_keeps_the_reason() -> None:
    agreed = (Candidate("#2b3a8c", 0.74, Role.PRIMARY), *PEAK[1:])
    assert propose_roles(agreed).roles[0].reason == propose_roles(PEAK).roles[0].reason


def test_two_colors_can_t_have_one_role() -> None:
    with pytest.raises(InputError, match="primary") as refused:
        propose_roles((Candidate("#111111", 0.5, Role.PRIMARY), Candidate("#222222", 0.5, Role.PRIMARY)))
    assert refused.value.field == "colors.1.choice"


def test_no_colors_are_refused() -> None:
    with pytest.raises(InputError):
        propose_roles(())


def test_a_mark_without_hue_still_gets_a_whole_palette() -> None:
    roles = hex_of((Candidate("#000000", 1.0),))
    assert roles[Role.PRIMARY] == "#000000"
    assert len(roles) == len(PROPOSED)


@given(st.lists(hexes, min_size=1, max_size=8, unique=True))
@settings(max_examples=examples(40), deadline=None)
def test_any_colors_make_a_sound_take_whose_artwork_is_held(values: list[str]) -> None:
    candidates = tuple(Candidate(value, 1 / len(values)) for value in values)
    proposal = propose_roles(candidates)
    take = build_take(candidates, proposal, source=None, source_name="a list")
    assert all(take.has_role(role) for role in PROPOSED)
    assert all(take.turned().has_role(role) for role in PROPOSED)
    assert {swatch.hex for swatch in take.swatches if swatch.held} <= set(values)
    assert len({swatch.name for swatch in take.swatches}) == len(take.swatches)
    for scheme in (take, take.turned()):
        # Where a ground allows nothing that reads, its figures are pairs too; see core/grounds.py.
        of_the_page = [one for one in evaluate(scheme).pairs if not one.id.startswith("ground:")]
        assert len(of_the_page) == 19


def test_next_to_primary_stands_a_colour_and_not_its_shade_or_a_grey() -> None:
    """As a photograph of dusk has them, and an old site: what is larger is nearly without chroma."""
    for values, expected in (
        ((("#333661", 0.21), ("#232235", 0.19), ("#675b87", 0.18), ("#e29d76", 0.12)), "#675b87"),
        ((("#2b3a8c", 0.13), ("#c9cdea", 0.11), ("#b6653a", 0.11), ("#d7b13c", 0.06)), "#b6653a"),
    ):
        take = propose_roles(tuple(Candidate(value, share) for value, share in values)).take
        assert take.hex_of(Role.SECONDARY) == expected


def chroma(value: str) -> float:
    return float(srgb8_to_oklch(hex_to_srgb8(value))[1])


@given(hexes, hexes)
@settings(max_examples=examples(60), deadline=None)
def test_by_night_a_brand_colour_keeps_its_character(first: str, second: str) -> None:
    """Lifted, not gone neon: chroma changes by a fifth at most, or by what sRGB has at that lightness."""
    take = propose_roles((Candidate(first, 0.7), Candidate(second, 0.3))).take
    night = take.turned()
    for role in (Role.PRIMARY, Role.SECONDARY, Role.ACCENT):
        if not (take.has_role(role) and night.has_role(role)):
            continue
        before, after = chroma(take.hex_of(role)), chroma(night.hex_of(role))
        if before < NEUTRAL_BELOW:
            continue
        assert after <= before * 1.2 + 0.004, (role, take.hex_of(role), night.hex_of(role))
        lightness, _, hue = srgb8_to_oklch(hex_to_srgb8(night.hex_of(role)))
        most = float(largest_chroma(np.array([lightness]), np.array([hue]))[0])
        assert after >= min(before * 0.8, STEADY_SHARE * most) - 0.006


def brand_in(values: tuple[str, ...], whole: Whole = "list", **named: Start) -> dict[Role, str]:
    candidates = tuple(Candidate(value, 0.5**row) for row, value in enumerate(values, 1))
    take = propose_roles(candidates, whole, **named).take
    return {role: take.hex_of(role) for role in BRAND_ROLES}


def test_of_two_colors_with_a_hue_the_second_is_the_accent() -> None:
    maroon, gold = "#7b2d3a", "#c9a227"
    brand = brand_in((maroon, gold))
    assert (brand[Role.PRIMARY], brand[Role.ACCENT]) == (maroon, gold)
    # One that is made is offered beside it, and is there only if somebody chooses it.
    proposal = propose_roles((Candidate(maroon, 0.6), Candidate(gold, 0.4)), "list")
    assert (proposal.start, proposal.starts) == ("given", ("given", "contrasting"))
    chosen = brand_in((maroon, gold), start="contrasting")
    assert chosen[Role.SECONDARY] == gold
    assert chosen[Role.ACCENT] not in (maroon, gold)


@given(st.lists(hexes, min_size=2, max_size=5, unique=True))
@settings(max_examples=examples(60), deadline=None)
def test_no_accent_is_made_where_two_colors_with_a_hue_are_given(values: list[str]) -> None:
    found: list[str] = []
    for value in values:
        if figures_of(0, value).calls and all(difference_between(value, one) >= TOLD_APART for one in found):
            found.append(value)
    brand = brand_in(tuple(values))
    if len(found) >= 2:
        assert brand[Role.ACCENT] in values
    if len(found) >= 3:
        assert set(brand.values()) <= set(values)


def test_one_color_leaves_three_starts_to_choose_from() -> None:
    proposal = propose_roles((Candidate("#2b3a8c", 1.0),), "list")
    assert set(proposal.starts) == {"calm", "lively", "contrasting"}
    accents = {brand_in(("#2b3a8c",), start=start)[Role.ACCENT] for start in proposal.starts}
    assert all(difference_between(one, other) >= 0.1 for one, other in combinations(accents, 2))
    assert brand_in(("#2b3a8c",), start="given") == brand_in(("#2b3a8c",))


@given(st.permutations(["#2b3a8c", "#b6653a", "#c62828"]), st.sampled_from(BRAND_ROLES), st.integers(0, 2))
@settings(max_examples=examples(30), deadline=None)
def test_a_wish_is_an_exchange_among_the_given(values: list[str], role: Role, place: int) -> None:
    shares = (0.5, 0.3, 0.2)
    offered = tuple(Candidate(value, share) for value, share in zip(values, shares, strict=True))
    before = {one.role: one.hex for one in propose_roles(offered).roles if one.role in BRAND_ROLES}
    wished = tuple(replace(one, choice=role if row == place else None) for row, one in enumerate(offered))
    after = {one.role: one.hex for one in propose_roles(wished).roles if one.role in BRAND_ROLES}
    had = next(one for one, value in before.items() if value == values[place])
    expected = {**before, had: before[role], role: values[place]}
    assert after == expected


@pytest.mark.parametrize("value", ["#3d8c6c", "#5fa08f", "#050007", "#7a8f3a", "#2b3a8c"])
def test_calm_colors_have_calm_tints(value: str) -> None:
    take = propose_roles((Candidate(value, 1.0),), "list").take
    for swatch in take.swatches:
        own = hex_to_oklch(swatch.hex)[1]
        for step in take.ramp(swatch.id).hexes:
            assert hex_to_oklch(step)[1] <= MOST_GROWN * own + ROUNDS_BY
        if own <= CALM_CHROMA:
            assert swatch.ramp.kind == "steady"
    for scheme in (take, take.turned()):
        tint = next(ground.hex for ground in grounds_of(scheme) if ground.id == TINT)
        assert hex_to_oklch(tint)[1] <= hex_to_oklch(scheme.hex_of(Role.MIST))[1]


def test_what_looks_alike_is_said_across_brand_and_signals() -> None:
    take = propose_roles((Candidate("#2b3a8c", 0.6), Candidate("#a61e2d", 0.4)), "list").take
    assert alike_roles(take) == ()
    assert advice_texts(take) == []
    near = recolor_many(take, {take.assignment(Role.ERROR).swatch: "#ac1922"}, "moved", "moved")
    assert [(one.one, one.other) for one in alike_roles(near)] == [(Role.ACCENT, Role.ERROR)]
    assert advice_texts(near) == [alike_roles(near)[0].text]
    same = recolor_many(take, {take.assignment(Role.ACCENT).swatch: "#2b3a8c"}, "moved", "moved")
    assert alike_roles(same)[0].text == "Primary and Accent are the same colour."


def advice_texts(take: Take) -> list[str]:
    return [one.text for one in advise(take) if one.kind == "close"]
