"""Pairs that grounds make: one for each element that fails or was changed by hand, and for no other."""

from __future__ import annotations

from collections import Counter
from dataclasses import replace

from hypothesis import given
from hypothesis import strategies as st

from tests.strategies import hexes
from tests.takes import TAKE
from tonada.core.color.wcag import Level
from tonada.core.pairs.ground_pairs import ground_pairs
from tonada.core.proof.grounds import choices_of, set_use
from tonada.core.take.proof_settings import Element
from tonada.core.take.take import Role, Take

ROLES = [one.role for one in TAKE.roles]


@st.composite
def takes(draw: st.DrawFn) -> Take:
    """Takes of any colours, with some of the roles, whose texts may be too small for what they were."""
    swatches = tuple(replace(one, hex=draw(hexes)) for one in TAKE.swatches)
    left = draw(st.sets(st.sampled_from(ROLES), max_size=6))
    roles = tuple(one for one in TAKE.roles if one.role not in left)
    neutrals = TAKE.neutrals if draw(st.booleans()) else ()
    level: Level = draw(st.sampled_from(["AA", "AAA"]))
    here = {one.id for one in swatches} | {one.id for one in neutrals}
    roles = tuple(one for one in roles if one.swatch in here)
    take = Take(swatches, roles, (), level, neutrals=neutrals)
    if take.has_role(Role.PRIMARY) and draw(st.booleans()):
        element = draw(st.sampled_from([Element.TEXT, Element.LINK, Element.ERROR, Element.LABEL]))
        take = set_use(take, Role.PRIMARY, element, take.swatches[draw(st.integers(0, 3))].id)
    return take


def expected(take: Take) -> list[tuple[str, Element]]:
    """Return the grounds and elements that a pair is made for, all rules gone through."""
    return [
        (ground, one.element)
        for ground, choices in choices_of(take)
        for one in choices.values()
        if one.key != one.by_rule or one.ratio < one.needed
    ]


@given(takes())
def test_what_cannot_fail_is_left_out_and_nothing_else(take: Take) -> None:
    assert [(one.place.ground, one.place.element) for one in ground_pairs(take)] == expected(take)


def test_any_element_can_be_among_them() -> None:
    """So that the test before says something: on a middle grey nothing has 7 to 1."""
    swatches = tuple(replace(one, hex="#808080") for one in TAKE.swatches)
    kept = {one.id for one in swatches}
    take = Take(swatches, tuple(one for one in TAKE.roles if one.swatch in kept), level="AAA")
    made = Counter(one.place.element for one in ground_pairs(take))
    assert set(made) >= {Element.TEXT, Element.QUIET, Element.LINK, Element.LABEL}
    assert [(one.place.ground, one.place.element) for one in ground_pairs(take)] == expected(take)
