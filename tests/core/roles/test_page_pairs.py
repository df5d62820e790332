"""The texts of a page use what reads on their ground, of all that the palette has."""

from __future__ import annotations

from dataclasses import replace

import pytest

from tests.takes import TAKE, take_of
from tonada.core.color.contrast import ratio_between
from tonada.core.color.vibration import vibrates
from tonada.core.roles.page_pairs import heading_on, headline_on, label_on, nearest_step, page_pairs
from tonada.core.take.take import Role, Take


def text_of(take: Take, pair_id: str) -> str:
    return next(pair.text for pair in take.pairs if pair.id == pair_id)


def test_a_heading_is_primary_where_it_reads() -> None:
    assert text_of(TAKE, "primary-on-paper") == Role.PRIMARY


@pytest.mark.parametrize("primary", ["#93fe3e", "#ff6f00", "#ffd800"])
def test_a_heading_is_else_primary_as_text_and_without_it_the_nearest_step_that_reads(primary: str) -> None:
    take = take_of(primary)
    assert text_of(take, "primary-on-paper") == "primary/text"
    roles = tuple(replace(assigned, text_step=None) for assigned in take.roles)
    key = text_of(replace(take, pairs=page_pairs(replace(take, roles=roles))), "primary-on-paper")
    owner = take.assignment(Role.PRIMARY).swatch
    assert key.startswith(f"{owner}/")
    paper = take.hex_of(Role.PAPER)
    assert ratio_between(take.color_of(key), paper) >= 3
    # No step between Primary and the one chosen reads.
    step, own = int(key.split("/")[1]), take.ramp(owner).own + 1
    between = range(min(step, own) + 1, max(step, own))
    assert all(ratio_between(take.value_at(owner, one), paper) < 3 for one in between)


def test_a_label_is_the_first_of_the_palette_that_reads_and_white_or_black_in_the_last_resort() -> None:
    assert label_on(TAKE, "#2b3a8c") == Role.PAPER
    assert label_on(TAKE, "#f3d27a") == Role.INK
    # Between the two nothing of the palette reads, and white or black always does.
    middle = next(
        f"#{level:02x}{level:02x}{level:02x}"
        for level in range(100, 140)
        if label_on(TAKE, f"#{level:02x}{level:02x}{level:02x}") in ("#ffffff", "#000000")
    )
    assert ratio_between(label_on(TAKE, middle) or "", middle) >= 4.5
    assert label_on(replace(TAKE, roles=(), pairs=()), "#2b3a8c") is None


def test_a_headline_on_primary_is_the_accent_only_where_it_is_calm() -> None:
    assert headline_on(TAKE, TAKE.hex_of(Role.PRIMARY)) == Role.ACCENT
    cyan_on_red = take_of("#d0021b", "#00d5e0")
    assert vibrates("#d0021b", "#00d5e0")
    assert text_of(cyan_on_red, "headline-on-primary") != Role.ACCENT


def test_without_roles_there_is_nothing_to_choose() -> None:
    bare = replace(TAKE, roles=(), pairs=())
    assert page_pairs(bare) == ()
    assert heading_on(bare, "#ffffff") is None
    assert nearest_step(TAKE, Role.PRIMARY, "#777777", 21) is None
