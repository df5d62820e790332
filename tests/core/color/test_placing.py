"""Places on the stave, and the 216."""

from __future__ import annotations

import numpy as np
import pytest
from hypothesis import assume, given
from hypothesis import strategies as st

from tests.strategies import hexes
from tonada.core.color.contrast import (
    contrast_ratio,
    lightness_of,
    luminance_at,
    luminance_of,
    position_of,
    relative_luminance,
    scale_position,
)
from tonada.core.color.placing import LINES, color_at_position, same_luminance, settled, web_safe
from tonada.core.color.spaces import (
    delta_e_ok,
    hex_to_oklch,
    hex_to_srgb8,
    srgb8_to_oklab,
    srgb8_to_oklch,
)


@given(hexes)
def test_luminance_chroma_and_hue_tell_the_lightness(value: str) -> None:
    lightness, chroma, hue = hex_to_oklch(value)
    assume(lightness > 0.1)
    assert lightness_of(luminance_of(value), chroma, hue) == pytest.approx(lightness, abs=1e-7)


@pytest.mark.parametrize(
    ("luminance", "chroma", "hue"), [(0.0, 0.0, 0.0), (1e-6, 0.4, 264.0), (1e-4, 0.4, 140.0)]
)
def test_where_no_lightness_is_found_none_is_made_up(luminance: float, chroma: float, hue: float) -> None:
    assert lightness_of(luminance, chroma, hue) is None


@given(st.floats(0, 1))
def test_a_place_on_the_scale_has_its_luminance(position: float) -> None:
    assert float(scale_position(luminance_at(np.array(position)))) == pytest.approx(position, abs=1e-12)


@given(hexes)
def test_a_colour_is_found_where_it_is(value: str) -> None:
    """What is found at the place of a colour is that colour, or one of its neighbours."""
    lightness, chroma, hue = hex_to_oklch(value)
    assume(lightness > 0.25)
    found = color_at_position(position_of(value), chroma, hue)
    assert position_of(found) == pytest.approx(position_of(value), abs=0.0015)
    assert hex_to_oklch(found)[:2] == pytest.approx((lightness, chroma), abs=0.008)


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
