"""The plan of the page: how much of it grounds, brand and accents are planned to take."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, replace
from typing import Final

from tonada.core.take.parts import (
    ACCENTS,
    OWN_ROLE_SHARE,
    PLANNED_SHARES,
    Assignment,
    Role,
    RoleKey,
    role_name,
)
from tonada.core.take.take import Take

GROUND_ROLES: Final = frozenset((Role.PAPER, Role.MIST, Role.DEEP))
CALL_ROLES: Final = frozenset(ACCENTS)


@dataclass(frozen=True)
class Plan:
    """Shares of the page, together 1: grounds; the accents; brand and text, the rest.

    advice: a sentence for each accent that is planned larger than a ground.
    """

    grounds: float
    brand: float
    call: float
    advice: tuple[str, ...]


def planned_share(assignment: Assignment) -> float:
    """Return the share of the page that a role is planned to take, before all are brought to 1."""
    usual = PLANNED_SHARES.get(assignment.role, OWN_ROLE_SHARE)
    return usual if assignment.share is None else assignment.share


def plan_shares(take: Take, shares: Mapping[tuple[RoleKey, ...], float]) -> Take:
    """Return the take with planned shares of the page; a colour's is split evenly among its roles.

    shares: 0 to 1, by the roles of a colour. Roles that aren't named keep what they have.
    """
    planned = {role: share / len(roles) for roles, share in shares.items() for role in roles}
    roles = tuple(
        replace(assigned, share=planned.get(assigned.role, assigned.share)) for assigned in take.roles
    )
    return replace(take, roles=roles)


def forget_shares(take: Take) -> Take:
    """Return the take with the usual shares, in the scheme at hand."""
    return replace(take, roles=tuple(replace(role, share=None) for role in take.roles))


def plan_of(roles: tuple[Assignment, ...]) -> Plan:
    """Return the plan that follows from the shares of roles; without roles everything is 0."""
    shares = {assigned.role: planned_share(assigned) for assigned in roles}
    whole = sum(shares.values())
    if not whole:
        return Plan(0.0, 0.0, 0.0, ())
    grounds = sum(share for role, share in shares.items() if role in GROUND_ROLES) / whole
    call = sum(share for role, share in shares.items() if role in CALL_ROLES) / whole
    return Plan(grounds, 1 - grounds - call, call, tuple(_advice(shares)))


def _advice(shares: dict[RoleKey, float]) -> list[str]:
    grounds = [role for role in (Role.PAPER, Role.MIST) if role in shares]
    if not grounds:
        return []
    smallest = min(grounds, key=lambda role: shares[role])
    return [
        f"{role_name(role)} has a larger planned share than {role_name(smallest)}. "
        "Accents stand out at about 10% of the page; make it smaller."
        for role in ACCENTS
        if shares.get(role, 0.0) > shares[smallest]
    ]
