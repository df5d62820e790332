"""Ramps and neutrals: what their steps promise."""

from __future__ import annotations

import colorsys

import numpy as np
import pytest
from hypothesis import example, given, settings
from hypothesis import strategies as st

from tests.sampling import examples
from tests.strategies import hexes
from tonada.core.color.contrast import contrast_ratio, relative_luminance, scale_position
from tonada.core.color.hue_rules import NEUTRAL_BELOW
from tonada.core.color.neutrals import neutral_ramp
from tonada.core.color.ramp import STEADY_SHARE, RampSettings, ramp_of, step_name, step_number
from tonada.core.color.spaces import (
    hex_to_oklch,
    hexes_to_srgb8,
    hue_distance,
    largest_chroma,
    srgb8_to_hex,
    srgb8_to_oklch,
)
from tonada.core.errors import InputError


def spread_colors() -> list[str]:
    """200 colours across hue, chroma and lightness: 20 hues, 5 saturations with 2 lightnesses each."""
    return [
        srgb8_to_hex(
            np.round(np.array(colorsys.hls_to_rgb(hue / 20, lightness, saturation)) * 255).astype(int)
        )
        for hue in range(20)
        for saturation in (0.1, 0.3, 0.55, 0.8, 1.0)
        for lightness in ((0.25, 0.6) if hue % 2 else (0.4, 0.8))
    ]


@pytest.mark.parametrize("value", [*spread_colors(), "#ffffff", "#000000", "#0000ff", "#ffff00", "#fffffe"])
def test_six_steps_apart_is_enough_for_text(value: str) -> None:
    colors = hexes_to_srgb8(ramp_of(value).hexes)
    assert len(colors) == 11
    assert contrast_ratio(colors[:5], colors[6:]).min() >= 4.5


@given(hexes, st.integers(3, 21))
@settings(deadline=None)
def test_an_even_ramp_has_the_swatch_and_only_gets_darker(value: str, steps: int) -> None:
    ramp = ramp_of(value, RampSettings(steps=steps))
    assert len(ramp.hexes) == steps
    assert ramp.hexes[ramp.own] == value
    assert (np.diff(relative_luminance(hexes_to_srgb8(ramp.hexes))) < 0).all()


@given(hexes)
@settings(deadline=None)
def test_an_even_ramp_holds_its_hue_and_is_even_on_both_sides(value: str) -> None:
    ramp = ramp_of(value)
    oklch = srgb8_to_oklch(hexes_to_srgb8(ramp.hexes))
    if hex_to_oklch(value)[1] >= 0.03:
        colored = oklch[oklch[:, 1] >= 0.02]
        assert hue_distance(colored[:, 2], hex_to_oklch(value)[2]).max() <= 2.5
    for side in (oklch[: ramp.own + 1, 0], oklch[ramp.own :, 0]):
        if len(side) > 2:
            # 0.02: half an 8-bit step of a dark colour, on both ends.
            assert np.ptp(np.diff(side)) < 0.02


@given(hexes, st.integers(0, 20), st.integers(0, 20))
def test_a_mixed_ramp_has_even_parts_of_white_and_black(value: str, tints: int, shades: int) -> None:
    ramp = ramp_of(value, RampSettings("mix", tints=tints, shades=shades))
    colors = hexes_to_srgb8(ramp.hexes).astype(float)
    assert (len(colors), ramp.own) == (tints + 1 + shades, tints)
    own = colors[ramp.own]
    for place, color in enumerate(colors):
        part = abs(place - ramp.own) / max(1, tints if place < ramp.own else shades)
        wanted = own + ((255 if place < ramp.own else 0) - own) * part
        assert np.abs(color - wanted).max() <= 0.5 + 1e-9


@pytest.mark.parametrize(
    ("settings_", "field"),
    [
        pytest.param(RampSettings(steps=2), "steps", id="too few"),
        pytest.param(RampSettings(steps=22), "steps", id="too many"),
        pytest.param(RampSettings("mix", tints=21), "tints", id="too many tints"),
        pytest.param(RampSettings("mix", shades=-1), "shades", id="less than none"),
    ],
)
def test_a_ramp_that_can_t_be_is_refused(settings_: RampSettings, field: str) -> None:
    with pytest.raises(InputError) as refused:
        ramp_of("#2b3a8c", settings_)
    assert refused.value.field == field


def test_steps_are_named_in_words_or_numbers() -> None:
    ramp = ramp_of("#2b3a8c")
    words = [step_name(number, ramp, "words") for number in range(11)]
    assert words[ramp.own - 2 : ramp.own + 3] == ["lighter 2", "light", "", "dark", "darker 2"]
    numbers = [int(step_name(number, ramp, "numbers")) for number in range(11)]
    assert (numbers[0], numbers[-1]) == (50, 950)
    assert numbers == sorted(set(numbers))


@given(st.none() | hexes, st.floats(0, 1), st.integers(3, 21))
@settings(deadline=None)
def test_neutrals_are_even_on_the_scale_they_are_asked_for(
    tint: str | None, strength: float, steps: int
) -> None:
    by_contrast = hexes_to_srgb8(neutral_ramp(tint, strength, steps, "contrast").hexes)
    places = scale_position(relative_luminance(by_contrast))
    assert np.ptp(np.diff(places)) < 0.03
    by_lightness = srgb8_to_oklch(hexes_to_srgb8(neutral_ramp(tint, strength, steps, "lightness").hexes))
    assert np.ptp(np.diff(by_lightness[:, 0])) < 0.02
    assert by_lightness[:, 1].max() <= 0.06 + 0.006
    if tint is None:
        assert (np.ptp(by_contrast, axis=1) == 0).all()


def test_a_stronger_tint_has_more_chroma_of_the_same_hue() -> None:
    weak, strong = (
        srgb8_to_oklch(hexes_to_srgb8(neutral_ramp("#2b3a8c", strength, 11, "contrast").hexes))[5]
        for strength in (0.2, 0.9)
    )
    assert weak[1] < strong[1]
    assert hue_distance(strong[2], hex_to_oklch("#2b3a8c")[2]) < 3


@pytest.mark.parametrize("value", ["#010001", "#000001", "#020202", "#2b2b33", "#fdfdff", "#111013"])
def test_the_ramp_of_a_near_neutral_is_a_neutral_s(value: str) -> None:
    own = hex_to_oklch(value)[1]
    assert own < NEUTRAL_BELOW
    assert all(hex_to_oklch(step)[1] <= own + 0.004 for step in ramp_of(value).hexes)
    tinted = neutral_ramp(value, 1.0, 11, "lightness").hexes
    assert all(hex_to_oklch(step)[1] <= own + 0.004 for step in tinted)


def test_eleven_steps_are_numbered_as_stylesheets_do_and_others_evenly() -> None:
    assert [step_number(row, 11) for row in range(11)] == [
        50,
        100,
        200,
        300,
        400,
        500,
        600,
        700,
        800,
        900,
        950,
    ]
    assert [step_number(row, 4) for row in range(4)] == [50, 350, 650, 950]
    assert step_name(1, ramp_of("#2b3a8c"), "numbers") == "100"


@given(hexes)
@example("#0001a3")
@settings(max_examples=examples(60), deadline=None)
def test_a_steady_ramp_keeps_the_swatch_s_chroma_wherever_srgb_has_it(value: str) -> None:
    ramp = ramp_of(value, RampSettings("steady"))
    assert ramp.hexes[ramp.own] == value
    _, own, hue = (float(one) for one in hex_to_oklch(value))
    for row, step in enumerate(ramp.hexes):
        lightness, chroma, _ = hex_to_oklch(step)
        # At the hue that is held: around blue, where the gamut is hollow, that of an 8-bit step may have
        # another way out of it.
        most = float(largest_chroma(np.array([lightness]), np.array([hue]))[0])
        if row < ramp.own:
            assert chroma == pytest.approx(min(own, STEADY_SHARE * most), abs=0.012), step
        assert chroma <= own + 0.012
    darker = ramp_of(value).hexes[ramp.own + 1 :]
    calm = [one for one in zip(ramp.hexes[ramp.own + 1 :], darker, strict=False) if own > 0.03]
    assert all(hex_to_oklch(one)[1] <= hex_to_oklch(other)[1] + 0.012 for one, other in calm)
