"""The colour functions of Sass and Less, as their compilers compute them.

Amounts are percentages of the whole; colours are coloraide's. Source: the Sass specification,
built-in modules (color); the documentation of the Less functions.
"""

from __future__ import annotations

from collections.abc import Callable, Mapping, Sequence
from typing import TYPE_CHECKING, Final, TypeAlias

from tonada.core.color.css_math import Quantity
from tonada.core.color.css_values import colors_of_browsers
from tonada.core.color.unknown import CannotTell

if TYPE_CHECKING:
    from coloraide import Color

Value: TypeAlias = "Color | Quantity | str | dict[str, Value]"
Function: TypeAlias = "Callable[[Sequence[Value], Mapping[str, Value]], Value]"

# The channels that color.adjust(), color.change() and color.scale() take: the space of each, its place,
# and what the whole of it is in the number that is written.
_CHANNELS: Final = {
    "red": ("srgb", 0, 255.0),
    "green": ("srgb", 1, 255.0),
    "blue": ("srgb", 2, 255.0),
    "hue": ("hsl", 0, 1.0),
    "saturation": ("hsl", 1, 100.0),
    "lightness": ("hsl", 2, 100.0),
    "whiteness": ("hwb", 1, 100.0),
    "blackness": ("hwb", 2, 100.0),
}


def _color(value: Value) -> Color:
    if isinstance(value, (Quantity, str, dict)):
        raise CannotTell("a colour is missing in it")
    return value


def _number(value: Value) -> float:
    if not isinstance(value, Quantity):
        raise CannotTell("a number is missing in it")
    return value.value


def _color_and_number(values: Sequence[Value], names: Mapping[str, Value]) -> tuple[Color, float]:
    together = [*values, *names.values()]
    if len(together) != 2:
        raise CannotTell("it takes a colour and an amount")
    return _color(together[0]), _number(together[1])


def _part(value: Value) -> float:
    """Return an opacity or a change of one: a number from 0 to 1, or a percentage."""
    number = _number(value)
    return number / 100 if isinstance(value, Quantity) and value.kind == "percentage" else number


def _clamped(value: float) -> float:
    return min(1.0, max(0.0, value))


def _moved(place: int, sign: int) -> Function:
    """Return a function that moves saturation (1) or lightness (2) of HSL by percent of the whole."""

    def move(values: Sequence[Value], names: Mapping[str, Value]) -> Value:
        color, amount = _color_and_number(values, names)
        made = color.convert("hsl")
        made[place] = _clamped(made.coords(nans=False)[place] + sign * amount / 100)
        return made

    return move


def _turned(values: Sequence[Value], names: Mapping[str, Value]) -> Value:
    color, degrees = _color_and_number(values, names)
    made = color.convert("hsl")
    return made.set("hue", (made.coords(nans=False)[0] + degrees) % 360)


def _fading(sign: int) -> Function:
    def fade(values: Sequence[Value], names: Mapping[str, Value]) -> Value:
        together = [*values, *names.values()]
        color, _ = _color_and_number(together, {})
        alpha = color.alpha(nans=False) + sign * _part(together[1])
        return color.clone().set("alpha", _clamped(alpha))

    return fade


def with_alpha(values: Sequence[Value], names: Mapping[str, Value]) -> Value:
    """Return a colour with another opacity: `rgba($color, 0.5)`, in Less `fade(@color, 50%)`."""
    together = [*values, *names.values()]
    color, _ = _color_and_number(together, {})
    return color.clone().set("alpha", _clamped(_part(together[1])))


def mixed(first: Color, second: Color, weight: float) -> Color:
    """Return Sass’s mixture. weight: of the first, 0 to 1; the more opaque colour weighs more."""
    first, second = first.convert("srgb"), second.convert("srgb")
    opacity, other = first.alpha(nans=False), second.alpha(nans=False)
    scaled, apart = weight * 2 - 1, opacity - other
    share = scaled if scaled * apart == -1 else (scaled + apart) / (1 + scaled * apart)
    share = (share + 1) / 2
    pairs = zip(first.coords(nans=False), second.coords(nans=False), strict=True)
    channels = [one * share + two * (1 - share) for one, two in pairs]
    return colors_of_browsers()("srgb", channels, opacity * weight + other * (1 - weight))


def _mix(values: Sequence[Value], names: Mapping[str, Value]) -> Value:
    first, second, *rest = [*values, *names.values()]
    weight = _number(rest[0]) / 100 if rest else 0.5
    return mixed(_color(first), _color(second), _clamped(weight))


def _toward(end: str) -> Function:
    """Return Less’s `tint` or `shade`: the colour mixed with white or black."""

    def mix(values: Sequence[Value], names: Mapping[str, Value]) -> Value:
        together = [*values, *names.values()]
        weight = _number(together[1]) / 100 if len(together) > 1 else 0.5
        return mixed(colors_of_browsers()(end), _color(together[0]), _clamped(weight))

    return mix


def _complement(values: Sequence[Value], names: Mapping[str, Value]) -> Value:
    return _turned([*values, Quantity(180, "angle")], names)


def _grayscale(values: Sequence[Value], names: Mapping[str, Value]) -> Value:
    return _moved(1, -1)([*values, Quantity(100, "percentage")], names)


def _invert(values: Sequence[Value], names: Mapping[str, Value]) -> Value:
    color, *rest = [*values, *names.values()]
    origin = _color(color).convert("srgb")
    channels = [1 - channel for channel in origin.coords(nans=False)]
    inverted = colors_of_browsers()("srgb", channels, origin.alpha(nans=False))
    return mixed(inverted, origin, _number(rest[0]) / 100) if rest else inverted


def _by_channel(change: Callable[[float, float, float], float]) -> Function:
    """Return a function that changes named channels. change: of 0 to 1, what is written, and its whole."""

    def by_channel(values: Sequence[Value], names: Mapping[str, Value]) -> Value:
        color = _color(values[0]) if values else _color(names.get("color", ""))
        for name, value in names.items():
            if name == "color":
                continue
            if name == "alpha":
                whole = 100.0 if isinstance(value, Quantity) and value.kind == "percentage" else 1.0
                alpha = change(float(color.alpha(nans=False)), _number(value), whole)
                color = color.clone().set("alpha", _clamped(alpha))
                continue
            if name not in _CHANNELS:
                raise CannotTell(f"${name} isn’t computed here")
            space, place, whole = _CHANNELS[name]
            color = color.convert(space)
            changed = change(color.coords(nans=False)[place], _number(value), whole)
            color[place] = changed % 360 if name == "hue" else _clamped(changed)
        return color

    return by_channel


def _scaled(now: float, percent: float, _: float) -> float:
    return now + (1 - now if percent > 0 else now) * percent / 100


_adjust: Final = _by_channel(lambda now, written, whole: now + written / whole)
_change: Final = _by_channel(lambda _, written, whole: written / whole)
_scale: Final = _by_channel(_scaled)

_OF_BOTH: Final[Mapping[str, Function]] = {
    "lighten": _moved(2, 1),
    "darken": _moved(2, -1),
    "saturate": _moved(1, 1),
    "desaturate": _moved(1, -1),
    "mix": _mix,
}
# By the mark of a variable: what the other language calls so is a function of somebody's own.
FUNCTIONS: Final[Mapping[str, Mapping[str, Function]]] = {
    "$": {
        **_OF_BOTH,
        "adjust-hue": _turned,
        "opacify": _fading(1),
        "fade-in": _fading(1),
        "transparentize": _fading(-1),
        "fade-out": _fading(-1),
        "complement": _complement,
        "grayscale": _grayscale,
        "invert": _invert,
        "adjust-color": _adjust,
        "change-color": _change,
        "scale-color": _scale,
    },
    "@": {
        **_OF_BOTH,
        "spin": _turned,
        "fade": with_alpha,
        "fadein": _fading(1),
        "fadeout": _fading(-1),
        "tint": _toward("white"),
        "shade": _toward("black"),
        "greyscale": _grayscale,
    },
}
# Of the module sass:color, under its own or another name.
OF_MODULE: Final[Mapping[str, Function]] = {
    "adjust": _adjust,
    "change": _change,
    "scale": _scale,
    "mix": _mix,
    "complement": _complement,
    "grayscale": _grayscale,
    "invert": _invert,
}
