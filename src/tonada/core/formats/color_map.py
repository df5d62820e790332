"""JSON that maps names to colours, in groups and lists of any depth, as themes and scripts have them."""

from __future__ import annotations

from collections.abc import Iterator
from typing import Final

from tonada.core.color.notation import read_color
from tonada.core.errors import ColorError, InputError
from tonada.core.formats.format import Format, Json, JsonReading
from tonada.core.formats.listed import ColorList, ListBuilder, is_css_color, role_of_name
from tonada.core.formats.tokens import DEEPEST_GROUP, MOST_TOKENS


def holds_color(root: Json) -> bool:
    """Return whether a map or list, at any depth, holds a text that CSS calls a colour, and no token."""
    try:
        return any(is_css_color(value) for _, value in _leaves(root, ()))
    except InputError:
        return False


def read_color_map(root: Json) -> ColorList:
    """Return the colours with their paths as names; everything else is counted.

    Raises InputError without any, or for one that is nested too deeply.
    """
    found = ListBuilder("JSON map of colours")
    others = 0
    for path, value in _leaves(root, ()):
        if not is_css_color(value):
            others += 1
            continue
        try:
            # Of a plain list the numbers are no names.
            name = None if isinstance(root, list) and len(path) == 1 else " ".join(path)
            found.add(read_color(value), name, role=role_of_name(path[-1]) if name else None)
        except ColorError as reason:
            found.warn(None, f"{' '.join(path)}: {reason}")
    if others:
        found.warn(None, f"{others} {'entry was' if others == 1 else 'entries were'} no colour and left out.")
    return found.build()


def _leaves(node: Json, path: tuple[str, ...]) -> Iterator[tuple[tuple[str, ...], Json]]:
    waiting: list[tuple[tuple[str, ...], Json]] = [(path, node)]
    seen = 0
    while waiting:
        at, one = waiting.pop()
        seen += 1
        if len(at) > DEEPEST_GROUP or seen > MOST_TOKENS:
            raise InputError(
                f"The JSON has more than {DEEPEST_GROUP} groups in each other, or {MOST_TOKENS:,} entries.",
                field="file",
            )
        if isinstance(one, dict):
            waiting += [((*at, str(name)), inner) for name, inner in reversed(one.items())]
        elif isinstance(one, list):
            waiting += [((*at, str(number)), inner) for number, inner in reversed([*enumerate(one, 1)])]
        else:
            yield at, one


FORMAT: Final = Format(
    kind="map",
    name="JSON map of colours",
    json_reading=JsonReading(
        read=read_color_map, recognise=lambda root: isinstance(root, list) or holds_color(root)
    ),
)
