"""Conversions against coloraide as an independent oracle, round trips, and what must be refused."""

from __future__ import annotations

import numpy as np
import pytest
from coloraide import Color
from hypothesis import given
from hypothesis import strategies as st

from tests.strategies import hexes, srgb8_colors
from tonada.core.color.spaces import (
    hex_to_srgb8,
    is_in_gamut,
    largest_chroma,
    linear_to_srgb,
    oklab_to_linear,
    oklch_to_oklab,
    oklch_to_srgb8,
    srgb8_to_hex,
    srgb8_to_oklab,
    srgb8_to_oklch,
    srgb_to_linear,
)


@given(hexes)
def test_oklab_is_what_the_oracle_says(value: str) -> None:
    expected = Color(value).convert("oklab").coords()
    assert srgb8_to_oklab(hex_to_srgb8(value)) == pytest.approx(expected, abs=1e-9)


@given(srgb8_colors)
def test_every_8_bit_color_survives_the_way_through_oklch(color: np.ndarray) -> None:
    assert np.array_equal(oklch_to_srgb8(srgb8_to_oklch(color)), color)


@given(hexes)
def test_hex_survives_the_way_through_arrays(value: str) -> None:
    assert srgb8_to_hex(hex_to_srgb8(value)) == value


@given(st.floats(0, 1), st.floats(0, 0.4), st.floats(0, 360))
def test_gamut_mapping_keeps_the_hue(lightness: float, chroma: float, hue: float) -> None:
    mapped = srgb8_to_oklch(oklch_to_srgb8(np.array([lightness, chroma, hue])))
    if mapped[1] > 0.06 and mapped[0] > 0.3:  # below, rounding to 8 bits alone turns the hue further
        assert abs((mapped[2] - hue + 180) % 360 - 180) <= 2


@given(st.floats(0.02, 0.98), st.floats(0, 360))
def test_the_largest_chroma_is_inside_and_a_little_more_is_not(lightness: float, hue: float) -> None:
    limit = largest_chroma(np.array(lightness), np.array(hue))
    around = np.array([[lightness, float(limit) + more, hue] for more in (0.0, 2e-5)])
    inside = is_in_gamut(oklab_to_linear(oklch_to_oklab(around)))
    assert inside.tolist() == [True, False]


def test_many_at_once_give_what_one_at_a_time_gives() -> None:
    colors = np.arange(0, 255, 5, dtype=np.uint8).reshape(17, 3)
    together = srgb8_to_oklch(colors)
    assert np.array_equal(together, np.stack([srgb8_to_oklch(color) for color in colors]))


def test_neutrals_have_hue_0() -> None:
    greys = np.repeat(np.arange(256)[:, None], 3, axis=1)
    assert np.all(srgb8_to_oklch(greys)[:, 2] == 0)


def test_the_transfer_functions_undo_each_other() -> None:
    values = np.linspace(0, 1, 1001)
    assert linear_to_srgb(srgb_to_linear(values)) == pytest.approx(values, abs=1e-12)
