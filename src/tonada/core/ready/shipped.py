"""Our own ready-made palettes, as they ship: data that `make ready-made` writes.

The file is in Tonada's format for lists of palettes (formats/palette_list.py) and says beside each palette
what was computed of it, so that nothing is computed again when it is read.
"""

from __future__ import annotations

import json
from dataclasses import asdict
from functools import lru_cache
from importlib.resources import files
from typing import Any, Final

from tonada.core.ready.palette import Proof, ReadyPalette, RoleColor, Traits
from tonada.core.take.parts import Role

FILE: Final = "palettes.json"


@lru_cache(maxsize=1)
def shipped_palettes() -> tuple[ReadyPalette, ...]:
    """Return all of them, the most different first."""
    text = (files("tonada.core.ready") / FILE).read_text("utf-8")
    return tuple(_palette(entry) for entry in json.loads(text)["palettes"])


def figures_of(palette: ReadyPalette) -> dict[str, Any]:
    """Return what the file says of a palette beside its colours."""
    traits = asdict(palette.traits)
    proof = asdict(palette.proof) if palette.proof else None
    return {"id": palette.id, "traits": traits, "proof": proof}


def _palette(entry: dict[str, Any]) -> ReadyPalette:
    return ReadyPalette(
        id=entry["id"],
        name=entry["name"],
        colors=tuple(RoleColor(Role(role), value) for role, value in entry["colors"].items()),
        traits=Traits(**entry["traits"]),
        moods=tuple(entry["moods"]),
        trades=tuple(entry["trades"]),
        proof=Proof(**entry["proof"]),
    )
