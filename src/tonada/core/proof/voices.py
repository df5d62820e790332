"""The voices of the sample pages: trades with words, pictures and a home page composed for each of them."""

from __future__ import annotations

import json
import unicodedata
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from importlib.resources import files
from importlib.resources.abc import Traversable
from typing import Final

from tonada.core.proof.typefaces import FaceName
from tonada.core.take.proof_settings import VoiceId

_SOUND_MARKS: Final = "\u3099\u309a"


@dataclass(frozen=True, slots=True)
class Section:
    """A part of a page with a ground of its own."""

    id: str
    name: str
    ground: str


def plain_letters(text: str) -> str:
    """Return a text in small letters, without accents; the marks of Japanese sounds stay."""
    plain = unicodedata.normalize("NFKD", text).casefold()
    kept = "".join(letter for letter in plain if not unicodedata.combining(letter) or letter in _SOUND_MARKS)
    return unicodedata.normalize("NFC", kept)


@dataclass(frozen=True, slots=True)
class Words:
    """What a brand's name says of its work: in small letters without accents, in whichever language.

    words: whole ones. endings: heads of compounds, as German and Dutch make them. phrases: words in a row.
    general: words that give way to any other, as “school” does in “kayak school”.
    """

    words: frozenset[str]
    endings: frozenset[str]
    phrases: frozenset[str]
    general: frozenset[str]

    @classmethod
    def read(cls, said: Mapping[str, Sequence[str]]) -> Words:
        kinds = ("words", "endings", "phrases", "general")
        return cls(*(frozenset(map(plain_letters, said.get(kind, ()))) for kind in kinds))


@dataclass(frozen=True, slots=True)
class Typesetting:
    """What a trade's pages are set in. heading, text: typefaces that ship. weight: of large headings.

    base: the size of a running text in CSS pixels. ratio: between the steps of the scale.
    """

    heading: FaceName
    text: FaceName
    base: float
    ratio: float
    weight: int


@dataclass(frozen=True, slots=True)
class Voice:
    """A trade. home: the sections of its home page, from top to bottom.

    grounds: by page and section, where its other pages have another than all trades'. fields: of work, as a
    mood has them.
    """

    id: VoiceId
    name: str
    home: tuple[Section, ...]
    grounds: Mapping[tuple[str, str], str]
    said_by: Words
    fields: tuple[str, ...]
    type: Typesetting


_ENDING: Final = ".json"
# What sections are called where a person chooses their grounds.
_NAMES: Final = {
    "strip": "Strip",
    "head": "Head",
    "opening": "Opening",
    "offers": "Offers",
    "menu": "Menu",
    "programme": "Programme",
    "steps": "Steps",
    "prices": "Prices",
    "hours": "Hours",
    "numbers": "Numbers",
    "story": "Story",
    "voice": "Quote",
    "call": "Call",
    "foot": "Foot",
}


def _read(file: Traversable) -> Voice:
    said = json.loads(file.read_text("utf-8"))
    home = tuple(Section(part, _NAMES[part], ground) for part, ground in said["home"].items())
    grounds = {(page, part): one for page, own in said["grounds"].items() for part, one in own.items()}
    voice = file.name.removesuffix(_ENDING)
    words, fields = Words.read(said["words"]), tuple(said["fields"])
    return Voice(voice, said["name"], home, grounds, words, fields, Typesetting(**said["type"]))


# A new trade is a file in trades/: its name, its home page, its type, the words that point to it, and its
# copy, which the front end reads from there.
VOICES: Final = tuple(
    _read(file)
    for file in sorted((files("tonada.core.proof") / "trades").iterdir(), key=lambda file: file.name)
    if file.name.endswith(_ENDING)
)
# Of a brand whose work isn't known: its pages are led by its name.
NEUTRAL: Final[VoiceId] = "neutral"
_BY_ID: Final = {voice.id: voice for voice in VOICES}


def voice_of(voice: VoiceId) -> Voice:
    """Return the voice of an id."""
    return _BY_ID[voice]
