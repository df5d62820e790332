"""Angles of one's own: where they begin, and where another one stands."""

from __future__ import annotations

from dataclasses import replace

import pytest

from tests.takes import TAKE
from tonada.core.color.hue_rules import MOST_FREE_ANGLES
from tonada.core.errors import InputError
from tonada.core.harmony.chord import open_angles, play
from tonada.core.harmony.free_angles import add_angle, begun, remove_angle
from tonada.core.take.take import Swatch, Take


def free(*angles: float) -> Take:
    return replace(TAKE, harmony=replace(TAKE.harmony, rule="free", angles=angles))


@pytest.mark.parametrize(
    ("angles", "added"), [((), 180), ((120, 240), 60), ((180,), 90), ((10, 20), 190), ((0.5,), 180)]
)
def test_a_new_one_stands_in_the_middle_of_the_widest_gap(angles: tuple[float, ...], added: float) -> None:
    assert add_angle(free(*angles)).harmony.angles == (*angles, added)


def test_swatches_take_the_places_that_there_are() -> None:
    take = add_angle(free(40))
    assert take == play(take)


def test_there_are_so_many_and_no_more() -> None:
    take = free()
    for _ in range(MOST_FREE_ANGLES):
        take = add_angle(take)
    assert len(set(take.harmony.angles)) == MOST_FREE_ANGLES
    with pytest.raises(InputError) as refused:
        add_angle(take)
    assert refused.value.field == "angles"
    for left in range(MOST_FREE_ANGLES - 1, -1, -1):
        take = remove_angle(take)
        assert len(take.harmony.angles) == left
    assert remove_angle(take) is take


def test_they_begin_where_the_rule_before_has_its_partners() -> None:
    before = replace(TAKE, harmony=replace(TAKE.harmony, rule="split complementary", spread=140.0))
    after = begun(before, "free").harmony
    assert (after.rule, after.spread, after.angles) == ("free", None, (140, 220))
    assert after.angles == tuple(angle for angle, _ in open_angles(before))


def test_those_of_before_are_there_again() -> None:
    away = begun(free(33), "triadic")
    assert away.harmony.angles == (33,)
    assert begun(away, "free").harmony.angles == (33,)


def test_where_nothing_says_where_they_begin_with_one() -> None:
    assert begun(Take(), "free").harmony.angles == (120,)
    grey = Take((Swatch("s1", "Grey", "#808080", held=False, origin=TAKE.swatches[0].origin),))
    assert begun(grey, "free").harmony.angles == (120,)
    assert begun(begun(TAKE, "monochromatic"), "free").harmony.angles == (120,)
