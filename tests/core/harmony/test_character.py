"""Characters: each is what it says, none takes a colour's hue away, and all can be gone back from."""

from __future__ import annotations

from dataclasses import replace
from itertools import combinations
from typing import Final

import pytest

from tests.takes import take_of
from tonada.core.color.hue_rules import NEUTRAL_BELOW, color_at
from tonada.core.color.spaces import difference_between, hex_to_oklch, hue_distance
from tonada.core.harmony.character import CHARACTERS, chroma_share, cusp_lightness, measured
from tonada.core.harmony.chord import Place, place, shape, shaped_from, shaped_members
from tonada.core.harmony.stave import stave_of
from tonada.core.take.take import Take

# In every pair of characters, some colour differs by this much, and all of them on average by the other.
LEAST_OF_ONE: Final = 0.075
LEAST_OF_ALL: Final = 0.05
MOST_CHROMA = {"muted": 0.08, "earthy": 0.105, "sober": 0.06, "smoky": 0.047, "pale": 0.075}
ANCHORS = [
    color_at(lightness, chroma, hue)
    for hue in range(0, 360, 45)
    for lightness, chroma in ((0.4, 0.12), (0.65, 0.16))
]


def free(value: str) -> Take:
    """Return a take of a colour with two of far hues, so that a character has something to differ in."""
    lightness, chroma, hue = hex_to_oklch(value)
    take = take_of(value, *(color_at(lightness, chroma, hue + turn) for turn in (120, 240)))
    return replace(take, swatches=tuple(replace(one, held=False) for one in take.swatches))


def within(take: Take, name: str | None, **own: float) -> Take:
    return shape(replace(take, harmony=replace(take.harmony, character=name, **own)))


def members_of(take: Take, like: Take) -> list[str]:
    return [take.swatch(one.id).hex for one in shaped_members(like)]


@pytest.mark.parametrize("anchor", ANCHORS)
def test_every_colour_keeps_its_hue_and_stays_a_colour(anchor: str) -> None:
    take = free(anchor)
    for name in CHARACTERS:
        for before, after in zip(members_of(take, take), members_of(within(take, name), take), strict=True):
            assert hex_to_oklch(after)[1] >= NEUTRAL_BELOW, name
            assert float(hue_distance(hex_to_oklch(before)[2], hex_to_oklch(after)[2])) < 4, name


@pytest.mark.parametrize("anchor", ANCHORS[::2])
def test_any_two_differ_visibly(anchor: str) -> None:
    take = free(anchor)
    shaped = {name: members_of(within(take, name), take) for name in CHARACTERS}
    for one, other in combinations(CHARACTERS, 2):
        apart = [difference_between(*pair) for pair in zip(shaped[one], shaped[other], strict=True)]
        assert max(apart) >= LEAST_OF_ONE, (one, other)
        assert sum(apart) / len(apart) >= LEAST_OF_ALL, (one, other)


@pytest.mark.parametrize("anchor", ANCHORS[1::4])
def test_each_is_what_it_says(anchor: str) -> None:
    take = free(anchor)
    for name, most in MOST_CHROMA.items():
        assert all(hex_to_oklch(value)[1] <= most for value in members_of(within(take, name), take)), name
    for value in members_of(within(take, "earthy"), take):
        _, chroma, hue = hex_to_oklch(value)
        assert chroma <= 0.065 or 15 < hue < 150, "strong only between clay and moss"
    for value in members_of(within(take, "vivid"), take):
        lightness, _, hue = hex_to_oklch(value)
        assert chroma_share(value) >= 0.9
        assert abs(lightness - cusp_lightness(hue)) < 0.12, "no pale lavender"


@pytest.mark.parametrize("anchor", ANCHORS[::3])
def test_through_all_ten_and_back_gives_what_was_there(anchor: str) -> None:
    take = free(anchor)
    going = take
    for name in (*CHARACTERS, *reversed(CHARACTERS)):
        going = within(going, name)
        assert members_of(going, take) == members_of(within(take, name), take)
    back = within(going, None)
    assert [one.hex for one in back.swatches] == [one.hex for one in take.swatches]
    assert back.harmony.shaped_from == ()


def test_what_was_moved_by_hand_is_where_the_next_character_starts() -> None:
    take = within(free("#2b3a8c"), "vivid")
    swatch = shaped_members(take)[-1]
    moved = place(take, Place(swatch.id, 0.1, 200.0, lightness=0.5))
    assert swatch.id in dict(shaped_from(take))
    assert swatch.id not in dict(shaped_from(moved))
    assert float(hue_distance(hex_to_oklch(within(moved, "deep").swatch(swatch.id).hex)[2], 200)) < 4


def test_the_sliders_start_at_what_is_there_and_one_notch_is_one_notch() -> None:
    take = free("#ac5b64")
    figures = stave_of(take)
    now = members_of(take, take)
    assert figures.chroma == measured(now).chroma
    assert figures.span == measured(now).span
    notch = members_of(within(take, None, chroma=figures.chroma - 0.01), take)
    assert 0 < max(difference_between(*pair) for pair in zip(now, notch, strict=True)) < 0.01
    wider = members_of(within(take, None, span=figures.span + 0.05), take)
    assert 0 < max(difference_between(*pair) for pair in zip(now, wider, strict=True)) < 0.06


def test_what_is_held_in_a_character_stays_through_the_next() -> None:
    take = within(free("#2b3a8c"), "vivid")
    swatch = shaped_members(take)[-1]
    held = replace(take, swatches=tuple(replace(one, held=one.id == swatch.id) for one in take.swatches))
    for name in ("deep", None):
        assert within(held, name).swatch(swatch.id).hex == swatch.hex
