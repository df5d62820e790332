"""A text over a picture or a gradient, with translucent layers between: the worst pixel counts."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final

import numpy as np
from numpy.typing import NDArray

from tonada.core.color.contrast import composite, ratio_of_luminances, relative_luminance
from tonada.core.color.spaces import Floats, Hex, hex_to_srgb8
from tonada.core.errors import InputError
from tonada.core.source.pictures import Region

# Opacities are set in whole per cents.
OPACITIES: Final = 100
GRADIENT_STEPS: Final = 1024
LOW_PERCENTILE: Final = 5.0


@dataclass(frozen=True, slots=True)
class Layer:
    """A colour laid over what is below it. alpha: 0 to 1."""

    hex: Hex
    alpha: float


@dataclass(frozen=True, slots=True)
class OverBackdrop:
    """worst: the least ratio under the text, exact, and where: x and y from 0 to 1 of the whole picture.

    low: the ratio that 5% of the pixels are under. worst_hex: what is seen there.
    least_opacity: of the top layer, in whole per cents, from which on every pixel passes; None where
    none does, or there is no layer.
    """

    worst: float
    low: float
    where: tuple[float, float]
    worst_hex: Hex
    least_opacity: int | None


WHOLE: Final = Region(0.0, 0.0, 1.0, 1.0)


def over_picture(
    text: Hex, picture: NDArray[np.uint8], layers: Sequence[Layer], ratio: float, region: Region = WHOLE
) -> OverBackdrop:
    """Return what a text has under it. picture: shape (H, W, 3), opaque, 8-bit sRGB.

    Layers lie on the picture, the lowest first, composited one by one and rounded as browsers do.
    """
    height, width = picture.shape[:2]
    # Every pixel that the area touches, and at least one.
    left, top = int(region.left * width), int(region.top * height)
    right = min(width, max(left + 1, int(np.ceil((region.left + region.width) * width))))
    bottom = min(height, max(top + 1, int(np.ceil((region.top + region.height) * height))))
    part = picture[top:bottom, left:right].reshape(-1, 3)
    packed = part[:, 0].astype(np.uint32) << 16 | part[:, 1].astype(np.uint32) << 8 | part[:, 2]
    codes, first, counts = np.unique(packed, return_index=True, return_counts=True)
    colors = np.stack([codes >> 16, codes >> 8 & 255, codes & 255], axis=-1).astype(np.uint8)
    ratios = ratios_over(text, colors, layers)
    worst = int(np.argmin(ratios))
    row, column = divmod(int(first[worst]), right - left)
    seen = seen_under(colors[worst : worst + 1], layers)[0]
    return OverBackdrop(
        worst=float(ratios[worst]),
        low=_low(ratios, counts),
        where=((left + column + 0.5) / width, (top + row + 0.5) / height),
        worst_hex="#{:02x}{:02x}{:02x}".format(*(int(channel) for channel in seen)),
        least_opacity=least_opacity(text, colors, layers, ratio) if layers else None,
    )


def over_gradient(text: Hex, stops: Sequence[Hex], layers: Sequence[Layer], ratio: float) -> OverBackdrop:
    """Return the same over a gradient through evenly spaced stops, mixed in sRGB as CSS does.

    Raises InputError for fewer than two stops.
    """
    if len(stops) < 2:
        raise InputError("A gradient has two stops or more.", field="stops")
    colors = np.stack([hex_to_srgb8(stop) for stop in stops]).astype(np.float64)
    places = np.linspace(0, len(stops) - 1, GRADIENT_STEPS)
    mixed = np.stack(
        [np.interp(places, np.arange(len(stops)), colors[:, channel]) for channel in range(3)], axis=-1
    )
    return over_picture(text, np.floor(mixed + 0.5).astype(np.uint8)[None], layers, ratio)


def least_opacity(text: Hex, colors: NDArray[np.uint8], layers: Sequence[Layer], ratio: float) -> int | None:
    """Return the least opacity of the top layer, in per cents, from which on all of `colors` pass.

    Every whole per cent is tried from the fullest down, so that nothing is assumed of how the ratio
    runs between. None where not even the full layer does.
    """
    below, top = layers[:-1], layers[-1]
    under = seen_under(colors, below)
    least = None
    for percent in range(OPACITIES, -1, -1):
        if float(ratios_over(text, under, [Layer(top.hex, percent / OPACITIES)]).min()) < ratio:
            break
        least = percent
    return least


def seen_under(colors: NDArray[np.uint8], layers: Sequence[Layer]) -> NDArray[np.uint8]:
    """Return what is seen of colours, shape (N, 3), under layers, the lowest first; as browsers round."""
    for layer in layers:
        colors = np.asarray(composite(hex_to_srgb8(layer.hex), layer.alpha, colors), dtype=np.uint8)
    return colors


def ratios_over(text: Hex, colors: NDArray[np.uint8], layers: Sequence[Layer]) -> Floats:
    """Return the contrast ratio of a text with each of the colours, shape (N, 3), under the layers."""
    seen = relative_luminance(seen_under(colors, layers))
    return ratio_of_luminances(seen, relative_luminance(hex_to_srgb8(text)))


def _low(ratios: Floats, counts: NDArray[np.intp]) -> float:
    order = np.argsort(ratios, kind="stable")
    reached = np.cumsum(counts[order]) >= LOW_PERCENTILE / 100 * counts.sum()
    return float(ratios[order][int(np.argmax(reached))])
