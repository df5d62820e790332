"""A whole proposal: from colours to a take with every role, by day and by night."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, replace
from typing import Final

from tonada.core.color.hue_rules import NEUTRAL_BELOW
from tonada.core.color.naming import color_name, unused_name
from tonada.core.color.spaces import Hex, hex_to_oklch
from tonada.core.color.wcag import Level
from tonada.core.limits import MAX_NEUTRALS
from tonada.core.roles.assignment import assign_roles
from tonada.core.roles.beyond_ramps import with_reading_colors
from tonada.core.roles.brand import BrandChoice, Candidate, Choice, Whole, choose_brand
from tonada.core.roles.brand_fit import BRAND_ROLES
from tonada.core.roles.page_pairs import page_pairs
from tonada.core.roles.signals import propose_signals
from tonada.core.roles.starts import Start
from tonada.core.roles.text_colors import with_text_colors
from tonada.core.take.parts import free_swatch_id, new_swatch
from tonada.core.take.take import (
    SIGNALS,
    Assignment,
    Neutral,
    Origin,
    OriginKind,
    Role,
    SchemeRoles,
    Swatch,
    Take,
    role_rank,
)

NEUTRAL_ID: Final = "n1"
NIGHT_NEUTRAL_ID: Final = "n-night"
# How strong the tint of night's greys is where the usual one would make them brown or green, and the hues
# (OKLCH, degrees) whose darks are clean: from cyan to purple.
NIGHT_STRENGTH: Final = 0.1
BLUE_FROM: Final = 190.0
# A tint of less chroma than this leaves greys grey.
BROWN_ABOVE: Final = 0.02
BLUE_TO: Final = 330.0
# Fine enough that Paper, Mist, Line and Muted each find a step of their own.
NEUTRAL_STEPS: Final = 15
# How strongly greys are tinted: Paper has an OKLCH chroma of at most 0.02 then.
NEUTRAL_STRENGTH: Final = 0.32
# By night a brand colour is lifted, and keeps its chroma (OKLCH) within this share.
NIGHT_CHROMA_CHANGE: Final = 0.2


@dataclass(frozen=True, slots=True)
class ProposedRole:
    """A role, its colour and why. candidate: which of the colours asked for, or None where it is made."""

    role: Role
    hex: Hex
    reason: str
    candidate: int | None
    origin: OriginKind


@dataclass(frozen=True, slots=True)
class Proposal:
    """roles: in their order. choices: what becomes of each candidate. take: all of it, as a take.

    impossible: a sentence for each role that can't reach what it needs with the colours given.
    start: how the roles were filled that no given colour has; starts: those to choose from, the usual first.
    """

    roles: tuple[ProposedRole, ...]
    choices: tuple[Choice, ...]
    take: Take
    impossible: tuple[str, ...]
    start: Start
    starts: tuple[Start, ...]


def propose_roles(
    candidates: tuple[Candidate, ...],
    whole: Whole = "artwork",
    level: Level = "AA",
    start: Start | None = None,
) -> Proposal:
    """Return every role with a reason. What the candidates' choices ask for is kept.

    whole: what the shares are of, for the reasons. level: what the take is held to. start: the chosen one,
    as choose_brand takes it.

    Raises InputError without candidates, or where two ask for the same role.
    """
    choice = choose_brand(candidates, whole, start)
    base, place_of = _gather(candidates, choice, holds=whole != "mood")
    base = replace(base, level=level)
    take, impossible = whole_take(base)
    asked = {assigned.role for assigned in choice.holders}
    roles = tuple(
        ProposedRole(
            Role(assigned.role),
            take.value_at(assigned.swatch, assigned.step),
            assigned.reason,
            place_of.get(assigned.swatch) if assigned.role in asked else None,
            _origin_kind(take, assigned),
        )
        for assigned in take.roles
    )
    return Proposal(roles, choice.choices, take, impossible, choice.start, choice.starts)


def whole_take(base: Take) -> tuple[Take, tuple[str, ...]]:
    """Return a take of brand roles with all others, as with_all_roles does; nights keep their character."""
    take, impossible = with_all_roles(base)
    loud: frozenset[str] = frozenset()
    # A calmer ramp may change the grounds, and with them what another role is as text.
    while not (found := _changed_by_night(take)) <= loud:
        loud |= found
        take, impossible = with_all_roles(_steadied(base, loud))
    return take, impossible


def _changed_by_night(take: Take) -> frozenset[str]:
    """Return the swatches of brand roles whose chroma is another one by night: a dark plum gone neon."""
    night = take.turned()
    both = [role for role in BRAND_ROLES if take.has_role(role) and night.has_role(role)]
    return frozenset(
        take.assignment(role).swatch
        for role in both
        if any(_is_changed(take.hex_of(role), night.color_of(key)) for key in (role, night.text_key_of(role)))
    )


def _is_changed(by_day: Hex, by_night: Hex) -> bool:
    before, after = hex_to_oklch(by_day)[1], hex_to_oklch(by_night)[1]
    return before >= NEUTRAL_BELOW and abs(after - before) > NIGHT_CHROMA_CHANGE * before


def _steadied(take: Take, loud: frozenset[str]) -> Take:
    swatches = (
        replace(swatch, ramp=replace(swatch.ramp, kind="steady")) if swatch.id in loud else swatch
        for swatch in take.swatches
    )
    return replace(take, swatches=tuple(swatches))


def _origin_kind(take: Take, assignment: Assignment) -> OriginKind:
    is_swatch = assignment.step is None and take.neutral(assignment.swatch) is None
    return take.swatch(assignment.swatch).origin.kind if is_swatch else "made"


def _gather(
    candidates: tuple[Candidate, ...], choice: BrandChoice, *, holds: bool
) -> tuple[Take, dict[str, int]]:
    """Return a take of the candidates and partners with their roles, and each swatch's candidate.

    holds: whether the candidates are the designer's own, to be moved by nobody else.
    """
    swatches: dict[Hex, Swatch] = {}
    places: dict[str, int] = {}
    roles: list[Assignment] = []
    names = {candidate.hex: candidate.name for candidate in candidates if candidate.name}

    def swatch_for(value: Hex, origin: Origin, *, held: bool) -> str:
        if value not in swatches:
            name = unused_name(
                names.get(value) or color_name(value), {swatch.name for swatch in swatches.values()}
            )
            swatches[value] = new_swatch(f"s{len(swatches) + 1}", name, value, origin, held=held)
        return swatches[value].id

    origin = Origin("source", "given")
    wanted: list[tuple[Role, str, int | None, Hex, Origin]] = [
        *(
            (assigned.role, assigned.reason, assigned.candidate, candidates[assigned.candidate].hex, origin)
            for assigned in choice.holders
        ),
        *((partner.role, partner.reason, None, partner.hex, partner.origin) for partner in choice.partners),
    ]
    for role, reason, candidate, value, origin in sorted(wanted, key=lambda entry: role_rank(entry[0])):
        swatch = swatch_for(value, origin, held=holds and candidate is not None)
        if candidate is not None:
            places[swatch] = candidate
        roles.append(Assignment(role, swatch, reason))
    for number, (candidate_, kept) in enumerate(zip(candidates, choice.choices, strict=True)):
        if kept == "keep":
            places[swatch_for(candidate_.hex, origin, held=holds)] = number
    return Take(tuple(swatches.values()), tuple(roles)), places


def with_all_roles(take: Take) -> tuple[Take, tuple[str, ...]]:
    """Return the take with every role of both schemes, and what its colours make impossible.

    The roles that swatches have already stay with them; Primary has to be one. A neutral tinted by
    Primary, and swatches for the signals, are added where they are missing.
    """
    take = _with_neutrals(take)
    neutral = take.neutrals[0].id
    kept = {Role(assigned.role): assigned for assigned in take.roles if assigned.role in set(Role)}
    own = tuple(assigned for assigned in take.roles if assigned.role not in set(Role))
    day = assign_roles(take, kept, "day", neutral)
    take, impossible = with_reading_colors(replace(take, roles=(*day.roles.values(), *own)), day.missed)
    take = _with_signals(take, day.roles)
    take = with_text_colors(take)
    night = assign_roles(take, {}, "night", night_neutral(take))
    kept = {role: one for role, one in night.roles.items() if take.has_role(role)}
    take = replace(take, roles=_ordered(take.roles), scheme="day", other=None)
    at_night = replace(take, roles=_ordered((*kept.values(), *own)), pairs=())
    other = SchemeRoles(at_night.roles, page_pairs(at_night))
    at_night_too = tuple(f"By night: {entry}" for entry in night.impossible)
    return replace(take, pairs=page_pairs(take), other=other), impossible + at_night_too


def _ordered(roles: tuple[Assignment, ...]) -> tuple[Assignment, ...]:
    return tuple(sorted(roles, key=lambda assigned: role_rank(assigned.role)))


def _with_neutrals(take: Take) -> Take:
    """Return the take with greys of Primary's hue, and for the night calmer ones where those turn brown."""
    if take.neutrals:
        return take
    tint = take.assignment(Role.PRIMARY).swatch
    neutral = Neutral(NEUTRAL_ID, "Neutral", tint, NEUTRAL_STRENGTH, NEUTRAL_STEPS, "lightness")
    return with_night_neutral(replace(take, neutrals=(neutral,)))


def with_night_neutral(take: Take) -> Take:
    """Return the take with calmer greys for the night, where its own would be brown or green there."""
    first = take.neutrals[0]
    there = {neutral.id for neutral in take.neutrals} | {swatch.id for swatch in take.swatches}
    if first.tint is None or first.strength <= NIGHT_STRENGTH:
        return take
    if NIGHT_NEUTRAL_ID in there or len(take.neutrals) >= MAX_NEUTRALS:
        return take
    if not turns_brown(take.value_at(first.tint, None)):
        return take
    calm = replace(first, id=NIGHT_NEUTRAL_ID, name="Night neutral", strength=NIGHT_STRENGTH)
    return replace(take, neutrals=(*take.neutrals, calm))


def turns_brown(tint: Hex) -> bool:
    """Return whether a dark grey of this hue reads as brown or green, and not as a dark of the brand."""
    _, chroma, hue = hex_to_oklch(tint)
    return chroma > BROWN_ABOVE and not BLUE_FROM < hue < BLUE_TO


def night_neutral(take: Take) -> str:
    """Return the id of the neutral that has the grounds by night."""
    there = {neutral.id for neutral in take.neutrals}
    return NIGHT_NEUTRAL_ID if NIGHT_NEUTRAL_ID in there else take.neutrals[0].id


def _with_signals(take: Take, roles: Mapping[Role, Assignment]) -> Take:
    missing = [role for role in SIGNALS if role not in roles]
    if not missing:
        return take
    brand = [take.hex_of(role) for role in BRAND_ROLES if role in roles]
    grounds = [take.hex_of(role) for role in (Role.PAPER, Role.MIST)]
    swatches, assignments = list(take.swatches), list(take.roles)
    for signal in propose_signals(brand, grounds):
        if signal.role in missing:
            taken = {swatch.id for swatch in swatches}
            name = unused_name(str(signal.role).capitalize(), {swatch.name for swatch in swatches})
            key = free_swatch_id(taken)
            swatches.append(new_swatch(key, name, signal.hex, Origin("made", "made for a signal")))
            assignments.append(Assignment(signal.role, key, signal.reason))
    return replace(take, swatches=tuple(swatches), roles=tuple(assignments))
