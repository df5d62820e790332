"""Which colours of a source ask for a role, and with what share: the same for page, API and command."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from typing import Final, NamedTuple

from tonada.core.color.hue_rules import is_neutral
from tonada.core.color.spaces import Hex
from tonada.core.roles.brand import Candidate, Choice, Whole
from tonada.core.source.kept import SourceKind
from tonada.core.take.parts import Role

# What the shares of a source's colours are of.
WHOLES: Final[Mapping[SourceKind, Whole]] = {
    "image": "artwork",
    "list": "list",
    "stylesheet": "stylesheet",
    "mood": "mood",
}

# As many as a proposal weighs, and the least share of the artwork with which a colour asks for a role.
MOST_CANDIDATES: Final = 12
LEAST_SHARE: Final = 0.005
# Each colour of a list is taken to cover so much of what the one before it covers.
NEXT_IN_LIST: Final = 0.5


class SourceColor(NamedTuple):
    """A colour of a source. share: 0 to 1, of everything visible, or of all uses.

    ground_share: the part of it that is the picture's ground. role: where the colour's name says one.
    choice: the designer's. picked: off the picture, by hand. is_stop: of a gradient.
    """

    hex: Hex
    share: float = 0.0
    ground_share: float = 0.0
    name: str = ""
    role: Role | None = None
    choice: Choice | None = None
    picked: bool = False
    is_stop: bool = False


class Asking(NamedTuple):
    """The colours that ask for a role.

    of_color: for each colour of the source its place among the candidates; None where it doesn't ask.
    """

    candidates: tuple[Candidate, ...]
    of_color: tuple[int | None, ...]


def candidates_of(
    kind: SourceKind, colors: Sequence[SourceColor], *, leave_out_ground: bool = False
) -> Asking:
    """Return which colours ask for a role: the largest first, those of a list in its order.

    A colour that occurs twice asks once. What the designer chose or picked, or a name gives a role, is among
    them however small it is. A role is given by the first name that says it; a choice goes before a name,
    and a name that says a role is no name of a colour.
    """
    shares = artwork_shares(colors) if leave_out_ground else [color.share for color in colors]
    known: dict[Hex, int] = {}
    for row, color in enumerate(colors):
        if kind != "image" or color.picked or shares[row] >= LEAST_SHARE:
            known.setdefault(color.hex, row)
    choices = _choices(colors, known)
    # Python's order is stable: a list, whose colours have no shares of their own, stays as it is.
    rows = list(known.values()) if kind == "list" else sorted(known.values(), key=lambda row: -shares[row])
    asked_for = sorted(rows, key=lambda row: choices[row] in (None, "leave out") and not colors[row].picked)
    asked_for = asked_for[:MOST_CANDIDATES]
    rows = [row for row in rows if row in asked_for]
    covers = _by_place(len(rows)) if kind == "list" else [min(1.0, max(0.0, shares[row])) for row in rows]
    candidates = tuple(
        Candidate(colors[row].hex, share, choices[row], "" if colors[row].role else colors[row].name)
        for row, share in zip(rows, covers, strict=True)
    )
    place = {colors[row].hex: number for number, row in enumerate(rows)}
    return Asking(candidates, tuple(place.get(color.hex) for color in colors))


def artwork_shares(colors: Sequence[SourceColor]) -> list[float]:
    """Return the share of each colour in what isn't ground, 0 to 1."""
    artwork = 1 - sum(color.ground_share for color in colors) or 1.0
    return [(color.share - color.ground_share) / artwork for color in colors]


def leaves_out(ground: Hex | None) -> bool:
    """Return whether a picture's ground is usually left out.

    A near-neutral ground is what the artwork stands on; a coloured one is a colour of the brand.
    """
    return ground is not None and is_neutral(ground)


def _choices(colors: Sequence[SourceColor], known: Mapping[Hex, int]) -> dict[int, Choice | None]:
    """Return what each colour is to be, by the row where it occurs first."""
    choices: dict[int, Choice | None] = dict.fromkeys(known.values())
    for color in colors:
        row = known.get(color.hex)
        if row is not None and choices[row] is None:
            choices[row] = color.choice
    wished = set(choices.values())
    for row in known.values():
        role = colors[row].role
        if role and role not in wished and choices[row] is None:
            choices[row] = role
            wished.add(role)
    return choices


def _by_place(count: int) -> list[float]:
    weights = [NEXT_IN_LIST**place for place in range(count)]
    return [weight / sum(weights) for weight in weights]
