"""Paints of drawn pictures: colours of the take, lighter and darker ones where they should be."""

from __future__ import annotations

from dataclasses import replace

from hypothesis import given, settings

from tests.sampling import examples
from tests.strategies import hexes
from tests.takes import TAKE, take_of
from tonada.core.color.contrast import luminance_of
from tonada.core.color.spaces import hex_to_oklch
from tonada.core.proof.paints import paints_of
from tonada.core.take.take import Role, Take

NAMES = [
    *(f"{role}{word}" for role in ("primary", "secondary", "accent") for word in ("", " light", " dark")),
    "paper",
    "mist",
    "deep",
    "skin",
    "skin dark",
    "leaf",
    "sky",
    "light",
]


@given(hexes)
@settings(max_examples=examples(25), deadline=None)
def test_each_paint_is_a_colour_of_the_take_and_light_is_lighter_than_dark(value: str) -> None:
    for take in (take_of(value), take_of(value).turned()):
        paints = {one.name: one for one in paints_of(take)}
        assert list(paints) == NAMES
        assert all(take.color_of(one.key) == one.hex for one in paints.values())
        for role in ("primary", "secondary", "accent"):
            light, dark = paints[f"{role} light"], paints[f"{role} dark"]
            assert luminance_of(light.hex) > luminance_of(dark.hex)


def test_another_role_lends_what_is_missing_and_without_primary_there_is_nothing() -> None:
    kept = (Role.PRIMARY, Role.PAPER)
    bare = replace(TAKE, roles=tuple(one for one in TAKE.roles if one.role in kept), pairs=(), other=None)
    paints = {one.name: one.key for one in paints_of(bare)}
    assert (paints["secondary"], paints["accent"], paints["mist"]) == ("primary", "primary", "paper")
    assert paints_of(Take()) == ()


HUES = {"skin": (30, 95), "skin dark": (30, 95), "leaf": (40, 180), "sky": (205, 290)}


@given(hexes)
@settings(max_examples=examples(25), deadline=None)
def test_nobody_has_a_blue_face_and_no_sky_is_green(value: str) -> None:
    for take in (take_of(value), take_of(value).turned()):
        paints = {one.name: one.hex for one in paints_of(take)}
        for name, (first, last) in HUES.items():
            lightness, chroma, hue = hex_to_oklch(paints[name])
            is_neutral = chroma < 0.06 or lightness < 0.3
            assert is_neutral or first <= hue <= last, (name, paints[name])


def test_a_brand_with_the_colours_of_nature_lends_them() -> None:
    paints = {one.name: one.hex for one in paints_of(TAKE)}
    assert 30 <= hex_to_oklch(paints["skin"])[2] <= 95, "from its clay"
    assert 205 <= hex_to_oklch(paints["sky"])[2] <= 290, "from its indigo"
