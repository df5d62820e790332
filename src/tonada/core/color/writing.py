"""Colours written in the notations that people paste: CSS Color 4, bare digits, decimals, per cents.

What is written is read back as the same 8-bit colour (tests hold every notation to that).
"""

from __future__ import annotations

from collections.abc import Callable, Mapping
from functools import lru_cache
from typing import Final, Literal, TypeAlias

from tonada.core.color.notation import css_color, read_color
from tonada.core.color.spaces import Hex, hex_to_srgb8
from tonada.core.errors import InputError

WrittenAs: TypeAlias = Literal[
    "hex", "hex upper", "digits", "digits upper", "rgb", "decimals", "per cent", "hsl", "hwb", "oklch", "lab"
]
LEAST_DIGITS: Final = 5
MOST_DIGITS: Final = 12
# Those that a stylesheet takes as they are.
CSS_NOTATIONS: Final[tuple[WrittenAs, ...]] = (
    "hex",
    "hex upper",
    "rgb",
    "hsl",
    "hwb",
    "oklch",
    "lab",
)
# Those that every browser knows.
PLAIN_NOTATIONS: Final[tuple[WrittenAs, ...]] = ("hex", "hex upper", "rgb", "hsl")


@lru_cache(maxsize=8192)
def written(value: Hex, notation: WrittenAs, alpha: float = 1.0) -> str:
    """Return a value `#rrggbb` in a notation. Raises InputError for an unknown one.

    A translucent one, alpha from 0 to 1, is a function of CSS: two more digits wouldn't say it exactly.

    Digits enough that reading gives the same 8-bit colour. Source: CSS Color 4, serialisation.
    """
    write = _WRITERS.get(notation)
    if write is None:
        raise InputError(f"A notation is one of: {', '.join(NOTATIONS)}.", field="notation")
    if alpha == 1:
        return write(value)
    text = write(value)
    text = text if "(" in text else _rgb(value)
    return f"{text[:-1]} / {_number(alpha * 100, 2)}%)"


def hex_with_alpha(value: Hex, alpha: float) -> str:
    """Return `#rrggbb`, or `#rrggbbaa` of the nearest of 256 where a value is translucent."""
    return value if alpha == 1 else f"{value}{round(alpha * 255):02x}"


def all_notations(value: Hex) -> dict[WrittenAs, str]:
    """Return a value in every notation, in the order of the menu."""
    return {notation: written(value, notation) for notation in NOTATIONS}


def _channels(value: Hex) -> tuple[int, int, int]:
    red, green, blue = (int(channel) for channel in hex_to_srgb8(value))
    return red, green, blue


def _rgb(value: Hex) -> str:
    return "rgb({} {} {})".format(*_channels(value))


def _decimals(value: Hex) -> str:
    return "{}, {}, {}".format(*_channels(value))


def _per_cent(value: Hex) -> str:
    return "rgb({:.2f}% {:.2f}% {:.2f}%)".format(*(channel / 2.55 for channel in _channels(value)))


def _hsl(value: Hex) -> str:
    hue, saturation, lightness = css_color(value).convert("hsl").coords(nans=False)
    return f"hsl({_number(hue, 2)} {_number(saturation * 100, 2)}% {_number(lightness * 100, 2)}%)"


def _hwb(value: Hex) -> str:
    hue, white, black = css_color(value).convert("hwb").coords(nans=False)
    return f"hwb({_number(hue, 2)} {_number(white * 100, 2)}% {_number(black * 100, 2)}%)"


def _oklch(value: Hex) -> str:
    lightness, chroma, hue = css_color(value).convert("oklch").coords(nans=False)
    hue = hue if chroma > 1e-5 else 0.0
    return _reading_back(
        value,
        lambda more: f"oklch({_number(lightness, more)} {_number(chroma, more)} {_number(hue, more - 2)})",
    )


def _lab(value: Hex) -> str:
    lightness, a, b = css_color(value).convert("lab").coords(nans=False)
    return _reading_back(
        value,
        lambda more: f"lab({_number(lightness, more - 1)} {_number(a, more - 1)} {_number(b, more - 1)})",
    )


def _reading_back(value: Hex, write: Callable[[int], str]) -> str:
    """Return the first of ever more digits that reads back as the value.

    At the edge of the gamut a rounded colour may lie outside, and would lose chroma when it is read.
    """
    for digits in range(LEAST_DIGITS, MOST_DIGITS):
        text = write(digits)
        if read_color(text).hex == value:
            return text
    return write(MOST_DIGITS)


def _number(value: float, decimals: int) -> str:
    text = f"{value:.{decimals}f}".rstrip("0").rstrip(".")
    return "0" if text in ("-0", "") else text


_WRITERS: Final[Mapping[WrittenAs, Callable[[Hex], str]]] = {
    "hex": lambda value: value,
    "hex upper": lambda value: value.upper(),
    "digits": lambda value: value.removeprefix("#"),
    "digits upper": lambda value: value.removeprefix("#").upper(),
    "rgb": _rgb,
    "decimals": _decimals,
    "per cent": _per_cent,
    "hsl": _hsl,
    "hwb": _hwb,
    "oklch": _oklch,
    "lab": _lab,
}
NOTATIONS: Final = tuple(_WRITERS)
