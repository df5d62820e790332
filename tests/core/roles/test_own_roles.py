"""The designer's own roles: keys from names in any script, and nothing left behind."""

from __future__ import annotations

from dataclasses import replace

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from tests.sampling import examples
from tests.takes import TAKE
from tonada.core.color.wcag import Usage
from tonada.core.errors import TakeError
from tonada.core.pairs.evaluation import evaluate
from tonada.core.roles.own_roles import add_own_role, idle_target, remove_role
from tonada.core.roles.suggest import suggest_roles
from tonada.core.take.parts import OWN_ROLE, Assignment, SchemeRoles
from tonada.core.take.proof_settings import ChosenSlot, Element, GroundSettings, PictureTone, PlacedPicture
from tonada.core.take.take import Pair, Role
from tonada.document.take import TakeDocument

AT = ("s1", 8)
EMPTY = TakeDocument().to_take()


def key_of(name: str) -> str:
    return add_own_role(TAKE, name, AT).roles[-1].role


@pytest.mark.parametrize(
    ("name", "key"),
    [
        ("Call Out!", "own-call-out"),
        ("  Émile’s badge ", "own-emiles-badge"),
        ("Кнопка", "own-role"),
        ("徽章 7", "own-7"),
        ("!", "own-role"),
        ("x" * 40, f"own-{'x' * 32}"),
    ],
)
def test_a_key_is_made_from_a_name_in_any_script(name: str, key: str) -> None:
    assert key_of(name) == key


@given(st.lists(st.text(min_size=1, max_size=40).filter(str.strip), min_size=1, max_size=5))
@settings(max_examples=examples(60), deadline=None)
def test_every_name_gets_a_key_of_its_own_that_a_take_allows(names: list[str]) -> None:
    take = TAKE
    for name in names:
        take = add_own_role(take, name, AT)
    own = take.roles[-len(names) :]
    assert len({one.role for one in take.roles}) == len(take.roles)
    assert all(OWN_ROLE.match(one.role) for one in own)
    assert [one.name for one in own] == [name.strip() for name in names]


def test_it_is_there_by_day_and_by_night_and_goes_with_all_that_refers_to_it() -> None:
    take = suggest_roles(TAKE)[0]
    added = add_own_role(take, "Badge", AT)
    assert added.other
    assert (added.roles[-1].role, added.other.roles[-1].role) == ("own-badge", "own-badge")
    pair = Pair("added-1", "own-badge", Role.PAPER, Usage.BODY_TEXT, "A badge")
    used = GroundSettings(Role.PAPER, uses=((Element.LINK, "own-badge"), (Element.TEXT, Role.INK)))
    full = replace(
        added,
        pairs=(*added.pairs, pair),
        grounds=(used, GroundSettings("own-1", "Badge", "own-badge")),
        slots=(ChosenSlot("five-slots", "Badge", "own-badge"),),
        proof=replace(
            added.proof,
            picture_tone=PictureTone("duotone", Role.INK, "own-badge"),
            pictures=(PlacedPicture("home", "Picture", "a", tone=PictureTone("tinted", tint="own-badge")),),
        ),
        other=replace(added.other, pairs=(*added.other.pairs, pair), grounds=(used,)),
    )
    evaluate(full)
    removed = remove_role(full, "own-badge")
    assert removed.other
    assert (removed.roles, removed.pairs, removed.slots) == (take.roles, take.pairs, ())
    assert removed.proof == replace(take.proof, pictures=(PlacedPicture("home", "Picture", "a"),))
    assert removed.grounds == removed.other.grounds == (replace(used, uses=((Element.TEXT, Role.INK),)),)
    assert take.other
    assert (removed.other.roles, removed.other.pairs) == (take.other.roles, take.other.pairs)
    evaluate(removed)


def test_what_every_take_has_stays() -> None:
    for role in (Role.PRIMARY, Role.INK):
        with pytest.raises(TakeError, match="Every take has"):
            remove_role(TAKE, role)
    with pytest.raises(TakeError, match="no role “own-nothing”"):
        remove_role(TAKE, "own-nothing")


def test_a_role_needs_a_name_and_a_colour() -> None:
    with pytest.raises(TakeError, match="a name"):
        add_own_role(TAKE, "  ", AT)
    with pytest.raises(TakeError):
        add_own_role(TAKE, "Badge", ("nowhere", None))


def test_a_new_role_goes_to_what_has_nothing_to_do_by_day_or_by_night() -> None:
    bare = replace(TAKE, roles=(), pairs=(), other=None)
    first, second = (swatch.id for swatch in TAKE.swatches[:2])
    assert idle_target(bare) == (first, None)
    busy = (Assignment("primary", first, "", step=3),)
    assert idle_target(replace(bare, roles=busy)) == (second, None)
    assert idle_target(replace(bare, other=SchemeRoles(busy, ()))) == (second, None)


def test_where_every_colour_is_busy_the_first_gets_the_new_role() -> None:
    busy = tuple(Assignment(f"own-{swatch.id}", swatch.id, "", name="Busy") for swatch in TAKE.swatches)
    assert idle_target(replace(TAKE, roles=busy, pairs=(), other=None)) == (TAKE.swatches[0].id, None)
    with pytest.raises(TakeError, match="needs a colour"):
        idle_target(EMPTY)
