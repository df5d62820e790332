"""Flat artwork behind JPEG noise: colour is read where the picture is locally flat.

In YCbCr, as the file stores it: luma is sharp and chroma is coarse there, so around every edge
stands a halo with the luma of one side and a chroma between both. Halos look like colours of
their own; they are recognised by just that.
"""

from __future__ import annotations

from dataclasses import dataclass
from typing import Final, TypeAlias

import numpy as np
from numpy.typing import NDArray
from PIL import Image

from tonada.core.source.pictures.canvas import artwork_size
from tonada.core.source.pictures.decode import through_profile
from tonada.core.source.pictures.layers import (
    NO_COLOR,
    SMALLEST_SHARE,
    Labels,
    Layers,
    Mask,
    drop_small,
    spread_labels,
)
from tonada.core.source.pictures.lossless import visibility
from tonada.core.source.pictures.picture import Bytes8, Picture, pack, unpack
from tonada.core.source.pictures.unmix import unmixed

# ITU-T T.871 (JFIF): full-range YCbCr of R'G'B'.
_YCC_TO_RGB: Final = np.array([[1, 0, 1.402], [1, -0.344136286, -0.714136286], [1, 1.772, 0]])
_RGB_TO_YCC: Final = np.linalg.inv(_YCC_TO_RGB)
# One step of luma tells more than one of chroma: OKLab distances of small steps, roughly.
SCALE: Final = np.array([1.0, 0.8, 0.8], dtype=np.float32)

# (window, largest range of luma, of chroma): the strict pass first, then thin features.
PASSES: Final = ((5, 4, 4), (3, 6, 5), (3, 14, 12))
# Levels within which values are the same colour seen through noise.
SAME_COLOR: Final = 9.0
# Levels by which compression moves a flat area.
NOISE: Final = 3.0
HALO_LUMA: Final = 9.0
HALO_AWAY: Final = 9.0
# So many levels from white or black, in every channel, a colour is that.
SNAPS_WITHIN: Final = 2
# A solid place: so many pixels whose window is of the colour within so many levels. Halos change from
# one pixel to the next across an edge; over 160 drawings none had more than 13 such pixels.
SOLID_WINDOW: Final = 5
SOLID_CORES: Final = 24
SOLID_NOISE: Final = 6.0
# A colour so close to a much larger one needs flat areas of its own.
NEAR_TWIN: Final = 22.0

# Under this concentration a picture is no flat artwork; that has 0.95 and more.
PLAINLY_PHOTOGRAPHIC: Final = 0.85
# Flat artwork is flat over more than this share of it, photographs may be nowhere.
_FEWEST_FLAT: Final = 0.05
_SAMPLED_PIXELS: Final = 12_000

Values: TypeAlias = NDArray[np.float32]


@dataclass(frozen=True, slots=True, eq=False)
class _Peak:
    """A colour that came up: its YCbCr, and how many flat pixels have it."""

    ycc: NDArray[np.float64]
    support: int
    strict: bool


def read_lossy(picture: Picture) -> Layers:
    """Return the flat colours of a picture that went through lossy compression, largest first.

    `coverage` is the share of pixels that are plainly of one of these colours.
    """
    visible, _ = visibility(picture)
    ycc = picture.ycc if picture.ycc is not None else rgb_to_ycc(picture.rgb)
    values = ycc.astype(np.float32) * SCALE
    flat = visible & _is_flat(ycc, *PASSES[0])
    artwork = artwork_size(picture.rgb, visible)
    peaks = _find_peaks(ycc, values, visible, flat, artwork)
    if not peaks:
        return Layers(np.zeros((0, 3), np.uint8), np.full(visible.shape, NO_COLOR, np.int16), 0.0)
    palette = np.stack([peak.ycc for peak in peaks]).astype(np.float32) * SCALE
    labels, coverage = _label(values, palette, visible)
    coverage *= _concentration(values[flat], palette[[peak.strict for peak in peaks]])
    flatness = np.array([peak.support if peak.strict else 0 for peak in peaks])
    refined = unmixed(ycc, labels, np.stack([peak.ycc for peak in peaks]), flatness)
    layers = Layers(_to_srgb8(picture, refined), labels, coverage)
    return _by_size(drop_small(layers, values, palette, SMALLEST_SHARE * artwork))


def looks_photographic(picture: Picture) -> bool:
    """Return whether a picture is plainly no flat artwork, from a sample of where it is locally flat.

    Quick, for large files: those it can't tell are left to read_lossy.
    """
    ycc = picture.ycc if picture.ycc is not None else rgb_to_ycc(picture.rgb)
    places = np.flatnonzero(_is_flat(ycc, *PASSES[0]))
    if places.size < _FEWEST_FLAT * ycc.shape[0] * ycc.shape[1]:
        return True
    sample = ycc.reshape(-1, 3)[places[:: max(1, places.size // _SAMPLED_PIXELS)]]
    peaks = _cluster(sample, max(6.0, 0.005 * len(sample)), strict=True)
    if not peaks:
        return True
    palette = np.stack([peak.ycc for peak in peaks]).astype(np.float32) * SCALE
    return _concentration(sample.astype(np.float32) * SCALE, palette) < PLAINLY_PHOTOGRAPHIC


def _concentration(points: Values, palette: Values) -> float:
    """Return how many of the flat pixels, 0 to 1, lie within noise of a colour.

    In flat artwork nearly all do; in a photograph's smooth parts values run on evenly.
    """
    if len(points) == 0 or len(palette) == 0:
        return 0.0
    return float(np.mean(_distance(points, palette) <= NOISE))


def _distance(points: Values, palette: Values) -> Values:
    """Return for each point, on the last axis, how far the nearest colour is."""
    squared = np.full(points.shape[:-1], np.inf, dtype=np.float32)
    for color in palette:
        np.minimum(squared, _squared(points, color), out=squared)
    return np.asarray(np.sqrt(squared))


def _squared(points: Values, color: Values) -> Values:
    # Channel by channel: a third of the time of a sum over a short last axis.
    total = (points[..., 0] - color[0]) ** 2
    total += (points[..., 1] - color[1]) ** 2
    total += (points[..., 2] - color[2]) ** 2
    return np.asarray(total)


def rgb_to_ycc(rgb: Bytes8) -> Bytes8:
    """Return full-range YCbCr, rounded to 8 bits. Source: ITU-T T.871."""
    ycc = rgb.astype(np.float64) @ _RGB_TO_YCC.T
    ycc[..., 1:] += 128
    return np.asarray(np.clip(np.floor(ycc + 0.5), 0, 255), dtype=np.uint8)


def ycc_to_rgb(ycc: NDArray[np.float64]) -> Bytes8:
    """Return 8-bit RGB of full-range YCbCr that need not be whole numbers. Source: ITU-T T.871."""
    rgb = (ycc - np.array([0.0, 128.0, 128.0])) @ _YCC_TO_RGB.T
    return np.asarray(np.clip(np.floor(rgb + 0.5), 0, 255), dtype=np.uint8)


def _find_peaks(
    ycc: Bytes8, values: Values, visible: Mask, strictly_flat: Mask, artwork: float
) -> list[_Peak]:
    total = int(np.count_nonzero(visible))
    peaks: list[_Peak] = []
    for number, (window, luma, chroma) in enumerate(PASSES):
        if number == 0:
            flat, least = strictly_flat, max(6.0, 0.15 * SMALLEST_SHARE * artwork)
        else:
            flat = visible & _is_flat(ycc, window, luma, chroma)
            least = max(6.0, 0.25 * SMALLEST_SHARE * artwork)
        asked = ycc[flat]
        if peaks:
            palette = np.stack([peak.ycc for peak in peaks]).astype(np.float32) * SCALE
            asked = asked[_distance(values[flat], palette) > SAME_COLOR]
        fresh = _cluster(asked, least, strict=number == 0)
        peaks = _without_halos(peaks, fresh, total, values)
    return peaks


def _is_flat(ycc: Bytes8, window: int, luma: int, chroma: int) -> Mask:
    """Say for each pixel whether its surroundings (3 × 3 or 5 × 5) stay within a range of levels."""
    flat = np.ones(ycc.shape[:2], dtype=np.bool_)
    for channel, most in ((0, luma), (1, chroma), (2, chroma)):
        highest = lowest = np.ascontiguousarray(ycc[..., channel])
        for _ in range(window // 2):
            highest, lowest = _spread(highest, np.maximum), _spread(lowest, np.minimum)
        flat &= (highest - lowest) <= most
    return flat


def _spread(plane: Bytes8, extreme: np.ufunc) -> Bytes8:
    """Return the extreme of each pixel and its eight neighbours."""
    padded = np.pad(plane, 1, mode="edge")
    rows = extreme(extreme(padded[:-2], padded[1:-1]), padded[2:])
    return np.asarray(extreme(extreme(rows[:, :-2], rows[:, 1:-1]), rows[:, 2:]))


def _cluster(values: Bytes8, least: float, *, strict: bool) -> list[_Peak]:
    """Return the most frequent values with all that is close to them, most support first."""
    if len(values) == 0:
        return []
    found, counts = np.unique(pack(values), return_counts=True)
    points = unpack(found).astype(np.float64)
    left = counts.astype(np.int64)
    peaks: list[_Peak] = []
    while len(peaks) < 40:
        top = int(np.argmax(left))
        if left[top] == 0:
            break
        distance = np.linalg.norm((points - points[top]) * SCALE, axis=1)
        near = (distance <= SAME_COLOR) & (left > 0)
        support = int(left[near].sum())
        # The top may be noise by a step or two: the mean of what is very close is nearer the truth.
        core = near & (distance <= 3.0)
        if support >= least:
            peaks.append(_Peak(np.average(points[core], axis=0, weights=left[core]), support, strict))
        left[near] = 0
    return sorted(peaks, key=lambda peak: -peak.support)


def _without_halos(known: list[_Peak], fresh: list[_Peak], total: int, values: Values) -> list[_Peak]:
    peaks = list(known)
    for peak in fresh:
        others = [other for other in peaks if other.support > peak.support or other.strict > peak.strict]
        if not _is_halo(peak, others, total, values):
            peaks.append(peak)
    return peaks


def _is_halo(peak: _Peak, others: list[_Peak], total: int, values: Values) -> bool:
    for other in others:
        distance = float(np.linalg.norm((peak.ycc - other.ycc) * SCALE))
        if distance <= SAME_COLOR:
            return True
        is_far_smaller = peak.support < 0.1 * other.support and not (
            peak.strict and peak.support >= 0.01 * total
        )
        if distance <= NEAR_TWIN and is_far_smaller:
            return not _is_solid(peak, values)
    if peak.strict and peak.support >= 0.02 * total:
        return False
    is_between = any(
        _is_between(peak.ycc, one.ycc, other.ycc) for one in others for other in others if one is not other
    )
    return is_between and not _is_solid(peak, values)


def _is_solid(peak: _Peak, values: Values) -> bool:
    """Return whether a colour fills places wider than a halo: those run along edges, and change across."""
    from scipy import ndimage  # only where a picture is read; it takes half a second to load

    own = _squared(values, peak.ycc.astype(np.float32) * SCALE) <= SOLID_NOISE**2
    cores = ndimage.minimum_filter(own.view(np.uint8), size=SOLID_WINDOW, mode="constant")
    return int(np.count_nonzero(cores)) >= SOLID_CORES


def _is_between(ycc: NDArray[np.float64], one: NDArray[np.float64], other: NDArray[np.float64]) -> bool:
    """Return whether the value is a halo at `one`, with chroma on the way to `other`, or a blend of both."""
    along = (other - one)[1:]
    length = float(along @ along)
    if abs(ycc[0] - one[0]) <= HALO_LUMA and length > 1:
        place = float((ycc - one)[1:] @ along) / length
        away = float(np.linalg.norm((ycc - one)[1:] - place * along))
        if 0 < place < 1 and away <= HALO_AWAY:
            return True
    whole = other - one
    place = float((ycc - one) @ whole) / max(1e-9, float(whole @ whole))
    away = float(np.linalg.norm(ycc - one - place * whole))
    return 0.03 < place < 0.97 and away <= HALO_AWAY


def _label(values: Values, palette: Values, visible: Mask) -> tuple[Labels, float]:
    nearest = np.zeros(visible.shape, dtype=np.int16)
    squared = np.full(visible.shape, np.inf, dtype=np.float32)
    for number, color in enumerate(palette):
        away = _squared(values, color)
        closer = away < squared
        nearest[closer] = number
        np.minimum(squared, away, out=squared)
    plain = visible & (squared <= (SAME_COLOR * 1.3) ** 2)
    labels = np.where(plain, nearest, NO_COLOR).astype(np.int16)
    coverage = float(np.mean(plain[visible])) if visible.any() else 0.0
    return spread_labels(values, palette, labels, visible), coverage


def _to_srgb8(picture: Picture, palette: NDArray[np.float64]) -> Bytes8:
    rgb = ycc_to_rgb(palette)
    # What compression makes of white and black is white and black again.
    rgb[(rgb >= 255 - SNAPS_WITHIN).all(axis=-1)] = 255
    rgb[(rgb <= SNAPS_WITHIN).all(axis=-1)] = 0
    if picture.profile is None:
        return rgb
    return np.asarray(through_profile(Image.fromarray(rgb[None]), picture.profile)[0])


def _by_size(layers: Layers) -> Layers:
    order = np.argsort(-layers.shares, kind="stable")
    rank = np.full(len(order) + 1, NO_COLOR, dtype=np.int16)
    rank[order] = np.arange(len(order))
    return Layers(layers.colors[order], rank[layers.labels], layers.coverage)
