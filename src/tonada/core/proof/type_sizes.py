"""The size and weight of one style of text, in wide windows and narrower ones."""

from __future__ import annotations

from dataclasses import replace

from tonada.core.take.proof_settings import TextSize, TextStyle, Width
from tonada.core.take.take import Take


def set_size(take: Take, style: TextStyle, size: float, weight: int) -> Take:
    """Return the take with a text's size in wide windows, CSS pixels, and its weight, 1 to 1000."""
    others = tuple(size for size in take.proof.sizes if size[0] != style)
    return replace(take, proof=replace(take.proof, sizes=(*others, (style, TextSize(size, weight)))))


def set_narrow_size(take: Take, width: Width, style: TextStyle, size: float | None) -> Take:
    """Return the take with a text's size in narrower windows; None lets it follow the wide one again."""
    others = tuple(size for size in take.proof.narrow_sizes if size[:2] != (width, style))
    made = () if size is None else ((width, style, size),)
    return replace(take, proof=replace(take.proof, narrow_sizes=(*others, *made)))
