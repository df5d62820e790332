"""What reads on each ground, under one name a job: “text on accent”, “link on mist”, by day and by night.

Whoever builds a page from a file takes the ground and what belongs on it, and never pairs two roles by
hand. Names are the same by day and by night; what they stand for may differ.
"""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass
from functools import cached_property
from typing import Final

from tonada.core.formats.naming import JOBS, Names, Words
from tonada.core.formats.sheet import NamedPair, Value
from tonada.core.pairs.ground_pairs import pair_on_ground
from tonada.core.proof.grounds import Ground, Use, ground_on, grounds_of
from tonada.core.take.key import read_key
from tonada.core.take.proof_settings import Element
from tonada.core.take.take import Role, Take

# Roles that stand on grounds. Every other role is a fill that something may be written on.
_NO_GROUNDS: Final = frozenset((Role.INK, Role.MUTED, Role.LINK, Role.LINE))


@dataclass(frozen=True, slots=True)
class _Written:
    """A ground of one scheme by its words. elements: those that have a name on it."""

    ground: Ground
    words: Words
    elements: tuple[Use, ...]


class GroundTexts:
    """What reads on the grounds of a take, with names that hold in both schemes."""

    def __init__(self, day: Take, names: Names) -> None:
        self._day, self._names = day, names

    def values(self, take: Take, known: set[Words]) -> Iterator[Value]:
        """Yield the values of a scheme. known: the words of the values before them, which they refer to."""
        for entry in self._written(take):
            over = self._label(entry.ground)
            if entry.words not in known:
                ground_name = take.display_name(entry.ground.key)
                yield Value(
                    "use", entry.words, over, entry.ground.hex, ground_name, over=over, key=entry.ground.id
                )
            for use in entry.elements:
                words, target = self._words(use, entry), self._target(use.key)
                job = " ".join(JOBS[use.element]).capitalize()
                name = f"{job} on {over}"
                refers = target if target in known else None
                note = "" if refers else use.name
                key = f"{entry.ground.id}/{use.element}"
                yield Value("use", words, name, use.hex, note, refers, over=over, key=key)

    def pairs(self) -> tuple[NamedPair, ...]:
        """Return each name on its ground, of both schemes: what one of them lacks has the other's value."""
        found: dict[Words, NamedPair] = {}
        for take in self._schemes:
            for entry in self._written(take):
                for use in entry.elements:
                    below = (
                        self._called(Element.BUTTON, entry.words)
                        if use.element is Element.LABEL
                        else entry.words
                    )
                    pair = pair_on_ground(take, entry.ground.id, use.element, use.key, entry.ground.key)
                    words = self._words(use, entry)
                    found.setdefault(words, NamedPair(pair, words, below))
        return tuple(found.values())

    def _label(self, ground: Ground) -> str:
        """Return what a ground is called; not as the role that it left, where both are there."""
        is_role = any(assigned.role == ground.id for assigned in self._day.roles)
        return f"{ground.name} ground" if is_role and ground.id != ground.key else ground.name

    @cached_property
    def _schemes(self) -> tuple[Take, ...]:
        return (self._day,) if self._day.other is None else (self._day, self._day.turned())

    @cached_property
    def _moved(self) -> frozenset[str]:
        """The grounds that are no role's colour in one of the schemes, and so need a name of their own."""
        return frozenset(
            ground.id for take in self._schemes for ground in grounds_of(take) if ground.id != ground.key
        )

    def _written(self, take: Take) -> Iterator[_Written]:
        named = set()
        for ground in grounds_of(take):
            if ground.id in self._moved:
                words = self._names.of_section(ground.id, ground.name)
            else:
                named.add(ground.id)
                words = self._names.of(ground.id)
            yield _Written(ground, words, tuple(use for use in ground.elements if use.element in JOBS))
        for assigned in take.roles:
            if assigned.role not in named and assigned.role not in _NO_GROUNDS:
                ground = ground_on(take, assigned.role)
                # A ground that left its role leaves it all its names.
                jobs = JOBS if assigned.role in self._moved else (Element.TEXT,)
                texts = tuple(use for use in ground.elements if use.element in jobs)
                yield _Written(ground, self._names.of(assigned.role), texts)

    def _words(self, use: Use, entry: _Written) -> Words:
        return self._called(use.element, entry.words)

    def _called(self, element: Element, ground: Words) -> Words:
        return self._names.of_use(JOBS[element], ground)

    def _target(self, key: str) -> Words | None:
        return None if read_key(key).value is not None else self._names.of(key)
