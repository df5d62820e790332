"""Pairs: many ratios, the nearest passing colour, all pairs mended, a picture seen by other eyes."""

from __future__ import annotations

from dataclasses import replace
from itertools import cycle

import numpy as np
from coloraide import Color

from bench.timing import Row, milliseconds, table
from tonada.core.color.contrast import contrast_ratio
from tonada.core.color.spaces import linear_to_srgb, srgb8_to_hex
from tonada.core.mends.all_pairs import mend_all
from tonada.core.mends.nearest import MendMode, best_ratio, nearest_passing
from tonada.core.roles.brand import Candidate
from tonada.core.roles.build import build_take
from tonada.core.roles.proposal import propose_roles
from tonada.core.sight.vision import simulate
from tonada.core.take.take import Take


def run() -> str:
    """Return the table."""
    random = np.random.default_rng(5)
    sixty_four = random.integers(0, 256, (64, 3))
    picture = random.integers(0, 256, (800, 1280, 3)).astype(np.uint8)
    moving = [srgb8_to_hex(color) for color in random.integers(0, 256, (400, 3))]
    fixed = [srgb8_to_hex(color) for color in random.integers(0, 256, (400, 3))]
    modes: tuple[MendMode, ...] = ("hue", "free") * 200
    cases = cycle(
        [
            (one, other, 4.5, mode)
            for one, other, mode in zip(moving, fixed, modes, strict=True)
            if contrast_ratio_of(one, other) < 4.5 <= best_ratio(other)
        ]
    )
    candidates = (Candidate("#c9ae72", 0.7), Candidate("#b6653a", 0.2), Candidate("#d7b13c", 0.1))
    take = build_take(candidates, propose_roles(candidates), source=None, source_name="a list")
    take = replace(take, level="AAA", swatches=tuple(replace(one, held=False) for one in take.swatches))
    hexes = [srgb8_to_hex(color) for color in sixty_four]
    anyhow = cycle([_of_any_colors(take, random) for _ in range(12)])

    def mend_one() -> None:
        nearest_passing(*next(cases))

    def by_coloraide() -> None:
        for one in hexes:
            Color(one).contrast("#ffffff", method="wcag21")

    peer = ("coloraide, 64 ratios on white", milliseconds(by_coloraide, times=11))
    blurred = ("numpy, the picture's square root", milliseconds(lambda: np.sqrt(picture / 255.0), times=3))
    return table(
        "Pairs",
        [
            Row("all 4096 ratios of 64 colours", milliseconds(lambda: _all(sixty_four), times=31), *peer),
            Row("nearest passing colour, of all 8-bit ones", milliseconds(mend_one, times=301), *peer),
            Row("mend all, 19 pairs at AAA", milliseconds(lambda: mend_all(take), times=5), *peer),
            Row(
                "mend all, any colours at AAA, the slowest of 12",
                max(milliseconds(lambda: mend_all(next(anyhow)), times=1) for _ in range(12)),
                *peer,
            ),
            Row("1280 x 800 seen deutan", milliseconds(lambda: _seen(picture), times=3), *blurred),
        ],
    )


def contrast_ratio_of(one: str, other: str) -> float:
    """Return the ratio of two hex values."""
    colors = [np.frombuffer(bytes.fromhex(value[1:]), dtype=np.uint8) for value in (one, other)]
    return float(contrast_ratio(*colors))


def _all(colors: np.ndarray) -> np.ndarray:
    return contrast_ratio(colors[:, None], colors[None])


def _seen(picture: np.ndarray) -> np.ndarray:
    return linear_to_srgb(simulate(picture, "deutan"))


def _of_any_colors(take: Take, random: np.random.Generator) -> Take:
    """Return the take with every third swatch held and all of random values, which contradict each other."""
    values = random.integers(0, 256, (len(take.swatches), 3))
    swatches = tuple(
        replace(one, hex=srgb8_to_hex(value), held=row % 3 == 0)
        for row, (one, value) in enumerate(zip(take.swatches, values, strict=True))
    )
    return replace(take, swatches=swatches)
