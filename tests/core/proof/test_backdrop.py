"""Text over pictures, gradients and layers; states of links and buttons."""

from __future__ import annotations

from dataclasses import replace

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from tests.sampling import examples
from tests.strategies import hexes
from tests.takes import TAKE, take_of
from tonada.core.color.contrast import composite, contrast_ratio
from tonada.core.color.spaces import hex_to_srgb8, srgb8_to_hex
from tonada.core.errors import InputError
from tonada.core.pairs.evaluation import evaluate
from tonada.core.pairs.states import with_states
from tonada.core.proof.backdrop import Layer, over_gradient, over_picture
from tonada.core.source.pictures import Region
from tonada.core.take.take import Role, Take


def picture(seed: int, *, height: int = 12, width: int = 17) -> np.ndarray:
    return np.random.default_rng(seed).integers(0, 256, (height, width, 3)).astype(np.uint8)


@given(st.integers(0, 2**32), hexes, hexes, st.integers(0, 100))
@settings(max_examples=examples(60), deadline=None)
def test_the_worst_pixel_is_the_worst_of_all_one_by_one(
    seed: int, text: str, layer: str, percent: int
) -> None:
    pixels = picture(seed)
    alpha = percent / 100
    found = over_picture(text, pixels, [Layer(layer, alpha)], 4.5)
    each = [
        float(contrast_ratio(composite(hex_to_srgb8(layer), alpha, pixel), hex_to_srgb8(text)))
        for pixel in pixels.reshape(-1, 3)
    ]
    assert found.worst == min(each)
    column, row = int(found.where[0] * 17), int(found.where[1] * 12)
    there = composite(hex_to_srgb8(layer), alpha, pixels[row, column])
    assert found.worst_hex == srgb8_to_hex(there)
    assert float(contrast_ratio(there, hex_to_srgb8(text))) == found.worst
    assert found.low == sorted(each)[int(np.ceil(0.05 * len(each))) - 1]


@given(st.integers(0, 2**32), st.sampled_from(["#ffffff", "#101010"]), hexes)
@settings(max_examples=examples(40), deadline=None)
def test_the_least_opacity_is_the_first_from_which_all_pass(seed: int, text: str, layer: str) -> None:
    pixels = picture(seed)

    def passes(percent: int) -> bool:
        return over_picture(text, pixels, [Layer(layer, percent / 100)], 4.5).worst >= 4.5

    least = over_picture(text, pixels, [Layer(layer, 0.5)], 4.5).least_opacity
    if least is None:
        assert not passes(100)
    else:
        assert all(passes(percent) for percent in range(least, 101, 7))
        assert passes(least)
        assert least == 0 or not passes(least - 1)


def test_only_the_text_s_area_counts() -> None:
    pixels = np.zeros((10, 10, 3), dtype=np.uint8)
    pixels[:, 5:] = 250
    left = over_picture("#ffffff", pixels, [], 4.5, Region(0, 0, 0.5, 1))
    assert (left.worst, left.least_opacity) == (21.0, None)
    assert over_picture("#ffffff", pixels, [], 4.5).worst < 1.1


def test_layers_lie_on_each_other_in_their_order() -> None:
    pixels = np.full((1, 1, 3), 200, dtype=np.uint8)
    under, over = Layer("#000000", 0.5), Layer("#ff0000", 0.5)
    one = over_picture("#ffffff", pixels, [under, over], 4.5).worst_hex
    other = over_picture("#ffffff", pixels, [over, under], 4.5).worst_hex
    assert (one, other) == ("#b23232", "#723232")


def test_a_gradient_is_as_weak_as_its_weakest_place() -> None:
    found = over_gradient("#ffffff", ["#000000", "#ffffff"], [], 4.5)
    assert found.worst == 1.0
    assert found.where[0] > 0.99
    black = over_gradient("#ffffff", ["#000000", "#333333"], [], 4.5)
    assert black.worst == float(contrast_ratio(hex_to_srgb8("#ffffff"), hex_to_srgb8("#333333")))
    with pytest.raises(InputError):
        over_gradient("#ffffff", ["#000000"], [], 4.5)


def test_states_are_steps_further_from_the_page_by_day_and_by_night() -> None:
    for take in (TAKE, TAKE.turned()):
        stated = with_states(take)
        pairs = {one.id: one for one in evaluate(stated).pairs}
        assert {"state-primary-hover", "state-link-visited", "state-focus-on-paper"} <= pairs.keys()
        paper = hex_to_srgb8(take.hex_of(Role.PAPER))
        faces = [
            float(contrast_ratio(hex_to_srgb8(value), paper))
            for value in (
                take.hex_of(Role.PRIMARY),
                pairs["state-primary-hover"].ground_hex,
                pairs["state-primary-pressed"].ground_hex,
            )
        ]
        assert faces == sorted(faces)
        assert pairs["state-disabled"].is_exempt
        assert with_states(stated) == stated


def test_states_follow_their_swatch_and_need_only_what_is_there() -> None:
    stated = with_states(TAKE)
    hover = next(one for one in stated.pairs if one.id == "state-primary-hover")
    moved = replace(stated, swatches=(replace(stated.swatches[0], hex="#0a6b3c"), *stated.swatches[1:]))
    assert moved.pair_colors(hover) != stated.pair_colors(hover)
    assert with_states(Take()).pairs == ()
    assert with_states(take_of("#000000")).pairs
