"""A picture in two colours of the take: dark parts in the one, light parts in the other."""

from __future__ import annotations

from typing import Final

import numpy as np
from numpy.typing import NDArray

from tonada.core.color.spaces import Hex, hex_to_srgb8
from tonada.core.take.take import Take

# Luma of the filter effects of SVG (saturate, luminanceToAlpha), which the pages draw with: its values
# are gamma-encoded, so that this is no relative luminance.
LUMA: Final = (0.2126, 0.7152, 0.0722)


def duotone_ends(take: Take) -> tuple[Hex, Hex] | None:
    """Return the colours for dark and light parts of the proof's picture; None where it stays as it is."""
    roles = take.proof.duotone
    if roles is None or not all(take.has_role(role) for role in roles):
        return None
    return take.hex_of(roles[0]), take.hex_of(roles[1])


def duotone(picture: NDArray[np.uint8], dark: Hex, light: Hex) -> NDArray[np.uint8]:
    """Return the picture between two colours, mixed in gamma-encoded sRGB by each pixel's luma.

    picture: shape (H, W, 3), 8-bit sRGB. The pages do the same in the browser with an SVG filter.
    """
    luma = picture.astype(np.float64) @ np.array(LUMA) / 255
    ends = (hex_to_srgb8(dark).astype(np.float64), hex_to_srgb8(light).astype(np.float64))
    mixed = ends[0] + (ends[1] - ends[0]) * luma[..., None]
    return np.asarray(np.floor(mixed + 0.5), dtype=np.uint8)
