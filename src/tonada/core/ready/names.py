"""Names for palettes: what their first colours look like, or where their mood is at home."""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from itertools import product
from typing import Final

from tonada.core.color.naming import term_of
from tonada.core.color.spaces import Hex, hex_to_oklch
from tonada.core.ready.palette import ReadyPalette
from tonada.core.ready.vocabulary import HOURS, PLACES, THINGS
from tonada.core.take.parts import Role

_DARK_BELOW: Final = 0.44
_LIGHT_FROM: Final = 0.74
# A word is in no more names than this, as long as there are others.
MOST_WITH_A_WORD: Final = 9


def named(palettes: Sequence[ReadyPalette]) -> list[str]:
    """Return a name for each palette, in their order: one to three words, and no name twice.

    The same palettes get the same names. Raises LookupError where the vocabulary is used up.
    """
    taken: set[str] = set()
    uses: dict[str, int] = {}
    names = []
    for palette in palettes:
        offered = [
            name
            for name in dict.fromkeys(_names(palette))
            if name.casefold() not in taken and len(set(_words(name))) == len(_words(name))
        ]
        if not offered:
            raise LookupError(f"no name is left for {palette.id}")
        # The words used least come first; among equals the order in which names are thought of.
        name = min(offered, key=lambda entry: _wear(entry, uses))
        taken.add(name.casefold())
        for word in _words(name):
            uses[word] = uses.get(word, 0) + 1
        names.append(name)
    return names


def things_for(value: Hex) -> tuple[str, ...]:
    """Return things that have a colour, as capitalised words."""
    lightness = hex_to_oklch(value)[0]
    term = term_of(value)
    things = THINGS.get(term, THINGS["grey"])
    if lightness >= _LIGHT_FROM:
        return things.light
    return things.dark if lightness < _DARK_BELOW else things.middle


def _names(palette: ReadyPalette) -> Iterator[str]:
    colors = palette.by_role
    leads = things_for(colors[Role.PRIMARY])
    others = [
        entry
        for role in (Role.SECONDARY, Role.ACCENT)
        if role in colors and term_of(colors[role]) != term_of(colors[Role.PRIMARY])
        for entry in things_for(colors[role])
    ]
    places = [place for mood in palette.moods for place in PLACES[mood]]
    # Two things that one sees, and a thing at its place, by turns, so that not all names sound alike.
    pairs = [f"{lead} and {other.lower()}" for lead, other in product(leads, others) if lead != other]
    placed = [f"{lead} {place}" for lead, place in product(leads, places)]
    yield from (pairs[::2] + placed if len(palette.moods) % 2 else placed + pairs[::2])
    yield from pairs
    yield from (f"{lead} {hour}" for lead, hour in product(leads, HOURS))


def _wear(name: str, uses: dict[str, int]) -> tuple[bool, int]:
    counts = [uses.get(word, 0) for word in _words(name)]
    return max(counts) >= MOST_WITH_A_WORD, sum(counts)


def _words(name: str) -> list[str]:
    return [word for word in name.lower().split() if word not in ("and", "at", "in", "by", "under", "after")]
