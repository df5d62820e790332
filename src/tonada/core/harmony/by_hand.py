"""A swatch by what is typed: a colour, or one of its numbers while the others stay as they are."""

from __future__ import annotations

from typing import Final, Literal, TypeAlias

from tonada.core.color.notation import read_swatch_color
from tonada.core.color.spaces import hex_to_oklch, hex_to_srgb8, srgb8_to_hex
from tonada.core.errors import InputError
from tonada.core.harmony.chord import Place, place
from tonada.core.take.recolor import recolor
from tonada.core.take.take import Take

NumberName: TypeAlias = Literal["lightness", "chroma", "hue", "red", "green", "blue"]

_CHANNELS: Final = ("red", "green", "blue")
# From 0 to so much: the shade in OKLCH, hue in degrees, channels of 8-bit sRGB.
_MOST: Final = {"lightness": 1, "chroma": 0.5, "hue": 360, **dict.fromkeys(_CHANNELS, 255)}
_NOTE: Final = "typed by hand"


def set_color(take: Take, swatch_id: str, text: str) -> Take:
    """Return the take with another colour for a swatch, in any CSS notation.

    Raises TakeError for an unknown swatch, ColorError for what is no opaque colour, naming `text`.
    """
    take.swatch(swatch_id)
    return recolor(take, swatch_id, read_swatch_color(text, field="text").hex, _NOTE, "typed")


def set_number(take: Take, swatch_id: str, number: NumberName, value: float) -> Take:
    """Return the take with one number of a swatch set; a channel is rounded to a whole one.

    Raises TakeError for an unknown swatch, InputError for a value out of range, naming `value`.
    """
    if not 0 <= value <= _MOST[number]:
        raise InputError(f"The {number} is 0 to {_MOST[number]}.", field="value")
    now = take.swatch(swatch_id).hex
    if number in _CHANNELS:
        channels = hex_to_srgb8(now).copy()
        channels[_CHANNELS.index(number)] = round(value)
        return recolor(take, swatch_id, srgb8_to_hex(channels), _NOTE, "typed")
    lightness, chroma, hue = hex_to_oklch(now)
    shade: dict[str, float] = {"lightness": lightness, "chroma": chroma, "hue": hue, number: value}
    return place(take, Place(swatch_id, shade["chroma"], shade["hue"], shade["lightness"]))
