"""Plain names for colours, from their place in OKLCH: a systematic vocabulary, no trade list."""

from __future__ import annotations

from typing import Final

from tonada.core.color.spaces import Hex, hex_to_srgb8, srgb8_to_oklch

# Up to this hue in degrees, the family's name; and what it is called when dark.
HUE_FAMILIES: Final = (
    (12.0, "rose", "wine"),
    (40.0, "red", "maroon"),
    (68.0, "orange", "brown"),
    (88.0, "amber", "ochre"),
    (116.0, "yellow", "olive"),
    (134.0, "lime", "moss"),
    (160.0, "green", "green"),
    (184.0, "jade", "jade"),
    (212.0, "teal", "teal"),
    (240.0, "azure", "azure"),
    (268.0, "blue", "navy"),
    (286.0, "indigo", "indigo"),
    (312.0, "violet", "violet"),
    (344.0, "magenta", "plum"),
    (360.0, "rose", "wine"),
)
# Under this chroma nobody would name a hue. It is less than NEUTRAL_BELOW: a “warm grey” has a name.
NAMED_GREY_BELOW: Final = 0.018
DARK_BELOW: Final = 0.47
_GREYS: Final = (
    (0.12, "black"),
    (0.35, "charcoal"),
    (0.55, "dark grey"),
    (0.75, "grey"),
    (0.93, "light grey"),
)


def color_name(value: Hex) -> str:
    """Return a short name with a capital, such as “Deep indigo” or “Light grey”."""
    lightness, chroma, hue = (float(channel) for channel in srgb8_to_oklch(hex_to_srgb8(value)))
    if chroma < NAMED_GREY_BELOW:
        grey = next((name for most, name in _GREYS if lightness < most), None)
        name = grey or ("white" if lightness > 0.995 else "off-white")
    else:
        family = next(family for family in HUE_FAMILIES if hue <= family[0])
        name = f"{_shade(lightness, chroma)} {family[2] if lightness < DARK_BELOW else family[1]}".strip()
    return name[0].upper() + name[1:]


def _shade(lightness: float, chroma: float) -> str:
    if lightness > 0.9:
        return "pale"
    if lightness < 0.28:
        return "blackish" if chroma < 0.05 else "deep"
    if chroma < 0.05:
        return "greyish"
    if chroma > 0.17:
        return "vivid"
    if lightness > 0.78:
        return "light"
    return "soft" if chroma < 0.09 else ""


def unlike(name: str, taken: set[str]) -> str:
    """Return `name`, numbered where it is taken already."""
    if name not in taken:
        return name
    return next(f"{name} {number}" for number in range(2, len(taken) + 3) if f"{name} {number}" not in taken)
