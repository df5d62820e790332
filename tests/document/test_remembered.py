"""Parts of a document that were validated a moment ago: the same answer, and never another one's."""

from __future__ import annotations

import json
from dataclasses import replace
from typing import Annotated, Any

import pytest
from pydantic import BaseModel, ConfigDict, Field, ValidationError

from tests.takes import TAKE
from tonada.document.remembered import remembered
from tonada.document.take import TakeDocument


class Part(BaseModel):
    model_config = ConfigDict(frozen=True, extra="forbid")
    number: Annotated[float, Field(le=10)]
    names: tuple[str, ...] = ()


class Whole(BaseModel):
    part: Annotated[Part, remembered()]


def sent(part: Any) -> Part:
    return Whole.model_validate({"part": part}).part


def test_what_was_read_a_moment_ago_is_the_same_one() -> None:
    assert sent({"number": 1}) is sent({"number": 1})
    assert sent({"number": 1, "names": ["a"]}) is sent({"number": 1, "names": ["a"]})


@pytest.mark.parametrize(
    "part", [{"number": 2}, {"number": 1, "names": []}, {"number": 1, "names": ["1"]}, {"number": True}]
)
def test_what_differs_at_all_is_read_anew(part: Any) -> None:
    assert sent(part) is not sent({"number": 1})


@pytest.mark.parametrize("part", [{"number": 11}, {"number": 1, "more": 2}, {"names": 1}, "text", [1]])
def test_what_is_refused_is_refused_again_with_its_place(part: Any) -> None:
    errors = []
    for _ in range(2):
        with pytest.raises(ValidationError) as raised:
            sent(part)
        errors.append(raised.value.errors())
    assert errors[0] == errors[1]
    assert errors[0][0]["loc"][0] == "part"


def test_values_that_json_cannot_say_are_read_each_time() -> None:
    part = {"number": 1, "names": ("\ud800",)}
    assert sent(part) == sent(part)
    assert sent(Part(number=3)) == Part(number=3)


def test_long_ones_are_not_kept_and_of_the_others_only_the_last() -> None:
    long = {"number": 1, "names": ["x" * 30_000]}
    assert sent(long) is not sent(long)
    first = sent({"number": 5})
    for number in range(100):
        sent({"number": number / 100})
    assert sent({"number": 5}) is not first


def test_a_document_read_twice_is_what_it_was_the_first_time() -> None:
    text = TakeDocument.of(TAKE).model_dump_json()
    read = [TakeDocument.model_validate(json.loads(text)) for _ in range(2)]
    assert read[0].pairs is read[1].pairs
    assert [one.model_dump_json() for one in read] == [text, text]
    assert [one.to_take() for one in read] == [TAKE, TAKE]


def test_a_swatch_that_was_changed_is_another_one() -> None:
    document = TakeDocument.of(TAKE)
    document.to_take()
    first, *others = TAKE.swatches
    held = TakeDocument.of(replace(TAKE, swatches=(replace(first, held=not first.held), *others)))
    assert held.to_take().swatches[0].held is not first.held
    assert document.to_take() == TAKE
