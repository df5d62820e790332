"""What is handed off: the values of a take with their names, in the order of the take.

A Sheet is what every format is written from; options say what is on it and how things are named.
"""

from __future__ import annotations

import re
from collections.abc import Iterator
from dataclasses import dataclass, replace
from typing import Final, Literal, TypeAlias

from tonada.core.color.spaces import Hex
from tonada.core.color.wcag import Level
from tonada.core.color.writing import CSS_NOTATIONS, WrittenAs, written
from tonada.core.errors import InputError
from tonada.core.formats.naming import Names, Words, says_all, words_of
from tonada.core.proof.grounds import grounds_of
from tonada.core.take.key import read_key, text_key
from tonada.core.take.parts import Assignment, Pair
from tonada.core.take.proof_settings import Element
from tonada.core.take.take import Take, role_name, role_rank

Naming: TypeAlias = Literal["kebab", "camel", "snake"]
NAMINGS: Final[tuple[Naming, ...]] = ("kebab", "camel", "snake")
Dark: TypeAlias = Literal["media", "attribute", "class"]
DARKS: Final[tuple[Dark, ...]] = ("media", "attribute", "class")
Part: TypeAlias = Literal["role", "swatch", "step", "ground", "overlay"]
# The end of a pair: the words of a value on the sheet, or the colour in CSS where it has no name there.
End: TypeAlias = Words | str
PREFIX: Final = re.compile(r"[a-z][a-z0-9]{0,19}\Z")


@dataclass(frozen=True, slots=True)
class Options:
    """What is handed off, and how it is named and written.

    roles, swatches, steps, grounds, overlays, night: whether they are on the sheet; prefix: before every
    name. dark: what turns a stylesheet to the night, the person's wish, data-theme="dark" or the class dark.
    """

    roles: bool = True
    swatches: bool = True
    steps: bool = False
    grounds: bool = False
    overlays: bool = True
    night: bool = True
    naming: Naming = "kebab"
    notation: WrittenAs = "hex"
    prefix: str = ""
    dark: Dark = "media"

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

    note: a few words, such as the name of a role's colour; reason: a sentence. alpha: 0 to 1, exact.
    """

    part: Part
    words: Words
    name: str
    hex: Hex
    note: str = ""
    refers: Words | None = None
    reason: str = ""
    alpha: float = 1.0


@dataclass(frozen=True, slots=True)
class NamedPair:
    """A pair with its text, its ground, and the overlays between the two, the lowest first."""

    pair: Pair
    text: End
    ground: End
    layers: tuple[End, ...] = ()


@dataclass(frozen=True, slots=True)
class Sheet:
    """day and night: values with unlike names; night is empty where there is none.

    origin: where it comes from, such as a version's address. pairs: of the day, and night_pairs, held
    to the level.
    """

    title: str
    day: tuple[Value, ...]
    night: tuple[Value, ...] = ()
    origin: str = ""
    pairs: tuple[NamedPair, ...] = ()
    night_pairs: tuple[NamedPair, ...] = ()
    level: Level = "AA"


def sheet_of(take: Take, options: Options = USUAL_OPTIONS, *, title: str, origin: str = "") -> Sheet:
    """Return the sheet of a take, by day and where wanted by night.

    A name is there in both schemes or in none: what one of them lacks has there the other's value.
    """
    day = take if take.scheme == "day" else take.turned()
    names = Names(day)
    values = _values(day, names, options)
    at_night: tuple[Value, ...] = ()
    night_pairs: tuple[NamedPair, ...] = ()
    if options.night and day.other is not None:
        at_night = _values(day.turned(), names, options)
        night_pairs = _pairs(day.turned(), names, at_night)
        values, at_night = _completed(values, at_night, "night"), _completed(at_night, values, "day")
    pairs = _pairs(day, names, values)
    return Sheet(title, values, at_night, origin, pairs, night_pairs, day.level)


def _completed(values: tuple[Value, ...], others: tuple[Value, ...], other: str) -> tuple[Value, ...]:
    there = {value.words for value in values}
    missing = [value for value in others if value.words not in there]
    return (*values, *(replace(entry, refers=None, note=f"as by {other}") for entry in missing))


def joined(words: Words, options: Options) -> str:
    """Return words as one name: night-indigo, nightIndigo or night_indigo, with the prefix."""
    whole = (options.prefix, *words) if options.prefix else words
    if options.naming == "camel":
        return whole[0] + "".join(word.capitalize() for word in whole[1:])
    return ("-" if options.naming == "kebab" else "_").join(whole)


def shown(value: Value, options: Options) -> str:
    """Return a value in the notation wanted."""
    return written(value.hex, options.notation, value.alpha)


def remark(value: Value, note: str) -> str:
    """Return what is written beside a value: its name, where the identifier lacks it, and a note."""
    name = "" if says_all(value.name, value.words) or value.part in ("step", "ground") else value.name
    return " · ".join(part for part in (name, note) if part)


def _values(take: Take, names: Names, options: Options) -> tuple[Value, ...]:
    values: list[Value] = []
    if options.swatches or options.steps:
        values += [
            Value("swatch", names.of(swatch.id), swatch.name, swatch.hex, swatch.origin.note)
            for swatch in take.swatches
        ]
        # A swatch that a role has needs no second name where steps aren't asked for.
        if not options.steps:
            values = [
                value for value, one in zip(values, take.swatches, strict=True) if not _is_used(take, one.id)
            ]
    if options.steps:
        values += _steps(take, names)
    if options.roles:
        # A role refers only to what has a name of its own on the sheet.
        values = [*_role_values(take, names, {value.words for value in values}), *values]
    if options.overlays:
        values += [
            Value(
                "overlay",
                names.of(overlay.id),
                overlay.name,
                take.value_at(overlay.swatch, overlay.step),
                f"{take.name_of(overlay.swatch, overlay.step)} at {overlay.alpha:.4g}",
                alpha=overlay.alpha,
            )
            for overlay in take.overlays
        ]
    if options.grounds:
        values += _ground_values(take, names)
    return tuple(values)


def _role_values(take: Take, names: Names, known: set[Words]) -> Iterator[Value]:
    for assigned in sorted(take.roles, key=lambda assigned: role_rank(assigned.role)):
        target = names.of_step(assigned.swatch, assigned.step)
        yield Value(
            "role",
            names.of(assigned.role),
            role_name(assigned.role, assigned.name),
            take.hex_of(assigned.role),
            take.name_of(assigned.swatch, assigned.step),
            target if target in known else None,
            assigned.reason,
        )
        if assigned.role in names.as_text:
            yield _as_text(take, names, assigned, known)


def _as_text(take: Take, names: Names, assigned: Assignment, known: set[Words]) -> Value:
    """Return a role as text or line; where that is the colour itself, it refers to the role."""
    key, name = text_key(assigned.role), role_name(assigned.role, assigned.name)
    target = names.of(assigned.role)
    if assigned.text_step is not None:
        step = names.of_step(assigned.swatch, assigned.text_step)
        return Value(
            "role", names.of(key), f"{name} as text", take.color_of(key),
            take.name_of(assigned.swatch, assigned.text_step), step if step in known else None,
        )  # fmt: skip
    return Value("role", names.of(key), f"{name} as text", take.color_of(key), refers=target)


def _is_used(take: Take, owner: str) -> bool:
    """Return whether a role has a swatch, by day or by night: names are there in both or in none."""
    schemes = (take,) if take.other is None else (take, take.turned())
    return any(scheme.roles_of(owner) for scheme in schemes)


def _steps(take: Take, names: Names) -> list[Value]:
    return [
        Value("step", names.of_step(owner, row), take.name_of(owner, row), value)
        for owner in (*(swatch.id for swatch in take.swatches), *(neutral.id for neutral in take.neutrals))
        for row, value in enumerate(take.ramp(owner).hexes, 1)
    ]


def _ground_values(take: Take, names: Names) -> list[Value]:
    """Return what every element uses on every ground: “on mist heading”."""
    values = []
    for ground in grounds_of(take):
        base = names.of_ground(ground.id, ground.name, Element)
        values.append(
            Value("ground", (*base, "ground"), ground.name, ground.hex, take.display_name(ground.key))
        )
        values += [
            Value(
                "ground",
                (*base, *words_of(element.element)),
                f"{ground.name}, {element.element}",
                element.hex,
                element.name,
            )
            for element in ground.elements
            if element.element in Element
        ]
    return values


def _pairs(take: Take, names: Names, values: tuple[Value, ...]) -> tuple[NamedPair, ...]:
    """Return the pairs of a scheme, each end by its name on the sheet, or as a colour where it has none."""
    there = {value.words for value in values}

    def end(key: str) -> End:
        if read_key(key).value is None and names.of(key) in there:
            return names.of(key)
        overlay = take.overlay(key)
        if overlay is None:
            return take.color_of(key)
        return written(take.value_at(overlay.swatch, overlay.step), "rgb", overlay.alpha)

    return tuple(
        NamedPair(pair, end(pair.text), end(pair.ground), tuple(end(layer) for layer in pair.layers))
        for pair in take.pairs
    )
