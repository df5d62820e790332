"""The proof across the boundary: the pages there are, their sections, the typefaces that ship."""

from __future__ import annotations

from tonada.core import limits
from tonada.core.proof.own_texts import OFFERED_LANGUAGES
from tonada.core.proof.pages import PAGES, Page
from tonada.core.proof.type_scale import LARGEST_SIZE, LEAST_SIZE, RATIOS
from tonada.core.proof.typefaces import PAIRINGS, TYPEFACES, Pairing, Typeface
from tonada.core.proof.voices import NEUTRAL, VOICES, Section, Typesetting, Voice
from tonada.core.roles.plan import CALL_ROLES, GROUND_ROLES
from tonada.core.take.proof_settings import USUAL_SIZES
from tonada.document.fonts import OwnFaces
from tonada.document.parts import Model
from tonada.document.proof import LanguageText, TextSizeModel, VoiceText
from tonada.web.takes.models import EvaluateBody


class ProofBody(EvaluateBody):
    """voice: the one guessed for the brand, for a take that has none of its own. fonts: of the brand."""

    voice: VoiceText | None = None
    fonts: OwnFaces = ()


class VoiceAnswer(Model):
    """A voice with the sections of its home page, and what its pages are set in."""

    id: VoiceText
    name: str
    home: tuple[Section, ...]
    type: Typesetting

    @classmethod
    def of(cls, voice: Voice) -> VoiceAnswer:
        return cls(id=voice.id, name=voice.name, home=voice.home, type=voice.type)


class ScaleAnswer(Model):
    """A ratio between sizes of type, and what the interval is called in music."""

    name: str
    ratio: float


class LanguageAnswer(Model):
    """A language that the pages can be said to be in (BCP 47), and what its speakers call it."""

    code: LanguageText
    name: str


class ProofVocabulary(Model):
    """The pages, the typefaces that ship, and which roles count as grounds and as calls.

    neutral: the voice of a brand whose trade isn't known.
    """

    pages: tuple[Page, ...]
    typefaces: tuple[Typeface, ...]
    pairings: tuple[Pairing, ...]
    usual_sizes: tuple[TextSizeModel, ...]
    voices: tuple[VoiceAnswer, ...]
    scales: tuple[ScaleAnswer, ...]
    neutral: VoiceText = NEUTRAL
    languages: tuple[LanguageAnswer, ...]
    least_size: float = LEAST_SIZE
    largest_size: float = LARGEST_SIZE
    most_words: int = limits.MAX_PAGE_WORDS
    ground_roles: tuple[str, ...] = tuple(sorted(GROUND_ROLES))
    call_roles: tuple[str, ...] = tuple(sorted(CALL_ROLES))
    most_grounds: int = limits.MAX_GROUNDS

    @classmethod
    def whole(cls) -> ProofVocabulary:
        return cls(
            pages=PAGES,
            typefaces=TYPEFACES,
            pairings=PAIRINGS,
            usual_sizes=tuple(
                TextSizeModel(style=style, size=one.size, weight=one.weight)
                for style, one in USUAL_SIZES.items()
            ),
            voices=tuple(VoiceAnswer.of(voice) for voice in VOICES),
            languages=tuple(LanguageAnswer(code=code, name=name) for code, name in OFFERED_LANGUAGES),
            scales=tuple(ScaleAnswer(name=name, ratio=ratio) for name, ratio in RATIOS),
        )
