"""The fills of brand roles by night: they stay. Only one that no text reads on moves, as little as it can.

Source: WCAG 2.2, 1.4.3 asks for the text on a button or section, and 1.4.11 for no edge around it.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import replace

from tonada.core.color.contrast import ratio_between, rounded_down
from tonada.core.color.spaces import Hex, difference_between
from tonada.core.color.wcag import ENHANCED_RATIO, TEXT_RATIO
from tonada.core.roles.page_pairs import label_on
from tonada.core.roles.text_colors import FILLS, text_step_of
from tonada.core.take.take import Assignment, Role, Take


def fills_at_night(take: Take, night: Mapping[Role, Assignment]) -> dict[Role, Assignment]:
    """Return the brand roles by night, each with what it is as text.

    take: by day. night: the grounds and texts of the night, which are there already.
    """
    day = {role: take.assignment(role) for role in FILLS if take.has_role(role) and role not in night}
    dark = replace(take, roles=tuple({**day, **night}.values()), pairs=(), grounds=(), other=None)
    return {role: _at_night(dark, assigned) for role, assigned in day.items()}


def _at_night(dark: Take, assigned: Assignment) -> Assignment:
    needed = ENHANCED_RATIO if dark.level == "AAA" else TEXT_RATIO
    by_day = dark.value_at(assigned.swatch, assigned.step)
    step, reason = assigned.step, "The fill stays as it is by day."
    if any(swatch.id == assigned.swatch and swatch.held for swatch in dark.swatches):
        reason = "Held, so the fill stays as it is by day."
    elif not _carries_text(dark, by_day, needed):
        moved = _nearest_that_carries(dark, assigned, by_day, needed)
        if moved is not None:
            step, reason = moved, "The nearest step on which a text reads by night."
    made = replace(assigned, step=step, reason=reason, text_step=None)
    text_step = text_step_of(dark, made)
    if text_step is not None:
        ratio = _worst(dark, dark.value_at(assigned.swatch, text_step))
        reason = f"{reason} As text, a step of its ramp: {rounded_down(ratio, 1)}:1 on Paper and Mist."
    return replace(made, reason=reason, text_step=text_step)


def _carries_text(dark: Take, fill: Hex, needed: float) -> bool:
    key = label_on(dark, fill, needed)
    return key is not None and ratio_between(dark.color_of(key), fill) >= needed


def _nearest_that_carries(dark: Take, assigned: Assignment, by_day: Hex, needed: float) -> int | None:
    offered = [
        (difference_between(by_day, value), number)
        for number, value in enumerate(dark.ramp(assigned.swatch).hexes, 1)
        if _carries_text(dark, value, needed)
    ]
    return min(offered)[1] if offered else None


def _worst(dark: Take, value: Hex) -> float:
    return min(ratio_between(value, dark.hex_of(role)) for role in (Role.PAPER, Role.MIST))
