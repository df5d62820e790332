"""Starts: what is made of the brand roles that no given colour has. Calm, lively, or contrasting.

A calm or lively start stays in the family of what was given: a hue further away than FAMILY is a stranger
that a person has to choose, as the contrasting start is.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Final, Literal, TypeAlias

from tonada.core.errors import InputError

# “given”: the colours that were given have the roles, and nothing is asked of the rest.
Start: TypeAlias = Literal["given", "calm", "lively", "contrasting"]

# The furthest hue, in degrees from the nearest given one, that nobody has to choose.
FAMILY: Final = 60.0


@dataclass(frozen=True, slots=True)
class Place:
    """Where an accent may stand: degrees from Primary, the hue rule that puts it there, what that costs."""

    angle: float
    rule: str
    cost: float


@dataclass(frozen=True, slots=True)
class StartRule:
    """How a start makes what is missing.

    title, hint: what a person reads of it. accent: where it may stand. chromas: that it may have (OKLCH), the
    wanted one first.
    support: the share of Primary's chroma that Secondary has; support_angles: degrees from Primary.
    grey_hue, grey_chroma: of the accent where Primary has no hue.
    """

    title: str
    hint: str
    accent: tuple[Place, ...]
    chromas: tuple[float, ...]
    support: float
    support_angles: tuple[float, ...]
    grey_hue: float
    grey_chroma: float


def _both_ways(angle: float, rule: str, cost: float = 0.0) -> tuple[Place, Place]:
    return Place(angle, rule, cost), Place(360 - angle, rule, cost)


STARTS: Final[Mapping[Start, StartRule]] = {
    "calm": StartRule(
        "Calm",
        "An accent near Primary in hue, and quiet.",
        (
            *_both_ways(30, "analogous"),
            *_both_ways(40, "analogous", 0.02),
            *_both_ways(20, "analogous", 0.05),
        ),
        (0.1, 0.08, 0.12, 0.14),
        0.5,
        (0.0, 15.0, -15.0),
        250.0,
        0.09,
    ),
    "lively": StartRule(
        "Lively",
        "An accent in Primary’s family, up to 60° away in hue, and strong.",
        (*_both_ways(60, "tetradic"), *_both_ways(50, "analogous", 0.02), *_both_ways(40, "analogous", 0.08)),
        (0.16, 0.13, 0.19),
        0.6,
        (0.0, 30.0, -30.0),
        60.0,
        0.14,
    ),
    "contrasting": StartRule(
        "Contrasting",
        "An accent from the other side of the circle.",
        (
            Place(180, "complementary", 0.0),
            *_both_ways(150, "split complementary", 0.05),
            *_both_ways(120, "triadic", 0.1),
        ),
        (0.16, 0.13, 0.1),
        0.5,
        (0.0, 15.0, -15.0),
        25.0,
        0.18,
    ),
}
GIVEN_TITLE: Final = "As given"
GIVEN_HINT: Final = "The second colour is the accent."
# What is made where nobody chose a start.
USUAL_START: Final[Start] = "lively"


def start_named(name: str) -> Start:
    """Return the start of this name. Raises InputError for an unknown one."""
    for start in STARTS:
        if start == name:
            return start
    raise InputError(f"“{name[:40]}” isn’t a start. Use one of: {', '.join(STARTS)}.", field="start")


def words_of_start(start: Start) -> tuple[str, str]:
    """Return the title and the hint of a start."""
    rule = STARTS.get(start)
    return (rule.title, rule.hint) if rule else (GIVEN_TITLE, GIVEN_HINT)
