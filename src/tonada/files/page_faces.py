"""The typefaces of the sample pages, for what is said of them on paper: from the built front end.

They ship with it (fontsource's variable fonts, one file for the Latin letters of each). Where there is none,
as in a package without the front end, whoever asks does without.
"""

from __future__ import annotations

import base64
import os
from functools import lru_cache
from pathlib import Path

from tonada.core.proof.typefaces import TYPEFACE_NAMES


@lru_cache(maxsize=32)
def face_data(name: str) -> str | None:
    """Return the Latin letters of a typeface as WOFF2 in base64; None where they aren't there."""
    if name not in TYPEFACE_NAMES:
        return None
    slug = name.lower().replace(" ", "-")
    found = sorted((built_front_end() / "assets").glob(f"{slug}-latin-wght-normal-*.woff2"))
    return base64.b64encode(found[0].read_bytes()).decode() if found else None


def built_front_end() -> Path:
    """Return the folder of the built front end: TONADA_FRONTEND, or where `make setup` builds it."""
    built = os.environ.get("TONADA_FRONTEND")
    return Path(built) if built else Path(__file__).resolve().parents[3] / "frontend" / "dist"
