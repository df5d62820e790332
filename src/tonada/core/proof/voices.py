"""The voices of the sample pages: trades with words, pictures and a home page composed for each of them."""

from __future__ import annotations

import json
import re
import unicodedata
from collections.abc import Sequence
from dataclasses import dataclass
from importlib.resources import files
from importlib.resources.abc import Traversable
from typing import Final

from tonada.core.take.proof_settings import VoiceId


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
    voice = file.name.removesuffix(_ENDING)
    return Voice(voice, said["name"], home, tuple(said["words"]), tuple(said["fields"]))


# A new trade is a file in trades/: its name, its home page, the words that point to it, and its copy, which
# the front end reads from there.
VOICES: Final = tuple(
    _read(file)
    for file in sorted((files("tonada.core.proof") / "trades").iterdir(), key=lambda file: file.name)
    if file.name.endswith(_ENDING)
)
USUAL_VOICE: Final[VoiceId] = "observatory"
_BY_ID: Final = {voice.id: voice for voice in VOICES}


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
    return next((voice.id for voice in VOICES if set(fields) & set(voice.fields)), USUAL_VOICE)
