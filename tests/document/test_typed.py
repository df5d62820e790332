"""A swatch by what is typed: a colour in any notation, or one of its numbers while the others stay."""

from __future__ import annotations

from typing import Any

import pytest
from pydantic import TypeAdapter

from tests.takes import TAKE
from tonada.core.color.spaces import hex_to_oklch
from tonada.core.errors import InputError
from tonada.core.take.take import Swatch, Take
from tonada.document.changes import TakeChange, made_by

CHANGE: TypeAdapter[TakeChange] = TypeAdapter(TakeChange)
FIRST = TAKE.swatches[0]


def after(take: Take = TAKE, **fields: Any) -> Take:
    return made_by(CHANGE.validate_python({"swatch": FIRST.id, **fields}), take)[0]


def first(take: Take) -> Swatch:
    return take.swatch(FIRST.id)


def test_a_colour_is_read_in_any_notation() -> None:
    typed = first(after(kind="typed", text="rgb(43 90 140)"))
    assert (typed.hex, typed.origin.note, typed.held) == ("#2b5a8c", "typed by hand", FIRST.held)


def test_the_same_colour_in_other_words_is_no_change() -> None:
    assert after(kind="typed", text="rgb(43 58 140)") == TAKE


@pytest.mark.parametrize(
    ("number", "value", "expected"),
    [("red", 64, "#403a8c"), ("green", 0, "#2b008c"), ("blue", 255, "#2b3aff")],
)
def test_a_channel_is_set_alone(number: str, value: int, expected: str) -> None:
    assert first(after(kind="number", number=number, value=value)).hex == expected


@pytest.mark.parametrize(("number", "value"), [("lightness", 0.5), ("chroma", 0.05), ("hue", 150)])
def test_a_number_of_the_shade_is_set_and_the_others_stay_near(number: str, value: float) -> None:
    names = ("lightness", "chroma", "hue")
    before = dict(zip(names, hex_to_oklch(FIRST.hex), strict=True))
    now = dict(
        zip(names, hex_to_oklch(first(after(kind="number", number=number, value=value)).hex), strict=True)
    )
    wanted = {**before, number: value}
    assert now["lightness"] == pytest.approx(wanted["lightness"], abs=0.01)
    assert now["chroma"] <= wanted["chroma"] + 0.01  # sRGB may not have it all at another hue
    assert now["hue"] == pytest.approx(wanted["hue"], abs=3)


def test_one_after_the_other_each_keeps_what_the_one_before_set() -> None:
    take = TAKE
    for number, value in (("red", 64), ("green", 90), ("blue", 12)):
        take = after(take, kind="number", number=number, value=value)
    assert first(take).hex == "#405a0c"


@pytest.mark.parametrize(
    ("fields", "field"),
    [
        ({"kind": "typed", "text": "no colour"}, "text"),
        ({"kind": "typed", "text": "rgb(1 2 3 / 0.5)"}, "text"),
        ({"kind": "typed", "text": "#123456", "swatch": "nobody"}, "swatch"),
        ({"kind": "number", "number": "red", "value": 256}, "value"),
        ({"kind": "number", "number": "lightness", "value": 1.01}, "value"),
        ({"kind": "number", "number": "hue", "value": 20, "swatch": "nobody"}, "swatch"),
    ],
)
def test_what_cannot_be_is_refused_by_its_field(fields: dict[str, Any], field: str) -> None:
    with pytest.raises(InputError) as refused:
        after(**fields)
    assert refused.value.field == field


def test_a_size_and_a_weight_are_set_one_after_the_other() -> None:
    def sized(take: Take, **fields: Any) -> Take:
        return made_by(CHANGE.validate_python({"kind": "size", "style": "h2", **fields}), take)[0]

    usual = TAKE.proof.size_of("h2", "wide")
    larger = sized(TAKE, size=41).proof.size_of("h2", "wide")
    assert (larger.size, larger.weight) == (41, usual.weight)
    both = sized(sized(TAKE, size=41), weight=300).proof.size_of("h2", "wide")
    assert (both.size, both.weight) == (41, 300)
