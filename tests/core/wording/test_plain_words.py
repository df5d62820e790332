"""A palette in words for people who don't make websites."""

from __future__ import annotations

from dataclasses import replace

from hypothesis import given, settings
from hypothesis import strategies as st

from tests.sampling import examples
from tests.strategies import hexes
from tests.takes import TYPED, take_of
from tonada.core.color.contrast import ratio_between
from tonada.core.color.wcag import TEXT_RATIO
from tonada.core.pairs.evaluation import evaluate
from tonada.core.take.take import Role, Swatch
from tonada.core.wording.plain_words import USED_FOR, plain_colors


def test_every_role_has_a_use_in_plain_words() -> None:
    assert set(USED_FOR) == set(Role)
    assert len(set(USED_FOR.values())) == len(USED_FOR)


def test_what_leads_comes_first_and_says_so() -> None:
    first = plain_colors(evaluate(take_of("#2b3a8c", "#d7b13c")))[0]
    assert (first.hex, first.label) == ("#2b3a8c", "#ffffff")
    assert first.used_for.startswith("The leading colour: large areas, main buttons")


def test_a_colour_without_a_role_is_told_last() -> None:
    take = take_of("#2b3a8c", "#d7b13c")
    bare = replace(take, swatches=(*take.swatches, Swatch("s99", "Rust", "#7a3b12", False, TYPED)))
    told = plain_colors(evaluate(bare))
    assert (told[-1].hex, told[-1].used_for) == ("#7a3b12", "In the palette, without a fixed use")


@given(st.lists(hexes, min_size=1, max_size=5, unique=True))
@settings(max_examples=examples(25))
def test_each_colour_is_told_once_and_can_be_written_on(colors: list[str]) -> None:
    evaluation = evaluate(take_of(*colors))
    told = plain_colors(evaluation)
    assert sorted(one.hex for one in told) == sorted(cell.hex for cell in evaluation.measure)
    assert all(ratio_between(one.label, one.hex) >= TEXT_RATIO for one in told)
