"""CSV: a colour in each row, as one notation or as red, green and blue, with a name and a role."""

from __future__ import annotations

import csv
import io
from typing import Final

from tonada.core.color.notation import Notation, read_color
from tonada.core.color.spaces import hex_to_srgb8
from tonada.core.color.writing import hex_with_alpha
from tonada.core.errors import ColorError, InputError
from tonada.core.formats.format import Format, Reading, Writing
from tonada.core.formats.listed import ColorList, ListBuilder, role_of_name
from tonada.core.formats.sheet import Options, Sheet, Value, joined

_COLOR: Final = ("hex", "color", "colour", "value", "css", "rgb")
_NAME: Final = ("name", "swatch", "label", "title", "token")
_CHANNELS: Final = (("r", "g", "b"), ("red", "green", "blue"))
DELIMITERS: Final = ",;\t|"


def read_csv(text: str) -> ColorList:
    """Return the colour of each row. The first row may name the columns; otherwise they are found.

    Raises InputError without any colour.
    """
    found = ListBuilder("CSV")
    try:
        rows = list(csv.reader(io.StringIO(text), delimiter=_delimiter(text)))
    except csv.Error as reason:
        raise InputError(f"The CSV can't be read: {reason}.", field="file") from reason
    header = [cell.strip().lower() for cell in rows[0]] if rows else []
    has_header = bool({*_COLOR, *_NAME, "role", "red", "r"} & set(header))
    for number, row in enumerate(rows[has_header:], 1 + has_header):
        if not any(cell.strip() for cell in row):
            continue
        cells = dict(zip(header, (cell.strip() for cell in row), strict=False)) if has_header else {}
        _read_row(row, cells, number, found)
    return found.build()


def _delimiter(text: str) -> str:
    first = next((line for line in text.splitlines() if line.strip()), "")
    return max(DELIMITERS, key=first.count) if any(mark in first for mark in DELIMITERS) else ","


def _read_row(row: list[str], cells: dict[str, str], number: int, found: ListBuilder) -> None:
    name = next((cells[column] for column in _NAME if cells.get(column)), None)
    role = role_of_name(cells.get("role")) or role_of_name(name)
    value = next((cells[column] for column in _COLOR if cells.get(column)), None)
    if value is None:
        channels = next((names for names in _CHANNELS if all(cells.get(name) for name in names)), None)
        value = " ".join(cells[channel] for channel in channels) if channels else None
    if value is None and not cells:
        value, name = _guess(row)
        role = role_of_name(name)
    if value is None:
        found.warn(number, f"“{', '.join(row)[:60]}” holds no colour.")
        return
    try:
        found.add(read_color(value), name, line=number, role=role)
    except ColorError:
        found.warn(number, f"“{value[:60]}” is not a colour.")


def _guess(row: list[str]) -> tuple[str | None, str | None]:
    """Return the cell or the three cells that are the colour, and the first other cell as its name.

    A cell such as “Indigo” may be a name or a colour: it is a colour only where no other cell is.
    """
    cells = [cell.strip() for cell in row]
    numbers = [cell for cell in cells if cell.isdigit()]
    places = [place for place, cell in enumerate(cells) if _notation(cell) not in (None, "name")]
    if not places and len(numbers) == 3:
        return " ".join(numbers), next((cell for cell in cells if cell and not cell.isdigit()), None)
    places = places or [place for place, cell in enumerate(cells) if _notation(cell)]
    if not places:
        return None, None
    others = [cell for place, cell in enumerate(cells) if place != places[0] and cell]
    return cells[places[0]], others[0] if others else None


def _notation(cell: str) -> Notation | None:
    """Return how a cell writes a colour; short digits such as 140 are taken for a channel."""
    if cell.isdigit() and len(cell) < 6:
        return None
    try:
        return read_color(cell).notation
    except ColorError:
        return None


def write_csv(sheet: Sheet, options: Options) -> str:
    """Return a row for each value: name, token, role, hex, red, green, blue, alpha, scheme. RFC 4180."""
    made = io.StringIO()
    rows = csv.writer(made, lineterminator="\r\n")
    rows.writerow(("name", "token", "role", "hex", "red", "green", "blue", "alpha", "scheme"))
    for scheme, values in (("day", sheet.day), ("night", sheet.night)):
        rows.writerows(_row(value, scheme, options) for value in values)
    return made.getvalue()


def _row(value: Value, scheme: str, options: Options) -> tuple[str, ...]:
    role = "-".join(value.words) if value.part == "role" else ""
    channels = (str(int(channel)) for channel in hex_to_srgb8(value.hex))
    color = hex_with_alpha(value.hex, value.alpha)
    alpha = f"{value.alpha:.4g}"
    return (inert(value.name), joined(value.words, options), role, color, *channels, alpha, scheme)


def inert(text: str) -> str:
    """Return text that a spreadsheet doesn't take for a formula (CSV injection, OWASP)."""
    return f"'{text}" if text.startswith(("=", "+", "-", "@", "\t")) else text


FORMAT: Final = Format(
    kind="csv",
    name="CSV",
    note="for a spreadsheet",
    reading=Reading(read=read_csv, endings=(".csv", ".tsv")),
    writing=Writing(write=write_csv, ending=".csv", mimetype="text/csv"),
)
