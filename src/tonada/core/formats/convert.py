"""From one format to another: a list that was read, as a sheet that can be written."""

from __future__ import annotations

from tonada.core.errors import InputError
from tonada.core.formats.listed import ColorList
from tonada.core.formats.naming import words_of
from tonada.core.formats.registry import WRITINGS
from tonada.core.formats.sheet import USUAL_OPTIONS, Part, Sheet, Value


def write_list(found: ColorList, to: str) -> str:
    """Return a list that was read in another format. Raises InputError for an unknown one."""
    wanted = WRITINGS.get(to)
    if wanted is None:
        raise InputError(f"A format is one of: {', '.join(WRITINGS)}.", field="to")
    return wanted.write(sheet_of_list(found), USUAL_OPTIONS)


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
