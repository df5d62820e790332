"""Rules and their angles: another rule, and the angles of one's own."""

from __future__ import annotations

from dataclasses import replace
from itertools import pairwise
from typing import Final

from tonada.core.color.hue_rules import FREE, MOST_FREE_ANGLES, NEUTRAL_BELOW
from tonada.core.errors import InputError
from tonada.core.harmony.chord import anchor_of, open_angles, place_of, play
from tonada.core.take.take import Take

# Where no rule before says where they begin.
_FIRST: Final = (120.0,)


def begun(take: Take, rule: str) -> Take:
    """Return the take with another rule in its usual spread, its swatches where they were.

    Angles of one's own begin where the rule before has its partners.
    """
    angles = take.harmony.angles
    if rule == FREE.name and not angles:
        anchor = anchor_of(take)
        has_hue = anchor is not None and place_of(anchor)[1] >= NEUTRAL_BELOW
        angles = (tuple(angle for angle, _ in open_angles(take)) if has_hue else ()) or _FIRST
    harmony = replace(take.harmony, rule=rule, spread=None, angles=angles[:MOST_FREE_ANGLES])
    return replace(take, harmony=harmony)


def add_angle(take: Take) -> Take:
    """Return the take with one more angle of one's own, in the middle of the widest gap.

    Raises InputError where there are as many as there may be.
    """
    angles = take.harmony.angles
    if len(angles) >= MOST_FREE_ANGLES:
        raise InputError(f"At most {MOST_FREE_ANGLES} angles of your own.", field="angles")
    taken = sorted((0.0, *angles, 360.0))
    start, end = max(pairwise(taken), key=lambda gap: gap[1] - gap[0])
    return _with_angles(take, (*angles, float(int((start + end) / 2 + 0.5) % 360)))


def remove_angle(take: Take) -> Take:
    """Return the take without the last angle of one's own; itself where there is none."""
    angles = take.harmony.angles
    return _with_angles(take, angles[:-1]) if angles else take


def _with_angles(take: Take, angles: tuple[float, ...]) -> Take:
    return play(replace(take, harmony=replace(take.harmony, angles=angles)))
