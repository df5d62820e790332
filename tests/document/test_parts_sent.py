"""Settings of which only one is sent: the others stay as they are when the change is made."""

from __future__ import annotations

from dataclasses import replace
from typing import Any

import pytest
from pydantic import TypeAdapter, ValidationError

from tests.takes import TAKE
from tonada.core.errors import InputError
from tonada.core.take.take import Take
from tonada.document.changes import TakeChange, made_by

CHANGE: TypeAdapter[TakeChange] = TypeAdapter(TakeChange)


def after(take: Take, **fields: Any) -> Take:
    return made_by(CHANGE.validate_python(fields), take)[0]


def test_numbers_of_a_ramp_are_set_apart() -> None:
    take = after(TAKE, kind="ramp", swatch="s1", ramp={"kind": "mix"})
    take = after(take, kind="ramp", swatch="s1", ramp={"tints": 4})
    take = after(take, kind="ramp", swatch="s1", ramp={"shades": 3})
    ramp = take.swatch("s1").ramp
    assert (ramp.kind, ramp.steps, ramp.tints, ramp.shades) == ("mix", 11, 4, 3)
    assert after(take, kind="ramp", swatch="s1", ramp={}) == take


def test_settings_of_a_neutral_are_set_apart() -> None:
    take = after(TAKE, kind="neutral", neutral={"id": "n1", "steps": 7})
    take = after(take, kind="neutral", neutral={"id": "n1", "name": "Stone"})
    take = after(take, kind="neutral", neutral={"id": "n1", "tint": None})
    before, (now,) = TAKE.neutrals[0], take.neutrals
    assert (now.name, now.steps, now.tint) == ("Stone", 7, None)
    assert (now.strength, now.spacing) == (before.strength, before.spacing)


def test_settings_of_the_harmony_are_set_apart() -> None:
    free = replace(TAKE, swatches=tuple(replace(one, held=False) for one in TAKE.swatches))
    take = after(free, kind="chord", harmony={"rule": "tetradic"})
    take = after(take, kind="chord", harmony={"spread": 80})
    take = after(take, kind="character", harmony={"character": "deep"})
    take = after(take, kind="chord", harmony={"circle": "painter"})
    began = {key for key, _ in take.harmony.shaped_from}
    assert began
    assert began == {key for key, _ in after(take, kind="chord", harmony={}).harmony.shaped_from}
    now = take.harmony
    assert (now.rule, now.spread, now.character, now.circle) == ("tetradic", 80, "deep", "painter")


def test_another_rule_begins_in_its_usual_spread() -> None:
    take = after(TAKE, kind="chord", harmony={"rule": "tetradic", "spread": 80})
    assert take.harmony.spread == 80
    assert after(take, kind="chord", harmony={"rule": "triadic"}).harmony.spread is None


def test_a_chord_is_turned_with_its_settings_as_they_are() -> None:
    turned = after(TAKE, kind="chord", harmony={}, turn=30)
    assert turned.harmony == TAKE.harmony


@pytest.mark.parametrize(
    "change",
    [
        {"kind": "ramp", "swatch": "s1", "ramp": {"steps": 1}},
        {"kind": "ramp", "swatch": "s1", "ramp": {"step": 5}},
        {"kind": "ramp", "swatch": "s1", "ramp": {"steps": None}},
        {"kind": "neutral", "neutral": {"name": "Without an id"}},
        {"kind": "neutral", "neutral": {"id": "n7", "steps": 7}},
        {"kind": "neutral", "neutral": {"id": "n1", "name": ""}},
        {"kind": "chord", "harmony": {"circle": None}},
    ],
)
def test_what_is_sent_is_checked_as_ever(change: dict[str, Any]) -> None:
    with pytest.raises((ValidationError, InputError)):
        after(TAKE, **change)
