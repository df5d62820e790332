"""The logo on its grounds: where it can be seen, and what it should stand on.

WCAG 2.2 asks nothing of a logotype (1.4.3, 1.4.11). A logo that nobody can see is a fault all the same, so
that each flat colour of its outline is held to what 1.4.11 asks of graphics, as a warning.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import Final

from tonada.core.color.contrast import ratio_between
from tonada.core.color.spaces import Hex
from tonada.core.color.wcag import LARGE_RATIO
from tonada.core.source.pictures.logo_outline import OutlineColor
from tonada.core.take.take import Role

# What 1.4.11 asks of graphics.
LOGO_NEEDS: Final = LARGE_RATIO
# A logo of which less can be seen (0 to 1, of its outline) has vanished.
SEEN_FROM: Final = 0.5
# What a header may stand on instead of its usual ground, the preferred first.
_OTHER_GROUNDS: Final = (Role.PAPER, Role.MIST, Role.DEEP, Role.PRIMARY)


@dataclass(frozen=True, slots=True)
class LogoColor:
    """A flat colour of a logo's outline on a ground. share: of the outline."""

    hex: Hex
    share: float
    ratio: float
    passes: bool


@dataclass(frozen=True, slots=True)
class LogoOn:
    """A logo on a ground. seen: how much of its outline has LOGO_NEEDS, 0 to 1.

    all_pass: whether each of its colours has; has_vanished: whether too little has for it to be seen.
    """

    ground: str
    colors: tuple[LogoColor, ...]
    seen: float
    all_pass: bool
    has_vanished: bool


def logo_on(outline: Sequence[OutlineColor], ground: str, value: Hex) -> LogoOn:
    """Return how a logo is seen on a ground, of which `value` is the colour."""
    colors = tuple(
        LogoColor(color.hex, color.share, ratio := ratio_between(color.hex, value), ratio >= LOGO_NEEDS)
        for color in outline
    )
    whole = sum(color.share for color in colors) or 1.0
    seen = sum(color.share for color in colors if color.passes) / whole
    return LogoOn(ground, colors, seen, all(color.passes for color in colors), seen < SEEN_FROM)


def ground_for_logo(outline: Sequence[OutlineColor], grounds: Mapping[str, Hex], usual: str) -> str:
    """Return the ground that a section with the logo has: its usual one, unless another shows the logo.

    Another one is taken where all of the logo is seen on it; or the most of it, where it vanishes on the
    usual one.
    """
    if not outline or usual not in grounds:
        return usual
    now = logo_on(outline, usual, grounds[usual])
    others = [logo_on(outline, one, grounds[one]) for one in _OTHER_GROUNDS if one in grounds]
    if now.all_pass or not others:
        return usual
    whole = next((one for one in others if one.all_pass), None)
    if whole:
        return whole.ground
    best = max(others, key=lambda one: one.seen)
    return best.ground if now.has_vanished and best.seen > now.seen else usual


def shows_somewhere(outline: Sequence[OutlineColor], grounds: Mapping[str, Hex]) -> bool:
    """Return whether a header could stand on a ground on which the logo is seen."""
    offered = [one for one in _OTHER_GROUNDS if one in grounds]
    return any(not logo_on(outline, one, grounds[one]).has_vanished for one in offered)
