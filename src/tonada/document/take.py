"""The take's document: what the browser holds and the database keeps, and its way to the core and back."""

from __future__ import annotations

from functools import lru_cache
from typing import Annotated, Any, Literal

from pydantic import Field, StringConstraints, model_validator

from tonada.core import limits
from tonada.core.color.circles import Circle
from tonada.core.color.neutrals import Spacing
from tonada.core.color.ramp import LEAST_STEPS, MOST_MIXED, MOST_STEPS, RampKind, RampSettings, StepNames
from tonada.core.color.wcag import Level, Usage
from tonada.core.take import take as palette
from tonada.core.take.earlier import FORMAT, current_document
from tonada.core.take.proof_settings import GroundSettings
from tonada.core.take.take import OriginKind
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


class OriginModel(Model):
    kind: OriginKind
    note: Annotated[str, StringConstraints(max_length=300), Line]
    source: str | None = Field(None, max_length=40)
    share: Share | None = None

    def to_origin(self) -> palette.Origin:
        return palette.Origin(self.kind, self.note, self.source, self.share)


class RampModel(Model):
    """How a swatch's ramp is made; see the core's RampSettings."""

    kind: RampKind = "even"
    steps: Annotated[int, Field(ge=LEAST_STEPS, le=MOST_STEPS)] = 11
    tints: Annotated[int, Field(ge=0, le=MOST_MIXED)] = 10
    shades: Annotated[int, Field(ge=0, le=MOST_MIXED)] = 10

    def to_settings(self) -> RampSettings:
        return RampSettings(self.kind, self.steps, self.tints, self.shades)

    @classmethod
    def of(cls, settings: RampSettings) -> RampModel:
        return cls(kind=settings.kind, steps=settings.steps, tints=settings.tints, shades=settings.shades)


class SwatchModel(Model):
    id: Identifier
    name: Name
    hex: HexText
    held: bool
    origin: OriginModel
    ramp: RampModel = RampModel()

    def to_swatch(self) -> palette.Swatch:
        origin, ramp = self.origin, self.ramp
        return _swatch(
            (self.id, self.name, self.hex, self.held),
            (origin.kind, origin.note, origin.source, origin.share),
            (ramp.kind, ramp.steps, ramp.tints, ramp.shades),
        )

    @classmethod
    def of(cls, one: palette.Swatch) -> SwatchModel:
        origin = OriginModel(
            kind=one.origin.kind, note=one.origin.note, source=one.origin.source, share=one.origin.share
        )
        ramp = RampModel.of(one.ramp)
        return cls(id=one.id, name=one.name, hex=one.hex, held=one.held, origin=origin, ramp=ramp)


class NeutralModel(Model):
    """A row of greys, tinted by a swatch or pure; see the core's Neutral."""

    id: Identifier
    name: Name
    tint: Identifier | None = None
    strength: Share = 0.35
    steps: Annotated[int, Field(ge=LEAST_STEPS, le=MOST_STEPS)] = 11
    spacing: Spacing = "contrast"

    def to_neutral(self) -> palette.Neutral:
        return palette.Neutral(self.id, self.name, self.tint, self.strength, self.steps, self.spacing)

    @classmethod
    def of(cls, one: palette.Neutral) -> NeutralModel:
        return cls(**{name: getattr(one, name) for name in cls.model_fields})


class OverlayModel(Model):
    """A translucent colour, of a swatch or a step."""

    id: Identifier
    name: Name
    swatch: Identifier
    alpha: Share
    step: StepNumber | None = None

    def to_overlay(self) -> palette.Overlay:
        return palette.Overlay(self.id, self.name, self.swatch, self.alpha, self.step)

    @classmethod
    def of(cls, one: palette.Overlay) -> OverlayModel:
        return cls(**{name: getattr(one, name) for name in cls.model_fields})


class AssignmentModel(Model):
    """A role and who has it: a swatch, or a step of a swatch or neutral. name: of a role of one's own."""

    role: RoleText
    swatch: Identifier
    reason: Annotated[str, StringConstraints(max_length=limits.MAX_REASON_LENGTH), Line]
    step: StepNumber | None = None
    share: Share | None = None
    name: Name | None = None

    def to_assignment(self) -> palette.Assignment:
        return _assignment(self.role, self.swatch, self.reason, self.step, self.share, self.name)

    @classmethod
    def of(cls, one: palette.Assignment) -> AssignmentModel:
        return cls(**{name: getattr(one, name) for name in cls.model_fields})


class PairModel(Model):
    """An element on a ground; layers are overlays between the two, the lowest first."""

    id: Identifier
    text: ColorKey
    ground: ColorKey
    usage: Usage
    sample: Annotated[str, StringConstraints(max_length=limits.MAX_NAME_LENGTH), Line]
    layers: Annotated[tuple[Identifier, ...], Field(max_length=limits.MAX_LAYERS)] = ()
    size: PixelSize | None = None
    weight: Weight | None = None

    def to_pair(self) -> palette.Pair:
        return _pair(
            self.id, self.text, self.ground, self.usage, self.sample, self.layers, self.size, self.weight
        )

    @classmethod
    def of(cls, one: palette.Pair) -> PairModel:
        return cls(**{name: getattr(one, name) for name in cls.model_fields})


class SchemeModel(Model):
    """The roles, pairs and grounds of the scheme that isn't shown."""

    roles: Annotated[tuple[AssignmentModel, ...], Field(max_length=limits.MAX_ROLES)] = ()
    pairs: Annotated[tuple[PairModel, ...], Field(max_length=limits.MAX_PAIRS)] = ()
    grounds: Annotated[tuple[GroundModel, ...], Field(max_length=limits.MAX_GROUNDS)] = ()

    def to_roles(self) -> palette.SchemeRoles:
        roles = tuple(one.to_assignment() for one in self.roles)
        pairs = tuple(one.to_pair() for one in self.pairs)
        return palette.SchemeRoles(roles, pairs, tuple(one.to_ground() for one in self.grounds))

    @classmethod
    def of(cls, one: palette.SchemeRoles) -> SchemeModel:
        return cls(
            roles=tuple(AssignmentModel.of(each) for each in one.roles),
            pairs=tuple(PairModel.of(each) for each in one.pairs),
            grounds=tuple(GroundModel.of(each) for each in one.grounds),
        )


class Began(Model):
    """What a swatch was before a character, or before varying."""

    swatch: Identifier
    hex: HexText


# The fields of the harmony that hold such beginnings.
BEGINNINGS = ("shaped_from", "varied_from")


class HarmonyModel(Model):
    """How the hues belong together; see the core's HarmonySettings."""

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

    def to_settings(self) -> palette.HarmonySettings:
        fields = {name: getattr(self, name) for name in type(self).model_fields if name not in BEGINNINGS}
        began: dict[str, Any] = {
            name: tuple((one.swatch, one.hex) for one in getattr(self, name)) for name in BEGINNINGS
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


# A drag sends the same pairs and roles again and again, and all swatches but one.
_pair = lru_cache(maxsize=4096)(palette.Pair)
_assignment = lru_cache(maxsize=1024)(palette.Assignment)


@lru_cache(maxsize=1024)
def _swatch(
    own: tuple[str, str, str, bool],
    origin: tuple[OriginKind, str, str | None, float | None],
    ramp: tuple[RampKind, int, int, int],
) -> palette.Swatch:
    return palette.Swatch(*own, palette.Origin(*origin), RampSettings(*ramp))


class TakeDocument(Model):
    """One alternative palette, whole. roles, pairs and grounds are those of `scheme`."""

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
        return palette.Take(
            swatches=tuple(one.to_swatch() for one in self.swatches),
            roles=tuple(one.to_assignment() for one in self.roles),
            pairs=tuple(one.to_pair() for one in self.pairs),
            level=self.level,
            harmony=self.harmony.to_settings(),
            neutrals=tuple(one.to_neutral() for one in self.neutrals),
            overlays=tuple(one.to_overlay() for one in self.overlays),
            step_names=self.step_names,
            scheme=self.scheme,
            other=self.other.to_roles() if self.other else None,
            grounds=tuple(one.to_ground() for one in self.grounds),
            proof=self.proof.to_settings(),
            slots=tuple(one.to_slot() for one in self.slots),
        )

    @classmethod
    def of(cls, take: palette.Take) -> TakeDocument:
        """Return the document of a take."""
        return cls(
            level=take.level,
            harmony=HarmonyModel.of(take.harmony),
            swatches=tuple(SwatchModel.of(one) for one in take.swatches),
            roles=tuple(AssignmentModel.of(one) for one in take.roles),
            pairs=tuple(PairModel.of(one) for one in take.pairs),
            neutrals=tuple(NeutralModel.of(one) for one in take.neutrals),
            overlays=tuple(OverlayModel.of(one) for one in take.overlays),
            step_names=take.step_names,
            scheme=take.scheme,
            other=SchemeModel.of(take.other) if take.other else None,
            grounds=tuple(GroundModel.of(one) for one in take.grounds),
            proof=ProofModel.of(take.proof),
            slots=tuple(ChosenSlotModel.of(one) for one in take.slots),
        )


def document_json(take: palette.Take) -> dict[str, Any]:
    """Return what orjson writes as the document of a take, byte for byte as the model would.

    Swatches, roles, pairs and the like are written as they are: a tenth of the time, in every drag.
    """
    harmony = {name: getattr(take.harmony, name) for name in HarmonyModel.model_fields}
    for name in BEGINNINGS:
        harmony[name] = [{"swatch": key, "hex": value} for key, value in getattr(take.harmony, name)]
    return {
        "format": FORMAT,
        "level": take.level,
        "swatches": take.swatches,
        "roles": take.roles,
        "pairs": take.pairs,
        "harmony": harmony,
        "neutrals": take.neutrals,
        "overlays": take.overlays,
        "step_names": take.step_names,
        "scheme": take.scheme,
        "other": {
            "roles": take.other.roles,
            "pairs": take.other.pairs,
            "grounds": [_ground_json(one) for one in take.other.grounds],
        }
        if take.other
        else None,
        "grounds": [_ground_json(one) for one in take.grounds],
        "proof": ProofModel.of(take.proof).model_dump(mode="json"),
        "slots": take.slots,
    }


def _ground_json(ground: GroundSettings) -> dict[str, Any]:
    uses = [{"element": element, "key": key} for element, key in ground.uses]
    return {"id": ground.id, "name": ground.name, "ground": ground.ground, "uses": uses}
