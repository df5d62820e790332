"""Plain names for colours, from their place in OKLCH: the colour terms of everyday English.

The eleven basic terms (Berlin and Kay, “Basic Color Terms”, 1969) and those that most people use beside
them, with one table of where each is meant. Its boundaries were set on the names that people gave in the
public survey of tests/core/color/survey.tsv, and are held to it there.
"""

from __future__ import annotations

from typing import Final, NamedTuple

from tonada.core.color.spaces import Hex, hex_to_oklch


class Term(NamedTuple):
    """Where a term is meant: hues in degrees, lightness and chroma from, up to. The first that fits is it."""

    name: str
    hue: tuple[float, float]
    lightness: tuple[float, float] = (0.0, 1.01)
    chroma: tuple[float, float] = (0.0, 1.0)


# Hues run on past 360, so that a term can lie over red.
TERMS: Final = (
    Term("beige", (60, 112), (0.8, 0.96), (0.0, 0.075)),
    Term("peach", (35, 72), (0.8, 1.01), (0.06, 1.0)),
    Term("tan", (55, 95), (0.68, 0.82), (0.0, 0.095)),
    Term("maroon", (355, 385), (0.0, 0.4)),
    Term("pink", (345, 377), (0.6, 1.01)),
    Term("pink", (345, 372), (0.0, 1.01), (0.19, 1.0)),
    Term("salmon", (377, 397), (0.7, 0.82)),
    Term("pink", (377, 395), (0.7, 1.01)),
    Term("coral", (384, 404), (0.66, 0.8), (0.14, 1.0)),
    Term("plum", (325, 372), (0.0, 0.5), (0.0, 0.14)),
    Term("brown", (377, 400), (0.0, 0.56), (0.0, 0.105)),
    Term("red", (360, 395)),
    Term("brown", (35, 93), (0.0, 0.52)),
    Term("brown", (35, 93), (0.0, 0.6), (0.0, 0.14)),
    Term("brown", (35, 88), (0.0, 0.68), (0.0, 0.115)),
    Term("red", (35, 40), (0.0, 0.66)),
    Term("orange", (35, 73)),
    Term("gold", (73, 98), (0.74, 0.86), (0.13, 1.0)),
    Term("mustard", (73, 106), (0.6, 0.8)),
    Term("yellow", (73, 114), (0.8, 1.01)),
    Term("olive", (88, 123), (0.0, 0.72), (0.0, 0.16)),
    Term("lime", (110, 138), (0.78, 1.01), (0.17, 1.0)),
    Term("yellow", (98, 114), (0.74, 1.01)),
    Term("green", (106, 172)),
    Term("teal", (172, 222), (0.0, 0.63)),
    Term("turquoise", (172, 198)),
    Term("cyan", (192, 218)),
    Term("navy", (245, 292), (0.0, 0.34)),
    Term("indigo", (270, 294), (0.0, 0.48)),
    Term("lavender", (278, 316), (0.72, 1.01), (0.0, 0.14)),
    Term("blue", (218, 284)),
    Term("violet", (284, 297)),
    Term("magenta", (318, 350), (0.5, 0.75), (0.22, 1.0)),
    Term("pink", (322, 350), (0.66, 1.01)),
    Term("purple", (284, 360)),
)
# Under this chroma nobody would name a hue; up to the next it is a grey with a cast. Less than
# NEUTRAL_BELOW: a “bluish grey” has a name although it counts as a neutral.
NAMED_GREY_BELOW: Final = 0.012
CAST_BELOW: Final = 0.044
_GREYS: Final = (
    (0.12, "black"),
    (0.35, "charcoal"),
    (0.55, "dark grey"),
    (0.78, "grey"),
    (0.93, "light grey"),
)
# Up to this hue, what a grey is called that leans to it.
_CASTS: Final = (
    (35.0, "pinkish"),
    (80.0, "brownish"),
    (115.0, "yellowish"),
    (190.0, "greenish"),
    (285.0, "bluish"),
    (330.0, "purplish"),
    (360.0, "pinkish"),
)
# These say how light or dark they are by themselves.
_LIGHT_TERMS: Final = frozenset(("beige", "peach", "lavender", "salmon", "gold", "lime", "tan"))
_DARK_TERMS: Final = frozenset(("maroon", "navy", "plum", "indigo"))


def color_name(value: Hex) -> str:
    """Return a short name with a capital, such as “Deep blue”, “Pinkish grey” or “Light grey”."""
    lightness, chroma, _ = hex_to_oklch(value)
    name = term_of(value)
    if name not in _WITHOUT_SHADE and not name.endswith(("grey", "white", "black")):
        name = f"{_shade(name, lightness, chroma)} {name}".strip()
    return name[0].upper() + name[1:]


def term_of(value: Hex) -> str:
    """Return the colour term alone, in small letters: “blue”, “pinkish grey”, “off-white”."""
    lightness, chroma, hue = hex_to_oklch(value)
    if chroma < NAMED_GREY_BELOW or lightness < 0.1:
        grey = next((name for most, name in _GREYS if lightness < most), None)
        return grey or ("white" if lightness > 0.995 else "off-white")
    cast = next(name for most, name in _CASTS if hue <= most)
    is_beige = 0.8 < lightness < 0.96 and cast in ("brownish", "yellowish") and chroma > 0.02
    if chroma < CAST_BELOW and not is_beige:
        return f"{cast} {'white' if lightness > 0.93 else 'black' if lightness < 0.28 else 'grey'}"
    return next(term.name for term in TERMS if _is_meant(term, lightness, chroma, hue))


_WITHOUT_SHADE: Final = frozenset(("black", "charcoal", "white", "off-white"))


def _is_meant(term: Term, lightness: float, chroma: float, hue: float) -> bool:
    return (
        (term.hue[0] <= hue < term.hue[1] or term.hue[0] <= hue + 360 < term.hue[1])
        and term.lightness[0] <= lightness < term.lightness[1]
        and term.chroma[0] <= chroma < term.chroma[1]
    )


def _shade(term: str, lightness: float, chroma: float) -> str:
    if term in _LIGHT_TERMS | _DARK_TERMS:
        return ""
    if lightness > 0.9 and term not in ("yellow", "cyan"):
        return "pale"
    if lightness < 0.34:
        return "deep" if chroma >= 0.06 else "blackish"
    if chroma > 0.17:
        return "vivid"
    if lightness > 0.76:
        return "pale" if chroma < 0.06 else "light"
    if term in ("brown", "olive"):
        return (
            "dark" if lightness < 0.4 else "light" if lightness > (0.58 if term == "brown" else 0.7) else ""
        )
    if lightness < 0.45:
        return "dark"
    return "soft" if chroma < 0.09 else ""


def unused_name(name: str, taken: set[str]) -> str:
    """Return `name`, numbered where it is taken already."""
    if name not in taken:
        return name
    return next(f"{name} {number}" for number in range(2, len(taken) + 3) if f"{name} {number}" not in taken)
