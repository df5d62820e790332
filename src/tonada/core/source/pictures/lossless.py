"""Flat artwork from a lossless file: the exact values, without what smooth edges add.

A colour is real when it forms solid blocks, or when its pixels can't be explained as blends of
what is on both sides of them, at most two pixels away.
"""

from __future__ import annotations

from dataclasses import dataclass
from typing import Final

import numpy as np
from numpy.typing import NDArray

from tonada.core.color.spaces import SRGB8_TO_LINEAR, srgb8_to_oklab
from tonada.core.source.pictures.canvas import artwork_size
from tonada.core.source.pictures.layers import (
    NO_COLOR,
    SMALLEST_SHARE,
    Labels,
    Layers,
    Mask,
    drop_small,
    spread_labels,
)
from tonada.core.source.pictures.picture import Picture, pack, unpack

# Two accepted colours closer than this (deltaEOK) are one, drawn with different rounding.
TWIN_DISTANCE: Final = 0.012
# Sharp reduction overshoots at edges by about this much (deltaEOK), in lines that form no blocks.
RINGING_DISTANCE: Final = 0.07
# So many pixels in blocks, two wide, are a line and no accident.
LEAST_LINE: Final = 12
# A blend of two 8-bit colours, rounded, and a renderer's inexact coverage: within this many levels.
BLEND_TOLERANCE: Final = 5.0
BLEND_TOLERANCE_LINEAR: Final = 0.012
MOST_CANDIDATES: Final = 64
# From so many pixels on, smooth edges move a share by less than two hundredths of a percent.
COUNTED_EXACTLY: Final = 200_000
# Looking into a colour without solid blocks takes a while; gradients and noise have many.
MOST_UNSURE: Final = 12
_SAMPLED_PIXELS: Final = 3000


@dataclass(frozen=True, slots=True, eq=False)
class _Census:
    """Every colour of the picture with how often, and how solidly, it comes up."""

    values: NDArray[np.int32]  # (N,) 0xRRGGBB, or under 0 for pixels that don't count
    index: NDArray[np.int32]  # (height, width) row in `values`
    counts: NDArray[np.int64]  # pixels
    in_blocks: NDArray[np.int64]  # pixels that lie in a block of 2 × 2
    cores: NDArray[np.int64]  # pixels all of whose eight neighbours are alike


def read_lossless(picture: Picture) -> Layers:
    """Return the flat colours of a picture that no lossy step has touched, largest first.

    `coverage` tells how far that holds: about 1 for flat artwork, near 0 for a photograph.
    """
    visible, solid_alpha = visibility(picture)
    total = int(np.count_nonzero(visible))
    if total == 0:
        return Layers(np.zeros((0, 3), np.uint8), np.full(visible.shape, NO_COLOR, np.int16), 0.0)
    packed = np.where(solid_alpha, pack(picture.rgb), NO_COLOR)
    packed = _undo_enlargement(packed)
    if packed.shape != visible.shape:
        step = visible.shape[0] // packed.shape[0]
        visible, rgb = visible[::step, ::step], picture.rgb[::step, ::step]
        total = int(np.count_nonzero(visible))
    else:
        rgb = picture.rgb
    census = _take_census(packed)
    artwork = artwork_size(rgb, visible)
    accepted = _accept(census, packed, artwork, picture.declared)
    labels = _label(census, accepted)
    covered = int(np.count_nonzero(labels != NO_COLOR))
    palette = unpack(census.values[accepted]).astype(np.float32)
    layers = Layers(palette.astype(np.uint8), spread_labels(rgb, palette, labels, visible), covered / total)
    smallest = SMALLEST_SHARE if total < COUNTED_EXACTLY else 0.01 - 0.0002
    return drop_small(layers, rgb, palette, smallest * artwork)


def visibility(picture: Picture) -> tuple[Mask, Mask]:
    """Return which pixels can be seen, and which of them are opaque enough to show a pure colour."""
    if picture.alpha is None:
        everything = np.ones(picture.rgb.shape[:2], dtype=np.bool_)
        return everything, everything
    visible = picture.alpha >= 128
    opaque = picture.alpha == 255
    if np.count_nonzero(opaque) >= 0.1 * np.count_nonzero(visible) > 0:
        return visible, opaque
    if not visible.any():  # a mark that is translucent all over
        visible = picture.alpha >= 16
    return visible, visible


def _undo_enlargement(packed: NDArray[np.int32]) -> NDArray[np.int32]:
    """Return one pixel for each block of a picture that was enlarged by a whole number.

    Enlarged, the blends of its edges would be solid blocks.
    """
    rows = np.flatnonzero(np.any(packed[1:] != packed[:-1], axis=1)) + 1
    columns = np.flatnonzero(np.any(packed[:, 1:] != packed[:, :-1], axis=0)) + 1
    step = int(np.gcd.reduce(np.concatenate([rows, columns, packed.shape])))
    return packed[::step, ::step] if 1 < step <= 16 else packed


def _take_census(packed: NDArray[np.int32]) -> _Census:
    flat = packed.ravel()
    # Flat artwork has few runs, and sorting them is much less work than sorting pixels.
    starts = np.flatnonzero(np.concatenate([[True], flat[1:] != flat[:-1]]))
    lengths = np.diff(np.append(starts, flat.size))
    values, inverse = np.unique(flat[starts], return_inverse=True)
    index = np.repeat(inverse.astype(np.int32), lengths).reshape(packed.shape)
    counts = np.bincount(inverse, weights=lengths, minlength=values.size).astype(np.int64)

    across = packed[:, 1:] == packed[:, :-1]
    blocks = across[1:] & across[:-1] & (packed[1:, 1:] == packed[:-1, 1:])
    in_block = np.zeros(packed.shape, dtype=np.bool_)
    for down in (0, 1):
        for right in (0, 1):
            in_block[down : down + blocks.shape[0], right : right + blocks.shape[1]] |= blocks
    core = blocks[:-1, :-1] & blocks[1:, :-1] & blocks[:-1, 1:] & blocks[1:, 1:]
    inner = index[1:-1, 1:-1]
    return _Census(
        values,
        index,
        counts,
        np.bincount(index[in_block], minlength=values.size),
        np.bincount(inner[core], minlength=values.size),
    )


def _accept(
    census: _Census, packed: NDArray[np.int32], artwork: float, declared: tuple[int, ...]
) -> list[int]:
    """Return the rows of the census that are colours of the artwork, most pixels first."""
    counts = np.where(census.values < 0, 0, census.counts)
    order = np.argsort(-counts, kind="stable")
    least = max(min(2.0, artwork), 0.5 * SMALLEST_SHARE * artwork)
    candidates = [int(row) for row in order[:MOST_CANDIDATES] if counts[row] >= least]
    named = set(declared)
    sure = [row for row in candidates if int(census.values[row]) in named or _is_solid(census, row)]
    accepted: list[int] = []
    for row in sure:
        if not _is_near(census, row, accepted, TWIN_DISTANCE):
            accepted.append(row)
    unsure = [row for row in candidates if row not in sure]
    for row in unsure[:MOST_UNSURE]:
        if not _is_by_product(census, packed, row, accepted, candidates):
            accepted.append(row)
    return sorted(accepted, key=lambda row: -int(counts[row]))


def _is_by_product(
    census: _Census, packed: NDArray[np.int32], row: int, accepted: list[int], candidates: list[int]
) -> bool:
    """Return whether a colour without solid blocks comes from edges, and isn't one of the artwork's own."""
    larger = [other for other in accepted if census.counts[other] > 3 * census.counts[row]]
    forms_blocks = census.in_blocks[row] >= 0.2 * census.counts[row]
    return (
        _is_near(census, row, accepted, TWIN_DISTANCE)
        or (not forms_blocks and _is_near(census, row, larger, RINGING_DISTANCE))
        or _is_blend(packed, census, row)
        or _is_thinned(census, row, candidates)
    )


def _is_solid(census: _Census, row: int) -> bool:
    """Return whether the colour forms blocks as edges never do: they blend along lines."""
    cores = census.cores[row]
    if cores >= max(4, 0.05 * census.counts[row]):
        return True
    blocks, count = census.in_blocks[row], census.counts[row]
    # A line two pixels wide has no core; the blends along an edge are one pixel wide.
    is_wide_line = count >= LEAST_LINE and blocks >= 0.75 * count
    return bool(is_wide_line or (cores >= 1 and blocks >= 0.6 * count))


def _is_near(census: _Census, row: int, others: list[int], distance: float) -> bool:
    if not others:
        return False
    own = srgb8_to_oklab(unpack(census.values[[row]]))
    away = np.linalg.norm(srgb8_to_oklab(unpack(census.values[others])) - own, axis=1)
    return bool(np.min(away) < distance)


def _is_thinned(census: _Census, row: int, candidates: list[int]) -> bool:
    """Return whether the colour is that of a thin stroke which never covers a pixel whole.

    Then it lies between what surrounds it and a colour that the same stroke shows elsewhere.
    """
    from scipy import ndimage  # only where a picture is read; it takes half a second to load

    own_pixels = census.index == row
    around = census.index[ndimage.binary_dilation(own_pixels, iterations=1) & ~own_pixels]
    around = around[np.isin(around, candidates)]
    if around.size == 0:
        return False
    surround = int(np.bincount(around).argmax())
    strokes, _ = ndimage.label(census.index != surround, structure=np.ones((3, 3)))
    own_strokes = np.unique(strokes[own_pixels])
    values = census.values
    for other in candidates:
        if other in (row, surround):
            continue
        place = _between(values[[row]], values[[surround]], values[[other]])
        if place[0] and np.isin(strokes[census.index == other], own_strokes).mean() > 0.5:
            return True
    return False


def _is_blend(packed: NDArray[np.int32], census: _Census, row: int) -> bool:
    """Return whether most pixels of the colour lie between what is on both sides of them."""
    rows, columns = np.nonzero(census.index == row)
    if rows.size > _SAMPLED_PIXELS:
        chosen = np.linspace(0, rows.size - 1, _SAMPLED_PIXELS).astype(np.intp)
        rows, columns = rows[chosen], columns[chosen]
    padded = np.pad(packed, 2, mode="edge")
    rows, columns = rows + 2, columns + 2
    own = np.full(rows.size, census.values[row], dtype=np.int32)
    explained = np.zeros(rows.size, dtype=np.bool_)
    for down, right in ((0, 1), (1, 0), (1, 1), (1, -1)):
        for before in (1, 2):
            for after in (1, 2):
                one = padded[rows - down * before, columns - right * before]
                other = padded[rows + down * after, columns + right * after]
                explained |= _between(own, one, other)
    return bool(np.count_nonzero(explained) > 0.5 * rows.size)


def _between(own: NDArray[np.int32], one: NDArray[np.int32], other: NDArray[np.int32]) -> Mask:
    """Say for each whether `own` can be a mixture of `one` and `other`.

    Tried in gamma-encoded values and in linear light: renderers do either. What is not opaque
    counts as anything, since its own colour can't be seen.
    """
    hidden = (one < 0) | (other < 0)
    parents = [unpack(np.maximum(value, 0)) for value in (own, one, other)]
    own_encoded, start, end = (value.astype(np.float64) for value in parents)
    mixed = _on_segment(own_encoded, start, end, BLEND_TOLERANCE)
    own_linear, start, end = (SRGB8_TO_LINEAR[value] for value in parents)
    mixed |= _on_segment(own_linear, start, end, BLEND_TOLERANCE_LINEAR)
    return np.asarray(mixed & (one != other) & (own != one) & (own != other) & ~hidden)


def _on_segment(
    point: NDArray[np.float64], start: NDArray[np.float64], end: NDArray[np.float64], tolerance: float
) -> Mask:
    along = end - start
    length = np.sum(along * along, axis=-1)
    place = np.sum((point - start) * along, axis=-1) / np.maximum(length, 1e-12)
    away = np.linalg.norm(point - start - place[..., None] * along, axis=-1)
    return np.asarray((away <= tolerance) & (place > 0.0) & (place < 1.0))


def _label(census: _Census, accepted: list[int]) -> Labels:
    renumbered = np.full(census.values.size, NO_COLOR, dtype=np.int16)
    renumbered[accepted] = np.arange(len(accepted))
    return np.asarray(renumbered[census.index])
