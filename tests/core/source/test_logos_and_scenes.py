"""Reading measured on logos and scenes by chance: few of them here, all of them in the long run."""

from __future__ import annotations

from concurrent.futures import ProcessPoolExecutor
from functools import partial

import numpy as np
import pytest

from tests.logos import logos
from tests.matching import mean_f1
from tests.readings import KINDS, VARIANTS, Kind, read_logo, read_scene
from tests.sampling import IS_LONG
from tests.scenes import scene

# F1 over logos, which is asked of each kind of file; a sample of few says it less exactly.
ASKED = {"PNG 640": 0.995, "PNG 96": 0.965, "JPEG 640": 0.985, "JPEG 320": 0.92}
LOGOS = 96 if IS_LONG else 24
SCENES = 24


@pytest.mark.detail(24)
@pytest.mark.parametrize("kind", KINDS, ids=lambda kind: kind.name)
def test_logos_give_their_colors(kind: Kind) -> None:
    with ProcessPoolExecutor(2) as pool:
        matches = list(pool.map(partial(read_logo, kind=kind), logos(LOGOS)))
    assert mean_f1(matches) >= ASKED[kind.name]
    assert np.mean([one.share_error for one in matches]) <= 0.007
    if kind.name == "PNG 640":
        assert all(one.exact == one.matched for one in matches)


@pytest.mark.long
def test_scenes_give_what_a_person_names_and_the_same_again() -> None:
    with ProcessPoolExecutor(2) as pool:
        readings = list(pool.map(read_scene, map(scene, range(SCENES))))
    found, vivid = sum(one.found for one in readings), sum(one.vivid for one in readings)
    assert found >= 0.75 * vivid
    assert found > sum(one.by_kmeans for one in readings)
    distance = sum(one.distance for one in readings) / sum(one.distance_by_kmeans for one in readings)
    assert distance <= 1.2
    assert sum(one.moved for one in readings) <= 2 * sum(one.moved_by_kmeans for one in readings)
    assert sum(one.changed for one in readings) <= 0.2 * len(VARIANTS) * len(readings)
