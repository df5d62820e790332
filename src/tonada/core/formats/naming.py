"""Names of what is handed off: small ASCII words, whatever script a name is in, and no two alike.

A stylesheet could take other letters, but what is typed every day has to be on every keyboard. The
name itself stands beside, in a comment or a field of its own.
"""

from __future__ import annotations

import re
from collections.abc import Iterable, Iterator, Mapping
from typing import Final, TypeAlias

from anyascii import anyascii

from tonada.core.color.ramp import step_number
from tonada.core.take.key import read_key, text_key
from tonada.core.take.proof_settings import Element
from tonada.core.take.take import Take, role_rank

Words: TypeAlias = tuple[str, ...]
# Before what would begin with a digit, which no variable may; alone for what has no letter at all.
COLOR: Final = "color"
MOST_CHARACTERS: Final = 60
# What an element is called on its ground: “quiet text on mist”. The signals are roles of their own.
JOBS: Final[Mapping[Element, Words]] = {
    Element.HEADING: ("heading",),
    Element.TEXT: ("text",),
    Element.QUIET: ("quiet", "text"),
    Element.LINK: ("link",),
    Element.BUTTON: ("button",),
    Element.LABEL: ("button", "label"),
    Element.LINE: ("line",),
    Element.FOCUS: ("focus",),
}
ON: Final = "on"


def words_of(name: str) -> Words:
    """Return a name in small words of ASCII letters and digits: “Türkis 2” as turkis, 2. Never empty, and
    never beginning with a digit."""
    parts = re.sub(r"([a-z0-9])([A-Z])", r"\1 \2", anyascii(name)).lower()
    words = tuple(re.findall(r"[a-z0-9]+", parts[:MOST_CHARACTERS]))
    return words if words and words[0][0].isalpha() else (COLOR, *words)


def says_all(name: str, words: Words) -> bool:
    """Return whether the words have every letter of a name, so that it needn't stand beside them."""
    return name.isascii() and "".join(words).endswith(re.sub(r"[^a-z0-9]", "", name.lower()))


class Names:
    """The unique name of each value of a take, as a tuple of words; the same by day and by night.

    Roles come first, so that they keep their plain names; then what they point at.

    as_text: the roles that have a colour of their own as text, by day or by night.
    """

    def __init__(self, take: Take) -> None:
        self._take = take
        self._taken: set[Words] = set()
        day = take if take.scheme == "day" else take.turned()
        night = day.turned()
        every_role = {
            assigned.role: assigned.name or assigned.role
            for scheme in (night, day)
            for assigned in scheme.roles
        }
        self._words: dict[str, Words] = {}
        for role in sorted(every_role, key=role_rank):
            self._words[role] = self._own(words_of(every_role[role]))
        for key, name in _owners(take):
            self._words[key] = self._own(
                self._unlike_roles(key, name), tuple((number,) for number in self._numbers(key))
            )
        for overlay in take.overlays:
            self._words[overlay.id] = self._own(self._unlike_roles(overlay.id, overlay.name))
        # Last, so that whatever else has a name keeps it.
        self.as_text = frozenset(
            assigned.role for scheme in (night, day) for assigned in scheme.roles if assigned.text_step
        )
        for role in sorted(self.as_text, key=role_rank):
            self._words[text_key(role)] = self._own((*self._words[role], "as", "text"))
        self._grounds: dict[str, Words] = {}
        self._later: dict[tuple[str, Words], Words] = {}

    def of(self, key: str) -> Words:
        """Return the words of a role, a swatch, a neutral, a step of one or an overlay."""
        if key in self._words:
            return self._words[key]
        read = read_key(key)
        if read.step is None or read.name not in self._words:
            return words_of(self._take.display_name(key))
        return self.of_step(read.name, read.step)

    def of_step(self, owner: str, step: int | None) -> Words:
        """Return the words of an owner, or of a step of its ramp from 1."""
        words = self._words[owner]
        return words if step is None else (*words, self._number(owner, step))

    def of_ground(self, ground_id: str, name: str, elements: Iterable[str]) -> Words:
        """Return the words that a ground's values begin with: on, mist."""
        if ground_id not in self._grounds:
            ends = (("ground",), *(words_of(element) for element in elements))
            self._grounds[ground_id] = self._own((ON, *words_of(name)), ends)
        return self._grounds[ground_id]

    def of_section(self, ground_id: str, name: str) -> Words:
        """Return the words of a ground that is no role: tint; of one that left its role: primary ground."""
        is_role = any(assigned.role == ground_id for assigned in self._take.roles)
        words = (*self._words.get(ground_id, words_of(name)), "ground") if is_role else words_of(name)
        return self._own_later(ground_id, words)

    def of_use(self, job: Words, ground: Words) -> Words:
        """Return the words of what does a job on a ground: text on mist."""
        return self._own_later(ON, (*job, ON, *ground))

    def _own_later(self, kind: str, words: Words) -> Words:
        """Return words of its own for what has no key, the same each time."""
        if (kind, words) not in self._later:
            self._later[kind, words] = self._own(words)
        return self._later[kind, words]

    def _unlike_roles(self, key: str, name: str) -> Words:
        """A colour of a role's name has its key behind it, rather than a number that means nothing."""
        words = words_of(name)
        if words == (COLOR,) and not re.search(r"(?i)colou?r", name):
            return words_of(key)
        return (*words, *words_of(key)) if words in self._taken else words

    def _own(self, words: Words, ends: tuple[Words, ...] = ()) -> Words:
        """Return words that nothing else has, and neither with one of the ends behind them."""
        found, number = words, 2
        while any(end in self._taken for end in _with_ends(found, ends)):
            found, number = (*words, str(number)), number + 1
        self._taken.update(_with_ends(found, ends))
        return found

    def _numbers(self, owner: str) -> Iterator[str]:
        steps = len(self._take.ramp(owner).hexes)
        return (self._number(owner, step) for step in range(1, steps + 1))

    def _number(self, owner: str, step: int) -> str:
        return str(step_number(step - 1, len(self._take.ramp(owner).hexes)))


def is_use(words: Words) -> bool:
    """Return whether words name what is used on a ground: text, on, mist; with a lead or without."""
    at = words.index(ON) if ON in words[1:-1] else 0
    return any(words[max(0, at - len(job)) : at] == job for job in JOBS.values())


def _owners(take: Take) -> Iterator[tuple[str, str]]:
    yield from ((swatch.id, swatch.name) for swatch in take.swatches)
    yield from ((neutral.id, neutral.name) for neutral in take.neutrals)


def _with_ends(words: Words, ends: tuple[Words, ...]) -> Iterator[Words]:
    yield words
    yield from ((*words, *end) for end in ends)
