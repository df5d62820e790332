"""Contrast as WCAG 2.2 defines it, with the figures its own formula gives."""

from __future__ import annotations

import math

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from tests.strategies import hexes, srgb8_colors
from tonada.core.color.contrast import (
    composite,
    contrast_ratio,
    luminance_of,
    ratio_between,
    ratio_length,
    relative_luminance,
    rounded_down,
    scale_greys,
    scale_position,
)
from tonada.core.color.spaces import hex_to_oklab, hex_to_oklch, hex_to_srgb8, srgb8_to_oklab, srgb8_to_oklch
from tonada.core.color.wcag import CRITERIA, EXEMPT, Usage, levels_of_ratio


def wcag_by_hand(hex_a: str, hex_b: str) -> float:
    """The formula of the standard, written out in plain Python as an oracle."""

    def luminance(value: str) -> float:
        def linear(channel: int) -> float:
            share = channel / 255
            return share / 12.92 if share <= 0.04045 else ((share + 0.055) / 1.055) ** 2.4

        red, green, blue = (int(value[at : at + 2], 16) for at in (1, 3, 5))
        return 0.2126 * linear(red) + 0.7152 * linear(green) + 0.0722 * linear(blue)

    one, other = luminance(hex_a), luminance(hex_b)
    return (max(one, other) + 0.05) / (min(one, other) + 0.05)


@pytest.mark.parametrize(
    ("text", "ground", "expected"),
    [
        pytest.param("#000000", "#ffffff", 21.0, id="the widest there is"),
        pytest.param("#767676", "#ffffff", 4.5422, id="lightest grey that passes AA"),
        pytest.param("#777777", "#ffffff", 4.4781, id="one step lighter fails"),
        pytest.param("#0000ff", "#ffffff", 8.5925, id="the standard's rounded weights, not 8.5930"),
        pytest.param("#2b3a8c", "#2b3a8c", 1.0, id="a colour on itself"),
    ],
)
def test_ratio_is_what_wcag_defines(text: str, ground: str, expected: float) -> None:
    assert float(contrast_ratio(hex_to_srgb8(text), hex_to_srgb8(ground))) == pytest.approx(
        expected, abs=5e-5
    )


@given(srgb8_colors, srgb8_colors)
def test_ratio_agrees_with_the_formula_written_out(a: np.ndarray, b: np.ndarray) -> None:
    by_hand = wcag_by_hand("#" + bytes(a).hex(), "#" + bytes(b).hex())
    assert float(contrast_ratio(a, b)) == pytest.approx(by_hand, rel=1e-12)


@given(hexes, hexes)
def test_one_value_has_the_figures_of_an_array_bit_for_bit(one: str, other: str) -> None:
    first, second = hex_to_srgb8(one), hex_to_srgb8(other)
    assert luminance_of(one) == relative_luminance(first)
    assert ratio_between(one, other) == contrast_ratio(first, second)
    assert hex_to_oklab(one) == tuple(srgb8_to_oklab(first).tolist())
    assert hex_to_oklch(one) == tuple(srgb8_to_oklch(first).tolist())


@given(srgb8_colors, srgb8_colors)
def test_swapping_text_and_ground_changes_nothing(a: np.ndarray, b: np.ndarray) -> None:
    assert contrast_ratio(a, b) == contrast_ratio(b, a)
    assert 1 <= contrast_ratio(a, b) <= 21


@given(srgb8_colors, srgb8_colors)
def test_equal_distance_on_the_scale_is_equal_ratio(a: np.ndarray, b: np.ndarray) -> None:
    places = scale_position(relative_luminance(np.stack([a, b])))
    assert abs(places[0] - places[1]) == pytest.approx(ratio_length(float(contrast_ratio(a, b))), abs=1e-12)


def test_the_scale_runs_from_black_to_white() -> None:
    assert scale_position(np.array([0.0, 1.0])) == pytest.approx([0, 1])
    greys = scale_greys(21)
    assert len(greys) == 21
    assert list(greys) == sorted(greys)


@given(srgb8_colors, srgb8_colors, st.floats(0, 1))
def test_a_composite_lies_between_its_parts(text: np.ndarray, ground: np.ndarray, alpha: float) -> None:
    seen = composite(text, alpha, ground)
    assert np.all(seen >= np.minimum(text, ground))
    assert np.all(seen <= np.maximum(text, ground))


@pytest.mark.parametrize("number", [1, 2, 7, 24, 40])
def test_greys_of_the_scale_are_the_middles_of_equal_lengths(number: int) -> None:
    """From the scale's ratio of 21 and the transfer curve of sRGB (IEC 61966-2-1), in plain Python."""
    levels = []
    for row in range(number):
        luminance = 0.05 * 21 ** ((row + 0.5) / number) - 0.05
        is_linear = luminance <= 0.0031308
        encoded = 12.92 * luminance if is_linear else 1.055 * luminance ** (1 / 2.4) - 0.055
        levels.append(math.floor(encoded * 255 + 0.5))
    assert scale_greys(number) == tuple(f"#{level:02x}{level:02x}{level:02x}" for level in levels)


def test_a_ratio_that_is_an_exact_hundredth_is_written_as_itself() -> None:
    for hundredths in range(100, 2101):
        assert rounded_down(hundredths / 100) == f"{hundredths / 100:.2f}"


@pytest.mark.parametrize(
    ("ratio", "decimals", "text"),
    [(4.499, 2, "4.49"), (4.56789, 1, "4.5"), (4.56789, 3, "4.567"), (21.0, 2, "21.00"), (6.999, 0, "6")],
)
def test_a_ratio_is_written_rounded_down(ratio: float, decimals: int, text: str) -> None:
    assert rounded_down(ratio, decimals) == text


def test_a_composite_is_rounded_half_up() -> None:
    assert composite(np.array([1, 0, 255]), 0.5, np.array([0, 0, 0])).tolist() == [1, 0, 128]


@pytest.mark.parametrize(
    ("ratio", "levels"),
    [
        (7.0, ("AAA", "AAA", "AA")),
        (6.999999, ("AA", "AAA", "AA")),
        (4.5, ("AA", "AAA", "AA")),
        (4.499999, ("fail", "AA", "AA")),
        (3.0, ("fail", "AA", "AA")),
        (2.999999, ("fail", "fail", "fail")),
    ],
)
def test_levels_are_never_rounded_up(ratio: float, levels: tuple[str, str, str]) -> None:
    assert tuple(levels_of_ratio(ratio).values()) == levels


def test_each_usage_has_the_ratio_of_its_success_criterion() -> None:
    texts = (Usage.BODY_TEXT, Usage.LARGE_TEXT, Usage.BUTTON_LABEL, Usage.LINK)
    parts = (Usage.LINK_IN_TEXT, Usage.PART, Usage.FOCUS)
    assert [CRITERIA["AA"][usage].ratio for usage in texts] == [4.5, 3, 4.5, 4.5]
    assert [CRITERIA["AAA"][usage].ratio for usage in texts] == [7, 4.5, 7, 7]
    for level in ("AA", "AAA"):
        assert {CRITERIA[level][usage].ratio for usage in parts} == {3}
        assert {CRITERIA[level][usage].ratio for usage in EXEMPT} == {1}
