"""What has to stay apart while pairs are mended: the grounds of a page, and the brand's colours."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass
from itertools import combinations
from typing import Final

from tonada.core.color.apart import GROUNDS_APART, TOLD_APART
from tonada.core.color.spaces import difference_between
from tonada.core.take.parts import ACCENTS
from tonada.core.take.take import Role, Take

GROUNDS: Final = (Role.PAPER, Role.MIST, Role.DEEP)
BRAND: Final = (Role.PRIMARY, Role.SECONDARY, *ACCENTS)


@dataclass(frozen=True, slots=True)
class Apart:
    """Two roles that stay at least so far apart, as deltaEOK."""

    one: Role
    other: Role
    least: float


def apart_in(take: Take) -> Iterator[Apart]:
    """Yield the roles of a take that are apart now, and have to stay so."""
    for roles, least in ((GROUNDS, GROUNDS_APART), (BRAND, TOLD_APART)):
        there = [role for role in roles if take.has_role(role)]
        for one, other in combinations(there, 2):
            if difference_between(take.hex_of(one), take.hex_of(other)) >= least:
                yield Apart(one, other, least)
