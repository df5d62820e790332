"""How well pictures are read: logos by chance as PNG and JPEG, and scenes, beside scikit-learn's KMeans.

python -m bench.reading [LOGOS] [SCENES] [SEED]
"""

from __future__ import annotations

import sys
from concurrent.futures import ProcessPoolExecutor
from functools import partial

import numpy as np
from tests.logos import SEED, logos
from tests.matching import Match
from tests.readings import KINDS, VARIANTS, SceneReading, read_logo, read_scene
from tests.scenes import scene


def row_of(name: str, matches: list[Match]) -> str:
    """Return the line of a kind: F1 as the mean over files, the rest over colours."""
    matched = sum(one.matched for one in matches)
    figures = (
        np.mean([one.f1 for one in matches]),
        matched / sum(one.true for one in matches),
        matched / sum(one.found for one in matches),
        sum(one.exact for one in matches) / matched,
        100 * np.mean([one.share_error for one in matches]),
    )
    return f"| {name} | " + " | ".join(f"{figure:.3f}" for figure in figures) + " |"


def of_logos(number: int, seed: int) -> str:
    """Return the table of logos."""
    lines = [
        f"{number} logos, seed {seed}\n",
        "| file | F1 | recall | precision | exact | share off by (points) |",
        "|---|---:|---:|---:|---:|---:|",
    ]
    everything: list[Match] = []
    with ProcessPoolExecutor() as pool:
        for kind in KINDS:
            matches = list(pool.map(partial(read_logo, kind=kind), logos(number, seed=seed)))
            lines.append(row_of(kind.name, matches))
            everything += matches
    return "\n".join([*lines, row_of("all", everything)])


def of_scenes(number: int) -> str:
    """Return what is said of scenes."""
    with ProcessPoolExecutor() as pool:
        readings: list[SceneReading] = list(pool.map(read_scene, map(scene, range(number))))

    def total(name: str) -> float:
        return float(sum(getattr(one, name) for one in readings))

    return "\n".join(
        [
            f"{number} scenes",
            f"vivid things found: {total('found'):.0f} of {total('vivid'):.0f}",
            f"by KMeans: {total('by_kmeans'):.0f}",
            f"mean distance, KMeans being 1: {total('distance') / total('distance_by_kmeans'):.2f}",
            f"movement in variants, KMeans being 1: {total('moved') / total('moved_by_kmeans'):.2f}",
            f"another number: in {total('changed'):.0f} of {len(VARIANTS) * number} variants",
        ]
    )


if __name__ == "__main__":
    numbers = [int(one) for one in sys.argv[1:]] + [70, 24, SEED][len(sys.argv) - 1 :]
    print(of_logos(numbers[0], numbers[2]), of_scenes(numbers[1]), sep="\n\n")
