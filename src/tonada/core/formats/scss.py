"""SCSS variables: `$name: colour;`, references to other variables, and maps of names to colours."""

from __future__ import annotations

import re
from typing import Final

from tonada.core.formats.listed import ColorList, ListBuilder

_COMMENTS: Final = re.compile(r"/\*.*?(?:\*/|\Z)|(?<![:\w])//[^\n]*", re.DOTALL)
_VARIABLE: Final = re.compile(r"^[ \t]*\$([-\w]+)[ \t]*:[ \t]*([^;{}\n]*)", re.MULTILINE)
_MAP_ENTRY: Final = re.compile(
    r"""^[ \t]*["']?([-\w ]+?)["']?[ \t]*:[ \t]*([^;{}\n]+?),?[ \t]*$""", re.MULTILINE
)
DEEPEST_REFERENCE: Final = 24


def read_scss(text: str) -> ColorList:
    """Return the variables that are one colour, in their order; functions are noted, not computed.

    Raises InputError without any.
    """
    found = ListBuilder("SCSS variables")
    plain = _COMMENTS.sub(lambda match: re.sub(r"[^\n]", " ", match.group()), text)
    variables = {name: _value(value) for name, value in reversed(_VARIABLE.findall(plain))}
    entries = [(match.start(), match) for match in _VARIABLE.finditer(plain)]
    entries += [(match.start(), match) for match in _MAP_ENTRY.finditer(plain)]
    counted, line = 0, 1
    for start, match in sorted(entries, key=lambda entry: entry[0]):
        line += plain.count("\n", counted, start)
        counted = start
        name, value = match.group(1), _follow(_value(match.group(2)), variables)
        if not value.startswith("("):
            found.add_text(value, name, line=line)
    return found.build()


def _value(text: str) -> str:
    return re.sub(r"!(?:default|global)", "", text).strip().rstrip(",").strip()


def _follow(value: str, variables: dict[str, str]) -> str:
    for _ in range(DEEPEST_REFERENCE):
        if not value.startswith("$") or value[1:] not in variables:
            break
        value = variables[value[1:]]
    return value
