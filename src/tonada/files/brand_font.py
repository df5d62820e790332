"""A small font with the letters of a few words, in a typeface of the sample pages at one weight."""

from __future__ import annotations

import base64
import io
from dataclasses import dataclass
from functools import lru_cache
from typing import TYPE_CHECKING, Final

from tonada.core.proof.letters import NOTO, LetterKind
from tonada.core.proof.own_texts import LATIN, script_of_language, spoken_in
from tonada.core.proof.typefaces import TYPEFACES, Typeface
from tonada.files.letters import LetterWeight, NoLetters, letters_font
from tonada.files.page_faces import face_data

if TYPE_CHECKING:
    from fontTools.ttLib import TTFont

# What pictures call it, whatever typeface it is.
FAMILY: Final = "Brand"
# From this weight on, letters of other scripts are the bold ones.
_BOLD_FROM: Final = 600


@dataclass(frozen=True, slots=True)
class BrandFont:
    """woff2: to be embedded; truetype: for what draws a picture. width: of the words at a size of 1.

    middle: how high the middle of their shapes lies above the line that they stand on, at a size of 1."""

    woff2: bytes
    truetype: bytes
    width: float
    middle: float

    @property
    def data(self) -> str:
        """The address of the font, with all of it in it."""
        return f"data:font/woff2;base64,{base64.b64encode(self.woff2).decode()}"


@lru_cache(maxsize=64)
def brand_font(face: str, weight: int, words: str) -> BrandFont | None:
    """Return a font for words, drawn by the typeface or by Noto where it lacks their script; None where
    neither is on this machine. The same words give the same bytes."""
    from fontTools.ttLib import TTFont

    data = _source(face, weight, words)
    if data is None:
        return None
    font = TTFont(io.BytesIO(data), recalcTimestamp=False)
    _instance(font, face, weight)
    _cut(font, words)
    advances, characters = font["hmtx"].metrics, font.getBestCmap()
    width = sum(advances[characters[ord(one)]][0] for one in words if ord(one) in characters)
    units = font["head"].unitsPerEm
    middle = _middle(font, words) / units
    for record in font["name"].names:
        if record.nameID in (1, 4, 16):
            record.string = FAMILY
    return BrandFont(_saved(font, "woff2"), _saved(font, None), width / units, middle)


def _source(face: str, weight: int, words: str) -> bytes | None:
    script = script_of_language(spoken_in(words, None).language)
    chosen = next((one for one in TYPEFACES if one.name == face), None)
    # The file that ships is the one of the Latin letters.
    if script == LATIN or script not in NOTO:
        data = face_data(face)
        return base64.b64decode(data) if data else None
    kind: LetterKind = "serif" if chosen and chosen.kind == "serif" else "sans"
    bold: LetterWeight = 700 if weight >= _BOLD_FROM else 400
    try:
        latin = "".join(chr(code) for code in range(0x20, 0x7F))
        return letters_font(script, kind, bold, words + latin)
    except NoLetters:
        return None


def _instance(font: TTFont, face: str, weight: int) -> None:
    """Leave one weight of a variable font."""
    from fontTools.varLib import instancer

    if "fvar" not in font:
        return
    chosen: Typeface | None = next((one for one in TYPEFACES if one.name == face), None)
    wanted = min(max(weight, chosen.lightest), chosen.heaviest) if chosen else weight
    instancer.instantiateVariableFont(font, {"wght": wanted}, inplace=True)


def _cut(font: TTFont, words: str) -> None:
    from fontTools import subset

    cutter = subset.Subsetter(subset.Options(layout_features=["*"], notdef_outline=True))
    cutter.populate(text=words + " ")
    cutter.subset(font)


def _middle(font: TTFont, words: str) -> float:
    from fontTools.pens.boundsPen import BoundsPen

    shapes, characters = font.getGlyphSet(), font.getBestCmap()
    pen = BoundsPen(shapes)
    for one in words:
        if ord(one) in characters:
            shapes[characters[ord(one)]].draw(pen)
    return (pen.bounds[1] + pen.bounds[3]) / 2 if pen.bounds else 0.36 * float(font["head"].unitsPerEm)


def _saved(font: TTFont, flavor: str | None) -> bytes:
    made = io.BytesIO()
    font.flavor = flavor
    font.save(made, reorderTables=False)
    return made.getvalue()
