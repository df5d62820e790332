"""Roles given to other colours by the designer's hand; texts that the rule chose follow."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import replace
from typing import Final, TypeAlias

from tonada.core.errors import TakeError
from tonada.core.roles.brand_fit import BRAND_ROLES
from tonada.core.roles.page_pairs import with_texts_by_rule
from tonada.core.roles.text_colors import with_text_colors
from tonada.core.take import repoint
from tonada.core.take.dependents import dependents_of
from tonada.core.take.parts import Origin, free_swatch_id, new_swatch
from tonada.core.take.take import Assignment, Role, RoleKey, Take

CHOSEN: Final = "Chosen by you."
# Origins of colours that nobody asked for: Tonada made them so that a role had one.
MADE_FOR_A_ROLE: Final = frozenset({"made", "harmony"})
# Roles that a take can be without, and which are added by giving them.
ADDED: Final = (Role.ACCENT_2, Role.ACCENT_3)
Assignments: TypeAlias = tuple[Assignment, ...]


def give_role(take: Take, role: RoleKey, target: repoint.Target) -> Take:
    """Return the take with a role on another colour, in the scheme at hand; a new role in both.

    Where that colour is a brand role itself, and the one that gives way was given by the designer, the two
    change over, by day and by night: nothing given is left without a role. Raises TakeError for a role that
    the take doesn't have, and for a colour that isn't there.
    """
    take.value_at(*target)
    if not take.has_role(role):
        if role not in ADDED:
            raise TakeError(f"There is no role “{role}” here.", field="role")
        added = Assignment(role, target[0], CHOSEN, target[1])
        # In the other scheme the same colour has it, until it is given another one there.
        other = take.other and replace(take.other, roles=(*take.other.roles, added))
        return replace(take, roles=(*take.roles, added), other=other)
    other_role = _exchanged_for(take, role, target)
    if other_role is not None:
        return swap_roles(take, role, other_role)
    placed = with_text_colors(replace(take, roles=_moved(take.roles, {role: target})), (role,))
    return with_texts_by_rule(take, placed)


def _exchanged_for(take: Take, role: RoleKey, target: repoint.Target) -> RoleKey | None:
    """Return the brand role that the colour has, if the one that has `role` would be left with none."""
    before, (owner, step) = take.assignment(role), target
    if role not in BRAND_ROLES or step is not None or before.step is not None or before.swatch == owner:
        return None
    giving_way = take.swatch_of(role)
    if giving_way is None or giving_way.origin.kind in MADE_FOR_A_ROLE:
        return None
    if len(set(take.roles_of(giving_way.id)) & set(BRAND_ROLES)) > 1:
        return None
    had = [one.role for one in take.roles if one.swatch == owner and one.step is None]
    return next((one for one in BRAND_ROLES if one in had), None)


def set_text_color(take: Take, role: RoleKey, step: int | None) -> Take:
    """Return the take with what a role is as text or line, in the scheme at hand: a step of its own ramp.

    step: None for the colour itself. Texts that the rule chose follow. Raises TakeError for a role or step
    that isn't there.
    """
    if not take.has_role(role):
        raise TakeError(f"There is no role “{role}” here.", field="role")
    roles = tuple(
        replace(assigned, text_step=step) if assigned.role == role else assigned for assigned in take.roles
    )
    return with_texts_by_rule(take, replace(take, roles=roles))


def swap_roles(take: Take, one: RoleKey, other: RoleKey) -> Take:
    """Return the take with two roles changed over, by day and by night where both are there.

    Raises TakeError for a role that the take doesn't have.
    """
    for role in (one, other):
        if not take.has_role(role):
            raise TakeError(f"There is no role “{role}” here.", field="role")
    both = (one, other)
    swapped = with_text_colors(replace(take, roles=_swapped(take.roles, one, other)), both)
    if take.other is not None:
        there = replace(take.other, roles=_swapped(take.other.roles, one, other))
        behind = replace(swapped, other=there).turned()
        swapped = with_text_colors(behind, both).turned()
    return with_texts_by_rule(take, swapped)


def adopt(take: Take, name: str, value: str, origin: Origin, role: RoleKey | None) -> Take:
    """Return the take with a colour of a source as a held swatch, which gets a role if one is named.

    Where the value is there already, that swatch has it. What was only made for the role goes away.
    Raises TakeError for a role that the take doesn't have.
    """
    there = next((swatch for swatch in take.swatches if swatch.hex == value), None)
    if there is None:
        there = new_swatch(
            free_swatch_id({swatch.id for swatch in take.swatches}),
            _free_name(name, lambda one: any(swatch.name == one for swatch in take.swatches)),
            value,
            origin,
            held=True,
        )
        take = replace(take, swatches=(*take.swatches, there))
    if role is None:
        return take
    before = take.swatch_of(role) if take.has_role(role) else None
    changed = give_role(take, role, (there.id, None))
    is_left_over = (
        before is not None
        and before.id != there.id
        and not before.held
        and before.origin.kind in MADE_FOR_A_ROLE
        and not dependents_of(changed, before.id)
    )
    return repoint.remove(changed, before.id, None) if before and is_left_over else changed


def _moved(roles: Assignments, places: dict[RoleKey, repoint.Target]) -> Assignments:
    return tuple(
        replace(
            assigned,
            swatch=places[assigned.role][0],
            step=places[assigned.role][1],
            reason=CHOSEN,
            text_step=None,
        )
        if assigned.role in places
        else assigned
        for assigned in roles
    )


def _swapped(roles: Assignments, one: RoleKey, other: RoleKey) -> Assignments:
    at = {assigned.role: (assigned.swatch, assigned.step) for assigned in roles}
    return _moved(roles, {one: at[other], other: at[one]}) if one in at and other in at else roles


def _free_name(name: str, is_taken: Callable[[str], bool]) -> str:
    numbered, number = name, 1
    while is_taken(numbered):
        number += 1
        numbered = f"{name} {number}"
    return numbered
