"""The circles that rules turn on: what stands opposite what, and that every hue has one place."""

from __future__ import annotations

import pytest
from hypothesis import given
from hypothesis import strategies as st

from tonada.core.color.circles import CIRCLES, Circle, angle_between, from_circle, on_circle, turned
from tonada.core.color.hue_rules import color_at, partners
from tonada.core.color.naming import term_of
from tonada.core.color.spaces import hex_to_oklch, hue_distance

RED, YELLOW, GREEN, CYAN, BLUE, MAGENTA = (
    hex_to_oklch(value)[2] for value in ("#ff0000", "#ffff00", "#00ff00", "#00ffff", "#0000ff", "#ff00ff")
)
ORANGE, VIOLET = hex_to_oklch("#ff8c00")[2], hex_to_oklch("#9b00ff")[2]


@given(st.floats(0, 360), st.sampled_from(list(CIRCLES)))
def test_every_hue_has_one_place_on_every_circle(hue: float, circle: Circle) -> None:
    assert float(hue_distance(from_circle(on_circle(hue, circle), circle), hue)) < 1e-6
    assert 0 <= on_circle(hue, circle) < 360 + 1e-9
    assert float(hue_distance(turned(hue, 360, circle), hue)) < 1e-6


@given(st.floats(0, 359), st.floats(0.1, 30), st.sampled_from(list(CIRCLES)))
def test_a_circle_never_turns_back(hue: float, more: float, circle: Circle) -> None:
    assert 0 < angle_between(hue, hue + more, circle) < 180


@pytest.mark.parametrize(("one", "other"), [(RED, CYAN), (YELLOW, BLUE), (GREEN, MAGENTA)])
def test_on_the_circle_of_light_what_mixes_to_white_is_opposite(one: float, other: float) -> None:
    assert angle_between(one, other, "light") == pytest.approx(180, abs=0.6)


@pytest.mark.parametrize(("one", "other"), [(ORANGE, BLUE), (RED, GREEN), (YELLOW, VIOLET)])
def test_on_the_painter_s_circle_painters_complements_are_opposite(one: float, other: float) -> None:
    assert angle_between(one, other, "painter") == pytest.approx(180, abs=14)


@pytest.mark.parametrize(
    ("value", "circle", "term"),
    [
        ("#0050d0", "painter", "orange"),
        ("#c8102e", "painter", "green"),
        ("#d01010", "light", "turquoise"),
        ("#6a2a9c", "painter", "yellow"),
    ],
)
def test_a_rule_turns_on_the_circle_that_is_chosen(value: str, circle: Circle, term: str) -> None:
    (_, opposite) = partners(value, "complementary", circle=circle)
    hue = hex_to_oklch(opposite[0])[2]
    lightness = {"yellow": 0.9, "turquoise": 0.75}.get(term, 0.7)
    assert term_of(color_at(lightness, 0.14, hue)) == term


def test_the_perceptual_circle_is_the_hue_itself() -> None:
    assert turned(100, 150) == 250
    assert angle_between(350, 20) == 30
