"""What the pages of a take are set in: what the designer chose, and else what the trade has."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace
from functools import lru_cache
from typing import Final

from tonada.core.proof.type_scale import STEPS
from tonada.core.proof.typefaces import TYPEFACE_NAMES, OwnFace
from tonada.core.proof.voices import voice_of
from tonada.core.take.proof_settings import USUAL_SIZES, ProofSettings, TextSize, TextStyle, VoiceId

# A trade may whisper or shout, but what is asked of its texts stays the same: a take's colours can't hang
# on a trade that is only guessed. So large headings are large on a phone too, and small ones never count as
# large (WCAG 2.2, “large scale”).
_SECOND_IS_AT_LEAST: Final = 30.0
_THIRD_IS_AT_MOST: Final = 23.0
_THIRD_WEIGHS: Final = (550, 650)
_LARGE: Final[tuple[TextStyle, ...]] = ("h1", "h2")


def typeset(proof: ProofSettings, voice: VoiceId, own: Sequence[OwnFace] = ()) -> ProofSettings:
    """Return the settings with the typefaces and sizes of a trade where none were chosen.

    own: the fonts of the brand; a typeface of none of them is the trade's.
    """
    type_ = voice_of(voice).type
    there = {*TYPEFACE_NAMES, *(face.name for face in own)}
    heading, text = proof.heading_face or "", proof.text_face or ""
    return replace(
        proof,
        heading_face=heading if heading in there else type_.heading,
        text_face=text if text in there else type_.text,
        sizes=tuple((usual_sizes(voice) | dict(proof.sizes)).items()),
    )


@lru_cache(maxsize=64)
def usual_sizes(voice: VoiceId) -> dict[TextStyle, TextSize]:
    """Return the size and weight of every style in a trade, in wide windows."""
    type_ = voice_of(voice).type
    found = dict(USUAL_SIZES)
    for style in _LARGE:
        size = float(round(type_.base * type_.ratio ** STEPS[style]))
        found[style] = TextSize(max(size, _SECOND_IS_AT_LEAST), type_.weight)
    least, most = _THIRD_WEIGHS
    third = min(_THIRD_IS_AT_MOST, float(round(type_.base * type_.ratio ** STEPS["h3"])))
    found["h3"] = TextSize(third, min(most, max(least, type_.weight)))
    return found | {"text": TextSize(type_.base, USUAL_SIZES["text"].weight)}
