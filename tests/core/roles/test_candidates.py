"""Which colours of a source ask for a role: one rule for every kind of source."""

from __future__ import annotations

from itertools import pairwise

import pytest

from tonada.core.roles.candidates import LEAST_SHARE, MOST_CANDIDATES, SourceColor, candidates_of, leaves_out
from tonada.core.take.parts import Role

INDIGO, PAPER, GOLD, SPECK = "#2b3a8c", "#ffffff", "#d7b13c", "#777777"
LOGO = (
    SourceColor(INDIGO, 0.3),
    SourceColor(PAPER, 0.6, ground_share=0.5),
    SourceColor(GOLD, 0.0999),
    SourceColor(SPECK, 0.0001),
)


def many(count: int) -> list[SourceColor]:
    return [SourceColor(f"#{number:06x}") for number in range(1, count + 1)]


def test_a_picture_without_its_ground_has_shares_of_the_artwork() -> None:
    found = candidates_of("image", LOGO, leave_out_ground=True)
    shares = {one.hex: one.share for one in found.candidates}
    assert list(shares) == [INDIGO, PAPER, GOLD]
    assert shares == pytest.approx({INDIGO: 0.6, PAPER: 0.2, GOLD: 0.1998})
    assert found.of_color == (0, 1, 2, None)


def test_a_picture_with_its_ground_has_shares_of_everything() -> None:
    found = candidates_of("image", LOGO)
    assert [(one.hex, one.share) for one in found.candidates] == [(PAPER, 0.6), (INDIGO, 0.3), (GOLD, 0.0999)]


@pytest.mark.parametrize(("ground", "usually"), [(None, False), ("#f7f7f5", True), ("#2b3a8c", False)])
def test_a_neutral_ground_is_usually_left_out(ground: str | None, usually: bool) -> None:
    assert leaves_out(ground) is usually


def test_what_was_picked_asks_however_small_it_is() -> None:
    crowd = [SourceColor(color.hex, 1 / 20) for color in many(20)]
    found = candidates_of("image", [*crowd, SourceColor(GOLD, picked=True), SourceColor(SPECK)])
    assert len(found.candidates) == MOST_CANDIDATES
    assert found.candidates[-1].hex == GOLD
    assert found.of_color[-1] is None
    assert LEAST_SHARE > 0


def test_each_colour_of_a_list_covers_half_of_what_the_one_before_covers() -> None:
    found = candidates_of("list", many(4)).candidates
    assert [one.hex for one in found] == [color.hex for color in many(4)]
    assert sum(one.share for one in found) == pytest.approx(1)
    assert [one.share / next_.share for one, next_ in pairwise(found)] == [2, 2, 2]


def test_a_colour_that_occurs_twice_stands_where_it_occurs_first() -> None:
    found = candidates_of("list", [SourceColor(GOLD), SourceColor(INDIGO), SourceColor(GOLD)])
    assert [one.hex for one in found.candidates] == [GOLD, INDIGO]
    assert found.of_color == (0, 1, 0)


def test_a_name_that_says_a_role_asks_for_it_however_far_down_it_stands() -> None:
    named = SourceColor(INDIGO, name="color-primary", role=Role.PRIMARY)
    again = SourceColor(GOLD, name="brand", role=Role.PRIMARY)
    found = candidates_of("list", [*many(30), named, again])
    assert [(one.hex, one.choice, one.name) for one in found.candidates][-1:] == [(INDIGO, Role.PRIMARY, "")]
    assert len(found.candidates) == MOST_CANDIDATES


def test_a_choice_goes_before_a_name() -> None:
    named = SourceColor(INDIGO, name="primary", role=Role.PRIMARY)
    chosen = SourceColor(GOLD, name="Gold", choice=Role.PRIMARY)
    found = candidates_of("list", [named, chosen]).candidates
    assert [(one.hex, one.choice) for one in found] == [(INDIGO, None), (GOLD, Role.PRIMARY)]


def test_what_is_left_out_takes_no_place() -> None:
    left = [color._replace(choice="leave out") for color in many(12)]
    found = candidates_of("list", [*left, SourceColor(GOLD, choice="keep")])
    assert found.of_color[-1] is not None
    assert len(found.candidates) == MOST_CANDIDATES
