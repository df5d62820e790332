"""GPL palettes: a first line `GIMP Palette`, then `red green blue name` in decimals, one a line."""

from __future__ import annotations

import re
from typing import Final

from tonada.core.color.spaces import hex_to_srgb8
from tonada.core.formats.format import Format, Reading, Writing
from tonada.core.formats.listed import ColorList, ListBuilder
from tonada.core.formats.sheet import Options, Sheet, Value

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
            found.warn(number, f"“{stripped[:60]}” is not an entry such as “43 58 140 Indigo”.")
            continue
        name = (entry.group(4) or "").strip()
        unnamed = name.lower() in ("", "untitled")
        found.add_text(" ".join(entry.group(1, 2, 3)), None if unnamed else name, line=number)
    return found.build()


def write_gpl(sheet: Sheet, options: Options) -> str:
    """Return the palette, the day's values before the night's. Names are for people here."""
    del options  # the format has one notation and free names
    lines = [MARK, *([f"Name: {_line(sheet.title)}"] if sheet.title else []), "#"]
    lines += [_entry(value, "") for value in sheet.day if _has_place(value)]
    lines += [_entry(value, " (night)") for value in sheet.night if _has_place(value)]
    return "\n".join([*lines, ""])


def _has_place(value: Value) -> bool:
    """The format has no alpha, and a translucent colour without it would be another. What is used on a ground
    is no colour of its own."""
    return value.alpha == 1 and value.part != "use"


def _entry(value: Value, after: str) -> str:
    channels = " ".join(f"{int(channel):3d}" for channel in hex_to_srgb8(value.hex))
    return f"{channels}\t{_line(value.name)}{after}"


def _line(text: str) -> str:
    return " ".join(text.split())


FORMAT: Final = Format(
    kind="gpl",
    name="GPL palette",
    note="for drawing programs",
    reading=Reading(read=read_gpl, endings=(".gpl",), recognise=lambda text: text.lstrip().startswith(MARK)),
    writing=Writing(write=write_gpl, ending=".gpl", mimetype="text/plain", holds_texts=False),
)
