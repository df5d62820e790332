"""CSS custom properties, as CSS Custom Properties for Cascading Variables Level 1 has them."""

from __future__ import annotations

import re
from collections.abc import Mapping
from typing import Final

from tonada.core.color.unknown import CannotTell
from tonada.core.formats.checked import LIST_BEGINS, pair_lines, summary
from tonada.core.formats.format import Format, Reading, Writing
from tonada.core.formats.listed import MAY_BE_COLOR, ColorList, ListBuilder
from tonada.core.formats.sheet import Dark, Options, Sheet, Value, joined, remark, shown
from tonada.core.source.notes import NoteKind
from tonada.core.source.stylesheets.computed import filled_in
from tonada.core.source.stylesheets.nesting import split_selectors
from tonada.core.source.stylesheets.scan import Declaration, line_finder, registered_in, scan_stylesheet
from tonada.core.source.stylesheets.values import colors_in_value, is_single_value

# How a stylesheet is turned to the night: the rules around the values, the outermost first.
NIGHT_RULES: Final[Mapping[Dark, tuple[str, ...]]] = {
    "media": ("@media (prefers-color-scheme: dark)", ":root"),
    "attribute": ('[data-theme="dark"]',),
    "class": (".dark",),
}
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
        found.add(colors[0], f"{name} (dark)" if is_by_night(entry) else name, line=line)
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


def write_css(sheet: Sheet, options: Options) -> str:
    """Return custom properties: the day's on the root, the night's where the page or the person wants it.

    A value that points at another one on the sheet is a reference to it.
    """
    lines = [*header(sheet, options, "--"), ":root {"]
    if sheet.night:
        lines.append(f"  color-scheme: {'light dark' if options.dark == 'media' else 'light'};")
    lines += indented(properties(sheet.day, options, "--"))
    lines.append("}")
    if sheet.night:
        lines += ["", *night_rule(properties(sheet.night, options, "--"), options)]
    lines += pair_list(sheet, options, "--")
    return "\n".join([*lines, ""])


def night_rule(declarations: list[str], options: Options) -> list[str]:
    """Return the declarations of the night within what turns a stylesheet to it."""
    lines = declarations if options.dark == "media" else ["color-scheme: dark;", *declarations]
    for around in reversed(NIGHT_RULES[options.dark]):
        lines = [f"{around} {{", *indented(lines), "}"]
    return lines


def indented(lines: list[str]) -> list[str]:
    """Return lines one level further in; an empty one stays empty."""
    return [f"  {line}" if line else "" for line in lines]


def properties(values: tuple[Value, ...], options: Options, lead: str, refer: str = "var({})") -> list[str]:
    """Return a declaration for each value, with its note as a comment; what is on one ground stands together.

    refer: how one refers to another.
    """
    lines, ground = [], ""
    for value in values:
        if value.over != ground:
            ground = value.over
            lines.append(f"/* On {comment(ground)} */" if ground else "")
        text = refer.format(lead + joined(value.refers, options)) if value.refers else shown(value, options)
        said = remark(value, value.note)
        note = f" /* {comment(said)} */" if said else ""
        lines.append(f"{lead}{joined(value.words, options)}: {text};{note}")
    return lines


def header(sheet: Sheet, options: Options, lead: str) -> list[str]:
    """Return the title, where the sheet comes from, and what came of its pairs, each as a comment."""
    said = (sheet.title, sheet.origin, summary(sheet, options, lead))
    return [f"/* {comment(text)} */" for text in said if text]


def pair_list(sheet: Sheet, options: Options, lead: str) -> list[str]:
    """Return a comment that lists every pair of a sheet; nothing without any."""
    lines = pair_lines(sheet, options, lead)
    if not lines:
        return []
    return [
        "",
        f"/* {LIST_BEGINS} text on ground · use · contrast ratio:",
        *(f"   {comment(line)}" for line in lines),
        "*/",
    ]


def comment(text: str) -> str:
    """Return text that can't end the comment it is in."""
    return " ".join(text.split()).replace("*/", "* /")


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
