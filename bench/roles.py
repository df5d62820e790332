"""Roles: a whole proposal, and a single ramp."""

from __future__ import annotations

from itertools import count

from coloraide import Color

from bench.timing import Row, milliseconds, table
from tonada.core.color.ramp import USUAL, ramp_of
from tonada.core.roles.brand import Candidate
from tonada.core.roles.proposal import propose_roles

SIX = ("#2b3a8c", "#b6653a", "#d7b13c", "#2f8f86", "#8a4fbf", "#14151a")


def run() -> str:
    """Return the table."""
    candidates = tuple(Candidate(value, 0.5**row) for row, value in enumerate(SIX, start=1))
    number = count(1)

    def another_ramp() -> None:
        # Another value each time: nothing is remembered of it.
        ramp_of(f"#{(next(number) * 7919) % 0xFFFFFF:06x}", USUAL)

    def by_coloraide() -> None:
        Color.steps(["#ffffff", "#2b3a8c", "#000000"], steps=11, space="oklch")

    peer = ("coloraide, 11 steps in OKLCH", milliseconds(by_coloraide, times=21))
    return table(
        "Roles",
        [
            Row("ramp of 11 steps", milliseconds(another_ramp, times=101), *peer),
            Row("full proposal for 6 colours", milliseconds(lambda: propose_roles(candidates)), *peer),
        ],
    )
