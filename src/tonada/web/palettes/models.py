"""Ready-made palettes across the boundary: what is asked, and what was found."""

from __future__ import annotations

from functools import lru_cache
from typing import Annotated, Literal
from uuid import UUID

from flask_openapi3.models.file import FileStorage
from pydantic import ConfigDict, Field, StringConstraints

from tonada.core import limits
from tonada.core.color.contrast import position_of, ratio_length
from tonada.core.color.hue_rules import NEUTRAL_BELOW
from tonada.core.color.naming import color_name
from tonada.core.color.placing import LINES
from tonada.core.color.spaces import Hex, hex_to_oklch
from tonada.core.color.wcag import Level
from tonada.core.harmony.character import CHARACTERS
from tonada.core.ready.finding import SORTS, Sort, Use, note_color
from tonada.core.ready.palette import Ground, ReadyPalette, RoleColor
from tonada.core.source.mood_words import FIELDS, WORDS
from tonada.core.take.parts import PLANNED_SHARES, Role
from tonada.document.parts import Described, HexText, Line, Model, Name
from tonada.document.take import TakeDocument

Word = Annotated[str, StringConstraints(max_length=40)]
Tag = Annotated[str, StringConstraints(min_length=1, max_length=limits.MAX_TAG_LENGTH), Line]
Tags = Annotated[tuple[Tag, ...], Field(max_length=limits.MAX_PALETTE_TAGS)]
# Where the stave of all hues begins, in degrees: between cyan and blue, where there is least to see.
FIRST_HUE = 210.0


class NoteModel(Model):
    """A note that asks for a colour: a hex value, or a hue in degrees at a place on the contrast scale."""

    hex: HexText | None = None
    hue: Annotated[float, Field(ge=-720, le=720)] | None = None
    position: Annotated[float, Field(ge=0, le=1)] | None = None

    def to_hex(self) -> Hex:
        if self.hex is not None:
            return self.hex
        return note_color(self.hue or 0.0, 0.5 if self.position is None else self.position)


class FindBody(Model):
    """What palettes are to be like; what is left out asks nothing, and of several words any will do.

    like: the id of one that they are to resemble. held: colours that they are to go with.
    shelf: all of them, those of the studio, or those that it has starred.
    """

    notes: Annotated[tuple[NoteModel, ...], Field(max_length=limits.MAX_NOTES)] = ()
    words: Annotated[str, StringConstraints(max_length=limits.MAX_PALETTE_WORDS)] = ""
    moods: Annotated[tuple[Word, ...], Field(max_length=40)] = ()
    trades: Annotated[tuple[Word, ...], Field(max_length=40)] = ()
    hues: Annotated[tuple[Annotated[int, Field(ge=0, le=4)], ...], Field(max_length=5)] = ()
    ground: Ground | None = None
    character: Word | None = None
    aaa: bool = False
    like: Annotated[str, StringConstraints(max_length=80)] | None = None
    held: Annotated[tuple[HexText, ...], Field(max_length=limits.MAX_HELD_TO_MATCH)] = ()
    shelf: Literal["all", "own", "starred"] = "all"
    sort: Sort = "nearness"
    start: Annotated[int, Field(ge=0, le=100_000)] = 0
    count: Annotated[int, Field(ge=1, le=limits.MAX_SHOWN_PALETTES)] = 24


class PaletteColor(Model):
    """across: 0 to 1 on the stave of all hues, null for a neutral; position: on the contrast scale.

    share: of the measure, all colours of a palette together 1.
    """

    role: Role
    hex: str
    name: str
    across: float | None
    position: float
    share: float


class PlacedNote(Model):
    """A note as it is on the stave of all hues."""

    hex: str
    name: str
    across: float | None
    position: float


class PaletteAnswer(Model):
    """A palette. is_own: of the studio. lines: where 3, 4.5 and 7 to 1 from Paper are reached, 0 to 1.

    pairs, passing: of its whole page by day and night, null until that has been proven.
    """

    id: str
    name: str
    colors: tuple[PaletteColor, ...]
    lines: tuple[float, ...]
    hues: int
    ground: Ground
    character: str
    loudness: float
    moods: tuple[str, ...]
    trades: tuple[str, ...]
    tags: tuple[str, ...]
    pairs: int | None
    passing: int | None
    reaches_aaa: bool
    is_own: bool
    is_starred: bool
    taken: int

    @classmethod
    def of(cls, palette: ReadyPalette, use: Use | None = None, *, is_own: bool) -> PaletteAnswer:
        proof, used = palette.proof, use or Use()
        return cls(
            id=palette.id,
            name=palette.name,
            colors=_colors_of(palette.colors),
            lines=lines_from(palette.by_role.get(Role.PAPER, "#ffffff")),
            hues=palette.traits.hues,
            ground=palette.traits.ground,
            character=palette.traits.character,
            loudness=palette.traits.loudness,
            moods=palette.moods,
            trades=palette.trades,
            tags=palette.tags,
            pairs=proof.pairs if proof else None,
            passing=proof.passing if proof else None,
            reaches_aaa=bool(proof and proof.reaches_aaa),
            is_own=is_own,
            is_starred=used.is_starred,
            taken=used.taken,
        )


class FoundAnswer(Model):
    """found: how many fit; all: how many there are; palettes: those from `start` on.

    notes: where the notes of the question stand. unproven: of the studio's own, whose page nobody has proven.
    """

    found: int
    all: int
    start: int
    palettes: tuple[PaletteAnswer, ...]
    notes: tuple[PlacedNote, ...]
    unproven: int


class KindAnswer(Model):
    """A word that palettes can be found by, and what it is shown as."""

    id: str
    name: str


class PaletteVocabulary(Model):
    """What palettes can be found by. lines: of the stave that notes are put on, from white."""

    moods: tuple[str, ...]
    trades: tuple[str, ...]
    characters: tuple[str, ...]
    sorts: tuple[KindAnswer, ...]
    lines: tuple[float, ...]
    first_hue: float
    most_notes: int
    most_tags: int

    @classmethod
    def whole(cls) -> PaletteVocabulary:
        return cls(
            moods=tuple(WORDS),
            trades=tuple(FIELDS),
            characters=tuple(CHARACTERS),
            sorts=tuple(KindAnswer(id=key, name=name) for key, name in SORTS.items()),
            lines=lines_from("#ffffff"),
            first_hue=FIRST_HUE,
            most_notes=limits.MAX_NOTES,
            most_tags=limits.MAX_PALETTE_TAGS,
        )


class PalettePath(Described):
    palette_id: Annotated[str, Field(min_length=1, max_length=80)]


class OwnPalettePath(Described):
    palette_id: UUID


class LevelQuery(Model):
    """level: what the take is to be held to."""

    level: Literal["AA", "AAA"] = "AA"


class TriedAnswer(Model):
    """A palette's whole take. failing: how many pairs fall short of its level, by day and by night."""

    palette: PaletteAnswer
    document: TakeDocument
    level: Level
    pairs: int
    failing: int


class KeepBody(Model):
    """A take that is to be kept as a palette of the studio."""

    name: Name
    tags: Tags = ()
    document: TakeDocument


class PaletteBody(Model):
    name: Name
    tags: Tags = ()


class StarBody(Model):
    starred: bool


class FileForm(Described):
    model_config = ConfigDict(arbitrary_types_allowed=True)

    file: FileStorage = Field(description="A list of palettes: Tonada’s own format, or design tokens")


class ImportedAnswer(Model):
    """added: how many; skipped: why others were left out."""

    added: int
    skipped: tuple[str, ...]


class ProvenAnswer(Model):
    """left: how many of the studio's palettes are still to be proven."""

    left: int


class FileQuery(Model):
    """format: Tonada's own, or design tokens (DTCG)."""

    format: Literal["tonada", "tokens"] = "tonada"


@lru_cache(maxsize=2048)
def _colors_of(colors: tuple[RoleColor, ...]) -> tuple[PaletteColor, ...]:
    """Return a palette's colours with their places; the same ones are shown again and again."""
    whole = sum(PLANNED_SHARES[color.role] for color in colors)
    return tuple(
        PaletteColor(
            role=color.role,
            hex=color.hex,
            name=color_name(color.hex),
            across=across_of(color.hex),
            position=position_of(color.hex),
            share=PLANNED_SHARES[color.role] / whole,
        )
        for color in colors
    )


def across_of(value: Hex) -> float | None:
    """Return where a colour stands on the stave of all hues, 0 to 1; None for a neutral."""
    _, chroma, hue = hex_to_oklch(value)
    return None if chroma < NEUTRAL_BELOW else (hue - FIRST_HUE) % 360 / 360


def lines_from(ground: Hex) -> tuple[float, ...]:
    """Return where the contrast scale has 3, 4.5 and 7 to 1 from a ground, on the side that has room."""
    at = position_of(ground)
    side = -1 if at > 0.5 else 1
    return tuple(at + side * ratio_length(ratio) for ratio in LINES)
