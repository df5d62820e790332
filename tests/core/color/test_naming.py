"""Names come from places in colour space and are never missing."""

from __future__ import annotations

import pytest
from hypothesis import given

from tests.strategies import hexes
from tonada.core.color.naming import color_name, unlike


@given(hexes)
def test_every_color_has_a_short_name(value: str) -> None:
    name = color_name(value)
    assert name[0].isupper()
    assert 0 < len(name.split()) <= 2


@pytest.mark.parametrize(
    ("value", "name"),
    [
        ("#000000", "Black"),
        ("#ffffff", "White"),
        ("#808080", "Grey"),
        ("#ff0000", "Vivid red"),
        ("#7a3b10", "Brown"),
    ],
)
def test_plain_colors_have_plain_names(value: str, name: str) -> None:
    assert color_name(value) == name


def test_a_name_that_is_taken_gets_a_number() -> None:
    assert unlike("Grey", {"Grey", "Grey 2"}) == "Grey 3"
