"""Sources across the boundary: what is asked of a reading, and what was found."""

from __future__ import annotations

from typing import Annotated, Any, Literal
from uuid import UUID

from pydantic import ConfigDict, Field, StringConstraints, computed_field

from tonada.core import limits
from tonada.core.color.contrast import Usage
from tonada.core.color.naming import color_name
from tonada.core.color.requirements import requirement
from tonada.core.source.mood_words import FIELDS, WORDS
from tonada.core.source.pictures import Kind, Loupe, Region
from tonada.core.source.stylesheets.groups import LARGEST_DIFFERENCE
from tonada.core.take.take import Role
from tonada.document.parts import HexText, Line, Model, Name
from tonada.store.sources import SourceKind, SourceRow, SourceState
from tonada.web.takes.models import BrandAnswer, TakeSummary

Fraction = Annotated[float, Field(ge=0, le=1)]


class RegionModel(Model):
    """A part of a picture, in fractions of its width and height from the top left."""

    left: Fraction
    top: Fraction
    width: Annotated[float, Field(gt=0, le=1)]
    height: Annotated[float, Field(gt=0, le=1)]

    def to_region(self) -> Region:
        return Region(self.left, self.top, self.width, self.height)


class ReadingBody(Model):
    """What is asked of a reading; what is left out is as the reader finds it.

    count, kind and region are for images, difference for stylesheets, words and field for moods.
    """

    count: Annotated[int, Field(ge=1, le=limits.MAX_FOUND_COLORS)] | None = None
    kind: Kind | None = None
    region: RegionModel | None = None
    difference: Annotated[float, Field(ge=0, le=LARGEST_DIFFERENCE)] | None = None
    words: Annotated[tuple[str, ...], Field(max_length=limits.MAX_MOOD_WORDS)] | None = None
    field: Annotated[str, StringConstraints(max_length=40)] | None = None


class FoundColorAnswer(Model):
    """A colour of a source. share: of everything visible, or of all uses. role: where its name says so."""

    hex: str
    name: str
    share: float
    ground_share: float = 0.0
    is_stop: bool = False
    picked: bool = False
    role: Role | None = None


class ImageReading(Model):
    """count: how many colours are shown; counts: how many there can be; usual: how many were found."""

    format: str
    kind: Kind
    exact: bool
    width: int
    height: int
    ground: str | None
    count: int
    counts: int
    usual: int


class NoteAnswer(Model):
    line: int | None
    text: str


class ListReading(Model):
    format: str
    title: str | None
    notes: tuple[NoteAnswer, ...]


class ColorUseAnswer(Model):
    hex: str
    text: int
    ground: int
    border: int
    other: int
    translucent: tuple[str, ...]


class ColorGroupAnswer(Model):
    """members: rows of uses."""

    hex: str
    name: str
    members: tuple[int, ...]
    count: int


class RulePairAnswer(Model):
    """A pair that stands in one rule. is_enough: for body text at level AA."""

    # What is kept of a source has the verdict in it too; it is made anew.
    model_config = ConfigDict(extra="ignore", frozen=True)

    text: str
    ground: str
    selector: str
    count: int
    ratio: float

    @computed_field  # type: ignore[prop-decorator]  # pydantic's own way; mypy doesn't know it
    @property
    def is_enough(self) -> bool:
        return self.ratio >= requirement(Usage.BODY_TEXT, "AA").ratio


class StylesheetAnswer(Model):
    files: tuple[str, ...]
    rules: int
    variables: int
    page_ground: str
    difference: float
    uses: tuple[ColorUseAnswer, ...]
    groups: tuple[ColorGroupAnswer, ...]
    pairs: tuple[RulePairAnswer, ...]


class AnchorAnswer(Model):
    hex: str
    name: str
    family: str
    weight: float
    words: tuple[str, ...]


class CharacterAnswer(Model):
    name: str
    says: str


class MoodAnswer(Model):
    words: tuple[str, ...]
    field: str | None
    characters: tuple[CharacterAnswer, ...]
    conventions: tuple[str, ...]
    differs: tuple[str, ...]
    anchors: tuple[AnchorAnswer, ...]


class SourceAnswer(Model):
    """A source with what was found; the reading of its own kind is there, the others are null."""

    id: UUID
    brand_id: UUID
    name: str
    kind: SourceKind
    state: SourceState
    progress: float
    problem: str | None
    has_preview: bool
    settings: ReadingBody
    colors: tuple[FoundColorAnswer, ...]
    image: ImageReading | None = None
    list: ListReading | None = None
    stylesheet: StylesheetAnswer | None = None
    mood: MoodAnswer | None = None

    @classmethod
    def of(cls, row: SourceRow) -> SourceAnswer:
        settings = ReadingBody.model_validate(row.settings)
        found = row.extraction
        colors = _colors(row.kind, found, settings)
        picked = [FoundColorAnswer(**color, share=0.0, picked=True) for color in row.picked]
        return cls(
            id=row.id,
            brand_id=row.brand_id,
            name=row.name,
            kind=row.kind,
            state=row.state,
            progress=row.progress,
            problem=row.problem,
            has_preview=row.kind == "image" and row.state == "ready",
            settings=settings,
            colors=(*colors, *picked),
            image=_image(found, settings) if row.kind == "image" and found else None,
            list=ListReading(**_without(found, "colors")) if row.kind == "list" else None,
            stylesheet=StylesheetAnswer(**found) if row.kind == "stylesheet" and found else None,
            mood=MoodAnswer(**found) if row.kind == "mood" else None,
        )


class BrandDetail(Model):
    brand: BrandAnswer
    takes: tuple[TakeSummary, ...]
    sources: tuple[SourceAnswer, ...]


class SourceNameBody(Model):
    name: Annotated[str, Line, StringConstraints(min_length=1, max_length=200)]


class TextBody(Model):
    """Typed or pasted text with colours in it."""

    text: Annotated[str, StringConstraints(min_length=1, max_length=200_000)]


class ListAnswer(Model):
    """What a text was understood as, before it is kept."""

    format: str
    colors: tuple[FoundColorAnswer, ...]
    notes: tuple[NoteAnswer, ...]


class MoodBody(Model):
    words: Annotated[tuple[str, ...], Field(min_length=1, max_length=limits.MAX_MOOD_WORDS)]
    field: Annotated[str, StringConstraints(max_length=40)] | None = None


class MoodVocabulary(Model):
    words: tuple[str, ...]
    fields: tuple[str, ...]
    most: int

    @classmethod
    def whole(cls) -> MoodVocabulary:
        return cls(words=tuple(WORDS), fields=tuple(FIELDS), most=limits.MAX_MOOD_WORDS)


class PickedColor(Model):
    hex: HexText
    name: Name


class PickedBody(Model):
    colors: Annotated[tuple[PickedColor, ...], Field(max_length=limits.MAX_PICKED_COLORS)]


class LoupeBody(Model):
    """A place in fractions of width and height, and the side of the square to average, in pixels."""

    x: Fraction
    y: Fraction
    square: Literal[1, 3, 5, 11] = 1


class LoupeAnswer(Model):
    model_config = ConfigDict(from_attributes=True, frozen=True)

    hex: str | None
    name: str | None
    pixels: tuple[tuple[str | None, ...], ...]
    x: int
    y: int
    width: int
    height: int

    @classmethod
    def of(cls, loupe: Loupe, width: int, height: int) -> LoupeAnswer:
        return cls(
            hex=loupe.hex,
            name=color_name(loupe.hex) if loupe.hex else None,
            pixels=loupe.pixels,
            x=loupe.x,
            y=loupe.y,
            width=width,
            height=height,
        )


def _image(found: dict[str, Any], settings: ReadingBody) -> ImageReading:
    return ImageReading(
        **_without(found, "steps", "count"),
        count=_shown_count(found, settings),
        counts=len(found["steps"]),
        usual=found["count"],
    )


def _shown_count(found: dict[str, Any], settings: ReadingBody) -> int:
    return min(settings.count or found["count"], len(found["steps"]))


def _colors(kind: SourceKind, found: dict[str, Any], settings: ReadingBody) -> list[FoundColorAnswer]:
    """Return the colours of any kind of source in one shape, with shares that are together 1."""
    if not found:
        return []  # it is still being read
    if kind == "image":
        step = found["steps"][_shown_count(found, settings) - 1]
        return [FoundColorAnswer(**color) for color in step]
    if kind == "list":
        share = 1 / max(1, len(found["colors"]))
        return [FoundColorAnswer(**color, share=share) for color in found["colors"]]
    if kind == "stylesheet":
        total = sum(group["count"] for group in found["groups"]) or 1
        return [
            FoundColorAnswer(hex=group["hex"], name=group["name"], share=group["count"] / total)
            for group in found["groups"]
        ]
    total = sum(anchor["weight"] for anchor in found["anchors"]) or 1
    return [
        FoundColorAnswer(hex=anchor["hex"], name=anchor["name"], share=anchor["weight"] / total)
        for anchor in found["anchors"]
    ]


def _without(found: dict[str, Any], *names: str) -> dict[str, Any]:
    return {name: value for name, value in found.items() if name not in names}
