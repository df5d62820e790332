"""Harmony across the boundary: changes of the chord, variations, advice, the stave, comparisons."""

from __future__ import annotations

from typing import Annotated

from pydantic import Field

from tonada.core.color.circles import CIRCLES, Circle
from tonada.core.color.hue_rules import FREE, MOST_FREE_ANGLES, RULES
from tonada.core.handoff.compare import Comparison
from tonada.core.harmony.advice import Advice
from tonada.core.harmony.character import CHARACTERS, Character
from tonada.core.harmony.vary import LAST_SEED, SHEET
from tonada.core.pairs.evaluation import Evaluation
from tonada.core.pairs.variations import Variation
from tonada.core.take.parts import Scheme
from tonada.document.changes import TakeChange
from tonada.document.fonts import OwnFaces
from tonada.document.page_figures import PageFigures
from tonada.document.parts import Model, Whole
from tonada.document.proof import VoiceText
from tonada.document.take import TakeDocument


class PageWanted(Model):
    """The page that is beside a view, so that its figures come with those of the change.

    voice: the one guessed for the brand. scheme: the one in which the page is shown. fonts: of the brand.
    """

    scheme: Scheme
    voice: VoiceText | None = None
    fonts: OwnFaces = ()


class ChangeBody(Model):
    document: TakeDocument
    change: TakeChange
    page: PageWanted | None = None


class ChangeAnswer(Model):
    """The take after a change, with its figures, and what there is to say about it.

    page: what the page beside is drawn with, as POST /api/proof has it; null where none was asked for.
    """

    document: TakeDocument
    said: tuple[str, ...]
    evaluation: Evaluation
    page: PageFigures | None


class VariationsBody(Model):
    document: TakeDocument
    first: Annotated[int, Field(ge=1, le=LAST_SEED)] = 1
    count: Annotated[int, Field(ge=1, le=SHEET)] = SHEET


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
    """angles: of the partners at the usual spread; a free rule has the take's own. short: for little room."""

    name: str
    short: str
    is_free: bool
    spread: float
    least: float
    most: float
    angles: tuple[float, ...]


class CircleAnswer(Model):
    """says: what stands opposite what on it."""

    name: Circle
    says: str


class HarmonyVocabulary(Model):
    rules: tuple[RuleAnswer, ...]
    circles: tuple[CircleAnswer, ...]
    characters: tuple[Character, ...]
    most_free_angles: int
    last_seed: int

    @classmethod
    def whole(cls) -> HarmonyVocabulary:
        return cls(
            rules=tuple(
                RuleAnswer(
                    name=rule.name,
                    short=rule.short_name,
                    is_free=rule is FREE,
                    spread=rule.spread,
                    least=rule.least,
                    most=rule.most,
                    angles=tuple(angle % 360 for angle in rule.angles(rule.spread)),
                )
                for rule in RULES.values()
            ),
            circles=tuple(CircleAnswer(name=name, says=says) for name, says in CIRCLES.items()),
            characters=tuple(CHARACTERS.values()),
            most_free_angles=MOST_FREE_ANGLES,
            last_seed=LAST_SEED,
        )


class AdvicesAnswer(Model):
    advice: tuple[Advice, ...]


class FieldQuery(Model):
    chroma: Annotated[float, Field(ge=0, le=0.4)] = 0.1


class ComparisonBody(Model):
    before: TakeDocument
    after: TakeDocument


class ComparisonAnswer(Whole[Comparison]):
    pass
