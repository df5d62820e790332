"""What a source keeps of its reading, as JSON, in the words of this release.

Version 1, before release 0.2, called the warnings of a list notes and the starting colours of a mood
anchors, had the roles of format 1, and kept the verdict on the pairs of a stylesheet.
"""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any, Final, Literal, TypeAlias

from tonada.core.take.earlier import current_role

# What a source is: a file of pixels or vectors, colours one by one, styles, or words.
SourceKind: TypeAlias = Literal["image", "list", "stylesheet", "mood"]

VERSION: Final = 2
_NAMES: Final = {"notes": "warnings", "anchors": "starting_colors"}


def current_reading(kept: Mapping[str, Any]) -> dict[str, Any]:
    """Return what is kept in this version; nothing of a source that is still being read."""
    if not kept or kept.get("version") == VERSION:
        return dict(kept)
    found = {_NAMES.get(name, name): value for name, value in kept.items()}
    if "warnings" in found:
        found["colors"] = [{**color, "role": _role(color.get("role"))} for color in found["colors"]]
    if "groups" in found:
        found["pairs"] = [
            {name: value for name, value in pair.items() if name != "is_enough"} for pair in found["pairs"]
        ]
    return {**found, "version": VERSION}


def _role(role: str | None) -> str | None:
    return current_role(role) if role else None
