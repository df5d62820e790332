"""How palettes are drawn, refused, chosen and named."""

from __future__ import annotations

from dataclasses import replace

import numpy as np
import pytest

from tonada.core.harmony.character import CHARACTERS
from tonada.core.harmony.hue_families import hue_count
from tonada.core.ready.choosing import Chooser, fault_of
from tonada.core.ready.distance import palette_distances, places_of
from tonada.core.ready.drawing import Wish, draw, most_calm_chroma
from tonada.core.ready.names import named, things_for
from tonada.core.ready.palette import (
    ReadyPalette,
    RoleColor,
    checked_colors,
    traits_of,
)
from tonada.core.ready.shipped import shipped_palettes
from tonada.core.ready.vocabulary import PLACES, THINGS
from tonada.core.source.mood_words import FIELDS, WORDS
from tonada.core.take.parts import Role

GOOD = {
    Role.PRIMARY: "#8a3f24",
    Role.SECONDARY: "#2f6273",
    Role.ACCENT: "#e0a84a",
    Role.PAPER: "#fbf7f1",
    Role.MIST: "#eee3d4",
    Role.INK: "#2a1b14",
}


def colors(**changed: str) -> tuple[RoleColor, ...]:
    return checked_colors(GOOD | {Role(role): value for role, value in changed.items()})


def palette(key: str, **changed: str) -> ReadyPalette:
    made = colors(**changed)
    return ReadyPalette(key, "", made, traits_of(made), ("warm",), ("craft",))


@pytest.mark.parametrize("hues", [1, 2, 3, 4])
@pytest.mark.parametrize("ground", ["light", "dark"])
def test_the_same_wish_and_seed_draw_the_same_with_so_many_hues_at_most(hues: int, ground: str) -> None:
    wish = Wish(WORDS["warm"], FIELDS["craft"], hues, ground, CHARACTERS["crisp"])
    for seed in range(8):
        drawn = draw(wish, seed)
        assert drawn == draw(wish, seed)
        assert traits_of(drawn).ground == ground
        brand = [one.hex for one in drawn if one.role in (Role.PRIMARY, Role.SECONDARY, Role.ACCENT)]
        assert hue_count(brand) <= hues + 1
    assert draw(wish, 1) != draw(wish, 2)


@pytest.mark.parametrize(
    ("changed", "fault"),
    [
        pytest.param({}, None, id="a good one"),
        pytest.param({"primary": "#2a3f9e", "secondary": "#7d7a2a"}, "drab", id="mud"),
        pytest.param({"accent": "#7d7a2a"}, "drab accent", id="an accent of mud"),
        pytest.param({"accent": "#39ff8c"}, "glares", id="neon"),
        pytest.param(
            {"secondary": "#d9b48a", "accent": "#9a4a2c"},
            "accent near the lead",
            id="an accent like the lead",
        ),
        pytest.param({"accent": "#b9b4ad"}, "grey accent", id="a grey accent"),
        pytest.param({"secondary": "#f2eee6"}, "lost on the page", id="paler than the page allows"),
        pytest.param({"secondary": "#26394f", "primary": "#5a2a24"}, "blur", id="two equal darks"),
        pytest.param({"primary": "#1f1a05", "secondary": "#2f6273"}, "brown black", id="a brown black"),
        pytest.param({"paper": "#2a1c05", "mist": "#35260e", "ink": "#f4ece0"}, "brown black", id="soup"),
        pytest.param({"primary": "#8a3f24", "secondary": "#8d4427"}, "confused", id="two that are the same"),
    ],
)
def test_each_rule_throws_out_what_it_is_for(changed: dict[str, str], fault: str | None) -> None:
    assert fault_of(colors(**changed)) == fault


def test_calm_chroma_is_less_for_light_greens_and_all_for_reds() -> None:
    assert most_calm_chroma(0.9, 140) < most_calm_chroma(0.78, 140) < most_calm_chroma(0.5, 140)
    assert most_calm_chroma(0.6, 25) == 0.5


def test_the_farthest_is_taken_and_a_twin_never() -> None:
    pool = [
        palette("first"),
        palette("twin", primary="#8b4025"),
        palette("near", primary="#a3512f"),
        palette("far", primary="#1d4f8a", secondary="#7a2f6b"),
    ]
    chooser = Chooser(pool)
    every = np.ones(4, dtype=bool)
    taken = [chooser.take(every) for _ in range(4)]
    assert taken[:2] == [0, 3]
    assert taken[-1] is None
    assert 1 not in taken
    some = Chooser(pool)
    assert some.fill(np.array([False, False, True, True]), 1) == 1
    assert some.fill(np.array([False, False, True, True]), 9) == 2


def test_distance_ignores_which_brand_role_a_colour_has_but_not_its_share() -> None:
    one, swapped, other = (
        palette("a"),
        palette("b", secondary="#e0a84a", accent="#2f6273"),
        palette("c", primary="#1d4f8a"),
    )
    places = places_of([one, swapped, other])
    away = palette_distances(places[0], places)
    assert away[0] == 0
    assert away[1] < away[2]
    assert np.allclose(away[1], palette_distances(places[1], places)[0])


def test_names_are_of_things_that_have_the_colour_and_are_never_given_twice() -> None:
    same = [palette(str(number)) for number in range(40)]
    names = named(same)
    assert len(set(names)) == 40
    assert named(same) == names
    assert all(name.split()[0] in things_for(GOOD[Role.PRIMARY]) for name in names)
    with pytest.raises(LookupError, match="no name is left"):
        named([palette(str(number)) for number in range(4000)])


def test_a_grey_lead_has_a_name_too() -> None:
    grey = palette("grey", primary="#5a5a5a")
    assert named([grey])[0].split()[0] in THINGS["grey"].middle


def test_every_mood_has_places() -> None:
    assert set(PLACES) == set(WORDS)


def test_what_ships_was_named_by_these_rules() -> None:
    shipped = shipped_palettes()
    assert named([replace(one, name="") for one in shipped]) == [one.name for one in shipped]
