"""A colour for a role that no step of a ramp can have: for grounds that the designer chose.

Only luminance decides whether a text reads. So a column from black to white, in steps finer than a ramp
has, holds a colour that reads on all grounds wherever there is one.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace
from typing import Final

import numpy as np

from tonada.core.color.contrast import contrast_ratio, rounded_down
from tonada.core.color.hue_rules import nearest_of_hue
from tonada.core.color.naming import color_name, unused_name
from tonada.core.color.spaces import Hex, hex_to_oklch, hexes_to_srgb8, srgb8_to_hex
from tonada.core.roles.assignment import requirements_of
from tonada.core.take.parts import Origin, Role, free_swatch_id, new_swatch
from tonada.core.take.take import Take

_LIGHTNESSES: Final = 400
# The chroma of a text that is made: enough to belong, too little to be a brand colour.
_CHROMA: Final = 0.02


def reading_color(grounds: Sequence[Hex], needed: float, hue: float) -> Hex | None:
    """Return the colour that only just reaches the ratio on every ground, or None if no colour does.

    Of a column of one hue and all greys. grounds: at least one, opaque.
    """
    column = np.stack(
        [np.linspace(0, 1, _LIGHTNESSES), np.full(_LIGHTNESSES, _CHROMA), np.full(_LIGHTNESSES, hue)], axis=-1
    )
    greys = np.repeat(np.arange(256, dtype=np.uint8)[:, None], 3, axis=1)
    colors = np.concatenate([nearest_of_hue(column), greys])
    worst = contrast_ratio(colors[:, None], hexes_to_srgb8(tuple(grounds))[None]).min(axis=1)
    passing = np.where(worst >= needed, worst, np.inf)
    best = int(np.argmin(passing))
    return srgb8_to_hex(colors[best]) if np.isfinite(passing[best]) else None


def with_reading_colors(take: Take, missed: Sequence[Role]) -> tuple[Take, tuple[str, ...]]:
    """Return the take with colours made for the roles whose ramps hold none, and what no colour can be.

    take: by day, with a swatch or step for each of them.
    """
    impossible: list[str] = []
    for role in missed:
        asked = requirements_of("day", take.level)[role]
        grounds = [take.hex_of(ground) for ground in asked.on]
        on = " and ".join(str(ground).capitalize() for ground in asked.on)
        hue = hex_to_oklch(take.hex_of(Role.PRIMARY))[2]
        made = next(
            (one for needed in (asked.needed, asked.least) if (one := reading_color(grounds, needed, hue))),
            None,
        )
        if made is not None:
            take = _with_made(take, role, made, on)
        worst = min(_ratio(take.hex_of(role), ground) for ground in grounds)
        if worst < asked.needed:
            impossible.append(
                f"No colour reaches {asked.needed:g}:1 as {str(role).capitalize()} on {on}; this one has "
                f"{rounded_down(worst, 1)}. Another {on} would help."
            )
    return take, tuple(impossible)


def _with_made(take: Take, role: Role, value: Hex, on: str) -> Take:
    name = unused_name(color_name(value), {swatch.name for swatch in take.swatches})
    key = free_swatch_id({swatch.id for swatch in take.swatches})
    swatch = new_swatch(key, name, value, Origin("made", f"made to read on {on}"))
    reason = f"Made, since no step of the ramps reads on {on}."
    roles = tuple(
        replace(assigned, swatch=key, step=None, reason=reason) if assigned.role == role else assigned
        for assigned in take.roles
    )
    return replace(take, swatches=(*take.swatches, swatch), roles=roles)


def _ratio(one: Hex, other: Hex) -> float:
    return float(contrast_ratio(*hexes_to_srgb8((one, other))))
