"""Brand colours that are made: a label reads on them, and they go with what is there."""

from __future__ import annotations

import pytest
from hypothesis import given, settings

from tests.sampling import examples
from tests.strategies import hexes
from tonada.core.color.contrast import ratio_between
from tonada.core.color.hue_rules import HUE_KEPT, NEUTRAL_BELOW, is_neutral
from tonada.core.color.spaces import difference_between, hex_to_oklch, hue_distance
from tonada.core.color.vibration import is_neon, vibrates
from tonada.core.roles.partners import ACCENT_APART, make_accent, make_lead, make_secondary
from tonada.core.roles.starts import FAMILY, STARTS, Start


@given(hexes)
@settings(max_examples=examples(60), deadline=None)
def test_partners_carry_a_label_are_told_apart_and_calm(primary: str) -> None:
    for start in STARTS:
        check_partners(primary, start)


def check_partners(primary: str, start: Start) -> None:
    secondary = make_secondary(primary, (), start)
    accent = make_accent(primary, (secondary.hex,), start)
    for made in (secondary, accent):
        assert max(ratio_between(made.hex, "#fafafa"), ratio_between(made.hex, "#262626")) >= 4.5
        assert made.reason.endswith(".")
        assert any(character.isdigit() for character in made.reason)
    assert difference_between(accent.hex, primary) >= ACCENT_APART
    assert not vibrates(accent.hex, primary)
    assert not is_neon(accent.hex)


@given(hexes)
@settings(max_examples=examples(60), deadline=None)
def test_nothing_strange_comes_in_unless_somebody_chooses_it(primary: str) -> None:
    _, chroma, hue = hex_to_oklch(primary)
    starts: tuple[Start, ...] = ("calm", "lively")
    for start in starts:
        secondary = make_secondary(primary, (), start)
        for made in (secondary, make_accent(primary, (secondary.hex,), start)):
            _, strong, angle = hex_to_oklch(made.hex)
            if chroma >= NEUTRAL_BELOW <= strong:
                assert float(hue_distance(hue, angle)) <= FAMILY + HUE_KEPT


@pytest.mark.parametrize("primary", ["#2b3a8c", "#5c2a1a", "#0b6e4f"])
def test_contrasting_is_opposite_of_a_dark_primary(primary: str) -> None:
    accent = make_accent(primary, (), "contrasting")
    hues = [hex_to_oklch(value)[2] for value in (primary, accent.hex)]
    assert float(hue_distance(*hues)) == pytest.approx(180, abs=3)


@pytest.mark.parametrize("primary", ["#c62828", "#ff0000", "#ff6f00"])
def test_where_the_opposite_vibrates_another_place_of_a_rule_is_taken(primary: str) -> None:
    accent = make_accent(primary, (), "contrasting")
    hues = [hex_to_oklch(value)[2] for value in (primary, accent.hex)]
    assert float(hue_distance(*hues)) < 170
    assert "calmer" in accent.reason


def test_a_lead_is_deeper_than_what_is_too_pale_and_of_its_hue() -> None:
    lead = make_lead("#fffbe0")
    assert ratio_between(lead.hex, "#ffffff") >= 7
    assert float(hue_distance(hex_to_oklch(lead.hex)[2], hex_to_oklch("#fffbe0")[2])) < 3
    assert is_neutral(make_lead("#ffffff").hex)
