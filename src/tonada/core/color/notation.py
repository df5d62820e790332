"""Colours as people write them: CSS Color 4 notations, bare hex digits, bare decimals."""

from __future__ import annotations

import re
from dataclasses import dataclass
from functools import lru_cache
from typing import TYPE_CHECKING, Any, Final, Literal, TypeAlias

import numpy as np

from tonada.core.color.spaces import Hex, srgb8_to_hex
from tonada.core.color.unknown import CannotTell, NotCss
from tonada.core.errors import ColorError

if TYPE_CHECKING:
    from coloraide import Color

Notation: TypeAlias = Literal["hex", "decimals", "name", "function"]

COLOR_FUNCTIONS: Final = (
    "rgb", "rgba", "hsl", "hsla", "hwb", "lab", "lch", "oklab", "oklch", "color",
)  # fmt: skip
# Longer texts aren't colours; what a field of the interface takes has the same limit.
LONGEST_COLOR: Final = 200

_BARE_HEX: Final = re.compile(r"[0-9a-fA-F]{3,4}|[0-9a-fA-F]{6}|[0-9a-fA-F]{8}")
_OPAQUE_HEX: Final = re.compile(r"#?(?:[0-9a-fA-F]{6}|[0-9a-fA-F]{3})\Z")
_DECIMALS: Final = re.compile(r"(\d{1,3})(?:\s*[,;/]\s*|\s+)(\d{1,3})(?:\s*[,;/]\s*|\s+)(\d{1,3})")


@dataclass(frozen=True, slots=True)
class ReadColor:
    """What was understood. alpha: 0 to 1. mapped: outside sRGB, and taken as an sRGB screen shows it."""

    hex: Hex
    alpha: float
    notation: Notation
    mapped: bool


def read_color(text: str, *, field: str = "color") -> ReadColor:
    """Return the colour that a text means: any value of CSS, hex without its #, `43 58 140`.

    Of colours outside sRGB each channel is clipped, as browsers do for an sRGB screen. Raises ColorError
    naming `field`.
    """
    found = _read(text.strip()) if len(text) <= LONGEST_COLOR else None
    if isinstance(found, str):
        raise ColorError(f"“{text[:40]}” is not understood: {found}.", field=field)
    if found is None:
        wrong = f"“{text[:40]}” is not a colour." if text.strip() else "The colour is missing."
        raise ColorError(
            f"{wrong} Write it as #2b3a8c, 43 58 140, rgb(43 58 140), oklch(0.37 0.14 272) or a CSS name.",
            field=field,
        )
    return found


def read_swatch_color(text: str, *, field: str) -> ReadColor:
    """Return what read_color does, for a swatch. Raises ColorError naming `field`, also for an alpha."""
    found = read_color(text, field=field)
    if found.alpha < 1:
        raise ColorError("Swatches can’t be transparent. Enter the colour without alpha.", field=field)
    return found


def parse_color(text: str, *, field: str = "color") -> tuple[Hex, float]:
    """Return hex and alpha (0 to 1) of what `read_color` reads. Raises ColorError naming `field`."""
    found = read_color(text, field=field)
    return found.hex, found.alpha


def is_color_name(word: str) -> bool:
    """Return whether a word is one of the named colours of CSS Color 4, in any case."""
    return word.lower() in _color_names()


@lru_cache(maxsize=1)
def _color_names() -> frozenset[str]:
    from coloraide.css.color_names import name2val_map

    return frozenset(name2val_map)


def css_color(*described: Any) -> Color:
    """Return coloraide's colour for a CSS value, or for a space, its coordinates and an alpha.

    Raises ValueError, TypeError or OverflowError for what is no colour.
    """
    from tonada.core.color.css_values import colors_of_browsers

    return colors_of_browsers()(*described)


# Stylesheets and lists repeat their colours; the cache makes the second reading free.
@lru_cache(maxsize=4096)
def _read(text: str) -> ReadColor | str | None:
    """Return the colour; why it isn’t computed here; or None for what is none."""
    if _OPAQUE_HEX.match(text):
        digits = text.lstrip("#").lower()
        return ReadColor(
            "#" + (digits if len(digits) == 6 else "".join(2 * digit for digit in digits)), 1.0, "hex", False
        )
    decimals = _DECIMALS.fullmatch(text)
    if decimals:
        return _from_decimals(decimals)
    if _BARE_HEX.fullmatch(text):
        text = f"#{text}"
    notation: Notation = "hex" if text.startswith("#") else "name" if is_color_name(text) else "function"
    from tonada.core.color.css_values import color_of_text

    try:
        return as_screen_shows(color_of_text(text), notation)
    except NotCss:
        return None
    except CannotTell as reason:
        return str(reason)


def as_screen_shows(color: Color, notation: Notation = "function") -> ReadColor:
    """Return a colour as an sRGB screen shows it: each channel is clipped, then rounded to 8 bits."""
    srgb = color.convert("srgb")
    channels = np.nan_to_num(np.array(srgb.coords(nans=False)), posinf=1.0, neginf=0.0)
    srgb8 = np.floor(np.clip(channels, 0, 1) * 255 + 0.5).astype(np.uint8)
    alpha = min(max(float(srgb.alpha(nans=False)), 0.0), 1.0)
    return ReadColor(srgb8_to_hex(srgb8), alpha, notation, not srgb.in_gamut(tolerance=1e-4))


def _from_decimals(decimals: re.Match[str]) -> ReadColor | None:
    channels = [int(channel) for channel in decimals.groups()]
    if max(channels) > 255:
        return None
    return ReadColor("#" + bytes(channels).hex(), 1.0, "decimals", False)
