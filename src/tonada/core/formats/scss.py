"""SCSS variables: `$name: colour;`, references to other variables, and maps of names to colours."""

from __future__ import annotations

import re
from dataclasses import replace
from typing import Final

from tonada.core.formats.css import comment, header, properties, title_of
from tonada.core.formats.listed import ColorList, ListBuilder
from tonada.core.formats.sheet import Options, Sheet, Value, joined

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
    found.title = title_of(text)
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
            found.add_css(value, name, line=line)
    return found.build()


def _value(text: str) -> str:
    return re.sub(r"!(?:default|global)", "", text).strip().rstrip(",").strip()


def _follow(value: str, variables: dict[str, str]) -> str:
    for _ in range(DEEPEST_REFERENCE):
        if not value.startswith("$") or value[1:] not in variables:
            break
        value = variables[value[1:]]
    return value


def write_scss(sheet: Sheet, options: Options) -> str:
    """Return a variable for each value; those of the night end in “night”, and stand last."""
    night = tuple(_at_night(value) for value in sheet.night)
    lines = [*header(sheet, "/* {} */"), *_variables(sheet.day, options)]
    if night:
        lines += ["", *_variables(night, options)]
    return "\n".join([*lines, ""])


def _variables(values: tuple[Value, ...], options: Options) -> list[str]:
    # What is referred to stands before what refers to it.
    first = [value for value in values if not value.refers]
    lines = properties(tuple(first), options, "$")
    for value in values:
        if value.refers:
            note = f" /* {comment(value.note)} */" if value.note else ""
            lines.append(f"${joined(value.words, options)}: ${joined(value.refers, options)};{note}")
    return lines


def _at_night(value: Value) -> Value:
    refers = (*value.refers, "night") if value.refers else None
    return replace(value, words=(*value.words, "night"), refers=refers)
