"""The take's document: what the browser holds and the database keeps, and its way to the core and back."""

from __future__ import annotations

from collections.abc import Callable
from typing import Annotated, Any, Final, Literal

from pydantic import Field, StringConstraints, model_validator

from tonada.core import limits
from tonada.core.color.circles import Circle
from tonada.core.color.neutrals import Spacing
from tonada.core.color.ramp import LEAST_STEPS, MOST_MIXED, MOST_STEPS, RampKind, RampSettings, StepNames
from tonada.core.color.wcag import Level, Usage
from tonada.core.take import take as palette
from tonada.core.take.earlier import FORMAT, current_document
from tonada.core.take.parts import PARTS_OF_A_SCHEME
from tonada.core.take.proof_settings import GroundSettings, ProofSettings
from tonada.core.take.take import OriginKind
from tonada.document.of_core import OfCore
from tonada.document.parts import (
    ColorKey,
    HexText,
    Identifier,
    Line,
    Model,
    Name,
    PixelSize,
    RoleText,
    Share,
    StepNumber,
    Weight,
)
from tonada.document.proof import ChosenSlotModel, GroundModel, ProofModel
from tonada.document.remembered import remembered


class OriginModel(OfCore):
    core = palette.Origin

    kind: OriginKind
    note: Annotated[str, StringConstraints(max_length=300), Line]
    source: str | None = Field(None, max_length=40)
    share: Share | None = None


class RampModel(OfCore):
    """How a swatch's ramp is made; see the core's RampSettings."""

    core = RampSettings

    kind: RampKind = "even"
    steps: Annotated[int, Field(ge=LEAST_STEPS, le=MOST_STEPS)] = 11
    tints: Annotated[int, Field(ge=0, le=MOST_MIXED)] = 10
    shades: Annotated[int, Field(ge=0, le=MOST_MIXED)] = 10


class SwatchModel(OfCore):
    core = palette.Swatch

    id: Identifier
    name: Name
    hex: HexText
    held: bool
    origin: OriginModel
    ramp: RampModel = RampModel()


class NeutralModel(OfCore):
    """A row of greys, tinted by a swatch or pure; see the core's Neutral."""

    core = palette.Neutral

    id: Identifier
    name: Name
    tint: Identifier | None = None
    strength: Share = 0.35
    steps: Annotated[int, Field(ge=LEAST_STEPS, le=MOST_STEPS)] = 11
    spacing: Spacing = "contrast"


class OverlayModel(OfCore):
    """A translucent colour, of a swatch or a step."""

    core = palette.Overlay

    id: Identifier
    name: Name
    swatch: Identifier
    alpha: Share
    step: StepNumber | None = None


class AssignmentModel(OfCore):
    """A role and who has it: a swatch, or a step of a swatch or neutral. name: of a role of one's own.

    text_step: of the same ramp, as text or line, where that is another colour.
    """

    core = palette.Assignment

    role: RoleText
    swatch: Identifier
    reason: Annotated[str, StringConstraints(max_length=limits.MAX_REASON_LENGTH), Line]
    step: StepNumber | None = None
    share: Share | None = None
    name: Name | None = None
    text_step: StepNumber | None = None


class PairModel(OfCore):
    """An element on a ground; layers are overlays between the two, the lowest first."""

    core = palette.Pair

    id: Identifier
    text: ColorKey
    ground: ColorKey
    usage: Usage
    sample: Annotated[str, StringConstraints(max_length=limits.MAX_NAME_LENGTH), Line]
    layers: Annotated[tuple[Identifier, ...], Field(max_length=limits.MAX_LAYERS)] = ()
    size: PixelSize | None = None
    weight: Weight | None = None


class SchemeModel(OfCore):
    """The roles, pairs and grounds of the scheme that isn't shown."""

    core = palette.SchemeRoles

    roles: Annotated[tuple[AssignmentModel, ...], Field(max_length=limits.MAX_ROLES)] = ()
    pairs: Annotated[tuple[PairModel, ...], Field(max_length=limits.MAX_PAIRS)] = ()
    grounds: Annotated[tuple[GroundModel, ...], Field(max_length=limits.MAX_GROUNDS)] = ()


class Began(Model):
    """What a swatch was before a character, or before varying."""

    swatch: Identifier
    hex: HexText


# The fields of the harmony that hold such beginnings.
BEGINNINGS = ("shaped_from", "varied_from")


class HarmonyModel(OfCore):
    """How the hues belong together; see the core's HarmonySettings."""

    core = palette.HarmonySettings

    anchor: Identifier | None = None
    ground: Identifier | None = None
    rule: Annotated[str, StringConstraints(max_length=40)] = "analogous with accent"
    circle: Circle = "perceptual"
    spread: Annotated[float, Field(ge=0, le=360)] | None = None
    angles: Annotated[tuple[Annotated[float, Field(ge=0, le=360)], ...], Field(max_length=8)] = ()
    character: Annotated[str, StringConstraints(max_length=40)] | None = None
    lightness: Share | None = None
    chroma: Share | None = None
    span: Share | None = None
    web_safe: bool = False
    shaped_from: Annotated[tuple[Began, ...], Field(max_length=limits.MAX_SWATCHES)] = ()
    seed: Annotated[int, Field(ge=1)] | None = None
    varied_from: Annotated[tuple[Began, ...], Field(max_length=limits.MAX_SWATCHES)] = ()

    def to_core(self) -> palette.HarmonySettings:
        fields = {name: getattr(self, name) for name in type(self).model_fields if name not in BEGINNINGS}
        began: dict[str, Any] = {
            name: tuple((assigned.swatch, assigned.hex) for assigned in getattr(self, name))
            for name in BEGINNINGS
        }
        return palette.HarmonySettings(**fields, **began)

    @classmethod
    def of(cls, settings: palette.HarmonySettings) -> HarmonyModel:
        fields = {name: getattr(settings, name) for name in cls.model_fields if name not in BEGINNINGS}
        began: dict[str, Any] = {
            name: tuple(Began(swatch=key, hex=value) for key, value in getattr(settings, name))
            for name in BEGINNINGS
        }
        return cls(**fields, **began)


class TakeDocument(OfCore):
    """One alternative palette, whole. roles, pairs and grounds are those of `scheme`."""

    core = palette.Take

    format: Literal[2] = FORMAT
    level: Level = "AA"
    swatches: Annotated[
        tuple[Annotated[SwatchModel, remembered(kept=512)], ...], Field(max_length=limits.MAX_SWATCHES)
    ] = ()
    roles: Annotated[tuple[AssignmentModel, ...], Field(max_length=limits.MAX_ROLES), remembered()] = ()
    pairs: Annotated[tuple[PairModel, ...], Field(max_length=limits.MAX_PAIRS), remembered()] = ()
    harmony: HarmonyModel = HarmonyModel()
    neutrals: Annotated[tuple[NeutralModel, ...], Field(max_length=limits.MAX_NEUTRALS)] = ()
    overlays: Annotated[tuple[OverlayModel, ...], Field(max_length=limits.MAX_OVERLAYS)] = ()
    step_names: StepNames = "words"
    scheme: palette.Scheme = "day"
    other: Annotated[SchemeModel | None, remembered()] = None
    grounds: Annotated[tuple[GroundModel, ...], Field(max_length=limits.MAX_GROUNDS)] = ()
    proof: Annotated[ProofModel, remembered()] = ProofModel()
    slots: Annotated[tuple[ChosenSlotModel, ...], Field(max_length=limits.MAX_CHOSEN_SLOTS)] = ()

    @model_validator(mode="before")
    @classmethod
    def _current(cls, document: Any) -> Any:
        return current_document(document) if isinstance(document, dict) else document

    def to_take(self) -> palette.Take:
        """Return the core's value. Raises TakeError where the document contradicts itself."""
        take: palette.Take = self.to_core()
        return take


def document_json(take: palette.Take) -> dict[str, Any]:
    """Return what orjson writes as the document of a take, byte for byte as the model would.

    Swatches, roles, pairs and the like are written as they are: a tenth of the time, in every drag.
    """
    names = (name for name in TakeDocument.model_fields if name != "format")
    return {"format": FORMAT} | {name: _written(getattr(take, name)) for name in names}


def _written(value: Any) -> Any:
    """Return a part of a take as orjson is to write it; most are written as they are."""
    if isinstance(value, tuple) and value and isinstance(value[0], GroundSettings):
        return [_written(ground) for ground in value]
    writer = _WRITERS.get(type(value))
    return writer(value) if writer else value


def _harmony_json(harmony: palette.HarmonySettings) -> dict[str, Any]:
    found = {name: getattr(harmony, name) for name in HarmonyModel.model_fields}
    for name in BEGINNINGS:
        found[name] = [{"swatch": key, "hex": value} for key, value in getattr(harmony, name)]
    return found


def _ground_json(ground: GroundSettings) -> dict[str, Any]:
    uses = [{"element": element, "key": key} for element, key in ground.uses]
    return {"id": ground.id, "name": ground.name, "ground": ground.ground, "uses": uses}


_WRITERS: Final[dict[type[Any], Callable[[Any], dict[str, Any]]]] = {
    palette.HarmonySettings: _harmony_json,
    GroundSettings: _ground_json,
    ProofSettings: lambda proof: ProofModel.of(proof).model_dump(mode="json"),
    palette.SchemeRoles: lambda scheme: {part: _written(getattr(scheme, part)) for part in PARTS_OF_A_SCHEME},
}
