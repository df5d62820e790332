"""A font of the brand's own: read, checked, and saved anew with nothing in it but what draws letters."""

from __future__ import annotations

import io
import re
import struct
import unicodedata
from pathlib import PurePath
from typing import TYPE_CHECKING, Any, Final, NoReturn

from tonada.core.errors import InputError
from tonada.core.limits import MAX_FONT_BYTES, MAX_FONT_UNPACKED_BYTES
from tonada.core.proof.font_letters import draws_latin, latin_lacking, scripts_drawn
from tonada.core.proof.typefaces import LONGEST_FAMILY, OwnKind

if TYPE_CHECKING:
    from fontTools.ttLib import TTFont

_WOFF2: Final = b"wOF2"
# Source: OpenType 1.9.1, “Organization of an OpenType Font”; “true” is Apple's.
_PLAIN: Final = (b"\x00\x01\x00\x00", b"OTTO", b"true")
_REFUSED: Final = {
    b"wOFF": "is an older kind of web font, WOFF",
    b"ttcf": "is a collection of several fonts",
}
_WANTED: Final = "Add a WOFF2, TTF or OTF file."
# Source: OpenType 1.9.1, OS/2: fsType, bits 0 to 3; fsSelection, bits 0 and 9; head: macStyle, bit 1.
_RESTRICTED: Final = 0x0002
_BITMAPS_ONLY: Final = 0x0200
_SLANTED: Final = 0x0001 | 0x0200
_MAC_ITALIC: Final = 0x0002
# Source: OS/2, sFamilyClass, its high byte; panose, bSerifStyle where bFamilyType is 2.
_SERIF_CLASSES: Final = (1, 2, 3, 4, 5, 7)
_SANS_CLASS: Final = 8
_SERIF_STYLES: Final = range(2, 11)
_LATIN_TEXT: Final = 2
# What a name table may keep: who made it and on which terms, and the names that programs ask for.
_KEPT_NAMES: Final = (0, 1, 2, 4, 6, 7, 13, 14)
_WEIGHT_AT_END: Final = re.compile(
    r"(?<=\w) (thin|hairline|(extra|ultra|semi|demi)? ?(light|bold)|book|regular|medium|black|heavy)$",
    re.IGNORECASE,
)
_NOT_IN_A_NAME: Final = re.compile(r"[^\w \-.]+")


def read_font(name: str, content: bytes) -> tuple[dict[str, Any], bytes]:
    """Return what is to be known of a font, and the font as WOFF2: letters, features, weights, terms.

    name: of the file. Hints are left out: they are programs. Raises InputError with a sentence that says why
    a font isn't taken.
    """
    from fontTools.ttLib import TTFont

    _check_head(name, content)
    try:
        font = TTFont(io.BytesIO(content), recalcTimestamp=False, recalcBBoxes=False)
        _check_terms(name, font)
        found = _facts(name, font)
        _draw_all(font)
        made = _saved(font, found["family"])
    except (InputError, MemoryError):
        raise
    except Exception as reason:  # fontTools raises whatever a broken table leads to
        _refuse(name, f"is broken: it can’t be read as a font. {_WANTED}", reason)
    if len(made) > MAX_FONT_BYTES:
        _refuse_size(name, len(made))
    return found, made


def _check_head(name: str, content: bytes) -> None:
    if len(content) > MAX_FONT_BYTES:
        _refuse_size(name, len(content))
    start = content[:4]
    if start in _REFUSED:
        _refuse(name, f"{_REFUSED[start]}. {_WANTED}")
    if start not in (_WOFF2, *_PLAIN):
        _refuse(name, f"isn’t a font. {_WANTED}")
    if start == _WOFF2:
        # Source: WOFF File Format 2.0, 4.1: totalSfntSize.
        if len(content) < 48:
            _refuse(name, f"is broken: it is cut off. {_WANTED}")
        (unpacked,) = struct.unpack_from(">I", content, 16)
        if content[4:8] == b"ttcf":
            _refuse(name, f"{_REFUSED[b'ttcf']}. {_WANTED}")
        if unpacked > MAX_FONT_UNPACKED_BYTES:
            most = MAX_FONT_UNPACKED_BYTES // 2**20
            _refuse(name, f"unpacks to {unpacked / 2**20:.0f} MB; a font may have {most}.")


def _check_terms(name: str, font: TTFont) -> None:
    terms = font["OS/2"].fsType
    if terms & 0x000F == _RESTRICTED or terms & _BITMAPS_ONLY:
        _refuse(name, "may not be embedded in pages: its maker says so in the file. Ask for a web licence.")
    angle = font["post"].italicAngle if "post" in font else 0
    if font["OS/2"].fsSelection & _SLANTED or font["head"].macStyle & _MAC_ITALIC or angle:
        _refuse(name, "is an italic, and the sample pages are set upright. Add the upright font.")


def _facts(name: str, font: TTFont) -> dict[str, Any]:
    characters = font.getBestCmap() or {}
    lacks, scripts = latin_lacking(characters), scripts_drawn(characters)
    if not draws_latin(lacks) and not scripts:
        _refuse(name, "draws no whole alphabet that the sample pages could be set in.")
    lightest, heaviest = _weights(font)
    return {
        "family": _family(font) or _cleaned(PurePath(name).stem) or "Font",
        "kind": _kind(font),
        "lightest": lightest,
        "heaviest": heaviest,
        "scripts": list(scripts),
        "lacks": lacks,
    }


def _weights(font: TTFont) -> tuple[int, int]:
    axes = {axis.axisTag: axis for axis in font["fvar"].axes} if "fvar" in font else {}
    if "wght" in axes:
        ends = (axes["wght"].minValue, axes["wght"].maxValue)
    else:
        weight = font["OS/2"].usWeightClass
        # Older tools wrote 1 to 9.
        ends = (weight * 100, weight * 100) if 0 < weight < 10 else (weight, weight)
    lightest, heaviest = (min(1000, max(1, round(end))) for end in ends)
    return min(lightest, heaviest), max(lightest, heaviest)


def _kind(font: TTFont) -> OwnKind:
    family_class = font["OS/2"].sFamilyClass >> 8
    if family_class in _SERIF_CLASSES:
        return "serif"
    if family_class == _SANS_CLASS:
        return "sans"
    panose = font["OS/2"].panose
    if panose.bFamilyType == _LATIN_TEXT and panose.bSerifStyle > 1:
        return "serif" if panose.bSerifStyle in _SERIF_STYLES else "sans"
    words = (_family(font) or "").casefold().split()
    return "serif" if "serif" in words and "sans" not in words else "sans"


def _family(font: TTFont) -> str:
    names = font["name"]
    whole = _cleaned(names.getDebugName(16) or "")
    # The older name has the weight in it, so that four styles at most go by one name.
    return whole or _WEIGHT_AT_END.sub("", _cleaned(names.getDebugName(1) or ""))


def _cleaned(text: str) -> str:
    """Return a name that may stand in a stylesheet between quotes as it is."""
    plain = _NOT_IN_A_NAME.sub(" ", unicodedata.normalize("NFC", text))
    return " ".join(plain.split())[:LONGEST_FAMILY].strip()


def _draw_all(font: TTFont) -> None:
    """Draw every shape once: what can't be drawn is broken, which its tables don't tell."""
    from fontTools.pens.basePen import NullPen

    shapes = font.getGlyphSet()
    for shape in font.getGlyphOrder():
        shapes[shape].draw(NullPen())


def _saved(font: TTFont, family: str) -> bytes:
    from fontTools import subset

    options = subset.Options(
        layout_features=["*"],
        hinting=False,
        notdef_outline=True,
        recommended_glyphs=True,
        name_IDs=list(_KEPT_NAMES),
        name_languages=[0x409],
        legacy_kern=True,
    )
    options.drop_tables += ["SVG ", "sbix", "CBDT", "CBLC", "EBDT", "EBLC", "EBSC"]
    cutter = subset.Subsetter(options)
    cutter.populate(glyphs=font.getGlyphOrder(), unicodes=list(font.getBestCmap() or {}))
    cutter.subset(font)
    names = font["name"]
    for number, text in ((1, family), (4, family)):
        names.setName(text, number, 3, 1, 0x409)
    made = io.BytesIO()
    font.flavor = "woff2"
    font.save(made, reorderTables=False)
    return made.getvalue()


def _refuse_size(name: str, size: int) -> NoReturn:
    _refuse(name, f"has {size / 2**20:.1f} MB; a font has at most {MAX_FONT_BYTES // 2**20}.")


def _refuse(name: str, why: str, reason: BaseException | None = None) -> NoReturn:
    raise InputError(f"“{name[:60]}” {why} Nothing was changed.", field="file") from reason
