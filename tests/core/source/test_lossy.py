"""What JPEG makes of flat artwork, and what is read from it all the same."""

from __future__ import annotations

import io

import numpy as np
import pytest
from PIL import Image

from tonada.core.color.spaces import difference_between
from tonada.core.source.pictures import extract_colors


def read(image: Image.Image, quality: int) -> list[str]:
    file = io.BytesIO()
    image.save(file, "JPEG", quality=quality)
    return [one.hex for one in extract_colors(file.getvalue()).colors]


def has(found: list[str], color: str) -> bool:
    return any(difference_between(color, one) < 0.02 for one in found)


@pytest.mark.parametrize("quality", [95, 80])
def test_a_solid_color_between_two_others_is_no_halo(quality: int) -> None:
    image = Image.new("RGB", (480, 360), "#ffffff")
    image.paste("#7c3aed", (60, 60, 420, 300))
    image.paste("#a78bfa", (200, 170, 262, 196))
    found = read(image, quality)
    assert all(has(found, color) for color in ("#ffffff", "#7c3aed", "#a78bfa"))
    assert len(found) == 3


@pytest.mark.parametrize("quality", [95, 75, 60])
def test_the_halos_of_edges_are_no_colors(quality: int) -> None:
    image = Image.new("RGB", (480, 360), "#ffffff")
    for left in range(0, 480, 48):
        image.paste("#c81e3c" if left % 96 else "#1450a0", (left, 40, left + 20, 320))
    found = read(image, quality)
    assert len(found) == 3
    assert all(has(found, color) for color in ("#ffffff", "#c81e3c", "#1450a0"))


def test_white_and_black_are_white_and_black_again() -> None:
    image = Image.new("RGB", (320, 240), "#ffffff")
    image.paste("#000000", (40, 40, 140, 200))
    image.paste("#c81e3c", (180, 60, 280, 180))
    noise = np.random.default_rng(3).integers(-2, 3, (240, 320, 3))
    noisy = np.clip(np.asarray(image).astype(int) + noise, 0, 255).astype(np.uint8)
    assert {"#ffffff", "#000000"} <= set(read(Image.fromarray(noisy), 80))


def test_a_scan_s_noise_takes_no_color_away() -> None:
    image = Image.new("RGB", (400, 300), "#ffffff")
    truth = ("#2b3a8c", "#b6653a", "#d7b13c", "#3d8c6c")
    for row, color in enumerate(truth):
        image.paste(color, (30 + 90 * row, 40, 90 + 90 * row, 240 - 40 * row))
    noise = np.random.default_rng(7).normal(0, 2, (300, 400, 3))
    noisy = np.clip(np.asarray(image) + noise, 0, 255).round().astype(np.uint8)
    file = io.BytesIO()
    Image.fromarray(noisy).save(file, "PNG")
    extraction = extract_colors(file.getvalue())
    assert extraction.kind == "flat"
    found = [one.hex for one in extraction.colors]
    assert all(has(found, color) for color in ("#ffffff", *truth))
    assert len(found) == 5
