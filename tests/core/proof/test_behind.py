"""A picture behind words: every pixel counts, and the automatic layer is just enough."""

from __future__ import annotations

import io
from dataclasses import replace

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from numpy.typing import NDArray
from PIL import Image

from tests.sampling import examples
from tests.strategies import hexes
from tests.takes import TAKE
from tonada.core.color.contrast import composite, contrast_ratio, relative_luminance
from tonada.core.color.spaces import hex_to_srgb8
from tonada.core.proof.backdrop import Layer, over_picture
from tonada.core.proof.behind import PictureColors, SeenColors, behind_of, extremes
from tonada.core.proof.grounds import grounds_of
from tonada.core.proof.toning import Toning, toned
from tonada.core.take.overlays import add_overlay
from tonada.core.take.proof_settings import Element

GROUNDS = {ground.id: ground for ground in grounds_of(TAKE)}


def pixels_of(seed: int, spread: int = 256) -> NDArray[np.uint8]:
    random = np.random.default_rng(seed)
    start = int(random.integers(0, 257 - spread))
    return np.asarray(random.integers(start, start + spread, (40, 3)), dtype=np.uint8)


def png(pixels: NDArray[np.uint8]) -> bytes:
    written = io.BytesIO()
    Image.fromarray(pixels).save(written, "PNG")
    return written.getvalue()


@given(st.integers(0, 2**32), st.sampled_from([256, 60]), hexes, hexes, st.integers(0, 100))
@settings(max_examples=examples(80), deadline=None)
def test_the_extremes_decide_for_a_text_outside_the_picture_s_own_luminances(
    seed: int, spread: int, text: str, layer: str, percent: int
) -> None:
    colors = pixels_of(seed, spread)
    layers = [Layer(layer, percent / 100)]
    whole = over_picture(text, colors[None], layers, 4.5).worst
    few = over_picture(text, extremes(colors)[None], layers, 4.5).worst
    seen = relative_luminance(composite(hex_to_srgb8(layer), percent / 100, colors))
    own = float(relative_luminance(hex_to_srgb8(text)))
    if own >= seen.max() or own <= seen.min():
        assert few == whole
    assert few >= whole


@pytest.mark.parametrize("ground", ["primary", "paper", "deep", "secondary"])
@pytest.mark.parametrize("seed", range(4))
def test_the_automatic_layer_is_enough_on_every_pixel_and_one_per_cent_less_is_not(
    ground: str, seed: int
) -> None:
    colors = pixels_of(seed)
    found = behind_of(TAKE, GROUNDS[ground], SeenColors.of(colors))
    assert found.is_automatic
    assert found.layer

    def passes(alpha: float) -> bool:
        seen = composite(hex_to_srgb8(GROUNDS[ground].hex), alpha, colors)
        return all(
            contrast_ratio(hex_to_srgb8(use.hex), seen).min()
            >= (3.0 if use.element is Element.HEADING else 4.5)
            for use in found.uses
        )

    assert passes(found.layer.alpha)
    assert not passes(found.layer.alpha - 0.01)
    texts = [use for use in found.uses if use.element is Element.TEXT]
    assert all(use.passes and "small" in use.reads_in for use in texts)


def test_a_thin_overlay_or_none_fails_and_by_how_much_is_said() -> None:
    colors = np.array([[120, 120, 120], [250, 250, 250], [0, 0, 0]], dtype=np.uint8)
    bare = replace(TAKE, proof=replace(TAKE.proof, bare_picture=True))
    found = behind_of(bare, GROUNDS["primary"], SeenColors.of(colors))
    assert found.layer is None
    assert not found.is_automatic
    text = next(use for use in found.uses if use.element is Element.TEXT)
    assert not text.passes
    assert text.short_by == text.needed - text.ratio > 0
    assert text.short_in["small"] > 0
    assert text.over in {"#787878", "#fafafa", "#000000"}
    thin = add_overlay(TAKE, opacity=0.05, on_picture=True)
    over_thin = behind_of(thin, GROUNDS["primary"], SeenColors.of(colors))
    assert not over_thin.is_automatic
    assert not all(use.passes for use in over_thin.uses)


def test_a_picture_is_seen_in_two_colours_and_on_its_ground_where_it_is_transparent() -> None:
    pixels = np.array([[[200, 40, 40, 255], [0, 0, 0, 0], [10, 200, 30, 128]]], dtype=np.uint8)
    seen = PictureColors.read(png(pixels)).seen_on("#ffffff", None).colors.tolist()
    assert [200, 40, 40] in seen
    assert [255, 255, 255] in seen
    assert [132, 227, 142] in seen
    opaque = PictureColors.read(png(pixels[:, :1, :3]))
    toning = Toning((0, 0, 0.3), (1, 0.9, 0.8), by_luma=True)
    assert (opaque.seen_on("#ffffff", toning).colors == toned(pixels[0, :1, :3], toning)).all()
