"""All formats of colours, in the order in which they are offered and tried.

A new one is a module of this folder that ends in a FORMAT, and a line here.
"""

from __future__ import annotations

from collections.abc import Mapping
from typing import Final

from tonada.core.formats import (
    android,
    color_map,
    css,
    gpl,
    less,
    office_theme,
    own_list,
    plain,
    plain_json,
    script,
    scss,
    svg_swatches,
    table,
    tailwind,
    token_resolver,
    tokens_writing,
)
from tonada.core.formats.any_json import json_reading
from tonada.core.formats.format import Format, Reading, Writing

FORMATS: Final[tuple[Format, ...]] = (
    css.FORMAT,
    scss.FORMAT,
    less.FORMAT,
    tailwind.FORMAT,
    own_list.FORMAT,
    plain_json.FORMAT,
    token_resolver.FORMAT,
    tokens_writing.FORMAT,
    color_map.FORMAT,
    script.FORMAT,
    table.FORMAT,
    gpl.FORMAT,
    svg_swatches.FORMAT,
    office_theme.FORMAT,
    android.FORMAT,
    plain.FORMAT,
)
READINGS: Final[tuple[Reading, ...]] = (
    json_reading(tuple(one.json_reading for one in FORMATS if one.json_reading)),
    *(one.reading for one in FORMATS if one.reading),
)
WRITINGS: Final[Mapping[str, Writing]] = {one.kind: one.writing for one in FORMATS if one.writing}
LIST_ENDINGS: Final = tuple(dict.fromkeys(ending for reading in READINGS for ending in reading.endings))
