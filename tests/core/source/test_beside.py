"""Which colour of a changed file has become which."""

from __future__ import annotations

from itertools import permutations

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from tests.sampling import examples
from tests.strategies import hexes
from tonada.core.color.spaces import difference_between
from tonada.core.source.beside import SAME_PLACE, SHARE_COUNTS, ColorShare, beside

colors = st.lists(st.builds(ColorShare, hexes, st.floats(0, 1)), max_size=5, unique_by=lambda one: one.hex)


def named(before: list[ColorShare], after: list[ColorShare]) -> list[tuple[str | None, str | None]]:
    return [
        (
            None if one.before is None else before[one.before].hex,
            None if one.after is None else after[one.after].hex,
        )
        for one in beside(before, after)
    ]


def test_a_blue_that_moved_is_the_same_and_a_yellow_that_came_is_new() -> None:
    before = [ColorShare("#2b3a8c", 0.7), ColorShare("#b6653a", 0.2), ColorShare("#ffffff", 0.1)]
    after = [ColorShare("#ffffff", 0.1), ColorShare("#3548a8", 0.7), ColorShare("#d7e13c", 0.2)]
    assert named(before, after) == [
        ("#2b3a8c", "#3548a8"),
        ("#b6653a", None),
        ("#ffffff", "#ffffff"),
        (None, "#d7e13c"),
    ]


@given(colors, colors)
@settings(max_examples=examples(80), deadline=None)
def test_every_colour_is_there_once_and_the_whole_moves_least(
    before: list[ColorShare], after: list[ColorShare]
) -> None:
    rows = beside(before, after)
    assert sorted(one.before for one in rows if one.before is not None) == list(range(len(before)))
    assert sorted(one.after for one in rows if one.after is not None) == list(range(len(after)))
    for one in rows:
        if one.before is not None and one.after is not None:
            exact = difference_between(before[one.before].hex, after[one.after].hex)
            assert one.difference == pytest.approx(exact, abs=1e-9)
            assert exact < SAME_PLACE

    def cost(old: ColorShare, new: ColorShare) -> float:
        away = difference_between(old.hex, new.hex)
        if away < 1e-9:
            return 0.0
        return min(away, SAME_PLACE) + SHARE_COUNTS * abs(old.share - new.share)

    fewer, more = sorted((before, after), key=len)
    ways = permutations(more, len(fewer))
    best = min((sum(map(cost, fewer, way)) for way in ways), default=0.0)
    both = [one for one in rows if one.before is not None and one.after is not None]
    assert sum(cost(before[one.before], after[one.after]) for one in both) <= best + 1e-9


def test_the_same_file_again_is_unchanged_whatever_the_shares() -> None:
    before = [ColorShare("#2b3a8c", 0.7), ColorShare("#2b3a8d", 0.3)]
    after = [ColorShare("#2b3a8d", 0.7), ColorShare("#2b3a8c", 0.3)]
    assert named(before, after) == [("#2b3a8c", "#2b3a8c"), ("#2b3a8d", "#2b3a8d")]
    assert beside([], []) == ()
