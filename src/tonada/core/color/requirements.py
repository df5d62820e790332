"""What WCAG 2.2 asks of a pair: by usage, by size and weight of the text, by level."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Final, Literal, TypeAlias

from tonada.core.color.wcag import CRITERIA, EXEMPT, TEXTS, Level, Usage

# What came of a pair. exempt: WCAG asks nothing of it; unknown: it can't be told from what is known.
Outcome: TypeAlias = Literal["passes", "fails", "exempt", "unknown"]

# Large text by 1.4.3: 18 point, or 14 point bold, at 96 pixels an inch and 72 points.
LARGE_FROM_PX: Final = 24.0
LARGE_BOLD_FROM_PX: Final = 14 * 96 / 72
BOLD_FROM: Final = 700


@dataclass(frozen=True, slots=True)
class Requirement:
    """ratio: what is needed, 1 where the level asks nothing. criterion: such as 1.4.3.

    usage: the one that counts, since size and weight make text large or not.
    exempt: marked by the designer as decoration, disabled or logotype; nothing is needed then.
    """

    ratio: float
    criterion: str
    usage: Usage
    exempt: bool


def requirement(
    usage: Usage, level: Level, size: float | None = None, weight: int | None = None
) -> Requirement:
    """Return what is asked. size: in CSS pixels; weight: 1 to 1000; where given they decide what is large."""
    counted = _counted(usage, size, weight)
    asked = CRITERIA[level][counted]
    return Requirement(asked.ratio, asked.number, counted, counted in EXEMPT)


def outcome_of(ratio: float | None, asked: Requirement) -> Outcome:
    """Return what comes of a pair. ratio: exact, or None where it isn't known."""
    if asked.exempt:
        return "exempt"
    if ratio is None:
        return "unknown"
    return "passes" if ratio >= asked.ratio else "fails"


def passes_of(outcome: Outcome) -> bool | None:
    """Return whether a pair passes; None for one that is exempt or unknown."""
    return {"passes": True, "fails": False}.get(outcome)


def is_large(size: float, weight: int | None) -> bool:
    """Return whether text is large: from 24 px, or from 18.66 px bold. Source: WCAG 2.2, large scale text."""
    return size >= LARGE_FROM_PX or (size >= LARGE_BOLD_FROM_PX and (weight or 400) >= BOLD_FROM)


def _counted(usage: Usage, size: float | None, weight: int | None) -> Usage:
    if usage not in TEXTS or size is None:
        return usage
    if is_large(size, weight):
        return Usage.LARGE_TEXT
    return Usage.BODY_TEXT if usage is Usage.LARGE_TEXT else usage
