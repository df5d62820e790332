"""How well logos and scenes are read: the figures that tests bound and `python -m bench.reading` prints."""

from __future__ import annotations

import io
from dataclasses import dataclass
from typing import TypeAlias

import numpy as np
from numpy.typing import NDArray
from PIL import Image
from scipy.optimize import linear_sum_assignment

from tests.artwork import draw, encoded, flattened
from tests.logos import Logo, Truth, truth_of
from tests.matching import Match, match
from tests.scenes import Scene
from tonada.core.color.spaces import hexes_to_srgb8, srgb8_to_oklab
from tonada.core.source.pictures import Extraction, extract_colors

Places: TypeAlias = NDArray[np.float64]


@dataclass(frozen=True)
class Kind:
    """Which file a logo becomes. quality: of a JPEG, None for PNG. tolerance: CIEDE2000 of a match."""

    name: str
    size: int
    quality: int | None
    tolerance: float


KINDS = (
    Kind("PNG 640", 640, None, 2.0),
    Kind("PNG 96", 96, None, 2.0),
    Kind("JPEG 640", 640, 75, 3.0),
    Kind("JPEG 320", 320, 50, 3.0),
)
# A vivid thing is found where a colour is so near (deltaEOK): shading alone moves it by half of that.
VIVID_WITHIN = 0.1
SAMPLED = 12_000
# The same scene as half a size, at a lower quality, with less around it.
VARIANTS = ({"scale": 0.5}, {"quality": 60}, {"crop": 0.04})


def file_of(logo: Logo, kind: Kind) -> bytes:
    """Return the bytes; JPEG is on white, with chroma at half the resolution."""
    image = draw(logo.svg(), kind.size)
    if kind.quality is None:
        return encoded(image, "PNG")
    return encoded(flattened(image), "JPEG", quality=kind.quality, subsampling="4:2:0")


def matched(found: dict[str, float], truth: Truth, tolerance: float) -> Match:
    """Return the match with what must be found; what may be found is neither missed nor too much."""
    sure = match(found, truth.sure, tolerance=tolerance)
    everything = match(found, {**truth.sure, **truth.maybe}, tolerance=tolerance)
    maybe = everything.matched - sure.matched
    return Match(sure.found - maybe, sure.true, sure.matched, sure.exact, sure.share_error)


def read_logo(logo: Logo, kind: Kind) -> Match:
    """Return how well one file of a logo is read."""
    found = {color.hex: color.share for color in extract_colors(file_of(logo, kind)).colors}
    return matched(found, truth_of(logo, on="#ffffff" if kind.quality else None), kind.tolerance)


@dataclass(frozen=True)
class SceneReading:
    """Of a scene: its vivid things, how many of them are found, and how far pixels are from the colours
    on average (deltaEOK). By scikit-learn's KMeans, told the same number, likewise. moved: of the
    variants, how far the colours are from those of the scene; changed: how often their number differs."""

    vivid: int
    found: int
    distance: float
    by_kmeans: int
    distance_by_kmeans: float
    moved: float
    moved_by_kmeans: float
    changed: int


def read_scene(scene: Scene) -> SceneReading:
    """Return how well a scene and its variants are read."""
    data = scene.jpeg()
    reading = extract_colors(data)
    own, peer = colors_of(reading, reading.count), kmeans(data, reading.count)
    moved, moved_by_kmeans, changed = [], [], 0
    for variant in VARIANTS:
        other = scene.jpeg(**variant)
        again = extract_colors(other)
        changed += again.count != reading.count
        moved.append(apart(own, colors_of(again, reading.count)))
        moved_by_kmeans.append(apart(peer, kmeans(other, reading.count)))
    pixels = pixels_of(data)[::5]
    return SceneReading(
        vivid=len(scene.vivid),
        found=covered(scene.vivid, own),
        distance=mean_distance(pixels, own),
        by_kmeans=covered(scene.vivid, peer),
        distance_by_kmeans=mean_distance(pixels, peer),
        moved=float(np.mean(moved)),
        moved_by_kmeans=float(np.mean(moved_by_kmeans)),
        changed=changed,
    )


def colors_of(reading: Extraction, number: int) -> Places:
    return srgb8_to_oklab(hexes_to_srgb8([one.hex for one in reading.steps[number - 1]]))


def pixels_of(data: bytes) -> Places:
    return srgb8_to_oklab(np.asarray(Image.open(io.BytesIO(data)).convert("RGB")).reshape(-1, 3))


def kmeans(data: bytes, number: int) -> Places:
    # Every process of the tests reads this module, and few need what takes two seconds to load.
    from sklearn.cluster import KMeans

    pixels = pixels_of(data)
    sample = pixels[np.random.default_rng(0).choice(len(pixels), SAMPLED, replace=False)]
    centers: Places = KMeans(number, n_init=3, random_state=0).fit(sample).cluster_centers_
    return centers


def apart(one: Places, other: Places) -> float:
    """Return the mean distance of two palettes of one length, each colour with its partner."""
    distance = np.linalg.norm(one[:, None] - other[None], axis=-1)
    return float(distance[linear_sum_assignment(distance)].mean())


def covered(vivid: Places, palette: Places) -> int:
    distance = np.linalg.norm(vivid[:, None] - palette[None], axis=-1)
    return int(np.count_nonzero(distance.min(axis=1) < VIVID_WITHIN)) if len(vivid) else 0


def mean_distance(pixels: Places, palette: Places) -> float:
    return float(np.mean([np.linalg.norm(palette - pixel, axis=1).min() for pixel in pixels[::7]]))
