"""What a value comes to: references filled in, mixtures computed, or the reason why it can't be decided.

Source: CSS Custom Properties for Cascading Variables 1, section 3 (substitution, fallbacks, cycles);
what a colour comes to is in core/color/css_values.
"""

from __future__ import annotations

from collections.abc import Iterator, Mapping
from dataclasses import dataclass
from functools import lru_cache
from typing import Any, Final

import tinycss2

from tonada.core.color.css_values import (
    FUNCTION_NAMES,
    NOT_COMPUTED,
    SYSTEM_COLORS,
    Surroundings,
    color_of,
)
from tonada.core.color.notation import ReadColor, as_screen_shows, is_color_name, read_color
from tonada.core.color.unknown import CannotTell
from tonada.core.errors import ColorError

# Longer values are embedded files; a gradient with twenty stops has under a thousand characters.
LONGEST_VALUE: Final = 4_000
# A custom property that refers to the next one, and so on: more are a loop or meant to harm.
DEEPEST_REFERENCE: Final = 24
# Two references to two each, and so on, would be billions, and could all come to nothing.
MOST_REFERENCES: Final = 256
MISSING: Final = "is set nowhere that holds here"
INHERITED: Final = frozenset(("inherit", "unset", "revert", "revert-layer", "initial"))


@dataclass(frozen=True, slots=True)
class Painted:
    """What a value paints. colors: those that are by themselves; stops: those of gradients."""

    colors: tuple[ReadColor, ...] = ()
    stops: tuple[ReadColor, ...] = ()
    has_picture: bool = False
    inherits: bool = False


def filled_in(value: str, variables: Mapping[str, str], followed: frozenset[str] = frozenset()) -> str:
    """Return a value with its references replaced by what they stand for.

    followed: the properties that it is the value of. Raises CannotTell for one that is set nowhere and
    has no fallback, for a loop, and for very many.
    """
    return _Filling(variables).fill(value, followed)


def with_own(inherited: Mapping[str, str], own: Mapping[str, str]) -> dict[str, str]:
    """Return the custom properties of an element: computed where they are set, and inherited.

    own: what its declarations set. Source: CSS Custom Properties 1, section 2.
    """
    made = dict(inherited)
    if not own:
        return made
    together = {**inherited, **own}
    for name, value in own.items():
        if value.strip().lower() in INHERITED - {"initial"}:
            continue
        try:
            made[name] = filled_in(value, together, frozenset((name,)))
        except CannotTell:
            made.pop(name, None)  # invalid at computed-value time
    return made


class _Filling:
    """Follows the references of one value, and counts them."""

    def __init__(self, variables: Mapping[str, str]) -> None:
        self._variables = variables
        self._left = MOST_REFERENCES

    def fill(self, value: str, followed: frozenset[str]) -> str:
        if "var(" not in value.lower():
            return value
        made = self._all(nodes_of(value), followed)
        if len(made) > LONGEST_VALUE:
            raise CannotTell("its references make it too long")
        return made

    def _all(self, nodes: Any, followed: frozenset[str]) -> str:
        return "".join(self._one(node, followed) for node in nodes)

    def _one(self, node: Any, followed: frozenset[str]) -> str:
        if node.type == "function" and node.lower_name == "var":
            return self._reference(node.arguments, followed)
        if node.type == "function":
            return f"{node.name}({self._all(node.arguments, followed)})"
        if node.type in ("() block", "[] block"):
            return f"{node.type[0]}{self._all(node.content, followed)}{node.type[1]}"
        return str(node.serialize())

    def _reference(self, arguments: list[Any], followed: frozenset[str]) -> str:
        self._left -= 1
        if self._left < 0:
            raise CannotTell("it refers to very many others")
        name = next((node.value for node in arguments if node.type == "ident"), "")
        comma = next((place for place, node in enumerate(arguments) if node == ","), None)
        if name in followed or len(followed) >= DEEPEST_REFERENCE:
            raise CannotTell(f"{name} refers to itself")
        if name in self._variables:
            return self.fill(self._variables[name], followed | {name})
        if comma is None:
            raise CannotTell(f"{name} {MISSING}")
        return self._all(arguments[comma + 1 :], followed)


def paint(value: str, scheme: str = "light") -> Painted:
    """Return what a value without references paints. scheme: which half of light-dark() counts.

    Raises CannotTell for what isn't computed here.
    """
    return _paint(value, scheme)


@lru_cache(maxsize=8192)
def _paint(value: str, scheme: str) -> Painted:
    if len(value) > LONGEST_VALUE:
        if "url(" in value:
            return Painted(has_picture=True)
        raise CannotTell("it is too long")
    words = value.strip().lower()
    if words in INHERITED:
        return Painted(inherits=True)
    found = list(_walk(nodes_of(value), scheme, in_gradient=False))
    return Painted(
        colors=tuple(color for color, kind in found if color is not None and kind == "color"),
        stops=tuple(color for color, kind in found if color is not None and kind == "stop"),
        has_picture=any(kind == "picture" for _, kind in found),
    )


@lru_cache(maxsize=8192)
def nodes_of(value: str) -> tuple[Any, ...]:
    """Return the component values of a value, comments skipped."""
    return tuple(tinycss2.parse_component_value_list(value, skip_comments=True))


def _walk(nodes: Any, scheme: str, *, in_gradient: bool) -> Iterator[tuple[ReadColor | None, str]]:
    kind = "stop" if in_gradient else "color"
    for node in nodes:
        if node.type == "url":
            yield None, "picture"
        elif node.type == "hash":
            yield _read(f"#{node.value}"), kind
        elif node.type == "ident":
            yield from ((color, kind) for color in _word(node.lower_value))
        elif node.type == "function":
            yield from _function(node, scheme, kind)


def _word(word: str) -> Iterator[ReadColor]:
    if is_color_name(word):
        yield _read(word)
    elif word == "currentcolor":
        raise CannotTell("it is the colour of a text (currentcolor)")
    elif word in SYSTEM_COLORS:
        raise CannotTell(f"{word} is a colour of the reader's system")


def _function(node: Any, scheme: str, kind: str) -> Iterator[tuple[ReadColor | None, str]]:
    name = node.lower_name
    if name in ("url", "image", "image-set", "-webkit-image-set", "element", "cross-fade"):
        yield None, "picture"
    elif "gradient" in name:
        yield from _walk(node.arguments, scheme, in_gradient=True)
    elif name in FUNCTION_NAMES or name in NOT_COMPUTED:
        yield as_screen_shows(color_of(node, Surroundings(scheme))), kind


def _read(text: str) -> ReadColor:
    try:
        return read_color(text)
    except ColorError:
        raise CannotTell(f"“{text[:40]}” isn’t a colour that Tonada understands") from None
