"""Which letters a font of the brand's own draws, from the characters that it has."""

from __future__ import annotations

from collections.abc import Collection
from typing import Final

from tonada.core.proof.letters import NOTO

# Ligatures and letters that have gone out of use.
_UNUSED: Final = (0x132, 0x133, 0x138, 0x13F, 0x140, 0x149, 0x17F)
# What people write in the languages of Europe in Latin letters: ASCII, Latin-1, Latin Extended-A without what
# no language uses any more, Romanian's commas, and the marks of typesetters.
LATIN_LETTERS: Final = "".join(
    (
        *(chr(code) for code in range(0x21, 0x7F)),
        *(chr(code) for code in range(0xC0, 0x100) if code not in (0xD7, 0xF7)),
        *(
            chr(code)
            for code in range(0x100, 0x17F)
            if code not in (0x132, 0x133, 0x138, 0x13F, 0x140, 0x149)
        ),
        "ȘșȚț¡¿«»–—‘’“”„…€£",
    )
)
# A font without them draws no Latin.
_BASIC: Final = frozenset("ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz")
# First and last of the letters that a text of a script can't do without. Source: Unicode 15, code charts.
_RANGES: Final[dict[str, tuple[tuple[int, int], ...]]] = {
    "Arab": ((0x621, 0x63A), (0x641, 0x64A)),
    "Armn": ((0x531, 0x556), (0x561, 0x586)),
    "Beng": ((0x985, 0x9B9),),
    "Cyrl": ((0x410, 0x44F),),
    "Deva": ((0x905, 0x939),),
    "Ethi": ((0x1200, 0x1248),),
    "Geor": ((0x10D0, 0x10F0),),
    "Grek": ((0x391, 0x3A9), (0x3AC, 0x3CE)),
    "Gujr": ((0xA85, 0xAB9),),
    "Guru": ((0xA05, 0xA39),),
    "Hang": ((0xAC00, 0xD7A3),),
    "Hani": ((0x4E00, 0x9FA5),),
    "Hebr": ((0x5D0, 0x5EA),),
    "Jpan": ((0x3041, 0x3093), (0x30A1, 0x30F6), (0x4E00, 0x9FA5)),
    "Khmr": ((0x1780, 0x17B3),),
    "Knda": ((0xC85, 0xCB9),),
    "Laoo": ((0xE81, 0xEB0),),
    "Mlym": ((0xD05, 0xD39),),
    "Mymr": ((0x1000, 0x102A),),
    "Sinh": ((0xD85, 0xDC6),),
    "Taml": ((0xB85, 0xBB9),),
    "Telu": ((0xC05, 0xC39),),
    "Thai": ((0xE01, 0xE30),),
}
# In some ranges a few places are empty; of tens of thousands of syllables and characters a text needs some.
_LEAST: Final = {"Hang": 0.2, "Hani": 0.15, "Jpan": 0.1}
_USUAL_LEAST: Final = 0.65


def scripts_drawn(characters: Collection[int]) -> tuple[str, ...]:
    """Return the scripts besides Latin (ISO 15924) whose letters are there. characters: code points."""
    there = frozenset(characters)
    return tuple(script for script in NOTO if _draws(script, there))


def latin_lacking(characters: Collection[int]) -> str:
    """Return those of LATIN_LETTERS that aren't there."""
    there = frozenset(characters)
    return "".join(one for one in LATIN_LETTERS if ord(one) not in there)


def draws_latin(lacking: str) -> bool:
    """Return whether a font that lacks these draws the basic letters all the same."""
    return not _BASIC & frozenset(lacking)


def _draws(script: str, there: frozenset[int]) -> bool:
    least = _LEAST.get(script, _USUAL_LEAST)
    for first, last in _RANGES[script]:
        wanted = last - first + 1
        # Letters of an alphabet among those of another are all needed.
        share = sum(code in there for code in range(first, last + 1)) / wanted
        if share < (_USUAL_LEAST if wanted < 1000 else least):
            return False
    return True
