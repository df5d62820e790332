"""The letters of a script that own words need, as a small font: cut out of the Noto typefaces of Debian."""

from __future__ import annotations

import io
from functools import lru_cache
from pathlib import Path
from threading import Lock
from typing import Final, Literal, TypeAlias

from tonada.core.errors import TonadaError
from tonada.core.proof.letters import NOTO, LetterKind, noto_name

LetterWeight: TypeAlias = Literal[400, 700]
LETTER_WEIGHTS: Final[tuple[LetterWeight, ...]] = (400, 700)
_FOLDER: Final = Path("/usr/share/fonts")
_WEIGHTS: Final = {400: "Regular", 700: "Bold"}
# Which font of a collection of Chinese, Japanese and Korean has the shapes of a country.
_IN_COLLECTION: Final = {"JP": 0, "KR": 1, "SC": 2}
# What joins letters is needed wherever letters join.
_JOINERS: Final = "\u200c\u200d\u25cc"
# A collection is large: two cuts at once would take twice the memory.
_ONE_AT_A_TIME: Final = Lock()


class NoLetters(TonadaError):
    """The typeface isn't on this machine; a device shows its own letters instead."""

    def __init__(self, name: str) -> None:
        super().__init__(f"{name} isn’t installed here. Run: make setup")


def letters_font(script: str, kind: LetterKind, weight: LetterWeight, characters: str) -> bytes:
    """Return a WOFF2 with these characters and what joins them. Raises NoLetters.

    script: one of NOTO. The same request gives the same bytes.
    """
    with _ONE_AT_A_TIME:
        return _cut(script, kind, weight, "".join(sorted(set(characters))))


@lru_cache(maxsize=64)
def _cut(script: str, kind: LetterKind, weight: LetterWeight, characters: str) -> bytes:
    from fontTools import subset, ttLib

    path, number = _file_of(script, kind, weight)
    options = subset.Options(
        flavor="woff2", layout_features=["*"], name_IDs=[1, 2, 4, 6], notdef_outline=True
    )
    # The time of the cut would make each one another.
    font = ttLib.TTFont(path, fontNumber=number, lazy=True, recalcTimestamp=False)
    cutter = subset.Subsetter(options)
    cutter.populate(text=characters + _JOINERS)
    cutter.subset(font)
    made = io.BytesIO()
    font.flavor = "woff2"
    font.save(made, reorderTables=False)
    return made.getvalue()


def _file_of(script: str, kind: LetterKind, weight: LetterWeight) -> tuple[Path, int]:
    """Return the file of a typeface, and which of its fonts; the upright one where there is no other."""
    for tried in (kind, "sans"):
        upright, serif = NOTO[script]
        name = (serif if tried == "serif" else upright).split(" CJK ")
        if len(name) > 1:
            path = _FOLDER / "opentype/noto" / f"Noto{name[0]}CJK-{_WEIGHTS[weight]}.ttc"
            number = _IN_COLLECTION[name[1]]
        else:
            path = _FOLDER / "truetype/noto" / f"Noto{name[0].replace(' ', '')}-{_WEIGHTS[weight]}.ttf"
            number = -1
        if path.is_file():
            return path, number
    raise NoLetters(noto_name(script, kind))
