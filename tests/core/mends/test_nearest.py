"""The nearest passing colour, against a brute force over all 16.7 million of them."""

from __future__ import annotations

from functools import lru_cache

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from numpy.typing import NDArray

from tests.sampling import IS_LONG, examples
from tests.strategies import hexes
from tonada.core.color.contrast import contrast_ratio, ratio_between, ratio_of_luminances, relative_luminance
from tonada.core.color.spaces import (
    SRGB8_TO_LINEAR,
    Floats,
    difference_between,
    hex_to_oklch,
    hex_to_srgb8,
    linear_to_oklab,
    lms_to_oklab,
    srgb8_to_hex,
    srgb8_to_oklab,
)
from tonada.core.errors import NotReachable
from tonada.core.mends.nearest import best_ratio, nearest_passing
from tonada.core.mends.srgb_boxes import boxes, cells, color_at, lights_in, lows


@lru_cache(maxsize=1)
def every_color() -> tuple[NDArray[np.uint8], tuple[NDArray[np.float32], ...], NDArray[np.float32]]:
    """All 8-bit colours from dark to light, columns of their OKLab, and luminance, in single precision."""
    plane = np.stack(np.meshgrid(np.arange(256), np.arange(256), indexing="ij"), axis=-1).reshape(-1, 2)
    colors = np.empty((256, 65536, 3), dtype=np.uint8)
    luminance = np.empty((256, 65536), dtype=np.float32)
    for red in range(256):
        colors[red, :, 0], colors[red, :, 1:] = red, plane
        luminance[red] = relative_luminance(colors[red])
    order = np.argsort(luminance.reshape(-1))
    colors = colors.reshape(-1, 3)[order]
    parts = [linear_to_oklab(SRGB8_TO_LINEAR[part]).astype(np.float32) for part in np.split(colors, 256)]
    columns = tuple(np.concatenate([part[:, axis] for part in parts]) for axis in range(3))
    return colors, columns, luminance.reshape(-1)[order]


def brute_force(moving: str, fixed: str, ratio: float, mode: str) -> float | None:
    """The least deltaEOK of every colour that does, or None."""
    colors, columns, luminance = every_color()
    ground = relative_luminance(hex_to_srgb8(fixed))
    origin = srgb8_to_oklab(hex_to_srgb8(moving))
    # A little too many, since single precision is off by less than 1e-6; exactly below.
    dark = np.searchsorted(luminance, (float(ground) + 0.05) / ratio - 0.05 + 1e-6, "right")
    light = np.searchsorted(luminance, ratio * (float(ground) + 0.05) - 0.05 - 1e-6, "left")
    spans = [(0, int(dark)), (int(light), len(colors))]
    rough = np.concatenate([_squared(columns, origin, start, end) for start, end in spans])
    rows = np.concatenate([np.arange(start, max(start, end)) for start, end in spans])
    least = float(np.sqrt(rough.min()))
    for ring in (0.02, 0.1, 0.3, 2.0):
        near = colors[rows[rough <= (least + ring) ** 2]]
        near = near[ratio_of_luminances(relative_luminance(near), ground) >= ratio]
        lab = srgb8_to_oklab(near)
        kept = lab[_keeps(moving, lab)] if mode == "hue" else lab
        if len(kept):
            distance = float(np.sqrt(((kept - origin) ** 2).sum(axis=1)).min())
            if distance <= least + ring - 1e-5:
                return distance
    return None


def _squared(
    columns: tuple[NDArray[np.float32], ...], origin: Floats, start: int, end: int
) -> NDArray[np.float32]:
    total = np.zeros(max(0, end - start), dtype=np.float32)
    for column, own in zip(columns, origin, strict=True):
        total += (column[start : max(start, end)] - np.float32(own)) ** 2
    return total


def _keeps(moving: str, lab: Floats) -> NDArray[np.bool_]:
    _, chroma, hue = hex_to_oklch(moving)
    own = np.hypot(lab[:, 1], lab[:, 2])
    if moving[1:3] == moving[3:5] == moving[5:7]:
        return np.asarray(own < 1e-6)
    if chroma < 0.02:
        return np.asarray(own < 0.02)
    hues = np.degrees(np.arctan2(lab[:, 2], lab[:, 1]))
    return np.asarray((np.abs((hues - hue + 180) % 360 - 180) <= 2) | (own < 1e-6))


def cases() -> list[tuple[str, str, float, str]]:
    """180 of them, every kind twice in the first 60.

    Any colours, near-neutrals, and the corners around blue where the gamut is hollow."""
    random = np.random.default_rng(2211)
    made = []
    for number in range(180):
        moving, fixed = random.integers(0, 256, (2, 3))
        if number % 5 == 1:
            moving = np.clip(moving[:1] + random.integers(-5, 6, 3), 0, 255)
        elif number % 5 == 2:
            moving = np.clip(np.array([0, 0, 255]) + random.integers(-60, 61, 3), 0, 255)
        ratio = (3.0, 4.5, 7.0)[number % 3]
        made.append((srgb8_to_hex(moving), srgb8_to_hex(fixed), ratio, ("hue", "free")[number // 3 % 2]))
    return made


def test_the_proposal_is_the_optimum_of_all_colors() -> None:
    for moving, fixed, ratio, mode in cases() if IS_LONG else cases()[:36]:
        if best_ratio(fixed) < ratio:
            with pytest.raises(NotReachable):
                nearest_passing(moving, fixed, ratio, mode)
            continue
        found = nearest_passing(moving, fixed, ratio, mode)
        exact = float(contrast_ratio(hex_to_srgb8(found.hex), hex_to_srgb8(fixed)))
        assert found.ratio == exact >= ratio
        if found.difference == 0:
            assert found.hex == moving
        else:
            assert found.difference == pytest.approx(brute_force(moving, fixed, ratio, mode), abs=1e-12)


def test_no_color_is_farther_from_its_cell_than_the_radius_says() -> None:
    fine, coarse = cells(), boxes()
    inside = np.stack(np.meshgrid(*[np.arange(4)] * 3, indexing="ij"), axis=-1).reshape(-1, 3)
    for box in range(4096):
        lab = srgb8_to_oklab(lows()[box][:, None] + inside)
        middle = fine.places[1:, box].T
        away = np.sqrt(((lab - middle[:, None]) ** 2).sum(axis=-1)).max(axis=1)
        assert (away <= fine.radius[box]).all()
        center = coarse.places[1:, box]
        assert np.sqrt(((lab - center) ** 2).sum(axis=-1)).max() <= coarse.radius[box]


def test_every_color_is_in_one_cell_and_luminances_agree() -> None:
    low = lows().reshape(-1, 3)
    assert len(np.unique(low, axis=0)) == 64**3
    assert (low % 4 == 0).all()
    chosen = np.random.default_rng(1).integers(0, 64**3, 40)
    luminance, lms = lights_in(chosen)
    colors = np.array([color_at(chosen, place) for place in range(len(luminance))])
    assert len(np.unique(colors, axis=0)) == 64 * len(np.unique(chosen))
    assert np.array_equal(luminance, relative_luminance(colors))
    assert np.array_equal(lms_to_oklab(lms).T, srgb8_to_oklab(colors))


@given(hexes, hexes, st.sampled_from([3.0, 4.5, 7.0, 12.0]), st.sampled_from(["hue", "free"]))
@settings(max_examples=examples(150), deadline=None)
def test_a_mend_always_passes_or_says_the_best(moving: str, fixed: str, ratio: float, mode: str) -> None:
    extremes = hex_to_srgb8("#000000"), hex_to_srgb8("#ffffff")
    best = max(float(contrast_ratio(one, hex_to_srgb8(fixed))) for one in extremes)
    assert best_ratio(fixed) == best
    if best < ratio:
        with pytest.raises(NotReachable) as refused:
            nearest_passing(moving, fixed, ratio, mode)
        assert refused.value.best == best
    else:
        found = nearest_passing(moving, fixed, ratio, mode)
        assert found.ratio >= ratio
        assert nearest_passing(found.hex, fixed, ratio, mode).difference == 0


@given(hexes, hexes)
@settings(max_examples=examples(60), deadline=None)
def test_free_is_never_farther_than_keeping_the_hue(moving: str, fixed: str) -> None:
    kept, free = (nearest_passing(moving, fixed, 4.5, mode).difference for mode in ("hue", "free"))
    assert free <= kept


@pytest.mark.parametrize("fixed", ["#ffffff", "#000000", "#2b3a8c", "#d7b13c"])
@pytest.mark.parametrize("level", [0, 60, 119, 170, 255])
def test_an_exact_grey_stays_one_and_is_the_nearest_that_does(level: int, fixed: str) -> None:
    moving = f"#{level:02x}{level:02x}{level:02x}"
    found = nearest_passing(moving, fixed, 4.5)
    greys = [f"#{one:02x}{one:02x}{one:02x}" for one in range(256)]
    passing = [one for one in greys if ratio_between(one, fixed) >= 4.5]
    assert found.hex in passing
    assert found.difference == min(difference_between(one, moving) for one in passing)
