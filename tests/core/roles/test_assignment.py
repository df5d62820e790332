"""Roles on steps, by day and by night; references that follow; ramps rebuilt and swatches taken out."""

from __future__ import annotations

from dataclasses import replace
from itertools import combinations, product

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from tests.sampling import examples
from tests.strategies import hexes
from tests.takes import TAKE, take_of
from tonada.core.color.contrast import composite
from tonada.core.color.ramp import RampSettings
from tonada.core.color.spaces import hexes_to_srgb8
from tonada.core.color.wcag import Usage
from tonada.core.errors import TakeError
from tonada.core.pairs.evaluation import evaluate
from tonada.core.roles.brand import Candidate
from tonada.core.roles.plan import plan_of
from tonada.core.roles.proposal import propose_roles
from tonada.core.roles.ramp_rows import overlay_rows, rows_of
from tonada.core.roles.signals import APART_ENOUGH, choose_together, propose_signals
from tonada.core.roles.suggest import derive_night, suggest_roles
from tonada.core.sight.vision import apart_to_all
from tonada.core.take.dependents import dependents_of
from tonada.core.take.neutrals import set_neutral
from tonada.core.take.recolor import recolor
from tonada.core.take.repoint import remove, set_ramp
from tonada.core.take.take import SIGNALS, Assignment, Overlay, Pair, Role, Take


@given(hexes)
@settings(max_examples=examples(40), deadline=None)
def test_by_night_every_proposed_pair_passes_on_dark_grounds(value: str) -> None:
    night = take_of(value).turned()
    assert night.scheme == "night"
    figures = {pair.id: pair for pair in evaluate(night).pairs}
    assert [key for key, pair in figures.items() if pair.outcome != "passes"] == []
    assert figures["ink-on-paper"].ground_position < 0.5 < figures["ink-on-paper"].text_position


def test_a_scheme_turned_twice_is_the_one_before() -> None:
    assert TAKE.turned().turned() == TAKE
    assert Take().turned() == Take()


def test_what_is_held_and_makes_a_role_impossible_is_said() -> None:
    grey = (Candidate("#2b3a8c", 0.6), Candidate("#808080", 0.4, Role.PAPER))
    proposal = propose_roles(grey)
    assert any("Ink" in text and "7" in text for text in proposal.impossible)
    assert propose_roles(grey[:1]).impossible == ()


def test_roles_on_steps_follow_their_swatch() -> None:
    before = TAKE.hex_of(Role.DEEP), TAKE.hex_of(Role.PAPER)
    moved = recolor(TAKE, "s1", "#7a1f1f", "by a test")
    assert (moved.hex_of(Role.DEEP), moved.hex_of(Role.PAPER)) != before
    assert moved.hex_of(Role.DEEP) == moved.ramp("s1").hexes[TAKE.assignment(Role.DEEP).step - 1]
    # A reason that names the swatch's own move belongs to the swatch alone.
    assert moved.assignment(Role.DEEP).reason == TAKE.assignment(Role.DEEP).reason


@pytest.mark.parametrize(
    ("assignment", "field"),
    [
        pytest.param(Assignment("ink", "s1", "", step=12), "roles.0.step", id="a step that isn't there"),
        pytest.param(Assignment("ink", "n1", ""), "roles.0.step", id="a neutral without a step"),
        pytest.param(Assignment("badge", "s1", ""), "roles.0.role", id="an unknown role"),
        pytest.param(Assignment("own-badge", "s1", ""), "roles.0.role", id="an own role without a name"),
    ],
)
def test_a_role_on_what_isn_t_there_is_refused(assignment: Assignment, field: str) -> None:
    with pytest.raises(TakeError) as refused:
        replace(TAKE, roles=(assignment,), pairs=(), other=None)
    assert refused.value.field == field


def test_a_role_of_one_s_own_has_its_name_everywhere() -> None:
    own = Assignment("own-badge", "s2", "Chosen by you.", name="Badge of the week")
    pair = Pair("added-1", "own-badge", Role.PAPER, Usage.LARGE_TEXT, "New")
    take = replace(TAKE, roles=(*TAKE.roles, own), pairs=(*TAKE.pairs, pair))
    figures = evaluate(take)
    assert next(one for one in figures.pairs if one.id == "added-1").text_name == "Badge of the week"
    assert any("Badge of the week" in cell.role_names for cell in figures.measure)


def test_an_overlay_is_composited_as_browsers_do_and_counts_in_pairs() -> None:
    veil = Overlay("o1", "Veil", "s1", 0.6)
    pair = Pair("added-1", Role.PAPER, Role.ACCENT, Usage.BODY_TEXT, "Over", layers=("o1",))
    text = Pair("added-2", "o1", Role.PAPER, Usage.BODY_TEXT, "Through")
    take = replace(TAKE, overlays=(veil,), pairs=(pair, text))
    under, over = hexes_to_srgb8((take.hex_of(Role.ACCENT), take.swatch("s1").hex))
    seen = hexes_to_srgb8((take.pair_colors(pair)[1],))[0]
    assert np.array_equal(seen, composite(over, 0.6, under))
    assert take.pair_colors(text)[0] == take.over(take.hex_of(Role.PAPER), "o1")
    shown = overlay_rows(take)[0]
    assert {one.ground: one.hex for one in shown.over}["Paper"] == take.pair_colors(text)[0]


def test_a_ramp_made_anew_keeps_roles_on_the_nearest_step() -> None:
    changed = set_ramp(TAKE, "s1", RampSettings(steps=21))
    assert changed.assignment(Role.DEEP).step not in (None, TAKE.assignment(Role.DEEP).step)
    nearest = apart_to_all(
        hexes_to_srgb8((TAKE.hex_of(Role.DEEP),)), hexes_to_srgb8((changed.hex_of(Role.DEEP),))
    )
    assert nearest[0, 0] < 0.05
    assert changed.hex_of(Role.PRIMARY) == TAKE.hex_of(Role.PRIMARY)
    mixed = set_ramp(TAKE, "s1", RampSettings("mix", tints=4, shades=4))
    assert len(mixed.ramp("s1").hexes) == 9


def test_neutrals_made_anew_keep_their_roles_near() -> None:
    neutral = replace(TAKE.neutrals[0], steps=21, strength=0.0)
    changed = set_neutral(TAKE, neutral)
    assert changed.turned().has_role(Role.PAPER)
    assert len(changed.ramp("n1").hexes) == 21


def test_a_swatch_goes_only_when_something_takes_its_place() -> None:
    assert dependents_of(TAKE, "s1")
    with pytest.raises(TakeError) as refused:
        remove(TAKE, "s1", None)
    assert refused.value.field == "instead"
    with pytest.raises(TakeError):
        remove(TAKE, "s1", ("s1", None))
    gone = remove(TAKE, "s1", ("s2", None))
    assert "s1" not in {one.id for one in gone.swatches}
    assert gone.hex_of(Role.PRIMARY) == gone.swatch("s2").hex
    assert gone.neutrals[0].tint == "s2"
    assert not dependents_of(gone, "s1")


def test_rows_have_every_step_at_its_place_with_its_roles() -> None:
    rows = {row.owner: row for row in rows_of(TAKE)}
    assert set(rows) == {*(one.id for one in TAKE.swatches), "n1"}
    own = next(step for step in rows["s1"].steps if step.is_own)
    assert Role.PRIMARY in own.roles
    shown = {role for row in rows.values() for step in row.steps for role in step.roles}
    assert shown == {one.role for one in TAKE.roles}
    for row in rows.values():
        places = [step.position for step in row.steps]
        assert places == sorted(places, reverse=True)


@given(st.lists(hexes, min_size=1, max_size=3, unique=True))
@settings(max_examples=examples(20), deadline=None)
def test_signals_can_be_seen_and_are_told_apart(brand: list[str]) -> None:
    found = propose_signals(brand, ["#f9fafd", "#e1e6f5"])
    assert [one.role for one in found] == list(SIGNALS)
    colors = hexes_to_srgb8(tuple(one.hex for one in found))
    apart = apart_to_all(colors, colors)
    # Of all that the tables offer; under 0.05 nobody would tell two marks apart.
    assert min(apart[one, other] for one, other in combinations(range(4), 2)) >= 0.05


def test_signals_are_the_best_of_all_combinations() -> None:
    random = np.random.default_rng(4)
    options = [random.integers(0, 256, (5, 3)).astype(np.uint8) for _ in range(4)]
    costs = [random.uniform(0, 0.3, 5) for _ in range(4)]
    picked, apart = choose_together(options, costs)

    def weigh(rows: tuple[int, ...]) -> tuple[float, float]:
        colors = np.stack([option[row] for option, row in zip(options, rows, strict=True)])
        each = apart_to_all(colors, colors)
        least = min(each[one, other] for one, other in combinations(range(4), 2))
        cost = sum(own[row] for own, row in zip(costs, rows, strict=True))
        return cost - 6.0 * min(least, APART_ENOUGH), least

    assert weigh(picked)[0] == pytest.approx(min(weigh(rows)[0] for rows in product(range(5), repeat=4)))
    assert apart == pytest.approx(weigh(picked)[1])


def test_suggesting_roles_changes_no_value_and_keeps_what_is_the_designer_s() -> None:
    own = Assignment("own-badge", "s2", "Chosen by you.", name="Badge")
    pair = Pair("added-1", "own-badge", Role.PAPER, Usage.LARGE_TEXT, "New")
    shares = tuple(replace(one, share=0.3 if one.role == Role.ACCENT else None) for one in TAKE.roles)
    moved = tuple(replace(one, swatch="s3") if one.role == Role.PRIMARY else one for one in shares)
    take = replace(TAKE, roles=(*moved, own), pairs=(*TAKE.pairs, pair))
    suggested, _ = suggest_roles(take)
    assert {one.id: one.hex for one in suggested.swatches} == {one.id: one.hex for one in take.swatches}
    assert suggested.assignment(Role.PRIMARY).swatch == "s1"
    assert suggested.assignment(Role.ACCENT).share == 0.3
    assert suggested.has_role("own-badge")
    assert suggested.turned().has_role("own-badge")
    assert "added-1" in {one.id for one in suggested.pairs}
    with pytest.raises(TakeError):
        suggest_roles(Take())


def test_a_night_is_derived_for_a_take_without_one() -> None:
    plain = replace(TAKE, other=None)
    derived, impossible = derive_night(plain)
    assert impossible == ()
    assert derived.other == TAKE.other
    with pytest.raises(TakeError):
        derive_night(Take())


def test_the_plan_is_sixty_thirty_ten_until_it_is_changed() -> None:
    plan = plan_of(TAKE.roles)
    assert (plan.grounds, plan.brand, plan.call) == pytest.approx((0.6, 0.3, 0.1), abs=0.01)
    assert plan.advice == ()
    louder = tuple(replace(one, share=0.5) if one.role == Role.ACCENT else one for one in TAKE.roles)
    assert "Accent has a larger planned share than Mist" in plan_of(louder).advice[0]
