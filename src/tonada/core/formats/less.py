"""Variables of Less: `@name: colour;`."""

from __future__ import annotations

import re
from typing import Final

from tonada.core.formats.format import Format, Reading, Writing
from tonada.core.formats.listed import ColorList
from tonada.core.formats.sass_variables import read_variables, write_variables
from tonada.core.formats.sheet import Options, Sheet

NAME: Final = "Less variables"
_VARIABLE: Final = re.compile(r"^@(?!charset|import|media|property)[-\w]+[ \t]*:", re.MULTILINE)


def read_less(text: str) -> ColorList:
    """Return the variables that are one colour. Raises InputError without any."""
    return read_variables(text, "@", NAME)


def write_less(sheet: Sheet, options: Options) -> str:
    """Return a variable for each value; those of the night stand last."""
    return write_variables(sheet, options, "@")


FORMAT: Final = Format(
    kind="less",
    name=NAME,
    note="for the Less compiler",
    reading=Reading(
        read=read_less,
        endings=(".less",),
        resembles=lambda text: _VARIABLE.search(text) is not None,
    ),
    writing=Writing(write=write_less, ending=".less", mimetype="text/x-less"),
)
