"""Own grounds, sections on other grounds, sizes and slots: only what departs from the rule is kept."""

from __future__ import annotations

import pytest

from tests.takes import TAKE
from tonada.core.errors import TakeError
from tonada.core.handoff.slots import choose_slot, chosen_slots
from tonada.core.proof.arranging import add_ground, forget_ground, remove_ground, stand_as_usual, stand_on
from tonada.core.proof.grounds import grounds_of, set_use
from tonada.core.proof.type_sizes import set_narrow_size, set_size
from tonada.core.roles.suggest import derive_night
from tonada.core.take.proof_settings import Element, GroundSettings, TextSize
from tonada.core.take.take import Role


def test_an_added_ground_stands_after_those_of_the_rule() -> None:
    take = add_ground(add_ground(TAKE, "Dawn", "s2"), "Dusk", Role.DEEP)
    assert [(one.id, one.name) for one in grounds_of(take)[-2:]] == [
        ("ground-1", "Dawn"),
        ("ground-2", "Dusk"),
    ]
    with pytest.raises(TakeError):
        add_ground(TAKE, "Nothing", "s9")


def test_the_same_id_is_not_given_by_day_and_by_night_to_two_grounds() -> None:
    night = add_ground(derive_night(TAKE)[0].turned(), "Dusk", "s1")
    assert add_ground(night.turned(), "Dawn", "s2").grounds[-1].id == "ground-2"


def test_removed_its_sections_go_back_to_their_usual_ground() -> None:
    take = stand_on(add_ground(TAKE, "Dawn", "s2"), "home", {"opening": "ground-1", "footer": "deep"})
    left = remove_ground(take, "ground-1")
    assert left.grounds == ()
    assert left.proof.sections == (("home", "footer", "deep"),)
    for unknown in ("ground-1", Role.PAPER):
        with pytest.raises(TakeError):
            remove_ground(left, unknown)


def test_sections_stay_where_the_ground_is_still_there_in_the_other_scheme() -> None:
    both = derive_night(add_ground(TAKE, "Dawn", "s2"))[0]
    night = set_use(both.turned(), "paper", Element.LINK, "s1")
    by_night = add_ground(night, "Dusk", "s1")
    stood = stand_on(by_night, "home", {"opening": by_night.grounds[-1].id})
    gone = remove_ground(stood, by_night.grounds[-1].id)
    assert gone.proof.sections == ()
    kept = remove_ground(stand_on(stood.turned(), "home", {"opening": "ground-1"}), "ground-1")
    assert kept.other == stood.turned().other


def test_sections_are_said_once_and_given_back_by_page() -> None:
    take = stand_on(
        stand_on(TAKE, "home", {"opening": "deep"}), "home", {"opening": "mist", "footer": "deep"}
    )
    assert take.proof.sections == (("home", "opening", "mist"), ("home", "footer", "deep"))
    both = stand_on(take, "mail", {"opening": "mist"})
    assert stand_as_usual(both, "home").proof.sections == (("mail", "opening", "mist"),)


def test_a_ground_given_back_to_the_rule_keeps_its_own_colour() -> None:
    own = set_use(add_ground(TAKE, "Dawn", "s2"), "ground-1", Element.LINK, "s1")
    assert forget_ground(own, "ground-1").grounds == (GroundSettings("ground-1", "Dawn", "s2"),)
    assert forget_ground(set_use(TAKE, "paper", Element.LINK, "s2"), "paper") == TAKE
    assert forget_ground(TAKE, "paper") == TAKE


def test_sizes_are_said_once_for_each_style_and_width() -> None:
    take = set_size(set_size(TAKE, "h1", 40, 700), "h1", 44, 600)
    assert take.proof.sizes == (("h1", TextSize(44, 600)),)
    narrow = set_narrow_size(set_narrow_size(take, "phone", "h1", 30), "phone", "h1", 28)
    both = set_narrow_size(narrow, "tablet", "h1", 36)
    assert both.proof.narrow_sizes == (("phone", "h1", 28), ("tablet", "h1", 36))
    assert set_narrow_size(both, "phone", "h1", None).proof.narrow_sizes == (("tablet", "h1", 36),)


def test_a_slot_is_filled_by_hand_and_given_back() -> None:
    take = choose_slot(choose_slot(TAKE, "d1", "text", "s1"), "d1", "text", "s2")
    assert chosen_slots(take, "d1") == {"text": "s2"}
    assert choose_slot(take, "d1", "text", None) == TAKE
    assert choose_slot(take, "d2", "text", None) == take
    with pytest.raises(TakeError):
        choose_slot(TAKE, "d1", "text", "s1/99")
