"""The typefaces of the sample pages, for what is said of them on paper: from the built front end.

They ship with it (fontsource's variable fonts, two files for the Latin letters of each). Where there is none,
as in a package without the front end, whoever asks does without.
"""

from __future__ import annotations

import base64
import os
from collections.abc import Sequence
from dataclasses import dataclass
from functools import lru_cache
from pathlib import Path
from typing import Final, Literal, TypeAlias

from tonada.core.proof.own_texts import LATIN, script_of_language, spoken_in
from tonada.core.proof.typefaces import TYPEFACE_NAMES, OwnFace

_REGULAR: Final = 400
_MEDIUM: Final = 500
# Those of the typefaces that ship, as a stylesheet has them.
SHIPPED_WEIGHTS: Final = "100 900"


@dataclass(frozen=True, slots=True)
class OwnFont:
    """A font of the brand's own, a WOFF2, and what was read of it."""

    face: OwnFace
    woff2: bytes

    @property
    def data(self) -> str:
        """The font in base64."""
        return base64.b64encode(self.woff2).decode()

    def draws(self, words: str) -> bool:
        """Return whether it has the letters of these words."""
        script = script_of_language(spoken_in(words, None).language)
        is_known = script == LATIN or script in self.face.scripts
        return is_known and not set(words) & set(self.face.lacks)

    @property
    def weights(self) -> str:
        """Its weights as a stylesheet has them."""
        return f"{self.face.lightest} {self.face.heaviest}"


def own_font(name: str, weight: int, fonts: Sequence[OwnFont]) -> OwnFont | None:
    """Return the font of a typeface that a browser takes for a weight; None where it isn't the brand's own.

    Source: CSS Fonts 4, 5.2, font-weight.
    """
    of_family = [font for font in fonts if font.face.name == name]

    def rank(font: OwnFont) -> tuple[int, int]:
        lighter, heavier = weight - font.face.heaviest, font.face.lightest - weight
        if max(lighter, heavier) <= 0:
            return 0, 0
        if _REGULAR <= weight <= _MEDIUM and 0 < heavier <= _MEDIUM - weight:
            return 1, heavier
        wants_heavier = weight > _MEDIUM
        return (2 if (heavier > 0) == wants_heavier else 3), max(lighter, heavier)

    return min(of_family, key=rank, default=None)


LatinFile: TypeAlias = Literal["latin", "latin-ext"]


@lru_cache(maxsize=64)
def face_data(name: str, letters: LatinFile = "latin") -> str | None:
    """Return the Latin letters of a typeface as WOFF2 in base64; None where they aren't there.

    letters: those of western Europe, or the others.
    """
    if name not in TYPEFACE_NAMES:
        return None
    slug = name.lower().replace(" ", "-")
    found = sorted((built_front_end() / "assets").glob(f"{slug}-{letters}-wght-normal-*.woff2"))
    return base64.b64encode(found[0].read_bytes()).decode() if found else None


def built_front_end() -> Path:
    """Return the folder of the built front end: TONADA_FRONTEND, or where `make setup` builds it."""
    built = os.environ.get("TONADA_FRONTEND")
    return Path(built) if built else Path(__file__).resolve().parents[3] / "frontend" / "dist"
