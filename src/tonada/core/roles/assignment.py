"""Which step has each ground and text, the line, the link and Deep: steps of ramps, by day and by night.

The tables below say of each role what it must reach on which grounds, and what it would like to be.
Paper and Mist are tried in every combination; for each, every other role takes the step that costs
least. The cheapest whole wins, so nothing depends on the order of the search.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from typing import Final, Literal, TypeAlias

import numpy as np
from numpy.typing import NDArray

from tonada.core.color.apart import GROUNDS_APART
from tonada.core.color.contrast import ratio_of_luminances, relative_luminance, rounded_down
from tonada.core.color.spaces import Floats, Hex, delta_e_ok, hexes_to_srgb8, srgb8_to_oklab
from tonada.core.color.wcag import ENHANCED_RATIO, LARGE_RATIO, TEXT_RATIO, Level
from tonada.core.roles.night_fills import fills_at_night
from tonada.core.roles.signals import choose_together
from tonada.core.take.take import SIGNALS, Assignment, Role, Scheme, Take, role_name

Family: TypeAlias = Literal["neutral", "primary", "own"]

# The objective: what each part of a requirement costs.
FAILS_COSTS: Final = 100.0  # not to reach the needed ratio: never worth it where it can be helped
SHORT_COSTS: Final = 100.0  # what is short of it then, as log
LIGHTNESS_COSTS: Final = 4.0  # away from the lightness wanted
RATIO_COSTS: Final = 1.0  # away from the ratio wanted, as log
CHANGE_COSTS: Final = 3.0  # deltaEOK from the swatch itself
FAMILY_COSTS: Final = 0.12  # for each family further down the list
SAME_GROUND_COSTS: Final = 10.0  # Paper and Mist closer than GROUNDS_APART


@dataclass(frozen=True, slots=True)
class RoleRequirement:
    """What a role asks of its colour.

    families   whose steps may have it, the preferred first; “own” is the role's own swatch
    needed     the ratio to reach on each of `on`; least: what will do where nothing has that
    lightness, ratio   what it would like to be, where it matters
    unchanged  whether it would like to stay the swatch itself
    """

    families: tuple[Family, ...]
    on: tuple[Role, ...] = ()
    needed: float = 1.0
    lightness: float | None = None
    ratio: float | None = None
    unchanged: bool = False

    @property
    def least(self) -> float:
        return min(self.needed, TEXT_RATIO)


_GROUNDS: Final = (Role.PAPER, Role.MIST)
_GROUND_NAMES: Final = {Role.PAPER: "page background", Role.MIST: "tinted background"}
REQUIREMENTS: Final[Mapping[Scheme, Mapping[Role, RoleRequirement]]] = {
    "day": {
        Role.PAPER: RoleRequirement(("neutral",), lightness=0.985),
        Role.MIST: RoleRequirement(("neutral",), lightness=0.925),
        Role.DEEP: RoleRequirement(("primary", "neutral"), (Role.PAPER,), ENHANCED_RATIO, lightness=0.24),
        Role.INK: RoleRequirement(("primary", "neutral"), _GROUNDS, ENHANCED_RATIO, ratio=12.5),
        Role.MUTED: RoleRequirement(("neutral",), _GROUNDS, TEXT_RATIO, ratio=TEXT_RATIO),
        Role.LINE: RoleRequirement(("neutral",), _GROUNDS, LARGE_RATIO, ratio=LARGE_RATIO),
        Role.LINK: RoleRequirement(("primary",), _GROUNDS, TEXT_RATIO, unchanged=True),
    },
    "night": {
        Role.PAPER: RoleRequirement(("neutral",), lightness=0.225),
        Role.MIST: RoleRequirement(("neutral",), lightness=0.285),
        Role.DEEP: RoleRequirement(("neutral",), lightness=0.15),
        Role.INK: RoleRequirement(("neutral", "primary"), _GROUNDS, ENHANCED_RATIO, ratio=12.5),
        Role.MUTED: RoleRequirement(("neutral",), _GROUNDS, TEXT_RATIO, ratio=TEXT_RATIO),
        Role.LINE: RoleRequirement(("neutral",), _GROUNDS, LARGE_RATIO, ratio=LARGE_RATIO),
        Role.LINK: RoleRequirement(("primary",), _GROUNDS, TEXT_RATIO, unchanged=True),
    },
}
_SIGNAL_REQUIREMENT: Final = RoleRequirement(("own",), _GROUNDS, LARGE_RATIO, unchanged=True)


def requirements_of(scheme: Scheme, level: Level) -> Mapping[Role, RoleRequirement]:
    """Return what each role asks at a level: at AAA, whatever carries or is text needs 7 to 1."""
    asked = REQUIREMENTS[scheme]
    return asked if level != "AAA" else {role: _enhanced(one) for role, one in asked.items()}


def _enhanced(asked: RoleRequirement) -> RoleRequirement:
    if asked.needed != TEXT_RATIO:
        return asked
    return replace(asked, needed=ENHANCED_RATIO, ratio=ENHANCED_RATIO if asked.ratio else None)


@dataclass(frozen=True, slots=True)
class _Candidates:
    """The colours that a role may take, with the figures that decide. Rows belong together."""

    owners: tuple[str, ...]
    steps: tuple[int | None, ...]
    hexes: tuple[Hex, ...]
    family: Floats
    lab: Floats
    luminance: Floats
    change: Floats


@dataclass(frozen=True, slots=True)
class Assigned:
    """Assignments by role. missed: the roles that no step here can have as they should; impossible: why."""

    roles: Mapping[Role, Assignment]
    missed: tuple[Role, ...]
    impossible: tuple[str, ...]


def assign_roles(take: Take, kept: Mapping[Role, Assignment], scheme: Scheme, neutral: str) -> Assigned:
    """Return all roles of REQUIREMENTS for a scheme, and at night signals and fills. What is `kept` stays.

    take: with the swatches, the neutral and whatever has Primary among `kept` or its own roles.
    """
    asks = requirements_of(scheme, take.level)
    required = {role: asked for role, asked in asks.items() if role not in kept}
    candidates = {
        role: _candidates_for(take, kept, asked.families, neutral, role) for role, asked in required.items()
    }
    fixed = {role: _only(take, one) for role, one in kept.items()}
    # What is given and stands on the grounds can't move: the grounds have to.
    standing = {role: asked for role, asked in asks.items() if role in kept and asked.on}
    chosen = _cheapest(required, candidates, fixed, standing)
    made = {role: candidates[role] for role in chosen}
    grounds = {
        role: float(made[role].luminance[chosen[role]] if role in chosen else fixed[role].luminance[0])
        for role in _GROUNDS
    }
    roles = {
        role: _assignment(take, role, required[role], made[role], number, grounds)
        for role, number in chosen.items()
    }
    impossible = {
        role: text
        for role, number in chosen.items()
        if (text := _impossible(role, required[role], made[role], number, grounds))
    }
    if scheme == "night":
        roles |= _signals_at_night(take, kept, grounds)
        roles |= fills_at_night(take, {**kept, **roles})
    return Assigned({**kept, **roles}, tuple(impossible), tuple(impossible.values()))


def _candidates_for(
    take: Take, kept: Mapping[Role, Assignment], families: Sequence[Family], neutral: str, role: Role
) -> _Candidates:
    owners: list[str] = []
    for family in families:
        owner = {"neutral": neutral, "primary": _owner(take, kept, Role.PRIMARY)}.get(
            family, _owner(take, kept, role)
        )
        owners.append(owner if owner is not None else neutral)
    rows = [
        (owner, step, value, rank) for rank, owner in enumerate(owners) for step, value in _steps(take, owner)
    ]
    own = next((value for owner, step, value, _ in rows if step is None), rows[0][2])
    return _filled(rows, own)


def _owner(take: Take, kept: Mapping[Role, Assignment], role: Role) -> str | None:
    if role in kept:
        return kept[role].swatch
    return take.assignment(role).swatch if take.has_role(role) else None


def _steps(take: Take, owner: str) -> list[tuple[int | None, Hex]]:
    ramp = take.ramp(owner)
    is_neutral = take.neutral(owner) is not None
    return [
        (None if number == ramp.own and not is_neutral else number + 1, value)
        for number, value in enumerate(ramp.hexes)
    ]


def _filled(rows: Sequence[tuple[str, int | None, Hex, int]], own: Hex) -> _Candidates:
    colors = hexes_to_srgb8(tuple(value for _, _, value, _ in rows))
    lab = srgb8_to_oklab(colors)
    return _Candidates(
        owners=tuple(owner for owner, *_ in rows),
        steps=tuple(step for _, step, *_ in rows),
        hexes=tuple(value for _, _, value, _ in rows),
        family=np.array([float(rank) for *_, rank in rows]),
        lab=lab,
        luminance=relative_luminance(colors),
        change=delta_e_ok(lab, srgb8_to_oklab(hexes_to_srgb8((own,)))),
    )


def _only(take: Take, assignment: Assignment) -> _Candidates:
    value = take.value_at(assignment.swatch, assignment.step)
    return _filled([(assignment.swatch, assignment.step, value, 0)], value)


def _cheapest(
    required: Mapping[Role, RoleRequirement],
    candidates: Mapping[Role, _Candidates],
    fixed: Mapping[Role, _Candidates],
    standing: Mapping[Role, RoleRequirement],
) -> dict[Role, int]:
    """Return the row of each role in the cheapest whole of all Papers with all Mists."""
    paper, mist = (candidates[role] if role in candidates else fixed[role] for role in _GROUNDS)
    total = SAME_GROUND_COSTS * (delta_e_ok(paper.lab[:, None], mist.lab[None]) < GROUNDS_APART)
    luminances = {Role.PAPER: paper.luminance, Role.MIST: mist.luminance}
    for role, asked in standing.items():
        for ground in asked.on:
            only = replace(asked, on=(ground,))
            total = total + _short(asked.least, _worst(only, fixed[role], luminances))[..., 0]
    picked: dict[Role, NDArray[np.intp]] = {}
    for role, asked in required.items():
        worst = _worst(asked, candidates[role], luminances)
        costs = _costs(asked, candidates[role], worst)
        if role in _GROUNDS:
            own = costs[0, 0]
            total = total + (own[:, None] if role is Role.PAPER else own[None])
        else:
            picked[role] = np.argmin(costs, axis=-1)
            total = total + costs.min(axis=-1)
    best = np.unravel_index(int(np.argmin(total)), total.shape)
    rows = {role: int(best[place]) for place, role in enumerate(_GROUNDS) if role in candidates}
    full = np.zeros(total.shape, dtype=np.intp)
    return rows | {role: int((full + picks)[best]) for role, picks in picked.items()}


def _costs(asked: RoleRequirement, offered: _Candidates, worst: Floats) -> Floats:
    """Return what each row offered costs on each Paper and Mist, as `worst` has its ratios."""
    costs = FAMILY_COSTS * offered.family
    if asked.lightness is not None:
        costs = costs + LIGHTNESS_COSTS * np.abs(offered.lab[:, 0] - asked.lightness)
    if asked.unchanged:
        costs = costs + CHANGE_COSTS * offered.change
    short = _short(asked.needed, worst)
    away = RATIO_COSTS * np.abs(np.log(worst / asked.ratio)) if asked.ratio is not None else 0.0
    return np.asarray(costs + short + away)


def _short(needed: float, worst: Floats) -> Floats:
    return np.where(worst < needed, FAILS_COSTS + SHORT_COSTS * np.log(needed / worst), 0.0)


def _worst(asked: RoleRequirement, offered: _Candidates, grounds: Mapping[Role, Floats]) -> Floats:
    """Return the least ratio on the grounds wanted, shape (Papers, Mists, rows); 21 where none is."""
    worst = np.full((1, 1, len(offered.hexes)), 21.0)
    for role in asked.on:
        face = grounds[role][:, None, None] if role is Role.PAPER else grounds[role][None, :, None]
        worst = np.minimum(worst, ratio_of_luminances(offered.luminance, face))
    return worst


def _worst_at(asked: RoleRequirement, offered: _Candidates, row: int, grounds: Mapping[Role, float]) -> float:
    faces = np.array([grounds[role] for role in asked.on])
    return float(ratio_of_luminances(offered.luminance[row], faces).min())


def _assignment(
    take: Take,
    role: Role,
    asked: RoleRequirement,
    offered: _Candidates,
    row: int,
    grounds: Mapping[Role, float],
) -> Assignment:
    owner, step = offered.owners[row], offered.steps[row]
    name = _ramp_name(take, owner)
    if not asked.on:
        ground = _GROUND_NAMES.get(role, "background")
        reason = f"A step of {name}, the best match for a {ground}: lightness {offered.lab[row, 0]:.2f}."
        return Assignment(role, owner, reason, step)
    ratio = f"{rounded_down(_worst_at(asked, offered, row, grounds), 1)}:1"
    on = " and ".join(str(ground).capitalize() for ground in asked.on)
    if step is None:
        reason = f"{name} itself. At least {ratio} on {on}."
    elif role is Role.INK:
        reason = (
            f"A step of {name}: the brand’s hue, dark or light enough for text. At least {ratio} on {on}."
        )
    elif role is Role.DEEP:
        reason = f"A step of {name}. {on} on it has {ratio}."
    elif asked.unchanged:
        reason = f"The nearest step of {name} that passes on {on}: {ratio}."
    else:
        reason = f"The softest step of {name} that reaches {asked.needed:g}:1 on {on}: {ratio}."
    return Assignment(role, owner, reason, step)


def _ramp_name(take: Take, owner: str) -> str:
    """Return what a reason calls a ramp: by the role that the swatch has, since names may change."""
    neutral = take.neutral(owner)
    roles = take.roles_of(owner)
    return neutral.name if neutral else role_name(roles[0]) if roles else take.swatch(owner).name


def _impossible(
    role: Role, asked: RoleRequirement, offered: _Candidates, row: int, grounds: Mapping[Role, float]
) -> str | None:
    if not asked.on:
        return None
    ratio = _worst_at(asked, offered, row, grounds)
    if ratio >= asked.needed:
        return None
    on = " and ".join(str(ground).capitalize() for ground in asked.on)
    return (
        f"No step reaches {asked.needed:g}:1 for {str(role).capitalize()} on {on}; "
        f"the best is {rounded_down(ratio, 1)}:1. Try a different {' or '.join(on.split(' and '))}."
    )


def _signals_at_night(
    take: Take, kept: Mapping[Role, Assignment], grounds: Mapping[Role, float]
) -> dict[Role, Assignment]:
    """Choose the steps of the four signals together, so that they stay apart in any colour vision."""
    roles = [role for role in SIGNALS if role not in kept and take.has_role(role)]
    if not roles:
        return {}
    candidates = []
    for role in roles:
        owner = take.assignment(role).swatch
        value = take.hex_of(role)
        candidates.append(_filled([(owner, step, one, 0) for step, one in _steps(take, owner)], value))
    faces = {role: np.array([luminance]) for role, luminance in grounds.items()}
    costs = [
        _costs(_SIGNAL_REQUIREMENT, candidate, _worst(_SIGNAL_REQUIREMENT, candidate, faces))[0, 0]
        for candidate in candidates
    ]
    rows, _ = choose_together([hexes_to_srgb8(offered.hexes) for offered in candidates], costs)
    return {
        role: _assignment(take, role, _SIGNAL_REQUIREMENT, offered, row, grounds)
        for role, offered, row in zip(roles, candidates, rows, strict=True)
    }
