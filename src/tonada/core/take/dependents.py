"""What uses a colour of a take, by day and by night: to be shown before the colour is changed or removed."""

from __future__ import annotations

from collections.abc import Iterable, Sequence
from dataclasses import dataclass

from tonada.core.take.key import read_key, text_key
from tonada.core.take.parts import Assignment, Pair, SchemeRoles, role_name
from tonada.core.take.proof_settings import Element, GroundSettings
from tonada.core.take.take import Take


@dataclass(frozen=True, slots=True)
class Dependents:
    """What uses a swatch or a neutral: itself, one of its steps, or through a role that it has.

    roles, overlays, neutrals: what they are called. pairs: how many, by day and by night.
    grounds: the proof's grounds of this colour. elements: how many have it by hand. slots: how many of
    destinations.
    """

    roles: tuple[str, ...]
    pairs: int
    overlays: tuple[str, ...]
    neutrals: tuple[str, ...]
    grounds: tuple[str, ...]
    elements: int
    slots: int

    def __bool__(self) -> bool:
        counted = (self.pairs, self.elements, self.slots)
        return any((self.roles, self.overlays, self.neutrals, self.grounds, *counted))


def dependents_of(take: Take, owner: str) -> Dependents:
    """Return what uses a swatch or a neutral, by its id."""
    front = SchemeRoles(take.roles, take.pairs, take.grounds)
    schemes = (front, *((take.other,) if take.other else ()))
    behind = "night" if take.scheme == "day" else "day"
    roles = [
        *_role_lines(front.roles, owner, ""),
        *(_role_lines(take.other.roles, owner, f" by {behind}") if take.other else ()),
    ]
    grounds = [ground for scheme in schemes for ground in scheme.grounds]
    return Dependents(
        roles=tuple(roles),
        pairs=sum(_count(scheme.pairs, _keys(scheme.roles, owner), owner) for scheme in schemes),
        overlays=tuple(overlay.name for overlay in take.overlays if overlay.swatch == owner),
        neutrals=tuple(neutral.name for neutral in take.neutrals if neutral.tint == owner),
        grounds=tuple(_ground_names(grounds, owner)),
        elements=sum(_is_of(key, owner) for _, key in _uses(grounds)),
        slots=sum(_is_of(slot.key, owner) for slot in take.slots),
    )


def _role_lines(roles: Iterable[Assignment], owner: str, when: str) -> list[str]:
    found = [assigned for assigned in roles if assigned.swatch == owner]
    return [
        role_name(assigned.role, assigned.name) + when + (", on a step" if assigned.step else "")
        for assigned in found
    ]


def _keys(roles: Iterable[Assignment], owner: str) -> frozenset[str]:
    own = [assigned.role for assigned in roles if assigned.swatch == owner]
    return frozenset((*own, *map(text_key, own)))


def _count(pairs: Iterable[Pair], roles: frozenset[str], owner: str) -> int:
    return sum(any(key in roles or _is_of(key, owner) for key in (pair.text, pair.ground)) for pair in pairs)


def _ground_names(grounds: Iterable[GroundSettings], owner: str) -> Iterable[str]:
    for ground in grounds:
        if ground.ground is not None and _is_of(ground.ground, owner):
            yield ground.name or role_name(ground.id)


def _uses(grounds: Sequence[GroundSettings]) -> Iterable[tuple[Element, str]]:
    return (use for ground in grounds for use in ground.uses)


def _is_of(key: str, owner: str) -> bool:
    return read_key(key).name == owner
