"""Pairs that the designer adds and removes: ids of their own, nothing else touched."""

from __future__ import annotations

from dataclasses import replace

import pytest

from tests.takes import TAKE
from tonada.core.color.wcag import Usage
from tonada.core.errors import TakeError
from tonada.core.pairs.own_pairs import add_pair, add_pair_on_overlay, remove_pair
from tonada.core.take.overlays import add_overlay
from tonada.core.take.take import Role, Take


def added(take: Take) -> Take:
    return add_pair(take, Role.INK, "s2/3", Usage.LARGE_TEXT, "A sample")


def test_each_gets_the_first_free_id() -> None:
    two = added(added(TAKE))
    assert [one.id for one in two.pairs[-2:]] == ["added-1", "added-2"]
    assert two.pairs[: len(TAKE.pairs)] == TAKE.pairs
    assert added(remove_pair(two, "added-1")).pairs[-1].id == "added-1"


def test_removed_it_leaves_the_others_and_the_other_scheme() -> None:
    take = added(TAKE)
    assert remove_pair(take, "added-1") == TAKE
    assert remove_pair(take, take.pairs[0].id).other == TAKE.other
    with pytest.raises(TakeError, match="no pair “added-9”"):
        remove_pair(take, "added-9")


@pytest.mark.parametrize(("text", "ground"), [("s9", Role.PAPER), (Role.INK, "s1/99"), ("own-x", Role.PAPER)])
def test_a_colour_that_is_not_there_is_refused(text: str, ground: str) -> None:
    with pytest.raises(TakeError):
        add_pair(TAKE, text, ground, Usage.BODY_TEXT, "A sample")


def test_a_text_on_an_overlay_is_paper_or_the_ground_itself() -> None:
    take = add_overlay(TAKE)
    made = add_pair_on_overlay(take, "o1", Role.PRIMARY).pairs[-1]
    assert (made.text, made.ground, made.layers) == (Role.PAPER, Role.PRIMARY, ("o1",))
    without = replace(
        take, roles=tuple(one for one in take.roles if one.role == Role.PRIMARY), pairs=(), other=None
    )
    assert add_pair_on_overlay(without, "o1", Role.PRIMARY).pairs[-1].text == Role.PRIMARY
    with pytest.raises(TakeError):
        add_pair_on_overlay(take, "o7", Role.PRIMARY)
