"""The voices of the sample pages: trades with words, pictures and a home page composed for each of them."""

from __future__ import annotations

import re
import unicodedata
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final

from tonada.core.proof.grounds import TINT
from tonada.core.take.proof_settings import VoiceId
from tonada.core.take.take import Role


@dataclass(frozen=True, slots=True)
class Section:
    """A part of a page with a ground of its own."""

    id: str
    name: str
    ground: str


@dataclass(frozen=True, slots=True)
class Voice:
    """A trade. home: the sections of its home page, from top to bottom.

    words: beginnings of words in a brand's name that point to it. fields: of work, as a mood has them.
    """

    id: VoiceId
    name: str
    home: tuple[Section, ...]
    words: tuple[str, ...]
    fields: tuple[str, ...]


def _home(*sections: tuple[str, str]) -> tuple[Section, ...]:
    return tuple(Section(part, _NAMES[part], ground) for part, ground in sections)


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

VOICES: Final = (
    Voice(
        "observatory",
        "An observatory",
        _home(
            ("head", Role.PAPER),
            ("opening", Role.PRIMARY),
            ("offers", Role.MIST),
            ("story", Role.PAPER),
            ("voice", Role.SECONDARY),
            ("foot", Role.DEEP),
        ),
        ("observator", "star", "planet", "museum", "peak", "summit", "tour", "guide", "camp", "hostel"),
        ("travel and outdoors",),
    ),
    Voice(
        "mill",
        "A weaving mill",
        _home(
            ("head", Role.PAPER),
            ("opening", Role.PRIMARY),
            ("offers", TINT),
            ("story", Role.PAPER),
            ("voice", Role.SECONDARY),
            ("foot", Role.DEEP),
        ),
        ("loom", "mill", "weav", "cloth", "wool", "textile", "thread", "potter", "kiln", "wood", "craft"),
        ("craft",),
    ),
    Voice(
        "restaurant",
        "A harbour restaurant",
        _home(
            ("head", Role.DEEP),
            ("opening", Role.PAPER),
            ("menu", Role.PAPER),
            ("story", Role.MIST),
            ("hours", Role.SECONDARY),
            ("foot", Role.DEEP),
        ),
        (
            "restaurant",
            "kitchen",
            "bistro",
            "cafe",
            "coffee",
            "baker",
            "bread",
            "grill",
            "tavern",
            "brew",
            "wine",
            "oyster",
            "table",
            "pizz",
            "food",
        ),
        ("food and drink",),
    ),
    Voice(
        "practice",
        "A medical practice",
        _home(
            ("strip", Role.PRIMARY),
            ("head", Role.PAPER),
            ("opening", Role.PAPER),
            ("offers", Role.PAPER),
            ("hours", TINT),
            ("call", Role.PRIMARY),
            ("foot", Role.DEEP),
        ),
        (
            "practice",
            "clinic",
            "doctor",
            "dental",
            "dentist",
            "health",
            "care",
            "physio",
            "medic",
            "pharma",
            "hospice",
            "vet",
        ),
        ("health", "charity"),
    ),
    Voice(
        "notary",
        "A notary",
        _home(
            ("head", Role.PAPER),
            ("opening", Role.MIST),
            ("steps", Role.PAPER),
            ("story", Role.PRIMARY),
            ("prices", Role.SECONDARY),
            ("voice", TINT),
            ("foot", Role.DEEP),
        ),
        (
            "notar",
            "law",
            "legal",
            "attorney",
            "tax",
            "bank",
            "insur",
            "finance",
            "capital",
            "trust",
            "consult",
            "account",
        ),
        ("money and law",),
    ),
    Voice(
        "school",
        "A language school",
        _home(
            ("head", Role.PAPER),
            ("opening", Role.SECONDARY),
            ("offers", Role.PAPER),
            ("steps", Role.MIST),
            ("voice", Role.PRIMARY),
            ("call", TINT),
            ("foot", Role.DEEP),
        ),
        (
            "school",
            "language",
            "academ",
            "college",
            "lesson",
            "learn",
            "kinder",
            "tutor",
            "university",
            "course",
        ),
        ("education",),
    ),
    Voice(
        "hall",
        "A concert hall",
        _home(
            ("head", Role.DEEP),
            ("opening", Role.PRIMARY),
            ("programme", Role.PAPER),
            ("story", Role.SECONDARY),
            ("offers", Role.MIST),
            ("call", Role.PAPER),
            ("foot", Role.DEEP),
        ),
        (
            "concert",
            "hall",
            "theatre",
            "theater",
            "opera",
            "music",
            "orchestra",
            "festival",
            "gallery",
            "stage",
            "cinema",
            "ballet",
            "arts",
        ),
        ("culture",),
    ),
    Voice(
        "bicycles",
        "A bicycle shop",
        _home(
            ("strip", Role.DEEP),
            ("head", Role.PAPER),
            ("opening", Role.SECONDARY),
            ("offers", Role.PAPER),
            ("story", Role.MIST),
            ("call", Role.PRIMARY),
            ("foot", Role.DEEP),
        ),
        (
            "bicycle",
            "bike",
            "cycl",
            "wheel",
            "velo",
            "ski",
            "kayak",
            "sail",
            "surf",
            "climb",
            "sport",
            "shop",
            "store",
            "club",
            "fitness",
        ),
        ("sport",),
    ),
    Voice(
        "choirs",
        "Choir software",
        _home(
            ("head", Role.PAPER),
            ("opening", Role.PAPER),
            ("numbers", Role.PRIMARY),
            ("offers", Role.MIST),
            ("prices", Role.SECONDARY),
            ("voice", TINT),
            ("foot", Role.DEEP),
        ),
        (
            "software",
            "app",
            "choir",
            "data",
            "cloud",
            "digital",
            "system",
            "code",
            "soft",
            "tech",
            "labs",
            "works",
            "studio",
        ),
        ("technology",),
    ),
)
USUAL_VOICE: Final[VoiceId] = "observatory"
_BY_ID: Final = {one.id: one for one in VOICES}


def voice_of(voice: VoiceId) -> Voice:
    """Return the voice of an id."""
    return _BY_ID[voice]


def guessed_voice(name: str, fields: Sequence[str] = ()) -> VoiceId:
    """Return the voice that a brand's name or its fields of work point to, else the usual one.

    The name goes before the fields, since it is the brand's own; longer beginnings of words before
    shorter ones. Letters of any case and with any accent are read alike.
    """
    plain = unicodedata.normalize("NFKD", name).encode("ascii", "ignore").decode().casefold()
    words = re.findall(r"[a-z]+", plain)
    hints = [
        (len(hint), -row, one.id)
        for row, one in enumerate(VOICES)
        for hint in one.words
        if any(word.startswith(hint) for word in words)
    ]
    if hints:
        return max(hints)[2]
    return next((one.id for one in VOICES if set(fields) & set(one.fields)), USUAL_VOICE)
