"""What uses a colour: everything that removal would have to move, by day and by night."""

from __future__ import annotations

from dataclasses import replace

import pytest
from hypothesis import given
from hypothesis import strategies as st

from tests.takes import TAKE, TYPED
from tonada.core.color.wcag import Usage
from tonada.core.errors import TakeError
from tonada.core.handoff.slots import choose_slot
from tonada.core.pairs.own_pairs import add_pair
from tonada.core.proof.arranging import add_ground
from tonada.core.proof.grounds import set_use
from tonada.core.roles.suggest import derive_night
from tonada.core.take.dependents import Dependents, dependents_of
from tonada.core.take.overlays import add_overlay
from tonada.core.take.proof_settings import Element
from tonada.core.take.repoint import remove
from tonada.core.take.take import Neutral, Role, Swatch, Take

SPARE = replace(TAKE, swatches=(*TAKE.swatches, Swatch("s9", "Spare", "#777777", True, TYPED)))
NOTHING = Dependents((), 0, (), (), (), 0, 0)
# Each way in which a colour can be used, alone.
WAYS = (
    lambda take: add_pair(take, "s9/3", Role.PAPER, Usage.BODY_TEXT, "A sample"),
    lambda take: add_overlay(take, ("s9", None), name="Veil"),
    lambda take: add_ground(take, "Dawn", "s9/2"),
    lambda take: set_use(take, "paper", Element.LINK, "s9"),
    lambda take: choose_slot(take, "d1", "text", "s9/4"),
    lambda take: replace(take, neutrals=(*take.neutrals, Neutral("n7", "Warm grey", "s9"))),
    lambda take: add_ground(derive_night(take)[0].turned(), "Dusk", "s9").turned(),
)


@given(st.lists(st.sampled_from(range(len(WAYS))), unique=True), st.booleans())
def test_a_colour_has_dependents_exactly_where_it_can_not_just_go(ways: list[int], by_night: bool) -> None:
    take: Take = SPARE
    for way in ways:
        take = WAYS[way](take)
    take = take.turned() if by_night else take
    found = dependents_of(take, "s9")
    if not ways:
        assert found == NOTHING
        remove(take, "s9", None)
        return
    assert found
    with pytest.raises(TakeError):
        remove(take, "s9", None)
    assert dependents_of(remove(take, "s9", ("s1", 5)), "s9") == NOTHING


def test_they_are_named_with_the_scheme_and_the_step() -> None:
    take = derive_night(TAKE)[0]
    found = dependents_of(take, "s1")
    assert found.roles[0] == "Primary"
    assert "Deep, on a step" in found.roles
    assert any(" by night" in one for one in found.roles)
    assert any(" by day" in one for one in dependents_of(take.turned(), "s1").roles)
    assert found.neutrals == (take.neutrals[0].name,)
    roles = {one.role for one in take.roles if one.swatch == "s1"}
    by_day = sum(bool({one.text, one.ground} & roles) for one in take.pairs)
    assert by_day < found.pairs <= len(take.pairs) + len(take.other.pairs if take.other else ())
