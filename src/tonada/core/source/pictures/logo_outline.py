"""A transparent logo's outline: which of its flat colours lie against whatever it is put on.

A white letter inside a blue badge is read against the badge; what the page behind the logo decides about is
the badge. Both functions take a preview as preview.py writes it.
"""

from __future__ import annotations

import io
from dataclasses import dataclass
from functools import lru_cache
from typing import Final

import numpy as np
from numpy.typing import NDArray
from PIL import Image, ImageFilter

from tonada.core.color.contrast import contrast_ratio, relative_luminance
from tonada.core.color.spaces import Hex, delta_e_ok, srgb8_to_hex, srgb8_to_oklab

# A logo is looked at in this size: lines of a pixel are still there, and it takes a few milliseconds.
LOOKED_AT: Final = 600
# Less of it transparent (0 to 1), and it stands on a ground of its own.
LEAST_TRANSPARENT: Final = 0.01
PRINTED: Final = 1200
# The outline is what is solid within so many pixels of what is transparent.
OUTLINE_PIXELS: Final = 3
SOLID: Final = 250
TRANSPARENT: Final = 128
# Colours closer than this (deltaEOK) are one; one that has less of the outline is a trace of smoothing.
ONE_COLOR: Final = 0.03
LEAST_OF_OUTLINE: Final = 0.04
MOST_COLORS: Final = 8
# A picture that is no flat drawing has thousands of colours: only so many of the most frequent are looked at.
MOST_TRIED: Final = 32
MOST_COUNTED: Final = 512
# What lies inside of an outline and has at least this ratio to it stays cut out in one colour.
CUT_OUT_RATIO: Final = 1.6
# The mask that a page paints a logo through: twice the height at which it stands there.
MASK_SIZE: Final = (480, 96)


@dataclass(frozen=True, slots=True)
class OutlineColor:
    """A flat colour of an outline. share: of the outline, 0 to 1."""

    hex: Hex
    share: float


@dataclass(frozen=True, slots=True)
class Logo:
    """What a page has to know of a logo. mask: as one_color_mask returns it."""

    outline: tuple[OutlineColor, ...]
    mask: bytes


def read_logo(preview: bytes) -> Logo:
    """Return what a page has to know of the logo in a preview."""
    return Logo(outline_of(preview), one_color_mask(preview))


@lru_cache(maxsize=16)
def outline_of(preview: bytes) -> tuple[OutlineColor, ...]:
    """Return the flat colours against which the ground of a logo lies, the largest first.

    None where it stands on a ground of its own, or has no flat colour there.
    """
    return _outline_in(_pixels(preview))


def _outline_in(rgba: NDArray[np.uint8]) -> tuple[OutlineColor, ...]:
    near = _near_outline(rgba)
    if near is None:
        return ()
    colors, counts = _counted(rgba[near])
    return _grouped(colors, counts)


def one_color_mask(preview: bytes) -> bytes:
    """Return a PNG whose alpha is a logo in one colour: what contrasts inside it is cut out.

    Inside means not against the ground. Its colour is black; it is at most MASK_SIZE.
    """
    alpha = _one_color_alpha(_pixels(preview))
    alpha.thumbnail(MASK_SIZE)
    return _painted(alpha, "#000000")


def in_one_color(preview: bytes, color: Hex) -> bytes:
    """Return the logo as a PNG in one colour, cut as one_color_mask does, at most PRINTED wide or high."""
    return _painted(_one_color_alpha(_pixels(preview, PRINTED)), color)


def _one_color_alpha(rgba: NDArray[np.uint8]) -> Image.Image:
    alpha = rgba[..., 3].astype(np.float64) / 255
    outline = _outline_in(rgba)
    inside = _contrasting_inside(rgba, outline[0].hex) if outline else None
    if inside is not None:
        # How far each pixel is from what is cut out, on the way to the outline's own colour.
        lightness = np.cbrt(relative_luminance(rgba[..., :3]))
        ends = [float(np.cbrt(relative_luminance(_rgb(value)))) for value in (inside, outline[0].hex)]
        alpha = alpha * np.clip((lightness - ends[0]) / (ends[1] - ends[0]), 0, 1)
    return Image.fromarray(np.floor(alpha * 255 + 0.5).astype(np.uint8))


def _painted(alpha: Image.Image, color: Hex) -> bytes:
    image = Image.new("RGBA", alpha.size, color)
    image.putalpha(alpha)
    written = io.BytesIO()
    image.save(written, "PNG")
    return written.getvalue()


def _pixels(preview: bytes, most: int = LOOKED_AT) -> NDArray[np.uint8]:
    """Return the picture, shape (height, width, 4), with a transparent edge where any of it is so."""
    image = Image.open(io.BytesIO(preview)).convert("RGBA")
    # By whole pixels: smoothing would make colours that aren't there.
    scale = max(1, -(-max(image.size) // most))
    image = image.resize(
        (max(1, image.width // scale), max(1, image.height // scale)), Image.Resampling.NEAREST
    )
    pixels = np.asarray(image)
    is_transparent = bool((pixels[..., 3] < TRANSPARENT).mean() >= LEAST_TRANSPARENT)
    edge = OUTLINE_PIXELS if is_transparent else 0
    return np.pad(pixels, ((edge, edge), (edge, edge), (0, 0)))


def _near_outline(rgba: NDArray[np.uint8]) -> NDArray[np.bool_] | None:
    transparent = rgba[..., 3] < TRANSPARENT
    if transparent.mean() < LEAST_TRANSPARENT:
        return None
    spread = Image.fromarray(transparent.astype(np.uint8) * 255).filter(
        ImageFilter.MaxFilter(2 * OUTLINE_PIXELS + 1)
    )
    near = (np.asarray(spread) > 0) & (rgba[..., 3] >= SOLID)
    return near if near.any() else None


def _grouped(colors: NDArray[np.uint8], counts: NDArray[np.int64]) -> tuple[OutlineColor, ...]:
    """Return the most frequent colours, each with what is nearly it."""
    total = float(counts.sum())
    most = np.argsort(-counts, kind="stable")[:MOST_COUNTED]
    colors, counts = colors[most], counts[most]
    left = np.ones(len(colors), dtype=bool)
    lab = srgb8_to_oklab(colors)
    found: list[OutlineColor] = []
    for _ in range(MOST_TRIED):
        if not left.any() or len(found) == MOST_COLORS:
            break
        first = int(np.argmax(left))
        own = left & (delta_e_ok(lab, lab[first]) < ONE_COLOR)
        share = float(counts[own].sum()) / total
        left &= ~own
        if share >= LEAST_OF_OUTLINE:
            found.append(OutlineColor(srgb8_to_hex(colors[first]), share))
    return tuple(sorted(found, key=lambda one: -one.share))


def _contrasting_inside(rgba: NDArray[np.uint8], outline: Hex) -> Hex | None:
    """Return the largest flat colour that contrasts with the outline's and isn't part of it."""
    near = _near_outline(rgba)
    solid = rgba[..., 3] >= SOLID
    inner = solid & ~near if near is not None else solid
    if not inner.any():
        return None
    colors, counts = _counted(rgba[inner])
    is_flat = counts >= LEAST_OF_OUTLINE * counts.sum()
    colors, counts = colors[is_flat], counts[is_flat]
    if not len(colors):
        return None
    fitting = np.where(contrast_ratio(colors, _rgb(outline)) >= CUT_OUT_RATIO, counts, 0)
    return srgb8_to_hex(colors[int(np.argmax(fitting))]) if fitting.any() else None


def _counted(pixels: NDArray[np.uint8]) -> tuple[NDArray[np.uint8], NDArray[np.int64]]:
    """Return the colours of pixels, shape (N, 4), each once, and how often each is there."""
    packed, counts = np.unique(pixels[:, :3].astype(np.uint32) @ (65536, 256, 1), return_counts=True)
    return np.stack([packed >> 16, packed >> 8 & 255, packed & 255], axis=-1).astype(np.uint8), counts


def _rgb(value: Hex) -> NDArray[np.uint8]:
    return np.frombuffer(bytes.fromhex(value[1:]), dtype=np.uint8)
