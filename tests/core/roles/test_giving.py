"""Roles given by hand: what moves, what follows, what goes away, and what stays."""

from __future__ import annotations

from dataclasses import replace

import pytest

from tests.takes import TAKE, take_of
from tonada.core.color.contrast import ratio_between
from tonada.core.errors import TakeError
from tonada.core.roles.giving import CHOSEN, adopt, give_role, swap_roles
from tonada.core.take.parts import Origin
from tonada.core.take.take import Neutral, Role, Take

FROM_A_LOGO = Origin("source", "from a logo", "x", 0.2)


def text_of(take: Take, pair_id: str) -> str:
    return next(pair.text for pair in take.pairs if pair.id == pair_id)


def made_for(role: Role, take: Take = TAKE) -> str:
    """Return the swatch that Tonada made for a role."""
    return take.assignment(role).swatch


def test_a_role_goes_to_a_step_with_its_reason_and_no_other_role_moves() -> None:
    given = give_role(TAKE, Role.LINK, ("s1", 8))
    link = given.assignment(Role.LINK)
    assert (link.swatch, link.step, link.reason) == ("s1", 8, CHOSEN)
    assert [one for one in given.roles if one.role != Role.LINK] == [
        one for one in TAKE.roles if one.role != Role.LINK
    ]
    assert given.other == TAKE.other


def test_a_heading_that_was_a_step_of_the_old_primary_is_one_of_the_new() -> None:
    take = take_of("#ffd800", "#2b3a8c", "#93fe3e")
    light, dark = (
        next(one.id for one in take.swatches if one.hex == value) for value in ("#ffd800", "#2b3a8c")
    )
    on_light = give_role(take, Role.PRIMARY, (light, None))
    assert text_of(on_light, "primary-on-paper") == "primary/text"
    assert on_light.owner_of("primary/text")[0] == light
    on_dark = give_role(on_light, Role.PRIMARY, (dark, None))
    assert text_of(on_dark, "primary-on-paper") == Role.PRIMARY
    for given in (on_light, on_dark):
        for pair in given.pairs:
            if pair.id in ("primary-on-paper", "label-on-primary"):
                text, ground = given.pair_colors(pair)
                assert ratio_between(text, ground) >= 3


def test_a_text_that_the_designer_chose_stays() -> None:
    pairs = tuple(replace(one, text=Role.DEEP) if one.id == "primary-on-paper" else one for one in TAKE.pairs)
    given = give_role(replace(TAKE, pairs=pairs), Role.PRIMARY, ("s2", None))
    assert text_of(given, "primary-on-paper") == Role.DEEP


def test_another_accent_is_added_by_day_and_by_night() -> None:
    given = give_role(TAKE, Role.ACCENT_2, ("s2", 4))
    assert given.assignment(Role.ACCENT_2).step == 4
    assert given.other is not None
    assert [one.swatch for one in given.other.roles if one.role == Role.ACCENT_2] == ["s2"]


@pytest.mark.parametrize(
    ("role", "target", "field"),
    [
        ("own-call", ("s1", None), "role"),
        (Role.LINK, ("nothing", None), "swatch"),
        (Role.LINK, ("s1", 40), "step"),
    ],
)
def test_what_is_not_there_is_refused(role: str, target: tuple[str, int | None], field: str) -> None:
    with pytest.raises(TakeError) as refused:
        give_role(TAKE, role, target)
    assert refused.value.field == field


def test_swapping_is_by_day_and_by_night_and_twice_is_nothing() -> None:
    swapped = swap_roles(TAKE, Role.PRIMARY, Role.ACCENT)
    for now, before in ((swapped, TAKE), (swapped.turned(), TAKE.turned())):
        assert now.hex_of(Role.PRIMARY) == before.hex_of(Role.ACCENT)
        assert now.hex_of(Role.ACCENT) == before.hex_of(Role.PRIMARY)
    again = swap_roles(swapped, Role.PRIMARY, Role.ACCENT)
    assert [(one.role, one.swatch, one.step) for one in again.roles] == [
        (one.role, one.swatch, one.step) for one in TAKE.roles
    ]
    assert again.pairs == TAKE.pairs
    with pytest.raises(TakeError):
        swap_roles(TAKE, Role.PRIMARY, "own-call")


def test_an_adopted_color_is_held_and_has_a_name_and_an_id_of_its_own() -> None:
    name = TAKE.swatches[0].name
    made = adopt(TAKE, name, "#123456", FROM_A_LOGO, None).swatches[-1]
    assert (made.name, made.hex, made.held, made.origin) == (f"{name} 2", "#123456", True, FROM_A_LOGO)
    assert made.id not in {one.id for one in TAKE.swatches}


def test_a_value_that_is_there_is_used_again() -> None:
    given = adopt(TAKE, "Gold", TAKE.swatches[1].hex, FROM_A_LOGO, Role.DEEP)
    assert len(given.swatches) <= len(TAKE.swatches)
    assert given.assignment(Role.DEEP).swatch == TAKE.swatches[1].id


def with_a_made_paper() -> tuple[Take, str]:
    """Return a take whose Paper, by day only, is a swatch that was made for it."""
    made = adopt(TAKE, "Snow", "#f9fafd", Origin("made", "for Paper"), None)
    snow = replace(made.swatches[-1], held=False)
    made = replace(made, swatches=(*made.swatches[:-1], snow))
    return give_role(made, Role.PAPER, (snow.id, None)), snow.id


def test_what_was_only_made_for_a_role_goes_away() -> None:
    take, snow = with_a_made_paper()
    given = adopt(take, "Milk", "#fffdf8", FROM_A_LOGO, Role.PAPER)
    assert snow not in {one.id for one in given.swatches}
    assert given.hex_of(Role.PAPER) == "#fffdf8"


@pytest.mark.parametrize("because", ["held", "typed", "tints a neutral", "used by night"])
def test_what_is_used_or_wanted_stays(because: str) -> None:
    take, snow = with_a_made_paper()
    swatch = take.swatch(snow)
    if because == "held":
        take = replace(take, swatches=(*take.swatches[:-1], replace(swatch, held=True)))
    elif because == "typed":
        typed = replace(swatch, origin=Origin("typed", "typed by hand"))
        take = replace(take, swatches=(*take.swatches[:-1], typed))
    elif because == "tints a neutral":
        take = replace(take, neutrals=(*take.neutrals, Neutral("n9", "Snow grey", snow)))
    else:
        take = give_role(take.turned(), Role.PAPER, (snow, None)).turned()
    given = adopt(take, "Milk", "#fffdf8", FROM_A_LOGO, Role.PAPER)
    assert snow in {one.id for one in given.swatches}


def test_a_given_color_that_gives_way_gets_what_the_other_one_had() -> None:
    take = take_of("#2b3a8c", "#b6653a", "#c62828")
    red = next(one.id for one in take.swatches if one.hex == "#c62828")
    had = next(role for role in (Role.SECONDARY, Role.ACCENT) if take.hex_of(role) == "#c62828")
    before = take.hex_of(Role.PRIMARY)
    for given in (
        give_role(take, Role.PRIMARY, (red, None)),
        adopt(take, "Red", "#c62828", FROM_A_LOGO, Role.PRIMARY),
    ):
        assert (given.hex_of(Role.PRIMARY), given.hex_of(had)) == ("#c62828", before)
        assert given.turned().hex_of(had) == before
        assert {one.hex for one in given.swatches} == {one.hex for one in take.swatches}


def test_what_was_only_made_for_a_role_just_gives_way() -> None:
    take = take_of("#2b3a8c", "#b6653a")
    accent = take.assignment(Role.ACCENT)
    given = give_role(take, Role.SECONDARY, (accent.swatch, None))
    assert given.assignment(Role.SECONDARY).swatch == given.assignment(Role.ACCENT).swatch == accent.swatch
