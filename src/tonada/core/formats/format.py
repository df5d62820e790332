"""What a format of colours is: one module of this folder says it of each, and the registry collects them."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from typing import Any, TypeAlias

from tonada.core.formats.listed import ColorList
from tonada.core.formats.sheet import Options, Sheet

Json: TypeAlias = Any


@dataclass(frozen=True, slots=True, kw_only=True)
class Reading:
    """How a format is read, and how a file in it is recognised, the surest first.

    recognise: by its text. endings: by its name. resembles: by its text, where the name says nothing.
    """

    read: Callable[[str], ColorList]
    endings: tuple[str, ...] = ()
    recognise: Callable[[str], bool] = lambda _: False
    resembles: Callable[[str], bool] = lambda _: False


@dataclass(frozen=True, slots=True, kw_only=True)
class JsonReading:
    """How a format within JSON is read. guesses: where it finds no colour, the next one is tried."""

    read: Callable[[Json], ColorList]
    recognise: Callable[[Json], bool]
    guesses: bool = False


@dataclass(frozen=True, slots=True, kw_only=True)
class Writing:
    """How a format is written. ending: of its files; mimetype: as they are served.

    has_options: whether a person chooses names, notation and parts.
    holds_all: whether every value has a place. holds_texts: whether what reads on each ground has one.
    """

    write: Callable[[Sheet, Options], str]
    ending: str
    mimetype: str
    has_options: bool = True
    holds_all: bool = True
    holds_texts: bool = True


@dataclass(frozen=True, slots=True, kw_only=True)
class Format:
    """A format that colours are read from, written to, or both.

    kind: its name in commands and addresses. name, note: for people.
    """

    kind: str
    name: str
    note: str = ""
    reading: Reading | None = None
    json_reading: JsonReading | None = None
    writing: Writing | None = None
