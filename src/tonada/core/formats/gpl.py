"""GPL palettes: a first line `GIMP Palette`, then `red green blue name` in decimals, one a line."""

from __future__ import annotations

import re
from typing import Final

from tonada.core.formats.listed import ColorList, ListBuilder

MARK: Final = "GIMP Palette"
_ENTRY: Final = re.compile(r"\s*(\d{1,3})\s+(\d{1,3})\s+(\d{1,3})(?:\s+(.*))?$")


def read_gpl(text: str) -> ColorList:
    """Return the colours with their names; lines that are no entry are noted.

    Raises InputError without any.
    """
    found = ListBuilder("GPL palette")
    for number, line in enumerate(text.splitlines(), 1):
        stripped = line.strip()
        if stripped.startswith("Name:"):
            found.title = stripped.removeprefix("Name:").strip()
        if not stripped or stripped == MARK or stripped.startswith(("#", "Name:", "Columns:")):
            continue
        entry = _ENTRY.match(line[:500])
        if entry is None:
            found.note(number, f"“{stripped[:60]}” is not an entry such as “43 58 140 Indigo”.")
            continue
        name = (entry.group(4) or "").strip()
        unnamed = name.lower() in ("", "untitled")
        found.add_text(" ".join(entry.group(1, 2, 3)), None if unnamed else name, line=number)
    return found.build()
