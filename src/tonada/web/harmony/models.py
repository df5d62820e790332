"""Harmony across the boundary: changes of the chord, variations, advice, the stave, comparisons."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import ConfigDict, Field

from tonada.core.color.hue_rules import MOST_FREE_ANGLES, RULES
from tonada.core.handoff.compare import Change
from tonada.core.harmony import chord
from tonada.core.harmony.advice import AdviceKind
from tonada.core.harmony.character import CHARACTERS
from tonada.core.harmony.vary import LAST_SEED, Variation
from tonada.document.parts import Identifier, Model
from tonada.document.take import HarmonyModel, TakeDocument
from tonada.web.roles.models import RoleChanges, Said
from tonada.web.takes.models import EvaluationAnswer

Position = Annotated[float, Field(ge=-0.5, le=1.5)]


class PlaceChange(Model):
    """A note moved by hand. position: on the contrast scale, in place of lightness."""

    kind: Literal["place"]
    swatch: Identifier
    chroma: Annotated[float, Field(ge=0, le=0.5)]
    hue: Annotated[float, Field(ge=-720, le=1080)]
    lightness: Annotated[float, Field(ge=0, le=1)] | None = None
    position: Position | None = None
    settle: bool = False

    def apply(self, document: TakeDocument) -> tuple[TakeDocument, Said]:
        where = chord.Place(self.swatch, self.chroma, self.hue, self.lightness, self.position, self.settle)
        return TakeDocument.of(chord.place(document.to_take(), where)), ()


class ChordChange(Model):
    """Other settings; the free swatches take their places by the rule, the chord turned by `turn`."""

    kind: Literal["chord"]
    harmony: HarmonyModel
    turn: Annotated[float, Field(ge=-720, le=720)] = 0.0

    def apply(self, document: TakeDocument) -> tuple[TakeDocument, Said]:
        take = document.model_copy(update={"harmony": self.harmony}).to_take()
        return TakeDocument.of(chord.play(take, turn=self.turn)), ()


class FlagChange(Model):
    """A partner's flag moved to an angle from the anchor: the spread follows, or its own angle if free."""

    kind: Literal["flag"]
    index: Annotated[int, Field(ge=0, le=MOST_FREE_ANGLES - 1)]
    angle: Annotated[float, Field(ge=-720, le=720)]

    def apply(self, document: TakeDocument) -> tuple[TakeDocument, Said]:
        return TakeDocument.of(chord.move_flag(document.to_take(), self.index, self.angle)), ()


class CharacterChange(Model):
    """Other settings; the free swatches get the lightness and chroma of the character."""

    kind: Literal["character"]
    harmony: HarmonyModel

    def apply(self, document: TakeDocument) -> tuple[TakeDocument, Said]:
        take = document.model_copy(update={"harmony": self.harmony}).to_take()
        return TakeDocument.of(chord.shape(take)), ()


class PartnerChange(Model):
    """A new swatch at an angle of the rule where none stands."""

    kind: Literal["partner"]
    angle: Annotated[float, Field(ge=-360, le=720)]

    def apply(self, document: TakeDocument) -> tuple[TakeDocument, Said]:
        return TakeDocument.of(chord.add_partner(document.to_take(), self.angle)), ()


TakeChange = Annotated[
    PlaceChange | ChordChange | FlagChange | CharacterChange | PartnerChange | RoleChanges,
    Field(discriminator="kind"),
]


class ChangeBody(Model):
    document: TakeDocument
    change: TakeChange


class ChangeAnswer(Model):
    """The take after a change, with its figures, and what there is to say about it."""

    document: TakeDocument
    said: tuple[str, ...]
    evaluation: EvaluationAnswer


class VariationsBody(Model):
    document: TakeDocument
    first: Annotated[int, Field(ge=1, le=LAST_SEED)] = 1
    count: Annotated[int, Field(ge=1, le=12)] = 6


class VariationAnswer(Model):
    seed: int
    difference: float
    failing: tuple[str, ...]
    problem: str | None
    document: TakeDocument

    @classmethod
    def of(cls, variation: Variation) -> VariationAnswer:
        return cls(
            seed=variation.seed,
            difference=variation.difference,
            failing=variation.failing,
            problem=variation.problem,
            document=TakeDocument.of(variation.take),
        )


class VariationsAnswer(Model):
    variations: tuple[VariationAnswer, ...]


class RuleAnswer(Model):
    """angles: of the partners at the usual spread."""

    name: str
    spread: float
    least: float
    most: float
    angles: tuple[float, ...]


class CharacterTargets(Model):
    name: str
    says: str
    lightness: float
    chroma: float
    span: float


class HarmonyVocabulary(Model):
    rules: tuple[RuleAnswer, ...]
    characters: tuple[CharacterTargets, ...]
    most_free_angles: int
    last_seed: int

    @classmethod
    def whole(cls) -> HarmonyVocabulary:
        return cls(
            rules=tuple(
                RuleAnswer(
                    name=rule.name,
                    spread=rule.spread,
                    least=rule.least,
                    most=rule.most,
                    angles=tuple(angle % 360 for angle in rule.angles(rule.spread)),
                )
                for rule in RULES.values()
            ),
            characters=tuple(
                CharacterTargets(
                    name=one.name,
                    says=one.says,
                    lightness=one.lightness,
                    chroma=one.chroma,
                    span=one.span,
                )
                for one in CHARACTERS.values()
            ),
            most_free_angles=MOST_FREE_ANGLES,
            last_seed=LAST_SEED,
        )


class AdviceAnswer(Model):
    model_config = ConfigDict(from_attributes=True, frozen=True)

    kind: AdviceKind
    text: str
    swatches: tuple[str, ...]
    act: str | None
    target: str | None
    value: str | None


class AdvicesAnswer(Model):
    advice: tuple[AdviceAnswer, ...]


class FieldQuery(Model):
    chroma: Annotated[float, Field(ge=0, le=0.4)] = 0.1


class ComparisonBody(Model):
    before: TakeDocument
    after: TakeDocument


class SwatchChangeAnswer(Model):
    model_config = ConfigDict(from_attributes=True, frozen=True)

    change: Change
    name: str
    before: str | None
    after: str | None
    difference: float | None
    renamed_from: str | None


class RoleChangeAnswer(Model):
    model_config = ConfigDict(from_attributes=True, frozen=True)

    role: str
    before: str | None
    after: str | None


class PairChangeAnswer(Model):
    model_config = ConfigDict(from_attributes=True, frozen=True)

    id: str
    before: float | None
    after: float | None
    passed: bool
    passes: bool


class ComparisonAnswer(Model):
    model_config = ConfigDict(from_attributes=True, frozen=True)

    swatches: tuple[SwatchChangeAnswer, ...]
    roles: tuple[RoleChangeAnswer, ...]
    pairs: tuple[PairChangeAnswer, ...]
