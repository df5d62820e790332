"""Colours in CSS: worked examples of the standards, coloraide as oracle, and what is refused or left open."""

from __future__ import annotations

import pytest
from coloraide import Color
from hypothesis import given, settings
from hypothesis import strategies as st

from tests.sampling import examples
from tonada.core.color.css_values import Surroundings, color_of_text
from tonada.core.color.notation import as_screen_shows, read_color
from tonada.core.color.unknown import CannotTell, NotCss


def hex_of(text: str, around: Surroundings | None = None) -> str:
    return as_screen_shows(color_of_text(text, around or Surroundings())).hex


@pytest.mark.parametrize(
    ("text", "expected"),
    [
        ("hsl(231deg 53% 36%)", "#2b3a8c"),
        ("hsl(0.5turn 50% 50%)", "#40bfbf"),
        ("rgb(calc(40 + 3) 58 140)", "#2b3a8c"),
        ("rgb(min(43, 90) max(58, 1) clamp(0, 140, 255))", "#2b3a8c"),
        ("hsl(from red h s 80%)", "#ff9999"),
        ("rgb(from #2b3a8c b g r)", "#8c3a2b"),
        ("oklch(from #2b3a8c l c h)", "#2b3a8c"),
        ("color(from red srgb r g b)", "#ff0000"),
        ("color-mix(in srgb, red, blue)", "#800080"),
        ("color-mix(in srgb, red 25%, blue)", "#4000bf"),
        ("color-mix(in srgb, red, blue 25%)", "#bf0040"),
        ("light-dark(#2b3a8c, white)", "#2b3a8c"),
        ("color(display-p3 1 0 0)", "#ff0000"),
        ("lab(150% 0 0)", "#ffffff"),
        ("oklch(0.5 -0.1 200)", "#636363"),
        ("rgb(300 -20 0)", "#ff0000"),
    ],
)
def test_a_colour_comes_to_what_a_browser_paints(text: str, expected: str) -> None:
    assert hex_of(text) == expected
    assert read_color(text).hex == expected


def test_the_other_half_counts_by_night_and_current_is_the_text() -> None:
    assert hex_of("light-dark(white, #2b3a8c)", Surroundings("dark")) == "#2b3a8c"
    around = Surroundings(current=Color("#2b3a8c"))
    assert hex_of("color-mix(in srgb, currentColor, currentColor)", around) == "#2b3a8c"


def test_an_alpha_is_mixed_and_taken_over() -> None:
    assert color_of_text("color-mix(in srgb, red 30%, blue 20%)").alpha() == pytest.approx(0.5)
    assert color_of_text("rgb(from rgb(1 2 3 / 40%) r g b)").alpha() == pytest.approx(0.4)
    assert color_of_text("rgb(from rgb(1 2 3 / 40%) r g b / calc(alpha / 2))").alpha() == pytest.approx(0.2)


@pytest.mark.parametrize(
    "text",
    ["rgb(1 2)", "rgb(1,2,3%)", "rgb(1 2, 3)", "hsl(1,2,3)", "hwb(1,2%,3%)", "rgb(1deg 2 3)", "red blue",
     "hsl(10% 1% 1%)", "color(blue 1 1 1)", "color-mix(in nowhere, red, blue)", "blurple", "#12345", "url(x)",
     "color-mix(in srgb, red 0%, blue 0%)", "light-dark(red)", "rgb(calc(1 + 1%) 2 3)", "rgb(from red)"],
)  # fmt: skip
def test_what_no_browser_takes_is_no_colour(text: str) -> None:
    with pytest.raises(NotCss):
        color_of_text(text)


@pytest.mark.parametrize(
    "text", ["contrast-color(red)", "color(--own 1 1 1)", "rgb(sin(1) 2 3)", "currentColor", "CanvasText"]
)
def test_what_a_browser_would_know_and_we_don_t_is_left_open(text: str) -> None:
    with pytest.raises(CannotTell) as left:
        color_of_text(text)
    assert not isinstance(left.value, NotCss)


def test_nothing_nests_without_end() -> None:
    deep = "red"
    for _ in range(200):
        deep = f"color-mix(in srgb, {deep}, blue)"
    with pytest.raises(CannotTell, match="nested"):
        color_of_text(deep)


@settings(max_examples=examples(300))
@given(st.floats(0, 1), st.floats(0, 0.4), st.floats(0, 359), st.floats(0, 1))
def test_functions_agree_with_the_oracle(light: float, chroma: float, hue: float, alpha: float) -> None:
    text = f"oklch({light:.4f} {chroma:.4f} {hue:.2f} / {alpha:.3f})"
    ours, theirs = color_of_text(text), Color(text)
    assert ours.convert("srgb").coords() == pytest.approx(theirs.convert("srgb").coords(), abs=1e-9)
    assert ours.alpha() == pytest.approx(theirs.alpha())
