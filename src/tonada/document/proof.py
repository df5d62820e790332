"""What a take's document says of its proof: grounds that depart from the rule, type, pictures, sections."""

from __future__ import annotations

from typing import Annotated, Final, Literal

from pydantic import Field, StringConstraints, WithJsonSchema

from tonada.core import limits
from tonada.core.proof.own_texts import LANGUAGE_CODES
from tonada.core.proof.type_scale import LARGEST_SIZE, LEAST_SIZE
from tonada.core.proof.typefaces import OWN, TYPEFACES
from tonada.core.proof.voices import VOICES
from tonada.core.take import proof_settings as proof_parts
from tonada.core.take.proof_settings import (
    CENTERED,
    LEAST_AMOUNT,
    MOST_AMOUNT,
    MOST_ZOOM,
    PLAIN,
    TEXT_STYLES,
    WIDTHS,
    Element,
    PicturePlace,
    TextStyle,
    ToneKind,
)
from tonada.document.fonts import FAMILY
from tonada.document.of_core import OfCore, of_core
from tonada.document.parts import ColorKey, Identifier, Line, Model, Name, RoleText

# The id of a trade that there is.
VoiceText = Annotated[
    str,
    StringConstraints(pattern=f"^({'|'.join(voice.id for voice in VOICES)})$"),
    WithJsonSchema({"type": "string", "enum": [voice.id for voice in VOICES]}),
]
# A language that can be said of the pages (BCP 47).
LanguageText = Annotated[
    str,
    StringConstraints(pattern=f"^({'|'.join(LANGUAGE_CODES)})$"),
    WithJsonSchema({"type": "string", "enum": list(LANGUAGE_CODES)}),
]
# A typeface that ships, or “own: ” and the family of one that the brand brought along.
FaceText = Annotated[
    str,
    StringConstraints(pattern=f"^({'|'.join(face.name for face in TYPEFACES)}|{OWN}{FAMILY})$"),
    WithJsonSchema({"type": "string"}),
]
SourceId = Annotated[str, StringConstraints(max_length=40)]


class UseModel(Model):
    element: Element
    key: ColorKey


class GroundModel(OfCore):
    """A ground where it departs from the rule, or one of the designer's own."""

    core = proof_parts.GroundSettings

    id: Identifier
    name: Name | None = None
    ground: ColorKey | None = None
    uses: Annotated[tuple[UseModel, ...], Field(max_length=len(Element))] = ()

    def to_core(self) -> proof_parts.GroundSettings:
        uses = tuple((use.element, use.key) for use in self.uses)
        return proof_parts.GroundSettings(self.id, self.name, self.ground, uses)

    @classmethod
    def of(cls, settings: proof_parts.GroundSettings) -> GroundModel:
        uses = tuple(UseModel(element=element, key=key) for element, key in settings.uses)
        return cls(id=settings.id, name=settings.name, ground=settings.ground, uses=uses)


PixelSize = Annotated[float, Field(ge=LEAST_SIZE, le=LARGEST_SIZE)]
# What may be typed in place of the voice's own words.
Words = Annotated[str, StringConstraints(max_length=limits.MAX_PAGE_WORDS, strip_whitespace=True), Line]


class TextSizeModel(Model):
    style: TextStyle
    size: PixelSize
    weight: Annotated[int, Field(ge=1, le=1000)]


class NarrowSizeModel(Model):
    """The size of a text in a narrower window, where it doesn't follow from the wide one."""

    width: Literal["tablet", "phone"]
    style: TextStyle
    size: PixelSize


class PictureToneModel(OfCore):
    """What a picture is painted in: as it is, a duotone, or tinted. amount: of the tint over it."""

    core = proof_parts.PictureTone

    kind: ToneKind = "plain"
    dark: RoleText = PLAIN.dark
    light: RoleText = PLAIN.light
    tint: RoleText = PLAIN.tint
    amount: Annotated[float, Field(ge=LEAST_AMOUNT, le=MOST_AMOUNT)] = PLAIN.amount


Within = Annotated[float, Field(ge=0, le=1)]


class PictureViewModel(OfCore):
    """What is seen of a cropped picture: the point that stays in view, 0 to 1, and how often as large."""

    core = proof_parts.PictureView

    x: Within = CENTERED.x
    y: Within = CENTERED.y
    zoom: Annotated[float, Field(ge=1, le=MOST_ZOOM)] = CENTERED.zoom


class PlacedPictureModel(OfCore):
    """A picture of the brand in one place of a sample page. part: its name on the page."""

    core = proof_parts.PlacedPicture

    page: Identifier
    part: Name
    source: SourceId
    view: PictureViewModel = PictureViewModel()
    tone: PictureToneModel = PictureToneModel()


class SectionGround(Model):
    """A section of a page that was given another ground."""

    page: Identifier
    section: Identifier
    ground: Identifier


class ChosenSlotModel(OfCore):
    """A slot of a destination that was filled by hand."""

    core = proof_parts.ChosenSlot

    destination: Identifier
    slot: Name
    key: ColorKey


class OwnTextModel(Model):
    """Words in place of a sample page's own. page: “every” for what all pages show."""

    page: Identifier
    part: Name
    text: Words


class ProofModel(OfCore):
    """How the sample pages are set; see the core's ProofSettings."""

    core = proof_parts.ProofSettings

    heading_face: FaceText | None = None
    text_face: FaceText | None = None
    sizes: Annotated[tuple[TextSizeModel, ...], Field(max_length=len(TEXT_STYLES))] = ()
    logo: SourceId | None = None
    picture: SourceId | None = None
    overlay: Identifier | None = None
    sections: Annotated[tuple[SectionGround, ...], Field(max_length=limits.MAX_SECTIONS)] = ()
    narrow_sizes: Annotated[
        tuple[NarrowSizeModel, ...], Field(max_length=len(TEXT_STYLES) * (len(WIDTHS) - 1))
    ] = ()
    picture_place: PicturePlace = "behind"
    picture_view: PictureViewModel = PictureViewModel()
    picture_tone: PictureToneModel = PictureToneModel()
    pictures: Annotated[tuple[PlacedPictureModel, ...], Field(max_length=limits.MAX_PLACED_PICTURES)] = ()
    voice: VoiceText | None = None
    texts: Annotated[tuple[OwnTextModel, ...], Field(max_length=limits.MAX_OWN_TEXTS)] = ()
    language: LanguageText | None = None
    logo_in_one: bool | None = None
    bare_picture: bool = False

    def to_core(self) -> proof_parts.ProofSettings:
        plain = {name: getattr(self, name) for name in type(self).model_fields if name not in _SHAPED}
        return proof_parts.ProofSettings(
            **plain,
            sizes=tuple((size.style, proof_parts.TextSize(size.size, size.weight)) for size in self.sizes),
            sections=tuple((section.page, section.section, section.ground) for section in self.sections),
            narrow_sizes=tuple((size.width, size.style, size.size) for size in self.narrow_sizes),
            texts=tuple(proof_parts.OwnText(one.page, one.part, one.text) for one in self.texts if one.text),
            picture_view=self.picture_view.to_core(),
            picture_tone=self.picture_tone.to_core(),
            pictures=tuple(one.to_core() for one in self.pictures),
        )

    @classmethod
    def of(cls, value: proof_parts.ProofSettings) -> ProofModel:
        found = {name: getattr(value, name) for name in cls.model_fields if name not in _SHAPED}
        found["sizes"] = [
            {"style": style, "size": size.size, "weight": size.weight} for style, size in value.sizes
        ]
        found["sections"] = [
            {"page": page, "section": section, "ground": ground} for page, section, ground in value.sections
        ]
        found["narrow_sizes"] = [
            {"width": width, "style": style, "size": size} for width, style, size in value.narrow_sizes
        ]
        found["texts"] = [{"page": one.page, "part": one.part, "text": one.text} for one in value.texts]
        found |= {
            name: of_core(getattr(value, name)) for name in ("picture_view", "picture_tone", "pictures")
        }
        return cls.model_validate(found)


# What the core has in tuples and a document in objects, with a name for each part.
_SHAPED: Final = (
    "sizes", "sections", "narrow_sizes", "texts", "picture_view", "picture_tone", "pictures",
)  # fmt: skip
