"""Other values for the swatches of a take; what points at them follows."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import replace

from tonada.core.color.naming import color_name, unused_name
from tonada.core.color.spaces import Hex
from tonada.core.take.take import Origin, OriginKind, Swatch, Take


def recolor(take: Take, swatch_id: str, value: Hex, note: str, kind: OriginKind = "mended") -> Take:
    """Return the take with another value for one swatch; what points at it follows."""
    return recolor_many(take, {swatch_id: value}, note, kind)


def recolor_many(take: Take, values: Mapping[str, Hex], note: str, kind: OriginKind) -> Take:
    """Return the take with new values for some swatches; a swatch whose value is the same does not change.

    A systematic name follows the value, one that was given stays; the reason of a role that a
    changed swatch itself has becomes the note. Steps, tints and overlays follow by themselves.
    """
    changed = {swatch.id for swatch in take.swatches if values.get(swatch.id, swatch.hex) != swatch.hex}
    taken = {swatch.name for swatch in take.swatches if swatch.id not in changed}
    swatches = []
    for swatch in take.swatches:
        if swatch.id in changed:
            name = _name_for(swatch, values[swatch.id], taken)
            swatch = replace(swatch, name=name, hex=values[swatch.id], origin=Origin(kind, note))
        taken.add(swatch.name)
        swatches.append(swatch)
    reason = f"{note[:1].upper()}{note[1:]}."
    roles = tuple(
        replace(assigned, reason=reason) if assigned.swatch in changed and assigned.step is None else assigned
        for assigned in take.roles
    )
    return replace(take, swatches=tuple(swatches), roles=roles)


def _name_for(swatch: Swatch, value: Hex, taken: set[str]) -> str:
    systematic = color_name(swatch.hex)
    name, _, number = swatch.name.rpartition(" ")
    is_systematic = swatch.name == systematic or (name == systematic and number.isdecimal())
    return unused_name(color_name(value), taken) if is_systematic else swatch.name


def change_pair_text(take: Take, pair_id: str, text: str) -> Take:
    """Return the take with another role, or another colour, as the text of one pair."""
    return replace(
        take,
        pairs=tuple(replace(pair, text=text) if pair.id == pair_id else pair for pair in take.pairs),
    )
