"""Fonts for tests: every letter is a box of the same width."""

from __future__ import annotations

import io
import string
from collections.abc import Callable
from functools import lru_cache
from typing import Final

from fontTools.fontBuilder import FontBuilder
from fontTools.pens.t2CharStringPen import T2CharStringPen
from fontTools.pens.ttGlyphPen import TTGlyphPen
from fontTools.ttLib import TTFont

FAMILY: Final = "Halden Block"
LATIN: Final = string.ascii_letters + string.digits + " .,:;-–’“”&"
# Of an em, as wide as no typeface that ships has its letters.
ADVANCE: Final = 900
UNITS: Final = 1000


def font_file(
    letters: str = LATIN,
    *,
    family: str = FAMILY,
    weight: int = 400,
    flavor: str | None = "woff2",
    cubic: bool = False,
    change: Callable[[TTFont], None] = lambda _: None,
) -> bytes:
    """Return a font. cubic: with the curves of an OTF. change: what is wrong with it, before it is saved."""
    made = _built("".join(sorted(set(letters))), family, weight, cubic)
    font = TTFont(io.BytesIO(made), recalcTimestamp=False)
    change(font)
    font.flavor = flavor
    written = io.BytesIO()
    font.save(written, reorderTables=False)
    return written.getvalue()


@lru_cache(maxsize=16)
def _built(letters: str, family: str, weight: int, cubic: bool) -> bytes:
    names = [".notdef", *(f"u{ord(one):04X}" for one in letters)]
    builder = FontBuilder(UNITS, isTTF=not cubic)
    builder.setupGlyphOrder(names)
    builder.setupCharacterMap({ord(one): f"u{ord(one):04X}" for one in letters})
    if cubic:
        pen = T2CharStringPen(ADVANCE, None)
        _draw(pen)
        builder.setupCFF("Halden", {}, dict.fromkeys(names, pen.getCharString()), {})
    else:
        plain = TTGlyphPen(None)
        _draw(plain)
        builder.setupGlyf(dict.fromkeys(names, plain.glyph()))
    builder.setupHorizontalMetrics(dict.fromkeys(names, (ADVANCE, 100)))
    builder.setupHorizontalHeader(ascent=800, descent=-200)
    builder.setupNameTable({"familyName": family, "styleName": "Regular"})
    builder.setupOS2(usWeightClass=weight, fsType=0, sTypoAscender=800, sTypoDescender=-200)
    builder.setupPost()
    # The hour would make each one another.
    builder.font["head"].created = builder.font["head"].modified = 0
    written = io.BytesIO()
    builder.font.recalcTimestamp = False
    builder.save(written)
    return written.getvalue()


def _draw(pen: TTGlyphPen | T2CharStringPen) -> None:
    pen.moveTo((100, 0))
    for corner in ((100, 700), (800, 700), (800, 0)):
        pen.lineTo(corner)
    pen.closePath()
