"""A source's file replaced: what moves, what stays, and what was done with it."""

from __future__ import annotations

from dataclasses import replace

from tests.takes import TAKE
from tonada.core.mends.shortfalls import shortfalls
from tonada.core.roles.replacing import Move, replace_source
from tonada.core.take.parts import Origin, Role
from tonada.core.take.recolor import recolor
from tonada.core.take.take import Take

OLD, NEW = "11111111-1111-4111-8111-111111111111", "22222222-2222-4222-8222-222222222222"


def from_logo() -> Take:
    """Return the take whose three colours came from a file."""
    swatches = tuple(
        replace(one, origin=Origin("source", "from logo.svg", source=OLD, share=0.3)) if one.held else one
        for one in TAKE.swatches
    )
    return replace(TAKE, swatches=swatches)


def test_what_moves_keeps_its_id_roles_and_hold_and_names_the_new_file() -> None:
    take = from_logo()
    made = replace_source(take, OLD, NEW, "logo-2.svg", [Move("#2b3a8c", "#3548a8", 0.6)])
    primary = made.swatch_of(Role.PRIMARY)
    assert primary
    assert (primary.id, primary.hex, primary.held) == (take.swatch_of(Role.PRIMARY).id, "#3548a8", True)
    assert primary.origin == Origin("source", "from logo-2.svg", source=NEW, share=0.6)
    assert [(one.role, one.swatch, one.step, one.reason) for one in made.roles] == [
        (one.role, one.swatch, one.step, one.reason) for one in take.roles
    ]
    # What didn't move comes from the new file too.
    accent = made.swatch_of(Role.ACCENT)
    assert accent
    assert (accent.hex, accent.origin.source, accent.origin.share) == ("#d7b13c", NEW, 0.3)


def test_what_was_moved_by_hand_or_came_from_elsewhere_stays() -> None:
    take = from_logo()
    by_hand = recolor(take, take.assignment(Role.PRIMARY).swatch, "#123456", "moved by hand", "moved")
    made = replace_source(
        by_hand, OLD, NEW, "logo-2.svg", [Move("#2b3a8c", "#3548a8"), Move("#123456", "#ffffff")]
    )
    assert made.hex_of(Role.PRIMARY) == "#123456"
    assert made.swatch_of(Role.PRIMARY) == by_hand.swatch_of(Role.PRIMARY)
    assert replace_source(TAKE, OLD, NEW, "x", [Move("#2b3a8c", "#3548a8")]) == TAKE


def test_labels_that_the_rule_chose_follow_by_day_and_by_night() -> None:
    made = replace_source(from_logo(), OLD, NEW, "pale.svg", [Move("#2b3a8c", "#c7d0ff")])
    label = next(pair for pair in made.pairs if pair.id == "label-on-primary")
    text, ground = made.pair_colors(label)
    assert ground == "#c7d0ff"
    assert text != "#ffffff"
    assert made.other is not None
    # The night's steps follow their ramp; what falls short by it is said.
    assert all(isinstance(one, str) for one in shortfalls(made))


def test_by_night_in_front_the_same_moves() -> None:
    moves = [Move("#2b3a8c", "#3548a8")]
    by_day = replace_source(from_logo(), OLD, NEW, "x", moves)
    by_night = replace_source(from_logo().turned(), OLD, NEW, "x", moves)
    assert by_night.turned() == by_day
