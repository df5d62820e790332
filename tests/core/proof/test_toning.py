"""A picture in the colours of a take: its ends, and between them as Pillow mixes."""

from __future__ import annotations

from dataclasses import replace

import numpy as np
import pytest
from PIL import Image

from tests.takes import TAKE
from tonada.core.proof.toning import Toning, toned, toning_of
from tonada.core.take.proof_settings import PLAIN, PictureTone

DUOTONE = PictureTone("duotone", "deep", "accent")
GREYS = (0, 1, 64, 128, 200, 254, 255)


def toning(tone: PictureTone) -> Toning:
    found = toning_of(TAKE, tone)
    assert found
    return found


def rgb(role: str) -> list[int]:
    value = TAKE.hex_of(role)
    return [int(value[start : start + 2], 16) for start in (1, 3, 5)]


def test_black_becomes_the_dark_colour_and_white_the_light_one() -> None:
    picture = np.array([[[0, 0, 0], [255, 255, 255]]], dtype=np.uint8)
    assert toned(picture, toning(DUOTONE)).tolist() == [[rgb("deep"), rgb("accent")]]


def test_greys_are_mixed_as_pillow_blends_two_plain_pictures() -> None:
    for grey in GREYS:
        picture = np.full((1, 1, 3), grey, dtype=np.uint8)
        plain = [Image.new("RGB", (1, 1), TAKE.hex_of(role)) for role in ("deep", "accent")]
        blended = Image.blend(plain[0], plain[1], grey / 255).getpixel((0, 0))
        assert np.abs(toned(picture, toning(DUOTONE))[0, 0].astype(int) - blended).max() <= 1


@pytest.mark.parametrize("amount", [0.05, 0.4, 0.95])
def test_a_tint_lies_over_a_picture_as_pillow_blends_it_with_the_plain_colour(amount: float) -> None:
    pixels = np.array([[[red, 255 - red, 90] for red in GREYS]], dtype=np.uint8)
    plain = Image.new("RGB", (len(GREYS), 1), TAKE.hex_of("accent"))
    blended = np.asarray(Image.blend(Image.fromarray(pixels), plain, amount)).astype(int)
    tint = toning(PictureTone("tinted", tint="accent", amount=amount))
    assert np.abs(toned(pixels, tint).astype(int) - blended).max() <= 1


def test_a_picture_stays_as_it_is_without_the_roles_of_its_tone() -> None:
    assert toning_of(TAKE, PLAIN) is None
    assert toning_of(TAKE, replace(DUOTONE, light="accent-3")) is None
    assert toning_of(TAKE, PictureTone("tinted", tint="accent-3")) is None
