"""From what a brand should say to the hues and characters that convention attaches to it.

Associations of colour are habits of a time and a place, and research on them is mixed: the table
states them as conventions, says where they differ, and is there to start from, not to obey. To
extend it, add a line to WORDS or FIELDS in `mood_words.py`.
"""

from __future__ import annotations

from collections import defaultdict
from dataclasses import dataclass
from typing import Final

import numpy as np

from tonada.core.color.hue_rules import color_at
from tonada.core.color.naming import color_name
from tonada.core.color.spaces import Hex, hexes_to_srgb8, hue_distance, largest_chroma
from tonada.core.color.vibration import vibrates
from tonada.core.errors import InputError
from tonada.core.harmony.character import CHARACTERS, Character
from tonada.core.limits import MAX_MOOD_WORDS
from tonada.core.sight.vision import apart_to_all
from tonada.core.source.mood_words import FAMILIES, FIELDS, WORDS, MoodWord

MOST_COLORS: Final = 6
FEWEST_COLORS: Final = 3
# A starting colour that has less than this of the strongest one's weight is no longer a suggestion.
LEAST_OF_STRONGEST: Final = 0.3
# Colours closer than this in hue, in degrees, would be the same suggestion twice.
LEAST_HUE_DISTANCE: Final = 18.0
# Closer than this (deltaEOK) in any colour vision two of them would be confused.
COLORS_APART: Final = 0.075
# How much lighter or darker than usual a colour may be, the usual first.
_LIGHTNESS_STEPS: Final = (0.0, 0.08, -0.08, 0.16, -0.16, 0.24, -0.24, 0.32, -0.32)
# The field of work says less about a brand than what it wants to say.
FIELD_WEIGHT: Final = 0.5


@dataclass(frozen=True, slots=True)
class StartingColor:
    """A colour to start from. weight: 0 to 1, beside the strongest. words: which words speak for it."""

    hex: Hex
    name: str
    family: str
    weight: float
    words: tuple[str, ...]


@dataclass(frozen=True, slots=True)
class MoodReading:
    """starting_colors: strongest first. conventions, differs: a sentence for each word, and the field."""

    words: tuple[str, ...]
    field: str | None
    characters: tuple[str, ...]
    conventions: tuple[str, ...]
    differs: tuple[str, ...]
    starting_colors: tuple[StartingColor, ...]


def read_mood(words: tuple[str, ...], field: str | None = None) -> MoodReading:
    """Return what convention attaches to one to three words, and three to six starting colours.

    Raises InputError for unknown words or fields, a word said twice, or more than three.
    """
    chosen = _chosen(words)
    if field is not None and field not in FIELDS:
        raise InputError(f"Tonada doesn’t know the field of work “{field[:40]}”.", field="field")
    characters = tuple(dict.fromkeys(word.character for word in chosen))
    spoken = [*chosen, *([FIELDS[field]] if field else [])]
    return MoodReading(
        words=words,
        field=field,
        characters=characters,
        conventions=tuple(entry.convention for entry in spoken),
        differs=tuple(entry.differs for entry in spoken if entry.differs),
        starting_colors=_starting_colors(chosen, FIELDS[field] if field else None),
    )


def _chosen(words: tuple[str, ...]) -> list[MoodWord]:
    if not 1 <= len(words) <= MAX_MOOD_WORDS:
        raise InputError(f"Choose one to {MAX_MOOD_WORDS} words.", field="words")
    if len(set(words)) < len(words):
        raise InputError("Choose each word only once.", field="words")
    for word in words:
        if word not in WORDS:
            raise InputError(f"Tonada doesn’t know the word “{word[:40]}”.", field="words")
    return [WORDS[word] for word in words]


def _starting_colors(chosen: list[MoodWord], field: MoodWord | None) -> tuple[StartingColor, ...]:
    weights: defaultdict[str, float] = defaultdict(float)
    speakers: defaultdict[str, list[str]] = defaultdict(list)
    for word, strength in [*((word, 1.0) for word in chosen), *([(field, FIELD_WEIGHT)] if field else [])]:
        for family, weight in word.families:
            weights[family] += strength * weight
            speakers[family].append(word.name)
    character = _blend([CHARACTERS[word.character] for word in chosen])
    strongest = max(weights.values())
    colors: list[StartingColor] = []
    taken: list[float] = []
    # The table's order decides between equals, so that the same words give the same colours.
    for family in sorted(weights, key=lambda name: -weights[name]):
        hue = FAMILIES[family].hue
        is_apart = all(float(hue_distance(hue, other)) >= LEAST_HUE_DISTANCE for other in taken)
        is_strong = weights[family] >= LEAST_OF_STRONGEST * strongest or len(colors) < FEWEST_COLORS
        if is_apart and is_strong and len(colors) < MOST_COLORS:
            value = _color(family, character, [color.hex for color in colors])
            share = weights[family] / strongest
            colors.append(StartingColor(value, color_name(value), family, share, tuple(speakers[family])))
            taken.append(hue)
    return tuple(colors)


def _blend(characters: list[Character]) -> Character:
    """Return the mean of characters: what several words together ask for."""
    figures = [
        (character.lightness, character.chroma, character.span, character.most_chroma)
        for character in characters
    ]
    lightness, chroma, span, most_chroma = np.mean(figures, axis=0).tolist()
    return Character("together", lightness, chroma, span, "", most_chroma)


def _color(family: str, character: Character, others: list[Hex]) -> Hex:
    """Return the family's colour in this character, halfway between the lightness of both.

    Or as little lighter or darker as it takes to be told apart from the others, and to be calm beside them.
    """
    home = FAMILIES[family]
    usual = 0.5 * home.lightness + 0.5 * character.lightness
    lightnesses = [usual + step for step in _LIGHTNESS_STEPS if 0.3 <= usual + step <= 0.9]
    values = []
    for lightness in lightnesses:
        limit = float(largest_chroma(np.array(lightness), np.array(home.hue)))
        chroma = min(character.chroma * limit, home.chroma, character.most_chroma)
        values.append(color_at(lightness, chroma, home.hue))
    return min(values, key=lambda value: (_clashes(value, others), values.index(value)))


def _clashes(value: Hex, others: list[Hex]) -> int:
    """Return with how many others a colour vibrates, or would be taken for them by some eyes."""
    if not others:
        return 0
    apart = apart_to_all(hexes_to_srgb8((value,)), hexes_to_srgb8(tuple(others)))[0]
    return sum(
        bool(distance < COLORS_APART) or vibrates(value, other)
        for distance, other in zip(apart, others, strict=True)
    )
