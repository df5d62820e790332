"""A ready-made palette as a whole take, and the proof of its page."""

from __future__ import annotations

from dataclasses import replace

from tonada.core.color.wcag import Level
from tonada.core.pairs.evaluation import counts_of_schemes
from tonada.core.ready.palette import PALETTE_ROLES, Proof, RoleColor, checked_colors
from tonada.core.roles.brand import Candidate
from tonada.core.roles.proposal import Proposal, propose_roles
from tonada.core.take.parts import PLANNED_SHARES, Origin
from tonada.core.take.take import Take


def propose_ready(colors: tuple[RoleColor, ...], level: Level = "AA") -> Proposal:
    """Return the proposal for a palette's colours in their own roles. Raises InputError without Primary."""
    candidates = tuple(Candidate(color.hex, PLANNED_SHARES[color.role], color.role) for color in colors)
    return propose_roles(candidates, "mood", level)


def ready_take(colors: tuple[RoleColor, ...], name: str, level: Level = "AA") -> Take:
    """Return a palette's take with every role, by day and by night; nothing in it is held.

    Raises InputError where it has no Primary.
    """
    take = propose_ready(colors, level).take
    own = {color.hex for color in colors}
    origin = Origin("source", f"from the ready-made palette “{name}”")
    swatches = (replace(swatch, origin=origin) if swatch.hex in own else swatch for swatch in take.swatches)
    return replace(take, swatches=tuple(swatches))


def proof_of(colors: tuple[RoleColor, ...]) -> Proof:
    """Return how many pairs of a palette's page there are and pass, and whether it can be held to AAA."""
    counts = counts_of_schemes(propose_ready(colors).take)
    enhanced = counts_of_schemes(propose_ready(colors, "AAA").take)
    return Proof(pairs=counts.judged, passing=counts.passes, reaches_aaa=not enhanced.fails)


def palette_from(take: Take) -> tuple[RoleColor, ...]:
    """Return the colours that a take has by day as those of a palette. Raises InputError without Primary."""
    day = take if take.scheme == "day" else take.turned()
    return checked_colors({role: day.hex_of(role) for role in PALETTE_ROLES if day.has_role(role)})
