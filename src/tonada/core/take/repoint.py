"""Rebuild ramps and remove swatches, and redirect the references to them."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import replace

import numpy as np

from tonada.core.color.ramp import RampSettings
from tonada.core.color.spaces import Hex, delta_e_ok, hex_to_srgb8, hexes_to_srgb8, srgb8_to_oklab
from tonada.core.errors import TakeError
from tonada.core.take.dependents import dependents_of
from tonada.core.take.key import read_key, step_key
from tonada.core.take.proof_settings import GroundSettings
from tonada.core.take.take import Assignment, Overlay, Pair, SchemeRoles, Take

# Where something points: a swatch or neutral, and the step of its ramp, or None for the swatch itself.
Target = tuple[str, int | None]


def set_ramp(take: Take, swatch_id: str, settings: RampSettings) -> Take:
    """Return the take with another ramp for a swatch; roles on its steps go to the nearest new ones.

    Raises TakeError for an unknown swatch, or settings that are not allowed.
    """
    swatch = take.swatch(swatch_id)
    changed = tuple(replace(one, ramp=settings) if one is swatch else one for one in take.swatches)
    after = replace(take, swatches=changed, roles=(), pairs=(), other=None, overlays=(), grounds=())
    return moved_to_nearest(take, swatch_id, after)


def remove(take: Take, owner: str, instead: Target | None) -> Take:
    """Return the take without a swatch or neutral; what pointed at it points at `instead`.

    Raises TakeError where something points at it and there is no `instead`, or it is itself.
    """
    if instead is not None and instead[0] == owner:
        raise TakeError("What takes its place must be another colour.", field="instead")
    if instead is None and dependents_of(take, owner):
        raise TakeError("This colour is in use. Choose one to replace it.", field="instead")

    def move(target: Target) -> Target:
        return target if target[0] != owner or instead is None else instead

    tint = instead[0] if instead and any(swatch.id == instead[0] for swatch in take.swatches) else None
    moved = _repointed(take, move)
    return replace(
        moved,
        swatches=tuple(swatch for swatch in moved.swatches if swatch.id != owner),
        neutrals=tuple(
            replace(neutral, tint=tint) if neutral.tint == owner else neutral
            for neutral in moved.neutrals
            if neutral.id != owner
        ),
        harmony=replace(
            take.harmony,
            anchor=None if take.harmony.anchor == owner else take.harmony.anchor,
            ground=None if take.harmony.ground == owner else take.harmony.ground,
            shaped_from=tuple(entry for entry in take.harmony.shaped_from if entry[0] != owner),
            varied_from=tuple(entry for entry in take.harmony.varied_from if entry[0] != owner),
        ),
    )


def moved_to_nearest(before: Take, owner: str, after: Take) -> Take:
    """Return `before` with the owners of `after`, its pointers at `owner` on the nearest of the new steps."""
    hexes = after.ramp(owner).hexes
    is_swatch = any(swatch.id == owner for swatch in after.swatches)
    own = after.ramp(owner).own + 1

    def move(target: Target) -> Target:
        if target[0] != owner or target[1] is None:
            return target
        nearest = _nearest(before.value_at(*target), hexes)
        return owner, None if is_swatch and nearest == own else nearest

    # Owners and pointers change at one stroke: in between the steps would not fit.
    return _with_pointers(after, before, move)


def _nearest(value: Hex, hexes: tuple[Hex, ...]) -> int:
    away = delta_e_ok(srgb8_to_oklab(hexes_to_srgb8(hexes)), srgb8_to_oklab(hex_to_srgb8(value)))
    return int(np.argmin(away)) + 1


def _repointed(take: Take, move: Callable[[Target], Target]) -> Take:
    return _with_pointers(take, take, move)


def _with_pointers(after: Take, before: Take, move: Callable[[Target], Target]) -> Take:
    """Return `after` with all that pointed somewhere in `before`, moved."""
    other = before.other and SchemeRoles(
        tuple(_assignment(role, move) for role in before.other.roles),
        tuple(_pair(before, pair, move) for pair in before.other.pairs),
        tuple(_ground(before, ground, move) for ground in before.other.grounds),
    )
    return replace(
        after,
        roles=tuple(_assignment(role, move) for role in before.roles),
        pairs=tuple(_pair(before, pair, move) for pair in before.pairs),
        grounds=tuple(_ground(before, ground, move) for ground in before.grounds),
        overlays=tuple(_overlay(overlay, move) for overlay in before.overlays),
        slots=tuple(replace(slot, key=_key(before, slot.key, move)) for slot in before.slots),
        other=other,
    )


def _ground(take: Take, settings: GroundSettings, move: Callable[[Target], Target]) -> GroundSettings:
    key = None if settings.ground is None else _key(take, settings.ground, move)
    return replace(
        settings, ground=key, uses=tuple((element, _key(take, key, move)) for element, key in settings.uses)
    )


def _assignment(assignment: Assignment, move: Callable[[Target], Target]) -> Assignment:
    swatch, step = move((assignment.swatch, assignment.step))
    text_step = None
    if assignment.text_step is not None:
        there, moved = move((assignment.swatch, assignment.text_step))
        text_step = moved if there == swatch else None
    return replace(assignment, swatch=swatch, step=step, text_step=text_step)


def _overlay(overlay: Overlay, move: Callable[[Target], Target]) -> Overlay:
    swatch, step = move((overlay.swatch, overlay.step))
    return replace(overlay, swatch=swatch, step=step)


def _pair(take: Take, pair: Pair, move: Callable[[Target], Target]) -> Pair:
    return replace(pair, text=_key(take, pair.text, move), ground=_key(take, pair.ground, move))


def _key(take: Take, key: str, move: Callable[[Target], Target]) -> str:
    read = read_key(key)
    owners = {swatch.id for swatch in take.swatches} | {neutral.id for neutral in take.neutrals}
    if read.name not in owners:
        return key
    return step_key(*move((read.name, read.step)))
