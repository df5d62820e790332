"""Text as a browser painted it, on what really lies behind it: from three pictures of the same page.

One picture has no letters, one has them black and one white. Where black and white differ there are
letters that can be seen, whatever their colour; the first picture says what they are on there.
"""

from __future__ import annotations

from dataclasses import dataclass
from typing import Final, TypeAlias

import numpy as np
from numpy.typing import NDArray

from tonada.core.color.contrast import contrast_ratio
from tonada.core.color.notation import parse_color
from tonada.core.color.requirements import outcome_of, requirement
from tonada.core.color.spaces import srgb8_to_hex
from tonada.core.color.wcag import Level, Usage
from tonada.core.errors import ColorError
from tonada.core.gate.check import CheckedPair

Picture: TypeAlias = NDArray[np.uint8]
Rect: TypeAlias = tuple[float, float, float, float]

# A pixel is of a letter where the letter covers at least this part of it.
LEAST_COVER: Final = 0.5
# Thin letters cover no pixel by half: then their fullest pixels count.
LEAST_COVER_OF_THIN: Final = 0.15
# The share of a text's pixels that may have less contrast: stray ones at an edge of what is behind.
STRAY_SHARE: Final = 0.01
OPAQUE: Final = 0.999
WHOLE_WITHIN: Final = 0.02


@dataclass(frozen=True, slots=True)
class Painted:
    """A page in one state: without letters, with black and with white ones, each of shape (h, w, 3)."""

    bare: Picture
    black: Picture
    white: Picture


@dataclass(frozen=True, slots=True)
class PageText:
    """A text of a page. name: of its element; rects: left, top, right, bottom in pixels of the pictures.

    color: as CSS computes it; opacity: of its element and all around it, multiplied; changes: properties
    that change how colours are seen; size: in CSS pixels.
    """

    name: str
    text: str
    rects: tuple[Rect, ...]
    color: str
    opacity: float
    changes: tuple[str, ...]
    size: float
    weight: int
    disabled: bool


def pair_of(text: PageText, painted: Painted, level: Level, scope: str, file: str) -> CheckedPair | None:
    """Return what became of a text on its ground: at the worst of its letters' pixels.

    None where no letter of it can be seen: it is covered, cut off, empty or of no opacity.
    """
    letters = _letters(text, painted)
    if letters is None:
        return None
    asked = requirement(Usage.DISABLED if text.disabled else Usage.BODY_TEXT, level, text.size, text.weight)
    seen = _worst(text, *letters) if not text.changes else None
    ratio = seen[2] if seen else None
    return CheckedPair(
        text=text.name,
        ground=seen[1] if seen else "its ground",
        text_hex=seen[0] if seen else None,
        ground_hex=seen[1] if seen else None,
        usage=asked.usage,
        ratio=ratio,
        needed=asked.ratio,
        outcome=outcome_of(ratio, asked),
        reason=_why(text),
        file=file,
        scope=scope,
    )


def _why(text: PageText) -> str:
    if text.disabled:
        return "disabled"
    return f"{text.changes[0]} changes what is seen" if text.changes else ""


def _letters(text: PageText, painted: Painted) -> tuple[Picture, Picture, NDArray[np.float64]] | None:
    """Return the pixels of a text's letters: the ground, with black letters, and how far each is covered."""
    if text.opacity <= 0:
        return None
    parts = [_part(rect, painted) for rect in text.rects]
    bare, black, white = (np.concatenate([part[i] for part in parts]) for i in range(3))
    if not len(bare):
        return None
    cover = (white.astype(np.float64) - black).mean(axis=1) / 255 / text.opacity
    fullest = cover.max(initial=0.0)
    if fullest < LEAST_COVER_OF_THIN:
        return None
    # Letters are smoothed by their colour: where something is to be seen through them, only pixels count
    # that they cover wholly.
    least = fullest - WHOLE_WITHIN if text.opacity < OPAQUE else min(LEAST_COVER, 0.8 * fullest)
    kept = cover >= least
    return bare[kept], black[kept], np.minimum(cover[kept], 1.0)


def _part(rect: Rect, painted: Painted) -> tuple[Picture, Picture, Picture]:
    height, width = painted.bare.shape[:2]
    left, top = max(0, int(rect[0])), max(0, int(rect[1]))
    right, bottom = min(width, int(np.ceil(rect[2]))), min(height, int(np.ceil(rect[3])))
    area = (slice(top, max(top, bottom)), slice(left, max(left, right)))
    bare, black, white = (
        entry[area].reshape(-1, 3) for entry in (painted.bare, painted.black, painted.white)
    )
    return bare, black, white


def _worst(
    text: PageText, bare: Picture, black: Picture, cover: NDArray[np.float64]
) -> tuple[str, str, float] | None:
    """Return text, ground and ratio where it is least, but for stray pixels; None for an unknown colour."""
    try:
        value, alpha = parse_color(text.color)
    except ColorError:
        return None
    color = np.array([int(value[start : start + 2], 16) for start in (1, 3, 5)], dtype=np.float64)
    # What shows through letters that are wholly there: nothing, unless something around is translucent.
    through = np.zeros_like(bare, dtype=np.float64)
    if text.opacity < OPAQUE:
        through = (black - bare * (1 - cover[:, None])) / cover[:, None]
    full = through + text.opacity * color
    letters = np.floor(np.clip(bare * (1 - alpha) + alpha * full, 0, 255) + 0.5).astype(np.uint8)
    ratios = contrast_ratio(letters, bare)
    row = int(np.argsort(ratios, kind="stable")[int(STRAY_SHARE * len(ratios))])
    return srgb8_to_hex(letters[row]), srgb8_to_hex(bare[row]), float(ratios[row])
