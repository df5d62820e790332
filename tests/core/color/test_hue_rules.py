"""Hue rules, and the colours that keep a hue."""

from __future__ import annotations

import numpy as np
import pytest
from hypothesis import assume, given
from hypothesis import strategies as st

from tests.strategies import hexes
from tonada.core.color.hue_rules import RULES, color_at, nearest_of_hue, partners, rule_angles
from tonada.core.color.spaces import (
    hex_to_srgb8,
    hue_distance,
    oklch_to_srgb8,
    srgb8_to_oklch,
)
from tonada.core.errors import InputError

ANGLES = {
    "monochromatic": (),
    "analogous": (330, 30),
    "complementary": (180,),
    "split complementary": (150, 210),
    "triadic": (120, 240),
    "tetradic": (60, 180, 240),
    "analogous with accent": (330, 30, 180),
    "free": (),
}


@pytest.mark.parametrize("name", RULES)
def test_a_rule_has_its_angles(name: str) -> None:
    assert rule_angles(name) == ANGLES[name]


def test_a_rectangle_becomes_a_square_and_free_angles_are_ones_own() -> None:
    assert rule_angles("tetradic", 90) == (90, 180, 270)
    assert rule_angles("free", free=(-20, 400)) == (340, 40)


@pytest.mark.parametrize(
    ("rule", "spread", "free", "field"),
    [
        ("blurple", None, (), "rule"),
        ("analogous", 90, (), "spread"),
        ("triadic", 100, (), "spread"),
        ("free", None, (1.0,) * 6, "angles"),
    ],
)
def test_what_a_rule_does_not_allow_is_refused(
    rule: str, spread: float | None, free: tuple[float, ...], field: str
) -> None:
    with pytest.raises(InputError) as refused:
        rule_angles(rule, spread, free)
    assert refused.value.field == field


def test_a_grey_has_no_partners() -> None:
    with pytest.raises(InputError):
        partners("#808080", "triadic")
    assert partners("#808080", "monochromatic") == (("#808080", 0.0),)


@given(hexes, st.sampled_from([name for name in RULES if name != "free"]))
def test_partners_keep_the_angle_to_their_anchor(anchor: str, rule: str) -> None:
    place = srgb8_to_oklch(hex_to_srgb8(anchor))
    assume(place[1] > 1e-3)
    for value, angle in partners(anchor, rule):
        found = srgb8_to_oklch(hex_to_srgb8(value))
        if found[1] > 0.06 and found[0] > 0.3:
            assert hue_distance(found[2], place[2] + angle) <= 2


@given(st.floats(0.3, 0.97), st.floats(0.0, 0.37), st.floats(0, 359.9))
def test_a_hue_stays_within_two_degrees_after_rounding(lightness: float, chroma: float, hue: float) -> None:
    wanted = np.array([lightness, chroma, hue])
    color = nearest_of_hue(wanted)
    found = srgb8_to_oklch(color)
    if found[1] > 0.06 and found[0] > 0.3:
        assert hue_distance(found[2], hue) <= 2
    # It is a neighbour of the plainly rounded colour, so that nothing else moves visibly.
    assert np.abs(color.astype(int) - oklch_to_srgb8(wanted).astype(int)).max() <= 1


def test_many_at_once_give_what_one_at_a_time_gives() -> None:
    places = np.random.default_rng(3).uniform([0, 0, 0], [1, 0.3, 360], (200, 3))
    assert np.array_equal(nearest_of_hue(places), np.stack([nearest_of_hue(one) for one in places]))


@given(st.floats(0, 1))
def test_a_grey_stays_a_grey(lightness: float) -> None:
    value = color_at(lightness, 0.0, 0.0)
    assert value[1:3] == value[3:5] == value[5:7]
