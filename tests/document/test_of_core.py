"""A value of the core has one model: what is optional is written in the core alone."""

from __future__ import annotations

from dataclasses import dataclass, replace
from typing import Any

import pytest
from pydantic import ValidationError

from tests.takes import TAKE
from tonada.core.take.take import Swatch
from tonada.document.of_core import OfCore
from tonada.document.parts import Identifier
from tonada.document.take import SwatchModel, TakeDocument


@dataclass(frozen=True)
class Stone:
    id: str
    note: str | None = None
    polished: bool = False


class StoneModel(OfCore):
    core = Stone

    id: Identifier


def test_an_optional_field_of_the_core_is_in_the_model() -> None:
    stone = Stone("s1", "from the river", polished=True)
    assert StoneModel.of(stone).to_core() == stone
    assert StoneModel.model_validate({"id": "s1"}).to_core() == Stone("s1")
    assert "note" in StoneModel.model_json_schema()["properties"]


@pytest.mark.parametrize(
    "sent",
    [
        {"id": "s1", "note": "x" * 81},
        {"id": "s1", "polished": "perhaps"},
        {"id": "s1", "colour": "grey"},
        {"id": "a b"},
    ],
)
def test_it_is_checked_like_the_others(sent: dict[str, Any]) -> None:
    with pytest.raises(ValidationError):
        StoneModel.model_validate(sent)


def test_a_text_that_comes_along_is_one_line() -> None:
    assert StoneModel.model_validate({"id": "s1", "note": "two\nlines"}).to_core().note == "two lines"


def test_a_new_field_of_a_swatch_takes_one_line() -> None:
    @dataclass(frozen=True)
    class Marked(Swatch):
        mark: str | None = None

    class MarkedModel(SwatchModel):
        core = Marked

    first = TAKE.swatches[0]
    marked = Marked(first.id, first.name, first.hex, first.held, first.origin, mark="for print")
    assert MarkedModel.of(marked).to_core() == marked
    # The swatch's own model knows nothing of it.
    assert SwatchModel.of(first).to_core() == first


def test_what_has_to_be_there_has_to_be_said() -> None:
    @dataclass(frozen=True)
    class Bare:
        id: str
        weight: float

    with pytest.raises(TypeError, match="has to say what is allowed as weight"):
        type("BareModel", (OfCore,), {"core": Bare, "__annotations__": {"id": "str"}, "__module__": __name__})


def test_a_whole_take_comes_back_the_same_by_day_and_by_night() -> None:
    for take in (TAKE, TAKE.turned(), replace(TAKE, other=None)):
        assert TakeDocument.of(take).to_take() == take


def test_a_copy_with_another_field_makes_another_value() -> None:
    model = StoneModel(id="s1")
    assert model.to_core() == Stone("s1")
    assert model.model_copy(update={"note": "wet"}).to_core() == Stone("s1", "wet")
    assert model.to_core() == Stone("s1")
