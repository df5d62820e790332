"""Variations: each is proved, a sheet differs as much as it can, and each is returned to by its seed."""

from __future__ import annotations

from dataclasses import replace
from itertools import combinations

import numpy as np
import pytest

from tests.sampling import IS_LONG
from tests.takes import take_of
from tonada.core.color.spaces import hexes_to_srgb8, srgb8_to_oklab
from tonada.core.color.vibration import vibrates
from tonada.core.errors import InputError
from tonada.core.harmony.chord import Place, place
from tonada.core.harmony.vary import (
    LAST_SEED,
    LEAST_DIFFERENCE,
    LEAST_LATER,
    SHEET,
    free_of,
    restored,
)
from tonada.core.pairs.evaluation import evaluate
from tonada.core.pairs.variations import Variation, vary, vary_row, with_variation
from tonada.core.take.recolor import change_pair_text
from tonada.core.take.take import Origin, Role, Swatch, Take

ORRIN = take_of("#2b3a8c", "#b6653a", "#d7b13c")


def holding(take: Take, *held: Role, **settings: object) -> Take:
    ids = {take.assignment(role).swatch for role in held}
    swatches = tuple(replace(one, held=one.id in ids) for one in take.swatches)
    return replace(take, swatches=swatches, harmony=replace(take.harmony, **settings))


def short_of(take: Take) -> int:
    return sum(pair.short_by > 0 for scheme in (take, take.turned()) for pair in evaluate(scheme).pairs)


def least_difference(row: tuple[Variation, ...], free: tuple[str, ...]) -> float:
    labs = [srgb8_to_oklab(hexes_to_srgb8(tuple(one.take.swatch(key).hex for key in free))) for one in row]
    return min(float(np.sqrt(((one - other) ** 2).sum(-1).mean())) for one, other in combinations(labs, 2))


@pytest.mark.parametrize("character", [None, "vivid", "pale", "sober"])
@pytest.mark.parametrize("held", [(), (Role.PRIMARY,)])
def test_twelve_differ_visibly_and_each_says_how_many_pairs_fall_short(
    character: str | None, held: tuple[Role, ...]
) -> None:
    take = holding(ORRIN, *held, rule="split complementary", character=character)
    row = vary_row(take, 1, SHEET)
    assert [one.seed for one in row] == list(range(1, SHEET + 1))
    assert least_difference(row, free_of(take)) >= LEAST_DIFFERENCE
    for one in row:
        assert len(one.failing) == short_of(one.take)
        assert bool(one.problem) == bool(one.failing)


@pytest.mark.parametrize("held", [(), (Role.PRIMARY,), (Role.PRIMARY, Role.SECONDARY)])
@pytest.mark.parametrize("character", [None, "pale"])
def test_later_sheets_differ_from_all_that_was_shown(character: str | None, held: tuple[Role, ...]) -> None:
    take = holding(ORRIN, *held, rule="split complementary", character=character)
    free = free_of(take)
    sheets = [vary_row(take, number * SHEET + 1, SHEET) for number in range(16 if IS_LONG else 6)]
    shown = sheets[0]
    for number, row in enumerate(sheets[1:], 1):
        assert [one.seed for one in row] == [number * SHEET + 1 + place for place in range(len(row))]
        for one in row:
            nearest = min(least_difference((one, other), free) for other in shown)
            assert nearest >= LEAST_LATER - 1e-9
            shown = (*shown, one)
    # Where one alone is free there is an end; it is said.
    if len(shown) < len(sheets) * SHEET:
        with pytest.raises(InputError, match="nothing is left"):
            vary(take, SHEET * len(sheets))


@pytest.mark.parametrize("anchor", ["#2b3a8c", "#c62828", "#0b6e4f", "#d7b13c", "#7c3aed"])
def test_where_there_is_room_all_twelve_pass_and_are_calm(anchor: str) -> None:
    take = holding(take_of(anchor), Role.PRIMARY)
    for one in vary_row(take, 1, SHEET):
        assert one.failing == ()
        assert not vibrates(one.take.hex_of(Role.ACCENT), anchor)


def test_what_can_t_pass_is_said() -> None:
    cornered = holding(ORRIN, Role.PRIMARY)
    grey = Swatch("s90", "Grey", "#7d7d7d", True, Origin("typed", "typed by hand"))
    cornered = replace(
        cornered,
        swatches=(*cornered.swatches, grey),
        roles=tuple(
            replace(one, swatch="s90", step=None) if one.role == Role.PAPER else one for one in cornered.roles
        ),
        level="AAA",
    )
    cornered = change_pair_text(cornered, "label-on-accent", Role.PAPER)
    result = vary(cornered, 1)
    assert len(result.failing) == short_of(result.take) > 0
    assert result.problem
    assert "would fail" in result.problem


def test_every_variation_is_returned_to_by_its_seed() -> None:
    take = holding(ORRIN, Role.SECONDARY, rule="triadic", character="crisp")
    seventh = vary(take, 7)
    assert seventh.take.harmony.seed == 7
    others = vary_row(take, 1, SHEET)
    # Their labels are other ones too, and come back.
    assert len({tuple(pair.text for pair in one.take.pairs) for one in others}) > 1
    assert {vary(one.take, 7) for one in others} == {seventh}
    assert vary_row(seventh.take, 5, 3)[2] == seventh
    assert [one.seed for one in vary_row(take, SHEET - 1, 4)] == [SHEET - 1, SHEET, SHEET + 1, SHEET + 2]
    for swatch in take.swatches:
        if swatch.held:
            assert seventh.take.swatch(swatch.id) == swatch


def test_varying_starts_from_what_is_on_screen() -> None:
    take = holding(ORRIN, Role.PRIMARY)
    varied = vary(take, 2).take
    assert restored(varied).swatches[0].hex == take.swatches[0].hex
    accent = varied.assignment(Role.ACCENT).swatch
    moved = place(varied, Place(accent, 0.12, 150.0, lightness=0.8))
    assert restored(moved).swatch(accent).hex == moved.swatch(accent).hex
    secondary = varied.assignment(Role.SECONDARY).swatch
    assert restored(moved).swatch(secondary).hex == varied.swatch(secondary).hex


def test_what_is_held_after_varying_is_not_moved_back() -> None:
    varied = vary(holding(ORRIN, Role.PRIMARY), 2).take
    accent = varied.assignment(Role.ACCENT).swatch
    held = replace(
        varied, swatches=tuple(replace(one, held=one.held or one.id == accent) for one in varied.swatches)
    )
    assert all(one.take.swatch(accent) == held.swatch(accent) for one in vary_row(held, 1, 3))


@pytest.mark.parametrize("seed", [0, LAST_SEED + 1])
def test_a_seed_out_of_range_is_refused(seed: int) -> None:
    with pytest.raises(InputError):
        vary(ORRIN, seed)


def test_nothing_free_is_said() -> None:
    with pytest.raises(InputError, match="held"):
        vary(holding(ORRIN, Role.PRIMARY, Role.SECONDARY, Role.ACCENT), 1)


def values_of(take: Take) -> dict[str, str]:
    return {one.id: one.hex for one in take.swatches}


@pytest.mark.parametrize("character", [None, "vivid"])
def test_a_variation_taken_by_its_values_is_the_one_that_was_shown(character: str | None) -> None:
    take = holding(ORRIN, Role.PRIMARY, rule="split complementary", character=character)
    for one in vary_row(take, 1, 4):
        assert with_variation(take, values_of(one.take), one.seed) == one.take
        # From another variation, too: all of them begin from the same state.
        other = vary(take, 7).take
        assert with_variation(other, values_of(one.take), one.seed) == one.take


def test_a_pinned_variation_changes_nothing_that_was_changed_or_held_since() -> None:
    take = holding(ORRIN, Role.PRIMARY)
    pinned = vary(take, 3)
    accent = take.assignment(Role.ACCENT).swatch
    since = replace(holding(take, Role.PRIMARY, Role.ACCENT), level="AAA", pairs=take.pairs[:5])
    taken = with_variation(since, values_of(pinned.take) | {"s99": "#123456"}, 3)
    assert (taken.level, [one.id for one in taken.pairs]) == ("AAA", [one.id for one in since.pairs])
    assert taken.swatch(accent) == since.swatch(accent)
    secondary = take.assignment(Role.SECONDARY).swatch
    assert taken.swatch(secondary).hex == pinned.take.swatch(secondary).hex
