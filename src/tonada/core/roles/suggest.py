"""Roles suggested for a take that is there already: from its swatches, without a change of any value."""

from __future__ import annotations

from dataclasses import replace
from typing import Final

from tonada.core.errors import TakeError
from tonada.core.roles.assignment import assign_roles
from tonada.core.roles.brand import Candidate, choose_brand
from tonada.core.roles.page_pairs import page_pairs
from tonada.core.roles.proposal import night_neutral, with_all_roles, with_night_neutral
from tonada.core.take.take import SIGNALS, Assignment, Pair, Role, SchemeRoles, Take, role_rank

# Of a swatch whose share no source tells: as much as a small part of a logo.
UNKNOWN_SHARE: Final = 0.05


def suggest_roles(take: Take) -> tuple[Take, tuple[str, ...]]:
    """Return the take with all roles suggested again, by day and by night, and what can't be reached.

    No value changes, and neither do own roles, planned shares, and pairs that were added. Swatches
    made for roles that go elsewhere stay, without a role. Raises TakeError where there is no swatch.
    """
    take = take if take.scheme == "day" else take.turned()
    signals = {assigned.swatch for assigned in take.roles if assigned.role in SIGNALS}
    offered = [swatch for swatch in take.swatches if swatch.id not in signals]
    if not offered:
        raise TakeError("Roles need at least one swatch.", field="document.swatches")
    candidates = tuple(Candidate(color.hex, color.origin.share or UNKNOWN_SHARE) for color in offered)
    is_artwork = any(entry.origin.share for entry in offered)
    choice = choose_brand(candidates, "artwork" if is_artwork else "list")
    brand = [
        Assignment(assigned.role, offered[assigned.candidate].id, assigned.reason)
        for assigned in choice.holders
    ]
    kept = [assigned for assigned in take.roles if assigned.role in SIGNALS or assigned.role not in set(Role)]
    base = replace(take, roles=(*brand, *kept), pairs=(), other=None)
    proposed, impossible = with_all_roles(base)
    return with_kept(take, proposed), impossible


def derive_night(take: Take) -> tuple[Take, tuple[str, ...]]:
    """Return the take with the night scheme rebuilt from its roles by day, and what can't be reached."""
    day = take if take.scheme == "day" else take.turned()
    if not (day.has_role(Role.PRIMARY) and day.neutrals):
        raise TakeError(
            "A night scheme needs Primary and a neutral. Use Suggest roles first.", field="document"
        )
    day = with_night_neutral(day)
    plain = replace(day, other=None)
    found = assign_roles(plain, {}, "night", night_neutral(day))
    own = tuple(assigned for assigned in day.roles if assigned.role not in set(Role))
    shown = [*(one for role, one in found.roles.items() if day.has_role(role)), *own]
    roles = tuple(sorted(shown, key=lambda assigned: role_rank(assigned.role)))
    at_night = replace(plain, roles=roles, pairs=())
    made = replace(
        day, other=SchemeRoles(roles, page_pairs(at_night), day.other.grounds if day.other else ())
    )
    return with_kept(day, made), found.impossible


def with_kept(before: Take, after: Take) -> Take:
    """Return the take with planned shares, samples and added pairs as they were, where they still fit."""
    shares = {assigned.role: assigned.share for assigned in before.roles}
    roles = tuple(replace(assigned, share=shares.get(assigned.role)) for assigned in after.roles)
    other = after.other and SchemeRoles(
        after.other.roles, _with_samples(before, after.other.pairs), after.other.grounds
    )
    made = replace(after, roles=roles, pairs=_with_samples(before, after.pairs), other=other)
    known = {pair.id for pair in made.pairs}
    added = tuple(
        pair
        for pair in before.pairs
        if pair.id not in known and all(_is_there(made, key) for key in (pair.text, pair.ground))
    )
    return replace(made, pairs=(*made.pairs, *added))


def _is_there(take: Take, key: str) -> bool:
    return not (key in set(Role) or key.startswith("own-")) or take.has_role(key)


def _with_samples(before: Take, pairs: tuple[Pair, ...]) -> tuple[Pair, ...]:
    samples = {pair.id: pair.sample for pair in before.pairs}
    return tuple(replace(pair, sample=samples.get(pair.id, pair.sample)) for pair in pairs)
