"""Colours in print: CMYK through a press profile, and whether the press can show them.

Source: ICC.1, by way of Pillow's ImageCms (LittleCMS): relative colorimetric, black point compensation.
"""

from __future__ import annotations

import io
from dataclasses import dataclass
from functools import lru_cache
from typing import Final

from PIL import Image, ImageCms

from tonada.core.color.spaces import Hex, difference_between, hex_to_srgb8
from tonada.core.errors import InputError

# Printed and looked at on the screen again, a colour this far off (deltaEOK) is another one.
IN_PRINT: Final = 0.03


@dataclass(frozen=True, slots=True)
class Printed:
    """cyan to black: per cents, 0 to 100. hex: what the print looks like. in_gamut: whether that is it."""

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
        percents = [round(ink / 2.55) for ink in inks]
        # What is typed are whole per cents, so those are what is looked at again.
        typed = Image.new("CMYK", (1, 1), tuple(round(percent * 2.55) for percent in percents))
        back = "#" + bytes(_pixel(ImageCms.applyTransform(typed, self._back))).hex()
        near = difference_between(value, back) <= IN_PRINT
        cyan, magenta, yellow, black = percents
        return Printed(cyan, magenta, yellow, black, back, near)


def _pixel(image: Image.Image | None) -> tuple[int, ...]:
    assert image is not None  # noqa: S101  # only an in-place transform returns None
    value = image.getpixel((0, 0))
    return value if isinstance(value, tuple) else ()
