"""Hue rules, places on the stave, and the 216."""

from __future__ import annotations

import numpy as np
import pytest
from hypothesis import assume, given
from hypothesis import strategies as st

from tests.strategies import hexes
from tonada.core.color.contrast import contrast_ratio, relative_luminance, scale_position
from tonada.core.color.hue_rules import RULES, color_at, nearest_of_hue, partners, rule_angles
from tonada.core.color.placing import LINES, color_at_position, same_luminance, settled, web_safe
from tonada.core.color.spaces import (
    delta_e_ok,
    hex_to_srgb8,
    hue_distance,
    oklch_to_srgb8,
    srgb8_to_oklab,
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


@given(st.floats(0.02, 0.98), st.floats(0, 0.2), st.floats(0, 359))
def test_a_place_on_the_scale_is_met_as_nearly_as_eight_bits_allow(
    position: float, chroma: float, hue: float
) -> None:
    found = hex_to_srgb8(color_at_position(position, chroma, hue))
    # Dark steps are coarse: from black to #010101 it is 0.002 of the scale.
    assert float(scale_position(relative_luminance(found))) == pytest.approx(position, abs=0.008)


@given(hexes, st.sampled_from(LINES), st.floats(0, 0.15), st.floats(0, 359), st.floats(-0.008, 0.008))
def test_a_note_that_settles_reaches_the_line(
    ground: str, ratio: float, chroma: float, hue: float, slip: float
) -> None:
    here = float(scale_position(relative_luminance(hex_to_srgb8(ground))))
    length = float(np.log(ratio) / np.log(21))
    line = here - length if here > length else here + length
    assume(0.01 < line < 0.99)
    value = settled(line + slip, chroma, hue, ground)
    reached = float(contrast_ratio(hex_to_srgb8(value), hex_to_srgb8(ground)))
    assert reached >= ratio
    assert reached == pytest.approx(ratio, rel=0.03)


def test_far_from_a_line_nothing_settles() -> None:
    assert settled(0.45, 0.1, 30, "#ffffff") == color_at_position(0.45, 0.1, 30)


@given(hexes, st.floats(0, 359))
def test_turning_at_the_same_luminance_keeps_the_contrast(value: str, hue: float) -> None:
    chroma = float(srgb8_to_oklch(hex_to_srgb8(value))[1])
    turned = hex_to_srgb8(same_luminance(value, hue, chroma))
    before, after = (float(scale_position(relative_luminance(c))) for c in (hex_to_srgb8(value), turned))
    assert after == pytest.approx(before, abs=0.008)


@given(hexes)
def test_the_web_safe_value_is_the_nearest_of_the_216(value: str) -> None:
    steps = [f"{n:02x}" for n in range(0, 256, 51)]
    all_of_them = ["#" + r + g + b for r in steps for g in steps for b in steps]
    lab = srgb8_to_oklab(hex_to_srgb8(value))
    nearest = min(float(delta_e_ok(srgb8_to_oklab(hex_to_srgb8(one)), lab)) for one in all_of_them)
    found = web_safe(value)
    assert found in all_of_them
    assert float(delta_e_ok(srgb8_to_oklab(hex_to_srgb8(found)), lab)) == pytest.approx(nearest, abs=1e-12)
