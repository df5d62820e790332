"""A picture in the colours of the take: in two of them by its light and dark, or with one laid over it."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Final, TypeAlias

import numpy as np
from numpy.typing import NDArray

from tonada.core.color.spaces import hex_to_srgb8
from tonada.core.take.proof_settings import PictureTone
from tonada.core.take.take import Take

# Luma of the filter effects of SVG (saturate, luminanceToAlpha), which the pages draw with: its values
# are gamma-encoded, so that this is no relative luminance.
LUMA: Final = (0.2126, 0.7152, 0.0722)
Channels: TypeAlias = tuple[float, float, float]


@dataclass(frozen=True, slots=True)
class Toning:
    """What a picture becomes: each channel runs from dark to light, gamma-encoded sRGB from 0 to 1.

    by_luma: along the luma of a pixel, else along its own channel.
    """

    dark: Channels
    light: Channels
    by_luma: bool


def toning_of(take: Take, tone: PictureTone) -> Toning | None:
    """Return what a tone does to a picture; None where it stays as it is, or a role isn't there."""
    if tone.kind == "duotone" and take.has_role(tone.dark) and take.has_role(tone.light):
        return Toning(_channels(take, tone.dark), _channels(take, tone.light), by_luma=True)
    if tone.kind == "tinted" and take.has_role(tone.tint):
        red, green, blue = (tone.amount * channel for channel in _channels(take, tone.tint))
        left = 1 - tone.amount
        return Toning((red, green, blue), (red + left, green + left, blue + left), by_luma=False)
    return None


def toned(picture: NDArray[np.uint8], toning: Toning) -> NDArray[np.uint8]:
    """Return the picture in a toning.

    picture: shape (..., 3), 8-bit sRGB. The pages do the same in the browser with an SVG filter.
    """
    values = picture.astype(np.float64) / 255
    along = (values @ np.array(LUMA))[..., None] if toning.by_luma else values
    dark, light = np.array(toning.dark), np.array(toning.light)
    return np.asarray(np.floor((dark + (light - dark) * along) * 255 + 0.5), dtype=np.uint8)


def _channels(take: Take, role: str) -> Channels:
    red, green, blue = (hex_to_srgb8(take.hex_of(role)) / 255).tolist()
    return red, green, blue
