"""A ready-made palette for what is free in a take: held colours and their roles stay, the rest is new."""

from __future__ import annotations

from dataclasses import replace
from typing import Final

from tonada.core.color.apart import TOLD_APART
from tonada.core.color.naming import color_name, unused_name
from tonada.core.color.spaces import Hex, difference_between
from tonada.core.errors import InputError
from tonada.core.ready.palette import BRAND, PALETTE_ROLES, RoleColor
from tonada.core.roles.partners import make_accent, make_secondary
from tonada.core.roles.proposal import whole_take
from tonada.core.roles.suggest import with_kept
from tonada.core.take import repoint
from tonada.core.take.dependents import dependents_of
from tonada.core.take.parts import SIGNALS, Assignment, Origin, Role, free_swatch_id, new_swatch
from tonada.core.take.take import Take

KEPT: Final = "Held, so it stays."


def fill_free(take: Take, colors: tuple[RoleColor, ...], name: str) -> tuple[Take, tuple[str, ...]]:
    """Return the take with a palette's colours in every role that no held swatch has, and what can't be.

    A free swatch keeps its id, so that overlays and pairs of it follow. A colour of the palette that could
    be taken for a held one gives way to a partner of Primary. The other roles, and the night, are suggested
    again. Raises InputError where neither the palette nor a held swatch can be Primary.
    """
    day = take if take.scheme == "day" else take.turned()
    held = {
        assigned.role: assigned
        for assigned in day.roles
        if assigned.role in set(PALETTE_ROLES) and assigned.step is None and _is_held(day, assigned.swatch)
    }
    wanted = _wanted(day, held, colors)
    made = _with_colors(day, held, wanted, f"from the ready-made palette “{name}”")
    proposed, impossible = whole_take(made)
    return with_kept(day, _without_leftovers(proposed, day)), impossible


def _is_held(take: Take, owner: str) -> bool:
    return any(swatch.id == owner and swatch.held for swatch in take.swatches)


def _wanted(
    take: Take, held: dict[str, Assignment], colors: tuple[RoleColor, ...]
) -> dict[Role, tuple[Hex, str]]:
    """Return the value and the reason for each role of the palette that no held swatch has."""
    stays = [take.value_at(one.swatch, None) for role, one in held.items() if role in set(BRAND)]
    wanted: dict[Role, tuple[Hex, str]] = {}
    for color in colors:
        is_brand = color.role in set(BRAND)
        is_near = is_brand and any(difference_between(color.hex, value) < TOLD_APART for value in stays)
        if color.role not in held and not is_near:
            wanted[color.role] = (color.hex, "As the palette has it.")
    if Role.PRIMARY not in held and Role.PRIMARY not in wanted:
        # Its Primary is nearly what is held in another role: the next colour of the palette leads.
        role = next((role for role in BRAND if role in wanted), None)
        if role is not None:
            wanted[Role.PRIMARY] = wanted.pop(role)
        elif take.has_role(Role.PRIMARY):
            wanted[Role.PRIMARY] = (take.hex_of(Role.PRIMARY), "As it was: the palette has no other colour.")
        else:
            raise InputError("Everything that this palette could change is held.", field="document")
    primary = wanted[Role.PRIMARY][0] if Role.PRIMARY in wanted else take.hex_of(Role.PRIMARY)
    for role, make in ((Role.SECONDARY, make_secondary), (Role.ACCENT, make_accent)):
        if role not in wanted and role not in held:
            others = (*stays, *(value for other, (value, _) in wanted.items() if other in set(BRAND)))
            partner = make(primary, tuple(other for other in others if other != primary))
            wanted[role] = (partner.hex, partner.reason)
    return wanted


def _with_colors(
    take: Take, held: dict[str, Assignment], wanted: dict[Role, tuple[Hex, str]], note: str
) -> Take:
    """Return the take with the wanted colours as free swatches, and their roles; all others are open."""
    made_anew = _free_signals(take)
    swatches = {swatch.id: swatch for swatch in take.swatches if swatch.id not in made_anew}
    roles = [replace(entry, reason=KEPT) for entry in held.values()]
    used = {assigned.swatch for assigned in held.values()}
    for role, (value, reason) in wanted.items():
        before = take.assignment(role) if take.has_role(role) else None
        key = before.swatch if before is not None and before.step is None else ""
        if key not in swatches or key in used or swatches[key].held:
            key = free_swatch_id(set(swatches))
        names = {swatch.name for swatch in swatches.values() if swatch.id != key}
        kept = swatches.get(key) or new_swatch(key, "", value, Origin("source", note))
        swatches[key] = replace(
            kept, name=unused_name(color_name(value), names), hex=value, origin=Origin("source", note)
        )
        used.add(key)
        roles.append(Assignment(role, key, reason))
    others = [
        assigned
        for assigned in take.roles
        if (assigned.role in SIGNALS and assigned.swatch not in made_anew) or assigned.role not in set(Role)
    ]
    return replace(
        take, swatches=tuple(swatches.values()), roles=(*roles, *others), pairs=(), other=None, scheme="day"
    )


def _free_signals(take: Take) -> set[str]:
    """Return swatches that are only there for a signal: those of other grounds may be others."""
    signals = set(SIGNALS)
    without = replace(
        take,
        roles=tuple(assigned for assigned in take.roles if assigned.role not in signals),
        pairs=tuple(pair for pair in take.pairs if not signals & {pair.text, pair.ground}),
        other=None,
    )
    return {
        swatch.id
        for swatch in take.swatches
        if not swatch.held and take.is_signal_only(swatch.id) and not dependents_of(without, swatch.id)
    }


def _without_leftovers(take: Take, before: Take) -> Take:
    """Return the take without free swatches that had a role before and have none now, nor anything else."""
    for swatch in before.swatches:
        had_role = bool(before.roles_of(swatch.id)) and not swatch.held
        is_left = had_role and not take.roles_of(swatch.id)
        if is_left and not dependents_of(take, swatch.id):
            take = repoint.remove(take, swatch.id, None)
    return take
