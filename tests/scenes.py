"""Photographs by chance: rendered scenes with texture, shading, grain and small vivid things.

Each says which vivid colours a person would name in it.
"""

from __future__ import annotations

import io
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray
from PIL import Image
from scipy import ndimage

from tonada.core.color.spaces import linear_to_srgb, oklab_to_linear, oklch_to_oklab, srgb8_to_oklab

WIDTH, HEIGHT = 720, 480
Plane = NDArray[np.float64]


@dataclass(frozen=True)
class Scene:
    """pixels: 8-bit sRGB, shape (HEIGHT, WIDTH, 3). vivid: OKLab of each small vivid thing, shape (N, 3)."""

    name: str
    pixels: NDArray[np.uint8]
    vivid: Plane

    def jpeg(self, *, quality: int = 88, scale: float = 1, crop: float = 0) -> bytes:
        """Return the file: reduced by a scale, with so much of each side cut off."""
        image = Image.fromarray(self.pixels)
        if crop:
            across, down = round(crop * WIDTH / 2), round(crop * HEIGHT / 2)
            image = image.crop((across, down, WIDTH - across, HEIGHT - down))
        if scale != 1:
            size = (round(image.width * scale), round(image.height * scale))
            image = image.resize(size, Image.Resampling.LANCZOS)
        file = io.BytesIO()
        image.save(file, "JPEG", quality=quality)
        return file.getvalue()


def texture(random: np.random.Generator, *, smooth: float) -> Plane:
    """Return noise of mean 0 and deviation 1 that changes over about `smooth` pixels."""
    noise = ndimage.gaussian_filter(random.normal(size=(HEIGHT, WIDTH)), smooth)
    return np.asarray(noise / noise.std())


def scene(number: int) -> Scene:
    """Return a scene, the same for the same number."""
    random = np.random.default_rng([number, 71])
    down, across = np.mgrid[0:HEIGHT, 0:WIDTH] / HEIGHT
    top, bottom = random.uniform(0.55, 0.92), random.uniform(0.45, 0.9)
    lightness = top + (bottom - top) * down + 0.01 * texture(random, smooth=30)
    chroma = random.uniform(0.01, 0.09) + 0.006 * texture(random, smooth=40)
    hue = random.uniform(0, 360) + 6 * texture(random, smooth=60)
    picture = np.stack([lightness, np.maximum(chroma, 0), hue], axis=-1)
    for ridge in range(int(random.integers(2, 4))):  # hills, walls, a floor
        line = (
            0.4
            + 0.2 * ridge
            + sum(
                random.uniform(0.01, 0.05) * np.sin(across[0] * random.uniform(1, 9) + random.uniform(0, 6))
                for _ in range(3)
            )
        )
        _paint(random, picture, down > line, rough=random.uniform(0.03, 0.08), most_chroma=0.1)
    for _ in range(int(random.integers(2, 5))):  # things of some size
        _thing(
            random, picture, down, across, radius=random.uniform(0.08, 0.2), chroma=random.uniform(0.03, 0.12)
        )
    vivid = []
    for _ in range(2):
        radius = random.uniform(0.035, 0.075)
        vivid.append(_thing(random, picture, down, across, radius=radius, chroma=random.uniform(0.15, 0.24)))
    linear = oklab_to_linear(oklch_to_oklab(picture))
    linear = ndimage.gaussian_filter(np.maximum(linear, 0), (0.9, 0.9, 0))
    linear *= (1.05 - 0.25 * ((across - 0.75) ** 2 + (down - 0.5) ** 2))[..., None]
    srgb = np.clip(linear_to_srgb(np.clip(linear, 0, 1)) * 255 + random.normal(0, 3.5, linear.shape), 0, 255)
    pixels = np.rint(srgb).astype(np.uint8)
    seen = [np.median(srgb8_to_oklab(pixels[mask]), axis=0) for mask in _still_seen(vivid)]
    return Scene(f"scene-{number}", pixels, np.array(seen).reshape(-1, 3))


def _still_seen(masks: list[NDArray[np.bool_]]) -> list[NDArray[np.bool_]]:
    """Return the masks that no later one covers."""
    return [mask for n, mask in enumerate(masks) if not any((mask & later).any() for later in masks[n + 1 :])]


def _paint(
    random: np.random.Generator, picture: Plane, where: NDArray[np.bool_], *, rough: float, most_chroma: float
) -> None:
    lightness = random.uniform(0.25, 0.8) + rough * texture(random, smooth=random.uniform(1, 6))
    chroma = random.uniform(0.01, most_chroma) * (1 + 0.15 * texture(random, smooth=8))
    hue = random.uniform(0, 360) + 8 * texture(random, smooth=25)
    picture[where] = np.stack([lightness, np.maximum(chroma, 0), hue], axis=-1)[where]


def _thing(
    random: np.random.Generator, picture: Plane, down: Plane, across: Plane, *, radius: float, chroma: float
) -> NDArray[np.bool_]:
    """Paint a shaded ball or box; return where it is."""
    x, y = random.uniform(0.15, WIDTH / HEIGHT - 0.15), random.uniform(0.15, 0.85)
    away = np.hypot((across - x) / random.uniform(0.8, 1.3), down - y)
    where = away < radius
    lit = np.clip(
        1 - ((across - x + radius / 2) ** 2 + (down - y + radius / 2) ** 2) / (4 * radius**2), 0.3, 1
    )
    lightness, hue = random.uniform(0.45, 0.8), random.uniform(0, 360)
    own = np.stack(
        [
            lightness * (0.75 + 0.3 * lit) + 0.01 * texture(random, smooth=3),
            chroma * (0.8 + 0.2 * lit),
            np.full_like(lit, hue),
        ],
        axis=-1,
    )
    picture[where] = own[where]
    return where
