"""Extraction measured on drawings whose truth is known, as F1 with one-to-one matching."""

from __future__ import annotations

import numpy as np
import pytest

from tests.artwork import (
    Drawing,
    count_truths,
    draw,
    drawings,
    encoded,
    flattened,
    kept_truths,
    truth_of,
    variant,
)
from tests.matching import Match, match, mean_f1
from tests.sampling import IS_LONG
from tonada.core.source.pictures import extract_colors

# What is asked for: F1, share of the matched colours whose hex is exact, CIEDE2000 tolerance.
ASKED = {
    "png 640": (0.99, 0.99, 2.0),
    "png 96": (0.97, 0.0, 2.0),
    "jpeg 75": (0.98, 0.0, 3.0),
    "jpeg 50 at 320": (0.93, 0.0, 3.0),
}


def matches(kind: str, tolerance: float) -> list[Match]:
    result = []
    # Each motif in two of its four colour sets, or in all of them.
    for drawing in drawings() if IS_LONG else drawings()[::2]:
        found = {color.hex: color.share for color in extract_colors(variant(drawing, kind)).colors}
        truth = truth_of(drawing, on_white=kind.startswith("jpeg"))
        result.append(match(found, truth, tolerance=tolerance))
    return result


def test_the_set_is_as_varied_as_it_says() -> None:
    truths = [truth_of(drawing) for drawing in drawings()]
    assert len(truths) >= 40
    assert {2, 3, 4, 5, 6} <= {len(truth) for truth in truths}


@pytest.mark.long
def test_the_truths_are_what_the_drawings_show() -> None:
    assert count_truths() == kept_truths()


@pytest.mark.detail
@pytest.mark.parametrize("kind", ASKED)
def test_flat_artwork_gives_its_colors_and_nothing_else(kind: str) -> None:
    f1, exact, tolerance = ASKED[kind]
    found = matches(kind, tolerance)
    assert mean_f1(found) >= f1
    assert sum(one.exact for one in found) / sum(one.matched for one in found) >= exact
    assert float(np.mean([one.share_error for one in found])) <= 0.01


@pytest.mark.parametrize("drawing", drawings()[::3], ids=lambda drawing: drawing.name)
def test_an_svg_gives_its_declared_values_exactly(drawing: Drawing) -> None:
    found = extract_colors(drawing.svg.encode())
    truth = truth_of(drawing)
    assert found.exact
    assert {color.hex for color in found.colors} == set(truth)
    for color in found.colors:
        assert color.share == pytest.approx(truth[color.hex], abs=0.01)


def test_the_same_file_gives_the_same_result() -> None:
    data = variant(drawings()[1], "jpeg 50 at 320")
    assert extract_colors(data) == extract_colors(data)


def test_the_ground_is_found_and_told_from_the_same_color_inside() -> None:
    svg = (
        '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100"><rect width="100" height="100" '
        'fill="#fff"/><rect x="10" y="10" width="80" height="80" fill="#2b3a8c"/>'
        '<rect x="40" y="40" width="20" height="20" fill="#fff"/></svg>'
    )
    for data in (svg.encode(), encoded(flattened(draw(svg, 300)), "JPEG", quality=80)):
        found = extract_colors(data)
        white = next(color for color in found.colors if color.hex == "#ffffff")
        assert found.ground == "#ffffff"
        assert white.share == pytest.approx(0.40, abs=0.005)
        assert white.ground_share == pytest.approx(0.36, abs=0.005)


def test_a_flag_that_fills_its_frame_has_no_ground() -> None:
    bands = "".join(
        f'<rect y="{20 * n}" width="100" height="20" fill="{c}"/>'
        for n, c in enumerate(["#123456", "#fedcba", "#778899"])
    )
    found = extract_colors(
        f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 60">{bands}</svg>'.encode()
    )
    assert found.ground is None
    assert [color.hex for color in found.colors] == ["#123456", "#778899", "#fedcba"] or len(
        found.colors
    ) == 3


def test_an_enlarged_drawing_gives_what_the_small_one_gives() -> None:
    small = flattened(draw(drawings()[4].svg, 120))
    large = small.resize((480, 480), resample=0)
    colors = [{c.hex for c in extract_colors(encoded(image, "PNG")).colors} for image in (small, large)]
    assert colors[0] == colors[1]


def test_a_photograph_gives_a_few_colors_and_the_small_vivid_one() -> None:
    generator = np.random.default_rng(7)
    rows = np.linspace(0, 1, 300)[:, None, None]
    sky = (1 - rows) * np.array([40, 60, 120]) + rows * np.array([210, 150, 120])
    picture = np.repeat(sky, 400, axis=1) + generator.normal(0, 6, (300, 400, 3))
    picture[180:195, 200:220] = np.array([250, 220, 30]) + generator.normal(0, 6, (15, 20, 3))
    from PIL import Image

    image = Image.fromarray(np.clip(picture, 0, 255).astype(np.uint8))
    found = extract_colors(encoded(image, "JPEG", quality=85))
    assert found.kind == "photographic"
    assert found.ground is None
    assert 3 <= len(found.colors) <= 8
    vivid = [
        color for color in found.colors if int(color.hex[1:3], 16) > 200 and int(color.hex[5:7], 16) < 110
    ]
    assert vivid
