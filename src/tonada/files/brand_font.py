"""A small font with the letters of a few words, in a typeface of the sample pages at one weight."""

from __future__ import annotations

import base64
import io
from dataclasses import dataclass
from functools import lru_cache
from typing import TYPE_CHECKING, Final

from tonada.core.proof.letters import NOTO, LetterKind
from tonada.core.proof.own_texts import LATIN, script_of_language, spoken_in
from tonada.core.proof.typefaces import TYPEFACES, kind_and_scripts
from tonada.files.letters import LetterWeight, NoLetters, letters_font
from tonada.files.page_faces import LatinFile, OwnFont, face_data

if TYPE_CHECKING:
    from fontTools.ttLib import TTFont

# What pictures call it, whatever typeface it is.
FAMILY: Final = "Brand"
_LATIN_FILES: Final[tuple[LatinFile, ...]] = ("latin", "latin-ext")
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
def brand_font(face: str, weight: int, words: str, own: OwnFont | None = None) -> BrandFont | None:
    """Return a font for words, drawn by the typeface or by Noto where it lacks their script; None where
    neither is on this machine. own: the brand's own, which draws the words. The same words give the
    same bytes."""
    from fontTools.ttLib import TTFont

    data = _source(face, weight, words, own)
    if data is None:
        return None
    font = TTFont(io.BytesIO(data), recalcTimestamp=False)
    _instance(font, *_ends_of(face, own), weight)
    _cut(font, words)
    advances, characters = font["hmtx"].metrics, font.getBestCmap()
    width = sum(advances[characters[ord(one)]][0] for one in words if ord(one) in characters)
    units = font["head"].unitsPerEm
    middle = _middle(font, words) / units
    for record in font["name"].names:
        if record.nameID in (1, 4, 16):
            record.string = FAMILY
    return BrandFont(_saved(font, "woff2"), _saved(font, None), width / units, middle)


def _source(face: str, weight: int, words: str, own: OwnFont | None) -> bytes | None:
    if own:
        return own.woff2
    script = script_of_language(spoken_in(words, None).language)
    # The files that ship are those of the Latin letters.
    if script == LATIN or script not in NOTO:
        return _latin(face, words)
    kind: LetterKind = kind_and_scripts(face, ())[0]
    bold: LetterWeight = 700 if weight >= _BOLD_FROM else 400
    try:
        latin = "".join(chr(code) for code in range(0x20, 0x7F))
        return letters_font(script, kind, bold, words + latin)
    except NoLetters:
        return None


def _latin(face: str, words: str) -> bytes | None:
    """Return the file of a typeface that has all letters of the words, or else the most usual ones."""
    from fontTools.ttLib import TTFont

    data = [base64.b64decode(found) for kind in _LATIN_FILES if (found := face_data(face, kind))]
    wanted = set(map(ord, words))
    whole = (one for one in data if wanted <= (TTFont(io.BytesIO(one), lazy=True).getBestCmap() or {}).keys())
    return next(whole, data[0] if data else None)


def _ends_of(face: str, own: OwnFont | None) -> tuple[int, int]:
    """Return the lightest and the heaviest weight of a typeface."""
    chosen = own.face if own else next((one for one in TYPEFACES if one.name == face), None)
    return (chosen.lightest, chosen.heaviest) if chosen else (1, 1000)


def _instance(font: TTFont, lightest: int, heaviest: int, weight: int) -> None:
    """Leave one weight of a variable font, and of its other axes what is usual."""
    from fontTools.varLib import instancer

    if "fvar" not in font:
        return
    usual = {axis.axisTag: axis.defaultValue for axis in font["fvar"].axes}
    wanted = {"wght": min(max(weight, lightest), heaviest)} if "wght" in usual else {}
    instancer.instantiateVariableFont(font, usual | wanted, inplace=True)


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
