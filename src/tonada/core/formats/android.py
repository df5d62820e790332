"""Android's colour resources: `<resources><color name="brand">#AARRGGBB</color></resources>`."""

from __future__ import annotations

import re
from typing import Final
from xml.etree.ElementTree import ParseError

import defusedxml.ElementTree as SafeTree
from defusedxml import DefusedXmlException

from tonada.core.color.notation import read_color
from tonada.core.errors import InputError
from tonada.core.formats.format import Format, Reading
from tonada.core.formats.listed import ColorList, ListBuilder

_VALUE: Final = re.compile(r"#(?:[0-9a-f]{3,4}|[0-9a-f]{6}|[0-9a-f]{8})", re.IGNORECASE)
_REFERENCE: Final = "@color/"
DEEPEST_REFERENCE: Final = 24


def is_android(text: str) -> bool:
    """Return whether a text is a file of resources."""
    return text.lstrip("\ufeff \t\r\n").startswith("<") and "<resources" in text[:4000]


def read_android(text: str) -> ColorList:
    """Return the colours with their names; references to others of the file are followed.

    Raises InputError for broken XML, and without any colour.
    """
    try:
        root = SafeTree.fromstring(text)
    except (ParseError, DefusedXmlException, ValueError) as reason:
        raise InputError(f"The XML can’t be read: {str(reason)[:120]}", field="file") from None
    found = ListBuilder("Android colours")
    written = {entry.get("name", ""): (entry.text or "").strip() for entry in root.iter("color")}
    for name, own in written.items():
        value = own
        for _ in range(DEEPEST_REFERENCE):
            if not value.startswith(_REFERENCE):
                break
            value = written.get(value.removeprefix(_REFERENCE), "")
        if _VALUE.fullmatch(value):
            found.add(read_color(_as_css(value)), name)
        else:
            found.warn(None, f"{name}: “{own[:60]}” isn’t a colour of this file.")
    return found.build()


def _as_css(value: str) -> str:
    """Return the notation with the alpha last: Android has it first."""
    digits = value[1:]
    alpha = {4: 1, 8: 2}.get(len(digits), 0)
    return f"#{digits[alpha:]}{digits[:alpha]}"


FORMAT: Final = Format(
    kind="android", name="Android colours", reading=Reading(read=read_android, recognise=is_android)
)
