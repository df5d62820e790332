"""What is handed off: the values of a take with their names, in the order of the take.

A Sheet is what every format is written from; options say what is on it and how things are named.
"""

from __future__ import annotations

import re
from dataclasses import dataclass
from typing import Final, Literal, TypeAlias

from tonada.core.color.spaces import Hex
from tonada.core.color.wcag import Level
from tonada.core.color.writing import CSS_NOTATIONS, WrittenAs, written
from tonada.core.errors import InputError
from tonada.core.formats.naming import Words, says_all
from tonada.core.take.parts import Pair

Naming: TypeAlias = Literal["kebab", "camel", "snake"]
NAMINGS: Final[tuple[Naming, ...]] = ("kebab", "camel", "snake")
Dark: TypeAlias = Literal["media", "attribute", "class", "light-dark"]
DARKS: Final[tuple[Dark, ...]] = ("media", "attribute", "class", "light-dark")
Part: TypeAlias = Literal["role", "swatch", "step", "ground", "overlay", "use"]
# The end of a pair: the words of a value on the sheet, or the colour in CSS where it has no name there.
End: TypeAlias = Words | str
PREFIX: Final = re.compile(r"[a-z][a-z0-9]{0,19}\Z")


@dataclass(frozen=True, slots=True)
class Options:
    """What is handed off, and how it is named and written.

    roles, swatches, steps, grounds, overlays, night: whether they are on the sheet; texts: what reads on each
    ground, where roles are. prefix: before every name. dark: what turns a stylesheet to the night, the
    person's wish, data-theme="dark" or the class dark; or both stand in one value, light-dark(). fallback:
    whether values that older browsers don't know stand in hex first. hex_tokens: whether tokens are strings.
    """

    roles: bool = True
    texts: bool = True
    swatches: bool = True
    steps: bool = False
    grounds: bool = False
    overlays: bool = True
    night: bool = True
    naming: Naming = "kebab"
    notation: WrittenAs = "hex"
    prefix: str = ""
    dark: Dark = "media"
    fallback: bool = False
    hex_tokens: bool = False

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
    over: the name of the ground that it is used on. key: what it is of a take: a role, `role/text`, the id of
    a swatch or overlay, `ground/element`.
    """

    part: Part
    words: Words
    name: str
    hex: Hex
    note: str = ""
    refers: Words | None = None
    reason: str = ""
    alpha: float = 1.0
    over: str = ""
    key: str = ""


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
    to the level: those of the take, then each text on its ground.
    """

    title: str
    day: tuple[Value, ...]
    night: tuple[Value, ...] = ()
    origin: str = ""
    pairs: tuple[NamedPair, ...] = ()
    night_pairs: tuple[NamedPair, ...] = ()
    level: Level = "AA"


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
    name = "" if says_all(value.name, value.words) or value.part in ("step", "ground", "use") else value.name
    return " · ".join(part for part in (name, note) if part)
