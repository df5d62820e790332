"""Colours in print: CMYK through a press profile, within what paper takes; whether the press can show them.

Source: ICC.1, by way of Pillow's ImageCms (LittleCMS): relative colorimetric, black point compensation.
"""

from __future__ import annotations

import io
import math
from dataclasses import dataclass
from functools import lru_cache
from typing import Final, TypeAlias

from PIL import Image, ImageCms

from tonada.core.color.spaces import Hex, difference_between, hex_to_oklch, hex_to_srgb8
from tonada.core.errors import InputError

# Per cents of the four inks together that paper takes; a profile that mixes less keeps to its own.
INK_LIMIT: Final = 300
# A black of texts: OKLCH lightness and chroma up to these. A convention of ours.
BLACK_UP_TO: Final = 0.24
BLACK_CHROMA: Final = 0.015
# Printed and looked at on the screen again, a colour this far off (deltaEOK) is another one.
IN_PRINT: Final = 0.03


Inks: TypeAlias = tuple[int, ...]


@dataclass(frozen=True, slots=True)
class Printed:
    """cyan to black: per cents, 0 to 100. hex: what the print looks like. in_gamut: whether that is it,
    or a black of texts, which is printed with black ink alone."""

    cyan: int
    magenta: int
    yellow: int
    black: int
    hex: Hex
    in_gamut: bool

    @property
    def text(self) -> str:
        """As it is typed into a layout program: `90 80 0 10`."""
        return f"{self.cyan} {self.magenta} {self.yellow} {self.black}"


class Press:
    """A press, by its ICC profile. Raises InputError for what is no CMYK profile."""

    def __init__(self, profile: bytes) -> None:
        try:
            press = ImageCms.ImageCmsProfile(io.BytesIO(profile))
            screen = ImageCms.createProfile("sRGB")
            intent, flags = ImageCms.Intent.RELATIVE_COLORIMETRIC, ImageCms.Flags.BLACKPOINTCOMPENSATION
            self._to = ImageCms.buildTransform(screen, press, "RGB", "CMYK", intent, flags)
            self._back = ImageCms.buildTransform(press, screen, "CMYK", "RGB", intent, flags)
            # Some profiles can be opened, and fail when they are used.
            ImageCms.applyTransform(Image.new("RGB", (1, 1)), self._to)
            ImageCms.applyTransform(Image.new("CMYK", (1, 1)), self._back)
        except (ImageCms.PyCMSError, OSError) as reason:
            raise InputError("This isn’t a press profile for CMYK.", field="profile") from reason
        self.name = ImageCms.getProfileDescription(press).strip()
        self._printed = lru_cache(maxsize=4096)(self._print)

    def printed(self, value: Hex) -> Printed:
        """Return an opaque 8-bit sRGB value as it is printed."""
        return self._printed(value)

    def _print(self, value: Hex) -> Printed:
        red, green, blue = (int(channel) for channel in hex_to_srgb8(value))
        pixel = Image.new("RGB", (1, 1), (red, green, blue))
        inks = _pixel(ImageCms.applyTransform(pixel, self._to))
        percents = tuple(round(ink / 2.55) for ink in inks)
        if is_text_black(value):
            percents = self._nearest([(0, 0, 0, black) for black in range(101)], value)
        elif sum(percents) > INK_LIMIT:
            percents = self._nearest(_within_limit(percents), value)
        back = self._seen([percents])[0]
        near = is_text_black(value) or difference_between(value, back) <= IN_PRINT
        cyan, magenta, yellow, black = percents
        return Printed(cyan, magenta, yellow, black, back, near)

    def _nearest(self, candidates: list[Inks], value: Hex) -> Inks:
        """Return the inks whose print is nearest to a value, the first of equals."""
        seen = self._seen(candidates)
        return min(
            zip(candidates, seen, strict=True), key=lambda candidate: difference_between(candidate[1], value)
        )[0]

    def _seen(self, inks: list[Inks]) -> list[Hex]:
        """Return what prints look like: what is typed are whole per cents, so those are looked at."""
        typed = Image.new("CMYK", (len(inks), 1))
        typed.putdata([tuple(round(percent * 2.55) for percent in one) for one in inks])
        back = ImageCms.applyTransform(typed, self._back)
        return ["#" + bytes(_pixel(back, row)).hex() for row in range(len(inks))]


def is_text_black(value: Hex) -> bool:
    """Return whether a colour is a black that texts are set in: it is printed with the black ink alone.

    Four inks never lie exactly upon each other, and small letters would have coloured edges.
    """
    lightness, chroma, _ = hex_to_oklch(value)
    return lightness <= BLACK_UP_TO and chroma <= BLACK_CHROMA


def _within_limit(inks: Inks) -> list[Inks]:
    """Return mixtures within the limit: ever more of the three colours given up for black."""
    *colors, black = inks
    whole = sum(colors)
    found: list[Inks] = []
    for more in range(black, 101):
        share = min(1.0, (INK_LIMIT - more) / whole)
        cyan, magenta, yellow = (math.floor(color * share) for color in colors)
        found.append((cyan, magenta, yellow, more))
    return found


def _pixel(image: Image.Image | None, column: int = 0) -> tuple[int, ...]:
    assert image is not None  # noqa: S101  # only an in-place transform returns None
    value = image.getpixel((column, 0))
    return value if isinstance(value, tuple) else ()


def is_for_press(profile: bytes) -> bool:
    """Return whether bytes are a profile for CMYK. Source: ICC.1, bytes 16 to 19 name the colour space."""
    return profile[16:20] == b"CMYK" and profile[12:16] == b"prtr"
