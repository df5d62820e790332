"""Grounds: what elements use passes wherever it can; what is changed by hand stays, shows, and goes back."""

from __future__ import annotations

from dataclasses import replace
from itertools import combinations

import numpy as np
import pytest
from hypothesis import given, settings

from tests.sampling import examples
from tests.strategies import hexes
from tests.takes import TAKE, take_of
from tonada.core.color.contrast import contrast_ratio
from tonada.core.color.ramp import RampSettings
from tonada.core.color.spaces import delta_e_ok, hex_to_srgb8, hexes_to_srgb8, srgb8_to_oklab
from tonada.core.errors import TakeError
from tonada.core.mends.all_pairs import mend_all
from tonada.core.mends.one_pair import mends_for_pair
from tonada.core.pairs.evaluation import evaluate
from tonada.core.pairs.ground_pairs import with_ground_pairs, without_ground_pairs
from tonada.core.proof.chart_series import series_of
from tonada.core.proof.choices import needed_for
from tonada.core.proof.grounds import STANDARD_GROUNDS, Use, grounds_of, set_use
from tonada.core.proof.pages import PAGES, section_grounds, sections_of
from tonada.core.sight.vision import simulated_oklab
from tonada.core.take.proof_settings import TEXT_STYLES, Element, GroundSettings, ProofSettings, TextSize
from tonada.core.take.repoint import remove, set_ramp
from tonada.core.take.take import Role, Take


def use_of(take: Take, ground: str, element: Element) -> Use:
    here = next(one for one in grounds_of(take) if one.id == ground)
    return next(one for one in here.elements if one.element is element)


@given(hexes)
@settings(max_examples=examples(40), deadline=None)
def test_every_figure_of_any_palette_reads_on_every_ground_by_day_and_by_night(value: str) -> None:
    take = take_of(value)
    for scheme in (take, take.turned()):
        for ground in grounds_of(scheme):
            for one in ground.elements:
                text, over = hex_to_srgb8(one.hex), hex_to_srgb8(one.over)
                assert one.ratio == float(contrast_ratio(text, over))
                assert one.passes == (one.ratio >= one.needed)
                styles = [s for s in TEXT_STYLES if one.ratio >= needed_for(scheme, s).ratio]
                assert list(one.reads_in) == (styles if one.is_text else [])
                assert one.criterion == ("1.4.3" if one.is_text else "1.4.11")
                # Where the ground itself allows no colour of the palette to reach it, the best is used.
                assert one.passes or one.ratio >= 3, (ground.id, one.element)


def test_a_take_has_the_grounds_of_its_roles_with_every_figure() -> None:
    found = grounds_of(TAKE)
    assert [one.id for one in found] == list(STANDARD_GROUNDS)
    assert all({one.element for one in ground.elements} == set(Element) for ground in found)
    assert use_of(TAKE, "primary", Element.HEADING).key == "accent"
    assert use_of(TAKE, "paper", Element.BUTTON).key == "primary"
    assert use_of(TAKE, "deep", Element.TEXT).key == "paper"


def test_a_label_is_measured_on_its_button_and_the_button_on_the_ground() -> None:
    face, label = use_of(TAKE, "primary", Element.BUTTON), use_of(TAKE, "primary", Element.LABEL)
    assert label.over == face.hex
    assert face.over == TAKE.hex_of(Role.PRIMARY)


def test_smaller_headings_and_a_higher_level_ask_for_more() -> None:
    large = {style: TextSize(32, 700) for style in ("h1", "h2", "h3")}
    only_large = replace(TAKE, proof=ProofSettings(sizes=tuple(large.items())))
    assert use_of(TAKE, "paper", Element.HEADING).needed == 4.5
    assert use_of(only_large, "paper", Element.HEADING).needed == 3
    enhanced = replace(TAKE, level="AAA")
    assert use_of(enhanced, "primary", Element.TEXT).needed == 7
    assert use_of(enhanced, "primary", Element.HEADING).key != "accent"


def test_what_is_chosen_by_hand_departs_from_the_rule_and_can_be_given_back() -> None:
    changed = set_use(TAKE, "mist", Element.TEXT, "accent")
    now = use_of(changed, "mist", Element.TEXT)
    assert (now.key, now.by_rule, now.changed, now.passes) == ("accent", "ink", True, False)
    assert set_use(changed, "mist", Element.TEXT, None) == TAKE
    with pytest.raises(TakeError):
        set_use(TAKE, "mist", Element.TEXT, "nobody")


def test_a_figure_that_falls_short_is_a_pair_that_can_be_mended() -> None:
    changed = set_use(TAKE, "mist", Element.TEXT, "accent")
    failing = {one.id for one in evaluate(changed).pairs if one.short_by > 0}
    assert failing - {one.id for one in evaluate(TAKE).pairs if one.short_by > 0} == {"ground:mist:text"}
    mends = mends_for_pair(changed, "ground:mist:text")
    assert mends
    for mend in mends:
        after = use_of(mend.mended, "mist", Element.TEXT)
        assert after.passes
        assert len(mend.mended.pairs) == len(TAKE.pairs)
    other = next(one for one in mends if one.kind == "change role")
    assert other.mended.grounds[0].uses[0][0] is Element.TEXT


def test_mending_all_leaves_no_made_pair_in_the_take() -> None:
    changed = set_use(TAKE, "mist", Element.LINE, "muted")
    mended = mend_all(replace(changed, level="AAA"))
    assert not any(one.id.startswith("ground:") for one in mended.take.pairs)
    assert without_ground_pairs(with_ground_pairs(changed)) == changed


def test_a_colour_that_goes_takes_no_figure_with_it() -> None:
    swatch = TAKE.assignment(Role.SECONDARY).swatch
    changed = set_use(set_use(TAKE, "paper", Element.LINK, f"{swatch}/4"), "paper", Element.LINE, swatch)
    fewer = set_ramp(changed, swatch, RampSettings("even", 5))
    assert use_of(fewer, "paper", Element.LINK).changed
    gone = remove(changed, swatch, (TAKE.assignment(Role.PRIMARY).swatch, None))
    assert use_of(gone, "paper", Element.LINE).hex == TAKE.hex_of(Role.PRIMARY)
    dangling = replace(TAKE, grounds=(GroundSettings("paper", uses=((Element.TEXT, "s99"),)),))
    assert not use_of(dangling, "paper", Element.TEXT).changed


def test_own_grounds_come_last_and_by_night_there_are_others() -> None:
    own = replace(
        TAKE, grounds=(GroundSettings("ground-1", "Sand", "#e9dcc3"), GroundSettings("gone", "Gone", "s99"))
    )
    assert [one.name for one in grounds_of(own)][-1] == "Sand"
    assert all(one.passes for one in grounds_of(own)[-1].elements)
    assert "Sand" not in [one.name for one in grounds_of(own.turned())]
    assert own.turned().turned() == own


@given(hexes, hexes)
@settings(max_examples=examples(25), deadline=None)
def test_series_clear_their_ground_and_start_with_primary(first: str, second: str) -> None:
    take = take_of(first, second)
    ground = take.hex_of(Role.PAPER)
    values = [take.color_of(key) for key in series_of(take, ground)]
    assert values
    assert len(set(values)) == len(values)
    assert all(contrast_ratio(hex_to_srgb8(one), hex_to_srgb8(ground)) >= 3 for one in values)


def test_series_are_told_apart_by_all_eyes() -> None:
    colors = hexes_to_srgb8([TAKE.color_of(key) for key in series_of(TAKE, TAKE.hex_of(Role.PAPER))])
    seen = [srgb8_to_oklab(colors), *(simulated_oklab(colors, s) for s in ("protan", "deutan", "tritan"))]
    apart = min(
        float(delta_e_ok(lab[a], lab[b])) for lab in seen for a, b in combinations(range(len(colors)), 2)
    )
    assert len(colors) == 5
    assert apart > 0.06
    # The greedy choice is within half of the best of many random ones.
    assert apart > 0.5 * _best_of_random(TAKE)


def _best_of_random(take: Take) -> float:
    random = np.random.default_rng(7)
    ground = hex_to_srgb8(take.hex_of(Role.PAPER))
    keys = [f"{s.id}/{n + 1}" for s in take.swatches[:3] for n in range(11)]
    colors = hexes_to_srgb8([take.color_of(key) for key in keys])
    colors = colors[contrast_ratio(colors, ground) >= 3]
    eyes = [srgb8_to_oklab(colors), *(simulated_oklab(colors, s) for s in ("protan", "deutan", "tritan"))]
    best = 0.0
    for _ in range(2000):
        rows = random.choice(len(colors), 5, replace=False)
        gaps = [np.linalg.norm(lab[rows][:, None] - lab[rows][None], axis=-1) for lab in eyes]
        best = max(best, min(float(gap[np.triu_indices(5, 1)].min()) for gap in gaps))
    return best


def test_sections_stand_where_they_were_put_and_else_on_a_ground_that_is_there() -> None:
    there = {one.id: one.hex for one in grounds_of(TAKE)}
    usual = {(page, part): ground for page, part, ground in section_grounds(TAKE, there, "observatory")}
    assert len(usual) == sum(len(sections_of(page, "observatory")) for page in PAGES)
    assert usual["home", "opening"] == "primary"
    moved = replace(TAKE, proof=ProofSettings(sections=(("home", "opening", "deep"),)))
    assert {(p, s): g for p, s, g in section_grounds(moved, there, "observatory")}[
        "home", "opening"
    ] == "deep"
    assert {ground for _, _, ground in section_grounds(TAKE, {"mist": "#e2e7f4"}, "hall")} == {"mist"}
    assert section_grounds(TAKE, {}, "hall") == ()
