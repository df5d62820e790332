"""Any text with colours in it: a pasted note, a mail, a table out of a guide."""

from __future__ import annotations

import re
from typing import Final

from tonada.core.color.css_values import FUNCTION_NAMES
from tonada.core.color.notation import ReadColor, is_color_name, read_color
from tonada.core.color.unknown import CannotTell
from tonada.core.errors import ColorError
from tonada.core.formats.format import Format, Reading
from tonada.core.formats.listed import ColorList, ListBuilder
from tonada.core.source.stylesheets.computed import filled_in

# A notation with a function in it, such as calc() or var(), and in that another one at most.
_MARKED: Final = re.compile(
    rf"""\#[0-9a-f]{{3,8}}\b
      | (?<![-\w])(?:{"|".join(sorted(FUNCTION_NAMES, reverse=True))})
        \((?:[^()]|\((?:[^()]|\([^()]{{1,60}}\)){{1,80}}\)){{1,160}}\)""",
    re.IGNORECASE | re.VERBOSE,
)
# A run of numbers; three are a colour, four are something else.
_DECIMALS: Final = re.compile(r"(?<![\d.])\d{1,3}(?:(?:, ?| |\t)\d{1,3})+(?![\d.])")
# What a press mixes depends on paper and ink: no value of a screen follows from it.
_CMYK: Final = re.compile(
    r"\b(?:device-)?cmyk\b[\s:=(]*(?:[cmyk]?\s*\d{1,3}(?:\.\d+)?\s*%?[\s,;/|]*){4}\)?", re.IGNORECASE
)
_HEX_DIGITS: Final = re.compile(r"\b(?=[0-9a-f]*[0-9])[0-9a-f]{6}\b", re.IGNORECASE)
# What stands between a name and its colour, or leads a line of a list.
_AROUND: Final = " \t:=–—-•*·>|,;.()[]{}\"'`"
_NUMBERING: Final = re.compile(r"^\s*\d{1,2}[.)]\s+")


def read_plain(text: str) -> ColorList:
    """Return every colour of a text in its order, with the names that are beside them.

    Raises InputError without any.
    """
    found = ListBuilder("plain text")
    for number, line in enumerate(text.splitlines(), 1):
        line = line[:2000]
        if _CMYK.search(line):
            line = _CMYK.sub(" ", line)
            found.warn(number, "CMYK values aren’t read: what they look like depends on the press.")
            if not _read_line(line, number, found):
                continue
        elif line.strip() and not _read_line(line, number, found):
            found.warn(number, f"“{' '.join(line.split())[:60]}” holds no colour.")
    return found.build()


def _read_line(line: str, number: int, found: ListBuilder) -> bool:
    places = _colors_of_line(line)
    for place, (start, end, color) in enumerate(places):
        before = line[places[place - 1][1] if place else 0 : start]
        after = line[end : places[place + 1][0] if place + 1 < len(places) else len(line)]
        found.add(color, _name(before, after, alone=len(places) == 1), line=number)
    return bool(places)


def _colors_of_line(line: str) -> list[tuple[int, int, ReadColor]]:
    """Return start, end and colour of what a line holds: notations first, else digits, else one name."""
    for pattern in (_MARKED, _DECIMALS, _HEX_DIGITS):
        read = [
            (match.start(), match.end(), color)
            for match in pattern.finditer(line)
            if (color := _color(match.group()))
        ]
        if read:
            return read
        # The numbers in a notation that isn't understood are another colour than the one that is meant.
        if pattern is _MARKED and pattern.search(line):
            return []
    head, _, value = line.rpartition(":")
    word = value.strip(_AROUND)
    if is_color_name(word) and (color := _color(word)):
        start = len(head) + 1 + value.index(word) if head else line.index(word)
        return [(start, start + len(word), color)]
    return []


def _color(text: str) -> ReadColor | None:
    try:
        return read_color(filled_in(text, {}))
    except (ColorError, CannotTell):
        return None


def _name(before: str, after: str, *, alone: bool) -> str | None:
    lead = _NUMBERING.sub("", before).strip(_AROUND)
    if alone:
        return lead or after.strip(_AROUND) or None
    # With several colours on a line, only what points at one is its name.
    return lead if lead and before.rstrip().endswith((":", "=")) else None


FORMAT: Final = Format(
    kind="text",
    name="Plain text",
    reading=Reading(read=read_plain, endings=(".txt", ".md"), resembles=lambda _: True),
)
