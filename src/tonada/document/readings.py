"""What a source keeps of its reading: the shapes of the JSON that `reading` writes and answers show."""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from typing import Any, TypeAlias

from pydantic import ConfigDict, computed_field

from tonada.core.color.requirements import requirement
from tonada.core.color.wcag import Usage
from tonada.core.roles.candidates import SourceColor
from tonada.core.source.kept import current_reading
from tonada.core.source.notes import NoteKind
from tonada.core.source.pictures import Kind
from tonada.core.take.take import Role
from tonada.document.parts import Described


class Kept(Described):
    """What is kept must be known: a field that isn't here is refused."""

    model_config = ConfigDict(extra="forbid", frozen=True)


class FoundColor(Kept):
    """A colour of a picture. share: of everything visible; ground_share: of what it lies on."""

    hex: str
    name: str
    share: float
    ground_share: float = 0.0
    is_stop: bool = False


class KeptNote(Kept):
    """What has to be said of a file: what wasn't understood, was mapped, or was assumed, and where."""

    kind: NoteKind
    where: str
    text: str
    times: int = 1


class ImageReading(Kept):
    """steps: the colours from one to the most there can be; count: how many were found."""

    version: int
    format: str
    kind: Kind
    exact: bool
    width: int
    height: int
    ground: str | None
    count: int
    steps: tuple[tuple[FoundColor, ...], ...]
    notes: tuple[KeptNote, ...] = ()


class ListWarning(Kept):
    line: int | None
    text: str
    kind: NoteKind = "not understood"
    times: int = 1


class ListedColor(Kept):
    hex: str
    name: str
    role: Role | None


class ListReading(Kept):
    version: int
    format: str
    title: str | None
    colors: tuple[ListedColor, ...]
    warnings: tuple[ListWarning, ...]


class ColorUse(Kept):
    """How often a stylesheet uses a colour, and as what."""

    hex: str
    text: int
    ground: int
    border: int
    other: int
    translucent: tuple[str, ...]


class ColorGroup(Kept):
    """members: rows of uses."""

    hex: str
    name: str
    members: tuple[int, ...]
    count: int


class RulePair(Kept):
    """A pair that is in one rule. is_enough: for body text at level AA."""

    text: str
    ground: str
    selector: str
    count: int
    ratio: float

    @computed_field  # type: ignore[prop-decorator]  # pydantic's own way; mypy doesn't know it
    @property
    def is_enough(self) -> bool:
        return self.ratio >= requirement(Usage.BODY_TEXT, "AA").ratio


class StylesheetReading(Kept):
    version: int
    files: tuple[str, ...]
    rules: int
    variables: int
    page_ground: str
    difference: float
    uses: tuple[ColorUse, ...]
    groups: tuple[ColorGroup, ...]
    pairs: tuple[RulePair, ...]
    notes: tuple[KeptNote, ...] = ()


class StartingColor(Kept):
    hex: str
    name: str
    family: str
    weight: float
    words: tuple[str, ...]


class CharacterOfMood(Kept):
    name: str
    says: str


class MoodReading(Kept):
    version: int
    words: tuple[str, ...]
    field: str | None
    characters: tuple[CharacterOfMood, ...]
    conventions: tuple[str, ...]
    differs: tuple[str, ...]
    starting_colors: tuple[StartingColor, ...]


Reading: TypeAlias = ImageReading | ListReading | StylesheetReading | MoodReading
_KINDS: Mapping[str, type[Reading]] = {
    "image": ImageReading,
    "list": ListReading,
    "stylesheet": StylesheetReading,
    "mood": MoodReading,
}


def read_kept(kind: str, kept: Mapping[str, Any]) -> Reading | None:
    """Return what a source of a kind keeps, of whatever release; None while it is being read."""
    return _KINDS[kind].model_validate(current_reading(kept)) if kept else None


def colors_of(kept: Reading | None, count: int | None = None) -> tuple[SourceColor, ...]:
    """Return the colours of any kind of source, with shares that are together 1.

    count: how many colours of an image are shown; by default, as many as were found.
    """
    if isinstance(kept, ImageReading):
        shown = min(count or kept.count, len(kept.steps))
        return tuple(SourceColor(**color.model_dump()) for color in kept.steps[shown - 1])
    if isinstance(kept, ListReading):
        share = 1 / max(1, len(kept.colors))
        return tuple(SourceColor(**color.model_dump(), share=share) for color in kept.colors)
    if isinstance(kept, StylesheetReading):
        return _by_weight((group.hex, group.name, group.count) for group in kept.groups)
    if isinstance(kept, MoodReading):
        return _by_weight((color.hex, color.name, color.weight) for color in kept.starting_colors)
    return ()  # it is still being read


def _by_weight(found: Iterable[tuple[str, str, float]]) -> tuple[SourceColor, ...]:
    colors = tuple(found)
    total = sum(weight for _, _, weight in colors) or 1
    return tuple(SourceColor(value, weight / total, name=name) for value, name, weight in colors)


def notes_of(kept: Reading | None) -> tuple[KeptNote, ...]:
    """Return what has to be said of any kind of source."""
    if isinstance(kept, (ImageReading, StylesheetReading)):
        return kept.notes
    if isinstance(kept, ListReading):
        return tuple(
            KeptNote(
                kind=warning.kind,
                where=f"line {warning.line}" if warning.line else "",
                text=warning.text,
                times=warning.times,
            )
            for warning in kept.warnings
        )
    return ()
