"""Variables of SCSS: `$name: colour;`."""

from __future__ import annotations

from typing import Final

from tonada.core.formats.format import Format, Reading, Writing
from tonada.core.formats.listed import ColorList
from tonada.core.formats.sass_variables import read_variables, write_variables
from tonada.core.formats.sheet import Options, Sheet

NAME: Final = "SCSS variables"


def read_scss(text: str) -> ColorList:
    """Return the variables that are one colour. Raises InputError without any."""
    return read_variables(text, "$", NAME)


def write_scss(sheet: Sheet, options: Options) -> str:
    """Return a variable for each value; those of the night stand last."""
    return write_variables(sheet, options, "$")


FORMAT: Final = Format(
    kind="scss",
    name=NAME,
    note="for Sass",
    reading=Reading(
        read=read_scss,
        endings=(".scss", ".sass"),
        resembles=lambda text: text.lstrip().startswith("$") or "\n$" in text,
    ),
    writing=Writing(write=write_scss, ending=".scss", mimetype="text/x-scss"),
)
