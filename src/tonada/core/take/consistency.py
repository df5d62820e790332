"""What a take must not contradict: ids, references, values, names of roles."""

from __future__ import annotations

from collections.abc import Collection, Iterable, Mapping, Sequence, Set

from tonada.core.color.ramp import LEAST_STEPS, MOST_MIXED, MOST_STEPS
from tonada.core.color.spaces import HEX_PATTERN
from tonada.core.errors import TakeError
from tonada.core.take.key import read_key, role_as_text
from tonada.core.take.parts import (
    OWN_ROLE,
    ROLE_NAMES,
    Assignment,
    Neutral,
    Overlay,
    Pair,
    Swatch,
)


def check_parts(
    swatches: Sequence[Swatch],
    neutrals: Sequence[Neutral],
    overlays: Sequence[Overlay],
    schemes: Iterable[tuple[Sequence[Assignment], Sequence[Pair]]],
) -> None:
    """Raise TakeError, naming the field, for the first thing that contradicts another.

    schemes: the roles and pairs of each.
    """
    _check_ids(swatches, neutrals, overlays)
    ids = {swatch.id for swatch in swatches}
    for number, swatch in enumerate(swatches):
        _check_swatch(swatch, number)
    for number, neutral in enumerate(neutrals):
        _check_neutral(neutral, number, ids)
    owners = {swatch.id: step_count(swatch) for swatch in swatches}
    owners |= {neutral.id: neutral.steps for neutral in neutrals}
    for number, overlay in enumerate(overlays):
        who = f"The overlay “{overlay.name}”"
        _check_target(overlay.swatch, overlay.step, owners, ids, who, f"overlays.{number}")
    layers = {overlay.id for overlay in overlays}
    for roles, pairs in schemes:
        _check_roles(roles, owners, ids)
        _check_pairs(pairs, {assigned.role for assigned in roles}, owners, layers)


def step_count(swatch: Swatch) -> int:
    """Return how many steps a swatch's ramp has."""
    ramp = swatch.ramp
    return ramp.tints + 1 + ramp.shades if ramp.kind == "mix" else ramp.steps


def _check_target(
    owner: str, step: int | None, owners: Mapping[str, int], swatches: Collection[str], who: str, field: str
) -> None:
    """A swatch, or a step from 1 of a swatch or neutral that is there."""
    if owner not in owners:
        raise TakeError(f"{who} points at “{owner}”, which isn’t a swatch’s id.", field=f"{field}.swatch")
    if step is None and owner in swatches:
        return
    if step is None or not 1 <= step <= owners[owner]:
        raise TakeError(f"{who} needs a step of “{owner}”: 1 to {owners[owner]}.", field=f"{field}.step")


def _check_ids(swatches: Iterable[Swatch], neutrals: Iterable[Neutral], overlays: Iterable[Overlay]) -> None:
    taken: set[str] = set()
    kinds = (("swatches", swatches), ("neutrals", neutrals), ("overlays", overlays))
    for field, things in kinds:
        for thing in things:
            if thing.id in taken:
                raise TakeError(
                    f"Two {field} have the same id “{thing.id}”; each needs its own.", field=field
                )
            if thing.id in ROLE_NAMES or OWN_ROLE.match(thing.id):
                raise TakeError(f"“{thing.id}” is a role; an id must be another word.", field=field)
            taken.add(thing.id)


def _check_swatch(swatch: Swatch, number: int) -> None:
    if not HEX_PATTERN.match(swatch.hex):
        raise TakeError(f"“{swatch.hex[:40]}” is not a colour like #2b3a8c.", field=f"swatches.{number}.hex")
    ramp = swatch.ramp
    if not LEAST_STEPS <= ramp.steps <= MOST_STEPS:
        raise TakeError(
            f"A ramp has {LEAST_STEPS} to {MOST_STEPS} steps.", field=f"swatches.{number}.ramp.steps"
        )
    if not (0 <= ramp.tints <= MOST_MIXED and 0 <= ramp.shades <= MOST_MIXED):
        raise TakeError(
            f"A mixed ramp has 0 to {MOST_MIXED} tints and shades.", field=f"swatches.{number}.ramp"
        )


def _check_neutral(neutral: Neutral, number: int, swatches: Collection[str]) -> None:
    where = f"neutrals.{number}"
    if neutral.tint is not None and neutral.tint not in swatches:
        raise TakeError(
            f"The neutral “{neutral.name}” is tinted by “{neutral.tint}”, which isn’t a swatch’s id.",
            field=f"{where}.tint",
        )
    if not LEAST_STEPS <= neutral.steps <= MOST_STEPS:
        raise TakeError(f"Neutrals have {LEAST_STEPS} to {MOST_STEPS} steps.", field=f"{where}.steps")
    if not 0 <= neutral.strength <= 1:
        raise TakeError("The strength of a tint is 0 to 1.", field=f"{where}.strength")


def _check_roles(roles: Sequence[Assignment], owners: Mapping[str, int], swatches: Collection[str]) -> None:
    known: set[str] = set()
    for number, one in enumerate(roles):
        _check_target(one.swatch, one.step, owners, swatches, f"The role {one.role}", f"roles.{number}")
        if one.text_step is not None and not 1 <= one.text_step <= owners[one.swatch]:
            raise TakeError(
                f"As text, the role {one.role} needs a step of “{one.swatch}”: 1 to {owners[one.swatch]}.",
                field=f"roles.{number}.text_step",
            )
        if one.role not in ROLE_NAMES and not (OWN_ROLE.match(one.role) and one.name):
            raise TakeError(
                f"“{one.role[:40]}” isn’t a role; one of your own is named and its key begins with “own-”.",
                field=f"roles.{number}.role",
            )
        if one.role in known:
            raise TakeError(
                f"The role {one.role} is given twice; give it once.", field=f"roles.{number}.role"
            )
        known.add(one.role)


def _check_pairs(
    pairs: Sequence[Pair], roles: Set[str], owners: Mapping[str, int], overlays: Collection[str]
) -> None:
    keys = {pair.text for pair in pairs} | {pair.ground for pair in pairs}
    # A drag asks many times a second, and mostly they are between roles, without layers.
    if not keys <= roles or any(pair.layers for pair in pairs):
        _check_what_pairs_use(pairs, roles, owners, overlays)
    if len({pair.id for pair in pairs}) != len(pairs):
        raise TakeError("Two pairs have the same id; each needs its own.", field="pairs")


def _check_what_pairs_use(
    pairs: Sequence[Pair], roles: Set[str], owners: Mapping[str, int], overlays: Collection[str]
) -> None:
    for number, pair in enumerate(pairs):
        for end, key in (("text", pair.text), ("ground", pair.ground)):
            if key in roles or role_as_text(key) in roles:
                continue
            read = read_key(key)
            steps = owners.get(read.name, 0)
            known = read.value is not None or (steps and read.step is None)
            if read.step is not None:
                known = known or 1 <= read.step <= steps
            if not (known or (end == "text" and key in overlays)):
                raise TakeError(
                    f"The pair uses “{key[:40]}”, which no colour of this take has.",
                    field=f"pairs.{number}.{end}",
                )
        for layer in pair.layers:
            if layer not in overlays:
                raise TakeError(
                    f"The pair lies on “{layer[:40]}”, which isn’t an overlay’s id.",
                    field=f"pairs.{number}.layers",
                )
