"""A wide canvas around artwork takes no colour away, and changes no share of the artwork."""

from __future__ import annotations

import io

import numpy as np
import pytest
from PIL import Image, ImageDraw

from tonada.core.color.spaces import difference_between
from tonada.core.source.pictures import extract_colors
from tonada.core.source.pictures.decode import decode_bitmap
from tonada.core.source.pictures.margin import LEAST_CUT, trimmed

SHAPES = (
    ("#2b3a8c", (40, 40, 240, 300)),
    ("#b6653a", (200, 120, 330, 260)),
    ("#d7b13c", (60, 300, 120, 350)),
    ("#3d8c6c", (280, 300, 318, 338)),
    ("#7a2e1f", (150, 325, 188, 363)),
)
SIDE = 400


def artwork(canvas: float, ground: str = "#ffffff") -> Image.Image:
    """Return drawn shapes in the middle of a canvas of so many times their side."""
    drawn = Image.new("RGB", (SIDE * 4, SIDE * 4), ground)
    for number, (color, place) in enumerate(SHAPES):
        draw = ImageDraw.Draw(drawn)
        (draw.rectangle if number % 2 else draw.ellipse)([4 * at for at in place], fill=color)
    small = drawn.resize((SIDE, SIDE), Image.Resampling.LANCZOS)
    side = round(SIDE * canvas)
    whole = Image.new("RGB", (side, side), ground)
    whole.paste(small, ((side - SIDE) // 2, (side - SIDE) // 2))
    return whole


def written(image: Image.Image, format_name: str) -> bytes:
    file = io.BytesIO()
    image.save(file, format_name, **({"quality": 80} if format_name == "JPEG" else {}))
    return file.getvalue()


def own_shares(data: bytes) -> dict[str, float]:
    """Return shares of the artwork, without the ground, each under the shape whose colour is nearest."""
    colors = extract_colors(data).colors
    ground = sum(one.ground_share for one in colors)
    shares = {}
    for one in colors:
        share = (one.share - one.ground_share) / (1 - ground)
        if share > 0.005:
            shares[min((color for color, _ in SHAPES), key=lambda c: difference_between(c, one.hex))] = share
    return shares


@pytest.mark.parametrize("format_name", ["PNG", "JPEG"])
@pytest.mark.parametrize("ground", ["#ffffff", "#f4e9d8", "#20242c"])
def test_the_same_artwork_on_a_larger_canvas_has_the_same_colors_and_shares(
    format_name: str, ground: str
) -> None:
    tight, wide = (own_shares(written(artwork(canvas, ground), format_name)) for canvas in (1, 2.5))
    assert set(tight) == {color for color, _ in SHAPES}
    assert set(wide) == set(tight)
    for color, share in tight.items():
        assert wide[color] == pytest.approx(share, abs=0.01)


def test_shares_are_still_of_everything_that_is_visible() -> None:
    image = artwork(2.5)
    extraction = extract_colors(written(image, "PNG"))
    assert sum(one.share for one in extraction.colors) == pytest.approx(1)
    white = float((np.asarray(image) == 255).all(axis=-1).mean())
    ground = next(one for one in extraction.colors if one.hex == "#ffffff")
    assert extraction.ground == "#ffffff"
    assert ground.share == pytest.approx(white, abs=0.01)
    assert extraction.colors[0] == ground
    for step in extraction.steps:
        assert sum(one.share for one in step) == pytest.approx(1)


def test_what_has_no_canvas_is_left_as_it_is() -> None:
    full = Image.new("RGB", (200, 200), "#2b3a8c")
    full.paste("#d7b13c", (0, 0, 100, 100))
    for image in (full, Image.new("RGB", (50, 50), "#ffffff"), artwork(1)):
        picture = decode_bitmap(written(image, "PNG"))
        part, cut = trimmed(picture)
        assert (part is picture) is (cut == 0)
        assert cut == 0 or cut >= LEAST_CUT
    see_through = artwork(2.5).convert("RGBA")
    see_through.putalpha(Image.new("L", see_through.size, 0))
    assert trimmed(decode_bitmap(written(see_through, "PNG")))[1] == 0
