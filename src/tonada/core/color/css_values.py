"""What a colour in CSS comes to, as a browser computes it: CSS Color 4, and of 5 what browsers have.

Colours are coloraide's, unrounded and not clipped to any gamut, so that one can be made of another.
References (`var()`) are filled in before; see source/stylesheets/computed.

Source: CSS Color 4, sections 4 to 10; CSS Color 5, sections 2 (color-mix()), 3 (light-dark()) and 4 (relative
colours).
"""

from __future__ import annotations

import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from functools import cache
from typing import TYPE_CHECKING, Any, Final, NamedTuple

import tinycss2

from tonada.core.color.css_math import DEEPEST, Quantity, quantity_of, split
from tonada.core.color.unknown import CannotTell, NotCss

if TYPE_CHECKING:
    from coloraide import Color


class Channel(NamedTuple):
    """A channel of a colour function. name: in relative colours. per_cent: of a number, a hundredth of 100 %.

    scale: what a number is divided by for the library. least, most: a browser clamps to them.
    """

    name: str
    per_cent: float = 1.0
    scale: float = 1.0
    least: float = -math.inf
    most: float = math.inf
    is_hue: bool = False


_HUE: Final = Channel("h", is_hue=True)
_FUNCTIONS: Final[Mapping[str, tuple[str, tuple[Channel, Channel, Channel]]]] = {
    "rgb": ("srgb", (Channel("r", 2.55, 255), Channel("g", 2.55, 255), Channel("b", 2.55, 255))),
    "hsl": ("hsl", (_HUE, Channel("s", 1, 100, 0), Channel("l", 1, 100))),
    "hwb": ("hwb", (_HUE, Channel("w", 1, 100, 0), Channel("b", 1, 100, 0))),
    "lab": ("lab", (Channel("l", 1, 1, 0, 100), Channel("a", 1.25), Channel("b", 1.25))),
    "lch": ("lch", (Channel("l", 1, 1, 0, 100), Channel("c", 1.5, 1, 0), _HUE)),
    "oklab": ("oklab", (Channel("l", 0.01, 1, 0, 1), Channel("a", 0.004), Channel("b", 0.004))),
    "oklch": ("oklch", (Channel("l", 0.01, 1, 0, 1), Channel("c", 0.004, 1, 0), _HUE)),
}
_ALIASES: Final = {"rgba": "rgb", "hsla": "hsl"}
# The names of color() that divide a colour as red, green and blue, and the others.
_RGB_SPACES: Final = ("srgb", "srgb-linear", "display-p3", "a98-rgb", "prophoto-rgb", "rec2020")
# By the library's name, where it has another.
LIBRARY_NAMES: Final[Mapping[str, str]] = {"rec2020": "rec2020-oetf"}
_XYZ_SPACES: Final = {"xyz": "xyz-d65", "xyz-d65": "xyz-d65", "xyz-d50": "xyz-d50"}
_MIXING: Final = frozenset((*_RGB_SPACES, "lab", "oklab", *_XYZ_SPACES, "hsl", "hwb", "lch", "oklch"))
_POLAR: Final = frozenset(("hsl", "hwb", "lch", "oklch"))
_HUE_WAYS: Final = frozenset(("shorter", "longer", "increasing", "decreasing"))
# What a browser with a light theme paints for the colours of the system: an assumption, which is said.
SYSTEM_COLORS: Final[Mapping[str, str]] = {
    "accentcolor": "#0075ff", "accentcolortext": "#ffffff", "activetext": "#ff0000",
    "buttonborder": "#000000",
    "buttonface": "#efefef", "buttontext": "#000000", "canvas": "#ffffff", "canvastext": "#000000",
    "field": "#ffffff", "fieldtext": "#000000", "graytext": "#808080", "highlight": "#b5d5ff",
    "highlighttext": "#000000", "linktext": "#0000ee", "mark": "#ffff00", "marktext": "#000000",
    "selecteditem": "#1967d2", "selecteditemtext": "#ffffff", "visitedtext": "#551a8b",
}  # fmt: skip
FUNCTION_NAMES: Final = frozenset((*_FUNCTIONS, *_ALIASES, "color", "color-mix", "light-dark"))
# Functions that browsers know or will, and that aren't computed here.
NOT_COMPUTED: Final = frozenset(("contrast-color", "color-contrast", "device-cmyk", "color-layers", "alpha"))


@dataclass(frozen=True, slots=True)
class Surroundings:
    """What a colour may depend on. scheme: light or dark; current: what currentColor is, None if unknown."""

    scheme: str = "light"
    current: Color | None = None


USUAL: Final = Surroundings()


@cache
def colors_of_browsers() -> type[Color]:
    """Return coloraide's class with rec2020 as browsers have it.

    They use the transfer function of ITU-R BT.2020 itself, the library by its name a plain exponent. The
    library takes a tenth of a second to import: it is, when something is more than a hex.
    """
    from coloraide import Color
    from coloraide.spaces.rec2020_oetf import Rec2020OETF

    class BrowserColor(Color):
        """The library's colour, with a space more."""

    BrowserColor.register(Rec2020OETF())
    return BrowserColor


def color_of(node: Any, around: Surroundings = USUAL, depth: int = 0) -> Color:
    """Return the colour of one component value.

    Raises NotCss for what no browser takes for a colour, CannotTell for what isn't computed here.
    """
    if depth > DEEPEST:
        raise CannotTell("its colours are nested very deeply")
    if node.type == "hash":
        return _named(f"#{node.value}")
    if node.type == "ident":
        return _word(node.lower_value, around)
    if node.type != "function":
        raise NotCss(f"“{node.serialize()[:40]}” is no colour")
    name = node.lower_name
    if name == "light-dark":
        halves = split(node.arguments)
        if len(halves) != 2:
            raise NotCss("light-dark() takes two colours")
        return color_of(_only(halves[around.scheme == "dark"]), around, depth + 1)
    if name == "color-mix":
        return _mixed(node.arguments, around, depth)
    if name in NOT_COMPUTED:
        raise CannotTell(f"{name}() isn’t computed here")
    name = _ALIASES.get(name, name)
    if name not in _FUNCTIONS and name != "color":
        raise NotCss(f"{name}() is no colour")
    space, coordinates, alpha = _described(name, node.arguments, around, depth)
    return colors_of_browsers()(space, coordinates, alpha)


def color_of_text(text: str, around: Surroundings = USUAL) -> Color:
    """Return the colour of a text that is one in CSS. Raises as color_of."""
    return color_of(_only(tinycss2.parse_component_value_list(text, skip_comments=True)), around)


def _only(nodes: Sequence[Any]) -> Any:
    parts = [node for node in nodes if node.type not in ("whitespace", "comment")]
    if len(parts) != 1:
        raise NotCss("this is no single colour")
    return parts[0]


def _named(text: str) -> Color:
    try:
        return colors_of_browsers()(text)
    except ValueError:
        raise NotCss(f"“{text[:40]}” is no colour") from None


def _word(word: str, around: Surroundings) -> Color:
    if word == "currentcolor":
        if around.current is None:
            raise CannotTell("it is the colour of a text (currentcolor)")
        return around.current
    if word in SYSTEM_COLORS:
        raise CannotTell(f"{word} is a colour of the reader’s system")
    from coloraide.css.color_names import name2val_map

    if word not in name2val_map:
        raise NotCss(f"“{word[:40]}” is no colour")
    return _named(word)


def _described(
    name: str, arguments: Sequence[Any], around: Surroundings, depth: int
) -> tuple[str, list[float], float]:
    """Return the space, the coordinates and the alpha of a colour function."""
    nodes = [node for node in arguments if node.type not in ("whitespace", "comment")]
    origin = None
    if nodes and nodes[0].type == "ident" and nodes[0].lower_value == "from":
        if len(nodes) < 2:
            raise NotCss("“from” needs a colour")
        origin, nodes = color_of(nodes[1], around, depth + 1), nodes[2:]
    if name == "color":
        space, channels, nodes = _space_of(nodes)
    else:
        space, channels = _FUNCTIONS[name]
    is_legacy = any(node == "," for node in nodes)
    if is_legacy and (origin is not None or name not in ("rgb", "hsl")):
        raise NotCss("commas have no place here")
    values, alpha_node = _legacy(nodes) if is_legacy else _modern(nodes)
    names = _names_of(origin, space, channels) if origin is not None else {}
    quantities = [_quantity(node, names) for node in values]
    if is_legacy:
        _check_legacy(name, quantities)
    coordinates = [
        _coordinate(quantity, channel) for quantity, channel in zip(quantities, channels, strict=True)
    ]
    if alpha_node is None:
        alpha = 1.0 if origin is None else float(origin.alpha(nans=False))
    else:
        alpha = _alpha(_quantity(alpha_node, names))
    return space, coordinates, alpha


def _space_of(nodes: Sequence[Any]) -> tuple[str, tuple[Channel, Channel, Channel], list[Any]]:
    word = nodes[0].lower_value if nodes and nodes[0].type == "ident" else ""
    if word.startswith("--"):
        raise CannotTell(f"{word} is a colour profile of its own")
    if word in _RGB_SPACES:
        names, word = ("r", "g", "b"), LIBRARY_NAMES.get(word, word)
    elif word in _XYZ_SPACES:
        names, word = ("x", "y", "z"), _XYZ_SPACES[word]
    else:
        raise NotCss("color() needs the name of a colour space")
    first, second, third = (Channel(name, 0.01) for name in names)
    return word, (first, second, third), list(nodes[1:])


def _legacy(nodes: Sequence[Any]) -> tuple[list[Any], Any]:
    parts = [_only(part) for part in split(nodes)]
    if len(parts) not in (3, 4):
        raise NotCss("it takes three values, and an alpha")
    return parts[:3], parts[3] if len(parts) == 4 else None


def _modern(nodes: Sequence[Any]) -> tuple[list[Any], Any]:
    values = list(nodes)
    alpha = None
    slash = next((place for place, node in enumerate(values) if node == "/"), None)
    if slash is not None:
        alpha, values = _only(values[slash + 1 :]), values[:slash]
    if len(values) != 3:
        raise NotCss("it takes three values, and an alpha behind a slash")
    return values, alpha


def _quantity(node: Any, names: Mapping[str, float]) -> Quantity | None:
    """Return what a value comes to, or None for “none”."""
    if node.type == "ident" and node.lower_value == "none":
        return None
    return quantity_of(node, names)


def _check_legacy(name: str, quantities: Sequence[Quantity | None]) -> None:
    kinds = [quantity.kind if quantity else None for quantity in quantities]
    if name == "rgb" and not (kinds == ["number"] * 3 or kinds == ["percentage"] * 3):
        raise NotCss("with commas, red, green and blue are numbers or percentages alike")
    if name == "hsl" and kinds[1:] != ["percentage"] * 2:
        raise NotCss("with commas, saturation and lightness are percentages")


def _coordinate(quantity: Quantity | None, channel: Channel) -> float:
    if quantity is None:
        return math.nan
    if channel.is_hue:
        if quantity.kind == "percentage" or not math.isfinite(quantity.value):
            raise NotCss("a hue is an angle or a number")
        return quantity.value
    if quantity.kind == "angle":
        raise NotCss("an angle is no channel")
    value = quantity.value * (channel.per_cent if quantity.kind == "percentage" else 1.0)
    return min(channel.most, max(channel.least, value)) / channel.scale


def _alpha(quantity: Quantity | None) -> float:
    if quantity is None:
        return 0.0
    if quantity.kind == "angle":
        raise NotCss("an angle is no alpha")
    value = quantity.value / 100 if quantity.kind == "percentage" else quantity.value
    return min(1.0, max(0.0, value))


def _names_of(origin: Color, space: str, channels: Sequence[Channel]) -> dict[str, float]:
    """Return the numbers that the names of channels stand for in a relative colour."""
    coordinates = origin.convert(space).coords(nans=False)
    named = {
        channel.name: value * channel.scale for channel, value in zip(channels, coordinates, strict=True)
    }
    return {**named, "alpha": float(origin.alpha(nans=False))}


def _mixed(arguments: Sequence[Any], around: Surroundings, depth: int) -> Color:
    """Source: CSS Color 5, section 2: percentages, then premultiplied mixing."""
    parts = split(arguments)
    method = [node.lower_value for node in parts[0] if node.type == "ident"] if parts else []
    if method[:1] != ["in"]:
        parts, method = [[], *parts], ["in", "oklab"]
    if len(parts) != 3:
        raise CannotTell("color-mix() of more or fewer than two colours isn’t computed here")
    space, hue = _way_of(method[1:])
    ends, shares = [], []
    for part in parts[1:]:
        nodes = [node for node in part if node.type not in ("whitespace", "comment")]
        share = next((node for node in nodes if node.type == "percentage"), None)
        calculated = [node for node in nodes if node.type == "function" and node.lower_name == "calc"]
        if share is None and len(nodes) == 2 and calculated:
            share = calculated[0]
        ends.append(color_of(_only([node for node in nodes if node is not share]), around, depth + 1))
        shares.append(None if share is None else quantity_of(share, {}).value / 100)
    first, second = _shares(*shares)
    total = first + second
    if total <= 0 or not all(0 <= share <= 1 for share in (first, second)):
        raise NotCss("the shares of color-mix() are from 0 to 100 %, and not both nothing")
    one, other = ends
    made: Color = one.mix(other, second / total, space=space, hue=hue, premultiplied=True, out_space=space)
    return made.set("alpha", float(made.alpha(nans=False)) * min(1.0, total))


def _way_of(words: Sequence[str]) -> tuple[str, str]:
    """Return the space and how hues are mixed."""
    if not words or words[0] not in _MIXING:
        raise NotCss("color-mix() needs the name of a colour space")
    space = {**_XYZ_SPACES, **LIBRARY_NAMES}.get(words[0], words[0])
    if len(words) == 1:
        return space, "shorter"
    if len(words) == 3 and words[1] in _HUE_WAYS and words[2] == "hue" and space in _POLAR:
        return space, words[1]
    raise NotCss("color-mix() doesn’t know this way of mixing hues")


def _shares(first: float | None, second: float | None) -> tuple[float, float]:
    if first is None and second is None:
        return 0.5, 0.5
    if first is None:
        return 1 - (second or 0), second or 0
    return first, 1 - first if second is None else second
