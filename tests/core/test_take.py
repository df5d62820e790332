"""The take as a value, its evaluation, its mends and its stylesheet."""

from __future__ import annotations

from dataclasses import replace
from typing import Any

import pytest
import tinycss2
from hypothesis import given, settings

from tests.strategies import hexes
from tonada.core.build import build_take
from tonada.core.color import hex_to_srgb8, hue_distance, srgb8_to_oklch
from tonada.core.contrast import NEEDED, Usage, contrast_ratio, ratio_length
from tonada.core.errors import NotReachable, TakeError
from tonada.core.evaluation import evaluate, verdict_of
from tonada.core.formats.css import write_css
from tonada.core.mend import mends_for_pair
from tonada.core.nearest import mend_color
from tonada.core.palette import Assignment, Origin, Pair, Role, Swatch, Take
from tonada.core.proposal import propose_roles
from tonada.core.recolor import change_pair_text, recolor
from tonada.core.roles import Candidate
from tonada.core.sheet import Options, sheet_of

TYPED = Origin("typed", "typed by hand")


def css_of(take: Take, *, title: str) -> str:
    options = Options(night=False)
    return write_css(sheet_of(take, options, title=title), options)


def take_of(*values: str) -> Take:
    candidates = tuple(Candidate(value, 1 / (row + 1)) for row, value in enumerate(values))
    return build_take(candidates, propose_roles(candidates), source=None, source_name="a list")


TAKE = take_of("#2b3a8c", "#b6653a", "#d7b13c")
FAILING = change_pair_text(TAKE, "label-on-accent", Role.PAPER)


def test_failing_pairs_come_first_the_weakest_at_the_head() -> None:
    pairs = evaluate(FAILING).pairs
    assert pairs[0].id == "label-on-accent"
    assert [pair.passes for pair in pairs] == sorted(pair.passes for pair in pairs)


def test_figures_agree_with_the_standard_and_with_each_other() -> None:
    for pair in evaluate(FAILING).pairs:
        ratio = float(contrast_ratio(hex_to_srgb8(pair.text_hex), hex_to_srgb8(pair.ground_hex)))
        assert pair.ratio == ratio
        assert pair.passes == (ratio >= pair.needed) == (pair.verdict != "fail")
        assert pair.short_by == pytest.approx(max(0.0, pair.needed - ratio))
        assert abs(pair.text_position - pair.ground_position) == pytest.approx(ratio_length(ratio))
        assert pair.bracket_end - pair.bracket_start == pytest.approx(ratio_length(pair.needed))
        assert pair.ground_position in (pair.bracket_start, pair.bracket_end)


def test_shares_are_together_one_and_by_role() -> None:
    cells = evaluate(TAKE).measure
    assert sum(one.share for one in cells) == pytest.approx(1)
    assert max(cells, key=lambda one: one.share).roles == (Role.PAPER,)
    assert {role for one in cells for role in one.roles} == {one.role for one in TAKE.roles}


def test_an_empty_take_has_nothing_to_evaluate() -> None:
    empty = evaluate(Take())
    assert (empty.swatches, empty.pairs, empty.failing) == ((), (), 0)


def test_a_higher_level_asks_for_more() -> None:
    assert evaluate(replace(FAILING, level="AAA")).failing > evaluate(FAILING).failing


def test_a_part_never_gets_more_than_aa() -> None:
    assert verdict_of(21, Usage.PART) == "AA"
    assert verdict_of(2.999, Usage.PART) == "fail"


SWATCH = Swatch("s1", "Indigo", "#2b3a8c", False, TYPED)


@pytest.mark.parametrize(
    ("parts", "field"),
    [
        pytest.param({"swatches": (replace(SWATCH, hex="#2B3A8C"),)}, "swatches.0.hex", id="hex in capitals"),
        pytest.param({"swatches": (SWATCH, SWATCH)}, "swatches", id="an id twice"),
        pytest.param({"roles": (Assignment(Role.INK, "s9", ""),)}, "roles.0.swatch", id="role of nothing"),
        pytest.param(
            {"swatches": (SWATCH,), "roles": (Assignment(Role.INK, "s1", ""),) * 2},
            "roles.1.role",
            id="role twice",
        ),
        pytest.param(
            {"pairs": (Pair("p", Role.INK, Role.PAPER, Usage.LINK, ""),)},
            "pairs.0.text",
            id="pair of no role",
        ),
    ],
)
def test_a_take_that_contradicts_itself_is_refused(parts: dict[str, Any], field: str) -> None:
    with pytest.raises(TakeError) as refused:
        Take(**parts)
    assert refused.value.field == field


def test_two_pairs_with_one_id_are_refused() -> None:
    with pytest.raises(TakeError):
        replace(TAKE, pairs=(TAKE.pairs[0], TAKE.pairs[0]))


@given(hexes, hexes)
@settings(max_examples=60, deadline=None)
def test_a_mended_color_reaches_its_ratio_and_keeps_its_hue(moving: str, fixed: str) -> None:
    try:
        value, difference = mend_color(moving, fixed, 4.5)
    except NotReachable as refusal:
        pytest.fail(f"4.5 can be reached on every ground: {refusal}")
    assert float(contrast_ratio(hex_to_srgb8(value), hex_to_srgb8(fixed))) >= 4.5
    before, after = srgb8_to_oklch(hex_to_srgb8(moving)), srgb8_to_oklch(hex_to_srgb8(value))
    if before[1] >= 0.02 and after[1] > 1e-6:
        assert float(hue_distance(before[2], after[2])) <= 2
    if before[1] < 0.02:
        assert after[1] < 0.02
    assert difference >= 0


def test_a_pair_that_passes_is_left_alone() -> None:
    assert mend_color("#000000", "#ffffff", 7) == ("#000000", 0.0)
    assert mends_for_pair(TAKE, "ink-on-paper") == ()


def test_what_can_t_be_reached_says_what_can() -> None:
    with pytest.raises(NotReachable) as refused:
        mend_color("#808080", "#777777", 7)
    assert refused.value.best == pytest.approx(4.69, abs=0.01)


def test_every_mend_makes_its_pair_pass_and_held_colors_stay() -> None:
    held = {swatch.id: swatch.hex for swatch in FAILING.swatches if swatch.held}
    mends = mends_for_pair(FAILING, "label-on-accent")
    assert {mend.kind for mend in mends} == {"change role", "move text", "change step", "use step"}
    for mend in mends:
        pair = next(one for one in evaluate(mend.mended).pairs if one.id == "label-on-accent")
        assert pair.passes
        assert pair.ratio == mend.ratio >= NEEDED["AA"][pair.usage]
        after = {swatch.id: swatch.hex for swatch in mend.mended.swatches}
        assert {key: after[key] for key in held} == held


def test_least_visible_comes_first_and_breaking_others_last() -> None:
    mends = mends_for_pair(FAILING, "label-on-accent")
    keys = [(mend.breaks > 0, mend.difference) for mend in mends]
    assert keys == sorted(keys)
    moved = next(mend for mend in mends if mend.kind == "move text")
    before = {pair.id for pair in evaluate(FAILING).pairs if pair.passes}
    after = {pair.id for pair in evaluate(moved.mended).pairs if pair.passes}
    assert moved.breaks == len(before - after)
    assert moved.touches > 0


def test_a_pair_that_isn_t_there_can_t_be_mended() -> None:
    with pytest.raises(TakeError):
        mends_for_pair(TAKE, "nothing-on-nothing")


def test_recoloring_a_swatch_moves_all_that_points_at_it() -> None:
    link = TAKE.swatch_of(Role.LINK)
    assert link is not None
    moved = recolor(TAKE, link.id, "#101010", "by a test")
    assert all(moved.hex_of(role) == "#101010" for role in TAKE.roles_of(link.id))


def test_the_stylesheet_reads_back_as_the_same_colors() -> None:
    hostile = replace(TAKE.swatches[0], name="*/ } body { color: red")
    take = replace(TAKE, swatches=(hostile, *TAKE.swatches[1:]))
    rules = [
        r for r in tinycss2.parse_stylesheet(css_of(take, title="Peak */ x")) if r.type == "qualified-rule"
    ]
    assert len(rules) == 1
    declared = tinycss2.parse_blocks_contents(rules[0].content, skip_comments=True, skip_whitespace=True)
    values = {one.lower_name: tinycss2.serialize(one.value).split("/*")[0].strip() for one in declared}
    assert values == {f"--{one.role}": take.hex_of(one.role) for one in take.roles}


def test_swatches_without_a_role_get_a_property_of_their_own() -> None:
    extra = (Swatch("s90", "Paper", "#123456", False, TYPED), Swatch("s91", "—", "#654321", False, TYPED))
    text = css_of(replace(TAKE, swatches=TAKE.swatches + extra), title="x")
    assert "--paper-s90: #123456;" in text
    assert "--s91: #654321;" in text
