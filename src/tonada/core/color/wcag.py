"""WCAG 2.2: the ratios it names, with the success criterion that each comes from, by usage and level."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum
from typing import Final, Literal, TypeAlias

Level: TypeAlias = Literal["A", "AA", "AAA"]
LEVELS: Final[tuple[Level, ...]] = ("A", "AA", "AAA")
# What is asked where nobody says it.
USUAL_LEVEL: Final[Level] = "AA"
Verdict: TypeAlias = Literal["AAA", "AA", "A", "fail", "exempt"]

# 1.4.3 for large text, 1.4.11 for parts of controls, 1.4.1 (technique G183) for links beside text.
LARGE_RATIO: Final = 3.0
# 1.4.3 for text, and 1.4.6 for large text.
TEXT_RATIO: Final = 4.5
# 1.4.6 for text.
ENHANCED_RATIO: Final = 7.0
NAMED_RATIOS: Final = (LARGE_RATIO, TEXT_RATIO, ENHANCED_RATIO)
# Any two colours reach this: nothing is asked.
NOTHING: Final = 1.0


class Usage(StrEnum):
    """What a text or element on a ground is used for; it decides the ratio that is needed."""

    BODY_TEXT = "body text"
    LARGE_TEXT = "large text"
    BUTTON_LABEL = "button label"
    LINK = "link"
    LINK_IN_TEXT = "link beside text"
    PART = "part of a control"
    FOCUS = "focus indicator"
    DECORATION = "decoration"
    DISABLED = "disabled"
    LOGOTYPE = "logotype"

    # The enumeration's own hash is a Python function, and every pair of every drag is looked up by it.
    __hash__ = str.__hash__


# What 1.4.3 and 1.4.11 exempt; the designer marks it, and it is never reported as passed.
EXEMPT: Final = frozenset({Usage.DECORATION, Usage.DISABLED, Usage.LOGOTYPE})
# What 1.4.3 and 1.4.6 call text: its size and weight can make it large.
TEXTS: Final = frozenset({Usage.BODY_TEXT, Usage.LARGE_TEXT, Usage.BUTTON_LABEL, Usage.LINK})


@dataclass(frozen=True, slots=True)
class Criterion:
    """What a success criterion asks. ratio: 1 where the level asks nothing of the usage."""

    number: str
    ratio: float


_AA_TEXT: Final = Criterion("1.4.3", TEXT_RATIO)
_AA_LARGE: Final = Criterion("1.4.3", LARGE_RATIO)
_AAA_TEXT: Final = Criterion("1.4.6", ENHANCED_RATIO)
_AAA_LARGE: Final = Criterion("1.4.6", TEXT_RATIO)
_PART: Final = Criterion("1.4.11", LARGE_RATIO)
_BESIDE_TEXT: Final = Criterion("1.4.1", LARGE_RATIO)

# Level A asks nothing but 1.4.1. 1.4.11 has no AAA; 2.4.13, which is AAA, asks the same ratio of focus.
_AT_A: Final[dict[Usage, Criterion]] = {
    **{usage: Criterion("1.4.3", NOTHING) for usage in Usage},
    Usage.PART: Criterion("1.4.11", NOTHING),
    Usage.FOCUS: Criterion("1.4.11", NOTHING),
    Usage.LINK_IN_TEXT: _BESIDE_TEXT,
}
_AT_AA: Final[dict[Usage, Criterion]] = {
    **_AT_A,
    Usage.BODY_TEXT: _AA_TEXT,
    Usage.LARGE_TEXT: _AA_LARGE,
    Usage.BUTTON_LABEL: _AA_TEXT,
    Usage.LINK: _AA_TEXT,
    Usage.PART: _PART,
    Usage.FOCUS: _PART,
}
_AT_AAA: Final[dict[Usage, Criterion]] = {
    **_AT_AA,
    **{usage: Criterion("1.4.6", NOTHING) for usage in EXEMPT},
    Usage.BODY_TEXT: _AAA_TEXT,
    Usage.LARGE_TEXT: _AAA_LARGE,
    Usage.BUTTON_LABEL: _AAA_TEXT,
    Usage.LINK: _AAA_TEXT,
    Usage.FOCUS: Criterion("2.4.13", LARGE_RATIO),
}
CRITERIA: Final[dict[Level, dict[Usage, Criterion]]] = {"A": _AT_A, "AA": _AT_AA, "AAA": _AT_AAA}


def verdict_of(ratio: float, usage: Usage) -> Verdict:
    """Return the highest level that an unrounded ratio reaches for the usage."""
    if usage in EXEMPT:
        return "exempt"
    if usage is Usage.LINK_IN_TEXT:
        return "A" if ratio >= _BESIDE_TEXT.ratio else "fail"
    if ratio < _AT_AA[usage].ratio:
        return "fail"
    # 1.4.11 has no level AAA, so a part never gets more than AA.
    return "AAA" if usage is not Usage.PART and ratio >= _AT_AAA[usage].ratio else "AA"


def levels_of_ratio(ratio: float) -> dict[Literal["text", "large", "part"], Verdict]:
    """Return the highest level that `ratio`, unrounded, reaches for text, large text and parts."""
    return {
        "text": verdict_of(ratio, Usage.BODY_TEXT),
        "large": verdict_of(ratio, Usage.LARGE_TEXT),
        "part": verdict_of(ratio, Usage.PART),
    }
