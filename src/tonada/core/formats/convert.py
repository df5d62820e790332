"""From one format to another: a list that was read, as a sheet that can be written."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import dataclass
from typing import Final

from tonada.core.errors import InputError
from tonada.core.formats.css import write_css
from tonada.core.formats.detect import read_list
from tonada.core.formats.gpl import write_gpl
from tonada.core.formats.listed import ColorList
from tonada.core.formats.naming import words_of
from tonada.core.formats.office_theme import write_office_theme
from tonada.core.formats.plain_json import write_json
from tonada.core.formats.scss import write_less, write_scss
from tonada.core.formats.sheet import USUAL_OPTIONS, Options, Part, Sheet, Value
from tonada.core.formats.svg_swatches import write_svg
from tonada.core.formats.table import write_csv
from tonada.core.formats.tailwind import write_tailwind
from tonada.core.formats.tokens_writing import write_tokens


@dataclass(frozen=True, slots=True)
class TextFormat:
    """A format that is a text. name: for people; ending: of its files; mimetype: as it is served.

    holds_all: whether every value has a place in it.
    """

    name: str
    ending: str
    mimetype: str
    write: Callable[[Sheet, Options], str]
    holds_all: bool = True


TEXT_FORMATS: Final[Mapping[str, TextFormat]] = {
    "css": TextFormat("CSS custom properties", ".css", "text/css", write_css),
    "scss": TextFormat("SCSS variables", ".scss", "text/x-scss", write_scss),
    "less": TextFormat("Less variables", ".less", "text/x-less", write_less),
    "tailwind": TextFormat("Tailwind theme", ".theme.css", "text/css", write_tailwind),
    "tokens": TextFormat("Design tokens", ".tokens.json", "application/json", write_tokens),
    "json": TextFormat("Plain JSON", ".json", "application/json", write_json),
    "csv": TextFormat("CSV", ".csv", "text/csv", write_csv),
    "gpl": TextFormat("GPL palette", ".gpl", "text/plain", write_gpl),
    "svg": TextFormat("SVG swatches", ".svg", "image/svg+xml", write_svg),
    "office": TextFormat(
        "Office colour theme", ".theme.xml", "application/xml", write_office_theme, holds_all=False
    ),
}


def convert(data: bytes, name: str, to: str) -> str:
    """Return a file of colours in another format. Raises InputError for an unknown one, or no colours."""
    wanted = TEXT_FORMATS.get(to)
    if wanted is None:
        raise InputError(f"A format is one of: {', '.join(TEXT_FORMATS)}.", field="to")
    return wanted.write(sheet_of_list(read_list(data, name)), USUAL_OPTIONS)


def sheet_of_list(found: ColorList) -> Sheet:
    """Return the sheet of a list of colours that was read; names that clash get a number."""
    values: list[Value] = []
    taken: set[tuple[str, ...]] = set()
    for color in found.colors:
        base = words_of(color.name or color.hex)
        words, number = base, 2
        while words in taken:
            words, number = (*base, str(number)), number + 1
        taken.add(words)
        part: Part = "role" if color.role else "swatch"
        values.append(Value(part, words, color.name or color.hex, color.hex))
    return Sheet(found.title or "", tuple(values))
