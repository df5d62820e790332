"""What people write for a colour, read as CSS Color 4 reads it and a little more."""

from __future__ import annotations

import numpy as np
import pytest
from coloraide import Color
from hypothesis import given
from hypothesis import strategies as st

from tonada.core.color.notation import parse_color, read_color
from tonada.core.errors import ColorError


@pytest.mark.parametrize(
    ("text", "expected", "alpha"),
    [
        pytest.param("#2b3a8c", "#2b3a8c", 1, id="hex"),
        pytest.param("2B3A8C", "#2b3a8c", 1, id="hex without its mark, in capitals"),
        pytest.param("#fff", "#ffffff", 1, id="three digits"),
        pytest.param("rgb(43 58 140)", "#2b3a8c", 1, id="rgb with spaces"),
        pytest.param("rgba(43, 58, 140, 0.5)", "#2b3a8c", 0.5, id="rgba with commas"),
        pytest.param("hsl(231 53% 36%)", "#2b3a8c", 1, id="hsl"),
        pytest.param("rebeccapurple", "#663399", 1, id="a name"),
        pytest.param("transparent", "#000000", 0, id="transparent"),
        pytest.param("oklch(none 0 0)", "#000000", 1, id="none counts as 0"),
        pytest.param("43 58 140", "#2b3a8c", 1, id="bare decimals"),
        pytest.param("43, 58,140", "#2b3a8c", 1, id="bare decimals with commas"),
        pytest.param("hwb(231 17% 45%)", "#2b3a8c", 1, id="hwb"),
    ],
)
def test_css_notations_are_read(text: str, expected: str, alpha: float) -> None:
    assert parse_color(text) == (expected, pytest.approx(alpha))


@given(st.floats(0.05, 0.95), st.floats(0, 0.4), st.floats(0, 359))
def test_colors_outside_the_gamut_are_clipped_as_an_srgb_screen_shows_them(
    lightness: float, chroma: float, hue: float
) -> None:
    text = f"oklch({lightness:.4f} {chroma:.4f} {hue:.2f})"
    fitted = np.clip(Color(text).convert("srgb").coords(), 0, 1)
    ours = np.frombuffer(bytes.fromhex(parse_color(text)[0][1:]), np.uint8)
    assert np.abs(ours - np.array(fitted) * 255).max() <= 1


@pytest.mark.parametrize(
    "text", ["", "#12345", "blurple", "rgb(1 2)", "url(x)", "#2b3a8c; }", "9" * 5000, "256 0 0", "1 2"]
)
def test_what_is_no_color_is_refused_with_its_field(text: str) -> None:
    with pytest.raises(ColorError) as refused:
        parse_color(text, field="ground")
    assert refused.value.field == "ground"
    assert len(str(refused.value)) < 200


def test_no_color_at_all_is_said_to_be_missing() -> None:
    with pytest.raises(ColorError, match=r"The colour is missing. Write it as #2b3a8c"):
        parse_color("  ", field="text")


def test_what_was_understood_is_told() -> None:
    assert read_color("43 58 140").notation == "decimals"
    assert read_color("Teal").notation == "name"
    assert read_color("abc").notation == "hex"
    wide = read_color("color(display-p3 0 1 0)")
    assert (wide.notation, wide.mapped) == ("function", True)
    assert not read_color("rgb(0 255 0)").mapped
