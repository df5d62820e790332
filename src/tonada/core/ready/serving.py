"""Which moods and trades a palette serves: by the hue families that convention attaches to them.

The conventions are those of `mood_words.py`; this only measures how close colours come to one.
"""

from __future__ import annotations

from collections.abc import Mapping
from typing import Final

from tonada.core.color.spaces import Hex, hex_to_oklch
from tonada.core.harmony.character import CHARACTERS
from tonada.core.ready.palette import (
    BRAND,
    BrandFigures,
    RoleColor,
    brand_figures,
    character_distance,
)
from tonada.core.source.mood_words import FAMILIES, FIELDS, WORDS, MoodWord
from tonada.core.take.parts import PLANNED_SHARES, Role

# A palette is said to serve what it fits this well, 0 to 1, and no more than so many of each.
MOODS_FROM: Final = 0.28
TRADES_FROM: Final = 0.42
MOST_MOODS: Final = 4
MOST_TRADES: Final = 3
# A colour this far from a family in hue, in degrees, is half of it.
_HALF_AT: Final = 24.0
# Earth is a brown, and no other family is: a colour of less chroma than this, and darker, is one.
_BROWN_CHROMA: Final = 0.12
_BROWN_LIGHTNESS: Final = 0.62
_BROWN_HUES: Final = (30.0, 100.0)
# A character this far away, see character_distance, halves the fit.
_CHARACTER_HALF_AT: Final = 1.6


def moods_of(colors: tuple[RoleColor, ...]) -> tuple[str, ...]:
    """Return the words of a mood that a palette fits, by hue and character, the best first."""
    figures = brand_figures({color.role: color.hex for color in colors})
    fits = {
        name: hues * 0.5 ** ((_away(figures, WORDS[name]) / _CHARACTER_HALF_AT) ** 2)
        for name, hues in _fits(colors, WORDS).items()
    }
    return _best(fits, MOODS_FROM, MOST_MOODS)


def trades_of(colors: tuple[RoleColor, ...]) -> tuple[str, ...]:
    """Return the fields of work that a palette fits, by hue alone, the best first."""
    return _best(_fits(colors, FIELDS), TRADES_FROM, MOST_TRADES)


def _away(figures: BrandFigures, word: MoodWord) -> float:
    return character_distance(figures, CHARACTERS[word.character])


def _fits(colors: tuple[RoleColor, ...], words: Mapping[str, MoodWord]) -> dict[str, float]:
    """Return how much of each word's hue families the brand colours are, by their shares, 0 to 1."""
    shares = _shares({color.role: color.hex for color in colors if color.role in BRAND})
    belongs = [
        (share, {family: _belongs(family, *hex_to_oklch(value)) for family in FAMILIES})
        for value, share in shares.items()
    ]
    return {
        name: sum(
            share * max(weight * families[family] for family, weight in word.families)
            for share, families in belongs
        )
        for name, word in words.items()
    }


def _best(fits: Mapping[str, float], least: float, most: int) -> tuple[str, ...]:
    good = [name for name in fits if fits[name] >= least]
    # The table's order decides between equals.
    return tuple(sorted(good, key=lambda name: -fits[name])[:most])


def _shares(brand: Mapping[Role, Hex]) -> dict[Hex, float]:
    shares = {value: PLANNED_SHARES[role] for role, value in brand.items()}
    whole = sum(shares.values())
    return {value: share / whole for value, share in shares.items()}


def _belongs(family: str, lightness: float, chroma: float, hue: float) -> float:
    """Return how much of a hue family a colour is, 0 to 1; a grey is of none."""
    is_brown = (
        chroma < _BROWN_CHROMA and lightness < _BROWN_LIGHTNESS and _BROWN_HUES[0] <= hue <= _BROWN_HUES[1]
    )
    if is_brown != (family == "earth"):
        return 0.35 * _near(family, hue) * _colored(chroma)
    return _near(family, hue) * _colored(chroma)


def _near(family: str, hue: float) -> float:
    turn = abs((hue - FAMILIES[family].hue + 180) % 360 - 180)
    return float(0.5 ** ((turn / _HALF_AT) ** 2))


def _colored(chroma: float) -> float:
    return min(1.0, max(0.0, chroma / 0.03 - 0.5))
