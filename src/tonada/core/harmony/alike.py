"""Roles that a person would take for each other: brand colours among themselves, and with the signals."""

from __future__ import annotations

from dataclasses import dataclass
from itertools import combinations
from typing import Final

from tonada.core.color.apart import TOLD_APART
from tonada.core.color.spaces import difference_between
from tonada.core.take.parts import ACCENTS
from tonada.core.take.take import SIGNALS, Role, Take, role_name

BRAND: Final = (Role.PRIMARY, Role.SECONDARY, *ACCENTS)


@dataclass(frozen=True, slots=True)
class Alike:
    """Two roles whose colours look like one. difference: deltaEOK; 0 where it is one."""

    one: Role
    other: Role
    difference: float

    @property
    def text(self) -> str:
        """What there is to say, in a sentence."""
        names = f"{role_name(self.one)} and {role_name(self.other)}"
        if not self.difference:
            return f"{names} are the same colour."
        if self.other in SIGNALS:
            return (
                f"{names} differ by {only(self.difference)}: a message would look like the brand, "
                "or the brand like a message."
            )
        return f"{names} differ by {only(self.difference)}, too little to tell them apart on a page."


def only(difference: float) -> str:
    """Return a small deltaEOK in words: “only 0.03”, and never 0.00 of what does differ."""
    return f"only {difference:.2f}" if difference >= 0.005 else "less than 0.01"


def alike_roles(take: Take) -> tuple[Alike, ...]:
    """Return the pairs of brand roles, and of a brand role and a signal, that look alike, in their order."""
    brand = [role for role in BRAND if take.has_role(role)]
    signals = [role for role in SIGNALS if take.has_role(role)]
    pairs = [*combinations(brand, 2), *((role, signal) for role in brand for signal in signals)]
    measured = [
        Alike(one, other, difference_between(take.hex_of(one), take.hex_of(other))) for one, other in pairs
    ]
    return tuple(one for one in measured if one.difference < TOLD_APART)
