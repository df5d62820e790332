"""Mends of one pair: it passes, the least visible first, held colours stay."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import replace

import pytest
from hypothesis import given, settings

from tests.sampling import examples
from tests.strategies import hexes
from tests.takes import FAILING, TAKE
from tonada.core.color.contrast import contrast_ratio, ratio_between
from tonada.core.color.spaces import hex_to_srgb8, hue_distance, srgb8_to_oklch
from tonada.core.color.wcag import CRITERIA, Usage
from tonada.core.errors import NotReachable, TakeError
from tonada.core.mends.nearest import mend_color
from tonada.core.mends.one_pair import mends_for_pair, reach_of
from tonada.core.pairs.evaluation import evaluate
from tonada.core.take.take import Origin, Pair, Role, Swatch, Take


@given(hexes, hexes)
@settings(max_examples=examples(60), deadline=None)
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
        assert pair.outcome == "passes"
        assert pair.ratio == mend.ratio >= CRITERIA["AA"][pair.usage].ratio
        after = {swatch.id: swatch.hex for swatch in mend.mended.swatches}
        assert {key: after[key] for key in held} == held


def test_where_the_text_can_t_get_there_the_ground_still_moves() -> None:
    """Nothing reaches 7 on this grey, but a lighter grey does under this black."""
    swatches = tuple(
        Swatch(key, key, value, False, Origin("typed", "typed"))
        for key, value in (("text", "#101010"), ("ground", "#7a7a7a"))
    )
    pair = Pair("pair", "text", "ground", Usage.BODY_TEXT, "Sample")
    take = Take(swatches=swatches, pairs=(pair,), level="AAA")
    moves = {mend.kind: mend for mend in mends_for_pair(take, "pair") if mend.kind.startswith("move")}
    assert set(moves) == {"move ground"}
    assert moves["move ground"].ratio >= 7


def test_least_visible_comes_first_and_breaking_others_last() -> None:
    mends = mends_for_pair(FAILING, "label-on-accent")
    keys = [(mend.breaks > 0, mend.difference) for mend in mends]
    assert keys == sorted(keys)
    moved = next(mend for mend in mends if mend.kind == "move text")
    before = {pair.id for pair in evaluate(FAILING).pairs if not pair.fails}
    after = {pair.id for pair in evaluate(moved.mended).pairs if not pair.fails}
    assert moved.breaks == len(before - after)
    # The others whose colours it changes; not the pair itself.
    colors = {pair.id: (pair.text_hex, pair.ground_hex) for pair in evaluate(moved.mended).pairs}
    others = [pair for pair in FAILING.pairs if pair.id != "label-on-accent"]
    assert moved.touches == sum(colors[pair.id] != FAILING.pair_colors(pair) for pair in others) > 0


def test_a_mend_says_what_it_moves_and_leaves_a_reason() -> None:
    mends = {mend.moved: mend for mend in mends_for_pair(FAILING, "label-on-accent")}
    assert list(mends)[:2] == ["Deep", "Primary"]
    step = mends["Accent to Accent darker 3"].mended.assignment(Role.ACCENT)
    assert (step.swatch, step.reason) == ("s3", "Moved to the nearest step that reads.")
    assert mends["Paper to Neutral 760"].mended.assignment(Role.PAPER).swatch == "n1"
    moved = mends["Paper"].mended
    (made,) = (one for one in moved.swatches if one not in FAILING.swatches)
    assert (made.id, made.name, made.held) == ("s8", "Pinkish grey", False)
    assert made.origin == Origin("mended", "mended so that Paper reads on Accent")
    assert (moved.assignment(Role.PAPER).swatch, moved.assignment(Role.PAPER).step) == ("s8", None)
    assert moved.assignment(Role.PAPER).reason == "Mended so that Paper reads on Accent."


def test_values_of_a_pair_move_in_the_pair_itself_and_its_size_counts() -> None:
    pair = Pair("own", "#999999", "#888888", Usage.BODY_TEXT, "A text", size=30)
    take = replace(TAKE, pairs=(*TAKE.pairs, pair))
    mends = {mend.kind: mend for mend in mends_for_pair(take, "own") if mend.kind.startswith("move")}
    # At 30 px it is large text, so that 3 is enough, and the nearest way goes no farther.
    assert all(3 <= mend.ratio < 3.1 for mend in mends.values())
    text, ground = mends["move text"], mends["move ground"]
    assert text.mended.pairs[-1] == replace(pair, text=text.text_hex)
    assert ground.mended.pairs[-1] == replace(pair, ground=ground.ground_hex)
    assert (text.ground_hex, ground.text_hex) == ("#888888", "#999999")
    assert text.mended.pairs[:-1] == TAKE.pairs


def test_what_could_be_reached_is_said_of_both_ends() -> None:
    reach = reach_of(FAILING, "label-on-accent")
    text, ground = FAILING.pair_colors(next(one for one in FAILING.pairs if one.id == "label-on-accent"))
    for reached, fixed in ((reach.text, ground), (reach.ground, text)):
        assert reached == max(ratio_between(fixed, end) for end in ("#000000", "#ffffff"))


@pytest.mark.parametrize("asks", [mends_for_pair, reach_of])
def test_a_pair_that_isn_t_there_can_t_be_mended(asks: Callable[[Take, str], object]) -> None:
    with pytest.raises(TakeError) as refused:
        asks(TAKE, "nothing-on-nothing")
    assert refused.value.field == "pair"
