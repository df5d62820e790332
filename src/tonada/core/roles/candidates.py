"""Which colours of a source ask for a role, and with what share."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Final, NamedTuple

from tonada.core.color.hue_rules import is_neutral
from tonada.core.color.spaces import Hex
from tonada.core.roles.brand import Candidate
from tonada.core.take.parts import Role

# As many as a proposal weighs, and the least share of the artwork with which a colour asks for a role.
MOST_CANDIDATES: Final = 12
LEAST_SHARE: Final = 0.005


class PictureColor(NamedTuple):
    """A colour of a picture. share: of everything visible; ground_share: the part of it that is ground."""

    hex: Hex
    share: float
    ground_share: float


def candidates_of_picture(colors: Sequence[PictureColor], ground: Hex | None) -> tuple[Candidate, ...]:
    """Return what asks for a role, most of the artwork first; shares are of the artwork.

    A near-neutral ground is what the artwork stands on; a coloured one is a colour of the brand.
    """
    leaves_out = ground is not None and is_neutral(ground)
    left_out = sum(one.ground_share for one in colors) if leaves_out else 0.0
    shares = {
        one.hex: (one.share - (one.ground_share if leaves_out else 0.0)) / ((1 - left_out) or 1.0)
        for one in colors
    }
    asking = [Candidate(value, min(1.0, share)) for value, share in shares.items() if share >= LEAST_SHARE]
    return tuple(sorted(asking, key=lambda one: -one.share)[:MOST_CANDIDATES])


class ListedColor(NamedTuple):
    """A colour of a list. name: as the list has it. role: where its name says one."""

    hex: Hex
    name: str = ""
    role: Role | None = None


def candidates_of_list(colors: Sequence[ListedColor]) -> tuple[Candidate, ...]:
    """Return a list's colours: the first is taken to cover most, each further one half as much.

    A role that the list names is wished for, the first time. A name that says a role is no name of a colour.
    """
    known = list({one.hex: one for one in reversed(colors)}.values())[::-1][:MOST_CANDIDATES]
    weights = [0.5**number for number in range(len(known))]
    wished: set[Role] = set()
    found = []
    for one, weight in zip(known, weights, strict=True):
        role = one.role if one.role not in wished else None
        wished |= {role} if role else set()
        name = "" if one.role else one.name
        found.append(Candidate(one.hex, weight / sum(weights), role, name))
    return tuple(found)
