"""Which format a file of colours is in: by what it holds first, by its name where that leaves a choice."""

from __future__ import annotations

import re
from collections.abc import Callable
from dataclasses import dataclass
from typing import Final

from tonada.core.errors import InputError
from tonada.core.formats import gpl
from tonada.core.formats.android import is_android, read_android
from tonada.core.formats.color_map import holds_color, read_color_map
from tonada.core.formats.css import read_css
from tonada.core.formats.gpl import read_gpl
from tonada.core.formats.listed import ColorList
from tonada.core.formats.office_theme import is_office_theme, read_office_theme
from tonada.core.formats.own_list import is_own, read_own_list
from tonada.core.formats.plain import read_plain
from tonada.core.formats.plain_json import is_plain, read_json
from tonada.core.formats.scss import read_less, read_scss
from tonada.core.formats.svg_swatches import read_svg_swatches
from tonada.core.formats.table import read_csv
from tonada.core.formats.tokens import parse_any_json, parse_json, read_token_object
from tonada.core.limits import MAX_JSON_BYTES, MAX_LIST_BYTES

# A list that begins like a colour, such as [1 2 3], is none: a name or a quote comes first.
_JSON: Final = re.compile(
    r"""(?:module\.exports\s*=|export\s+default)?\s*[\[{]\s*(?:["'\[{]|//|/\*|[\w$]+\s*:)""", re.IGNORECASE
)
_LESS: Final = re.compile(r"^@(?!charset|import|media|property)[-\w]+[ \t]*:", re.MULTILINE)


def _read_any_json(text: str) -> ColorList:
    root = parse_any_json(text)
    if isinstance(root, list):
        return read_color_map(root)
    if not isinstance(root, dict):
        raise InputError("The JSON is not an object with colours in it.", field="file")
    if is_own(root):
        return read_own_list(root)
    if is_plain(root):
        return read_json(root)
    try:
        return read_token_object(root)
    except InputError:
        if not holds_color(root):
            raise
    return read_color_map(root)


@dataclass(frozen=True, slots=True)
class Format:
    """A format that lists of colours come in: its name for people, its file endings, its reader."""

    name: str
    endings: tuple[str, ...]
    read: Callable[[str], ColorList]


FORMATS: Final = {
    one.name: one
    for one in (
        Format("CSS custom properties", (".css",), read_css),
        Format("SCSS variables", (".scss", ".sass"), read_scss),
        Format("Less variables", (".less",), read_less),
        Format("design tokens", (".json", ".json5", ".jsonc", ".tokens", ".tonada"), _read_any_json),
        Format("GPL palette", (".gpl",), read_gpl),
        Format("CSV", (".csv", ".tsv"), read_csv),
        Format("plain text", (".txt", ".md"), read_plain),
    )
}


def read_list(data: bytes, name: str = "") -> ColorList:
    """Return the colours of a file or a pasted text, in any of the formats.

    Raises InputError for an empty, too large, undecodable or colourless one.
    """
    if len(data) > MAX_LIST_BYTES:
        raise InputError(
            f"The list is {len(data) / 2**20:.1f} MB; the limit is {MAX_LIST_BYTES // 2**20} MB.",
            field="file",
        )
    text = decode_text(data)
    start = text.lstrip()[:200]
    if start.startswith("<") and ("<svg" in text[:4000]):
        return read_svg_swatches(data)
    if is_android(text):
        return read_android(text)
    if is_office_theme(text):
        return read_office_theme(text)
    return _format_of(start, text, name.lower()).read(text)


def decode_text(data: bytes) -> str:
    """Return the text of a file in UTF-8 or, with its mark, UTF-16. Raises InputError."""
    encoding = "utf-16" if data.startswith((b"\xff\xfe", b"\xfe\xff")) else "utf-8-sig"
    try:
        text = data.decode(encoding)
    except UnicodeDecodeError as reason:
        raise InputError(
            f"The text is not in UTF-8 (byte {reason.start + 1}). Save it as UTF-8.", field="file"
        ) from reason
    if not text.strip():
        raise InputError("It’s empty. Paste or choose something with a colour.", field="file")
    if "\0" in text:
        raise InputError("This is a binary file, not text.", field="file")
    return text


def _format_of(start: str, text: str, name: str) -> Format:
    if start.startswith(gpl.MARK):
        return FORMATS["GPL palette"]
    by_name = next((one for one in FORMATS.values() if name.endswith(one.endings)), None)
    if by_name:
        return by_name
    if _JSON.match(start):
        return FORMATS["design tokens"]
    if "{" in text and "--" in text and "}" in text:
        return FORMATS["CSS custom properties"]
    if start.startswith("$") or "\n$" in text:
        return FORMATS["SCSS variables"]
    if _LESS.search(text):
        return FORMATS["Less variables"]
    return FORMATS["plain text"]


def is_own_file(data: bytes) -> bool:
    """Return whether bytes look like a file of Tonada's own; it may still be invalid."""
    if len(data) > MAX_JSON_BYTES or data.lstrip()[:1] != b"{":
        return False
    try:
        return is_own(parse_json(decode_text(data)))
    except InputError:
        return False
