"""A take evaluated: pairs, verdicts, shares."""

from __future__ import annotations

from collections import Counter
from dataclasses import replace

import pytest

from tests.takes import FAILING, TAKE
from tonada.core.color.contrast import contrast_ratio, ratio_length
from tonada.core.color.spaces import hex_to_srgb8
from tonada.core.color.wcag import Usage, verdict_of
from tonada.core.pairs.evaluation import evaluate
from tonada.core.take.take import Pair, Role, Take


def test_failing_pairs_come_first_the_weakest_at_the_head() -> None:
    pairs = evaluate(FAILING).pairs
    assert pairs[0].id == "label-on-accent"
    assert [pair.fails for pair in pairs] == sorted((pair.fails for pair in pairs), reverse=True)


def test_figures_agree_with_the_standard_and_with_each_other() -> None:
    for pair in evaluate(FAILING).pairs:
        ratio = float(contrast_ratio(hex_to_srgb8(pair.text_hex), hex_to_srgb8(pair.ground_hex)))
        assert pair.ratio == ratio
        assert (pair.outcome == "passes") == (ratio >= pair.needed) == (pair.verdict != "fail")
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


@pytest.mark.parametrize("usage", [Usage.DECORATION, Usage.DISABLED, Usage.LOGOTYPE])
def test_an_excepted_pair_neither_passes_nor_fails(usage: Usage) -> None:
    pair = Pair("p", "#777777", "#777777", usage, "x")
    figures = evaluate(replace(FAILING, pairs=(pair,)))
    assert figures.failing == 0
    one = figures.pairs[0]
    assert (one.outcome, one.verdict, one.short_by) == ("exempt", "exempt", 0)


def test_every_count_agrees_with_the_outcomes_and_what_is_exempt_is_not_judged() -> None:
    decoration = Pair("ornament", "primary", "paper", Usage.DECORATION, "an ornament")
    found = evaluate(replace(FAILING, pairs=(*FAILING.pairs, decoration)))
    outcomes = Counter(pair.outcome for pair in found.pairs)
    counts = found.counts
    assert counts.exempt == 1
    assert (counts.passes, counts.fails, counts.exempt, counts.unknown) == tuple(
        outcomes[name] for name in ("passes", "fails", "exempt", "unknown")
    )
    assert counts.judged == counts.passes + counts.fails == len(found.pairs) - 1
    assert counts.fails == found.failing > 0
    assert all((pair.short_by > 0) == pair.fails for pair in found.pairs)
