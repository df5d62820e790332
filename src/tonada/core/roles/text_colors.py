"""What a brand role is as text or line: its fill where that reads on the page, else a step of its ramp.

A designer keeps the fill and lifts only what is written or drawn: a maroon stays a maroon by night, with
light text on it, and its links and headings are a lighter step. By day a yellow button has dark links.
"""

from __future__ import annotations

from collections.abc import Collection
from dataclasses import replace
from typing import Final

import numpy as np

from tonada.core.color.contrast import ratio_of_luminances, relative_luminance
from tonada.core.color.spaces import delta_e_ok, hex_to_srgb8, hexes_to_srgb8, srgb8_to_oklab
from tonada.core.color.wcag import ENHANCED_RATIO, TEXT_RATIO
from tonada.core.take.parts import ACCENTS, Assignment, Role, RoleKey
from tonada.core.take.take import Take

# The roles that fill areas and are written in, too.
FILLS: Final = (Role.PRIMARY, Role.SECONDARY, *ACCENTS)
_GROUNDS: Final = (Role.PAPER, Role.MIST)


def with_text_colors(take: Take, only: Collection[RoleKey] = FILLS) -> Take:
    """Return the take whose brand roles have the text colour that the page of this scheme asks for.

    only: the roles that are looked at.
    """
    roles = tuple(
        replace(assigned, text_step=text_step_of(take, assigned))
        if assigned.role in FILLS and assigned.role in only
        else assigned
        for assigned in take.roles
    )
    return replace(take, roles=roles)


def text_step_of(take: Take, assigned: Assignment) -> int | None:
    """Return the step that reads as a text on Paper and Mist and is nearest to the fill.

    None where the fill itself reads there, or no step does.
    """
    grounds = [take.hex_of(role) for role in _GROUNDS if take.has_role(role)]
    if not grounds:
        return None
    needed = ENHANCED_RATIO if take.level == "AAA" else TEXT_RATIO
    fill = take.value_at(assigned.swatch, assigned.step)
    hexes = take.ramp(assigned.swatch).hexes
    faces = relative_luminance(hexes_to_srgb8(tuple(grounds)))
    offered = hexes_to_srgb8((fill, *hexes))
    worst = ratio_of_luminances(relative_luminance(offered)[:, None], faces[None]).min(axis=1)
    if worst[0] >= needed or worst.max() < needed:
        return None
    away = delta_e_ok(srgb8_to_oklab(offered[1:]), srgb8_to_oklab(hex_to_srgb8(fill)))
    return int(np.argmin(np.where(worst[1:] >= needed, away, np.inf))) + 1
