"""Nights that keep the brand: fills stay, what is written on the dark ground is lifted."""

from __future__ import annotations

from dataclasses import replace
from itertools import combinations

import pytest
from hypothesis import given
from hypothesis import strategies as st

from tests.strategies import hexes
from tests.takes import take_of
from tonada.core.color.contrast import ratio_between
from tonada.core.color.hue_rules import HUE_KEPT, NEUTRAL_BELOW
from tonada.core.color.spaces import difference_between, hex_to_oklch
from tonada.core.color.vibration import vibrates
from tonada.core.color.wcag import ENHANCED_RATIO, TEXT_RATIO, Level
from tonada.core.errors import TakeError
from tonada.core.mends.all_pairs import mend_all
from tonada.core.mends.one_pair import mends_for_pair
from tonada.core.pairs.evaluation import evaluate
from tonada.core.proof.arranging import stand_on
from tonada.core.proof.grounds import grounds_of
from tonada.core.proof.pages import HOME, PAGES, section_grounds, sections_of
from tonada.core.proof.paints import paints_of
from tonada.core.roles.brand import Candidate
from tonada.core.roles.giving import give_role, set_text_color, swap_roles
from tonada.core.roles.proposal import propose_roles
from tonada.core.roles.suggest import derive_night
from tonada.core.take.color_choices import color_choices
from tonada.core.take.key import text_key
from tonada.core.take.repoint import set_ramp
from tonada.core.take.take import Role, Take

MAROON = "#7a1f3d"
BRAND = (Role.PRIMARY, Role.SECONDARY, Role.ACCENT)
GROUNDS = (Role.PAPER, Role.MIST)


def proposed(value: str, level: Level) -> Take:
    return propose_roles((Candidate(value, 1.0),), "list", level).take


@given(st.lists(hexes, min_size=1, max_size=4, unique=True))
def test_by_night_the_fills_stay_and_everything_passes(values: list[str]) -> None:
    day = take_of(*values)
    night = day.turned()
    for role in BRAND:
        assert night.hex_of(role) == day.hex_of(role)
        fill = hex_to_oklch(day.hex_of(role))[1]
        lifted = hex_to_oklch(night.color_of(night.text_key_of(role)))[1]
        # A light step may have less, where sRGB has no more; neon it never is.
        assert fill < NEUTRAL_BELOW or lifted <= 1.2 * fill
    for one, other in combinations(BRAND, 2):
        by_night = night.hex_of(one), night.hex_of(other)
        by_day = day.hex_of(one), day.hex_of(other)
        assert difference_between(*by_night) >= min(0.06, difference_between(*by_day))
        assert not vibrates(*by_night) or vibrates(*by_day)
    for take in (day, night):
        assert not any(pair.fails for pair in evaluate(take).pairs)
        assert all(use.passes for ground in grounds_of(take) for use in ground.elements)
    for ground in GROUNDS:
        _, chroma, hue = hex_to_oklch(night.hex_of(ground))
        # The hue is Primary's, but for what rounding to 8 bits turns it by.
        assert chroma < 0.012 or 190 - HUE_KEPT < hue < 330 + HUE_KEPT


@given(hexes, st.sampled_from(["AA", "AAA"]))
def test_what_a_role_is_as_text_reads_on_the_page(value: str, level: str) -> None:
    day = proposed(value, level=level)
    needed = ENHANCED_RATIO if level == "AAA" else TEXT_RATIO
    for take in (day, day.turned()):
        for role in BRAND:
            reads = [
                ratio_between(take.color_of(key), take.hex_of(ground)) >= needed
                for key in (take.text_key_of(role),)
                for ground in GROUNDS
            ]
            ramp = take.ramp(take.assignment(role).swatch).hexes
            best = max(min(ratio_between(one, take.hex_of(ground)) for ground in GROUNDS) for one in ramp)
            assert all(reads) or best < needed
            # Where the colour itself reads, it is written in.
            own = min(ratio_between(take.hex_of(role), take.hex_of(ground)) for ground in GROUNDS)
            assert (own >= needed) <= (take.assignment(role).text_step is None)


def test_a_held_fill_is_called_held_and_the_link_and_heading_are_lifted() -> None:
    night = take_of(MAROON, "#d4a017").turned()
    assert night.hex_of(Role.PRIMARY) == MAROON
    assert night.assignment(Role.PRIMARY).reason.startswith("Held, so the fill stays")
    heading = next(pair for pair in night.pairs if pair.id == "primary-on-paper")
    assert heading.text == "primary/text"
    assert night.display_name("primary/text") == "Primary as text"
    assert "primary/text" in {choice.key for choice in color_choices(night)}


def test_a_yellow_brand_keeps_its_button_by_day_and_has_a_dark_link() -> None:
    day = take_of("#ffd800")
    assert day.hex_of(Role.PRIMARY) == "#ffd800"
    lightness, _, hue = hex_to_oklch(day.color_of("primary/text"))
    assert lightness < 0.6
    assert 60 < hue < 110
    assert day.turned().assignment(Role.PRIMARY).text_step is None


def test_stars_shine_by_night_too() -> None:
    night = take_of(MAROON).turned()
    light = next(paint for paint in paints_of(night) if paint.name == "light")
    assert light.key == Role.INK
    assert ratio_between(light.hex, night.hex_of(Role.DEEP)) > 7


HOME_PAGE = next(page for page in PAGES if page.id == HOME)


def test_a_light_fill_is_no_slab_by_night_but_its_style_page_and_what_was_chosen_stay() -> None:
    yellow = Candidate("#ffd800", 0.5, Role.PRIMARY), Candidate("#2b3a8c", 0.5)
    day = propose_roles(yellow).take
    night = day.turned()
    there = {ground.id: ground.hex for ground in grounds_of(night)}

    def ground_of(take: Take, page: str, section: str) -> str:
        grounds = section_grounds(take, there, "observatory")
        return next(ground for one, part, ground in grounds if (one, part) == (page, section))

    light = next(role for role in BRAND if night.hex_of(role) == "#ffd800")
    sections = [part for part in sections_of(HOME_PAGE, "observatory") if part.ground == light]
    assert sections
    for part in sections:
        assert ground_of(day, "home", part.id) == light
        assert ground_of(night, "home", part.id) == Role.MIST
        chosen = stand_on(night, "home", {part.id: str(light)})
        assert ground_of(chosen, "home", part.id) == light
    assert ground_of(night, "style", f"on-{light}") == light
    dark = take_of(MAROON).turned()
    assert ground_of(dark, "home", "opening") == Role.PRIMARY


def test_at_aaa_a_fill_on_which_no_text_reads_moves_as_little_as_it_can() -> None:
    day = proposed("#777777", level="AAA")
    free = replace(day, swatches=tuple(replace(swatch, held=False) for swatch in day.swatches))
    night = derive_night(free)[0].turned()
    before, after = day.hex_of(Role.PRIMARY), night.hex_of(Role.PRIMARY)
    assert after != before
    assert "nearest step" in night.assignment(Role.PRIMARY).reason
    assert max(ratio_between(after, one) for one in ("#ffffff", "#000000")) >= ENHANCED_RATIO


def test_the_text_colour_is_chosen_by_hand_and_follows_its_ramp() -> None:
    night = take_of(MAROON).turned()
    lighter = set_text_color(night, Role.PRIMARY, 2)
    assert lighter.color_of("primary/text") == lighter.value_at("s1", 2)
    finer = set_ramp(lighter, "s1", replace(lighter.swatch("s1").ramp, steps=21))
    assert difference_between(finer.color_of("primary/text"), lighter.color_of("primary/text")) < 0.04
    itself = set_text_color(night, Role.PRIMARY, None)
    assert itself.color_of("primary/text") == MAROON
    for role, step in ((Role.PRIMARY, 99), ("own-nothing", 1)):
        with pytest.raises(TakeError):
            set_text_color(night, role, step)


def test_a_role_on_another_colour_is_written_in_a_step_of_that() -> None:
    night = take_of(MAROON, "#14342b", "#d4a017").turned()
    for moved in (
        give_role(night, Role.PRIMARY, ("s2", None)),
        swap_roles(night, Role.PRIMARY, Role.SECONDARY),
    ):
        assert moved.owner_of("primary/text")[0] == moved.assignment(Role.PRIMARY).swatch
        assert min(ratio_between(moved.color_of("primary/text"), moved.hex_of(one)) for one in GROUNDS) >= 4.5


def dimmed() -> Take:
    """A night whose heading is written in a step that is too dark."""
    night = take_of(MAROON).turned()
    roles = tuple(replace(one, text_step=8) if one.role == Role.PRIMARY else one for one in night.roles)
    pairs = tuple(
        replace(one, text="primary/text") if one.id.startswith("primary-on-") else one for one in night.pairs
    )
    return replace(night, roles=roles, pairs=pairs)


def test_mends_move_the_text_and_leave_the_fill() -> None:
    take = dimmed()
    offered = [mend for mend in mends_for_pair(take, "primary-on-paper") if mend.kind == "change step"]
    assert offered
    for mend in offered:
        assert mend.mended.hex_of(Role.PRIMARY) == MAROON or mend.mended.hex_of(Role.PAPER) != take.hex_of(
            Role.PAPER
        )
    whole = mend_all(take)
    assert whole.take.hex_of(Role.PRIMARY) == MAROON
    assert not any(pair.fails for pair in evaluate(whole.take).pairs if pair.id.startswith("primary-on-"))


def test_the_key_of_a_text_is_known_only_with_its_role() -> None:
    take = take_of(MAROON)
    with pytest.raises(TakeError):
        take.color_of(text_key("own-nothing"))
