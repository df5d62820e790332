"""Which colours of a take there are to choose from, where any may be taken."""

from __future__ import annotations

from dataclasses import dataclass

from tonada.core.color.spaces import Hex
from tonada.core.take.key import step_key
from tonada.core.take.take import Take, role_rank


@dataclass(frozen=True, slots=True)
class TakeColor:
    """A colour of a take, by its key."""

    key: str
    name: str
    hex: Hex


def color_choices(take: Take) -> tuple[TakeColor, ...]:
    """Return the roles, what they are as text, the swatches, and every step of swatches and neutrals."""
    owners = [*(swatch.id for swatch in take.swatches), *(neutral.id for neutral in take.neutrals)]
    keys = [assigned.role for assigned in sorted(take.roles, key=lambda assigned: role_rank(assigned.role))]
    keys += [key for role in keys if (key := take.text_key_of(role)) != role]
    keys += [swatch.id for swatch in take.swatches]
    keys += [step_key(owner, step) for owner in owners for step in range(1, len(take.ramp(owner).hexes) + 1)]
    found: dict[tuple[str, Hex], TakeColor] = {}
    for key in keys:
        one = TakeColor(key, take.display_name(key), take.color_of(key))
        # What is called and looks like a role, its swatch or a step, is the same to choose.
        found.setdefault((one.name, one.hex), one)
    return tuple(found.values())
