"""Our own palettes keep what is promised of them: each is proven again, by other eyes than made it too."""

from __future__ import annotations

import re
from itertools import combinations

import numpy as np
import pytest
from coloraide import Color

from tests.sampling import IS_LONG
from tonada.core.ready.choosing import BRAND_TOLD_APART, NO_TWINS, fault_of
from tonada.core.ready.distance import palette_distances, places_of
from tonada.core.ready.palette import BRAND, ReadyPalette, traits_of
from tonada.core.ready.serving import moods_of, trades_of
from tonada.core.ready.shipped import shipped_palettes
from tonada.core.ready.taking import proof_of, propose_ready, ready_take
from tonada.core.source.mood_words import FIELDS, WORDS
from tonada.core.take.parts import Role
from tonada.core.take.take import Take

ALL = shipped_palettes()
SOME = ALL if IS_LONG else ALL[::32]
NAMED = [pytest.param(one, id=one.id) for one in SOME]


def test_there_are_480_with_names_of_one_to_three_plain_words() -> None:
    assert len(ALL) == 480
    assert len({one.name.casefold() for one in ALL}) == 480
    assert len({one.id for one in ALL}) == 480
    for one in ALL:
        assert re.fullmatch(r"[A-Z][a-z]+( [A-Za-z]+){0,2}", one.name), one.name
        assert one.id == one.name.lower().replace(" ", "-")


@pytest.mark.parametrize("palette", NAMED)
def test_every_pair_of_its_page_passes_and_its_figures_are_true(palette: ReadyPalette) -> None:
    proof = proof_of(palette.colors)
    assert proof == palette.proof
    assert proof.passes_aa
    assert proof.pairs >= 38
    assert fault_of(palette.colors) is None
    assert traits_of(palette.colors) == palette.traits
    assert (moods_of(palette.colors), trades_of(palette.colors)) == (palette.moods, palette.trades)


def seen(value: str, sight: str | None) -> np.ndarray:
    color = Color(value)
    if sight is not None:
        # Machado et al. 2009, by a library that is not ours.
        color = color.filter(sight, 1, method="machado", space="srgb-linear", out_space="srgb-linear").clip()
    return np.array(color.convert("oklab").coords())


@pytest.mark.parametrize("palette", NAMED)
def test_brand_colours_are_told_apart_by_all_eyes_by_day_and_by_night(palette: ReadyPalette) -> None:
    take = ready_take(palette.colors, palette.name)
    for scheme in (take, take.turned()):
        values = [scheme.hex_of(role) for role in BRAND if scheme.has_role(role)]
        for sight in (None, "protan", "deutan", "tritan"):
            for one, other in combinations([seen(value, sight) for value in values], 2):
                assert np.linalg.norm(one - other) >= BRAND_TOLD_APART - 2e-3, (sight, values)


def test_no_two_are_near_twins() -> None:
    places = places_of(ALL)
    for row in range(len(ALL) - 1):
        assert palette_distances(places[row], places[row + 1 :]).min() >= NO_TWINS


def test_every_mood_trade_hue_count_and_ground_is_served() -> None:
    for word in WORDS:
        assert sum(word in one.moods for one in ALL) >= 20, word
    for field in FIELDS:
        assert sum(field in one.trades for one in ALL) >= 20, field
    for hues in (1, 2, 3, 4):
        assert sum(one.traits.hues == hues for one in ALL) >= 40
    for ground in ("light", "dark"):
        assert sum(one.traits.ground == ground for one in ALL) >= 100
    assert sum(bool(one.proof and one.proof.reaches_aaa) for one in ALL) >= 70
    loudness = [one.traits.loudness for one in ALL]
    assert min(loudness) < 0.25
    assert max(loudness) > 0.9


@pytest.mark.parametrize("palette", [one for one in SOME if one.proof and one.proof.reaches_aaa][:6])
def test_what_is_said_to_reach_aaa_is_held_to_it_without_a_failing_pair(palette: ReadyPalette) -> None:
    take = ready_take(palette.colors, palette.name, "AAA")
    assert take.level == "AAA"
    assert take.hex_of(Role.PRIMARY) == palette.by_role[Role.PRIMARY]
    for scheme in (take, take.turned()):
        assert texts_short_of(scheme, 7.0) == []


def texts_short_of(take: Take, ratio: float) -> list[str]:
    """Return body texts of the page under a ratio, by coloraide's contrast."""
    texts = tuple(f"{text}-on-{ground}" for text in ("ink", "muted", "link") for ground in ("paper", "mist"))
    labels = tuple(f"label-on-{ground}" for ground in ("primary", "secondary", "accent"))
    found = []
    for pair in take.pairs:
        if pair.id in texts + labels:
            text, ground = take.pair_colors(pair)
            if Color(text).contrast(ground, method="wcag21") < ratio:
                found.append(pair.id)
    return found


def test_a_palette_as_a_take_holds_nothing_and_says_where_it_came_from() -> None:
    palette = ALL[0]
    take = ready_take(palette.colors, palette.name)
    assert not any(one.held for one in take.swatches)
    for one in palette.colors:
        assert take.hex_of(one.role) == one.hex
        swatch = take.swatch_of(one.role)
        assert swatch
        assert swatch.origin.note == f"from the ready-made palette “{palette.name}”"
    assert propose_ready(palette.colors).impossible == ()
