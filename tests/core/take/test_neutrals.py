"""Neutrals: added with a name and an id of their own, changed where they are."""

from __future__ import annotations

from dataclasses import replace

import pytest

from tests.takes import TAKE
from tonada.core.errors import TakeError
from tonada.core.take.neutrals import add_neutral, set_neutral
from tonada.core.take.take import Neutral, Take


def test_each_has_a_name_and_an_id_of_its_own() -> None:
    take = add_neutral(add_neutral(add_neutral(Take())))
    named = [(one.id, one.name, one.tint) for one in take.neutrals]
    assert named == [("n1", "Neutral", None), ("n2", "Neutral 2", None), ("n3", "Neutral 3", None)]
    assert add_neutral(take).ramp("n1").hexes == add_neutral(Take()).ramp("n1").hexes


def test_an_id_that_anything_else_has_is_left_alone() -> None:
    swatches = (replace(TAKE.swatches[0], id="n1"),)
    assert add_neutral(Take(swatches)).neutrals[0].id == "n2"


def test_only_one_that_is_there_is_changed() -> None:
    with pytest.raises(TakeError) as refused:
        set_neutral(TAKE, Neutral("n9", "Gone", steps=5))
    assert refused.value.field == "neutral.id"
