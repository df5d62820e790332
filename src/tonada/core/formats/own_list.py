"""The colours of Tonada's own file, for where a list is wanted: its swatches."""

from __future__ import annotations

from typing import Final

from tonada.core.formats.format import Format, Json, JsonReading
from tonada.core.formats.listed import ColorList, ListBuilder

MARK: Final = "tonada take"


def is_own(root: Json) -> bool:
    """Return whether JSON is a file of Tonada's own."""
    return isinstance(root, dict) and root.get("format") == MARK


def read_own_list(root: dict[str, Json]) -> ColorList:
    """Return the swatches of the take in the file. Raises InputError without any."""
    found = ListBuilder("Tonada take")
    title = root.get("name")
    found.title = title if isinstance(title, str) else None
    document = root.get("take")
    parts = document if isinstance(document, dict) else {}
    for one in _objects(parts.get("swatches")):
        value, name = one.get("hex"), one.get("name")
        if isinstance(value, str):
            found.add_text(value[:40], name if isinstance(name, str) else None)
    return found.build()


def _objects(value: Json) -> list[dict[str, Json]]:
    return [entry for entry in value if isinstance(entry, dict)] if isinstance(value, list) else []


FORMAT: Final = Format(
    kind="tonada", name="Tonada’s own file", json_reading=JsonReading(read=read_own_list, recognise=is_own)
)
