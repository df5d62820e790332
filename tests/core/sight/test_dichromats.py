"""Full dichromats by a second model: greys stay, what only the missing cone tells apart looks alike."""

from __future__ import annotations

from dataclasses import replace

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from tests.strategies import srgb8_colors
from tests.takes import TAKE
from tonada.core.color.apart import TOLD_APART
from tonada.core.color.spaces import SRGB8_TO_LINEAR, Srgb8, delta_e_ok, hexes_to_srgb8, srgb8_to_oklab
from tonada.core.pairs.confusions import confusions
from tonada.core.sight.dichromats import FROM_CONES, dichromat_matrix, dichromat_oklab
from tonada.core.sight.machado import Sight
from tonada.core.sight.vision import simulated_oklab
from tonada.core.take.recolor import recolor
from tonada.core.take.take import Role

SIGHTS: tuple[Sight, ...] = ("protan", "deutan", "tritan")
MISSING = {"protan": 0, "deutan": 1}


@given(st.integers(0, 255))
def test_greys_look_as_they_are(level: int) -> None:
    grey = np.array([level] * 3, dtype=np.uint8)
    for sight in SIGHTS:
        assert delta_e_ok(dichromat_oklab(grey, sight), srgb8_to_oklab(grey)) < 0.004


def test_blue_and_yellow_look_nearly_as_they_are_to_protan_and_deutan_eyes() -> None:
    colors = hexes_to_srgb8(["#0000ff", "#ffff00"])
    for sight in ("protan", "deutan"):
        seen = dichromat_oklab(colors, sight)
        assert (delta_e_ok(seen, srgb8_to_oklab(colors)) < 0.09).all()


@given(srgb8_colors)
@pytest.mark.parametrize("sight", ["protan", "deutan"])
def test_what_differs_in_the_missing_cone_alone_looks_alike(sight: Sight, color: Srgb8) -> None:
    linear = 0.2 + 0.5 * SRGB8_TO_LINEAR[color]
    shift = np.zeros(3)
    shift[MISSING[sight]] = 0.4
    other = linear + FROM_CONES @ shift
    assert not np.allclose(linear, other)
    assert np.allclose(dichromat_matrix(sight) @ linear, dichromat_matrix(sight) @ other)


@given(srgb8_colors)
def test_both_models_agree_in_the_main(color: Srgb8) -> None:
    for sight in SIGHTS:
        away = float(delta_e_ok(dichromat_oklab(color, sight), simulated_oklab(color, sight)))
        assert away < 0.2, sight


def test_a_confusion_that_only_one_model_sees_is_named() -> None:
    accent = TAKE.swatch_of(Role.ACCENT)
    assert accent
    found = 0
    for value in ("#3d7a4a", "#8a5a2b", "#a0522d", "#5a6b2f", "#7a4f8a", "#b05a6a"):
        take = recolor(replace(TAKE), accent.id, value, "a test")
        colors = hexes_to_srgb8([take.hex_of(Role.SECONDARY), value])
        for sight in SIGHTS:
            both = [float(delta_e_ok(*model(colors, sight))) for model in (dichromat_oklab, simulated_oklab)]
            named = {(one.one, one.other) for one in confusions(take, sight)}
            is_confused = min(both) < TOLD_APART
            assert ((Role.SECONDARY, Role.ACCENT) in named) == is_confused
            found += is_confused
    assert found
