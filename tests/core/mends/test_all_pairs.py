"""All pairs mended at once: the least that makes pass what can."""

from __future__ import annotations

from dataclasses import replace

from hypothesis import given, settings
from hypothesis import strategies as st

from tests.strategies import hexes
from tests.takes import FAILING, take_of
from tonada.core.color.wcag import Level
from tonada.core.mends.all_pairs import mend_all
from tonada.core.pairs.evaluation import evaluate
from tonada.core.take.take import Role


@given(st.lists(hexes, min_size=1, max_size=3, unique=True), st.sampled_from(["AA", "AAA"]))
@settings(max_examples=25, deadline=None)
def test_all_pairs_are_mended_where_nothing_is_held(values: list[str], level: Level) -> None:
    take = take_of(*values)
    free = replace(take, level=level, swatches=tuple(replace(one, held=False) for one in take.swatches))
    mended = mend_all(free)
    after = evaluate(mended.take)
    assert after.failing == len(mended.impossible)
    assert after.failing <= evaluate(free).failing
    if level == "AA":
        assert after.failing == 0
    assert mend_all(free) == mended


def test_held_colors_are_untouched_and_named() -> None:
    mended = mend_all(FAILING)
    before = {one.id: one.hex for one in FAILING.swatches if one.held}
    assert {one.id: one.hex for one in mended.take.swatches if one.id in before} == before
    assert any("Accent is held" in text for text in mended.impossible)


def test_what_can_be_mended_is_although_something_else_can_t() -> None:
    muted = next(number for number, one in enumerate(FAILING.roles) if one.role == Role.MUTED)
    roles = list(FAILING.roles)
    roles[muted] = replace(roles[muted], step=4)
    take = replace(FAILING, roles=tuple(roles))
    mended = mend_all(take)
    short = {one.id for one in evaluate(mended.take).pairs if one.short_by > 0}
    assert short == {"label-on-accent"}
    assert [one.name for one in mended.moved] == ["Muted"]


def test_a_take_that_passes_is_left_as_it_is() -> None:
    night = take_of("#2b3a8c").turned()
    assert mend_all(night).take == night
