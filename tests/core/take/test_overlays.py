"""Overlays: added in Ink, removed with the pairs and the picture that use them."""

from __future__ import annotations

from dataclasses import replace

import pytest

from tests.takes import TAKE
from tonada.core.errors import TakeError
from tonada.core.pairs.own_pairs import add_pair_on_overlay
from tonada.core.roles.suggest import derive_night
from tonada.core.take.overlays import add_overlay, remove_overlay
from tonada.core.take.take import Role, Take


def test_it_is_made_of_ink_where_no_colour_is_named() -> None:
    ink = TAKE.assignment(Role.INK)
    made = add_overlay(add_overlay(TAKE)).overlays
    assert [(one.id, one.name, one.swatch, one.step, one.alpha) for one in made] == [
        ("o1", "Overlay 1", ink.swatch, ink.step, 0.6),
        ("o2", "Overlay 2", ink.swatch, ink.step, 0.6),
    ]
    with pytest.raises(TakeError):
        add_overlay(Take())


def test_on_the_picture_it_begins_opaque_and_is_the_proofs() -> None:
    take = add_overlay(TAKE, ("s1", 9), name="Deep over picture", on_picture=True)
    assert take.proof.overlay == take.overlays[-1].id == "o1"
    assert (take.overlays[-1].alpha, take.overlays[-1].step) == (1.0, 9)
    assert remove_overlay(take, "o1") == TAKE


def test_removed_it_takes_what_lies_on_it_along_by_day_and_by_night() -> None:
    take = add_overlay(add_overlay(derive_night(TAKE)[0]))
    by_day = add_pair_on_overlay(add_pair_on_overlay(take, "o1", Role.PRIMARY), "o2", Role.PRIMARY)
    both = add_pair_on_overlay(by_day.turned(), "o1", Role.DEEP).turned()
    set_in_it = replace(both.pairs[-1], id="text", text="o1", layers=())
    left = remove_overlay(replace(both, pairs=(*both.pairs, set_in_it)), "o1")
    assert [one.layers for one in left.pairs if one.layers] == [("o2",)]
    assert left.other == take.other
    assert [one.id for one in left.overlays] == ["o2"]
    with pytest.raises(TakeError):
        remove_overlay(left, "o1")
