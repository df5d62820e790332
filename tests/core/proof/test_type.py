"""Sizes of type: by a ratio, by width, and what they need in the width that asks most."""

from __future__ import annotations

from dataclasses import replace

import pytest

from tests.takes import TAKE
from tonada.core.errors import InputError
from tonada.core.proof.choices import HEADINGS, needed_for, strictest_size
from tonada.core.proof.type_scale import LARGEST_SIZE, LEAST_SIZE, RATIOS, STEPS, with_scale
from tonada.core.take.proof_settings import TEXT_STYLES, WIDTHS, ProofSettings, TextSize


@pytest.mark.parametrize(("name", "ratio"), RATIOS)
def test_each_step_is_the_one_before_times_the_ratio(name: str, ratio: float) -> None:
    take = with_scale(TAKE, 16, ratio)
    sizes = {style: take.proof.size_of(style).size for style in TEXT_STYLES}
    for style in TEXT_STYLES:
        assert sizes[style] == pytest.approx(16 * ratio ** STEPS[style], abs=0.5), name
    assert sizes["small"] <= sizes["text"] < sizes["h3"] < sizes["h2"] < sizes["h1"]
    assert take.proof.size_of("h1").weight == TAKE.proof.size_of("h1").weight


def test_a_scale_that_leaves_what_is_allowed_is_refused() -> None:
    with pytest.raises(InputError, match="it can be 8 to 200"):
        with_scale(TAKE, 8, 1.618)
    with pytest.raises(InputError, match="it can be 8 to 200"):
        with_scale(TAKE, 60, 1.5)
    for base, ratio in ((16, 1.125), (16, 1.618), (24, 1.5)):
        for size in dict(with_scale(TAKE, base, ratio).proof.sizes).values():
            assert LEAST_SIZE <= size.size <= LARGEST_SIZE


def test_narrow_windows_follow_the_wide_one_until_they_are_set() -> None:
    usual = ProofSettings()
    assert [usual.size_of("h1", width).size for width in WIDTHS] == [48, 42, 35]
    assert [usual.size_of("text", width).size for width in WIDTHS] == [16, 16, 16]
    assert [usual.size_of("small", width).size for width in WIDTHS] == [14, 14, 14]
    larger = replace(usual, sizes=(("h1", TextSize(80, 300)),))
    assert [larger.size_of("h1", width).size for width in WIDTHS] == [80, 67, 54]
    own = replace(larger, narrow_sizes=(("phone", "h1", 30.0),))
    assert [own.size_of("h1", width) for width in WIDTHS][1:] == [TextSize(67, 300), TextSize(30, 300)]
    assert with_scale(replace(TAKE, proof=own), 16, 1.25).proof.narrow_sizes == ()


def test_the_width_that_asks_most_decides() -> None:
    """24 px are large text by 1.4.3, 23 aren't; a phone's smaller heading needs the higher ratio."""
    proof = ProofSettings(sizes=(("h3", TextSize(26, 400)),))
    take = replace(TAKE, proof=proof)
    assert take.proof.size_of("h3", "phone").size == 22
    assert needed_for(take, "h3").ratio == 4.5
    assert needed_for(replace(take, proof=replace(proof, narrow_sizes=NARROW)), "h3").ratio == 3
    assert strictest_size(take, HEADINGS).size < 24


NARROW = (("tablet", "h3", 24.0), ("phone", "h3", 24.0))
