"""A palette for what is free: held colours and their roles stay, all else passes."""

from __future__ import annotations

from dataclasses import replace

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from tests.sampling import examples
from tests.takes import TAKE
from tonada.core.errors import InputError
from tonada.core.mends.shortfalls import shortfalls
from tonada.core.pairs.evaluation import evaluate
from tonada.core.ready.filling import fill_free
from tonada.core.ready.palette import BRAND, ReadyPalette, RoleColor, checked_colors
from tonada.core.ready.shipped import shipped_palettes
from tonada.core.ready.taking import palette_from
from tonada.core.take.parts import Assignment, Origin, Overlay, Pair, Role, Swatch
from tonada.core.take.take import Take

ALL = shipped_palettes()


def holding(*roles: Role) -> Take:
    """Return the take of three colours with only the swatches of some roles held."""
    kept = {TAKE.assignment(role).swatch for role in roles}
    return replace(TAKE, swatches=tuple(replace(one, held=one.id in kept) for one in TAKE.swatches))


def brand_of(take: Take) -> dict[str, str]:
    return {str(role): take.hex_of(role) for role in BRAND if take.has_role(role)}


@pytest.mark.parametrize("held", [(), (Role.PRIMARY,), (Role.ACCENT,), (Role.PRIMARY, Role.SECONDARY)])
@pytest.mark.parametrize("palette", ALL[::60], ids=lambda one: one.id)
def test_held_colours_and_their_roles_stay_and_free_ones_are_the_palettes(
    held: tuple[Role, ...], palette: ReadyPalette
) -> None:
    take = holding(*held)
    made, _ = fill_free(take, palette.colors, palette.name)
    for role in held:
        assert made.assignment(role).swatch == take.assignment(role).swatch
        assert made.swatch_of(role) == take.swatch_of(role)
    for role in (Role.PRIMARY, Role.SECONDARY, Role.ACCENT):
        if role not in held:
            assert made.hex_of(role) in {one.hex for one in palette.colors} | set(made_partners(made))
    assert made.hex_of(Role.PAPER) == palette.by_role[Role.PAPER]
    assert made.other is not None
    if not held:
        assert shortfalls(made) == ()
        assert evaluate(made).failing == 0


def made_partners(take: Take) -> list[str]:
    """Return what was made since the palette's own colour could be taken for a held one."""
    return [take.hex_of(one.role) for one in take.roles if one.reason != "As the palette has it."]


@given(st.sampled_from(ALL), st.sampled_from([(), (Role.PRIMARY,), (Role.SECONDARY, Role.ACCENT)]))
@settings(max_examples=examples(15), deadline=None)
def test_whatever_falls_short_is_said(palette: ReadyPalette, held: tuple[Role, ...]) -> None:
    made, _ = fill_free(holding(*held), palette.colors, palette.name)
    failing = evaluate(made).failing + evaluate(made.turned()).failing
    assert len(shortfalls(made)) == failing


def test_what_points_at_a_free_swatch_follows_it() -> None:
    accent = TAKE.assignment(Role.ACCENT).swatch
    take = replace(
        holding(Role.PRIMARY),
        overlays=(Overlay("o1", "Veil", accent, 0.5),),
        pairs=(*TAKE.pairs, Pair("mine", accent, Role.PAPER, "large text", "Mine")),
        roles=(*TAKE.roles, Assignment("own-badge", accent, "", name="Badge")),
    )
    made, _ = fill_free(take, ALL[0].colors, ALL[0].name)
    assert made.overlays == take.overlays
    assert made.has_role("own-badge")
    assert made.hex_of("own-badge") == made.hex_of(Role.ACCENT)
    assert any(pair.id == "mine" for pair in made.pairs)


def test_by_night_in_front_it_is_the_whole_take_that_changes() -> None:
    made, _ = fill_free(holding(Role.PRIMARY).turned(), ALL[0].colors, ALL[0].name)
    assert made.scheme == "day"
    assert made.hex_of(Role.PAPER) == ALL[0].by_role[Role.PAPER]


def test_a_colour_that_could_be_taken_for_a_held_one_gives_way() -> None:
    primary = TAKE.hex_of(Role.PRIMARY)
    colors = checked_colors({Role.PRIMARY: "#8a3f24", Role.SECONDARY: primary, Role.ACCENT: "#e0a84a"})
    made, _ = fill_free(holding(Role.PRIMARY), colors, "near")
    assert made.hex_of(Role.SECONDARY) != primary
    assert made.hex_of(Role.ACCENT) == "#e0a84a"
    # Its Primary is held as Accent: then the next colour leads.
    taken = replace(
        holding(Role.ACCENT),
        swatches=tuple(
            replace(one, hex="#8a3f24") if one.id == TAKE.assignment(Role.ACCENT).swatch else one
            for one in holding(Role.ACCENT).swatches
        ),
    )
    led, _ = fill_free(taken, checked_colors({Role.PRIMARY: "#8a3f24", Role.SECONDARY: "#2f6273"}), "near")
    assert led.hex_of(Role.PRIMARY) == "#2f6273"
    # And where it has none, Primary stays as it was.
    kept, _ = fill_free(taken, checked_colors({Role.PRIMARY: "#8a3f24"}), "near")
    assert kept.hex_of(Role.PRIMARY) == taken.hex_of(Role.PRIMARY)
    accent = Swatch("s1", "Brick", "#8a3f24", True, Origin("typed", "typed"))
    lonely = Take((accent,), (Assignment(Role.ACCENT, "s1", ""),))
    with pytest.raises(InputError, match="is held"):
        fill_free(lonely, checked_colors({Role.PRIMARY: "#8a3f24"}), "near")


def test_free_swatches_without_a_role_stay_unless_they_had_one() -> None:
    spare = Swatch("spare", "Spare", "#123456", False, Origin("typed", "typed"))
    four = checked_colors({Role.PRIMARY: "#8a3f24", Role.ACCENT: "#e0a84a", Role.ACCENT_2: "#2f6273"})
    with_second, _ = fill_free(replace(holding(), swatches=(*holding().swatches, spare)), four, "four")
    assert with_second.has_role(Role.ACCENT_2)
    again, _ = fill_free(with_second, ALL[0].colors, ALL[0].name)
    assert not again.has_role(Role.ACCENT_2)
    assert "#2f6273" not in {one.hex for one in again.swatches}
    assert again.swatch("spare").hex == "#123456"


def test_an_empty_take_becomes_the_palette() -> None:
    made, impossible = fill_free(Take(), ALL[2].colors, ALL[2].name)
    assert impossible == ()
    assert brand_of(made) == {str(one.role): one.hex for one in ALL[2].colors if one.role in set(BRAND)}
    assert shortfalls(made) == ()


def test_a_take_as_a_palette_is_what_it_has_by_day() -> None:
    assert palette_from(TAKE) == palette_from(TAKE.turned())
    kept = {one.role: one.hex for one in palette_from(TAKE)}
    assert kept[Role.PAPER] == TAKE.hex_of(Role.PAPER)
    assert set(kept) == {role for role in kept if TAKE.has_role(role)}
    with pytest.raises(InputError, match="Primary"):
        palette_from(Take())
    assert all(isinstance(one, RoleColor) for one in palette_from(TAKE))
