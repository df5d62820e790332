"""Changes one after the other: whatever the order, the take that they make can be kept."""

from __future__ import annotations

from dataclasses import replace
from typing import Any

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from pydantic import TypeAdapter

from tests.sampling import examples
from tests.takes import TAKE
from tonada.core import limits
from tonada.core.errors import TakeError, TonadaError
from tonada.core.roles.suggest import derive_night
from tonada.core.take.take import Take
from tonada.document.changes import TakeChange, made_by
from tonada.document.take import TakeDocument

CHANGE: TypeAdapter[TakeChange] = TypeAdapter(TakeChange)
BOTH = derive_night(TAKE)[0]
KEYS = st.sampled_from(["primary", "ink", "paper", "own-badge", "s1", "s2/4", "s9", "o1", "#ffffff"])
OWNERS = st.sampled_from(["s1", "s2", "s3", "s4", "n1", "s9"])
IDS = st.sampled_from(["added-1", "added-2", "o1", "o2", "ground-1", "ground-2", "paper", "tint"])
STEPS = st.none() | st.integers(1, 11)
TARGET = st.fixed_dictionaries({"swatch": OWNERS, "step": STEPS})


def change(kind: str, **fields: Any) -> st.SearchStrategy[dict[str, Any]]:
    return st.fixed_dictionaries({"kind": st.just(kind), **fields})


NAMES = st.sampled_from(["Badge", "Кнопка", "x" * 80])
CHANGES = st.one_of(
    change("add pair", text=KEYS, ground=KEYS, usage=st.just("body text"), sample=NAMES),
    change("pair on overlay", overlay=IDS, ground=KEYS),
    change("remove pair", pair=IDS),
    change("add overlay", name=st.none() | NAMES, color=st.none() | TARGET, on_picture=st.booleans()),
    change("remove overlay", overlay=IDS),
    change("add ground", name=NAMES, key=KEYS),
    change("remove ground", ground=IDS),
    change("forget ground", ground=IDS),
    change("use", ground=IDS, element=st.sampled_from(["link", "text"]), key=st.none() | KEYS),
    change("slot", destination=st.just("d1"), slot=NAMES, key=st.none() | KEYS),
    change("own role", name=NAMES, swatch=OWNERS, step=STEPS),
    change("remove role", role=st.sampled_from(["own-badge", "own-role", "accent-2", "ink"])),
    change("give", role=st.sampled_from(["primary", "own-badge", "link"]), swatch=OWNERS, step=STEPS),
    change("typed", swatch=OWNERS, text=st.sampled_from(["#123", "oklch(0.7 0.2 30)", "none"])),
    change(
        "number", swatch=OWNERS, number=st.sampled_from(["chroma", "hue", "blue"]), value=st.floats(0, 300)
    ),
    change("remove", owner=OWNERS, instead=st.none() | TARGET),
    change(
        "sections", page=st.just("home"), sections=st.just([{"section": "opening", "ground": "ground-1"}])
    ),
    change("shares", shares=st.just([{"roles": ["primary", "accent"], "share": 0.4}])),
)


@given(st.lists(CHANGES, max_size=14), st.booleans())
@settings(max_examples=examples(150))
def test_a_take_after_any_changes_can_be_kept(asked: list[dict[str, Any]], by_night: bool) -> None:
    take = BOTH.turned() if by_night else BOTH
    for one in asked:
        try:
            take, _ = made_by(CHANGE.validate_python(one), take)
        except TonadaError:
            continue
        document = TakeDocument.of(take)
        assert document.to_take() == take
        assert TakeDocument.model_validate_json(document.model_dump_json()).to_take() == take
        assert take.scheme == ("night" if by_night else "day")
    owners = {one.id for one in take.swatches} | {one.id for one in take.neutrals}
    assert all(key.partition("/")[0] in owners | {"#ffffff"} | roles(take) for key in referred(take)), take


def roles(take: Take) -> set[str]:
    return {one.role for one in (*take.roles, *(take.other.roles if take.other else ()))}


def referred(take: Take) -> list[str]:
    """Return every key of grounds and slots, which a take doesn't check by itself."""
    grounds = (*take.grounds, *(take.other.grounds if take.other else ()))
    keys = [one.ground for one in grounds if one.ground] + [key for one in grounds for _, key in one.uses]
    return [*keys, *(one.key for one in take.slots)]


def test_shares_are_planned_by_colour_and_forgotten() -> None:
    asked = {"kind": "shares", "shares": [{"roles": ["primary", "accent"], "share": 0.4}]}
    planned, _ = made_by(CHANGE.validate_python(asked), TAKE)
    shares = {one.role: one.share for one in planned.roles}
    assert (shares["primary"], shares["accent"], shares["paper"]) == (0.2, 0.2, None)
    assert made_by(CHANGE.validate_python({"kind": "shares"}), planned)[0] == TAKE


@pytest.mark.parametrize(
    ("field", "most", "asked"),
    [
        ("pairs", limits.MAX_PAIRS, {"text": "ink", "ground": "paper", "usage": "link", "sample": "A link"}),
        ("overlays", limits.MAX_OVERLAYS, {}),
        ("roles", limits.MAX_ROLES, {"name": "Badge", "swatch": "s1"}),
        ("grounds", limits.MAX_GROUNDS, {"name": "Dawn", "key": "s1"}),
    ],
)
def test_one_too_many_is_refused_and_named(field: str, most: int, asked: dict[str, Any]) -> None:
    kinds = {"pairs": "add pair", "overlays": "add overlay", "roles": "own role", "grounds": "add ground"}
    adding = CHANGE.validate_python({"kind": kinds[field], **asked})
    take = TAKE
    while len(getattr(take, field)) < most:
        take, _ = made_by(adding, take)
    assert TakeDocument.of(take).to_take() == take
    with pytest.raises(TakeError, match=f"at most {most}") as refused:
        made_by(adding, take)
    assert refused.value.field == field


def test_where_all_is_held_a_rule_says_that_nothing_moved() -> None:
    def said(take: Take, asked: dict[str, Any]) -> tuple[str, ...]:
        return made_by(TypeAdapter(TakeChange).validate_python(asked), take)[1]

    rule = {"kind": "chord", "harmony": {"rule": "complementary"}}
    character = {"kind": "character", "harmony": {"character": "muted"}}
    assert said(TAKE, rule) == said(TAKE, character) == ("Three colours are held; nothing moved.",)
    # Where one is free, what moves says so itself.
    freed = (replace(TAKE.swatches[1], held=False), *TAKE.swatches[2:])
    free = replace(TAKE, swatches=(TAKE.swatches[0], *freed))
    assert said(free, rule) == said(free, character) == ()
