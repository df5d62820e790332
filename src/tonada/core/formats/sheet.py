"""What is handed off: the values of a take with their names, in the order of the take.

A Sheet is what every format is written from; options say what is on it and how things are named.
"""

from __future__ import annotations

import re
from collections.abc import Iterator
from dataclasses import dataclass, replace
from typing import Final, Literal, TypeAlias

from tonada.core.color.ramp import step_number
from tonada.core.color.spaces import Hex
from tonada.core.color.writing import CSS_NOTATIONS, WrittenAs, written
from tonada.core.errors import InputError
from tonada.core.proof.grounds import grounds_of
from tonada.core.take.parts import Pair
from tonada.core.take.proof_settings import Element
from tonada.core.take.take import Take, role_name, role_rank

Naming: TypeAlias = Literal["kebab", "camel", "snake"]
NAMINGS: Final[tuple[Naming, ...]] = ("kebab", "camel", "snake")
Part: TypeAlias = Literal["role", "swatch", "step", "ground"]
# A pair with the words of its text and of its ground.
# The end of a pair: the words of a value on the sheet, or the colour itself where it has no name there.
End: TypeAlias = tuple[str, ...] | Hex
NamedPair: TypeAlias = tuple[Pair, End, End]
PREFIX: Final = re.compile(r"[a-z][a-z0-9]{0,19}\Z")


@dataclass(frozen=True, slots=True)
class Options:
    """What is handed off, and how it is named and written.

    roles, swatches, steps, grounds, night: whether they are on the sheet; prefix: before every name.
    """

    roles: bool = True
    swatches: bool = True
    steps: bool = False
    grounds: bool = False
    night: bool = True
    naming: Naming = "kebab"
    notation: WrittenAs = "hex"
    prefix: str = ""

    def __post_init__(self) -> None:
        if self.prefix and not PREFIX.match(self.prefix):
            raise InputError(
                "A prefix is a letter and up to 19 letters and digits, all small.", field="prefix"
            )
        if self.notation not in CSS_NOTATIONS:
            raise InputError(f"Files are written in: {', '.join(CSS_NOTATIONS)}.", field="notation")


USUAL_OPTIONS: Final = Options()


@dataclass(frozen=True, slots=True)
class Value:
    """One colour with its name. words: the name in small words; refers: those of the value it points at.

    note: a few words, such as the name of a role's colour; reason: a sentence.
    """

    part: Part
    words: tuple[str, ...]
    name: str
    hex: Hex
    note: str = ""
    refers: tuple[str, ...] | None = None
    reason: str = ""


@dataclass(frozen=True, slots=True)
class Sheet:
    """day and night: values with unlike names; night is empty where there is none.

    origin: where it comes from, such as a version's address. pairs: of the day.
    """

    title: str
    day: tuple[Value, ...]
    night: tuple[Value, ...] = ()
    origin: str = ""
    pairs: tuple[NamedPair, ...] = ()


def sheet_of(take: Take, options: Options = USUAL_OPTIONS, *, title: str, origin: str = "") -> Sheet:
    """Return the sheet of a take, by day and where wanted by night."""
    take = take if take.scheme == "day" else take.turned()
    night = take.turned() if options.night and take.other is not None else None
    day = _values(take, options)
    at_night = _values(night, options) if night else ()
    return Sheet(title, day, at_night, origin, _pairs(take, day))


def words_of(name: str) -> tuple[str, ...]:
    """Return a name in small words of letters and digits: “Night indigo” as night, indigo."""
    parts = re.sub(r"([a-z0-9])([A-Z])", r"\1 \2", name).lower()
    return tuple(re.findall(r"[a-z0-9]+", parts))


def joined(words: tuple[str, ...], options: Options) -> str:
    """Return words as one name: night-indigo, nightIndigo or night_indigo, with the prefix."""
    whole = (options.prefix, *words) if options.prefix else words
    if options.naming == "camel":
        return whole[0] + "".join(word.capitalize() for word in whole[1:])
    return ("-" if options.naming == "kebab" else "_").join(whole)


def shown(value: Value, options: Options) -> str:
    """Return a value in the notation wanted."""
    return written(value.hex, options.notation)


def _values(take: Take, options: Options) -> tuple[Value, ...]:
    owners = _owner_words(take)
    values: list[Value] = []
    if options.swatches or options.steps:
        values += [
            Value("swatch", owners[one.id], one.name, one.hex, one.origin.note) for one in take.swatches
        ]
    if options.steps:
        values += _steps(take, owners)
    if options.roles:
        bare = [value for value in values if options.steps or not _is_used(take, value, owners)]
        # A role refers only to what has a name of its own on the sheet.
        values = [*_role_values(take, owners, {value.words for value in bare}), *bare]
    if options.grounds:
        values += _ground_values(take)
    return _distinct(values)


def _role_values(
    take: Take, owners: dict[str, tuple[str, ...]], known: set[tuple[str, ...]]
) -> Iterator[Value]:
    for one in sorted(take.roles, key=lambda one: role_rank(one.role)):
        target = owners[one.swatch]
        if one.step is not None:
            target = (*target, _number(take, one.swatch, one.step))
        yield Value(
            "role",
            words_of(one.name or one.role),
            role_name(one.role, one.name),
            take.hex_of(one.role),
            take.name_of(one.swatch, one.step),
            target if target in known else None,
            one.reason,
        )


def _is_used(take: Take, value: Value, owners: dict[str, tuple[str, ...]]) -> bool:
    """A swatch that a role has needs no second name where steps aren't asked for."""
    owner = next(key for key, words in owners.items() if words == value.words)
    return bool(take.roles_of(owner))


def _owner_words(take: Take) -> dict[str, tuple[str, ...]]:
    """Return words for every swatch and neutral; none is also a role's."""
    taken = {words_of(one.name or one.role) for one in take.roles}
    found: dict[str, tuple[str, ...]] = {}
    named = [(one.id, one.name) for one in take.swatches] + [(one.id, one.name) for one in take.neutrals]
    for key, name in named:
        words = words_of(name) or words_of(key)
        if words in taken:
            words = (*words, *words_of(key))
        taken.add(words)
        found[key] = words
    return found


def _number(take: Take, owner: str, step: int) -> str:
    return str(step_number(step - 1, len(take.ramp(owner).hexes)))


def _steps(take: Take, owners: dict[str, tuple[str, ...]]) -> list[Value]:
    return [
        Value("step", (*words, _number(take, owner, row + 1)), take.name_of(owner, row + 1), value)
        for owner, words in owners.items()
        for row, value in enumerate(take.ramp(owner).hexes)
    ]


def _ground_values(take: Take) -> list[Value]:
    """Return what every element uses on every ground: “on mist heading”."""
    values = []
    for ground in grounds_of(take):
        base = ("on", *words_of(ground.name))
        values.append(
            Value("ground", (*base, "ground"), ground.name, ground.hex, take.display_name(ground.key))
        )
        values += [
            Value(
                "ground", (*base, *words_of(one.element)), f"{ground.name}, {one.element}", one.hex, one.name
            )
            for one in ground.elements
            if one.element in Element
        ]
    return values


def _distinct(values: list[Value]) -> tuple[Value, ...]:
    taken: set[tuple[str, ...]] = set()
    found = []
    for value in values:
        words, number = value.words, 2
        while words in taken:
            words, number = (*value.words, str(number)), number + 1
        taken.add(words)
        found.append(replace(value, words=words))
    return tuple(found)


def _pairs(take: Take, values: tuple[Value, ...]) -> tuple[NamedPair, ...]:
    """Return the pairs of two opaque colours, one of them at least a role on the sheet."""
    words = {one.role: words_of(one.name or one.role) for one in take.roles}
    there = {value.words for value in values if value.part == "role"}

    def end(key: str) -> End:
        return words[key] if words.get(key) in there else take.color_of(key)

    named = (
        (pair, end(pair.text), end(pair.ground))
        for pair in take.pairs
        if not pair.layers and take.overlay(pair.text) is None
    )
    return tuple(one for one in named if not (isinstance(one[1], str) and isinstance(one[2], str)))
