"""Flat artwork behind JPEG noise: colour is read where the picture is locally flat.

In YCbCr, as the file stores it: luma is sharp and chroma is coarse there, so around every edge
stands a halo with the luma of one side and a chroma between both. Halos look like colours of
their own; they are recognised by just that.
"""

from __future__ import annotations

from dataclasses import dataclass
from typing import Final

import numpy as np
from numpy.typing import NDArray
from PIL import Image
from scipy import ndimage

from tonada.core.extract.decode import through_profile
from tonada.core.extract.layers import NO_COLOR, SMALLEST_SHARE, Layers, Mask, drop_small, spread_labels
from tonada.core.extract.lossless import visibility
from tonada.core.extract.picture import Bytes8, Picture, pack, unpack

# ITU-T T.871 (JFIF): full-range YCbCr of R'G'B'.
_YCC_TO_RGB: Final = np.array([[1, 0, 1.402], [1, -0.344136286, -0.714136286], [1, 1.772, 0]])
_RGB_TO_YCC: Final = np.linalg.inv(_YCC_TO_RGB)
# One step of luma tells more than one of chroma: OKLab distances of small steps, roughly.
SCALE: Final = np.array([1.0, 0.8, 0.8])

# (window, largest range of luma, of chroma): the strict pass first, then thin features.
PASSES: Final = ((5, 4, 4), (3, 6, 5), (3, 14, 12))
# Levels within which values are the same colour seen through noise.
SAME_COLOR: Final = 9.0
HALO_LUMA: Final = 9.0
HALO_AWAY: Final = 9.0
# A colour so close to a much larger one needs flat areas of its own.
NEAR_TWIN: Final = 22.0


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
    total = int(np.count_nonzero(visible))
    peaks = _find_peaks(ycc, visible, total)
    if not peaks:
        return Layers(np.zeros((0, 3), np.uint8), np.full(visible.shape, NO_COLOR, np.int16), 0.0)
    palette = np.stack([peak.ycc for peak in peaks]) * SCALE
    values = ycc.astype(np.float64) * SCALE
    labels, coverage = _label(values, palette, visible)
    layers = Layers(_to_srgb8(picture, peaks), labels, coverage)
    return _by_size(drop_small(layers, values, palette))


def rgb_to_ycc(rgb: Bytes8) -> Bytes8:
    """Return full-range YCbCr, rounded to 8 bits. Source: ITU-T T.871."""
    ycc = rgb.astype(np.float64) @ _RGB_TO_YCC.T
    ycc[..., 1:] += 128
    return np.asarray(np.clip(np.floor(ycc + 0.5), 0, 255), dtype=np.uint8)


def ycc_to_rgb(ycc: NDArray[np.float64]) -> Bytes8:
    """Return 8-bit RGB of full-range YCbCr that need not be whole numbers. Source: ITU-T T.871."""
    rgb = (ycc - np.array([0.0, 128.0, 128.0])) @ _YCC_TO_RGB.T
    return np.asarray(np.clip(np.floor(rgb + 0.5), 0, 255), dtype=np.uint8)


def _find_peaks(ycc: Bytes8, visible: Mask, total: int) -> list[_Peak]:
    peaks: list[_Peak] = []
    scaled = ycc.astype(np.float64) * SCALE
    rest = visible.copy()
    for number, (window, luma, chroma) in enumerate(PASSES):
        flat = rest & _is_flat(ycc, window, luma, chroma)
        if number > 0:
            flat &= ~_is_explained(scaled, flat, peaks)
        least = max(6.0, (0.15 if number == 0 else 0.25) * SMALLEST_SHARE * total)
        fresh = _cluster(ycc[flat], least, strict=number == 0)
        peaks = _without_halos(peaks, fresh, total)
    return peaks


def _is_flat(ycc: Bytes8, window: int, luma: int, chroma: int) -> Mask:
    flat = np.ones(ycc.shape[:2], dtype=np.bool_)
    for channel, most in ((0, luma), (1, chroma), (2, chroma)):
        plane = np.ascontiguousarray(ycc[..., channel])
        highest = ndimage.maximum_filter(plane, window, mode="nearest")
        lowest = ndimage.minimum_filter(plane, window, mode="nearest")
        flat &= (highest - lowest) <= most
    return flat


def _is_explained(scaled: NDArray[np.float64], asked: Mask, peaks: list[_Peak]) -> Mask:
    """Say for the pixels `asked` whether they are a known colour or a blend of two of them."""
    result = np.zeros(asked.shape, dtype=np.bool_)
    if not peaks:
        return result
    points = scaled[asked]
    palette = np.stack([peak.ycc for peak in peaks]) * SCALE
    distance = np.full(len(points), np.inf)
    for color in palette:
        distance = np.minimum(distance, np.linalg.norm(points - color, axis=1))
    result[asked] = distance <= SAME_COLOR
    return result


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


def _without_halos(known: list[_Peak], fresh: list[_Peak], total: int) -> list[_Peak]:
    peaks = list(known)
    for peak in fresh:
        others = [other for other in peaks if other.support > peak.support or other.strict > peak.strict]
        if not _is_halo(peak, others, total):
            peaks.append(peak)
    return peaks


def _is_halo(peak: _Peak, others: list[_Peak], total: int) -> bool:
    for other in others:
        distance = float(np.linalg.norm((peak.ycc - other.ycc) * SCALE))
        if distance <= SAME_COLOR:
            return True
        if (
            distance <= NEAR_TWIN
            and peak.support < 0.1 * other.support
            and not (peak.strict and peak.support >= 0.01 * total)
        ):
            return True
    if peak.strict and peak.support >= 0.02 * total:
        return False
    return any(
        _is_between(peak.ycc, one.ycc, other.ycc) for one in others for other in others if one is not other
    )


def _is_between(ycc: NDArray[np.float64], one: NDArray[np.float64], other: NDArray[np.float64]) -> bool:
    """Say whether the value is a halo at `one`, with chroma on the way to `other`, or a blend of both."""
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


def _label(
    values: NDArray[np.float64], palette: NDArray[np.float64], visible: Mask
) -> tuple[NDArray[np.int16], float]:
    nearest = np.full(visible.shape, NO_COLOR, dtype=np.int16)
    distance = np.full(visible.shape, np.inf)
    for number, color in enumerate(palette):
        away = np.linalg.norm(values - color, axis=-1)
        closer = away < distance
        distance[closer], nearest[closer] = away[closer], number
    plain = visible & (distance <= SAME_COLOR * 1.3)
    labels = np.where(plain, nearest, NO_COLOR).astype(np.int16)
    coverage = float(np.mean(plain[visible])) if visible.any() else 0.0
    return spread_labels(values, palette, labels, visible), coverage


def _to_srgb8(picture: Picture, peaks: list[_Peak]) -> Bytes8:
    rgb = ycc_to_rgb(np.stack([peak.ycc for peak in peaks]))
    if picture.profile is None:
        return rgb
    return np.asarray(through_profile(Image.fromarray(rgb[None]), picture.profile)[0])


def _by_size(layers: Layers) -> Layers:
    order = np.argsort(-layers.shares(), kind="stable")
    rank = np.full(len(order) + 1, NO_COLOR, dtype=np.int16)
    rank[order] = np.arange(len(order))
    return Layers(layers.colors[order], rank[layers.labels], layers.coverage)
