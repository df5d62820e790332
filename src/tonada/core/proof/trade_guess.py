"""Which trade a brand's name, or its field of work, points to; or none, which is better than a wrong one."""

from __future__ import annotations

import re
from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from typing import Final

from tonada.core.proof.voices import NEUTRAL, VOICES, Voice, plain_letters
from tonada.core.take.proof_settings import VoiceId

# A compound has at least so many letters before its head: “Bishop” has no shop.
LEAST_BEFORE: Final = 3
# What stands after one of these belongs to what stands before: “Café im Museum” is a café.
_LINKS: Final = frozenset(
    (
        *("of", "at", "by", "in", "on", "for"),
        *("de", "du", "des", "la", "le", "les", "l", "del", "al", "della", "dell", "di", "alla", "da", "do"),
        *("am", "im", "an", "auf", "bei", "beim", "zum", "zur", "fur", "von", "vom", "in", "den", "der"),
        *("van", "het"),
    )
)
# Scripts without spaces between words: there a word is found wherever it stands.
_UNSPACED: Final = re.compile(r"[\u3040-\u30ff\u3400-\u9fff]")


@dataclass(frozen=True, slots=True)
class _Hit:
    """strength: of a phrase 2, a word 1, a general word 0. end: the row of its last word."""

    strength: int
    end: int
    voice: VoiceId


def guessed_voice(name: str, fields: Sequence[str] = ()) -> VoiceId:
    """Return the voice that a brand's name points to, or else its fields of work; NEUTRAL where none does.

    Whole words count, and the heads of compounds; phrases before words, and of two words the last, as
    English and German put the noun there, unless a preposition joins them.
    """
    tokens = _tokens(name)
    hits = [hit for voice in VOICES for hit in _hits(voice, tokens)]
    if hits:
        strongest = max(hit.strength for hit in hits)
        return _head([hit for hit in hits if hit.strength == strongest], tokens).voice
    return next((voice.id for voice in VOICES if set(fields) & set(voice.fields)), NEUTRAL)


def _tokens(name: str) -> list[str]:
    return re.findall(r"[^\W_]+", plain_letters(name))


def _hits(voice: Voice, tokens: Sequence[str]) -> Iterator[_Hit]:
    said = voice.said_by
    for phrase in said.phrases:
        parts = phrase.split()
        for row in range(len(tokens) - len(parts) + 1):
            if list(tokens[row : row + len(parts)]) == parts:
                yield _Hit(2, row + len(parts) - 1, voice.id)
    for row, token in enumerate(tokens):
        if _is_said(voice, token):
            yield _Hit(1, row, voice.id)
        elif token in said.general:
            yield _Hit(0, row, voice.id)


def _is_said(voice: Voice, token: str) -> bool:
    said = voice.said_by
    if token in _GENERAL:
        return False
    if token in _KNOWN:
        return token in said.words or token in said.endings
    if _UNSPACED.search(token):
        return any(word in token for word in said.words if _UNSPACED.search(word))
    return _longest_ending(token) in said.endings


def _longest_ending(token: str) -> str:
    """Return the head of a compound, as long as can be: of “kirchengemeinde” not the “gemeinde” alone."""
    starts = range(LEAST_BEFORE, len(token))
    return next((token[start:] for start in starts if token[start:] in _ENDINGS), "")


def _head(hits: Sequence[_Hit], tokens: Sequence[str]) -> _Hit:
    """Return the hit that says what it is: the last, unless a preposition ties it to one before."""
    ordered = sorted(hits, key=lambda hit: hit.end)
    head = ordered[0]
    for one in ordered[1:]:
        if not _LINKS.intersection(tokens[head.end + 1 : one.end]):
            head = one
    return head


_GENERAL: Final = frozenset(word for voice in VOICES for word in voice.said_by.general)
_KNOWN: Final = frozenset(word for voice in VOICES for word in (*voice.said_by.words, *voice.said_by.endings))
_ENDINGS: Final = frozenset(word for voice in VOICES for word in voice.said_by.endings)
