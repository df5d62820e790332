"""Moods: conventions, stated as such, and starting colours by rule."""

from __future__ import annotations

from itertools import combinations

import pytest

from tests.sampling import sampled
from tonada.core.color.spaces import hex_to_srgb8, hue_distance, srgb8_to_oklch
from tonada.core.errors import InputError
from tonada.core.harmony.character import CHARACTERS
from tonada.core.source.mood import LEAST_HUE_DISTANCE, read_mood
from tonada.core.source.mood_words import FAMILIES, FIELDS, WORDS


def test_the_table_is_whole() -> None:
    assert len(WORDS) >= 16
    for entry in (*WORDS.values(), *FIELDS.values()):
        assert entry.character in CHARACTERS
        assert len(entry.families) >= 3
        assert {name for name, _ in entry.families} <= set(FAMILIES)
        assert all(0 < weight <= 1 for _, weight in entry.families)
        assert entry.convention.endswith(".")
    assert sum(bool(word.differs) for word in WORDS.values()) >= 12, "where habits differ is said"


@pytest.mark.parametrize("words", sampled([(one,) for one in WORDS] + list(combinations(WORDS, 2))[::7], 16))
def test_three_to_six_colors_far_enough_apart(words: tuple[str, ...]) -> None:
    reading = read_mood(words, "craft")
    assert 3 <= len(reading.starting_colors) <= 6
    assert reading.starting_colors[0].weight == 1
    hues = [FAMILIES[one.family].hue for one in reading.starting_colors]
    for hue, next_hue in combinations(hues, 2):
        assert hue_distance(hue, next_hue) >= LEAST_HUE_DISTANCE
    for one in reading.starting_colors:
        drawn = float(srgb8_to_oklch(hex_to_srgb8(one.hex))[2])
        assert hue_distance(drawn, FAMILIES[one.family].hue) < 4
    assert reading == read_mood(words, "craft")


def test_the_character_shows_in_the_colors() -> None:
    def mean(words: tuple[str, ...], channel: int) -> float:
        colors = read_mood(words).starting_colors
        return sum(float(srgb8_to_oklch(hex_to_srgb8(a.hex))[channel]) for a in colors) / len(colors)

    assert mean(("gentle",), 0) > mean(("precious",), 0) + 0.1
    assert mean(("energetic",), 1) > mean(("trustworthy",), 1) + 0.04


@pytest.mark.parametrize(
    ("words", "field", "named"),
    [
        ((), None, "words"),
        (("calm", "calm"), None, "words"),
        (("calm", "bold", "warm", "fresh"), None, "words"),
        (("blurple",), None, "words"),
        (("calm",), "piracy", "field"),
    ],
)
def test_what_is_not_in_the_table_is_refused(words: tuple[str, ...], field: str | None, named: str) -> None:
    with pytest.raises(InputError) as refused:
        read_mood(words, field)
    assert refused.value.field == named
