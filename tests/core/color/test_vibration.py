"""Colours that can't be looked at together: what counts, and that a ratio says nothing of it."""

from __future__ import annotations

import pytest
from hypothesis import given

from tests.strategies import hexes
from tonada.core.color.contrast import ratio_between
from tonada.core.color.spaces import hexes_to_srgb8
from tonada.core.color.vibration import VIBRATES_FROM, glows, is_neon, vibrates, vibration, vibration_of

RESTLESS = [("#ff0000", "#00ffff"), ("#d0021b", "#00d5e0"), ("#ff0000", "#0000ff"), ("#ff6f00", "#0057b8")]
CALM = [
    ("#ffe000", "#0040d0"),  # strong and opposite, but far apart in lightness
    ("#a64b2a", "#5c6b1e"),  # near in lightness, but of earthy chroma
    ("#c62828", "#b71c5a"),  # strong and near in lightness, but of one hue
    ("#777777", "#ff0000"),  # grey has no hue that could be far
]


@pytest.mark.parametrize(("one", "other"), RESTLESS)
def test_strong_far_hues_of_like_lightness_vibrate(one: str, other: str) -> None:
    assert vibrates(one, other)


def test_a_pair_that_passes_can_vibrate() -> None:
    assert ratio_between("#00d5e0", "#d0021b") >= 3
    assert vibrates("#00d5e0", "#d0021b")


@pytest.mark.parametrize(("one", "other"), CALM)
def test_where_one_of_the_three_is_missing_it_is_calm(one: str, other: str) -> None:
    assert not vibrates(one, other)


@given(hexes, hexes)
def test_one_pair_is_measured_as_many_are(one: str, other: str) -> None:
    many = vibration_of(hexes_to_srgb8((one,) * 9), hexes_to_srgb8((other,) * 9))
    assert vibration(one, other) == pytest.approx(many[0], abs=1e-12)
    assert vibrates(one, other) == (many[0] >= VIBRATES_FROM)


@given(hexes, hexes)
def test_the_measure_is_symmetric_in_range_and_nothing_against_itself_or_a_grey(one: str, other: str) -> None:
    assert vibration(one, other) == vibration(other, one)
    assert 0 <= vibration(one, other) <= 1
    assert vibration(one, one) < 1e-6
    assert vibration(one, "#808080") < 1e-3
    both = hexes_to_srgb8((one, other))
    assert float(vibration_of(both[:1], both[1:])[0]) == pytest.approx(vibration(one, other))


def test_neon_is_light_and_of_a_chroma_only_screens_have() -> None:
    assert [is_neon(value) for value in ("#39ff14", "#ff00ff", "#93fe3e")] == [True] * 3
    assert not any(is_neon(value) for value in ("#d7b13c", "#c62828", "#ffffff", "#2b3a8c", "#ff6f00"))
    assert list(glows(hexes_to_srgb8(("#39ff14", "#2b3a8c")))) == [True, False]
