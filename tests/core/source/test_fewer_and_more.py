"""Fewer and more, a part of the picture, an overruled kind, and single pixels."""

from __future__ import annotations

import numpy as np
import pytest
from PIL import Image

from tests.artwork import draw, drawings, encoded, flattened
from tonada.core.errors import InputError
from tonada.core.source.pictures import Extraction, Region, extract_colors, look_at
from tonada.core.source.pictures.pick import LOUPE_SIZE, decode_for_picking
from tonada.demo.pictures import dusk_ridge

LOGO = drawings()[5]


def files() -> list[bytes]:
    large = draw(LOGO.svg, 480)
    return [
        LOGO.svg.encode(),
        encoded(large, "PNG"),
        encoded(flattened(large), "JPEG", quality=75),
        dusk_ridge(600, 400),
    ]


@pytest.fixture(scope="module", params=range(4), ids=["svg", "png", "jpeg", "photograph"])
def found(request: pytest.FixtureRequest) -> Extraction:
    return extract_colors(files()[request.param])


def test_there_is_a_step_for_every_number_up_to_the_reading_and_on(found: Extraction) -> None:
    assert [len(step) for step in found.steps] == list(range(1, len(found.steps) + 1))
    assert len(found.colors) == found.count <= len(found.steps) <= 12


def test_each_step_joins_or_splits_one_color(found: Extraction) -> None:
    for fewer, more in zip(found.steps, found.steps[1:], strict=False):
        assert len({c.hex for c in more} - {c.hex for c in fewer}) <= 1
        assert {c.hex for c in fewer} <= {c.hex for c in more}
        changed = [c for c in fewer if c not in more]
        assert len(changed) <= 2, "only the colour that was split has another share"


def test_the_shares_of_every_step_are_the_whole(found: Extraction) -> None:
    for step in found.steps:
        assert sum(color.share for color in step) == pytest.approx(1, abs=1e-9)
        assert [c.share for c in step] == sorted((c.share for c in step), reverse=True)


def test_more_of_a_lossless_file_are_values_that_it_has() -> None:
    image = draw(LOGO.svg, 480)
    found = extract_colors(encoded(image, "PNG"))
    pixels = {"#" + bytes(color[:3]).hex() for _, color in image.getcolors(480 * 480) or []}
    assert {color.hex for color in found.steps[-1]} <= pixels


def test_a_region_reads_only_that_part() -> None:
    image = Image.new("RGB", (200, 100), "#2b3a8c")
    image.paste("#d7b13c", (100, 0, 200, 100))
    data = encoded(image, "PNG")
    assert {c.hex for c in extract_colors(data).colors} == {"#2b3a8c", "#d7b13c"}
    right = extract_colors(data, region=Region(0.5, 0.0, 0.5, 1.0))
    assert [(c.hex, c.share) for c in right.colors] == [("#d7b13c", 1.0)]
    assert (right.width, right.height) == (200, 100)


@pytest.mark.parametrize("edges", [(0.5, 0, 0.6, 1), (0, 0, 0, 1), (-0.1, 0, 0.5, 0.5), (0, 1, 1, 1)])
def test_a_region_outside_the_picture_is_refused(edges: tuple[float, ...]) -> None:
    with pytest.raises(InputError) as refused:
        Region(*edges)
    assert refused.value.field == "region"


def test_the_kind_is_overruled() -> None:
    photograph = dusk_ridge(600, 400)
    assert extract_colors(photograph).kind == "photographic"
    assert extract_colors(photograph, kind="flat").kind == "flat"
    logo = encoded(draw(LOGO.svg, 320), "PNG")
    assert extract_colors(logo, kind="photographic").kind == "photographic"


def test_gradient_stops_are_named_as_such() -> None:
    svg = (
        '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100"><linearGradient id="g">'
        '<stop offset="0" stop-color="#14193a"/><stop offset="1" stop-color="#f2c14e"/></linearGradient>'
        '<rect width="100" height="60" fill="url(#g)"/><rect y="60" width="100" height="40" fill="#0d5c63"/>'
        "</svg>"
    )
    found = {color.hex: color for color in extract_colors(svg.encode()).colors}
    assert {value: color.is_stop for value, color in found.items()} == {
        "#0d5c63": False,
        "#14193a": True,
        "#f2c14e": True,
    }
    assert found["#0d5c63"].share == pytest.approx(0.4, abs=0.002)


def test_a_photograph_of_a_dusk_gives_what_a_person_would_name() -> None:
    found = extract_colors(dusk_ridge())
    assert found.kind == "photographic"
    assert 4 <= len(found.colors) <= 8


@pytest.mark.long
def test_a_large_photograph_reads_like_its_small_self() -> None:
    small = extract_colors(dusk_ridge(900, 600))
    large = extract_colors(dusk_ridge(2700, 1800))
    assert large.kind == "photographic"
    assert abs(len(small.colors) - len(large.colors)) <= 2
    assert extract_colors(dusk_ridge(2700, 1800)) == large


def spotted() -> bytes:
    image = Image.new("RGB", (21, 21), "#000000")
    image.putpixel((10, 10), (255, 255, 255))
    return encoded(image, "PNG")


@pytest.mark.parametrize(
    ("square", "expected"),
    [
        pytest.param(1, "#ffffff", id="the pixel itself"),
        # One ninth of the light: linear 0.1111, encoded 0.3672.
        pytest.param(3, "#5e5e5e", id="a ninth of the light"),
        pytest.param(11, "#161616", id="a hundred and twenty-first"),
    ],
)
def test_a_square_is_averaged_in_linear_light(square: int, expected: str) -> None:
    loupe = look_at(decode_for_picking(spotted()), 0.5, 0.5, square)
    assert loupe.hex == expected
    assert (loupe.x, loupe.y) == (10, 10)


def test_the_magnifier_shows_the_pixels_around_and_nothing_beyond_the_edge() -> None:
    picture = decode_for_picking(spotted())
    middle = look_at(picture, 0.5, 0.5)
    assert len(middle.pixels) == len(middle.pixels[0]) == LOUPE_SIZE
    assert middle.pixels[LOUPE_SIZE // 2][LOUPE_SIZE // 2] == "#ffffff"
    corner = look_at(picture, 0, 0)
    assert corner.pixels[0][0] is None
    assert corner.pixels[LOUPE_SIZE // 2][LOUPE_SIZE // 2] == "#000000"


def test_nothing_is_picked_where_nothing_can_be_seen() -> None:
    clear = Image.fromarray(np.zeros((9, 9, 4), np.uint8))
    assert look_at(decode_for_picking(encoded(clear, "PNG")), 0.5, 0.5, 5).hex is None


def test_the_value_that_is_picked_is_the_value_of_the_file() -> None:
    image = draw(LOGO.svg, 200).convert("RGB")
    picture = decode_for_picking(encoded(image, "PNG"))
    for x, y in ((3, 4), (100, 120), (199, 199)):
        loupe = look_at(picture, (x + 0.5) / 200, (y + 0.5) / 200)
        assert loupe.hex == "#" + bytes(image.getpixel((x, y))).hex()


@pytest.mark.parametrize(("x", "square"), [(1.5, 1), (0.5, 2), (float("nan"), 1)])
def test_a_place_or_a_square_that_cannot_be_is_refused(x: float, square: int) -> None:
    with pytest.raises(InputError):
        look_at(decode_for_picking(spotted()), x, 0.5, square)
