"""Names come from places in colour space and are never missing."""

from __future__ import annotations

from itertools import product
from pathlib import Path

import numpy as np
import pytest
from hypothesis import given

from tests.sampling import IS_LONG
from tests.strategies import hexes
from tonada.core.color.hue_rules import nearest_of_hue
from tonada.core.color.naming import TERMS, color_name, term_of, unused_name
from tonada.core.color.spaces import hex_to_oklch, srgb8_to_hex

# Names that people gave to colours: from the colour survey of xkcd (2010; in the public domain, CC0), those
# that are made of colour terms alone.
SURVEY = Path(__file__).parent / "survey.tsv"
# Where one is meant, these would not be wrong.
ALIKE = {
    "beige": "tan yellow",
    "brown": "tan mustard olive maroon red orange",
    "coral": "orange pink salmon red",
    "cyan": "turquoise blue teal",
    "gold": "yellow mustard orange",
    "green": "teal lime turquoise olive",
    "indigo": "blue purple violet navy",
    "lavender": "purple violet blue pink",
    "lime": "green yellow",
    "magenta": "pink purple",
    "maroon": "red brown plum purple",
    "mustard": "gold yellow brown olive",
    "navy": "blue indigo",
    "olive": "green mustard brown",
    "peach": "orange pink salmon",
    "pink": "salmon magenta coral peach red purple",
    "plum": "purple maroon",
    "teal": "turquoise green blue cyan",
    "turquoise": "teal cyan green blue",
    "violet": "purple blue lavender plum",
    "white": "beige",
}


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
        ("#79543a", "Brown"),
        ("#819109", "Olive"),
        ("#d67380", "Pink"),
        ("#a12ac2", "Vivid purple"),
        ("#e0c7c6", "Pinkish grey"),
        ("#747892", "Bluish grey"),
        ("#2b3a8c", "Indigo"),
    ],
)
def test_plain_colors_have_plain_names(value: str, name: str) -> None:
    assert color_name(value) == name


def asked() -> list[tuple[str, str]]:
    """Return each colour of the survey with the term that its name ends in."""
    rows = (line.split("\t") for line in SURVEY.read_text().splitlines())
    return [(value, name.split()[-1]) for value, name in rows]


def bare(term: str) -> str:
    """“Pinkish grey” as grey, “off-white” as white."""
    last = term.split()[-1].removeprefix("off-")
    return "grey" if last == "charcoal" else last


def is_alike(one: str, other: str) -> bool:
    return one == other or other in ALIKE.get(one, "").split() or one in ALIKE.get(other, "").split()


def test_the_terms_are_those_that_people_use() -> None:
    named = [(value, said, bare(term_of(value))) for value, said in asked()]
    assert len(named) > 300
    same = [row for row in named if row[1] == row[2]]
    wrong = [row for row in named if not is_alike(row[1], row[2])]
    # “Blue green” is a green to the survey and teal to us: half is plenty.
    assert len(same) >= 0.5 * len(named)
    assert len(wrong) <= 0.08 * len(named), wrong


@given(hexes)
def test_a_near_grey_is_called_one_and_a_strong_color_never(value: str) -> None:
    lightness, chroma, _ = hex_to_oklch(value)
    is_grey = term_of(value).split()[-1] in ("grey", "white", "black", "charcoal", "off-white")
    if chroma < 0.02:
        assert is_grey
    if chroma > 0.05 and lightness > 0.15:
        assert not is_grey


def test_every_place_has_a_term_and_every_term_a_place() -> None:
    counted = product(range(4, 41), range(13), range(0, 360, 5 if IS_LONG else 10))
    places = np.array(list(counted)) / (40, 40, 1)
    met = {term_of(value) for value in {srgb8_to_hex(color) for color in nearest_of_hue(places)}}
    assert {term.name for term in TERMS} <= met


def test_a_name_that_is_taken_gets_a_number() -> None:
    assert unused_name("Grey", {"Grey", "Grey 2"}) == "Grey 3"
