"""The colours in a declaration's value, through custom properties and fallbacks.

Source: CSS Custom Properties for Cascading Variables 1 (var(), fallbacks, cycles), CSS Color 4.
"""

from __future__ import annotations

import re
from collections.abc import Iterator, Mapping
from functools import lru_cache
from typing import Any, Final

import tinycss2

from tonada.core.color.notation import COLOR_FUNCTIONS, ReadColor, is_color_name, read_color
from tonada.core.errors import ColorError

# A value is looked into only where it may hold a colour; most values of a stylesheet don't.
_MAY_HOLD_COLOR: Final = re.compile(
    r"#[0-9a-f]{3}|\b(?:rgba?|hsla?|hwb|lab|lch|oklab|oklch|color|var)\(|[a-z]{3}", re.IGNORECASE
)
# Longer values are embedded files; a gradient with twenty stops has under a thousand characters.
LONGEST_VALUE: Final = 4_000
# A custom property that refers to the next one, and so on: more are a loop or meant to harm.
DEEPEST_REFERENCE: Final = 24
MOST_COLORS_IN_VALUE: Final = 64
# Two references to two each, and so on, would be billions.
MOST_REFERENCES: Final = 256


def colors_in_value(value: str, variables: Mapping[str, str]) -> tuple[ReadColor, ...]:
    """Return the colours of a value in their order; references are followed, words that are none skipped."""
    found: list[ReadColor] = []
    _collect(value, variables, found, frozenset(), [MOST_REFERENCES])
    return tuple(found[:MOST_COLORS_IN_VALUE])


def is_single_value(value: str) -> bool:
    """Say whether a value is one thing, such as a colour or a reference, and no gradient or border."""
    if len(value) > LONGEST_VALUE:
        return False
    nodes = tinycss2.parse_component_value_list(value, skip_comments=True)
    parts = [node for node in nodes if node.type != "whitespace"]
    return len(parts) == 1 and not (parts[0].type == "function" and "gradient" in parts[0].lower_name)


def _collect(
    value: str,
    variables: Mapping[str, str],
    found: list[ReadColor],
    followed: frozenset[str],
    left: list[int],
) -> None:
    """Add the colours of a value; left counts down how many references may still be followed."""
    for part in _parts(value):
        if len(found) >= MOST_COLORS_IN_VALUE or left[0] <= 0:
            return
        if isinstance(part, ReadColor):
            found.append(part)
            continue
        name, fallback = part
        if name in variables and name not in followed and len(followed) < DEEPEST_REFERENCE:
            left[0] -= 1
            _collect(variables[name], variables, found, followed | {name}, left)
        elif fallback:
            left[0] -= 1
            _collect(fallback, variables, found, followed, left)


@lru_cache(maxsize=8192)
def _parts(value: str) -> tuple[ReadColor | tuple[str, str], ...]:
    """Return the colours and the references (name, fallback) of a value."""
    if len(value) > LONGEST_VALUE or not _MAY_HOLD_COLOR.search(value):
        return ()
    return tuple(_walk(tinycss2.parse_component_value_list(value, skip_comments=True), 0))


def _walk(nodes: list[Any], depth: int) -> Iterator[ReadColor | tuple[str, str]]:
    for node in nodes:
        if node.type == "hash":
            yield from _color(f"#{node.value}")
        elif node.type == "ident" and is_color_name(node.lower_value):
            yield from _color(node.lower_value)
        elif node.type == "function" and node.lower_name == "var":
            yield from _reference(node.arguments)
        elif node.type == "function" and node.lower_name in COLOR_FUNCTIONS:
            text = tinycss2.serialize([node])
            yield from _color(text) if "var(" not in text else ()
        elif node.type == "function" and depth < DEEPEST_REFERENCE:
            yield from _walk(node.arguments, depth + 1)
        elif node.type in ("() block", "[] block") and depth < DEEPEST_REFERENCE:
            yield from _walk(node.content, depth + 1)


def _color(text: str) -> Iterator[ReadColor]:
    try:
        yield read_color(text)
    except ColorError:
        return


def _reference(arguments: list[Any]) -> Iterator[tuple[str, str]]:
    names = [node.value for node in arguments if node.type == "ident"]
    if names:
        comma = next((place for place, node in enumerate(arguments) if node == ","), len(arguments))
        yield names[0], tinycss2.serialize(arguments[comma + 1 :]).strip()
