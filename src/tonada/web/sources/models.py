"""Sources across the boundary: what is asked of a reading, and what was found."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Annotated, Literal
from uuid import UUID

from pydantic import ConfigDict, Field, StringConstraints

from tonada.core import limits
from tonada.core.color.naming import color_name
from tonada.core.roles.candidates import LEAST_SHARE, SourceColor, artwork_shares, leaves_out
from tonada.core.source.beside import ColorShare, beside
from tonada.core.source.kept import SourceKind
from tonada.core.source.mood_words import FIELDS, WORDS
from tonada.core.source.pictures import Kind, Loupe, Region
from tonada.core.source.stylesheets.groups import LARGEST_DIFFERENCE
from tonada.core.take.take import Role
from tonada.document.parts import HexText, Line, Model, Name
from tonada.document.proof import VoiceText
from tonada.document.readings import (
    ImageReading,
    KeptNote,
    ListReading,
    ListWarning,
    MoodReading,
    StylesheetReading,
    colors_of,
    notes_of,
    read_kept,
)
from tonada.store.sources import SourceRow, SourceState
from tonada.store.takes import RemovedTake
from tonada.web.proof.font_models import FontAnswer
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
    """A colour of a source. share: of everything visible, or of all uses. role: where its name says so.

    artwork_share: the same where the picture's ground is left out.
    """

    hex: str
    name: str
    share: float
    artwork_share: float
    ground_share: float = 0.0
    is_stop: bool = False
    picked: bool = False
    role: Role | None = None

    @classmethod
    def list_of(cls, colors: Sequence[SourceColor]) -> tuple[FoundColorAnswer, ...]:
        return tuple(
            cls(
                hex=color.hex,
                name=color.name,
                share=color.share,
                artwork_share=artwork,
                ground_share=color.ground_share,
                is_stop=color.is_stop,
                picked=color.picked,
                role=color.role,
            )
            for color, artwork in zip(colors, artwork_shares(colors), strict=True)
        )


class ShownImage(Model):
    """count: how many colours are shown; counts: how many there can be; usual: how many were found.

    leaves_ground_out: whether its ground is no colour of the brand, until the designer says otherwise.
    """

    format: str
    kind: Kind
    exact: bool
    width: int
    height: int
    ground: str | None
    leaves_ground_out: bool
    count: int
    counts: int
    usual: int

    @classmethod
    def of(cls, kept: ImageReading, settings: ReadingBody) -> ShownImage:
        same = {
            name: getattr(kept, name) for name in ("format", "kind", "exact", "width", "height", "ground")
        }
        count = len(colors_of(kept, settings.count))
        return cls(
            **same,
            leaves_ground_out=leaves_out(kept.ground),
            count=count,
            counts=len(kept.steps),
            usual=kept.count,
        )


class SourceAnswer(Model):
    """A source with what was found; the reading of its own kind is there, the others are null.

    notes: what wasn't understood, was mapped or assumed.
    least_share: a colour that has less of it asks for no role, unless it was picked.
    """

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
    least_share: float
    notes: tuple[KeptNote, ...]
    image: ShownImage | None = None
    list: ListReading | None = None
    stylesheet: StylesheetReading | None = None
    mood: MoodReading | None = None

    @classmethod
    def of(cls, row: SourceRow) -> SourceAnswer:
        settings = ReadingBody.model_validate(row.settings)
        kept = read_kept(row.kind, row.extraction)
        picked = [SourceColor(**color, picked=True) for color in row.picked]
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
            colors=FoundColorAnswer.list_of((*colors_of(kept, settings.count), *picked)),
            notes=notes_of(kept),
            least_share=LEAST_SHARE if row.kind == "image" else 0.0,
            image=ShownImage.of(kept, settings) if isinstance(kept, ImageReading) else None,
            list=kept if isinstance(kept, ListReading) else None,
            stylesheet=kept if isinstance(kept, StylesheetReading) else None,
            mood=kept if isinstance(kept, MoodReading) else None,
        )


class BrandDetail(Model):
    """voice: the trade that the name or a mood points to; takes without one of their own have it.

    removed_takes: those that can be brought back, the last one first.
    """

    brand: BrandAnswer
    voice: VoiceText
    takes: tuple[TakeSummary, ...]
    removed_takes: tuple[RemovedTake, ...]
    sources: tuple[SourceAnswer, ...]
    fonts: tuple[FontAnswer, ...]


class BesideRow(Model):
    """A colour of a source before and after its file was replaced; null where it is new or gone."""

    before: FoundColorAnswer | None
    after: FoundColorAnswer | None
    difference: float


class BesideAnswer(Model):
    rows: tuple[BesideRow, ...]

    @classmethod
    def of(cls, before: SourceAnswer, after: SourceAnswer) -> BesideAnswer:
        sides = [
            tuple(ColorShare(color.hex, color.share) for color in source.colors) for source in (before, after)
        ]
        return cls(
            rows=tuple(
                BesideRow(
                    before=None if entry.before is None else before.colors[entry.before],
                    after=None if entry.after is None else after.colors[entry.after],
                    difference=entry.difference,
                )
                for entry in beside(*sides)
            )
        )


class SourceNameBody(Model):
    name: Annotated[str, StringConstraints(min_length=1, max_length=200), Line]


class TextBody(Model):
    """Typed or pasted text with colours in it."""

    text: Annotated[str, StringConstraints(min_length=1, max_length=200_000)]


class ListAnswer(Model):
    """What a text was understood as, before it is kept."""

    format: str
    colors: tuple[FoundColorAnswer, ...]
    warnings: tuple[ListWarning, ...]


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
