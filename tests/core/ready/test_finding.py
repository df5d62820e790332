"""Finding palettes: against a search that takes the definitions word by word."""

from __future__ import annotations

import math
from itertools import permutations

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from tests.sampling import examples
from tests.strategies import hexes
from tonada.core.color.contrast import position_of
from tonada.core.color.spaces import hex_to_oklch
from tonada.core.errors import InputError
from tonada.core.ready.finding import (
    CHROMA_COUNTS,
    Question,
    Use,
    discord,
    find,
    index_of,
    note_color,
    note_distances,
)
from tonada.core.ready.palette import BRAND, ReadyPalette
from tonada.core.ready.shipped import shipped_palettes
from tonada.core.take.parts import Role

ALL = shipped_palettes()
INDEX = index_of(ALL)


def found(**asked: object) -> list[ReadyPalette]:
    return [ALL[row] for row in find(INDEX, Question(**asked))]


def distance(note: str, value: str) -> float:
    lightness, chroma, hue = hex_to_oklch(note)
    other_lightness, other_chroma, other_hue = hex_to_oklch(value)
    turn = abs((other_hue - hue + 180) % 360 - 180)
    is_grey = (chroma < 0.03) != (other_chroma < 0.03)
    across = 2 * chroma * (1.0 if is_grey else math.sin(math.radians(turn) / 2))
    return math.hypot(other_lightness - lightness, across, CHROMA_COUNTS * (other_chroma - chroma))


@given(st.lists(hexes, min_size=1, max_size=3), st.integers(0, len(ALL) - 1))
@settings(max_examples=examples(60), deadline=None)
def test_notes_are_answered_by_different_colours_as_well_as_can_be(notes: list[str], row: int) -> None:
    brand = [one.hex for one in ALL[row].colors if one.role in BRAND]
    best = min(
        sum(distance(note, value) for note, value in zip(notes, answers, strict=True)) / len(notes)
        for answers in permutations(brand, len(notes))
    )
    assert note_distances(INDEX, notes)[row] == pytest.approx(best, abs=1e-9)


def test_a_palettes_own_colours_find_it_first() -> None:
    for palette in ALL[::37]:
        notes = tuple(one.hex for one in palette.colors if one.role in BRAND)[:3]
        assert found(notes=notes)[0] is palette


def test_each_filter_keeps_what_it_says_and_all_of_it() -> None:
    assert found() == list(ALL)
    assert {one.traits.hues for one in found(hues=(1, 3))} == {1, 3}
    assert len(found(hues=(1, 2, 3, 4))) == sum(one.traits.hues >= 1 for one in ALL)
    assert found(ground="dark") == [one for one in ALL if one.traits.ground == "dark"]
    assert found(character="vivid") == [one for one in ALL if one.traits.character == "vivid"]
    assert found(aaa=True) == [one for one in ALL if one.proof and one.proof.reaches_aaa]
    warm = found(moods=("warm", "bold"))
    assert warm == [one for one in ALL if {"warm", "bold"} & set(one.moods)]
    both = found(moods=("warm",), trades=("craft",))
    assert both == [one for one in ALL if "warm" in one.moods and "craft" in one.trades]
    assert found(only=frozenset((ALL[5].id, "nobody"))) == [ALL[5]]
    assert found(only=frozenset()) == []


def test_words_are_beginnings_in_names_colours_moods_and_tags_in_any_case_and_accent() -> None:
    own = ReadyPalette("own", "Été à Łódź", ALL[0].colors, ALL[0].traits, tags=("日本の秋",))
    index = index_of([own, *ALL])

    def rows(words: str) -> list[int]:
        return find(index, Question(words=words))

    assert rows("ETE") == [0]
    assert rows("日本") == [0]
    assert rows("   ") == list(range(len(ALL) + 1))
    assert rows("zzz") == []
    assert all("teal" in index.texts[row] for row in rows("teal"))
    assert set(rows("teal warm")) == set(rows("teal")) & set(rows("warm"))
    # A word's middle is no beginning.
    assert rows("eal") == [row for row, text in enumerate(index.texts) if " eal" in text]


def test_orders() -> None:
    quiet = [one.traits.loudness for one in found(sort="quiet")]
    assert quiet == sorted(quiet)
    assert [one.traits.loudness for one in found(sort="loud")] == sorted(quiet, reverse=True)
    leads = [one.traits.lead for one in found(sort="hue") if one.traits.lead is not None]
    assert leads == sorted(leads)
    uses = {ALL[9].id: Use(is_starred=True), ALL[7].id: Use(taken=3), ALL[8].id: Use(taken=5)}
    first = [ALL[row] for row in find(INDEX, Question(sort="favourite"), uses)[:4]]
    assert first == [ALL[9], ALL[8], ALL[7], ALL[0]]


def test_like_one_leaves_itself_out_and_is_nearest_first() -> None:
    like = found(like=ALL[3].id)
    assert ALL[3] not in like
    assert len(like) == len(ALL) - 1
    again = found(like=like[0].id)
    assert ALL[3] in again[:12]


def test_what_stays_wants_hues_of_a_rule_contrast_and_calm() -> None:
    cost = discord(INDEX, ("#2b3a8c",))
    assert cost.shape == (len(ALL),)
    assert (cost >= 0).all()
    best, worst = ALL[int(cost.argmin())], ALL[int(cost.argmax())]
    assert cost.min() < 0.3 < cost.max()
    assert found(held=("#2b3a8c",))[0] is best
    assert found(held=("#2b3a8c",))[-1] is worst
    # A grey goes with every hue; only contrast counts.
    assert discord(INDEX, ("#777777",)).min() == 0


@given(st.floats(-720, 720), st.floats(-1, 2))
@settings(max_examples=examples(40), deadline=None)
def test_a_note_stands_where_it_was_put(hue: float, position: float) -> None:
    value = note_color(hue, position)
    wanted = min(1.0, max(0.0, position))
    if 0.1 < wanted < 0.9:
        assert position_of(value) == pytest.approx(wanted, abs=0.02)


@pytest.mark.parametrize(
    ("asked", "field"),
    [
        ({"notes": ("#000000",) * 4}, "notes"),
        ({"moods": ("nice",)}, "moods"),
        ({"trades": ("mining",)}, "trades"),
        ({"character": "loud"}, "character"),
        ({"like": "nobody"}, "like"),
    ],
)
def test_what_is_not_known_is_named(asked: dict[str, object], field: str) -> None:
    with pytest.raises(InputError) as refused:
        found(**asked)
    assert refused.value.field == field


def test_an_empty_shelf_finds_nothing() -> None:
    assert find(index_of([]), Question(notes=("#123456",), held=("#2b3a8c",), words="x", hues=(1,))) == []


def test_palettes_of_one_colour_can_be_found_by_two_notes() -> None:
    (only,) = (one for one in ALL[0].colors if one.role is Role.PRIMARY)
    lonely = ReadyPalette("one", "One", (only,), ALL[0].traits)
    assert find(index_of([lonely, *ALL]), Question(notes=(only.hex, "#00ff00")))[-1] == 0
