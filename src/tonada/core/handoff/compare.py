"""What changed between two states of a take: colour by colour, role by role, pair by pair."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal, TypeAlias

from tonada.core.color.requirements import Outcome
from tonada.core.color.spaces import Hex, difference_between
from tonada.core.pairs.evaluation import evaluate
from tonada.core.take.take import RoleKey, Take, role_name, role_rank

Change: TypeAlias = Literal["added", "removed", "changed"]


@dataclass(frozen=True, slots=True)
class SwatchChange:
    """before and after: the values, None where there is no such swatch. difference: deltaEOK."""

    change: Change
    name: str
    before: Hex | None
    after: Hex | None
    difference: float | None
    renamed_from: str | None = None


@dataclass(frozen=True, slots=True)
class RoleChange:
    """name: what the role is called. before and after: the values that it had and has."""

    role: RoleKey
    name: str
    before: Hex | None
    after: Hex | None


@dataclass(frozen=True, slots=True)
class PairChange:
    """A pair whose ratio is another one now. Ratios are exact; all None where there is no such pair."""

    id: str
    name: str
    before: float | None
    after: float | None
    outcome_before: Outcome | None
    outcome_after: Outcome | None


@dataclass(frozen=True, slots=True)
class Comparison:
    """All changes, in the order of the newer take; removed things come last."""

    swatches: tuple[SwatchChange, ...]
    roles: tuple[RoleChange, ...]
    pairs: tuple[PairChange, ...]


def compare(before: Take, after: Take) -> Comparison:
    """Return what changed; swatches are told by their id."""
    return Comparison(_swatches(before, after), _roles(before, after), _pairs(before, after))


def _swatches(before: Take, after: Take) -> tuple[SwatchChange, ...]:
    old = {swatch.id: swatch for swatch in before.swatches}
    new = {swatch.id for swatch in after.swatches}
    changes: list[SwatchChange] = []
    for swatch in after.swatches:
        was = old.get(swatch.id)
        if was is None:
            changes.append(SwatchChange("added", swatch.name, None, swatch.hex, None))
        elif (was.hex, was.name) != (swatch.hex, swatch.name):
            renamed = was.name if was.name != swatch.name else None
            difference = difference_between(was.hex, swatch.hex)
            changes.append(SwatchChange("changed", swatch.name, was.hex, swatch.hex, difference, renamed))
    removed = [swatch for swatch in before.swatches if swatch.id not in new]
    changes += [SwatchChange("removed", swatch.name, swatch.hex, None, None) for swatch in removed]
    return tuple(changes)


def _roles(before: Take, after: Take) -> tuple[RoleChange, ...]:
    values = [
        {assigned.role: take.hex_of(assigned.role) for assigned in take.roles} for take in (before, after)
    ]
    before_, after_ = values
    return tuple(
        RoleChange(role, _name_of_role(role, (after, before)), before_.get(role), after_.get(role))
        for role in sorted({*before_, *after_}, key=role_rank)
        if before_.get(role) != after_.get(role)
    )


def _name_of_role(role: RoleKey, takes: tuple[Take, ...]) -> str:
    """Return what a role is called in the first of the takes that has it."""
    assigned = next(assigned for take in takes for assigned in take.roles if assigned.role == role)
    return role_name(role, assigned.name)


def _pairs(before: Take, after: Take) -> tuple[PairChange, ...]:
    old = {pair.id: pair for pair in evaluate(before).pairs}
    new = {pair.id: pair for pair in evaluate(after).pairs}
    changes = []
    for key in dict.fromkeys((*new, *old)):
        was, now = old.get(key), new.get(key)
        if was is None or now is None or was.ratio != now.ratio:
            named = now or old[key]
            changes.append(
                PairChange(
                    key,
                    f"{named.text_name} on {named.ground_name}",
                    was.ratio if was else None,
                    now.ratio if now else None,
                    was.outcome if was else None,
                    now.outcome if now else None,
                )
            )
    return tuple(changes)
