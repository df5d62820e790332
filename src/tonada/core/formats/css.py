"""CSS custom properties, as CSS Custom Properties for Cascading Variables Level 1 has them."""

from __future__ import annotations

import re
from collections.abc import Mapping
from typing import Final

from tonada.core.color.unknown import CannotTell
from tonada.core.formats.format import Format, Reading, Writing
from tonada.core.formats.listed import MAY_BE_COLOR, ColorList, ListBuilder
from tonada.core.formats.stylesheet_writing import write_css
from tonada.core.source.notes import NoteKind
from tonada.core.source.stylesheets.computed import filled_in, paint
from tonada.core.source.stylesheets.nesting import split_selectors
from tonada.core.source.stylesheets.scan import Declaration, line_finder, registered_in, scan_stylesheet
from tonada.core.source.stylesheets.values import colors_in_value, is_single_value

# What a page has on it by night: an attribute or a class of its root. A class such as `.table-dark` is a
# component of its own, by day too.
_DARK_PAGE: Final = re.compile(
    r"(?::root|html|body)?(?:\[data-[-\w]+=[\"']?dark[\"']?\]|\.(?:theme-dark|dark(?:-mode|-theme)?))",
    re.IGNORECASE,
)
_FIRST_COMMENT: Final = re.compile(r"\s*/\*[ \t]*([^\n*][^\n]*?)[ \t]*\*/")


def read_css(text: str) -> ColorList:
    """Return the custom properties that are one colour; those that are none are noted.

    Raises InputError without any.
    """
    found, lines = ListBuilder("CSS custom properties"), line_finder(text)
    found.title = title_of(text)
    scanned = list(scan_stylesheet(text))
    registered = registered_in(scanned)
    declared = [entry for entry in scanned if entry.property.startswith("--")]
    set_somewhere = {entry.property for entry in declared}
    # What is registered has its initial value wherever nothing sets it.
    declared += [entry for name, entry in registered.items() if name not in set_somewhere]
    variables = {name: entry.value for name, entry in registered.items()}
    variables |= {entry.property: entry.value for entry in reversed(declared) if entry.property[:2] == "--"}
    names = {id(entry): name for name, entry in registered.items()}
    for entry in declared:
        _take(entry, names.get(id(entry), entry.property), variables, lines.line_of(entry.start), found)
    return found.build()


def _take(
    entry: Declaration, custom: str, variables: Mapping[str, str], line: int, found: ListBuilder
) -> None:
    """Take the value of a custom property, or say why not."""
    colors = colors_in_value(entry.value, variables)
    name = custom.lstrip("-")
    if any(context.startswith("@theme") for context in entry.context):
        name = name.removeprefix("color-") or name
    if len(colors) == 1 and is_single_value(entry.value):
        by_night = f"{name} (dark)"
        found.add(colors[0], by_night if is_by_night(entry) else name, line=line)
        if "light-dark(" in entry.value:
            for color in paint(filled_in(entry.value, variables), "dark").colors:
                found.add(color, by_night, line=line)
        return
    try:
        is_unknown = MAY_BE_COLOR.search(filled_in(entry.value, variables)) is not None
    except CannotTell:
        is_unknown = True
    kind: NoteKind = "not understood" if is_unknown else "left out"
    found.warn(line, f"{custom}: “{entry.value[:60]}” is not a single colour.", kind)


def is_by_night(declaration: Declaration) -> bool:
    """Return whether a declaration counts in the dark scheme only."""
    selectors = split_selectors(declaration.selector)
    return any("dark" in condition for condition in declaration.context) or all(
        _DARK_PAGE.fullmatch(selector) for selector in selectors
    )


def title_of(text: str) -> str | None:
    """Return the first comment of a stylesheet if it is one line; else None."""
    first = _FIRST_COMMENT.match(text)
    return first[1] if first else None


FORMAT: Final = Format(
    kind="css",
    name="CSS custom properties",
    note="light and dark",
    reading=Reading(
        read=read_css,
        endings=(".css",),
        resembles=lambda text: "{" in text and "--" in text and "}" in text,
    ),
    writing=Writing(write=write_css, ending=".css", mimetype="text/css"),
)
