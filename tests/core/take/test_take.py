"""The take as a value: what contradicts itself is refused."""

from __future__ import annotations

from dataclasses import replace
from typing import Any

import pytest

from tests.takes import TAKE, TYPED
from tonada.core.color.wcag import Usage
from tonada.core.errors import TakeError
from tonada.core.take.recolor import recolor
from tonada.core.take.take import Assignment, Pair, Role, Swatch, Take

SWATCH = Swatch("s1", "Indigo", "#2b3a8c", False, TYPED)


@pytest.mark.parametrize(
    ("parts", "field"),
    [
        pytest.param({"swatches": (replace(SWATCH, hex="#2B3A8C"),)}, "swatches.0.hex", id="hex in capitals"),
        pytest.param({"swatches": (SWATCH, SWATCH)}, "swatches", id="an id twice"),
        pytest.param({"roles": (Assignment(Role.INK, "s9", ""),)}, "roles.0.swatch", id="role of nothing"),
        pytest.param(
            {"swatches": (SWATCH,), "roles": (Assignment(Role.INK, "s1", ""),) * 2},
            "roles.1.role",
            id="role twice",
        ),
        pytest.param(
            {"pairs": (Pair("p", Role.INK, Role.PAPER, Usage.LINK, ""),)},
            "pairs.0.text",
            id="pair of no role",
        ),
    ],
)
def test_a_take_that_contradicts_itself_is_refused(parts: dict[str, Any], field: str) -> None:
    with pytest.raises(TakeError) as refused:
        Take(**parts)
    assert refused.value.field == field


def test_two_pairs_with_one_id_are_refused() -> None:
    with pytest.raises(TakeError):
        replace(TAKE, pairs=(TAKE.pairs[0], TAKE.pairs[0]))


def test_recoloring_a_swatch_moves_all_that_points_at_it() -> None:
    link = TAKE.swatch_of(Role.LINK)
    assert link is not None
    moved = recolor(TAKE, link.id, "#101010", "by a test")
    assert all(moved.hex_of(role) == "#101010" for role in TAKE.roles_of(link.id))
