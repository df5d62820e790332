"""What stylesheets share when they are written: declarations, the night, older browsers, comments."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import replace
from typing import Final

from tonada.core.color.writing import PLAIN_NOTATIONS
from tonada.core.formats.checked import LIST_BEGINS, pair_lines, summary
from tonada.core.formats.naming import Words
from tonada.core.formats.sheet import Dark, Options, Sheet, Value, joined, remark, shown

# How a stylesheet is turned to the night: the rules around the values, the outermost first.
NIGHT_RULES: Final[Mapping[Dark, tuple[str, ...]]] = {
    "media": ("@media (prefers-color-scheme: dark)", ":root"),
    "attribute": ('[data-theme="dark"]',),
    "class": (".dark",),
    "light-dark": (":root",),
}
# What a browser knows that knows oklch() and lab(); older ones keep the values in hex before it.
_MODERN: Final = "@supports (color: oklch(0 0 0)) and (color: lab(0 0 0))"


def write_css(sheet: Sheet, options: Options) -> str:
    """Return custom properties: the day's on the root, the night's where the page or the person wants it.

    A value that points at another one on the sheet is a reference to it.
    """
    lines = [*header(sheet, options, "--"), *_both_schemes(sheet, plain_first(options))]
    if has_fallback(options):
        lines += ["", *within(_MODERN, _both_schemes(sheet, options, notes=False))]
    return "\n".join([*lines, *pair_list(sheet, options, "--"), ""])


def _both_schemes(sheet: Sheet, options: Options, *, notes: bool = True) -> list[str]:
    """Return the rules of the day and of the night; one of both with light-dark()."""
    in_one = in_one_value(sheet, options)
    day = properties(sheet.day, options, "--", night=sheet.night if in_one else (), notes=notes)
    if sheet.night:
        day = [f"color-scheme: {'light dark' if options.dark in ('media', 'light-dark') else 'light'};", *day]
    lines = within(":root", day)
    if sheet.night and not in_one:
        lines += ["", *night_rule(properties(sheet.night, options, "--", notes=notes), options)]
    return lines


def in_one_value(sheet: Sheet, options: Options) -> bool:
    """Return whether each property has both schemes in its value."""
    return options.dark == "light-dark" and bool(sheet.night)


def has_fallback(options: Options) -> bool:
    """Return whether values stand in hex first, for browsers that don't know their notation."""
    return options.fallback and options.notation not in PLAIN_NOTATIONS


def plain_first(options: Options) -> Options:
    """Return the options of what stands first: hex, where a later notation follows."""
    return replace(options, notation="hex") if has_fallback(options) else options


def modern(lines: list[str]) -> list[str]:
    """Return rules for browsers that know the notation of their values."""
    return within(_MODERN, lines)


def night_rule(declarations: list[str], options: Options) -> list[str]:
    """Return the declarations of the night within what turns a stylesheet to it."""
    lines = declarations if options.dark == "media" else ["color-scheme: dark;", *declarations]
    for around in reversed(NIGHT_RULES[options.dark]):
        lines = within(around, lines)
    return lines


def within(around: str, lines: list[str]) -> list[str]:
    """Return lines in a block; an empty one stays empty."""
    return [f"{around} {{", *(f"  {line}" if line else "" for line in lines), "}"]


def properties(
    values: tuple[Value, ...],
    options: Options,
    lead: str,
    refer: str = "var({})",
    night: tuple[Value, ...] = (),
    *,
    notes: bool = True,
) -> list[str]:
    """Return a declaration for each value, with its note as a comment; what is on one ground stands together.

    refer: how one refers to another. night: the values by night, where both stand in one.
    """
    by_night: Mapping[Words, Value] = {value.words: value for value in night}

    def text_of(value: Value) -> str:
        return refer.format(lead + joined(value.refers, options)) if value.refers else shown(value, options)

    lines, ground = [], ""
    for value in values:
        if notes and value.over != ground:
            ground = value.over
            lines.append(f"/* On {comment(ground)} */" if ground else "")
        text, dark = text_of(value), text_of(by_night.get(value.words, value))
        both = text if text == dark else f"light-dark({text}, {dark})"
        said = remark(value, value.note) if notes and text == dark else ""
        note = f" /* {comment(said)} */" if said else ""
        lines.append(f"{lead}{joined(value.words, options)}: {both};{note}")
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
    first = f"/* {LIST_BEGINS} text on ground · use · contrast ratio:"
    return ["", first, *(f"   {comment(line)}" for line in lines), "*/"]


def comment(text: str) -> str:
    """Return text that can't end the comment it is in."""
    return " ".join(text.split()).replace("*/", "* /")
