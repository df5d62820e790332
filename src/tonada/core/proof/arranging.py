"""Grounds of the designer's own, and which ground each section of a page stands on."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import replace
from typing import Final

from tonada.core.errors import TakeError
from tonada.core.proof.grounds import STANDARD_GROUNDS
from tonada.core.take.parts import free_id
from tonada.core.take.proof_settings import GroundSettings
from tonada.core.take.take import Take

# What the ids of added grounds begin with.
ADDED: Final = "ground-"


def add_ground(take: Take, name: str, key: str) -> Take:
    """Return the take with one more ground. key: of its colour.

    Raises TakeError for a colour that isn't there.
    """
    take.color_of(key)
    there = (*take.grounds, *(take.other.grounds if take.other else ()))
    made = GroundSettings(free_id(ADDED, {entry.id for entry in there}), name, key)
    return replace(take, grounds=(*take.grounds, made))


def forget_ground(take: Take, ground: str) -> Take:
    """Return the take with every element of a ground given back to the rule."""
    kept = tuple(replace(one, uses=()) if one.id == ground else one for one in take.grounds)
    return replace(take, grounds=tuple(entry for entry in kept if entry != GroundSettings(entry.id)))


def remove_ground(take: Take, ground: str) -> Take:
    """Return the take without an added ground; sections that stood on it go back to their usual one.

    A scheme in which it is still there keeps it, and then its sections stay, too.
    Raises TakeError for a ground of the rule, or one that isn't there.
    """
    if ground in STANDARD_GROUNDS or all(one.id != ground for one in take.grounds):
        raise TakeError(f"There is no ground of your own called “{ground[:40]}” here.", field="ground")
    left = replace(take, grounds=tuple(one for one in take.grounds if one.id != ground))
    if take.other and any(one.id == ground for one in take.other.grounds):
        return left
    sections = tuple(section for section in take.proof.sections if section[2] != ground)
    return replace(left, proof=replace(take.proof, sections=sections))


def stand_on(take: Take, page: str, grounds: Mapping[str, str]) -> Take:
    """Return the take with sections of a page on other grounds. grounds: ids, by section."""
    kept = tuple(
        section for section in take.proof.sections if section[0] != page or section[1] not in grounds
    )
    arranged = tuple((page, section, ground) for section, ground in grounds.items())
    return replace(take, proof=replace(take.proof, sections=(*kept, *arranged)))


def stand_as_usual(take: Take, page: str) -> Take:
    """Return the take with every section of a page on its usual ground."""
    kept = tuple(section for section in take.proof.sections if section[0] != page)
    return replace(take, proof=replace(take.proof, sections=kept))
