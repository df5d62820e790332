"""A picture in two colours: its ends, and between them as Pillow mixes."""

from __future__ import annotations

from dataclasses import replace

import numpy as np
from PIL import Image

from tests.takes import TAKE
from tonada.core.proof.duotone import duotone, duotone_ends


def test_black_becomes_the_dark_colour_and_white_the_light_one() -> None:
    picture = np.array([[[0, 0, 0], [255, 255, 255]]], dtype=np.uint8)
    assert duotone(picture, "#131c4c", "#d7b13c").tolist() == [[[0x13, 0x1C, 0x4C], [0xD7, 0xB1, 0x3C]]]


def test_greys_are_mixed_as_pillow_blends_two_plain_pictures() -> None:
    dark, light = "#131c4c", "#d7b13c"
    for grey in (1, 64, 128, 200, 254):
        picture = np.full((1, 1, 3), grey, dtype=np.uint8)
        plain = [Image.new("RGB", (1, 1), value) for value in (dark, light)]
        blended = Image.blend(plain[0], plain[1], grey / 255).getpixel((0, 0))
        assert np.abs(duotone(picture, dark, light)[0, 0].astype(int) - blended).max() <= 1


def test_it_takes_two_roles_that_are_there() -> None:
    both = replace(TAKE, proof=replace(TAKE.proof, duotone=("deep", "paper")))
    assert duotone_ends(both) == (TAKE.color_of("deep"), TAKE.color_of("paper"))
    gone = replace(TAKE, proof=replace(TAKE.proof, duotone=("deep", "accent-3")))
    assert duotone_ends(gone) is None
    assert duotone_ends(TAKE) is None
