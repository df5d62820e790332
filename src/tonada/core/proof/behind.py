"""The brand's picture behind the words of an opening: the layer between, and what each text has under it.

What is judged is the whole picture, since every width of window shows another part of it.
"""

from __future__ import annotations

import io
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from functools import cached_property
from typing import Final

import numpy as np
from numpy.typing import NDArray
from PIL import Image

from tonada.core.color.contrast import luminance_of, relative_luminance
from tonada.core.color.spaces import Hex, hex_to_srgb8, srgb8_to_hex
from tonada.core.proof.backdrop import OPACITIES, Layer, ratios_over, seen_under
from tonada.core.proof.choices import needed_for
from tonada.core.proof.grounds import Ground, Use
from tonada.core.proof.toning import Toning, toned
from tonada.core.take.proof_settings import Element, TextStyle
from tonada.core.take.take import Take

# The texts of an opening, with the styles that they are set in there.
TEXTS: Final[Mapping[Element, Sequence[TextStyle]]] = {
    Element.HEADING: ("h1",),
    Element.TEXT: ("text", "small", "label"),
}


@dataclass(frozen=True, slots=True)
class SeenColors:
    """Opaque colours: shape (N, 3), 8-bit sRGB. edges: those that `extremes` returns."""

    colors: NDArray[np.uint8]
    edges: NDArray[np.uint8]

    @classmethod
    def of(cls, colors: NDArray[np.uint8]) -> SeenColors:
        return cls(colors, extremes(colors))


class PictureColors:
    """The colours of a picture, each once: shape (N, 4), 8-bit sRGB with alpha."""

    def __init__(self, rgba: NDArray[np.uint8]) -> None:
        self._rgba = rgba
        self._is_opaque = bool((rgba[:, 3] == 255).all())
        # A drag of another colour asks for the same again.
        self._last: tuple[tuple[Hex, Toning | None], SeenColors] = (("", None), self._plain)

    @classmethod
    def read(cls, preview: bytes) -> PictureColors:
        """Return the colours of a preview, as preview.py writes it: the picture that pages show."""
        pixels = np.asarray(Image.open(io.BytesIO(preview)).convert("RGBA"))
        codes = np.unique(np.ascontiguousarray(pixels).view(np.uint32))
        return cls(codes.view(np.uint8).reshape(-1, 4))

    def seen_on(self, ground: Hex, toning: Toning | None) -> SeenColors:
        """Return what is seen of them on a ground. toning: what they are painted in."""
        if self._is_opaque and not toning:
            return self._plain
        # Read at once: another thread may ask for another ground meanwhile.
        asked, seen = self._last
        if asked == (ground, toning):
            return seen
        colors, alpha = self._rgba[:, :3], self._rgba[:, 3:].astype(np.float64) / 255
        if toning:
            colors = toned(colors, toning)
        mixed = colors * alpha + hex_to_srgb8(ground).astype(np.float64) * (1 - alpha)
        seen = SeenColors.of(np.floor(mixed + 0.5).astype(np.uint8))
        self._last = ((ground, toning), seen)
        return seen

    @cached_property
    def _plain(self) -> SeenColors:
        return SeenColors.of(np.ascontiguousarray(self._rgba[:, :3]))


@dataclass(frozen=True, slots=True)
class Behind:
    """layer: over the picture, None for nothing; is_automatic: as much of the ground as the texts need.

    uses: the texts on the worst pixel under the layer. A button's label names it, so that WCAG 2.2 asks
    nothing of its edge.
    """

    layer: Layer | None
    is_automatic: bool
    uses: tuple[Use, ...]


def behind_of(take: Take, ground: Ground, picture: SeenColors) -> Behind:
    """Return how the texts of an opening on a ground stand over a picture."""
    texts = [use for use in ground.elements if use.element in TEXTS]
    chosen = take.overlay(take.proof.overlay) if take.proof.overlay else None
    is_automatic = chosen is None and not take.proof.bare_picture
    layer = Layer(take.value_at(chosen.swatch, chosen.step), chosen.alpha) if chosen else None
    if is_automatic:
        layer = Layer(ground.hex, _enough(take, ground.hex, texts, picture))
    layers = (layer,) if layer else ()
    return Behind(layer, is_automatic, tuple(_over(take, use, picture, layers) for use in texts))


def extremes(colors: NDArray[np.uint8]) -> NDArray[np.uint8]:
    """Return the colours that no other is above, or below, in all channels; shape (N, 3).

    Luminance rises with each channel, and stays so under a layer: of texts that are lighter than all of a
    picture or darker than all of it, one of these has the least ratio.
    """
    return np.concatenate([_tops(colors), 255 - _tops(255 - colors)])


def _tops(colors: NDArray[np.uint8]) -> NDArray[np.uint8]:
    """Return the colours that no other is above."""
    # Of each red and green the bluest counts, where no greater pair has as much.
    bluest = np.full((257, 257), -1, dtype=np.int16)
    np.maximum.at(bluest, (colors[:, 0], colors[:, 1]), colors[:, 2].astype(np.int16))
    above = np.maximum.accumulate(np.maximum.accumulate(bluest[::-1, ::-1], axis=0), axis=1)[::-1, ::-1]
    is_top = bluest[:256, :256] > np.maximum(above[1:, :256], above[:256, 1:])
    red, green = np.nonzero(is_top)
    return np.stack([red, green, bluest[red, green]], axis=-1).astype(np.uint8)


def _enough(take: Take, ground: Hex, texts: Sequence[Use], picture: SeenColors) -> float:
    """Return the least opacity from which on every text reads on every pixel; 1 where not even that does.

    Every whole per cent is tried from the fullest down, so that nothing is assumed of how ratios run between.
    """
    needs = [(use.hex, _needed(take, use)) for use in texts]
    least = OPACITIES
    for percent in range(OPACITIES, -1, -1):
        layers = (Layer(ground, percent / OPACITIES),)
        if any(_worst(text, picture, layers)[0] < needed for text, needed in needs):
            break
        least = percent
    return least / OPACITIES


def _needed(take: Take, use: Use) -> float:
    return max(needed_for(take, style).ratio for style in TEXTS[use.element])


def _worst(text: Hex, picture: SeenColors, layers: Sequence[Layer]) -> tuple[float, Hex]:
    """Return the least ratio of a text over a picture, and what is seen there."""
    seen = relative_luminance(seen_under(picture.edges, layers))
    is_between = bool(seen.min() < luminance_of(text) < seen.max())
    tried = picture.colors if is_between else picture.edges
    ratios = ratios_over(text, tried, layers)
    row = int(np.argmin(ratios))
    return float(ratios[row]), srgb8_to_hex(seen_under(tried[row : row + 1], layers)[0])


def _over(take: Take, use: Use, picture: SeenColors, layers: Sequence[Layer]) -> Use:
    """Return a use of the ground as it is over the picture."""
    ratio, seen = _worst(use.hex, picture, layers)
    needed = _needed(take, use)
    needs = {style: needed_for(take, style).ratio for style in (*use.reads_in, *use.short_in)}
    return replace(
        use,
        over=seen,
        ratio=ratio,
        needed=needed,
        passes=ratio >= needed,
        short_by=max(0.0, needed - ratio),
        reads_in=tuple(style for style, least in needs.items() if ratio >= least),
        short_in={style: least - ratio for style, least in needs.items() if ratio < least},
    )
