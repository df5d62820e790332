"""Finding a palette: by notes on a stave, words, hues, ground, character, level; and in which order.

All palettes lie in arrays, so that each question is answered by a few sums over all of them.
"""

from __future__ import annotations

import unicodedata
from collections.abc import Collection, Mapping, Sequence
from dataclasses import dataclass, field
from itertools import permutations
from typing import Final, Literal, TypeAlias

import numpy as np
from numpy.typing import NDArray

from tonada.core.color.apart import TOLD_APART
from tonada.core.color.contrast import ratio_of_luminances, relative_luminance
from tonada.core.color.hue_rules import NEUTRAL_BELOW
from tonada.core.color.naming import color_name
from tonada.core.color.placing import color_at_position
from tonada.core.color.spaces import Floats, Hex, hexes_to_srgb8, srgb8_to_oklab, srgb8_to_oklch
from tonada.core.color.vibration import VIBRATES_FROM, vibration_of
from tonada.core.color.wcag import LARGE_RATIO
from tonada.core.errors import InputError
from tonada.core.harmony.character import CHARACTERS
from tonada.core.limits import MAX_NOTES
from tonada.core.ready.distance import palette_distances, places_of
from tonada.core.ready.palette import BRAND, Ground, ReadyPalette
from tonada.core.source.mood_words import FIELDS, WORDS

Sort: TypeAlias = Literal["nearness", "quiet", "loud", "hue", "favourite"]
SORTS: Final[Mapping[Sort, str]] = {
    "nearness": "nearest first",
    "quiet": "quiet to loud",
    "loud": "loud to quiet",
    "hue": "by hue",
    "favourite": "most used here",
}
# A note asks for a hue at a place on the contrast scale; how much chroma it has matters less.
CHROMA_COUNTS: Final = 0.35
# The chroma of a note that was put on the stave: enough to show its hue.
NOTE_CHROMA: Final = 0.13
# Hue angles, in degrees, at which two colours stand in one of the rules.
RULE_ANGLES: Final = (0.0, 30.0, 120.0, 150.0, 180.0)
_MOST_OFF: Final = 45.0  # the angle farthest from all of them
_SLOTS: Final = len(BRAND)


@dataclass(frozen=True, slots=True)
class Question:
    """What a palette should be like. An empty field asks nothing; any value of a field is enough.

    notes: colours it is to have, at most three. like: the id of a palette it is to resemble. held: colours
    it is to go with. only: ids that may be found, None for all.
    """

    notes: tuple[Hex, ...] = ()
    words: str = ""
    moods: tuple[str, ...] = ()
    trades: tuple[str, ...] = ()
    hues: tuple[int, ...] = ()
    ground: Ground | None = None
    character: str | None = None
    aaa: bool = False
    like: str | None = None
    held: tuple[Hex, ...] = ()
    only: Collection[str] | None = None
    sort: Sort = "nearness"


@dataclass(frozen=True, slots=True)
class Use:
    """How a studio has used a palette."""

    is_starred: bool = False
    taken: int = 0


def note_color(hue: float, position: float) -> Hex:
    """Return the colour of a note on the stave: hue in OKLCH degrees, position on the contrast scale."""
    return color_at_position(min(1.0, max(0.0, position)), NOTE_CHROMA, hue % 360)


@dataclass(frozen=True, slots=True)
class Index:
    """All palettes in arrays; rows are those of `palettes`. Made by index_of."""

    palettes: tuple[ReadyPalette, ...]
    rows: Mapping[str, int]
    colors: NDArray[np.uint8]  # brand colours, shape (N, 5, 3)
    is_there: NDArray[np.bool_]  # shape (N, 5)
    oklab: Floats
    oklch: Floats
    places: Floats  # shape (N, 7, 3), for likeness
    loudness: Floats
    lead: Floats  # hue in degrees; 400 for a grey lead
    hues: NDArray[np.intp]
    is_dark: NDArray[np.bool_]
    reaches_aaa: NDArray[np.bool_]
    character: NDArray[np.intp]
    texts: tuple[str, ...] = field(repr=False)


def index_of(palettes: Sequence[ReadyPalette], texts: Mapping[str, str] | None = None) -> Index:
    """Return the index of palettes, whose order decides between equals.

    texts: what palettes are found by in words, by their ids, where it was made before.
    """
    known = texts or {}
    names = list(CHARACTERS)
    brand = [[palette.by_role.get(role) for role in BRAND] for palette in palettes]
    filled = [value or "#000000" for row in brand for value in row]
    colors = _bytes_of(filled).reshape(-1, _SLOTS, 3)
    return Index(
        palettes=tuple(palettes),
        rows={one.id: row for row, one in enumerate(palettes)},
        colors=colors,
        is_there=np.array([[value is not None for value in row] for row in brand], dtype=bool).reshape(
            -1, _SLOTS
        ),
        oklab=srgb8_to_oklab(colors),
        oklch=srgb8_to_oklch(colors),
        places=places_of(palettes),
        loudness=np.array([palette.traits.loudness for palette in palettes]),
        lead=np.array(
            [400.0 if palette.traits.lead is None else palette.traits.lead for palette in palettes]
        ),
        hues=np.array([palette.traits.hues for palette in palettes], dtype=np.intp),
        is_dark=np.array([palette.traits.ground == "dark" for palette in palettes], dtype=bool),
        reaches_aaa=np.array(
            [palette.proof is not None and palette.proof.reaches_aaa for palette in palettes], dtype=bool
        ),
        character=np.array([names.index(palette.traits.character) for palette in palettes], dtype=np.intp),
        texts=tuple(known.get(palette.id) or _text_of(palette) for palette in palettes),
    )


def find(index: Index, question: Question, uses: Mapping[str, Use] | None = None) -> list[int]:
    """Return the rows of the palettes that fit, the best first.

    Raises InputError for more than three notes, words of no mood, trade or character, unknown palettes.
    """
    _check(index, question)
    keeps = _filtered(index, question)
    order = _keys(index, question, uses or {})
    rows = np.flatnonzero(keeps)
    if not len(order):
        return [int(row) for row in rows]
    return [int(row) for row in rows[np.lexsort([key[rows] for key in reversed(order)])]]


def _check(index: Index, question: Question) -> None:
    if len(question.notes) > MAX_NOTES:
        raise InputError(f"At most {MAX_NOTES} notes.", field="notes")
    known = (("moods", question.moods, WORDS), ("trades", question.trades, FIELDS))
    for name, words, table in known:
        for word in words:
            if word not in table:
                raise InputError(f"“{word[:40]}” isn’t known. Use: {', '.join(table)}.", field=name)
    if question.character is not None and question.character not in CHARACTERS:
        raise InputError(
            f"“{question.character[:40]}” isn’t a character. Use: {', '.join(CHARACTERS)}.", field="character"
        )
    if question.like is not None and question.like not in index.rows:
        raise InputError("The palette that others are to be like isn’t there.", field="like")


def _filtered(index: Index, question: Question) -> NDArray[np.bool_]:
    keeps = np.ones(len(index.palettes), dtype=bool)
    if question.only is not None:
        wanted = set(question.only)
        keeps &= np.array([palette.id in wanted for palette in index.palettes], dtype=bool)
    if question.hues:
        keeps &= np.isin(np.minimum(index.hues, 4), question.hues)
    if question.ground is not None:
        keeps &= index.is_dark == (question.ground == "dark")
    if question.character is not None:
        keeps &= index.character == list(CHARACTERS).index(question.character)
    if question.aaa:
        keeps &= index.reaches_aaa
    if question.moods or question.trades:
        moods, trades = set(question.moods), set(question.trades)
        keeps &= np.array(
            [
                (not moods or not moods.isdisjoint(palette.moods))
                and (not trades or not trades.isdisjoint(palette.trades))
                for palette in index.palettes
            ],
            dtype=bool,
        )
    words = _plain(question.words).split()
    if words:
        starts = [" " + word for word in words]
        keeps &= np.array([all(start in text for start in starts) for text in index.texts], dtype=bool)
    if question.like is not None:
        keeps[index.rows[question.like]] = False
    return keeps


def _keys(index: Index, question: Question, uses: Mapping[str, Use]) -> list[Floats]:
    """Return what to sort by, first things first."""
    if question.sort == "quiet":
        return [index.loudness]
    if question.sort == "loud":
        return [-index.loudness]
    if question.sort == "hue":
        return [index.lead, index.loudness]
    if question.sort == "favourite":
        used = [uses.get(palette.id, Use()) for palette in index.palettes]
        starred = np.array([-float(entry.is_starred) for entry in used])
        return [starred, np.array([-float(entry.taken) for entry in used])]
    asked = [
        *([note_distances(index, question.notes)] if question.notes else []),
        *([likeness(index, question.like)] if question.like is not None else []),
        *([discord(index, question.held)] if question.held else []),
    ]
    # Each is about a deltaEOK, so that they can be added.
    return [np.sum(asked, axis=0)] if asked else []


def note_distances(index: Index, notes: Sequence[Hex]) -> Floats:
    """Return how far each palette is from having a colour at each note, shape (N,).

    The mean, over the notes, of the distance to the colour that answers it; a colour answers one note.
    """
    apart = np.stack([_note_distance(index, value) for value in notes], axis=1)
    ways = permutations(range(_SLOTS), len(notes))
    whole = [apart[:, np.arange(len(notes)), way].mean(axis=1) for way in ways]
    return np.asarray(np.minimum.reduce(whole))


def _note_distance(index: Index, value: Hex) -> Floats:
    """Return the distance from a note to each brand colour, shape (N, 5); infinite where there is none.

    deltaEOK in lightness and hue, with a chroma that counts CHROMA_COUNTS. The hue of a grey is as far away
    as can be from that of a coloured note.
    """
    lightness, chroma, hue = srgb8_to_oklch(hexes_to_srgb8((value,)))[0]
    other_chroma = index.oklch[..., 1]
    turn = np.radians(index.oklch[..., 2] - hue) / 2
    is_grey = (other_chroma < NEUTRAL_BELOW) != (chroma < NEUTRAL_BELOW)
    across = 2 * chroma * np.where(is_grey, 1.0, np.abs(np.sin(turn)))
    distance = np.sqrt(
        (index.oklch[..., 0] - lightness) ** 2 + across**2 + (CHROMA_COUNTS * (other_chroma - chroma)) ** 2
    )
    return np.where(index.is_there, distance, 9.0)


def likeness(index: Index, like: str) -> Floats:
    """Return how unlike all palettes are to one of them, shape (N,)."""
    return palette_distances(index.places[index.rows[like]], index.places)


def discord(index: Index, held: Sequence[Hex]) -> Floats:
    """Return how badly each palette goes with colours that stay, shape (N,); 0 is best.

    By hue: the mean angle that its colours are off a rule's places around each. By contrast: a palette
    of which no colour stands out from one that stays costs as much as it falls short of 3 to 1. What
    vibrates beside one, or is nearly but not quite the same, costs as well.
    """
    whole = np.zeros(len(index.palettes))
    for value in held:
        color = hexes_to_srgb8((value,))
        apart = np.linalg.norm(index.oklab - srgb8_to_oklab(color)[0], axis=-1)
        ratios = ratio_of_luminances(relative_luminance(index.colors), relative_luminance(color)[0])
        best = np.where(index.is_there, ratios, 1.0).max(axis=1)
        vibrates = vibration_of(index.colors, np.broadcast_to(color[0], index.colors.shape)) >= VIBRATES_FROM
        is_near = (apart > 1e-9) & (apart < TOLD_APART)
        clashes = ((vibrates | is_near) & index.is_there).sum(axis=1)
        whole += _off_rules(index, value) + np.maximum(0.0, LARGE_RATIO / best - 1) + 0.5 * clashes
    return np.asarray(whole / len(held))


def _off_rules(index: Index, value: Hex) -> Floats:
    """Return the mean angle off the rules' places around a colour, 0 to 1; 0 for a grey."""
    _, chroma, hue = srgb8_to_oklch(hexes_to_srgb8((value,)))[0]
    if chroma < NEUTRAL_BELOW:
        return np.zeros(len(index.palettes))
    angle = np.abs((index.oklch[..., 2] - hue + 180) % 360 - 180)
    off = np.min([np.abs(angle - at) for at in RULE_ANGLES], axis=0) / _MOST_OFF
    counts = index.is_there & (index.oklch[..., 1] >= NEUTRAL_BELOW)
    return np.asarray((off * counts).sum(axis=1) / np.maximum(1, counts.sum(axis=1)))


def _text_of(palette: ReadyPalette) -> str:
    names = (color_name(color.hex) for color in palette.colors if color.role in BRAND)
    words = (palette.name, *names, *palette.moods, *palette.trades, *palette.tags, palette.traits.character)
    return " " + _plain(" ".join(words))


def _plain(text: str) -> str:
    """Return a text in small letters without accents; of other scripts as it is."""
    apart = unicodedata.normalize("NFKD", text.casefold())
    return " ".join("".join(entry for entry in apart if not unicodedata.combining(entry)).split())


def _bytes_of(values: Sequence[Hex]) -> NDArray[np.uint8]:
    joined = bytes.fromhex("".join(value[1:] for value in values))
    return np.frombuffer(joined, dtype=np.uint8).reshape(-1, 3)
