"""The colours in a declaration's value, whatever else it says: what can't be decided is passed over."""

from __future__ import annotations

import re
from collections.abc import Iterator, Mapping
from functools import lru_cache
from typing import Any, Final, NamedTuple

import tinycss2

from tonada.core.color.css_values import FUNCTION_NAMES, NOT_COMPUTED
from tonada.core.color.notation import ReadColor
from tonada.core.color.unknown import CannotTell
from tonada.core.source.stylesheets.computed import (
    DEEPEST_REFERENCE,
    LONGEST_VALUE,
    filled_in,
    nodes_of,
    paint,
)

# A value is looked into only where it may hold a colour; most values of a stylesheet don't.
_MAY_HOLD_COLOR: Final = re.compile(r"#[0-9a-f]{3}|[a-z]{3}", re.IGNORECASE)
MOST_COLORS_IN_VALUE: Final = 64


class Found(NamedTuple):
    """The colours of a value, and why parts of it that may be colours can't be decided."""

    colors: tuple[ReadColor, ...] = ()
    reasons: tuple[str, ...] = ()


def colors_in_value(value: str, variables: Mapping[str, str]) -> tuple[ReadColor, ...]:
    """Return the colours of a value in their order: references followed, mixtures computed.

    Of a part that can't be decided, such as a gradient with an unknown stop, its own parts are asked.
    """
    return found_in_value(value, variables).colors


def found_in_value(value: str, variables: Mapping[str, str]) -> Found:
    """Return what colors_in_value does, and why the rest can't be decided."""
    return _found(value, variables) if "var(" in value.lower() else _without_references(value)


@lru_cache(maxsize=8192)
def _without_references(value: str) -> Found:
    return _found(value, {})


def _found(value: str, variables: Mapping[str, str]) -> Found:
    if len(value) > LONGEST_VALUE or not _MAY_HOLD_COLOR.search(value):
        return Found()
    colors: list[ReadColor] = []
    reasons: list[str] = []
    for color in _in_nodes(nodes_of(value), variables, 0):
        if isinstance(color, str):
            reasons.append(color)
            continue
        colors.append(color)
        if len(colors) >= MOST_COLORS_IN_VALUE:
            break
    return Found(tuple(colors), tuple(reasons))


def is_single_value(value: str) -> bool:
    """Return whether a value is one thing, such as a colour or a reference, and no gradient or border."""
    if len(value) > LONGEST_VALUE:
        return False
    parts = [node for node in nodes_of(value) if node.type != "whitespace"]
    return len(parts) == 1 and not (parts[0].type == "function" and "gradient" in parts[0].lower_name)


def _in_nodes(nodes: Any, variables: Mapping[str, str], depth: int) -> Iterator[ReadColor | str]:
    for node in nodes:
        if node.type in ("hash", "ident", "function", "() block", "[] block"):
            yield from _in_node(node, variables, depth)


def _in_node(node: Any, variables: Mapping[str, str], depth: int) -> Iterator[ReadColor | str]:
    if node.type in ("() block", "[] block"):
        yield from _in_nodes(node.content, variables, depth + 1) if depth < DEEPEST_REFERENCE else ()
        return
    try:
        painted = paint(filled_in(tinycss2.serialize([node]), variables))
    except CannotTell as reason:
        # The parts of a colour that isn't understood are other colours than the one that is meant.
        is_color = node.type == "function" and node.lower_name in (*FUNCTION_NAMES, *NOT_COMPUTED, "var")
        if node.type == "function" and not is_color and depth < DEEPEST_REFERENCE:
            yield from _in_nodes(node.arguments, variables, depth + 1)
        else:
            yield str(reason)
        return
    yield from (*painted.colors, *painted.stops)
