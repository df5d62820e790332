"""What SCSS and Less share: variables that are colours, references to them, and maps."""

from __future__ import annotations

import re
from dataclasses import replace
from typing import Final

from tonada.core.formats.css import comment, header, properties, title_of
from tonada.core.formats.listed import ColorList, ListBuilder
from tonada.core.formats.sheet import Options, Sheet, Value, joined, remark

_COMMENTS: Final = re.compile(r"/\*.*?(?:\*/|\Z)|(?<![:\w])//[^\n]*", re.DOTALL)
_VARIABLE: Final = {
    mark: re.compile(rf"^[ \t]*\{mark}([-\w]+)[ \t]*:[ \t]*([^;{{}}\n]*)", re.MULTILINE) for mark in "$@"
}
_MAP_ENTRY: Final = re.compile(
    r"""^[ \t]*["']?([-\w ]+?)["']?[ \t]*:[ \t]*([^;{}\n]+?),?[ \t]*$""", re.MULTILINE
)
DEEPEST_REFERENCE: Final = 24


def read_variables(text: str, mark: str, name: str) -> ColorList:
    """Return the variables that are one colour, in their order; functions are noted, not computed.

    mark: what a variable begins with. name: the format's, for people. Raises InputError without any.
    """
    found = ListBuilder(name)
    variable = _VARIABLE[mark]
    found.title = title_of(text)
    plain = _COMMENTS.sub(lambda match: re.sub(r"[^\n]", " ", match.group()), text)
    variables = {name: _value(value) for name, value in reversed(variable.findall(plain))}
    entries = [(match.start(), match) for match in variable.finditer(plain)]
    entries += [(match.start(), match) for match in _MAP_ENTRY.finditer(plain)]
    counted, line = 0, 1
    for start, match in sorted(entries, key=lambda entry: entry[0]):
        line += plain.count("\n", counted, start)
        counted = start
        variable_name, value = match.group(1), _follow(_value(match.group(2)), variables, mark)
        if not value.startswith("("):
            found.add_css(value, variable_name, line=line)
    return found.build()


def _value(text: str) -> str:
    return re.sub(r"!(?:default|global)", "", text).strip().rstrip(",").strip()


def _follow(value: str, variables: dict[str, str], mark: str) -> str:
    for _ in range(DEEPEST_REFERENCE):
        if not value.startswith(mark) or value[1:] not in variables:
            break
        value = variables[value[1:]]
    return value


def write_variables(sheet: Sheet, options: Options, mark: str) -> str:
    """Return a variable for each value; those of the night end in “night”, and stand last."""
    night = tuple(_at_night(value) for value in sheet.night)
    lines = [*header(sheet, "/* {} */"), *_variables(sheet.day, options, mark)]
    if night:
        lines += ["", *_variables(night, options, mark)]
    return "\n".join([*lines, ""])


def _variables(values: tuple[Value, ...], options: Options, mark: str) -> list[str]:
    # What is referred to stands before what refers to it.
    first = [value for value in values if not value.refers]
    lines = properties(tuple(first), options, mark)
    for value in values:
        if value.refers:
            said = remark(value, value.note)
            note = f" /* {comment(said)} */" if said else ""
            lines.append(
                f"{mark}{joined(value.words, options)}: {mark}{joined(value.refers, options)};{note}"
            )
    return lines


def _at_night(value: Value) -> Value:
    refers = (*value.refers, "night") if value.refers else None
    return replace(value, words=(*value.words, "night"), refers=refers)
