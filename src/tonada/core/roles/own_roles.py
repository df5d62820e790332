"""Roles that the designer adds: named, on a colour, and removed with everything that refers to them."""

from __future__ import annotations

import re
import unicodedata
from collections.abc import Collection
from dataclasses import replace
from itertools import count
from typing import Final

from tonada.core.errors import TakeError
from tonada.core.roles.giving import ADDED, CHOSEN
from tonada.core.take.proof_settings import PLAIN, GroundSettings, PictureTone
from tonada.core.take.repoint import Target
from tonada.core.take.take import Assignment, Pair, RoleKey, Take

# A key begins with this; what follows is made from the name, where that has letters or digits of ASCII.
_OWN: Final = "own-"
_NAMELESS: Final = "role"
_LONGEST: Final = 32


def add_own_role(take: Take, name: str, target: Target) -> Take:
    """Return the take with a new role on a colour, by day and by night. Its key is made from its name.

    Raises TakeError for a name of spaces, and for a colour that isn't there.
    """
    name = name.strip()
    if not name:
        raise TakeError("Give the role a name.", field="name")
    take.value_at(*target)
    schemes = (take.roles, take.other.roles if take.other else ())
    key = _free_key(name, {assigned.role for roles in schemes for assigned in roles})
    made = Assignment(key, target[0], CHOSEN, target[1], name=name)
    # At night the same colour has it, until it is given another one there.
    other = take.other and replace(take.other, roles=(*take.other.roles, made))
    return replace(take, roles=(*take.roles, made), other=other)


def idle_target(take: Take) -> Target:
    """Return the first swatch that has no role by day or by night, itself or with a step; else the first.

    Raises TakeError for a take without swatches.
    """
    if not take.swatches:
        raise TakeError("A role needs a colour. Add one first.", field="swatch")
    busy = {assigned.swatch for assigned in (*take.roles, *(take.other.roles if take.other else ()))}
    idle = next((swatch for swatch in take.swatches if swatch.id not in busy), take.swatches[0])
    return idle.id, None


def remove_role(take: Take, role: RoleKey) -> Take:
    """Return the take without a role, and without whatever refers to it: pairs, grounds, elements, slots.

    Raises TakeError for a role that isn't there, or that every take has.
    """
    if not take.has_role(role):
        raise TakeError(f"There is no role “{role}” here.", field="role")
    if role not in ADDED and not role.startswith(_OWN):
        raise TakeError("Every take has this role. Give it to another colour instead.", field="role")
    other = take.other and replace(
        take.other,
        roles=_without(take.other.roles, role),
        pairs=_unpaired(take.other.pairs, role),
        grounds=_unused(take.other.grounds, role),
    )
    return replace(
        take,
        roles=_without(take.roles, role),
        pairs=_unpaired(take.pairs, role),
        grounds=_unused(take.grounds, role),
        slots=tuple(slot for slot in take.slots if slot.key != role),
        proof=replace(
            take.proof,
            picture_tone=_toned_without(take.proof.picture_tone, role),
            pictures=tuple(replace(one, tone=_toned_without(one.tone, role)) for one in take.proof.pictures),
        ),
        other=other,
    )


def _toned_without(tone: PictureTone, role: RoleKey) -> PictureTone:
    return PLAIN if role in (tone.dark, tone.light, tone.tint) else tone


def _free_key(name: str, taken: Collection[str]) -> RoleKey:
    plain = unicodedata.normalize("NFKD", name.lower()).encode("ascii", "ignore").decode()
    word = re.sub(r"[^a-z0-9]+", "-", plain).strip("-")[:_LONGEST].rstrip("-") or _NAMELESS
    keys = (f"{_OWN}{word}" if number == 1 else f"{_OWN}{word}-{number}" for number in count(1))
    return next(key for key in keys if key not in taken)


def _without(roles: tuple[Assignment, ...], role: RoleKey) -> tuple[Assignment, ...]:
    return tuple(assigned for assigned in roles if assigned.role != role)


def _unpaired(pairs: tuple[Pair, ...], role: RoleKey) -> tuple[Pair, ...]:
    return tuple(pair for pair in pairs if role not in (pair.text, pair.ground))


def _unused(grounds: tuple[GroundSettings, ...], role: RoleKey) -> tuple[GroundSettings, ...]:
    return tuple(
        replace(ground, uses=tuple((element, key) for element, key in ground.uses if key != role))
        for ground in grounds
        if ground.ground != role
    )
