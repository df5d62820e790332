"""What a value comes to: references filled in, mixtures computed, or the reason why it can't be decided.

Source: CSS Custom Properties for Cascading Variables 1, section 3 (substitution, fallbacks, cycles);
CSS Color 5, sections 2 and 3 (color-mix(), light-dark()).
"""

from __future__ import annotations

from collections.abc import Iterator, Mapping
from dataclasses import dataclass
from functools import lru_cache
from typing import Any, Final

import numpy as np
import tinycss2

from tonada.core.color.notation import COLOR_FUNCTIONS, ReadColor, css_color, is_color_name, read_color
from tonada.core.color.spaces import hex_to_srgb8, srgb8_to_hex
from tonada.core.errors import ColorError
from tonada.core.source.stylesheets.calculations import with_calculations
from tonada.core.source.stylesheets.untold import CannotTell

# Longer values are embedded files; a gradient with twenty stops has under a thousand characters.
LONGEST_VALUE: Final = 4_000
# A custom property that refers to the next one, and so on: more are a loop or meant to harm.
DEEPEST_REFERENCE: Final = 24
# Two references to two each, and so on, would be billions, and could all come to nothing.
MOST_REFERENCES: Final = 256
MISSING: Final = "is set nowhere that holds here"
INHERITED: Final = frozenset(("inherit", "unset", "revert", "revert-layer", "initial"))
SYSTEM_COLORS: Final = frozenset(
    ("accentcolor", "accentcolortext", "activetext", "buttonborder", "buttonface", "buttontext", "canvas",
     "canvastext", "field", "fieldtext", "graytext", "highlight", "highlighttext", "linktext", "mark",
     "marktext", "selecteditem", "selecteditemtext", "visitedtext", "windowtext", "window", "-webkit-link")
)  # fmt: skip


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
            yield from _function(node, scheme, kind, in_gradient=in_gradient)


def _word(word: str) -> Iterator[ReadColor]:
    if is_color_name(word):
        yield _read(word)
    elif word == "currentcolor":
        raise CannotTell("it is the colour of a text (currentcolor)")
    elif word in SYSTEM_COLORS:
        raise CannotTell(f"{word} is a colour of the reader's system")


def _function(
    node: Any, scheme: str, kind: str, *, in_gradient: bool
) -> Iterator[tuple[ReadColor | None, str]]:
    name = node.lower_name
    if name in ("url", "image", "image-set", "-webkit-image-set", "element", "cross-fade"):
        yield None, "picture"
    elif "gradient" in name:
        yield from _walk(node.arguments, scheme, in_gradient=True)
    elif name in COLOR_FUNCTIONS:
        yield _read(_written(node)), kind
    elif name == "color-mix":
        yield _mixed(node, scheme), kind
    elif name == "light-dark":
        halves = _split(node.arguments)
        if len(halves) == 2:
            yield from _walk(halves[scheme == "dark"], scheme, in_gradient=in_gradient)
    elif name in ("color-contrast", "contrast-color", "device-cmyk"):
        raise CannotTell(f"{name}() isn't computed here")


def _written(node: Any) -> str:
    text = str(tinycss2.serialize([node]))
    first = next((argument for argument in node.arguments if argument.type != "whitespace"), None)
    if first is not None and first.type == "ident" and first.lower_value == "from":
        raise CannotTell("relative colours aren't computed here")
    return with_calculations(text) if "calc(" in text.lower() else text


def _read(text: str) -> ReadColor:
    try:
        return read_color(text)
    except ColorError:
        raise CannotTell(f"“{text[:40]}” isn’t a colour that Tonada understands") from None


def _mixed(node: Any, scheme: str) -> ReadColor:
    """Source: CSS Color 5, section 2.1 to 2.3: percentages, then premultiplied mixing."""
    parts = _split(node.arguments)
    method = [part.lower_value for part in parts[0] if part.type == "ident"] if parts else []
    if len(parts) != 3 or len(method) < 2 or method[0] != "in" or len(method) > 2:
        raise CannotTell("this color-mix() isn't computed here")
    ends, percents = [], []
    for part in parts[1:]:
        percents.append(next((entry.value / 100 for entry in part if entry.type == "percentage"), None))
        colors = [color for color, _ in _walk(part, scheme, in_gradient=False) if color is not None]
        if len(colors) != 1:
            raise CannotTell("this color-mix() isn't computed here")
        ends.append(colors[0])
    first, second = _shares(*percents)
    total = first + second
    if total <= 0:
        raise CannotTell("this color-mix() isn't computed here")
    space = "xyz-d65" if method[1] == "xyz" else method[1]
    try:
        one, other = (css_color("srgb", list(hex_to_srgb8(end.hex) / 255), end.alpha) for end in ends)
        made = one.mix(other, second / total, space=space, out_space="srgb", premultiplied=True).fit("srgb")
    except (ValueError, TypeError, KeyError):
        raise CannotTell("this color-mix() isn't computed here") from None
    channels = [min(255, max(0, int(channel * 255 + 0.5))) for channel in made.coords(nans=False)]
    alpha = float(made.alpha(nans=False)) * min(1.0, total)
    return ReadColor(srgb8_to_hex(np.array(channels, dtype=np.uint8)), alpha, "function", False)


def _shares(first: float | None, second: float | None) -> tuple[float, float]:
    if first is None and second is None:
        return 0.5, 0.5
    if first is None:
        return 1 - (second or 0), second or 0
    return first, 1 - first if second is None else second


def _split(nodes: list[Any]) -> list[list[Any]]:
    parts: list[list[Any]] = [[]]
    for node in nodes:
        if node == ",":
            parts.append([])
        else:
            parts[-1].append(node)
    return parts
