"""Slots of a destination: filled by rule, changed by hand, warned of where a fixed pairing fails."""

from __future__ import annotations

import re

import pytest

from tests.takes import TAKE
from tonada.core.errors import TakeError
from tonada.core.handoff.changes import changes_between
from tonada.core.handoff.changes_text import changes_text
from tonada.core.handoff.slots import SHIPPED, Destination, Slot, fill_slots
from tonada.core.recolouring.old_colors import propose_mapping
from tonada.core.recolouring.restyle import restyle
from tonada.core.source.stylesheets import StyleFile, read_stylesheets
from tonada.core.take.color_choices import color_choices
from tonada.core.take.key import text_key
from tonada.core.take.parts import Role
from tonada.core.take.recolor import change_pair_text, recolor
from tonada.core.take.take import Take, role_rank
from tonada.demo.seed import demo_file

OLD = StyleFile("old-site.css", demo_file("old-site.css").decode())


@pytest.mark.parametrize("destination", SHIPPED, ids=lambda one: one.id)
def test_shipped_destinations_are_filled_in_their_order(destination: Destination) -> None:
    filled = fill_slots(TAKE, destination, {})
    assert [one.slot.name for one in filled] == [slot.name for slot in destination.slots]
    assert all(one.by_rule for one in filled)
    assert len({one.hex for one in filled}) >= len(filled) - 3
    for one in filled:
        if one.slot.purpose in ("text", "link", "quiet text"):
            assert one.warning is None, one


def test_a_slot_filled_by_hand_is_kept_and_warned_of() -> None:
    five = SHIPPED[0]
    filled = {one.slot.name: one for one in fill_slots(TAKE, five, {"Text": "accent"})}
    assert not filled["Text"].by_rule
    assert filled["Text"].key == "accent"
    assert filled["Text"].warning == "Text always stands on Background there: 1.96:1, where 4.5:1 is needed."
    gone = {one.slot.name: one for one in fill_slots(TAKE, five, {"Text": "s99"})}
    assert gone["Text"].by_rule


def test_any_step_swatch_or_value_may_stand_in_a_slot() -> None:
    choices = {one.key: one for one in color_choices(TAKE)}
    named = {(one.name, one.hex) for one in choices.values()}
    owners = [*(one.id for one in TAKE.swatches), *(one.id for one in TAKE.neutrals)]
    steps = [f"{owner}/{row}" for owner in owners for row in range(1, len(TAKE.ramp(owner).hexes) + 1)]
    as_text = [text_key(one.role) for one in TAKE.roles if one.text_step is not None]
    keys = (*(str(one.role) for one in TAKE.roles), *as_text, *(one.id for one in TAKE.swatches), *steps)
    assert named == {(TAKE.display_name(key), TAKE.color_of(key)) for key in keys}
    assert len(named) == len(choices)
    roles = sorted((one.role for one in TAKE.roles), key=role_rank)
    assert list(choices)[: len(roles)] == roles, "roles first, in their order"
    for key in (*choices, "#123456"):
        filled = fill_slots(TAKE, SHIPPED[0], {"Text": key})[-1]
        assert (filled.key, filled.hex) == (key, TAKE.color_of(key))


def test_notations_are_the_slots_own_and_an_empty_take_is_refused() -> None:
    slides = fill_slots(TAKE, SHIPPED[2], {})
    assert slides[0].text == "249, 250, 253"
    with pytest.raises(TakeError):
        fill_slots(Take(), SHIPPED[0], {})
    label = Destination("x", "X", (Slot("Face", "brand"), Slot("Label", "call text", on="Face")))
    assert fill_slots(TAKE, label, {})[1].key == "paper"


def test_what_changed_is_told_in_sentences() -> None:
    before = change_pair_text(TAKE, "label-on-secondary", Role.PAPER)
    swatch = before.swatches[1]
    after = recolor(before, swatch.id, "#7a3f20", "moved by hand")
    text = changes_text(changes_between(before, after))
    assert "- Secondary (--secondary): Light brown #b6653a → " in text
    assert "- Paper on Secondary, by day: fails, 4.0" in text


def test_every_old_colour_gets_what_is_near_and_does_the_same_job() -> None:
    mapped = {one.hex: one for one in propose_mapping(TAKE, [OLD])}
    assert mapped["#2b3a8c"].key == "primary"
    assert mapped["#d7b13c"].key == "accent"
    assert mapped["#ffffff"].key == "paper"
    assert "#fdfdfd" in mapped["#ffffff"].members
    assert sum(one.count for one in mapped.values()) == sum(u.count for u in read_stylesheets([OLD]).uses)


def test_only_values_change_and_a_second_time_nothing_does() -> None:
    mapping = {old: one.key for one in propose_mapping(TAKE, [OLD]) for old in one.members}
    made = restyle(TAKE, [OLD], mapping)
    before, after = OLD.text.splitlines(), made.files[0].text.splitlines()
    assert len(before) == len(after)
    assert [line.split(":")[0] for line in before] == [line.split(":")[0] for line in after]
    assert before[0] == after[0], "the comment stays"
    written = set(re.findall("#[0-9a-f]{6}", made.files[0].text))
    assert written <= {TAKE.color_of(key) for key in mapping.values()}
    same = {value: key for key in mapping.values() for value in [TAKE.color_of(key)]}
    again = restyle(TAKE, made.files, same)
    assert again.files == made.files
    assert again.diff == ""


def test_strings_addresses_and_names_are_left_alone() -> None:
    text = (
        '@charset "utf-8";\n@import "red.css";\n/* red */\n'
        '.red { color: red; content: "red #ff0000"; background: url(red.png) #f00; font-family: Tan; }\n'
        "a { border: 1px solid rgba(255, 0, 0, .5); --tan: var(--red, #ff0000) }"
    )
    made = restyle(TAKE, [StyleFile("a.css", text)], {"#ff0000": "primary"})
    assert made.files[0].text == text.replace("color: red;", "color: #2b3a8c;").replace(
        "url(red.png) #f00", "url(red.png) #2b3a8c"
    ).replace("rgba(255, 0, 0, .5)", "rgb(43 58 140 / 50%)").replace("--red, #ff0000", "--red, #2b3a8c")
    assert made.replaced == 4


def test_references_are_declared_behind_what_must_stand_first() -> None:
    text = '@charset "utf-8";\n@import "a.css";\nbody { color: #ff0000; fill: rgb(255 0 0 / 40%) }\n'
    made = restyle(TAKE, [StyleFile("a.css", text)], {"#ff0000": "primary"}, "properties").files[0].text
    assert made.startswith('@charset "utf-8";\n@import "a.css";\n\n:root {\n  --primary: #2b3a8c;\n}\n')
    assert "color: var(--primary)" in made
    assert "color-mix(in srgb, var(--primary) 40%, transparent)" in made


def test_a_takes_pairs_are_compared_before_and_after() -> None:
    mapping = {old: one.key for one in propose_mapping(TAKE, [OLD]) for old in one.members}
    pairs = {one.selector: one for one in restyle(TAKE, [OLD], mapping).pairs}
    assert pairs[".notice"].before < pairs[".notice"].after
    assert all(one.before != one.after for one in pairs.values())
