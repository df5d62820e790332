"""Handoff across the boundary: files and their options, values in every notation, slots, restyling."""

from __future__ import annotations

from typing import Annotated
from uuid import UUID

from pydantic import AfterValidator, ConfigDict, Field, StringConstraints, WithJsonSchema

from tonada.core import limits
from tonada.core.color.press import Press
from tonada.core.color.requirements import Outcome
from tonada.core.color.writing import CSS_NOTATIONS, NOTATIONS, PLAIN_NOTATIONS, WrittenAs, all_notations
from tonada.core.formats.sheet import DARKS, NAMINGS, Dark, Naming, Options
from tonada.core.gate.written import Undecided
from tonada.core.handoff.slots import PURPOSES, Destination, FilledSlot, Purpose, Slot
from tonada.core.recolouring import restyle
from tonada.core.recolouring.old_colors import OldColor
from tonada.core.recolouring.restyle import PairBeside
from tonada.core.take.color_choices import TakeColor
from tonada.document.parts import ColorKey, Described, HexText, Identifier, Line, Model, Name
from tonada.document.proof import VoiceText
from tonada.document.take import TakeDocument
from tonada.files.client_sheet import PAPERS, Paper, SheetPages
from tonada.files.kinds import FILE_FORMATS, file_format
from tonada.files.press_profile import presses
from tonada.files.slot_files import SlotKind
from tonada.store.destinations import DestinationRow

Text = Annotated[str, StringConstraints(max_length=limits.MAX_RESTYLED_CHARACTERS)]


# A kind of file: whatever the registry has.
FileKind = Annotated[
    str,
    AfterValidator(lambda kind: file_format(kind).kind),
    WithJsonSchema({"type": "string", "enum": list(FILE_FORMATS)}),
]


class OptionsModel(Model):
    """What files say, and how it is named; see the core's Options."""

    roles: bool = True
    texts: bool = True
    swatches: bool = True
    steps: bool = False
    grounds: bool = False
    overlays: bool = True
    night: bool = True
    naming: Naming = "kebab"
    notation: WrittenAs = "hex"
    prefix: Annotated[str, StringConstraints(max_length=20), Line] = ""
    dark: Dark = "media"
    fallback: bool = False
    hex_tokens: bool = False
    paper: Paper = "A4"
    press: Annotated[str, StringConstraints(max_length=120), Line] = ""
    page_values: bool = False
    page_steps: bool = False
    page_grounds: bool = False
    page_pairs: bool = False

    def to_pages(self) -> SheetPages:
        return SheetPages(self.page_values, self.page_steps, self.page_grounds, self.page_pairs)

    def to_options(self) -> Options:
        return Options(**{name: getattr(self, name) for name in Options.__dataclass_fields__})


class FilePath(Described):
    take_id: UUID
    number: int
    kind: FileKind


class PreviewBody(Model):
    document: TakeDocument
    kind: FileKind
    options: OptionsModel = OptionsModel()
    brand: Name = "Brand"
    take: Name = "Take"
    voice: VoiceText | None = None
    # Of the brand whose fonts the take may be set in.
    brand_id: UUID | None = None


class PreviewAnswer(Model):
    """The beginning of a text, as it would be handed off; cut where it is long. size: bytes, whole."""

    text: str
    size: int
    cut: bool


class SheetAnswer(Model):
    """The pages of the client's sheet as pictures (data addresses), and how many it has. size: bytes."""

    model_config = ConfigDict(from_attributes=True, frozen=True)

    pages: tuple[str, ...]
    count: int
    size: int


class FormatAnswer(Model):
    model_config = ConfigDict(from_attributes=True, frozen=True)

    kind: FileKind
    name: str
    ending: str
    is_text: bool
    options: bool
    texts: bool
    note: str


class HandoffVocabulary(Model):
    """newer_notations: those of files that older browsers don't know.

    press: the name of the profile that CMYK goes through, None where there is none; presses: of all that are
    installed, the usual one first.
    """

    formats: tuple[FormatAnswer, ...]
    notations: tuple[WrittenAs, ...] = NOTATIONS
    file_notations: tuple[WrittenAs, ...] = CSS_NOTATIONS
    newer_notations: tuple[WrittenAs, ...] = tuple(
        notation for notation in CSS_NOTATIONS if notation not in PLAIN_NOTATIONS
    )
    namings: tuple[Naming, ...] = NAMINGS
    darks: tuple[Dark, ...] = DARKS
    papers: tuple[Paper, ...] = PAPERS
    purposes: tuple[Purpose, ...] = PURPOSES
    press: str | None = None
    presses: tuple[str, ...] = ()

    @classmethod
    def whole(cls, press: Press | None) -> HandoffVocabulary:
        formats = tuple(
            FormatAnswer(
                kind=kind,
                name=one.name,
                ending=one.ending,
                is_text=one.is_text,
                options=one.options,
                texts=one.texts,
                note=one.note,
            )
            for kind, one in FILE_FORMATS.items()
        )
        return cls(formats=formats, press=press.name if press else None, presses=tuple(presses()))


class PrintedAnswer(Model):
    """CMYK in per cents, as typed; hex: what the print looks like; in_gamut: whether that is the colour."""

    text: str
    hex: str
    in_gamut: bool


class WrittenAnswer(Model):
    notation: WrittenAs
    text: str


class ValuesBody(Model):
    """Colours that are wanted in every notation."""

    hexes: Annotated[tuple[HexText, ...], Field(max_length=200)]
    press: Annotated[str, StringConstraints(max_length=120), Line] = ""


class ValueAnswer(Model):
    hex: str
    written: tuple[WrittenAnswer, ...]
    printed: PrintedAnswer | None

    @classmethod
    def of(cls, value: str, press: Press | None) -> ValueAnswer:
        found = press.printed(value) if press else None
        return cls(
            hex=value,
            written=tuple(
                WrittenAnswer(notation=notation, text=text) for notation, text in all_notations(value).items()
            ),
            printed=PrintedAnswer(text=found.text, hex=found.hex, in_gamut=found.in_gamut) if found else None,
        )


class ValuesAnswer(Model):
    values: tuple[ValueAnswer, ...]


class HandedBody(Model):
    what: Annotated[str, StringConstraints(min_length=1, max_length=40), Line]


class SlotModel(Model):
    """A slot of a destination; on: the name of the one it always stands on there."""

    name: Name
    purpose: Purpose
    notation: WrittenAs = "hex"
    on: Name | None = None
    needed: Annotated[float, Field(ge=1, le=21)] = 4.5

    def to_slot(self) -> Slot:
        return Slot(self.name, self.purpose, self.notation, self.on, self.needed)

    @classmethod
    def of(cls, slot: Slot) -> SlotModel:
        return cls(**{name: getattr(slot, name) for name in cls.model_fields})


class DestinationBody(Model):
    """revision: the one that a change was made from; left out for a new destination."""

    name: Name
    slots: Annotated[tuple[SlotModel, ...], Field(min_length=1, max_length=limits.MAX_SLOTS)]
    revision: Annotated[int, Field(ge=1)] | None = None


class DestinationAnswer(Model):
    """is_own: made by the designer; those that ship can be copied, not changed."""

    id: str
    name: str
    is_own: bool
    revision: int
    slots: tuple[SlotModel, ...]

    @classmethod
    def of_row(cls, row: DestinationRow) -> DestinationAnswer:
        found = tuple(SlotModel.model_validate(slot) for slot in row.slots)
        return cls(id=str(row.id), name=row.name, is_own=True, revision=row.revision, slots=found)

    @classmethod
    def of_shipped(cls, destination: Destination) -> DestinationAnswer:
        found = tuple(SlotModel.of(slot) for slot in destination.slots)
        return cls(id=destination.id, name=destination.name, is_own=False, revision=1, slots=found)

    def to_destination(self) -> Destination:
        return Destination(self.id, self.name, tuple(slot.to_slot() for slot in self.slots))


class DestinationsAnswer(Model):
    destinations: tuple[DestinationAnswer, ...]


class FillBody(Model):
    document: TakeDocument
    destination: Identifier
    slots: Annotated[tuple[SlotModel, ...], Field(min_length=1, max_length=limits.MAX_SLOTS)]


class FilledAnswer(Model):
    """A slot with its colour, as text in the slot's notation. ratio: to the slot it is on."""

    name: str
    purpose: Purpose
    on: str | None
    key: str
    color_name: str
    hex: str
    text: str
    by_rule: bool
    ratio: float | None
    outcome: Outcome | None
    warning: str | None

    @classmethod
    def of(cls, slot: FilledSlot) -> FilledAnswer:
        return cls(
            name=slot.slot.name,
            purpose=slot.slot.purpose,
            on=slot.slot.on,
            key=slot.key,
            color_name=slot.name,
            hex=slot.hex,
            text=slot.text,
            by_rule=slot.by_rule,
            ratio=slot.ratio,
            outcome=slot.outcome,
            warning=slot.warning,
        )


class FillAnswer(Model):
    """choices: what may stand in a slot: roles, swatches, and every step."""

    slots: tuple[FilledAnswer, ...]
    choices: tuple[TakeColor, ...]


class SlotFilePath(Described):
    """destination: the id of one that ships, or of one's own."""

    take_id: UUID
    number: int
    destination: Identifier
    kind: SlotKind


class PaperQuery(Model):
    paper: Paper = "A4"


class StyleText(Model):
    """A stylesheet. pictures: whether colours in SVG pictures within it count too."""

    name: Name
    text: Text
    pictures: bool = False


class MappingBody(Model):
    """Stylesheets whose colours are to become those of the take; together within the usual limit."""

    document: TakeDocument
    files: Annotated[tuple[StyleText, ...], Field(min_length=1, max_length=limits.MAX_STYLESHEET_FILES)]


class MappingAnswer(Model):
    colors: tuple[OldColor, ...]


class MappedColor(Model):
    old: HexText
    key: ColorKey


class RestyleBody(MappingBody):
    mapping: Annotated[tuple[MappedColor, ...], Field(max_length=limits.MAX_STYLESHEET_COLORS)]
    write: restyle.WriteAs = "values"


class RestyleAnswer(Model):
    files: tuple[StyleText, ...]
    diff: str
    replaced: int
    pairs: tuple[PairBeside, ...]
    undecided: tuple[Undecided, ...]
